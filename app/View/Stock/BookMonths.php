<?php

declare(strict_types=1);

namespace App\View\Stock;

use App\Read\Period;
use App\View\MonthsDesk;
use Hebra\Core\Wire\Metal;

/** The months of a year of one metal on a wire: above it what came in, below it what went to pieces and jar. Pixels. */
final readonly class BookMonths
{
    private const HIGH = 34.0;

    private const COIL = 19.0;

    private const LEAST = 3.0;

    /** @var array<int, array{received: int, pieces: int, scrap: int}> by month, 1 to 12 */
    private array $months;

    public function __construct(MonthsDesk $desk, Metal $metal, public Period $period)
    {
        $months = [];
        for ($month = 1; $month <= 12; $month++) {
            $sums = $desk->months[sprintf('%s-%02d', $period->year, $month)][$metal->value] ?? [];
            $months[$month] = [
                'received' => $sums['received'] ?? 0, 'pieces' => $sums['pieces'] ?? 0, 'scrap' => $sums['scrap'] ?? 0,
            ];
        }
        $this->months = $months;
    }

    private function most(string $key): int
    {
        return max(1, ...array_column($this->months, $key));
    }

    /**
     * @return list<array{month: int, name: string, isIn: bool, received: int, coil: float, pieces: int, high: float,
     *     scrap: int, low: float}> each month: how wide its coil, how long what went out, milligrams beside
     */
    public function all(): array
    {
        $most = max($this->most('pieces'), $this->most('scrap'));
        $long = fn (int $mg): float => $mg <= 0 ? 0.0 : round(max(self::LEAST, self::HIGH * $mg / $most), 1);

        return array_map(fn (int $month, array $sums): array => [
            'month' => $month, 'name' => Period::monthName($month), 'isIn' => $this->period->has($month),
            'received' => $sums['received'],
            'coil' => $sums['received'] <= 0
                ? 0.0
                : round(max(self::LEAST + 2, self::COIL * sqrt($sums['received'] / $this->most('received'))), 1),
            'pieces' => $sums['pieces'], 'high' => $long($sums['pieces']),
            'scrap' => $sums['scrap'], 'low' => $long($sums['scrap']),
        ], array_keys($this->months), $this->months);
    }
}
