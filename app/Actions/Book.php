<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Making;
use App\Models\Movement;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Writes entries into the metal book. The lines of an entry add up to nothing in each metal; nothing is ever edited. */
final class Book
{
    /**
     * @param  'received'|'made'|'corrected'|'reversed'  $kind
     * @param  list<Line>  $lines  lines of no mass are left out
     * @return string the entry's id
     */
    public function enter(Workshop $workshop, string $kind, array $lines, ?Making $making = null, ?string $reverses = null): string
    {
        $lines = array_values(array_filter($lines, fn (Line $line): bool => $line->massMg !== 0));
        $sums = [];
        foreach ($lines as $line) {
            $sums[$line->metal] = ($sums[$line->metal] ?? 0) + $line->massMg;
        }
        if (array_filter($sums) !== []) {
            throw new \LogicException('The lines of an entry do not add up to nothing: '.json_encode($sums));
        }
        $entry = (string) Str::ulid();
        DB::transaction(function () use ($workshop, $kind, $lines, $making, $reverses, $entry): void {
            foreach ($lines as $line) {
                Movement::query()->create([
                    'workshop_id' => $workshop->id, 'entry' => $entry, 'kind' => $kind, 'account' => $line->account, 'lot_id' => $line->lot?->id,
                    'making_id' => $making?->id, 'metal' => $line->metal, 'mass_mg' => $line->massMg, 'words' => $line->words, 'reverses' => $reverses, 'maker' => User::signedIn(),
                ]);
            }
        });

        return $entry;
    }
}
