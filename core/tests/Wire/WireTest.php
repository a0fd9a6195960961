<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Wire;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Quantity\WhichSystem;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Section;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WireTest extends TestCase
{
    /** ASTM B258, nominal diameters. The table is rounded to a ten-thousandth of an inch. */
    public function test_awg_agrees_with_astm_b258(): void
    {
        foreach (require __DIR__.'/../data/astm-b258.php' as $number => $inches) {
            self::assertEqualsWithDelta(
                $inches * 25.4,
                WireSize::awg($number)->diameterMm(),
                0.00005 * 25.4 + 1e-9,
                "AWG {$number}",
            );
        }
    }

    /** BS 3737, printed to a thousandth of a millimetre. */
    public function test_swg_agrees_with_bs_3737(): void
    {
        foreach (require __DIR__.'/../data/bs-3737.php' as $number => $millimetres) {
            self::assertEqualsWithDelta($millimetres, WireSize::swg($number)->diameterMm(), 0.0006, "SWG {$number}");
        }
    }

    /** @return array<string, array{string, float, string}> */
    public static function sizes(): array
    {
        return [
            'ga' => ['20ga', 0.8118, '20 AWG'], 'gauge' => ['20 gauge', 0.8118, '20 AWG'],
            'number sign' => ['#20', 0.8118, '20 AWG'], 'awg' => ['20 awg', 0.8118, '20 AWG'],
            'swg' => ['18 swg', 1.2192, '18 SWG'], 'decimal is millimetres' => ['0.8', 0.8, '0.8 mm'],
            'one point nought' => ['1.0', 1.0, '1 mm'],
            'millimetres' => ['0,8 mm', 0.8, '0.8 mm'], 'decimal inch' => ['.032 in', 0.8128, '0.81 mm'],
            'capitals' => ['22 AWG', 0.6438, '22 AWG'],
        ];
    }

    #[DataProvider('sizes')]
    public function test_reads_sizes(string $text, float $millimetres, string $shown): void
    {
        $size = WireSize::parse($text);
        self::assertEqualsWithDelta($millimetres, $size->diameterMm(), 5e-5);
        self::assertSame($shown, $size->text());
        self::assertTrue(WireSize::parse($size->code())->equals($size));
    }

    /** @return array<string, array{string, class-string<\Throwable>, string}> */
    public static function noSizes(): array
    {
        return [
            'a whole bare number' => [
                '20', WhichSystem::class, 'Wire “20” could be 20awg, 20swg or 20mm: add which one you mean.',
            ],
            'a word' => [
                'thin', Unreadable::class,
                'Wire “thin” is not a wire size: write 20 awg, 18 swg, 0.8 mm or .032 in.',
            ],
            'mil' => ['19 mil', Unreadable::class, 'Wire “19 mil” could mean millimetres or thousandths of an '
                .'inch: write mm, or a decimal inch such as .019 in.'],
            'half a gauge' => [
                '20.5 awg', Unreadable::class,
                'Wire “20.5 awg” is not a wire size: write 20 awg, 18 swg, 0.8 mm or .032 in.',
            ],
            'beyond the system' => ['41 awg', OutOfRange::class, 'Wire 41 AWG is out of range: give 0 AWG to 40 AWG.'],
            'negative' => ['-0.8 mm', OutOfRange::class, 'Wire −0.8 mm is out of range: give 0.05 mm to 8.3 mm.'],
            'nothing' => ['0.0', OutOfRange::class, 'Wire 0 mm is out of range: give 0.05 mm to 8.3 mm.'],
        ];
    }

    /** @param  class-string<\Throwable>  $class */
    #[DataProvider('noSizes')]
    public function test_refuses_sizes(string $text, string $class, string $sentence): void
    {
        $this->expectException($class);
        $this->expectExceptionMessageMatches('/^'.preg_quote($sentence, '/').'$/u');
        WireSize::parse($text);
    }

    public function test_nearest_numbers_are_the_sizes_themselves(): void
    {
        foreach (range(1, 40) as $number) {
            self::assertSame($number, SizeSystem::nearestAwg(WireSize::awg($number)->diameterMm()));
            self::assertSame($number, SizeSystem::nearestSwg(WireSize::swg($number)->diameterMm()));
        }
    }

    /** One metre of 1 mm round copper weighs π/4 · 8.96 g [CRC Handbook: copper 8.96 g/cm³]. */
    public function test_mass_is_area_times_length_times_density(): void
    {
        $wire = new Wire(Metal::Copper, WireSize::millimetres(1.0), Temper::DeadSoft);
        self::assertEqualsWithDelta(7.03717, $wire->gramsOf(1000), 1e-5);
    }

    public function test_sections(): void
    {
        self::assertEqualsWithDelta(1.570796, Section::parse('half-round', 2.0)->areaMm2(), 1e-6);
        self::assertEqualsWithDelta(4.0, Section::parse('square', 2.0)->areaMm2(), 1e-12);
        self::assertEqualsWithDelta(1.5, Section::parse('3x0.5', 2.0)->areaMm2(), 1e-12);
        self::assertEqualsWithDelta(2 * M_PI / 4, Section::parse('twisted-pair', 1.0)->areaMm2(), 1e-12);
        $this->expectException(Unreadable::class);
        Section::parse('star', 1.0);
    }
}
