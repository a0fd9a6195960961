<?php

declare(strict_types=1);

namespace App\View\Market;

use App\View\BillDesk;
use App\View\Coins;
use Hebra\Core\Price\Asking;
use Hebra\Core\Price\BillLine;
use Hebra\Core\Price\PriceList;
use Hebra\Core\Quantity\Figures;

/**
 * A price as the bar of its causes: each as high as what it costs, drawn as what it is, with a leader to its row. What
 * stays with the maker is marked. Pixels.
 *
 * @phpstan-type Cause array{
 *     name: string, says: string, cents: int|null, kind: string, isYours: bool, y: float, high: float,
 *     row: float,
 * }
 */
final class PriceCauses
{
    public const HIGH = 520.0;

    public const ROW = 52.0;

    private const LEAST_HIGH = 3.0;

    private const MANY_MINUTES = 240.0;

    public readonly Asking $asking;

    /** @var list<Cause> */
    public readonly array $causes;

    public function __construct(private readonly BillDesk $desk, public readonly PriceList $list)
    {
        $this->asking = $desk->askingBy($list);
        $this->causes = $this->laid([...$this->taken(), ...$this->asked()]);
    }

    /** @return list<array{string, string, int|null, string, bool}> name, says, cents, kind, whether it stays */
    private function taken(): array
    {
        $rows = [];
        foreach ([
            'metal' => 'Metal', 'bead' => 'Beads', 'finding' => 'Findings', 'packing' => 'Packing',
        ] as $kind => $name) {
            $lines = array_values(array_filter(
                $this->desk->bill->lines, fn (BillLine $line): bool => $line->kind === $kind,
            ));
            if ($lines !== []) {
                $rows[] = [$name, self::told($kind, $lines), self::sum($lines), $kind, false];
            }
        }
        foreach ($this->desk->bill->lines as $line) {
            if ($line->kind === 'time') {
                $rows[] = [
                    'Time', $line->amount.' at '.Coins::text($this->desk->workshop->hour_cents).' an hour',
                    $line->cents, 'time', true,
                ];
            }
        }
        $rows[] = [
            'Overhead', $this->desk->workshop->overhead_percent.' % of the cost', $this->desk->bill->overheadCents,
            'overhead', false,
        ];

        return $rows;
    }

    /** @param  list<BillLine>  $lines */
    private static function told(string $kind, array $lines): string
    {
        $unpriced = count(array_filter($lines, fn (BillLine $line): bool => $line->cents === null));
        $words = match ($kind) {
            'bead' => Figures::counted(
                array_sum(array_map(fn (BillLine $line): int => (int) $line->amount, $lines)), 'bead',
            ),
            'metal' => Figures::counted(count($lines), 'wire').', as they were paid for or priced',
            'packing' => 'each in its own',
            default => implode(
                ', ', array_map(fn (BillLine $line): string => "{$line->amount} × {$line->words}", $lines),
            ),
        };

        return $words.($unpriced > 0 ? ", {$unpriced} without a price" : '');
    }

    /** @param  list<BillLine>  $lines */
    private static function sum(array $lines): ?int
    {
        $cents = array_filter(
            array_map(fn (BillLine $line): ?int => $line->cents, $lines), fn (?int $one): bool => $one !== null,
        );

        return $cents === [] ? null : array_sum($cents);
    }

    /** @return list<array{string, string, int|null, string, bool}> */
    private function asked(): array
    {
        $terms = $this->desk->workshop->priceTerms();
        $rows = [['Margin', "{$this->list->marginPercent} %", $this->asking->marginCents, 'margin', true]];
        if ($this->list->feePercent > 0) {
            $rows[] = ['Fee', "{$this->list->feePercent} % of the price", $this->asking->feeCents, 'fee', false];
        }
        if ($terms->taxPercent > 0) {
            $rows[] = ['Tax', "{$terms->taxPercent} %, in the price", $this->asking->taxCents, 'tax', false];
        }
        // Fee and tax are told in whole cents too: where a cent is over, it has its row.
        if ($terms->rounding !== '' || $this->asking->roundingCents !== 0) {
            $says = $terms->rounding === '' ? 'to a whole amount' : "up to {$terms->rounding}";
            $rows[] = ['Rounding', $says, $this->asking->roundingCents, 'rounding', true];
        }

        return $rows;
    }

    /**
     * @param  list<array{string, string, int|null, string, bool}>  $rows
     * @return list<Cause>
     */
    private function laid(array $rows): array
    {
        $high = max(self::HIGH, self::ROW * count($rows));
        $perCent = $high / max(1, $this->asking->priceCents());
        $y = 0.0;
        $laid = [];
        foreach ($rows as $at => [$name, $says, $cents, $kind, $isYours]) {
            $of = max(0, $cents ?? 0) * $perCent;
            $laid[] = [
                'name' => $name, 'says' => $says, 'cents' => $cents, 'kind' => $kind, 'isYours' => $isYours,
                'y' => round($y, 1), 'high' => round(max($of, $of > 0 ? self::LEAST_HIGH : 0.0), 1),
                'row' => self::ROW * $at + self::ROW / 2,
            ];
            $y += $of;
        }

        return $laid;
    }

    public function high(): float
    {
        return max(self::HIGH, self::ROW * count($this->causes));
    }

    /** @return list<array{float, string}> the time as a ruler of its minutes: a mark every five, told every twenty */
    public function minuteMarks(): array
    {
        $time = array_values(array_filter($this->causes, fn (array $cause): bool => $cause['kind'] === 'time'))[0]
            ?? null;
        $minutes = $this->desk->minutesInAll;
        $every = $minutes > self::MANY_MINUTES ? 30 : 5;
        $marks = [];
        for ($at = $every; $time !== null && $at < $minutes; $at += $every) {
            $marks[] = [
                round($time['y'] + $time['high'] * $at / $minutes, 1), $at % (4 * $every) === 0 ? (string) $at : '',
            ];
        }

        return $marks;
    }

    /** What stays with the maker: time, margin and what it is rounded up by. */
    public function staysCents(): int
    {
        return array_sum(array_map(
            fn (array $cause): int => $cause['isYours'] ? max(0, $cause['cents'] ?? 0) : 0, $this->causes,
        ));
    }
}
