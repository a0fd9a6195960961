<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Closure;
use Hebra\Core\Course\Vector;
use Hebra\Core\Plate\Hole;
use Hebra\Core\Plate\Plate;
use Hebra\Core\Wire\Metal;

/** A flat part as it is seen from a side: its back, its face before it, holes and soldered rings. Millimetres. */
final readonly class SeenPlate
{
    /** How wide the line is that runs along its edge. */
    private const LINE_MM = 0.12;

    private const ROUND = 28;

    /** How far apart its edge is told in lines, and in how many at most. */
    private const EDGE_MM = 0.3;

    private const MOST_LINES = 8;

    /** Of a ring's wire: so deep it lies behind or before the part's face. */
    private const FLAT = 0.3;

    /** @param  Closure(Vector): Vector  $turned */
    public function __construct(private Plate $plate, private Closure $turned, private string $mark)
    {
    }

    /** @return list<Stroke> */
    public function strokes(): array
    {
        $strokes = $this->faces();
        foreach ($this->plate->holes as $hole) {
            array_push($strokes, ...$hole->isRing ? $this->ring($hole) : []);
        }

        return $strokes;
    }

    /** @param  non-empty-list<array{string, float, float}>  $path */
    private function filled(array $path, int $rank): Stroke
    {
        return new Stroke(
            $path, self::LINE_MM, $this->plate->metal ?? Metal::Sterling, 1, $this->mark, false, $rank,
            $this->plate->colour === '' ? 'metal' : $this->plate->colour,
        );
    }

    /** @return list<Stroke> from the face that looks away, through its edge, to the one that is seen */
    private function faces(): array
    {
        $face = ($this->turned)(new Vector(0.0, 0.0, 1.0));
        // The page shifts depth aside: so lines of sight run.
        $isSeen = $face->z - SeenPath::ASIDE * $face->x >= 0;
        $offMm = $this->plate->thickMm * abs($face->x + SeenPath::ASIDE * $face->z);
        $lines = max(1, min(self::MOST_LINES, (int) ceil($offMm / self::EDGE_MM)));

        return array_map(fn (int $line): Stroke => $this->face(
            ($isSeen ? 1 : -1) * (0.5 - $line / $lines) * $this->plate->thickMm, -1 - $line,
        ), range($lines, 0));
    }

    private function face(float $z, int $rank): Stroke
    {
        $path = $this->closed($this->plate->outline, $z);
        $opening = $this->plate->opening();
        array_push($path, ...$opening === [] ? [] : $this->closed($opening, $z));
        foreach ($this->plate->holes as $hole) {
            if (! $hole->isRing && $this->plate->holds($hole->xMm, $hole->yMm)) {
                array_push($path, ...$this->closed(self::round($hole), $z));
            }
        }

        return $this->filled($path, $rank);
    }

    /** @return non-empty-list<array{float, float}> */
    private static function round(Hole $hole): array
    {
        return array_map(fn (int $step): array => [
            $hole->xMm + $hole->insideMm / 2 * cos(2 * M_PI * $step / self::ROUND),
            $hole->yMm + $hole->insideMm / 2 * sin(2 * M_PI * $step / self::ROUND),
        ], range(0, self::ROUND - 1));
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return non-empty-list<array{string, float, float}>
     */
    private function closed(array $points, float $z): array
    {
        $path = [];
        foreach ([...$points, $points[0]] as $place => [$x, $y]) {
            $path[] = [$place === 0 ? 'M' : 'L', ...SeenPath::page(($this->turned)(new Vector($x, $y, $z)))];
        }

        return $path;
    }

    /** @return list<Stroke> a soldered ring, told apart where it passes behind the face and before it */
    private function ring(Hole $ring): array
    {
        $wire = Plate::ringWireMm($ring->insideMm);
        $points = array_map(function (int $step) use ($ring, $wire): Vector {
            [$side, $down] = [sin(2 * M_PI * $step / self::ROUND), -cos(2 * M_PI * $step / self::ROUND)];
            $out = $side * ($ring->insideMm + $wire) / 2;

            return ($this->turned)(new Vector(
                $ring->xMm + ($ring->isAcross ? 0.0 : $out), $ring->yMm + $down * ($ring->insideMm + $wire) / 2,
                $ring->isAcross ? $out : 0.0,
            ));
        }, range(0, self::ROUND));
        $strokes = $path = [];
        $before = -1;
        for ($step = 0; $step < self::ROUND; $step++) {
            $z = ($points[$step]->z + $points[$step + 1]->z) / 2;
            $layer = 1 + (abs($z) > self::FLAT * $wire ? $z <=> 0.0 : 0);
            if ($layer !== $before) {
                $path === [] || $strokes[] = $this->wire($path, $wire, $before);
                [$path, $before] = [[['M', ...SeenPath::page($points[$step])]], $layer];
            }
            $path[] = ['L', ...SeenPath::page($points[$step + 1])];
        }
        $strokes[] = $this->wire($path, $wire, $before);

        return $strokes;
    }

    /** @param  non-empty-list<array{string, float, float}>  $path */
    private function wire(array $path, float $wireMm, int $layer): Stroke
    {
        return new Stroke(
            $path, $wireMm, $this->plate->metal ?? Metal::Sterling, $layer, $this->mark, true, $layer - 1,
        );
    }
}
