<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/** Spans that lie where they are told, on something else: they begin where the wire came to. */
final class Laid implements Shape
{
    private ?float $lengthMm = null;

    /** @param  non-empty-list<Span>  $spans  each begins where the one before it ends */
    public function __construct(private readonly array $spans, private readonly Frame $end)
    {
    }

    /** @param  non-empty-list<Span>  $spans */
    public static function through(array $spans): self
    {
        $last = $spans[count($spans) - 1];
        $ahead = $last->runs(1.0)->unit();
        // Where it runs flat on the page it bends to its right.
        $towards = $ahead->cross(new Vector(0.0, 0.0, -1.0));

        $side = $towards->lengthMm() > 1e-6 ? $towards->unit() : new Vector(1.0, 0.0);

        return new self($spans, new Frame($last->to, $ahead, $side));
    }

    /**
     * Spans that lie beside others, so that the wire stands at their end about as it did.
     *
     * @param  non-empty-list<Span>  $spans
     * @param  Span  $was  the last of the others
     */
    public static function beside(array $spans, Span $was, Frame $end): self
    {
        $last = $spans[count($spans) - 1];
        $turned = $last->runs(1.0)->unit()->minus($was->runs(1.0)->unit());

        return new self($spans, Frame::turned($last->to, $end->ahead->plus($turned)->unit(), $end->towards));
    }

    public function lengthMm(): float
    {
        return $this->lengthMm ??= (new Curve($this->spans))->lengthMm();
    }

    public function laid(Frame $from): array
    {
        return [$this->spans, $this->end];
    }
}
