<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Step;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wrap\Coil;

/**
 * A coil bead on a core: a finer wire wound close along a core that ends in a plain eye each way. Core = 2·π(D + c) + length;
 * coil = length/w turns of √((π(c + w))² + w²), and a tail each way to hold. Millimetres. Common practice: 20 AWG under 24.
 */
final class CoilLink implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'coil-link';
    }

    public function label(): string
    {
        return 'coil bead';
    }

    public function role(): string
    {
        return 'core';
    }

    public function family(): Family
    {
        return Family::Chain;
    }

    public function usualWire(): Wire
    {
        return self::awg(20, Temper::HalfHard);
    }

    private const TAIL_MM = 15.0;

    public function extraWires(Part $part): array
    {
        return ['coil' => self::awg(24, Temper::DeadSoft)];
    }

    public function parameters(): array
    {
        return [
            Parameter::length('top_inside', 'top eye, inside', 2.5, 0.8, 30.0),
            Parameter::length('bottom_inside', 'bottom eye, inside', 2.5, 0.8, 30.0),
            Parameter::length('length', 'length of the coil', 12.0, 1.0, 150.0),
        ];
    }

    private function coil(PartPlan $part): Coil
    {
        $w = $part->wireOf('coil')->diameterMm();

        return Coil::ofLength($w, $part->wireMm(), $w, $part->part->mm('length'));
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $eye = fn (string $name): Eye => new Eye("{$instance}/{$name}", EyeKind::Openable, $part->part->mm($name.'_inside'), $part->wireMm(), "coil bead’s {$name} eye", $part->mark($name.'-loop'));

        return ['top' => $eye('top'), 'bottom' => $eye('bottom')];
    }

    public function along(): array
    {
        return ['coil', 'top', 'slide', 'bottom'];
    }

    public function cuts(PartPlan $part): array
    {
        $coil = $this->coil($part);

        return [
            (new Stretch($part))
                ->loop($part->part->mm('top_inside'), $part->wireMm(), 'eye', 'top-loop')->bend('bend square, top')
                ->given(SegmentKind::Straight, $part->part->mm('length'), 'coil', 'core', 'as long as the coil')->bend('bend square, bottom')
                ->loop($part->part->mm('bottom_inside'), $part->wireMm(), 'eye', 'bottom-loop')
                ->cut('Core', $part->part->wire, $part->times),
            (new Stretch($part))
                ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'coil-tail', 'what the fingers hold, trimmed off')
                ->worked(SegmentKind::Coil, $coil->wireLengthMm(), Figures::trim($coil->turns, 1).' turns', 'coil', 'L/w·√((π(c + w))² + w²)', Figures::trim($coil->turns, 2).' × '.Figures::trim($coil->turnMm(), 3))
                ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'coil-tail', 'what the fingers hold, trimmed off')
                ->cut('Coil', 'coil', $part->times, 'coil'),
        ];
    }

    public function steps(PartPlan $part, string $event): array
    {
        $turn = function (string $place) use ($part, $event): array {
            $form = Forming::loop($part->wire, $part->part->mm($place.'_inside'), $part->profile);

            return [new Step($event, '', "Turn the {$place} eye", 'Bend square at the end of the coil and roll a plain eye round '.$form->where('mark of the round-nose pliers', $part->profile).'.'.$form->opens($part->profile), [$part->mark($place.'-loop')], tool: 'round-nose pliers', cautions: [Caution::CutEnds])];
        };

        return match ($event) {
            'work coil' => [new Step($event, '', 'Wind the coil', 'Hold the tail and wind close turns on a piece of the core wire until they measure '.$part->profile->length($part->part->mm('length')).'. Trim both tails flush.', [$part->mark('coil')], (int) round($this->coil($part)->turns), 'turns', tool: 'pin vice or fingers', cautions: [Caution::CutEnds])],
            'form top' => $turn('top'),
            'work slide' => [new Step($event, '', 'Slide the coil on', 'Push the coil up against the eye. Nothing can go on once the second eye is turned.', [$part->mark('coil')], tool: 'fingers')],
            'form bottom' => $turn('bottom'),
            default => [],
        };
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        [$d, $w, $metal] = [$part->wireMm(), $part->wireOf('coil')->diameterMm(), $part->wire->metal];
        $from = $place->yMm + $part->part->mm('top_inside') + $d;
        $to = $from + $part->part->mm('length');
        $sketch->stem($from - $d, $to + $d, $d, $metal, $part->mark('core'));
        $sketch->eye($place->yMm, $part->part->mm('top_inside'), $d, $place->facing, $metal, $part->mark('top-loop'));
        $half = $d / 2 + $w * 0.6;
        for ($y = $from + $w / 2; $y < $to; $y += $w) {
            $sketch->through([[-$half, round($y + $w * 0.2, 3)], [$half, round($y - $w * 0.2, 3)]], $w, $part->wireOf('coil')->metal, $part->mark('coil'), 2);
        }
        $sketch->eye($to + $d, $part->part->mm('bottom_inside'), $d, $place->facing, $metal, $part->mark('bottom-loop'));

        return ['bottom' => new Placement($to + $d + $part->part->mm('bottom_inside'), ! $place->facing)];
    }
}
