<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Part;

/**
 * Parts after some were moved or taken off: what hung on a part that is gone, or now stands below, hangs on the one
 * before it; what closed in one that is gone is open; a group that was torn apart ends where it was torn.
 */
final class Settled
{
    /**
     * @param  list<Part>  $parts
     * @return list<Part>
     */
    public static function parts(array $parts): array
    {
        $seen = $groups = [];
        $last = '';
        foreach ($parts as $index => $part) {
            if ($part->on !== null && ! isset($seen[$part->on->part->text])) {
                $part = $part->hungOn(null);
            }
            if ($part->group !== '' && $part->group !== $last && isset($groups[$part->group])) {
                $part = $part->inGroup('');
            }
            $seen[$part->id->text] = $groups[$part->group] = true;
            $last = $part->group;
            $parts[$index] = $part;
        }

        return array_map(
            fn (Part $part): Part => $part->to !== null && ! isset($seen[$part->to->part->text])
                ? $part->closedIn(null)
                : $part,
            $parts,
        );
    }
}
