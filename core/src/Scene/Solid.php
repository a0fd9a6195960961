<?php

declare(strict_types=1);

namespace Hebra\Core\Scene;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Course\Vector;

/**
 * A bead as a solid about its hole: a profile turned round it, flattened where the shape is flat. What is cut has
 * faces,
 * what is round is smooth.
 */
final class Solid
{
    private const SIDES = 20;

    private const FACETS = 6;

    private const STEPS = 12;

    /** Profiles of what is no ball: along its hole from -1 to 1, and how far out there, from 0 to 1. */
    private const PROFILES = [
        'bicone' => [[-1, 0.15], [0, 1], [1, 0.15]],
        'tube' => [[-1, 0], [-1, 1], [1, 1], [1, 0]],
        'coil' => [[-1, 0], [-1, 1], [1, 1], [1, 0]],
        'seed' => [[-1, 0], [-1, 0.75], [-0.5, 1], [0.5, 1], [1, 0.75], [1, 0]],
        'tile' => [[-1, 0], [-1, 1], [1, 1], [1, 0]],
        'drop' => [[-1, 0], [-0.6, 0.3], [-0.1, 0.8], [0.35, 1], [0.75, 0.85], [0.95, 0.5], [1, 0]],
        'cone' => [[-1, 0.2], [-0.2, 0.55], [1, 1], [0.95, 0.9], [-0.2, 0.45]],
        'cap' => [[-1, 0], [-0.4, 0.5], [1, 1], [0.9, 0.9], [-0.2, 0.4]],
    ];

    /**
     * @param  Vector  $along  where its lower end, as beads are drawn, lies from its middle
     * @param  Vector  $front  where the face of what is flat looks
     */
    public static function of(Bead $bead, Vector $at, Vector $along, Vector $front = new Vector(0.0, 0.0, 1.0)): Mesh
    {
        $ahead = $along->unit();
        $across = $ahead->cross($front);
        $across = $across->lengthMm() < 1e-6 ? new Vector(1.0, 0.0) : $across->unit();
        $deep = $ahead->cross($across)->unit();
        $half = [$bead->widthMm / 2, $bead->widthMm / 2 * $bead->shape->thickness(), $bead->lengthMm / 2];

        return self::turned(
            self::profile($bead->shape), self::sides($bead->shape), [$across, $deep, $ahead], $half, $at,
        );
    }

    /** @return list<array{float|int, float|int}> */
    private static function profile(BeadShape $shape): array
    {
        $told = self::PROFILES[$shape->value] ?? [];
        if ($told !== []) {
            return $told;
        }
        for ($step = 0; $step <= self::STEPS; $step++) {
            $angle = M_PI * $step / self::STEPS;
            $told[] = [-cos($angle), sin($angle)];
        }

        return $told;
    }

    private static function sides(BeadShape $shape): int
    {
        return match ($shape) {
            BeadShape::Bicone => self::FACETS,
            BeadShape::Tile => 4,
            default => self::SIDES,
        };
    }

    /**
     * @param  list<array{float|int, float|int}>  $profile
     * @param  array{Vector, Vector, Vector}  $axes  across, deep, along
     * @param  array{float, float, float}  $half  how far it reaches along each, mm
     */
    private static function turned(array $profile, int $sides, array $axes, array $half, Vector $at): Mesh
    {
        $mesh = new Mesh;
        for ($step = 0; $step + 1 < count($profile); $step++) {
            for ($side = 0; $side < $sides; $side++) {
                $corners = [];
                foreach ([
                    [$step, $side], [$step, $side + 1], [$step + 1, $side + 1], [$step + 1, $side],
                ] as [$ring, $turn]) {
                    [$along, $out] = $profile[$ring];
                    // A tile's corners lie in its corners.
                    $angle = 2 * M_PI * ($turn + ($sides === 4 ? 0.5 : 0.0)) / $sides;
                    $reach = $sides === 4 ? M_SQRT2 : 1.0;
                    $corners[] = $at->plus($axes[0]->times($half[0] * $out * $reach * cos($angle)))
                        ->plus($axes[1]->times($half[1] * $out * $reach * sin($angle)))
                        ->plus($axes[2]->times($half[2] * $along));
                }
                self::face($mesh, $corners, $at, $sides === self::SIDES && count($profile) > self::STEPS);
            }
        }

        return $mesh;
    }

    /** @param  list<Vector>  $corners  four of them */
    private static function face(Mesh $mesh, array $corners, Vector $middle, bool $isSmooth): void
    {
        $flat = $corners[2]->minus($corners[0])->cross($corners[3]->minus($corners[1]));
        if ($flat->lengthMm() < 1e-9) {
            return;
        }
        $outwards = $corners[0]->plus($corners[2])->times(0.5)->minus($middle);
        $normal = $flat->unit()->times($flat->dot($outwards) < 0 ? -1.0 : 1.0);
        $numbers = array_map(
            fn (Vector $corner): int => $mesh->corner($corner, $isSmooth ? $corner->minus($middle)->unit() : $normal),
            $corners,
        );
        [$a, $b, $c, $d] = $flat->dot($outwards) < 0 ? array_reverse($numbers) : $numbers;
        $mesh->triangle($a, $b, $c);
        $mesh->triangle($a, $c, $d);
    }
}
