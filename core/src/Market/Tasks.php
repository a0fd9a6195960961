<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

use Hebra\Core\Hand\Pace;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Step;

/**
 * The tasks of so many makings of a plan, as this maker takes her time: steps of one kind that follow each other are
 * one, over all copies together.
 */
final readonly class Tasks
{
    /** Looking over, weighing and closing each making [memory]. */
    public const LOG_MINUTES = 6.0;

    /** No sitting is shorter, unless it is all there is before something dries [memory]. */
    private const SITTING_MINUTES = 10.0;

    /** A night, until a maker says more: what the glue’s own sheet says goes before it. */
    private const NIGHT = 1;

    private const SAME = 1e-6;

    /** @param  list<Task>  $one  of one making */
    private function __construct(private array $one)
    {
    }

    public static function of(Plan $plan, Pace $pace): self
    {
        $metal = (array_values($plan->piece->wires)[0] ?? null)?->metal->value ?? '';
        $tasks = [];
        foreach ([
            [$plan->prepare(), 1], [$plan->inOperations()->steps(), $plan->piece->makes->count],
        ] as [$steps, $copies]) {
            foreach ($steps as $step) {
                $task = self::task($step, $copies * $pace->minutes($step), $copies)->in($metal);
                $last = array_key_last($tasks);
                if ($last !== null && $tasks[$last]->operation === $task->operation) {
                    $tasks[$last] = self::both($tasks[$last], $task);
                } else {
                    $tasks[] = $task;
                }
            }
        }
        $tasks[] = new Task(Operation::Inspect, self::LOG_MINUTES, 1, Operation::Inspect->value);

        return new self($tasks);
    }

    /**
     * @param  float|null  $left  minutes left of the making under way, which is the first of them
     * @return list<Task>
     */
    public function times(int $makings, ?float $left = null): array
    {
        if ($makings < 1) {
            return [];
        }
        $all = array_sum(array_map(fn (Task $task): float => $task->minutes, $this->one));
        $done = $left === null ? 0.0 : max(0.0, $all - $left);
        $tasks = [];
        foreach ($this->one as $task) {
            $gone = min($done, $task->minutes);
            $done -= $gone;
            $share = $task->minutes > 0.0 ? $gone / $task->minutes : 0.0;
            $minutes = $makings * $task->minutes - $gone;
            if ($minutes > self::SAME || $task->waitDays > 0) {
                $tasks[] = $task->lasting($minutes, max(1, (int) round(($makings - $share) * $task->count)));
            }
        }

        return self::gathered($tasks);
    }

    /**
     * What is too short for a sitting goes with what it follows, and is called what most of it is.
     *
     * @param  list<Task>  $tasks
     * @return list<Task>
     */
    private static function gathered(array $tasks): array
    {
        $all = $most = [];
        foreach ($tasks as $task) {
            $last = array_key_last($all);
            if (
                $last === null
                || $task->waitDays > 0
                || $all[$last]->waitDays > 0
                || $all[$last]->minutes >= self::SITTING_MINUTES
            ) {
                [$all[], $most[]] = [$task, $task];

                continue;
            }
            $most[$last] = $task->minutes > $most[$last]->minutes ? $task : $most[$last];
            $all[$last] = $most[$last]->lasting($all[$last]->minutes + $task->minutes, $most[$last]->count);
        }

        return $all;
    }

    private static function task(Step $step, float $minutes, int $copies): Task
    {
        $operation = self::kind($step->operation);
        $count = $copies * max(1, $step->times);

        return $step->operation === Operation::Wait
            ? new Task($operation, 0.0, $count, waitDays: self::NIGHT)
            : new Task($operation, $minutes, $count, $operation->value);
    }

    /** Kinds of work that a day is told by: what is small goes with what it belongs to. */
    private static function kind(Operation $operation): Operation
    {
        return match ($operation) {
            Operation::Ready, Operation::Count => Operation::Cut,
            Operation::Open => Operation::Hook,
            Operation::Trim, Operation::File => Operation::Wrap,
            Operation::Try, Operation::TurnOver => Operation::Inspect,
            default => $operation,
        };
    }

    private static function both(Task $one, Task $other): Task
    {
        return new Task(
            $one->operation, $one->minutes + $other->minutes, $one->count + $other->count, $one->together,
            max($one->waitDays, $other->waitDays), $one->metal,
        );
    }
}
