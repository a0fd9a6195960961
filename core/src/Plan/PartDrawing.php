<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Closure;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Strung;
use Hebra\Core\Figure\Arc;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Seen;
use Hebra\Core\Figure\View;
use Hebra\Core\Piece\PartId;

/** A part as it is seen where it hangs at the origin, and where what hangs in its eyes hangs: read off its courses. */
final class PartDrawing
{
    /** So many strokes of unlike parts are remembered. */
    private const KEPT = 40_000;

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
        $isFace = $part->showsFace($facing);
        $degrees = ($isFace ? 0.0 : 90.0) + $view->degrees();
        $seen = new Seen($degrees, $view === View::Top);
        $eyes = array_map(
            fn (Placement $eye): Placement => $seen->placed($eye, ! $isFace), $part->technique->hung($part),
        );

        return new self($eyes, fn (): PieceFigure => self::known($part, $degrees, $view === View::Top));
    }

    /** Alike parts, and parts that stay as they are from one plan to the next, are drawn but once. */
    private static function known(PartPlan $part, float $degrees, bool $isFromAbove): PieceFigure
    {
        /** @var array<string, list<array{list<object>, PartId, PieceFigure}>> $known */
        static $known = [];
        /** @var int $kept */
        static $kept = 0;
        $one = $part->part;
        $beads = array_map(fn (Strung $run): object => $run->bead, $part->strung);
        $counts = array_map(fn (Strung $run): int => $run->count, $part->strung);
        $key = json_encode(
            [$one->technique, $one->wire, $one->settings, $counts, $degrees, $isFromAbove], JSON_THROW_ON_ERROR,
        );
        $made = [$part->profile, ...array_values($part->wires()), ...$beads];
        foreach ($known[$key] ?? [] as [$of, $id, $figure]) {
            if ($of === $made) {
                return $id === $one->id ? $figure : $figure->marked($one->id->markLike(...));
            }
        }
        $figure = self::drawn($part, $degrees, $isFromAbove);
        $kept += count($figure->strokes);
        if ($kept > self::KEPT) {
            [$known, $kept] = [[], count($figure->strokes)];
        }
        // In other wires it was drawn for another piece: the last few will do.
        $known[$key] = [...array_slice($known[$key] ?? [], -2), [$made, $one->id, $figure]];

        return $figure;
    }

    private static function drawn(PartPlan $part, float $degrees, bool $isFromAbove): PieceFigure
    {
        $seen = new Seen($degrees, $isFromAbove);
        $seen->part(array_map(
            fn (Course $course): array => [$course, $part->wireOf($course->role)], $part->settled(),
        ));

        $plate = $part->technique->plate($part);
        if ($plate !== null) {
            $seen->plate($plate, $part->mark('face'));
        }

        return CoilBeads::tinted($part, $seen->figure());
    }
}
