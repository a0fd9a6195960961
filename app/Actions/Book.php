<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Movement;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;

/**
 * Writes entries into the metal book. The lines of an entry add up to nothing in each metal; nothing is ever edited.
 */
final class Book
{
    /** Rows in one statement. */
    private const AT_ONCE = 400;

    /**
     * @param  list<Line>  $lines  lines of no mass are left out
     * @return string the entry's name
     */
    public function enter(Workshop $workshop, Entry $entry, array $lines): string
    {
        $this->enterAll([self::rows($workshop, $entry, $lines)]);

        return $entry->name;
    }

    /** @param  list<list<array<string, mixed>>>  $entries  rows of each, as rows() gives them */
    public function enterAll(array $entries): void
    {
        DB::transaction(function () use ($entries): void {
            foreach (array_chunk(array_merge(...$entries), self::AT_ONCE) as $rows) {
                Movement::query()->insert($rows);
            }
        });
    }

    /**
     * @param  list<Line>  $lines  lines of no mass are left out
     * @return list<array<string, mixed>>
     */
    public static function rows(Workshop $workshop, Entry $entry, array $lines): array
    {
        $lines = array_values(array_filter($lines, fn (Line $line): bool => $line->massMg !== 0));
        $sums = [];
        foreach ($lines as $line) {
            $sums[$line->metal] = ($sums[$line->metal] ?? 0) + $line->massMg;
        }
        array_filter($sums) === []
            || throw new \LogicException('The lines of an entry do not add up to nothing: '.json_encode($sums));
        $same = [
            'workshop_id' => $workshop->id,
            'entry' => $entry->name,
            'kind' => $entry->kind,
            'making_id' => $entry->making?->id,
            'reverses' => $entry->reverses,
            'maker' => User::signedIn(),
            'created_at' => now(),
        ];

        return array_map(
            fn (Line $line): array => $same + [
                'account' => $line->account,
                'lot_id' => $line->lot?->id,
                'metal' => $line->metal,
                'mass_mg' => $line->massMg,
                'words' => $line->words,
            ],
            $lines,
        );
    }

    /** @return array<string, int> milligrams by metal that an account holds */
    public static function held(Workshop $workshop, string $account): array
    {
        return array_filter($workshop->movementSums()->where('account', $account)
            ->groupBy('metal')->selectRaw('metal, SUM(mass_mg) AS mg')->pluck('mg', 'metal')
            ->map(fn (mixed $mg): int => (int) $mg)->all());
    }
}
