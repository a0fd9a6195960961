<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Price;

use Hebra\Core\Price\Asking;
use Hebra\Core\Price\PriceList;
use Hebra\Core\Price\PriceTerms;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;
use PHPUnit\Framework\TestCase;

final class AskingTest extends TestCase
{
    /** Worked by hand: 24.19 and 34 % of it are 32.41; ÷ (1 − 0.05 − 1/11) = 37.72, up to 38.00. */
    public function test_a_price_is_the_sum_of_its_causes(): void
    {
        $asking = Asking::of(2419, PriceList::of('stall', 34, 5), PriceTerms::of(10, '.00'));
        self::assertSame(822, $asking->marginCents);
        self::assertSame(3800, $asking->priceCents());
        self::assertSame(190, $asking->feeCents);
        // 10 % in 38.00 is 3.4545.
        self::assertSame(345, $asking->taxCents);
        self::assertSame(3800 - 2419 - 822 - 190 - 345, $asking->roundingCents);
    }

    public function test_nothing_taken_and_nothing_rounded_is_cost_and_margin(): void
    {
        $asking = Asking::of(1000, PriceList::of('friends', 0, 0), PriceTerms::of(0, ''));
        self::assertSame([1000, 0, 0, 0], [
            $asking->priceCents(), $asking->feeCents, $asking->taxCents, $asking->roundingCents,
        ]);
    }

    /** Whatever is set: parts add up, nothing is sold below its base, and it ends as was asked. */
    public function test_a_maker_never_gets_less_than_cost_and_margin(): void
    {
        mt_srand(5);
        for ($try = 0; $try < 2000; $try++) {
            $ending = ['', '.00', '.50', '.90'][mt_rand(0, 3)];
            $asking = Asking::of(
                mt_rand(0, 90_000), PriceList::of('stall', mt_rand(0, 200), mt_rand(0, 30)),
                PriceTerms::of(mt_rand(0, 25), $ending),
            );
            // Fee and tax are each rounded to the cent.
            self::assertGreaterThanOrEqual(-1, $asking->roundingCents);
            self::assertLessThanOrEqual(101, $asking->roundingCents);
            if ($ending !== '') {
                self::assertSame((int) substr($ending, 1), $asking->priceCents() % 100);
            }
        }
    }

    public function test_what_takes_all_of_a_price_is_refused(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('60 % beside 60 % tax');
        Asking::of(1000, PriceList::of('stall', 30, 60), PriceTerms::of(60, ''));
    }

    public function test_a_price_of_nothing_stays_nothing(): void
    {
        self::assertSame(0, Asking::of(0, PriceList::of('stall', 30, 5), PriceTerms::of(10, '.00'))->priceCents());
    }

    public function test_an_ending_there_is_none_of_is_refused(): void
    {
        $this->expectException(Unreadable::class);
        PriceTerms::of(10, '.95');
    }

    public function test_the_first_list_has_the_margin_that_always_was(): void
    {
        $lists = PriceList::all(['shop' => ['margin' => 8, 'fee' => 2]], 34);
        self::assertSame([['stall', 34, 0], ['shop', 8, 2], ['friends', 0, 0]], array_map(
            fn (PriceList $list): array => [$list->name, $list->marginPercent, $list->feePercent], $lists,
        ));
    }
}
