<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

/**
 * What is wanted of one piece by a day: its tasks in the order in which they follow. Days count from the first day of
 * the plan; all must be done before the day it is due on begins, nothing can be begun before what it takes has come.
 */
final readonly class Want
{
    /** @param  list<Task>  $tasks */
    public function __construct(
        public string $key,
        public array $tasks,
        public int $dueDay,
        public int $fromDay = 0,
    ) {
    }

    public function minutes(): float
    {
        return array_sum(array_map(fn (Task $task): float => $task->minutes, $this->tasks));
    }

    /** @param  list<Task>  $tasks */
    public function having(array $tasks): self
    {
        return new self($this->key, $tasks, $this->dueDay, $this->fromDay);
    }
}
