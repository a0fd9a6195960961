<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Vector;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/**
 * No wire goes through a bead but in its holes: beads as the flat bodies of revolution that they are told as, hollow
 * ones and those of several holes apart, and what leads a wire to the mouth of its own hole.
 */
final class InBeadsTest extends TestCase
{
    /** In thicknesses of the wire: so deep at most its middle line lies in a bead's rim, where it is bent beside it. */
    private const RIM = 1.2;

    /** How much wider than its hole what goes through it may be told. */
    private const HOLE_MM = 0.2;

    private const STEP_MM = 0.3;

    /** @return iterable<string, array{int}> */
    public static function halves(): iterable
    {
        yield 'as they are' => [0];
        yield 'changed at random' => [40];
    }

    #[DataProvider('halves')]
    #[Group('wide')]
    public function test_no_wire_goes_through_a_bead(int $changed): void
    {
        $beads = 0;
        foreach (Everything::parts($changed) as $name => $plan) {
            $standing = self::standing($plan);
            $beads += count($standing);
            foreach ($standing === [] ? [] : self::wires($plan) as [$course, $number, $thickMm]) {
                $into = self::deepest($course, $number, $thickMm, $standing);
                self::assertLessThan(self::RIM, $into, "{$name}, {$plan->part->technique}: {$course->label}");
            }
        }
        self::assertGreaterThan(500, $beads);
    }

    /** A wire led straight through a bead beside its hole is found: what is looked for can be seen. */
    public function test_a_wire_beside_its_hole_is_found(): void
    {
        $bead = Bead::parse('8mm round, sky');
        $middle = [$bead, new Vector(0.0, 0.0), new Vector(0.0, 1.0), 0, 0];

        self::assertGreaterThan(1.5, self::depthMm(new Vector(2.0, 0.0), $middle));
        self::assertSame(0.0, self::depthMm(new Vector(0.3, 1.0), $middle), 'in its hole');
        self::assertSame(0.0, self::depthMm(new Vector(4.1, 0.0), $middle), 'past it');
    }

    /** @return list<array{Course, int, float}> with its number and its thickness, mm; cord is soft */
    private static function wires(PartPlan $plan): array
    {
        $wires = [];
        foreach ($plan->settled() as $number => $course) {
            if ($course->isWire && $course->colour === '') {
                $wires[] = [$course, $number, $plan->wireOf($course->role)->diameterMm()];
            }
        }

        return $wires;
    }

    /**
     * @return list<array{Bead, Vector, Vector, int, int}> where each stands, how its hole runs, on which wire and move
     */
    private static function standing(PartPlan $plan): array
    {
        $standing = [];
        foreach ($plan->settled() as $number => $course) {
            foreach ($course->curves() as $at => $curve) {
                foreach ($course->moves[$at]->isSeen() ? $course->moves[$at]->standing($curve) : [] as $one) {
                    [$run, $middle, $runs] = $one;
                    if (! $run->bead->shape->coversBeside() && $run->bead->drilling->holes() === 1) {
                        $standing[] = [$run->bead, $middle, $runs->unit(), $number, $at];
                    }
                }
            }
        }

        return $standing;
    }

    /**
     * @param  list<array{Bead, Vector, Vector, int, int}>  $standing
     * @return float in thicknesses of the wire
     */
    private static function deepest(Course $course, int $number, float $thickMm, array $standing): float
    {
        $deepest = 0.0;
        foreach ($course->curves() as $at => $curve) {
            $others = array_filter(
                $standing, fn (array $bead): bool => $bead[3] !== $number || abs($bead[4] - $at) > 1,
            );
            foreach ($course->moves[$at]->isSeen() ? $curve->points(self::STEP_MM) : [] as $point) {
                foreach ($others as $bead) {
                    $deepest = max($deepest, self::depthMm($point, $bead) / $thickMm);
                }
            }
        }

        return $deepest;
    }

    /** @param  array{Bead, Vector, Vector, int, int}  $standing */
    private static function depthMm(Vector $point, array $standing): float
    {
        [$bead, $middle, $runs] = $standing;
        $off = $point->minus($middle);
        $far = $off->lengthMm();
        if ($far > max($bead->lengthMm, $bead->widthMm) / 2) {
            return 0.0;
        }
        $along = $off->dot($runs);
        $aside = sqrt(max(0.0, $far ** 2 - $along ** 2));
        if ($aside < $bead->holeMm / 2 + self::HOLE_MM) {
            return 0.0;
        }
        $share = hypot($along / ($bead->lengthMm / 2), $aside / ($bead->widthMm / 2));

        return max(0.0, 1 - $share) * min($bead->lengthMm, $bead->widthMm) / 2;
    }
}
