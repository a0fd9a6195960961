<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Occasion;
use App\Models\Want;
use Hebra\Core\Market\Taken;
use Hebra\Core\Market\Task;

/** What is wanted of one piece for an occasion: how many are made, and how often it has to be made yet. */
final readonly class WantedPiece implements ToDo
{
    /** @param  bool  $isBegun  whether the making under way is for it */
    public function __construct(
        public Want $want, public Occasion $occasion, private PieceWork $piece, public int $made, private bool $isBegun,
    ) {
    }

    public function key(): string
    {
        return (string) $this->want->id;
    }

    public function name(): string
    {
        return $this->want->piece->name;
    }

    public function url(): string
    {
        return "/pieces/{$this->want->piece->ulid}/make";
    }

    public function isFor(Occasion $occasion): bool
    {
        return $this->occasion->is($occasion);
    }

    public function design(): string
    {
        return $this->want->piece->json();
    }

    /** By one making of it. */
    public function taken(): Taken
    {
        return $this->piece->taken;
    }

    public function left(): int
    {
        return max(0, $this->want->count - $this->made);
    }

    /** A batch brings several at once. */
    public function makings(): int
    {
        return (int) ceil($this->left() / $this->piece->sold);
    }

    /** How many it comes to when it is made so often more. */
    public function countAt(int $makings): int
    {
        return min($this->want->count, $this->made + $makings * $this->piece->sold);
    }

    public function isUnderWay(): bool
    {
        return $this->isBegun && $this->piece->making !== null && $this->makings() > 0;
    }

    public function core(int $dueDay, int $fromDay): \Hebra\Core\Market\Want
    {
        $left = $this->isBegun ? $this->piece->left : null;

        /** @return list<Task> */
        $often = fn (int $makings): array => $this->piece->tasks->times($makings, $left);

        return \Hebra\Core\Market\Want::made($this->key(), $often, $dueDay)->times($this->makings())->from($fromDay);
    }
}
