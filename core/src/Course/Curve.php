<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/** A centreline in space, from its first end to its last: millimetres. */
final class Curve
{
    /** Into how many pieces a bent span is told at least. */
    private const LEAST = 6;

    /** How far apart the places are that the lowest is chosen of. */
    private const FINE_MM = 0.3;

    private ?float $lengthMm = null;

    /** @var list<Repeat>|null */
    private ?array $repeats = null;

    /** @param  list<Span>  $spans  each begins where the one before it ends */
    public function __construct(public readonly array $spans)
    {
    }

    public function lengthMm(): float
    {
        return $this->lengthMm ??= array_sum(
            array_map(fn (Span $span): float => $span->lengthMm(), $this->spans),
        );
    }

    /**
     * In so many stretches of about one length, each of whole spans.
     *
     * @return list<non-empty-list<Span>>
     */
    public function shared(int $stretches): array
    {
        $each = $this->lengthMm() / $stretches;
        $shared = [];
        $gone = 0.0;
        foreach ($this->spans as $span) {
            $shared[min($stretches - 1, (int) floor(($gone + 1e-9) / $each))][] = $span;
            $gone += $span->lengthMm();
        }

        return array_values($shared);
    }

    /** @return list<Span> its first so many millimetres */
    public function begun(float $mm): array
    {
        $begun = [];
        foreach ($this->spans as $span) {
            $length = $span->lengthMm();
            if ($mm < 1e-6) {
                break;
            }
            if ($mm < $length) {
                return [...$begun, $span->parted($span->shareAt($mm, $length))[0]];
            }
            $begun[] = $span;
            $mm -= $length;
        }

        return $begun;
    }

    /** Its lowest place as it hangs: where what hangs in it slides to. */
    public function lowest(): Vector
    {
        return $this->farthest(1.0);
    }

    public function highest(): Vector
    {
        return $this->farthest(-1.0);
    }

    /** @param  float  $down  1 for its lowest place, −1 for its highest */
    private function farthest(float $down): Vector
    {
        $farthest = $this->spans[0]->from ?? new Vector(0.0, 0.0);
        foreach ($this->spans as $span) {
            // A span lies within the four points that draw it.
            if ($span->reaches($down) > $down * $farthest->y) {
                foreach ((new self([$span]))->points(self::FINE_MM) as $at) {
                    $farthest = $down * $at->y > $down * $farthest->y ? $at : $farthest;
                }
            }
        }

        return $farthest;
    }

    /** @return list<Repeat> what it is made of, in the order of the wire */
    public function repeats(): array
    {
        return $this->repeats ??= Repeat::in($this->spans);
    }

    public function moved(Vector $by): self
    {
        return new self(array_map(fn (Span $span): Span => $span->moved($by), $this->spans));
    }

    public function reversed(): self
    {
        return new self(array_map(fn (Span $span): Span => $span->reversed(), array_reverse($this->spans)));
    }

    /**
     * Points along it, none farther from the next than asked for, every span's ends among them.
     *
     * @return list<Vector>
     */
    public function points(float $stepMm): array
    {
        $points = $this->spans === [] ? [] : [$this->spans[0]->from];
        foreach ($this->spans as $span) {
            // A turn of fine wire is short: it is told by its bend as well.
            $pieces = max($span->isStraight() ? 1 : self::LEAST, (int) ceil($span->lengthMm() / $stepMm));
            for ($piece = 1; $piece <= $pieces; $piece++) {
                $points[] = $span->at($piece / $pieces);
            }
        }

        return $points;
    }

    /** @return list<Vector> the ends of every span and its middle: about as far as it reaches */
    public function about(): array
    {
        $points = $this->spans === [] ? [] : [$this->spans[0]->from];
        foreach ($this->spans as $span) {
            array_push($points, ...($span->isStraight() ? [$span->to] : [$span->at(0.5), $span->to]));
        }

        return $points;
    }

    /** @return array{Vector, Vector}|null where it begins and where it ends */
    public function ends(): ?array
    {
        return $this->spans === [] ? null : [$this->spans[0]->from, $this->spans[count($this->spans) - 1]->to];
    }

    /**
     * Where a point of it lies and how it runs there, one millimetre long.
     *
     * @return array{Vector, Vector}
     */
    public function at(float $mm): array
    {
        foreach ($this->spans as $place => $span) {
            $length = $span->lengthMm();
            if ($mm <= $length || $place === count($this->spans) - 1) {
                $share = $span->shareAt($mm, $length);

                return [$span->at($share), $span->runs($share)->unit()];
            }
            $mm -= $length;
        }

        return [new Vector(0.0, 0.0), new Vector(0.0, 1.0)];
    }
}
