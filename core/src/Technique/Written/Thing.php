<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/** A wire, or a stretch of one, that others are wrapped on, go along and are bound to. Millimetres. */
final class Thing
{
    private const STEP_MM = 0.25;

    /** Closer than this a place lies on no side of it. */
    private const ON_IT = 0.01;

    /** @var list<Vector>|null its places, one step from each other: many wires ask where it is best */
    private ?array $places = null;

    /** How thick it is where most is bound on it. */
    private float $boundMm;

    /** @param  list<Span>  $spans */
    public function __construct(private array $spans, public readonly float $wireMm)
    {
        $this->boundMm = $wireMm;
    }

    /** What is wound over it from now on lies on wraps of so thick a wire. */
    public function bind(float $wireMm): void
    {
        $this->boundMm = max($this->boundMm, $this->wireMm + 2 * $wireMm);
    }

    public function boundMm(): float
    {
        return $this->boundMm;
    }

    /** @param  list<Span>  $spans */
    public function longer(array $spans): void
    {
        array_push($this->spans, ...$spans);
        $this->places = null;
    }

    public function curve(): Curve
    {
        return new Curve($this->spans);
    }

    /** With the side that faces away from a place outwards. */
    public function host(bool $isReversed = false): Host
    {
        return new Host($isReversed ? $this->curve()->reversed() : $this->curve());
    }

    /** With the side outwards that a place lies on, as seen from so far along it. */
    public function facing(bool $isReversed, float $mm, Vector $place): Host
    {
        $curve = $isReversed ? $this->curve()->reversed() : $this->curve();
        $at = (new Host($curve))->at($mm);
        $side = $place->minus($at->at);
        $side = $side->minus($at->ahead->times($side->dot($at->ahead)));

        return $side->lengthMm() < self::ON_IT ? new Host($curve) : new Host($curve, $side->unit()->cross($at->ahead));
    }

    /**
     * How far along it the place of it is that is best: the least of what is asked of each.
     *
     * @param  \Closure(Vector): float  $asked
     */
    private function best(\Closure $asked): float
    {
        [$best, $least] = [0, INF];
        foreach ($this->places ??= $this->placed() as $step => $at) {
            $is = $asked($at);
            if ($is < $least - 1e-9) {
                [$best, $least] = [$step, $is];
            }
        }

        return $best * self::STEP_MM;
    }

    /** @return list<Vector> */
    private function placed(): array
    {
        [$places, $gone] = [[], 0.0];
        foreach ($this->spans as $span) {
            $length = $span->lengthMm();
            while (($on = count($places) * self::STEP_MM - $gone) <= $length) {
                $places[] = $span->at($span->shareAt($on, $length));
            }
            $gone += $length;
        }

        return $places;
    }

    public function nearest(Vector $place): float
    {
        return $this->best(fn (Vector $at): float => $at->minus($place)->lengthMm());
    }

    /** How far along it it comes to a height. */
    public function at(float $yMm): float
    {
        return $this->best(fn (Vector $at): float => abs($at->y - $yMm));
    }

    /** How far along it a place is that is named: a side, `start`, `middle`, `end`, millimetres, or a share. */
    public function place(string $name): float
    {
        $all = $this->curve()->lengthMm();

        return match (true) {
            $name === 'left' => $this->best(fn (Vector $at): float => $at->x),
            $name === 'right' => $this->best(fn (Vector $at): float => -$at->x),
            $name === 'top' => $this->best(fn (Vector $at): float => $at->y),
            $name === 'bottom' => $this->best(fn (Vector $at): float => -$at->y),
            $name === 'start' => 0.0,
            $name === 'end' => $all,
            $name === 'middle' => $all / 2,
            str_ends_with($name, '%') => $all * (float) $name / 100,
            default => (float) $name,
        };
    }
}
