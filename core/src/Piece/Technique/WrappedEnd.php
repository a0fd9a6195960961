<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Bend\WrappedLoop;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Segment;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Step;
use Hebra\Core\Quantity\Figures;

/**
 * One end of a link or pin: a loop wrapped shut on its own neck, or, with no wraps, a plain eye. Shared by the
 * techniques that end in one. `$prefix` is what its settings begin with, `$place` where it stands.
 */
final readonly class WrappedEnd
{
    public WrappedLoop $loop;

    /** @param  'top'|'bottom'  $place */
    public function __construct(private PartPlan $plan, private string $prefix, private string $place)
    {
        $part = $plan->part;
        $wraps = $part->count($prefix.'wraps');
        // A plain eye is trimmed to length before it is turned: nothing is held and cut off.
        $this->loop = new WrappedLoop($plan->wireMm(), $part->mm($prefix.'inside'), $wraps, $plan->wireMm(), $wraps === 0 ? 0.0 : $part->mm('tail'));
    }

    /** @return list<Parameter> */
    public static function parameters(string $prefix, string $which, float $insideMm, int $wraps): array
    {
        return [
            Parameter::length($prefix.'inside', trim("{$which} loop, inside"), $insideMm, 0.8, 30.0),
            Parameter::count($prefix.'wraps', trim("{$which} wraps"), $wraps, 0, 20),
        ];
    }

    public static function tail(): Parameter
    {
        return Parameter::length('tail', 'tail to hold', 10.0, 0.0, 100.0);
    }

    public function isPlain(): bool
    {
        return $this->loop->wraps === 0;
    }

    public function eye(string $instance): Eye
    {
        $which = $this->prefix === '' ? '' : $this->place.' ';

        return new Eye("{$instance}/{$this->place}", $this->isPlain() ? EyeKind::Openable : EyeKind::Permanent, $this->loop->insideMm, $this->loop->wireMm,
            $this->plan->technique->label().'’s '.$which.($this->isPlain() ? 'eye' : 'loop'), $this->plan->mark($this->place.'-loop'));
    }

    /** @return list<Segment> from the beads outwards; stretches of no length are left out */
    public function segments(): array
    {
        $loop = $this->loop;
        $mark = fn (string $what): string => $this->plan->mark("{$this->place}-{$what}");
        if ($this->isPlain()) {
            return [new Segment(SegmentKind::Loop, $loop->loopMm(), 'eye', $mark('loop'), $loop->loopWorking())];
        }
        $segments = [
            new Segment(SegmentKind::Neck, $loop->neckMm(), 'neck', $mark('neck'), $loop->neckWorking()),
            new Segment(SegmentKind::Loop, $loop->loopMm(), 'loop', $mark('loop'), $loop->loopWorking()),
            new Segment(SegmentKind::Wraps, $loop->wrapsMm(), Figures::counted($loop->wraps, 'wrap'), $mark('wraps'), $loop->wrapsWorking()),
        ];
        if ($loop->tailMm > 0) {
            $segments[] = Segment::given(SegmentKind::Tail, $loop->tailMm, 'tail', $mark('tail'), 'what the fingers hold while wrapping, trimmed off');
        }

        return $segments;
    }

    /** Where the square bend lies, measured from the outer end of this end. */
    public function bendFromEndMm(): float
    {
        return $this->loop->tailMm + $this->loop->wrapsMm() + $this->loop->loopMm();
    }

    /** @return list<Step> */
    public function formSteps(bool $isFirst): array
    {
        $profile = $this->plan->profile;
        $mark = fn (string $what): string => $this->plan->mark("{$this->place}-{$what}");
        $inside = $profile->size($this->loop->insideMm);
        if ($this->isPlain()) {
            $text = 'Bend square where the bare wire starts, trim to '.$profile->length($this->loop->loopMm())." beyond the bend, and roll the eye round the {$inside} mark of the round-nose pliers until its end meets the bend.";

            return [new Step('form '.$this->place, '', "Turn the {$this->which()}eye", $text, [$mark('loop')], tool: 'round-nose pliers, '.$inside, cautions: [Caution::CutEnds])];
        }
        $where = $isFirst
            ? 'Mark '.$profile->length($this->bendFromEndMm()).' from the end and bend square there.'
            : 'Push the beads home. Leave a neck of '.$profile->size($this->loop->neckMm()).", room for the {$this->wraps()} to come, and bend square.";

        return [new Step('form '.$this->place, '', "Turn the {$this->which()}loop", "{$where} Turn the loop over the {$inside} mark of the round-nose pliers until the wire crosses its own neck.",
            [$mark('loop'), $mark('neck')], tool: 'round-nose pliers, '.$inside)];
    }

    /** @return list<Step> */
    public function closeSteps(): array
    {
        if ($this->isPlain()) {
            return [];
        }
        $mark = fn (string $what): string => $this->plan->mark("{$this->place}-{$what}");

        return [
            new Step('close '.$this->place, '', "Wrap the {$this->which()}loop shut", "Hold the loop flat in the pliers and lay {$this->wraps()} side by side down the neck.",
                [$mark('wraps')], $this->loop->wraps, 'wraps', tool: 'chain-nose pliers', cautions: $this->plan->strung === [] ? [] : [Caution::Crush]),
            new Step('close '.$this->place, '', 'Trim and tuck', 'Flat side of the cutter towards the wraps, trim the tail. Press the end in at the back, so that it catches nothing.',
                [$mark('tail'), $mark('wraps')], tool: 'flush cutter, chain-nose pliers', cautions: [Caution::CutEnds]),
        ];
    }

    private function wraps(): string
    {
        return Figures::counted($this->loop->wraps, 'wrap');
    }

    private function which(): string
    {
        return $this->prefix === '' ? '' : $this->place.' ';
    }

    /** Draws the loop with its neck on the side of the beads; returns nothing, its reach is reachMm(). */
    public function draw(Sketch $sketch, float $insideTopMm, bool $facing): void
    {
        [$d, $metal] = [$this->loop->wireMm, $this->plan->wire->metal];
        $mark = fn (string $what): string => $this->plan->mark("{$this->place}-{$what}");
        $neckFrom = $this->place === 'top' ? $insideTopMm + $this->loop->insideMm + $d / 2 : $insideTopMm - $d - $this->loop->neckMm();
        $sketch->stem($neckFrom, $neckFrom + $this->loop->neckMm() + $d / 2, $d, $metal, $mark('neck'));
        $sketch->eye($insideTopMm, $this->loop->insideMm, $d, $facing, $metal, $mark('loop'));
        $sketch->wraps($this->place === 'top' ? $neckFrom + $d / 2 : $neckFrom, $this->loop->wraps, $d, $metal, $mark('wraps'));
    }
}
