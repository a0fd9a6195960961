<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Figures;

use Hebra\Core\Bend\WrappedLoop;
use Hebra\Core\Figure\Diagram;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Given;

/** Eyes, wrapped loops, links and pins from the front. Millimetres. */
final class BendFigures
{
    /** Longer than this a bead is shown as several. */
    private const LONG_BEAD_MM = 10.0;

    private const HEAD_MM = 0.9;

    public static function wrappedLoop(Given $given): Diagram
    {
        $loop = new WrappedLoop(
            $given->mm('wire'), $given->mm('inside'), $given->number('wraps'), $given->mm('stem'), 0.0,
        );
        $drawn = self::end(new Diagram('the loop from the front'), $loop, 0.0);

        return $drawn->line('wire', [[0.0, 0.0], [0.0, 6 * $loop->wireMm]], $loop->stemMm);
    }

    public static function link(Given $given): Diagram
    {
        $wire = $given->mm('wire');
        $loop = new WrappedLoop($wire, $given->mm('inside'), $given->number('wraps'), $wire, 0.0);
        $body = $given->mm('body');
        $drawn = self::stacked(new Diagram('the link from the front'), $body);

        return self::end(self::end($drawn, $loop, 0.0), $loop, $body);
    }

    /** Beads along x = 0, from 0 down. */
    private static function stacked(Diagram $drawn, float $mm): Diagram
    {
        $count = max(1, (int) ceil($mm / self::LONG_BEAD_MM - 1e-9));
        $each = $mm / $count;
        for ($at = 0; $at < min($count, 60); $at++) {
            $drawn->circle('bead', 0.0, ($at + 0.5) * $each, $each / 2);
        }

        return $drawn;
    }

    /** Neck, wraps and loop from y on: up from 0, else down. */
    private static function end(Diagram $drawn, WrappedLoop $loop, float $y): Diagram
    {
        $way = $y > 0.0 ? 1 : -1;
        $neck = $loop->neckMm();
        $radius = ($loop->insideMm + $loop->wireMm) / 2;
        $half = ($loop->stemMm + $loop->wireMm) / 2;
        $drawn->line('wire', [[0.0, $y], [0.0, $y + $way * ($neck + 0.4 * $loop->wireMm)]], $loop->stemMm)
            ->bow('wire', 0.0, $y + $way * ($neck + $radius), $radius, $loop->wireMm);
        for ($wrap = 0; $wrap < min(60, floor($loop->wraps)); $wrap++) {
            $at = $y + $way * ($wrap + 0.5) * $loop->wireMm;
            $slope = 0.2 * $loop->wireMm;
            $drawn->line('wrap', [[-$half, $at - $slope], [$half, $at + $slope]], $loop->wireMm);
        }

        return $drawn;
    }

    /**
     * The pin with its beads and its loop, and dashed what is trimmed off.
     */
    public static function pin(Given $given, Answer $answer): Diagram
    {
        [$wire, $stack] = [$given->mm('wire'), $given->mm('stack')];
        $loop = new WrappedLoop($wire, $given->mm('inside'), $given->count('wraps'), $wire);
        $drawn = new Diagram(
            $answer->results['fits'] === true ? 'green is trimmed off' : 'too short for what the tool must grip',
        );
        self::end(self::stacked($drawn, $stack), $loop, 0.0)
            ->line('wire', [[0.0, $stack], [0.0, $stack + self::HEAD_MM]], $wire)
            ->circle('wire', 0.0, $stack + self::HEAD_MM, self::HEAD_MM);
        $trimmed = $answer->number('trimmed_mm');
        if ($trimmed > 0.0) {
            $side = $given->mm('inside') + 4 * $wire;
            $drawn->line('lit', [[$side, $stack - $trimmed], [$side, $stack]], $wire);
        }

        return $drawn;
    }

    /** As it is, and dashed as a pull opens it. */
    public static function pulled(Given $given): Diagram
    {
        [$d, $radius] = [$given->mm('wire'), ($given->mm('inside') + $given->mm('wire')) / 2];

        return (new Diagram('dashed: as a pull opens it'))
            ->bow('wire', 0, 0, $radius, $d, 0.02, 0.98)
            ->line('wire', [[$radius, 0.1 * $d], [$radius, $radius + 5 * $d]], $d)
            ->bow('wanted', 0, 0.25 * $radius, 1.25 * $radius, $d, 0.12, 0.93)
            ->line('mark', [[0.0, -$radius - 2 * $d], [0.0, -$radius - 6 * $d]], 0.25)
            ->line('mark', [[-$d, -$radius - 5 * $d], [0.0, -$radius - 6 * $d], [$d, -$radius - 5 * $d]], 0.25);
    }
}
