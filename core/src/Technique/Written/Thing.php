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

    /** Of a wire's thickness: beads that lie no farther beside each other end in the same place. */
    private const NEARLY = 0.2;

    /** How thick it is where most is bound on it. */
    private float $boundMm;

    /** @var list<array{float, float}> from where to where along it the beads lie that are bound on it */
    private array $beads = [];

    /** @param  list<Span>  $spans */
    public function __construct(private array $spans, public readonly float $wireMm)
    {
        $this->boundMm = $wireMm;
    }

    /**
     * What is wound over it from now on finds it so thick, and goes down between the beads that it holds.
     *
     * @param  list<array{float, float}>  $beads  from where to where along it each lies
     */
    public function bind(float $overMm, array $beads): void
    {
        $this->boundMm = max($this->boundMm, $overMm);
        array_push($this->beads, ...$beads);
    }

    /**
     * Where along it a wire goes down between its beads: where on every side of it one ends and the next begins, and
     * before the first and after the last.
     *
     * @return list<float> none where no beads are bound on it
     */
    public function gaps(float $wireMm): array
    {
        $gaps = $this->beads === [] ? [] : [max(0.0, min(array_column($this->beads, 0)) - $wireMm / 2)];
        sort($this->beads);
        $reached = $this->beads[0][1] ?? 0.0;
        foreach (array_slice($this->beads, 1) as [$from, $to]) {
            if ($from - $reached > -self::NEARLY * $wireMm) {
                $gaps[] = ($from + $reached) / 2;
            }
            $reached = max($reached, $to);
        }

        return $gaps === [] ? [] : [...$gaps, min($this->curve()->lengthMm(), $reached + $wireMm / 2)];
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
