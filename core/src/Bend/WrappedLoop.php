<?php

declare(strict_types=1);

namespace Hebra\Core\Bend;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Working;
use Hebra\Core\Wrap\Turn;

/**
 * A loop closed by wraps on its own neck: neck N·d left bare for the wraps to come, the loop π(D + d), N wraps of
 * √((π(s + d))² + d²) each on a stem s, or the hull of k of them side by side, and a tail to hold that is trimmed off.
 * With no wraps it is a plain eye.
 *
 * Units: millimetres. Source: common practice for the parts, geometry (helix length) for the wraps.
 */
final readonly class WrappedLoop
{
    public const SOURCE = 'geometry: helix of pitch d round the stem; the neck is as long as its wraps (common '
        .'practice)';

    public function __construct(
        public float $wireMm,
        public float $insideMm,
        public int|float $wraps,
        public float $stemMm,
        public float $tailMm = 0.0,
        /** wires side by side that the wraps enclose */
        public int $stems = 1,
        /** how wide the wire lies, wrap beside wrap; null for round wire */
        private ?float $wideMm = null,
    ) {
    }

    public function pitchMm(): float
    {
        return $this->wideMm ?? $this->wireMm;
    }

    public function neckMm(): float
    {
        return $this->wraps * $this->pitchMm();
    }

    public function loopMm(): float
    {
        return Loop::lengthMm($this->insideMm, $this->wireMm);
    }

    public function wrapMm(): float
    {
        return Turn::roundMm($this->stems, $this->stemMm, $this->stemMm, $this->wireMm, $this->wideMm);
    }

    public function wrapsMm(): float
    {
        return $this->wraps * $this->wrapMm();
    }

    public function totalMm(): float
    {
        return $this->neckMm() + $this->loopMm() + $this->wrapsMm() + $this->tailMm;
    }

    /** What the end adds to a link, from the body to the inside of the loop's far side: neck + d + D. */
    public function reachMm(): float
    {
        return $this->neckMm() + $this->wireMm + $this->insideMm;
    }

    public function neckWorking(): Working
    {
        return new Working(
            'neck',
            'N·d',
            Figures::trim($this->wraps).' × '.Figures::trim($this->pitchMm(), 3),
            $this->neckMm(),
        );
    }

    public function loopWorking(): Working
    {
        return Loop::working('loop', $this->insideMm, $this->wireMm);
    }

    public function wrapsWorking(): Working
    {
        $d = Figures::trim($this->wireMm, 3);
        [$pitch, $letter] = $this->wideMm === null || $this->wideMm === $this->wireMm
            ? [$d, 'd']
            : [Figures::trim($this->wideMm, 3), 'w'];
        $s = Figures::trim($this->stemMm, 3);
        [$hull, $numbers] = $this->stems === 1 ? ['', ''] : [' + 2(k − 1)s', ' + 2 × '.($this->stems - 1)." × {$s}"];

        return new Working(
            'wraps',
            "N·√((π(s + d){$hull})² + {$letter}²)",
            Figures::trim($this->wraps)." × √((π × ({$s} + {$d}){$numbers})² + {$pitch}²)",
            $this->wrapsMm(),
            'mm',
            self::SOURCE,
        );
    }
}
