<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\Part;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Wire\Wire;

/**
 * What a line looks for among pieces: `amber, under 80 mm`, `22 awg copper link`. Each word says something of a piece:
 * its name or note, how a part is made, a bead, a wire, where it stands.
 */
final readonly class PieceFinder
{
    private const MOST_LETTERS = 80;

    private Sought $sought;

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
        $mm = $card->plan->hangsMm();
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
        $document = $card->plan->piece;

        return implode(' ', [
            $document->name, $document->note, $card->progress(), $document->fit->kind->noun(),
            ...array_map(fn (Part $part): string => $part->technique()->label().' '.$part->label(), $document->parts),
            ...array_map(self::bead(...), array_values($document->beads)),
            ...array_map(fn (Wire $wire): string => $wire->words(), array_values($document->wires)),
        ]);
    }

    private static function bead(Bead $bead): string
    {
        return "{$bead->words()} {$bead->sizeWords()} {$bead->colour} {$bead->shape->value} {$bead->material->value}";
    }
}
