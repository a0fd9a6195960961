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

    public function words(): string
    {
        return $this->value;
    }

    /** Volume as a share of length · width²: ellipsoid π/6, double cone π/12, cylinder π/4; a drop lies between cone and ball [geometry; drop: from memory]. */
    public function fill(): float
    {
        return match ($this) {
            self::Round, self::Rondelle, self::Oval => M_PI / 6,
            self::Bicone => M_PI / 12,
            self::Tube => M_PI / 4,
            self::Drop => M_PI / 7.5,
        };
    }

    /** Length along the hole for a width, where only one size is given [common practice]. */
    public function usualLengthMm(float $widthMm): float
    {
        return match ($this) {
            self::Round, self::Bicone => $widthMm,
            self::Rondelle => $widthMm * 0.625,
            self::Tube => $widthMm * 2.5,
            self::Drop, self::Oval => $widthMm * 1.5,
        };
    }
}
