<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/** How what stands at one frame stands where that is another: carried there stiffly, as it is. */
final readonly class Carry
{
    /** Where each direction of the page comes to. */
    private Vector $x;

    private Vector $y;

    private Vector $z;

    private bool $isNowhere;

    public function __construct(private Frame $from, private Frame $to)
    {
        // A wire that lies already as it will has most of what is carried.
        $this->isNowhere = $from == $to;
        $ways = [new Vector(1.0, 0.0, 0.0), new Vector(0.0, 1.0, 0.0), new Vector(0.0, 0.0, 1.0)];
        [$this->x, $this->y, $this->z] = $this->isNowhere ? $ways : array_map($this->turned(...), $ways);
    }

    private function turned(Vector $way): Vector
    {
        return $this->to->ahead->times($way->dot($this->from->ahead))
            ->plus($this->to->towards->times($way->dot($this->from->towards)))
            ->plus($this->to->beside()->times($way->dot($this->from->beside())));
    }

    public function frame(Frame $frame): Frame
    {
        return $this->isNowhere
            ? $frame
            : new Frame($this->place($frame->at), $this->way($frame->ahead), $this->way($frame->towards));
    }

    /**
     * @param  list<Span>  $spans
     * @return list<Span>
     */
    public function spans(array $spans): array
    {
        return $this->isNowhere ? $spans : array_map($this->span(...), $spans);
    }

    private function span(Span $span): Span
    {
        return new Span(
            $this->place($span->from), $this->place($span->first), $this->place($span->second), $this->place($span->to),
        );
    }

    private function place(Vector $at): Vector
    {
        [$x, $y, $z] = [$at->x - $this->from->at->x, $at->y - $this->from->at->y, $at->z - $this->from->at->z];

        return new Vector(
            $this->to->at->x + $x * $this->x->x + $y * $this->y->x + $z * $this->z->x,
            $this->to->at->y + $x * $this->x->y + $y * $this->y->y + $z * $this->z->y,
            $this->to->at->z + $x * $this->x->z + $y * $this->y->z + $z * $this->z->z,
        );
    }

    private function way(Vector $way): Vector
    {
        return $this->x->times($way->x)->plus($this->y->times($way->y))->plus($this->z->times($way->z));
    }
}
