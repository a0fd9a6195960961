<?php

declare(strict_types=1);

namespace App\View;

use App\Models\MovementSum;
use App\Models\Workshop;
use App\Read\Period;
use Hebra\Core\Wire\Metal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Where the metal went, month by month, and into which pieces. */
final readonly class MonthsDesk
{
    private const NOTHING = ['received' => 0, 'pieces' => 0, 'scrap' => 0, 'found' => 0, 'sold' => 0];

    /**
     * @var array<string, array<string, array{received: int, pieces: int, scrap: int, found: int, sold: int}>> month =>
     *     metal => milligrams
     */
    public array $months;

    public function __construct(public Workshop $workshop, public string $year)
    {
        $months = [];
        foreach ($this->moved('month AS time')->where('month', 'like', "{$year}-%")->get() as $row) {
            $month = $months[$row->time][$row->metal] ?? self::NOTHING;
            $months[$row->time][$row->metal] = self::with($month, $row->account, $row->kind, (int) $row->mg);
        }
        $this->months = $months;
    }

    /** @return Builder rows of metal, account and kind of entry with what they moved, by time */
    private function moved(string $time): Builder
    {
        return DB::table('movement_sums')->where('workshop_id', $this->workshop->id)
            ->selectRaw("{$time}, metal, account, kind, SUM(mass_mg) AS mg")
            ->groupBy('time', 'metal', 'account', 'kind')->orderBy('time');
    }

    /**
     * What left the supplier came in; what was found more than booked came from nowhere; what is sold has been in a
     * piece before, and what is melted or refined is no scrap of the bench.
     *
     * @param  array{received: int, pieces: int, scrap: int, found: int, sold: int}  $sum
     * @return array{received: int, pieces: int, scrap: int, found: int, sold: int}
     */
    private static function with(array $sum, string $account, string $kind, int $mg): array
    {
        $isOfBench = ! in_array($kind, MovementSum::AFTER_THE_BENCH, true);
        match ($account) {
            'supplier' => $sum['received'] -= $isOfBench ? $mg : 0,
            'pieces' => $sum['pieces'] += $isOfBench ? $mg : 0,
            'scrap jar' => $sum['scrap'] += $isOfBench ? $mg : 0,
            'customers' => $sum['sold'] += $mg,
            'found', 'not booked' => $sum['found'] -= $mg,
            default => null,
        };

        return $sum;
    }

    /** @return list<array{name: string, metal: string, mg: int}> the pieces that took most */
    public function pieces(): array
    {
        return array_values(DB::table('movements')->join('makings', 'makings.id', '=', 'movements.making_id')
            ->join('pieces', 'pieces.id', '=', 'makings.piece_id')
            ->where('movements.workshop_id', $this->workshop->id)->where('movements.account', 'pieces')
            ->whereIn('movements.kind', ['made', 'reversed'])
            ->tap((new Period($this->year))->of('movements.created_at'))
            ->selectRaw('pieces.name AS name, movements.metal AS metal, SUM(mass_mg) AS mg')
            ->groupBy('pieces.id', 'pieces.name', 'movements.metal')->orderByDesc('mg')->limit(30)->get()->map(
                fn (object $row): array => [
                    'name' => (string) $row->name, 'metal' => Metal::from($row->metal)->words(), 'mg' => (int) $row->mg,
                ],
            )->all());
    }

    /**
     * Year against year, of every metal: milligrams, the latest first.
     *
     * @return list<array{year: string, metal: string, received: int, pieces: int, scrap: int, found: int, sold: int}>
     */
    public function years(): array
    {
        $names = $sums = [];
        foreach ($this->moved('substr(month, 1, 4) AS time')->get() as $row) {
            $key = (9999 - (int) $row->time).$row->metal;
            $names[$key] = ['year' => (string) $row->time, 'metal' => Metal::from($row->metal)->words()];
            $sums[$key] = self::with($sums[$key] ?? self::NOTHING, $row->account, $row->kind, (int) $row->mg);
        }
        ksort($names);

        return array_map(
            fn (string $key): array => [...$names[$key], ...$sums[$key]], array_keys($names),
        );
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
            'rows' => [
                $row('came in', 'received'), $row('into pieces', 'pieces'), $row('sold', 'sold'),
                $row('scrap jar', 'scrap'),
            ],
        ];
    }
}
