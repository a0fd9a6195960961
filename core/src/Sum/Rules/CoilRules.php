<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Rules;

use Hebra\Core\Figure\Diagram;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Figures\BoundFigures;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Working;
use Hebra\Core\Wrap\BeadedCoil;
use Hebra\Core\Wrap\Coil;
use Hebra\Core\Wrap\CoiledCoil;
use Hebra\Core\Wrap\Spiral;
use Hebra\Core\Wrap\Turn;

/** Coils, coiled coils, beaded coils, spirals, jump rings. */
final class CoilRules
{
    /** No figure shows more turns than an eye can count. */
    private const MOST_DRAWN = 140;

    /** @return list<Sum> */
    public static function all(): array
    {
        return [self::coil(), self::coiledCoil(), self::beadedCoil(), self::spiral(), self::jumpRings()];
    }

    private static function coil(): Sum
    {
        return new Sum('coil', 'Coils', 'How much wire does a coil take, and how many turns?',
            [
                Input::wire(example: '24 awg'),
                Input::across('mandrel', 'mandrel, the coil’s inside', '2.5 mm')->after(
                    'on', 'round', 'around', 'over', 'mandrel', 'inside',
                ),
                Input::size('length', 'length of the coil', '3 cm', null, 10_000)->after('for', 'long', 'length'),
                Input::number('turns', 'or: turns', '20', 0.01, 10_000)->before('turns', 'turn'),
                Input::size('pitch', 'from turn to turn', '0.51 mm', '=wire', 100)->after('pitch', 'every'),
                Input::have(),
            ], Turn::SOURCE,
            function (Given $given): Answer {
                $coil = self::coilOf($given);
                [$w, $m, $p] = [
                    Figures::trim($coil->wireMm, 3), Figures::trim($coil->mandrelMm, 3),
                    Figures::trim($coil->pitchMm, 3),
                ];
                $results = [
                    'turns' => $coil->turns,
                    'wire_length_mm' => $coil->wireLengthMm(),
                    'coil_length_mm' => $coil->lengthMm(),
                    'outside_mm' => $coil->outsideMm(),
                ];

                return new Answer($given->has('have') ? $results + ['length_mm' => $coil->lengthMm()] : $results, [
                    new Working(
                        'one turn', '√((π(M + d))² + p²)', "√((π × ({$m} + {$w}))² + {$p}²)", $coil->turnMm(), 'mm',
                        Turn::SOURCE,
                    ),
                    self::turnsOf($given, $coil),
                    new Working(
                        'wire',
                        'turns · one turn',
                        Figures::trim($coil->turns, 3).' × '.Figures::trim($coil->turnMm(), 3),
                        $coil->wireLengthMm(),
                    ),
                    new Working('outside', 'M + 2d', "{$m} + 2 × {$w}", $coil->outsideMm()),
                ], ['Tails to hold are not in it: add about 25 mm an end.', ...self::winder($given)]);
            }, oneOf: [['length', 'turns', 'have']], called: ['close coil', 'open coil'],
            figure: fn (Given $given): Diagram => self::coilDrawn(self::coilOf($given)));
    }

    private static function turnsOf(Given $given, Coil $coil): Working
    {
        [$rule, $numbers] = match (true) {
            $given->has('have') => [
                'have / one turn', Figures::trim($given->mm('have')).' / '.Figures::trim($coil->turnMm(), 3),
            ],
            $given->has('length') => [
                'L / p', Figures::trim($given->mm('length')).' / '.Figures::trim($coil->pitchMm, 3),
            ],
            default => ['as given', $given->texts['turns']],
        };

        return new Working('turns', $rule, $numbers, $coil->turns, '');
    }

    /** @return list<string> which of the maker's winders takes it, and what is lost in its grip */
    private static function winder(Given $given): array
    {
        $mark = $given->tools->nearest($given->mm('mandrel'), ToolKind::Winder);

        if ($mark === null || abs($mark->mm - $given->mm('mandrel')) > 0.25) {
            return [];
        }
        $grip = $mark->tool->gripMm;

        return [
            'Wind it on '.$mark->words().($grip > 0 ? '; its grip loses '.Figures::mm($grip).' at each start.' : '.'),
        ];
    }

    private static function coilOf(Given $given): Coil
    {
        [$wire, $mandrel, $pitch] = [$given->mm('wire'), $given->mm('mandrel'), $given->mm('pitch')];
        if ($pitch < $wire - 1e-9) {
            throw OutOfRange::because(
                'pitch',
                round($pitch, 3).' mm',
                'is less than the wire, so that turns would ride over each other',
                'at least '.round($wire, 3).' mm',
            );
        }

        return match (true) {
            $given->has('have') => Coil::ofWire($wire, $mandrel, $pitch, $given->mm('have')),
            $given->has('turns') => Coil::ofTurns($wire, $mandrel, $pitch, $given->number('turns')),
            default => Coil::ofLength($wire, $mandrel, $pitch, $given->mm('length')),
        };
    }

    private static function coilDrawn(Coil $coil): Diagram
    {
        $turns = min($coil->turns, self::MOST_DRAWN);
        $length = $turns * $coil->pitchMm;
        $half = ($coil->mandrelMm + $coil->wireMm) / 2;
        $drawn = (new Diagram(
            $turns < $coil->turns
                ? 'the coil from the side, its first '.self::MOST_DRAWN.' turns'
                : 'the coil from the side',
        ))
            ->line('core', [[-3, 0.0], [$length + 3, 0.0]], $coil->mandrelMm);
        for ($turn = 0; $turn < $turns; $turn++) {
            $x = ($turn + 0.25) * $coil->pitchMm;
            $drawn->line('wrap', [[$x, -$half], [$x + $coil->pitchMm / 2, $half]], $coil->wireMm);
        }

        return $drawn;
    }

    private static function coiledCoil(): Sum
    {
        return new Sum('coiled-coil', 'Coils', 'How much wire does a coiled coil take, and how much core?',
            [
                Input::wire(example: '28 awg'), Input::wire('core', 'core', '20 awg')->after('on', 'core', 'over'),
                Input::across('first_mandrel', 'first coil wound on', '20 awg', '=core')->after('first on'),
                Input::across('mandrel', 'then wound on', '3 mm')->after('round', 'around', 'mandrel', 'then on'),
                Input::size('length', 'finished length', '2 cm', null, 2000)->after('for', 'long', 'length'),
                Input::number(
                    'end_turns', 'bare turns of core, each end', '5', 0, 200, '0',
                )->before('end turns', 'bare turns'),
                Input::have(),
            ], 'geometry: turns touch on the inner side of the bend, the core runs on the middle line; bare end turns '
                .'are common practice',
            function (Given $given): Answer {
                if ($given->mm('first_mandrel') < $given->mm('core') - 1e-9) {
                    throw OutOfRange::because(
                        'first_mandrel',
                        round($given->mm('first_mandrel'), 3).' mm',
                        'is thinner than the core, which would not go through',
                        'at least '.round($given->mm('core'), 3).' mm',
                    );
                }
                $args = [$given->mm('wire'), $given->mm('core'), $given->mm('first_mandrel'), $given->mm('mandrel')];
                $coil = $given->has('have')
                    ? CoiledCoil::ofWire(...[...$args, $given->mm('have'), $given->number('end_turns')])
                    : new CoiledCoil(...[...$args, $given->mm('length'), $given->number('end_turns')]);
                $od = Figures::trim($coil->firstOutsideMm(), 3);
                $results = [
                    'first_coil_length_mm' => $coil->firstCoilLengthMm(),
                    'wire_length_mm' => $coil->wireLengthMm(),
                    'core_length_mm' => $coil->coreLengthMm(),
                    'outside_mm' => $coil->outsideMm(),
                ];

                return new Answer($given->has('have') ? $results + ['length_mm' => $coil->lengthMm] : $results, [
                    new Working(
                        'first coil, outside',
                        'od = M₁ + 2w',
                        Figures::trim($coil->firstMandrelMm, 3).' + 2 × '.Figures::trim($coil->wireMm, 3),
                        $coil->firstOutsideMm(),
                    ),
                    new Working('turns', 'T = L/od', Figures::trim($coil->lengthMm, 2)." / {$od}", $coil->turns(), ''),
                    new Working(
                        'first coil, straight',
                        'T·√((π(M₂ + w))² + od²)',
                        Figures::trim($coil->turns(), 2).' × √((π × ('.Figures::trim($coil->mandrelMm, 2).' + '
                            .Figures::trim($coil->wireMm, 3)."))² + {$od}²)",
                        $coil->firstCoilLengthMm(),
                    ),
                    new Working(
                        'wire',
                        '(first coil/w)·√((π(M₁ + w))² + w²)',
                        Figures::trim($coil->firstCoilLengthMm() / $coil->wireMm, 1).' turns × '
                            .Figures::trim(Turn::mm($coil->firstMandrelMm, $coil->wireMm), 3),
                        $coil->wireLengthMm(),
                    ),
                    new Working(
                        'core',
                        'T·√((π(M₂ + od))² + od²) + 2·end turns',
                        Figures::trim($coil->turns(), 2).' × √((π × ('.Figures::trim($coil->mandrelMm, 2)
                            ." + {$od}))² + {$od}²) + 2 × ".Figures::trim($coil->endTurns, 1).' turns',
                        $coil->coreLengthMm(),
                    ),
                ], ['Tails are not in it.']);
            }, oneOf: [['length', 'have']], called: ['coiled coil', 'double coil'],
            figure: BoundFigures::coiledCoil(...));
    }

    private static function beadedCoil(): Sum
    {
        return new Sum('beaded-coil', 'Coils', 'How many beads, turns and how much wire does a beaded coil take?',
            [
                Input::across('mandrel', 'mandrel', '8 mm')->after('on', 'round', 'around', 'mandrel'),
                Input::size('bead_length', 'bead length', '3 mm', null, 100),
                Input::size('bead_width', 'bead width', '3 mm', '=bead_length', 100),
                Input::count('beads', 'beads', '40', 1, 10_000)->before('beads', 'bead'),
                Input::number('turns', 'or: turns', '4', 0.01, 2000)->before('turns', 'turn'),
                Input::size('length', 'or: length of the coil', '2 cm', null, 10_000)->after('for', 'long', 'length'),
                Input::have(),
            ], 'geometry: the wire’s middle lies half a bead off the mandrel, turns stand a bead’s width apart',
            function (Given $given): Answer {
                [$m, $b, $w] = [$given->mm('mandrel'), $given->mm('bead_length'), $given->mm('bead_width')];
                $coil = match (true) {
                    $given->has('beads') => BeadedCoil::ofBeads($m, $b, $w, $given->count('beads')),
                    $given->has('turns') => new BeadedCoil($m, $b, $w, $given->number('turns')),
                    $given->has('length') => BeadedCoil::ofLength($m, $b, $w, $given->mm('length')),
                    default => BeadedCoil::ofWire($m, $b, $w, $given->mm('have')),
                };

                return new Answer([
                    'beads' => $coil->beads(), 'turns' => $coil->turns, 'length_mm' => $coil->lengthMm(),
                    'wire_length_mm' => $coil->wireLengthMm(), 'outside_mm' => $coil->outsideMm(),
                ], [
                    new Working(
                        'one turn',
                        '√((π(M + W))² + W²)',
                        '√((π × ('.Figures::trim($m).' + '.Figures::trim($w).'))² + '.Figures::trim($w).'²)',
                        Turn::mm($m, $w),
                        'mm',
                        Turn::SOURCE,
                    ),
                    new Working(
                        'wire',
                        'turns · one turn',
                        Figures::trim($coil->turns, 3).' × '.Figures::trim(Turn::mm($m, $w), 3),
                        $coil->wireLengthMm(),
                    ),
                    new Working(
                        'beads',
                        'wire / bead length, whole ones',
                        Figures::trim($coil->wireLengthMm()).' / '.Figures::trim($b),
                        $coil->beads(),
                        '',
                    ),
                ]);
            }, oneOf: [['beads', 'turns', 'length', 'have']], called: ['beaded coil'],
            figure: BoundFigures::beadedCoil(...));
    }

    private static function spiral(): Sum
    {
        return new Sum('spiral', 'Coils', 'How much wire does a flat spiral take?',
            [
                Input::wire(example: '20 awg'),
                Input::length('inside', 'inside of the first turn', '1 mm', '0', 300)->after('inside', 'from'),
                Input::number('turns', 'turns', '3', 0.01, 500)->before('turns', 'turn'), Input::have(),
            ],
            'geometry: N turns of mean girth π(D + N·d)',
            function (Given $given): Answer {
                $spiral = $given->has('have')
                    ? Spiral::ofWire($given->mm('wire'), $given->mm('inside'), $given->mm('have'))
                    : new Spiral($given->mm('wire'), $given->mm('inside'), $given->number('turns'));
                $results = ['wire_length_mm' => $spiral->wireLengthMm(), 'width_mm' => $spiral->widthMm()];
                [$n, $i, $d] = [
                    Figures::trim($spiral->turns, 3), Figures::trim($spiral->insideMm),
                    Figures::trim($spiral->wireMm, 3),
                ];

                return new Answer($given->has('have') ? $results + ['turns' => $spiral->turns] : $results, [
                    new Working(
                        'wire', 'N·π(D + N·d)', "{$n} × π × ({$i} + {$n} × {$d})", $spiral->wireLengthMm(), 'mm',
                        'geometry',
                    ),
                    new Working('width', 'D + 2N·d', "{$i} + 2 × {$n} × {$d}", $spiral->widthMm(), 'mm', 'geometry'),
                ]);
            }, oneOf: [['turns', 'have']], called: ['flat spiral'],
            figure: function (Given $given): Diagram {
                $spiral = $given->has('have')
                    ? Spiral::ofWire($given->mm('wire'), $given->mm('inside'), $given->mm('have'))
                    : new Spiral($given->mm('wire'), $given->mm('inside'), $given->number('turns'));
                $points = array_map(function (int $step) use ($spiral): array {
                    $radius = ($spiral->insideMm + $spiral->wireMm) / 2 + $step / 36 * $spiral->wireMm;

                    return [$radius * cos(M_PI * $step / 18), $radius * sin(M_PI * $step / 18)];
                }, range(0, (int) ceil(36 * min($spiral->turns, 40))));

                return (new Diagram('the spiral from the front'))->line('wire', $points, $spiral->wireMm);
            });
    }

    private static function jumpRings(): Sum
    {
        return new Sum('jump-rings', 'Coils', 'What coil do I wind for this many jump rings, or how many does this '
            .'wire give?',
            [
                Input::wire(example: '18 awg'),
                Input::across('mandrel', 'mandrel', '4 mm')->after('on', 'round', 'around', 'mandrel', 'inside'),
                Input::count('count', 'rings', '20', 1, 10_000)->before('rings', 'jump rings', 'ring'),
                Input::length('kerf', 'lost to the saw', '0.3 mm', '0', 5)->after('kerf', 'saw'), Input::have(),
            ], 'geometry; the two end turns make no ring (common practice)',
            function (Given $given): Answer {
                [$d, $m, $kerf] = [$given->mm('wire'), $given->mm('mandrel'), $given->mm('kerf')];
                if ($kerf >= M_PI * $m) {
                    throw OutOfRange::because(
                        'kerf',
                        round($kerf, 2).' mm',
                        'would saw the whole ring away',
                        'less than '.round(M_PI * $m, 2).' mm',
                    );
                }
                $turn = Turn::mm($m, $d);
                $count = $given->has('have')
                    ? (int) floor($given->mm('have') / $turn + 1e-9) - 1
                    : $given->count('count');
                $count >= 1
                    || throw OutOfRange::tooShort('have', $given->mm('have'), 2 * $turn, 'one ring and the end turns');
                $wire = ($count + 1) * $turn;
                $results = [
                    'coil_length_mm' => ($count + 1) * $d,
                    'wire_length_mm' => $wire,
                    'aspect_ratio' => $m / $d,
                    'closed_inside_mm' => $m - $kerf / M_PI,
                ];
                $inHand = new Working(
                    'rings',
                    'whole turns of the wire − 1',
                    Figures::trim($given->mm('have')).' / '.Figures::trim($turn, 3).', less one',
                    $count,
                    '',
                    'common practice: the two end turns make no ring',
                );

                return new Answer($given->has('have') ? $results + ['count' => $count] : $results, [
                    ...($given->has('have') ? [$inHand] : []),
                    new Working('coil', '(count + 1)·d', "({$count} + 1) × ".Figures::trim($d, 3), ($count + 1) * $d),
                    new Working(
                        'wire',
                        '(count + 1)·√((π(M + d))² + d²)',
                        ($count + 1).' × '.Figures::trim($turn, 3),
                        $wire,
                        'mm',
                        Turn::SOURCE,
                    ),
                    new Working('aspect ratio', 'M/d', Figures::trim($m, 3).' / '.Figures::trim($d, 3), $m / $d, ''),
                    new Working(
                        'closed inside',
                        'M − kerf/π',
                        Figures::trim($m, 3).' − '.Figures::trim($kerf, 3).'/π',
                        $m - $kerf / M_PI,
                    ),
                ]);
            }, oneOf: [['count', 'have']], called: ['rings', 'jump ring'],
            figure: fn (Given $given): Diagram => (new Diagram('one ring from the front'))->bow(
                'wire', 0, 0, ($given->mm('mandrel') + $given->mm('wire')) / 2, $given->mm('wire'), 0.004, 0.996,
            ));
    }
}
