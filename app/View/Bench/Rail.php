<?php

declare(strict_types=1);

namespace App\View\Bench;

use App\Models\Making;
use App\Models\Workshop;
use App\Read\WantedPiece;
use App\View\Drawing;
use App\View\HungPicture;
use App\View\PieceCard;
use App\View\SeenPiece;
use Illuminate\Support\Collection;

/**
 * Pieces hung on a rail, all at one scale as far as they have room: the longest that has none is drawn as small as it
 * must be.
 *
 * @phpstan-type Hung array{name: string, words: string, url: string, hung: HungPicture}
 */
final class Rail
{
    public const HIGH = 132;

    /** How many there is room for beside each other, and how many of them are kept for what is on paper. */
    public const MOST = 8;

    private const ON_PAPER = 3;

    /** A place on the wall of pieces. */
    private const PLACE = 118;

    private const WIDE = 140;

    /** A piece of so many millimetres fills the height of the rail. */
    private const FULL_MM = 75.0;

    /** @param  list<Hung>  $hung */
    private function __construct(public string $name, public array $hung)
    {
    }

    /** @param  list<PieceCard>  $cards */
    public static function onPaper(array $cards, self $beside): self
    {
        return new self('paper', array_map(fn (PieceCard $card): array => [
            'name' => $card->piece->name, 'words' => $card->progress(), 'url' => "/pieces/{$card->piece->ulid}",
            'hung' => self::hung($card->seen),
        ], array_slice($cards, 0, max(self::ON_PAPER, self::MOST - count($beside->hung)))));
    }

    /**
     * What is wanted, each piece once, with how far it is.
     *
     * @param  list<WantedPiece>  $pieces
     * @param  callable(WantedPiece): string  $words
     */
    public static function wanted(array $pieces, callable $words, Workshop $workshop): self
    {
        $seen = SeenPiece::in($workshop);

        return new self('wanted', array_map(fn (WantedPiece $piece): array => [
            'name' => $piece->want->piece->name, 'words' => $words($piece),
            'url' => "/pieces/{$piece->want->piece->ulid}",
            'hung' => self::hung($seen($piece->want->piece->json())),
        ], $pieces));
    }

    /**
     * Pieces as they stand: each with where it is, and what is wrong with it.
     *
     * @param  list<PieceCard>  $cards
     * @return list<array{card: PieceCard, hung: HungPicture}>
     */
    public static function places(array $cards): array
    {
        return array_map(fn (PieceCard $card): array => [
            'card' => $card, 'hung' => $card->seen->hung([self::WIDE, self::PLACE, self::ratio()]),
        ], $cards);
    }

    /** What was made and closed, the latest first, each piece once. */
    public static function finished(Workshop $workshop): self
    {
        $seen = SeenPiece::in($workshop);
        /** @var Collection<int, Making> $makings */
        $makings = $workshop->makings()->with(['piece' => fn ($piece) => $piece->withTrashed()])
            ->whereNotNull('closed_at')->latest('closed_at')->limit(60)->get();

        return new self('finished', array_values($makings->groupBy('piece_id')->take(self::MOST - self::ON_PAPER)->map(
            fn (Collection $of): array => self::made($of, $seen),
        )->all()));
    }

    /**
     * @param  Collection<int, Making>  $of  makings of one piece, the latest first
     * @param  callable(string): SeenPiece  $seen
     * @return Hung
     */
    private static function made(Collection $of, callable $seen): array
    {
        /** @var Making $last */
        $last = $of->first();

        return [
            'name' => $last->piece->name,
            'words' => ($of->count() > 1 ? "{$of->count()} times, " : '').$last->closed_at?->format('j M'),
            'url' => "/makings/{$last->ulid}/record", 'hung' => self::hung($seen($last->document)),
        ];
    }

    private static function hung(SeenPiece $seen): HungPicture
    {
        return $seen->hung([self::WIDE, self::HIGH, self::ratio()]);
    }

    private static function ratio(): float
    {
        return self::HIGH / (self::FULL_MM * Drawing::PX_PER_MM);
    }
}
