<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Group;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/**
 * How long a piece round wrist or neck is, how long it is to be, and how often what repeats in it must stand there to
 * come nearest. Wrist: girth + ease + π·B for beads of B [common practice; the beads by geometry]. Neck: the length
 * asked for.
 */
final readonly class Reach
{
    private const WRIST_MM = 4.0;

    private const NECK_MM = 8.0;

    private function __construct(
        public float $hasMm,
        public float $wantsMm,
        /** the groups, or the part, that repeat, or neither */
        public string $group,
        public ?PartId $part,
        public int $count,
        /** what one of its repeats adds to the length, mm; 0 where nothing repeats */
        public float $unitMm,
        /** it is the links of a chain that are counted */
        public bool $isLinks = false,
        private bool $isWrist = false,
    ) {
    }

    /** Null where the piece is no line round wrist or neck: a pendant, a bangle, an earring. */
    public static function of(Piece $piece, Layout $layout): ?self
    {
        if (! $layout->isLine()) {
            return null;
        }
        $thickest = array_reduce($piece->beads, fn (float $most, $bead): float => max($most, $bead->widthMm), 0.0);
        $isWrist = $piece->fit->kind === FitKind::Wrist;
        $wants = $isWrist ? $piece->fit->mm + FitSheet::EASE_MM + M_PI * $thickest : $piece->fit->mm;
        // Groups alike in number stand for each other, as the halves of a necklace do: they change together.
        $first = array_key_first($piece->groups);
        if ($first !== null) {
            $count = $piece->groups[$first]->repeat;
            $alike = array_keys(array_filter($piece->groups, fn (Group $group): bool => $group->repeat === $count));
            $length = array_sum(
                array_map(fn (PartId $id): float => $layout->lengthOf($id), self::idsIn($piece, $alike)),
            );
            if ($length > 0) {
                return new self(
                    $layout->lengthMm, $wants, implode(' ', $alike), null, $count, $length / $count, isWrist: $isWrist,
                );
            }
        }
        foreach ($piece->parts as $part) {
            $length = $part->repeat > 1 ? $layout->lengthOf($part->id) : 0.0;
            if ($length > 0) {
                return new self(
                    $layout->lengthMm, $wants, '', $part->id, $part->repeat, $length / $part->repeat,
                    isWrist: $isWrist,
                );
            }
        }

        // The longest chain of the line is counted in links.
        $longest = null;
        foreach ($piece->parts as $part) {
            if (
                $part->technique === 'chain'
                && $layout->lengthOf($part->id) > ($longest === null ? 0.0 : $layout->lengthOf($longest->id))
            ) {
                $longest = $part;
            }
        }

        return $longest === null
            ? new self($layout->lengthMm, $wants, '', null, 0, 0.0, isWrist: $isWrist)
            : new self(
                $layout->lengthMm, $wants, '', $longest->id, $longest->count('links'), $longest->mm('inside'), true,
                $isWrist,
            );
    }

    /**
     * @param  list<string>  $groups
     * @return list<PartId>
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
        return $this->unitMm > 0
            ? max(1, (int) round($this->count + ($this->wantsMm - $this->hasMm) / $this->unitMm))
            : null;
    }

    public function lengthAt(int $count): float
    {
        return $this->hasMm + ($count - $this->count) * $this->unitMm;
    }

    /** How far off still fits [common practice], mm. */
    public function toleranceMm(): float
    {
        return $this->isWrist ? self::WRIST_MM : self::NECK_MM;
    }

    public function offMm(): float
    {
        return $this->hasMm - $this->wantsMm;
    }

    public function fits(): bool
    {
        return abs($this->offMm()) <= $this->toleranceMm() + 1e-9;
    }

    /** @param  list<Way>  $ways */
    public function check(Profile $profile, array $ways = []): Check
    {
        $text = 'Laid straight it is '.$profile->length($this->hasMm).', and '.$profile->length($this->wantsMm)
            .' would fit';
        if ($this->fits()) {
            return new Check(
                Level::Ok,
                'length',
                $text.(abs($this->offMm()) < 0.5 ? '.' : ', give or take '.$profile->length($this->toleranceMm()).'.'),
            );
        }
        $text .= ': '.$profile->length(abs($this->offMm())).' too '.($this->offMm() > 0 ? 'long' : 'short').'.';

        return new Check(
            Level::Note,
            'length',
            $text.($ways === [] ? ' Add or take off parts or beads.' : ''),
            $this->part,
            $ways,
        );
    }
}
