<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Workshop;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Bead\Material;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\OneOf;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Stock\CsvTable;

/** Beads of the tray from a table; sizes are millimetres unless they say otherwise. */
final class BeadImport extends TableImport
{
    private const MOST = 1_000_000;

    public function __construct(private readonly SupplyBook $book)
    {
    }

    public function columns(): array
    {
        return [
            'shape' => ['Shape', ['form', 'kind']],
            'width' => ['Width', ['width mm', 'size', 'size mm', 'diameter', 'mm']],
            'length' => ['Length', ['length mm', 'along the hole']], 'hole' => ['Hole', ['hole mm', 'bore']],
            'name' => ['Name', ['label', 'bead']], 'colour' => ['Colour', ['color']],
            'material' => ['Material', ['made of']], 'drilling' => ['Drilling', ['drilled']],
            'owned' => ['How many', ['count', 'pieces', 'quantity', 'held']],
            'price' => ['Price of one', ['cost', 'paid']],
        ];
    }

    public function noun(): string
    {
        return 'bead';
    }

    public function example(): string
    {
        return "name;shape;width;hole;colour;owned\nHarbour mist;round;6 mm;1;slate;40";
    }

    protected function read(Workshop $workshop, CsvTable $table, array $columns): array
    {
        $problems = $beads = [];
        foreach (array_keys($table->rows) as $line) {
            $cell = fn (string $what): string => $table->at($line, $columns[$what] ?? null);
            try {
                $owned = $cell('owned') === '' ? 0 : Count::parse($cell('owned'), 'how many', 0, self::MOST);
                $beads[] = [
                    $this->bead($cell),
                    $owned,
                    $cell('price') === '' ? null : UnitPrice::parse($cell('price')),
                ];
            } catch (Problem $problem) {
                $problems[$line] = $problem->getMessage();
            }
        }

        return [$beads, $problems];
    }

    protected function write(Workshop $workshop, array $entries): void
    {
        /** @var list<array{Bead, int, UnitPrice|null}> $entries */
        $this->book->beads($workshop, $entries);
    }

    /** @param  callable(string): string  $cell */
    private function bead(callable $cell): Bead
    {
        $shape = OneOf::inAnyCase(BeadShape::class, $cell('shape'), 'shape');
        $width = Length::parse($cell('width'), 'width')->millimetres();
        $length = $cell('length') === ''
            ? $shape->usualLengthMm($width)
            : Length::parse($cell('length'), 'length')->millimetres();
        $hole = $cell('hole') === '' ? 1.0 : Length::parse($cell('hole'), 'hole')->millimetres();
        $drilling = $cell('drilling') === ''
            ? $shape->usualDrilling()
            : OneOf::inAnyCase(Drilling::class, $cell('drilling'), 'drilling');
        $material = $cell('material') === ''
            ? $shape->usualMaterial()
            : OneOf::inAnyCase(Material::class, $cell('material'), 'material');

        return Bead::of(
            $shape,
            $length,
            $width,
            $hole,
            $drilling,
            $material,
            $cell('colour') === '' ? 'sea' : mb_strtolower($cell('colour')),
            $cell('name'),
        );
    }
}
