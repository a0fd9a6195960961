<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Closure;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wrap\Turn;

/**
 * A fine wire that ties the two curls of a bangle to each other, through both: turns round the two wires where the
 * curls
 * meet, N·√((π(t + w) + 2t)² + w²), and a tail at either end. Millimetres. Source: geometry; a handful of turns is
 * common practice.
 */
final readonly class CurlTie
{
    private const TAIL_MM = 50.0;

    /**
     * @param  float  $thickMm  of the wire of the curls
     * @param  Closure(): Vector  $place  where the curls meet
     */
    public function __construct(private PartPlan $plan, private float $thickMm, private Closure $place)
    {
    }

    private function turns(): int
    {
        return $this->plan->part->count('tied');
    }

    private function wireMm(): float
    {
        return $this->plan->wireOf(BoundBeads::ROLE)->diameterMm();
    }

    private function turnMm(): float
    {
        return Turn::roundMm(2, $this->thickMm, $this->thickMm, $this->wireMm());
    }

    public function course(): Course
    {
        $turned = Later::once(fn (): Wound => $this->wound());

        return (new Stretch($this->plan))->tail(self::TAIL_MM, 'tie-tail')->anchored()->worked(
            SegmentKind::Wraps, $this->turns() * $this->turnMm(), Figures::counted($this->turns(), 'turn'), 'tie',
            'N·√((π(t + w) + 2t)² + w²)', $this->turns().' × '.Figures::trim($this->turnMm(), 3), Turn::SOURCE,
            shape: new Later($turned),
        )->by($this->tying(...))->tail(self::TAIL_MM, 'tie-tail')->course(
            'Tie', BoundBeads::ROLE, $this->plan->times, fn (): Frame => $turned()->start(), 'tie',
        );
    }

    /** Round both wires, which run up and down where they touch. */
    private function wound(): Wound
    {
        $half = new Vector(0.0, $this->turns() * $this->wireMm() / 2);
        $middle = ($this->place)();
        $touch = new Curve([Span::straight($middle->minus($half), $middle->plus($half))]);

        return Wound::close(
            new Host($touch, new Vector(1.0, 0.0)), 0.0, $this->turns(), $this->thickMm, $this->wireMm(),
            $this->thickMm,
        );
    }

    private function tying(): Handwork
    {
        return new Handwork(
            Moment::work('tie'), 'Tie the curls', 'Bring the curls together and sew through both, '
                .Figures::counted($this->turns(), 'turn').' pulled tight beside each other. Trim both tails and press '
                .'them in where nothing touches the wrist.', Operation::Bind,
            'fingers, chain-nose pliers, flush cutter', $this->turns(), 'turns', [Caution::CutEnds],
        );
    }
}
