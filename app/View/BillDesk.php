<?php

declare(strict_types=1);

namespace App\View;

use App\Actions\SupplyBook;
use App\Exceptions\Refused;
use App\Models\Bead;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Movement;
use App\Models\Piece;
use App\Models\Supply;
use App\Models\Workshop;
use App\Support\HandBook;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Hand\Noted;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Price\Bill;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\UnitPrice;
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
        $this->bill = Bill::of(
            $this->plan, $workshop->metalPrices(), now()->format('Y-m-d'), $workshop->costing(), $minutes,
            $this->beadPrices(), $from, $this->findingPrices(),
        );
    }

    /** @return array{float, string} the plan's minutes as this maker's steps go, moved by what was noted for the piece */
    private function minutes(): array
    {
        $pace = HandBook::of($this->workshop)->pace();
        $ratios = [];
        /** @var Making $making */
        foreach ($this->piece->makings()->whereNotNull('closed_at')->where('minutes', '>', 0)->orderBy('closed_at')->get() as $making) {
            $ratios[] = $making->minutes / $pace->foretell(
                $making->plan($this->workshop->profile()),
            )['about'];
        }
        $noted = Noted::from($ratios);
        $minutes = $noted->foretell($pace->foretell($this->plan)['about']);
        $from = match (true) {
            $noted->logs > 0 => 'from '.Figures::counted($noted->logs, 'making').' you noted and the plan',
            $pace->isLearned() => 'as your steps went so far',
            default => 'an estimate',
        };

        return [round($minutes['about']), $from.', most likely '.round($minutes['from']).' to '.round($minutes['to'])];
    }

    /** @return array<string, UnitPrice|null> by the bead's key */
    private function beadPrices(): array
    {
        return $this->workshop->beads()->get()->mapWithKeys(
            fn (Bead $bead): array => [$bead->core()->key() => $bead->price()],
        )->all();
    }

    /** @return array<string, UnitPrice|null> by what a finding is called in stock */
    private function findingPrices(): array
    {
        $prices = [];
        $supplies = $this->workshop->supplies()->get();
        foreach ($this->plan->findings as $finding) {
            $prices[$finding->stock] = $supplies->first(
                fn (Supply $supply): bool => SupplyBook::is(
                    $supply,
                    $finding->stock,
                ) && $supply->isByLength() === $finding->isByLength(),
            )?->price();
        }

        return $prices;
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

    /**
     * What the last closed making took, lot by lot, at what the lot cost; null where none was closed.
     *
     * @return array{closed: string, lines: list<array{words: string, grams: float, cents: int|null}>, grossGrams: float, netGrams: float}|null
     */
    public function taken(): ?array
    {
        /** @var Making|null $last */
        $last = $this->piece->makings()->whereNotNull('closed_at')->with('movements')->latest('closed_at')->first();
        if ($last === null) {
            return null;
        }
        $lines = [];
        $gross = $net = 0;
        $lots = $this->workshop->lots()->withHeld()->get()->keyBy('id');
        foreach ($last->movements->where('kind', 'made')->groupBy(fn (Movement $line): string => $line->account.'/'.$line->lot_id) as $group) {
            $milligrams = (int) $group->sum('mass_mg');
            /** @var Movement $first */
            $first = $group->first();
            $net += $first->account === 'pieces' ? $milligrams : 0;
            if ($milligrams < 0) {
                /** @var Lot|null $lot */
                $lot = $lots->get($first->lot_id);
                $gross -= $milligrams;
                $lines[] = [
                    'words' => $lot === null ? 'wire not booked' : $lot->name.', '.$lot->wire()->words(),
                    'grams' => -$milligrams / 1000,
                    'cents' => $lot?->costCents(-$milligrams),
                ];
            }
        }

        return [
            'closed' => $last->closed_at?->format('j F Y') ?? '',
            'lines' => $lines,
            'grossGrams' => $gross / 1000,
            'netGrams' => $net / 1000,
        ];
    }

    /** What a gram of it is reckoned at without stock: for the field that waits for the maker's own price. */
    public function otherwiseE4(Metal $metal): int
    {
        foreach ($this->plan->metal as $line) {
            if ($line->wire->metal === $metal) {
                return $this->workshop->pricesWithoutStock()->perGramE4($line->wire, now()->format('Y-m-d')) ?? 0;
            }
        }

        return 0;
    }

    /** @throws Refused if the piece has no such bead */
    public function bead(string $key): CoreBead
    {
        foreach ($this->plan->beads as $line) {
            if ($line->bead->key() === $key) {
                return $line->bead;
            }
        }
        throw Refused::invalid('of', 'That bead is not in this piece: choose one that is.');
    }

    /** @throws Refused if the piece takes no such finding */
    public function finding(string $stock): Finding
    {
        foreach ($this->plan->findings as $finding) {
            if ($finding->stock === $stock) {
                return $finding;
            }
        }
        throw Refused::invalid('of', 'That finding is not in this piece: choose one that is.');
    }

    public function money(int $cents): string
    {
        return Bill::cents($cents).' '.$this->workshop->currency;
    }
}
