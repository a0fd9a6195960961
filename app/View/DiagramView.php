<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Figure\Diagram;

/** A small technical drawing, ready to be placed: at true size where it fits, else at a stated scale. */
final readonly class DiagramView
{
    private const MOST_WIDE_MM = 150.0;

    private const MOST_HIGH_MM = 70.0;

    private const MARGIN_MM = 2.0;

    public float $scale;

    public float $width;

    public float $height;

    /** @param  float|null  $most  the largest scale to try, for a drawing that is to be looked into */
    public function __construct(public Diagram $diagram, ?float $most = null)
    {
        $fits = fn (
            float $scale,
        ): bool => $diagram->widthMm() * $scale <= self::MOST_WIDE_MM
            && $diagram->heightMm() * $scale <= self::MOST_HIGH_MM;
        $isSmall = max($diagram->widthMm(), $diagram->heightMm()) < 15;
        $scale = 0.05;
        foreach (
            $most === null
            ? []
            : array_filter(
                [10.0, 8.0, 6.0, 5.0, 4.0, 3.0, 2.5, 2.0, 1.5, 1.0, 0.5, 0.25], fn (float $try): bool => $try <= $most,
            ) as $try
        ) {
            if ($fits($try)) {
                $scale = $try;
                break;
            }
        }
        foreach (
            match (true) {
                $scale > 0.05 => [],
                $isSmall => [8.0, 6.0, 4.0, 3.0, 2.0, 1.0],
                default => [1.0, 0.75, 0.5, 0.33, 0.25, 0.1],
            } as $try
        ) {
            if ($fits($try) && (! $isSmall || max($diagram->widthMm(), $diagram->heightMm()) * $try <= 40)) {
                $scale = $try;
                break;
            }
        }
        $this->scale = $scale;
        $this->width = round($diagram->widthMm() * $scale + 2 * self::MARGIN_MM, 2);
        $this->height = round($diagram->heightMm() * $scale + 2 * self::MARGIN_MM, 2);
    }

    public function words(): string
    {
        return $this->diagram->words.' · '
            .match (true) {
                $this->scale === 1.0 => 'true size',
                $this->scale > 1 => "{$this->scale} : 1",
                default => '1 : '.round(1 / $this->scale, 1),
            };
    }

    /** @return list<array{kind: string, x: float, y: float, r: float}> in millimetres of the picture */
    public function circles(): array
    {
        return array_map(
            fn (array $one): array => [
                'kind' => $one['kind'],
                'x' => $this->x($one['x']),
                'y' => $this->y($one['y']),
                'r' => round($one['r'] * $this->scale, 3),
            ],
            $this->diagram->circles(),
        );
    }

    /** @return list<array{kind: string, d: string, mm: float}> */
    public function lines(): array
    {
        return array_map(fn (array $line): array => [
            'kind' => $line['kind'], 'mm' => round(max(0.12, $line['mm'] * $this->scale), 3),
            'd' => 'M'.implode(
                'L',
                array_map(fn (array $point): string => $this->x($point[0]).' '.$this->y($point[1]), $line['path']),
            ).($line['isClosed'] ? 'Z' : ''),
        ], $this->diagram->lines());
    }

    private function x(float $mm): float
    {
        return round(($mm - $this->diagram->left()) * $this->scale + self::MARGIN_MM, 3);
    }

    private function y(float $mm): float
    {
        return round(($mm - $this->diagram->top()) * $this->scale + self::MARGIN_MM, 3);
    }
}
