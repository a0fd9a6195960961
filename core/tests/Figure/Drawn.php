<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Figure;

use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Stroke;

/** Measures what is drawn. */
final class Drawn
{
    /** Along straight lines and cubic curves. */
    public static function lengthMm(Stroke $stroke): float
    {
        $length = 0.0;
        $at = new Vector(0.0, 0.0);
        foreach ($stroke->path as $command) {
            [$x, $y] = Stroke::end($command);
            $to = new Vector($x, $y);
            $length += match ($command[0]) {
                'L' => $to->minus($at)->lengthMm(),
                'C' => (new Span(
                    $at, new Vector((float) $command[1], (float) $command[2]),
                    new Vector((float) ($command[3] ?? 0), (float) ($command[4] ?? 0)), $to,
                ))->lengthMm(),
                default => 0.0,
            };
            $at = $to;
        }

        return $length;
    }
}
