<?php

declare(strict_types=1);

namespace App\View;

use App\Exceptions\Refused;
use App\Models\Bead;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Movement;
use App\Models\Piece;
use App\Models\Workshop;
use App\Read\Pricing;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Price\Asking;
use Hebra\Core\Price\Bill;
use Hebra\Core\Price\Offer;
use Hebra\Core\Price\PriceList;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Technique\Sources;
use Hebra\Core\Wire\Metal;

/** What a piece takes and what it is to cost, each line visible. */
final readonly class BillDesk
{
    public Plan $plan;

    public Bill $bill;

    private Pricing $pricing;

    /** At the bench, as they are reckoned with. */
    public readonly float $minutesInAll;

    public function __construct(public Piece $piece, public Workshop $workshop, ?Plan $plan = null)
    {
        $this->plan = $plan ?? Planner::plan($piece->document(), $workshop->profile());
        $this->pricing = new Pricing($piece, $workshop);
        [$this->bill, $this->minutesInAll] = $this->pricing->billed($this->plan);
    }

    /** @return list<Offer> where its parts could come from otherwise, what costs least first */
    public function offers(): array
    {
        $cents = array_map(
            fn (UnitPrice $price): float => $price->e4() / 100, array_filter($this->pricing->pinPrices($this->plan)),
        );

        return Offer::all($this->plan, Sources::ways($this->plan, $cents), $this->pricing->billed(...));
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
     * @return array{
     *     closed: string, lines: list<array{words: string, grams: float, cents: int|null}>, grossGrams: float,
     *     netGrams: float,
     * }|null
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
        foreach ($last->movements->where('kind', 'made')->groupBy(
            fn (Movement $line): string => $line->account.'/'.$line->lot_id
        ) as $group) {
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
        $plans = [$this->plan, ...array_map(fn (Offer $offer): Plan => $offer->plan, $this->offers())];
        foreach (array_merge(...array_map(fn (Plan $plan): array => $plan->findings, $plans)) as $finding) {
            if ($finding->stock === $stock) {
                return $finding;
            }
        }
        throw Refused::invalid('of', 'That finding is not in this piece: choose one that is.');
    }

    /** What its price is called: `price of the pair`. */
    public function priceWords(): string
    {
        $count = $this->plan->piece->makes->count;
        $of = match (true) {
            $count === 1 => 'price',
            $count === 2 && $this->plan->piece->makes->kind !== 'batch' => 'price of the pair',
            default => "price of all {$count}",
        };

        return $of.($this->bill->unpriced > 0 ? ", {$this->bill->unpriced} unpriced" : '');
    }

    /** `1.20 less`, `0.35 more`. */
    public function difference(int $cents): string
    {
        return self::more(abs($cents) < 1, Coins::text(abs($cents)), $cents < 0);
    }

    public function minutesMore(float $minutes): string
    {
        return self::more(abs($minutes) < 0.5, Figures::trim(abs($minutes), 0).' min', $minutes < 0);
    }

    public function gramsMore(float $grams): string
    {
        return self::more(abs($grams) < 0.005, Figures::grams(abs($grams)), $grams < 0);
    }

    private static function more(bool $isSame, string $amount, bool $isLess): string
    {
        return match (true) {
            $isSame => 'the same',
            $isLess => "{$amount} less",
            default => "{$amount} more",
        };
    }

    public function money(int $cents): string
    {
        return Coins::amount($cents);
    }

    /** @return list<array{name: string, cents: int, isHere: bool}> what is asked by each list */
    public function asked(string $here): array
    {
        return array_map(fn (PriceList $list): array => [
            'name' => ucfirst($list->name), 'cents' => $this->askingBy($list)->priceCents(),
            'isHere' => $list->name === $here,
        ], $this->workshop->priceLists());
    }

    public function askingBy(PriceList $list): Asking
    {
        return Asking::of(
            $this->bill->costCents + $this->bill->overheadCents, $list,
            $this->workshop->priceTerms()->times($this->plan->piece->makes->sold()),
        );
    }

    /** Of each that is sold: a pair goes as one. */
    public function eachBy(PriceList $list): int
    {
        return $this->askingBy($list)->eachCents($this->plan->piece->makes->sold());
    }

    /** The list that is looked at. */
    public function listOf(string $name): PriceList
    {
        foreach ($this->workshop->priceLists() as $list) {
            if ($list->name === $name) {
                return $list;
            }
        }

        return $this->workshop->priceLists()[0];
    }
}
