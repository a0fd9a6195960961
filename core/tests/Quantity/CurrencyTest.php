<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Quantity;

use Hebra\Core\Problem;
use Hebra\Core\Quantity\Currency;
use PHPUnit\Framework\TestCase;

/** Amounts with decimals or without; the cents stay what they are. */
final class CurrencyTest extends TestCase
{
    public function test_amounts_are_told_with_decimals_or_without(): void
    {
        $euro = Currency::of(' eur ');
        self::assertSame(['EUR', 2], [$euro->code, $euro->decimals]);
        self::assertSame(['38.50', '0.05', '−1.20', '38.50 EUR'], [
            $euro->text(3850), $euro->text(5), $euro->text(-120), $euro->amount(3850),
        ]);
        // ISO 4217 gives JPY no decimals.
        $yen = Currency::of('JPY', 0);
        self::assertSame(['39', '38', '0', '−2', '4200 JPY'], [
            $yen->text(3850), $yen->text(3849), $yen->text(49), $yen->text(-150), $yen->amount(420_000),
        ]);
    }

    public function test_what_is_no_currency_is_said(): void
    {
        foreach ([
            ['€', 2, 'three letters'], ['EURO', 2, 'three letters'], ['EUR', 1, 'decimals'], ['', 0, 'letters'],
        ] as [$code, $decimals, $says]) {
            try {
                Currency::of($code, $decimals);
                self::fail("{$code} {$decimals}");
            } catch (Problem $problem) {
                self::assertStringContainsStringIgnoringCase($says, $problem->getMessage());
            }
        }
    }
}
