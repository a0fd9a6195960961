<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Fit\Frame;

/**
 * The middle line of a frame, walked clockwise from its top: millimetres, top at (0, 0), y downwards. Its length is the
 * frame's outline.
 */
final readonly class Outline
{
    /**
     * @param  non-empty-list<array{float, float}>  $points  closed: the last is the first
     * @param  list<float>  $reached  length walked at each
     */
    private function __construct(public array $points, private array $reached)
    {
    }

    public static function of(Frame $shape, float $sizeMm): self
    {
        $points = match ($shape) {
            Frame::Hoop => self::arc(0.0, $sizeMm / 2, $sizeMm / 2, -0.25, 0.75),
            Frame::Square => self::corners([[0, 0], [1, 1], [0, 2], [-1, 1], [0, 0]], $sizeMm / sqrt(2)),
            Frame::Triangle => self::corners(
                [[0, 0], [0.5, sqrt(3) / 2], [0, sqrt(3) / 2], [-0.5, sqrt(3) / 2], [0, 0]],
                $sizeMm,
            ),
            Frame::Drop => self::drop($sizeMm),
        };
        $reached = [0.0];
        foreach (array_slice($points, 1) as $at => [$x, $y]) {
            $reached[] = $reached[$at] + hypot($x - $points[$at][0], $y - $points[$at][1]);
        }

        return new self($points, $reached);
    }

    /** @return non-empty-list<array{float, float}> */
    private static function arc(float $x, float $y, float $radius, float $from, float $to): array
    {
        return array_map(function (int $step) use ($x, $y, $radius, $from, $to): array {
            $angle = 2 * M_PI * ($from + ($to - $from) * $step / 120);

            return [$x + $radius * cos($angle), $y + $radius * sin($angle)];
        }, range(0, 120));
    }

    /**
     * @param  non-empty-list<array{float|int, float|int}>  $corners
     * @return non-empty-list<array{float, float}>
     */
    private static function corners(array $corners, float $scale): array
    {
        return array_map(fn (array $corner): array => [$corner[0] * $scale, $corner[1] * $scale], $corners);
    }

    /**
     * Two tangents from the apex to a circle of the drop's width, a width below it.
     *
     * @return non-empty-list<array{float, float}>
     */
    private static function drop(float $sizeMm): array
    {
        $free = acos(0.5) / (2 * M_PI);

        return [[0.0, 0.0], ...self::arc(0.0, $sizeMm, $sizeMm / 2, -0.25 + $free, 0.75 - $free), [0.0, 0.0]];
    }

    public function lengthMm(): float
    {
        return $this->reached[count($this->reached) - 1];
    }

    /**
     * @return array{float, float, float} x, y and the heading in degrees, clockwise from the right, at so many
     *     millimetres from the top
     */
    public function at(float $millimetres): array
    {
        $millimetres = fmod(fmod($millimetres, $this->lengthMm()) + $this->lengthMm(), $this->lengthMm());
        $at = 0;
        while ($at < count($this->points) - 2 && $this->reached[$at + 1] < $millimetres) {
            $at++;
        }
        [[$x0, $y0], [$x1, $y1]] = [$this->points[$at], $this->points[$at + 1]];
        $share = ($millimetres - $this->reached[$at]) / max(1e-12, $this->reached[$at + 1] - $this->reached[$at]);

        return [$x0 + ($x1 - $x0) * $share, $y0 + ($y1 - $y0) * $share, rad2deg(atan2($y1 - $y0, $x1 - $x0))];
    }

    public function bottomMm(): float
    {
        return max(array_column($this->points, 1));
    }
}
