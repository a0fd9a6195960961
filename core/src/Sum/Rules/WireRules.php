<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Rules;

use Hebra\Core\Bend\Hammered;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Figures\WireFigures;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Wire\Hardness;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Working;

/** Sizes, masses, tempers and what hammering does. */
final class WireRules
{
    private const MASS = 'mass = area · length · density; densities: CRC Handbook, ASM Handbook vol. 2, else from '
        .'memory';

    /** @return list<Sum> */
    public static function all(): array
    {
        return [self::size(), self::mass(), self::length(), self::temper(), self::hardening(), self::hammer()];
    }

    private static function size(): Sum
    {
        return new Sum('wire-size', 'Wire', 'How thick is this wire, and what is it in the other systems?',
            [
                Input::wire('size', 'wire size', '20 awg'),
                Input::wire('other', 'beside another', '0.8 mm')->optional()->after('than', 'or', 'beside'),
            ],
            'ASTM B258 (AWG: 0.127 · 92^((36 − n)/39) mm); BS 3737 (SWG table)',
            function (Given $given): Answer {
                $d = $given->mm('size');
                [$awg, $swg] = [SizeSystem::nearestAwg($d), SizeSystem::nearestSwg($d)];

                $results = ['diameter_mm' => $d, 'awg' => $awg, 'swg' => $swg];
                $isBeside = $given->has('other');
                $by = $d - ($isBeside ? $given->mm('other') : 0.0);

                return new Answer($isBeside ? $results + ['thicker_by_mm' => $by] : $results, [
                    ...($isBeside ? [new Working(
                        'thicker by', 'size − other',
                        Figures::trim($d, 3).' − '.Figures::trim($given->mm('other'), 3), $by,
                    )] : []),
                    new Working('diameter', 'size', $given->texts['size'], $d, 'mm', 'ASTM B258, BS 3737'),
                    new Working(
                        'nearest AWG', '0.127 · 92^((36 − n)/39)', "n = {$awg}", SizeSystem::awgMm($awg), 'mm',
                        'ASTM B258',
                    ),
                    new Working('nearest SWG', 'table', "n = {$swg}", SizeSystem::swgMm($swg), 'mm', 'BS 3737'),
                ]);
            }, called: ['size', 'how thick is'], figure: WireFigures::size(...));
    }

    private static function mass(): Sum
    {
        return new Sum('wire-mass', 'Wire', 'What does this length of wire weigh?',
            [Input::metal(), Input::wire(), Input::length('length', 'length', '1 m'), Input::section()], self::MASS,
            function (Given $given): Answer {
                $area = $given->section()->areaMm2();
                $density = $given->metal()->gramsPerCubicCentimetre();
                $grams = $area * $given->mm('length') * $density / 1000;
                $fine = $given->metal()->fineness();

                return new Answer(['mass_g' => $grams], [
                    new Working('area', 'section of the wire', $given->text('section'), $area, 'mm²', 'geometry'),
                    new Working(
                        'mass',
                        'A · L · ρ',
                        Figures::trim($area, 4).' × '.Figures::trim($given->mm('length'))." × {$density} / 1000",
                        $grams,
                        'g',
                        self::MASS,
                    ),
                ], $fine > 0 ? [
                    Figures::trim($grams * $fine, 3).' g of it is precious metal, '.Figures::trim($fine * 1000, 1)
                        .' parts in a thousand.',
                ] : []);
            }, called: ['mass', 'weight', 'weigh'], figure: WireFigures::mass(...));
    }

    private static function length(): Sum
    {
        return new Sum('wire-length', 'Wire', 'How long is this much wire?',
            [Input::metal(), Input::wire(), Input::mass('mass', 'weight', '10 g'), Input::section()], self::MASS,
            function (Given $given): Answer {
                $area = $given->section()->areaMm2();
                $density = $given->metal()->gramsPerCubicCentimetre();
                $length = $given->mm('mass') * 1000 / ($area * $density);

                return new Answer(['length_mm' => $length], [
                    new Working('area', 'section of the wire', $given->text('section'), $area, 'mm²', 'geometry'),
                    new Working(
                        'length',
                        'm / (A · ρ)',
                        Figures::trim($given->mm('mass'), 3).' × 1000 / ('.Figures::trim($area, 4)." × {$density})",
                        $length,
                        'mm',
                        self::MASS,
                    ),
                ]);
            }, called: ['length of', 'how long is'], figure: WireFigures::length(...));
    }

    private static function temper(): Sum
    {
        return new Sum('temper', 'Wire', 'How hard does drawing or thinning leave this wire, and what does it '
            .'yield at?',
            [
                Input::metal(), Input::temper('temper where it starts'),
                Input::number('numbers_hard', 'numbers drawn since', '2', 0, 40, '0'),
                Input::across('thinned_from', 'thinned from', '1 mm', null, 20)->optional(),
                Input::across('thinned_to', 'thinned to', '0.7 mm', null, 20)->optional(),
            ],
            'one B&S number is a strain of 2·ln 92/39 = 0.23189 (ASTM B258); designations ASTM B601; yields: ASM '
                .'Handbook vol. 2, else from memory; thinning: plane strain',
            function (Given $given): Answer {
                $start = $given->temper()->numbersHard();
                $drawn = $given->number('numbers_hard');
                $thinned = self::thinned($given);
                $total = $start + $drawn + $thinned;
                $yield = $given->strength()->yieldMpa($total);
                $working = [
                    new Working(
                        'where it starts', 'numbers hard of the grade', $given->temper()->words(), $start, '',
                        'ASTM B601',
                    ),
                ];
                if ($thinned > 0) {
                    $working[] = new Working(
                        'thinned',
                        '(2/√3)·ln(t₀/t₁)/0.23189',
                        '1.1547 × ln('.Figures::trim($given->mm('thinned_from'), 3).'/'
                            .Figures::trim($given->mm('thinned_to'), 3).')/0.23189',
                        $thinned,
                        '',
                    );
                }
                $working[] = new Working(
                    'numbers hard',
                    'start + drawn + thinned',
                    implode(
                        ' + ',
                        array_map(fn (float $n): string => Figures::trim($n, 3), [$start, $drawn, $thinned]),
                    ),
                    $total,
                    '',
                );
                $working[] = new Working(
                    'yield',
                    'linear between soft, half hard and hard',
                    Figures::trim($given->strength()->softMpa).' · '.Figures::trim($given->strength()->halfHardMpa)
                        .' · '.Figures::trim($given->strength()->hardMpa),
                    $yield,
                    'MPa',
                    $given->strength()->source,
                );
                $hardness = Hardness::of(Temper::DeadSoft)->plus($total);

                return new Answer([
                    'numbers_hard' => $total, 'temper' => Temper::nearest($total)->value, 'yield_mpa' => $yield,
                ], $working,
                    ['Now '.$hardness->words($given->metal()).'. '.ucfirst($given->metal()->words()).' takes about '
                        .Figures::trim($given->metal()->numbersBeforeAnnealing())
                        .' numbers before it must be annealed.']);
            }, called: ['hard'], figure: WireFigures::temper(...));
    }

    private static function thinned(Given $given): float
    {
        if (! $given->has('thinned_from') && ! $given->has('thinned_to')) {
            return 0.0;
        }
        if (! $given->has('thinned_from') || ! $given->has('thinned_to')) {
            $field = $given->has('thinned_from') ? 'thinned_to' : 'thinned_from';
            throw OutOfRange::because(
                $field,
                'nothing',
                'cannot stand alone',
                'both thinned_from and thinned_to, or neither',
            );
        }
        [$from, $to] = [$given->mm('thinned_from'), $given->mm('thinned_to')];

        return $to <= $from
            ? Hardness::hammeringNumbers($from, $to)
            : throw OutOfRange::thicker('thinned_to', $to, $from);
    }

    private static function hardening(): Sum
    {
        return new Sum('hardening', 'Wire', 'How hard has the wire become while I worked it?',
            [
                Input::metal(), Input::temper('temper of the coil'), Input::wire(),
                Input::number('straightened', 'times straightened', '2', 0, 100, '0')->before('times', 'passes'),
                Input::size('inside', 'tightest bend, inside', '2.5 mm', null, 300)->optional(),
                Input::across('hammered_to', 'hammered to', '0.5 mm', null, 20)->optional(),
                Input::number('twists', 'twists', '5', 0, 1000, '0'),
                Input::size('twisted_over', 'twisted over', '100 mm', '100 mm', 10_000),
            ],
            'plastic strain adds up; 0.23189 a number (ASTM B258); 0.1 number each straightening, and what a metal '
                .'takes, from memory',
            function (Given $given): Answer {
                [$d, $metal] = [$given->mm('wire'), $given->metal()];
                $parts = ['straightening' => 0.1 * $given->number('straightened'),
                    'bending' => $given->has('inside')
                        ? Hardness::bendingNumbers($d, ($given->mm('inside') + $d) / 2)
                        : 0.0,
                    'hammering' => $given->has('hammered_to')
                        ? Hammered::of($d, $given->mm('hammered_to'), 'hammered_to')->numbersHard()
                        : 0.0,
                    'twisting' => Hardness::twistingNumbers($d, $given->number('twists'), $given->mm('twisted_over'))];
                $hardness = Hardness::of($given->temper())->plus(array_sum($parts));
                $rules = [
                    'straightening' => '0.1 each',
                    'bending' => '(4/3π)·d/(2R)/0.23189',
                    'hammering' => '(2/√3)·ln(d/t)/0.23189',
                    'twisting' => '(2/3)·2πn·r/(L√3)/0.23189',
                ];
                $working = [
                    new Working(
                        'the coil', 'numbers hard of the grade', $given->temper()->words(),
                        $given->temper()->numbersHard(), '', 'ASTM B601',
                    ),
                ];
                foreach ($parts as $what => $numbers) {
                    $working[] = new Working($what, $rules[$what], Figures::trim($numbers, 3), $numbers, '');
                }

                return new Answer([
                    'numbers_hard' => $hardness->numbers, 'share_used' => $hardness->shareUsed($metal),
                    'temper' => Temper::nearest($hardness->numbers)->value,
                    'yield_mpa' => $given->strength()->yieldMpa($hardness->numbers),
                    'cracks' => $given->has('inside')
                        && $hardness->wouldCrack($metal, $d, ($given->mm('inside') + $d) / 2),
                ], $working, ['Now '.$hardness->words($metal).'.']);
            }, called: ['hardness', 'work hardening'], figure: WireFigures::hardening(...));
    }

    private static function hammer(): Sum
    {
        return new Sum('hammer', 'Wire', 'How wide and how much longer does hammering make this wire?',
            [
                Input::wire(example: '16 awg'),
                Input::across('thickness', 'hammered to', '0.9 mm', null, 20)->after('to'),
            ], Hammered::SOURCE,
            function (Given $given): Answer {
                $flat = Hammered::of($given->mm('wire'), $given->mm('thickness'));
                [$d, $t] = [Figures::trim($flat->wireMm, 3), Figures::trim($flat->thicknessMm, 3)];

                return new Answer([
                    'width_mm' => $flat->widthMm(), 'lengthening' => $flat->lengthening(),
                    'numbers_hard' => $flat->numbersHard(),
                ], [
                    new Working(
                        'width',
                        'min(1.02·d·(d/t)^0.45, t + (π/4)(d² − t²)/t)',
                        "d = {$d}, t = {$t}",
                        $flat->widthMm(),
                        'mm',
                        Hammered::SOURCE,
                    ),
                    new Working(
                        'section',
                        '(w − t)t + πt²/4',
                        '('.Figures::trim($flat->widthMm(), 3)." − {$t}) × {$t} + π × {$t}²/4",
                        $flat->areaMm2(),
                        'mm²',
                        'geometry',
                    ),
                    new Working(
                        'lengthening',
                        '(πd²/4)/A',
                        "(π × {$d}²/4)/".Figures::trim($flat->areaMm2(), 4),
                        $flat->lengthening(),
                        '',
                        'volume is kept',
                    ),
                    new Working(
                        'numbers hard added', '(2/√3)·ln(d/t)/0.23189', "1.1547 × ln({$d}/{$t})/0.23189",
                        $flat->numbersHard(), '',
                    ),
                ]);
            }, called: ['flatten', 'hammered'], figure: WireFigures::hammer(...));
    }
}
