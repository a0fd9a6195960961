<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Course\Vector;

/**
 * How much is drawn of what is seen: all of it, what reaches into a window, or, of what bears some marks, how far it
 * reaches and no more. Millimetres on the page.
 */
final readonly class Glimpse
{
    /** Alike ones have the same. */
    public string $key;

    /**
     * @param  list<string>|null  $marks
     * @param  array{float, float, float, float}|null  $window  left, top, right, bottom
     */
    private function __construct(private ?array $marks, private ?array $window)
    {
        $this->key = json_encode([$marks, $window], JSON_THROW_ON_ERROR);
    }

    public static function all(): self
    {
        return new self(null, null);
    }

    /** @param  list<string>  $marks */
    public static function reachOf(array $marks): self
    {
        return new self($marks, null);
    }

    /** @param  array{float, float, float, float}  $window  left, top, right, bottom */
    public static function within(array $window): self
    {
        return new self(null, $window);
    }

    /** The same of a part that lies so: as wide as its window is at most where it is turned. */
    public function on(Pose $pose): self
    {
        if ($this->window === null) {
            return $this;
        }
        [$left, $top, $right, $bottom] = $this->window;
        $corners = array_map(
            fn (array $corner): array => $pose->from(...$corner),
            [[$left, $top], [$right, $top], [$left, $bottom], [$right, $bottom]],
        );
        [$xs, $ys] = [array_column($corners, 0), array_column($corners, 1)];

        return new self($this->marks, [min($xs), min($ys), max($xs), max($ys)]);
    }

    public function takes(string $mark): bool
    {
        return $this->marks === null || in_array($mark, $this->marks, true);
    }

    public function isReach(): bool
    {
        return $this->marks !== null;
    }

    /** Whether it takes what it takes wherever that is. */
    public function isEverywhere(): bool
    {
        return $this->window === null;
    }

    /**
     * Whether any of it is within the window, or might be.
     *
     * @param  array{float, float, float, float}  $bounds  on the page: left, top, right, bottom
     * @param  float  $aroundMm  how much farther it reaches
     */
    public function meets(array $bounds, float $aroundMm): bool
    {
        [$left, $top, $right, $bottom] = $this->window ?? $bounds;

        return $bounds[0] <= $right + $aroundMm && $bounds[2] >= $left - $aroundMm
            && $bounds[1] <= $bottom + $aroundMm && $bounds[3] >= $top - $aroundMm;
    }

    /** The same of what reaches so far from a point on every side. */
    public function isNear(Vector $point, float $aroundMm): bool
    {
        if ($this->window === null) {
            return true;
        }
        $x = $point->x + SeenPath::ASIDE * $point->z;

        return $x > $this->window[0] - $aroundMm && $x < $this->window[2] + $aroundMm
            && $point->y > $this->window[1] - $aroundMm && $point->y < $this->window[3] + $aroundMm;
    }

    public function isTaken(Stroke|BeadMark $one): bool
    {
        return $this->takes($one->mark)
            && ($this->window === null || $this->meets($one->bounds(), $one->aroundMm()));
    }

    /** What is taken of what is drawn already. */
    public function from(PieceFigure $figure): PieceFigure
    {
        return $this->marks === null && $this->window === null ? $figure : new PieceFigure(
            array_values(array_filter($figure->strokes, $this->isTaken(...))),
            array_values(array_filter($figure->beads, $this->isTaken(...))),
        );
    }
}
