<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/**
 * Pliers on the picture of a step: round jaws seen from their tips, on both sides of the wire where an eye
 * begins; or flat jaws that come from aside and hold a loop. Or what lies under the wire: a rod seen from its end, a
 * block. Millimetres and degrees of the page, y down.
 */
final readonly class Jaw
{
    public function __construct(
        public bool $isRound,
        public float $xMm,
        public float $yMm,
        /** of a round jaw its radius, of flat ones that of the loop they hold, of a block half its side */
        public float $radiusMm,
        /** from where flat jaws come */
        public float $degrees = 0.0,
    ) {
    }

    /**
     * Round jaws on both sides of a wire: the first is the one it is turned about.
     *
     * @param  array{float, float}  $at  where it is held
     * @param  array{float, float}  $aside  from there to the middle of the first
     * @return list<self>
     */
    public static function pair(array $at, array $aside, float $radiusMm): array
    {
        return [
            new self(true, $at[0] + $aside[0], $at[1] + $aside[1], $radiusMm),
            new self(true, $at[0] - $aside[0], $at[1] - $aside[1], $radiusMm),
        ];
    }
}
