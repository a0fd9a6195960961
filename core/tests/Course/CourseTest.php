<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\MoveState;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\Eye;
use Hebra\Core\Course\Shape\FlatSpiral;
use Hebra\Core\Course\Shape\Helix;
use Hebra\Core\Course\Shape\Kicked;
use Hebra\Core\Course\Shape\Laid;
use Hebra\Core\Course\Shape\Lump;
use Hebra\Core\Course\Shape\Outlined;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Sheared;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Fit\Frame as Outline;
use Hebra\Core\Plan\PartDrawing;
use Hebra\Core\Tests\Piece\Everything;
use Hebra\Core\Wrap\Spiral;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** A wire told as a course lies as long as it is cut, goes on where it came to, and bends no tighter than it can. */
final class CourseTest extends TestCase
{
    /**
     * @return array<string, array{Shape, float}> a shape, and by how much its curve may be out of its length, as a
     *     share
     */
    public static function shapes(): array
    {
        $shapes = [
            'straight' => [new Straight(12.5), 1e-9],
            'half a turn' => [Arc::turns(9.0, 0.812, 0.5), 2e-4],
            'away from its side' => [new Arc(4.0, -2.0), 1e-4],
            'a plain eye' => [new Eye(2.5, 0.644), 1e-3],
            'a tight plain eye' => [new Eye(0.8, 0.511), 1e-3],
            'a coil of 30' => [Helix::wraps(30, 0.812, 0.511), 0.005],
            'wraps round two stems' => [Helix::wraps(4, 1.0, 0.5, 2), 0.005],
            'a turn of a length' => [Helix::ofLength(14.0, 1.0, 1.2), 0.005],
            'a flat spiral' => [new FlatSpiral(new Spiral(0.8, 1.0, 3)), 0.005],
            'a kicked spiral' => [new Kicked(new Spiral(0.8, 1.0, 3)), 0.005],
            'turned' => [new Rolled(new Arc(3.0, 1.0), 30.0), 1e-4],
            'one after the other' => [new Together(new Straight(3.0), new Corner(90.0), new Arc(2.0, 1.5)), 1e-4],
            'ends side by side' => [new Sheared(new Arc(12.0, 2 * M_PI), 0.8), 0.001],
        ];
        $straight = new Host(new Curve([Span::straight(new Vector(0.0, 3.0), new Vector(0.0, 60.0))]));
        $bent = new Host(new Curve((new Arc(9.05, 6.0))->laid(Frame::right(0.0, 3.0))[0]));
        foreach (['straight' => $straight, 'bent' => $bent] as $name => $host) {
            $shapes["wound on {$name} wire"] = [Wound::close($host, 4.0, 3, 0.812, 0.511), 0.003];
            $shapes["wound round two, {$name}"] = [Wound::close($host, 4.0, 5, 0.812, 0.321, 0.812), 0.003];
            $shapes["so long on {$name} wire"] = [Wound::ofLength($host, 2.0, 40.0, 7.3, 6.0), 0.003];
            $shapes["reached on {$name} wire"] = [
                Wound::between($host, 2.0, 40.0, 7, 6.0, 0.8, new Vector(2.0, 1.0, 1.0)), 0.003,
            ];
        }
        foreach ([1, 2, 3, 7] as $wraps) {
            $helix = Helix::wraps($wraps, 0.644, 0.644);
            $shapes["an eye closed by {$wraps}"] = [new Eye(2.5, 0.644, $helix), 0.005];
            $shapes["{$wraps} wraps"] = [$helix, 0.005];
        }
        foreach (Outline::cases() as $outline) {
            $shapes["a frame, {$outline->value}"] = [new Outlined($outline, 25.0), 1e-3];
        }

        return $shapes;
    }

    #[DataProvider('shapes')]
    public function test_a_shape_is_as_long_as_it_says_and_goes_on_as_it_ends(Shape $shape, float $within): void
    {
        $isOnHost = $shape instanceof Wound || $shape instanceof Laid;
        $anywhere = [Frame::down(3.0), Frame::right(-2.0, 7.0)->rolled(0.7)->bent(0.4)];
        foreach ($isOnHost ? [$shape->laid(Frame::down(0.0))] : $anywhere as $from) {
            $from = $from instanceof Frame ? $from : Frame::down(0.0)->in($from[0][0]->from);
            [$spans, $end] = $shape->laid($from);
            self::assertEqualsWithDelta(
                $shape->lengthMm(), (new Curve($spans))->lengthMm(), $within * $shape->lengthMm(),
            );
            self::assertEqualsWithDelta(0.0, $spans[0]->from->minus($from->at)->lengthMm(), 1e-9);
            self::assertEqualsWithDelta(0.0, $spans[count($spans) - 1]->to->minus($end->at)->lengthMm(), 1e-9);
            self::assertEqualsWithDelta(1.0, $end->ahead->lengthMm(), 1e-9);
            self::assertEqualsWithDelta(0.0, $end->ahead->dot($end->towards), 1e-9);
        }
    }

    /** A frame's last corner turns the wire up on the spot: nothing more of it lies beyond. */
    public function test_a_frame_comes_back_to_its_top(): void
    {
        foreach (Outline::cases() as $outline) {
            $from = Frame::right(0.0, 4.0);
            [, $end] = (new Outlined($outline, 30.0))->laid($from);
            self::assertEqualsWithDelta(0.0, $end->at->minus($from->at)->lengthMm(), 1e-9, $outline->value);
            self::assertEqualsWithDelta(1.0, $end->ahead->dot($from->ahead), 1e-9, $outline->value);
        }
    }

    /** The inside of a loop ends an inside and a wire's thickness above its neck, as hanging lengths reckon. */
    public function test_an_eye_stands_over_its_neck(): void
    {
        foreach ([[0.8, 0.511], [2.5, 0.644], [6.0, 1.024]] as [$inside, $wire]) {
            foreach ([null, Helix::wraps(3, $wire, $wire)] as $wraps) {
                [$spans] = (new Eye($inside, $wire, $wraps))->laid(Frame::down(0.0)->back());
                $points = (new Curve($spans))->points(0.01);
                [$xs, $ys] = [array_column($points, 'x'), array_column($points, 'y')];
                self::assertEqualsWithDelta(-($inside + 1.5 * $wire), min($ys), 0.01);
                // Over the middle: as far out on one side as on the other; what closes it is taken from its width.
                $takes = $wraps === null ? 0.02 * $inside : 0.25 * $wire;
                self::assertEqualsWithDelta(0.0, min($xs) + max($xs), $takes);
                self::assertEqualsWithDelta($inside + $wire, max($xs) - min($xs), $takes);
            }
        }
    }

    /** @return iterable<string, array{Course, float}> every course there is, and its wire's thickness */
    private static function courses(): iterable
    {
        foreach (Everything::parts(120) as $name => $plan) {
            foreach ($plan->technique->courses($plan) as $course) {
                yield "{$name} {$course->label}" => [$course, $plan->wireOf($course->role)->diameterMm()];
            }
        }
    }

    /** Whether a move's own length is what its wire is bent along: not what is melted, hammered, hidden or bought. */
    private static function isWire(Move $move): bool
    {
        return $move->segment->kind->stays() && $move->segment->lengthMm > 1e-6 && $move->wideMm === null
            && $move->shape->lengthMm() > 0;
    }

    #[Group('wide')]
    public function test_every_move_lies_as_long_as_it_is_cut(): void
    {
        $moves = 0;
        foreach (self::courses() as $name => [$course]) {
            foreach ($course->curves() as $at => $curve) {
                $move = $course->moves[$at];
                if (self::isWire($move)) {
                    $moves++;
                    // Over a frame's corner, or with a bead as long as its rim is wide, which a check stops, it takes a
                    // little else.
                    $isBent = str_contains($name, 'frame') || str_contains($name, 'changed');
                    $within = match ($move->segment->kind) {
                        SegmentKind::Weave => 0.01,
                        SegmentKind::Binding => $isBent ? 0.02 : 0.005,
                        default => 0.005,
                    };
                    $words = "{$name}: {$move->segment->words}";
                    // What practice allows for several passes is no length of a curve: a pattern's two rows lie within
                    // it,
                    // rows far out take more.
                    if (str_contains($move->segment->working->source, 'at each end of a pass')) {
                        if (! str_contains($name, 'changed')) {
                            self::assertLessThan($move->segment->lengthMm, $curve->lengthMm(), $words);
                            self::assertGreaterThan($move->segment->lengthMm / 2, $curve->lengthMm(), $words);
                        }

                        continue;
                    }
                    self::assertEqualsWithDelta(
                        $move->segment->lengthMm, $curve->lengthMm(), $within * $move->segment->lengthMm, $words,
                    );
                }
            }
        }
        self::assertGreaterThan(3000, $moves);
    }

    #[Group('wide')]
    public function test_every_course_goes_on_where_it_came_to(): void
    {
        foreach (self::courses() as $name => [$course]) {
            $last = null;
            foreach ($course->curves() as $at => $curve) {
                // What is melted to a ball lies in its middle, as long as it is thick.
                foreach ($course->moves[$at]->shape instanceof Lump ? [] : $curve->spans as $span) {
                    if ($last instanceof Span) {
                        self::assertEqualsWithDelta(0.0, $span->from->minus($last->to)->lengthMm(), 0.01, $name);
                    }
                    $last = $span;
                }
            }
        }
    }

    /**
     * Along a stretch, corners apart, no centreline is bent to less than half its wire's thickness. Flat spirals are
     * reckoned from the inside of their eye (common practice), a little less than their inner turn lies.
     */
    #[Group('wide')]
    public function test_no_wire_is_bent_into_itself(): void
    {
        foreach (self::courses() as $name => [$course, $wireMm]) {
            foreach ($course->curves() as $at => $curve) {
                $isSpiral = in_array($course->moves[$at]->segment->kind, [SegmentKind::Curl, SegmentKind::Foot], true);
                foreach (self::isWire($course->moves[$at]) && ! $isSpiral ? $curve->spans : [] as $span) {
                    foreach ([0.1, 0.5, 0.9] as $share) {
                        self::assertGreaterThan(
                            0.45 * $wireMm, $span->radiusMm($share), "{$name}: {$course->moves[$at]->segment->words}",
                        );
                    }
                }
            }
        }
    }

    /** What hangs in an eye hangs on its wire: half its thickness beside its middle. */
    #[Group('wide')]
    public function test_every_eye_that_can_be_hung_in_lies_on_its_wire(): void
    {
        $eyes = 0;
        foreach (Everything::parts(120) as $name => $plan) {
            $drawing = PartDrawing::of($plan, ! $plan->technique->isFaceAcross($plan));
            foreach ($plan->technique->eyes($plan, $plan->part->id->text) as $eye => $told) {
                if ($eye === 'top') {
                    continue;
                }
                $where = "{$name}, {$plan->part->id} {$told->words}";
                $hung = $drawing->eyes[$eye] ?? null;
                self::assertNotNull($hung, $where);
                $least = INF;
                // A bead's own hole lies within it.
                foreach ($drawing->figure()->beads as $bead) {
                    if ($bead->mark === $told->mark) {
                        $middle = $bead->topMm + $bead->bead->lengthMm / 2;
                        $off = hypot($bead->xMm - $hung->xMm, $middle - $hung->yMm) - $bead->bead->widthMm / 2;
                        $least = min($least, max(0.0, $off));
                    }
                }
                foreach ($drawing->figure()->strokes as $stroke) {
                    $last = Stroke::end($stroke->path[0]);
                    foreach ($stroke->path as $command) {
                        $end = Stroke::end($command);
                        for ($share = 0; $share <= 8; $share++) {
                            [$x, $y] = $command[0] === 'C'
                                ? self::onCubic($last, $command, $share / 8)
                                : [
                                    $last[0] + ($end[0] - $last[0]) * $share / 8,
                                    $last[1] + ($end[1] - $last[1]) * $share / 8,
                                ];
                            $least = min($least, hypot($x - $hung->xMm, $y - $hung->yMm));
                        }
                        $last = $end;
                    }
                }
                self::assertLessThan(1.2 * $told->wireMm + 0.6, $least, $where);
                $eyes++;
            }
        }
        self::assertGreaterThan(300, $eyes);
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}  $curve
     * @return array{float, float}
     */
    private static function onCubic(array $from, array $curve, float $share): array
    {
        $at = (new Span(
            new Vector(...$from), new Vector((float) $curve[1], (float) $curve[2]),
            new Vector((float) ($curve[3] ?? 0), (float) ($curve[4] ?? 0)), new Vector(...Stroke::end($curve)),
        ))->at($share);

        return [$at->x, $at->y];
    }

    /** A course keeps how it was formed: what is made in stages, or stands on it, is never taken for another. */
    public function test_states_that_differ_have_keys_that_differ(): void
    {
        $run = fn (string $bead, int $count): array => [new Threaded(Bead::parse($bead), $count, 'p1:bead-0')];
        $states = [
            new MoveState(1.0, []), new MoveState(0.5, []), new MoveState(1.0, [], true),
            new MoveState(1.0, [], isThere: false), new MoveState(1.0, [], isWide: false),
            new MoveState(1.0, $run('4mm round, sea', 1)), new MoveState(1.0, $run('4mm round, sea', 2)),
            new MoveState(1.0, $run('6mm round, sea', 1)),
        ];
        $keys = array_map(fn (MoveState $state): string => $state->key(), $states);

        self::assertSame($keys, array_values(array_unique($keys)));
        self::assertSame($keys[5], (new MoveState(1.0, $run('4mm round, sea', 1)))->key());
    }
}
