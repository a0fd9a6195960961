<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\View;
use Hebra\Core\Plan\FormingPicture;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\Plan;

/**
 * The picture of a step as a file: the joint at hand, large, as it was and as it is; what is done is lit. Both at one
 * scale, true to the piece.
 */
final class StepPicture
{
    private const WIDE_PX = 250.0;

    private const HIGH_PX = 220.0;

    private const GAP_PX = 34.0;

    private const RATIOS = [4.0, 3.0, 2.5, 2.0, 1.5, 1.25, 1.0, 0.75, 0.5, 0.4, 0.3, 0.2, 0.15, 0.1, 0.05];

    /** Of a frame's room what is worked on takes at most so much. */
    private const TAKES = 0.7;

    /**
     * @param  int  $step  its place, from 0
     * @param  View|null  $view  null: from where it is seen best
     * @param  bool  $isUpright  whether what was stands above what is, not beside it
     */
    public static function of(
        Plan $plan, int $step, ?View $view, FormingStates $states, bool $isUpright = false,
    ): string {
        $picture = FormingPicture::of($plan, $states, $step, $view ?? FormingPicture::bestView($plan, $states, $step));
        $ratio = self::ratio($picture);
        $frames = [...($picture->before === null ? [] : [$picture->before]), $picture->after];
        $inner = view('svg.defs')->render();
        [$x, $y] = [0.0, 0.0];
        foreach ($frames as $at => $figure) {
            $inner .= ($at > 0 ? self::arrow($x, $y, $isUpright) : '')
                .self::frame($picture, $figure, $ratio, $x, $y, "f{$at}");
            $x += $isUpright ? 0.0 : self::WIDE_PX + self::GAP_PX;
            $y += $isUpright ? self::HIGH_PX + self::GAP_PX : 0.0;
        }

        return SvgFile::document(
            $isUpright ? self::WIDE_PX : $x - self::GAP_PX, $isUpright ? $y - self::GAP_PX : self::HIGH_PX,
            $states->step($step)->title, $inner, self::lit($picture),
        );
    }

    private static function ratio(FormingPicture $picture): float
    {
        [$left, $top, $right, $bottom] = $picture->focus($picture->after);
        foreach (self::RATIOS as $ratio) {
            $px = $ratio * Drawing::PX_PER_MM;
            if (
                ($right - $left) * $px <= self::TAKES * self::WIDE_PX
                && ($bottom - $top) * $px <= self::TAKES * self::HIGH_PX
            ) {
                return $ratio;
            }
        }

        return self::RATIOS[count(self::RATIOS) - 1];
    }

    private static function frame(
        FormingPicture $picture, PieceFigure $figure, float $ratio, float $xPx, float $yPx, string $name,
    ): string {
        $drawing = new Drawing(
            FormingPicture::whole($figure), dimension: 0, room: 8, name: $name, ratioGiven: $ratio, byReference: false,
        );
        [$left, $top, $right, $bottom] = $picture->focus($figure);
        [$x, $y] = [$drawing->x(($left + $right) / 2), $drawing->y(($top + $bottom) / 2)];
        $box = implode(' ', array_map(
            fn (float $px): string => (string) round($px, 2),
            [$x - self::WIDE_PX / 2, $y - self::HIGH_PX / 2, self::WIDE_PX, self::HIGH_PX],
        ));

        return '<svg class="frame" x="'.round($xPx, 2).'" y="'.round($yPx, 2).'" width="'.self::WIDE_PX.'" height="'
            .self::HIGH_PX.'" viewBox="'.$box.'">'
            .view('svg.piece', ['drawing' => $drawing, 'hangs' => '', 'label' => '', 'small' => true])->render()
                .'</svg>';
    }

    /** Before a frame, in the gap to the one before it. */
    private static function arrow(float $xPx, float $yPx, bool $isUpright): string
    {
        [$x, $y] = $isUpright
            ? [$xPx + self::WIDE_PX / 2, $yPx - self::GAP_PX + 5]
            : [$xPx - self::GAP_PX + 5, $yPx + self::HIGH_PX / 2];
        $path = $isUpright ? 'v24m-7 -8l7 8l7 -8' : 'h24m-8 -7l8 7l-8 7';

        return '<path d="M'.$x.' '.$y.$path
            .'" fill="none" stroke="#1c5b4e" stroke-width="2.4" stroke-linecap="round"/>';
    }

    /** What the step works on, in verdigris. */
    private static function lit(FormingPicture $picture): string
    {
        $lit = '.frame svg{overflow:visible}';
        foreach ($picture->marks as $mark) {
            $lit .= '[data-mark="'.addcslashes($mark, '"\\').'"].wire .edge{stroke:#14483f}'
                .'[data-mark="'.addcslashes($mark, '"\\').'"].wire .body{stroke:#58b8a4}';
        }

        return $lit;
    }
}
