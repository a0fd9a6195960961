<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/**
 * What is to be cut from what, as a search sees it: kinds of cut from long to short, types of piece, each number once.
 * A cut of length c takes c + trim of the room of a piece, which is its length + trim: so the last cut's trim is what
 * is left of it.
 *
 * Millimetres. `room` − `trim`, but never less than 0, is what is left of a piece.
 */
final readonly class CutProblem
{
    /** @var list<float> room that one of each kind takes, long to short */
    public array $takes;

    /** @var list<int> how many of each */
    public array $counts;

    /** @var list<float> room of each type of piece */
    public array $rooms;

    /** @var list<int> how many there are of each type */
    public array $pieces;

    /** @var list<float> what is lost once a piece of the type is touched, before what is left of it is counted back */
    public array $opening;

    /**
     * @param  list<CutKind>  $kinds  long to short
     * @param  list<StockRow>  $rows  types, each length and whether it is bought once
     * @param  list<int>  $available
     */
    public function __construct(public array $kinds, public array $rows, array $available, public CuttingTerms $terms)
    {
        $this->takes = array_map(fn (CutKind $kind): float => $kind->lengthMm + $terms->trimMm, $kinds);
        $this->counts = array_map(fn (CutKind $kind): int => $kind->count, $kinds);
        $this->rooms = array_map(fn (StockRow $row): float => $row->lengthMm + $terms->trimMm, $rows);
        $this->opening = array_map(
            fn (StockRow $row): float => $terms->worthMm(
                $row->lengthMm,
            ) + $terms->handlingMm + ($row->isBought() ? $terms->buyMm : 0.0),
            $rows,
        );
        $this->pieces = $available;
    }

    public function worthMm(float $roomMm): float
    {
        return $this->terms->worthMm(max(0.0, $roomMm - $this->terms->trimMm));
    }

    /**
     * Only some of its cuts, from some of its pieces.
     *
     * @param  array<int, int>  $counts
     * @param  array<int, int>  $pieces
     */
    public function part(array $counts, array $pieces): self
    {
        $kinds = array_map(
            fn (CutKind $kind, int $count): CutKind => new CutKind($kind->label, $kind->lengthMm, $count),
            $this->kinds,
            $counts,
        );

        return new self($kinds, $this->rows, array_values($pieces), $this->terms);
    }
}
