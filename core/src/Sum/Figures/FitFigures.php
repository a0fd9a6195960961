<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Figures;

use Hebra\Core\Figure\Diagram;
use Hebra\Core\Fit\Frame;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Given;

/** Fingers, wrists and necks with what lies round them; frames, bangles, chains. Millimetres. */
final class FitFigures
{
    private const MOST_RINGS = 14;

    private const MOST_LOOPS = 12.0;

    /** The band bent, and the blank that it is cut from. */
    public static function ringBlank(Given $given): Diagram
    {
        $thick = $given->mm('thickness');
        $inside = $given->ring()->insideMm();

        return (new Diagram('bent round the finger'))->circle('mandrel', 0, 0, $inside / 2)
            ->bow('wire', 0, 0, ($inside + $thick) / 2, $thick, 0.76, 1.74);
    }

    public static function frame(Given $given, Answer $answer): Diagram
    {
        $size = ($answer->maybe('size_mm') ?? $given->mm('size'));
        $shape = Frame::from($given->text('shape'));
        $words = 'the frame from the front, its ends at the top';
        $path = array_map(fn (array $at): array => [$at[0] * $size, $at[1] * $size], self::outline($shape));
        $end = $given->mm('ends') / 2;
        [$x, $y] = $path[0];

        return (new Diagram($words))->line('wire', $path, 1.0)
            ->line('wire', [[$x, $y], [$x + 0.5 * $end, $y - sqrt(0.75) * $end]], 1.0)
            ->line('wire', [[$x, $y], [$x - 0.5 * $end, $y - sqrt(0.75) * $end]], 1.0);
    }

    /** @return non-empty-list<array{float, float}> closed, from its top, one wide */
    private static function outline(Frame $shape): array
    {
        $foot = M_PI - acos(0.5);

        return match ($shape) {
            Frame::Hoop => self::arc(0.0, 2 * M_PI),
            Frame::Square => [[0.0, -0.5], [0.5, -0.5], [0.5, 0.5], [-0.5, 0.5], [-0.5, -0.5], [0.0, -0.5]],
            Frame::Triangle => [[0.0, -0.577], [0.5, 0.289], [-0.5, 0.289], [0.0, -0.577]],
            Frame::Drop => [[0.0, -1.0], ...self::arc(M_PI - $foot, M_PI + $foot), [0.0, -1.0]],
        };
    }

    /** @return non-empty-list<array{float, float}> of a circle one wide, angles from its top */
    private static function arc(float $from, float $to): array
    {
        return array_map(function (int $step) use ($from, $to): array {
            $angle = $from + ($to - $from) * $step / 48;

            return [0.5 * sin($angle), -0.5 * cos($angle)];
        }, range(0, 48));
    }

    public static function bangle(Given $given, Answer $answer): Diagram
    {
        $thick = $given->maybeMm('hammered_to') ?? $given->mm('wire');
        $radius = (($answer->maybe('inside_mm') ?? $given->mm('inside')) + $thick) / 2;
        $ends = min(0.2, $given->mm('ends') / (2 * M_PI * $radius));

        return (new Diagram('the bangle from the side, its ends over each other'))
            ->bow('wire', 0, 0, $radius, $thick, 0.75 - $ends / 2, 1.75 - $ends / 2)
            ->bow('lit', 0, 0, $radius + $thick, $thick, 0.75 - $ends / 2, 0.75 + $ends / 2);
    }

    public static function cuff(Given $given): Diagram
    {
        [$girth, $thick] = [$given->mm('girth'), $given->mm('thickness')];
        $gap = $given->mm('gap') / $girth;

        return (new Diagram('round the wrist'))->circle('mandrel', 0, 0, $girth / (2 * M_PI))
            ->bow('wire', 0, 0, $girth / (2 * M_PI) + $thick / 2, $thick, 0.25 + $gap / 2, 1.25 - $gap / 2);
    }

    public static function bracelet(Given $given, Answer $answer): Diagram
    {
        return self::about('round the wrist', $given->mm('wrist'), [$answer->number('length_mm'), $given->mm('bead')]);
    }

    public static function closure(Given $given): Diagram
    {
        return self::about('closed round', 0.0, [$given->mm('length'), $given->mm('bead')]);
    }

    public static function necklace(Given $given): Diagram
    {
        return self::about('round the neck, from above', $given->mm('neck'), [
            $given->mm('length'), $given->mm('bead'),
        ]);
    }

    /**
     * A closed strand about what it goes round, which it touches at the back.
     *
     * @param  array{float, float}  $strand  how long it is and how thick its beads are
     */
    private static function about(string $words, float $girth, array $strand): Diagram
    {
        [$length, $bead] = $strand;
        [$radius, $inside] = [$length / (2 * M_PI), $girth / (2 * M_PI)];
        $drawn = new Diagram($words);
        if ($girth > 0.0) {
            $drawn->circle('mandrel', 0, min(0.0, $inside - $radius + $bead / 2), $inside);
        }
        if ($bead <= 0.0) {
            return $drawn->bow('wire', 0, 0, $radius, 1.0);
        }

        return BeadFigures::strand($drawn, $length, $bead);
    }

    public static function memoryWire(Given $given): Diagram
    {
        [$radius, $wire] = [$given->mm('coil') / 2, 0.8];
        $loops = min(self::MOST_LOOPS, $given->number('loops'));
        $drawn = new Diagram('it from above, drawn apart');
        for ($loop = 0; $loop < $loops; $loop++) {
            $drawn->bow('wire', 0, $loop * 2.5, $radius, $wire, 0.0, min(1.0, $loops - $loop));
        }
        $last = $loops - floor($loops - 1e-9);
        $end = $given->mm('end') / (2 * M_PI);
        $angle = 2 * M_PI * $last;

        return $drawn->bow('wire', $radius + $end, 0, $end, $wire)->bow(
            'wire', ($radius + $end) * cos($angle), (ceil($loops) - 1) * 2.5 + $radius * sin($angle), $end, $wire,
        );
    }

    public static function strand(Given $given, Answer $answer): Diagram
    {
        [$beads, $back] = [$given->mm('beads') + $given->mm('gaps'), $given->mm('turn_back')];
        $high = max(2.0, $beads / 60);
        $count = max(1, (int) round($beads / (2 * $high)));
        $drawn = (new Diagram('its ends turned back: '.round($answer->number('cut_mm'), 1).' mm in all'))
            ->line('wire', [[0.0, 0.0], [$beads, 0.0]], $high / 5);
        self::turnedBack($drawn, [0.0, -$high], $back);
        self::turnedBack($drawn, [$beads, $high], $back);

        return BeadFigures::row($drawn, $count, $beads / $count);
    }

    /** @param  array{float, float}  $end  where it turns, and how far out it reaches: to the left where less than 0 */
    private static function turnedBack(Diagram $drawn, array $end, float $mm): void
    {
        [$x, $out] = $end;
        $high = abs($out);
        // What is left of it behind the turn lies back over the beads.
        $back = $x - ($out > 0 ? 1 : -1) * max(0.0, $mm - M_SQRT2 * $high);
        $drawn->line('lit', [[$x, 0.0], [$x + $out / 2, -$high / 2], [$x, -$high], [$back, -$high]], $high / 5);
    }

    public static function ringChain(Given $given): Diagram
    {
        [$inside, $wire] = [$given->mm('inside'), $given->mm('wire')];
        $shown = min(self::MOST_RINGS, $given->count('count'));
        $radius = ($inside + $wire) / 2;
        $drawn = new Diagram($shown < $given->count('count') ? 'its first '.self::MOST_RINGS.' rings' : 'all of it');
        for ($at = 0; $at < $shown; $at++) {
            $x = $at * $inside;
            $at % 2 === 0
                ? $drawn->bow('wire', $x, 0, $radius, $wire)
                : $drawn->line('wire', [[$x - $radius, 0.0], [$x + $radius, 0.0]], $wire);
        }

        return $drawn;
    }

    /** The ring in a hole that it just passes. */
    public static function ringThrough(Given $given): Diagram
    {
        [$inside, $wire, $half] = [$given->mm('inside') / 2, $given->mm('wire'), $given->mm('hole_length') / 2];
        $under = -sqrt(max(0.0, $inside ** 2 - $half ** 2));
        $over = -$inside - $wire;
        $wall = max(0.6, $wire);

        return (new Diagram('the ring in the lowest hole that it passes'))
            ->bow('wire', 0, 0, $inside + $wire / 2, $wire)
            ->line('bead', [[-$half, $over - $wall / 2], [$half, $over - $wall / 2]], $wall)
            ->line('bead', [[-$half, $under + $wall / 2], [$half, $under + $wall / 2]], $wall);
    }
}
