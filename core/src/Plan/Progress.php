<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/**
 * How far a making is: steps that are done once for all, then so many of each copy. Copies go one after another, or one
 * step across all of them, as the maker prefers, and the preference may change half way. What has to be made again
 * comes first.
 *
 * Invariants: 0 ≤ prepared ≤ prepare; 0 ≤ done ≤ each; each step of each copy is done exactly once between begin and
 * end.
 */
final readonly class Progress
{
    /**
     * @param  int  $prepare  steps done once for the whole making
     * @param  int  $each  steps of each copy
     * @param  list<int>  $done  steps done of each copy
     * @param  list<array{int, int}>  $again copy and step that are made again, first first; a step of those done once
     *     is −1 less its place
     */
    private function __construct(
        public int $prepare,
        public int $each,
        public bool $isAcross,
        public int $prepared,
        public array $done,
        public array $again = [],
    ) {
    }

    /** With so many steps done, in the order of the making. */
    public static function after(Copies $of, int $steps): self
    {
        $steps = max(0, min($steps, $of->steps()));
        $rest = max(0, $steps - $of->prepare);
        $done = [];
        for ($copy = 0; $copy < $of->count; $copy++) {
            $done[] = $of->isAcross
                ? intdiv($rest + $of->count - 1 - $copy, $of->count)
                : max(0, min($of->each, $rest - $copy * $of->each));
        }

        return new self($of->prepare, $of->each, $of->isAcross, min($steps, $of->prepare), $done);
    }

    /**
     * As it was written down; else, where that belongs to another plan, by the number of steps.
     *
     * @param  array<mixed>|null  $written
     */
    public static function read(Copies $of, ?array $written, int $steps): self
    {
        $plain = self::after($of, $steps);
        $done = $written['done'] ?? null;
        if (! is_array($done) || count($done) !== $of->count || ! is_int($written['prepared'] ?? null)) {
            return $plain;
        }
        $done = array_map(
            fn (mixed $one): int => max(0, min($of->each, is_int($one) ? $one : 0)), array_values($done),
        );
        $again = [];
        foreach (is_array($written['again'] ?? null) ? $written['again'] : [] as $one) {
            if (
                is_array($one)
                && is_int($one[0] ?? null)
                && is_int($one[1] ?? null)
                && isset($done[$one[0]])
                && $one[1] >= -$of->prepare
                && $one[1] < $of->each
            ) {
                $again[] = [$one[0], $one[1]];
            }
        }
        $prepared = max(0, min($of->prepare, $written['prepared']));
        $read = new self($of->prepare, $of->each, $of->isAcross, $prepared, $done, $again);

        return $read->count() === $steps ? $read : $plain;
    }

    /** @return array{prepared: int, done: list<int>, again: list<array{int, int}>} */
    public function write(): array
    {
        return ['prepared' => $this->prepared, 'done' => $this->done, 'again' => $this->again];
    }

    public function total(): int
    {
        return $this->prepare + $this->each * count($this->done);
    }

    /** Steps that are done. */
    public function count(): int
    {
        return $this->prepared + array_sum($this->done);
    }

    public function isDone(): bool
    {
        return $this->again === [] && $this->count() >= $this->total();
    }

    /** Which copy is on the bench, from 0; null while preparing for all of them, and at the end. */
    public function copy(): ?int
    {
        if ($this->again !== []) {
            return $this->again[0][0];
        }
        if ($this->prepared < $this->prepare || $this->done === [] || $this->isDone()) {
            return null;
        }
        if ($this->isAcross) {
            return (int) array_search(min($this->done), $this->done, true);
        }
        foreach ($this->done as $copy => $done) {
            if ($done < $this->each) {
                return $copy;
            }
        }

        return null;
    }

    /** Which step: of the common ones where no copy is on the bench, else of the copy's; null at the end. */
    public function step(): ?int
    {
        if ($this->again !== []) {
            return $this->again[0][1];
        }
        $copy = $this->copy();

        return match (true) {
            $this->prepared < $this->prepare => $this->prepared,
            $copy === null => null,
            default => $this->done[$copy],
        };
    }

    public function next(): self
    {
        if ($this->again !== []) {
            return $this->with(again: array_slice($this->again, 1));
        }
        if ($this->prepared < $this->prepare) {
            return $this->with(prepared: $this->prepared + 1);
        }
        $copy = $this->copy();

        return $copy === null ? $this : $this->moved($copy, 1);
    }

    /** One step back: what is being made again is given up first. */
    public function back(): self
    {
        if ($this->again !== []) {
            return $this->with(again: []);
        }
        if (array_sum($this->done) === 0) {
            return $this->with(prepared: max(0, $this->prepared - 1));
        }
        $begun = array_keys(array_filter($this->done, fn (int $done): bool => $done > 0));
        $last = $begun[count($begun) - 1];
        if ($this->isAcross) {
            $most = array_keys($this->done, max(0, ...$this->done), true);
            $last = $most[count($most) - 1];
        }

        return $this->moved($last, -1);
    }

    /**
     * Some steps of a copy have to be made again before it goes on.
     *
     * @param  list<int>  $steps  of the copy's
     * @param  int|null  $cut  the common step that cuts the wire anew before them
     */
    public function mending(int $copy, array $steps, ?int $cut = null): self
    {
        return $this->with(
            again: [
                ...($cut === null ? [] : [[$copy, -1 - $cut]]),
                ...array_map(fn (int $step): array => [$copy, $step], $steps),
                ...$this->again,
            ],
        );
    }

    public function across(bool $isAcross): self
    {
        return new self($this->prepare, $this->each, $isAcross, $this->prepared, $this->done, $this->again);
    }

    private function moved(int $copy, int $by): self
    {
        $done = $this->done;
        $done[$copy] += $by;

        return $this->with(done: array_values($done));
    }

    /**
     * @param  list<int>|null  $done
     * @param  list<array{int, int}>|null  $again
     */
    private function with(?int $prepared = null, ?array $done = null, ?array $again = null): self
    {
        return new self(
            $this->prepare, $this->each, $this->isAcross, $prepared ?? $this->prepared, $done ?? $this->done,
            $again ?? $this->again,
        );
    }
}
