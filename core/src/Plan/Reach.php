<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Group;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;

/**
 * How long a piece round wrist or neck is, how long it is to be, and how often what repeats in it must stand there to come
 * nearest. Wrist: girth + ease + π·B for beads of B [common practice; the beads by geometry]. Neck: the length asked for.
 */
final readonly class Reach
{
    private function __construct(
        public float $hasMm,
        public float $wantsMm,
        /** the groups, or the part, that repeat, or neither */
        private string $group,
        private string $part,
        public int $count,
        /** what one of its repeats adds to the length, mm; 0 where nothing repeats */
        public float $unitMm,
        /** it is the links of a chain that are counted */
        private bool $isLinks = false,
    ) {
    }

    /** Null where the piece is no line round wrist or neck: a pendant, a bangle, an earring. */
    public static function of(Piece $piece, Layout $layout): ?self
    {
        if (! $layout->isLine()) {
            return null;
        }
        $thickest = array_reduce($piece->beads, fn (float $most, $bead): float => max($most, $bead->widthMm), 0.0);
        $wants = $piece->fit->kind === FitKind::Wrist ? $piece->fit->mm + FitSheet::EASE_MM + M_PI * $thickest : $piece->fit->mm;
        // Groups alike in number stand for each other, as the halves of a necklace do: they change together.
        $first = array_key_first($piece->groups);
        if ($first !== null) {
            $count = $piece->groups[$first]->repeat;
            $alike = array_keys(array_filter($piece->groups, fn (Group $group): bool => $group->repeat === $count));
            $length = array_sum(array_map(fn (string $id): float => $layout->lengthOf($id), self::idsIn($piece, $alike)));
            if ($length > 0) {
                return new self($layout->lengthMm, $wants, implode(' ', $alike), '', $count, $length / $count);
            }
        }
        foreach ($piece->parts as $part) {
            $length = $part->repeat > 1 ? $layout->lengthOf($part->id) : 0.0;
            if ($length > 0) {
                return new self($layout->lengthMm, $wants, '', $part->id, $part->repeat, $length / $part->repeat);
            }
        }

        // The longest chain of the line is counted in links.
        $longest = null;
        foreach ($piece->parts as $part) {
            if ($part->technique === 'chain' && $layout->lengthOf($part->id) > ($longest === null ? 0.0 : $layout->lengthOf($longest->id))) {
                $longest = $part;
            }
        }

        return $longest === null
            ? new self($layout->lengthMm, $wants, '', '', 0, 0.0)
            : new self($layout->lengthMm, $wants, '', $longest->id, $longest->count('links'), $longest->mm('inside'), true);
    }

    /**
     * @param  list<string>  $groups
     * @return list<string>
     */
    private static function idsIn(Piece $piece, array $groups): array
    {
        $ids = [];
        foreach ($piece->parts as $part) {
            if (in_array($part->group, $groups, true)) {
                $ids[] = $part->id;
            }
        }

        return $ids;
    }

    /** How often it must repeat to come nearest; null where nothing repeats. */
    public function nearest(): ?int
    {
        return $this->unitMm > 0 ? max(1, (int) round($this->count + ($this->wantsMm - $this->hasMm) / $this->unitMm)) : null;
    }

    public function lengthAt(int $count): float
    {
        return $this->hasMm + ($count - $this->count) * $this->unitMm;
    }

    public function check(Profile $profile): Check
    {
        $nearest = $this->nearest();
        $off = $this->hasMm - $this->wantsMm;
        $text = 'Laid straight it is '.$profile->length($this->hasMm).', and '.$profile->length($this->wantsMm).' would fit';
        if (abs($off) < 0.5) {
            return new Check(Level::Ok, 'length', $text.'.');
        }
        $text .= ': '.$profile->length(abs($off)).' too '.($off > 0 ? 'long' : 'short');
        if ($nearest === null || $nearest === $this->count) {
            return new Check($nearest === null ? Level::Note : Level::Ok, 'length', $text.($nearest === null ? '. Add or take off parts or beads.' : ', as near as whole '.($this->isLinks ? 'links' : 'repeats').' come.'));
        }

        return new Check(Level::Note, 'length', $text.'. '.Figures::counted($nearest, $this->isLinks ? 'link' : 'repeat')." in place of {$this->count} come to ".$profile->length($this->lengthAt($nearest)).'.', $this->part, [
            new Way(Figures::counted($nearest, $this->isLinks ? 'link' : 'repeat'), match (true) {
                $this->group !== '' => ['do' => 'group.set', 'group' => $this->group, 'count' => (string) $nearest],
                $this->isLinks => ['do' => 'part.set', 'part' => $this->part, 'key' => 'links', 'value' => (string) $nearest],
                default => ['do' => 'part.repeat', 'part' => $this->part, 'count' => (string) $nearest],
            }),
        ]);
    }
}
