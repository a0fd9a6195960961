<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bend\WrappedLoop;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Eye as EyeShape;
use Hebra\Core\Course\Shape\Helix;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\School\School;
use Hebra\Core\Tool\ToolKind;

/**
 * One end of a link or pin: a loop wrapped shut on its own neck, or, with no wraps, a plain eye. Shared by the
 * techniques that end in one. `$prefix` is what its settings begin with, `$place` where it stands.
 */
final readonly class WrappedEnd
{
    /** What the pliers hold of a plain eye that is trimmed after it is turned, mm [common practice]. */
    private const EYE_HOLD_MM = 6.0;

    /** An eye so much larger or smaller is as good, mm. */
    private const NEAR_MM = 0.15;

    /** With less than this there is nothing to pull wraps close by, mm [common practice]. */
    private const LEAST_HOLD_MM = 4.0;

    public WrappedLoop $loop;

    /** whole wraps, as hands count them */
    private int $count;

    /** @param  'top'|'bottom'  $place */
    public function __construct(
        private PartPlan $plan, private string $prefix, private string $place, int $stems = 1,
        private string $insideKey = 'inside',
        /** what is done before the neck is left, where it is not the wire's first end */
        private string $home = 'Push the beads home.',
    ) {
        $part = $plan->part;
        $this->count = $part->count($prefix.'wraps');
        // A plain eye that is trimmed to length before it is turned leaves nothing to hold and cut off.
        $held = $plan->profile->schools->is(School::EyeTrim, 'trim-first') ? 0.0 : self::EYE_HOLD_MM;
        $this->loop = new WrappedLoop(
            $plan->wireMm(),
            $part->mm($prefix.$insideKey),
            $this->count,
            $plan->wireMm(),
            $this->count === 0 ? $held : $part->mm('tail'),
            $stems,
            $plan->wideWireMm(),
        );
    }

    private function forming(): Forming
    {
        return Forming::loop($this->plan->wire, $this->loop->insideMm, $this->plan->profile);
    }

    /** @return list<Parameter> */
    public static function parameters(string $prefix, string $which, float $insideMm, int $wraps): array
    {
        return [
            Parameter::length($prefix.'inside', trim("{$which} loop, inside"), $insideMm, 0.8, 30.0)
                ->bentOn(ToolKind::LOOPS),
            Parameter::count($prefix.'wraps', trim("{$which} wraps"), $wraps, 0, 20),
        ];
    }

    public static function tail(): Parameter
    {
        return Parameter::length('tail', 'tail to hold', 10.0, 0.0, 100.0);
    }

    public function isPlain(): bool
    {
        return $this->count === 0;
    }

    public function eye(string $instance): Eye
    {
        $which = $this->prefix === '' ? '' : $this->place.' ';

        return new Eye(
            "{$instance}/{$this->place}", $this->isPlain() ? EyeKind::Openable : EyeKind::Permanent,
            $this->loop->insideMm, $this->loop->wireMm,
            $this->plan->technique->label().'’s '.$which.($this->isPlain() ? 'eye' : 'loop'),
            $this->plan->mark($this->place.'-loop'),
        );
    }

    /**
     * From the beads outwards; stretches of no length are left out.
     *
     * @param  bool  $isFirst  whether the wire begins with this end, so that its moves run against it
     * @param  string  $bend  what the square bend is called
     * @param  float  $rolls  by how much its plane is turned about the wire, degrees
     * @return list<Move>
     */
    public function moves(bool $isFirst, string $bend = 'bend square', float $rolls = 0.0): array
    {
        $loop = $this->loop;
        $turning = fn (): Handwork => $this->turning($isFirst);
        $mark = fn (string $what): string => $this->plan->mark("{$this->place}-{$what}");
        $wraps = Helix::wraps(
            $this->count, $loop->stemMm, $loop->wireMm, $loop->stems, pitchMm: $loop->pitchMm(),
        );
        $eye = new Move(
            new Segment(
                SegmentKind::Loop, $loop->loopMm(), $this->isPlain() ? 'eye' : 'loop', $mark('loop'),
                $loop->loopWorking(),
            ),
            new Rolled(
                new EyeShape(
                    $loop->insideMm, $loop->wireMm, $this->isPlain() ? null : $wraps,
                    -($loop->stems - 1) * $loop->stemMm / 2,
                ),
                $rolls,
            ),
        );
        $neck = new Move(
            new Segment(SegmentKind::Neck, $loop->neckMm(), 'neck', $mark('neck'), $loop->neckWorking()),
            new Straight($loop->neckMm()),
        );
        [$neck, $eye] = [$this->isPlain() ? $neck : $neck->by($turning), $eye->by($turning)];
        // With the wire its bend is where the neck ends; against it, where it comes out of the eye.
        $moves = $isFirst ? [$neck, $eye->bending($bend)] : [$neck->bending($bend), $eye];
        $trimming = $this->trimming(...);
        if (! $this->isPlain()) {
            $moves[] = (new Move(
                new Segment(
                    SegmentKind::Wraps, $loop->wrapsMm(), Figures::counted($this->count, 'wrap'), $mark('wraps'),
                    $loop->wrapsWorking(),
                ),
                $wraps,
            ))->by($this->wrapping(...), $trimming);
        }
        if ($loop->tailMm > 0) {
            $tail = $this->tailMove($mark('tail'));
            $moves[] = $this->isPlain() ? $tail : $tail->by($trimming);
        }

        return $moves;
    }

    private function tailMove(string $mark): Move
    {
        $why = match (true) {
            ! $this->isPlain() => 'what the fingers hold while wrapping, trimmed off',
            $this->isLooped() => 'what the looping pliers cut off',
            default => 'what the pliers hold while the eye is turned, then trimmed off',
        };
        $source = match (true) {
            ! $this->isPlain() => $this->plan->sourceOf($this->loop->tailMm),
            $this->isLooped() => 'your school: looping pliers',
            default => 'your school: turn, then trim',
        };

        return new Move(
            Segment::given(SegmentKind::Tail, $this->loop->tailMm, 'tail', $mark, $why, $source),
            new Straight($this->loop->tailMm),
        );
    }

    /** Whether one squeeze of a tool trims the wire and turns the eye. */
    private function isLooped(): bool
    {
        return $this->isPlain() && $this->plan->profile->schools->is(School::EyeTrim, 'looping-pliers');
    }

    /** Wraps without anything to hold slip from the fingers; a tool that trims and turns knows but its own sizes. */
    public function held(): ?Check
    {
        return $this->isLooped() ? $this->otherEye() : $this->nothingToHold();
    }

    private function otherEye(): ?Check
    {
        $mark = $this->plan->profile->tools->nearest($this->loop->insideMm, ToolKind::Looping);
        if ($mark === null || abs($mark->mm - $this->loop->insideMm) <= self::NEAR_MM) {
            return null;
        }
        $size = $this->plan->profile->size(...);

        return new Check(
            Level::Note, 'looping pliers', 'Your looping pliers turn eyes of '.$size($mark->mm).', and this one is '
                .$size($this->loop->insideMm).'.', $this->plan->part->id,
            [new Way('An eye of '.$size($mark->mm), new SetSetting($this->plan->part->id, $this->prefix
                .$this->insideKey, $mark->mm.' mm'))],
        );
    }

    private function nothingToHold(): ?Check
    {
        if ($this->isPlain() || $this->loop->tailMm >= self::LEAST_HOLD_MM) {
            return null;
        }
        $id = $this->plan->part->id;

        return new Check(
            Level::Warn, 'tail',
            'With '.($this->loop->tailMm > 0 ? $this->plan->profile->length($this->loop->tailMm) : 'nothing')
                .' of wire to hold, '.$this->wraps().' cannot be pulled close.',
            $id, [
                new Way('Hold 10 mm', new SetSetting($id, 'tail', '10 mm')),
            ],
        );
    }

    /** Where the square bend lies, measured from the outer end of this end. */
    public function bendFromEndMm(): float
    {
        return $this->loop->tailMm + $this->loop->wrapsMm() + $this->loop->loopMm();
    }

    private function turning(bool $isFirst): Handwork
    {
        if ($this->isLooped()) {
            return $this->squeezing($isFirst);
        }
        [$profile, $forming] = [$this->plan->profile, $this->forming()];
        $on = $forming->where('mark of the round-nose pliers', $profile);
        if ($this->isPlain()) {
            return $this->turned('eye', $this->eyeText($on).$forming->opens($profile), $this->tool($on));
        }
        $where = $isFirst
            ? 'Mark '.$profile->length($this->bendFromEndMm()).' from the end and bend square there.'
            : $this->home.' Leave a neck of '.$profile->size($this->loop->neckMm())
                .", room for the {$this->wraps()} to come, and bend square.";

        return $this->turned('loop', "{$where} Turn the loop over {$on} until the wire crosses its own neck."
            .$forming->opens($profile), $this->tool($on));
    }

    /** @param  'eye'|'loop'  $what */
    private function turned(string $what, string $text, string $tool): Handwork
    {
        // A plain eye is cut to its length.
        $cautions = $what === 'eye' ? [Caution::CutEnds] : [];

        return new Handwork(
            Moment::form($this->place), "Turn the {$this->which()}{$what}", $text, Operation::Eye, $tool,
            cautions: $cautions,
        );
    }

    private function squeezing(bool $isFirst): Handwork
    {
        $size = $this->plan->profile->size($this->loop->insideMm);
        $mark = $this->plan->profile->tools->nearest($this->loop->insideMm, ToolKind::Looping);
        $lay = $isFirst
            ? 'Lay the end of the wire in the looping pliers and squeeze'
            : 'Push the beads home, lay the bare wire in the looping pliers close beside them and squeeze';

        return $this->turned(
            'eye', "{$lay}: they trim it and turn an eye of {$size}. Nudge it over the middle.",
            $mark === null ? 'looping pliers' : $mark->words(),
        );
    }

    private function tool(string $on): string
    {
        return preg_replace('/^the /', '', $on) ?? $on;
    }

    /** In the order the maker's schools bend, trim and roll. */
    private function eyeText(string $on): string
    {
        [$profile, $schools] = [$this->plan->profile, $this->plan->profile->schools];
        $length = $profile->cutLength($this->loop->loopMm());
        $trimsLast = $schools->is(School::EyeTrim, 'turn-first');
        // A cut without a tail is that long already; a bought pin seldom is.
        $isOver = $this->loop->tailMm > 0 || $this->plan->technique->isBought($this->plan->part);
        $trim = match (true) {
            $trimsLast => '',
            $isOver => "Trim to {$length} beyond the last bead. ",
            default => "{$length} stand beyond the last bead. ",
        };
        $roll = match ($schools->choice(School::Eye)) {
            'roll' => "{$trim}Roll the eye from the tip of the wire round {$on} until it closes, and nudge it over the "
                .'middle.',
            'roll-kick' => "{$trim}Roll the eye from the tip of the wire round {$on}, then kick it back at its foot so "
                .'that it stands over the middle.',
            default => 'Bend square where the bare wire starts'.match (true) {
                $trimsLast => '',
                $isOver => ", trim to {$length} beyond the bend",
                default => ", {$length} from the end,",
            }." and roll the eye round {$on} until its end meets the bend.",
        };

        return $roll.($trimsLast ? ' Trim what is over where the eye closes.' : '');
    }

    private function wrapping(): Handwork
    {
        return new Handwork(
            Moment::close($this->place), "Wrap the {$this->which()}loop shut", 'Hold the loop flat in the pliers in '
                ."your {$this->hands()[1]} hand; with the {$this->hands()[0]} lay {$this->wraps()} side by side down "
                .'the neck.', Operation::Wrap, 'chain-nose pliers', $this->count, 'wraps',
            $this->plan->strung === [] ? [] : [Caution::Crush],
        );
    }

    /** What is over of a loop that is wrapped shut. */
    public function trimming(): Handwork
    {
        return new Handwork(
            Moment::close($this->place), 'Trim and tuck', 'Flat side of the cutter towards the wraps, trim the tail. '
                .'Press the end in at the back, so that it catches nothing.', Operation::Trim,
            'flush cutter, chain-nose pliers', cautions: [Caution::CutEnds],
        );
    }

    /** @return array{string, string} the hand that wraps, and the one that holds */
    private function hands(): array
    {
        return $this->plan->profile->schools->hands();
    }

    private function wraps(): string
    {
        return Figures::counted($this->count, 'wrap');
    }

    private function which(): string
    {
        return $this->prefix === '' ? '' : $this->place.' ';
    }
}
