<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Bend\WrappedLoop;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Laid;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Change\AddBead;
use Hebra\Core\Piece\Change\CountBead;
use Hebra\Core\Piece\Change\RemoveBead;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * A bead that hangs by a hole across its upper end: both ends of the wire come out at its sides and lean together over
 * its tip; the short one is wrapped round the long one, which turns a loop above and is wrapped down to meet it. Cut =
 * hole + d + two legs + the short end's wraps + their room + neck + loop + wraps + what is held of both ends. A second
 * hole below stays free: it is an eye. Millimetres. Common practice: 26 to 24 AWG, dead soft, two wraps of the short
 * end.
 */
final class BrioletteWrap implements Technique
{
    use Usual;

    private const TRIES = 6;

    private const SLANTED = 'slanted';

    private const SQUARE = 'square';

    private const ROUND = 'round';

    public function name(): string
    {
        return 'briolette-wrap';
    }

    public function label(): string
    {
        return 'briolette wrap';
    }

    public function role(): string
    {
        return 'briolette';
    }

    public function family(): Family
    {
        return Family::Earring;
    }

    public function usualWire(): Wire
    {
        return self::awg(24, Temper::DeadSoft);
    }

    public function parameters(): array
    {
        return [
            ...WrappedEnd::parameters('', '', 2.5, 3),
            Parameter::count('short_wraps', 'wraps of the short end', 2, 1, 10),
            WrappedEnd::tail(),
            Parameter::flag('turned', 'loop across the bead', false),
        ];
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBead(): Bead
    {
        return Bead::parse('8 x 14mm drop, top-drilled, hole 0.9, sky');
    }

    public function drillings(): array
    {
        return [Drilling::Top, Drilling::TwoHole];
    }

    public function endsLine(): bool
    {
        return true;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $eyes = ['top' => $this->end($part)->eye($instance)];
        $bead = $this->bead($part);
        if ($bead?->drilling === Drilling::TwoHole) {
            // What a ring needs to reach round: from the hole to the edge below it.
            $eyes['bottom'] = new Eye(
                "{$instance}/bottom", EyeKind::Closed, $bead->holeMm, $bead->widthMm / 4 - $bead->holeMm / 2,
                'second hole', $part->mark('bead-0'), deepMm: $bead->lengthMm,
            );
        }

        return $eyes;
    }

    public function hung(PartPlan $part): array
    {
        $bead = $this->bead($part);

        return $bead?->drilling === Drilling::TwoHole
            ? ['bottom' => new Placement(
                $this->holeAtMm($part) + $bead->widthMm / 2 + $bead->holeMm / 2, $part->part->is('turned'),
            )]
            : [];
    }

    public function along(PartPlan $part): array
    {
        return ['thread', 'tip', 'top'];
    }

    public function facesAcross(PartPlan $part): bool
    {
        return $part->part->is('turned');
    }

    private function bead(PartPlan $part): ?Bead
    {
        return ($part->strung[0] ?? null)?->bead;
    }

    /** @return list<Strung> one, whatever is on it */
    private function held(PartPlan $part): array
    {
        return array_map(fn (Strung $strung): Strung => $strung->times(1), array_slice($part->strung, 0, 1));
    }

    private function end(PartPlan $part): WrappedEnd
    {
        return new WrappedEnd(
            $part, '', 'top', home: 'Go on with the long end, straight up above the wraps of the short one.',
        );
    }

    /** The wraps of the short end round the long one. */
    private function short(PartPlan $part): WrappedLoop
    {
        $d = $part->wireMm();

        return new WrappedLoop($d, 0.0, $part->part->count('short_wraps'), $d, 0.0, 1, $part->wideWireMm());
    }

    /** Where both legs meet over the tip. */
    private function tipMm(PartPlan $part): float
    {
        return $this->end($part)->loop->reachMm() + $this->short($part)->neckMm();
    }

    /** How far the middle of the hole lies below where the legs meet. */
    private function depthMm(PartPlan $part): float
    {
        return $part->wireMm() / 2 + ($this->bead($part)?->holeDepthMm() ?? 0.0);
    }

    private function holeAtMm(PartPlan $part): float
    {
        return $this->tipMm($part) + $this->depthMm($part);
    }

    /** From mouth to mouth, and half the wire out at each. */
    private function seatMm(PartPlan $part): float
    {
        return ($this->bead($part)?->holeLengthMm() ?? 0.0) + $part->wireMm();
    }

    public function courses(PartPlan $part): array
    {
        [$seat, $short, $depth] = [$this->seatMm($part), $this->short($part), $this->depthMm($part)];
        $wrapping = fn (): Handwork => $this->wrapping($part);
        $stretch = (new Stretch($part))->tail($part->part->mm('tail'), 'short-tail')->by($wrapping)
            ->worked(
                SegmentKind::Wraps, $short->wrapsMm(), Figures::counted((int) $short->wraps, 'wrap'), 'short-wraps',
                $short->wrapsWorking()->rule, $short->wrapsWorking()->numbers,
                shape: new Later(fn (): Shape => $this->shortShape($part)),
            )->by($wrapping);
        $this->leg($part, $stretch, 'short leg', -1)
            ->bend('bend up out of the hole')->anchored()
            ->worked(
                SegmentKind::Seat, $seat, 'through the hole', 'hole', 'hole + d',
                Figures::trim($seat - $part->wireMm(), 3).' + '.Figures::trim($part->wireMm(), 3),
                beads: $this->held($part),
            )->threading($this->threaded($part))->bend('bend up out of the hole')
            ->by(...$this->bead($part) === null ? [] : [fn (): Handwork => $this->threading($part)]);
        $this->leg($part, $stretch, 'long leg', 1)
            ->bend('bend upright')
            ->worked(
                SegmentKind::Neck, $short->neckMm(), 'room for the short end', 'short-room', 'n·d',
                Figures::trim($short->wraps).' × '.Figures::trim($short->pitchMm(), 3),
            )->by($wrapping);
        foreach ($this->end($part)->moves(false, 'bend over', $part->part->is('turned') ? 90.0 : 0.0) as $move) {
            $stretch->move($move);
        }
        $mouth = new Vector(-$seat / 2, $this->tipMm($part) + $depth);
        $start = new Frame($mouth, new Vector(1.0, 0.0), new Vector(0.0, -1.0));

        return [$stretch->course('Briolette wrap', $part->part->wire, $part->times, $start)];
    }

    private function leg(PartPlan $part, Stretch $stretch, string $words, int $side): Stretch
    {
        [$aside, $below] = [Figures::trim($this->seatMm($part) / 2, 3), Figures::trim($this->depthMm($part), 3)];
        $mm = $this->legMm($part);
        [$rule, $numbers] = match ($this->shoulder($part)) {
            self::SLANTED => ['√(((hole + d)/2)² + depth²)', "√({$aside}² + {$below}²)"],
            self::SQUARE => ['depth + (hole + d)/2', "{$below} + {$aside}"],
            default => ['the length of its curve', Figures::trim($mm, 3)],
        };

        return $stretch->worked(
            SegmentKind::Straight, $mm, $words, strtr($words, ' ', '-'), $rule, $numbers,
            shape: new Laid($side > 0 ? $this->legSpans($part, 1) : $this->shortSpans($part), new Frame(
                new Vector(0.0, $this->tipMm($part)), new Vector(0.0, -1.0), new Vector(-1.0, 0.0),
            )),
        )->by(self::bendingUp(...));
    }

    /** How what is above the hole falls off to its sides: a drop straight, a tile not at all, all else round. */
    private function shoulder(PartPlan $part): string
    {
        return match ($this->bead($part)?->shape) {
            BeadShape::Drop, BeadShape::Bicone, null => self::SLANTED,
            BeadShape::Tile, BeadShape::Tube => self::SQUARE,
            default => self::ROUND,
        };
    }

    private function legMm(PartPlan $part): float
    {
        return (new Curve($this->legSpans($part, 1)))->lengthMm();
    }

    /** @return non-empty-list<Span> from the mouth of the hole to over the tip, close to the bead */
    private function legSpans(PartPlan $part, int $side, ?Vector $to = null): array
    {
        $half = $side * $this->seatMm($part) / 2;
        $mouth = new Vector($half, $this->holeAtMm($part));
        $tip = $to ?? new Vector(0.0, $this->tipMm($part));
        $corner = new Vector($half, $tip->y);

        return match ($this->shoulder($part)) {
            self::SLANTED => [Span::straight($mouth, $tip)],
            self::SQUARE => [Span::straight($mouth, $corner), Span::straight($corner, $tip)],
            default => [Span::along($mouth, $this->steepness($part, $side), $tip, new Vector(-$side, 0.0))],
        };
    }

    /**
     * The short leg ends before the long one, where its wraps begin: as much nearer to the bead as makes it no longer.
     *
     * @return non-empty-list<Span>
     */
    private function shortSpans(PartPlan $part): array
    {
        $mm = $this->legMm($part);
        $tip = new Vector(0.0, $this->tipMm($part), $part->wireMm());
        $spans = $this->legSpans($part, -1, $tip);
        for ($try = 0; $try < self::TRIES; $try++) {
            $tip = $tip->plus(new Vector(0.0, (new Curve($spans))->lengthMm() - $mm));
            $spans = $this->legSpans($part, -1, $tip);
        }

        return $spans;
    }

    private function shortShape(PartPlan $part): Laid
    {
        $short = $this->short($part);
        $spans = $this->shortSpans($part);
        $begins = $spans[count($spans) - 1]->to;
        $stem = new Curve([Span::straight(
            new Vector(0.0, $begins->y), new Vector(0.0, $begins->y - $short->neckMm()),
        )]);
        // It comes from the left before the long leg, and goes on round it.
        $host = new Host($stem, new Vector(1.0, 0.0));

        return Wound::between(
            $host, 0.0, $short->wrapsMm(), (float) $short->wraps, $short->neckMm(), 0.0, $begins,
        );
    }

    /** How the round shoulder of a bead runs at its hole, up to the tip: square to its slope there. */
    private function steepness(PartPlan $part, int $side): Vector
    {
        $bead = $this->bead($part);
        [$wide, $long] = [($bead->widthMm ?? 1.0) / 2, ($bead->lengthMm ?? 1.0) / 2];
        $up = max(0.0, $long - $this->depthMm($part));
        $out = $wide * sqrt(max(0.01, 1 - ($up / $long) ** 2));

        return (new Vector(-$side * $up / $long ** 2, -$out / $wide ** 2))->unit();
    }

    /** @return list<Threaded> hanging from the wire by its hole: a drop lies across it, what has two holes beside it */
    private function threaded(PartPlan $part): array
    {
        $bead = $this->bead($part);
        if ($bead === null) {
            return [];
        }
        $isAcross = $bead->drilling !== Drilling::TwoHole;
        $below = ($isAcross ? $bead->lengthMm : $bead->widthMm) / 2 - $bead->holeDepthMm();

        return [new Threaded(
            $bead, 1, $part->mark('bead-0'), atMm: ($this->seatMm($part) - $bead->lengthMm) / 2,
            aside: new Vector(0.0, $below), ahead: $isAcross ? new Vector(0.0, 1.0) : null,
        )];
    }

    private function threading(PartPlan $part): Handwork
    {
        $short = $part->part->mm('tail') + $this->short($part)->wrapsMm() + $this->legMm($part);
        $bead = $this->bead($part)?->shape->words();

        return new Handwork(
            Moment::thread(), 'Through the hole', "Put the wire through the hole across the {$bead} until "
                .$part->profile->length($short).' stand out at one side: that is the short end.', Operation::Thread,
            'fingers', puts: true,
        );
    }

    private static function bendingUp(): Handwork
    {
        return new Handwork(
            Moment::work('tip'), 'Bend both ends up',
            'Bend both ends up close to the bead until they cross over its tip, and the long one straight up from '
                .'there. Push with the fingers: a tip chips where pliers press.', Operation::Bend, 'fingers',
            cautions: [Caution::Crush],
        );
    }

    private function wrapping(PartPlan $part): Handwork
    {
        $count = $part->part->count('short_wraps');
        $wraps = Figures::counted($count, 'wrap');

        return new Handwork(
            Moment::work('tip'), 'Wrap the short end', "Hold the long end upright and lay {$wraps} of the short one "
                .'round it, close over the tip. Trim, and press the end in.', Operation::Wrap,
            'chain-nose pliers, flush cutter', $count, 'wraps', [Caution::CutEnds], 1,
        );
    }

    public function checks(PartPlan $part): array
    {
        $id = $part->part->id;
        if ($part->strung === []) {
            return [new Check(
                Level::Stop, 'one bead', 'A briolette wrap holds a bead by a hole across its upper end: give it one.',
                $id,
                [new Way('Hang a drop', new AddBead($id, null, $this->usualBead()))],
            )];
        }
        if ($part->beadCount() > 1) {
            $others = array_reverse(array_slice(array_keys($part->strung), 1));
            $off = array_map(fn (int $run): Change => new RemoveBead($id, $run), $others);

            return [new Check(
                Level::Stop, 'one bead', 'A briolette wrap holds one bead, and '.$part->beadCount().' are on it.', $id,
                [Way::all('Leave the first', [...$off, new CountBead($id, 0, 1)])],
            )];
        }
        $held = $this->end($part)->held();

        return $held === null ? [] : [$held];
    }
}
