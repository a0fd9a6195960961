<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

use Hebra\Core\Quantity\OneOf;

/**
 * How hard the wire was left by the mill: 0, 1, 2, 4 and 8 B&S numbers drawn after annealing [published: ASTM B601 for
 * the designations].
 */
enum Temper: string
{
    case DeadSoft = 'dead-soft';
    case QuarterHard = 'quarter-hard';
    case HalfHard = 'half-hard';
    case Hard = 'hard';
    case Spring = 'spring';

    public function words(): string
    {
        return str_replace('-', ' ', $this->value);
    }

    public function numbersHard(): float
    {
        return match ($this) {
            self::DeadSoft => 0.0,
            self::QuarterHard => 1.0,
            self::HalfHard => 2.0,
            self::Hard => 4.0,
            self::Spring => 8.0,
        };
    }

    /** The grade nearest to so many numbers hard; between two, the softer. */
    public static function nearest(float $numbersHard): self
    {
        $nearest = self::DeadSoft;
        foreach (self::cases() as $grade) {
            if (abs($grade->numbersHard() - $numbersHard) < abs($nearest->numbersHard() - $numbersHard) - 1e-9) {
                $nearest = $grade;
            }
        }

        return $nearest;
    }

    public function isSofterThan(self $other): bool
    {
        return $this->numbersHard() < $other->numbersHard();
    }

    public static function read(string $text, string $field = 'temper'): self
    {
        return self::tryFrom(strtr(mb_strtolower(trim($text)), [' ' => '-']))
            ?? OneOf::read(self::class, $text, $field);
    }
}
