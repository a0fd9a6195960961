<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Chain\StrandMatch;
use Hebra\Core\Course\Strung;
use Hebra\Core\Piece\Change\AddPart;
use Hebra\Core\Piece\Change\ClosePart;
use Hebra\Core\Piece\Change\GradeGroup;
use Hebra\Core\Piece\Change\RepeatPart;
use Hebra\Core\Piece\Change\SetGroup;
use Hebra\Core\Piece\Change\SetLinks;
use Hebra\Core\Piece\Change\SetMakes;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Makes;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;

/**
 * What is judged of how parts stand to each other: strands beside each other, rings of parts, which way flat parts
 * face, clasps, pairs.
 */
final class LineChecks
{
    /** What a rope without a clasp must go over, mm. */
    public const HEAD_MM = 580.0;

    /** Lengths that are taken for alike, mm. */
    private const ALIKE_MM = 1.5;

    /** @return list<Check> */
    public static function of(Piece $piece, Profile $profile, Layout $layout): array
    {
        return [
            ...self::clasps($piece, $profile, $layout),
            ...self::strands($piece, $profile, $layout),
            ...Middle::checks($piece, $layout),
            ...self::faces($piece, $layout),
            ...self::pair($piece, $layout),
        ];
    }

    /**
     * A clasp at one end closes in the last eye at the other.
     *
     * @return list<Check>
     */
    private static function clasps(Piece $piece, Profile $profile, Layout $layout): array
    {
        $checks = [];
        $hasClasp = fn (Instance $one): bool => $one->part->technique->clasp($one->part) !== null;
        if (array_filter($layout->instances(), $hasClasp) === []) {
            return [];
        }
        $line = array_values(array_filter($layout->instances(), $layout->isOnLine(...)));
        foreach ($line as $at => $instance) {
            $clasp = $instance->part->technique->clasp($instance->part);
            if ($clasp === null) {
                continue;
            }
            $ring = self::ringFor($line, $at);
            if ($ring === null) {
                $checks[] = new Check(
                    Level::Note,
                    'clasp',
                    "The {$clasp->words} has nothing to close in: end with a ring.",
                    $instance->part->part->id,
                    [new Way('Add a ring', new AddPart(
                        'jump-ring',
                        isset($instance->part->technique->eyes($instance->part, $instance->name)['bottom']) ? null : 0,
                    ))],
                );

                continue;
            }
            [$level, $text] = $clasp->with($ring, $profile);
            $checks[] = new Check(
                $level,
                'clasp',
                $text,
                $ring->part(),
                $level === Level::Stop ? [self::ringToCloseIn($piece, $clasp, $at === 0)] : [],
            );
        }

        return $checks;
    }

    /** A ring at the other end, as wide as what has to go through it. */
    private static function ringToCloseIn(Piece $piece, Clasp $clasp, bool $isAtStart): Way
    {
        $inside = ceil(max($clasp->throughMm + 0.5, min(1.2 * $clasp->throughMm, 12.0)));

        return Way::all('A ring of '.Figures::mm($inside).' to close in', [
            new AddPart('jump-ring', $isAtStart ? count($piece->parts) : 0),
            new SetSetting($piece->nextPartId(), 'inside', $inside.' mm'),
        ]);
    }

    /**
     * The eye at the other end: from there the first part that has one the clasp could take, past what only hangs.
     *
     * @param  list<Instance>  $line
     */
    private static function ringFor(array $line, int $at): ?Eye
    {
        foreach ($at === 0 ? array_reverse($line) : $line as $other) {
            $eyes = $other->part->technique->eyes($other->part, $other->name);
            if ($other === $line[$at] || $other->part->technique->clasp($other->part) !== null) {
                return null;
            }
            $ring = $at === 0 ? $eyes['bottom'] ?? null : $eyes['top'] ?? null;
            if ($ring !== null) {
                return $ring;
            }
        }

        return null;
    }

    /** @return list<Check> */
    private static function strands(Piece $piece, Profile $profile, Layout $layout): array
    {
        $checks = [];
        foreach ($layout->strands as $strand) {
            $id = $strand->members[count($strand->members) - 1]->part->part->id;
            $own = $layout->sumMm($strand->members);
            if ($strand->isRing()) {
                if ($piece->fit->kind === FitKind::Neck && $strand->members[0]->above === null) {
                    $checks[] = self::overTheHead($own, $profile, $id);

                    continue;
                }
                $checks[] = new Check(
                    count($strand->members) > 2 ? Level::Ok : Level::Note,
                    'ring of parts',
                    Figures::counted(count($strand->members), 'part').' close to a ring, '.$profile->length($own)
                        .' round'.(count($strand->members) > 2 ? '.' : ': two or fewer lie flat on each other.'),
                    $id,
                );

                continue;
            }
            array_push($checks, ...self::centred($piece, $profile, $layout, $strand));
            $beside = $layout->sumMm($layout->beside($strand));
            $more = $own - $beside;
            $text = 'The strand beside is '.$profile->length($own).', that of the line '.$profile->length($beside);
            if ($piece->fit->kind === FitKind::Neck) {
                $checks[] = self::tier($piece, $profile, $layout, $strand, $text);

                continue;
            }
            if (abs($more) < self::ALIKE_MM) {
                $checks[] = new Check(Level::Ok, 'strands', $text.': they lie side by side.', $id);

                continue;
            }
            $checks[] = new Check(
                Level::Note,
                'strands',
                $text.': '.$profile->length(abs($more)).' '.($more > 0 ? 'longer, it bags' : 'shorter, the line bags')
                    .'. Fill that with beads or rings, or change how often it repeats.',
                $id,
                self::alike($piece, $layout, $strand, $more),
            );
        }

        return $checks;
    }

    /**
     * Round a neck a second strand lies below the first: flat there, it spans the same angle half of both their widths
     * farther out. What it has more hangs lower; what it has less pulls the line up.
     */
    private static function tier(
        Piece $piece, Profile $profile, Layout $layout, Strand $strand, string $text,
    ): Check {
        $line = $layout->beside($strand);
        [$own, $beside] = [$layout->sumMm($strand->members), $layout->sumMm($line)];
        $wide = self::widestMm($strand->members) + self::widestMm($line);
        $spans = $beside * (1 + M_PI * $wide / $piece->fit->mm);
        $text .= '; flat below it, it spans '.$profile->length($spans);
        $id = $strand->members[count($strand->members) - 1]->part->part->id;

        return match (true) {
            abs($own - $spans) < self::ALIKE_MM => new Check(Level::Ok, 'strands', $text.', as it is.', $id),
            $own > $spans => new Check(
                Level::Ok, 'strands',
                $text.': it hangs about '.$profile->length($layout->lowerMm($own, $beside)).' lower.', $id,
            ),
            default => new Check(
                Level::Note, 'strands',
                $text.': it is '.$profile->length($spans - $own).' short of that, and pulls the line up.', $id,
                self::alike($piece, $layout, $strand, $own - $spans),
            ),
        };
    }

    /** A rope without a clasp goes on over the head [common practice, from memory: about 58 cm round]. */
    private static function overTheHead(float $roundMm, Profile $profile, PartId $id): Check
    {
        $round = 'It closes on itself, '.$profile->length($roundMm).' round';

        return $roundMm >= self::HEAD_MM
            ? new Check(Level::Ok, 'over the head', "{$round}: it goes over the head without a clasp.", $id)
            : new Check(
                Level::Warn, 'over the head',
                "{$round}: it does not go over a head of about ".$profile->length(self::HEAD_MM)
                    .'. Make it longer, or leave its end open for a clasp.',
                $id, [new Way('Leave its end open', new ClosePart($id, null))],
            );
    }

    /**
     * What stands between chain on a second strand should come to lie amid the gaps of the first.
     *
     * @return list<Check>
     */
    private static function centred(Piece $piece, Profile $profile, Layout $layout, Strand $strand): array
    {
        [$chains, $elements] = self::chained($layout, $strand->members);
        [, $others, $starts] = self::chained($layout, $layout->beside($strand));
        $wanted = self::gaps($others, $starts, $layout->sumMm($layout->beside($strand)), count($elements));
        if ($wanted === null || $others === [] || $elements === [] || count($chains) !== count($elements) + 1) {
            return [];
        }
        $id = $strand->members[count($strand->members) - 1]->part->part->id;
        $pitch = $chains[0]->part->part->mm('inside');
        $links = array_map(fn (Instance $chain): int => $chain->part->part->count('links'), $chains);
        if (count(
            array_unique(array_map(fn (Instance $chain): float => $chain->part->part->mm('inside'), $chains))
        ) > 1) {
            return [];
        }
        $end = $layout->sumMm($layout->beside($strand));
        $match = StrandMatch::of($wanted, $end, $elements, $pitch);
        $now = StrandMatch::worstOfMm($links, $wanted, $end, $elements, $pitch);
        $text = 'What hangs between the chain of the second strand lies at most '.$profile->size($now)
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
                $text.'; '.implode(', ', $match->links).' links come within '.$profile->size($match->worstMm()).'.',
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
    private static function chained(Layout $layout, array $members): array
    {
        $chains = $elements = $starts = [];
        $at = 0.0;
        $isOpen = false;
        foreach ($members as $member) {
            if ($member->part->part->technique === 'chain') {
                $chains[] = $member;
                $isOpen = false;
            } elseif ($isOpen) {
                $elements[] = array_pop($elements) + $layout->advances[$member->name];
            } else {
                [$elements[], $starts[]] = [$layout->advances[$member->name], $at];
                $isOpen = true;
            }
            $at += $layout->advances[$member->name];
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
    private static function alike(Piece $piece, Layout $layout, Strand $strand, float $moreMm): array
    {
        $by = [];
        foreach ($strand->members as $member) {
            $part = $member->part->part;
            $key = $part->group !== ''
                ? ['group', $part->group, $piece->groups[$part->group]->repeat]
                : ['part', $part->id->text, $part->repeat];
            if ($key[2] > 1) {
                $by[$key[0].'/'.$key[1]] = [
                    $key,
                    ($by[$key[0].'/'.$key[1]][1] ?? 0.0) + $layout->advances[$member->name],
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

    /**
     * Each eye lies in a plane, and each ring turns what hangs in it by a quarter: a flat part shows its face or its
     * edge.
     *
     * @return list<Check>
     */
    private static function faces(Piece $piece, Layout $layout): array
    {
        $checks = [];
        foreach ($layout->isRound ? [] : $layout->instances() as $instance) {
            $across = $instance->part->technique->facesAcross($instance->part);
            $id = $instance->part->part->id;
            if ($across === null || isset($checks[$id->text])) {
                continue;
            }
            $label = $instance->part->label();
            if ($across !== $layout->facing($instance)) {
                $checks[$id->text] = new Check(
                    Level::Ok, 'facing', "The {$label} hangs with its face to the front.", $id,
                );

                continue;
            }
            $ways = [new Way('Turn its eye', new SetSetting($id, 'turned', $across ? '0' : '1'))];
            if ($instance->above !== null && $instance->part->part->on === null) {
                $ways[] = new Way('One ring more above it', new AddPart('jump-ring', $piece->indexOf($id)));
            }
            $checks[$id->text] = new Check(Level::Note, 'facing', "The {$label} hangs with its edge to the front: each "
                .'eye turns what hangs in it by a quarter.', $id, $ways);
        }

        return array_values($checks);
    }

    /**
     * A pair that is not alike left and right wants a mirror; one that is does not.
     *
     * @return list<Check>
     */
    private static function pair(Piece $piece, Layout $layout): array
    {
        if ($piece->makes->count !== 2 || $piece->makes->kind === 'batch') {
            return [];
        }
        $uneven = false;
        foreach ($layout->clusters() as $cluster) {
            $looks = array_map(
                fn (Instance $one): string => json_encode(
                    [$one->part->part->technique, $one->part->part->settings, array_map(
                        fn (Strung $strung): array => [$strung->bead->key(), $strung->count], $one->part->strung,
                    )],
                    JSON_THROW_ON_ERROR,
                ),
                $cluster,
            );
            $uneven = $uneven || $looks !== array_reverse($looks);
        }
        if ($uneven === $piece->makes->isMirrored()) {
            return $uneven
                ? [
                    new Check(
                        Level::Ok,
                        'pair',
                        'The second is made as the first is seen in a mirror: what hangs together goes on in the '
                            .'opposite order.',
                    ),
                ]
                : [];
        }

        return $uneven
            ? [
                new Check(
                    Level::Note,
                    'pair',
                    'What hangs together in one eye is not alike left and right: made alike, both earrings lean the '
                        .'same way.',
                    null,
                    [new Way('A mirrored pair', new SetMakes(Makes::mirroredPair()))],
                ),
            ]
            : [
                new Check(
                    Level::Ok,
                    'pair',
                    'Left and right are alike: mirrored and alike are the same here, but for the way its bends are '
                        .'turned.',
                ),
            ];
    }
}
