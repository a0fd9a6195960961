<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Strung;

/** What a cut has besides its sum, so that it never comes up short [common practice]. Millimetres. */
final class Allowance
{
    /** Beads vary in length: so much for each, and so much at least. */
    private const BEAD_MM = 0.1;

    private const LEAST_MM = 1.0;

    /** What fingers or pliers hold of an end: about an inch of fine wire, an inch and a half of heavy. */
    private const FINE_END_MM = 25.0;

    private const HEAVY_END_MM = 38.0;

    private const HEAVY_FROM_MM = 0.9;

    public static function endMm(float $wireMm): float
    {
        return $wireMm < self::HEAVY_FROM_MM ? self::FINE_END_MM : self::HEAVY_END_MM;
    }

    /** A cut as long as its beads has something over for beads that are longer, where nothing else of it is trimmed. */
    public static function forBeads(Cut $cut): Cut
    {
        $beads = 0;
        foreach ($cut->segments as $segment) {
            $stack = array_sum(array_map(fn (Strung $run): float => $run->lengthMm(), $segment->beads));
            $beads += $segment->kind === SegmentKind::Seat && abs($stack - $segment->lengthMm) < 1e-6
                ? array_sum(array_map(fn (Strung $run): int => $run->count, $segment->beads))
                : 0;
        }
        if ($beads === 0 || $cut->trimmedMm() > 1e-9 || $cut->isBoughtPin()) {
            return $cut;
        }
        $spare = Segment::given(
            SegmentKind::Tail,
            max(self::LEAST_MM, self::BEAD_MM * $beads),
            'for the beads',
            '',
            'beads vary in length: 0.1 mm a bead, at least 1 mm; trimmed off',
            'common practice',
        );

        return $cut->with([...$cut->segments, $spare]);
    }
}
