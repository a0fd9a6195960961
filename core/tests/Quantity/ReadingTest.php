<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Quantity;

use Closure;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\Mass;
use Hebra\Core\Quantity\Money;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Tests\Kept;
use Hebra\Core\Wire\Section;
use Hebra\Core\Wire\WireSize;
use PHPUnit\Framework\TestCase;

/** What makers type, in every field it might be typed into: what is read, or the sentence that refuses. */
final class ReadingTest extends TestCase
{
    private const TYPED = [
        '', ' ', '0', '-0', '-1', '1', '7', '007', '12', '99', '1000', '100000', '123456789', '1234567890', '1e3',
        '.5', ',5', '0.5', '0,5', '5.', '1.005', '1.123456789012345678901234', '3/4', '-3/4', '2 1/2', '2-1/2', '2½',
        '½', '1/0', '2 1/0', '1 2 3', '1.2.3',
        '35 mm', '35mm', '3.5 cm', '2 in', '2"', '2 1/2 in', '1 ft', "1'", "1' 2\"", '2 feet 3 inches', '0.5 m',
        '1 yd', '.019 in', '5 mil', '-5 mm', '0 mm', '100 m', '101 km', '3 mm 4 mm', '2 × 3 mm', 'ten mm',
        '5 furlongs', '16,55 mm', '1/16 in', '3 1/16"',
        '20 awg', '20awg', '#20', '20 ga', '20 gauge', '20 g', '18 swg', '0.8', '0.05 mm', '0.04 mm', '6 mm', '9 mm',
        '50 awg', '60 awg', '0 awg', '00 awg', '-20 awg', '20', '.032 in', '20.5 awg', '51 swg',
        '12.4 g', '0.2 kg', '1 oz', '1 ozt', '1/2 troy oz', '2 dwt', '500 mg', '0 g', '-2 g', '5 lb', '2 stone',
        'us 7', 'us 7 1/2', 'us 7.25', 'us 0', 'us 16', 'us 17', 'uk n', 'uk N 1/2', 'uk z', 'uk z+1', 'uk 5',
        'iso 54', 'iso 30', 'iso 90', 'jp 13', 'jp 0', 'jp 40', 'diameter 17.3 mm', 'circumference 54 mm',
        'diameter 5 mm', 'size 7', '7 1/2',
        '18', '18.5', '18,05', '18.505', '3.80 for 500', '1/8', '1000000', '9999999', '0.0001', '0.00005',
        'round', 'half-round', 'square', 'twisted-pair', '3x0.5', '0.5x3', '3x', 'x', 'oval', '3 x 0.5',
        '6mm round, hole 1', '4 x 12mm tube, hole 0.8', '8 x 5 mm drop, hole 1, rose', '11/0', '8/0 seed',
        '6mm bicone', '15 × 5mm chip, hole 0.8', '22 x 4mm bicone',
        'Harbour mist: 6 x 4mm rondelle, hole 0.9, slate, stone', '6mm round, hole 7', '0mm round', '300mm round',
        '6mm blob', 'round 6', '6mm round, hole', '6 round 8 tube',
    ];

    public function test_what_is_typed_is_read_as_it_was_last_looked_at(): void
    {
        $now = [];
        foreach (self::TYPED as $text) {
            $now["“{$text}”"] = array_map(fn (Closure $read): mixed => self::readBy($read, $text), [
                'number' => Text::number(...),
                'length' => fn (string $text): float => Length::parse($text)->millimetres(),
                'size' => fn (string $text): float => Length::parse($text)->asSize('size', 300)->millimetres(),
                'mass' => fn (string $text): float => Mass::parse($text)->grams(),
                'count' => fn (string $text): int => Count::parse($text, 'count', 1, 100),
                'money' => fn (string $text): int => Money::parse($text)->cents(),
                'price' => fn (string $text): int => UnitPrice::parse($text)->e4(),
                'wire' => fn (string $text): string => WireSize::parse($text)->code().sprintf(
                    ' %.9g',
                    WireSize::parse($text)->diameterMm(),
                ),
                'ring' => fn (string $text): float => RingSize::parse($text)->insideMm(),
                'section' => fn (string $text): float => Section::parse($text, 0.8)->areaMm2(),
                'bead' => fn (string $text): string => Bead::parse($text)->key(),
                'beads' => fn (string $text): int => Bead::counted($text)[0],
            ]);
        }
        Kept::assertSame(__DIR__.'/fixtures/reading.json', $now);
    }

    private static function readBy(Closure $read, string $text): mixed
    {
        try {
            return Kept::figures($read($text));
        } catch (Problem $problem) {
            return $problem->getMessage();
        }
    }
}
