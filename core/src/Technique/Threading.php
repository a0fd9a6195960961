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
use Hebra\Core\Course\Vector;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\School\School;
use Hebra\Core\Working;

/**
 * Beads on a straight stretch of wire: what links and pins have in common. They go on over the last end of the cut, so
 * the first one pushed on lies nearest to its first end: of a link its top, of a pin its foot.
 */
final readonly class Threading
{
    /** So much of a cone at least is on the wire above the eye that it hides. */
    private const NECK_MM = 1.0;

    /**
     * @param  float  $topMm  how far the eye above the beads reaches: what a cone beside it may hide
     * @param  float  $bottomMm  the same of the eye below
     */
    private function __construct(
        private PartPlan $plan, private bool $fromBelow, private float $topMm = 0.0, private float $bottomMm = 0.0,
    ) {
    }

    /** The cut begins above the beads. */
    public static function fromTop(PartPlan $plan, float $topMm = 0.0, float $bottomMm = 0.0): self
    {
        return new self($plan, false, $topMm, $bottomMm);
    }

    /** The cut begins at the foot, below the beads. */
    public static function fromFoot(PartPlan $plan, float $topMm = 0.0, float $bottomMm = 0.0): self
    {
        return new self($plan, true, $topMm, $bottomMm);
    }

    /** @return list<Strung> from the first end of the cut on, which is the order in which they are pushed on */
    public function order(): array
    {
        return $this->fromBelow ? array_reverse($this->plan->strung) : $this->plan->strung;
    }

    /**
     * What they take of the wire between its ends: a cone stands over the eye beside it, and only what is left of it
     * lies on the stretch.
     */
    public function seatMm(): float
    {
        return $this->plan->stackMm() - $this->hiddenMm(true) - $this->hiddenMm(false);
    }

    /** How much of the cone at an end stands over the eye there. */
    private function hiddenMm(bool $isTop): float
    {
        $runs = $this->plan->strung;
        $one = $runs[$isTop ? 0 : count($runs) - 1] ?? null;
        // A cone alone hides the lower eye.
        $hides = $one?->bead->shape === BeadShape::Cone && (! $isTop || count($runs) > 1);

        $eyeMm = $isTop ? $this->topMm : $this->bottomMm;

        return $hides ? max(0.0, min($eyeMm, $one->bead->lengthMm - self::NECK_MM)) : 0.0;
    }

    private function segment(): Segment
    {
        $numbers = implode(
            ' + ',
            array_map(
                fn (Strung $strung): string => ($strung->count === 1 ? '' : $strung->count.' × ').Figures::trim(
                    $strung->bead->lengthMm,
                ),
                $this->plan->strung,
            ),
        );
        $hidden = $this->plan->stackMm() - $this->seatMm();
        $seat = new Segment(
            SegmentKind::Seat, $this->seatMm(), Figures::counted($this->plan->beadCount(), 'bead'),
            $this->plan->mark('seat'),
            $hidden > 0.0
                ? new Working(
                    'beads', 'sum of bead lengths − what stands over the eye', $numbers.' − '.Figures::trim($hidden, 3),
                    $this->seatMm(),
                )
                : new Working('beads', 'sum of bead lengths', $numbers, $this->seatMm()),
        );

        return $seat->carrying($this->order());
    }

    private function threading(): Handwork
    {
        $words = Stringing::words($this->order());
        $isOneByOne = $this->plan->profile->schools->is(School::Threading, 'one-by-one');

        return new Handwork(
            Moment::thread(), 'Thread the beads',
            $isOneByOne ? "One at a time, each pushed home before the next: {$words}." : "In this order: {$words}.",
            Operation::Thread, 'fingers', $this->plan->beadCount(), 'beads', puts: true,
        );
    }

    /** What stands on the wire between its ends, straight. */
    public function move(): Move
    {
        if ($this->plan->strung === []) {
            return new Move(Segment::given(
                SegmentKind::Seat, 0.0, 'no beads', $this->plan->mark('seat'), 'none yet', 'common practice',
            ), new Straight(0.0));
        }
        $move = new Move($this->segment(), new Straight($this->seatMm()), $this->threaded());

        return $move->by($this->threading(...));
    }

    /** @return list<Threaded> from the first end of the cut on */
    private function threaded(): array
    {
        $threaded = [];
        $mm = -$this->hiddenMm(true);
        $isHidden = $this->hiddenMm(true) > 0.0;
        foreach ($this->plan->strung as $place => $strung) {
            $atMm = $isHidden ? $mm : null;
            $threaded[] = $this->isCovering($place)
                ? $this->over($strung, $place, $mm)
                : $this->onWire($strung, $place, $atMm);
            $mm += $strung->lengthMm();
        }

        return $this->fromBelow ? array_reverse($threaded) : $threaded;
    }

    private function onWire(Strung $strung, int $place, ?float $atMm): Threaded
    {
        $isTurned = $this->isTurned($place) !== $this->fromBelow;

        return new Threaded($strung->bead, $strung->count, $this->plan->mark('bead-'.$place), $isTurned, atMm: $atMm);
    }

    /** A cap or a cone opens towards what it holds or hides: below it, unless there is none or that opens too. */
    private function isTurned(int $place): bool
    {
        [$runs, $shape] = [$this->plan->strung, $this->plan->strung[$place]->bead->shape];

        return match ($shape) {
            BeadShape::Cap => ($runs[$place + 1]->bead->shape ?? BeadShape::Cap) === BeadShape::Cap,
            BeadShape::Cone => $place === 0 && count($runs) > 1,
            default => false,
        };
    }

    private function isCovering(int $place): bool
    {
        return ($place === 0 && $this->hiddenMm(true) > 0.0)
            || ($place === count($this->plan->strung) - 1 && $this->hiddenMm(false) > 0.0);
    }

    /** A cone where it stands, so far along from the upper end of the stretch: some of it is beyond. */
    private function over(Strung $strung, int $place, float $mm): Threaded
    {
        $middle = $this->seatMm() / 2;

        return new Threaded(
            $strung->bead, 1, $this->plan->mark('bead-'.$place), $this->isTurned($place),
            atMm: $middle - $strung->bead->lengthMm / 2,
            aside: new Vector(0.0, $mm + $strung->bead->lengthMm / 2 - $middle),
        );
    }
}
