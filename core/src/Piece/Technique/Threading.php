<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Segment;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Step;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\School\School;
use Hebra\Core\Working;

/** Beads on a straight stretch of wire: what links and pins have in common. */
final readonly class Threading
{
    public function __construct(private PartPlan $plan)
    {
    }

    /** @return list<Segment> none without beads */
    public function segments(): array
    {
        if ($this->plan->strung === []) {
            return [];
        }
        $numbers = implode(' + ', array_map(fn ($strung): string => ($strung->count === 1 ? '' : $strung->count.' × ').Figures::trim($strung->bead->lengthMm), $this->plan->strung));

        return [new Segment(SegmentKind::Seat, $this->plan->stackMm(), Figures::counted($this->plan->beadCount(), 'bead'), $this->plan->mark('seat'),
            new Working('beads', 'sum of bead lengths', $numbers, $this->plan->stackMm()))];
    }

    /** @return list<Step> */
    public function steps(): array
    {
        if ($this->plan->strung === []) {
            return [];
        }

        $text = $this->plan->profile->schools->is(School::Threading, 'one-by-one')
            ? 'One at a time, each pushed home before the next: '.$this->plan->threading().'.'
            : 'In this order: '.$this->plan->threading().'.';

        return [new Step('thread', '', 'Thread the beads', $text, [$this->plan->mark('seat')], $this->plan->beadCount(), 'beads', tool: 'fingers')];
    }

    public function draw(Sketch $sketch, float $fromMm): void
    {
        $sketch->stem($fromMm, $fromMm + $this->plan->stackMm(), $this->plan->wireMm(), $this->plan->wire->metal, $this->plan->mark('seat'));
        $y = $fromMm;
        foreach ($this->plan->strung as $place => $strung) {
            // A cap opens towards the bead it holds: the one below it, unless there is none or that is a cap too.
            $below = $this->plan->strung[$place + 1]->bead->shape ?? BeadShape::Cap;
            $turn = $strung->bead->shape === BeadShape::Cap && $below === BeadShape::Cap ? 180.0 : 0.0;
            for ($bead = 0; $bead < $strung->count; $bead++) {
                $sketch->bead($strung->bead, $y, $this->plan->mark('bead-'.$place), 0.0, $turn);
                $y += $strung->bead->lengthMm;
            }
        }
    }
}
