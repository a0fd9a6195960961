<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

/**
 * One order of all tasks gone through by the clock: after each, how late what is done by then is. A want's next task
 * can follow when what it waits for is dry. Moments are bench minutes. Immutable: `after()` is one task more.
 */
final readonly class Run
{
    /** Laying ready for another piece’s work of another kind [memory]. */
    public const CHANGE_MINUTES = 3.0;

    private const SAME = 1e-6;

    /**
     * @param  list<Want>  $wants
     * @param  array<int, int>  $done  tasks done of each want
     * @param  array<int, float>  $ready  from when on each want can go on
     * @param  array{int, int, float, float}|null  $did  last: want, task, from, until
     */
    private function __construct(
        public array $wants,
        public BenchDays $days,
        public array $done,
        public array $ready,
        public float $moment = 0.0,
        public string $together = '',
        /** the want whose work lies there, less than nothing for none */
        public int $at = -1,
        public float $mostLate = 0.0,
        public float $allLate = 0.0,
        private ?array $did = null,
        private ?self $before = null,
    ) {
    }

    /** @param  list<Want>  $wants */
    public static function begin(array $wants, BenchDays $days): self
    {
        return new self(
            $wants, $days, array_fill(0, count($wants), 0),
            array_map(fn (Want $want): float => $days->startOf($want->fromDay), $wants),
        );
    }

    public function next(int $want): ?Task
    {
        return $this->wants[$want]->tasks[$this->done[$want]] ?? null;
    }

    /** @throws \LogicException if nothing of it is left */
    public function after(int $want): self
    {
        $task = $this->next($want) ?? throw new \LogicException('Nothing of it is left.');
        $from = max($this->moment, $this->ready[$want]);
        $until = $from + $task->minutes + $this->changeTo($want, $task);
        $isWork = $task->minutes > 0.0;
        [$done, $ready] = [$this->done, $this->ready];
        $done[$want] = ($done[$want] ?? 0) + 1;
        $ready[$want] = $task->waitDays === 0
            ? $until
            : (float) $this->days->startOf($this->days->dayUntil($until) + $task->waitDays);
        $isLast = $done[$want] === count($this->wants[$want]->tasks);
        $late = $isLast ? max(0.0, $ready[$want] - $this->days->startOf($this->wants[$want]->dueDay)) : 0.0;

        return new self(
            $this->wants, $this->days, $done, $ready, $until,
            $isWork ? $task->together : $this->together, $isWork ? $want : $this->at,
            max($this->mostLate, $late), $this->allLate + $late,
            [$want, $done[$want] - 1, $from, $until], $this,
        );
    }

    /** @return non-empty-list<self> itself as it was after no task, after one, and so on */
    public function sinceBegin(): array
    {
        $runs = [];
        for ($run = $this; $run !== null; $run = $run->before) {
            $runs[] = $run;
        }

        return array_reverse($runs);
    }

    /** @return list<array{int, int, float, float}> want, task, from, until, as they are done */
    public function order(): array
    {
        $order = [];
        for ($run = $this; $run?->did !== null; $run = $run->before) {
            $order[] = $run->did;
        }

        return array_reverse($order);
    }

    /** Nothing for the piece that lies there, and for what is alike. */
    private function changeTo(int $want, Task $task): float
    {
        $isThere = $want === $this->at || $task->together === $this->together;

        return $task->minutes > 0.0 && ! $isThere ? self::CHANGE_MINUTES : 0.0;
    }

    /** What was done and what lies there: runs that are the same in it differ in nothing but time. */
    public function state(): string
    {
        return implode(',', $this->done).'/'.$this->at.'/'.$this->together;
    }

    public function isDone(): bool
    {
        foreach (array_keys($this->wants) as $want) {
            if ($this->next($want) !== null) {
                return false;
            }
        }

        return true;
    }

    /** Less late at most, else less late in all, else sooner done. */
    public function isBetterThan(self $other): bool
    {
        foreach ([
            [$this->mostLate, $other->mostLate], [$this->allLate, $other->allLate], [$this->moment, $other->moment],
        ] as [$mine, $theirs]) {
            if (abs($mine - $theirs) > self::SAME) {
                return $mine < $theirs;
            }
        }

        return false;
    }

    /** Whether nothing that begins like the other can end better: of runs that did the same, last of the same kind. */
    public function dominates(self $other): bool
    {
        if (
            $this->moment > $other->moment + self::SAME || $this->mostLate > $other->mostLate + self::SAME
            || $this->allLate > $other->allLate + self::SAME
        ) {
            return false;
        }
        foreach ($this->ready as $want => $ready) {
            if (max($ready, $this->moment) > max($other->ready[$want], $other->moment) + self::SAME) {
                return false;
            }
        }

        return true;
    }
}
