<?php

declare(strict_types=1);

namespace App\View\Stock;

use App\Actions\Book;
use App\Actions\TypedIn;
use App\Models\Bead;
use App\Models\Lot;
use App\Models\Supply;
use App\Models\Workshop;
use App\Read\CuttingDesk;
use App\View\Sought;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\SectionKind;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Illuminate\Support\Collection;

/**
 * The stock as it hangs and stands: wire on a wall of pegs, metal by size, offcuts on one ruler, beads in heaps, what
 * else there is in jars. A line finds among it, or shows where what comes in will hang.
 *
 * @phpstan-type Row array{
 *     metal: Metal, mm: float, grams: float, isSaid: bool, cells: list<array{pegs: list<Peg>, more: int, ghost: bool}>,
 * }
 */
final class StockWall
{
    /** How many coils hang on one peg before the rest is only counted. */
    private const MOST_ON_A_PEG = 2;

    private const MOST_OFFCUTS = 12;

    private const MOST_HEAPS = 16;

    private const MOST_JARS = 12;

    /** Sizes whose pegs are there though they are bare. */
    private const USUAL = [
        'awg' => [18, 20, 22, 24, 26, 28], 'swg' => [18, 20, 22, 24, 26, 28], 'mm' => [1.0, 0.8, 0.6, 0.5, 0.4, 0.3],
    ];

    public readonly Profile $profile;

    /** @var Collection<int, Lot> */
    public readonly Collection $lots;

    /** @var Collection<int, Bead> */
    public readonly Collection $beads;

    /** @var Collection<int, Supply> */
    public readonly Collection $supplies;

    public readonly ?TypedIn $typed;

    /** what is wrong with the line, in a sentence; empty where it can be read */
    public readonly string $wrong;

    /** @var array<int, array{mm: float, for: list<string>}> by lot */
    public readonly array $spoken;

    /** @var array<int, Wire> by lot: read once */
    private readonly array $wires;

    private readonly WireHeld $held;

    /** @var list<WireSize> */
    private readonly array $sizes;

    public function __construct(
        public readonly Workshop $workshop, public readonly string $line = '', private readonly string $open = '',
    ) {
        $this->profile = $workshop->profile();
        /** @var Collection<int, Lot> $lots */
        $lots = $workshop->lots()->withHeld()->get()->sortBy(fn (Lot $lot): int => $lot->id)->values();
        $this->lots = $lots;
        $this->beads = $workshop->beads()->latest('id')->get();
        /** @var Collection<int, Supply> $supplies */
        $supplies = $workshop->supplies()->orderBy('kind')->orderBy('name')->get();
        $this->supplies = $supplies;
        $this->spoken = CuttingDesk::spokenFor($workshop);
        $this->wires = $lots->mapWithKeys(fn (Lot $lot): array => [$lot->id => $lot->wire()])->all();
        $this->held = new WireHeld($workshop, $lots);
        [$typed, $wrong] = [null, ''];
        try {
            $typed = trim($line) === '' ? null : TypedIn::read($workshop, $line);
        } catch (Problem $problem) {
            $wrong = $problem->getMessage();
        }
        [$this->typed, $this->wrong] = [$typed, $wrong];
        $this->sizes = $this->columns();
    }

    /** @return list<WireSize> from the thickest to the thinnest, the round ones first */
    public function sizes(): array
    {
        return $this->sizes;
    }

    /** @return list<WireSize> */
    private function columns(): array
    {
        $sizes = $this->typed?->ghost === null ? [] : [$this->typed->ghost->size];
        foreach ($this->lots as $lot) {
            if ($this->hangs($lot)) {
                // Many lots are of one wire.
                $sizes[spl_object_id($this->wires[$lot->id])] = $this->wires[$lot->id]->size;
            }
        }
        $system = $this->profile->sizes;
        foreach (self::USUAL[$system->value] as $size) {
            $sizes[] = match ($system) {
                SizeSystem::Awg => WireSize::awg((int) $size),
                SizeSystem::Swg => WireSize::swg((int) $size),
                SizeSystem::Metric => WireSize::millimetres($size),
            };
        }
        $columns = [];
        foreach ($sizes as $size) {
            if (self::place($size, $columns) === null) {
                $columns[] = $size;
            }
        }
        usort($columns, fn (WireSize $one, WireSize $other): int => [
            $one->kind() !== SectionKind::Round, -$one->widthMm(),
        ] <=> [$other->kind() !== SectionKind::Round, -$other->widthMm()]);

        return $columns;
    }

    /** @param  list<WireSize>  $columns */
    private static function place(WireSize $size, array $columns): ?int
    {
        foreach ($columns as $at => $column) {
            $isAsWide = abs($column->widthMm() - $size->widthMm()) < Lot::SAME_MM;
            if ($column->kind() === $size->kind() && $isAsWide
                && abs($column->diameterMm() - $size->diameterMm()) < Lot::SAME_MM) {
                return $at;
            }
        }

        return null;
    }

    /** Whether it hangs on the wall: a coil, and not what has been used up. */
    private function hangs(Lot $lot): bool
    {
        return $lot->kind === 'coil' && ($lot->heldMg() > 0 || $lot->ulid === $this->open);
    }

    /** @return list<Row> the metals there are, and that of what comes in */
    public function rows(): array
    {
        $byMetal = [];
        foreach ($this->lots as $lot) {
            if (! $lot->isPins()) {
                $byMetal[$lot->metal][] = $lot;
            }
        }
        $ghost = $this->typed?->ghost;
        if ($ghost !== null) {
            $byMetal[$ghost->metal->value] ??= [];
        }

        return array_map($this->row(...), array_map(Metal::from(...), array_keys($byMetal)), array_values($byMetal));
    }

    /**
     * @param  list<Lot>  $lots
     * @return Row
     */
    private function row(Metal $metal, array $lots): array
    {
        $cells = array_fill(0, count($this->sizes), []);
        $places = [];
        foreach ($lots as $lot) {
            $wire = $this->wires[$lot->id];
            $places[spl_object_id($wire)] ??= self::place($wire->size, $this->sizes);
            $at = $this->hangs($lot) ? $places[spl_object_id($wire)] : null;
            if ($at !== null) {
                $cells[$at][] = $lot;
            }
        }
        $ghost = $this->typed?->ghost;
        $ghostAt = $ghost !== null && $ghost->metal === $metal ? self::place($ghost->size, $this->sizes) : null;

        return [
            'metal' => $metal,
            'mm' => array_sum(array_map(fn (Lot $lot): float => $lot->heldMm(), $lots)),
            'grams' => array_sum(array_map(fn (Lot $lot): int => $lot->heldMg(), $lots)) / 1000,
            'isSaid' => $this->typed?->wire?->metal === $metal,
            'cells' => array_map(fn (array $hung, int $at): array => [
                'pegs' => array_map($this->peg(...), array_slice($this->openFirst($hung), 0, self::MOST_ON_A_PEG)),
                'more' => max(0, count($hung) - self::MOST_ON_A_PEG), 'ghost' => $at === $ghostAt,
            ], $cells, array_keys($cells)),
        ];
    }

    /**
     * @param  list<Lot>  $lots
     * @return list<Lot> what is open or looked for before the rest, then the fullest
     */
    private function openFirst(array $lots): array
    {
        $places = array_map(
            fn (Lot $lot): array => [$lot->ulid !== $this->open, ! $this->isFoundLot($lot), -$lot->heldMm()], $lots,
        );
        asort($places);

        return array_map(fn (int $at): Lot => $lots[$at], array_keys($places));
    }

    private function peg(Lot $lot): Peg
    {
        return new Peg(
            $lot, min($lot->heldMm(), $this->spoken[$lot->id]['mm'] ?? 0.0),
            $this->held->isLow($this->wires[$lot->id]->words()),
            $this->isFoundLot($lot), $lot->ulid === $this->open,
        );
    }

    public function isFoundLot(Lot $lot): bool
    {
        $said = $this->typed?->wire;
        if ($said === null || ! $said->finds()) {
            return ! $this->isSearching();
        }
        $size = $said->wireSize();
        $told = "{$lot->name} {$lot->kind} {$lot->wireWords()} {$lot->tags}";

        return ($said->metal === null || $said->metal->value === $lot->metal)
            && ($size === null || self::place($size, [$this->wires[$lot->id]->size]) === 0)
            && ($said->temper === null || $said->temper->value === $lot->temper)
            && (new Sought($said->words))->isIn($told);
    }

    /** Whether the line looks for something. */
    public function isSearching(): bool
    {
        return $this->typed?->wire?->finds() === true;
    }

    public function isFoundBead(Bead $bead): bool
    {
        return $this->isFoundByName($bead->core()->words().' bead '.$bead->colour.' '.$bead->shape);
    }

    /** Of what is no wire: whether each word of the line is in its own. */
    private function isFoundByName(string $words): bool
    {
        $said = $this->typed?->wire;

        return $said === null || ! $said->finds()
            || ($said->metal === null && $said->size === '' && (new Sought($said->words))->isIn($words));
    }

    /** @return array<string, int> milligrams by metal */
    public function scrap(): array
    {
        return Book::held($this->workshop, 'scrap jar');
    }

    public function openLot(): ?Lot
    {
        return $this->lots->first(fn (Lot $lot): bool => $lot->ulid === $this->open);
    }

    public function story(): ?LotStory
    {
        $lot = $this->openLot();

        return $lot === null ? null : new LotStory($this->peg($lot), $this->spoken[$lot->id] ?? null, $this->profile);
    }

    /** @return array{list<Peg>, int} the longest first, and how many more there are */
    public function offcuts(): array
    {
        $offcuts = array_values($this->lots->filter(
            fn (Lot $lot): bool => $lot->kind === 'offcut' && $lot->heldMg() > 0,
        )->all());
        $shown = array_slice($this->openFirst($offcuts), 0, self::MOST_OFFCUTS);

        return [array_map($this->peg(...), $shown), max(0, count($offcuts) - self::MOST_OFFCUTS)];
    }

    /** @return array{list<array{Bead, Heap, bool}>, int} each bead with its heap and whether it is looked for */
    public function heaps(): array
    {
        $beads = array_values($this->beads->all());
        $shown = array_slice($this->foundFirst(array_map(
            fn (Bead $bead): array => [$bead, ! $this->isSearching() || $this->isFoundBead($bead)], $beads,
        )), 0, self::MOST_HEAPS);

        return [array_map(
            fn (array $one): array => [$one[0], Heap::of($one[0]->core(), $one[0]->owned), $one[1]], $shown,
        ), max(0, count($beads) - self::MOST_HEAPS)];
    }

    /** @return array{list<array{Supply|Lot, bool}>, int} jars of findings, and pins in their cups */
    public function jars(): array
    {
        $jars = [];
        foreach ($this->supplies as $supply) {
            $jars[] = [$supply, $this->isFoundByName($supply->name)];
        }
        foreach ($this->lots as $lot) {
            if ($lot->isPins() && $lot->heldMg() > 0) {
                $jars[] = [$lot, $this->isFoundLot($lot)];
            }
        }
        $jars = $this->foundFirst($jars);

        return [array_slice($jars, 0, self::MOST_JARS), max(0, count($jars) - self::MOST_JARS)];
    }

    /**
     * @template Kept of array<int, mixed>
     *
     * @param  list<Kept>  $kept  each with whether it is looked for, last
     * @return list<Kept>
     */
    private function foundFirst(array $kept): array
    {
        if ($this->isSearching()) {
            usort($kept, fn (array $one, array $other): int => end($other) <=> end($one));
        }

        return $kept;
    }

    /** Wire by the metre, or by the foot where the ruler has inches: `3.90 m`. */
    public function run(float $mm): string
    {
        return $this->profile->ruler->isMetric()
            ? number_format($mm / 1000, 2).' m'
            : number_format($mm / 304.8, 1).' ft';
    }

    /** The same without its unit, under a coil. */
    public function runFigure(float $mm): string
    {
        return explode(' ', $this->run($mm))[0];
    }

    /** What the line says, as it was understood. */
    public function hint(): string
    {
        $wire = $this->typed?->wire;
        if ($wire !== null && $wire->finds()) {
            $found = $this->lots->filter($this->isFoundLot(...));
            $others = $this->beads->filter($this->isFoundBead(...))->count()
                + $this->supplies->filter(fn (Supply $one): bool => $this->isFoundByName($one->name))->count();
            $words = [];
            if ($found->isNotEmpty()) {
                $mm = $found->sum(fn (Lot $lot): float => $lot->isPins() ? 0.0 : $lot->heldMm());
                $words[] = $found->count().($found->count() === 1 ? ' lot' : ' lots').', '.$this->run($mm);
            }
            $words[] = $others === 0 ? '' : "{$others} beside wire";

            return implode('; ', array_filter($words)) ?: 'Nothing here is so called.';
        }

        return $this->typed === null ? '' : $this->typed->sentence($this->profile);
    }
}
