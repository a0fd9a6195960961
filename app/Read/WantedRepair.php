<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Occasion;
use App\Models\Repair;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Market\Task;
use Hebra\Core\Market\Want;

/** A repair or a change that is still to be done: so many minutes in one go. */
final readonly class WantedRepair implements ToDo
{
    public function __construct(public Repair $repair, public Occasion $occasion)
    {
    }

    public function key(): string
    {
        return "repair-{$this->repair->id}";
    }

    public function name(): string
    {
        return $this->repair->name;
    }

    public function url(): string
    {
        return "/repairs/{$this->repair->ulid}";
    }

    public function isFor(Occasion $occasion): bool
    {
        return $this->occasion->is($occasion);
    }

    public function design(): ?string
    {
        return $this->repair->finished?->making->document;
    }

    public function core(int $dueDay, int $fromDay): Want
    {
        return Want::of($this->key(), [
            new Task(Operation::Mend, (float) $this->repair->minutes, 1, $this->key()),
        ], $dueDay)->from($fromDay);
    }
}
