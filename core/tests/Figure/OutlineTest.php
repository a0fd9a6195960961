<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Figure;

use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Nothing that is drawn reaches beyond its outline, on whatever side; and it says so whichever copy is asked. */
final class OutlineTest extends TestCase
{
    private const SIDES = 24;

    /** @param  list<array{float, float}>  $points */
    private static function reach(array $points, int $side): float
    {
        [$dx, $dy] = [cos(2 * M_PI * $side / self::SIDES), sin(2 * M_PI * $side / self::SIDES)];

        return max(array_map(fn (array $at): float => $at[0] * $dx + $at[1] * $dy, $points));
    }

    /** @return list<array{float, float}> where its strokes begin and end */
    private static function drawn(PieceFigure $figure): array
    {
        $points = [];
        foreach ($figure->strokes as $stroke) {
            array_push($points, ...array_map(Stroke::end(...), $stroke->path));
        }
        foreach ($figure->beads as $bead) {
            $points[] = [$bead->xMm, $bead->topMm + $bead->bead->lengthMm / 2];
        }

        return $points;
    }

    #[Group('wide')]
    public function test_nothing_reaches_beyond_it(): void
    {
        $looked = 0;
        foreach (Everything::patterns() as $name => $piece) {
            foreach (Planner::plan($piece, new Profile)->assembly()->placed as [$figure]) {
                $drawn = self::drawn($figure);
                for ($side = 0; $drawn !== [] && $side < self::SIDES; $side++) {
                    $looked++;
                    self::assertLessThanOrEqual(
                        self::reach($figure->outline(), $side) + 1e-9, self::reach($drawn, $side), $name,
                    );
                }
                self::assertSame(
                    $figure->outline(), $figure->marked(fn (string $mark): string => "other:{$mark}")->outline(),
                );
            }
        }
        self::assertGreaterThan(1000, $looked);
    }

    public function test_copies_are_alike_and_others_are_not(): void
    {
        $placed = Planner::plan(iterator_to_array(Everything::patterns())['pattern two-links'], new Profile)
            ->assembly()->placed;
        $figure = $placed[0][0];
        $copy = $figure->marked(fn (string $mark): string => "copy:{$mark}");

        self::assertSame($figure->likeness(), $copy->likeness());
        self::assertSame(
            $figure->likeness(), $copy->marked(fn (string $mark): string => "again:{$mark}")->likeness(),
        );
        self::assertNotSame($figure->likeness(), (new PieceFigure($figure->strokes, $figure->beads))->likeness());
    }
}
