<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Figure;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Helix;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\Seen;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Figure\View;
use Hebra\Core\Plan\PartDrawing;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Piece\Everything;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** From the back a part is its front mirrored, near and far exchanged; at a crossing the nearer is drawn later. */
final class ViewTest extends TestCase
{
    /** @return list<array{float, float, string}> */
    private static function beads(PartDrawing $drawing, float $side): array
    {
        $beads = array_map(
            fn (BeadMark $mark): array => [round($side * $mark->xMm, 3) + 0.0, round($mark->topMm, 3), $mark->mark],
            $drawing->figure()->beads,
        );
        sort($beads);

        return $beads;
    }

    #[Group('wide')]
    public function test_the_back_is_the_front_turned_about(): void
    {
        foreach (Everything::parts(40) as $name => $plan) {
            [$front, $back] = [PartDrawing::of($plan, true), PartDrawing::of($plan, true, View::Back)];
            [$left, , $right, $bottom] = $front->figure()->reach();
            [$backLeft, , $backRight, $backBottom] = $back->figure()->reach();
            // Of what is wound the far half is left out, by half its wire at most.
            self::assertEqualsWithDelta(
                [$left, $right, $bottom], [-$backRight, -$backLeft, $backBottom], 1.2 * $plan->wireMm(), $name,
            );
            self::assertEqualsWithDelta(self::beads($front, 1.0), self::beads($back, -1.0), 0.01, $name);
            foreach ($front->eyes as $eye => $hung) {
                self::assertEqualsWithDelta(-$hung->xMm, $back->eyes[$eye]->xMm, 0.001, "{$name} {$eye}");
                self::assertSame($hung->facing, $back->eyes[$eye]->facing, "{$name} {$eye}");
            }
        }
    }

    /** From above a wire is as wide as from the front, and as high on the page as it is deep. */
    #[Group('wide')]
    public function test_from_above_width_stays_and_depth_is_height(): void
    {
        foreach (Everything::parts(10) as $name => $plan) {
            $x = $z = [0.0];
            foreach ($plan->technique->courses($plan) as $course) {
                foreach ($course->curves() as $at => $curve) {
                    foreach ($course->moves[$at]->isSeen() ? $curve->points(1.0) : [] as $point) {
                        [$x[], $z[]] = [$point->x, $point->z];
                    }
                }
            }
            $plate = $plan->technique->plate($plan);
            foreach ($plate->outline ?? [] as [$side]) {
                array_push($x, $side);
                array_push($z, -($plate->thickMm ?? 0.0) / 2, ($plate->thickMm ?? 0.0) / 2);
            }
            $figure = PartDrawing::of($plan, ! $plan->technique->isFaceAcross($plan), View::Top)->figure();
            $bead = $plan->widestMm() + 4 * $plan->wireMm();
            [$left, $top, $right, $bottom] = $figure->reach();
            self::assertEqualsWithDelta(max($x) - min($x), $right - $left, 2 * $bead + 1.0, $name);
            self::assertEqualsWithDelta(max($z) - min($z), $bottom - $top, 2 * $bead + 1.0, $name);
        }
    }

    /**
     * A wire that passes before another and comes back behind it: from the front the first crossing covers, from the
     * back the second.
     */
    public function test_at_a_crossing_the_nearer_is_drawn_later(): void
    {
        $wire = new Wire(Metal::Copper, WireSize::awg(20), Temper::DeadSoft);
        $move = fn (string $mark, SegmentKind $kind, float $mm, Helix|Straight $shape): Move => new Move(
            Segment::given($kind, $mm, $mark, $mark, 'for the test', 'the test'), $shape,
        );
        $post = new Course(
            'post', 'wire', [$move('post', SegmentKind::Straight, 10.0, new Straight(10.0))], Frame::down(0.0),
        );
        // One turn of a wide helix round it, going before it first.
        $round = new Helix(4.0, 1.0, 2.0, hand: -1);
        $start = new Frame(new Vector(4.0, 4.0), new Vector(0.0, 0.0, 1.0), new Vector(-1.0, 0.0));
        $ring = new Course(
            'ring', 'wire', [$move('ring', SegmentKind::Round, $round->lengthMm(), $round)],
            $start->tilted($round->slope()),
        );
        foreach ([0.0 => [4.0, 5.0], 180.0 => [5.0, 6.0]] as $degrees => [$least, $most]) {
            $seen = new Seen((float) $degrees);
            $seen->part([[$ring, $wire], [$post, $wire]]);
            $order = $seen->figure()->farToNear();
            $last = $order[count($order) - 1];
            self::assertSame('ring', $last->mark);
            [, $y] = Stroke::end($last->path[0]);
            self::assertGreaterThanOrEqual($least - 0.1, $y);
            self::assertLessThanOrEqual($most + 0.1, $y);
            $posts = array_keys(array_filter($order, fn (Stroke $stroke): bool => $stroke->mark === 'post'));
            self::assertGreaterThan(0, $posts[0], 'what passes behind is drawn before it');
        }
    }

    /** A piece seen from its sides hangs as long as from its front: what hangs below hangs in its eye. */
    #[Group('wide')]
    public function test_a_piece_hangs_alike_from_every_side(): void
    {
        foreach (Everything::patterns() as $name => $piece) {
            $plan = Planner::plan($piece, new Profile);
            $front = $plan->assembly()->heightMm();
            foreach (count($plan->views()) === 2 ? [View::Back] : [View::Back, View::Side] as $view) {
                self::assertEqualsWithDelta(
                    $front, $plan->seen($view)->heightMm(), 0.15 * $front + 1.0, "{$name} from the {$view->value}",
                );
            }
        }
    }
}
