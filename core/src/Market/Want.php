<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

use Closure;

/**
 * What is wanted of one piece by a day: its tasks in the order in which they follow. Days count from the first day of
 * the plan; all must be done before the day it is due on begins, nothing can be begun before what it takes has come.
 */
final readonly class Want
{
    /**
     * @param  list<Task>  $tasks
     * @param  Closure(int): list<Task>|null  $often  its tasks, made so often
     */
    private function __construct(
        public string $key,
        public array $tasks,
        public int $dueDay,
        public int $fromDay,
        public int $makings,
        private ?Closure $often,
    ) {
    }

    /** @param  list<Task>  $tasks */
    public static function of(string $key, array $tasks, int $dueDay): self
    {
        return new self($key, $tasks, $dueDay, 0, 1, null);
    }

    /** @param  Closure(int): list<Task>  $often  its tasks, made so often: once, until it is said */
    public static function made(string $key, Closure $often, int $dueDay): self
    {
        return new self($key, $often(1), $dueDay, 0, 1, $often);
    }

    /** The same, begun on no day before this. */
    public function from(int $day): self
    {
        return new self($this->key, $this->tasks, $this->dueDay, $day, $this->makings, $this->often);
    }

    /** The same, made so often; what is not counted in makings is made or left out. */
    public function times(int $makings): self
    {
        $tasks = match (true) {
            $this->often !== null => ($this->often)($makings),
            $makings === 0 => [],
            default => $this->tasks,
        };

        return new self($this->key, $tasks, $this->dueDay, $this->fromDay, $makings, $this->often);
    }

    /** All that a plan can ask of it, however often it is made: another word as soon as any of it is another. */
    public function word(): string
    {
        return md5((string) json_encode([
            $this->key, $this->dueDay, $this->fromDay,
            array_map(fn (int $makings): array => $this->times($makings)->tasks, range(0, $this->makings)),
        ]));
    }

    public function minutes(): float
    {
        return array_sum(array_map(fn (Task $task): float => $task->minutes, $this->tasks));
    }
}
