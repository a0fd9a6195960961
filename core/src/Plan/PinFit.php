<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bend\WrappedLoop;

/**
 * Does a bought pin of fixed length reach? Needed = stack + neck + loop + wraps + what the tool must grip; trimmed =
 * pin − stack − neck − loop − wraps, never below 0. Millimetres. Source: common practice.
 */
final readonly class PinFit
{
    public const GRIP_MM = 8.0;

    public function __construct(
        public float $pinMm,
        public float $stackMm,
        public WrappedLoop $loop,
        public float $gripMm = self::GRIP_MM,
    ) {
    }

    public function usedMm(): float
    {
        return $this->stackMm + $this->loop->neckMm() + $this->loop->loopMm() + $this->loop->wrapsMm();
    }

    public function neededMm(): float
    {
        return $this->usedMm() + $this->gripMm;
    }

    public function trimmedMm(): float
    {
        return max(0.0, $this->pinMm - $this->usedMm());
    }

    public function fits(): bool
    {
        return $this->neededMm() <= $this->pinMm + 1e-9;
    }
}
