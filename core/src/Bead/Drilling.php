<?php

declare(strict_types=1);

namespace Hebra\Core\Bead;

/** Where the hole runs. */
enum Drilling: string
{
    case Lengthwise = 'lengthwise';
    case Top = 'top';
    case TwoHole = 'two-hole';

    public function words(): string
    {
        return match ($this) {
            self::Lengthwise => 'drilled lengthwise',
            self::Top => 'drilled across the top',
            self::TwoHole => 'drilled with two holes',
        };
    }
}
