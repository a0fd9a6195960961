<?php

declare(strict_types=1);

namespace App\View\Stock;

use App\Models\Movement;
use App\View\Coins;
use Hebra\Core\Plan\Profile;

/** What came of a lot, line by line, so that it adds up to what it holds. */
final readonly class LotStory
{
    /** Older lines are told as one sum. */
    private const MOST_LINES = 7;

    /** @var list<array{when: string, words: string, mm: float, pins: int}> the latest first */
    public array $lines;

    /** @param  array{mm: float, for: list<string>}|null  $spoken */
    public function __construct(public Peg $peg, public ?array $spoken, public Profile $profile)
    {
        $movements = $peg->lot->movements()->with(['making.piece' => fn ($piece) => $piece->withTrashed()])
            ->latest('id')->get();
        $lines = $movements->take(self::MOST_LINES)->map(fn (Movement $line): array => [
            'when' => $line->created_at->format('j M'), 'words' => $this->words($line),
            'mm' => $peg->lot->mmOf($line->mass_mg),
            'pins' => $peg->lot->isPins() ? intdiv($line->mass_mg, $peg->lot->pinMg()) : 0,
        ])->all();
        $older = $movements->slice(self::MOST_LINES);
        if ($older->isNotEmpty()) {
            $mg = (int) $older->sum('mass_mg');
            $lines[] = [
                'when' => '', 'words' => $older->count().' lines before', 'mm' => $peg->lot->mmOf($mg),
                'pins' => $peg->lot->isPins() ? intdiv($mg, $peg->lot->pinMg()) : 0,
            ];
        }
        $this->lines = array_values($lines);
    }

    private function words(Movement $line): string
    {
        $piece = $line->making?->piece?->name;
        if ($piece !== null && $line->kind === 'made') {
            return $piece;
        }
        $words = trim(str_replace($this->peg->lot->name, '', $line->words));
        if ($words !== 'received') {
            return $words;
        }
        $cents = $this->peg->lot->price_cents;

        return $cents === null ? 'came in' : 'bought, '.Coins::text($cents);
    }

    public function freeMm(): float
    {
        return max(0.0, $this->peg->lot->heldMm() - $this->peg->keptMm);
    }

    /** @return array{free: float, kept: float, used: float} of all that came in, in hundredths */
    public function shares(): array
    {
        $held = $this->peg->lot->heldMm();
        $all = max($held, $this->peg->lot->receivedMm(), 1e-9);

        return [
            'free' => round(100 * $this->freeMm() / $all, 2), 'kept' => round(100 * $this->peg->keptMm / $all, 2),
            'used' => round(100 * max(0.0, $all - $held) / $all, 2),
        ];
    }

    /** A change of what is there, with its sign. */
    public function change(float $mm, int $pins): string
    {
        $amount = $this->peg->lot->isPins() ? (string) abs($pins) : $this->profile->ruler->figure(abs($mm));

        return ($mm < 0 ? '−' : '+').$amount;
    }
}
