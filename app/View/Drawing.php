<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Figure\BeadMark;
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

    public function __construct(private PieceFigure $figure, float $roomWide = 330, float $roomHigh = 560, private float $dimension = 64, private float $room = 26, private string $name = 'piece', private bool $isMirrored = false, ?float $ratioGiven = null)
    {
        $this->ratio = $ratioGiven ?? self::ratioFor($figure, $roomWide - $dimension - 2 * $this->room, $roomHigh - 2 * $this->room);
        $this->k = $this->ratio * self::PX_PER_MM;
        $this->originX = $this->room + $dimension + ($isMirrored ? $figure->right : -$figure->left) * $this->k;
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
        return round($this->originX + ($this->isMirrored ? -$mm : $mm) * $this->k, 2);
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

    /** @return array<int, list<array{mark: string, metal: string, width: float, bodyWidth: float, shineWidth: float, shineShift: string, runsOn: bool, path: string}>> by layer, far to near */
    public function layers(): array
    {
        $groups = [0 => [], 1 => [], 2 => []];
        foreach ($this->figure->strokes as $stroke) {
            $key = $stroke->mark.'|'.$stroke->wireMm;
            $groups[$stroke->layer][$key] ??= $this->group($stroke);
            $groups[$stroke->layer][$key]['path'] .= $this->path($stroke);
        }

        return array_map(array_values(...), $groups);
    }

    /** @return array{mark: string, metal: string, width: float, bodyWidth: float, shineWidth: float, shineShift: string, runsOn: bool, path: string} a rim, a body, and light along the upper left */
    private function group(Stroke $stroke): array
    {
        $width = $this->px($stroke->wireMm);

        return [
            'mark' => $stroke->mark, 'metal' => $stroke->metal->value, 'width' => $width, 'bodyWidth' => round($width * 0.74, 2), 'shineWidth' => round($width * 0.24, 2),
            'shineShift' => 'translate('.round(-$width * 0.13, 2).' '.round(-$width * 0.08, 2).')', 'runsOn' => $stroke->runsOn, 'path' => '',
        ];
    }

    private function path(Stroke $stroke): string
    {
        $path = '';
        foreach ($stroke->path as $command) {
            $path .= $command[0] === 'A'
                ? 'A'.$this->px((float) $command[1]).' '.$this->px((float) $command[2]).' '.(isset($command[6]) ? round($this->isMirrored ? -$command[6] : $command[6], 1) : 0).' 0 '.($this->isMirrored ? 1 - (int) ($command[3] ?? 0) : ($command[3] ?? 0)).' '.$this->x((float) ($command[4] ?? 0)).' '.$this->y((float) ($command[5] ?? 0))
                : $command[0].$this->x((float) $command[1]).' '.$this->y((float) $command[2]);
        }

        return $path;
    }

    /** @return list<array{id: string, bead: Bead, x: int, y: int, w: float, l: float}> each kind of bead once, to be placed as often as it hangs there */
    public function kinds(): array
    {
        $kinds = [];
        foreach ($this->figure->beads as $mark) {
            $kinds[$this->idOf($mark->bead)] ??= ['id' => $this->idOf($mark->bead), 'bead' => $mark->bead, 'x' => 0, 'y' => 0, 'w' => $this->px($mark->bead->widthMm), 'l' => $this->px($mark->bead->lengthMm)];
        }

        return array_values($kinds);
    }

    /** @return list<array{id: string, mark: string, x: float, y: float, turn: string}> */
    public function beads(): array
    {
        return array_map(function (BeadMark $mark): array {
            [$x, $y] = [$this->x($mark->xMm), $this->y($mark->topMm)];
            $turn = $this->isMirrored ? -$mark->turn : $mark->turn;

            return ['id' => $this->idOf($mark->bead), 'mark' => $mark->mark, 'x' => $x, 'y' => $y,
                'turn' => $turn === 0.0 ? '' : ' transform="rotate('.round($turn, 1).' '.$x.' '.round($y + $this->px($mark->bead->lengthMm) / 2, 2).')"'];
        }, $this->figure->beads);
    }

    private function idOf(Bead $bead): string
    {
        return 'bead-'.$this->name.'-'.substr(md5($bead->key()), 0, 8);
    }
}
