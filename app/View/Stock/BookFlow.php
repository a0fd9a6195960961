<?php

declare(strict_types=1);

namespace App\View\Stock;

use App\Models\Workshop;
use Hebra\Core\Book\MetalFlow;
use Hebra\Core\Wire\Metal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * One metal of the book over a year, or from its beginning, as strands that run from where it came to where it went.
 * Pixels.
 *
 * @phpstan-type Block array{words: string, mg: int, y: float, high: float}
 */
final readonly class BookFlow
{
    public const WIDE = 1000;

    public const LEFT = 190;

    public const RIGHT = 770;

    private const HIGH = 190.0;

    private const GAP = 26.0;

    private const MOST_STRANDS = 90;

    /** What one strand may be, in grams. */
    private const GRAMS = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000];

    /** Of thin amounts: still seen. */
    private const LEAST_PX = 2.0;

    public ?Metal $metal;

    /** @var list<Metal> metals that the book has, the one that moved most first */
    public array $metals;

    /** @var list<string> */
    public array $years;

    /** A year, or nothing: from the beginning. */
    public string $year;

    public MetalFlow $flow;

    public function __construct(private Workshop $workshop, string $metal, string $year)
    {
        $this->metals = array_values($this->sums()->groupBy('metal')->orderByRaw('SUM(lines) DESC')->pluck('metal')
            ->map(Metal::from(...))->all());
        $this->years = array_values($this->sums()->selectRaw('DISTINCT substr(month, 1, 4) AS year')
            ->orderByDesc('year')->pluck('year')->map(strval(...))->all());
        $asked = Metal::tryFrom($metal);
        $this->metal = in_array($asked, $this->metals, true) ? $asked : $this->metals[0] ?? null;
        $this->year = in_array($year, $this->years, true) ? $year : '';
        $this->flow = MetalFlow::of($this->beforeMg(), $this->moved());
    }

    private function beforeMg(): int
    {
        return $this->year === '' || $this->metal === null
            ? 0
            : (int) $this->sums()->where('metal', $this->metal->value)->where('account', MetalFlow::COILS)
                ->where('month', '<', "{$this->year}-01")->sum('mass_mg');
    }

    private function sums(): Builder
    {
        return DB::table('movement_sums')->where('workshop_id', $this->workshop->id);
    }

    /** @return array<string, int> */
    private function moved(): array
    {
        if ($this->metal === null) {
            return [];
        }
        $rows = $this->sums()->where('metal', $this->metal->value)
            ->when($this->year !== '', fn ($rows) => $rows->where('month', 'like', "{$this->year}-%"))
            ->groupBy('account')->selectRaw('account, SUM(mass_mg) AS mg')->pluck('mg', 'account')->all();

        return array_map(intval(...), $rows);
    }

    /** What one strand is, in grams. */
    public function strandGrams(): float
    {
        foreach (self::GRAMS as $grams) {
            if ($this->flow->totalMg() / 1000 / $grams <= self::MOST_STRANDS) {
                return $grams;
            }
        }

        return $this->flow->totalMg() / 1000 / self::MOST_STRANDS;
    }

    private function high(int $mg): float
    {
        return max(self::LEAST_PX, $mg / max(1, $this->flow->totalMg()) * self::HIGH);
    }

    /**
     * @param  array<string, int>  $sums
     * @return list<Block> each from the top
     */
    private function blocks(array $sums): array
    {
        $y = 12.0;
        $blocks = [];
        foreach ($sums as $words => $mg) {
            $blocks[] = ['words' => $words, 'mg' => $mg, 'y' => round($y, 1), 'high' => round($this->high($mg), 1)];
            $y += $this->high($mg) + self::GAP;
        }

        return $blocks;
    }

    /** @return list<Block> */
    public function sources(): array
    {
        return $this->blocks($this->flow->sources);
    }

    /** @return list<Block> */
    public function goals(): array
    {
        return $this->blocks($this->flow->goals);
    }

    public function drawnHigh(): float
    {
        $blocks = max(count($this->flow->sources), count($this->flow->goals));

        return self::HIGH + self::GAP * $blocks + 12.0;
    }

    /** @return list<array{to: string, thick: float, path: string}> every strand, or what is thinner than one as one */
    public function strands(): array
    {
        $at = [
            'from' => array_column($this->sources(), 'y', 'words'), 'to' => array_column($this->goals(), 'y', 'words'),
        ];
        $strands = [];
        foreach ($this->flow->ribbons() as ['from' => $from, 'to' => $to, 'mg' => $mg]) {
            $count = max(1, (int) round($mg / 1000 / $this->strandGrams()));
            $each = $this->high($mg) / $count;
            for ($strand = 0; $strand < $count; $strand++) {
                $strands[] = [
                    'to' => $to, 'thick' => round(max(1.0, 0.74 * $each), 2),
                    'path' => self::way($at['from'][$from] + $each / 2, $at['to'][$to] + $each / 2),
                ];
                $at['from'][$from] += $each;
                $at['to'][$to] += $each;
            }
        }

        return $strands;
    }

    private static function way(float $from, float $to): string
    {
        [$left, $right] = [self::LEFT, self::RIGHT];
        $middle = ($left + $right) / 2;
        [$from, $to] = [round($from, 1), round($to, 1)];

        return "M{$left} {$from}C{$middle} {$from} {$middle} {$to} {$right} {$to}";
    }
}
