<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Scene;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\SeenPath;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Plan\PartDrawing;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Scene\Dxf;
use Hebra\Core\Scene\Mesh;
use Hebra\Core\Scene\Solid;
use Hebra\Core\Scene\Tube;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** The piece in space: solids are closed and face outwards, and lines lie where the drawing has them. */
final class SceneTest extends TestCase
{
    /** Of a closed surface that faces outwards [divergence theorem]. */
    private static function volume(Mesh $mesh): float
    {
        $volume = 0.0;
        foreach (array_chunk($mesh->triangles, 3) as $triangle) {
            [$a, $b, $c] = array_map(fn (int $corner): Vector => $mesh->corners[$corner], $triangle);
            $volume += $a->dot($b->cross($c)) / 6;
        }

        return $volume;
    }

    /** A ring of eight corners has 4·sin 45° = 2.828 of the square of its radius instead of π. */
    public function test_a_tube_holds_the_metal_of_its_wire(): void
    {
        $shape = new Together(new Straight(10.0), new Arc(4.0, M_PI), new Straight(6.0));
        $curve = new Curve($shape->laid(Frame::right(3.0, 5.0))[0]);
        $volume = self::volume(Tube::along($curve, 1.0));
        self::assertEqualsWithDelta(4 * sin(M_PI / 4) * 0.25 * $curve->lengthMm(), $volume, 0.02 * $volume);
    }

    public function test_beads_face_outwards_and_fill_their_size(): void
    {
        foreach (BeadShape::cases() as $shape) {
            $bead = Bead::of($shape, 8.0, 6.0, 1.0, name: $shape->value);
            $mesh = Solid::of($bead, new Vector(2.0, 3.0, 1.0), new Vector(0.3, 1.0, 0.2));
            self::assertGreaterThan(0.0, self::volume($mesh), $bead->name);
            foreach ($mesh->corners as $corner) {
                $reach = sqrt(2 * $bead->widthMm ** 2 + $bead->lengthMm ** 2) / 2;
                self::assertLessThan($reach + 1e-6, $corner->minus(new Vector(2.0, 3.0, 1.0))->lengthMm(), $bead->name);
            }
        }
    }

    /** Every polyline as long as its wire's curve; as many as there are wires and copies of them. */
    #[Group('wide')]
    public function test_the_lines_of_a_drawing_file_are_as_long_as_the_wires(): void
    {
        foreach (Everything::patterns() as $name => $piece) {
            $scene = Planner::plan($piece, new Profile)->scene();
            $lines = explode('POLYLINE', Dxf::of($scene));
            $at = 0;
            foreach ($scene as $part) {
                foreach ($part->poses as $pose) {
                    foreach ($part->wires as $wire) {
                        $at++;
                        preg_match_all(
                            '/VERTEX\r\n8\r\n\S*\r\n10\r\n(\S+)\r\n20\r\n(\S+)\r\n30\r\n(\S+)/', $lines[$at], $found,
                            PREG_SET_ORDER,
                        );
                        $long = 0.0;
                        for ($point = 1; $point < count($found); $point++) {
                            [[, $x, $y, $z], [, $toX, $toY, $toZ]] = [$found[$point - 1], $found[$point]];
                            $long += sqrt(($toX - $x) ** 2 + ($toY - $y) ** 2 + ($toZ - $z) ** 2);
                        }
                        self::assertEqualsWithDelta(
                            $wire->curve->lengthMm(), $long, 0.03 * $long + 0.1,
                            "{$name}: {$part->name} {$wire->label}",
                        );
                    }
                }
            }
            self::assertCount($at + 1, $lines, $name);
        }
    }

    /**
     * Beads stand in space where the drawing has them: seen aside by the same share, whichever way their part faces.
     */
    #[Group('wide')]
    public function test_space_and_drawing_agree(): void
    {
        $beads = 0;
        foreach (Everything::patterns() as $name => $piece) {
            $plan = Planner::plan($piece, new Profile);
            foreach ($plan->isLaidRound() ? [] : $plan->scene() as $part) {
                $own = PartPlan::of($piece, $piece->part(PartId::of($part->name)), new Profile);
                $seen = [];
                foreach ($part->beads as $bead) {
                    [$x, $y] = SeenPath::page($bead->at);
                    $seen[] = [round($x, 2), round($y - $bead->bead->lengthMm / 2, 2)];
                    $beads++;
                }
                sort($seen);
                $drawn = array_map(
                    fn (bool $facing): array => self::marks(PartDrawing::of($own, $facing)), [true, false],
                );
                $off = array_map(fn (array $marks): float => self::apart($marks, $seen), $drawn);
                self::assertLessThan(0.05, min($off), "{$name}, {$part->name}");
            }
        }
        self::assertGreaterThan(100, $beads);
    }

    /** @return list<array{float, float}> */
    private static function marks(PartDrawing $drawing): array
    {
        $marks = array_map(
            fn (BeadMark $mark): array => [round($mark->xMm, 2), round($mark->topMm, 2)], $drawing->figure()->beads,
        );
        sort($marks);

        return $marks;
    }

    /**
     * @param  list<array{float, float}>  $one
     * @param  list<array{float, float}>  $other
     */
    private static function apart(array $one, array $other): float
    {
        self::assertSameSize($one, $other);
        $most = 0.0;
        foreach ($one as [$x, $y]) {
            $most = max($most, min(array_map(fn (array $at): float => hypot($at[0] - $x, $at[1] - $y), $other)));
        }

        return $most;
    }
}
