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
    /** A frame in the hand, and on a bench with room, in pixels. */
    private const SMALL_PX = [250.0, 220.0];

    private const LARGE_PX = [300.0, 440.0];

    private const GAP_PX = 34.0;

    private const RATIOS = [
        8.0, 6.0, 5.0, 4.0, 3.0, 2.5, 2.0, 1.5, 1.25, 1.0, 0.75, 0.5, 0.4, 0.3, 0.2, 0.15, 0.1, 0.05,
    ];

    /** Of a frame's room what is worked on takes at most so much. */
    private const TAKES = 0.7;

    /** So much of a frame about its middle is where something is looked for. */
    private const SEEN = 0.8;

    private function __construct(
        private readonly FormingPicture $picture,
        private readonly float $widePx,
        private readonly float $highPx,
    ) {
    }

    /**
     * @param  int  $step  its place, from 0
     * @param  View|null  $view  null: from where it is seen best
     */
    public static function of(
        Plan $plan, int $step, ?View $view, FormingStates $states, bool $isLarge = false,
    ): string {
        $picture = FormingPicture::of($plan, $states, $step, $view ?? FormingPicture::bestView($plan, $states, $step));

        return (new self($picture, ...($isLarge ? self::LARGE_PX : self::SMALL_PX)))->document(
            $states->step($step)->title,
        );
    }

    private function document(string $title): string
    {
        $ratio = $this->ratio();
        $frames = [
            ...($this->picture->before === null ? [] : ['before' => $this->picture->before]),
            'after' => $this->picture->after,
        ];
        $inner = view('svg.defs')->render();
        $x = 0.0;
        foreach ($frames as $words => $figure) {
            $inner .= ($x > 0 ? $this->arrow($x) : '').$this->frame($figure, $ratio, $x, $words);
            $inner .= count($frames) > 1 ? $this->words($words, $x) : '';
            $x += $this->widePx + self::GAP_PX;
        }

        return SvgFile::document($x - self::GAP_PX, $this->highPx, $title, $inner, self::lit($this->picture));
    }

    private function ratio(): float
    {
        [$left, $top, $right, $bottom] = $this->picture->focus($this->picture->after);
        foreach (self::RATIOS as $ratio) {
            $px = $ratio * Drawing::PX_PER_MM;
            if (
                ($right - $left) * $px <= self::TAKES * $this->widePx
                && ($bottom - $top) * $px <= self::TAKES * $this->highPx
            ) {
                return $ratio;
            }
        }

        return self::RATIOS[count(self::RATIOS) - 1];
    }

    private function frame(PieceFigure $figure, float $ratio, float $xPx, string $name): string
    {
        $drawing = new Drawing(
            FormingPicture::whole($figure), dimension: 0, room: 8, name: $name, ratioGiven: $ratio, byReference: false,
        );
        [$left, $top, $right, $bottom] = $this->focus($figure, $ratio);
        [$x, $y] = [$drawing->x(($left + $right) / 2), $drawing->y(($top + $bottom) / 2)];
        $box = implode(' ', array_map(
            fn (float $px): string => (string) round($px, 2),
            [$x - $this->widePx / 2, $y - $this->highPx / 2, $this->widePx, $this->highPx],
        ));

        return '<svg class="frame" x="'.round($xPx, 2).'" y="0" width="'.$this->widePx.'" height="'.$this->highPx
            .'" viewBox="'.$box.'">'
            .view('svg.piece', ['drawing' => $drawing, 'hangs' => '', 'label' => '', 'small' => true])->render()
                .'</svg>';
    }

    /**
     * Both frames look at where the wire is when the step is done, so that what stays stands still between them; where
     * nothing that is worked on can be seen there before, at that.
     *
     * @return array{float, float, float, float}
     */
    private function focus(PieceFigure $figure, float $ratio): array
    {
        [$its, $done] = [$this->picture->focus($figure), $this->picture->focus($this->picture->after)];
        $reach = [$this->widePx, $this->highPx];
        foreach ([0, 1] as $axis) {
            $half = self::SEEN * $reach[$axis] / 2 / ($ratio * Drawing::PX_PER_MM);
            $middle = ($done[$axis] + $done[$axis + 2]) / 2;
            if ($its[$axis + 2] < $middle - $half || $its[$axis] > $middle + $half) {
                return $its;
            }
        }

        return $done;
    }

    /** Before a frame, in the gap to the one before it. */
    private function arrow(float $xPx): string
    {
        return '<path d="M'.($xPx - self::GAP_PX + 5).' '.($this->highPx / 2).'h24m-8 -7l8 7l-8 7'
            .'" fill="none" stroke="#1c5b4e" stroke-width="2.4" stroke-linecap="round"/>';
    }

    private function words(string $words, float $xPx): string
    {
        return '<text x="'.($xPx + 10).'" y="'.($this->highPx - 10)
            .'" font-family="Verdana, sans-serif" font-size="13" fill="#62594a">'.$words.'</text>';
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
