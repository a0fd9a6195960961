<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Handwork\Operation;

/**
 * Where a picture of a step is looked at: the bounds of what it works on; of all where that is nowhere. What is hooked
 * on is looked at where it hangs, what is threaded where its beads are, a long weave where it goes on. Millimetres.
 */
final readonly class Focus
{
    /** Of a long weave so much is looked at as shows how it goes. */
    private const WEAVE_MM = 24.0;

    /** What is turned over and longer is looked at in part. */
    private const LONG_MM = 70.0;

    /** A chain that is longer is looked at where it hangs, not along all of it. */
    private const HANDS_MM = 35.0;

    /** @param  list<string>  $marks  what the step works on */
    public function __construct(private Step $step, private array $marks)
    {
    }

    /**
     * @param  PieceFigure|null  $before  what there was before the step
     * @return array{float, float, float, float} left, top, right, bottom
     */
    public function of(PieceFigure $figure, ?PieceFigure $before): array
    {
        $worked = $this->worked($figure);
        if ($worked === null) {
            return $figure->bounds();
        }
        [$left, $top, $right, $bottom] = $worked->bounds();
        if ($this->step->operation === Operation::TurnOver && $bottom - $top > self::LONG_MM) {
            return [$left, $top, $right, $top + self::WEAVE_MM];
        }
        if ($this->step->operation !== Operation::Weave) {
            return [$left, $top, $right, $bottom];
        }
        $woven = $before === null ? null : $this->worked($before);
        $from = $woven === null ? $top : min($bottom, $woven->bounds()[3]);

        return [$left, $from, $right, min($bottom, $from + self::WEAVE_MM)];
    }

    /** Whether anything that the step works on is there. */
    public function isOn(PieceFigure $figure): bool
    {
        return $this->worked($figure) !== null;
    }

    private function worked(PieceFigure $figure): ?PieceFigure
    {
        if ($this->step->operation !== Operation::Hook) {
            return $this->marked($figure, $this->marks);
        }
        $own = $this->marked($figure, $this->ownMarks());
        [$left, $top, $right, $bottom] = $own?->bounds() ?? [0.0, 0.0, 0.0, 0.0];

        return max($right - $left, $bottom - $top) > self::HANDS_MM
            ? $this->marked($figure, array_values(array_diff($this->marks, $this->ownMarks()))) ?? $own
            : $own;
    }

    /** @param  list<string>  $marks */
    private function marked(PieceFigure $figure, array $marks): ?PieceFigure
    {
        $isMarked = fn (Stroke|BeadMark $one): bool => in_array($one->mark, $marks, true);
        $strokes = array_values(array_filter($figure->strokes, $isMarked));
        $beads = array_values(array_filter($figure->beads, $isMarked));
        $strokes = $this->step->operation === Operation::Thread && $beads !== [] ? [] : $strokes;

        return $strokes === [] && $beads === [] ? null : new PieceFigure($strokes, $beads);
    }

    /** @return list<string> of the part itself that is hooked on, where it is among what is worked on */
    private function ownMarks(): array
    {
        $id = Instance::partOf($this->step->part)->text;
        $own = array_filter($this->marks, fn (string $mark): bool => str_starts_with($mark, "{$id}:"));

        return $own === [] ? $this->marks : array_values($own);
    }
}
