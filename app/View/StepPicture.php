<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\View;
use Hebra\Core\Plan\FormingPicture;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\HandHint;
use Hebra\Core\Plan\Hands;
use Hebra\Core\Plan\Jaw;
use Hebra\Core\Plan\Plan;

/**
 * The picture of a step as a file: the joint at hand, large, as it was and as it is; what is done is lit. Both at one
 * scale, true to the piece.
 */
final class StepPicture
{
    private const GAP_PX = 34.0;

    private const RATIOS = [
        8.0, 6.0, 5.0, 4.0, 3.0, 2.5, 2.0, 1.5, 1.25, 1.0, 0.75, 0.5, 0.4, 0.3, 0.2, 0.15, 0.1, 0.05,
    ];

    /** Of a frame's room what is worked on takes at most so much. */
    private const TAKES = 0.7;

    /** So much of a frame about its middle is where something is looked for. */
    private const SEEN = 0.8;

    private const HINT = 'fill="none" stroke="#2a8f7c" stroke-width="3" stroke-linecap="round" '
        .'stroke-linejoin="round"';

    /** Of pliers: what they hold is seen through them. */
    private const STEEL = 'fill="#8d897e" fill-opacity="0.82" stroke="#4b4740" stroke-width="1.2"';

    /** So much of flat jaws is seen beside a loop. */
    private const JAW_PX = 70.0;

    private const DASHED = 'stroke-dasharray="7 6"';

    /** A winding is drawn no wider, a way no shorter: nothing would be seen of it. */
    private const WIDEST_PX = 62.0;

    private const LEAST_PX = 20.0;

    /** How long the head of an arrow is, in pixels. */
    private const HEAD_PX = 12.0;

    private readonly float $widePx;

    private readonly float $highPx;

    private function __construct(
        private readonly FormingPicture $picture, private readonly Hands $hands, private readonly StepFrame $frame,
    ) {
        [$this->widePx, $this->highPx] = $frame->px();
    }

    /**
     * @param  int  $step  its place, from 0
     * @param  View|null  $view  null: from where it is seen best
     */
    public static function of(
        Plan $plan, int $step, ?View $view, FormingStates $states, StepFrame $frame = StepFrame::Hand,
    ): string {
        $view ??= FormingPicture::bestView($states, $step);
        $picture = FormingPicture::of($plan, $states, $step, $view);

        return (new self($picture, Hands::of($states, $step, $view), $frame))->document($states->step($step)->title);
    }

    private function document(string $title): string
    {
        $ratio = $this->ratio();
        $frames = [
            ...($this->picture->before === null ? [] : ['before' => $this->picture->before]),
            'after' => $this->picture->after,
        ];
        // Through the loupe it is seen as it is now.
        $frames = $this->frame === StepFrame::Loupe ? array_slice($frames, 0, 1) : $frames;
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
            .$this->under($drawing)
            .view('svg.piece', ['drawing' => $drawing, 'hangs' => '', 'label' => '', 'small' => true])->render()
            .($name === 'before' ? $this->jaws($drawing).$this->hints($drawing) : '').'</svg>';
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
            .'" fill="none" stroke="#2a8f7c" stroke-width="2.4" stroke-linecap="round"/>';
    }

    private function jaws(Drawing $drawing): string
    {
        return implode('', array_map(fn (Jaw $jaw): string => $this->jaw($jaw, $drawing), $this->hands->jaws));
    }

    /** A rod seen from its end, or a block, under the wire. */
    private function under(Drawing $drawing): string
    {
        $under = $this->hands->under;
        if ($under === null) {
            return '';
        }
        [$x, $y, $reach] = [$drawing->x($under->xMm), $drawing->y($under->yMm), $drawing->px($under->radiusMm)];

        return $under->isRound
            ? '<circle cx="'.round($x, 1).'" cy="'.round($y, 1).'" r="'.round($reach, 1)
                .'" fill="#d9cfb8" stroke="#8a7a55" stroke-width="1.2"/>'
            : '<rect x="'.round($x - $reach, 1).'" y="'.round($y - $reach, 1).'" width="'.round(2 * $reach, 1)
                .'" height="'.round(2 * $reach, 1).'" rx="5" fill="#c9c5bb" stroke="#8d897e" stroke-width="1.2"/>';
    }

    /** Round ones from their tips, flat ones from aside: as far as the loop’s middle. */
    private function jaw(Jaw $jaw, Drawing $drawing): string
    {
        [$x, $y, $radius] = [$drawing->x($jaw->xMm), $drawing->y($jaw->yMm), $drawing->px($jaw->radiusMm)];
        if ($jaw->isRound) {
            return '<circle cx="'.round($x, 1).'" cy="'.round($y, 1).'" r="'.round($radius, 1).'" '.self::STEEL.'/>';
        }
        [$tip, $wide, $far] = [0.34 * $radius, 0.85 * $radius, -$radius - self::JAW_PX];
        $edge = fn (float $at): string => 'M'.self::pair($far, $at * $wide).'L'.self::pair(0.1 * $radius, $at * $tip);

        return '<g transform="translate('.self::pair($x, $y).') rotate('.round($jaw->degrees - 180.0, 1).')"><path d="'
            .$edge(-1.0).'A'.self::pair($tip, $tip).' 0 0 1 '.self::pair(0.1 * $radius, $tip).'L'
            .self::pair($far, $wide).'Z" '.self::STEEL.'/><path d="'.$edge(0.0).'" fill="none" stroke="#4b4740"/></g>';
    }

    private function hints(Drawing $drawing): string
    {
        return implode('', array_map(fn (HandHint $hint): string => $this->hint($hint, $drawing), $this->hands->hints));
    }

    /** What the hands do, as a sign: arrows for ways, a pair of blades for a cut. */
    private function hint(HandHint $hint, Drawing $drawing): string
    {
        $size = $drawing->px($hint->sizeMm);

        return '<g transform="translate('.self::pair($drawing->x($hint->xMm), $drawing->y($hint->yMm)).')">'
            .match ($hint->kind) {
                HandHint::TURN => $this->turning($hint, $size + 14.0),
                HandHint::WIND => $this->winding($hint, min(self::WIDEST_PX, max(20.0, 2.2 * $size))),
                HandHint::TAP => $this->tapping(),
                HandHint::SWING => $size < self::LEAST_PX ? '' : $this->swinging($hint, $drawing),
                default => $this->cutting($hint, max(3.0, $size)),
            }.'</g>';
    }

    /** Round the eye, most of the way, from where it begins. */
    private function turning(HandHint $hint, float $radius): string
    {
        $sense = $hint->degrees <=> 0.0;
        $on = fn (float $at): array => [$radius * cos(deg2rad($at)), $radius * sin(deg2rad($at))];
        [$first, $last] = [$hint->fromDegrees + $sense * 25.0, $hint->fromDegrees + $sense * 285.0];
        $way = 'M'.self::pair(...$on($first)).'A'.self::pair($radius, $radius).' 0 1 '.($sense > 0 ? 1 : 0)
            .' '.self::pair(...$on($last));

        return $this->path($way).$this->head($on($last), $last + $sense * 90.0);
    }

    /** Round what it is wound on: before it whole, behind it dashed. */
    private function winding(HandHint $hint, float $radius): string
    {
        [$axis, $isToRight] = [$hint->fromDegrees, $hint->degrees > 0.0];
        // Looked at a little from above, what is near lies low on the page: of both ways along an axis the one down.
        if (sin(deg2rad($axis)) < 0.0) {
            [$axis, $isToRight] = [$axis + 180.0, ! $isToRight];
        }
        $round = 'A'.self::pair($radius, 0.34 * $radius).' 0 0 '.($isToRight ? 1 : 0).' ';
        // Right of an axis that runs down is left on the page.
        [$from, $to] = $isToRight ? [$radius, -$radius] : [-$radius, $radius];

        return '<g transform="rotate('.round($axis - 90.0, 1).')">'
            .$this->path('M'.self::pair($to, 0).$round.self::pair($from, 0), self::DASHED)
            .$this->path('M'.self::pair($from, 0).$round.self::pair($to, 0)).$this->head([$to, 0.0], -90.0).'</g>';
    }

    private function swinging(HandHint $hint, Drawing $drawing): string
    {
        [$dx, $dy] = [
            $drawing->x($hint->toXMm) - $drawing->x($hint->xMm), $drawing->y($hint->toYMm) - $drawing->y($hint->yMm),
        ];
        // Bowed to the left of its way, as an end swings round what is held.
        [$midX, $midY] = [$dx / 2 + 0.25 * $dy, $dy / 2 - 0.25 * $dx];

        return $this->path('M0 0Q'.self::pair($midX, $midY).' '.self::pair($dx, $dy), self::DASHED)
            .$this->head([$dx, $dy], rad2deg(atan2($dy - $midY, $dx - $midX)));
    }

    /** The cutter's flush side stands against what stays. */
    private function cutting(HandHint $hint, float $wire): string
    {
        $reach = 0.5 * $wire + 4.0;
        [$out, $long] = [$reach + 26.0, 0.9 * $reach + 12.0];
        $blade = fn (int $side): string => '<path d="M'.self::pair(0, 1.5 * $side).'V'.round($side * $out, 1)
            .'L'.self::pair($long, $side * $out)
            .'Z" fill="#8d897e" fill-opacity="0.85" stroke="#4b4740" stroke-width="1.2"/>';

        return '<g transform="rotate('.round($hint->degrees, 1).')">'.$blade(-1).$blade(1).'</g>';
    }

    /** A hammer above where it falls. */
    private function tapping(): string
    {
        $strokes = '';
        foreach ([-100.0, -60.0, -20.0] as $degrees) {
            [$x, $y] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
            $strokes .= $this->path('M'.self::pair(9 * $x, 9 * $y).'L'.self::pair(19 * $x, 19 * $y));
        }

        return $strokes.'<g transform="translate(24 -36) rotate(35)"><path d="M-15 -13h30v20h-30z" '.self::STEEL
            .'/><path d="M-18 7h36v6h-36z" '.self::STEEL.'/><path d="M15 -6h58v8h-58z" fill="#a98a5b" '
            .'fill-opacity="0.9" stroke="#6d5532"/></g>';
    }

    /** @param  array{float, float}  $at */
    private function head(array $at, float $degrees): string
    {
        return '<path transform="translate('.self::pair(...$at).') rotate('.round($degrees, 1).')" d="M-'.self::HEAD_PX
            .' -7L0 0L-'.self::HEAD_PX.' 7" '.self::HINT.'/>';
    }

    private function path(string $way, string $more = ''): string
    {
        return '<path d="'.$way.'" '.self::HINT.($more === '' ? '' : ' '.$more).'/>';
    }

    private static function pair(float $x, float $y): string
    {
        return round($x, 1).' '.round($y, 1);
    }

    private function words(string $words, float $xPx): string
    {
        return '<text x="'.($xPx + 10).'" y="'.($this->highPx - 10)
            .'" font-family="Verdana, sans-serif" font-size="13" fill="#857a68">'.$words.'</text>';
    }

    /** What the step works on, in verdigris. */
    private static function lit(FormingPicture $picture): string
    {
        // What is cut off in the end is hatched, as on a strip.
        $lit = '.frame svg{overflow:visible}'
            .'.wire[data-mark$="tail"] .body{stroke-dasharray:4.4 1.8;stroke-linecap:butt}'
            .'.wire[data-mark$="tail"] .shine{display:none}';
        foreach ($picture->marks as $mark) {
            $lit .= '[data-mark="'.addcslashes($mark, '"\\').'"].wire .edge{stroke:#14483f}'
                .'[data-mark="'.addcslashes($mark, '"\\').'"].wire .body{stroke:#58b8a4}';
        }

        return $lit;
    }
}
