<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Course\BendTable;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Feed, rotation and bend tell the wire that they were read off. */
final class BendTableTest extends TestCase
{
    public function test_a_bend_of_a_quarter_another_across_it_and_a_corner(): void
    {
        $shape = new Together(
            new Straight(10.0), new Arc(3.0, M_PI / 2), new Straight(5.0), new Rolled(new Arc(3.0, M_PI), 90.0),
            new Straight(2.0), new Corner(45.0), new Straight(4.0),
        );
        [$spans] = $shape->laid(Frame::right(0.0, 0.0));
        $rows = BendTable::of(new Curve($spans), 1.0);
        self::assertEqualsWithDelta([
            ['feed_mm' => 10.0, 'rotation_deg' => 0.0, 'angle_deg' => 90.0, 'radius_mm' => 2.5],
            ['feed_mm' => 5.0, 'rotation_deg' => 90.0, 'angle_deg' => 180.0, 'radius_mm' => 2.5],
            ['feed_mm' => 2.0, 'rotation_deg' => 0.0, 'angle_deg' => 45.0, 'radius_mm' => 0.0],
            ['feed_mm' => 4.0, 'rotation_deg' => 0.0, 'angle_deg' => 0.0, 'radius_mm' => 0.0],
        ], $rows, 0.05);
    }

    /** Fed and bent it takes the wire that its curve is long: nothing is left out between two bends. */
    #[Group('wide')]
    public function test_the_table_of_every_wire_is_as_long_as_its_curve(): void
    {
        $wires = 0;
        foreach (Everything::patterns() as $name => $piece) {
            $plan = Planner::plan($piece, new Profile);
            $curves = array_column($plan->toArray(true)['courses'], 'curve_mm', 'wire');
            foreach ($plan->bendTables() as ['wire' => $wire, 'cut' => $cut, 'bends' => $bends]) {
                if (! isset($curves[$wire])) {
                    continue;
                }
                $cuts = array_filter($plan->strips(), fn ($one): bool => $one->key() === $wire);
                $half = array_values($cuts)[0]->wire->diameterMm() / 2;
                $long = 0.0;
                foreach ($bends as $bend) {
                    $isCorner = $bend['radius_mm'] === 0.0;
                    $long += $bend['feed_mm'] + ($isCorner ? 0.0 : deg2rad($bend['angle_deg']) * ($bend['radius_mm'] + $half));
                }
                $told = 0.0;
                for ($at = 1; $at < count($curves[$wire]); $at++) {
                    [$one, $other] = [$curves[$wire][$at - 1], $curves[$wire][$at]];
                    $told += sqrt(($one[0] - $other[0]) ** 2 + ($one[1] - $other[1]) ** 2 + ($one[2] - $other[2]) ** 2);
                }
                self::assertEqualsWithDelta($told, $long, 0.06 * $told + 0.5, "{$name}: {$cut}");
                $wires++;
            }
        }
        self::assertGreaterThan(60, $wires);
    }
}
