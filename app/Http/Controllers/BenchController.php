<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\View\PieceCard;
use App\View\ToBuy;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** What is under way. */
final class BenchController extends Controller
{
    public function __invoke(Request $request): View
    {
        $workshop = $this->workshop($request);
        $cards = PieceCard::all($workshop, 24);

        return view('bench', [
            'workshop' => $workshop,
            'profile' => $workshop->profile(),
            'underWay' => array_values(array_filter($cards, fn (PieceCard $card): bool => $card->making() !== null)),
            'onPaper' => array_slice(
                array_values(array_filter($cards, fn (PieceCard $card): bool => $card->making() === null)),
                0,
                6,
            ),
            'low' => ToBuy::low($workshop),
            'closed' => $workshop->makings()->with(
                ['piece' => fn ($piece) => $piece->withTrashed()],
            )->whereNotNull('closed_at')->latest('closed_at')->limit(6)->get(),
        ]);
    }
}
