<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/**
 * A mass. Invariant: finite; kept in grams, booked in whole milligrams.
 *
 * Avoirdupois ounce 28.349523125 g, troy ounce 31.1034768 g, pennyweight 1.55517384 g
 * [published: NIST Handbook 44, appendix C].
 */
final readonly class Mass
{
    private const GRAMS = [
        'mg' => 0.001, 'g' => 1.0, 'gram' => 1.0, 'grams' => 1.0, 'kg' => 1000.0, 'oz' => 28.349523125,
        'ozt' => 31.1034768, 'troy oz' => 31.1034768, 'oz t' => 31.1034768, 'dwt' => 1.55517384,
    ];

    private function __construct(private float $grams)
    {
    }

    /** @throws OutOfRange if it is not finite */
    public static function fromGrams(float $grams): self
    {
        if (! is_finite($grams)) {
            throw OutOfRange::size('mass', is_nan($grams) ? 'NaN' : 'without end', '100 kg');
        }

        return new self($grams);
    }

    public static function fromMilligrams(int $milligrams): self
    {
        return new self($milligrams / 1000);
    }

    /**
     * Reads `12.4 g`, `1/2 ozt`, `3 dwt`; a bare number is grams.
     *
     * @throws Unreadable if the text is no mass
     */
    public static function parse(string $text, string $field = 'mass'): self
    {
        $plain = Text::plain($text, $field, 'a weight, such as 12.4 g');
        if (preg_match('/^(.*?)\s*([a-z][a-z ]*)?$/', $plain, $match) !== 1) {
            throw Unreadable::mass($field, $text);
        }
        $number = Text::number($match[1]);
        $unit = self::GRAMS[$match[2] ?? 'g'] ?? null;
        if ($number === null || $unit === null) {
            throw Unreadable::mass($field, $text);
        }

        return new self($number * $unit);
    }

    /** @throws OutOfRange if it is 0, negative or above $mostGrams */
    public function asAmount(string $field, float $mostGrams): self
    {
        if ($this->grams <= 0 || $this->grams > $mostGrams) {
            throw OutOfRange::size(
                $field,
                str_replace('-', '−', (string) round($this->grams, 3)).' g',
                round($mostGrams, 3).' g',
            );
        }

        return $this;
    }

    public function grams(): float
    {
        return $this->grams;
    }

    /** To the nearest milligram: the step of the metal book. */
    public function milligrams(): int
    {
        return (int) round($this->grams * 1000);
    }
}
