<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Piece;
use Hebra\Core\Price\Bill;
use Hebra\Core\Price\BillLine;

/** What an hour at the bench brings with a piece: its price less metal, beads and findings, over the minutes noted. */
final readonly class Paying
{
    private const HIGH = 62.0;

    private const WIDE = 90.0;

    private const MOST_RATIO = 0.4;

    public int $minutes;

    public int $priceCents;

    public int $hourCents;

    /** how much of its metal stays in it */
    public float $yield;

    public HungPicture $hung;

    /**
     * @param  float  $minutesEach  of one making, as they were noted
     * @param  callable(string): SeenPiece  $seen
     */
    public function __construct(public Piece $piece, Bill $bill, float $minutesEach, callable $seen)
    {
        $minutes = $minutesEach * $bill->pieces;
        $spent = array_sum(
            array_map(fn (BillLine $line): int => $line->kind === 'time' ? 0 : (int) $line->cents, $bill->lines),
        );
        $this->minutes = (int) round($minutes / $bill->pieces);
        $this->priceCents = $bill->eachCents();
        $this->hourCents = (int) round(60 * ($bill->totalCents() - $spent) / max(1, $minutes));
        $this->yield = $bill->yield();
        $this->hung = $seen($piece->json())->hung([self::WIDE, self::HIGH, self::MOST_RATIO]);
    }

    /** Where it hangs on a ruler that is so long. Hundredths; what brings nothing hangs at its beginning. */
    public function share(int $mostCents): float
    {
        return round(100 * max(0, min(1, $this->hourCents / max(1, $mostCents))), 2);
    }
}
