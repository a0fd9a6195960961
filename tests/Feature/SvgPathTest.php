<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\View\SvgPath;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Piece\Everything;
use Hebra\Core\Wire\Metal;
use PHPUnit\Framework\TestCase;

/** Nothing is said twice in a path, and all of it can be read back [SVG 2, 9.3: path data]. */
final class SvgPathTest extends TestCase
{
    private const PIXELS = 3.78;

    /** A rounded hundredth, and what is taken for smooth. */
    private const OFF_PX = 0.031;

    public function test_what_is_said_already_is_not_said_again(): void
    {
        $stroke = new Stroke([
            ['M', 0, 0], ['L', 10, 0], ['L', 10, 5], ['L', 12.5, 5.25], ['L', 12.75, 5.5],
            ['C', 12.75, 6.5, 11.75, 7.5, 10.75, 7.5], ['C', 9.75, 7.5, 8.75, 6.5, 8.75, 5.5],
        ], 1.0, Metal::Copper, 1, 'p1:loop');

        self::assertSame(
            'M0 0h10v5l2.5.25.25.25c0 1-1 2-2 2s-2-1-2-2', SvgPath::of($stroke, 0.0, 0.0, 1.0, false),
        );
    }

    /** Every point of every stroke of every pattern is where it was, mirrored ones too. */
    public function test_a_path_is_read_back_as_it_was_drawn(): void
    {
        $read = 0;
        foreach (Everything::patterns() as $name => $piece) {
            foreach (Planner::plan($piece, new Profile)->assembly()->placed as [$figure]) {
                foreach ($figure->strokes as $at => $stroke) {
                    $isMirrored = $at % 2 === 1;
                    $points = self::points(SvgPath::of($stroke, 40.0, 9.0, self::PIXELS, $isMirrored));
                    $named = array_merge(...array_map(
                        fn (array $command): array => array_chunk(array_slice($command, 1), 2), $stroke->path,
                    ));
                    $drawn = array_map(fn (array $point): array => [
                        40.0 + ($isMirrored ? -$point[0] : $point[0]) * self::PIXELS, 9.0 + $point[1] * self::PIXELS,
                    ], $named);
                    self::assertCount(count($drawn), $points, "{$name}: {$stroke->mark}");
                    self::assertEqualsWithDelta($drawn, $points, self::OFF_PX, "{$name}: {$stroke->mark}");
                    $read++;
                }
            }
        }
        self::assertGreaterThan(3000, $read);
    }

    /** @return list<array{float, float}> every point that the data of a path names or means */
    private static function points(string $data): array
    {
        [$x, $y, $ahead, $points] = [0.0, 0.0, [0.0, 0.0], []];
        preg_match_all('/([Mlhvcs])([^Mlhvcs]*)/', $data, $commands, PREG_SET_ORDER);
        foreach ($commands as [, $command, $text]) {
            preg_match_all('/-?(?:\d+\.?\d*|\.\d+)/', $text, $found);
            $numbers = array_map(floatval(...), $found[0]);
            foreach (array_chunk($numbers, ['h' => 1, 'v' => 1, 'c' => 6, 's' => 4][$command] ?? 2) as $of) {
                $by = match ($command) {
                    'M' => [[$of[0] - $x, $of[1] - $y]],
                    'h' => [[$of[0], 0.0]],
                    'v' => [[0.0, $of[0]]],
                    's' => [$ahead, ...array_chunk($of, 2)],
                    default => array_chunk($of, 2),
                };
                array_push($points, ...array_map(fn (array $one): array => [$x + $one[0], $y + $one[1]], $by));
                $last = $by[count($by) - 1];
                $ahead = count($by) < 3 ? [0.0, 0.0] : [$last[0] - $by[1][0], $last[1] - $by[1][1]];
                [$x, $y] = [$x + $last[0], $y + $last[1]];
            }
        }

        return $points;
    }
}
