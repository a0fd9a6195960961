<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/**
 * How amounts are told: in a currency of three letters, with its decimals or in whole units where it has none.
 * Amounts stay whole hundredths; only what is shown is rounded, half up [the letters and decimals are ISO 4217’s].
 */
final readonly class Currency
{
    /** As a currency is used: with two decimals, or without. */
    public const DECIMALS = [2, 0];

    private function __construct(public string $code, public int $decimals)
    {
    }

    /** @throws Unreadable if there is no such currency, or it is not told so */
    public static function of(string $code, int $decimals = 2): self
    {
        $letters = mb_strtoupper(trim($code));
        preg_match('/^[A-Z]{3}$/', $letters) === 1 || throw Unreadable::currency($code);
        in_array($decimals, self::DECIMALS, true)
            || throw Unreadable::choice('decimals', (string) $decimals, array_map(strval(...), self::DECIMALS));

        return new self($letters, $decimals);
    }

    /** `38.50`, or `39` where there are no decimals; what is less than nothing with its sign. */
    public function text(int $cents): string
    {
        $sign = $cents < 0 ? '−' : '';
        $amount = abs($cents);

        return $sign.($this->decimals === 0
            ? (string) intdiv($amount + 50, 100)
            : sprintf('%d.%02d', intdiv($amount, 100), $amount % 100));
    }

    /** `38.50 EUR`. */
    public function amount(int $cents): string
    {
        return $this->text($cents).' '.$this->code;
    }
}
