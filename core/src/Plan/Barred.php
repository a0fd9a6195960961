<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** Why a wire cannot do a role, in short. */
enum Barred: string
{
    case Thick = 'too-thick';
    case Cracks = 'cracks';
    case Hammer = 'hammer';
    case Weak = 'too-weak';

    public function words(): string
    {
        return match ($this) {
            self::Thick => 'too thick for the hole',
            self::Cracks => 'cracks in the bend',
            self::Hammer => 'cracks under the hammer',
            self::Weak => 'too weak: its eye pulls open',
        };
    }
}
