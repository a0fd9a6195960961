<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/** What the ruler on the bench can show. Every length that a maker reads is rounded to its step. */
enum Ruler: string
{
    case SixteenthInch = '1/16 in';
    case ThirtySecondInch = '1/32 in';
    case HalfMillimetre = '0.5 mm';
    case Millimetre = '1 mm';

    /** What most makers read who measure so. */
    public static function usual(bool $isMetric): self
    {
        return $isMetric ? self::HalfMillimetre : self::ThirtySecondInch;
    }

    public function stepMm(): float
    {
        return match ($this) {
            self::SixteenthInch => 25.4 / 16,
            self::ThirtySecondInch => 25.4 / 32,
            self::HalfMillimetre => 0.5,
            self::Millimetre => 1.0,
        };
    }

    public function unit(): LengthUnit
    {
        return match ($this) {
            self::SixteenthInch, self::ThirtySecondInch => LengthUnit::Inch,
            self::HalfMillimetre, self::Millimetre => LengthUnit::Millimetre,
        };
    }

    public function isMetric(): bool
    {
        return $this->unit() === LengthUnit::Millimetre;
    }

    /** To the nearest step. */
    public function nearestMm(float $millimetres): float
    {
        return round($millimetres / $this->stepMm()) * $this->stepMm();
    }

    /** To the next step up: a cut is never rounded short. */
    public function upMm(float $millimetres): float
    {
        return ceil($millimetres / $this->stepMm() - 1e-9) * $this->stepMm();
    }

    /** The same of something to cut: to the next step up. */
    public function upText(float $millimetres): string
    {
        return $this->text($this->upMm($millimetres));
    }

    /** `79.5 mm`, `3 1/8 in`: to the nearest step. */
    public function text(float $millimetres): string
    {
        return $this->figure($millimetres).' '.$this->unit()->value;
    }

    /** The same without its unit, for columns that name it once. */
    public function figure(float $millimetres): string
    {
        $steps = (int) round($millimetres / $this->stepMm());

        return match ($this) {
            self::SixteenthInch => self::fraction($steps, 16),
            self::ThirtySecondInch => self::fraction($steps, 32),
            self::HalfMillimetre => $steps % 2 === 0 ? (string) intdiv($steps, 2) : intdiv($steps, 2).'.5',
            self::Millimetre => (string) $steps,
        };
    }

    private static function fraction(int $steps, int $under): string
    {
        $whole = intdiv($steps, $under);
        $over = $steps % $under;
        while ($over !== 0 && $over % 2 === 0) {
            $over = intdiv($over, 2);
            $under = intdiv($under, 2);
        }

        return match (true) {
            $over === 0 => (string) $whole,
            $whole === 0 => "{$over}/{$under}",
            default => "{$whole} {$over}/{$under}",
        };
    }
}
