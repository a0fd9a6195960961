<?php

declare(strict_types=1);

namespace Hebra\Core\Scene;

use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Pose;

/**
 * Every wire's middle line as a polyline in space, a layer for each part and wire, in millimetres, x right, y up, z to
 * the front. Source: DXF reference, release 12, the sections HEADER and ENTITIES; POLYLINE with the flag 8 is one in
 * space.
 */
final class Dxf
{
    private const STEP_MM = 0.5;

    /** @param  list<ScenePart>  $parts */
    public static function of(array $parts): string
    {
        $pairs = [
            [0, 'SECTION'], [2, 'HEADER'], [9, '$ACADVER'], [1, 'AC1009'], [9, '$INSUNITS'], [70, '4'], [0, 'ENDSEC'],
            [0, 'SECTION'], [2, 'ENTITIES'],
        ];
        foreach ($parts as $part) {
            foreach ($part->poses as $pose) {
                foreach ($part->wires as $wire) {
                    array_push($pairs, ...self::polyline($part->name.'-'.$wire->label, $wire, $pose));
                }
            }
        }
        array_push($pairs, [0, 'ENDSEC'], [0, 'EOF']);

        return implode('', array_map(fn (array $pair): string => $pair[0]."\r\n".$pair[1]."\r\n", $pairs));
    }

    /** @return list<array{int, string}> */
    private static function polyline(string $name, SceneWire $wire, Pose $pose): array
    {
        $layer = mb_substr((string) preg_replace('/[^A-Za-z0-9_-]+/', '_', $name), 0, 31);
        $pairs = [[0, 'POLYLINE'], [8, $layer], [66, '1'], [70, '8'], [10, '0.0'], [20, '0.0'], [30, '0.0']];
        foreach ($wire->curve->points(self::STEP_MM) as $at) {
            array_push($pairs, ...self::vertex($layer, $at, $pose));
        }
        $pairs[] = [0, 'SEQEND'];
        $pairs[] = [8, $layer];

        return $pairs;
    }

    /** @return list<array{int, string}> */
    private static function vertex(string $layer, Vector $at, Pose $pose): array
    {
        [$x, $y] = $pose->at($at->x, $at->y);
        $number = fn (float $mm): string => number_format(round($mm, 4) + 0.0, 4, '.', '');

        return [
            [0, 'VERTEX'], [8, $layer], [10, $number($x)], [20, $number(-$y)], [30, $number($at->z)], [70, '32'],
        ];
    }
}
