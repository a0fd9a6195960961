<?php

declare(strict_types=1);

namespace App\View\Stock;

use App\Models\Lot;
use App\View\CoilTurns;

/**
 * A lot of wire as the coil it is: one spiral, its thickness to scale with every other coil's, wound to what is left
 * inside the ring of what was bought. Pixels.
 */
final readonly class CoilDrawing
{
    public const WIDE = 76;

    private const MIDDLE = 38.0;

    private const RING = 36.0;

    private const INNER = 14.0;

    private const OUTER = 34.0;

    private const PX_PER_MM = 4.6;

    public float $thickPx;

    public bool $isGhost;

    private float $share;

    private float $keptShare;

    /**
     * @param  array{float, float}|null  $shares  what is there of what was bought, and of that what is kept, 0 to 1;
     *     null of what is about to come in
     */
    private function __construct(float $wireMm, public string $metal, ?array $shares)
    {
        $this->isGhost = $shares === null;
        [$this->share, $this->keptShare] = $shares ?? [1.0, 0.0];
        $this->thickPx = max(1.3, min(6.0, $wireMm * self::PX_PER_MM));
    }

    /** @param  float  $keptMm  of what it holds, what is kept for pieces */
    public static function of(Lot $lot, float $keptMm): self
    {
        $held = $lot->heldMm();
        $bought = max($held, $lot->receivedMm(), 1e-9);

        $kept = $held > 0 ? min(1.0, $keptMm / $held) : 0.0;

        return new self($lot->wire()->widthMm(), $lot->metal, [$held / $bought, $kept]);
    }

    /** A whole one, as it is bought. */
    public static function whole(float $wireMm, string $metal): self
    {
        return new self($wireMm, $metal, [1.0, 0.0]);
    }

    /** Of what is about to come in. */
    public static function ghost(float $wireMm, string $metal): self
    {
        return new self($wireMm, $metal, null);
    }

    public function ring(): float
    {
        return self::RING;
    }

    /** Where the peg holds it: inside its innermost turn. */
    public function pegY(): float
    {
        return round(self::MIDDLE - self::INNER + 4, 1);
    }

    /** The way of the wire, from its innermost turn out. */
    public function turns(): string
    {
        return $this->share <= 0 ? '' : $this->coil()->path(0, $this->halves());
    }

    /** Its outer turns, as far as they are kept for pieces. */
    public function kept(): string
    {
        $halves = $this->halves();
        $kept = (int) ceil($halves * $this->keptShare);

        return $this->keptShare <= 0 ? '' : $this->coil()->path($halves - $kept, $halves);
    }

    /** What is there at all is seen as a turn. */
    private function halves(): int
    {
        return max(2, $this->coil()->halves($this->share));
    }

    private function coil(): CoilTurns
    {
        return new CoilTurns(self::MIDDLE, self::INNER, self::OUTER, $this->thickPx);
    }
}
