<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Lot;
use App\Models\Repair;
use App\Models\Workshop;
use App\View\Coins;
use Illuminate\Support\Collection;

/** A repair: what is done to which piece for whom, and what it took. */
final class RepairDesk
{
    private const MOST_LOTS = 200;

    public readonly CustomerSheet $sheet;

    public function __construct(public readonly Repair $repair, public readonly Workshop $workshop)
    {
        $this->sheet = CustomerSheet::repair($repair, $workshop);
    }

    /** @return list<array{string, string}> what can be said of it */
    public function facts(): array
    {
        $one = $this->repair;
        $facts = $one->occasion === null ? [] : [
            ['For', $one->occasion->name], ['By', $one->occasion->due_on->format('l j F Y')],
        ];
        $facts[] = $one->done_at === null
            ? ['Should take', PlanDesk::time((float) $one->minutes)]
            : ['Took', PlanDesk::time((float) ($one->took_minutes ?? 0))];
        if ($one->done_at !== null) {
            $facts[] = ['Done', $one->done_at->format('j F Y')];
        }
        $cents = $one->got_cents ?? $one->price_cents;
        if ($cents !== null) {
            $facts[] = [$one->done_at === null ? 'Agreed' : 'Paid', Coins::amount($cents)];
        }

        return $facts;
    }

    /** @return Collection<int, Lot> wire that could go into it */
    public function lots(): Collection
    {
        /** @var Collection<int, Lot> $lots */
        $lots = $this->workshop->lots()->withHeld()->orderBy('metal')->orderBy('size')->limit(self::MOST_LOTS)->get();

        return $lots->filter(fn (Lot $lot): bool => ! $lot->isPins() && $lot->heldMg() > 0)->values();
    }
}
