<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

/** What a piece is to fit. */
enum FitKind: string
{
    case Ear = 'ear';
    case Finger = 'finger';
    case Wrist = 'wrist';
    case Neck = 'neck';
    case Hoop = 'hoop';

    /** Whether what is worn there lies round it in a line of parts. */
    public function isRound(): bool
    {
        return $this === self::Wrist || $this === self::Neck;
    }

    public function words(): string
    {
        return match ($this) {
            self::Ear => 'an ear',
            self::Finger => 'a finger',
            self::Wrist => 'a wrist',
            self::Neck => 'a neck',
            self::Hoop => 'a hoop',
        };
    }

    /** What one piece is called while it is made. */
    public function noun(): string
    {
        return match ($this) {
            self::Ear, self::Hoop => 'earring',
            self::Finger => 'ring',
            self::Wrist, self::Neck => 'piece',
        };
    }

    /** Where its line of parts begins. */
    public function begins(): string
    {
        return match ($this) {
            self::Ear, self::Hoop => 'From the ear down',
            self::Finger => 'Round the finger',
            self::Wrist => 'Round the wrist',
            self::Neck => 'From the neck down',
        };
    }

    /** How its height on the drawing is told: only what hangs, hangs. */
    public function high(string $length): string
    {
        return $this === self::Ear || $this === self::Hoop ? "hangs {$length}" : "{$length} top to bottom";
    }

    /** What its size means. */
    public function asks(): string
    {
        return match ($this) {
            self::Ear => 'hangs at most',
            self::Finger => 'ring size or inside diameter',
            self::Wrist => 'girth of the wrist',
            self::Neck => 'length of the necklace',
            self::Hoop => 'diameter, to the wire’s middle',
        };
    }

    /** Millimetres that stand until the maker gives their own [common practice]. */
    public function usualMm(): float
    {
        return match ($this) {
            self::Ear => 70.0,
            self::Finger => 17.3,
            self::Wrist => 165.0,
            self::Neck => 457.0,
            self::Hoop => 30.0,
        };
    }

    public function leastMm(): float
    {
        return match ($this) {
            self::Ear => 5.0,
            self::Hoop => 8.0,
            self::Finger => 11.6,
            self::Wrist => 80.0,
            self::Neck => 200.0,
        };
    }

    public function mostMm(): float
    {
        return match ($this) {
            self::Ear => 300.0,
            self::Finger => 25.0,
            self::Wrist => 350.0,
            self::Neck => 2000.0,
            self::Hoop => 150.0,
        };
    }
}
