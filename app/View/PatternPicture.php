<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;

/** A pattern as a picture of its own: the same for every maker. */
final class PatternPicture
{
    /** Round it in the file. */
    public const ROOM_MM = 8 / Drawing::PX_PER_MM;

    public static function of(string $pattern): string
    {
        $words = Patterns::named($pattern)->words;
        $assembly = Planner::plan(Patterns::start($pattern, $pattern), new Profile)->assembly();
        $drawing = new Drawing($assembly, dimension: 0, room: 8, ratioGiven: 1.0);
        $told = ['drawing' => $drawing, 'hangs' => '', 'label' => $words, 'small' => true];
        $inner = view('svg.defs')->render().view('svg.piece', $told)->render();

        return SvgFile::document($drawing->width, $drawing->height, $words, $inner);
    }
}
