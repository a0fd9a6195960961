<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Bead;
use App\Models\Making;
use App\Models\Piece;
use App\Models\Workshop;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Price\Bill;
use Hebra\Core\Wire\Metal;

/** What a piece takes and what it is to cost, each line visible. */
final readonly class BillDesk
{
    public Plan $plan;

    public Bill $bill;

    public function __construct(public Piece $piece, public Workshop $workshop)
    {
        $this->plan = Planner::plan($piece->document(), $workshop->profile());
        [$minutes, $from] = $this->minutes();
        $this->bill = Bill::of($this->plan, $workshop->metalPrices(), now()->format('Y-m-d'), $workshop->costing(), $minutes, $this->beadCents(), $from);
    }

    /** @return array{float, string} those noted last for as many pieces, else an estimate */
    private function minutes(): array
    {
        /** @var Making|null $last */
        $last = $this->piece->makings()->whereNotNull('closed_at')->whereNotNull('minutes')->latest('closed_at')->first();
        if ($last === null) {
            return [round(Minutes::of($this->plan)), 'an estimate'];
        }

        return [$last->minutes / $last->document()->makes->count * $this->plan->piece->makes->count, 'as you noted it'];
    }

    /** @return array<string, int|null> by the bead's key */
    private function beadCents(): array
    {
        return $this->workshop->beads()->get()->mapWithKeys(fn (Bead $bead): array => [$bead->core()->key() => $bead->price_cents])->all();
    }

    /** @return list<Metal> of this piece */
    public function metals(): array
    {
        $metals = [];
        foreach ($this->plan->metal as $metal) {
            $metals[$metal->wire->metal->value] = $metal->wire->metal;
        }

        return array_values($metals);
    }

    public function money(int $cents): string
    {
        return Bill::cents($cents).' '.$this->workshop->currency;
    }
}
