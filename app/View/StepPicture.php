<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Figure\Glimpse;
use Hebra\Core\Figure\View;
use Hebra\Core\Plan\FormingPicture;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\HandHint;
use Hebra\Core\Plan\Hands;
use Hebra\Core\Plan\Look;
use Hebra\Core\Plan\Plan;

/**
 * The picture of a step as a file: the joint at hand, large, as it was and as it is; what is done is lit. Both at one
 * scale, true to the piece.
 */
final class StepPicture
{
    public const BEFORE = 'before';

    public const AFTER = 'after';

    private const GAP_PX = 34.0;

    private const RATIOS = [
        8.0, 6.0, 5.0, 4.0, 3.0, 2.5, 2.0, 1.5, 1.25, 1.0, 0.75, 0.5, 0.4, 0.3, 0.2, 0.15, 0.1, 0.05,
    ];

    /** So much about a cut is looked at. */
    private const ABOUT_MM = 5.0;

    /** Of a frame's room what is worked on takes at most so much. */
    private const TAKES = 0.7;

    /** So much of a frame about its middle is where something is looked for. */
    private const SEEN = 0.8;

    private readonly float $widePx;

    private readonly float $highPx;

    private function __construct(
        private readonly FormingPicture $picture, private readonly Hands $hands, private readonly StepFrame $frame,
        private readonly bool $isMirrored,
    ) {
        [$this->widePx, $this->highPx] = $frame->px();
    }

    /**
     * @param  int  $step  its place, from 0
     * @param  View|null  $view  null: from where it is seen best
     * @param  bool|null  $isMirrored  null: as the maker’s hand asks for it
     */
    public static function of(
        Plan $plan, int $step, ?View $view, FormingStates $states, StepFrame $frame = StepFrame::Hand,
        ?bool $isMirrored = null,
    ): string {
        $isMirrored ??= $plan->profile->schools->isLeftHanded();
        $view ??= FormingPicture::bestView($states, $step);
        $picture = FormingPicture::of($plan, $states, $step, $view);
        $hands = Hands::of($states, $step, $view);

        return (new self($picture, $hands, $frame, $isMirrored))->document($states->step($step)->title);
    }

    /**
     * The same for paper: what is seen in each frame, and the marks of what is done.
     *
     * @param  int  $step  its place, from 0
     * @return array{non-empty-list<SeenFrame>, list<string>}
     */
    public static function onPaper(Plan $plan, int $step, FormingStates $states): array
    {
        $view = FormingPicture::bestView($states, $step);
        $picture = FormingPicture::of($plan, $states, $step, $view);
        $isMirrored = $plan->profile->schools->isLeftHanded();

        return [
            (new self($picture, Hands::of($states, $step, $view), StepFrame::Hand, $isMirrored))->frames(),
            $picture->marks,
        ];
    }

    private function document(string $title): string
    {
        $frames = $this->frames();
        $inner = view('svg.defs')->render();
        $x = 0.0;
        foreach ($frames as $frame) {
            $inner .= ($x > 0 ? $this->arrow($x) : '').self::drawn($frame, $x);
            $inner .= count($frames) > 1 ? $this->words($frame->name, $x) : '';
            $x += $this->widePx + self::GAP_PX;
        }

        return SvgFile::document($x - self::GAP_PX, $this->highPx, $title, $inner, self::lit($this->picture));
    }

    /** @return non-empty-list<SeenFrame> through the loupe it is seen as it is now */
    private function frames(): array
    {
        $ratio = $this->ratio();
        $after = $this->frame(self::AFTER, $this->picture->after, $ratio);
        if ($this->picture->before === null) {
            return [$after];
        }
        $before = $this->frame(self::BEFORE, $this->picture->before, $ratio);

        return $this->frame === StepFrame::Loupe ? [$before] : [$before, $after];
    }

    private function ratio(): float
    {
        [$left, $top, $right, $bottom] = $this->done();
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

    private function frame(string $name, Look $look, float $ratio): SeenFrame
    {
        [$left, $top, $right, $bottom] = $this->focus($look, $ratio);
        [$middle, $height] = [($left + $right) / 2, ($top + $bottom) / 2];
        $mm = $ratio * Drawing::PX_PER_MM;
        [$wide, $high] = [$this->widePx / 2 / $mm, $this->highPx / 2 / $mm];
        $figure = $look->taking(Glimpse::within([$middle - $wide, $height - $high, $middle + $wide, $height + $high]));
        $drawing = (new Drawing(
            FormingPicture::whole($figure), dimension: 0, room: 8, isMirrored: $this->isMirrored, name: $name,
            ratioGiven: $ratio, byReference: false,
        ))->apart($this->picture->marks);
        [$x, $y] = [$drawing->x($middle), $drawing->y($height)];

        return new SeenFrame(
            $name, $figure, $drawing, new HandSigns($this->hands, $drawing, $this->isMirrored),
            [$x - $this->widePx / 2, $y - $this->highPx / 2, $this->widePx, $this->highPx],
        );
    }

    private static function drawn(SeenFrame $frame, float $xPx): string
    {
        return '<svg class="frame" x="'.round($xPx, 2).'" y="0" width="'.$frame->box[2].'" height="'.$frame->box[3]
            .'" viewBox="'.$frame->viewBox().'">'.$frame->signs->under()
            .view(
                'svg.piece', ['drawing' => $frame->drawing, 'hangs' => '', 'label' => '', 'small' => true],
            )->render()
            .($frame->hasHands() ? $frame->signs->over() : '').'</svg>';
    }

    /**
     * Both frames look at where the wire is when the step is done, so that what stays stands still between them; where
     * nothing that is worked on can be seen there before, at that, as near as it comes.
     *
     * @return array{float, float, float, float}
     */
    private function focus(Look $look, float $ratio): array
    {
        if ($this->cutAt() !== null) {
            return $this->done();
        }
        [$its, $done] = [$this->picture->focus($look), $this->done()];
        $near = $its;
        $isThere = true;
        foreach ([$this->widePx, $this->highPx] as $axis => $reachPx) {
            $half = self::SEEN * $reachPx / 2 / ($ratio * Drawing::PX_PER_MM);
            [$from, $to, $middle] = [$its[$axis], $its[$axis + 2], ($done[$axis] + $done[$axis + 2]) / 2];
            $isThere = $isThere && $to >= $middle - $half && $from <= $middle + $half;
            $place = max($from, min($to, $middle));
            [$near[$axis], $near[$axis + 2]] = [max($from, $place - $half), min($to, $place + $half)];
        }

        return $isThere ? $done : $near;
    }

    /** @return array{float, float, float, float} where it is done; of what is cut off whole, where it is cut */
    private function done(): array
    {
        $cut = $this->cutAt();

        return $cut === null ? $this->picture->focus($this->picture->after) : [
            $cut->xMm - self::ABOUT_MM, $cut->yMm - self::ABOUT_MM, $cut->xMm + self::ABOUT_MM,
            $cut->yMm + self::ABOUT_MM,
        ];
    }

    private function cutAt(): ?HandHint
    {
        $hint = $this->hands->hints[0] ?? null;

        return $hint?->kind === HandHint::CUT && ! $this->picture->isLeft() ? $hint : null;
    }

    /** Before a frame, in the gap to the one before it. */
    private function arrow(float $xPx): string
    {
        return '<path d="M'.($xPx - self::GAP_PX + 5).' '.($this->highPx / 2).'h24m-8 -7l8 7l-8 7'
            .'" fill="none" stroke="#2a8f7c" stroke-width="2.4" stroke-linecap="round"/>';
    }

    private function words(string $words, float $xPx): string
    {
        return '<text x="'.($xPx + 10).'" y="'.($this->highPx - 10)
            .'" font-family="Verdana, sans-serif" font-size="13" fill="#857a68">'.$words.'</text>';
    }

    /** What the step works on, in verdigris. */
    private static function lit(FormingPicture $picture): string
    {
        // So near, light goes on from stretch to stretch. What is cut off in the end is hatched, as on a strip.
        $lit = '.frame svg{overflow:visible}.wire.runs-on .body{stroke-linecap:butt}'
            .'.wire[data-mark$="tail"] .body{stroke-dasharray:4.4 1.8;stroke-linecap:butt}'
            .'.wire[data-mark$="tail"] .shine{display:none}';
        foreach ($picture->marks as $mark) {
            $lit .= '[data-mark="'.addcslashes($mark, '"\\').'"].wire{stroke:#14483f}'
                .'[data-mark="'.addcslashes($mark, '"\\').'"].wire .body{stroke:#58b8a4}';
        }

        return $lit;
    }
}
