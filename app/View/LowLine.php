<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Plan\Profile;

/** How low an earring hangs beside how low it may, on one ruler. */
final readonly class LowLine
{
    public const WIDE = 300;

    private const INCH_MM = 25.4;

    private float $perMm;

    public function __construct(public float $hangsMm, public float $mostMm, private Profile $profile)
    {
        $this->perMm = self::WIDE / (1.1 * max($hangsMm, $mostMm, 1.0));
    }

    public function x(float $mm): float
    {
        return round($mm * $this->perMm, 1);
    }

    /** @return list<array{float, string}> about five of them */
    public function ticks(): array
    {
        $unit = $this->profile->ruler->isMetric() ? 10.0 : self::INCH_MM / 2;
        $every = (int) max(1, ceil(self::WIDE / $this->perMm / $unit / 6));
        $ticks = [];
        for ($at = 0; $this->x($at * $unit) <= self::WIDE; $at += $every) {
            $ticks[] = [
                $this->x($at * $unit), (string) ($this->profile->ruler->isMetric() ? $at * 10 : $at / 2),
            ];
        }

        return $ticks;
    }
}
