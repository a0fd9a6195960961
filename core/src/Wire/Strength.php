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
    public static function of(float $modulusGpa, float $softMpa, float $halfHardMpa, float $hardMpa, string $source): self
    {
        self::within('modulus', $modulusGpa, 10, 500, 'GPa');
        self::within('yield dead soft', $softMpa, 5, 3000, 'MPa');
        self::within('yield half hard', $halfHardMpa, $softMpa, 3000, 'MPa');
        self::within('yield hard', $hardMpa, $halfHardMpa, 3000, 'MPa');

        return new self($modulusGpa, $softMpa, $halfHardMpa, $hardMpa, $source);
    }

    private static function within(string $field, float $value, float $least, float $most, string $unit): void
    {
        if (! ($value >= $least && $value <= $most)) {
            throw OutOfRange::between($field, round($value, 1).' '.$unit, round($least, 1).' '.$unit, round($most, 1).' '.$unit);
        }
    }

    /** What stands in books, or is remembered, for a metal. Marked so in `source`. */
    public static function usual(Metal $metal): self
    {
        $handbook = 'ASM Handbook vol. 2, rounded';
        $memory = 'from memory';

        return match ($metal) {
            Metal::Copper => new self(117, 70, 250, 320, $handbook),
            Metal::Sterling => new self(75, 125, 260, 350, $memory),
            Metal::Brass => new self(110, 110, 350, 450, $handbook),
            Metal::FineSilver => new self(76, 55, 180, 250, $memory),
            Metal::Silver935 => new self(75, 120, 250, 340, $memory),
            Metal::RedBrass => new self(115, 85, 300, 390, $memory),
            Metal::JewellersBronze => new self(115, 80, 290, 370, $memory),
            Metal::NickelSilver => new self(125, 150, 400, 520, $memory),
            Metal::Aluminium => new self(69, 35, 105, 145, $memory),
            Metal::Niobium => new self(105, 105, 240, 300, $memory),
            Metal::Titanium => new self(105, 175, 330, 430, $memory),
            Metal::Stainless => new self(193, 240, 520, 900, $memory),
            Metal::Gold24k => new self(78, 30, 110, 165, $memory),
            Metal::Gold18k => new self(85, 180, 380, 480, $memory),
            Metal::Gold14k => new self(88, 200, 420, 550, $memory),
            Metal::GoldFilled => new self(110, 110, 330, 430, $memory),
        };
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
