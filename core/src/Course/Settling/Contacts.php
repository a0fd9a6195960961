<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Settling;

/** Places of wires that are near each other, found by the cells of a grid they lie in. Millimetres. */
final class Contacts
{
    /** So far apart, beyond touching, two are near. */
    private const NEAR_MM = 0.1;

    /** A wire is no neighbour of itself within so many thicknesses. */
    private const ITSELF = 1.7;

    private readonly float $farthestMm;

    public function __construct(private readonly Bodies $bodies, private readonly Shift $shift)
    {
        $this->farthestMm = max([0.1, ...$bodies->thick]) + self::NEAR_MM;
    }

    /**
     * @param  float  $deep  of the thinner of two
     * @return list<array{int, int, float}> all that press so deep
     */
    public function pressing(float $deep): array
    {
        $there = array_keys(array_filter($this->bodies->isThere));
        $thick = $this->bodies->thick;

        return array_values(array_filter(
            $this->among(array_combine($there, $there), 0.0),
            fn (array $pair): bool => $deep * min($thick[$pair[0]], $thick[$pair[1]])
                < $pair[2] - $this->shift->apartMm($pair[0], $pair[1]),
        ));
    }

    /** @return list<array{int, int, float}> what was pushed so far, and what is near it */
    public function near(): array
    {
        return $this->among($this->shift->pushed, self::NEAR_MM);
    }

    /**
     * @param  array<int, int>  $some  places, each by itself
     * @return list<array{int, int, float}> one of them and another place, the one that is laid later second, and how
     *     far apart they touch
     */
    private function among(array $some, float $beyondMm): array
    {
        [$x, $y, $z, $thick] = [$this->shift->x, $this->shift->y, $this->shift->z, $this->bodies->thick];
        [$cells, $near] = [new Cells($this->bodies, $this->shift, $this->farthestMm), []];
        foreach ($some as $one) {
            $others = $this->bodies->isThere[$one] ? $cells->around($one, ! $this->bodies->isLeft[$one]) : [];
            [$atX, $atY, $atZ, $reach] = [$x[$one], $y[$one], $z[$one], $thick[$one] / 2 + $beyondMm];
            foreach ($others as $other) {
                if ($other <= $one && isset($some[$other])) {
                    continue;
                }
                $far = $reach + $thick[$other] / 2;
                $asideX = $atX - $x[$other];
                $asideY = $atY - $y[$other];
                // Most lie too far aside: nothing more is asked of them.
                if ($asideX > $far || $asideX < -$far || $asideY > $far || $asideY < -$far) {
                    continue;
                }
                $asideZ = $atZ - $z[$other];
                $isNear = $asideX * $asideX + $asideY * $asideY + $asideZ * $asideZ < $far * $far;
                $touch = $far - $beyondMm;
                if ($isNear && $this->meet($one, $other, $touch)) {
                    $near[] = $one < $other ? [$one, $other, $touch] : [$other, $one, $touch];
                }
            }
        }

        return $near;
    }

    /** Whether two places can press: not a wire's own next, nor two ends that are closed. */
    private function meet(int $one, int $other, float $touch): bool
    {
        $bodies = $this->bodies;
        $isNext = $bodies->wire[$one] === $bodies->wire[$other]
            && abs($bodies->mm[$one] - $bodies->mm[$other]) < self::ITSELF * $touch;

        return ! $isNext && ! ($bodies->isEnd[$one] && $bodies->isEnd[$other]);
    }
}
