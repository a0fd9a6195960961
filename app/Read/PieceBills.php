<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Piece;
use App\Models\Workshop;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Price\Bill;
use Illuminate\Support\Facades\Cache;

/**
 * What one making of a piece costs, where many pieces are told of at once: kept until the design, the hand, what is
 * paid for anything or what was noted of a making is another.
 */
final class PieceBills
{
    private const KEPT_SECONDS = 1_209_600;

    /** @return callable(Piece): Bill of pieces of this workshop, by its usual list */
    public static function in(Workshop $workshop): callable
    {
        $state = HandState::atPace($workshop).now()->toDateString().self::paid($workshop).self::noted($workshop);

        return fn (Piece $piece): Bill => Cache::remember(
            "bill-{$piece->id}-".md5($state.$piece->json()), self::KEPT_SECONDS,
            fn (): Bill => (new Pricing($piece, $workshop))->billed(
                Planner::plan($piece->document(), $workshop->profile()),
            )[0],
        );
    }

    /** All that prices are taken from. */
    private static function paid(Workshop $workshop): string
    {
        return md5((string) json_encode([
            $workshop->lots()->withHeld()->toBase()->get(), $workshop->beads()->toBase()->get(),
            $workshop->supplies()->toBase()->get(),
        ]));
    }

    /** The minutes of what was made, and which pieces are variants of each other. */
    private static function noted(Workshop $workshop): string
    {
        return (string) json_encode([
            $workshop->makings()->toBase()->whereNotNull('closed_at')
                ->selectRaw('COUNT(*), SUM(minutes), SUM(id * minutes), MAX(closed_at)')->first(),
            $workshop->pieces()->toBase()->whereNotNull('family')->orderBy('id')->get(['id', 'family']),
        ]);
    }
}
