<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Course\Move;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;

/** A bead as a body in a view: as deep as it is wide, as long as it is. Millimetres. */
final class SeenBead
{
    /** Of its width: so deep it lies behind its part. */
    private const BEHIND = 0.4;

    /** 0 far behind, 1, 2 before another */
    public int $layer = 1;

    /** @param  Vector  $ahead  how its hole runs, one millimetre long */
    public function __construct(
        private readonly Threaded $run, public readonly Move $move, public readonly Vector $at,
        private readonly Vector $ahead,
    ) {
    }

    /** In tenths of a millimetre: what is as deep stays in the order of its wire. */
    public function depth(): float
    {
        return round($this->at->z, 1);
    }

    public function isFarBehind(): bool
    {
        return $this->at->z < -self::BEHIND * $this->run->bead->widthMm;
    }

    public function mark(): BeadMark
    {
        [[$x, $y], [$dx, $dy]] = [SeenPath::page($this->at), SeenPath::page($this->ahead)];
        $turn = hypot($dx, $dy) < 1e-6 ? 0.0 : rad2deg(atan2(-$dx, $dy)) + ($this->run->isTurned ? 180.0 : 0.0);
        $top = round($y - $this->run->bead->lengthMm / 2, 4);

        return new BeadMark($this->run->bead, $top, $this->run->mark, $x, self::within($turn), $this->layer);
    }

    /** Degrees from over -180 to 180. */
    private static function within(float $degrees): float
    {
        return round(180.0 - fmod(540.0 - $degrees, 360.0), 2) + 0.0;
    }

    /** Whether something so thick lies before it where that is. */
    public function isCoveredBy(Vector $other, float $thickMm): bool
    {
        $bead = $this->run->bead;
        $off = $other->minus($this->at);
        $along = $off->x * $this->ahead->x + $off->y * $this->ahead->y;
        $across = sqrt(max(0.0, $off->x ** 2 + $off->y ** 2 - $along ** 2));
        $radius = $bead->widthMm / 2;
        $aside = max(0.0, hypot($across, $along * $bead->widthMm / $bead->lengthMm) - $thickMm / 2);

        return $aside < $radius && $off->z > sqrt($radius ** 2 - $aside ** 2) - $thickMm / 2;
    }
}
