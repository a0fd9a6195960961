<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/** How what stands at one frame stands where that is another: carried there stiffly, as it is. */
final readonly class Carry
{
    public function __construct(private Frame $from, private Frame $to)
    {
    }

    public function frame(Frame $frame): Frame
    {
        return new Frame($this->place($frame->at), $this->way($frame->ahead), $this->way($frame->towards));
    }

    public function span(Span $span): Span
    {
        return new Span(
            $this->place($span->from), $this->place($span->first), $this->place($span->second), $this->place($span->to),
        );
    }

    private function place(Vector $at): Vector
    {
        return $this->to->at->plus($this->way($at->minus($this->from->at)));
    }

    private function way(Vector $way): Vector
    {
        return $this->to->ahead->times($way->dot($this->from->ahead))
            ->plus($this->to->towards->times($way->dot($this->from->towards)))
            ->plus($this->to->beside()->times($way->dot($this->from->beside())));
    }
}
