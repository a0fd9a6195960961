<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** What the hands do with a wire, as a sign on the picture of a step: millimetres and degrees of the page, y down. */
final readonly class HandHint
{
    /** Round a middle, from where it begins, by so many degrees: clockwise where more than nothing. */
    public const TURN = 'turn';

    /** Round an axis that runs at so many degrees: the near half to its right where more than nothing. */
    public const WIND = 'wind';

    /** A point goes to another one. */
    public const SWING = 'swing';

    /** The wire is cut there; what goes off lies at so many degrees. */
    public const CUT = 'cut';

    /** A hammer falls there. */
    public const TAP = 'tap';

    /** A file goes over an end that lies at so many degrees. */
    public const FILE = 'file';

    public function __construct(
        public string $kind,
        public float $xMm,
        public float $yMm,
        /** how wide it is, how far it goes, or how thick the wire is */
        public float $sizeMm,
        public float $degrees = 0.0,
        /** where about its middle it begins, clockwise from the right; or how its axis runs */
        public float $fromDegrees = 0.0,
        public float $toXMm = 0.0,
        public float $toYMm = 0.0,
    ) {
    }
}
