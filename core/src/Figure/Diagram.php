<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/**
 * A small technical drawing in millimetres: circles and thick lines, x to the right, y downwards. Kinds say what a
 * thing is (`wire`, `wrap`, `core`, `bead`, `hole`, `mandrel`, `wanted`); how it looks is the web's business.
 */
final class Diagram
{
    /** At so many places a bow is looked at for how far it reaches. */
    private const REACHED = 32;

    /** @var list<array{kind: string, x: float, y: float, r: float}> */
    private array $circles = [];

    /** @var list<array{kind: string, path: list<array{float, float}>, mm: float, isClosed: bool, arcMm: float}> */
    private array $lines = [];

    /** @var list<array{kind: string, text: string, x: float, y: float}> */
    private array $labels = [];

    /** @var array{float, float, float, float} left, top, right, bottom */
    private array $box = [INF, INF, -INF, -INF];

    /** @param  bool  $isToScale  whether its millimetres are those of the thing */
    public function __construct(public readonly string $words, public readonly bool $isToScale = true)
    {
    }

    public function circle(string $kind, float $x, float $y, float $radiusMm): self
    {
        $this->circles[] = ['kind' => $kind, 'x' => $x, 'y' => $y, 'r' => $radiusMm];
        $this->reach($x, $y, $radiusMm);

        return $this;
    }

    /**
     * A line of a thickness through points.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    public function line(string $kind, array $points, float $thicknessMm, bool $isClosed = false): self
    {
        $this->lines[] = [
            'kind' => $kind, 'path' => $points, 'mm' => $thicknessMm, 'isClosed' => $isClosed, 'arcMm' => 0.0,
        ];
        foreach ($points as [$x, $y]) {
            $this->reach($x, $y, $thicknessMm / 2);
        }

        return $this;
    }

    /** A wire bent to a circle, or to a part of one, seen from the front. */
    public function bow(
        string $kind, float $x, float $y, float $radiusMm, float $wireMm, float $fromTurn = 0.0, float $toTurn = 1.0,
    ): self {
        $at = fn (float $turn): array => [
            $x + $radiusMm * cos(2 * M_PI * $turn), $y + $radiusMm * sin(2 * M_PI * $turn),
        ];
        // No arc is longer than a quarter, so that which way round it goes is never in doubt.
        $quarters = max(1, (int) ceil(4 * ($toTurn - $fromTurn) - 1e-9));
        $path = array_map(
            fn (int $step): array => $at($fromTurn + ($toTurn - $fromTurn) * $step / $quarters), range(0, $quarters),
        );
        $this->lines[] = [
            'kind' => $kind, 'path' => $path, 'mm' => $wireMm, 'isClosed' => false, 'arcMm' => $radiusMm,
        ];
        for ($step = 0; $step <= self::REACHED; $step++) {
            $this->reach(...[...$at($fromTurn + ($toTurn - $fromTurn) * $step / self::REACHED), $wireMm / 2]);
        }

        return $this;
    }

    /** A word or number on a thing, about a place. */
    public function label(string $text, float $x, float $y): self
    {
        $this->labels[] = ['kind' => 'on', 'text' => $text, 'x' => $x, 'y' => $y];

        return $this;
    }

    /** A word or number beside what is drawn. */
    public function note(string $text, float $x, float $y): self
    {
        $this->labels[] = ['kind' => 'beside', 'text' => $text, 'x' => $x, 'y' => $y];
        $this->reach($x, $y, 0.0);

        return $this;
    }

    private function reach(float $x, float $y, float $by): void
    {
        $this->box = [
            min($this->box[0], $x - $by),
            min($this->box[1], $y - $by),
            max($this->box[2], $x + $by),
            max($this->box[3], $y + $by),
        ];
    }

    /** @return list<array{kind: string, x: float, y: float, r: float}> */
    public function circles(): array
    {
        return $this->circles;
    }

    /**
     * Points are joined straight, or by arcs of a radius, clockwise, where there is one.
     *
     * @return list<array{kind: string, path: list<array{float, float}>, mm: float, isClosed: bool, arcMm: float}>
     */
    public function lines(): array
    {
        return $this->lines;
    }

    /** @return list<array{kind: string, text: string, x: float, y: float}> */
    public function labels(): array
    {
        return $this->labels;
    }

    public function left(): float
    {
        return is_finite($this->box[0]) ? $this->box[0] : 0.0;
    }

    public function top(): float
    {
        return is_finite($this->box[1]) ? $this->box[1] : 0.0;
    }

    public function widthMm(): float
    {
        return is_finite($this->box[0]) ? $this->box[2] - $this->box[0] : 0.0;
    }

    public function heightMm(): float
    {
        return is_finite($this->box[1]) ? $this->box[3] - $this->box[1] : 0.0;
    }
}
