<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Chain\StrandMatch;
use Hebra\Core\Piece\Change\ClosePart;
use Hebra\Core\Piece\Change\GradeGroup;
use Hebra\Core\Piece\Change\RepeatPart;
use Hebra\Core\Piece\Change\SetGroup;
use Hebra\Core\Piece\Change\SetLinks;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;

/** What is judged of strands beside the line, and of parts that close to a ring. */
final readonly class StrandChecks
{
    /** What a rope without a clasp must go over, mm. */
    public const HEAD_MM = 580.0;

    /** Lengths that are taken for alike, mm. */
    private const ALIKE_MM = 1.5;

    public function __construct(private Piece $piece, private Profile $profile, private Layout $layout)
    {
    }

    /** @return list<Check> */
    public function all(): array
    {
        return array_merge([], ...array_map($this->of(...), $this->layout->strands));
    }

    /** @return list<Check> */
    private function of(Strand $strand): array
    {
        return $strand->isRing() ? [$this->ring($strand)] : [...$this->centred($strand), $this->beside($strand)];
    }

    /** The part that it ends with: what is said of it stands there. */
    private static function end(Strand $strand): PartId
    {
        return $strand->members[count($strand->members) - 1]->part->part->id;
    }

    private function ring(Strand $strand): Check
    {
        $round = $this->layout->sumMm($strand->members);
        if ($this->piece->fit->kind === FitKind::Neck && $strand->members[0]->above === null) {
            return $this->overTheHead($round, self::end($strand));
        }
        $count = count($strand->members);

        return new Check(
            $count > 2 ? Level::Ok : Level::Note, 'ring of parts',
            Figures::counted($count, 'part').' close to a ring, '.$this->profile->length($round).' round'
                .($count > 2 ? '.' : ': two or fewer lie flat on each other.'),
            self::end($strand),
        );
    }

    private function beside(Strand $strand): Check
    {
        [$own, $beside] = [
            $this->layout->sumMm($strand->members), $this->layout->sumMm($this->layout->beside($strand)),
        ];
        $more = $own - $beside;
        $text = 'The strand beside is '.$this->profile->length($own).', that of the line '
            .$this->profile->length($beside);
        if ($this->piece->fit->kind === FitKind::Neck) {
            return $this->tier($strand, $text);
        }
        if (abs($more) < self::ALIKE_MM) {
            return new Check(Level::Ok, 'strands', $text.': they lie side by side.', self::end($strand));
        }

        return new Check(
            Level::Note, 'strands',
            $text.': '.$this->profile->length(abs($more)).' '.($more > 0 ? 'longer, it bags' : 'shorter, the line bags')
                .'. Fill that with beads or rings, or change how often it repeats.',
            self::end($strand), $this->alike($strand, $more),
        );
    }

    /**
     * Round a neck a second strand lies below the first: flat there, it spans the same angle half of both their widths
     * farther out. What it has more hangs lower; what it has less pulls the line up.
     */
    private function tier(Strand $strand, string $text): Check
    {
        $line = $this->layout->beside($strand);
        [$own, $beside] = [$this->layout->sumMm($strand->members), $this->layout->sumMm($line)];
        $wide = self::widestMm($strand->members) + self::widestMm($line);
        $spans = $beside * (1 + M_PI * $wide / $this->piece->fit->mm);
        $text .= '; flat below it, it spans '.$this->profile->length($spans);
        $id = self::end($strand);

        return match (true) {
            abs($own - $spans) < self::ALIKE_MM => new Check(Level::Ok, 'strands', $text.', as it is.', $id),
            $own > $spans => new Check(
                Level::Ok, 'strands',
                $text.': it hangs about '.$this->profile->length($this->layout->lowerMm($own, $beside)).' lower.', $id,
            ),
            default => new Check(
                Level::Note, 'strands',
                $text.': it is '.$this->profile->length($spans - $own).' short of that, and pulls the line up.', $id,
                $this->alike($strand, $own - $spans),
            ),
        };
    }

    /** A rope without a clasp goes on over the head [common practice, from memory: about 58 cm round]. */
    private function overTheHead(float $roundMm, PartId $id): Check
    {
        $round = 'It closes on itself, '.$this->profile->length($roundMm).' round';

        return $roundMm >= self::HEAD_MM
            ? new Check(Level::Ok, 'over the head', "{$round}: it goes over the head without a clasp.", $id)
            : new Check(
                Level::Warn, 'over the head',
                "{$round}: it does not go over a head of about ".$this->profile->length(self::HEAD_MM)
                    .'. Make it longer, or leave its end open for a clasp.',
                $id, [new Way('Leave its end open', new ClosePart($id, null))],
            );
    }

    /**
     * What stands between chain on a second strand should come to lie amid the gaps of the first.
     *
     * @return list<Check>
     */
    private function centred(Strand $strand): array
    {
        [$chains, $elements] = $this->chained($strand->members);
        [, $others, $starts] = $this->chained($this->layout->beside($strand));
        $wanted = self::gaps($others, $starts, $this->layout->sumMm($this->layout->beside($strand)), count($elements));
        if ($wanted === null || $others === [] || $elements === [] || count($chains) !== count($elements) + 1) {
            return [];
        }
        $id = self::end($strand);
        $pitch = $chains[0]->part->part->mm('inside');
        $links = array_map(fn (Instance $chain): int => $chain->part->part->count('links'), $chains);
        if (count(
            array_unique(array_map(fn (Instance $chain): float => $chain->part->part->mm('inside'), $chains))
        ) > 1) {
            return [];
        }
        $end = $this->layout->sumMm($this->layout->beside($strand));
        $match = StrandMatch::of($wanted, $end, $elements, $pitch);
        $now = StrandMatch::worstOfMm($links, $wanted, $end, $elements, $pitch);
        $text = 'What hangs between the chain of the second strand lies at most '.$this->profile->size($now)
            .' off the middles between that of the first';
        if ($now <= $match->worstMm() + 1e-6) {
            return [new Check(Level::Ok, 'alignment', $text.', as near as whole links come.', $id)];
        }
        $group = $chains[0]->part->part->group;
        $ids = array_map(fn (Instance $chain): string => $chain->part->part->id->text, $chains);
        $way = match (true) {
            count(array_unique($ids)) === count($chains) => new Way(
                implode(', ', $match->links).' links',
                new SetLinks(array_combine($ids, array_map(strval(...), $match->links))),
            ),
            $group !== '' => new Way('Each piece on its own', new GradeGroup($group, 0.0, false)),
            default => null,
        };

        return [
            new Check(
                Level::Note,
                'alignment',
                $text.'; '.implode(', ', $match->links).' links come within '
                    .$this->profile->size($match->worstMm()).'.',
                $id,
                $way === null ? [] : [$way],
            ),
        ];
    }

    /** @param  list<Instance>  $members */
    private static function widestMm(array $members): float
    {
        return max([0.0, ...array_map(
            fn (Instance $one): float => max($one->part->widestMm(), $one->part->wireMm()), $members,
        )]);
    }

    /**
     * A strand as its pieces of chain and what stands between them, taken together where nothing but chain parts it.
     *
     * @param  list<Instance>  $members
     * @return array{list<Instance>, list<float>, list<float>} the chains, how long each element is, and where it
     *     starts, mm
     */
    private function chained(array $members): array
    {
        $chains = $elements = $starts = [];
        $at = 0.0;
        $isOpen = false;
        foreach ($members as $member) {
            if ($member->part->part->technique === 'chain') {
                $chains[] = $member;
                $isOpen = false;
            } elseif ($isOpen) {
                $elements[] = array_pop($elements) + $this->layout->advances[$member->name];
            } else {
                [$elements[], $starts[]] = [$this->layout->advances[$member->name], $at];
                $isOpen = true;
            }
            $at += $this->layout->advances[$member->name];
        }

        return [$chains, $elements, $starts];
    }

    /**
     * The middles of the gaps beside the elements of a strand, as many as are wanted: those between them, and, for one
     * or two more, those at the ends.
     *
     * @param  list<float>  $elements
     * @param  list<float>  $starts
     * @return list<float>|null mm from its start; null where it has not so many
     */
    private static function gaps(array $elements, array $starts, float $endMm, int $count): ?array
    {
        $gaps = [];
        $last = 0.0;
        foreach ($elements as $at => $element) {
            $gaps[] = ($last + $starts[$at]) / 2;
            $last = $starts[$at] + $element;
        }
        $gaps[] = ($last + $endMm) / 2;

        return match ($count) {
            count($elements) + 1 => $gaps,
            count($elements) => array_slice($gaps, 1),
            count($elements) - 1 => array_slice($gaps, 1, -1),
            default => null,
        };
    }

    /** @return list<Way> so many repeats that both come nearest in length */
    private function alike(Strand $strand, float $moreMm): array
    {
        $by = [];
        foreach ($strand->members as $member) {
            $part = $member->part->part;
            $key = $part->group !== ''
                ? ['group', $part->group, $this->piece->groups[$part->group]->repeat]
                : ['part', $part->id->text, $part->repeat];
            if ($key[2] > 1) {
                $by[$key[0].'/'.$key[1]] = [
                    $key,
                    ($by[$key[0].'/'.$key[1]][1] ?? 0.0) + $this->layout->advances[$member->name],
                ];
            }
        }
        foreach ($by as [[$what, $name, $count], $length]) {
            // What carries nothing on makes no strand longer.
            $nearest = $length > 0.0 ? max(1, (int) round($count - $moreMm * $count / $length)) : $count;
            if ($nearest !== $count) {
                return [
                    new Way(
                        Figures::counted($nearest, 'repeat'),
                        $what === 'group'
                            ? new SetGroup($name, $nearest)
                            : new RepeatPart(PartId::of($name), $nearest),
                    ),
                ];
            }
        }

        return [];
    }
}
