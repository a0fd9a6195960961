<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Quantity\Figures;

/**
 * What a finished piece is looked over for, each point from its own plan and checks: counts by fives, gaps, ends,
 * symmetry, level, facing, fit, lock [common practice].
 */
final class Inspection
{
    private const MANY = 5;

    /** What a check of a plan asks of the finished piece. */
    private const ASKS = [
        'facing' => 'Hold it as it is worn: which way does it face?',
        'middle' => 'Hang it up: is it level, and in the middle?',
        'strands' => 'Lay the strands side by side: do they hang as planned?',
        'alignment' => 'Lay the strands side by side: do the beads lie between each other?',
        'lock' => 'Close it and open it five times: does it lock?',
        'clasp' => 'Close it and open it five times: does it hold?',
        'fill beads' => 'Push the beads together: is the gap as planned?', 'row' => 'Look along the row: is it even?',
        'weave' => 'Look at the back: does the pattern run through?',
    ];

    /** @return list<Point> */
    public static function of(Plan $plan): array
    {
        if ($plan->steps() === []) {
            return [];
        }

        return [...self::counts($plan), ...self::rows($plan), ...self::alike($plan), ...self::wire($plan),
            ...self::asWhole($plan)];
    }

    /** @return list<Point> */
    private static function counts(Plan $plan): array
    {
        $few = array_filter($plan->beads, fn (BeadCount $count): bool => $count->each < self::MANY);
        $points = [];
        foreach (array_diff_key($plan->beads, $few) as $at => $count) {
            $points[] = new Point(
                "count-{$at}", 'Count by fives: '.$count->bead->words(), $count->each.': '.self::fives($count->each),
                self::strung($plan), bead: $count->bead,
            );
        }

        return [...$points, ...self::repeats($plan), ...self::few($plan, array_values($few))];
    }

    /** @return list<Point> */
    private static function repeats(Plan $plan): array
    {
        $points = [];
        foreach ($plan->piece->groups as $name => $group) {
            if ($group->times() >= self::MANY) {
                $points[] = new Point(
                    "repeats-{$name}", 'Count by fives: how often it repeats',
                    $group->times().': '.self::fives($group->times()), self::step($plan, EventKind::Hook),
                );
            }
        }

        return $points;
    }

    /**
     * @param  list<BeadCount>  $few  of which there are so few that all are told at once
     * @return list<Point>
     */
    private static function few(Plan $plan, array $few): array
    {
        if ($few === []) {
            return [];
        }
        $told = array_map(fn (BeadCount $count): string => $count->each.' × '.$count->bead->words(), $few);

        return [new Point('beads', 'Beads', implode(', ', $told), self::strung($plan), bead: $few[0]->bead)];
    }

    /** Where beads come on. */
    private static function strung(Plan $plan): ?int
    {
        return self::step($plan, EventKind::Thread)
            ?? self::step($plan, EventKind::Work)
            ?? self::step($plan, EventKind::Form);
    }

    /** @return list<Point> beads in a row as makers count them: by what repeats, and from both ends to the middle */
    private static function rows(Plan $plan): array
    {
        $points = [];
        foreach ($plan->parts() as $part) {
            $id = $part->part->id;
            $step = self::step($plan, EventKind::Thread, $id) ?? self::step($plan, EventKind::Work, $id);
            [$length, $times] = Stringing::unit($part->strung);
            if ($times > 1) {
                $runs = array_slice($part->strung, 0, $length);
                $unit = implode(', ', array_map(fn (Strung $run): string => $run->words(), $runs));
                $points[] = new Point(
                    'repeats-of-'.$id, "Count by repeats: {$unit}", Figures::counted($times, 'repeat'),
                    $step, bead: $runs[0]->bead,
                );
            }
            $beads = $part->beadCount();
            $isOdd = $beads >= self::MANY && $beads % 2 === 1;
            if ($isOdd && count($part->strung) > 2 && self::isAlikeBothWays($part->strung)) {
                $half = intdiv($beads, 2);
                $points[] = new Point(
                    'sides-'.$id, 'Count from both ends to the middle bead: left and right alike',
                    "{$half} and {$half}", $step, bead: $part->strung[0]->bead,
                );
            }
        }

        return $points;
    }

    /** @param  list<Strung>  $runs */
    private static function isAlikeBothWays(array $runs): bool
    {
        $told = array_map(fn (Strung $run): string => $run->key.'/'.$run->count, $runs);

        return $told === array_reverse($told);
    }

    /**
     * @return list<Point> parts that are made alike, each kind by what it is: so many small rings, so many large ones
     */
    private static function alike(Plan $plan): array
    {
        $kinds = [];
        foreach ($plan->parts() as $part) {
            $told = trim($part->label().' '.$part->technique->inShort($part));
            $kinds[$told] = [($kinds[$told][0] ?? 0) + $part->times, $part];
        }
        $points = [];
        foreach ($kinds as $told => [$count, $part]) {
            if ($count > 1) {
                $points[] = new Point(
                    'alike-'.$part->part->id,
                    "{$count} × {$told}",
                    ($count >= self::MANY ? self::fives($count).'; all' : 'All')
                        .' of one size, closed and straight, the last like the first',
                    self::step($plan, EventKind::Form, $part->part->id) ?? self::step($plan, EventKind::Hook),
                    bead: ($part->strung[0] ?? null)?->bead,
                );
            }
        }

        return $points;
    }

    private static function fives(int $count): string
    {
        return Figures::counted(
            intdiv($count, self::MANY),
            'five',
        ).($count % self::MANY === 0 ? '' : ' and '.($count % self::MANY));
    }

    /** @return list<Point> */
    private static function wire(Plan $plan): array
    {
        $wraps = array_values(array_filter(
            array_map(fn (Step $step): Step => $step->each ?? $step, $plan->steps()),
            fn (Step $step): bool => $step->counted === 'wraps',
        ));
        $points = [];
        if ($wraps !== []) {
            $numbers = array_values(array_unique(array_map(fn (Step $step): int => $step->count, $wraps)));
            $points[] = new Point(
                'wraps',
                'Wraps',
                (count($numbers) === 1 ? $numbers[0].' on each side, close' : 'Close').' and even, the last one tucked',
                self::step($plan, EventKind::Close),
            );
        }
        $points[] = new Point(
            'gaps',
            'Hold every eye and ring against the light',
            'Ends meet, no gap a wire could slip out of',
            self::step($plan, EventKind::Hook)
                ?? self::step($plan, EventKind::Form)
                ?? self::step($plan, EventKind::Work),
        );
        $points[] = new Point(
            'ends',
            'Draw it over the back of your hand, then over a knit',
            'No end scratches or catches',
            self::step($plan, EventKind::Close) ?? self::step($plan, EventKind::Work),
        );

        return $points;
    }

    /** @return list<Point> */
    private static function asWhole(Plan $plan): array
    {
        $points = [];
        $seen = [];
        foreach ($plan->checks as $check) {
            if (isset(self::ASKS[$check->rule]) && ! isset($seen[$check->rule]) && $check->level !== Level::Stop) {
                $seen[$check->rule] = true;
                $points[] = new Point(
                    'rule-'.str_replace(' ', '-', $check->rule),
                    self::ASKS[$check->rule],
                    $check->text,
                    self::step($plan, EventKind::Form, $check->part),
                );
            }
        }
        if ($plan->piece->makes->count > 1) {
            $points[] = new Point(
                'twins',
                $plan->piece->makes->count === 2 ? 'Hold it beside its twin' : 'Hold each beside the next',
                $plan->piece->makes->isMirrored()
                    ? 'Same length, and each the other in a mirror'
                    : 'Same length, same shape',
                self::step($plan, EventKind::Close),
            );
        } elseif (array_filter($plan->piece->groups, fn ($group): bool => $group->isMirrored) !== []) {
            $points[] = new Point('halves', 'Fold it at its middle', 'Both halves alike');
        }
        $sized = $plan->sized()[0] ?? null;
        [$look, $mm] = self::measured($plan);
        if ($mm > 0) {
            $points[] = new Point(
                'fit',
                $look,
                $sized === null ? $plan->profile->length($mm) : self::across($plan, $mm),
                wantedMm: $mm,
            );
        }

        return $points;
    }

    /** @return array{string, float} what is measured, in words, and what it should be */
    private static function measured(Plan $plan): array
    {
        [$part, $sizing] = $plan->sized()[0] ?? [null, null];
        if ($part !== null && $sizing !== null) {
            $where = $sizing->key === 'inside' ? 'inside' : 'to the wire’s middle';

            return ["Measure it across, {$where}", $part->part->mm($sizing->key)];
        }

        return match ($plan->piece->fit->kind) {
            FitKind::Finger => ['Measure its inside', $plan->piece->fit->mm],
            FitKind::Ear, FitKind::Hoop => ['Measure it, top to bottom', $plan->hangsMm()],
            FitKind::Wrist,
            FitKind::Neck => match (true) {
                $plan->roundMm() !== null => ['Measure it, once round', $plan->roundMm()],
                $plan->isLaidRound() => ['Measure it, end to end', $plan->hangsMm()],
                default => ['Measure it, top to bottom', $plan->hangsMm()],
            },
        };
    }

    /** `US 9, 18.95 mm`: a size that was formed is told finer than a ruler shows. */
    private static function across(Plan $plan, float $mm): string
    {
        $isRing = $plan->piece->fit->kind === FitKind::Finger && $mm <= RingSize::MOST_MM;

        return ($isRing ? RingSize::ofDiameter($mm)->usWords().', ' : '').$plan->profile->size($mm);
    }

    /** The last of the steps of a kind, of a part where one is named. */
    private static function step(Plan $plan, EventKind $kind, ?PartId $part = null): ?int
    {
        $found = array_keys(
            array_filter(
                $plan->steps(),
                fn (Step $step): bool => $step->moment->kind === $kind
                    && ($part === null || in_array($part, array_map(Instance::partOf(...), $step->works()), true)),
            ),
        );

        return $found === [] ? null : $found[count($found) - 1];
    }
}
