<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Fit\Band;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Sizing;

/** What a finger asks of a ring: its inside is the finger’s, a wide band’s a little more [common practice]. */
final class Finger
{
    /** A quarter of a US size still fits [common practice], mm. */
    private const TOLERANCE_MM = RingSize::US_STEP_MM / 4;

    public static function sizing(Fit $fit, float $widthMm): ?Sizing
    {
        $wider = Band::widerMm($widthMm);

        return $fit->kind === FitKind::Finger
            ? new Sizing('inside', $fit->mm + $wider, self::TOLERANCE_MM, 1.0, $wider)
            : null;
    }
}
