<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Workshop;
use Hebra\Core\Book\Statement;
use Hebra\Core\Quantity\Money;
use Hebra\Core\Wire\Metal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** A year on paper: each metal as it was held, came and went, and the money by month, by piece and for repairs. */
final readonly class YearStatement
{
    /** @var array<string, Statement> by metal, in words */
    public array $metals;

    public YearMoney $money;

    public function __construct(public Workshop $workshop, public string $year)
    {
        $this->money = new YearMoney($workshop, $year);
        $metals = [];
        foreach ($this->sums()->distinct()->orderBy('metal')->pluck('metal') as $metal) {
            $statement = Statement::of($this->before((string) $metal), $this->moved((string) $metal));
            if (! $statement->isEmpty()) {
                $metals[Metal::from((string) $metal)->words()] = $statement;
            }
        }
        $this->metals = $metals;
    }

    private function sums(): Builder
    {
        return DB::table('movement_sums')->where('workshop_id', $this->workshop->id);
    }

    /** @return array<string, int> by account */
    private function before(string $metal): array
    {
        return $this->sums()->where('metal', $metal)->where('month', '<', "{$this->year}-01")->groupBy('account')
            ->selectRaw('account, SUM(mass_mg) AS mg')->pluck('mg', 'account')
            ->map(fn (mixed $mg): int => (int) $mg)->all();
    }

    /**
     * @return list<array{string, int}> what moved in each account, by kinds of entries: what was sold and what came
     *     back apart
     */
    private function moved(string $metal): array
    {
        return array_values($this->sums()->where('metal', $metal)->where('month', 'like', "{$this->year}-%")
            ->groupBy('account', 'kind')->selectRaw('account, kind, SUM(mass_mg) AS mg')->get()
            ->map(fn (object $row): array => [(string) $row->account, (int) $row->mg])->all());
    }

    /** @return list<list<string>> section, what, of what, amount */
    public function rows(): array
    {
        $grams = fn (int $mg): string => number_format($mg / 1000, 3, '.', '');
        $rows = [];
        foreach ($this->metals as $metal => $statement) {
            foreach ($statement->held as $place => $mg) {
                $rows[] = ['held at the beginning', $place, $metal, $grams($mg['before'])];
            }
            foreach (['came' => $statement->came, 'went' => $statement->went] as $way => $all) {
                foreach ($all as $words => $mg) {
                    $rows[] = [$way, $words, $metal, $grams($mg)];
                }
            }
            foreach ($statement->held as $place => $mg) {
                $rows[] = ['held at the end', $place, $metal, $grams($mg['now'])];
            }
        }
        $money = fn (int $cents): string => ($cents < 0 ? '-' : '').Money::fromCents(abs($cents))->text();
        foreach ($this->money->months as $month => $row) {
            $rows[] = ['money got', $month, $this->workshop->currency, $money($row['in'])];
            $rows[] = ['money paid', $month, $this->workshop->currency, $money($row['out'])];
        }
        foreach ($this->money->pieces as $row) {
            $rows[] = ['got for a piece', $row['name'], $this->workshop->currency, $money($row['in'])];
        }

        return $rows;
    }

    /** @return array<string, mixed> the same for programs: milligrams and cents */
    public function json(): array
    {
        return [
            'workshop' => $this->workshop->name, 'year' => $this->year, 'currency' => $this->workshop->currency,
            'metals_mg' => array_map(fn (Statement $one): array => [
                'held' => $one->held, 'came' => $one->came, 'went' => $one->went,
            ], $this->metals),
            'money_cents' => [
                'months' => $this->money->months, 'pieces' => $this->money->pieces, 'repairs' => $this->money->repairs,
            ],
        ];
    }

    /** `1 January to 29 November 2026`, or to its end. */
    public function time(): string
    {
        $until = $this->year === now()->format('Y') ? now()->format('j F Y') : "31 December {$this->year}";

        return "1 January to {$until}";
    }
}
