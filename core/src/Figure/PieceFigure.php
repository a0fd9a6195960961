<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Closure;
use Hebra\Core\Wire\Metal;

/** A piece as geometry in millimetres: x from the middle line, y down from its highest point. */
final class PieceFigure
{
    /** Directions in which an outline is told, an even number. */
    private const SIDES = 24;

    /** @var list<array{float, float}>|null */
    private ?array $outline = null;

    /** @var array{float, float, float, float}|null */
    private ?array $bounds = null;

    /**
     * @param  list<Stroke>  $strokes
     * @param  list<BeadMark>  $beads
     * @param  self|null  $original  what it is a copy of, with marks of its own
     */
    public function __construct(
        public readonly array $strokes, public readonly array $beads, private readonly ?self $original = null,
    ) {
    }

    /**
     * @return array{float, float, float, float} of what is drawn: left, top, right, bottom; of a point where nothing is
     */
    public function bounds(): array
    {
        return $this->bounds ??= $this->strokes === [] && $this->beads === [] ? [0.0, 0.0, 0.0, 0.0] : $this->drawn();
    }

    /** @return array{float, float, float, float} */
    private function drawn(): array
    {
        [$left, $top, $right, $bottom] = [INF, INF, -INF, -INF];
        foreach ($this->strokes as $stroke) {
            [$strokeLeft, $strokeTop, $strokeRight, $strokeBottom] = $stroke->bounds();
            $half = $stroke->wireMm / 2;
            $left = min($left, $strokeLeft - $half);
            $top = min($top, $strokeTop - $half);
            $right = max($right, $strokeRight + $half);
            $bottom = max($bottom, $strokeBottom + $half);
        }
        foreach ($this->beads as $mark) {
            [$x, $y, $wide, $high] = self::box($mark);
            $left = min($left, $x - $wide);
            $top = min($top, $y - $high);
            $right = max($right, $x + $wide);
            $bottom = max($bottom, $y + $high);
        }

        return [$left, $top, $right, $bottom];
    }

    /**
     * @return array{float, float, float, float} the same, and the point where it hangs: one that hangs begins at 0
     *     whatever its wire's edge
     */
    public function reach(): array
    {
        [$left, $top, $right, $bottom] = $this->bounds();

        return [min(0.0, $left), min(0.0, $top), max(0.0, $right), max(0.0, $bottom)];
    }

    /** @return array{float, float, float, float} the middle of a bead, and half its width and height */
    private static function box(BeadMark $mark): array
    {
        // A turned bead reaches no farther than its longer side.
        $across = $mark->turn === 0.0 ? $mark->bead->widthMm : max($mark->bead->widthMm, $mark->bead->lengthMm);
        $tall = $mark->turn === 0.0 ? $mark->bead->lengthMm : $across;

        return [$mark->xMm, $mark->topMm + $mark->bead->lengthMm / 2, $across / 2, $tall / 2];
    }

    /**
     * @return non-empty-list<array{float, float, float, float}> middles of all that is drawn, and half its width and
     *     height; where it hangs
     */
    private function boxes(): array
    {
        $boxes = [[0.0, 0.0, 0.0, 0.0]];
        foreach ($this->strokes as $stroke) {
            $half = $stroke->wireMm / 2;
            foreach ($stroke->places() as [$x, $y]) {
                $boxes[] = [$x, $y, $half, $half];
            }
        }

        return [...$boxes, ...array_map(self::box(...), $this->beads)];
    }

    /**
     * Points that it does not reach beyond, however it is turned, or hardly; each a corner of what is drawn, farthest
     * out on some side.
     *
     * @return list<array{float, float}>
     */
    public function outline(): array
    {
        return $this->outline ??= self::corners(self::farthest($this->boxes()));
    }

    /**
     * @param  non-empty-list<array{float, float, float, float}>  $boxes
     * @return list<array{float, float, float, float}> those that reach farthest on some side
     */
    private static function farthest(array $boxes): array
    {
        if (count($boxes) < 4) {
            return $boxes;
        }
        $far = [];
        for ($side = 0; $side < self::SIDES / 2; $side++) {
            [$dx, $dy] = [cos(2 * M_PI * $side / self::SIDES), sin(2 * M_PI * $side / self::SIDES)];
            [$wide, $high] = [abs($dx), abs($dy)];
            $ahead = $behind = $boxes[0];
            $most = $least = -INF;
            foreach ($boxes as $box) {
                [$at, $reach] = [$box[0] * $dx + $box[1] * $dy, $box[2] * $wide + $box[3] * $high];
                if ($at + $reach > $most) {
                    [$ahead, $most] = [$box, $at + $reach];
                }
                // The side across from it in the same go.
                if ($reach - $at > $least) {
                    [$behind, $least] = [$box, $reach - $at];
                }
            }
            $far[$side] = $ahead;
            $far[$side + self::SIDES / 2] = $behind;
        }

        return array_values(array_unique($far, SORT_REGULAR));
    }

    /**
     * @param  list<array{float, float, float, float}>  $boxes
     * @return list<array{float, float}>
     */
    private static function corners(array $boxes): array
    {
        $corners = [];
        foreach ($boxes as [$x, $y, $wide, $high]) {
            array_push(
                $corners, [$x - $wide, $y - $high], [$x + $wide, $y - $high], [$x - $wide, $y + $high],
                [$x + $wide, $y + $high],
            );
        }

        return $corners;
    }

    /** @param  Closure(string): string  $mark  what each mark is called instead */
    public function marked(Closure $mark): self
    {
        return new self(
            array_map(fn (Stroke $stroke): Stroke => $stroke->marked($mark($stroke->mark)), $this->strokes),
            array_map(fn (BeadMark $bead): BeadMark => $bead->marked($mark($bead->mark)), $this->beads),
            $this->original ?? $this,
        );
    }

    /** What is drawn alike, but for its marks, has the same. */
    public function likeness(): int
    {
        return spl_object_id($this->original ?? $this);
    }

    /** Its beads that are wound of wire, in that wire's metal. */
    public function woundOf(Metal $metal): self
    {
        return new self($this->strokes, array_map(
            fn (BeadMark $bead): BeadMark => $bead->bead->shape->isWound() ? $bead->woundOf($metal) : $bead,
            $this->beads,
        ));
    }

    /** Bent to a part of a circle. */
    public function bent(Arc $arc): self
    {
        return new self(
            array_map(fn (Stroke $stroke): Stroke => $stroke->bent($arc), $this->strokes),
            array_map(fn (BeadMark $mark): BeadMark => $mark->bent($arc), $this->beads),
        );
    }

    /** @return list<Stroke> as they are drawn one after the other */
    public function farToNear(): array
    {
        $strokes = $this->strokes;
        usort(
            $strokes,
            fn (Stroke $one, Stroke $other): int => [$one->layer, $one->rank] <=> [$other->layer, $other->rank],
        );

        return $strokes;
    }

    public function heightMm(): float
    {
        return $this->reach()[3];
    }

    public function widthMm(): float
    {
        [$left, , $right] = $this->reach();

        return $right - $left;
    }
}
