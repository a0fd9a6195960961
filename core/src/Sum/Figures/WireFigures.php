<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Figures;

use Hebra\Core\Bend\Hammered;
use Hebra\Core\Figure\Diagram;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Given;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\Temper;

/** Wire itself: how thick, how much, how hard. Millimetres, as diagrams are. */
final class WireFigures
{
    /** A coil as it lies in the hand, to its wire’s middle. */
    private const COIL_MM = 40.0;

    private const MOST_TURNS = 24;

    /** So many millimetres of the ruler of hardness are one number. */
    private const NUMBER_MM = 6.0;

    private const RULER_NUMBERS = 9.0;

    /** It between its neighbours in the gauge, and beside what it is compared with. */
    public static function size(Given $given): Diagram
    {
        $size = $given->mm('size');
        $nearest = SizeSystem::nearestAwg($size);
        $words = 'its section, two gauges up and down beside it';
        $sections = [
            [SizeSystem::awgMm($nearest - 2), 'hole'], [$size, 'wire'], [SizeSystem::awgMm($nearest + 2), 'hole'],
        ];
        if ($given->has('other')) {
            [$words, $sections] = ['both in section', [[$size, 'wire'], [$given->mm('other'), 'hole']]];
        }
        $drawn = new Diagram($words);
        $x = 0.0;
        foreach ($sections as [$across, $kind]) {
            $drawn->circle($kind, $x + $across / 2, 0, $across / 2);
            $x += 1.5 * $across;
        }

        return $drawn;
    }

    /** So much of it, wound to a coil. */
    public static function mass(Given $given): Diagram
    {
        return self::coiled($given->mm('length'), $given->section()->thicknessMm());
    }

    public static function length(Given $given, Answer $answer): Diagram
    {
        return self::coiled($answer->number('length_mm'), $given->section()->thicknessMm());
    }

    /** Turn in turn, the last as far round as the wire goes. */
    private static function coiled(float $lengthMm, float $wireMm): Diagram
    {
        $turns = $lengthMm / (M_PI * self::COIL_MM);
        $shown = min($turns, (float) self::MOST_TURNS);
        $drawn = new Diagram($shown < $turns
            ? 'the first '.self::MOST_TURNS.' turns of its coil, 40 mm across'
            : 'all of it, in a coil 40 mm across');
        for ($turn = 0; $turn < $shown; $turn++) {
            $drawn->bow('wrap', 0, 0, self::COIL_MM / 2 + $turn * $wireMm, $wireMm, 0.0, min(1.0, $shown - $turn));
        }

        return $drawn;
    }

    public static function temper(Given $given, Answer $answer): Diagram
    {
        return self::ruled($given->temper()->numbersHard(), $answer->number('numbers_hard'));
    }

    public static function hardening(Given $given, Answer $answer): Diagram
    {
        $drawn = self::ruled($given->temper()->numbersHard(), $answer->number('numbers_hard'));
        $limit = $given->metal()->numbersBeforeAnnealing();
        if ($limit <= self::RULER_NUMBERS) {
            $x = $limit * self::NUMBER_MM;
            $drawn->line('mark', [[$x, -6.0], [$x, 2.0]], 0.2)->note('anneal', $x, -8.0);
        }

        return $drawn;
    }

    /** On a ruler of numbers hard: where the wire was, and what has come to it. */
    private static function ruled(float $from, float $to): Diagram
    {
        $end = max(self::RULER_NUMBERS, min(40.0, ceil($to)));
        $x = fn (float $numbers): float => min($end, $numbers) * self::NUMBER_MM;
        $words = $to > $from ? 'how hard it was, and in green what has come to it' : 'how hard it is';
        $drawn = (new Diagram($words, isToScale: false))->line('under', [[0.0, 0.0], [$x($end), 0.0]], 1.0);
        if ($from > 0.0) {
            $drawn->line('wire', [[0.0, 0.0], [$x($from), 0.0]], 2.6);
        }
        if ($to > $from) {
            $drawn->line('lit', [[$x($from), 0.0], [$x($to), 0.0]], 2.6);
        }

        return self::tempers($drawn);
    }

    /** Where the grades of wire stand on it. */
    private static function tempers(Diagram $drawn): Diagram
    {
        foreach ([Temper::DeadSoft, Temper::HalfHard, Temper::Hard, Temper::Spring] as $temper) {
            $at = $temper->numbersHard() * self::NUMBER_MM;
            $word = ['dead-soft' => 'soft', 'half-hard' => 'half'][$temper->value] ?? $temper->value;
            $drawn->line('mark', [[$at, 2.2], [$at, 4.2]], 0.2)->note($word, max(3.0, $at), 7.0);
        }

        return $drawn;
    }

    /** The section before and after. */
    public static function hammer(Given $given): Diagram
    {
        $flat = Hammered::of($given->mm('wire'), $given->mm('thickness'));
        [$d, $half] = [$flat->wireMm, ($flat->widthMm() - $flat->thicknessMm) / 2];
        $x = 1.5 * $d + $half;

        return (new Diagram('its section before and after'))->circle('wire', 0, 0, $d / 2)->line(
            'wire', [[$x - $half, 0.0], [$x + $half, 0.0]], $flat->thicknessMm,
        );
    }
}
