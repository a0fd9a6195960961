<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Plan\Moment;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Step;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\School\School;
use Hebra\Core\Working;

/**
 * Beads on a straight stretch of wire: what links and pins have in common. They go on over the last end of the cut, so
 * the first one pushed on lies nearest to its first end: of a link its top, of a pin its foot.
 */
final readonly class Threading
{
    private function __construct(private PartPlan $plan, private bool $fromBelow)
    {
    }

    /** The cut begins above the beads. */
    public static function fromTop(PartPlan $plan): self
    {
        return new self($plan, false);
    }

    /** The cut begins at the foot, below the beads. */
    public static function fromFoot(PartPlan $plan): self
    {
        return new self($plan, true);
    }

    /** @return list<Strung> from the first end of the cut on, which is the order in which they are pushed on */
    public function order(): array
    {
        return $this->fromBelow ? array_reverse($this->plan->strung) : $this->plan->strung;
    }

    /** @return list<Segment> none without beads */
    public function segments(): array
    {
        if ($this->plan->strung === []) {
            return [];
        }
        $numbers = implode(
            ' + ',
            array_map(
                fn (Strung $strung): string => ($strung->count === 1 ? '' : $strung->count.' × ').Figures::trim(
                    $strung->bead->lengthMm,
                ),
                $this->plan->strung,
            ),
        );
        $seat = new Segment(SegmentKind::Seat, $this->plan->stackMm(), Figures::counted($this->plan->beadCount(), 'bead'), $this->plan->mark('seat'),
            new Working('beads', 'sum of bead lengths', $numbers, $this->plan->stackMm()));

        return [$seat->carrying($this->order())];
    }

    /** @return list<Step> */
    public function steps(): array
    {
        if ($this->plan->strung === []) {
            return [];
        }
        $words = Stringing::words($this->order());
        $text = $this->plan->profile->schools->is(School::Threading, 'one-by-one')
            ? "One at a time, each pushed home before the next: {$words}."
            : "In this order: {$words}.";
        $step = new Step(
            Moment::thread(), '', 'Thread the beads', $text, [$this->plan->mark('seat')], $this->plan->beadCount(), 'beads',
            tool: 'fingers', operation: Operation::Thread,
        );

        return [$step->putting($this->order(), $this->plan->cutKey())];
    }

    /** What stands on the wire between its ends, straight. */
    public function move(): Move
    {
        $segment = $this->segments()[0] ?? Segment::given(
            SegmentKind::Seat, 0.0, 'no beads', $this->plan->mark('seat'), 'none yet', 'common practice',
        );

        return new Move($segment, new Straight($this->plan->stackMm()), $this->threaded());
    }

    /** @return list<Threaded> from the first end of the cut on */
    private function threaded(): array
    {
        $threaded = [];
        foreach ($this->plan->strung as $place => $strung) {
            // A cap opens towards the bead it holds: the one below it, unless there is none or that is a cap too.
            $below = $this->plan->strung[$place + 1]->bead->shape ?? BeadShape::Cap;
            $isTurned = $strung->bead->shape === BeadShape::Cap && $below === BeadShape::Cap;
            $threaded[] = new Threaded(
                $strung->bead, $strung->count, $this->plan->mark('bead-'.$place), $isTurned !== $this->fromBelow,
            );
        }

        return $this->fromBelow ? array_reverse($threaded) : $threaded;
    }
}
