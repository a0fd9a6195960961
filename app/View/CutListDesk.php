<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Lot;
use App\Models\Workshop;
use App\Read\CuttingDesk;
use App\Support\Deadline;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Stock\CutKind;
use Hebra\Core\Stock\CutTable;
use Hebra\Core\Stock\CuttingPlan;
use Hebra\Core\Stock\CuttingPlanner;
use Hebra\Core\Stock\CuttingTerms;
use Hebra\Core\Stock\StockRow;
use Illuminate\Support\Collection;

/** Lengths that belong to no piece, from a table, cut out of the lots of one wire. */
final class CutListDesk
{
    public const COLUMNS = [
        'label' => ['What for', ['name', 'cut', 'part', 'what']],
        'length' => ['Length', ['mm', 'length mm', 'cut mm']],
        'count' => ['How many', ['number', 'pieces', 'quantity', 'n']],
    ];

    /**
     * How long many cuts are searched; few are searched until the least is proved, which takes a few seconds at most.
     */
    private const SECONDS = 0.8;

    private const MOST_CUTS = 5000;

    private const MOST_MM = 100_000.0;

    private const BOUGHT_MM = 5000.0;

    /** @var list<CutKind> */
    public array $kinds = [];

    /** @var array<int, string> what is wrong, by line */
    public array $problems = [];

    public ?CuttingPlan $plan = null;

    public string $problem = '';

    public function __construct(private readonly Workshop $workshop, private readonly GivenTable $given)
    {
        foreach (array_keys($given->table->rows) as $line) {
            try {
                $this->kinds[] = $this->kind($line);
            } catch (Problem $problem) {
                $this->problems[$line] = $problem->getMessage();
            }
        }
        if (
            $this->problems === []
            && array_sum(array_map(fn (CutKind $kind): int => $kind->count, $this->kinds)) > self::MOST_CUTS
        ) {
            $this->problems[2] = 'More than '.number_format(self::MOST_CUTS).' cuts in all: give fewer.';
        }
    }

    private function kind(int $line): CutKind
    {
        $at = fn (string $what): string => $this->given->table->at($line, $this->given->columns[$what]);
        $count = trim($at('count'));

        return new CutKind(
            $at('label') === '' ? "line {$line}" : mb_substr($at('label'), 0, 80),
            Length::parse(
                $at('length'),
                'length',
                $this->workshop->profile()->unit(),
            )->within('length', 1, self::MOST_MM)->millimetres(),
            $count === '' ? 1 : Count::parse($count, 'count', 1, self::MOST_CUTS),
        );
    }

    /** @return array<string, string> wires in stock: key => words */
    public static function wires(Workshop $workshop): array
    {
        $wires = [];
        foreach (self::wireLots($workshop) as $lot) {
            $wires[$lot->wire()->key()] = $lot->wire()->words();
        }

        return $wires;
    }

    /** @return Collection<int, Lot> */
    private static function wireLots(Workshop $workshop): Collection
    {
        /** @var Collection<int, Lot> $lots */
        $lots = $workshop->lots()->withHeld()->get();

        return $lots->filter(fn (Lot $lot): bool => ! $lot->isPins() && $lot->heldMm() >= 1.0)->values();
    }

    public function plan(string $wire, bool $isLonger): void
    {
        $cuts = array_sum(array_map(fn (CutKind $kind): int => $kind->count, $this->kinds));
        $seconds = $isLonger || $cuts <= CutTable::MOST_CUTS ? CuttingDesk::LONGER : self::SECONDS;
        $spoken = CuttingDesk::spokenFor($this->workshop);
        $rows = [];
        foreach (self::wireLots($this->workshop) as $lot) {
            $free = $lot->heldMm() - ($spoken[$lot->id]['mm'] ?? 0.0);
            if ($lot->wire()->key() === $wire && $free >= 1.0) {
                $rows[] = new StockRow($lot->name, $free, 1);
            }
        }
        $terms = new CuttingTerms(keepMm: $this->workshop->profile()->keepMm);
        try {
            $this->plan = CuttingPlanner::plan($this->kinds, $rows, $terms, new Deadline($seconds));
        } catch (Problem) {
            $longest = array_reduce(
                $this->kinds,
                fn (float $most, CutKind $kind): float => max($most, $kind->lengthMm),
                self::BOUGHT_MM,
            );
            try {
                $this->plan = CuttingPlanner::plan(
                    $this->kinds,
                    [...$rows, new StockRow('to be bought', $longest, 0)],
                    $terms,
                    new Deadline($seconds),
                );
            } catch (Problem $problem) {
                $this->problem = $problem->getMessage();
            }
        }
    }

    /** The plan as a table: one line for each kind of cut of each piece of stock. */
    public function csv(): string
    {
        $lengths = array_combine(
            array_map(fn (CutKind $kind): string => $kind->label, $this->kinds),
            array_map(fn (CutKind $kind): float => $kind->lengthMm, $this->kinds),
        );
        $rows = [];
        foreach ($this->plan->pieces ?? [] as $piece) {
            foreach ($piece->cuts as $label => $count) {
                $rows[] = [
                    $piece->row->label, (string) $label, round($lengths[$label] ?? 0.0, 2), $count,
                    round($piece->remainderMm, 2),
                ];
            }
        }

        return Csv::of(['from', 'label', 'length_mm', 'count', 'left_mm'], $rows);
    }
}
