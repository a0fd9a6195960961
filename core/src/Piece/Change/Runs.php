<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\Part;

/** Runs of beads on a part: finding one, and joining equal neighbours. */
final class Runs
{
    /** @throws InvalidPiece if there is none */
    public static function at(Part $part, int $at): BeadRun
    {
        return $part->beads[$at] ?? throw InvalidPiece::noSuchRun($at);
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
