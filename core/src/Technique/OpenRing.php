<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\FlatSpiral;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\Sizing;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\ToolKind;
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
            Parameter::length('inside', 'inside diameter', 17.3, 11.6, 26.0)->bentOn(ToolKind::BANDS),
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

    public function sizing(Piece $piece, Part $part): ?Sizing
    {
        return Finger::sizing($piece->fit, 0.0);
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

    private function spiral(PartPlan $part): Spiral
    {
        return new Spiral($part->wireMm(), self::EYE_MM, $part->part->count('turns'));
    }

    public function courses(PartPlan $part): array
    {
        [$d, $inside, $gap, $turns] = [
            $part->wireMm(), $part->part->mm('inside'), $part->part->mm('gap'), $part->part->count('turns'),
        ];
        $spiral = fn (Stretch $stretch, string $mark): Stretch => $stretch->worked(
            SegmentKind::Curl,
            $this->spiral($part)->wireLengthMm(),
            'spiral',
            $mark,
            'N·π(D + N·d)',
            "{$turns} × π × (".self::EYE_MM." + {$turns} × ".Figures::trim($d, 3).')',
            // Outwards, away from the finger.
            shape: new Rolled(new FlatSpiral($this->spiral($part)), 180.0),
        )->by(self::filing(...), fn (): Handwork => self::winding($part));
        [$one, $other] = $this->shared($part);
        $stretch = $spiral(new Stretch($part), 'end-1')->bend('spiral ends');
        $this->tendril($part, $stretch, array_reverse($one), true)->bend('tendril ends')->anchored()
            ->worked(
                SegmentKind::Round,
                M_PI * ($inside + $d) - $gap,
                'round',
                'round',
                'π(ID + d) − gap',
                'π × ('.Figures::trim($inside).' + '.Figures::trim($d, 3).') − '.Figures::trim($gap),
                shape: new Arc(($inside + $d) / 2, 2 * M_PI - 2 * $gap / ($inside + $d)),
            )->bend('tendril starts')->by(fn (): Handwork => self::rounding($part));
        $this->tendril($part, $stretch, $other, false)->bend('spiral starts');

        return [
            $spiral($stretch, 'end-2')->course('Ring', $part->part->wire, $part->times, $this->shoulder($part)),
        ];
    }

    /**
     * What stands between the round and a spiral.
     *
     * @param  list<Strung>  $beads  from the first end of the wire on
     */
    private function tendril(PartPlan $part, Stretch $stretch, array $beads, bool $isFirst): Stretch
    {
        $mm = Stringing::lengthMm($beads);
        if ($mm === 0.0) {
            return $stretch;
        }
        $threaded = array_map(
            fn (Strung $strung): Threaded => new Threaded(
                $strung->bead, $strung->count, $part->mark('beads'), $isFirst,
            ),
            $beads,
        );

        return $stretch->worked(
            SegmentKind::Seat, $mm, 'beads', 'beads', 'sum of bead lengths', Figures::trim($mm), beads: $beads,
            shape: new Together(new Corner(-self::TENDRIL_DEGREES), new Straight($mm)),
        )->threading($threaded)->by(fn (): Handwork => $isFirst
            ? self::stringing(array_reverse($beads), 'first')
            : self::stringing($beads, 'second'));
    }

    /** Where the round begins, right of the gap, on its way down. */
    private function shoulder(PartPlan $part): Frame
    {
        $r = ($part->part->mm('inside') + $part->wireMm()) / 2;
        $outer = ($this->spiral($part)->widthMm() - $part->wireMm()) / 2;
        $rise = max(array_map(Stringing::lengthMm(...), $this->shared($part))) * sin(deg2rad(self::TENDRIL_DEGREES));
        $middle = new Vector(0.0, $r + $part->wireMm() / 2 + 2 * $outer + $rise);
        $turned = Frame::right(0.0, 0.0)->bent($part->part->mm('gap') / 2 / $r);

        return $turned->in($middle->minus($turned->towards->times($r)));
    }

    private static function filing(): Handwork
    {
        return new Handwork(
            Moment::work('ends'), 'Round both ends',
            'File both ends round and smooth: they stay open beside the neighbouring finger.', Operation::File,
            'needle file', cautions: [Caution::Filing], turn: -1,
        );
    }

    /**
     * @param  list<Strung>  $beads  the one next to the shank first
     * @param  'first'|'second'  $end
     */
    private static function stringing(array $beads, string $end): Handwork
    {
        return new Handwork(
            Moment::work('ends'), "String the {$end} end",
            'Before it is wound: '.Stringing::words(Stringing::joined($beads)).'.', Operation::Thread, 'fingers',
            count($beads), 'beads', puts: true,
        );
    }

    private static function winding(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('ends'), 'Wind the spirals', 'Turn a tight eye of '.$part->profile->size(self::EYE_MM)
                .' at each end and wind it flat, '.Figures::counted($part->part->count('turns'), 'turn')
                .' in all, until they meet the marks; both the same way out.', Operation::Spiral,
            'round-nose pliers, smooth-jaw pliers', 2, 'spirals', turn: 1,
        );
    }

    private static function rounding(PartPlan $part): Handwork
    {
        $form = Forming::band($part->wire, $part->part->mm('inside'), $part->profile);

        return new Handwork(
            Moment::work('round'), 'Bend it round', 'Bend the middle round '
                .$form->where('ring mandrel', $part->profile).' until '.$part->profile->size($part->part->mm('gap'))
                .' are left open on top.'.$form->opens($part->profile)
                .' It is eased on the mandrel, never on the finger.', Operation::Bend, 'ring mandrel',
        );
    }

    public function checks(PartPlan $part): array
    {
        $inside = $part->part->mm('inside');
        if ($part->part->mm('gap') > $inside / 3) {
            return [new Check(
                Level::Warn, 'gap',
                'A gap of '.$part->profile->size($part->part->mm('gap'))
                    .' is more than a third of the finger: the ring turns and catches.',
                $part->part->id, [
                    new Way(
                        'A gap of '.$part->profile->size(round($inside / 4, 1)),
                        new SetSetting($part->part->id, 'gap', round($inside / 4, 1).' mm'),
                    ),
                ],
            )];
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
}
