<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Workshop;
use App\Read\Period;
use App\View\Coins;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Money of a year: paid for wire and got for pieces, by month and by piece. Cents. */
final readonly class YearMoney
{
    private const MOST_PIECES = 60;

    /** @var array<string, array{out: int, in: int, many: int}> by month; many: pieces sold and repairs done */
    public array $months;

    /** @var array{many: int, in: int, minutes: int} done in the year */
    public array $repairs;

    /**
     * What brought most first.
     *
     * @var list<array{name: string, made: int, sold: int, in: int, cost: int|null, minutes: int}>
     */
    public array $pieces;

    public function __construct(private Workshop $workshop, private string $year)
    {
        $months = [];
        foreach ($this->paid() as $month => $cents) {
            $months[$month] = ['out' => $cents, 'in' => 0, 'many' => 0];
        }
        foreach (DB::table('finished')->where('workshop_id', $workshop->id)->whereNotNull('sold_at')
            ->tap((new Period($year))->of('sold_at'))
            ->selectRaw('substr(sold_at, 1, 7) AS month, SUM(sold_cents) AS cents, COUNT(*) AS many')
            ->groupBy('month')->get() as $row) {
            $months[$row->month] = [
                'out' => $months[$row->month]['out'] ?? 0, 'in' => (int) $row->cents, 'many' => (int) $row->many,
            ];
        }
        $repairs = ['many' => 0, 'in' => 0, 'minutes' => 0];
        foreach ($this->repaired() as $row) {
            $so = $months[$row->month] ?? ['out' => 0, 'in' => 0, 'many' => 0];
            $months[$row->month] = [
                'out' => $so['out'], 'in' => $so['in'] + (int) $row->cents, 'many' => $so['many'] + (int) $row->many,
            ];
            $repairs = [
                'many' => $repairs['many'] + (int) $row->many, 'in' => $repairs['in'] + (int) $row->cents,
                'minutes' => $repairs['minutes'] + (int) $row->minutes,
            ];
        }
        ksort($months);
        [$this->months, $this->repairs] = [$months, $repairs];
        $this->pieces = $this->byPiece();
    }

    /** @return Collection<int, \stdClass> month, cents, many and minutes, by month */
    private function repaired(): Collection
    {
        return DB::table('repairs')->where('workshop_id', $this->workshop->id)->whereNotNull('done_at')
            ->tap((new Period($this->year))->of('done_at'))
            ->selectRaw(
                'substr(done_at, 1, 7) AS month, SUM(got_cents) AS cents, COUNT(*) AS many, SUM(took_minutes) AS '
                    .'minutes',
            )->groupBy('month')->get();
    }

    /** @return array<string, int> for wire and pins, by month */
    private function paid(): array
    {
        return DB::table('lots')->where('workshop_id', $this->workshop->id)->whereNotNull('price_cents')
            ->tap((new Period($this->year))->of('created_at'))
            ->selectRaw('substr(created_at, 1, 7) AS month, SUM(price_cents) AS cents')->groupBy('month')
            ->pluck('cents', 'month')->map(fn (mixed $cents): int => (int) $cents)->all();
    }

    /** @return list<array{name: string, made: int, sold: int, in: int, cost: int|null, minutes: int}> */
    private function byPiece(): array
    {
        $isSold = 'CASE WHEN sold_at IS NOT NULL THEN 1 ELSE 0 END';

        return array_values(DB::table('finished')->where('workshop_id', $this->workshop->id)
            ->tap((new Period($this->year))->of('created_at'))->selectRaw(
                "MAX(name) AS name, COUNT(*) AS made, SUM({$isSold}) AS sold, SUM({$isSold} * sold_cents) AS income, "
                    ."SUM({$isSold} * cost_cents) AS cost, SUM({$isSold} * minutes) AS minutes",
            )->groupBy('piece_id')->orderByDesc('income')->orderByDesc('made')->limit(self::MOST_PIECES)->get()->map(
                fn (object $row): array => [
                    'name' => (string) $row->name, 'made' => (int) $row->made, 'sold' => (int) $row->sold,
                    'in' => (int) $row->income, 'cost' => $row->cost === null ? null : (int) $row->cost,
                    'minutes' => (int) $row->minutes,
                ],
            )->all());
    }

    public function currency(): string
    {
        return $this->workshop->currency;
    }

    public function money(int $cents): string
    {
        return Coins::text($cents);
    }

    /** What a month of bars is measured by. */
    public function mostCents(): int
    {
        return max([1, ...array_map(fn (array $month): int => max($month['in'], $month['out']), $this->months)]);
    }
}
