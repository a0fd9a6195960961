<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Figures;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Figure\Diagram;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Given;

/** Beads in a row, round a thing, along a frame. Millimetres. */
final class BeadFigures
{
    private const MOST_BEADS = 400;

    /** One behind the other along y = 0. */
    public static function row(Diagram $drawn, int $count, float $lengthMm): Diagram
    {
        for ($at = 0; $at < min($count, self::MOST_BEADS); $at++) {
            $drawn->circle('bead', ($at + 0.5) * $lengthMm, 0.0, $lengthMm / 2);
        }

        return $drawn;
    }

    /** A closed strand of them round the origin, through their middles as long as it is. */
    public static function strand(Diagram $drawn, float $lengthMm, float $beadMm): Diagram
    {
        $radius = $lengthMm / (2 * M_PI);
        $count = max(3, (int) round($lengthMm / $beadMm));
        for ($at = 0; $at < min($count, self::MOST_BEADS); $at++) {
            $angle = 2 * M_PI * ($at / $count - 0.25);
            $drawn->circle('bead', $radius * cos($angle), $radius * sin($angle), $beadMm / 2);
        }

        return $drawn;
    }

    public static function count(Given $given, Answer $answer): Diagram
    {
        [$bead, $step] = [$given->mm('bead'), $given->mm('bead') + $given->mm('gap')];
        $drawn = (new Diagram('the row, and the length it is to have'))
            ->line('wire', [[0.0, 0.0], [$answer->number('length_mm'), 0.0]], 0.4);
        for ($at = 0; $at < min($answer->count('count'), self::MOST_BEADS); $at++) {
            $drawn->circle('bead', $at * $step + $bead / 2, 0.0, $bead / 2);
        }
        $under = $bead / 2 + 3.0;

        return $drawn->line('mark', [[0.0, $under], [$given->mm('length'), $under]], 0.3);
    }

    public static function mass(Given $given): Diagram
    {
        $bead = Bead::parse($given->text('bead'));
        $drawn = new Diagram($given->count('count') === 1 ? 'the bead from its hole' : 'the beads from their holes');
        $most = max(1, (int) floor(140.0 / ($bead->widthMm * 1.1)));
        for ($at = 0; $at < min($given->count('count'), self::MOST_BEADS); $at++) {
            [$x, $y] = [$at % $most * 1.1 * $bead->widthMm, intdiv($at, $most) * 1.1 * $bead->widthMm];
            $drawn->circle('bead', $x, $y, $bead->widthMm / 2)->circle('hole', $x, $y, $bead->holeMm / 2);
        }

        return $drawn;
    }

    public static function fill(Given $given, Answer $answer): Diagram
    {
        [$rim, $width] = [$given->mm('rim'), $given->mm('bead_width')];
        $drawn = (new Diagram('along the upper half of the frame'))->bow('core', 0, 0, $rim / 2, 1.2);
        $radius = ($rim + $width) / 2;
        $count = $answer->count('count');
        $step = $given->mm('bead_length') / $radius;
        $across = min($width, $given->mm('bead_length'));
        for ($at = 0; $at < min($count, self::MOST_BEADS); $at++) {
            $angle = M_PI + (M_PI - $count * $step) / 2 + ($at + 0.5) * $step;
            $drawn->circle('bead', $radius * cos($angle), $radius * sin($angle), $across / 2);
        }

        return $drawn;
    }
}
