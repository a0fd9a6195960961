<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\ParameterKind;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\PartId;

/** Which settings of a part measure a stretch that is seen, and where on the drawing that is: in its pixels. */
final class Measures
{
    /** Settings whose stretch is not called as they are: what may be it, first what is likeliest. */
    private const OF = [
        'inside' => ['top-loop', 'ring', 'round', 'links'],
        'wraps' => ['top-wraps', 'bottom-wraps', 'wraps'],
        'top_inside' => ['top-loop'], 'bottom_inside' => ['bottom-loop'], 'eye' => ['eye', 'bottom-loop'],
        'diameter' => ['round'], 'size' => ['outline'], 'bend' => ['hook'], 'length' => ['coil', 'weave', 'face'],
        'width' => ['face'], 'ends' => ['end-1', 'top-loop'], 'coil' => ['round'], 'end' => ['stop'],
        'wide' => ['links'], 'bar' => ['bar-1'], 'foot_turns' => ['foot'], 'ball' => ['foot'],
        'paddle' => ['foot'], 'end_coil' => ['binding'],
        'between' => ['binding'], 'binding_turns' => ['binding'],
    ];

    /** @var array<string, array{float, float}> by mark, of the first that is drawn of each part */
    private array $places = [];

    public function __construct(private readonly Drawing $drawing, Assembly $assembly)
    {
        $seen = [];
        foreach ($assembly->placed as [$figure, $pose]) {
            // What a part made often is drawn of is there once: its first place is enough.
            if (isset($seen[spl_object_id($figure)])) {
                continue;
            }
            $seen[spl_object_id($figure)] = true;
            $corners = [];
            foreach ($figure->strokes as $stroke) {
                foreach ($stroke->path as $command) {
                    $corners[$stroke->mark][] = $pose->at(...array_map(floatval(...), Stroke::end($command)));
                }
            }
            foreach ($figure->beads as $bead) {
                $corners[$bead->mark][] = $pose->at($bead->xMm, $bead->topMm + $bead->bead->lengthMm / 2);
            }
            foreach ($corners as $mark => $points) {
                $this->places[$mark] ??= self::amid($points);
            }
        }
    }

    /**
     * Of its own points the one nearest to the middle of all: what lies round is pointed at where it lies.
     *
     * @param  non-empty-list<array{float, float}>  $points
     * @return array{float, float}
     */
    private static function amid(array $points): array
    {
        [$x, $y] = [self::middle(array_column($points, 0)), self::middle(array_column($points, 1))];
        $nearest = $points[0];
        foreach ($points as $point) {
            $isNearer = hypot($point[0] - $x, $point[1] - $y) < hypot($nearest[0] - $x, $nearest[1] - $y) - 1e-6;
            $nearest = $isNearer ? $point : $nearest;
        }

        return $nearest;
    }

    /** @param  non-empty-list<float>  $along */
    private static function middle(array $along): float
    {
        return (min($along) + max($along)) / 2;
    }

    /** @return array{float, float}|null where a mark is in the drawing */
    public function at(string $mark): ?array
    {
        $place = $this->places[$mark] ?? null;

        return $place === null ? null : [$this->drawing->x($place[0]), $this->drawing->y($place[1])];
    }

    /**
     * Where a part is seen at all: what of it was drawn first.
     *
     * @return array{float, float}|null
     */
    public function ofPart(PartId $part): ?array
    {
        foreach (array_keys($this->places) as $mark) {
            if (str_starts_with($mark, $part->text.':')) {
                return $this->at($mark);
            }
        }

        return null;
    }

    /**
     * Where what a setting measures is in the drawing, and its mark; null where it is not seen.
     *
     * @return array{float, float, string}|null
     */
    public function of(Part $part, Parameter $parameter): ?array
    {
        if (! in_array($parameter->kind, [ParameterKind::Length, ParameterKind::Count], true)) {
            return null;
        }
        foreach (self::OF[$parameter->key] ?? [strtr($parameter->key, '_', '-')] as $name) {
            $mark = $part->id->mark($name);
            $at = $this->at($mark);
            if ($at !== null) {
                return [...$at, $mark];
            }
        }

        return null;
    }
}
