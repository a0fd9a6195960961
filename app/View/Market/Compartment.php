<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Finished;
use App\View\Coins;
use App\View\HungPicture;
use App\View\SeenPiece;
use Illuminate\Support\Collection;

/** Alike pieces in one compartment of the box: the last one drawn, all of them by number. */
final readonly class Compartment
{
    /** So many numbers are told; the rest is found by them. */
    public const MOST = 12;

    private const HIGH = 118.0;

    private const WIDE = 150.0;

    private const MOST_RATIO = 0.8;

    public HungPicture $hung;

    /** @param  Collection<int, Finished>  $numbers */
    public function __construct(
        public Finished $last, public int $many, public Collection $numbers, SeenPiece $seen,
    ) {
        $this->hung = $seen->hung([self::WIDE, self::HIGH, self::MOST_RATIO]);
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
            : Coins::amount($this->last->price_cents);
    }
}
