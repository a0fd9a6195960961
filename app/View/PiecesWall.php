<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Workshop;
use Hebra\Core\Quantity\Figures;

/** A workshop's pieces on their rails: on paper, on the bench, made; a line says which are looked for. */
final readonly class PiecesWall
{
    private const MOST_TAGS = 24;

    /** @var array<string, list<PieceCard>> by rail, without the empty ones */
    public array $rails;

    public int $count;

    /** Of very many the latest hang here; any other is found by its words. */
    public int $hung;

    public int $found;

    private PieceFinder $finder;

    public function __construct(private Workshop $workshop, public string $line)
    {
        $this->finder = new PieceFinder($line, $workshop->profile()->unit());
        $cards = PieceCard::all($workshop, $this->finder->asksNothing() ? null : $this->finder->sought);
        $rails = ['On the bench' => [], 'On paper' => [], 'Made' => []];
        foreach ($cards as $card) {
            $rails[self::rail($card)][] = $card;
        }
        $this->rails = array_map(self::together(...), array_filter($rails));
        $this->hung = count($cards);
        $this->count = $workshop->pieces()->where('is_pattern', false)->count();
        $this->found = count(array_filter($cards, $this->finds(...)));
    }

    /** `18 pieces`, `2 of 18 found`, `The latest 60 of 1018 pieces; the others are found by their words`. */
    public function told(): string
    {
        return match (true) {
            $this->isSearching() => "{$this->found} of {$this->count} found",
            $this->hung < $this->count => "The latest {$this->hung} of {$this->count} pieces; the others are found by "
                .'their words',
            default => Figures::counted($this->count, 'piece'),
        };
    }

    private static function rail(PieceCard $card): string
    {
        return match (true) {
            $card->making() !== null => 'On the bench',
            $card->piece->made_at !== null => 'Made',
            default => 'On paper',
        };
    }

    /**
     * Variants of one design hang beside each other, where the latest of them would.
     *
     * @param  list<PieceCard>  $cards
     * @return list<PieceCard>
     */
    private static function together(array $cards): array
    {
        $hangers = [];
        foreach ($cards as $card) {
            $hangers[self::hanger($card)][] = $card;
        }

        return array_merge(...array_values($hangers));
    }

    private static function hanger(PieceCard $card): string
    {
        return $card->piece->family ?? $card->piece->ulid;
    }

    /**
     * @param  list<PieceCard>  $cards  of a rail
     * @return array<string, int> how many variants share a hanger on it, by what they are known by
     */
    public static function hangers(array $cards): array
    {
        $families = array_filter(array_map(fn (PieceCard $card): ?string => $card->piece->family, $cards));

        return array_filter(array_count_values($families), fn (int $many): bool => $many > 1);
    }

    /** @return array<string, int> how many pieces have each tag, the most used first */
    public function tags(): array
    {
        $tags = [];
        $tagged = $this->workshop->pieces()->where('is_pattern', false)->where('tags', '!=', '')->pluck('tags');
        foreach ($tagged as $all) {
            foreach (explode(' ', (string) $all) as $tag) {
                $tags[$tag] = ($tags[$tag] ?? 0) + 1;
            }
        }
        arsort($tags);

        return array_slice($tags, 0, self::MOST_TAGS, true);
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
