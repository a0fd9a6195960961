<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Closure;
use Hebra\Core\Course\Strung;
use Hebra\Core\Figure\Arc;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Seen;
use Hebra\Core\Figure\View;
use Hebra\Core\Piece\Part;
use WeakMap;

/** A part as it is seen where it hangs at the origin, and where what hangs in its eyes hangs: read off its courses. */
final class PartDrawing
{
    private ?PieceFigure $figure = null;

    /**
     * @param  array<string, Placement>  $eyes
     * @param  Closure(): PieceFigure  $drawn
     */
    private function __construct(public readonly array $eyes, private readonly Closure $drawn)
    {
    }

    /** Drawn when it is first asked for: lengths follow from the eyes. */
    public function figure(): PieceFigure
    {
        return $this->figure ??= ($this->drawn)();
    }

    /** Bent to a part of a circle. */
    public function bent(Arc $arc): self
    {
        $eyes = array_map(function (Placement $eye) use ($arc): Placement {
            [$x, $y] = $arc->at($eye->xMm, $eye->yMm);

            return new Placement($y, $eye->facing, $x);
        }, $this->eyes);

        return new self($eyes, fn (): PieceFigure => $this->figure()->bent($arc));
    }

    /** @param  bool  $facing  whether its own upper eye faces the viewer in front */
    public static function of(PartPlan $part, bool $facing, View $view = View::Front): self
    {
        $isFace = $part->technique->isFaceAcross($part) !== $facing;
        $degrees = ($isFace ? 0.0 : 90.0) + $view->degrees();
        $seen = new Seen($degrees);
        $eyes = array_map(
            fn (Placement $eye): Placement => $seen->placed($eye, ! $isFace), $part->technique->hung($part),
        );

        return new self($eyes, fn (): PieceFigure => self::known($part, $degrees));
    }

    /** A part that stays as it is from one plan to the next is drawn but once. */
    private static function known(PartPlan $part, float $degrees): PieceFigure
    {
        /** @var WeakMap<Part, list<array{list<object>, float, PieceFigure}>>|null $known */
        static $known = null;
        $known ??= new WeakMap;
        $made = [...array_values($part->wires()), ...array_map(fn (Strung $run): object => $run->bead, $part->strung)];
        /** @var list<array{list<object>, float, PieceFigure}> $all */
        $all = $known[$part->part] ?? [];
        foreach ($all as [$of, $from, $figure]) {
            if ($of === $made && $from === $degrees) {
                return $figure;
            }
        }
        $seen = new Seen($degrees);
        foreach ($part->technique->courses($part) as $course) {
            $seen->course($course, $part->wireOf($course->role));
        }
        $figure = $seen->figure();
        $all[] = [$made, $degrees, $figure];
        $known[$part->part] = $all;

        return $figure;
    }
}
