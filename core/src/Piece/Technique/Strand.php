<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Step;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;

/**
 * Beads strung on beading wire, each end turned back through a crimp: cut = beads + gaps + two turn-backs. The loop of a crimp
 * is closed for good once it is pressed. Millimetres. Common practice: 25 mm turned back; a crimp passes both strands.
 */
final class Strand implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'strand';
    }

    public function label(): string
    {
        return 'strand';
    }

    public function role(): string
    {
        return 'strand';
    }

    public function family(): Family
    {
        return Family::Chain;
    }

    public function usualWire(): Wire
    {
        return new Wire(Metal::Stainless, WireSize::millimetres(0.4), Temper::DeadSoft);
    }

    public function parameters(): array
    {
        return [
            Parameter::length('inside', 'loops, inside', 3.0, 0.5, 20.0),
            Parameter::length('slack', 'slack, so that it flexes', 2.0, 0.0, 50.0),
            Parameter::length('turn_back', 'turned back, each end', 25.0, 5.0, 200.0),
        ];
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBeads(): int
    {
        return 12;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $eye = fn (string $name): Eye => new Eye("{$instance}/{$name}", EyeKind::Permanent, $part->part->mm('inside'), $part->wireMm(), "strand’s {$name} loop", $part->mark($name.'-loop'));

        return ['top' => $eye('top'), 'bottom' => $eye('bottom')];
    }

    public function along(): array
    {
        return ['top', 'thread', 'bottom'];
    }

    public function cuts(PartPlan $part): array
    {
        return [(new Stretch($part))
            ->given(SegmentKind::Tail, $part->part->mm('turn_back'), 'turned back', 'top-loop', 'through the crimp and the first beads')
            ->worked(SegmentKind::Seat, $part->stackMm(), Figures::counted($part->beadCount(), 'bead'), 'seat', 'sum of bead lengths', Figures::trim($part->stackMm()))
            ->given(SegmentKind::Straight, $part->part->mm('slack'), 'slack', 'seat', 'so that it flexes')
            ->given(SegmentKind::Tail, $part->part->mm('turn_back'), 'turned back', 'bottom-loop', 'through the crimp and the last beads')
            ->cut('Strand', $part->part->wire, $part->times)];
    }

    public function steps(PartPlan $part, string $event): array
    {
        $crimp = fn (string $place): Step => new Step($event, '', "Crimp the {$place} loop", 'Slide a crimp on, turn the wire back through it round a loop of '.$part->profile->size($part->part->mm('inside')).', and press it hard. Pull to test it.', [$part->mark($place.'-loop')], tool: 'crimping pliers');

        return match ($event) {
            'form top', 'form bottom' => [new Step($event, '', 'Turn the wire back', 'Leave '.$part->profile->length($part->part->mm('turn_back')).' and turn it back to a loop, the crimp still open.', [$part->mark(substr($event, 5).'-loop')], tool: 'fingers')],
            'close top' => [$crimp('top')],
            'close bottom' => [$crimp('bottom')],
            'thread' => (new Threading($part))->steps(),
            default => [],
        };
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        $d = $part->wireMm();
        $from = $place->yMm + $part->part->mm('inside') + 2 * $d;
        $sketch->eye($place->yMm, $part->part->mm('inside'), $d, $place->facing, $part->wire->metal, $part->mark('top-loop'));
        (new Threading($part))->draw($sketch, $from + 1.5);
        $to = $from + 1.5 + $part->stackMm();
        foreach ([$from, $to] as $y) {
            $sketch->through([[0, $y], [0, $y + 1.5]], 2.2, $part->wire->metal, $part->mark('crimp'));
        }
        $sketch->eye($to + 1.5 + $d, $part->part->mm('inside'), $d, $place->facing, $part->wire->metal, $part->mark('bottom-loop'));

        return ['bottom' => new Placement($to + 1.5 + $d + $part->part->mm('inside'), ! $place->facing)];
    }

    public function tools(PartPlan $part): array
    {
        return ['crimping pliers', 'bead stop', 'flush cutter'];
    }
}
