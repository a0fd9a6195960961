<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

use Hebra\Core\Quantity\OutOfRange;

/**
 * How stiff a metal is and when it gives way: modulus in GPa; yield in MPa dead soft, half hard and hard, linear in
 * numbers hard between them and level beyond the last.
 *
 * Invariants: modulus 10 to 500 GPa; yields 5 to 3000 MPa, each at least the one before.
 */
final readonly class Strength
{
    private function __construct(
        public float $modulusGpa,
        public float $softMpa,
        public float $halfHardMpa,
        public float $hardMpa,
        public string $source,
    ) {
    }

    /** @throws OutOfRange if a value is out of range, or a harder temper yields before a softer one */
    public static function of(
        float $modulusGpa, float $softMpa, float $halfHardMpa, float $hardMpa, string $source,
    ): self {
        self::within('modulus', $modulusGpa, 10, 500, 'GPa');
        self::within('yield dead soft', $softMpa, 5, 3000, 'MPa');
        self::within('yield half hard', $halfHardMpa, $softMpa, 3000, 'MPa');
        self::within('yield hard', $hardMpa, $halfHardMpa, 3000, 'MPa');

        return new self($modulusGpa, $softMpa, $halfHardMpa, $hardMpa, $source);
    }

    private static function within(string $field, float $value, float $least, float $most, string $unit): void
    {
        if (! ($value >= $least && $value <= $most)) {
            throw OutOfRange::between(
                $field,
                round($value, 1).' '.$unit,
                round($least, 1).' '.$unit,
                round($most, 1).' '.$unit,
            );
        }
    }

    public function yieldMpa(float $numbersHard): float
    {
        return match (true) {
            $numbersHard <= 0 => $this->softMpa,
            $numbersHard <= 2 => $this->softMpa + ($this->halfHardMpa - $this->softMpa) * $numbersHard / 2,
            $numbersHard <= 4 => $this->halfHardMpa + ($this->hardMpa - $this->halfHardMpa) * ($numbersHard - 2) / 2,
            default => $this->hardMpa,
        };
    }

    public function modulusMpa(): float
    {
        return $this->modulusGpa * 1000;
    }
}
