<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\CutTick;
use App\Models\Lot;
use App\Models\Piece;
use App\Models\Reservation;
use App\Models\Workshop;
use App\Support\Asker;
use App\Support\Deadline;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Stock\CutKind;
use Hebra\Core\Stock\CuttingPlan;
use Hebra\Core\Stock\CuttingPlanner;
use Hebra\Core\Stock\CuttingTerms;
use Hebra\Core\Stock\StockRow;
use Hebra\Core\Wire\Wire;
use Illuminate\Support\Collection;

/**
 * Which coil and offcut each cut of some pieces comes from: what is still to be cut, wire by wire, as bars with their
 * cuts.
 *
 * @phpstan-type LaidCut array{
 *     key: string, piece: Piece, cut: Cut, count: int, lengthMm: float, share: float, isPinned: bool,
 * }
 * @phpstan-type Bar array{
 *     lot: Lot|null, times: int, name: string, lengthMm: float, remainderMm: float, cuts: list<LaidCut>,
 * }
 * @phpstan-type WirePlan array{wire: Wire, plan: CuttingPlan|null, problem: string, bars: list<Bar>}
 */
final class CuttingDesk
{
    /** Seconds for the whole page where nobody asked for more. */
    public const SECONDS = 0.8;

    /** Where the maker asks to search longer, or the cuts are so few that the least can be proved. */
    public const LONGER = 8.0;

    private const MOST_CUTS = 5000;

    /** What a lot is called that is still to be bought. */
    private const BUY = 'buy';

    /** A coil as it is bought, mm. */
    private const BOUGHT_MM = 5000.0;

    public readonly Profile $profile;

    /** @var list<WirePlan> */
    public array $wires = [];

    /** @var Collection<int, CutTick> */
    public readonly Collection $ticks;

    /** @var Collection<int, Reservation> of every piece of the workshop that has not been put away */
    private readonly Collection $reservations;

    /** @var array<string, array{piece: Piece, cut: Cut, lengthMm: float, wanted: int}> by `piece/cut` */
    private array $cuts = [];

    /** @var array<string, list<string>> lots where a cut has its place and was not planned */
    private array $placed = [];

    public readonly float $longestMm;

    /**
     * @param  Collection<int, Piece>  $pieces
     * @param  array<string, string>  $pins  `piece/cut` => the lot it is to come from
     */
    public function __construct(
        public readonly Workshop $workshop,
        public readonly Collection $pieces,
        public readonly array $pins = [],
        float $seconds = self::SECONDS,
        private readonly ?Asker $asker = null,
        bool $isPlanned = true,
    ) {
        $this->profile = $workshop->profile();
        /** @var Collection<int, CutTick> $ticks */
        $ticks = CutTick::query()->where('workshop_id', $workshop->id)->with(['lot', 'piece'])->orderBy('id')->get();
        $this->ticks = $ticks;
        /** @var Collection<int, Reservation> $reservations */
        $reservations = Reservation::query()->standing($workshop)->orderBy('id')->get();
        $this->reservations = $reservations;
        $groups = $isPlanned ? $this->gather() : [];
        $end = hrtime(true) / 1e9 + $seconds;
        foreach ($groups as $at => $keys) {
            // A wire that is proved early leaves its time to those that follow.
            $this->wires[] = $this->planned($keys, max(0.0, $end - hrtime(true) / 1e9) / (count($groups) - $at));
        }
        $this->longestMm = max(
            [1.0, ...array_map(
                fn (array $wire): float => max([0.0, ...array_column($wire['bars'], 'lengthMm')]), $this->wires,
            )],
        );
    }

    /** @return list<non-empty-list<string>> keys of cuts, those of one wire together */
    private function gather(): array
    {
        $groups = [];
        foreach ($this->pieces as $piece) {
            foreach (Planner::plan($piece->document(), $this->profile)->cuts as $cut) {
                $key = $piece->ulid.'/'.$cut->key();
                $done = $this->ticks->filter(
                    fn (
                        CutTick $tick,
                    ): bool => $tick->piece_id === $piece->id && $tick->cut === $cut->key() && ! $tick->is_spoiled,
                )->count();
                $this->cuts[$key] = [
                    'piece' => $piece,
                    'cut' => $cut,
                    'lengthMm' => $cut->printedMm($this->profile->ruler),
                    'wanted' => max(0, $cut->count - $done),
                ];
                $wire = $cut->wire->metal->value.'/'.$cut->wire->size->kind()->value.'/'
                    .round($cut->wire->widthMm() / Lot::SAME_MM).'/'.round($cut->wire->diameterMm() / Lot::SAME_MM).'/'
                    .$cut->wire->temper->value;
                $groups[$wire][] = $key;
            }
        }

        return array_values($groups);
    }

    /** @return Collection<int, Lot> lots of one wire that hold something */
    private function lotsOf(Wire $wire): Collection
    {
        return $this->workshop
            ->lots()
            ->withHeld()
            ->get()
            ->filter(fn (Lot $lot): bool => ! $lot->isPins() && $lot->isOf($wire)
            && $lot->temper === $wire->temper->value && $this->leftMm($lot) >= 1.0)->values();
    }

    /** What a lot holds without what has been cut from it already, and without what is kept for other pieces. */
    public function leftMm(Lot $lot): float
    {
        $ids = $this->pieces->pluck('id')->all();
        $cut = $this->ticks->filter(fn (CutTick $tick): bool => $tick->lot_id === $lot->id)->sum(
            fn (CutTick $tick): float => $tick->lengthMm() + $this->terms()->trimMm,
        );
        $kept = $this->reservations->filter(
            fn (Reservation $kept): bool => $kept->lot_id === $lot->id && ! in_array($kept->piece_id, $ids, true),
        )
            ->sum(
                fn (Reservation $kept): float => $this->standing($kept) * ($kept->lengthMm() + $this->terms()->trimMm),
            );

        return max(0.0, $lot->heldMm() - $cut - $kept);
    }

    /** How many of a reservation have not been cut yet. */
    private function standing(Reservation $kept): int
    {
        return max(0, $kept->count - $this->tickedOf($kept->piece_id, $kept->cut, $kept->lot_id));
    }

    private function tickedOf(int $piece, string $cut, int $lot): int
    {
        return $this->ticks->filter(
            fn (
                CutTick $tick,
            ): bool => ! $tick->is_spoiled
                && $tick->piece_id === $piece
                && $tick->lot_id === $lot
                && $tick->cut === $cut,
        )->count();
    }

    /**
     * @return list<string> lots that a cut is to come from, one for each copy: where the maker pins it, else where it
     *     is reserved
     */
    private function places(string $key): array
    {
        ['piece' => $piece, 'cut' => $cut, 'wanted' => $wanted] = $this->cuts[$key];
        if (($this->pins[$key] ?? '') !== '') {
            return array_fill(0, $wanted, $this->pins[$key]);
        }
        $places = [];
        foreach ($this->reservations->filter(
            fn (Reservation $kept): bool => $kept->piece_id === $piece->id && $kept->cut === $cut->key()
        ) as $kept) {
            array_push($places, ...array_fill(0, $this->standing($kept), $kept->lot->ulid));
        }

        return array_slice($places, 0, $wanted);
    }

    /** Whether anything is kept back for these pieces. */
    public function isReserved(): bool
    {
        return $this->reservations->whereIn('piece_id', $this->pieces->pluck('id')->all())->isNotEmpty();
    }

    /**
     * What is kept back or cut already, of every lot that has any: millimetres and for which pieces.
     *
     * @return array<int, array{mm: float, for: list<string>}> by the lot's id
     */
    public static function spokenFor(Workshop $workshop): array
    {
        $desk = new self($workshop, new Collection);
        $spoken = [];
        $add = function (int $lot, float $mm, string $name) use (&$spoken): void {
            $spoken[$lot] = [
                'mm' => ($spoken[$lot]['mm'] ?? 0.0) + $mm,
                'for' => array_values(array_unique([...($spoken[$lot]['for'] ?? []), $name])),
            ];
        };
        foreach ($desk->reservations as $kept) {
            if ($desk->standing($kept) > 0) {
                $add($kept->lot_id, $desk->standing($kept) * $kept->lengthMm(), $kept->piece->name ?? '');
            }
        }
        foreach ($desk->ticks as $tick) {
            $add($tick->lot_id, $tick->lengthMm(), $tick->piece->name);
        }

        return $spoken;
    }

    private function terms(): CuttingTerms
    {
        return new CuttingTerms(keepMm: $this->profile->keepMm);
    }

    /**
     * @param  non-empty-list<string>  $keys
     * @return WirePlan
     */
    private function planned(array $keys, float $seconds): array
    {
        $wire = $this->cuts[$keys[0]]['cut']->wire;
        $lots = $this->lotsOf($wire)->keyBy('ulid');
        $left = $lots->map(fn (Lot $lot): float => $this->leftMm($lot))->all();
        $bars = $kinds = [];
        foreach ($keys as $key) {
            ['wanted' => $wanted, 'lengthMm' => $length] = $this->cuts[$key];
            // What is pinned takes its place first, as far as it goes.
            foreach ($this->places($key) as $lot) {
                if (isset($left[$lot]) && $left[$lot] >= $length) {
                    $bars[$lot]['cuts'][$key] = ($bars[$lot]['cuts'][$key] ?? 0) + 1;
                    $left[$lot] = max(0.0, $left[$lot] - $length - $this->terms()->trimMm);
                    $this->placed[$key][] = $lot;
                    $wanted--;
                }
            }
            if ($wanted > 0) {
                $kinds[] = new CutKind($key, $length, $wanted);
            }
        }
        $all = array_sum(array_map(fn (CutKind $kind): int => $kind->count, $kinds));
        if ($all > self::MOST_CUTS) {
            $problem = number_format($all).' cuts are more than are planned in one go, '.number_format(self::MOST_CUTS)
                .': choose fewer pieces, or make the batch in parts.';

            return ['wire' => $wire, 'plan' => null, 'problem' => $problem, 'bars' => []];
        }
        $rows = [];
        foreach ($left as $ulid => $length) {
            $rows[] = new StockRow((string) $ulid, max(0.001, $length), 1);
        }
        [$plan, $problem] = $this->fromStock($kinds, $rows, $seconds);
        foreach ($plan->pieces ?? [] as $piece) {
            // Lengths to be bought that are cut alike are one line.
            $name = $piece->row->isBought()
                ? self::BUY.' '.md5((string) json_encode([$piece->cuts, round($piece->remainderMm, 3)]))
                : $piece->row->label;
            $bar = $bars[$name] ?? ['cuts' => []];
            $times = ($bar['times'] ?? 0) + 1;
            foreach ($times > 1 ? [] : $piece->cuts as $key => $count) {
                $bar['cuts'][$key] = ($bar['cuts'][$key] ?? 0) + $count;
            }
            $bars[$name] = [
                ...$bar, 'times' => $times, 'left' => $piece->remainderMm, 'long' => $piece->row->lengthMm,
            ];
        }

        return [
            'wire' => $wire,
            'plan' => $plan,
            'problem' => $problem,
            'bars' => array_map(
                fn (string $name, array $bar): array => $this->bar($name, $bar, $lots->get($name), $left[$name] ?? 0.0),
                array_keys($bars),
                $bars,
            ),
        ];
    }

    /**
     * From what there is; only where that does not reach, with coils to be bought.
     *
     * @param  list<CutKind>  $kinds
     * @param  list<StockRow>  $rows
     * @return array{CuttingPlan|null, string}
     */
    private function fromStock(array $kinds, array $rows, float $seconds): array
    {
        try {
            return [CuttingPlanner::plan($kinds, $rows, $this->terms(), new Deadline($seconds, $this->asker)), ''];
        } catch (Problem) {
            $longest = array_reduce(
                $kinds,
                fn (float $most, CutKind $kind): float => max($most, $kind->lengthMm),
                self::BOUGHT_MM,
            );
            try {
                return [
                    CuttingPlanner::plan(
                        $kinds,
                        [...$rows, new StockRow(self::BUY, $longest, 0)],
                        $this->terms(),
                        new Deadline($seconds, $this->asker),
                    ),
                    '',
                ];
            } catch (Problem $problem) {
                return [null, $problem->getMessage()];
            }
        }
    }

    /**
     * @param  array{cuts: array<string, int>, times?: int, left?: float, long?: float}  $bar
     * @return Bar
     */
    private function bar(string $name, array $bar, ?Lot $lot, float $leftMm): array
    {
        $length = $lot === null ? ($bar['long'] ?? 0.0) : $this->leftMm($lot);
        $cuts = [];
        foreach ($bar['cuts'] as $key => $count) {
            $one = $this->cuts[$key];
            $cuts[] = [
                'key' => $key,
                'piece' => $one['piece'],
                'cut' => $one['cut'],
                'count' => $count,
                'lengthMm' => $one['lengthMm'],
                'share' => 100 * $one['lengthMm'] / max(1.0, $length),
                'isPinned' => $lot !== null && in_array($lot->ulid, $this->placed[$key] ?? [], true),
            ];
        }

        $times = $bar['times'] ?? 1;
        $bought = ($times > 1 ? "{$times} × to be bought, each cut so" : 'to be bought');

        return [
            'lot' => $lot,
            'times' => $times,
            'name' => $lot === null ? $bought : $lot->name,
            'lengthMm' => $length,
            'remainderMm' => $bar['left'] ?? $leftMm,
            'cuts' => $cuts,
        ];
    }

    /**
     * What became of each millimetre of a length: the cuts, clean ends between them, and what is left come to the whole
     * of it.
     *
     * @param  array{lengthMm: float, remainderMm: float, cuts: list<array{count: int, lengthMm: float}>}  $bar
     */
    public function account(array $bar): string
    {
        $count = array_sum(array_column($bar['cuts'], 'count'));
        $cutsMm = array_sum(array_map(fn (array $cut): float => $cut['count'] * $cut['lengthMm'], $bar['cuts']));
        $endsMm = max(0.0, $bar['lengthMm'] - $cutsMm - $bar['remainderMm']);

        return $this->profile->length($bar['lengthMm']).' = '.$this->profile->length($cutsMm).' in '
            .Figures::counted($count, 'cut').' + '.Figures::mm($endsMm).' trimmed to clean ends + '
            .$this->profile->length($bar['remainderMm']).' left';
    }

    /** @return list<Lot> where a cut could come from instead */
    public function lotsFor(Wire $wire): array
    {
        return array_values($this->lotsOf($wire)->all());
    }

    /** Whether everything that was asked for is cut. */
    public function isDone(): bool
    {
        return $this->cuts !== [] && array_sum(array_column($this->cuts, 'wanted')) === 0;
    }

    /** How many of a cut were ticked off from a lot. */
    public function ticked(Piece $piece, Cut $cut, Lot $lot): int
    {
        return $this->tickedOf($piece->id, $cut->key(), $lot->id);
    }

    /** @return Collection<int, CutTick> what has been cut for these pieces, last first */
    public function cutSoFar(): Collection
    {
        $ids = $this->pieces->pluck('id')->all();

        return $this->ticks->filter(
            fn (CutTick $tick): bool => in_array($tick->piece_id, $ids, true),
        )->reverse()->values();
    }

    /** What a cut that was ticked is called. */
    public function labelOf(CutTick $tick): string
    {
        $one = $this->cuts[$tick->piece->ulid.'/'.$tick->cut] ?? null;

        return $one === null ? 'A cut that is no longer in the design' : $one['cut']->label;
    }

    /**
     * The same page asked otherwise.
     *
     * @param  array<string, string>  $pins
     */
    public function address(array $pins, string $more = ''): string
    {
        return '/cutting?'.http_build_query(
            array_filter(
                ['pieces' => $this->pieces->pluck('ulid')->all(), 'pins' => array_filter($pins), 'longer' => $more],
            ),
        );
    }
}
