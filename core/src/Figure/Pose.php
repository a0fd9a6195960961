<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/**
 * How a part lies in the drawing: turned about the origin, degrees clockwise, then moved, millimetres.
 *
 * @phpstan-import-type Path from Stroke
 */
final readonly class Pose
{
    private float $cos;

    private float $sin;

    public function __construct(public float $degrees = 0.0, public float $xMm = 0.0, public float $yMm = 0.0)
    {
        $this->cos = cos(deg2rad($degrees));
        $this->sin = sin(deg2rad($degrees));
    }

    public function isNone(): bool
    {
        return $this->degrees === 0.0 && $this->xMm === 0.0 && $this->yMm === 0.0;
    }

    /** The pose of what hangs in an eye of this one, turned about that eye. */
    public function below(Placement $eye, float $degrees = 0.0): self
    {
        [$x, $y] = $this->at($eye->xMm, $eye->yMm);

        return new self($this->degrees + $degrees, $x, $y);
    }

    public function down(float $millimetres): self
    {
        return new self($this->degrees, $this->xMm, $this->yMm + $millimetres);
    }

    /** @return array{float, float} where a point of the part lies */
    public function at(float $xMm, float $yMm): array
    {
        return [$this->cos * $xMm - $this->sin * $yMm + $this->xMm, $this->sin * $xMm + $this->cos * $yMm + $this->yMm];
    }

    /**
     * @param  Path  $path  of the part
     * @return Path where it lies
     */
    public function path(array $path): array
    {
        [$cos, $sin, $right, $down] = [$this->cos, $this->sin, $this->xMm, $this->yMm];
        foreach ($path as $index => $command) {
            // Told number by number: this is done for every stroke of a piece.
            [$x, $y] = [$command[1], $command[2]];
            $posed = [
                $command[0], round($cos * $x - $sin * $y + $right, 4), round($sin * $x + $cos * $y + $down, 4),
            ];
            if ($command[0] === 'C') {
                [$midX, $midY, $toX, $toY] = [
                    $command[3] ?? 0, $command[4] ?? 0, $command[5] ?? 0, $command[6] ?? 0,
                ];
                array_push(
                    $posed, round($cos * $midX - $sin * $midY + $right, 4),
                    round($sin * $midX + $cos * $midY + $down, 4), round($cos * $toX - $sin * $toY + $right, 4),
                    round($sin * $toX + $cos * $toY + $down, 4),
                );
            }
            $path[$index] = $posed;
        }

        return $path;
    }

    /** @return array{float, float} the point of the part that lies there */
    public function from(float $xMm, float $yMm): array
    {
        [$x, $y] = [$xMm - $this->xMm, $yMm - $this->yMm];

        return [$this->cos * $x + $this->sin * $y, $this->cos * $y - $this->sin * $x];
    }
}
