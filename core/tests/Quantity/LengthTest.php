<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Quantity;

use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthTest extends TestCase
{
    /** @return array<string, array{string, float}> */
    public static function written(): array
    {
        return [
            'whole and fraction, inches' => ['2 1/2 in', 63.5],
            'hyphen and inch sign' => ['2-1/2"', 63.5],
            'double prime' => ['2-1/2″', 63.5],
            'fraction slash' => ['3 1⁄2 in', 88.9],
            'single sign fraction' => ['½"', 12.7],
            'whole and sign fraction' => ['2½ in', 63.5],
            'bare decimal inch' => ['.019 in', 0.4826],
            'feet and inches' => ['1 ft 6 in', 457.2],
            'feet and inches in signs' => ["1' 6\"", 457.2],
            'decimal feet' => ['2.5 ft', 762.0],
            'yard' => ['1 yd', 914.4],
            'decimal comma' => ['0,8 mm', 0.8],
            'no space' => ['35cm', 350.0],
            'metre' => ['1.2 m', 1200.0],
            'metres and centimetres' => ['1 m 20 cm', 1200.0],
            'bare is millimetres' => ['12', 12.0],
            'bare fraction' => ['1/2', 0.5],
            'capital letters and space around' => ['  35 MM ', 35.0],
            'no-break space' => ["35\u{00A0}mm", 35.0],
            'minus is read, for the range to name' => ['-3 mm', -3.0],
            'true minus sign' => ['−3', -3.0],
            'zero' => ['0', 0.0],
        ];
    }

    #[DataProvider('written')]
    public function test_reads_what_makers_write(string $text, float $millimetres): void
    {
        self::assertEqualsWithDelta($millimetres, Length::parse($text)->millimetres(), 1e-9);
    }

    public function test_a_bare_number_takes_the_unit_of_its_field(): void
    {
        self::assertEqualsWithDelta(63.5, Length::parse('2 1/2', 'cut', LengthUnit::Inch)->millimetres(), 1e-9);
        self::assertEqualsWithDelta(12.0, Length::parse('12 mm', 'cut', LengthUnit::Inch)->millimetres(), 1e-9);
    }

    /** @return array<string, array{string, string}> */
    public static function refused(): array
    {
        return [
            'a word' => [
                'banana',
                'Cut “banana” is not a length: write a number and a unit, such as 35 mm, 3.5 cm or 2 1/2 in.',
            ],
            'an exponent' => [
                '1e309',
                'Cut “1e309” is not a length: write a number and a unit, such as 35 mm, 3.5 cm or 2 1/2 in.',
            ],
            'an emoji' => [
                '📏', 'Cut “📏” is not a length: write a number and a unit, such as 35 mm, 3.5 cm or 2 1/2 in.',
            ],
            'a division by zero' => [
                '1/0 in',
                'Cut “1/0 in” is not a length: write a number and a unit, such as 35 mm, 3.5 cm or 2 1/2 in.',
            ],
            'NaN' => [
                'NaN', 'Cut “NaN” is not a length: write a number and a unit, such as 35 mm, 3.5 cm or 2 1/2 in.',
            ],
            'smaller unit first' => [
                '6 in 1 ft',
                'Cut “6 in 1 ft” is not a length: write a number and a unit, such as 35 mm, 3.5 cm or 2 1/2 in.',
            ],
            'mil means two things' => ['19 mil', 'Cut “19 mil” could mean millimetres or thousandths of an inch: '
                .'write mm, or a decimal inch such as .019 in.'],
            'nothing' => ['   ', 'Cut is empty: give a length, such as 35 mm or 2 1/2 in.'],
            '400 characters' => [str_repeat('7', 400), 'Cut holds 400 characters: give at most 80.'],
            'broken bytes' => [
                "3\xff", 'Cut “3?” is not a length: write a number and a unit, such as 35 mm, 3.5 cm or 2 1/2 in.',
            ],
        ];
    }

    #[DataProvider('refused')]
    public function test_refuses_in_one_sentence(string $text, string $sentence): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessageMatches('/^'.preg_quote($sentence, '/').'$/u');
        Length::parse($text, 'cut');
    }

    /** @return array<string, array{float, string}> */
    public static function noSize(): array
    {
        return [
            'zero' => [0.0, 'Mandrel 0 mm is not a size: give more than 0 and at most 300 mm.'],
            'negative' => [-3.0, 'Mandrel −3 mm is not a size: give more than 0 and at most 300 mm.'],
            'a step above the largest' => [
                300.001, 'Mandrel 300.001 mm is not a size: give more than 0 and at most 300 mm.',
            ],
        ];
    }

    #[DataProvider('noSize')]
    public function test_a_size_is_more_than_nothing(float $millimetres, string $sentence): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessageMatches('/^'.preg_quote($sentence, '/').'$/u');
        Length::fromMillimetres($millimetres)->asSize('mandrel', 300);
    }

    public function test_the_largest_size_is_a_size(): void
    {
        self::assertSame(300.0, Length::fromMillimetres(300)->asSize('mandrel', 300)->millimetres());
    }

    public function test_is_never_endless(): void
    {
        $this->expectException(OutOfRange::class);
        Length::fromMillimetres(INF);
    }
}
