<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Figures;

use Hebra\Core\Figure\Diagram;
use Hebra\Core\Figure\Woven;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Given;
use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\BeadedCoil;
use Hebra\Core\Wrap\CoiledCoil;

/** What is coiled twice, woven, bound and surrounded. Millimetres. */
final class BoundFigures
{
    private const MOST_TURNS = 60.0;

    private const MOST_WOVEN_MM = 60.0;

    public static function coiledCoil(Given $given, Answer $answer): Diagram
    {
        $coil = new CoiledCoil(
            $given->mm('wire'), $given->mm('core'), $given->mm('first_mandrel'), $given->mm('mandrel'),
            ($answer->maybe('length_mm') ?? $given->mm('length')), $given->number('end_turns'),
        );
        [$pitch, $turns] = [$coil->firstOutsideMm(), min(self::MOST_TURNS, $coil->turns())];
        $drawn = (new Diagram($turns < $coil->turns() ? 'its first turns from the side' : 'it from the side'))
            ->line('core', [[-3.0, 0.0], [$turns * $pitch + 3.0, 0.0]], $coil->mandrelMm);
        for ($turn = 0; $turn < $turns; $turn++) {
            self::coiledTurn($drawn, $coil, $turn * $pitch);
        }

        return $drawn;
    }

    /** The half of a turn that is seen: the coil that it is wound of, turn by turn. */
    private static function coiledTurn(Diagram $drawn, CoiledCoil $coil, float $x): void
    {
        $pitch = $coil->firstOutsideMm();
        $half = ($coil->mandrelMm + $pitch) / 2;
        $across = $coil->firstMandrelMm / 2 + $coil->wireMm / 2;
        $many = max(2, (int) floor(2 * $half / $coil->wireMm));
        for ($at = 0; $at <= $many; $at++) {
            $share = $at / $many;
            [$middle, $y] = [$x + (0.25 + 0.5 * $share) * $pitch, (2 * $share - 1) * $half];
            $drawn->line('wrap', [[$middle - $across, $y + 0.1], [$middle + $across, $y - 0.1]], $coil->wireMm);
        }
    }

    public static function beadedCoil(Given $given, Answer $answer): Diagram
    {
        $coil = new BeadedCoil(
            $given->mm('mandrel'), $given->mm('bead_length'), $given->mm('bead_width'),
            max(0.05, $answer->number('turns')),
        );
        $turns = min(self::MOST_TURNS, $coil->turns);
        $width = $coil->beadWidthMm;
        $radius = ($coil->mandrelMm + $width) / 2;
        $drawn = (new Diagram('it from the side'))
            ->line('core', [[-3.0, 0.0], [$turns * $width + $width, 0.0]], $coil->mandrelMm);
        $step = $coil->beadLengthMm / (2 * M_PI * $radius);
        for ($turn = 0.0; $turn < $turns; $turn += $step) {
            $angle = 2 * M_PI * $turn;
            // What is behind is hidden by the mandrel.
            if (sin($angle) >= -0.2) {
                $drawn->circle(
                    'bead', ($turn + 0.5) * $width, -$radius * cos($angle), min($width, $coil->beadLengthMm) / 2,
                );
            }
        }

        return $drawn;
    }

    public static function basket(Given $given, Answer $answer): Diagram
    {
        $weave = BasketWeave::parse($given->text('passes'), $given->count('cores'));
        [$core, $wire] = [$given->mm('core'), $given->mm('wire')];
        $shown = min($answer->count('repeats'), max(1, (int) floor(self::MOST_WOVEN_MM / $weave->climbMm($wire))));

        return Woven::basket(
            $weave, $core, $wire, $given->maybeMm('spacing') ?? $core + $wire, $shown * count($weave->touches),
            words: $shown < $answer->count('repeats') ? 'the beginning of it, from the front' : 'it from the front',
        );
    }

    public static function surround(Given $given, Answer $answer): Diagram
    {
        $d = $given->mm('wire');
        $radius = ($answer->maybe('rim_mm') ?? $given->mm('rim')) / (2 * M_PI);
        $wraps = 2 * min($given->count('wraps'), 40);
        $bail = ($given->mm('bail') + $d) / 2;
        $top = -$radius - ($wraps + 1) * $d;
        $drawn = (new Diagram('it from the front'))->circle('bead', 0, 0, $radius - $d / 2)
            ->circle('hole', 0, 0, min($radius / 4, 1.5 * $d));
        foreach ([-$d / 2, $d / 2] as $leg) {
            $drawn->line('wire', [[$leg, 0.0], [$leg, $top]], $d);
        }
        $drawn->bow('wire', 0, 0, $radius, $d)->bow('wire', 0, $top - $bail, $bail, $d);

        return self::wrapped($drawn, $d, [-$radius - $d, $wraps]);
    }

    /**
     * Both legs wrapped, one wrap over the other.
     *
     * @param  array{float, int}  $wraps  where the first lies, and how many there are
     */
    private static function wrapped(Diagram $drawn, float $d, array $wraps): Diagram
    {
        for ($wrap = 0; $wrap < $wraps[1]; $wrap++) {
            $y = $wraps[0] - $wrap * $d;
            $drawn->line('wrap', [[-1.4 * $d, $y - 0.2 * $d], [1.4 * $d, $y + 0.2 * $d]], $d);
        }

        return $drawn;
    }

    public static function passes(Given $given, Answer $answer): Diagram
    {
        [$count, $bead, $wire] = [min(60, $given->count('beads')), $given->mm('bead_length'), $given->mm('wire')];
        $passes = min(12, $answer->count('passes'));
        $half = $given->mm('bead_width') / 2;
        $drawn = BeadFigures::row(new Diagram('the row, and each pass beside the one before'), $count, $bead);
        $drawn->line('core', [[-3.0, $half + 0.5], [$count * $bead + 3.0, $half + 0.5]], $given->mm('core'));
        for ($turn = 0; $turn < $count * $passes; $turn++) {
            [$at, $pass] = [intdiv($turn, $passes), $turn % $passes];
            $x = ($at + 0.5) * $bead + ($pass - ($passes - 1) / 2) * $wire * 1.1;
            $drawn->line('wrap', [[$x - $bead / 12, -$half], [$x + $bead / 12, $half + 0.5]], $wire);
        }

        return $drawn;
    }
}
