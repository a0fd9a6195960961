<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Occasion;

/** What stands in the plan of work: a piece to be made, or a repair. */
interface ToDo
{
    /** By which the plan names it. */
    public function key(): string;

    public function name(): string;

    /** Where it is worked on. */
    public function url(): string;

    public function isFor(Occasion $occasion): bool;

    /** How it looks, as its design is written down; null where that is not known. */
    public function design(): ?string;

    /** As the plan takes it; days count from today. */
    public function core(int $dueDay, int $fromDay): \Hebra\Core\Market\Want;
}
