<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Fit\Band;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Sizing;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wrap\Spiral;
use Hebra\Core\Wrap\Turn;

/**
 * A wide ring of several wires side by side, bound on both shoulders, whose ends split apart on top and curl. Each wire
 * = π(ID + d) + two spirals N·π(D + N·d); binding = 2·turns·√((π(d + w) + 2(n − 1)d)² + w²). Millimetres. Common
 * practice: 18 AWG, dead soft; from 6 mm of width a quarter to half a size larger.
 */
final class SplitRing implements Technique
{
    use Usual;

    /** The eye that a curl begins with, inside, mm. */
    private const EYE_MM = 0.8;

    private const TAIL_MM = 15.0;

    public function name(): string
    {
        return 'split-ring';
    }

    public function label(): string
    {
        return 'wide ring';
    }

    public function role(): string
    {
        return 'shank';
    }

    public function family(): Family
    {
        return Family::Ring;
    }

    public function usualWire(): Wire
    {
        return self::awg(18, Temper::DeadSoft);
    }

    public function extraWires(Part $part): array
    {
        return [BoundBeads::ROLE => self::awg(26, Temper::DeadSoft)];
    }

    public function wants(): Wants
    {
        return new Wants(holds: 0.5, effort: 1.2);
    }

    public function parameters(): array
    {
        return [
            Parameter::length('inside', 'inside diameter', 17.7, 11.6, 26.0),
            Parameter::count('wires', 'wires side by side', 4, 2, 9),
            Parameter::count('turns', 'turns of each curl', 1, 1, 6),
            Parameter::count('binding_turns', 'turns that bind, each shoulder', 6, 2, 60),
        ];
    }

    public function sizing(PartPlan $part, Fit $fit): ?Sizing
    {
        return Finger::sizing($fit, $part->part->count('wires') * $part->wireMm());
    }

    public function along(PartPlan $part): array
    {
        return ['bundle', 'round', 'curl'];
    }

    private function curl(PartPlan $part): Spiral
    {
        return new Spiral($part->wireMm(), self::EYE_MM, $part->part->count('turns'));
    }

    private function bindingMm(PartPlan $part): float
    {
        return Turn::roundMm(
            $part->part->count('wires'),
            $part->wireMm(),
            $part->wireMm(),
            $part->wireOf(BoundBeads::ROLE)->diameterMm(),
        );
    }

    public function cuts(PartPlan $part): array
    {
        [$d, $inside, $turns, $bound] = [$part->wireMm(), $part->part->mm('inside'), $part->part->count('turns'), $part->part->count('binding_turns')];
        $curl = fn (Stretch $stretch, string $mark): Stretch => $stretch->worked(
            SegmentKind::Curl,
            $this->curl($part)->wireLengthMm(),
            'curl',
            $mark,
            'N·π(D + N·d)',
            "{$turns} × π × (".self::EYE_MM." + {$turns} × ".Figures::trim($d, 3).')',
        );
        $shank = $curl(new Stretch($part), 'curls')->bend('curl ends')
            ->worked(
                SegmentKind::Round,
                Band::ringBlankMm($inside, $d / 2),
                'round',
                'round',
                'π(ID + d)',
                'π × ('.Figures::trim($inside).' + '.Figures::trim($d, 3).')',
            )->bend('curl starts');
        $one = $this->bindingMm($part);

        return [
            $curl($shank, 'curls')->cut('Ring wire', $part->part->wire, $part->times * $part->part->count('wires')),
            (new Stretch($part))
                ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'binding-tail', 'what the fingers hold, trimmed off')
                ->worked(
                    SegmentKind::Wraps,
                    $bound * $one,
                    Figures::counted($bound, 'turn'),
                    'binding',
                    'N·√((π(d + w) + 2(n − 1)d)² + w²)',
                    $bound.' × '.Figures::trim($one, 3),
                    Turn::SOURCE,
                )
                ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'binding-tail', 'what the fingers hold, trimmed off')
                ->cut('Binding', BoundBeads::ROLE, 2 * $part->times, BoundBeads::ROLE),
        ];
    }

    public function steps(PartPlan $part, string $event): array
    {
        $form = Forming::band($part->wire, $part->part->mm('inside'), $part->profile);
        [$wires, $bound] = [$part->part->count('wires'), $part->part->count('binding_turns')];
        $curl = $this->curl($part)->wireLengthMm();

        return match ($event) {
            'work bundle' => [
                new Step(
                    $event,
                    '',
                    'Round all ends',
                    'File every end round and smooth: they lie open on top of the finger.',
                    [$part->mark('curls')],
                    2 * $wires,
                    'ends',
                    tool: 'needle file',
                    cautions: [Caution::Filing],
                    operation: Operation::File,
                ),
                new Step(
                    $event,
                    '',
                    'Bind the shoulders',
                    "Lay {$wires} wires side by side, taped flat. A fifth of the way round from each end of the middle stretch, bind them with {$bound} close turns; trim the tails on the outside.",
                    [$part->mark('binding')],
                    2 * $bound,
                    'turns',
                    tool: 'fingers, chain-nose pliers',
                    cautions: [Caution::CutEnds],
                    operation: Operation::Bind,
                ),
            ],
            'work round' => [new Step($event, '', 'Bend it round', 'Bend the bundle as one, flat, round '.$form->where('ring mandrel', $part->profile).', until both sides meet on top.'.$form->opens($part->profile), [$part->mark('round')], tool: 'ring mandrel')],
            'work curl' => [new Step($event, '', 'Split and curl the ends', 'Spread the '.$part->profile->length($curl).' beyond the meeting to both sides like a fan and curl each outwards to a flat spiral, '.Figures::counted($part->part->count('turns'), 'turn').', the outer ones first.', [$part->mark('curls')], 2 * $wires, 'curls', tool: 'round-nose pliers', operation: Operation::Spiral)],
            default => [],
        };
    }

    public function checks(PartPlan $part): array
    {
        $wide = $part->part->count('wires') * $part->wireMm();

        return [
            new Check(
                Level::Ok,
                'size',
                RingSize::ofDiameter(min(RingSize::MOST_MM, $part->part->mm('inside')))->words().', '
                    .$part->profile->size($wide).' wide.',
                $part->part->id,
            ),
        ];
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        [$d, $metal, $wires] = [$part->wireMm(), $part->wire->metal, $part->part->count('wires')];
        $r = ($part->part->mm('inside') + $d) / 2;
        $curl = $this->curl($part);
        $wide = $curl->widthMm();
        // Seen from the front, a little from above: the band's near edge, and all ends fanned out over it.
        $middle = $place->yMm + $r + $d / 2 + $wide * 1.4;
        for ($wire = $wires - 1; $wire >= 0; $wire--) {
            $sketch->bow(
                0, $middle - 0.45 * $wire * $d, $r, -0.25, 0.75, $d, $metal, $part->mark('round'),
                $wire === 0 ? 1 : 0,
            );
        }
        $binding = $part->wireOf(BoundBeads::ROLE);
        foreach ([-1, 1] as $side) {
            for ($turn = 0; $turn < $part->part->count('binding_turns'); $turn++) {
                $angle = -M_PI / 2 + $side * (0.62 + $turn * $binding->diameterMm() / $r);
                $sketch->through(
                    [[round(($r + 0.7 * $d) * cos($angle), 3), round($middle + ($r + 0.7 * $d) * sin($angle) - 0.45 * ($wires - 1) * $d, 3)], [round(($r - 0.7 * $d) * cos($angle), 3), round($middle + ($r - 0.7 * $d) * sin($angle), 3)]],
                    $binding->diameterMm(),
                    $binding->metal,
                    $part->mark('binding'),
                    2,
                );
            }
            for ($wire = 0; $wire < $wires; $wire++) {
                $spread = ($wire + 0.5) / $wires;
                $x = $side * $wide * (0.15 + 0.9 * $spread * ($wires + 1) / 2);
                $sketch->spiral(
                    $x,
                    $middle - $r - $wide * (0.55 + 0.55 * (1 - $spread)),
                    $curl,
                    0.25,
                    -$side,
                    $metal,
                    $part->mark('curls'),
                    2,
                );
            }
        }

        return [];
    }
}
