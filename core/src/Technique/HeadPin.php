<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\Drilling;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\EventKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Moment;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\PinFit;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;

/**
 * Beads that hang: a pin with a stop at its foot and a loop on top. Cut from wire, the foot is an eye, a spiral, a ball
 * or a paddle; bought, the pin has its own head and a fixed length, and what is over is trimmed. Millimetres. Common
 * practice.
 */
final class HeadPin implements Technique
{
    use Usual;

    /** Stocked lengths of bought pins in millimetres [common practice]. */
    public const STOCKED_MM = [25.0, 38.0, 50.0, 63.0, 76.0];

    public function name(): string
    {
        return 'head-pin';
    }

    public function label(): string
    {
        return 'drop';
    }

    public function role(): string
    {
        return 'pin';
    }

    public function usualWire(): Wire
    {
        return new Wire(Metal::Sterling, WireSize::awg(24), Temper::DeadSoft);
    }

    public function wants(): Wants
    {
        return new Wants;
    }

    public function parameters(): array
    {
        return [
            ...WrappedEnd::parameters('', '', 2.0, 2),
            WrappedEnd::tail(),
            Parameter::choice('source', 'head pin', 'cut', ['cut' => 'cut from wire', 'bought' => 'bought']),
            ...PinFoot::parameters(),
            Parameter::flag('turned', 'foot across the loop', true),
            Parameter::length('pin_length', 'length of the bought pin', 50.0, 10.0, 150.0),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        $isBought = $part->choice('source') === 'bought';

        return match ($key) {
            'tail' => ! $isBought && $part->count('wraps') > 0,
            'stop', 'foot', 'foot_turns', 'ball',
            'paddle' => ! $isBought && PinFoot::shows($key, $part->choice('stop')),
            'pin_length' => $isBought,
            'turned' => ! $isBought && PinFoot::isFlat($part->choice('stop')),
            default => true,
        };
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function drillings(): array
    {
        return [Drilling::Lengthwise];
    }

    public function endsLine(): bool
    {
        return true;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        return ['top' => $this->end($part)->eye($instance)];
    }

    public function facesAcross(PartPlan $part): ?bool
    {
        return ! $this->isReadyPin($part) && PinFoot::isFlat($part->part->choice('stop'))
            ? $part->part->is('turned')
            : null;
    }

    /** It is told by its loop: only its foot has a face. */
    public function isFaceAcross(PartPlan $part): bool
    {
        return false;
    }

    public function along(PartPlan $part): array
    {
        return ['thread', 'top'];
    }

    private function isReadyPin(PartPlan $part): bool
    {
        return $part->part->choice('source') === 'bought';
    }

    public function pinFit(PartPlan $part): PinFit
    {
        return new PinFit($part->part->mm('pin_length'), $part->stackMm(), $this->end($part)->loop);
    }

    public function family(): Family
    {
        return Family::Earring;
    }

    public function courses(PartPlan $part): array
    {
        $end = $this->end($part);
        $seat = Threading::fromFoot($part)->move();
        $face = Frame::down($end->loop->reachMm() + $part->stackMm())->back();
        if (! $this->isReadyPin($part)) {
            $foot = (new PinFoot($part))->move($this->facesAcross($part) === false ? 0.0 : 90.0);

            return [
                Course::both(
                    'Drop', $part->part->wire, [$foot->bending('foot ends')], [$seat, ...$end->moves(false)], $face,
                    $part->times,
                ),
            ];
        }
        $kept = array_filter($end->moves(false), fn (Move $move): bool => $move->segment->kind->stays());
        $pin = [$seat, ...array_values($kept)];
        $fit = $this->pinFit($part);
        if ($fit->trimmedMm() > 0) {
            $why = 'pin − beads − neck − loop − wraps';
            $pin[] = new Move(
                Segment::given(
                    SegmentKind::Trim, $fit->trimmedMm(), 'trimmed', $part->mark('top-tail'), $why, 'common practice',
                ),
                new Straight($fit->trimmedMm()),
            );
        }

        return [
            Course::both('Drop', $part->part->wire, [PinFoot::head($part)], $pin, $face, $part->times)->pin($fit->pinMm),
        ];
    }

    public function steps(PartPlan $part, Moment $moment): array
    {
        return match ([$moment->kind, $moment->place]) {
            [EventKind::Thread, ''] => [...$this->footSteps($part), ...Threading::fromFoot($part)->steps()],
            [EventKind::Form, 'top'] => $this->end($part)->formSteps(false),
            [EventKind::Close, 'top'] => $this->end($part)->closeSteps(),
            default => [],
        };
    }

    /** @return list<Step> */
    private function footSteps(PartPlan $part): array
    {
        if ($this->isReadyPin($part)) {
            return [];
        }

        return [(new PinFoot($part))->step()];
    }

    public function checks(PartPlan $part): array
    {
        $checks = $part->strung === []
            ? [new Check(Level::Note, 'empty drop', 'Nothing hangs on this head pin yet: add a bead.', $part->part->id)]
            : [];
        if ($this->isReadyPin($part)) {
            return [...$checks, $this->pinCheck($part)];
        }
        array_push($checks, ...array_filter([$this->end($part)->held()]));
        // The bead at the foot is the first that is pushed on.
        $last = (Threading::fromFoot($part)->order()[0] ?? null)?->bead;
        $foot = new PinFoot($part);
        if ($last !== null && $foot->widthMm() <= $last->holeMm) {
            $wider = $foot->widened($last->holeMm);
            $checks[] = new Check(Level::Stop, 'foot', 'The foot is '.$part->profile->size($foot->widthMm()).' wide and would slip through the '.$part->profile->size($last->holeMm).' hole of the '.$last->words().'.', $part->part->id, [
                $wider === null
                    ? new Way(
                        'A tight eye for a foot',
                        new SetSetting($part->part->id, 'stop', 'eye'),
                    )
                    : new Way(
                        'A larger foot',
                        new SetSetting($part->part->id, $wider[0], $wider[1].' mm'),
                    ),
            ]);
        }
        array_push($checks, ...array_filter([$foot->crack()]));
        $objection = $foot->objection();
        if ($objection !== null) {
            $checks[] = new Check(
                Level::Warn,
                'ball',
                $objection,
                $part->part->id,
                [new Way('A flat spiral for a foot', new SetSetting($part->part->id, 'stop', 'spiral'))],
            );
        }

        return $checks;
    }

    private function pinCheck(PartPlan $part): Check
    {
        $fit = $this->pinFit($part);
        [$profile, $id] = [$part->profile, $part->part->id];
        if ($fit->fits()) {
            return new Check(
                Level::Ok,
                'pin length',
                'The '.$profile->length($fit->pinMm).' pin is long enough; '.$profile->length($fit->trimmedMm())
                    .' is trimmed.',
                $id,
            );
        }
        $ways = [
            new Way('Cut the pin from wire', new SetSetting($id, 'source', 'cut')),
        ];
        foreach (self::STOCKED_MM as $stocked) {
            if ($stocked >= $fit->neededMm()) {
                array_unshift(
                    $ways,
                    new Way(
                        'Use '.$profile->length($stocked).' pins',
                        new SetSetting($id, 'pin_length', $stocked.' mm'),
                    ),
                );
                break;
            }
        }

        return new Check(
            Level::Stop,
            'pin length',
            'The '.$profile->length($fit->pinMm).' pin is '.$profile->length($fit->neededMm() - $fit->pinMm)
                .' too short: beads, neck, loop, wraps and what the pliers hold come to '
                .$profile->length($fit->neededMm()).'.',
            $id,
            $ways,
        );
    }

    private function end(PartPlan $part): WrappedEnd
    {
        return new WrappedEnd($part, '', 'top');
    }
}
