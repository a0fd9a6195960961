<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Figure\View;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\FormingPicture;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\HandHint;
use Hebra\Core\Plan\HandHints;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Signs on the pictures of steps: read off the wire before and after, for every step of every pattern. */
final class HandHintsTest extends TestCase
{
    /** @return iterable<string, array{FormingStates, int, FormingPicture, list<HandHint>}> */
    private static function steps(): iterable
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            $plan = Planner::plan(Patterns::start($pattern, 'One'), new Profile);
            $states = new FormingStates($plan);
            for ($step = 0; $step < $states->count(); $step++) {
                if ($states->part($step) !== null) {
                    $hints = HandHints::of($states, $step, View::Front);
                    yield "{$pattern}, {$states->step($step)->title}" => [
                        $states, $step, FormingPicture::of($plan, $states, $step), $hints,
                    ];
                }
            }
        }
    }

    /** @return array{float, float, float, float} */
    private static function bounds(PieceFigure ...$figures): array
    {
        $all = array_map(fn (PieceFigure $one): array => $one->bounds(), $figures);

        return [
            min(array_column($all, 0)), min(array_column($all, 1)), max(array_column($all, 2)),
            max(array_column($all, 3)),
        ];
    }

    #[Group('wide')]
    public function test_a_sign_stands_where_the_wire_is_and_is_of_the_step(): void
    {
        $kinds = [];
        foreach (self::steps() as $name => [$states, $step, $picture, $hints]) {
            $operation = $states->step($step)->operation;
            foreach ($hints as $hint) {
                $kinds[$hint->kind] = ($kinds[$hint->kind] ?? 0) + 1;
                self::assertContains($operation, match ($hint->kind) {
                    'turn', 'swing' => [Operation::Eye, Operation::Spiral, Operation::Bend],
                    'wind' => [Operation::Wrap, Operation::Bind, Operation::Coil, Operation::TurnOver],
                    'tap' => [Operation::Hammer],
                    'file' => [Operation::File],
                    default => [Operation::Trim],
                }, $name);
                $figures = array_filter([$picture->before?->whole(), $picture->after->whole()]);
                [$left, $top, $right, $bottom] = self::bounds(...$figures);
                self::assertTrue(
                    $hint->xMm > $left - 3.0
                        && $hint->xMm < $right + 3.0
                        && $hint->yMm > $top - 3.0
                        && $hint->yMm < $bottom + 3.0,
                    "{$name}: {$hint->kind} at {$hint->xMm} {$hint->yMm}",
                );
                self::assertGreaterThan(0.0, $hint->sizeMm, $name);
            }
        }
        $wanted = ['turn' => 300, 'wind' => 150, 'cut' => 60, 'swing' => 60, 'tap' => 20, 'file' => 60];
        foreach ($wanted as $kind => $least) {
            self::assertGreaterThan($least, $kinds[$kind] ?? 0, $kind);
        }
    }

    /** Every eye that is turned says which way; it goes round at least once but for the neck's kick. */
    #[Group('wide')]
    public function test_every_eye_says_which_way_it_is_turned(): void
    {
        $eyes = 0;
        foreach (self::steps() as $name => [$states, $step, , $hints]) {
            if ($states->step($step)->operation === Operation::Eye) {
                self::assertNotSame([], $hints, $name);
                $eyes++;
            }
        }
        self::assertGreaterThan(300, $eyes);
    }

    /** Where it is cut nothing of what goes off is left after, and the cutter stands at the end that stays. */
    #[Group('wide')]
    public function test_what_is_cut_off_is_gone_and_the_cutter_stands_at_what_stays(): void
    {
        $cuts = 0;
        foreach (self::steps() as $name => [$states, $step, $picture, $hints]) {
            self::assertTrue($states->step($step)->operation !== Operation::Trim || $hints !== [], "{$name}: where?");
            foreach ($hints as $hint) {
                if ($hint->kind !== 'cut' || $picture->before === null) {
                    continue;
                }
                $near = INF;
                foreach ($picture->after->whole()->strokes as $stroke) {
                    foreach ($stroke->path as $command) {
                        [$x, $y] = array_slice($command, -2);
                        $near = min($near, hypot((float) $x - $hint->xMm, (float) $y - $hint->yMm));
                    }
                }
                self::assertLessThan(1.5, $near, "{$name}: {$near} mm from what stays");
                $cuts++;
            }
        }
        self::assertGreaterThan(60, $cuts);
    }

    /** From the other side everything that goes round goes round the other way. */
    public function test_seen_from_behind_an_eye_is_turned_the_other_way(): void
    {
        $turned = 0;
        foreach (['link-and-drop', 'single-drop', 'spiral-drop'] as $pattern) {
            $states = new FormingStates(Planner::plan(Patterns::start($pattern, 'One'), new Profile));
            for ($step = 0; $step < $states->count(); $step++) {
                [$front, $back] = [
                    HandHints::of($states, $step, View::Front)[0] ?? null,
                    HandHints::of($states, $step, View::Back)[0] ?? null,
                ];
                if ($front?->kind === 'turn' && $back?->kind === 'turn' && abs($front->degrees) > 300.0) {
                    self::assertSame($front->degrees <=> 0.0, 0.0 <=> $back->degrees, "{$pattern}, {$step}");
                    $turned++;
                }
            }
        }
        self::assertGreaterThan(3, $turned);
    }

    /**
     * By the picture alone: wraps go from the loop along the neck. Where their near halves lean down to the right as
     * they go down, or up to the right as they go up, the hand goes to the right before the neck.
     */
    public function test_wraps_lean_the_way_that_the_hand_goes(): void
    {
        $plan = Planner::plan(Patterns::start('link-and-drop', 'One'), new Profile);
        $states = new FormingStates($plan);
        $wound = 0;
        for ($step = 0; $step < $states->count(); $step++) {
            $told = $states->step($step);
            $hint = HandHints::of($states, $step, View::Front)[0] ?? null;
            if ($told->operation !== Operation::Wrap || $hint === null) {
                continue;
            }
            $along = str_contains($told->title, 'bottom') ? -1 : 1;
            self::assertSame($this->leans($states, $step, $plan) * $along, $this->nearGoes($hint), $told->title);
            $wound++;
        }
        self::assertGreaterThan(2, $wound);
    }

    /** 1 where what is nearest of the wraps leans down to the right. */
    private function leans(FormingStates $states, int $step, Plan $plan): int
    {
        $marks = $states->step($step)->marks;
        $strokes = array_filter(
            FormingPicture::of($plan, $states, $step)->after->whole()->strokes,
            fn (Stroke $stroke): bool => in_array($stroke->mark, $marks, true),
        );
        $nearest = max(array_map(fn (Stroke $stroke): int => $stroke->layer, $strokes));
        $slopes = 0.0;
        foreach ($strokes as $stroke) {
            [$x, $y] = Stroke::end($stroke->path[0]);
            [$toX, $toY] = Stroke::end($stroke->path[count($stroke->path) - 1]);
            $slopes += $stroke->layer === $nearest ? ($toX - $x) * ($toY - $y) : 0.0;
        }

        return $slopes <=> 0.0;
    }

    /** 1 where the sign goes to the right before what is wound: right of an axis that runs down is left on the page. */
    private function nearGoes(HandHint $hint): int
    {
        $isDown = sin(deg2rad($hint->fromDegrees)) > 0.0;

        return ($hint->degrees > 0.0) === $isDown ? -1 : 1;
    }

    /** Round jaws stand on both sides of the wire and do not lie in it; flat ones hold what is beside the wraps. */
    #[Group('wide')]
    public function test_pliers_hold_the_wire_where_it_is(): void
    {
        $round = $flat = 0;
        foreach (self::steps() as $name => [$states, $step, $picture]) {
            $jaws = HandHints::jaws($states, $step, View::Front);
            $operation = $states->step($step)->operation;
            if ($jaws === []) {
                continue;
            }
            self::assertNotNull($picture->before, $name);
            [$left, $top, $right, $bottom] = self::bounds($picture->before->whole(), $picture->after->whole());
            foreach ($jaws as $jaw) {
                $reach = 2.0 * $jaw->radiusMm + 3.0;
                self::assertGreaterThan(0.0, $jaw->radiusMm, $name);
                self::assertTrue(
                    $jaw->xMm > $left - $reach && $jaw->xMm < $right + $reach && $jaw->yMm > $top - $reach
                        && $jaw->yMm < $bottom + $reach, $name,
                );
            }
            if ($jaws[0]->isRound) {
                self::assertSame([2, Operation::Eye], [count($jaws), $operation], $name);
                $apart = hypot($jaws[0]->xMm - $jaws[1]->xMm, $jaws[0]->yMm - $jaws[1]->yMm);
                // Between them is the wire, seen as thick as it is.
                self::assertGreaterThan(2.0 * $jaws[0]->radiusMm + 0.15, $apart, $name);
                $round++;
            } else {
                self::assertContains([count($jaws), $operation], [[1, Operation::Wrap], [1, Operation::Crimp]], $name);
                self::assertContains($jaws[0]->degrees, [0.0, 180.0], $name);
                $flat++;
            }
        }
        self::assertGreaterThan(200, $round);
        self::assertGreaterThan(80, $flat);
    }

    /** The rod under a bend is the one that its step names: as thick as the bend is inside. */
    #[Group('wide')]
    public function test_a_bend_lies_on_its_rod(): void
    {
        $rods = 0;
        foreach (self::steps() as $name => [$states, $step, $picture]) {
            $rod = HandHints::under($states, $step, View::Front);
            if ($rod === null || ! $rod->isRound) {
                self::assertSame($rod !== null, $states->step($step)->operation === Operation::Hammer, $name);

                continue;
            }
            self::assertContains($states->step($step)->operation, [Operation::Bend, Operation::Coil], $name);
            [$left, $top, $right, $bottom] = $picture->focus($picture->after);
            // A bend of sixty degrees and more shows at least its rod’s radius.
            self::assertLessThan(2.2 * max($right - $left, $bottom - $top), 2.0 * $rod->radiusMm, $name);
            self::assertGreaterThan(0.2 * max($right - $left, $bottom - $top), 2.0 * $rod->radiusMm, $name);
            $rods++;
        }
        self::assertGreaterThan(60, $rods);
        $plan = Planner::plan(Patterns::start('charm-bracelet', 'One'), new Profile);
        $states = new FormingStates($plan);
        for ($step = 0; $step < $states->count(); $step++) {
            if ($states->step($step)->title === 'Hook: bend the hook') {
                $inside = (float) $states->part($step)?->part->mm('bend');
                $rod = HandHints::under($states, $step, View::Front);
                self::assertEqualsWithDelta($inside, 2.0 * ($rod->radiusMm ?? 0.0), 0.02 * $inside);

                return;
            }
        }
        self::fail('There is no hook to bend.');
    }

    /** A bend is seen: its picture after is another than before, but where what is round is only trued up. */
    #[Group('wide')]
    public function test_a_bend_changes_its_picture(): void
    {
        $same = [];
        $paths = fn (PieceFigure $figure): string => (string) json_encode(
            array_map(fn (Stroke $stroke): array => $stroke->path, $figure->strokes),
        );
        foreach (self::steps() as $name => [$states, $step, $picture]) {
            $isBend = $states->step($step)->operation === Operation::Bend;
            $was = $isBend ? $picture->before?->whole() : null;
            if ($was !== null && $paths($was) === $paths($picture->after->whole())) {
                $same[] = $name;
            }
        }
        self::assertSame(['tendril-ring-four, Ring with tendrils: true it up'], $same);
    }
}
