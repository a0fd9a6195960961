<?php

declare(strict_types=1);

namespace App\View\Bench;

use App\Models\Making;
use App\Models\Piece;
use App\Read\MakingDesk;
use App\View\Drawing;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Plan\Instance;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;

/** The making on the bench, looked at through a loupe: what is made of it, its next move, and how far it has come. */
final readonly class Hero
{
    public const PAPER_WIDE = 284;

    public const HIGH = 376;

    public const LOUPE = 130;

    /** Where the middle of the loupe is. */
    public const LOUPE_X = 440;

    public const LOUPE_Y = 236;

    /** More joints than these are not told apart on the wire. */
    private const MOST_STRETCHES = 14;

    public MakingDesk $desk;

    public Drawing $drawing;

    public function __construct(public Piece $piece, public Making $making, Profile $profile, private Pace $pace)
    {
        $this->desk = new MakingDesk($making, $making->plan($profile));
        $this->drawing = (new Drawing(
            $this->desk->plan->assembly(), self::PAPER_WIDE - 20, self::HIGH - 20, 0, 10, 'bench',
        ))->fading($this->desk->unmade());
    }

    public function url(): string
    {
        return "/pieces/{$this->piece->ulid}/make";
    }

    public function minutesLeft(): string
    {
        return Clock::words($this->desk->minutesLeft($this->pace));
    }

    /** What is still to count of the step: `two made, one to come`; empty where nothing is counted. */
    public function counted(): string
    {
        $made = $this->making->counted;
        $left = $this->desk->expected() - $made;

        return $made === 0 || $left <= 0 ? '' : "{$made} made, {$left} to come";
    }

    /**
     * Where the step is worked on in the whole piece: the middle of a ring about it, and its radius, in pixels.
     *
     * @return array{float, float, float}|null
     */
    public function joint(): ?array
    {
        $marks = $this->desk->step->marks ?? [];
        $figure = $this->desk->plan->assembly()->flat();
        $isMarked = fn (Stroke|BeadMark $one): bool => in_array($one->mark, $marks, true);
        $strokes = array_values(array_filter($figure->strokes, $isMarked));
        if ($strokes === []) {
            return null;
        }
        [$left, $top, $right, $bottom] = (new PieceFigure($strokes, []))->bounds();
        $radius = max(13.0, min(44.0, $this->drawing->px(max($right - $left, $bottom - $top)) / 2 + 4));

        return [
            round($this->drawing->x(($left + $right) / 2) + $this->aside(), 1),
            round($this->drawing->y(($top + $bottom) / 2) + $this->down(), 1), round($radius, 1),
        ];
    }

    /** How far the drawing stands in from the left of its paper. */
    public function aside(): float
    {
        return round(max(0.0, (self::PAPER_WIDE - $this->drawing->width) / 2), 1);
    }

    public function down(): float
    {
        return round(max(0.0, (self::HIGH - $this->drawing->height) / 2), 1);
    }

    /**
     * The making as a wire: a stretch for each part that is worked on, as long as it has steps. Hundredths.
     *
     * @return list<array{words: string, from: float, to: float, isHere: bool, isDone: bool}>
     */
    public function stretches(): array
    {
        $groups = [['words' => 'ready', 'steps' => $this->desk->progress->prepare]];
        $copies = count($this->desk->progress->done);
        $makes = $this->desk->plan->piece->makes;
        for ($copy = 0; $copy < $copies; $copy++) {
            $parts = $this->ofCopy();
            if (count($parts) * $copies > self::MOST_STRETCHES || $this->desk->progress->isAcross) {
                $noun = $this->desk->plan->piece->fit->kind->noun();
                $parts = [['words' => $makes->nameOf($copy, $noun), 'steps' => $this->desk->progress->each]];
            }
            array_push($groups, ...$parts);
        }
        $total = max(1, $this->desk->total);
        $done = $this->desk->progress->count();
        $stretches = [];
        $at = 0;
        foreach (array_filter($groups, fn (array $group): bool => $group['steps'] > 0) as $group) {
            $end = $at + $group['steps'];
            $stretches[] = [
                'words' => $group['words'], 'from' => round(100 * $at / $total, 2),
                'to' => round(100 * $end / $total, 2), 'isHere' => $done >= $at && $done < $end,
                'isDone' => $done >= $end,
            ];
            $at = $end;
        }

        return count($stretches) > self::MOST_STRETCHES + 2 ? [] : $stretches;
    }

    /** @return list<array{words: string, steps: int}> parts as they are worked on one after the other */
    private function ofCopy(): array
    {
        $groups = [];
        foreach ($this->desk->plan->steps() as $step) {
            $words = $this->words($step);
            $last = count($groups) - 1;
            if ($last >= 0 && $groups[$last]['words'] === $words) {
                $groups[$last]['steps']++;
            } else {
                $groups[] = ['words' => $words, 'steps' => 1];
            }
        }

        return $groups;
    }

    private function words(Step $step): string
    {
        $part = $this->desk->plan->parts()[Instance::partOf($step->part)->text] ?? null;

        return $part === null ? $step->operation->value : $part->technique->label();
    }

    /** How far it has come. Hundredths. */
    public function share(): float
    {
        return round(100 * $this->desk->progress->count() / max(1, $this->desk->total), 2);
    }
}
