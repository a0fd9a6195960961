<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

/**
 * The setting of a part that follows from what the piece is to fit: which, how many millimetres, and how far off still
 * fits.
 */
final readonly class Sizing
{
    public function __construct(
        public string $key,
        public float $wantedMm,
        public float $toleranceMm,
        /**
         * what the fit would have to be for the setting to be right: millimetres of fit for one of the setting, and
         * what is added
         */
        private float $fitPerMm = 1.0,
        private float $addedMm = 0.0,
    ) {
    }

    public function fits(Part $part): bool
    {
        return abs($part->mm($this->key) - $this->wantedMm) <= $this->toleranceMm + 1e-9;
    }

    /** The fit, in millimetres, that the part has as it stands. */
    public function fitOf(Part $part): float
    {
        return ($part->mm($this->key) - $this->addedMm) * $this->fitPerMm;
    }

    /** The part, sized; left as it is where that lies beyond what the setting takes. */
    public function applied(Part $part): Part
    {
        foreach ($part->technique()->parameters() as $parameter) {
            if (
                $parameter->key === $this->key
                && $this->wantedMm >= $parameter->least
                && $this->wantedMm <= $parameter->most
            ) {
                return $part->withSetting($this->key, round($this->wantedMm, 4));
            }
        }

        return $part;
    }
}
