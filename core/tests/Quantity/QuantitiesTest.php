<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Quantity;

use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Mass;
use Hebra\Core\Quantity\Money;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Quantity\Unreadable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class QuantitiesTest extends TestCase
{
    /** @return array<string, array{string, float}> ounce, troy ounce and pennyweight: NIST Handbook 44, appendix C */
    public static function masses(): array
    {
        return [
            'grams' => ['12.4 g', 12.4], 'bare is grams' => ['3', 3.0], 'kilograms' => ['0.2 kg', 200.0],
            'ounce' => ['1 oz', 28.3495],
            'troy ounce' => ['1 ozt', 31.1035], 'troy ounce in words' => ['1/2 troy oz', 15.55174],
            'pennyweight' => ['2 dwt', 3.11035], 'comma' => ['0,5g', 0.5],
        ];
    }

    #[DataProvider('masses')]
    public function test_reads_masses(string $text, float $grams): void
    {
        self::assertEqualsWithDelta($grams, Mass::parse($text)->grams(), 5e-5);
    }

    public function test_a_mass_without_weight_is_refused(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('Amount 0 g is not a size: give more than 0 and at most 1000 g.');
        Mass::parse('0 g', 'amount')->asAmount('amount', 1000);
    }

    public function test_a_mass_in_stones_is_not_read(): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage(
            'Amount “2 stone” is not a weight: write a number and g, kg, oz, ozt or dwt, such as 12.4 g.',
        );
        Mass::parse('2 stone', 'amount');
    }

    /** @return array<string, array{string, int}> */
    public static function amounts(): array
    {
        return [
            'whole' => ['18', 1800],
            'one decimal' => ['18.5', 1850],
            'comma' => ['18,05', 1805],
            'nothing' => ['0', 0],
        ];
    }

    /** @return array<string, array{string, int, string}> what is written, in ten-thousandths, and as it is shown */
    public static function prices(): array
    {
        return [
            'cents' => ['0.35', 3500, '0.35'], 'under a cent' => ['0,0042', 42, '0.0042'],
            'three decimals' => ['1.295', 12_950, '1.295'], 'whole' => ['18', 180_000, '18.00'],
            'one decimal' => ['0.5', 5000, '0.50'],
            'a hank' => ['3.80 for 500', 76, '0.0076'], 'with a stroke' => ['1/8', 1250, '0.125'],
            'half up' => ['0.01 / 8', 13, '0.0013'], 'nothing' => ['0', 0, '0.00'],
        ];
    }

    #[DataProvider('prices')]
    public function test_reads_the_price_of_one_to_the_ten_thousandth(string $text, int $e4, string $shown): void
    {
        self::assertSame([$e4, $shown], [UnitPrice::parse($text)->e4(), UnitPrice::parse($text)->text()]);
    }

    /**
     * Joiners and marks that letters and pictures need are no hidden signs; what turns text round, or is not there to
     * the eye, is.
     */
    public function test_what_cannot_be_seen_is_refused(): void
    {
        foreach (['plain', "two\nlines\tand", 'Ærø 鉄線', '👩🏽‍🎨', "می\u{200C}خواهم", "e\u{301}"] as $text) {
            self::assertSame($text, Text::visible($text, 'name'));
            self::assertSame($text, Text::seen($text));
        }
        foreach ([
            "a\x00b", "a\x07b", "a\u{AD}b", "a\u{200B}b", "a\u{202E}b", "a\u{2066}b", "a\u{FEFF}b", "a\u{3164}b",
            "a\u{E0041}b", "a\u{85}b", "a\u{2028}b",
        ] as $text) {
            self::assertSame('ab', Text::seen($text));
            try {
                Text::visible($text, 'name');
                self::fail(bin2hex($text));
            } catch (Unreadable $problem) {
                self::assertMatchesRegularExpression(
                    '/^Name holds a sign that cannot be seen \(U\+[0-9A-F]{4,5}, number 2 in it\): take it out\.$/',
                    $problem->getMessage(),
                );
            }
        }
        $this->expectExceptionMessage('Name is no text');
        Text::visible("\xC3\x28", 'name');
    }

    /** A line is rounded once: 250 seeds of 0.0042 are 1.05, not 250 times nothing. */
    public function test_a_price_of_many_is_rounded_once(): void
    {
        self::assertSame(
            [105, 0, 1, 36],
            [
                UnitPrice::fromE4(42)->centsFor(250), UnitPrice::fromE4(42)->centsFor(1),
                UnitPrice::fromE4(50)->centsFor(1), UnitPrice::fromE4(14_500)->centsFor(250_000, 1_000_000),
            ],
        );
        foreach (['0.00421', '3.80 for 0', 'cheap', '-1'] as $text) {
            try {
                UnitPrice::parse($text);
                self::fail($text);
            } catch (Unreadable|OutOfRange $problem) {
                self::assertStringContainsString($text, $problem->getMessage());
            }
        }
    }

    #[DataProvider('amounts')]
    public function test_reads_money_in_whole_cents(string $text, int $cents): void
    {
        self::assertSame($cents, Money::parse($text)->cents());
    }

    public function test_a_third_decimal_is_no_money(): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage(
            'Price “1.005” is not an amount: write it with at most two decimals, such as 18.50.',
        );
        Money::parse('1.005');
    }

    /** @return array<string, array{string, string}> */
    public static function noCounts(): array
    {
        return [
            'negative' => ['-1', 'Wraps −1 is out of range: give 0 to 20.'],
            'one too many' => ['21', 'Wraps 21 is out of range: give 0 to 20.'],
            'a fraction' => ['2.5', 'Wraps “2.5” is not a count: write a whole number, such as 3.'],
            'a word' => ['three', 'Wraps “three” is not a count: write a whole number, such as 3.'],
        ];
    }

    #[DataProvider('noCounts')]
    public function test_counts_are_whole_and_in_range(string $text, string $sentence): void
    {
        $this->expectExceptionMessageMatches('/^'.preg_quote($sentence, '/').'$/u');
        Count::parse($text, 'wraps', 0, 20);
    }

    /** @return array<string, array{Ruler, float, string, string}> rounded up, then to the nearest */
    public static function rulers(): array
    {
        return [
            'sixteenths' => [Ruler::SixteenthInch, 79.3, '3 1/8 in', '3 1/8 in'],
            'sixteenths, up' => [Ruler::SixteenthInch, 80.0, '3 3/16 in', '3 1/8 in'],
            'thirty-seconds' => [Ruler::ThirtySecondInch, 80.0, '3 5/32 in', '3 5/32 in'],
            'less than an inch' => [Ruler::SixteenthInch, 12.7, '1/2 in', '1/2 in'],
            'whole inch' => [Ruler::ThirtySecondInch, 25.4, '1 in', '1 in'],
            'half millimetres' => [Ruler::HalfMillimetre, 79.01, '79.5 mm', '79 mm'],
            'on the mark stays' => [Ruler::HalfMillimetre, 79.5, '79.5 mm', '79.5 mm'],
            'millimetres' => [Ruler::Millimetre, 79.2, '80 mm', '79 mm'],
            'nothing' => [Ruler::Millimetre, 0.0, '0 mm', '0 mm'],
        ];
    }

    #[DataProvider('rulers')]
    public function test_rounds_to_what_the_ruler_shows(
        Ruler $ruler,
        float $millimetres,
        string $up,
        string $nearest,
    ): void {
        self::assertSame($up, $ruler->text($ruler->upMm($millimetres)));
        self::assertSame($nearest, $ruler->text($millimetres));
    }

    public function test_a_cut_is_never_rounded_short(): void
    {
        mt_srand(7);
        foreach (Ruler::cases() as $ruler) {
            for ($i = 0; $i < 500; $i++) {
                $length = mt_rand(0, 3_000_000) / 10_000;
                self::assertGreaterThanOrEqual($length - $ruler->stepMm() / 999, $ruler->upMm($length));
                self::assertLessThan($length + $ruler->stepMm(), $ruler->upMm($length));
            }
        }
    }

    public function test_figures_drop_their_noise(): void
    {
        self::assertSame(
            ['0.8', '12', '0', '−0.1'],
            [Figures::trim(0.80), Figures::trim(12.0), Figures::trim(-0.0001), Figures::trim(-0.1)],
        );
    }
}
