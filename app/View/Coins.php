<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Quantity\Currency;

/** Amounts as the workshop of who is signed in tells them. */
final class Coins
{
    /** `38.50`. */
    public static function text(int $cents): string
    {
        return app(Currency::class)->text($cents);
    }

    /** `38.50 EUR`. */
    public static function amount(int $cents): string
    {
        return app(Currency::class)->amount($cents);
    }
}
