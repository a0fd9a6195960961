<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/**
 * A group graduated: unfolded into parts of their own, the beads of each repeat so much larger than those of the one
 * before, length and width alike; falling, the largest come first. A mirrored group rises to its middle and falls
 * again.
 */
final readonly class GradeGroup implements Change
{
    public function __construct(public string $group, public float $byMm, public bool $isFalling)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $group = $piece->groups[$this->group] ?? throw InvalidPiece::noSuchGroup($this->group);
        $together = array_values(array_filter($piece->parts, fn (Part $part): bool => $part->group === $this->group));
        $ids = array_map(fn (Part $part): PartId => $part->id, $together);
        $known = array_map(fn (Bead $bead): string => $bead->key(), $piece->beads);
        $beads = $piece->beads;
        $copies = [];
        $last = [];
        [$next, $nextBead] = [(int) substr($piece->nextPartId()->text, 1), (int) substr($piece->nextBeadKey(), 1)];
        for ($copy = 0; $copy < $group->times(); $copy++) {
            $isBack = $copy >= $group->repeat;
            $step = $isBack ? 2 * $group->repeat - 1 - $copy : $copy;
            $step = $this->isFalling ? $group->repeat - 1 - $step : $step;
            $now = [];
            foreach ($ids as $id) {
                $now[$id->text] = $copy === 0 ? $id : PartId::of('p'.$next++);
            }
            foreach ($isBack ? array_reverse($together) : $together as $index => $part) {
                $one = ($isBack ? $part->mirrored() : $part)->withId($now[$part->id->text])->inGroup('');
                // What hung within the repeat hangs within it again; from the second on it follows the one before.
                $on = $one->on;
                $one = $one->hungOn(match (true) {
                    $on === null => null,
                    isset($now[$on->part->text]) => $on->of($now[$on->part->text]),
                    default => $copy === 0 && $index === 0 ? $on : null,
                });
                $runs = [];
                foreach ($one->beads as $run) {
                    $bead = $piece->beads[$run->bead]->larger($step * $this->byMm);
                    $key = array_search($bead->key(), $known, true);
                    if ($key === false) {
                        $key = 'b'.$nextBead++;
                        [$known[$key], $beads[$key]] = [$bead->key(), $bead];
                    }
                    $runs[] = new BeadRun((string) $key, $run->count);
                }
                $copies[] = $one->withBeads($runs);
            }
            $last = $now;
        }
        $parts = [];
        foreach ($piece->parts as $part) {
            if ($part->group === $this->group) {
                array_push($parts, ...$copies);
                $copies = [];

                continue;
            }
            $on = $part->on;
            $parts[] = $on !== null && isset($last[$on->part->text])
                ? $part->hungOn($on->of($last[$on->part->text]))
                : $part;
        }

        return $piece->withParts(Settled::parts($parts), $beads);
    }

    public function words(Piece $before): string
    {
        return 'Graduated';
    }
}
