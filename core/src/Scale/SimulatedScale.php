<?php

declare(strict_types=1);

namespace Hebra\Core\Scale;

/**
 * A bench scale that is not there: it comes to rest over a second or two, drifts a little, trembles, shows steps of 10
 * mg, and once in a while does not answer. The same load, seed and moment show the same. All its figures are invented.
 */
final readonly class SimulatedScale implements Scale
{
    public const STEP_MG = 10;

    private const SETTLES_S = 0.45;

    private const STILL_AFTER_S = 2.5;

    private const DRIFT_MG_PER_S = 0.15;

    private const TREMBLE_MG = 60.0;

    /** It is away for so long, once in so long. */
    private const AWAY_S = 2.0;

    private const EVERY_S = 45.0;

    public function __construct(private int $loadMg, private int $tareMg = 0, private int $seed = 1)
    {
    }

    public function reading(float $seconds): Reading
    {
        $seconds = max(0.0, $seconds);
        if (fmod($seconds + $this->seed % 40, self::EVERY_S) >= self::EVERY_S - self::AWAY_S) {
            return new Reading(0, false, false);
        }
        $rest = exp(-$seconds / self::SETTLES_S);
        $shown = $this->loadMg * (1 - $rest) + self::DRIFT_MG_PER_S * min($seconds, 30.0)
            + self::TREMBLE_MG * $rest * $this->noise($seconds) + 2.0 * $this->noise($seconds + 1000.0);

        return new Reading(
            self::STEP_MG * (int) round(($shown - $this->tareMg) / self::STEP_MG),
            $seconds >= self::STILL_AFTER_S,
            true,
        );
    }

    /** Between −1 and 1, the same for the same tenth of a second. */
    private function noise(float $seconds): float
    {
        return (crc32($this->seed.'/'.(int) floor($seconds * 10)) % 2001) / 1000 - 1;
    }
}
