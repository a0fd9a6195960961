<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Bead;
use App\Models\Lot;
use App\Models\Workshop;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Illuminate\Support\Facades\DB;

/** Wire is weighed and beads are counted, all at once: what differs is booked, or nothing is. */
final class StockTaking
{
    private const MOST_GRAMS = 100_000;

    private const MOST_BEADS = 1_000_000;

    public function __construct(private readonly Stockkeeping $stock, private readonly SupplyBook $supplies)
    {
    }

    /**
     * @param  array<mixed>  $weights  of lots by their names, in grams; nothing for those that were not weighed
     * @param  array<mixed>  $counts  of beads by their names
     * @return int how many differed
     *
     * @throws Problem at the first field that is unreadable; then nothing is booked
     */
    public function take(Workshop $workshop, array $weights, array $counts): int
    {
        return DB::transaction(function () use ($workshop, $weights, $counts): int {
            $differed = 0;
            foreach (self::filled($weights) as $ulid => $text) {
                $differed += $this->weighed($workshop, (string) $ulid, $text);
            }
            foreach (self::filled($counts) as $ulid => $text) {
                $differed += $this->counted($workshop, (string) $ulid, $text);
            }

            return $differed;
        });
    }

    /**
     * @param  array<mixed>  $fields
     * @return array<array-key, string>  a name of figures alone is a number here
     */
    private static function filled(array $fields): array
    {
        $filled = [];
        foreach ($fields as $ulid => $text) {
            if (is_string($text) && trim($text) !== '') {
                $filled[$ulid] = trim($text);
            }
        }

        return $filled;
    }

    private function weighed(Workshop $workshop, string $ulid, string $text): int
    {
        /** @var Lot $lot */
        $lot = $workshop->lots()->where('ulid', $ulid)->first()
            ?? throw Refused::invalid('taking', 'A lot of it is not in stock any more: look at the list again.');
        try {
            $mg = Weight::orNothing($text, self::MOST_GRAMS);
        } catch (Problem $problem) {
            throw Refused::at("weight.{$ulid}", $problem);
        }
        $by = $mg - (int) $lot->movements()->sum('mass_mg');
        $by === 0 || $this->stock->adjust($lot, $workshop, $by);

        return $by === 0 ? 0 : 1;
    }

    private function counted(Workshop $workshop, string $ulid, string $text): int
    {
        /** @var Bead $bead */
        $bead = $workshop->beads()->where('ulid', $ulid)->first()
            ?? throw Refused::invalid('taking', 'A bead of it is not in stock any more: look at the list again.');
        try {
            $count = Count::parse($text, 'count', 0, self::MOST_BEADS);
        } catch (Problem $problem) {
            throw Refused::at("count.{$ulid}", $problem);
        }
        $differs = $count !== $bead->owned;
        if ($differs) {
            $this->supplies->correct($workshop, $bead, $count);
        }

        return $differs ? 1 : 0;
    }
}
