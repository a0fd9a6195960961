<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\CutTick;
use Hebra\Core\Plan\Cut;
use Illuminate\Support\Collection;

/**
 * So many cuts of one kind that came from one lot: what a row of the log stands for. One kind has a share for each lot
 * it was ticked off from.
 */
final readonly class CutShare
{
    private function __construct(public string $key, public Cut $cut, public int $count, public ?int $lotId)
    {
    }

    /**
     * @param  Collection<int, CutTick>  $ticks  of the piece
     * @return non-empty-list<self>
     */
    public static function of(Cut $cut, Collection $ticks): array
    {
        $byLot = $ticks->filter(
            fn (CutTick $tick): bool => $tick->cut === $cut->key() && ! $tick->is_spoiled,
        )->countBy('lot_id')->sortDesc()->all();
        $shares = [];
        $left = $cut->count;
        foreach ($byLot as $lot => $count) {
            $count = min($left, $count);
            if ($count > 0) {
                $shares[] = new self(
                    $cut->key().($shares === [] ? '' : '~'.(count($shares) + 1)),
                    $cut,
                    $count,
                    (int) $lot,
                );
                $left -= $count;
            }
        }
        if ($left > 0) {
            // What was not ticked off belongs to the first share.
            $first = $shares[0] ?? new self($cut->key(), $cut, 0, null);
            $shares[0] = new self($first->key, $cut, $first->count + $left, $first->lotId);
        }

        return $shares === [] ? [new self($cut->key(), $cut, $cut->count, null)] : $shares;
    }

    public function with(int $count): self
    {
        return new self($this->key, $this->cut, $count, $this->lotId);
    }
}
