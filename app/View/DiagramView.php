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

    private const SCALES = [10.0, 8.0, 7.0, 6.0, 5.0, 4.0, 3.0, 2.5, 2.0, 1.5, 1.0, 0.5, 0.25];

    private const LONG = 5.0;

    /** Of these no one crosses its neighbour. */
    private const SIDE_BY_SIDE = ['wrap', 'under', 'lit'];

    public float $scale;

    public float $width;

    public float $height;

    /**
     * @param  float|null  $most  the largest scale to try, for a drawing that is to be looked into
     * @param  float  $wide  how wide it may be, mm
     */
    public function __construct(public Diagram $diagram, ?float $most = null, float $wide = self::MOST_WIDE_MM)
    {
        $fits = fn (
            float $scale,
        ): bool => $diagram->widthMm() * $scale <= $wide
            && $diagram->heightMm() * $scale <= self::MOST_HIGH_MM;
        $isSmall = max($diagram->widthMm(), $diagram->heightMm()) < 15;
        $scale = 0.05;
        foreach (
            $most === null
            ? []
            : array_filter(self::SCALES, fn (float $try): bool => $try <= $most) as $try
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

    /** So much longer than high that as a picture its beginning says more. */
    public function isLong(): bool
    {
        return $this->width > self::LONG * $this->height;
    }

    public function words(): string
    {
        return $this->diagram->words.($this->diagram->isToScale ? ' · ' : '')
            .match (true) {
                ! $this->diagram->isToScale => '',
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

    /** @return list<array{kind: string, text: string, x: float, y: float}> */
    public function labels(): array
    {
        return array_map(
            fn (array $one): array => ['x' => $this->x($one['x']), 'y' => $this->y($one['y'])] + $one,
            $this->diagram->labels(),
        );
    }

    /** @return list<array{kind: string, d: string, mm: float}> turns that lie side by side as one */
    public function strokes(): array
    {
        $strokes = [];
        foreach ($this->lines() as $line) {
            $last = array_key_last($strokes);
            if ($last !== null && in_array($line['kind'], self::SIDE_BY_SIDE, true)
                && [$strokes[$last]['kind'], $strokes[$last]['mm']] === [$line['kind'], $line['mm']]) {
                $strokes[$last]['d'] .= $line['d'];
            } else {
                $strokes[] = $line;
            }
        }

        return $strokes;
    }

    /** @return list<array{kind: string, d: string, mm: float}> */
    private function lines(): array
    {
        return array_map(fn (array $line): array => [
            'kind' => $line['kind'], 'mm' => round(max(0.12, $line['mm'] * $this->scale), 3),
            'd' => $this->path($line['path'], round($line['arcMm'] * $this->scale, 3)).($line['isClosed'] ? 'Z' : ''),
        ], $this->diagram->lines());
    }

    /** @param  list<array{float, float}>  $points */
    private function path(array $points, float $arc): string
    {
        $to = $arc > 0.0 ? "A{$arc} {$arc} 0 0 1 " : 'L';
        $places = array_map(fn (array $point): string => $this->x($point[0]).' '.$this->y($point[1]), $points);

        return 'M'.implode($to, $places);
    }

    private function x(float $mm): float
    {
        return round(($mm - $this->diagram->left()) * $this->scale + self::MARGIN_MM, 2);
    }

    private function y(float $mm): float
    {
        return round(($mm - $this->diagram->top()) * $this->scale + self::MARGIN_MM, 2);
    }
}
