<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/**
 * The first runs of a part as a unit, so often in a row; what follows the repeats that are there already stays behind
 * them.
 */
final readonly class RepeatBeads implements Change
{
    /** @param  int|null  $runs  how many runs the unit has; all where null */
    public function __construct(public PartId $part, public ?int $runs, public int $count)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);
        $all = $part->beads;
        $all !== [] || throw InvalidPiece::noSuchRun(0);
        $length = min(count($all), $this->runs ?? count($all));
        $unit = array_slice($all, 0, $length);
        $runs = [];
        for ($time = 0; $time < $this->count; $time++) {
            array_push($runs, ...$unit);
        }

        return $piece->withPart(
            $part->withBeads(Runs::joined([...$runs, ...array_slice($all, $length * self::timesIn($all, $unit))])),
        );
    }

    /**
     * @param  list<BeadRun>  $all
     * @param  list<BeadRun>  $unit
     */
    private static function timesIn(array $all, array $unit): int
    {
        $length = count($unit);
        $times = 1;
        while (self::names(array_slice($all, $times * $length, $length)) === self::names($unit)) {
            $times++;
        }

        return $times;
    }

    /**
     * @param  list<BeadRun>  $runs
     * @return list<string>
     */
    private static function names(array $runs): array
    {
        return array_map(fn (BeadRun $run): string => $run->bead.' '.$run->count, $runs);
    }

    public function words(Piece $before): string
    {
        return 'Beads repeated';
    }
}
