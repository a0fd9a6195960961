<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;

/** A bead as a body in a view: as wide, deep and long as it is from there. Millimetres. */
final class SeenBead
{
    /** Of its width: so deep it lies behind its part. */
    private const BEHIND = 0.4;

    /** A hole that runs so little across the view looks to the viewer. */
    private const END_ON = 0.2;

    /** 0 far behind, 1, 2 before another */
    public int $layer = 1;

    /**
     * @param  Vector  $ahead  how its hole runs, one millimetre long
     * @param  Vector  $face  where the face of what is flat looks, one millimetre long
     */
    public function __construct(
        private readonly Threaded $run, public readonly Move $move, public readonly Vector $at,
        private readonly Vector $ahead, private readonly Vector $face,
    ) {
    }

    /** How wide it is seen: what is flat, from its edge, as thin as it is. */
    private function wide(): float
    {
        $thin = $this->run->bead->shape->thickness();

        return sqrt($thin ** 2 + (1 - $thin ** 2) * $this->face->z ** 2);
    }

    /** How deep it is beside its width. */
    private function deep(): float
    {
        $thin = $this->run->bead->shape->thickness();

        return sqrt($thin ** 2 + (1 - $thin ** 2) * (1 - $this->face->z ** 2));
    }

    /** How long it is seen: where its hole looks to the viewer, as round as it is wide. */
    private function long(): float
    {
        $endOn = $this->run->bead->widthMm / $this->run->bead->lengthMm;

        return sqrt(1 + ($endOn ** 2 - 1) * $this->ahead->z ** 2);
    }

    /** In tenths of a millimetre: what is as deep stays in the order of its wire. */
    public function depth(): float
    {
        return round($this->at->z, 1);
    }

    /** An eye, and what hangs in it, is within a cone on every side. */
    public function hidesItsEye(): bool
    {
        return $this->run->bead->shape === BeadShape::Cone;
    }

    public function isFarBehind(): bool
    {
        return $this->at->z < -self::BEHIND * $this->run->bead->widthMm;
    }

    public function mark(): BeadMark
    {
        [[$x, $y], [$dx, $dy]] = [SeenPath::page($this->at), SeenPath::page($this->ahead)];
        $isEndOn = hypot($this->ahead->x, $this->ahead->y) < self::END_ON;
        $half = $this->run->isTurned ? 180.0 : 0.0;
        $turn = $isEndOn ? 0.0 : rad2deg(atan2(-$dx, $dy)) + $half;
        $top = round($y - $this->run->bead->lengthMm / 2, 4);

        return new BeadMark(
            $this->run->bead, $top, $this->run->mark, $x, self::within($turn), $this->layer, round($this->wide(), 3),
            round($this->long(), 3),
        );
    }

    /** Degrees from over -180 to 180. */
    private static function within(float $degrees): float
    {
        return round(180.0 - fmod(540.0 - $degrees, 360.0), 2) + 0.0;
    }

    /**
     * How near its surface comes to the viewer beside a place on the page, half a thickness farther out than it is: a
     * flat
     * body with three unlike axes, met by a line of sight. Null where that passes it.
     */
    private function frontMm(Vector $off, float $thickMm): ?float
    {
        [$bead, $more] = [$this->run->bead, $thickMm / 2];
        $half = [$bead->lengthMm / 2 + $more, $bead->widthMm / 2 + $more,
            $bead->widthMm / 2 * $bead->shape->thickness()];
        [$straight, $mixed, $flat] = [0.0, 0.0, -1.0];
        foreach ([$this->ahead, $this->ahead->cross($this->face), $this->face] as $axis => $along) {
            $here = ($off->x * $along->x + $off->y * $along->y) / $half[$axis];
            $sight = $along->z / $half[$axis];
            [$straight, $mixed, $flat] = [$straight + $sight ** 2, $mixed + $here * $sight, $flat + $here ** 2];
        }
        $meets = $mixed ** 2 - $straight * $flat;

        return $meets < 0.0 ? null : (sqrt($meets) - $mixed) / max(1e-9, $straight);
    }

    /** How far from its middle something so thick may lie before it, on the page. */
    private function aroundMm(float $thickMm): float
    {
        $bead = $this->run->bead;

        return max(1.0, $bead->lengthMm / $bead->widthMm) * ($bead->widthMm + $thickMm) / 2;
    }

    /** Whether something so thick lies before it where that is. */
    public function isCoveredBy(Vector $other, float $thickMm): bool
    {
        $aroundMm = $this->aroundMm($thickMm);
        if (abs($other->x - $this->at->x) > $aroundMm || abs($other->y - $this->at->y) > $aroundMm) {
            return false;
        }
        $bead = $this->run->bead;
        $off = $other->minus($this->at);
        if ($bead->shape->thickness() < 1.0) {
            $front = $this->frontMm($off, $thickMm);

            return $front !== null && $off->z > $front - $thickMm / 2;
        }
        $along = $off->x * $this->ahead->x + $off->y * $this->ahead->y;
        $across = sqrt(max(0.0, $off->x ** 2 + $off->y ** 2 - $along ** 2));
        $radius = $bead->widthMm / 2;
        $out = hypot($across / $this->wide(), $along * $bead->widthMm / $bead->lengthMm);
        $aside = max(0.0, $out - $thickMm / 2);

        return $aside < $radius && $off->z > $this->deep() * sqrt($radius ** 2 - $aside ** 2) - $thickMm / 2;
    }
}
