<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;

/** A piece with its rings, bangles, hoops and coils as large as its fit wants them. */
final class Sized
{
    public static function to(Piece $piece): Piece
    {
        return $piece->withParts(array_map(fn (Part $part): Part => self::part($piece, $part), $piece->parts));
    }

    /** A part changed in a setting: where its size was that of the fit, and was not what was set, it still is. */
    public static function following(Piece $piece, Part $before, Part $after, string $changed): Piece
    {
        $sizing = $before->technique()->sizing($piece, $before);
        $with = $piece->withPart($after);
        $followed = $sizing !== null && $sizing->key !== $changed
            && abs($before->mm($sizing->key) - $sizing->wantedMm) < 1e-3;

        return $followed ? $with->withPart(self::part($with, $after)) : $with;
    }

    public static function part(Piece $piece, Part $part): Part
    {
        return $part->technique()->sizing($piece, $part)?->applied($part) ?? $part;
    }
}
