<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/** An amount in whole cents (or the currency's own hundredth). Invariant: never a float, never negative. */
final readonly class Money
{
    private function __construct(private int $cents)
    {
    }

    public static function fromCents(int $cents): self
    {
        if ($cents < 0 || $cents > 100_000_000) {
            throw OutOfRange::between('price', (string) $cents, '0', '1 000 000.00');
        }

        return new self($cents);
    }

    /**
     * Reads `18`, `18.5`, `18,50`.
     *
     * @throws Unreadable if it is no amount
     */
    public static function parse(string $text, string $field = 'price'): self
    {
        $plain = Text::plain($text, $field, 'an amount, such as 18.50');
        if (preg_match('/^(\d{1,6})(?:[.,](\d{1,2}))?$/', $plain, $match) !== 1) {
            throw Unreadable::money($field, $text);
        }

        return new self((int) $match[1] * 100 + (int) str_pad($match[2] ?? '', 2, '0'));
    }

    public function cents(): int
    {
        return $this->cents;
    }

    public function text(): string
    {
        return sprintf('%d.%02d', intdiv($this->cents, 100), $this->cents % 100);
    }
}
