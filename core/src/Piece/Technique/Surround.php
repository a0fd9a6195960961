<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wrap\Turn;

/**
 * A disc held by a wire round its rim and down its hole, under a bail: bail loop + twice the hole (both legs go through) + rim +
 * each leg's wraps on the bail, as Binding has it. Millimetres. Common practice: 20 AWG, dead soft; loose at one leg until the
 * rim lies.
 */
final class Surround implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'surround';
    }

    public function label(): string
    {
        return 'surround';
    }

    public function role(): string
    {
        return 'surround';
    }

    public function family(): Family
    {
        return Family::Pendant;
    }

    public function usualWire(): Wire
    {
        return self::awg(20, Temper::DeadSoft);
    }

    private const TAIL_MM = 10.0;

    public function wants(): Wants
    {
        return new Wants(passes: 2);
    }

    public function parameters(): array
    {
        return [
            Parameter::length('bail', 'bail, inside', 4.0, 1.5, 20.0),
            Parameter::count('wraps', 'wraps, each leg', 3, 0, 20),
        ];
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        return ['top' => new Eye("{$instance}/top", EyeKind::Permanent, $part->part->mm('bail'), $part->wireMm(), 'bail', $part->mark('bail'))];
    }

    public function along(): array
    {
        return ['thread', 'top'];
    }

    private function discMm(PartPlan $part): float
    {
        return $part->widestMm();
    }

    public function cuts(PartPlan $part): array
    {
        [$d, $wraps, $hole] = [$part->wireMm(), $part->part->count('wraps'), $part->stackMm()];
        $rim = $part->strung === [] ? 0.0 : M_PI * ($this->discMm($part) + $d);
        $wrap = Turn::mm($d, $d);
        $stretch = (new Stretch($part))
            ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'tail', 'what the fingers hold, trimmed off')
            ->worked(SegmentKind::Wraps, $wraps * $wrap, Figures::counted($wraps, 'wrap'), 'wraps', 'N·√((2πd)² + d²)', $wraps.' × '.Figures::trim($wrap, 3))
            ->worked(SegmentKind::Seat, $hole, 'down the hole', 'hole', 'length of the hole', Figures::trim($hole))->bend('out of the hole')
            ->worked(SegmentKind::Round, $rim, 'round the rim', 'rim', 'π(W + d)', 'π × ('.Figures::trim($this->discMm($part)).' + '.Figures::trim($d, 3).')')->bend('into the hole')
            ->worked(SegmentKind::Seat, $hole, 'up the hole', 'hole', 'length of the hole', Figures::trim($hole))->bend('bail starts')
            ->loop($part->part->mm('bail'), $d, 'bail', 'bail')
            ->worked(SegmentKind::Wraps, $wraps * $wrap, Figures::counted($wraps, 'wrap'), 'wraps', 'N·√((2πd)² + d²)', $wraps.' × '.Figures::trim($wrap, 3))
            ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'tail', 'what the fingers hold, trimmed off');

        return [$stretch->cut('Surround', $part->part->wire, $part->times)];
    }

    public function steps(PartPlan $part, string $event): array
    {
        $form = Forming::loop($part->wire, $part->part->mm('bail'), $part->profile);
        $wraps = $part->part->count('wraps');

        return match ($event) {
            'thread' => [
                new Step($event, '', 'Down the hole', 'Put the wire down the hole and leave the first leg standing above it.', [$part->mark('hole')], tool: 'fingers'),
                new Step($event, '', 'Round the rim', 'Bend it out flat below, once round the rim in the groove of its edge, and back up through the hole. Stay loose at one leg until it lies.', [$part->mark('rim')], tool: 'fingers', cautions: [Caution::Crush]),
            ],
            'form top' => [new Step($event, '', 'Turn the bail', 'Turn the longer leg over '.$form->where('mark of the round-nose pliers', $part->profile).' to a bail above the hole.', [$part->mark('bail')], tool: 'round-nose pliers')],
            'close top' => $wraps === 0 ? [] : [new Step($event, '', 'Wrap both legs', "Wrap each leg {$wraps} times round the neck of the bail, trim, and press the ends in at the back.", [$part->mark('wraps')], 2 * $wraps, 'wraps', tool: 'chain-nose pliers, flush cutter', cautions: [Caution::Crush, Caution::CutEnds])],
            default => [],
        };
    }

    public function checks(PartPlan $part): array
    {
        return $part->beadCount() === 1 ? [] : [new Check(Level::Stop, 'one disc', $part->beadCount() === 0 ? 'Nothing is held yet: add a coin or another flat bead.' : 'A surround holds one bead: this has '.$part->beadCount().'.', $part->part->id)];
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        [$d, $metal] = [$part->wireMm(), $part->wire->metal];
        $disc = $this->discMm($part);
        $neck = 2 * $part->part->count('wraps') * $d;
        $from = $place->yMm + $part->part->mm('bail') + $d + $neck;
        foreach ($part->strung as $strung) {
            $sketch->bead($strung->bead, $from + $d, $part->mark('beads'));
        }
        if ($disc > 0) {
            $sketch->ring(0, $from + $d + $disc / 2, ($disc + $d) / 2, $d, $metal, $part->mark('rim'), 2);
        }
        $sketch->stem($from - $neck - $d / 2, $from + $d, $d, $metal, $part->mark('hole'));
        $sketch->eye($place->yMm, $part->part->mm('bail'), $d, $place->facing, $metal, $part->mark('bail'));
        $sketch->wraps($from - $neck, 2 * $part->part->count('wraps'), $d, $metal, $part->mark('wraps'));

        return [];
    }
}
