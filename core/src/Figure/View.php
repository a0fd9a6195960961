<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/** From where a piece is seen as it hangs. */
enum View: string
{
    case Front = 'front';

    /** From its right. */
    case Side = 'side';

    case Back = 'back';

    /** How far it is turned about its upright axis for it. */
    public function degrees(): float
    {
        return match ($this) {
            self::Front => 0.0,
            self::Side => 90.0,
            self::Back => 180.0,
        };
    }

    /** Where what lies so far right of the middle is seen. */
    public function across(float $xMm): float
    {
        return match ($this) {
            self::Front => $xMm,
            self::Side => -SeenPath::ASIDE * $xMm,
            self::Back => -$xMm,
        };
    }

    /** How what is turned clockwise, seen from the front, is seen turned. */
    public function turned(float $degrees): float
    {
        return match ($this) {
            self::Front => $degrees,
            self::Side => 0.0,
            self::Back => -$degrees,
        };
    }
}
