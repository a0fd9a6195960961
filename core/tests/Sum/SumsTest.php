<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Sum;

use Hebra\Core\Figure\Diagram;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Sum\Sums;
use Hebra\Core\Tool\Tool;
use Hebra\Core\Tool\ToolBox;
use Hebra\Core\Tool\ToolKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class SumsTest extends TestCase
{
    /**
     * Each expectation was worked outside the program from the rule named with it.
     *
     * @return array<string, array{string, array<string, string>, array<string, mixed>}>
     */
    public static function sums(): array
    {
        return [
            'ASTM B258 and BS 3737: 20 AWG is 0.8118 mm, nearest SWG 21' => [
                'wire-size', ['size' => '20ga'], ['diameter_mm' => 0.8118, 'awg' => 20, 'swg' => 21],
            ],
            'a metre of 0.8 mm sterling, density 10.36' => [
                'wire-mass', ['metal' => 'sterling', 'wire' => '0.8', 'length' => '1 m'], ['mass_g' => 5.2075],
            ],
            'half-round weighs half' => [
                'wire-mass', ['metal' => 'sterling', 'wire' => '0.8', 'length' => '1 m', 'section' => 'half-round'],
                ['mass_g' => 2.6038],
            ],
            'and back to its length' => ['wire-length', [
                'metal' => 'sterling', 'wire' => '0.8', 'mass' => '5.207504 g',
            ], ['length_mm' => 1000.0]],
            'π(2.5 + 1)' => ['simple-loop', ['wire' => '1.0', 'inside' => '2.5mm'], ['wire_length_mm' => 10.9956]],
            'wrapped loop on its own wire' => [
                'wrapped-loop', ['wire' => '0.5', 'inside' => '2', 'wraps' => '2', 'tail' => '10mm'],
                ['neck_mm' => 1.0, 'loop_mm' => 7.854, 'wraps_mm' => 6.3623, 'tail_mm' => 10.0, 'total_mm' => 25.2163],
            ],
            'wrapped loop on a thicker stem' => [
                'wrapped-loop', ['wire' => '0.5', 'inside' => '2', 'wraps' => '2', 'stem' => '1.0'],
                ['wraps_mm' => 9.4777, 'tail_mm' => 0.0],
            ],
            'rings from a wire in hand: a turn is √((π · 5)² + 1²) = 15.7398, six go into 100, five are '
                .'rings' => [
                    'jump-rings', ['wire' => '1 mm', 'mandrel' => '4', 'have' => '100'],
                    ['count' => 5, 'wire_length_mm' => 94.4386],
                ],
            'beads for a length, with gaps: (180 + 0.5) / 4.5 = 40.1' => [
                'bead-count', ['bead' => '4', 'length' => '18 cm', 'gap' => '0.5'],
                ['count' => 40, 'length_mm' => 179.5, 'off_mm' => -0.5],
            ],
            'half a wrap: 2.5 · √((π · 1)² + 0.5²) = 2.5 · 3.1811' => [
                'wrapped-loop', ['wire' => '0.5', 'inside' => '2', 'wraps' => '2.5'],
                ['neck_mm' => 1.25, 'wraps_mm' => 7.9528],
            ],
            'one size beside another' => [
                'wire-size', ['size' => '1 mm', 'other' => '0.8 mm'], ['diameter_mm' => 1.0, 'thicker_by_mm' => 0.2],
            ],
            'wrapped link' => [
                'wrapped-link', ['wire' => '0.5', 'inside' => '2', 'wraps' => '2', 'body' => '8'],
                ['cut_mm' => 38.4325, 'inside_length_mm' => 15.0, 'bends_mm' => [14.2163, 24.2163]],
            ],
            'a pin that fits' => [
                'pin-fit', ['pin' => '50', 'wire' => '0.5', 'stack' => '12', 'inside' => '2', 'wraps' => '2'],
                ['needed_mm' => 35.2163, 'trimmed_mm' => 22.7837, 'fits' => true],
            ],
            'a pin with a plain eye' => [
                'pin-fit', ['pin' => '25', 'wire' => '0.5', 'stack' => '12', 'inside' => '2'],
                ['needed_mm' => 27.854, 'trimmed_mm' => 5.146, 'fits' => false],
            ],
            'three wires, ratio 2.1547' => [
                'hole-fit', ['hole' => '1', 'wires' => '3x0.4', 'clearance' => '0.05'],
                ['needed_mm' => 0.8619, 'margin_mm' => 0.0881, 'fits' => true],
            ],
            'coil, 24 AWG on 2.5 mm, 3 cm' => [
                'coil', ['wire' => '24ga', 'mandrel' => '2.5mm', 'length' => '3cm'],
                ['turns' => 58.7591, 'wire_length_mm' => 556.5498, 'coil_length_mm' => 30.0, 'outside_mm' => 3.5211],
            ],
            'open coil of ten turns' => [
                'coil', ['wire' => '0.8', 'mandrel' => '5', 'turns' => '10', 'pitch' => '2'],
                ['wire_length_mm' => 183.3067, 'coil_length_mm' => 20.0],
            ],
            'what a length of wire coils to' => [
                'coil', ['wire' => '0.5', 'mandrel' => '3', 'have' => '300'],
                ['turns' => 27.2555, 'wire_length_mm' => 300.0, 'length_mm' => 13.6278],
            ],
            'coiled coil with bare ends' => [
                'coiled-coil',
                ['wire' => '0.3', 'core' => '0.8', 'mandrel' => '3', 'length' => '20', 'end_turns' => '5'],
                [
                    'first_coil_length_mm' => 149.4480, 'wire_length_mm' => 1727.9916, 'core_length_mm' => 318.1300,
                    'outside_mm' => 5.8,
                ],
            ],
            'coiled coil from its wire' => [
                'coiled-coil', ['wire' => '0.3', 'core' => '0.8', 'mandrel' => '3', 'have' => '1727.9916414'],
                ['length_mm' => 20.0, 'core_length_mm' => 198.4818],
            ],
            'forty beads coiled' => [
                'beaded-coil', ['mandrel' => '8', 'bead_length' => '3', 'beads' => '40'],
                ['turns' => 3.4595, 'wire_length_mm' => 120.0, 'beads' => 40],
            ],
            'beads from turns' => [
                'beaded-coil', ['mandrel' => '8', 'bead_length' => '3', 'turns' => '2'],
                ['wire_length_mm' => 69.3750, 'beads' => 23, 'length_mm' => 6.0],
            ],
            'flat spiral' => [
                'spiral', ['wire' => '0.8', 'inside' => '1', 'turns' => '3'],
                ['wire_length_mm' => 32.0442, 'width_mm' => 5.8],
            ],
            'spiral from its wire' => [
                'spiral', ['wire' => '0.8', 'inside' => '1', 'have' => '32.04424507'],
                ['turns' => 3.0, 'width_mm' => 5.8],
            ],
            'twenty jump rings' => [
                'jump-rings', ['wire' => '1.0', 'mandrel' => '4', 'count' => '20', 'kerf' => '0.3'],
                [
                    'coil_length_mm' => 21.0, 'wire_length_mm' => 330.5350, 'aspect_ratio' => 4.0,
                    'closed_inside_mm' => 3.9045,
                ],
            ],
            '17 beads of 3 mm bound in 28 AWG on 18' => [
                'bead-wrap', ['core' => '18ga', 'wire' => '28ga', 'beads' => '17', 'bead_length' => '3mm'],
                ['wire_length_mm' => 232.1235, 'covered_length_mm' => 61.2750],
            ],
            'centred, with end coils by turns' => [
                'bead-wrap',
                [
                    'core' => '18ga', 'wire' => '28ga', 'beads' => '17', 'bead_length' => '3', 'bead_width' => '3',
                    'wraps_between' => '2', 'end_coil' => '4', 'seat' => 'centred',
                ],
                ['wire_length_mm' => 288.8517, 'covered_length_mm' => 63.8438],
            ],
            'end coils by length' => [
                'bead-wrap',
                ['core' => '18ga', 'wire' => '28ga', 'beads' => '17', 'bead_length' => '3', 'end_coil' => '5 mm'],
                ['wire_length_mm' => 364.0768, 'covered_length_mm' => 71.2750],
            ],
            'on two frames side by side' => [
                'bead-wrap',
                ['core' => '18ga', 'cores' => '2', 'wire' => '28ga', 'beads' => '17', 'bead_length' => '3'],
                ['wire_length_mm' => 297.5124],
            ],
            'beads that a wire binds, rounded down from 18.26' => [
                'bead-wrap', ['core' => '18ga', 'wire' => '28ga', 'have' => '250', 'bead_length' => '3'],
                ['beads' => 18],
            ],
            'weave in which the wire passes between' => [
                'weave',
                ['cores' => '3', 'core' => '0.8', 'wire' => '0.3', 'pattern' => '4@2 3@1-2', 'repeats' => '10'],
                ['wire_length_mm' => 308.6611, 'woven_length_mm' => 21.0, 'turns' => 70, 'repeats' => 10],
            ],
            'weave round all cores, which stand close' => [
                'weave', ['cores' => '3', 'core' => '0.8', 'wire' => '0.3', 'pattern' => '2@1-3', 'repeats' => '1'],
                ['wire_length_mm' => 13.3250, 'woven_length_mm' => 0.6],
            ],
            'the fewest repeats that reach 20 mm' => [
                'weave', ['cores' => '3', 'core' => '0.8', 'wire' => '0.3', 'pattern' => '4@2 3@1-2', 'length' => '20'],
                ['repeats' => 10, 'woven_length_mm' => 21.0],
            ],
            'weave from its wire' => [
                'weave', ['cores' => '3', 'core' => '0.8', 'wire' => '0.3', 'pattern' => '4@2 3@1-2', 'have' => '300'],
                ['repeats' => 9],
            ],
            'surround' => [
                'surround', ['wire' => '0.8', 'rim' => '62', 'hole' => '12', 'bail' => '4', 'wraps' => '2'],
                ['wire_length_mm' => 127.7783],
            ],
            'fill beads, twelve a half' => [
                'fill-beads', ['rim' => '20', 'bead_length' => '3'], ['count' => 12, 'gap_mm' => 0.1283],
            ],
            'four passes of seven beads' => [
                'multi-pass', ['wire' => '0.3', 'core' => '1.0', 'beads' => '7', 'bead_length' => '4', 'passes' => '4'],
                ['pass_mm' => 72.9946, 'wire_length_mm' => 291.9784],
            ],
            'how many passes a wire gives' => [
                'multi-pass', ['wire' => '0.3', 'core' => '1.0', 'beads' => '7', 'bead_length' => '4', 'have' => '317'],
                ['passes' => 4],
            ],
            'an eye that opens' => [
                'loop-strength', ['wire' => '0.8', 'inside' => '2.5', 'metal' => 'sterling', 'temper' => 'half-hard'],
                ['opening_force_n' => 13.4465, 'first_yield_n' => 7.9206],
            ],
            'round wire springs back, integrated over its section' => [
                'spring-back', ['metal' => 'sterling', 'temper' => 'half-hard', 'wire' => '1.3', 'inside' => '17'],
                ['mandrel_mm' => 15.6012, 'released_inside_mm' => 17.0, 'ratio' => 0.92356],
            ],
            'flat strip, Gardiner’s formula' => ['spring-back', [
                'metal' => 'sterling', 'temper' => 'half-hard', 'wire' => '3.0', 'inside' => '17', 'section' => '3x0.8',
            ], ['mandrel_mm' => 15.15675, 'ratio' => 0.89645]],
            'half-round, flat side in, integrated over its section' => ['spring-back', [
                'metal' => 'sterling', 'temper' => 'half-hard', 'wire' => '3.0', 'inside' => '17',
                'section' => 'half-round',
            ], ['mandrel_mm' => 15.8356, 'ratio' => 0.93628]],
            'quarter hard copper lies between soft and half hard' => [
                'temper', ['metal' => 'copper', 'temper' => 'quarter-hard'],
                ['numbers_hard' => 1.0, 'temper' => 'quarter-hard', 'yield_mpa' => 160.0],
            ],
            'thinned from 1 to 0.7' => [
                'temper',
                ['metal' => 'brass', 'temper' => 'dead-soft', 'thinned_from' => '1mm', 'thinned_to' => '0.7mm'],
                ['numbers_hard' => 1.7761, 'temper' => 'half-hard'],
            ],
            'level beyond hard' => [
                'temper', ['metal' => 'sterling', 'temper' => 'spring', 'numbers_hard' => '3'],
                ['numbers_hard' => 11.0, 'temper' => 'spring', 'yield_mpa' => 350.0],
            ],
            'a tie goes to the softer grade' => [
                'temper', ['metal' => 'sterling', 'temper' => 'half-hard', 'numbers_hard' => '1'],
                ['numbers_hard' => 3.0, 'temper' => 'half-hard'],
            ],
            'hammered 1.29 to 0.9' => [
                'hammer', ['wire' => '1.29', 'thickness' => '0.9'],
                ['width_mm' => 1.5472, 'lengthening' => 1.0725, 'numbers_hard' => 1.7927],
            ],
            'hammered to its own thickness' => [
                'hammer', ['wire' => '1.29', 'thickness' => '1.29'],
                ['width_mm' => 1.29, 'lengthening' => 1.0, 'numbers_hard' => 0.0],
            ],
            'bangle' => ['bangle', ['inside' => '63', 'wire' => '2.0', 'ends' => '40'], ['cut_mm' => 244.2035]],
            'hammered bangle' => [
                'bangle', ['inside' => '63', 'wire' => '2.0', 'ends' => '40', 'hammered_to' => '1.5'],
                ['cut_mm' => 231.7025],
            ],
            'bangle from its wire' => [
                'bangle', ['have' => '244.2035', 'wire' => '2.0', 'ends' => '40'], ['inside_mm' => 63.0],
            ],
            'hoop' => [
                'hoop', ['diameter' => '30', 'wire' => '0.8', 'eye' => '2', 'hook' => '8'], ['cut_mm' => 111.0442],
            ],
            'hoop from its wire' => [
                'hoop', ['have' => '111', 'wire' => '0.8', 'eye' => '2', 'hook' => '8'], ['diameter_mm' => 29.98592],
            ],
            'drop frame, two tangents and an arc' => [
                'frame', ['shape' => 'drop', 'size' => '10'], ['outline_mm' => 38.2645],
            ],
            'square from 100 mm' => [
                'frame', ['shape' => 'square', 'have' => '100', 'ends' => '20'], ['size_mm' => 20.0],
            ],
            'ISO 8653: size is the inside circumference' => ['ring-size', ['size' => 'iso 54'], [
                'iso' => 54.0, 'circumference_mm' => 54.0, 'inside_diameter_mm' => 17.1887, 'us' => 6.83905,
                'jp' => 13.5662, 'uk' => 'N',
            ]],
            'US 7' => ['ring-size', ['size' => 'us 7'], ['inside_diameter_mm' => 17.3196, 'uk' => 'N 1/2']],
            'UK after Z' => ['ring-size', ['size' => 'uk z+2'], ['circumference_mm' => 71.25, 'uk' => 'Z+2']],
            'below UK A there is no letter' => ['ring-size', ['size' => 'diameter 11.7mm'], ['uk' => null]],
            'ring blank' => ['ring-blank', ['size' => 'us 7', 'thickness' => '1.3mm'], ['cut_mm' => 58.4952]],
            'half-round blank, flat side in' => ['ring-blank', [
                'size' => 'us 7', 'thickness' => '1.3', 'section' => 'half-round',
            ], ['cut_mm' => 57.8778]],
            'two turns and an overlap' => [
                'ring-blank', ['size' => 'us 7', 'thickness' => '1.3', 'turns' => '2', 'overlap' => '5'],
                ['cut_mm' => 121.9904],
            ],
            'a string runs large by 4 mm' => [
                'ring-blank', ['size' => 'us 7', 'thickness' => '1.3', 'measured' => 'string'], ['cut_mm' => 54.4952],
            ],
            'strand of thick beads' => [
                'strand-closure', ['length' => '19cm', 'bead' => '10'], ['inside_circumference_mm' => 158.5841],
            ],
            'bracelet' => ['bracelet', ['wrist' => '160', 'bead' => '8'], ['length_mm' => 203.1327]],
            'cuff' => ['cuff', ['girth' => '160', 'thickness' => '2'], ['cut_mm' => 137.1836]],
            'necklace of 24 inches goes over the head' => [
                'necklace', ['length' => '24 in'], ['passes_head' => true, 'lies' => 'on the breast bone'],
            ],
            'memory wire' => ['memory-wire', ['coil' => '55', 'loops' => '3'], ['cut_mm' => 544.3628]],
            'strung' => ['strand', ['beads' => '42cm'], ['cut_mm' => 470.0]],
            'forty rings' => [
                'ring-chain', ['count' => '40', 'inside' => '4', 'wire' => '1.0'], ['length_mm' => 162.0],
            ],
            'a ring through a hole' => [
                'ring-through', ['inside' => '6', 'wire' => '1.0', 'hole_length' => '3'], ['height_mm' => 1.4019],
            ],
            'ten glass beads' => [
                'bead-mass', ['bead' => '10mm round, hole 1, glass', 'count' => '10'], ['mass_g' => 12.8936],
            ],
            'worked hard' => ['hardening', [
                'metal' => 'sterling', 'temper' => 'half-hard', 'wire' => '1.0', 'straightened' => '3', 'inside' => '2',
            ], ['numbers_hard' => 2.91009, 'cracks' => false]],
            'too hard to bend so tight' => [
                'hardening', ['metal' => 'nickel-silver', 'temper' => 'hard', 'wire' => '1.0', 'inside' => '1'],
                ['cracks' => true],
            ],
            'a list with decimal commas' => [
                'hole-fit', ['hole' => '1 mm', 'wires' => '2x0,3,1x0,2'],
                ['needed_mm' => 0.6, 'margin_mm' => 0.4, 'fits' => true],
            ],
        ];
    }

    /**
     * @param  array<string, string>  $input
     * @param  array<string, mixed>  $expected
     */
    #[DataProvider('sums')]
    public function test_sums(string $name, array $input, array $expected): void
    {
        $sum = Sums::named($name);
        $answer = $sum->work(Given::read($sum, $input));
        foreach ($expected as $key => $value) {
            ! is_float($value) && ! is_array($value)
                ? self::assertSame($value, $answer->results[$key], $key)
                : self::assertEqualsWithDelta($value, $answer->results[$key], 6e-5, $key);
        }
        self::assertNotSame([], $answer->working);
        self::assertNotSame('', $sum->source);
        self::assertStringEndsWith('?', $sum->question);
    }

    /** @return array<string, array{string, array<string, string>, string, string}> */
    public static function refused(): array
    {
        return [
            'an unknown sum' => ['weld', [], 'sum', 'Sum “weld” is not known here: give one of wire-size, wire-mass'],
            'an unknown input' => [
                'simple-loop', ['wire' => '1.0', 'inside' => '2', 'turns' => '3'], 'turns',
                'The sum simple-loop takes no “turns”: give wire, inside.',
            ],
            'a missing input' => [
                'simple-loop', ['wire' => '1.0'], 'inside',
                'The sum simple-loop needs inside (inside diameter): give it, such as inside=2.5 mm.',
            ],
            'a size of nothing' => [
                'simple-loop', ['wire' => '1.0', 'inside' => '0'], 'inside',
                'Inside 0 mm is not a size: give more than 0 and at most 300 mm.',
            ],
            'a negative size' => [
                'simple-loop', ['wire' => '1.0', 'inside' => '-3'], 'inside', 'Inside −3 mm is not a size',
            ],
            'a word' => [
                'simple-loop', ['wire' => '1.0', 'inside' => 'banana'], 'inside', 'Inside “banana” is not a length',
            ],
            'no end' => ['simple-loop', ['wire' => '1.0', 'inside' => 'INF'], 'inside', 'Inside “INF” is not a length'],
            'negative wraps' => [
                'wrapped-loop', ['wire' => '1.0', 'inside' => '2', 'wraps' => '-2'], 'wraps',
                'Wraps −2 is out of range: give 0 to 100.',
            ],
            'twenty wires at once' => [
                'hole-fit', ['hole' => '1', 'wires' => '20x0.1'], 'wires count',
                'Wires count 20 is out of range: give 1 to 19.',
            ],
            'wires without a count' => [
                'hole-fit', ['hole' => '1', 'wires' => '28awg'], 'wires',
                'Wires “28awg” is not a list of wires: write count x size',
            ],
            'an unknown metal' => [
                'wire-mass', ['metal' => 'tin', 'wire' => '1.0', 'length' => '1m'], 'metal',
                'Metal “tin” is not known here',
            ],
            'a core that is not there' => [
                'weave', ['cores' => '3', 'core' => '0.8', 'wire' => '0.3', 'pattern' => '4@5', 'repeats' => '2'],
                'pattern', 'Pattern “4@5” names core 5 of 3: give cores 1 to 3.',
            ],
            'no pattern' => [
                'weave', ['cores' => '3', 'core' => '0.8', 'wire' => '0.3', 'pattern' => 'tight', 'repeats' => '2'],
                'pattern', 'Pattern “tight” is not a weave: write turns@cores',
            ],
            'cores too close for the wire' => [
                'weave',
                [
                    'cores' => '3', 'core' => '0.8', 'wire' => '0.3', 'pattern' => '4@2', 'repeats' => '2',
                    'spacing' => '0.9',
                ],
                'spacing',
                'Spacing 0.9 mm leaves no room for the wire to pass between the cores: give at least 1.1 mm.',
            ],
            'a pass that jumps' => [
                'basket-weave',
                ['cores' => '3', 'core' => '0.8', 'wire' => '0.3', 'passes' => 'f1 b3', 'repeats' => '2'], 'passes',
                'Passes “b3” jumps from core 1 to core 3',
            ],
            'thicker than the wire' => [
                'hammer', ['wire' => '1.0', 'thickness' => '1.2'], 'thickness',
                'Thickness 1.2 mm is more than the wire of 1 mm: give at most the wire.',
            ],
            'thinned upwards' => [
                'temper', ['metal' => 'copper', 'temper' => 'dead-soft', 'thinned_from' => '1', 'thinned_to' => '2'],
                'thinned_to', 'Thinned to 2 mm is more than the wire of 1 mm',
            ],
            'thinned from nowhere' => [
                'temper', ['metal' => 'copper', 'temper' => 'dead-soft', 'thinned_to' => '0.5'], 'thinned_from',
                'Thinned from nothing cannot stand alone',
            ],
            'no mandrel is thin enough' => [
                'spring-back', ['metal' => 'titanium', 'temper' => 'hard', 'wire' => '3.0', 'inside' => '0.015'],
                'inside',
                'Inside 0.02 mm cannot be reached: this wire springs back so far that no mandrel is thin enough',
            ],
            'both length and turns' => [
                'coil', ['wire' => '0.5', 'mandrel' => '3', 'length' => '20', 'turns' => '4'], 'turns',
                'The sum coil was given length and turns: give exactly one of length, turns, have.',
            ],
            'neither' => [
                'coil', ['wire' => '0.5', 'mandrel' => '3'], 'length',
                'The sum coil needs length or turns or have: give exactly one, such as length=3 cm.',
            ],
            'turns that ride over each other' => [
                'coil', ['wire' => '0.5', 'mandrel' => '3', 'turns' => '4', 'pitch' => '0.4'], 'pitch',
                'Pitch 0.4 mm is less than the wire, so that turns would ride over each other: give at least 0.5 mm.',
            ],
            'too short for one bead' => [
                'bead-wrap', ['core' => '1.0', 'wire' => '0.3', 'have' => '2mm', 'bead_length' => '3'], 'have',
                'Have 2 mm is too short, the first bead and both end coils take 5.7 mm: give more than that.',
            ],
            'eye and hook take it all' => [
                'hoop', ['have' => '10', 'wire' => '0.8', 'eye' => '2', 'hook' => '8'], 'have',
                'eye and hook alone take 16.8 mm',
            ],
            'a first coil thinner than its core' => [
                'coiled-coil',
                ['wire' => '0.3', 'core' => '0.8', 'first_mandrel' => '0.5', 'mandrel' => '3', 'length' => '20'],
                'first_mandrel', 'which would not go through',
            ],
            'no ring size' => ['ring-size', ['size' => '7'], 'size', 'Size “7” is not a ring size: write us 7'],
            'a finger of no one' => [
                'ring-size', ['size' => 'us 40'], 'size', 'is out of range: give 11.6 mm to 25 mm.',
            ],
            'a strand that does not close' => [
                'strand-closure', ['length' => '20', 'bead' => '10'], 'length', 'does not close round at all',
            ],
            'a ring too small for the hole' => [
                'ring-through', ['inside' => '3', 'wire' => '1.0', 'hole_length' => '3'], 'hole_length',
                'is longer than the ring is wide inside',
            ],
            'a saw wider than the ring' => [
                'jump-rings', ['wire' => '1.0', 'mandrel' => '1', 'count' => '2', 'kerf' => '4'], 'kerf',
                'would saw the whole ring away',
            ],
            'turns in letters' => [
                'spiral', ['wire' => '1.0', 'turns' => 'three'], 'turns', 'Turns “three” is not a number',
            ],
            'NaN turns' => ['spiral', ['wire' => '1.0', 'turns' => 'NaN'], 'turns', 'Turns “NaN” is not a number'],
            'an unknown seat' => [
                'bead-wrap',
                ['core' => '1.0', 'wire' => '0.3', 'beads' => '2', 'bead_length' => '3', 'seat' => 'beside'], 'seat',
                'Seat “beside” is not known here: give one of on, centred.',
            ],
            'an unknown section' => [
                'wire-mass', ['metal' => 'copper', 'wire' => '1.0', 'length' => '1m', 'section' => 'star'], 'section',
                'Section “star” is not known here',
            ],
        ];
    }

    /** @param  array<string, string>  $input */
    #[DataProvider('refused')]
    public function test_refuses_in_one_sentence(string $name, array $input, string $field, string $sentence): void
    {
        try {
            $sum = Sums::named($name);
            $sum->work(Given::read($sum, $input));
            self::fail('It was worked out.');
        } catch (Problem $problem) {
            self::assertSame($field, $problem->field());
            self::assertStringContainsString($sentence, $problem->getMessage());
        }
    }

    public function test_a_bare_length_takes_the_unit_of_the_page(): void
    {
        $sum = Sums::named('simple-loop');
        self::assertEqualsWithDelta(
            M_PI * (12.7 + 1),
            $sum->work(
                Given::read($sum, ['wire' => '1.0', 'inside' => '1/2'], LengthUnit::Inch),
            )->results['wire_length_mm'],
            1e-9,
        );
    }

    /**
     * 2,000 seeded random inputs a sum: numbers or one sentence, never NaN, INF, a warning or a length below nothing.
     */
    #[Group('wide')]
    public function test_random_inputs_give_numbers_or_sentences(): void
    {
        mt_srand(5);
        $texts = [
            '0', '-1', '0.3', '2', '1/8 in', '8', '50', '1e9', '', '22awg', '2x24awg', '1x0.3,2x0.2', 'sterling',
            'round', '3x1', '🧵', '99999999999', '0.05', 'square', '5@9', '1@1', 'f1 b1', 'us 3', '0.0001', '300',
            '99999', 'spring',
        ];
        foreach (Sums::all() as $sum) {
            $worked = 0;
            for ($try = 0; $try < 2000; $try++) {
                $input = [];
                foreach ($sum->inputs as $one) {
                    if (
                        $one->default !== null
                        && mt_rand(0, 2) === 0
                        || ($sum->isAlternative($one->key) || $one->isOptional)
                        && mt_rand(0, 2) > 0
                    ) {
                        continue;
                    }
                    $input[$one->key] = match (mt_rand(0, 9)) {
                        0 => $texts[mt_rand(0, count($texts) - 1)],
                        1, 2, 3 => $one->kind->isLength() ? (mt_rand(1, 40_000) / 1000).' mm' : $one->example,
                        4 => $one->choices === [] ? $one->example : $one->choices[mt_rand(0, count($one->choices) - 1)],
                        default => $one->example,
                    };
                }
                try {
                    $results = $sum->work(Given::read($sum, $input))->results;
                } catch (Problem $problem) {
                    self::assertDoesNotMatchRegularExpression('/\R/', $problem->getMessage());
                    self::assertStringEndsWith('.', $problem->getMessage());

                    continue;
                }
                $worked++;
                $this->assertNumbers($sum->name, $results);
            }
            self::assertGreaterThan(100, $worked, $sum->name);
        }
    }

    /** @param  array<string, mixed>  $results */
    private function assertNumbers(string $name, array $results): void
    {
        foreach ($results as $key => $value) {
            foreach ((array) $value as $number) {
                if (is_float($number) || is_int($number)) {
                    self::assertTrue(is_finite((float) $number), "{$name} {$key}");
                    if (! in_array($key, ['margin_mm', 'gap_mm', 'us', 'jp', 'thicker_by_mm', 'off_mm'], true)) {
                        self::assertGreaterThanOrEqual(0, $number, "{$name} {$key}");
                    }
                }
            }
        }
    }

    public function test_sums_speak_in_the_makers_tools(): void
    {
        $tools = new ToolBox(
            [
                Tool::of(ToolKind::Winder, 'Winder', [2.0, 2.5, 4.0], 25.0),
                Tool::of(ToolKind::Mandrel, 'Rods', [8.0, 15.0, 20.0]),
            ],
        );
        $notes = fn (string $name, array $input): string => implode(
            ' ',
            Sums::named($name)->work(Given::read(Sums::named($name), $input, tools: $tools))->notes,
        );
        self::assertStringContainsString(
            'Wind it on the 2.5 mm mandrel of the winder; its grip loses 25 mm at each start.',
            $notes('coil', ['wire' => '0.5', 'mandrel' => '2.5', 'turns' => '9']),
        );
        self::assertStringNotContainsString(
            'Wind it on',
            $notes('coil', ['wire' => '0.5', 'mandrel' => '3.2', 'turns' => '9']),
        );
        self::assertMatchesRegularExpression(
            '/^Nearest of your tools: the 15 mm mandrel\. It ends at 16\.3 mm, 0\.7 mm smaller\.$/',
            $notes('spring-back', ['metal' => 'sterling', 'temper' => 'half-hard', 'wire' => '1.3', 'inside' => '17']),
        );
    }

    /** @param  array<string, string>  $inputs */
    private static function drawn(Sum $sum, array $inputs): Diagram
    {
        $given = Given::read($sum, $inputs);

        return $sum->figure($given, $sum->work($given));
    }

    /** Every question has a drawing, which has a size and is of what is known how to look. */
    public function test_every_question_is_drawn(): void
    {
        $kinds = ['wire', 'wrap', 'core', 'bead', 'hole', 'mandrel', 'wanted', 'lit', 'under', 'mark'];
        foreach (Sums::all() as $sum) {
            $figure = self::drawn($sum, $sum->example());
            self::assertGreaterThan(0.5, $figure->widthMm(), $sum->name);
            self::assertTrue(is_finite($figure->heightMm()) && $figure->words !== '', $sum->name);
            $seen = array_column([...$figure->circles(), ...$figure->lines()], 'kind');
            self::assertNotSame([], $seen, $sum->name);
            self::assertSame([], array_diff($seen, $kinds), $sum->name);
        }
    }

    /** What is cut is what is drawn: the wire in the drawing is as long as the answer says. */
    public function test_the_wire_that_is_drawn_is_as_long_as_it_is_cut(): void
    {
        $long = fn (array $line): float => array_sum(array_map(function (array $from, array $to) use ($line): float {
            $chord = hypot($to[0] - $from[0], $to[1] - $from[1]);
            $radius = $line['arcMm'];

            return $radius > 0.0 ? 2 * $radius * asin(min(1.0, $chord / (2 * $radius))) : $chord;
        }, array_slice($line['path'], 0, -1), array_slice($line['path'], 1)));
        foreach (['frame', 'bangle', 'cuff', 'memory-wire', 'strand', 'ring-blank'] as $name) {
            $sum = Sums::named($name);
            $given = Given::read($sum, $sum->example());
            $answer = $sum->work($given);
            $wires = array_filter(
                $sum->figure($given, $answer)->lines(),
                fn (array $line): bool => in_array($line['kind'], ['wire', 'lit'], true),
            );
            $cut = $answer->results['cut_mm'];
            self::assertIsFloat($cut, $name);
            self::assertEqualsWithDelta($cut, array_sum(array_map($long, $wires)), 0.025 * $cut, $name);
        }
    }

    /** It is drawn of what is given: with another figure in the question it is another drawing. */
    public function test_a_drawing_follows_its_question(): void
    {
        foreach (Sums::all() as $sum) {
            $example = $sum->example();
            $told = fn (Diagram $figure): string => (string) json_encode([$figure->circles(), $figure->lines()]);
            $others = [];
            foreach ($example as $key => $text) {
                $more = fn (array $found): string => (string) ((int) $found[0] + 1);
                $other = [...$example, $key => (string) preg_replace_callback('/\d+/', $more, $text, 1)];
                try {
                    $others[] = $told(self::drawn($sum, $other));
                } catch (Problem) {
                    // One more of it cannot be made.
                }
            }
            if (isset($example['temper'])) {
                $others[] = $told(self::drawn($sum, [...$example, 'temper' => 'hard']));
            }
            self::assertNotSame([], array_diff($others, [$told(self::drawn($sum, $example))]), $sum->name);
        }
    }

    /** What a length of wire makes takes that length of wire again. */
    public function test_worked_back_and_forth_it_is_the_same(): void
    {
        $pairs = ['coil' => ['length_mm' => 'length', 'wire_length_mm' => ''], 'coiled-coil' => [
            'length_mm' => 'length', 'wire_length_mm' => '',
        ], 'spiral' => ['turns' => 'turns', 'wire_length_mm' => ''],
            'hoop' => ['diameter_mm' => 'diameter', 'cut_mm' => ''], 'bangle' => ['inside_mm' => 'inside', 'cut_mm' => ''], 'surround' => ['rim_mm' => 'rim', 'wire_length_mm' => '']];
        foreach ($pairs as $name => $pair) {
            $sum = Sums::named($name);
            $group = $sum->oneOf[0];
            $input = array_diff_key($sum->example(), array_flip($group)) + ['have' => '321.5 mm'];
            $back = $sum->work(Given::read($sum, $input))->results;
            [$result, $wire] = array_keys($pair);
            $again = $sum->work(
                Given::read(
                    $sum,
                    [$pair[$result] => sprintf('%.9f', $back[$result])] + array_diff_key($input, ['have' => 0]),
                ),
            )->results;
            self::assertEqualsWithDelta(321.5, $again[$wire], 1e-5, $name);
        }
        foreach (['bead-wrap' => 'beads', 'weave' => 'repeats'] as $name => $count) {
            $sum = Sums::named($name);
            $input = array_diff_key($sum->example(), array_flip($sum->oneOf[0]));
            $back = $sum->work(Given::read($sum, $input + ['have' => '400 mm']))->results;
            self::assertLessThanOrEqual(400.0, $back['wire_length_mm']);
            self::assertGreaterThan(
                400.0,
                $sum->work(
                    Given::read($sum, $input + [$count => (string) ($back[$count] + 1)]),
                )->results['wire_length_mm'],
                $name,
            );
        }
    }

    /** What a cut has room for takes that cut; one that is too short for its ends is refused. */
    public function test_the_beads_that_a_cut_has_room_for_take_it(): void
    {
        $sum = Sums::named('wrapped-link');
        $link = ['wire' => '22 awg', 'inside' => '2.5 mm', 'wraps' => '3', 'body' => '8 mm', 'tail' => '10 mm'];
        $room = $sum->work(Given::read($sum, $link + ['have' => '80 mm']))->results['beads_mm'];
        $again = $sum->work(Given::read($sum, ['body' => sprintf('%.9f mm', $room)] + $link))->results;
        self::assertEqualsWithDelta(80.0, $again['cut_mm'], 1e-6);
        $this->expectExceptionMessageMatches('/both ends without a bead take 68.19 mm/');
        $sum->work(Given::read($sum, $link + ['have' => '40 mm']));
    }
}
