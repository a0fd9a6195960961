<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Workshop;
use Hebra\Core\Wire\Metal;
use Illuminate\Support\Facades\DB;

/** Where the metal went, month by month, and into which pieces. */
final readonly class MonthsDesk
{
    /**
     * @var array<string, array<string, array{received: int, pieces: int, scrap: int, found: int}>> month => metal =>
     *     milligrams
     */
    public array $months;

    /** @var list<array{name: string, metal: string, mg: int}> the pieces that took most */
    public array $pieces;

    public function __construct(private Workshop $workshop, public string $year)
    {
        $months = [];
        $rows = DB::table('movements')->where('workshop_id', $workshop->id)
            ->where('created_at', '>=', "{$year}-01-01")
            ->where(
                'created_at',
                '<',
                ((int) $year + 1).'-01-01',
            )
            ->selectRaw(
                'substr(created_at, 1, 7) AS month, metal, account, SUM(mass_mg) AS mg',
            )->groupBy('month', 'metal', 'account')->orderBy('month')->get();
        foreach ($rows as $row) {
            $months[$row->month][$row->metal] ??= ['received' => 0, 'pieces' => 0, 'scrap' => 0, 'found' => 0];
            // What left the supplier came in; what was found more than booked came from nowhere.
            match ($row->account) {
                'supplier' => $months[$row->month][$row->metal]['received'] -= (int) $row->mg,
                'pieces' => $months[$row->month][$row->metal]['pieces'] += (int) $row->mg,
                'scrap jar' => $months[$row->month][$row->metal]['scrap'] += (int) $row->mg,
                'found', 'not booked' => $months[$row->month][$row->metal]['found'] -= (int) $row->mg,
                default => null,
            };
        }
        $this->months = $months;
        $this->pieces = DB::table('movements')->join(
            'makings',
            'makings.id',
            '=',
            'movements.making_id',
        )->join('pieces', 'pieces.id', '=', 'makings.piece_id')
            ->where('movements.workshop_id', $workshop->id)->where('movements.account', 'pieces')->where(
                'movements.created_at', '>=', "{$year}-01-01",
            )->where(
                'movements.created_at',
                '<',
                ((int) $year + 1).'-01-01',
            )
            ->selectRaw(
                'pieces.name AS name, movements.metal AS metal, SUM(mass_mg) AS mg',
            )->groupBy('pieces.id', 'pieces.name', 'movements.metal')->orderByDesc('mg')->limit(30)->get()
            ->map(
                fn (object $row): array => [
                    'name' => (string) $row->name,
                    'metal' => Metal::from($row->metal)->words(),
                    'mg' => (int) $row->mg,
                ],
            )->all();
    }

    /**
     * Year against year, of every metal: milligrams.
     *
     * @return list<array{year: string, metal: string, received: int, pieces: int, scrap: int}>
     */
    public function years(): array
    {
        $rows = [];
        foreach (DB::table('movements')->where('workshop_id', $this->workshop->id)->selectRaw('substr(created_at, 1, '
            .'4) AS year, metal, account, SUM(mass_mg) AS mg')->groupBy('year', 'metal', 'account')->orderByDesc('year')->orderBy('metal')->get() as $row) {
            $key = $row->year.$row->metal;
            $rows[$key] ??= [
                'year' => (string) $row->year,
                'metal' => Metal::from($row->metal)->words(),
                'received' => 0,
                'pieces' => 0,
                'scrap' => 0,
            ];
            match ($row->account) {
                'supplier' => $rows[$key]['received'] -= (int) $row->mg,
                'pieces' => $rows[$key]['pieces'] += (int) $row->mg,
                'scrap jar' => $rows[$key]['scrap'] += (int) $row->mg,
                default => null,
            };
        }

        return array_values($rows);
    }

    /** @return list<string> in use */
    public function metals(): array
    {
        return array_values(array_unique(array_merge([], ...array_map(array_keys(...), array_values($this->months)))));
    }

    /**
     * @return array{labels: list<string>, rows: list<array{label: string, values: list<float>}>} grams for the plot of
     *     one metal
     */
    public function plot(string $metal): array
    {
        $row = fn (string $label, string $key): array => [
            'label' => $label,
            'values' => array_values(
                array_map(fn (array $month): float => ($month[$metal][$key] ?? 0) / 1000, $this->months),
            ),
        ];

        return [
            'labels' => array_map(strval(...), array_keys($this->months)),
            'rows' => [$row('came in', 'received'), $row('into pieces', 'pieces'), $row('scrap jar', 'scrap')],
        ];
    }
}
