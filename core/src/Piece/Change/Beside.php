<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\EyeRef;
use Hebra\Core\Piece\Part;

/**
 * What ends its line hangs beside the line where it stands in the middle of one: the next part goes on from the part
 * above both.
 */
final class Beside
{
    /** @param  list<Part>  $parts  the line it comes into, at a place */
    public static function hung(array $parts, int $at, Part $part): Part
    {
        if (! $part->technique()->endsLine() || $part->on !== null) {
            return $part;
        }
        $isLast = ! isset($parts[$at]);
        for ($index = $at - 1; $index >= 0; $index--) {
            if (! $parts[$index]->technique()->endsLine()) {
                // At the end of the line it simply hangs there, unless something hangs there before it.
                return $isLast && $index === $at - 1 ? $part : $part->hungOn(new EyeRef($parts[$index]->id));
            }
        }

        return $part;
    }
}
