<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Inspection;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Point;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Sight;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class InspectionTest extends TestCase
{
    /** @return array<string, Point> */
    private static function points(string $pattern): array
    {
        $points = Inspection::of(Planner::plan(Patterns::start($pattern, 'Looked over'), new Profile));

        return array_combine(array_map(fn (Point $point): string => $point->key, $points), $points);
    }

    #[Group('wide')]
    public function test_every_pattern_is_looked_over_and_each_point_names_a_step_that_is_there(): void
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            $plan = Planner::plan(Patterns::start($pattern, 'Looked over'), new Profile);
            $points = Inspection::of($plan);
            self::assertGreaterThanOrEqual(3, count($points), $pattern);
            self::assertSame(
                count($points),
                count(array_unique(array_map(fn (Point $point): string => $point->key, $points))),
                $pattern,
            );
            foreach ($points as $point) {
                self::assertTrue(
                    $point->step === null || isset($plan->steps()[$point->step]),
                    "{$pattern}, {$point->key}",
                );
                self::assertTrue($point->wantedMm === null || $point->wantedMm > 0);
                self::assertNotSame('', $point->look.$point->expect);
            }
        }
    }

    public function test_rows_are_counted_by_repeats_and_from_both_ends(): void
    {
        $tiles = self::points('tile-bracelet')['repeats-of-p1'];
        self::assertSame('Count by repeats: 4 × sand 10 × 8 mm tile, 12 × milk 4 mm round', $tiles->look);
        self::assertSame('5 repeats', $tiles->expect);
        $hoop = self::points('twisted-hoop');
        self::assertSame('2 and 2', $hoop['sides-p1']->expect);
        self::assertArrayNotHasKey('repeats-of-p1', $hoop);
        self::assertArrayNotHasKey('sides-p1', self::points('memory-bracelet'));
    }

    public function test_a_pair_of_drops(): void
    {
        $points = self::points('link-and-drop');
        self::assertSame(
            ['beads', 'wraps', 'gaps', 'ends', 'twins', 'fit'],
            array_values(array_intersect(array_keys($points), ['beads', 'wraps', 'gaps', 'ends', 'twins', 'fit'])),
        );
        self::assertSame('Same length, same shape', $points['twins']->expect);
        self::assertEqualsWithDelta(
            Planner::plan(Patterns::start('link-and-drop', 'x'), new Profile)->hangsMm(),
            $points['fit']->wantedMm ?? 0.0,
            1e-9,
        );
    }

    public function test_what_repeats_is_counted_by_fives(): void
    {
        $counted = array_filter(
            self::points('linked-bracelet'),
            fn (Point $point): bool => str_starts_with($point->look, 'Count by fives'),
        );
        self::assertNotSame([], $counted);
        foreach ($counted as $point) {
            self::assertSame(
                1,
                preg_match('/^(\d+): (\d+) fives?(?: and (\d))?$/', $point->expect, $match),
                $point->expect,
            );
            self::assertSame((int) $match[1], 5 * (int) $match[2] + (int) ($match[3] ?? 0));
        }
    }

    /** A point that names beads is drawn with the first of them; one of a row with the first of its row. */
    #[Group('wide')]
    public function test_a_point_shows_the_bead_that_it_names(): void
    {
        $named = 0;
        foreach (Everything::pieces(40) as $name => $piece) {
            $plan = Planner::plan($piece, new Profile);
            $keys = array_map(fn (Bead $bead): string => $bead->key(), $piece->beads);
            foreach (Inspection::of($plan) as $point) {
                $told = "{$point->look} {$point->expect}";
                $where = "{$name}: {$point->key}, {$told}";
                if ($point->bead === null) {
                    self::assertDoesNotMatchRegularExpression('/^(count|repeats-of|sides|beads)/', $point->key, $where);

                    continue;
                }
                self::assertContains($point->bead->key(), $keys, $where);
                if (! preg_match('/^(sides|alike)/', $point->key)) {
                    self::assertStringContainsString($point->bead->words(), $told, $where);
                    $named++;
                }
            }
        }
        self::assertGreaterThan(100, $named);
    }

    #[Group('wide')]
    public function test_a_hoop_is_tried_for_its_lock(): void
    {
        $hoop = array_filter(
            array_keys(Patterns::all()),
            fn (string $name): bool => isset(self::points($name)['rule-lock']),
        );
        self::assertNotSame([], $hoop);
    }

    /** Every point of every piece there is has its picture of right and wrong; only what is measured is a size. */
    #[Group('wide')]
    public function test_every_point_is_seen(): void
    {
        $seen = [];
        foreach (Everything::pieces(40) as $name => $piece) {
            foreach (Inspection::of(Planner::plan($piece, new Profile)) as $point) {
                $sight = Sight::of($point->key);
                self::assertSame($point->wantedMm !== null, $sight === Sight::Size, "{$name}: {$point->key}");
                $seen[$sight->value] = true;
            }
        }
        self::assertEqualsCanonicalizing(array_column(Sight::cases(), 'value'), array_keys($seen));
        foreach (Sight::cases() as $sight) {
            self::assertNotSame($sight->words(true), $sight->words(false));
        }
    }
}
