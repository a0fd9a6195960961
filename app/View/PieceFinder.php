<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Problem;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;

/**
 * What a line looks for among pieces: `amber, under 80 mm`, `22 awg copper link`. Each word says something of a piece:
 * its name or note, how a part is made, a bead, a wire, where it stands.
 */
final readonly class PieceFinder
{
    private const MOST_LETTERS = 80;

    public Sought $sought;

    private ?float $mostMm;

    private ?float $leastMm;

    public function __construct(string $line, LengthUnit $bare)
    {
        $rest = mb_strtolower(mb_substr(mb_scrub($line), 0, self::MOST_LETTERS));
        $this->mostMm = self::length($rest, 'under|below|up to|less than|shorter than', $bare);
        $this->leastMm = self::length($rest, 'over|above|more than|longer than|from', $bare);
        $this->sought = Sought::read($rest);
    }

    public function asksNothing(): bool
    {
        return $this->sought->words === [] && $this->mostMm === null && $this->leastMm === null;
    }

    public function finds(PieceCard $card): bool
    {
        $mm = $card->seen->hangsMm();
        if (($this->mostMm !== null && $mm > $this->mostMm) || ($this->leastMm !== null && $mm < $this->leastMm)) {
            return false;
        }

        return $this->sought->isIn($this->told($card));
    }

    private static function length(string &$rest, string $words, LengthUnit $bare): ?float
    {
        if (preg_match("/\b(?:{$words})\s+([\d.,\/ ]*\d\s*(?:mm|cm|m|in|\"|ft)?)(?!\S*[a-z])/u", $rest, $match) !== 1) {
            return null;
        }
        try {
            $mm = Length::parse($match[1], 'line', $bare)->millimetres();
        } catch (Problem) {
            return null;
        }
        $rest = str_replace($match[0], ' ', $rest);

        return $mm;
    }

    private function told(PieceCard $card): string
    {
        return "{$card->piece->told} {$card->piece->tags} {$card->progress()}";
    }
}
