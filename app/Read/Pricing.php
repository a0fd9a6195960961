<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Bead;
use App\Models\HandBook;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Piece;
use App\Models\Supply;
use App\Models\Workshop;
use Hebra\Core\Hand\Noted;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Price\Bill;
use Hebra\Core\Price\Prices;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Technique\BoughtPin;
use Hebra\Core\Technique\HeadPin;
use Illuminate\Support\Collection;

/** What a piece costs in its workshop: what was paid for what it takes, and the minutes that its makings took. */
final readonly class Pricing
{
    private Pace $pace;

    private Noted $noted;

    public function __construct(private Piece $piece, private Workshop $workshop)
    {
        $this->pace = HandBook::of($workshop)->pace();
        $this->noted = $this->noted();
    }

    /** @return array{Bill, float} what a plan costs, and its minutes */
    public function billed(Plan $plan): array
    {
        [$minutes, $from] = $this->minutes($plan);
        $prices = new Prices(
            $this->workshop->metalPrices(), now()->format('Y-m-d'), $this->beadPrices(), $this->findingPrices($plan),
        );

        return [Bill::of($plan, $prices, $this->workshop->costing()->taking($minutes, $from)), $minutes];
    }

    /** What makings of it took, and of its variants: they are made alike, and compared. */
    private function noted(): Noted
    {
        $ratios = [];
        $of = [$this->piece->id, ...$this->piece->variants()->pluck('id')];
        /** @var Collection<int, Making> $makings */
        $makings = Making::query()->whereIn('piece_id', $of)->whereNotNull('closed_at')->where('minutes', '>', 0)
            ->orderBy('closed_at')->get();
        foreach ($makings as $making) {
            $ratios[] = $making->minutes / $this->pace->foretell(
                $making->plan($this->workshop->profile()),
            )['about'];
        }

        return Noted::from($ratios);
    }

    /**
     * @return array{float, string} the plan's minutes as this maker's steps go, moved by what was noted for the piece
     */
    private function minutes(Plan $plan): array
    {
        $minutes = $this->noted->foretell($this->pace->foretell($plan)['about']);
        $from = match (true) {
            $this->noted->logs > 0 => 'from '.Figures::counted($this->noted->logs, 'making').' you noted and the plan',
            $this->pace->isLearned() => 'as your steps went so far',
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
    private function findingPrices(Plan $plan): array
    {
        $prices = [];
        $supplies = $this->workshop->supplies()->get();
        foreach ($plan->findings as $finding) {
            $prices[$finding->stock] = $finding->isPin() ? $this->pinPrice($finding) : $supplies->first(
                fn (Supply $supply): bool => $supply->isOf($finding),
            )?->price();
        }

        return $prices;
    }

    /** As a bag of them was paid for, the last that came in. */
    private function pinPrice(Finding $finding): ?UnitPrice
    {
        /** @var Lot|null $bag */
        $bag = $this->workshop->lots()->withHeld()->whereIn('kind', Lot::PINS)->latest('id')->get()->first(
            fn (Lot $lot): bool => $lot->isPinOf($finding) && $lot->pinPrice() !== null,
        );

        return $bag?->pinPrice();
    }

    /** @return array<int, UnitPrice|null> what pins of its drops’ wire cost, by their length */
    public function pinPrices(Plan $plan): array
    {
        $prices = [];
        foreach ($plan->parts() as $part) {
            foreach ($part->technique instanceof HeadPin ? BoughtPin::STOCKED_MM : [] as $length) {
                $prices[(int) $length] ??= $this->pinPrice(new Finding('', $part->wire, 1, 1, $length));
            }
        }

        return $prices;
    }
}
