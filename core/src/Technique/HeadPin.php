<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\Drilling;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\PinKind;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\PinFit;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;

/**
 * Beads that hang: a pin with a stop at its foot and a loop on top. Cut from wire, the foot is an eye, a spiral, a ball
 * or a paddle, in whose hole something may hang; bought, the pin has its own head and a fixed length, and what is over
 * is trimmed. Millimetres. Common
 * practice.
 */
final class HeadPin implements Technique
{
    use Usual;

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
        [$source, $length] = BoughtPin::parameters(PinKind::Head);

        return [
            ...WrappedEnd::parameters('', '', 2.0, 2),
            WrappedEnd::tail(),
            $source,
            ...PinFoot::parameters(),
            Parameter::flag('turned', 'foot across the loop', true),
            $length,
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        $isBought = BoughtPin::is($part);

        return match ($key) {
            'tail' => ! $isBought && $part->count('wraps') > 0,
            'stop', 'foot', 'foot_turns', 'ball', 'paddle', 'paddle_thick',
            'pierced' => ! $isBought && PinFoot::shows($key, $part->choice('stop')),
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
        $foot = new PinFoot($part);
        $hole = $this->isPierced($part) ? ['foot' => new Eye(
            "{$instance}/foot", EyeKind::Closed, $foot->piercedMm(), $foot->besideHoleMm(), 'hole in the drop’s foot',
            $part->mark('foot'), deepMm: $foot->holeThickMm(),
        )] : [];

        return ['top' => $this->end($part)->eye($instance), ...$hole];
    }

    private function isPierced(PartPlan $part): bool
    {
        return ! $this->isReadyPin($part) && (new PinFoot($part))->piercedMm() > 0.0;
    }

    public function hung(PartPlan $part): array
    {
        $from = $this->end($part)->loop->reachMm() + $part->stackMm();

        return $this->isPierced($part)
            ? ['foot' => new Placement($from + (new PinFoot($part))->holeMm(), $part->part->is('turned'))]
            : [];
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
        return BoughtPin::is($part->part);
    }

    public function pinFit(PartPlan $part): PinFit
    {
        return $this->pin($part)->fit;
    }

    private function pin(PartPlan $part): BoughtPin
    {
        return new BoughtPin($part, $this->end($part), $part->stackMm());
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

            $drop = Course::both(
                'Drop', $part->part->wire, [$foot->bending('foot ends')], [$seat, ...$end->moves(false)], $face,
                $part->times,
            );

            return $this->isPierced($part)
                ? [$drop, (new PinFoot($part))->rim(
                    $end->loop->reachMm() + $part->stackMm(), $this->facesAcross($part) === true,
                )]
                : [$drop];
        }

        return [
            Course::both(
                'Drop', $part->part->wire, [PinFoot::head($part)], $this->pin($part)->moves($seat), $face, $part->times,
            )->pin($this->pinFit($part)->pinMm),
        ];
    }

    public function checks(PartPlan $part): array
    {
        $checks = $part->strung === []
            ? [new Check(Level::Note, 'empty drop', 'Nothing hangs on this head pin yet: add a bead.', $part->part->id)]
            : [];
        if ($this->isReadyPin($part)) {
            return [...$checks, $this->pin($part)->check()];
        }
        array_push($checks, ...array_filter([$this->end($part)->held()]));
        // The bead at the foot is the first that is pushed on.
        $last = (Threading::fromFoot($part)->order()[0] ?? null)?->bead;
        $foot = new PinFoot($part);
        if ($last !== null && $foot->widthMm() <= $last->holeMm) {
            $wider = $foot->widened($last->holeMm);
            $checks[] = new Check(
                Level::Stop, 'foot',
                'The foot is '.$part->profile->size($foot->widthMm()).' wide and would slip through the '
                    .$part->profile->size($last->holeMm).' hole of the '.$last->words().'.',
                $part->part->id, [
                    $wider === null
                        ? new Way(
                            'A tight eye for a foot',
                            new SetSetting($part->part->id, 'stop', 'eye'),
                        )
                        : new Way(
                            'A larger foot',
                            new SetSetting($part->part->id, $wider[0], $wider[1].' mm'),
                        ),
                ],
            );
        }
        array_push($checks, ...array_filter([$foot->crack(), $foot->tear()]));
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

    private function end(PartPlan $part): WrappedEnd
    {
        return new WrappedEnd($part, '', 'top');
    }
}
