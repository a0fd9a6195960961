<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Closure;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Runs of beads on a part: finding one, and joining equal neighbours. */
final class Runs
{
    /** @throws InvalidPiece if there is none */
    public static function at(Part $part, int $at): BeadRun
    {
        return $part->beads[$at] ?? throw InvalidPiece::noSuchRun($at);
    }

    /**
     * The runs of some parts changed at once, equal neighbours joined: what leaves one for another is never out of the
     * piece between.
     *
     * @param  list<array{PartId, Closure(list<BeadRun>): array<BeadRun>}>  $changes  one after the other
     */
    public static function changed(Piece $piece, array $changes): Piece
    {
        $parts = $piece->parts;
        foreach ($changes as [$id, $change]) {
            $index = $piece->indexOf($id);
            $parts[$index] = $parts[$index]->withBeads(array_values($change($parts[$index]->beads)));
        }
        foreach ($changes as [$id]) {
            $index = $piece->indexOf($id);
            $parts[$index] = $parts[$index]->withBeads(self::joined($parts[$index]->beads));
        }

        return $piece->withParts(array_values($parts));
    }

    /**
     * @param  list<BeadRun>  $runs
     * @return list<BeadRun>
     */
    public static function joined(array $runs): array
    {
        $joined = [];
        foreach ($runs as $run) {
            $last = count($joined) - 1;
            if ($last >= 0 && $joined[$last]->bead === $run->bead) {
                $joined[$last] = $run->times($joined[$last]->count + $run->count);
            } else {
                $joined[] = $run;
            }
        }

        return array_values($joined);
    }
}
