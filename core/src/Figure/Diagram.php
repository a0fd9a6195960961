<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/**
 * A small technical drawing in millimetres: circles and thick lines, x to the right, y downwards. Kinds say what a
 * thing is (`wire`, `wrap`, `core`, `bead`, `hole`, `mandrel`, `wanted`); how it looks is the web's business.
 */
final class Diagram
{
    /** @var list<array{kind: string, x: float, y: float, r: float}> */
    private array $circles = [];

    /** @var list<array{kind: string, path: list<array{float, float}>, mm: float, isClosed: bool}> */
    private array $lines = [];

    /** @var list<array{kind: string, text: string, x: float, y: float}> */
    private array $labels = [];

    /** @var array{float, float, float, float} left, top, right, bottom */
    private array $box = [INF, INF, -INF, -INF];

    public function __construct(public readonly string $words)
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
        $this->lines[] = ['kind' => $kind, 'path' => $points, 'mm' => $thicknessMm, 'isClosed' => $isClosed];
        foreach ($points as [$x, $y]) {
            $this->reach($x, $y, $thicknessMm / 2);
        }

        return $this;
    }

    /** A wire bent to a circle, or to a part of one, seen from the front. */
    public function bow(
        string $kind, float $x, float $y, float $radiusMm, float $wireMm, float $fromTurn = 0.0, float $toTurn = 1.0,
    ): self {
        $points = [];
        $steps = max(8, (int) ceil(72 * ($toTurn - $fromTurn)));
        for ($step = 0; $step <= $steps; $step++) {
            $angle = 2 * M_PI * ($fromTurn + ($toTurn - $fromTurn) * $step / $steps);
            $points[] = [$x + $radiusMm * cos($angle), $y + $radiusMm * sin($angle)];
        }

        return $this->line($kind, $points, $wireMm);
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

    /** @return list<array{kind: string, path: list<array{float, float}>, mm: float, isClosed: bool}> */
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
