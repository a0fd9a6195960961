<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Fit\Band;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Sizing;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Allowance;
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
use Hebra\Core\Wrap\Turn;

/**
 * A finger ring wound from one wire: turns round the mandrel side by side, the beads held on top, each end wrapped
 * round the turns beside them. Cut = turns·π(ID + d) + beads + wraps·(round all turns) each side + tails. Millimetres.
 * Common practice: 20 AWG, dead soft, two to four turns.
 */
final class WoundRing implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'wound-ring';
    }

    public function label(): string
    {
        return 'wound ring';
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
        return self::awg(20, Temper::DeadSoft);
    }

    public function wants(): Wants
    {
        return new Wants(holds: 0.5, effort: 1.2);
    }

    public function parameters(): array
    {
        return [
            Parameter::length('inside', 'inside diameter', 17.3, 11.6, 26.0),
            Parameter::count('turns', 'turns', 3, 1, 12),
            Parameter::count('wraps', 'wraps, each side', 3, 0, 20),
        ];
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function sizing(PartPlan $part, Fit $fit): ?Sizing
    {
        return Finger::sizing($fit, $part->part->count('turns') * $part->wireMm());
    }

    public function along(PartPlan $part): array
    {
        return ['wind', 'wrap'];
    }

    private function wrapMm(PartPlan $part): float
    {
        return Turn::roundMm($part->part->count('turns'), $part->wireMm(), $part->wireMm(), $part->wireMm());
    }

    public function cuts(PartPlan $part): array
    {
        [$d, $turns, $wraps] = [$part->wireMm(), $part->part->count('turns'), $part->part->count('wraps')];
        $wrap = fn (Stretch $stretch, string $side): Stretch => $stretch->worked(
            SegmentKind::Wraps,
            $wraps * $this->wrapMm($part),
            Figures::counted($wraps, 'wrap'),
            $side,
            'N·√((π·2d + 2(k − 1)d)² + d²)',
            $wraps.' × '.Figures::trim($this->wrapMm($part), 3),
        );
        $stretch = (new Stretch($part))->given(
            SegmentKind::Tail,
            Allowance::endMm($d),
            'tail',
            'tail',
            'what the pliers hold, trimmed off',
        );
        $wrap($stretch, 'wraps')->bend('winding starts');
        $stretch->worked(
            SegmentKind::Round,
            Band::ringBlankMm($part->part->mm('inside'), $d / 2, $turns),
            Figures::counted($turns, 'turn'),
            'round',
            'turns·π(ID + d)',
            "{$turns} × π × (".Figures::trim($part->part->mm('inside')).' + '.Figures::trim($d, 3).')',
        )->bend('winding ends')
            ->worked(
                SegmentKind::Seat,
                $part->stackMm(),
                Figures::counted($part->beadCount(), 'bead'),
                'beads',
                'sum of bead lengths',
                Figures::trim($part->stackMm()),
                beads: $part->strung,
            );
        $wrap($stretch, 'wraps')->given(
            SegmentKind::Tail,
            Allowance::endMm($d),
            'tail',
            'tail',
            'what the pliers hold, trimmed off',
        );

        return [$stretch->cut('Ring', $part->part->wire, $part->times)];
    }

    public function steps(PartPlan $part, string $event): array
    {
        $form = Forming::band($part->wire, $part->part->mm('inside'), $part->profile);
        $wraps = $part->part->count('wraps');

        return match ($event) {
            'work wind' => [
                ...($part->strung === [] ? [] : [(new Step($event, '', 'Thread the beads', 'Slide them to the middle of the wire: '.Stringing::words($part->strung).'.', [$part->mark('beads')], $part->beadCount(), 'beads', tool: 'fingers', operation: Operation::Thread))->putting($part->strung, $part->cutKey())]),
                new Step(
                    $event,
                    '',
                    'Wind the shank',
                    'Hold the beads on '.$form->where('ring mandrel', $part->profile).' and wind both ends round, '
                        .Figures::counted($part->part->count('turns'), 'turn')
                        .' in all, side by side, ending at the beads.'.$form->opens($part->profile),
                    [$part->mark('round')],
                    $part->part->count('turns'),
                    'turns',
                    tool: 'ring mandrel',
                    operation: Operation::Coil,
                ),
            ],
            'work wrap' => $wraps === 0 ? [] : [
                new Step(
                    $event,
                    '',
                    'Wrap each side',
                    "Off the mandrel, wrap each end {$wraps} times round all the turns, close beside the beads.",
                    [$part->mark('wraps')],
                    2 * $wraps,
                    'wraps',
                    tool: 'chain-nose pliers',
                    cautions: $part->strung === [] ? [] : [Caution::Crush],
                    operation: Operation::Wrap,
                ),
                new Step(
                    $event,
                    '',
                    'Trim and tuck',
                    'Trim both ends on the outside of the ring and press them in: nothing may stand towards the finger.',
                    [$part->mark('tail')],
                    tool: 'flush cutter, chain-nose pliers',
                    cautions: [Caution::CutEnds],
                    operation: Operation::Trim,
                ),
            ],
            default => [],
        };
    }

    public function checks(PartPlan $part): array
    {
        return $part->strung === [] ? [
            new Check(Level::Note, 'empty ring', 'This ring has no bead on top yet.', $part->part->id),
        ]
            : [
                new Check(
                    Level::Ok,
                    'size',
                    RingSize::ofDiameter(min(RingSize::MOST_MM, $part->part->mm('inside')))->words().'.',
                    $part->part->id,
                ),
            ];
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        [$d, $metal, $r] = [$part->wireMm(), $part->wire->metal, ($part->part->mm('inside') + $part->wireMm()) / 2];
        $high = $part->widestMm() / 2;
        $middle = $place->yMm + max($high, $d) + $r + $d;
        $sketch->ring(0, $middle, $r, $d, $metal, $part->mark('round'));
        $half = max($part->stackMm() / 2, $d);
        foreach ([-1, 1] as $side) {
            for ($wrap = 0; $wrap < $part->part->count('wraps'); $wrap++) {
                $angle = $side * ($half + ($wrap + 0.5) * $d) / $r;
                [$x, $y] = [sin($angle), -cos($angle)];
                $sketch->through(
                    [[($r - $d) * $x, $middle + ($r - $d) * $y], [($r + $d) * $x, $middle + ($r + $d) * $y]],
                    $d,
                    $metal,
                    $part->mark('wraps'),
                    2,
                );
            }
        }
        // The wire the beads sit on, over the turns.
        $sketch->bow(
            0, $middle, $r, -0.25 - $half / $r / (2 * M_PI), -0.25 + $half / $r / (2 * M_PI), $d, $metal,
            $part->mark('beads'),
        );
        $at = -$half;
        foreach ($part->strung as $strung) {
            for ($bead = 0; $bead < $strung->count; $bead++) {
                $angle = ($at + $strung->bead->lengthMm / 2) / $r;
                $out = $r;
                $sketch->bead(
                    $strung->bead,
                    $middle - cos($angle) * $out - $strung->bead->lengthMm / 2,
                    $part->mark('beads'),
                    sin($angle) * $out,
                    rad2deg($angle) + 90,
                );
                $at += $strung->bead->lengthMm;
            }
        }

        return [];
    }
}
