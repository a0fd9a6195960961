<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\ChangeWriter;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\FitSheet;
use Hebra\Core\Plan\Inspection;
use Hebra\Core\Plan\Instance;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartDrawing;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Point;
use Hebra\Core\Plan\Prepare;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\WireEnd;
use Hebra\Core\Technique\BoundBeads;
use PHPUnit\Framework\Assert;

/**
 * What must hold of every plan: said here once, asked of patterns, techniques, changed pieces and, elsewhere, of the
 * demo workshop.
 */
final class Properties
{
    public static function all(Plan $plan, string $name): void
    {
        self::threadsAsItLies($plan, $name);
        self::drawsAsItLies($plan, $name);
        self::hardWireIsLeftAsItComes($plan, $name);
        self::opensOnce($plan, $name);
        self::saysHowItCloses($plan, $name);
        self::laysReady($plan, $name);
        self::makesAllThatIsBent($plan, $name);
    }

    /** Whatever is bent, wound or turned is named by a step: nothing in the drawing comes from nowhere. */
    private static function makesAllThatIsBent(Plan $plan, string $name): void
    {
        if ($plan->steps() === []) {
            return;
        }
        $steps = [...Prepare::of($plan), ...$plan->steps()];
        $made = array_fill_keys(array_merge(...array_map(
            fn (Step $step): array => $step->operation === Operation::Cut ? [] : $step->marks, $steps,
        )), true);
        foreach ($plan->parts() as $part) {
            $isBought = $part->technique->isBought($part->part);
            foreach ($isBought ? [] : $part->technique->courses($part) as $course) {
                // A bought pin comes with its foot, memory wire with its coil.
                $comes = $course->pinMm !== null ? [SegmentKind::Foot] : [];
                foreach ($course->moves as $move) {
                    $isBent = ! in_array(
                        $move->segment->kind, [SegmentKind::Straight, SegmentKind::Seat, ...$comes], true,
                    );
                    if ($isBent && $move->isSeen()) {
                        Assert::assertArrayHasKey(
                            $move->segment->mark, $made,
                            "{$name}: no step makes {$course->label}, {$move->segment->words}",
                        );
                    }
                }
            }
        }
    }

    /**
     * A wire with its first end made, pushed on what the steps say in the order they say it, over the end they say,
     * carries what its cut says.
     */
    public static function threadsAsItLies(Plan $plan, string $name): void
    {
        foreach ($plan->strips() as $cut) {
            $along = self::along($cut);
            $part = $cut->part;
            $steps = array_values(
                array_filter(
                    $plan->steps(),
                    fn (Step $step): bool => Instance::partOf($step->part) === $part
                        && $step->cut === $cut->key()
                        && $step->putsOn !== [],
                ),
            );
            $first = $steps === [] ? '' : $steps[0]->part;
            $wire = [];
            foreach ($steps as $step) {
                foreach ($step->part === $first ? $step->putsOn : [] as $run) {
                    $wire = $step->over === WireEnd::First ? [$run, ...$wire] : [...$wire, $run];
                }
            }
            if ($plan->steps() !== []) {
                Assert::assertSame(
                    self::named($along),
                    self::named($wire),
                    "{$name}: {$cut->label} is threaded as it lies",
                );
            }
        }
    }

    /** The bead nearest to the first end of a wire is drawn nearest to it. */
    public static function drawsAsItLies(Plan $plan, string $name): void
    {
        foreach ($plan->piece->parts as $part) {
            $one = PartPlan::of($plan->piece, $part, $plan->profile);
            $figure = PartDrawing::of($one, true)->figure();
            // Across a hoop from its ends the first bead and the last are as far from either.
            if ($part->technique === 'hoop' && ! BoundBeads::isBound($part)) {
                continue;
            }
            foreach ($one->technique->cuts($one) as $cut) {
                $runs = self::along($cut);
                $isRows = ($part->settings['rows'] ?? 1) > 1;
                if (
                    count($runs) < 2
                    || $isRows
                    || ! self::isAtOneEnd($runs, $runs[0])
                    || ! self::isAtOneEnd($runs, $runs[count($runs) - 1])
                ) {
                    continue;
                }
                // A bought pin begins with its beads: there the other end tells.
                [$segments, $runs] = $cut->segments[0]->beads === [] ? [$cut->segments, $runs] : [
                    array_reverse($cut->segments), array_reverse($runs),
                ];
                $end = self::points($figure, $segments[0]->mark);
                if ($end === []) {
                    continue;
                }
                [$near, $far] = [
                    self::distance($figure, $end, $runs[0]->key, $plan->piece),
                    self::distance($figure, $end, $runs[count($runs) - 1]->key, $plan->piece),
                ];
                Assert::assertLessThanOrEqual($far + 0.5, $near, "{$name}: {$cut->label} is drawn as it lies");
            }
        }
    }

    /**
     * What is hardened is neither straightened nor met with a cutter for soft wire, and its caution stands where it is
     * cut.
     */
    public static function hardWireIsLeftAsItComes(Plan $plan, string $name): void
    {
        foreach ($plan->cuts as $cut) {
            $step = \Hebra\Core\Plan\Prepare::cut($cut, $cut->count, $plan->profile);
            Assert::assertSame(
                $cut->wire->isHardened(),
                str_contains($step->tool, 'shears'),
                "{$name}: {$step->title}",
            );
            Assert::assertSame(
                ! $cut->wire->isHardened(),
                str_contains($step->text, 'traighten'),
                "{$name}: {$step->text}",
            );
            Assert::assertContains(
                $cut->wire->isHardened() ? Caution::HardWire : Caution::CutEnds,
                $step->cautions,
                $name,
            );
        }
        $isAllHard = array_filter($plan->cuts, fn (Cut $cut): bool => ! $cut->wire->isHardened()) === [];
        foreach ($isAllHard && $plan->cuts !== [] ? $plan->steps() : [] as $step) {
            $isChain = $step->operation === Operation::Cut;
            Assert::assertTrue(
                $isChain || ! str_contains($step->tool, 'flush cutter'),
                "{$name}: {$step->title} with {$step->tool}",
            );
        }
    }

    /** No eye is opened twice. */
    public static function opensOnce(Plan $plan, string $name): void
    {
        $opened = [];
        foreach ($plan->steps() as $step) {
            if ($step->operation === Operation::Hook && $step->asks === '') {
                $key = implode(' ', $step->parts).$step->text;
                Assert::assertArrayNotHasKey($key, $opened, "{$name}: {$step->title}");
                $opened[$key] = true;
            }
        }
        Assert::assertSame(count(array_unique(array_keys($opened))), count($opened), $name);
    }

    /** Nothing is said to be wrapped shut in a piece without wraps. */
    public static function saysHowItCloses(Plan $plan, string $name): void
    {
        $wraps = array_filter($plan->steps(), fn (Step $step): bool => $step->operation === Operation::Wrap);
        foreach ($wraps === [] ? $plan->steps() : [] as $step) {
            Assert::assertStringNotContainsString('wrapped shut', $step->text, "{$name}: {$step->title}");
        }
    }

    /** The first step names every bead and every tool. */
    public static function laysReady(Plan $plan, string $name): void
    {
        $ready = $plan->prepare()[0] ?? null;
        if ($ready === null) {
            return;
        }
        foreach ($plan->beads as $count) {
            Assert::assertStringContainsString($count->all.' × '.$count->bead->words(), $ready->text, $name);
        }
        foreach ($plan->tools() as $tool) {
            Assert::assertStringContainsString($tool, $ready->tool, $name);
        }
        Assert::assertNotSame('', $ready->tool, $name);
    }

    /** Nothing that is bought asks for bending, hammering or a wire. */
    public static function asksNothingOfWhatIsBought(Plan $plan, string $name): void
    {
        $bought = $made = [];
        foreach ($plan->piece->parts as $part) {
            $isBought = $part->technique()->isBought($part);
            $isBought ? $bought[$part->id->text] = $part->wire : $made[$part->wire] = true;
        }
        foreach ($plan->steps() as $step) {
            $isOf = isset($bought[explode('.', $step->part)[0]]);
            Assert::assertTrue(
                ! $isOf
                    || in_array(
                        $step->operation,
                        [
                            Operation::Hook, Operation::Cut, Operation::Open, Operation::Count,
                            // What is changed on it before it is used.
                            Operation::Trim, Operation::File, Operation::Wait,
                            // Cord: what slides on it, and its ends.
                            Operation::Thread, Operation::Crimp,
                        ],
                        true,
                    ),
                "{$name}: {$step->title}",
            );
        }
        foreach (array_diff($bought, array_keys($made)) as $role) {
            Assert::assertNotContains(
                $role,
                $plan->piece->rolesToChoose(),
                "{$name}: no wire is chosen for what is bought",
            );
        }
    }

    /** @param  list<Strung>  $runs */
    private static function isAtOneEnd(array $runs, Strung $run): bool
    {
        return count(array_filter($runs, fn (Strung $other): bool => $other->key === $run->key)) === 1;
    }

    /**
     * How many parts were told of one size: by their setting, the fit sheet, a step and the look over the finished
     * piece.
     */
    public static function tellsOneSize(Plan $plan, string $name): int
    {
        $steps = implode("\n", array_map(fn (Step $step): string => $step->text, $plan->steps()));
        $sentences = implode("\n", FitSheet::of($plan)->sentences);
        foreach ($plan->sized() as [$part, $sizing]) {
            Assert::assertTrue(
                $sizing->fits($part->part),
                "{$name}: {$part->part->mm($sizing->key)} for {$sizing->wantedMm}",
            );
            $formed = preg_match_all('/form it on (.+?)\\.(?= |$)/m', $sentences, $found) > 0 ? $found[1] : [];
            foreach ($formed as $on) {
                Assert::assertStringContainsString($on, $steps, $name);
            }
        }
        $fit = array_values(array_filter(Inspection::of($plan), fn (Point $point): bool => $point->key === 'fit'));
        if ($plan->sized() !== []) {
            [$part, $sizing] = $plan->sized()[0];
            Assert::assertEqualsWithDelta($part->part->mm($sizing->key), $fit[0]->wantedMm ?? 0.0, 1e-9, $name);
        }

        return count($plan->sized());
    }

    /** Every way out that is offered removes the fault it stands under, and brings no stop. */
    public static function waysOutLeadOut(Plan $plan, string $name): void
    {
        $stops = self::faults($plan, Level::Stop);
        foreach ($plan->checks as $check) {
            foreach ($check->ways as $way) {
                $after = Planner::plan(
                    ChangeReader::read(ChangeWriter::fields($way->change))->apply($plan->piece), $plan->profile,
                );
                $left = array_filter(
                    $after->checks,
                    fn (
                        Check $other,
                    ): bool => $other->rule === $check->rule
                        && $other->text === $check->text
                        && $other->part === $check->part
                        && $other->level === $check->level,
                );
                Assert::assertSame([], $left, "{$name}: “{$check->text}” still stands after “{$way->words}”");
                $isBetter = count(self::faultsOf($after, $check)) < count(self::faultsOf($plan, $check));
                Assert::assertTrue(
                    $isBetter,
                    "{$name}: “{$check->text}” after “{$way->words}” is ".implode(
                        ' | ',
                        self::faultsOf($after, $check),
                    ),
                );
                Assert::assertLessThanOrEqual(
                    count($stops),
                    count(self::faults($after, Level::Stop)),
                    "{$name}: “{$way->words}” under “{$check->text}” stops at ".implode(
                        ' | ',
                        array_diff(self::faults($after, Level::Stop), $stops),
                    ),
                );
            }
        }
    }

    /** @return list<string> */
    private static function faults(Plan $plan, Level $level): array
    {
        return array_values(
            array_map(
                fn (Check $check): string => "{$check->rule}: {$check->text}",
                array_filter($plan->checks, fn (Check $check): bool => $check->level === $level),
            ),
        );
    }

    /** @return list<string> faults of the same rule that are as bad or worse */
    private static function faultsOf(Plan $plan, Check $check): array
    {
        $worse = ['ok' => 0, 'note' => 1, 'warn' => 2, 'stop' => 3];

        return array_values(
            array_map(
                fn (Check $other): string => $other->text,
                array_filter(
                    $plan->checks,
                    fn (
                        Check $other,
                    ): bool => $other->rule === $check->rule
                        && $worse[$other->level->value] >= $worse[$check->level->value],
                ),
            ),
        );
    }

    /** @return list<Strung> what a cut carries, from its first end to its last */
    private static function along(Cut $cut): array
    {
        return Stringing::joined(
            array_merge(...array_map(fn (Segment $segment): array => $segment->beads, $cut->segments)),
        );
    }

    /**
     * @param  list<Strung>  $runs
     * @return list<string>
     */
    private static function named(array $runs): array
    {
        return array_map(fn (Strung $run): string => $run->words(), Stringing::joined($runs));
    }

    /** @return list<array{float, float}> */
    private static function points(PieceFigure $figure, string $mark): array
    {
        $points = [];
        foreach (array_filter($figure->strokes, fn (Stroke $stroke): bool => $stroke->mark === $mark) as $stroke) {
            foreach ($stroke->path as $command) {
                $points[] = Stroke::end($command);
            }
        }

        return $points;
    }

    /** @param  list<array{float, float}>  $from */
    private static function distance(PieceFigure $figure, array $from, string $bead, Piece $piece): float
    {
        $least = INF;
        foreach (array_filter(
            $figure->beads, fn (BeadMark $mark): bool => $mark->bead === $piece->beads[$bead],
        ) as $mark) {
            foreach ($from as [$x, $y]) {
                $least = min($least, hypot($mark->xMm - $x, $mark->topMm + $mark->bead->lengthMm / 2 - $y));
            }
        }

        return $least;
    }
}
