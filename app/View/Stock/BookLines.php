<?php

declare(strict_types=1);

namespace App\View\Stock;

use App\Models\Movement;
use App\Models\Workshop;
use App\Read\Period;
use App\View\Sought;
use Hebra\Core\Book\MetalFlow;
use Hebra\Core\Wire\Metal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Rows;
use Illuminate\Support\Facades\DB;

/** The lines of the metal book that are asked for: of a metal, of some months, with words in them. */
final class BookLines
{
    /** @return Builder<Movement> */
    public static function of(Workshop $workshop, ?Metal $metal, ?Period $period): Builder
    {
        return Movement::query()->where('workshop_id', $workshop->id)
            ->when($metal !== null, fn ($lines) => $lines->where('metal', $metal?->value))
            ->when($period, fn ($lines, Period $asked) => $lines->tap($asked->of('created_at')));
    }

    /**
     * Those of them that have these words.
     *
     * @param  Builder<Movement>  $lines
     * @return Builder<Movement>
     */
    public static function told(Builder $lines, string $words): Builder
    {
        return $words === '' ? $lines : $lines->where(
            fn (Builder $said) => Sought::read($words)->in($said, 'lower(words)'),
        );
    }

    /**
     * What they come to, by metal and account.
     *
     * @param  Builder<Movement>  $lines
     * @return list<array{metal: string, account: string, lines: int, mg: int}> the heaviest first
     */
    public static function subtotals(Builder $lines): array
    {
        return self::rows($lines->toBase(), 'COUNT(*)');
    }

    /**
     * The same of whole months, from the sums that the database keeps in step with the lines.
     *
     * @return list<array{metal: string, account: string, lines: int, mg: int}>
     */
    public static function ofMonths(Workshop $workshop, ?Metal $metal, Period $period): array
    {
        $sums = DB::table('movement_sums')->where('workshop_id', $workshop->id)
            ->when($metal !== null, fn ($rows) => $rows->where('metal', $metal?->value))
            ->whereBetween('month', $period->months());

        return self::rows($sums, 'SUM(lines)');
    }

    /** @return list<array{metal: string, account: string, lines: int, mg: int}> */
    private static function rows(Rows $lines, string $many): array
    {
        return array_values($lines->groupBy('metal', 'account')->orderByRaw('ABS(SUM(mass_mg)) DESC')
            ->selectRaw("metal, account, {$many} AS many, SUM(mass_mg) AS mg")->get()->map(fn (object $row): array => [
                'metal' => Metal::from((string) $row->metal)->words(),
                'account' => $row->account === MetalFlow::COILS ? 'coils, offcuts, pins' : (string) $row->account,
                'lines' => (int) $row->many, 'mg' => (int) $row->mg,
            ])->all());
    }
}
