<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\HandBook;
use App\Read\PlannedToday;
use App\View\Bench\Rail;
use App\View\Bench\RunningLow;
use App\View\Bench\Today;
use App\View\Bench\UnderWay;
use App\View\PieceCard;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** What is under way, what the day holds, what runs low and what is finished. */
final class BenchController extends Controller
{
    private const MOST_CARDS = 24;

    public function __invoke(Request $request): View
    {
        $workshop = $this->workshop($request);
        $underWay = UnderWay::in($workshop);
        $cards = PieceCard::all($workshop, most: self::MOST_CARDS);
        $isUnderWay = fn (PieceCard $card): bool => $card->making() !== null;
        $first = $this->first(array_values(array_filter($cards, $isUnderWay)));
        $making = $first?->making();
        $finished = Rail::finished($workshop);
        $isPlanned = fn (PieceCard $card): bool => ! $isUnderWay($card) && $card->piece->made_at === null;

        return view('bench', [
            'workshop' => $workshop,
            'profile' => $workshop->profile(),
            'hero' => $making === null ? null : $underWay->seen($first->piece, $making),
            'today' => (new Today(
                $cards, $underWay, HandBook::of($workshop)->pace(), PlannedToday::of($workshop),
            ))->rows(),
            'low' => (new RunningLow($workshop))->things,
            'finished' => $finished,
            'onPaper' => Rail::onPaper(array_values(array_filter($cards, $isPlanned)), $finished),
        ]);
    }

    /**
     * What goes on now: the latest that does not rest.
     *
     * @param  list<PieceCard>  $underWay
     */
    private function first(array $underWay): ?PieceCard
    {
        foreach ($underWay as $card) {
            if ($card->making()?->isWaiting() === false) {
                return $card;
            }
        }

        return $underWay[0] ?? null;
    }
}
