<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\FlatSpiral;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Course\Vector;
use Hebra\Core\Fit\Band;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
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
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\ToolKind;
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

    /** How far the first of the ends leans to its side, and how much farther the last. */
    private const LEAN_DEGREES = 8.0;

    private const FAN_DEGREES = 24.0;

    /** How much longer the stem of the last is than that of the first. */
    private const LONGER = 0.35;

    /** Where on its round a shoulder begins. */
    private const SHOULDER = 0.1;

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
            Parameter::length('inside', 'inside diameter', 17.7, 11.6, 26.0)->bentOn(ToolKind::BANDS),
            Parameter::count('wires', 'wires side by side', 4, 2, 9),
            Parameter::count('turns', 'turns of each curl', 1, 1, 6),
            Parameter::count('binding_turns', 'turns that bind, each shoulder', 6, 2, 60),
        ];
    }

    public function sizing(Piece $piece, Part $part): ?Sizing
    {
        return Finger::sizing($piece->fit, $part->count('wires') * $piece->wireMm($part));
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
            $part->wideWireMm(),
            $part->wireOf(BoundBeads::ROLE)->diameterMm(),
            $part->wireOf(BoundBeads::ROLE)->widthMm(),
        );
    }

    public function courses(PartPlan $part): array
    {
        $wires = range(0, $part->part->count('wires') - 1);

        return [
            ...array_map(fn (int $wire): Course => $this->wire($part, $wire), $wires),
            ...array_map(fn (int $side): Course => $this->binding($part, $side), [1, -1]),
        ];
    }

    /** One of the wires that lie side by side, its ends spread from its neighbours'. */
    private function wire(PartPlan $part, int $wire): Course
    {
        [$d, $inside, $wires] = [$part->wireMm(), $part->part->mm('inside'), $part->part->count('wires')];
        $share = ($wire + 0.5) / $wires;
        $turn = 90.0 + self::LEAN_DEGREES + self::FAN_DEGREES * $share;
        $ring = ($inside + $d) / 2;
        // Half a thickness of each stem is taken from its round: both stand beside the middle.
        $round = new Together(
            new Straight($d / 2), new Corner(-$turn), new Arc($ring, 2 * M_PI - $d / $ring), new Corner(-$turn),
            new Straight($d / 2),
        );
        $shank = $this->curled($part, new Stretch($part), $share)->bend('curl ends')->anchored()
            ->worked(
                SegmentKind::Round,
                Band::ringBlankMm($inside, $d / 2),
                'round',
                'round',
                'π(ID + d)',
                'π × ('.Figures::trim($inside).' + '.Figures::trim($d, 3).')',
                shape: $round,
            )->bend('curl starts')->by(fn (): Handwork => self::rounding($part));
        $deep = new Vector(0.0, 0.0, ($wire - ($wires - 1) / 2) * $part->wideWireMm());
        $middle = new Vector(0.0, $this->topMm($part) + $ring);
        $starts = Frame::right(0.0, 0.0)->bent($d / 2 / $ring);
        $down = $starts->in($middle->minus($starts->towards->times($ring))->plus($deep))->bent(deg2rad($turn));

        return $this->curled($part, $shank, $share)
            ->course('Ring wire', $part->part->wire, $part->times, $down->on(-$d / 2));
    }

    private function curled(PartPlan $part, Stretch $stretch, float $share): Stretch
    {
        [$d, $turns] = [$part->wireMm(), $part->part->count('turns')];

        return $stretch->worked(
            SegmentKind::Curl,
            $this->curl($part)->wireLengthMm(),
            'curl',
            'curls',
            'N·π(D + N·d)',
            "{$turns} × π × (".self::EYE_MM." + {$turns} × ".Figures::trim($d, 3).')',
            shape: $this->spread($part, $share),
        )->by(fn (): Handwork => self::filing($part), fn (): Handwork => $this->curling($part));
    }

    /** Up on a stem that takes its part of the wire, and outwards, clear of the round. */
    private function spread(PartPlan $part, float $share): Together
    {
        $stem = $this->stemMm($part, $share) - $part->wireMm() / 2;
        $curl = Spiral::ofWire($part->wireMm(), self::EYE_MM, $this->curl($part)->wireLengthMm() - $stem);

        return new Together(new Straight($stem), new Rolled(new FlatSpiral($curl), 180.0));
    }

    private function stemMm(PartPlan $part, float $share): float
    {
        return ($this->curl($part)->widthMm() / 2 + $part->wireMm()) * (1 + self::LONGER * $share);
    }

    /** @param  int  $side  1 right of the opening, -1 left of it */
    private function binding(PartPlan $part, int $side): Course
    {
        [$bound, $one] = [$part->part->count('binding_turns'), $this->bindingMm($part)];
        [$d, $w] = [$part->wireMm(), $part->wireOf(BoundBeads::ROLE)->diameterMm()];
        $wide = $part->wireOf(BoundBeads::ROLE)->widthMm();
        $ring = ($part->part->mm('inside') + $d) / 2;
        $host = fn (): Host => new Host(
            new Curve((new Arc($ring, 2 * M_PI))->laid(Frame::right(0.0, $this->topMm($part)))[0]),
        );
        $shoulder = $side > 0
            ? self::SHOULDER * 2 * M_PI * $ring
            : (1 - self::SHOULDER) * 2 * M_PI * $ring - $bound * $wide;
        $shape = fn (): Wound => Wound::close(
            $host(), $shoulder, $bound, $d, $w, ($part->part->count('wires') - 1) * $part->wideWireMm(), pitchMm: $wide,
        );
        $stretch = (new Stretch($part))->tail(self::TAIL_MM, 'binding-tail')->anchored()->worked(
            SegmentKind::Wraps,
            $bound * $one,
            Figures::counted($bound, 'turn'),
            'binding',
            'N·√((π(d + w) + 2(n − 1)d)² + w²)',
            $bound.' × '.Figures::trim($one, 3),
            Turn::SOURCE,
            shape: new Later($shape),
        )->by(fn (): Handwork => self::tying($part));

        return $stretch->tail(self::TAIL_MM, 'binding-tail')->course(
            'Binding', BoundBeads::ROLE, $part->times, fn (): Frame => $shape()->start(), BoundBeads::ROLE,
        );
    }

    /** How low the wires meet on top: below their curls. */
    private function topMm(PartPlan $part): float
    {
        return $this->stemMm($part, 1.0) + $this->curl($part)->widthMm() / 2 + $part->wireMm() / 2;
    }

    private static function filing(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('bundle'), 'Round all ends',
            'File every end round and smooth: they lie open on top of the finger.', Operation::File, 'needle file',
            2 * $part->part->count('wires'), 'ends', [Caution::Filing],
        );
    }

    private static function tying(PartPlan $part): Handwork
    {
        [$wires, $turns] = [$part->part->count('wires'), $part->part->count('binding_turns')];

        return new Handwork(
            Moment::work('bundle'), 'Bind the shoulders', "Lay {$wires} wires side by side, taped flat. A fifth of "
                ."the way round from each end of the middle stretch, bind them with {$turns} close turns; trim the "
                .'tails on the outside.', Operation::Bind, 'fingers, chain-nose pliers', 2 * $turns, 'turns',
            [Caution::CutEnds],
        );
    }

    private static function rounding(PartPlan $part): Handwork
    {
        $form = Forming::band($part->wire, $part->part->mm('inside'), $part->profile);

        return new Handwork(
            Moment::work('round'), 'Bend it round', 'Bend the bundle as one, flat, round '
                .$form->where('ring mandrel', $part->profile).', until both sides meet on top.'
                .$form->opens($part->profile), Operation::Bend, 'ring mandrel',
        );
    }

    private function curling(PartPlan $part): Handwork
    {
        $mm = $this->curl($part)->wireLengthMm();

        return new Handwork(
            Moment::work('curl'), 'Split and curl the ends', 'Spread the '.$part->profile->length($mm)
                .' beyond the meeting to both sides like a fan and curl each outwards to a flat spiral, '
                .Figures::counted($part->part->count('turns'), 'turn').', the outer ones first.', Operation::Spiral,
            'round-nose pliers', 2 * $part->part->count('wires'), 'curls',
        );
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
}
