<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Finished;
use App\Models\Workshop;
use App\View\Drawing;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Price\Bill;
use Illuminate\Support\Collection;

/** Alike pieces in one compartment of the box: the last one drawn, all of them by number. */
final readonly class Compartment
{
    /** So many numbers are told; the rest is found by them. */
    public const MOST = 12;

    private const HIGH = 118.0;

    private const WIDE = 150.0;

    public Drawing $drawing;

    public int $times;

    /** @param  Collection<int, Finished>  $numbers */
    public function __construct(
        public Finished $last, public int $many, public Collection $numbers, private Workshop $workshop,
    ) {
        $plan = $last->making->plan($workshop->profile());
        $this->times = self::timesOf($plan);
        $assembly = $plan->assembly();
        $this->drawing = new Drawing($assembly, dimension: 0, room: 2, name: 'box-'.$last->id, ratioGiven: min(
            0.8, self::HIGH / max(1e-9, $assembly->heightMm() * Drawing::PX_PER_MM),
            self::WIDE / $this->times / max(1e-9, $assembly->widthMm() * Drawing::PX_PER_MM),
        ));
    }

    private static function timesOf(Plan $plan): int
    {
        $isPair = $plan->piece->makes->count === 2 && $plan->piece->makes->sold() === 1;

        return $isPair && ! $plan->isLaidRound() ? 2 : 1;
    }

    /** `2 at the stall`. */
    public function words(): string
    {
        return "{$this->many} {$this->last->place->words()}";
    }

    public function price(): string
    {
        return $this->last->price_cents === null
            ? ''
            : Bill::cents($this->last->price_cents).' '.$this->workshop->currency;
    }
}
