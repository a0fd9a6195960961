<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Figure\Glimpse;
use Hebra\Core\Figure\PieceFigure;
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
     * @param  Look|null  $before  what there was before the step
     * @return array{float, float, float, float} left, top, right, bottom
     */
    public function of(Look $look, ?Look $before): array
    {
        $worked = $this->worked($look);
        if ($worked === null) {
            return $look->whole()->bounds();
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
    public function isOn(Look $look): bool
    {
        return $this->worked($look) !== null;
    }

    private function worked(Look $look): ?PieceFigure
    {
        if ($this->step->operation !== Operation::Hook) {
            return $this->marked($look, $this->marks);
        }
        $own = $this->marked($look, $this->ownMarks());
        [$left, $top, $right, $bottom] = $own?->bounds() ?? [0.0, 0.0, 0.0, 0.0];

        return max($right - $left, $bottom - $top) > self::HANDS_MM
            ? $this->marked($look, array_values(array_diff($this->marks, $this->ownMarks()))) ?? $own
            : $own;
    }

    /** @param  list<string>  $marks */
    private function marked(Look $look, array $marks): ?PieceFigure
    {
        $marked = $look->taking(Glimpse::reachOf($marks));
        if ($this->step->operation === Operation::Thread && $marked->beads !== []) {
            return new PieceFigure([], $marked->beads);
        }

        return $marked->strokes === [] && $marked->beads === [] ? null : $marked;
    }

    /** @return list<string> of the part itself that is hooked on, where it is among what is worked on */
    private function ownMarks(): array
    {
        $id = Instance::partOf($this->step->part)->text;
        $own = array_filter($this->marks, fn (string $mark): bool => str_starts_with($mark, "{$id}:"));

        return $own === [] ? $this->marks : array_values($own);
    }
}
