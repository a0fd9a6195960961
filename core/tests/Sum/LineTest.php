<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Sum;

use Hebra\Core\Problem;
use Hebra\Core\Quantity\WhichSystem;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Line;
use Hebra\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class LineTest extends TestCase
{
    /** @return array<string, array{string, string, array<string, string>}> */
    public static function lines(): array
    {
        return [
            'as it comes' => [
                'coil 24ga on 2.5mm, 3cm', 'coil', ['wire' => '24ga', 'mandrel' => '2.5mm', 'length' => '3cm'],
            ],
            'a sentence' => [
                'bind 17 beads of 3 mm with 28ga on 18ga', 'bead-wrap',
                ['beads' => '17', 'core' => '18ga', 'wire' => '28ga', 'bead_length' => '3 mm'],
            ],
            'beads by their size' => [
                'bind 17 3mm beads 28awg on 18awg frame', 'bead-wrap',
                ['beads' => '17', 'core' => '18awg', 'wire' => '28awg', 'bead_length' => '3mm'],
            ],
            'a question' => [
                'how much wire for an eye of 2.5mm in 20 gauge?', 'simple-loop',
                ['wire' => '20 gauge', 'inside' => '2.5mm'],
            ],
            'ring sizes' => ['ring uk N 1/2', 'ring-size', ['size' => 'uk n 1/2']],
            'a weave' => [
                'weave 3 cores of 20ga with 28ga 4@2 3@1-2 5cm long', 'weave',
                ['cores' => '3', 'core' => '20ga', 'wire' => '28ga', 'pattern' => '4@2 3@1-2', 'length' => '5cm'],
            ],
            'wires in a hole' => ['3x28awg through 1mm hole', 'hole-fit', ['hole' => '1mm', 'wires' => '3x28awg']],
            'metal and temper by name' => [
                'springback sterling half hard 16ga 17mm', 'spring-back',
                ['metal' => 'sterling', 'temper' => 'half-hard', 'wire' => '16ga', 'inside' => '17mm'],
            ],
            'from what is there' => [
                'coil 0.5 on 3mm have 30cm', 'coil', ['wire' => '0.5', 'mandrel' => '3mm', 'have' => '30cm'],
            ],
            'keys and values' => [
                'coil wire=24awg mandrel=2.5mm turns=12', 'coil',
                ['wire' => '24awg', 'mandrel' => '2.5mm', 'turns' => '12'],
            ],
            'mixed' => [
                'hoop 30mm 20ga eye=2mm hook 8mm', 'hoop',
                ['diameter' => '30mm', 'wire' => '20ga', 'eye' => '2mm', 'hook' => '8mm'],
            ],
            'inches and fractions' => ['necklace 17 1/2 in', 'necklace', ['length' => '17 1/2 in']],
            'a basket' => ['basket 3 cores 20ga 28ga f1 b2 f3 b3 f2 b1 10 times', 'basket-weave', [
                'cores' => '3', 'core' => '20ga', 'wire' => '28ga', 'passes' => 'f1 b2 f3 b3 f2 b1', 'repeats' => '10',
            ]],
        ];
    }

    /** @param  array<string, string>  $expected */
    #[DataProvider('lines')]
    public function test_a_line_is_understood(string $line, string $name, array $expected): void
    {
        [$sum, $given] = Line::read($line);
        self::assertSame($name, $sum->name);
        ksort($expected);
        ksort($given);
        self::assertSame($expected, $given);
        self::assertNotSame([], $sum->work(Given::read($sum, $given))->results);
    }

    public function test_a_bare_gauge_is_asked_about(): void
    {
        [$sum, $given] = Line::read('how much 28 do I need to bind 17 beads of 3 mm on my 18 gauge frame');
        try {
            Given::read($sum, $given);
            self::fail('28 was taken for something.');
        } catch (WhichSystem $which) {
            self::assertSame([28, 'wire'], [$which->number, $which->field()]);
        }
        self::assertEqualsWithDelta(
            232.1235,
            $sum->work(Given::read($sum, ['wire' => '28 awg'] + $given))->results['wire_length_mm'],
            1e-3,
        );
    }

    /** @return array<string, array{string, string}> */
    public static function refused(): array
    {
        return [
            'no sum' => ['dance 3', 'I know no sum for “dance 3”: begin with what it is'],
            'nothing' => ['  ', 'Ask is empty: give a sum, such as coil 24ga on 2.5mm, 3cm.'],
            'something over' => [
                'hoop 30mm 20ga eye 2mm hook 8mm 14kg', 'In a hoop sum I do not know what to do with “14kg”',
            ],
            'a novel' => [str_repeat('coil ', 60), 'Ask holds 300 characters: give at most 240.'],
        ];
    }

    #[DataProvider('refused')]
    public function test_refuses_in_one_sentence(string $line, string $sentence): void
    {
        try {
            Line::read($line);
            self::fail('It was understood.');
        } catch (Problem $problem) {
            self::assertSame('ask', $problem->field());
            self::assertStringContainsString($sentence, $problem->getMessage());
        }
    }

    /** Every sum answers to its name, and its example as key=value comes back whole. */
    public function test_every_sum_can_be_typed(): void
    {
        foreach (Sums::all() as $sum) {
            $example = $sum->example();
            [$found, $given] = Line::read($sum->name.' '.implode(
                ' ',
                array_map(fn (string $key, string $value): string => "{$key}={$value}", array_keys($example), $example),
            ));
            self::assertSame($sum->name, $found->name);
            ksort($example);
            ksort($given);
            // A comma is a pause in a line.
            self::assertSame(
                array_map(fn (string $text): string => str_replace(', ', ' ', mb_strtolower($text)), $example),
                $given,
            );
        }
    }

    #[Group('wide')]
    public function test_random_lines_never_break(): void
    {
        mt_srand(9);
        $words = [
            'coil', 'bind', '24ga', '3cm', 'on', 'of', '17', 'beads', '🧵', '1/0', '4@2', '=', 'wire=', '1e9', 'us',
            '7', ',', '"', '3x', '#', '½', 'hole',
        ];
        for ($try = 0; $try < 3000; $try++) {
            $line = implode(
                ' ',
                array_map(fn (): string => $words[mt_rand(0, count($words) - 1)], range(1, mt_rand(1, 9))),
            );
            try {
                [$sum, $given] = Line::read($line);
                $sum->work(Given::read($sum, $given));
                self::assertNotSame('', $sum->name);
            } catch (Problem $problem) {
                self::assertNotSame('', $problem->getMessage());
            }
        }
    }
}
