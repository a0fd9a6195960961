<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/**
 * A wire as a bender takes it: how far it is fed before a bend, how far it is rotated about itself since the last one,
 * how far it is bent, and the inside radius. Millimetres and degrees. A bend on the spot has the radius 0; of a helix
 * every stretch is a bend, rotated a little from the one before it. Source: geometry, the three numbers of tube
 * benders.
 */
final class BendTable
{
    /** What turns less is straight, radians. */
    private const STRAIGHT = 0.01;

    /** Bends alike in radius, as a share, and in plane, radians, are one. */
    private const ALIKE = 0.05;

    private const IN_PLANE = 0.05;

    private float $fedMm = 0.0;

    private ?Vector $lastNormal = null;

    /** @var array{normal: Vector, along: Vector, angle: float, radius: float, fed: float}|null the bend under way */
    private ?array $bend = null;

    /** @var list<array{feed_mm: float, rotation_deg: float, angle_deg: float, radius_mm: float}> */
    private array $rows = [];

    private function __construct(private readonly float $wireMm)
    {
    }

    /**
     * @return list<array{feed_mm: float, rotation_deg: float, angle_deg: float, radius_mm: float}> the last without a
     *     bend: what is fed after it
     */
    public static function of(Curve $curve, float $wireMm): array
    {
        $table = new self($wireMm);
        $last = null;
        foreach ($curve->spans as $span) {
            if ($span->lengthMm() < 1e-9) {
                continue;
            }
            $runs = $span->runs(0.0)->unit();
            $table->turned($last ?? $runs, $runs);
            $table->add($span, $runs);
            $last = $span->runs(1.0)->unit();
        }
        $table->ended();
        $table->rows[] = self::row($table->fedMm, 0.0, 0.0, 0.0);

        return $table->rows;
    }

    /** On the spot. */
    private function turned(Vector $from, Vector $to): void
    {
        $angle = self::between($from, $to);
        if ($angle > self::STRAIGHT) {
            $this->ended();
            $this->begin($from->cross($to)->unit(), $from, $angle, 0.0);
            $this->ended();
        }
    }

    private function add(Span $span, Vector $runs): void
    {
        $middle = $span->runs(0.5)->unit();
        $angle = self::between($runs, $middle) + self::between($middle, $span->runs(1.0)->unit());
        if ($angle < self::STRAIGHT) {
            $this->ended();
            $this->fedMm += $span->lengthMm();

            return;
        }
        $normal = $runs->cross($middle)->unit();
        $radius = $span->lengthMm() / $angle;
        if ($this->bend !== null && $this->isAlike($normal, $radius)) {
            $this->bend['angle'] += $angle;

            return;
        }
        $this->ended();
        $this->begin($normal, $runs, $angle, $radius);
    }

    private function isAlike(Vector $normal, float $radius): bool
    {
        return $this->bend !== null && abs($radius / max(1e-9, $this->bend['radius']) - 1) < self::ALIKE
            && self::between($normal, $this->bend['normal']) < self::IN_PLANE;
    }

    private function begin(Vector $normal, Vector $along, float $angle, float $radius): void
    {
        $this->bend = [
            'normal' => $normal, 'along' => $along, 'angle' => $angle, 'radius' => $radius, 'fed' => $this->fedMm,
        ];
        $this->fedMm = 0.0;
    }

    private function ended(): void
    {
        if ($this->bend === null) {
            return;
        }
        ['normal' => $normal, 'along' => $along, 'angle' => $angle, 'radius' => $radius, 'fed' => $fed] = $this->bend;
        $last = $this->lastNormal ?? $normal;
        $rotation = self::between($last, $normal) * ($last->cross($normal)->dot($along) < 0 ? -1 : 1);
        $this->rows[] = self::row($fed, $rotation, $angle, max(0.0, $radius - $this->wireMm / 2));
        [$this->lastNormal, $this->bend] = [$normal, null];
    }

    private static function between(Vector $one, Vector $other): float
    {
        return atan2($one->cross($other)->lengthMm(), $one->dot($other));
    }

    /** @return array{feed_mm: float, rotation_deg: float, angle_deg: float, radius_mm: float} */
    private static function row(float $feedMm, float $rotation, float $angle, float $radiusMm): array
    {
        return [
            'feed_mm' => round($feedMm, 3), 'rotation_deg' => round(rad2deg($rotation), 2) + 0.0,
            'angle_deg' => round(rad2deg($angle), 2), 'radius_mm' => round($radiusMm, 3),
        ];
    }
}
