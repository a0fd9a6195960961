<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/** A length. Invariant: finite; kept in millimetres. */
final readonly class Length
{
    private function __construct(private float $millimetres)
    {
    }

    /** @throws OutOfRange if it is not finite */
    public static function fromMillimetres(float $millimetres): self
    {
        if (! is_finite($millimetres)) {
            throw OutOfRange::size('length', is_nan($millimetres) ? 'NaN' : 'without end', '100 m');
        }

        return new self($millimetres);
    }

    /**
     * Reads `2 1/2 in`, `2-1/2"`, `½"`, `35cm`, `0,8 mm`, `1 ft 6 in`, `.019 in`. A bare number takes $bare.
     * A leading minus is read, so that the range check can name it.
     *
     * @throws Unreadable if the text is no length
     */
    public static function parse(
        string $text,
        string $field = 'length',
        LengthUnit $bare = LengthUnit::Millimetre,
    ): self {
        $plain = Text::plain($text, $field, 'a length, such as 35 mm or 2 1/2 in');
        $number = Text::number($plain);
        if ($number !== null) {
            return new self($number * $bare->inMillimetres());
        }
        if (preg_match('/\d\s*(mil|mils|thou)$/', $plain) === 1) {
            throw Unreadable::mil($field, $text);
        }

        return new self(self::terms($plain, $field, $text));
    }

    private static function terms(string $plain, string $field, string $text): float
    {
        $sign = str_starts_with($plain, '-') ? -1 : 1;
        $rest = ltrim($plain, '- ');
        $sum = 0.0;
        $last = INF;
        while ($rest !== '') {
            if (preg_match('/^([\d.,][\d.,\/ -]*?)\s*([a-z]+\.?|"|\')\s*(.*)$/', $rest, $match) !== 1) {
                throw Unreadable::length($field, $text);
            }
            $number = Text::number($match[1]);
            $unit = LengthUnit::named($match[2]);
            // 6 in 1 ft, or 3 mm 2 mm, is a slip of the pen, not a sum.
            if ($number === null || $unit === null || $unit->inMillimetres() >= $last) {
                throw Unreadable::length($field, $text);
            }
            $last = $unit->inMillimetres();
            $sum += $number * $last;
            $rest = $match[3];
        }

        return $sign * $sum;
    }

    /**
     * The same length, once it is known to be a size.
     *
     * @throws OutOfRange if it is 0, negative or above $mostMm
     */
    public function asSize(string $field, float $mostMm): self
    {
        if ($this->millimetres <= 0 || $this->millimetres > $mostMm) {
            throw OutOfRange::size($field, self::plainMm($this->millimetres), self::plainMm($mostMm));
        }

        return $this;
    }

    /** @throws OutOfRange if it lies outside */
    public function within(string $field, float $leastMm, float $mostMm): self
    {
        if ($this->millimetres < $leastMm || $this->millimetres > $mostMm) {
            throw OutOfRange::between(
                $field,
                self::plainMm($this->millimetres),
                self::plainMm($leastMm),
                self::plainMm($mostMm),
            );
        }

        return $this;
    }

    public function millimetres(): float
    {
        return $this->millimetres;
    }

    private static function plainMm(float $millimetres): string
    {
        return str_replace('-', '−', (string) round($millimetres, 3)).' mm';
    }
}
