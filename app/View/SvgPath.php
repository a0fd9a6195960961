<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Figure\Stroke;

/** A stroke as the data of a path, in pixels about an origin: each point told from the last, as short as it can be. */
final class SvgPath
{
    /** In pixels: so little off, a curve goes on in the one before it as if it were one. */
    private const SMOOTH_PX = 0.02;

    private string $data = '';

    private string $lastCommand = '';

    private string $lastNumber = '';

    private float $x = 0.0;

    private float $y = 0.0;

    /** @var array{float, float}|null where the second point of the next curve lies if it goes on smoothly */
    private ?array $ahead = null;

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
        [$byX, $byY] = [$toX - $this->x, $toY - $this->y];
        $ahead = null;
        if ($command[0] === 'C') {
            $first = $this->from((float) $command[1], (float) $command[2]);
            $second = $this->from((float) ($command[3] ?? 0), (float) ($command[4] ?? 0));
            $ahead = [$byX - $second[0], $byY - $second[1]];
            $this->isSmooth($first)
                ? $this->tell('s', [...$second, $byX, $byY])
                : $this->tell('c', [...$first, ...$second, $byX, $byY]);
        } else {
            match (true) {
                $command[0] === 'M' => $this->tell('M', [$toX, $toY]),
                abs($byX) < 1e-9 => $this->tell('v', [$byY]),
                abs($byY) < 1e-9 => $this->tell('h', [$byX]),
                default => $this->tell('l', [$byX, $byY]),
            };
        }
        [$this->x, $this->y, $this->ahead] = [$toX, $toY, $ahead];
    }

    /** @param  array{float, float}  $first */
    private function isSmooth(array $first): bool
    {
        return $this->ahead !== null && abs($first[0] - $this->ahead[0]) < self::SMOOTH_PX
            && abs($first[1] - $this->ahead[1]) < self::SMOOTH_PX;
    }

    /**
     * What is said already is not said again: a command, a nought before a point, a space where the next number can
     * only be the next.
     *
     * @param  list<float|int>  $numbers
     */
    private function tell(string $command, array $numbers): void
    {
        if ($command !== $this->lastCommand) {
            $this->data .= $command;
            [$this->lastCommand, $this->lastNumber] = [$command, ''];
        }
        foreach ($numbers as $number) {
            $one = self::number($number);
            $isApart = $this->lastNumber === '' || $one[0] === '-'
                || ($one[0] === '.' && str_contains($this->lastNumber, '.'));
            $this->data .= ($isApart ? '' : ' ').$one;
            $this->lastNumber = $one;
        }
    }

    /** To a hundredth of a pixel, without the nought before its point. */
    public static function number(float $number): string
    {
        $told = (string) (round($number, 2) + 0.0);

        return str_starts_with($told, '0.') ? substr($told, 1) : str_replace('-0.', '-.', $told);
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
}
