<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Laid;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Course\Shape\Traced;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
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
use Hebra\Core\Plan\Allowance;
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
use Hebra\Core\Wrap\Halo;
use Hebra\Core\Wrap\Turn;

/**
 * A finger ring wound from one wire: turns round the mandrel side by side, the beads held on top, each end wrapped
 * round the turns beside them; before that one end may go round the beads, or round itself where there are none. Cut =
 * turns·π(ID + d) + beads + round the beads + wraps·(round all turns) each side + tails. Millimetres.
 * Common practice: 20 AWG, dead soft, two to four turns.
 */
final class WoundRing implements Technique
{
    use Usual;

    private const TRIES = 3;

    /** Over how much of a turn each goes over to its place at least, radians. */
    private const UNDER = 0.35;

    private const PIECES = 4;

    private const HELD = 'what the pliers hold, trimmed off';

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
            Parameter::length('inside', 'inside diameter', 17.3, 11.6, 26.0)->bentOn(ToolKind::BANDS),
            Parameter::count('turns', 'turns', 3, 1, 12),
            Parameter::count('halo', 'turns round the beads', 0, 0, 12),
            Parameter::count('wraps', 'wraps, each side', 3, 0, 20),
        ];
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function sizing(Piece $piece, Part $part): ?Sizing
    {
        return Finger::sizing($piece->fit, $part->count('turns') * $piece->wireMm($part));
    }

    public function along(PartPlan $part): array
    {
        return ['wind', 'halo', 'wrap'];
    }

    private function wrapMm(PartPlan $part): float
    {
        return Turn::roundMm($part->part->count('turns'), $part->wireMm(), $part->wireMm(), $part->wireMm());
    }

    public function courses(PartPlan $part): array
    {
        [$d, $turns] = [$part->wireMm(), $part->part->count('turns')];
        $wraps = Later::once(fn (): array => $this->wraps($part));
        $stretch = $this->wrap(
            $part, $this->tail($part, new Stretch($part))->anchored(),
            new Later(fn (): Shape => $wraps()[0]),
        )
            ->bend('winding starts')
            ->worked(
                SegmentKind::Round,
                Band::ringBlankMm($part->part->mm('inside'), $d / 2, $turns),
                Figures::counted($turns, 'turn'),
                'round',
                'turns·π(ID + d)',
                "{$turns} × π × (".Figures::trim($part->part->mm('inside')).' + '.Figures::trim($d, 3).')',
                shape: new Later(fn (): Shape => $this->laidRoundTheFinger($part)),
            )->bend('winding ends')->by(fn (): Handwork => self::winding($part))
            ->worked(
                SegmentKind::Seat,
                $part->stackMm(),
                Figures::counted($part->beadCount(), 'bead'),
                'beads',
                'sum of bead lengths',
                Figures::trim($part->stackMm()),
                beads: $part->strung,
                shape: new Traced(
                    fn (float $share): Vector => $this->about(
                        $part, $this->seatMm($part), (2 * $share - 1) * $this->halfSeat($part), 0.0,
                    ),
                    $this->halfSeat($part) / M_PI,
                ),
            )->threading(array_map(
                fn (Strung $strung): Threaded => new Threaded($strung->bead, $strung->count, $part->mark('beads')),
                $part->strung,
            ))->by(fn (): Handwork => self::threading($part));

        $this->laidRound($part, $stretch);

        return [
            $this->tail($part, $this->wrap($part, $stretch, new Later(fn (): Shape => $wraps()[1])))
                ->course('Ring', $part->part->wire, $part->times, fn (): Frame => $wraps()[2]),
        ];
    }

    /** Round the beads, and from there down to the wraps. */
    private function laidRound(PartPlan $part, Stretch $stretch): void
    {
        $turns = $part->part->count('halo');
        if ($turns === 0) {
            return;
        }
        $halo = $this->halo($part);
        $down = $this->haloAt($part, (float) $turns)->minus($this->lastWraps($part)->start()->at)->lengthMm();
        $stretch->worked(
            SegmentKind::Curl, $halo->lengthMm() + $down, Figures::counted($turns, 'turn').' round the beads', 'halo',
            'N·(πW + 2(L − W)) + π·d·N² + down', $halo->numbers().' + '.Figures::trim($down, 3),
            shape: new Later(fn (): Shape => $this->haloShape($part)),
        )->by(fn (): Handwork => $this->windingRound($part));
    }

    private function halo(PartPlan $part): Halo
    {
        $wide = $part->strung === [] ? 0.0 : $part->widestMm();

        return new Halo($part->wireMm(), $wide, max($wide, $part->stackMm()), $part->part->count('halo'));
    }

    private function haloShape(PartPlan $part): Shape
    {
        $turns = (float) $part->part->count('halo');

        // Of a long row most of a turn is straight: its ends are cut as fine as those of a round one.
        $round = new Traced(
            fn (float $share): Vector => $this->haloAt($part, $share * $turns), $turns,
            max(0.02, M_PI / 4 * $this->halo($part)->curved()),
        );
        $wraps = $this->lastWraps($part)->start();

        return new Together($round, new Laid([Span::straight($this->haloAt($part, $turns), $wraps->at)], $wraps));
    }

    /** So many turns round the beads, at the height of their hole, from where the wire comes out of them. */
    private function haloAt(PartPlan $part, float $turns): Vector
    {
        [$along, $deep] = $this->halo($part)->at($turns);
        $seat = $this->seatMm($part);
        // Beads that lie in line are shorter than what is wound round them where they are narrower.
        $along -= max(0.0, $part->widestMm() - $part->stackMm()) / 2 * max(0.0, 1 - $turns);

        return $this->about($part, $seat, $along / $seat, $deep);
    }

    private function wrap(PartPlan $part, Stretch $stretch, Shape $shape): Stretch
    {
        $wraps = $part->part->count('wraps');

        return $stretch->worked(
            SegmentKind::Wraps,
            $wraps * $this->wrapMm($part),
            Figures::counted($wraps, 'wrap'),
            'wraps',
            'N·√((π·2d + 2(k − 1)d)² + d²)',
            $wraps.' × '.Figures::trim($this->wrapMm($part), 3),
            shape: $shape,
        )->by(fn (): Handwork => self::wrapping($part));
    }

    private function tail(PartPlan $part, Stretch $stretch): Stretch
    {
        return $stretch->tail(Allowance::endMm($part->wireMm()), 'tail', self::HELD)
            ->by(...$part->part->count('wraps') === 0 ? [] : [self::trimming(...)]);
    }

    /**
     * How far from the middle of the ring the hole of its beads lies: they sit on the finger, over the turns at least.
     */
    private function seatMm(PartPlan $part): float
    {
        return max(
            $part->part->mm('inside') / 2 + 1.5 * $part->wireMm(), ($part->part->mm('inside') + $part->widestMm()) / 2,
        );
    }

    private function halfSeat(PartPlan $part): float
    {
        return $part->stackMm() / 2 / $this->seatMm($part);
    }

    private function middleMm(PartPlan $part): float
    {
        return $this->seatMm($part) + max($part->widestMm(), $part->wireMm()) / 2;
    }

    /** A place so far from the middle of the ring, an angle from its top, clockwise, and so deep. */
    private function about(PartPlan $part, float $radiusMm, float $angle, float $depthMm): Vector
    {
        return new Vector(
            $radiusMm * sin($angle), $this->middleMm($part) - $radiusMm * cos($angle), $depthMm,
        );
    }

    /**
     * From beside the beads round and round beside itself, and up to the beads. The rule does not reckon the way up:
     * the turns are drawn so much smaller.
     */
    private function laidRoundTheFinger(PartPlan $part): Together
    {
        return $this->wound($part, $this->ringMm($part));
    }

    private function wound(PartPlan $part, float $ringMm): Together
    {
        $ends = -$this->halfSeat($part);
        $last = $this->lyingMm($part, $part->part->count('turns') - 1);
        // Up beside where the first turn comes down.
        $beside = $this->about($part, $ringMm + $part->wireMm(), $ends, max($last, $part->wireMm()));

        return new Together($this->turned($part, $ringMm), Laid::through([
            Span::straight($this->about($part, $ringMm, $ends, $last), $beside),
            Span::straight($beside, $this->about($part, $this->seatMm($part), $ends, 0.0)),
        ]));
    }

    /** From the middle of the ring to that of the turns' wire. */
    private function ringMm(PartPlan $part): float
    {
        /** @var \WeakMap<PartPlan, float> $known */
        static $known = new \WeakMap;

        return $known[$part] ??= $this->solvedRingMm($part);
    }

    private function solvedRingMm(PartPlan $part): float
    {
        $turns = $part->part->count('turns');
        $ring = ($part->part->mm('inside') + $part->wireMm()) / 2;
        $mm = Band::ringBlankMm($part->part->mm('inside'), $part->wireMm() / 2, $turns);
        for ($try = 0; $try < self::TRIES; $try++) {
            $ring -= ($this->wound($part, $ring)->lengthMm() - $mm) / (2 * M_PI * $turns);
        }

        return $ring;
    }

    /** How deep a turn lies among the others. */
    private function lyingMm(PartPlan $part, int $turn): float
    {
        return ($turn - ($part->part->count('turns') - 1) / 2) * $part->wireMm();
    }

    /** Turns of a radius; each goes over to its place under the beads, the first from above the others. */
    private function turned(PartPlan $part, float $ringMm): Together
    {
        [$half, $d] = [$this->halfSeat($part), $part->wireMm()];
        // More beads than go half round lie over what they lie over.
        $under = min(M_PI, max(2 * $half, self::UNDER));
        $eased = fn (float $share): float => (1 - cos(M_PI * max(0.0, min(1.0, $share)))) / 2;
        $turned = [];
        for ($turn = 0; $turn < $part->part->count('turns'); $turn++) {
            $to = $this->lyingMm($part, $turn);
            $turned[] = new Traced(
                fn (float $share): Vector => $turn === 0
                    ? $this->about($part, $ringMm + $d * (1 - $eased(2 * $share - 1)), $under * $share - $half,
                        $to * $eased(2 * $share))
                    : $this->about($part, $ringMm, $under * $share - $half, $to - $d * (1 - $eased($share))),
                $under / (2 * M_PI), $under / self::PIECES,
            );
            $turned[] = new Traced(fn (float $share): Vector => $this->about(
                $part, $ringMm, $under + (2 * M_PI - $under) * $share - $half, $to,
            ), 1 - $under / (2 * M_PI));
        }

        return new Together(...$turned);
    }

    /** What is wrapped goes round all turns: a whole round of them, from below. */
    private function turnsHost(PartPlan $part): Host
    {
        $ring = $this->ringMm($part);
        $bottom = new Frame($this->about($part, $ring, M_PI, 0.0), new Vector(-1.0, 0.0), new Vector(0.0, -1.0));

        return new Host(new Curve((new Arc($ring, 2 * M_PI))->laid($bottom)[0]));
    }

    /** How far round from below a place beside the beads lies; more beads than go round lie on in the same place. */
    private function besideMm(PartPlan $part, float $angle): float
    {
        return fmod(fmod(M_PI + $angle, 2 * M_PI) + 2 * M_PI, 2 * M_PI) * $this->ringMm($part);
    }

    private function sideMm(PartPlan $part): float
    {
        return ($part->part->count('turns') - 1) * $part->wireMm();
    }

    private function lastWraps(PartPlan $part): Wound
    {
        $d = $part->wireMm();

        return Wound::close(
            $this->turnsHost($part), $this->besideMm($part, $this->halfSeat($part)), $part->part->count('wraps'), $d,
            $d,
            $this->sideMm($part),
        );
    }

    /**
     * @return array{Shape, Shape, Frame} round all turns, before the beads and after them, and where the first begins
     */
    private function wraps(PartPlan $part): array
    {
        [$d, $wraps, $half] = [$part->wireMm(), $part->part->count('wraps'), $this->halfSeat($part)];
        $host = $this->turnsHost($part);
        $first = Wound::close(
            $host, $this->besideMm($part, -$half) - $wraps * $d, $wraps, $d, $d, $this->sideMm($part),
        );
        // Down from the beads to the turns, at the cost of the wraps; from round the beads it is reckoned there.
        $last = $part->part->count('halo') > 0 ? $this->lastWraps($part) : Wound::between(
            $host, $this->besideMm($part, $half), $wraps * $this->wrapMm($part), $wraps, $wraps * $d,
            $this->sideMm($part), $this->about($part, $this->seatMm($part), $half, 0.0),
        );

        return [$first, $last, $first->start()];
    }

    private static function threading(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('wind'), 'Thread the beads',
            'Slide them to the middle of the wire: '.Stringing::words($part->strung).'.', Operation::Thread, 'fingers',
            $part->beadCount(), 'beads', puts: true,
        );
    }

    private static function winding(PartPlan $part): Handwork
    {
        $form = Forming::band($part->wire, $part->part->mm('inside'), $part->profile);
        $turns = $part->part->count('turns');

        return new Handwork(
            Moment::work('wind'), 'Wind the shank', 'Hold the beads on '.$form->where('ring mandrel', $part->profile)
                .' and wind both ends round, '.Figures::counted($turns, 'turn')
                .' in all, side by side, ending at the beads.'.$form->opens($part->profile), Operation::Coil,
            'ring mandrel', $turns, 'turns', turn: 1,
        );
    }

    private static function wrapping(PartPlan $part): Handwork
    {
        $wraps = $part->part->count('wraps');

        return new Handwork(
            Moment::work('wrap'), 'Wrap each side', "Off the mandrel, wrap each end {$wraps} times round all the "
                .'turns, close beside the beads.', Operation::Wrap, 'chain-nose pliers', 2 * $wraps, 'wraps',
            self::mindingBeads($part),
        );
    }

    private static function trimming(): Handwork
    {
        return new Handwork(
            Moment::work('wrap'), 'Trim and tuck', 'Trim both ends on the outside of the ring and press them in: '
                .'nothing may stand towards the finger.', Operation::Trim, 'flush cutter, chain-nose pliers',
            cautions: [Caution::CutEnds], turn: 1,
        );
    }

    private function windingRound(PartPlan $part): Handwork
    {
        $turns = $part->part->count('halo');
        [$title, $what] = $part->strung === []
            ? ['Wind the top', 'round its own middle']
            : ['Wind round the beads', 'round the beads'];

        return new Handwork(
            Moment::work('halo'), $title, 'With the longer end go '.Figures::counted($turns, 'turn')
                ." {$what}, flat on the shank, each outside the one before; "
                .$part->profile->size($this->halo($part)->widthMm()).' wide when done.', Operation::Spiral,
            'fingers, chain-nose pliers', $turns, 'turns', self::mindingBeads($part),
        );
    }

    /** @return list<Caution> */
    private static function mindingBeads(PartPlan $part): array
    {
        return $part->strung === [] ? [] : [Caution::Crush];
    }

    public function checks(PartPlan $part): array
    {
        return $part->strung === [] && $part->part->count('halo') === 0 ? [
            new Check(Level::Note, 'empty ring', 'This ring has no bead on top yet.', $part->part->id),
        ]
            : [
                ...$this->crowded($part),
                new Check(
                    Level::Ok,
                    'size',
                    RingSize::ofDiameter(min(RingSize::MOST_MM, $part->part->mm('inside')))->words().'.',
                    $part->part->id,
                ),
            ];
    }
}
