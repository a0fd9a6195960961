<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Plan\Barred;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\WireRow;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/** The ranking of one role as it is read: the best few in sentences, a grid of sizes and tempers, and everything. */
final readonly class WireChoice
{
    private const GRID_REACH = 4;

    /** So many cells of a column that a reason stands upright in them. */
    private const UPRIGHT = 4;

    /** @param  list<WireRow>  $rows  best first */
    public function __construct(public Wire $chosen, public array $rows, private Profile $profile)
    {
    }

    /** What a wire of a piece is called, by its role. */
    public static function roleWords(string $role): string
    {
        return [
            'ear' => 'Ear wire', 'link' => 'Links', 'eye-link' => 'Eye links', 'pin' => 'Head pins', 'hoop' => 'Hoop',
            'frame' => 'Frame', 'binding' => 'Binding wire', 'coil' => 'Coil wire', 'inner' => 'Inner wire',
            'core' => 'Cores', 'weave' => 'Weaving wire', 'shank' => 'Shank', 'bangle' => 'Bangle',
            'memory' => 'Memory wire', 'strand' => 'Beading wire', 'ring' => 'Rings', 'chain' => 'Chain',
            'ball-chain' => 'Ball chain', 'cord' => 'Cord', 'clasp' => 'Clasp', 'surround' => 'Surround',
        ][$role] ?? ucfirst($role);
    }

    /**
     * @return list<array{size: string, mm: float, cells: array<string, WireRow>}> sizes near the usual and the chosen
     *     one, thick to thin
     */
    public function grid(): array
    {
        $sizes = [];
        foreach ($this->rows as $row) {
            $code = $row->wire->size->code();
            $sizes[$code] ??= [
                'size' => $row->wire->size->text(),
                'mm' => $row->wire->diameterMm(),
                'cells' => [],
                'isNear' => false,
            ];
            $sizes[$code]['cells'][$row->wire->temper->value] = $row;
            $sizes[$code]['isNear'] = $sizes[$code]['isNear'] || $row->isUsual || $row->isChosen;
        }
        $sizes = array_values($sizes);
        usort($sizes, fn (array $a, array $b): int => $b['mm'] <=> $a['mm']);
        $near = array_keys(array_filter($sizes, fn (array $size): bool => $size['isNear']));
        $shown = array_filter(
            $sizes,
            fn (int $at): bool => array_filter(
                $near,
                fn (int $one): bool => abs($one - $at) <= self::GRID_REACH,
            ) !== [],
            ARRAY_FILTER_USE_KEY,
        );

        return array_values(
            array_map(
                fn (array $size): array => ['size' => $size['size'], 'mm' => $size['mm'], 'cells' => $size['cells']],
                $shown,
            ),
        );
    }

    /**
     * Where on the map the reason stands that a region is out for: at the first cell of its longest row, else of its
     * longest column.
     *
     * @return array<string, array{words: string, isUpright: bool}> by size and temper: `22 awg/spring`
     */
    public function regions(): array
    {
        [$rows, $columns] = [$this->runs(false), $this->runs(true)];
        $labels = [];
        foreach (Barred::cases() as $barred) {
            [$row, $column] = [$rows[$barred->value] ?? [], $columns[$barred->value] ?? []];
            $isUpright = count($column) >= self::UPRIGHT && count($row) < 2;
            if ($isUpright || count($row) >= 2) {
                $labels[($isUpright ? $column : $row)[0]] = ['words' => $barred->words(), 'isUpright' => $isUpright];
            }
        }

        return $labels;
    }

    /** @return array<string, list<string>> by what bars it, the cells of its longest run along a row or a column */
    private function runs(bool $isAlongColumns): array
    {
        $longest = $run = [];
        $last = null;
        foreach ($this->lines($isAlongColumns) as $line) {
            $last = null;
            foreach ($line as $row) {
                $barred = $row->said->barred?->value;
                $run = $barred !== null && $barred === $last ? [...$run, $this->value($row)] : [$this->value($row)];
                $last = $barred;
                if ($barred !== null && count($run) >= count($longest[$barred] ?? [])) {
                    $longest[$barred] = $run;
                }
            }
        }

        return $longest;
    }

    /** @return list<list<WireRow>> the map by its rows or by its columns */
    private function lines(bool $isAlongColumns): array
    {
        $tempers = array_keys($this->tempers());
        $rows = array_map(
            fn (array $size): array => array_map(fn (string $temper): WireRow => $size['cells'][$temper], $tempers),
            $this->grid(),
        );

        return $isAlongColumns
            ? array_map(fn (int $at): array => array_column($rows, $at), array_keys($tempers))
            : $rows;
    }

    /** @return array<string, string> those that the metal comes in, or that is chosen */
    public function tempers(): array
    {
        $known = array_flip(array_map(fn (WireRow $row): string => $row->wire->temper->value, $this->rows));

        return array_intersect_key(
            [
                'dead-soft' => 'soft', 'quarter-hard' => '¼ hard', 'half-hard' => '½ hard', 'hard' => 'hard',
                'spring' => 'spring',
            ],
            $known,
        );
    }

    public function value(WireRow $row): string
    {
        return $row->wire->size->code().'/'.$row->wire->temper->value;
    }

    public function name(WireRow $row): string
    {
        return $row->wire->size->text().', '.$row->wire->temper->words();
    }

    public function chosenRow(): ?WireRow
    {
        return array_values(array_filter($this->rows, fn (WireRow $row): bool => $row->isChosen))[0] ?? null;
    }

    /** @return list<WireRow> the best two that are not chosen */
    public function others(): array
    {
        return array_slice(array_values(array_filter(
            $this->rows, fn (WireRow $row): bool => $row->fits && ! $row->isChosen,
        )), 0, 2);
    }

    public function usual(): string
    {
        foreach ($this->rows as $row) {
            if ($row->isUsual) {
                return $row->wire->size->text().' copper, '.Temper::HalfHard->words();
            }
        }

        return 'half hard copper of the usual size';
    }

    public function stock(WireRow $row): string
    {
        return $row->heldMm > 0 ? $this->profile->length($row->heldMm) : '–';
    }

    public function price(WireRow $row): string
    {
        return match (true) {
            $row->cents === null => '–',
            $row->cents > 0 && $row->cents < 0.5 => 'under 0.01',
            default => number_format($row->cents / 100, 2, '.', ''),
        };
    }

    /** How good a fitting wire is, in four steps, for the grid. */
    public function grade(WireRow $row): string
    {
        return match (true) {
            ! $row->fits => 'unfit',
            $row->penalty < 0.12 => 'best',
            $row->penalty < 0.4 => 'good',
            $row->penalty < 1.0 => 'fair',
            default => 'poor',
        };
    }
}
