<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Stroke;

/** A piece's figure in pixels, ready to be placed: strokes joined by wire and layer, beads, the scale. */
final readonly class Drawing
{
    public const PX_PER_MM = 96 / 25.4;


    private const RATIOS = [6, 5, 4, 3.5, 3, 2.5, 2.4, 2.2, 2, 1.8, 1.6, 1.5, 1.25, 1, 0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.25, 0.2, 0.15, 0.1, 0.05, 0.02, 0.01];

    public float $ratio;

    public float $width;

    public float $height;

    private float $k;

    private float $originX;

    public function __construct(private PieceFigure $figure, float $roomWide = 330, float $roomHigh = 560, private float $dimension = 64, private float $room = 26)
    {
        $this->ratio = self::ratioFor($figure, $roomWide - $dimension - 2 * $this->room, $roomHigh - 2 * $this->room);
        $this->k = $this->ratio * self::PX_PER_MM;
        $this->originX = $this->room + $dimension - $figure->left * $this->k;
        $this->width = round(2 * $this->room + $dimension + $figure->widthMm() * $this->k, 1);
        $this->height = round(2 * $this->room + $figure->heightMm() * $this->k, 1);
    }

    private static function ratioFor(PieceFigure $figure, float $wide, float $high): float
    {
        foreach (self::RATIOS as $ratio) {
            $k = $ratio * self::PX_PER_MM;
            if ($figure->heightMm() * $k <= $high && $figure->widthMm() * $k <= $wide) {
                return $ratio;
            }
        }

        return 0.005;
    }

    public function x(float $mm): float
    {
        return round($this->originX + $mm * $this->k, 2);
    }

    public function y(float $mm): float
    {
        return round($this->room + $mm * $this->k, 2);
    }

    public function px(float $mm): float
    {
        return round($mm * $this->k, 2);
    }

    public function dimensionX(): float
    {
        return $this->room + 12;
    }

    public function bottomMm(): float
    {
        return $this->figure->heightMm();
    }

    /** Pixels of one centimetre square of the paper behind it. */
    public function centimetre(): float
    {
        return round(10 * $this->k, 3);
    }

    /** @return array<int, list<array{mark: string, metal: string, width: float, runsOn: bool, path: string}>> by layer, far to near */
    public function layers(): array
    {
        $groups = [0 => [], 1 => [], 2 => []];
        foreach ($this->figure->strokes as $stroke) {
            $key = $stroke->mark.'|'.$stroke->wireMm;
            $groups[$stroke->layer][$key] ??= ['mark' => $stroke->mark, 'metal' => $stroke->metal->value, 'width' => $this->px($stroke->wireMm), 'runsOn' => $stroke->runsOn, 'path' => ''];
            $groups[$stroke->layer][$key]['path'] .= $this->path($stroke);
        }

        return array_map(array_values(...), $groups);
    }

    private function path(Stroke $stroke): string
    {
        $path = '';
        foreach ($stroke->path as $command) {
            $path .= $command[0] === 'A'
                ? 'A'.$this->px((float) $command[1]).' '.$this->px((float) $command[2]).' 0 0 '.($command[3] ?? 0).' '.$this->x((float) ($command[4] ?? 0)).' '.$this->y((float) ($command[5] ?? 0))
                : $command[0].$this->x((float) $command[1]).' '.$this->y((float) $command[2]);
        }

        return $path;
    }

    /** @return list<array{bead: Bead, mark: string, x: float, y: float, w: float, l: float}> */
    public function beads(): array
    {
        $beads = [];
        foreach ($this->figure->beads as $mark) {
            $beads[] = ['bead' => $mark->bead, 'mark' => $mark->mark, 'x' => $this->x(0), 'y' => $this->y($mark->topMm), 'w' => $this->px($mark->bead->widthMm), 'l' => $this->px($mark->bead->lengthMm)];
        }

        return $beads;
    }
}
