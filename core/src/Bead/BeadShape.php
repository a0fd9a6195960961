<?php

declare(strict_types=1);

namespace Hebra\Core\Bead;

/** Shapes of beads, and how much of the box round them they fill. */
enum BeadShape: string
{
    case Round = 'round';
    case Rondelle = 'rondelle';
    case Bicone = 'bicone';
    case Tube = 'tube';
    case Drop = 'drop';
    case Oval = 'oval';
    case Coin = 'coin';
    case Chip = 'chip';
    case Tile = 'tile';
    case Seed = 'seed';
    case Cap = 'cap';
    case Cone = 'cone';
    case Cup = 'cup';
    case Coil = 'coil';

    public function words(): string
    {
        return $this->value;
    }

    /** How thick it is beside its width: what is flat about a third [common practice]. */
    public function thickness(): float
    {
        return match ($this) {
            self::Coin, self::Tile, self::Chip => 0.35,
            self::Cup => 0.7,
            default => 1.0,
        };
    }

    /**
     * Volume as a share of length · width²: ellipsoid π/6, double cone π/12, cylinder π/4; a drop lies between cone and
     * ball; a coil's metal is weighed as the wire it is; coin and tile are about a third as thick as wide; a chip is
     * broken; a cap is a thin cup, a cone thinner still [geometry; drop,
     * coin, chip, tile, cap, cone, cup: from memory].
     */
    public function fill(): float
    {
        return match ($this) {
            self::Round, self::Rondelle, self::Oval => M_PI / 6,
            self::Bicone => M_PI / 12,
            self::Tube => M_PI / 4,
            self::Drop => M_PI / 7.5,
            self::Coin => M_PI / 4 * $this->thickness(),
            self::Chip, self::Tile => $this->thickness(),
            self::Seed => M_PI / 4 * 0.85,
            self::Cap => 0.12,
            self::Cone => 0.06,
            self::Cup => 0.4,
            self::Coil => 0.0,
        };
    }

    /** Whether no two are alike: a stack of them is measured, not reckoned. */
    public function isIrregular(): bool
    {
        return $this === self::Chip;
    }

    /** Length along the hole for a width, where only one size is given [common practice]. */
    public function usualLengthMm(float $widthMm): float
    {
        return match ($this) {
            self::Round, self::Bicone, self::Coin, self::Tile => $widthMm,
            self::Rondelle => $widthMm * 0.625,
            self::Chip => $widthMm * 0.5,
            self::Cap => $widthMm * 0.35,
            self::Cup => $widthMm * 1.25,
            self::Seed => $widthMm * 0.7,
            self::Tube => $widthMm * 2.5,
            self::Cone => $widthMm * 1.6,
            self::Drop, self::Oval, self::Coil => $widthMm * 1.5,
        };
    }

    /** So many times as wide as long no bead of the shape is made: a number that large is a count [common practice]. */
    public function mostWidths(): float
    {
        return match ($this) {
            self::Round, self::Bicone, self::Coin, self::Tile => 1.01,
            self::Chip, self::Seed, self::Cup => 2.0,
            self::Cap => 8.0,
            default => 3.0,
        };
    }

    /** What it is made of unless it is said. */
    public function usualMaterial(): Material
    {
        return $this->coversBeside() || $this === self::Coil ? Material::Metal : Material::Glass;
    }

    /** How it is drilled unless it is said. */
    public function usualDrilling(): Drilling
    {
        return match ($this) {
            self::Tile => Drilling::TwoHole,
            self::Cup => Drilling::Row,
            default => Drilling::Lengthwise,
        };
    }

    /**
     * The hole where none is said; of stones in a row the link that joins them, of a coil what it was wound on [common
     * practice].
     */
    public function usualHoleMm(float $widthMm): float
    {
        return match ($this) {
            self::Cup => 0.3 * $widthMm,
            self::Coil => 0.55 * $widthMm,
            default => 1.0,
        };
    }

    /** Whether it is hollow and opens towards what it holds, or hides. */
    public function coversBeside(): bool
    {
        return $this === self::Cap || $this === self::Cone;
    }

    /** Whether the maker winds it of wire. */
    public function isWound(): bool
    {
        return $this === self::Coil;
    }
}
