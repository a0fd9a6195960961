<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Bead;
use App\Models\Workshop;
use Hebra\Core\Market\Breakage;
use Illuminate\Support\Facades\DB;

/** What was missed of each bead when it was counted, beside what went into pieces. */
final class BeadsMissed
{
    /** @return array<string, Breakage> by the bead’s key, of those that were used or missed */
    public static function of(Workshop $workshop): array
    {
        $keys = $workshop->beads()
            ->get()
            ->mapWithKeys(fn (Bead $bead): array => [$bead->id => $bead->core()->key()])
            ->all();
        $sums = [];
        foreach (DB::table('supply_movements')->where('workshop_id', $workshop->id)->whereNotNull('bead_id')
            ->whereIn('kind', ['used', 'corrected'])->groupBy('bead_id', 'kind')
            ->selectRaw('bead_id, kind, SUM(amount) AS amount')->get() as $row) {
            $key = $keys[(int) $row->bead_id] ?? '';
            $sums[$key][$row->kind] = ($sums[$key][$row->kind] ?? 0) - (int) $row->amount;
        }

        return array_map(
            fn (array $sum): Breakage => Breakage::of($sum['used'] ?? 0, $sum['corrected'] ?? 0), $sums,
        );
    }
}
