<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Rules;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\HoleFit;
use Hebra\Core\Bead\WirePacking;
use Hebra\Core\Figure\Diagram;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Figures\BeadFigures;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Working;

/** Holes and what beads weigh. */
final class BeadRules
{
    private const PACKING = 'Graham, Lubachevsky, Nurmela, Östergård 1998, Dense packings of congruent circles in a '
        .'circle; mixed sizes: smallest enclosing circle, solved';

    /** @return list<Sum> */
    public static function all(): array
    {
        return [self::holeFit(), self::beadCount(), self::beadMass()];
    }

    private static function holeFit(): Sum
    {
        return new Sum('hole-fit', 'Beads', 'Do these wires pass this hole?',
            [
                Input::size('hole', 'hole', '1 mm', null, 50)->after('hole', 'through', 'in'), Input::wires(),
                Input::length('clearance', 'working clearance', '0.05 mm', '0', 10)->after('clearance'),
            ], self::PACKING,
            function (Given $given): Answer {
                $fit = new HoleFit($given->mm('hole'), $given->wires(), $given->mm('clearance'));

                return new Answer([
                    'needed_mm' => $fit->neededMm(), 'margin_mm' => $fit->marginMm(), 'fits' => $fit->fits(),
                ], [
                    new Working(
                        'needed',
                        'smallest circle round '.Figures::counted(count($fit->wiresMm), 'wire'),
                        $given->texts['wires'],
                        $fit->neededMm(),
                        'mm',
                        self::PACKING,
                    ),
                    new Working(
                        'margin',
                        'hole − needed − clearance',
                        Figures::trim($fit->holeMm, 3).' − '.Figures::trim($fit->neededMm(), 3).' − '
                            .Figures::trim($fit->clearanceMm, 3),
                        $fit->marginMm(),
                    ),
                ], ['Flat strip of width w and thickness t needs √(w² + t²). Count every wire that crosses, and '
                    .'every pass.']);
            }, called: ['hole'],
            figure: function (Given $given): Diagram {
                $drawn = (new Diagram('the hole and the wires in it'))->circle('hole', 0, 0, $given->mm('hole') / 2);
                foreach (WirePacking::of($given->wires())->places as $place) {
                    $drawn->circle('wire', $place['x'], $place['y'], $place['d'] / 2);
                }

                return $drawn;
            });
    }

    private static function beadCount(): Sum
    {
        return new Sum('bead-count', 'Beads', 'How many beads make this length?',
            [
                Input::size('bead', 'length of one bead', '4 mm')->after('beads', 'bead'),
                Input::size('length', 'length of the row', '18 cm', null, 100_000)->after('for', 'long', 'length'),
                Input::length('gap', 'between two', '0.5 mm', '0', 1000)->after('gap', 'apart'),
            ],
            'n·bead + (n − 1)·gap, to the nearest whole bead',
            function (Given $given): Answer {
                [$bead, $length, $gap] = [$given->mm('bead'), $given->mm('length'), $given->mm('gap')];
                $count = max(1, (int) round(($length + $gap) / ($bead + $gap)));
                $row = $count * $bead + ($count - 1) * $gap;

                return new Answer(['count' => $count, 'length_mm' => $row, 'off_mm' => $row - $length], [
                    new Working(
                        'beads',
                        'nearest whole number of (length + gap) / (bead + gap)',
                        Figures::trim($length + $gap).' / '.Figures::trim($bead + $gap),
                        $count,
                        '',
                    ),
                    new Working(
                        'their row',
                        'n·bead + (n − 1)·gap',
                        "{$count} × ".Figures::trim($bead).' + '.($count - 1).' × '.Figures::trim($gap),
                        $row,
                    ),
                    new Working(
                        'off',
                        'row − length',
                        Figures::trim($row).' − '.Figures::trim($length),
                        $row - $length,
                    ),
                ]);
            }, called: ['how many beads', 'beads for'], figure: BeadFigures::count(...));
    }

    private static function beadMass(): Sum
    {
        return new Sum('bead-mass', 'Beads', 'What do these beads weigh?',
            [
                Input::pattern('bead', 'bead, in one line', '8mm round, hole 1, glass'),
                Input::count('count', 'how many', '10', 1, 10_000, '1')->before('beads', 'bead', 'of'),
            ],
            'volume · density, less the hole; densities of bead materials from memory',
            function (Given $given): Answer {
                $bead = Bead::parse($given->text('bead'));
                $one = $bead->grams();

                return new Answer([
                    'mass_g' => $one * $given->count('count'), 'each_g' => $one,
                    'length_mm' => $bead->lengthMm * $given->count('count'),
                ], [
                    new Working(
                        'one bead',
                        'fill · b · W² · ρ, less its hole',
                        $bead->sizeWords().', '.$bead->material->value.' '.$bead->material->gramsPerCubicCentimetre()
                            .' g/cm³',
                        $one,
                        'g',
                        'geometry; density from memory',
                    ),
                    new Working(
                        'all',
                        'count · one bead',
                        $given->count('count').' × '.Figures::trim($one, 3),
                        $one * $given->count('count'),
                        'g',
                    ),
                ], ['An earring is comfortable to about 7 g, with caution from 10.']);
            }, called: ['bead weight', 'beads weigh'], figure: BeadFigures::mass(...));
    }
}
