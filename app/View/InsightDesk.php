<?php

declare(strict_types=1);

namespace App\View;

use App\Models\HandBook;
use App\Models\Making;
use App\Models\MakingCut;
use App\Models\MovementSum;
use App\Models\Piece;
use App\Models\Workshop;
use App\Read\PieceBills;
use Hebra\Core\Hand\Learned;
use Hebra\Core\Hand\Log;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What was wasted and why, which pieces pay, and how the error of the cuts shrinks. */
final readonly class InsightDesk
{
    private const MOST_PIECES = 30;

    private const TAILS = 'trimmed off as planned';

    /** @var list<array{why: string, mg: int}> most first */
    public array $waste;

    public int $usedMg;

    /** @var list<array{day: string, piece: string, label: string, error: float, over: float}> oldest first */
    public array $errors;

    public function __construct(public Workshop $workshop)
    {
        $this->waste = $this->wasted();
        $this->usedMg = (int) $workshop->movementSums()->ofTheBench('pieces')->sum('mass_mg');
        $this->errors = $this->erring();
    }

    /** @return list<array{why: string, mg: int}> */
    private function wasted(): array
    {
        $by = array_filter($this->lost(), fn (int $mg): bool => $mg > 0);
        arsort($by);

        return array_map(
            fn (string $why, int $mg): array => ['why' => $why, 'mg' => $mg],
            array_keys($by),
            array_values($by),
        );
    }

    /** @return array<string, int> by its reason; of what was trimmed, that beyond the tails was cut in vain */
    private function lost(): array
    {
        $by = $this->booked();
        $trimmed = $by[self::TAILS] ?? 0;
        $over = min($this->cutInVainMg(), $trimmed);

        return [...$by, self::TAILS => $trimmed - $over, 'cut longer than was needed' => $over];
    }

    /**
     * What the bench put in the jar, and what lots held less than the book said; a reversed line takes back what it
     * reverses.
     *
     * @return array<string, int>
     */
    private function booked(): array
    {
        $words = "REPLACE(words, 'reversed: ', '')";

        return DB::table('movements')->where('workshop_id', $this->workshop->id)
            ->where(fn ($lines) => $lines->where(
                fn ($jar) => $jar->where('account', 'scrap jar')->whereNotIn('kind', MovementSum::AFTER_THE_BENCH),
            )->orWhere(
                fn ($less) => $less->where('account', 'found')->whereRaw("(mass_mg < 0) = (kind = 'reversed')"),
            ))
            ->selectRaw(
                "CASE WHEN account = 'found' THEN 'less in a lot than the book said' "
                    ."WHEN {$words} LIKE 'spoiled,%' THEN 'cuts that were spoiled' WHEN {$words} LIKE 'trimmed,%' "
                    ."THEN ? ELSE 'otherwise put in the jar' END AS why, SUM(mass_mg) AS mg", [self::TAILS],
            )->groupBy('why')->pluck('mg', 'why')->map(fn (mixed $mg): int => (int) $mg)->all();
    }

    private function cutInVainMg(): int
    {
        return (int) round((float) DB::table('making_cuts')->where('workshop_id', $this->workshop->id)
            ->whereColumn('left_um', '>', 'tail_um')
            ->sum(DB::raw('(left_um - tail_um) / 1e9 * ng_per_mm * count')));
    }

    /** @return list<Paying> what pays best first: each is planned and priced for it */
    public function paying(): array
    {
        $ids = $this->workshop->makings()->whereNotNull('closed_at')->whereNotNull('minutes')->where(
            'minutes',
            '>',
            0,
        )->latest('closed_at')->limit(200)->pluck('piece_id')->unique()->take(self::MOST_PIECES);
        [$seen, $bill] = [SeenPiece::in($this->workshop), PieceBills::in($this->workshop)];
        /** @var Collection<int, Piece> $pieces */
        $pieces = $this->workshop->pieces()->whereIn('id', $ids)->get();
        $rows = array_map(
            fn (Piece $piece): Paying => new Paying($piece, $bill($piece), $this->minutesOf($piece), $seen),
            $pieces->all(),
        );
        usort($rows, fn (Paying $one, Paying $other): int => $other->hourCents <=> $one->hourCents);

        return $rows;
    }

    /** Of one of them, over its makings. */
    private function minutesOf(Piece $piece): float
    {
        /** @var Collection<int, Making> $makings */
        $makings = $piece->makings()->whereNotNull('closed_at')->where('minutes', '>', 0)->get();
        $copies = $makings->sum(fn (Making $making): int => $making->document()->makes->count);

        return (float) $makings->sum('minutes') / max(1, $copies);
    }

    /**
     * @return list<array{day: string, piece: string, label: string, error: float, over: float}> how far each cut was
     *     from what the logs before it foretold, and what was left over of it
     */
    private function erring(): array
    {
        $errors = [];
        foreach (HandBook::of($this->workshop)->cutsOfPieces() as $cuts) {
            $before = [];
            foreach ($cuts as $cut) {
                /** @var MakingCut $cut */
                $errors[] = [$cut->id, [
                    'day' => $cut->created_at->format('j M'), 'piece' => $cut->making->piece->name ?? 'a drill',
                    'label' => $cut->label, 'error' => abs($cut->ratio() - Learned::from($before)->factor()),
                    'over' => $cut->left_um / max(1, $cut->cut_um),
                ]];
                $before[] = new Log($cut->ratio(), $cut->is_bound, $cut->is_put_back);
            }
        }
        usort($errors, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_slice(array_column($errors, 1), -80);
    }

    public function wastedMg(): int
    {
        return array_sum(array_column($this->waste, 'mg'));
    }

    /** Of all that was used, what is in pieces. Hundredths. */
    public function usedShare(): float
    {
        return round(100 * $this->usedMg / max(1, $this->usedMg + $this->wastedMg()), 2);
    }

    /** @return list<array{words: string, from: float, to: float}> what went to waste as one wire. Hundredths */
    public function wasteWire(): array
    {
        [$stretches, $at] = [[], 0.0];
        foreach ($this->waste as ['why' => $why, 'mg' => $mg]) {
            $to = $at + 100 * $mg / max(1, $this->wastedMg());
            $stretches[] = ['words' => $why, 'from' => round($at, 2), 'to' => round($to, 2)];
            $at = $to;
        }

        return $stretches;
    }

    /** @return array<string, mixed> */
    public function errorPlot(): array
    {
        $errors = array_column($this->errors, 'error');
        $running = [];
        foreach (array_keys($errors) as $at) {
            $last = array_slice($errors, max(0, $at - 4), min(5, $at + 1));
            $running[] = round(100 * array_sum($last) / count($last), 2);
        }

        return [
            'kind' => 'line', 'unit' => '% of what is formed', 'labels' => array_column($this->errors, 'day'),
            'rows' => [
                [
                    'label' => 'each cut', 'isDots' => true,
                    'values' => array_map(fn (float $error): float => round(100 * $error, 2), $errors),
                ],
                ['label' => 'of five in a row', 'values' => $running],
            ],
        ];
    }
}
