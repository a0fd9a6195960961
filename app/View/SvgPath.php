<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Figure\Stroke;

/** A stroke as the data of a path, in pixels about an origin: each point told from the last, as short as it can be. */
final class SvgPath
{
    private string $data = '';

    private float $x = 0.0;

    private float $y = 0.0;

    private function __construct(
        private readonly float $left,
        private readonly float $top,
        private readonly float $k,
        private readonly bool $isMirrored,
    ) {
    }

    public static function of(Stroke $stroke, float $left, float $top, float $pixels, bool $isMirrored): string
    {
        $path = new self($left, $top, $pixels, $isMirrored);
        foreach ($stroke->path as $command) {
            $path->add($command);
        }

        return $path->data;
    }

    /**
     * @param  array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}  $command
     */
    private function add(array $command): void
    {
        [$toX, $toY] = $this->point(...Stroke::end($command));
        $numbers = match ($command[0]) {
            'M' => [$toX, $toY],
            'C' => [
                ...$this->from((float) $command[1], (float) $command[2]),
                ...$this->from((float) ($command[3] ?? 0), (float) ($command[4] ?? 0)),
                $toX - $this->x, $toY - $this->y,
            ],
            default => [$toX - $this->x, $toY - $this->y],
        };
        $this->data .= ($command[0] === 'M' ? 'M' : strtolower($command[0])).self::joined($numbers);
        [$this->x, $this->y] = [$toX, $toY];
    }

    /** @return array{float, float} */
    private function point(float $xMm, float $yMm): array
    {
        return [
            round($this->left + ($this->isMirrored ? -$xMm : $xMm) * $this->k, 2),
            round($this->top + $yMm * $this->k, 2),
        ];
    }

    /** @return array{float, float} */
    private function from(float $xMm, float $yMm): array
    {
        [$x, $y] = $this->point($xMm, $yMm);

        return [$x - $this->x, $y - $this->y];
    }

    /** @param  list<float|int>  $numbers */
    private static function joined(array $numbers): string
    {
        $text = '';
        foreach ($numbers as $number) {
            $one = (string) (round($number, 2) + 0.0);
            $one = str_starts_with($one, '0.') ? substr($one, 1) : str_replace('-0.', '-.', $one);
            $text .= ($text === '' || $one[0] === '-' ? '' : ' ').$one;
        }

        return $text;
    }
}
