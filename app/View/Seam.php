<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Figure\Stroke;

/** Where one stretch of wire goes on in the next. Millimetres. */
final class Seam
{
    /** Of the wire's thickness: so far both run on under each other. */
    private const MEETS = 0.15;

    /** Of the wire's thickness: what they share reaches no farther from there. */
    private const ABOUT = 0.8;

    /**
     * Whether the next of some stretches begins where the last of them ends, and comes near them nowhere else.
     *
     * @param  list<Stroke>  $stretches
     */
    public static function isOnly(array $stretches, Stroke $next): bool
    {
        $last = $stretches[count($stretches) - 1] ?? $next;
        [$endX, $endY] = Stroke::end($last->path[count($last->path) - 1]);
        [$x, $y] = Stroke::end($next->path[0]);
        if (hypot($endX - $x, $endY - $y) > self::MEETS * $next->wireMm) {
            return false;
        }
        foreach ($stretches as $stretch) {
            if (! self::touchOnlyThere($stretch, $next)) {
                return false;
            }
        }

        return true;
    }

    /** Whether what an earlier one may cover of the next lies about where that begins; it may be nothing. */
    private static function touchOnlyThere(Stroke $one, Stroke $next): bool
    {
        [$x, $y] = Stroke::end($next->path[0]);
        [$oneLeft, $oneTop, $oneRight, $oneBottom] = $one->bounds();
        [$left, $top, $right, $bottom] = $next->bounds();
        [$half, $about] = [$next->wireMm / 2, self::ABOUT * $next->wireMm];
        [$left, $right] = [max($left, $oneLeft) - $half, min($right, $oneRight) + $half];
        [$top, $bottom] = [max($top, $oneTop) - $half, min($bottom, $oneBottom) + $half];

        return $left > $right || $top > $bottom
            || ($left > $x - $about && $right < $x + $about && $top > $y - $about && $bottom < $y + $about);
    }
}
