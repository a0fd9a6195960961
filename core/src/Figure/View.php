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

    /** From above: what is nearer to the viewer lies lower on the page. */
    case Top = 'top';

    /** @return list<self> the three that a sheet shows */
    public static function sides(): array
    {
        return [self::Front, self::Side, self::Back];
    }

    /** How far it is turned about its upright axis for it. */
    public function degrees(): float
    {
        return match ($this) {
            self::Front, self::Top => 0.0,
            self::Side => 90.0,
            self::Back => 180.0,
        };
    }

    /** Where what lies so far right of the middle is seen. */
    public function across(float $xMm): float
    {
        return match ($this) {
            self::Front, self::Top => $xMm,
            self::Side => -SeenPath::ASIDE * $xMm,
            self::Back => -$xMm,
        };
    }

    /** How what is turned clockwise, seen from the front, is seen turned. */
    public function turned(float $degrees): float
    {
        return match ($this) {
            self::Front => $degrees,
            self::Side, self::Top => 0.0,
            self::Back => -$degrees,
        };
    }
}
