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
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wrap\Weave;
use Hebra\Core\Wrap\WeavePattern;

/**
 * Cores held side by side by a finer wire woven over them in figures, their outer ends turned to eyes. Weave as Weave has it;
 * each core = length + what its ends take. Millimetres. Common practice: cores 0.8 to 1 mm under 0.3 to 0.4; dead soft.
 */
final class WovenBand implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'woven-band';
    }

    public function label(): string
    {
        return 'woven band';
    }

    public function role(): string
    {
        return 'core';
    }

    public function family(): Family
    {
        return Family::Woven;
    }

    public function usualWire(): Wire
    {
        return self::awg(20, Temper::DeadSoft);
    }

    private const TAIL_MM = 50.0;

    public function extraWires(Part $part): array
    {
        return ['weave' => self::awg(28, Temper::DeadSoft)];
    }

    public function wants(): Wants
    {
        return new Wants(holds: 0.35, effort: 0.8);
    }

    public function parameters(): array
    {
        return [
            Parameter::count('cores', 'cores', 3, 2, 7),
            Parameter::weave('pattern', 'weave', '4@1-2 4@2-3'),
            Parameter::length('length', 'woven length', 40.0, 2.0, 400.0),
            Parameter::length('ends', 'each core beyond, each end', 25.0, 8.0, 200.0),
            Parameter::length('eye', 'eyes, inside', 3.0, 1.0, 20.0),
        ];
    }

    private function weave(PartPlan $part): Weave
    {
        $cores = $part->part->count('cores');
        try {
            $pattern = WeavePattern::parse($part->part->choice('pattern'), $cores);
        } catch (OutOfRange) {
            $pattern = WeavePattern::parse("1@1-{$cores}", $cores);
        }

        return Weave::of($pattern, $part->wireMm(), $part->wireOf('weave')->diameterMm())->reaching($part->part->mm('length'));
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $eye = fn (string $name): Eye => new Eye("{$instance}/{$name}", EyeKind::Openable, $part->part->mm('eye'), $part->wireMm(), "band’s {$name} eye", $part->mark($name.'-loop'));

        return ['top' => $eye('top'), 'bottom' => $eye('bottom')];
    }

    public function along(): array
    {
        return ['weave', 'top', 'bottom'];
    }

    public function cuts(PartPlan $part): array
    {
        $weave = $this->weave($part);
        $ends = $part->part->mm('ends');

        return [
            (new Stretch($part))
                ->given(SegmentKind::Straight, $ends, 'end', 'top-loop', 'for the eye, or to be wrapped round another')->bend('weave starts')
                ->worked(SegmentKind::Straight, $weave->wovenMm(), 'woven', 'cores', 'turns·w', $weave->turns().' × '.Figures::trim($weave->wireMm, 3))->bend('weave ends')
                ->given(SegmentKind::Straight, $ends, 'end', 'bottom-loop', 'for the eye, or to be wrapped round another')
                ->cut('Core', $part->part->wire, $part->times * $part->part->count('cores')),
            (new Stretch($part))
                ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'weave-tail', 'what the fingers hold at the start')
                ->worked(SegmentKind::Weave, $weave->wireLengthMm(), Figures::counted($weave->repeats, 'repeat'), 'weave', 'repeats · Σ turns·√((π(D + w) + 2(k − 1)s)² + w²)', $weave->repeats.' × '.Figures::trim($weave->repeatMm(), 2))
                ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'weave-tail', 'what the fingers hold at the end')
                ->cut('Weaving wire', 'weave', $part->times, 'weave'),
        ];
    }

    public function steps(PartPlan $part, string $event): array
    {
        $weave = $this->weave($part);
        $turn = function (string $place) use ($part, $event): array {
            $form = Forming::loop($part->wire, $part->part->mm('eye'), $part->profile);

            return [new Step($event, '', "Turn the {$place} eye", 'Trim the outer cores, curl their ends in, and turn an eye of the middle one round '.$form->where('mark of the round-nose pliers', $part->profile).'.', [$part->mark($place.'-loop')], tool: 'round-nose pliers, flush cutter', cautions: [Caution::CutEnds])];
        };
        $figures = implode(', then ', array_map(fn (array $figure): string => Figures::counted($figure['turns'], 'turn').' round '.($figure['from'] === $figure['to'] ? 'core '.$figure['from'] : "cores {$figure['from']} to {$figure['to']}"), array_slice($weave->pattern->figures, 0, 12)));

        return match ($event) {
            'work weave' => [
                new Step($event, '', 'Label the cores', 'Straighten '.Figures::counted($part->part->count('cores'), 'core').', number them with tape at one end, and tape them side by side.', [$part->mark('cores')], $part->part->count('cores'), 'cores', tool: 'tape'),
                new Step($event, '', 'Weave', "Leave a tail. Each repeat: {$figures}. Keep the first turns round two easy, and push the rows together as you go.", [$part->mark('weave')], $weave->repeats, 'repeats', tool: 'fingers'),
                new Step($event, '', 'Bend the bundle as one', 'Hold it where the curve should start and bend all cores together. Trim the tails of the weaving wire at the back.', [$part->mark('weave')], tool: 'fingers, flush cutter', cautions: [Caution::CutEnds]),
            ],
            'form top' => $turn('top'),
            'form bottom' => $turn('bottom'),
            default => [],
        };
    }

    public function checks(PartPlan $part): array
    {
        $cores = $part->part->count('cores');
        try {
            $free = WeavePattern::parse($part->part->choice('pattern'), $cores)->freeCores();
        } catch (OutOfRange $why) {
            return [new Check(Level::Stop, 'weave', $why->getMessage(), $part->part->id, [new Way("Weave round all {$cores}", ['do' => 'part.set', 'part' => $part->part->id, 'key' => 'pattern', 'value' => "2@1-{$cores}"])])];
        }

        return $free === [] ? [] : [new Check(Level::Stop, 'weave', 'No figure takes core '.implode(' or ', $free).': it would fall out.', $part->part->id, [
            new Way('Add a turn round all', ['do' => 'part.set', 'part' => $part->part->id, 'key' => 'pattern', 'value' => $part->part->choice('pattern')." 1@1-{$cores}"]),
        ])];
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        $weave = $this->weave($part);
        [$d, $w, $s, $cores] = [$part->wireMm(), $weave->wireMm, $weave->spacingMm, $part->part->count('cores')];
        $from = $place->yMm + $part->part->mm('eye') + 2 * $d;
        $to = $from + $weave->wovenMm();
        $x = fn (int $core): float => ($core - 1 - ($cores - 1) / 2) * $s;
        for ($core = 1; $core <= $cores; $core++) {
            $middle = $core === intdiv($cores + 1, 2);
            $sketch->through([[$middle ? $x($core) : $x($core), $from - $d * ($middle ? 1.5 : 2.5)], [$x($core), $to + $d * ($middle ? 1.5 : 2.5)]], $d, $part->wire->metal, $part->mark('cores'));
        }
        $half = ($d + $w) / 2;
        $y = $from;
        while ($y < $to - 1e-9) {
            foreach ($weave->pattern->figures as $figure) {
                for ($turn = 0; $turn < $figure['turns'] && $y < $to - 1e-9; $turn++) {
                    $sketch->through([[$x($figure['from']) - $half, round($y + 0.25 * $w, 3)], [$x($figure['to']) + $half, round($y + 0.75 * $w, 3)]], $w, $part->wireOf('weave')->metal, $part->mark('weave'), 2);
                    $y += $w;
                }
            }
        }
        $sketch->eye($place->yMm, $part->part->mm('eye'), $d, $place->facing, $part->wire->metal, $part->mark('top-loop'));
        $sketch->eye($to + 2 * $d, $part->part->mm('eye'), $d, $place->facing, $part->wire->metal, $part->mark('bottom-loop'));

        return ['bottom' => new Placement($to + 2 * $d + $part->part->mm('eye'), ! $place->facing)];
    }
}
