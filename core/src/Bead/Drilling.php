<?php

declare(strict_types=1);

namespace Hebra\Core\Bead;

/** Where the hole runs, if there is one: stones set in a row are joined by links, as thick as is said of a hole. */
enum Drilling: string
{
    case Lengthwise = 'lengthwise';
    case Top = 'top';
    case TwoHole = 'two-hole';
    case ThreeHole = 'three-hole';
    case Row = 'row';

    /** @return list<string> what may be said of a bead that has a hole */
    public static function ofHoles(): array
    {
        return [self::Lengthwise->value, self::Top->value, self::TwoHole->value, self::ThreeHole->value];
    }

    /** How many wires run through it side by side. */
    public function holes(): int
    {
        return match ($this) {
            self::Row => 0,
            self::Lengthwise, self::Top => 1,
            self::TwoHole => 2,
            self::ThreeHole => 3,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Lengthwise => 'drilled lengthwise',
            self::Top => 'drilled across the top',
            self::TwoHole => 'drilled with two holes',
            self::ThreeHole => 'drilled with three holes',
            self::Row => 'joined in a row without a hole',
        };
    }
}
