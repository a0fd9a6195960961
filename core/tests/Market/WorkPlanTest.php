<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Market;

use Hebra\Core\Hand\Pace;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Market\BenchDays;
use Hebra\Core\Market\InTime;
use Hebra\Core\Market\Orders;
use Hebra\Core\Market\Run;
use Hebra\Core\Market\Sitting;
use Hebra\Core\Market\Task;
use Hebra\Core\Market\Tasks;
use Hebra\Core\Market\Want;
use Hebra\Core\Market\WorkPlan;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class WorkPlanTest extends TestCase
{
    private function task(float $minutes, Operation $operation = Operation::Cut, int $count = 1, int $wait = 0): Task
    {
        return new Task($operation, $minutes, $count, $operation->value, $wait, 'sterling');
    }

    private function week(int ...$minutes): BenchDays
    {
        return BenchDays::of($minutes === [] ? array_fill(0, 7, 60) : array_values($minutes));
    }

    public function test_days_are_told_in_bench_minutes(): void
    {
        $days = $this->week(60, 0, 90, 90, 90, 120, 180)->with(1, 30);
        self::assertSame([0, 60, 90, 180], array_map($days->startOf(...), [0, 1, 2, 3]));
        // 60 + 30 + 3 × 90 + 120 + 180, and the next week's second day has nothing again.
        self::assertSame(660, $days->startOf(7));
        self::assertSame(720, $days->startOf(9));
        self::assertSame(0, $days->dayUntil(60.0), 'what ends with a day belongs to it');
        self::assertSame(1, $days->dayUntil(60.1));
        self::assertSame(2, $days->dayUntil(90.1));
    }

    /** @return array<string, array{list<int>, array<int, int>, string}> */
    public static function noDays(): array
    {
        return [
            'no time at all' => [array_fill(0, 7, 0), [], 'quarter of an hour'],
            'six days' => [array_fill(0, 6, 60), [], '6 days'],
            'a day of 25 hours' => [[60, 60, 60, 60, 60, 60, 1500], [], '1500 min'],
            'less than nothing' => [array_fill(0, 7, 60), [3 => -1], '-1 min'],
        ];
    }

    /**
     * @param  list<int>  $week
     * @param  array<int, int>  $days
     */
    #[DataProvider('noDays')]
    public function test_what_are_no_days_is_said(array $week, array $days, string $says): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage($says);
        BenchDays::of($week, $days);
    }

    public function test_what_is_due_first_goes_first_and_what_dries_is_not_waited_for(): void
    {
        // Worked by hand: the glued one first, 27 + 3 to lay ready; while it dries the other, 20 + 3; on the next day
        // what is left of the glued one, 10 + 3.
        $glued = Want::of('glued', [
            $this->task(27.0, Operation::Bend), $this->task(0.0, Operation::Wait, wait: 1),
            $this->task(10.0, Operation::Hook),
        ], 5);
        $other = Want::of('other', [$this->task(20.0)], 2);
        $plan = WorkPlan::of([$other, $glued], $this->week());
        self::assertTrue($plan->isProved);
        self::assertSame([], $plan->late);
        self::assertSame(['other' => 0, 'glued' => 1], $plan->doneOn);
        self::assertEqualsWithDelta(57.0, $plan->minutes, 1e-9);
        self::assertSame([1], array_values(array_unique(array_map(
            fn (Sitting $one): int => $one->day,
            array_filter($plan->sittings, fn (Sitting $one): bool => $one->operation === Operation::Hook),
        ))));
    }

    public function test_what_is_alike_is_laid_ready_once(): void
    {
        $two = fn (string $key): Want => Want::of($key, [
            $this->task(10.0, Operation::Cut, 4), $this->task(10.0, Operation::Eye, 8),
        ], 7);
        $plan = WorkPlan::of([$two('a'), $two('b')], $this->week(200, 0, 0, 0, 0, 0, 0));
        self::assertCount(2, $plan->sittings);
        [$cut, $eyes] = $plan->sittings;
        self::assertEqualsCanonicalizing(['a', 'b'], $cut->wants);
        self::assertSame([8, 23.0], [$cut->count, $cut->minutes]);
        self::assertSame([16, 20.0], [$eyes->count, $eyes->minutes]);
        self::assertSame(['sterling'], $eyes->metals);
    }

    public function test_how_much_is_short_is_said(): void
    {
        // Two days of 60 before the market; 3 + 100 + 3 + 50 are wanted: 36 short.
        $plan = WorkPlan::of([
            Want::of('a', [$this->task(100.0)], 2), Want::of('b', [$this->task(50.0, Operation::Eye)], 2),
        ], $this->week());
        self::assertEqualsWithDelta(36.0, $plan->shortMinutes, 1e-9);
        self::assertCount(1, $plan->late);
        self::assertTrue($plan->isProved);
    }

    public function test_nothing_is_begun_before_what_it_takes_has_come(): void
    {
        $plan = WorkPlan::of([Want::of('copper', [$this->task(20.0)], 9)->from(4)], $this->week());
        self::assertSame([4], array_map(fn (Sitting $one): int => $one->day, $plan->sittings));
    }

    public function test_ways_to_be_ready_in_time_are_tried(): void
    {
        $often = fn (Operation $operation): \Closure => fn (int $makings): array => $makings === 0
            ? [] : [$this->task(30.0 * $makings, $operation, $makings)];
        $wants = [
            Want::made('a', $often(Operation::Cut), 2)->times(3), Want::made('b', $often(Operation::Eye), 2)->times(2),
        ];
        $days = $this->week();
        $plan = WorkPlan::of($wants, $days);
        // 3 + 90 + 3 + 60 against 120: 36 short. An hour more, or one of three, or none of two.
        self::assertEqualsWithDelta(36.0, $plan->shortMinutes, 1e-9);
        $ways = InTime::all($wants, $days, $plan);
        self::assertSame([[1, 60, '', 0], [-1, 0, 'a', 1], [-1, 0, 'b', 0]], array_map(
            fn (InTime $way): array => [$way->day, $way->minutes, $way->want, $way->makings], $ways,
        ));
        foreach ($ways as $way) {
            self::assertSame([], $way->plan->late);
        }
        self::assertSame([], InTime::all($wants, $days, $ways[0]->plan));
    }

    /** @return list<Want> */
    private function some(int $seed, int $many, int $tasks): array
    {
        mt_srand($seed);
        $kinds = [Operation::Cut, Operation::Eye, Operation::Wrap];
        $wants = [];
        for ($at = 0; $at < $many; $at++) {
            $of = [];
            for ($task = 0; $task < $tasks; $task++) {
                $of[] = mt_rand(0, 6) === 0
                    ? $this->task(0.0, Operation::Wait, wait: 1)
                    : $this->task((float) mt_rand(5, 50), $kinds[mt_rand(0, 2)], mt_rand(1, 9));
            }
            $wants[] = Want::of("w{$at}", $of, mt_rand(1, 5))->from(mt_rand(0, 4) === 0 ? mt_rand(1, 3) : 0);
        }

        return $wants;
    }

    /**
     * @param  list<Want>  $wants
     * @return list<Run> after every order there is
     */
    private function every(Run $run, array $wants): array
    {
        if ($run->isDone()) {
            return [$run];
        }
        $all = [];
        foreach (array_keys($wants) as $want) {
            if ($run->next($want) !== null) {
                array_push($all, ...$this->every($run->after($want), $wants));
            }
        }

        return $all;
    }

    #[Group('wide')]
    public function test_few_are_as_good_as_the_best_of_every_order(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $wants = $this->some($seed, 3, 2 + $seed % 2);
            $days = $this->week(50, 0, 70, 40, 60, 60, 60);
            $plan = WorkPlan::of($wants, $days);
            self::assertTrue($plan->isProved);
            $best = null;
            foreach ($this->every(Run::begin($wants, $days), $wants) as $run) {
                $best = $best === null || $run->isBetterThan($best) ? $run : $best;
            }
            self::assertNotNull($best);
            self::assertEqualsWithDelta($best->mostLate, $plan->shortMinutes, 1e-6, "seed {$seed}");
            self::assertEqualsWithDelta($best->allLate, array_sum($plan->late), 1e-6, "seed {$seed}");
            self::assertLessThanOrEqual($plan->shortMinutes + 1e-6, Orders::leastLate($wants, $days), "seed {$seed}");
        }
    }

    /**
     * Whatever is planned: all of it is done, in order, within the hours of each day, and within the gap that is said.
     */
    public function test_many_are_all_done_in_order_within_their_days(): void
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            $wants = $this->some($seed, 12, 7);
            $days = $this->week(120, 0, 90, 90, 200, 60, 60)->with(2, 0);
            $plan = WorkPlan::of($wants, $days);
            $all = array_sum(array_map(fn (Want $want): float => $want->minutes(), $wants));
            self::assertEqualsWithDelta($all, $plan->minutes, 1e-6);
            $until = $counted = $byDay = [];
            foreach ($plan->sittings as $sitting) {
                $at = $days->startOf($sitting->day) + $sitting->from;
                self::assertGreaterThanOrEqual(max([0.0, ...$until]) - 1e-6, $at, 'one thing at a time');
                $until[] = $at + $sitting->minutes;
                $byDay[$sitting->day] = ($byDay[$sitting->day] ?? 0.0) + $sitting->minutes;
                $counted[$sitting->operation->value] = ($counted[$sitting->operation->value] ?? 0) + $sitting->count;
            }
            foreach ($byDay as $day => $minutes) {
                self::assertLessThanOrEqual($days->minutesOn($day) + 1e-6, $minutes, "day {$day}, seed {$seed}");
            }
            $wanted = [];
            foreach ($wants as $want) {
                foreach ($want->tasks as $task) {
                    $wanted[$task->operation->value] = ($wanted[$task->operation->value] ?? 0) + $task->count;
                }
            }
            ksort($wanted);
            ksort($counted);
            self::assertSame($wanted, $counted, 'everything is done once');
            self::assertGreaterThanOrEqual(
                $plan->shortMinutes - $plan->gapMinutes - 1e-6, Orders::leastLate($wants, $days) + 1e-6,
            );
        }
    }

    /** Of every piece there is: its tasks take as long as its steps, whatever of them is done already. */
    #[Group('wide')]
    public function test_tasks_take_as_long_as_the_steps_they_are_of(): void
    {
        $pace = Pace::from([]);
        $minutes = fn (array $tasks): float => array_sum(array_map(fn (Task $task): float => $task->minutes, $tasks));
        foreach (Everything::pieces(20) as $name => $piece) {
            $plan = Planner::plan($piece, new Profile)->inOperations();
            $waits = array_sum(array_map(
                fn (Step $step): float => $step->operation === Operation::Wait ? Minutes::step($step) : 0.0,
                $plan->steps(),
            ));
            $once = Minutes::of($plan) - $waits * $piece->makes->count + Tasks::LOG_MINUTES;
            $tasks = Tasks::of($plan, $pace);
            self::assertEqualsWithDelta($once, $minutes($tasks->times(1)), 1e-6, $name);
            self::assertEqualsWithDelta(3 * $once, $minutes($tasks->times(3)), 1e-6, $name);
            self::assertEqualsWithDelta($once + 5.0, $minutes($tasks->times(2, 5.0)), 1e-6, $name);
            self::assertSame([], $tasks->times(0));
        }
    }
}
