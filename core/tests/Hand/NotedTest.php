<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Hand;

use Hebra\Core\Hand\Noted;
use PHPUnit\Framework\TestCase;

final class NotedTest extends TestCase
{
    public function test_nothing_noted_is_the_plan(): void
    {
        self::assertSame([1.0, 0], [Noted::from([])->factor, Noted::from([])->logs]);
        $foretold = Noted::from([])->foretell(60.0);
        self::assertSame(60.0, $foretold['about']);
        self::assertLessThan(60.0, $foretold['from']);
        self::assertGreaterThan(60.0, $foretold['to']);
    }

    /** Whatever was noted before, one log however wild moves the estimate by no more than a fifth, up or down. */
    public function test_one_wild_log_moves_nothing_by_more_than_a_fifth(): void
    {
        mt_srand(5);
        for ($round = 0; $round < 300; $round++) {
            $ratios = array_map(fn (): float => exp((mt_rand() / mt_getrandmax() - 0.5) * 3), range(1, mt_rand(1, 12)));
            array_pop($ratios);
            foreach ([0.001, 0.3, 3.0, 1000.0] as $wild) {
                $moved = Noted::from([...$ratios, $wild])->factor / Noted::from($ratios)->factor;
                self::assertLessThanOrEqual(1.2 + 1e-6, $moved);
                self::assertGreaterThanOrEqual(1 / 1.2 - 1e-6, $moved);
            }
        }
    }

    public function test_few_logs_shrink_to_the_plan_and_many_are_believed(): void
    {
        $first = Noted::from([1.5])->factor;
        self::assertGreaterThan(1.05, $first);
        self::assertLessThan(1.25, $first);
        self::assertEqualsWithDelta(1.5, Noted::from(array_fill(0, 60, 1.5))->factor, 0.03);
        $width = fn (
            array $ratios,
        ): float => Noted::from($ratios)->foretell(1.0)['to'] / Noted::from($ratios)->foretell(1.0)['from'];
        self::assertLessThan($width([]), $width(array_fill(0, 10, 1.02)), 'like logs make it surer');
    }
}
