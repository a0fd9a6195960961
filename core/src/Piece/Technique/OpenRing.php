<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Sizing;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Stringing;
use Hebra\Core\Plan\Strung;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Plan\WireEnd;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wrap\Spiral;

/**
 * A ring open on top, to be squeezed or eased to a finger, each end wound to a flat spiral; beads may stand on the
 * tendrils between. Cut = π(ID + d) − gap + beads + 2·N·π(D + N·d). Millimetres. Common practice: 16 AWG; a gap of a
 * third of the finger's width at most, or it turns on the finger.
 */
final class OpenRing implements Technique
{
    use Usual;

    /** The eye that a spiral begins with, inside, mm. */
    private const EYE_MM = 1.0;

    /** How far a tendril with beads turns up and out over the gap. */
    private const TENDRIL_DEGREES = 110.0;

    public function name(): string
    {
        return 'open-ring';
    }

    public function label(): string
    {
        return 'open ring';
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
        return self::awg(16, Temper::DeadSoft);
    }

    public function wants(): Wants
    {
        return new Wants(holds: 0.7, effort: 1.4);
    }

    public function parameters(): array
    {
        return [
            Parameter::length('inside', 'inside diameter', 17.3, 11.6, 26.0),
            Parameter::length('gap', 'gap on top', 4.0, 0.5, 20.0),
            Parameter::count('turns', 'turns of each spiral', 1, 1, 8),
        ];
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBeads(): int
    {
        return 2;
    }

    public function sizing(PartPlan $part, Fit $fit): ?Sizing
    {
        return Finger::sizing($fit, 0.0);
    }

    public function along(PartPlan $part): array
    {
        return ['ends', 'round'];
    }

    /**
     * The beads on each tendril, from the shank outwards: shared out in order, the first end the larger half.
     *
     * @return array{list<Strung>, list<Strung>}
     */
    private function shared(PartPlan $part): array
    {
        $beads = [];
        foreach ($part->strung as $strung) {
            array_push($beads, ...array_fill(0, $strung->count, $strung->times(1)));
        }
        $first = intdiv(count($beads) + 1, 2);

        return [array_slice($beads, 0, $first), array_slice($beads, $first)];
    }

    /** @param  list<Strung>  $beads */
    private static function stack(array $beads): float
    {
        return array_sum(array_map(fn (Strung $strung): float => $strung->lengthMm(), $beads));
    }

    private function spiral(PartPlan $part): Spiral
    {
        return new Spiral($part->wireMm(), self::EYE_MM, $part->part->count('turns'));
    }

    public function cuts(PartPlan $part): array
    {
        [$d, $inside, $gap, $turns] = [$part->wireMm(), $part->part->mm('inside'), $part->part->mm('gap'), $part->part->count('turns')];
        $spiral = fn (Stretch $stretch, string $mark): Stretch => $stretch->worked(
            SegmentKind::Curl,
            $this->spiral($part)->wireLengthMm(),
            'spiral',
            $mark,
            'N·π(D + N·d)',
            "{$turns} × π × (".self::EYE_MM." + {$turns} × ".Figures::trim($d, 3).')',
        );
        [$one, $other] = $this->shared($part);
        [$first, $second] = [self::stack($one), self::stack($other)];
        $stretch = $spiral(new Stretch($part), 'end-1')->bend('spiral ends')
            ->worked(
                SegmentKind::Seat, $first, 'beads', 'beads', 'sum of bead lengths', Figures::trim($first),
                beads: array_reverse($one),
            )->bend('tendril ends')
            ->worked(
                SegmentKind::Round,
                M_PI * ($inside + $d) - $gap,
                'round',
                'round',
                'π(ID + d) − gap',
                'π × ('.Figures::trim($inside).' + '.Figures::trim($d, 3).') − '.Figures::trim($gap),
            )->bend('tendril starts')
            ->worked(
                SegmentKind::Seat, $second, 'beads', 'beads', 'sum of bead lengths', Figures::trim($second),
                beads: $other,
            )->bend('spiral starts');

        return [$spiral($stretch, 'end-2')->cut('Ring', $part->part->wire, $part->times)];
    }

    public function steps(PartPlan $part, string $event): array
    {
        $form = Forming::band($part->wire, $part->part->mm('inside'), $part->profile);

        return match ($event) {
            'work ends' => [
                new Step(
                    $event,
                    '',
                    'Round both ends',
                    'File both ends round and smooth: they stay open beside the neighbouring finger.',
                    [$part->mark('end-1'), $part->mark('end-2')],
                    tool: 'needle file',
                    cautions: [Caution::Filing],
                    operation: Operation::File,
                ),
                ...$this->stringSteps($part, $event),
                new Step(
                    $event,
                    '',
                    'Wind the spirals',
                    'Turn a tight eye of '.$part->profile->size(self::EYE_MM).' at each end and wind it flat, '
                        .Figures::counted($part->part->count('turns'), 'turn')
                        .' in all, until they meet the marks; both the same way out.',
                    [$part->mark('end-1'), $part->mark('end-2')],
                    2,
                    'spirals',
                    tool: 'round-nose pliers, smooth-jaw pliers',
                    operation: Operation::Spiral,
                ),
            ],
            'work round' => [new Step($event, '', 'Bend it round', 'Bend the middle round '.$form->where('ring mandrel', $part->profile).' until '.$part->profile->size($part->part->mm('gap')).' are left open on top.'.$form->opens($part->profile).' It is eased on the mandrel, never on the finger.', [$part->mark('round')], tool: 'ring mandrel')],
            default => [],
        };
    }

    /** @return list<Step> over each end what stands on its tendril, the bead next to the shank first */
    private function stringSteps(PartPlan $part, string $event): array
    {
        $steps = [];
        foreach (array_combine(['first', 'second'], $this->shared($part)) as $end => $beads) {
            $runs = Stringing::joined($beads);
            if ($runs !== []) {
                $step = new Step(
                    $event,
                    '',
                    "String the {$end} end",
                    'Before it is wound: '.Stringing::words($runs).'.',
                    [$part->mark('beads')],
                    count($beads),
                    'beads',
                    tool: 'fingers',
                    operation: Operation::Thread,
                );
                $steps[] = $step->putting($beads, $part->cutKey(), $end === 'first' ? WireEnd::First : WireEnd::Last);
            }
        }

        return $steps;
    }

    public function checks(PartPlan $part): array
    {
        $inside = $part->part->mm('inside');
        if ($part->part->mm('gap') > $inside / 3) {
            return [new Check(Level::Warn, 'gap', 'A gap of '.$part->profile->size($part->part->mm('gap')).' is more than a third of the finger: the ring turns and catches.', $part->part->id, [
                new Way(
                    'A gap of '.$part->profile->size(round($inside / 4, 1)),
                    ['do' => 'part.set', 'part' => $part->part->id, 'key' => 'gap', 'value' => round($inside / 4, 1).' mm'],
                ),
            ])];
        }

        $wide = $this->spiral($part)->widthMm();
        if ($wide > $part->part->mm('gap')) {
            return [
                new Check(
                    Level::Note,
                    'gap',
                    'Each spiral is '.$part->profile->size($wide).' wide, and the gap '
                        .$part->profile->size($part->part->mm('gap')).': they lie one over the other.',
                    $part->part->id,
                ),
            ];
        }

        return [
            new Check(
                Level::Ok,
                'size',
                RingSize::ofDiameter(
                    min(RingSize::MOST_MM, $inside),
                )->words().'; it can be eased or squeezed by about a size.',
                $part->part->id,
            ),
        ];
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        [$d, $metal] = [$part->wireMm(), $part->wire->metal];
        $r = ($part->part->mm('inside') + $d) / 2;
        $outer = ($this->spiral($part)->widthMm() - $d) / 2;
        $rise = max(array_map(self::stack(...), $this->shared($part))) * sin(deg2rad(self::TENDRIL_DEGREES));
        $middle = $place->yMm + $r + $d / 2 + 2 * $outer + $rise;
        $half = $part->part->mm('gap') / 2 / $r / (2 * M_PI);
        $sketch->bow(0, $middle, $r, -0.25 + $half, 0.75 - $half, $d, $metal, $part->mark('round'));
        foreach ([[-0.25 + $half, 1, 'end-1', 0], [0.75 - $half, -1, 'end-2', 1]] as [$turn, $side, $mark, $end]) {
            // Each tendril goes on over the gap, the beads on it, to the spiral that holds them.
            [$x, $y] = [$r * cos(2 * M_PI * $turn), $middle + $r * sin(2 * M_PI * $turn)];
            $beads = $this->shared($part)[$end];
            $tilt = deg2rad(self::TENDRIL_DEGREES) * ($beads === [] ? 0 : 1);
            [$dx, $dy] = [-$side * cos($tilt), -sin($tilt)];
            $along = self::stack($beads);
            $sketch->through(
                [[round($x, 3), round($y, 3)], [round($x + $along * $dx, 3), round($y + $along * $dy, 3)]],
                $d,
                $metal,
                $part->mark('beads'),
            );
            $at = 0.0;
            foreach (array_column($beads, 'bead') as $bead) {
                $at += $bead->lengthMm / 2;
                $sketch->bead(
                    $bead,
                    round($y + $at * $dy - $bead->lengthMm / 2, 3),
                    $part->mark('beads'),
                    round($x + $at * $dx, 3),
                    90.0 + $side * rad2deg($tilt),
                );
                $at += $bead->lengthMm / 2;
            }
            $sketch->spiral(
                $x + $along * $dx, $y + $along * $dy - $outer, $this->spiral($part), 0.25, -$side, $metal,
                $part->mark($mark), 2,
            );
        }

        return [];
    }
}
