<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Workshop;

/** A workshop's pieces on their rails: on paper, on the bench, made; a line says which are looked for. */
final readonly class PiecesWall
{
    /** @var array<string, list<PieceCard>> by rail, without the empty ones */
    public array $rails;

    public int $count;

    public int $found;

    private PieceFinder $finder;

    public function __construct(Workshop $workshop, public string $line)
    {
        $this->finder = new PieceFinder($line, $workshop->profile()->unit());
        $cards = PieceCard::all($workshop);
        $rails = ['On the bench' => [], 'On paper' => [], 'Made' => []];
        foreach ($cards as $card) {
            $rails[self::rail($card)][] = $card;
        }
        $this->rails = array_filter($rails);
        $this->count = count($cards);
        $this->found = count(array_filter($cards, $this->finds(...)));
    }

    private static function rail(PieceCard $card): string
    {
        return match (true) {
            $card->making() !== null => 'On the bench',
            $card->piece->made_at !== null => 'Made',
            default => 'On paper',
        };
    }

    public function isSearching(): bool
    {
        return ! $this->finder->asksNothing();
    }

    public function finds(PieceCard $card): bool
    {
        return ! $this->isSearching() || $this->finder->finds($card);
    }
}
