<?php

declare(strict_types=1);

namespace Hebra\Core\Bead;

/** What a bead is made of, for its weight and its look. Densities in g/cm³ [memory]. */
enum Material: string
{
    case Glass = 'glass';
    case Stone = 'stone';
    case Pearl = 'pearl';
    case Wood = 'wood';
    case Ceramic = 'ceramic';
    case Metal = 'metal';
    case Resin = 'resin';

    public function gramsPerCubicCentimetre(): float
    {
        return match ($this) {
            self::Glass => 2.5,
            self::Stone => 2.65,
            self::Pearl => 2.7,
            self::Wood => 0.7,
            self::Ceramic => 2.4,
            self::Metal => 8.5,
            self::Resin => 1.15,
        };
    }
}
