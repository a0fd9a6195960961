<?php

declare(strict_types=1);

namespace Hebra\Core\Scene;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/** Round wire as a solid: a ring of corners wherever it has turned a little, carried along without twisting. */
final class Tube
{
    private const SIDES = 8;

    /** How far it may turn from ring to ring, radians. */
    private const TURN = 0.35;

    private const NEAR_MM = 0.03;

    public static function along(Curve $curve, float $wireMm): Mesh
    {
        $mesh = new Mesh;
        $before = [];
        $side = null;
        foreach (self::stops($curve) as [$at, $ahead]) {
            $side = self::across($side ?? new Vector(0.0, 0.0, 1.0), $ahead);
            $ring = self::ring($mesh, $at, $ahead, $side, $wireMm / 2);
            if ($before === []) {
                self::cap($mesh, $at, $ahead->times(-1.0), array_reverse($ring));
            } else {
                $mesh->skin($before, $ring);
            }
            $before = $ring;
            $last = [$at, $ahead];
        }
        if (isset($last)) {
            self::cap($mesh, $last[0], $last[1], $before);
        }

        return $mesh;
    }

    /** @return list<array{Vector, Vector}> where a ring stands, and how the wire runs there */
    private static function stops(Curve $curve): array
    {
        $stops = [];
        $last = null;
        foreach ($curve->spans as $span) {
            if ($span->lengthMm() < 1e-6) {
                continue;
            }
            $from = $span->runs(0.0)->unit();
            // A corner on the spot is mitred by two rings in its place.
            if ($last === null || $last->dot($from) < cos(self::TURN)) {
                $stops[] = [$span->from, $from];
            }
            for ($piece = 1, $pieces = self::pieces($span); $piece <= $pieces; $piece++) {
                $stops[] = [$span->at($piece / $pieces), $span->runs($piece / $pieces)->unit()];
            }
            $last = $span->runs(1.0)->unit();
        }

        return $stops;
    }

    private static function pieces(Span $span): int
    {
        $turn = 0.0;
        for ($quarter = 0; $quarter < 4; $quarter++) {
            [$one, $other] = [$span->runs($quarter / 4)->unit(), $span->runs(($quarter + 1) / 4)->unit()];
            $turn += acos(max(-1.0, min(1.0, $one->dot($other))));
        }

        // So many that no chord strays far from the bend.
        $most = min(self::TURN, sqrt(8 * self::NEAR_MM * $turn / max(1e-9, $span->lengthMm())));

        return max(1, (int) ceil($turn / max(1e-3, $most)));
    }

    /** As near to the last side as is square to the wire. */
    private static function across(Vector $side, Vector $ahead): Vector
    {
        $square = $side->minus($ahead->times($side->dot($ahead)));
        if ($square->lengthMm() < 1e-6) {
            $square = $ahead->cross(new Vector(abs($ahead->x) < 0.9 ? 1.0 : 0.0, abs($ahead->x) < 0.9 ? 0.0 : 1.0));
        }

        return $square->unit();
    }

    /** @return list<int> */
    private static function ring(Mesh $mesh, Vector $at, Vector $ahead, Vector $side, float $radiusMm): array
    {
        $other = $ahead->cross($side);
        $ring = [];
        for ($corner = 0; $corner < self::SIDES; $corner++) {
            $angle = 2 * M_PI * $corner / self::SIDES;
            $normal = $side->times(cos($angle))->plus($other->times(sin($angle)));
            $ring[] = $mesh->corner($at->plus($normal->times($radiusMm)), $normal);
        }

        return $ring;
    }

    /** @param  list<int>  $ring */
    private static function cap(Mesh $mesh, Vector $at, Vector $normal, array $ring): void
    {
        $middle = $mesh->corner($at, $normal);
        foreach ($ring as $corner => $one) {
            $mesh->triangle($middle, $one, $ring[($corner + 1) % count($ring)]);
        }
    }
}
