<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Market;

use Hebra\Core\Handwork\Operation;
use Hebra\Core\Market\BenchDays;
use Hebra\Core\Market\Task;
use Hebra\Core\Market\Want;
use PHPUnit\Framework\TestCase;

/** What is kept of a plan is kept by the words of what it is made of. */
final class WantTest extends TestCase
{
    /** @param  float  $each  minutes of one making; ten more to lay all of them ready */
    private static function want(
        string $key = 'drops', float $each = 20.0, int $due = 5, int $from = 1, int $makings = 3,
    ): Want {
        $often = fn (int $count): array => $count === 0 ? [] : [
            new Task(Operation::Cut, 10.0), new Task(Operation::Wrap, $each * $count, $count),
        ];

        return Want::made($key, $often, $due)->times($makings)->from($from);
    }

    public function test_whatever_a_plan_asks_of_a_want_is_in_its_word(): void
    {
        self::assertSame(self::want()->word(), self::want()->word());
        $words = array_map(fn (Want $want): string => $want->word(), [
            self::want(), self::want(key: 'hoops'), self::want(each: 20.000001), self::want(due: 6),
            self::want(from: 0), self::want(makings: 2), self::want(makings: 0),
            // As much work as that of three makings, and made but once.
            Want::of('drops', self::want()->tasks, 5)->from(1),
        ]);
        self::assertSame($words, array_values(array_unique($words)));
    }

    public function test_every_minute_of_the_days_is_in_their_word(): void
    {
        $week = [60, 0, 45, 90, 75, 240, 0];
        $days = BenchDays::of($week, [3 => 120, 9 => 0]);
        $word = $days->word();
        $days->startOf(40);
        self::assertSame($word, $days->word(), 'asking changes nothing');
        self::assertSame($word, BenchDays::of($week, [9 => 0, 3 => 120])->word());
        $backwards = BenchDays::of(array_reverse($week), [3 => 120, 9 => 0]);
        foreach ([$days->with(3, 121), $days->with(4, 76), $backwards] as $other) {
            self::assertNotSame($word, $other->word());
        }
    }
}
