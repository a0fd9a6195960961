<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Wire\Wire;

/**
 * All that a piece can be looked for by, as one text in lower case: its name and note, how its parts are made, its
 * beads, its wires.
 */
final class Told
{
    public static function of(Piece $piece): string
    {
        $words = [
            $piece->name, $piece->note, $piece->fit->kind->noun(),
            ...array_map(fn (Part $part): string => $part->technique()->label().' '.$part->label(), $piece->parts),
            ...array_map(self::bead(...), array_values($piece->beads)),
            ...array_map(fn (Wire $wire): string => $wire->words(), array_values($piece->wires)),
        ];

        return mb_strtolower(implode(' ', array_unique(array_filter($words))));
    }

    private static function bead(Bead $bead): string
    {
        return "{$bead->words()} {$bead->sizeWords()} {$bead->colour} {$bead->shape->value} {$bead->material->value}";
    }
}
