<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Eye as EyeShape;
use Hebra\Core\Course\Shape\Helix;
use Hebra\Core\Course\Shape\Laid;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Course\Shape\Traced;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\AddBead;
use Hebra\Core\Piece\Change\CountBead;
use Hebra\Core\Piece\Change\SwapBead;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wrap\Binding;

/**
 * A disc held by a wire round its rim and down its hole, under a bail: bail loop + twice the hole (both legs go
 * through) + rim + each leg's wraps on the bail, as Binding has it. Round the rim beads may be strung, in two halves,
 * on a wire that then runs half a bead off the disc; or a row is bound, whole stones only. Millimetres. Common
 * practice: 20 AWG, dead soft; loose at one leg until the rim lies.
 */
final class Surround implements Technique
{
    use Usual;

    /** A row bound on the rim comes before the disc, for which it must be open. */
    private const ROW_TURN = -2;

    public function name(): string
    {
        return 'surround';
    }

    public function label(): string
    {
        return 'surround';
    }

    public function role(): string
    {
        return 'surround';
    }

    public function family(): Family
    {
        return Family::Pendant;
    }

    public function usualWire(): Wire
    {
        return self::awg(20, Temper::DeadSoft);
    }

    private const TAIL_MM = 10.0;

    /**
     * Where wraps begin, thicknesses: those of the second leg round it from its middle, and above the neck's end; those
     * of the first below the neck.
     */
    private const PAST = 0.5;

    private const ABOVE = 0.1;

    private const BELOW = 0.2;

    /** Over so many thicknesses the rim goes behind the legs, and as many back. */
    private const BEHIND = 4.0;

    private const TRIES = 6;

    public function extraWires(Part $part): array
    {
        return BoundBeads::wires($this->rim($part));
    }

    /** The part without its disc: what lies round the rim. */
    private function rim(Part $part): Part
    {
        return $part->withBeads(array_slice($part->beads, 1));
    }

    public function parameters(): array
    {
        return [
            Parameter::length('bail', 'bail, inside', 4.0, 1.5, 20.0)->bentOn(ToolKind::LOOPS),
            Parameter::count('wraps', 'wraps, each leg', 3, 0, 20),
            ...BoundBeads::parameters('strung', 'round the rim'),
            Parameter::flag('turned', 'bail across the face', true),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return $key === 'beads_sit' ? count($part->beads) > 1 : BoundBeads::shows($key, $this->rim($part));
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function through(PartPlan $part, int $run): array
    {
        $own = $part->part->wire;

        return match (true) {
            $run === 0 => [$own, $own],
            BoundBeads::isBound($this->rim($part->part)) => [BoundBeads::ROLE],
            default => [$own],
        };
    }

    public function endsLine(): bool
    {
        return true;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        return [
            'top' => new Eye(
                "{$instance}/top", EyeKind::Permanent, $part->part->mm('bail'), $part->wireMm(), 'bail',
                $part->mark('bail'),
            ),
        ];
    }

    public function along(PartPlan $part): array
    {
        return ['thread', 'top'];
    }

    public function facesAcross(PartPlan $part): bool
    {
        return $part->part->is('turned');
    }

    private function discMm(PartPlan $part): float
    {
        return $part->strung === [] ? 0.0 : $part->strung[0]->bead->widthMm;
    }

    /**
     * How far the rim's wire lies off the disc: half its own thickness, or half a bead's where beads are strung on it.
     */
    private function offMm(PartPlan $part): float
    {
        $rim = $part->withoutFirst(1);

        return $rim->strung === [] || BoundBeads::isBound($rim->part)
            ? $part->wireMm() / 2
            : max($part->wireMm(), $rim->widestMm()) / 2;
    }

    private function rimMm(PartPlan $part): float
    {
        return $part->strung === [] ? 0.0 : M_PI * ($this->discMm($part) + 2 * $this->offMm($part));
    }

    public function courses(PartPlan $part): array
    {
        [$d, $wraps] = [$part->wireMm(), $part->part->count('wraps')];
        [$hole, $beside] = [$this->holeMm($part), $this->besideMm($part)];
        $rim = Later::once(fn (): Laid => $this->rimShape($part));
        $disc = array_map(
            fn (Strung $strung): Threaded => new Threaded(
                $strung->bead, 1, $part->mark('beads'), aside: new Vector($d / 2, 0.0, 0.0),
            ),
            array_slice($part->strung, 0, 1),
        );
        $isRow = BoundBeads::isBound($this->rim($part->part));
        $round = fn (): Handwork => $this->goingRound($part);
        $surround = (new Stretch($part))->tail(self::TAIL_MM, 'tail');
        $this->wrapped($part, $surround, new Later(fn (): Shape => $this->wrapsShape($part, false)))->anchored()
            ->worked(
                SegmentKind::Neck, $beside, 'past the rim', 'hole', 'what stands above the hole',
                Figures::trim($beside, 3),
            )->by(self::goingDown(...))
            ->worked(
                SegmentKind::Seat, $hole, 'down the hole', 'hole', 'length of the hole', Figures::trim($hole),
                beads: array_slice($part->strung, 0, 1),
            )->threading($disc)->bend('out of the hole')->by(self::goingDown(...))
            ->worked(
                SegmentKind::Round,
                $this->rimMm($part),
                'round the rim',
                'rim',
                'π(W + b), b: the wire, or the beads on it',
                'π × ('.Figures::trim($this->discMm($part)).' + '.Figures::trim(2 * $this->offMm($part), 3).')',
                beads: $isRow ? [] : array_slice($part->strung, 1),
                shape: new Later($rim),
            )->threading($this->bound($part)->threaded($this->rimMm($part)))->bend('into the hole')
            ->by($round, ...$isRow ? [self::shaping(...)] : [])
            ->worked(
                SegmentKind::Seat, $hole, 'up the hole', 'back', 'length of the hole', Figures::trim($hole),
                beads: array_slice($part->strung, 0, 1), shape: new Laid([$this->upTheHole($part)], $this->neck($part)),
            )->by($round)
            ->worked(
                SegmentKind::Neck, $beside + 2 * $wraps * $d, 'neck', 'back', 'past the rim + 2N·d',
                Figures::trim($beside, 3).' + 2 × '.$wraps.' × '.Figures::trim($d, 3),
            )->bend('bail starts')
            ->loop($part->part->mm('bail'), $d, 'bail', 'bail', $this->bailShape($part))
            ->by(fn (): Handwork => $this->turning($part));

        $course = $this->wrapped(
            $part, $surround, new Later(fn (): Shape => $this->wrapsShape($part, true)),
        )->tail(self::TAIL_MM, 'tail')->course(
            'Surround', $part->part->wire, $part->times, Frame::down($this->holeTopMm($part) - $beside, -$d / 2),
        );

        return [$course, ...$this->bound($part)->courses(
            fn (): Host => new Host(new Curve(array_slice($rim()->laid(Frame::down(0.0))[0], 1, -1))),
            $this->rimMm($part),
        )];
    }

    private function wrapped(PartPlan $part, Stretch $stretch, Shape $shape): Stretch
    {
        $wraps = $part->part->count('wraps');
        $wrap = Binding::legsMm($part->wireMm());

        return $stretch->worked(
            SegmentKind::Wraps, $wraps * $wrap, Figures::counted($wraps, 'wrap'), 'wraps', 'N·√((2πd + 2d)² + d²)',
            $wraps.' × '.Figures::trim($wrap, 3), shape: $shape,
        )->by(fn (): Handwork => self::wrapping($part));
    }

    private function holeMm(PartPlan $part): float
    {
        return $part->strung === [] ? 0.0 : $part->strung[0]->bead->lengthMm;
    }

    private function neckMm(PartPlan $part): float
    {
        return 2 * $part->part->count('wraps') * $part->wireMm();
    }

    /** How far the legs stand out of the hole before they are wrapped: past the rim, or the beads on it. */
    private function besideMm(PartPlan $part): float
    {
        $rim = $part->withoutFirst(1);
        $beyond = match (true) {
            $rim->strung === [] => $part->wireMm(),
            BoundBeads::isBound($rim->part) => $part->wireMm() + $rim->widestMm(),
            default => $this->offMm($part) + $rim->widestMm() / 2,
        };

        return max(0.0, ($this->discMm($part) - $this->holeMm($part)) / 2 + $beyond);
    }

    /** Where the hole begins: below the bail and its wraps. */
    private function holeTopMm(PartPlan $part): float
    {
        return $part->part->mm('bail') + $part->wireMm() + $this->neckMm($part) + $this->besideMm($part);
    }

    private function middleMm(PartPlan $part): float
    {
        return $this->holeTopMm($part) + $this->holeMm($part) / 2;
    }

    /** Once round the disc from below, and back below, beside where it came out of the hole. */
    private function rimShape(PartPlan $part): Laid
    {
        [$d, $middle] = [$part->wireMm(), new Vector(0.0, $this->middleMm($part))];
        $radius = $this->discMm($part) / 2 + $this->offMm($part);
        $below = $middle->plus(new Vector(0.0, $this->holeMm($part) / 2));
        $mm = 2 * M_PI * $radius;
        $rim = fn (float $radius): Laid => $this->rimOf($middle, $below, $radius, $d);
        // Out to the rim and back in, and behind the legs, is taken from its round.
        for ($try = 0; $try < self::TRIES; $try++) {
            $radius += ($mm - $rim($radius)->lengthMm()) / (2 * M_PI);
        }

        return $rim($radius);
    }

    /** From beside the hole to beside it; on top it goes behind the legs. */
    private function rimOf(Vector $middle, Vector $below, float $radius, float $wireMm): Laid
    {
        $at = fn (float $angle, float $deep = 0.0): Vector => $middle->plus(
            new Vector(-$radius * sin($angle), $radius * cos($angle), -$deep),
        );
        [$gap, $behind] = [$wireMm / 2 / $radius, min(M_PI / 4, self::BEHIND * $wireMm / $radius)];
        $side = fn (float $angle): array => (new Arc($radius, M_PI - $behind - $gap))->laid(new Frame(
            $at($angle), new Vector(-cos($angle), -sin($angle)), new Vector(sin($angle), -cos($angle)),
        ))[0];
        $over = (new Traced(fn (float $share): Vector => $at(
            M_PI + (2 * $share - 1) * $behind, $wireMm * (1 - cos(2 * M_PI * $share)) / 2,
        ), $behind / M_PI, $behind / 3))->laid(Frame::down(0.0))[0];
        $out = $below->plus(new Vector(-$wireMm / 2, 0.0));
        $in = $below->plus(new Vector($wireMm / 2, 0.0));

        return new Laid([
            Span::straight($out, $at($gap)), ...$side($gap), ...$over, ...$side(M_PI + $behind),
            Span::straight($at(2 * M_PI - $gap), $in),
        ], Frame::down(0.0)->back()->in($in));
    }

    private function upTheHole(PartPlan $part): Span
    {
        $x = $part->wireMm() / 2;

        return Span::straight(
            new Vector($x, $this->holeTopMm($part) + $this->holeMm($part)), new Vector($x, $this->holeTopMm($part)),
        );
    }

    /** Up along the first leg; the bail turns in the plane it has to the face. */
    private function neck(PartPlan $part): Frame
    {
        $up = Frame::down($this->holeTopMm($part), $part->wireMm() / 2)->back();

        return $part->part->is('turned') ? $up->rolled(-M_PI / 2) : $up;
    }

    private function bailShape(PartPlan $part): Shape
    {
        $d = $part->wireMm();
        $wraps = Helix::wraps($part->part->count('wraps'), $d, $d, 2);

        // Across both legs it closes before them; in line with them, round the second.
        return $part->part->is('turned')
            ? new EyeShape($part->part->mm('bail'), $d, $wraps, past: self::PAST)
            : new EyeShape($part->part->mm('bail'), $d, $wraps, -$d / 2);
    }

    /** Round both legs: those of the second leg above those of the first; the way to them is theirs. */
    private function wrapsShape(PartPlan $part, bool $isSecond): Laid
    {
        $from = $this->holeTopMm($part) - $this->besideMm($part);

        return $isSecond ? $this->secondWraps($part, $from) : $this->firstWraps($part, $from);
    }

    /** They lie against the wire, which goes out from the hole both ways. */
    private function firstWraps(PartPlan $part, float $fromMm): Laid
    {
        [$d, $wraps] = [$part->wireMm(), $part->part->count('wraps')];
        $down = Span::straight(new Vector(0.0, $fromMm - $this->neckMm($part)), new Vector(0.0, $fromMm));

        return Wound::between(
            new Host(new Curve([$down]), new Vector(-1.0, 0.0)), (2 * $wraps + self::BELOW) * $d,
            $wraps * Binding::legsMm($d), $wraps, -$wraps * $d, $d, new Vector(-$d / 2, $fromMm),
        );
    }

    /** On round the way the bail closes: behind the legs, or, in line with them, before them. */
    private function secondWraps(PartPlan $part, float $fromMm): Laid
    {
        [$d, $wraps, $neck] = [$part->wireMm(), $part->part->count('wraps'), $this->neckMm($part)];
        $up = Span::straight(new Vector(0.0, $fromMm), new Vector(0.0, $fromMm - $neck));
        $top = $this->neck($part)->in(new Vector($d / 2, $fromMm - $neck));
        $side = $part->part->is('turned') ? -1.0 : 1.0;

        return Wound::between(
            new Host(new Curve([$up]), new Vector($side, 0.0)), $neck + self::ABOVE * $d,
            $wraps * Binding::legsMm($d), $wraps, -$wraps * $d, $d, $this->bailShape($part)->laid($top)[1],
        );
    }

    public function drillings(): array
    {
        return BoundBeads::drillings();
    }

    /** The rim without its disc: what is strung on it or bound to it, while it can still be opened. */
    private function bound(PartPlan $part): BoundBeads
    {
        return new BoundBeads($part->withoutFirst(1), 1, 'rim', Moment::thread(), self::ROW_TURN);
    }

    private static function shaping(): Handwork
    {
        return new Handwork(
            Moment::thread(), 'Shape the rim', 'Bend the wire round the disc to its size and take it off again.',
            Operation::Bend, 'fingers', turn: self::ROW_TURN - 1,
        );
    }

    private static function goingDown(): Handwork
    {
        return new Handwork(
            Moment::thread(), 'Down the hole', 'Put the wire down the hole and leave the first leg standing above it.',
            Operation::Thread, 'fingers', puts: true,
        );
    }

    /** What has a face shows it. */
    private function goingRound(PartPlan $part): Handwork
    {
        $rim = $part->withoutFirst(1);
        [$title, $text] = match (true) {
            $rim->strung === [] => ['Round the rim', 'Bend it out flat below, once round the rim in the groove of its '
                .'edge, and back up through the hole. Stay loose at one leg until it lies.'],
            BoundBeads::isBound($rim->part) => ['Round the rim', 'Lay the rim with its row round the disc, every face '
                .'to the front, and take the wire back up through the hole. Stay loose at one leg until it lies.'],
            default => ['Round the rim, with its beads', 'Bend it out flat below, string half of them, up round one '
                .'side to the top; the other half down the other side, and back up through the hole: '
                .Stringing::words($rim->strung).'. Stay loose at one leg until all lie.'],
        };
        $strung = BoundBeads::isBound($rim->part) ? 0 : $rim->beadCount();

        return new Handwork(
            Moment::thread(), $title, $text, Operation::Thread, 'fingers', $strung, $strung > 0 ? 'beads' : '',
            [Caution::Crush], puts: true,
            lights: [$part->mark('rim'), $part->mark('back'), $part->mark('beads')],
        );
    }

    private function turning(PartPlan $part): Handwork
    {
        $form = Forming::loop($part->wire, $part->part->mm('bail'), $part->profile);

        return new Handwork(
            Moment::form('top'), 'Turn the bail', 'Turn the longer leg over '
                .$form->where('mark of the round-nose pliers', $part->profile).' to a bail above the hole.',
            Operation::Eye, 'round-nose pliers',
        );
    }

    private static function wrapping(PartPlan $part): Handwork
    {
        $wraps = $part->part->count('wraps');

        return new Handwork(
            Moment::close('top'), 'Wrap both legs', "Wrap each leg {$wraps} times round the neck of the bail, trim, "
                .'and press the ends in at the back.', Operation::Wrap, 'chain-nose pliers, flush cutter', 2 * $wraps,
            'wraps', [Caution::Crush, Caution::CutEnds],
        );
    }

    public function checks(PartPlan $part): array
    {
        $id = $part->part->id;
        $discs = $part->part->beads === [] ? 0 : $part->part->beads[0]->count;
        if ($discs !== 1) {
            return [new Check(Level::Stop, 'one disc', $discs === 0 ? 'Nothing is held yet: add a coin or another flat '
                .'bead.' : "A surround holds one bead, the first on its line: this has {$discs}.", $id, $discs === 0 ? [
                    new Way('Hold a coin', new AddBead($id, 0, Bead::parse('18 x 18mm coin, hole 1.8, sea, ceramic'))),
                ] : [
                    new Way('One of it', new CountBead($id, 0, 1)),
                ])];
        }
        if ($part->strung[0]->bead->drilling === Drilling::Row) {
            return [new Check(Level::Stop, 'one disc',
                'A stone of a set row has no hole: a surround holds a bead by its hole.', $id, [
                    new Way('Hold a coin', new SwapBead($id, 0, Bead::parse('18 x 18mm coin, hole 1.8, sea, ceramic'))),
                ])];
        }
        $rim = $part->withoutFirst(1);
        if ($rim->strung === []) {
            return [];
        }
        if (BoundBeads::isBound($rim->part)) {
            return [...$this->bound($part)->checks(), $this->row($part)];
        }
        // Beads strung on the rim lie in two halves, from hole to hole.
        $half = $this->rimMm($part) / 2;
        $gap = $half - $rim->stackMm() / 2;
        $bead = $rim->strung[0]->bead;
        $nearest = max(1, (int) round($half / $bead->lengthMm));
        $way = count($rim->strung) === 1 && 2 * $nearest !== $rim->beadCount()
            ? [
                new Way(
                    (2 * $nearest).' × '.$bead->words(),
                    new CountBead($id, 1, 2 * $nearest),
                ),
            ]
            : [];
        $text = 'Each half of the rim is '.$part->profile->size($half).': '.Figures::trim($rim->beadCount() / 2, 1)
            .' beads take '.$part->profile->size($rim->stackMm() / 2).', ';

        return [match (true) {
            $rim->beadCount() % 2 === 1 && count($rim->strung) === 1 => new Check(
                Level::Note,
                'fill beads',
                $text.'so one half has a bead more than the other.',
                $id,
                $way,
            ),
            $gap < -0.15 * $bead->lengthMm => new Check(
                Level::Stop,
                'fill beads',
                $text.$part->profile->size(-$gap).' too much to be squeezed in.',
                $id,
                $way,
            ),
            $gap > 0.5 * $bead->lengthMm => new Check(
                Level::Note,
                'fill beads',
                $text.'with '.$part->profile->size($gap).' of bare wire.',
                $id,
                $way,
            ),
            default => new Check(
                Level::Ok,
                'fill beads',
                $text.($gap < 0 ? 'a squeeze of ' : 'a gap of ').$part->profile->size(abs($gap)).'.',
                $id,
            ),
        }];
    }

    /** How a row bound on the rim goes round: whole stones only. */
    private function row(PartPlan $part): Check
    {
        $rim = $part->withoutFirst(1);
        [$covered, $room] = [$this->bound($part)->coveredMm(), $this->rimMm($part)];
        $text = $rim->beadCount().' bound on the rim cover '.$part->profile->length($covered).' of its '
            .$part->profile->length($room);
        $pitch = $this->bound($part)->pitchMm();
        $whole = max(1, (int) floor(($room - $covered) / $pitch + 1e-9) + $rim->beadCount());
        $most = $this->longestRun($rim);
        $count = $rim->strung[$most]->count + $whole - $rim->beadCount();
        $way = $count < 1 || $whole === $rim->beadCount()
            ? []
            : [
                new Way(
                    "{$whole} go round",
                    new CountBead($part->part->id, $most + 1, $count),
                ),
            ];

        return match (true) {
            $covered > $room => new Check(
                Level::Stop,
                'room',
                $text.': '.$part->profile->length($covered - $room).' too much.',
                $part->part->id,
                $way,
            ),
            $way !== [] => new Check(Level::Note, 'row', $text.": {$whole} would go all round.", $part->part->id, $way),
            default => new Check(Level::Ok, 'row', $text.'.', $part->part->id),
        };
    }

    /** The place of the run with most beads. */
    private function longestRun(PartPlan $rim): int
    {
        $most = 0;
        foreach ($rim->strung as $at => $strung) {
            $most = $strung->count > $rim->strung[$most]->count ? $at : $most;
        }

        return $most;
    }
}
