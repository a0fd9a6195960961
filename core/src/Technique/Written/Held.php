<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Course\Vector;

/** Beads that stand in a row on a wire that went through them: where their hole begins and ends. Millimetres. */
final class Held
{
    /** @var list<int> the places beside each other in the hole that wires take */
    private array $taken = [0];

    public function __construct(
        public readonly Vector $from, public readonly Vector $to, public readonly float $widthMm,
    ) {
    }

    public function lengthMm(): float
    {
        return $this->to->minus($this->from)->lengthMm();
    }

    public function ahead(): Vector
    {
        return $this->to->minus($this->from)->unit();
    }

    public function middle(): Vector
    {
        return $this->from->plus($this->to)->times(0.5);
    }

    /** Square to its hole, in the plane of the page as far as it can be. */
    public function across(): Vector
    {
        $across = $this->ahead()->cross(new Vector(0.0, 0.0, 1.0));

        return $across->lengthMm() < 1e-6 ? new Vector(1.0, 0.0) : $across->unit();
    }

    /** A free place for one more wire, the nearest to where it comes from, so far beside the middle of the hole. */
    public function room(Vector $from, float $wireMm): Vector
    {
        $side = $from->minus($this->middle())->dot($this->across()) < 0.0 ? -1 : 1;
        $place = $side;
        while (in_array($place, $this->taken, true)) {
            $out = $place * $side > 0 ? $side : -$side;
            $place = $place === $side ? -$side : $place + $out;
        }
        $this->taken[] = $place;

        return $this->across()->times($place * $wireMm);
    }
}
