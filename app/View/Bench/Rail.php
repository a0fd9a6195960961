<?php

declare(strict_types=1);

namespace App\View\Bench;

use App\Models\Making;
use App\Models\Workshop;
use App\Read\WantedPiece;
use App\View\Drawing;
use App\View\HungPiece;
use App\View\PieceCard;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Illuminate\Support\Collection;

/**
 * Pieces hung on a rail, all at one scale as far as they have room: the longest that has none is drawn as small as it
 * must be.
 *
 * @phpstan-type Hung array{name: string, words: string, url: string, drawing: Drawing, times: int}
 */
final class Rail
{
    public const HIGH = 132;

    /** How many there is room for beside each other, and how many of them are kept for what is on paper. */
    public const MOST = 8;

    private const ON_PAPER = 3;

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
            ...self::drawn($card->plan, 'paper-'.$card->piece->id),
        ], array_slice($cards, 0, max(self::ON_PAPER, self::MOST - count($beside->hung)))));
    }

    /**
     * What is wanted, each piece once, with how far it is.
     *
     * @param  list<WantedPiece>  $pieces
     * @param  callable(WantedPiece): string  $words
     */
    public static function wanted(array $pieces, callable $words): self
    {
        return new self('wanted', array_map(fn (WantedPiece $piece): array => [
            'name' => $piece->want->piece->name, 'words' => $words($piece),
            'url' => "/pieces/{$piece->want->piece->ulid}", ...self::drawn($piece->plan(), 'wanted-'.$piece->key()),
        ], $pieces));
    }

    /**
     * Pieces as they stand: each with where it is, and what is wrong with it.
     *
     * @param  list<PieceCard>  $cards
     * @return list<array{card: PieceCard, drawing: Drawing, times: int}>
     */
    public static function places(array $cards): array
    {
        return array_map(
            fn (PieceCard $card): array => ['card' => $card, ...self::drawn($card->plan, 'piece-'.$card->piece->id)],
            $cards,
        );
    }

    /** What was made and closed, the latest first, each piece once. */
    public static function finished(Workshop $workshop): self
    {
        $profile = $workshop->profile();
        /** @var Collection<int, Making> $makings */
        $makings = $workshop->makings()->with(['piece' => fn ($piece) => $piece->withTrashed()])
            ->whereNotNull('closed_at')->latest('closed_at')->limit(60)->get();

        return new self('finished', array_values($makings->groupBy('piece_id')->take(self::MOST - self::ON_PAPER)->map(
            fn (Collection $of): array => self::made($of, $profile),
        )->all()));
    }

    /**
     * @param  Collection<int, Making>  $of  makings of one piece, the latest first
     * @return Hung
     */
    private static function made(Collection $of, Profile $profile): array
    {
        /** @var Making $last */
        $last = $of->first();
        $plan = Planner::plan($last->document(), $profile);

        return [
            'name' => $last->piece->name,
            'words' => ($of->count() > 1 ? "{$of->count()} times, " : '').$last->closed_at?->format('j M'),
            'url' => "/makings/{$last->ulid}/record", ...self::drawn($plan, 'rail-'.$last->id),
        ];
    }

    /** @return array{drawing: Drawing, times: int} */
    private static function drawn(Plan $plan, string $name): array
    {
        $hung = HungPiece::in(
            [self::WIDE, self::HIGH, self::HIGH / (self::FULL_MM * Drawing::PX_PER_MM)], $plan, $name,
        );

        return ['drawing' => $hung->drawing, 'times' => $hung->times];
    }
}
