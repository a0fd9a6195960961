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

    public readonly float $left;

    public readonly float $right;

    public readonly float $bottom;

    /** Where it begins; one that hangs begins at 0 whatever its wire's edge. */
    public readonly float $top;

    /**
     * @var non-empty-list<array{float, float, float, float}> middles of all that is drawn, and half its width and
     *     height
     */
    private readonly array $boxes;

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
        $boxes = [[0.0, 0.0, 0.0, 0.0]];
        foreach ($strokes as $stroke) {
            $half = $stroke->wireMm / 2;
            $lastX = $lastY = 0.0;
            foreach ($stroke->path as $command) {
                $isCurve = $command[0] === 'C';
                [$x, $y] = $isCurve
                    ? [(float) ($command[5] ?? 0), (float) ($command[6] ?? 0)]
                    : [(float) $command[1], (float) $command[2]];
                if ($isCurve) {
                    $boxes[] = self::middle($command, $lastX, $lastY, $half);
                }
                $boxes[] = [$x, $y, $half, $half];
                [$lastX, $lastY] = [$x, $y];
            }
        }
        foreach ($beads as $mark) {
            // A turned bead reaches no farther than its longer side.
            $across = $mark->turn === 0.0 ? $mark->bead->widthMm : max($mark->bead->widthMm, $mark->bead->lengthMm);
            $tall = $mark->turn === 0.0 ? $mark->bead->lengthMm : $across;
            $boxes[] = [$mark->xMm, $mark->topMm + $mark->bead->lengthMm / 2, $across / 2, $tall / 2];
        }
        $left = $right = $bottom = $top = 0.0;
        foreach ($boxes as [$x, $y, $wide, $high]) {
            $x - $wide < $left && $left = $x - $wide;
            $x + $wide > $right && $right = $x + $wide;
            $y + $high > $bottom && $bottom = $y + $high;
            $y - $high < $top && $top = $y - $high;
        }
        [$this->left, $this->right, $this->bottom, $this->top, $this->boxes] = [$left, $right, $bottom, $top, $boxes];
    }

    /**
     * A cubic curve of a quarter turn at most reaches farthest in its middle or at its ends.
     *
     * @param  array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}  $curve
     * @return array{float, float, float, float}
     */
    private static function middle(array $curve, float $x, float $y, float $half): array
    {
        [$endX, $endY] = Stroke::end($curve);

        return [
            ($x + 3 * $curve[1] + 3 * ($curve[3] ?? 0) + $endX) / 8,
            ($y + 3 * $curve[2] + 3 * ($curve[4] ?? 0) + $endY) / 8,
            $half,
            $half,
        ];
    }

    /**
     * @return array{float, float, float, float} of what is drawn: left, top, right, bottom; of a point where nothing is
     */
    public function bounds(): array
    {
        return $this->bounds ??= $this->reaching();
    }

    /** @return array{float, float, float, float} */
    private function reaching(): array
    {
        [$left, $top, $right, $bottom] = [INF, INF, -INF, -INF];
        // The first is where it hangs.
        foreach (count($this->boxes) > 1 ? array_slice($this->boxes, 1) : $this->boxes as [$x, $y, $wide, $high]) {
            $left = min($left, $x - $wide);
            $top = min($top, $y - $high);
            $right = max($right, $x + $wide);
            $bottom = max($bottom, $y + $high);
        }

        return [$left, $top, $right, $bottom];
    }

    /**
     * Points that it does not reach beyond, however it is turned, or hardly; each a corner of what is drawn, farthest
     * out on some side.
     *
     * @return list<array{float, float}>
     */
    public function outline(): array
    {
        return $this->outline ??= self::corners(count($this->boxes) < 4 ? $this->boxes : $this->farthest());
    }

    /** @return list<array{float, float, float, float}> the boxes that reach farthest on some side */
    private function farthest(): array
    {
        $far = [];
        for ($side = 0; $side < self::SIDES / 2; $side++) {
            [$dx, $dy] = [cos(2 * M_PI * $side / self::SIDES), sin(2 * M_PI * $side / self::SIDES)];
            [$wide, $high] = [abs($dx), abs($dy)];
            $ahead = $behind = $this->boxes[0];
            $most = $least = -INF;
            foreach ($this->boxes as $box) {
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
        return $this->bottom;
    }

    public function widthMm(): float
    {
        return $this->right - $this->left;
    }
}
