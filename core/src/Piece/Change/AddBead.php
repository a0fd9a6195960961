<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Puts a bead on a part's wire, at a place or at its end. Beside the same bead it only counts one more. */
final readonly class AddBead implements Change
{
    public function __construct(
        public PartId $part,
        public ?int $at,
        public Bead|string $bead,
        public int $count = 1,
    ) {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);
        $part->technique()->takesBeads() || throw InvalidPiece::takesNoBeads($part->label());
        [$key, $more] = self::keyFor($piece, $this->bead);
        $runs = $part->beads;
        $at = $this->at === null ? count($runs) : max(0, min(count($runs), $this->at));
        if ($at > 0 && $runs[$at - 1]->bead === $key) {
            $runs[$at - 1] = $runs[$at - 1]->times($runs[$at - 1]->count + $this->count);
        } else {
            array_splice($runs, $at, 0, [new BeadRun($key, $this->count)]);
        }

        return $piece->withPart($part->withBeads(array_values($runs)), $more);
    }

    /**
     * The key of a bead in the piece, and the bead itself where it is new.
     *
     * @return array{string, array<string, Bead>}
     */
    public static function keyFor(Piece $piece, Bead|string $bead): array
    {
        if (is_string($bead)) {
            return isset($piece->beads[$bead]) ? [$bead, []] : throw InvalidPiece::noSuchBead('bead', $bead);
        }
        $key = $piece->keyOfBead($bead);
        if ($key !== null) {
            return [$key, []];
        }
        $key = $piece->nextBeadKey();

        return [$key, [$key => $bead]];
    }

    public function words(Piece $before): string
    {
        return 'Added '.($this->bead instanceof Bead ? $this->bead->words() : $before->beads[$this->bead]->words());
    }
}
