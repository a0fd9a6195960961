<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/**
 * What one costs, or a metre, or a gram: in whole ten-thousandths of the currency, since a seed bead costs less than a
 * cent. Invariant: 0 to 1,000,000 of the currency; never a float.
 */
final readonly class UnitPrice
{
    private const MOST_E4 = 10_000_000_000;

    private function __construct(private int $e4)
    {
    }

    /** @throws OutOfRange if it is negative or above a million */
    public static function fromE4(int $e4): self
    {
        $e4 >= 0 && $e4 <= self::MOST_E4
            || throw OutOfRange::between('price', (string) ($e4 / 10_000), '0', '1 000 000');

        return new self($e4);
    }

    /**
     * Reads `0.35`, `0,0042`, and what was paid for many: `3.80 for 500`, `3.80 / 500`.
     *
     * @throws Unreadable if it is no amount
     * @throws OutOfRange if it is the price of none
     */
    public static function parse(string $text, string $field = 'price'): self
    {
        $plain = Text::plain($text, $field, 'an amount, such as 0.35, or 3.80 for 500');
        if (preg_match('/^(\d{1,6})(?:[.,](\d{1,4}))?(?: ?(?:for|\/) ?(\d{1,7}))?$/', $plain, $match) !== 1) {
            throw Unreadable::line(
                $field,
                $text,
                'an amount with at most four decimals, such as 0.35 or 0.0042, or what many cost, such as 3.80 for 500',
            );
        }
        $e4 = (int) $match[1] * 10_000 + (int) str_pad($match[2] ?? '', 4, '0');
        $for = (int) ($match[3] ?? 1);
        $for > 0 || throw OutOfRange::between($field, $text, 'the price of 1', 'of 9999999');

        return new self(intdiv(2 * $e4 + $for, 2 * $for));
    }

    public function e4(): int
    {
        return $this->e4;
    }

    /**
     * What so many of it cost, in cents, rounded half up once; `of` is how many of the count make one unit, as
     * 1,000,000 micrometres make a metre.
     */
    public function centsFor(int $count, int $of = 1): int
    {
        return intdiv(2 * $this->e4 * $count + 100 * $of, 200 * $of);
    }

    /** `0.35`, `0.0042`: two decimals at least. */
    public function text(): string
    {
        $text = sprintf('%d.%04d', intdiv($this->e4, 10_000), $this->e4 % 10_000);

        return preg_replace('/0{1,2}$/', '', $text) ?? $text;
    }
}
