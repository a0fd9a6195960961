<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Sum;

use Hebra\Core\Problem;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
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
            'ASTM B258 and BS 3737: 20 AWG is 0.8118 mm, nearest SWG 21' => ['wire-size', ['size' => '20ga'], ['diameter_mm' => 0.8118, 'awg' => 20, 'swg' => 21]],
            'a metre of 0.8 mm sterling, density 10.36' => ['wire-mass', ['metal' => 'sterling', 'wire' => '0.8', 'length' => '1 m'], ['mass_g' => 5.2075]],
            'half-round weighs half' => ['wire-mass', ['metal' => 'sterling', 'wire' => '0.8', 'length' => '1 m', 'section' => 'half-round'], ['mass_g' => 2.6038]],
            'and back to its length' => ['wire-length', ['metal' => 'sterling', 'wire' => '0.8', 'mass' => '5.207504 g'], ['length_mm' => 1000.0]],
            'π(2.5 + 1)' => ['simple-loop', ['wire' => '1.0', 'inside' => '2.5mm'], ['wire_length_mm' => 10.9956]],
            'wrapped loop on its own wire' => ['wrapped-loop', ['wire' => '0.5', 'inside' => '2', 'wraps' => '2', 'tail' => '10mm'], ['neck_mm' => 1.0, 'loop_mm' => 7.854, 'wraps_mm' => 6.3623, 'tail_mm' => 10.0, 'total_mm' => 25.2163]],
            'wrapped loop on a thicker stem' => ['wrapped-loop', ['wire' => '0.5', 'inside' => '2', 'wraps' => '2', 'stem' => '1.0'], ['wraps_mm' => 9.4777, 'tail_mm' => 0.0]],
            'wrapped link' => ['wrapped-link', ['wire' => '0.5', 'inside' => '2', 'wraps' => '2', 'body' => '8'], ['cut_mm' => 38.4325, 'inside_length_mm' => 15.0, 'bends_mm' => [14.2163, 24.2163]]],
            'a pin that fits' => ['pin-fit', ['pin' => '50', 'wire' => '0.5', 'stack' => '12', 'inside' => '2', 'wraps' => '2'], ['needed_mm' => 35.2163, 'trimmed_mm' => 22.7837, 'fits' => true]],
            'a pin with a plain eye' => ['pin-fit', ['pin' => '25', 'wire' => '0.5', 'stack' => '12', 'inside' => '2'], ['needed_mm' => 27.854, 'trimmed_mm' => 5.146, 'fits' => false]],
            'three wires, ratio 2.1547' => ['hole-fit', ['hole' => '1', 'wires' => '3x0.4', 'clearance' => '0.05'], ['needed_mm' => 0.8619, 'margin_mm' => 0.0881, 'fits' => true]],
            'a list with decimal commas' => ['hole-fit', ['hole' => '1 mm', 'wires' => '2x0,3,1x0,2'], ['needed_mm' => 0.6, 'margin_mm' => 0.4, 'fits' => true]],
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
            is_bool($value) ? self::assertSame($value, $answer->results[$key]) : self::assertEqualsWithDelta($value, $answer->results[$key], 6e-5, $key);
        }
        self::assertNotSame([], $answer->working);
        self::assertNotSame('', $sum->source());
        self::assertStringEndsWith('?', $sum->question());
    }

    /** @return array<string, array{string, array<string, string>, string, string}> */
    public static function refused(): array
    {
        return [
            'an unknown sum' => ['weld', [], 'sum', 'Sum “weld” is not known here: give one of wire-size, wire-mass'],
            'an unknown input' => ['simple-loop', ['wire' => '1.0', 'inside' => '2', 'turns' => '3'], 'turns', 'The sum simple-loop takes no “turns”: give wire, inside.'],
            'a missing input' => ['simple-loop', ['wire' => '1.0'], 'inside', 'The sum simple-loop needs inside (inside diameter): give it, such as inside=2.5 mm.'],
            'a size of nothing' => ['simple-loop', ['wire' => '1.0', 'inside' => '0'], 'inside', 'Inside 0 mm is not a size: give more than 0 and at most 300 mm.'],
            'a negative size' => ['simple-loop', ['wire' => '1.0', 'inside' => '-3'], 'inside', 'Inside −3 mm is not a size'],
            'a word' => ['simple-loop', ['wire' => '1.0', 'inside' => 'banana'], 'inside', 'Inside “banana” is not a length'],
            'no end' => ['simple-loop', ['wire' => '1.0', 'inside' => 'INF'], 'inside', 'Inside “INF” is not a length'],
            'negative wraps' => ['wrapped-loop', ['wire' => '1.0', 'inside' => '2', 'wraps' => '-2'], 'wraps', 'Wraps −2 is out of range: give 0 to 100.'],
            'twenty wires at once' => ['hole-fit', ['hole' => '1', 'wires' => '20x0.1'], 'wires count', 'Wires count 20 is out of range: give 1 to 19.'],
            'wires without a count' => ['hole-fit', ['hole' => '1', 'wires' => '28awg'], 'wires', 'Wires “28awg” is not a list of wires: write count x size'],
            'an unknown metal' => ['wire-mass', ['metal' => 'tin', 'wire' => '1.0', 'length' => '1m'], 'metal', 'Metal “tin” is not known here'],
            'an unknown section' => ['wire-mass', ['metal' => 'copper', 'wire' => '1.0', 'length' => '1m', 'section' => 'star'], 'section', 'Section “star” is not known here'],
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
        self::assertEqualsWithDelta(M_PI * (12.7 + 1), $sum->work(Given::read($sum, ['wire' => '1.0', 'inside' => '1/2'], LengthUnit::Inch))->results['wire_length_mm'], 1e-9);
    }

    /** Seeded random input never gives NaN, INF, a negative length or a warning. */
    public function test_random_inputs_give_numbers_or_sentences(): void
    {
        mt_srand(5);
        $texts = ['0', '-1', '0.3', '2', '1/8 in', '8', '50', '1e9', '', '22awg', '2x24awg', '1x0.3,2x0.2', 'sterling', 'round', '3x1', '🧵', '99999999999', '0.05', 'square'];
        $worked = 0;
        foreach (Sums::all() as $sum) {
            for ($try = 0; $try < 400; $try++) {
                $input = [];
                foreach ($sum->inputs() as $one) {
                    $input[$one->key] = mt_rand(0, 3) === 0 ? $texts[mt_rand(0, count($texts) - 1)] : $one->example;
                }
                try {
                    $results = $sum->work(Given::read($sum, $input))->results;
                } catch (Problem $problem) {
                    self::assertDoesNotMatchRegularExpression('/\R/', $problem->getMessage());

                    continue;
                }
                $worked++;
                foreach ($results as $key => $value) {
                    foreach ((array) $value as $number) {
                        self::assertTrue(is_bool($number) || is_finite((float) $number), $key);
                        if (! is_bool($number) && $key !== 'margin_mm') {
                            self::assertGreaterThanOrEqual(0, $number, $key);
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(500, $worked);
    }
}
