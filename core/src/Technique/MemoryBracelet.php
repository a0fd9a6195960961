<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\Drilling;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Helix;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Squeezed;
use Hebra\Core\Course\SideBySide;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Fit\Band;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change\CountBead;
use Hebra\Core\Piece\Change\RepeatBeads;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\Sizing;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * Beads on memory wire, which holds its coil and needs no clasp: cut = loops·π·coil, of an oval what goes round it,
 * + an
 * end for the stop at each end.
 * Two wires or three run side by side through beads with a hole for each, what else is strung shared between them.
 * Millimetres. Common practice: about 13 mm an end; the stop is rolled against the curve.
 */
final class MemoryBracelet implements Technique
{
    use LiesAsTold, Usual {
        LiesAsTold::settled insteadof Usual;
    }

    /** It springs, and comes in few sizes: so far off it still fits, mm [common practice]. */
    private const TOLERANCE_MM = 2.0;

    /** From how far above it is seen, radians, and how far its loops stand apart, in thicknesses of what is on them. */
    private const ABOVE = 0.3;

    private const ROOM = 1.15;

    /** So much two wires may differ and lie side by side, mm. */
    private const UNEVEN_MM = 0.5;

    /** A stop is about so many turns. */
    private const STOP_TURNS = 1.25;

    private const WIRES = ['one' => 1, 'two' => 2, 'three' => 3];

    /** How narrow an oval may be, of its length [memory]. */
    private const LEAST_OVAL = 0.5;

    /** So much of a loop may stay bare. */
    private const BARE_LOOPS = 0.06;

    public function name(): string
    {
        return 'memory-wire';
    }

    public function label(): string
    {
        return 'memory-wire bracelet';
    }

    public function role(): string
    {
        return 'memory';
    }

    public function family(): Family
    {
        return Family::Bangle;
    }

    public function usualWire(): Wire
    {
        return self::awg(20, Temper::Spring, Metal::Stainless);
    }

    public function heft(Part $part): int
    {
        // Each of its coils is a long curve of many points.
        return 400;
    }

    public function parameters(): array
    {
        return [
            Parameter::length('coil', 'coil, to the middle', 55.0, 15.0, 640.0),
            Parameter::length('narrow', 'its other width, where it is oval', 0.0, 0.0, 640.0),
            Parameter::number('loops', 'loops', 3.0, 0.5, 60.0),
            Parameter::length('end', 'for each end', 13.0, 4.0, 60.0),
            Parameter::choice('strands', 'wires', 'one', [
                'one' => 'one', 'two' => 'two, through two-hole beads', 'three' => 'three, through three-hole beads',
            ]),
            Parameter::choice('shared', 'what stands between', 'alike', [
                'alike' => 'alike on every wire', 'in-turn' => 'one stretch for each wire in turn',
            ]),
        ];
    }

    public function wants(): Wants
    {
        // It comes coiled, and only its ends are turned.
        return new Wants(holds: 1.0, effort: 6.0, isRolledHard: true);
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBeads(): int
    {
        return 40;
    }

    public function drillings(): array
    {
        return [Drilling::Lengthwise, Drilling::TwoHole, Drilling::ThreeHole];
    }

    public function shows(string $key, Part $part): bool
    {
        return $key !== 'shared' || $this->wires($part) > 1;
    }

    private function wires(Part $part): int
    {
        return self::WIRES[$part->choice('strands')] ?? 1;
    }

    private static function word(int $wires): string
    {
        return (string) array_search($wires, self::WIRES, true);
    }

    private function isInTurn(Part $part): bool
    {
        return $this->wires($part) > 1 && $part->choice('shared') === 'in-turn';
    }

    private function beads(PartPlan $part): SideBySide
    {
        return new SideBySide($part->strung, $this->wires($part->part), $this->isInTurn($part->part));
    }

    private function roomMm(PartPlan $part): float
    {
        return $part->part->mm('loops') * self::roundMm($part->part);
    }

    /** Once round its coil. */
    private static function roundMm(Part $part): float
    {
        return self::isOval($part) ? Band::ovalMm($part->mm('coil'), $part->mm('narrow')) : M_PI * $part->mm('coil');
    }

    private static function isOval(Part $part): bool
    {
        return $part->mm('narrow') > 0.0 && abs($part->mm('narrow') - $part->mm('coil')) > 1e-6;
    }

    /** How narrow an oval is, of its width; 1 of a round coil. */
    private static function share(Part $part): float
    {
        return self::isOval($part) ? $part->mm('narrow') / $part->mm('coil') : 1.0;
    }

    public function sizing(Piece $piece, Part $part): ?Sizing
    {
        $bead = $piece->thickestMm($part);

        // Memory wire grips: its beads lie on the finger or the wrist without ease; round a neck it is as long as asked
        // for.
        return match ($piece->fit->kind) {
            FitKind::Finger => self::sized($part, $piece->fit->mm + $bead, 1.0, $bead),
            FitKind::Wrist => self::sized($part, $piece->fit->mm / M_PI + $bead, M_PI, $bead),
            FitKind::Neck => self::sized($part, $piece->fit->mm / M_PI, M_PI, 0.0),
            FitKind::Ear, FitKind::Hoop => null,
        };
    }

    /** As wide as wanted, or as wide as an oval is that goes as far round. */
    private static function sized(Part $part, float $coilMm, float $fitPerMm, float $addedMm): Sizing
    {
        $wanted = self::isOval($part) ? Band::ovalLongMm(M_PI * $coilMm, $part->mm('narrow')) : $coilMm;
        $wider = $part->mm('coil') - self::roundMm($part) / M_PI;

        return new Sizing('coil', $wanted, self::TOLERANCE_MM, $fitPerMm, $addedMm + $wider);
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $inside = max($part->wireMm(), 2 * $this->stopMm($part) - $part->wireMm());
        $eye = fn (string $name, string $words): Eye => new Eye(
            "{$instance}/{$name}", EyeKind::Closed, $inside, $part->wireMm(), $words, $part->mark($name),
        );

        return ['stop' => $eye('stop', 'first stop'), 'stop-2' => $eye('stop-2', 'last stop')];
    }

    /** How far from its middle the wire of a stop lies. */
    private function stopMm(PartPlan $part): float
    {
        return max($part->part->mm('end') / (2 * M_PI * self::STOP_TURNS), $part->wireMm());
    }

    public function hung(PartPlan $part): array
    {
        $curves = $this->wire($part, 0)->curves();
        $lowest = function (int $move) use ($curves, $part): Placement {
            $low = $curves[$move]->lowest();

            return new Placement($low->y - $part->wireMm() / 2, false, $low->x, $low->z);
        };

        return ['stop' => $lowest(0), 'stop-2' => $lowest(2)];
    }

    public function along(PartPlan $part): array
    {
        return ['first stop', 'thread', 'end'];
    }

    public function courses(PartPlan $part): array
    {
        return array_map(
            fn (int $wire): Course => $this->wire($part, $wire), range(0, $this->wires($part->part) - 1),
        );
    }

    /** One of its wires, as it springs: round an upright axis, a little from above. */
    private function wire(PartPlan $part, int $wire): Course
    {
        [$coil, $loops] = [$part->part->mm('coil'), $part->part->mm('loops')];
        $wires = $this->wires($part->part);
        $apart = $wires > 1 ? $this->apartMm($part) : 0.0;
        $rise = max($part->widestMm(), $part->wireMm(), $wires * $apart) * self::ROOM;
        $coiled = Helix::ofLength($this->roundOf($part, $loops, $rise), $loops, $rise);
        [$across, $near] = [new Vector(1.0, 0.0), new Vector(0.0, sin(self::ABOVE), cos(self::ABOVE))];
        $down = new Vector(0.0, cos(self::ABOVE), -sin(self::ABOVE));
        $middle = new Vector(0.0, $coil / 2 * sin(self::ABOVE) + $part->widestMm());
        $begins = $middle->plus($across->times($coiled->radiusMm()))->plus($down->times($wire * $apart));
        $beads = $this->beads($part)->onEach()[$this->isInTurn($part->part) ? $wire : 0];
        $shape = self::isOval($part->part) ? new Squeezed($coiled, $near, self::share($part->part)) : $coiled;
        $anchor = (new Frame($begins, $near->times(-1.0), $across->times(-1.0)))->tilted($coiled->slope());

        return (new Stretch($part))
            ->given(
                SegmentKind::Curl,
                $part->part->mm('end'),
                'stop',
                'stop',
                'rolled to an eye against the curve',
                $this->stop($part),
            )->bend('stop ends')->by(fn (): Handwork => $this->rollingFirst($part))->anchored()
            ->worked(
                SegmentKind::Seat,
                $this->roomMm($part),
                self::loops($loops),
                'round',
                self::isOval($part->part) ? 'loops · round the oval' : 'loops·π·coil',
                Figures::trim($loops).' × '.(self::isOval($part->part)
                    ? Figures::trim(self::roundMm($part->part))
                    : 'π × '.Figures::trim($coil)),
                beads: $beads,
                shape: $shape,
            )->threading($this->threaded($part, $wire, $down->times($apart * ($wires - 1) / 2)))->bend('stop starts')
            ->by(...$part->strung === [] ? [] : [fn (): Handwork => $this->threading($part, $wire, $beads)])
            ->given(
                SegmentKind::Curl, $part->part->mm('end'), 'stop', 'stop-2', 'rolled to an eye against the curve',
                $this->stop($part),
            )->by(fn (): Handwork => $this->rollingSecond($part))
            ->course(
                'Memory wire', $part->part->wire, $part->times, $anchor, $this->slot($part, $wire),
            );
    }

    /**
     * How long the round coil is that comes out as long as its wire once it is pressed to an oval: an oval of the same
     * shape, as its rise allows.
     */
    private function roundOf(PartPlan $part, float $loops, float $riseMm): float
    {
        if (! self::isOval($part->part)) {
            return $this->roomMm($part);
        }
        $flat = sqrt(max(0.0, self::roundMm($part->part) ** 2 - $riseMm ** 2));
        $round = M_PI * $flat / Band::ovalMm(1.0, self::share($part->part));

        return $loops * hypot($round, $riseMm);
    }

    /** Rolled against the curve, as far round as its wire goes, beside itself where that is more than once. */
    private function stop(PartPlan $part): Rolled
    {
        $mm = $part->part->mm('end');

        return new Rolled(Helix::ofLength($mm, $mm / (2 * M_PI * $this->stopMm($part)), $part->wireMm()), 180.0);
    }

    /** Wires that are strung alike are one cut. */
    private function slot(PartPlan $part, int $wire): string
    {
        return $wire > 0 && $this->isInTurn($part->part) ? 'wire-'.($wire + 1) : '';
    }

    /**
     * What is seen on one of the wires: a bead that takes them all once, between them.
     *
     * @return list<Threaded>
     */
    private function threaded(PartPlan $part, int $wire, Vector $between): array
    {
        $beads = $this->beads($part);
        $threaded = [];
        foreach ($beads->placed()[$wire] as [$strung, $mm]) {
            $isTogether = $beads->wires > 1 && $beads->isThroughAll($strung);
            if (! $isTogether) {
                $threaded[] = new Threaded($strung->bead, $strung->count, $part->mark('beads'), atMm: $mm);
            }
            for ($bead = 0; $isTogether && $wire === 0 && $bead < $strung->count; $bead++) {
                $at = $mm + $bead * $strung->bead->lengthMm;
                $threaded[] = new Threaded(
                    $strung->bead, 1, $part->mark('beads'), atMm: $at, aside: $between,
                    face: $this->outwards($part, $at + $strung->bead->lengthMm / 2),
                );
            }
        }

        return $threaded;
    }

    /** Away from the wrist, so far along the coil. */
    private function outwards(PartPlan $part, float $mm): Vector
    {
        $angle = 2 * M_PI * $part->part->mm('loops') * $mm / $this->roomMm($part);
        $behind = new Vector(0.0, -sin(self::ABOVE), -cos(self::ABOVE));
        $share = self::share($part->part);

        // Square to an oval stands x/a², y/b².
        return (new Vector(cos($angle) * $share, 0.0))->plus($behind->times(sin($angle)))->unit();
    }

    private function rollingFirst(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('first stop'), 'Roll the first stop', ucfirst($this->onAll($part).'roll').' the end to an '
                .'eye against the curve, larger than the hole of the end bead.', Operation::Eye,
            'heavy round-nose pliers', cautions: [Caution::HardWire],
        );
    }

    private function rollingSecond(PartPlan $part): Handwork
    {
        $alike = $this->wires($part->part) > 1 ? ', alike on each.' : '.';

        return new Handwork(
            Moment::work('end'), 'Roll the second stop', ucfirst($this->onAll($part).'push').' the beads together, '
                ."leave a little slack, cut the wire and roll the other stop{$alike}", Operation::Eye,
            Wire::SHEARS.', heavy round-nose pliers', cautions: [Caution::HardWire],
        );
    }

    private function onAll(PartPlan $part): string
    {
        $wires = $this->wires($part->part);

        return match ($wires) {
            1 => '',
            2 => 'On both wires, ',
            default => 'On all '.self::word($wires).' wires, ',
        };
    }

    /**
     * What all wires carry alike is threaded on all at once, else on each what is its own.
     *
     * @param  list<Strung>  $beads
     */
    private function threading(PartPlan $part, int $wire, array $beads): Handwork
    {
        [$wires, $isInTurn] = [$this->wires($part->part), $this->isInTurn($part->part)];
        $where = match (true) {
            $isInTurn => ', on wire '.($wire + 1).', what has '.self::word($wires).' holes over all together',
            $wires === 1 => '',
            $wires === 2 => ', on both wires, two-hole beads over the two together',
            default => ', on all three wires, three-hole beads over the three together',
        };

        return new Handwork(
            Moment::thread(), 'Thread the beads'.($isInTurn ? ' of wire '.($wire + 1) : ''),
            "Without uncoiling it{$where}: ".Stringing::words($beads).'.', Operation::Thread, 'fingers',
            $isInTurn ? Stringing::count($beads) : $part->beadCount(), 'beads', puts: true,
            lights: [$part->mark('beads')],
        );
    }

    private static function loops(float $loops): string
    {
        return Figures::trim($loops).' '.($loops === 1.0 ? 'loop' : 'loops');
    }

    public function checks(PartPlan $part): array
    {
        $double = [...$this->ovalChecks($part), ...$this->wireChecks($part)];
        $over = $this->beads($part)->lengthMm() - $this->roomMm($part);
        $least = $part->strung === []
            ? 0.0
            : max(
                self::BARE_LOOPS * self::roundMm($part->part),
                min(array_map(fn (Strung $strung): float => $strung->bead->lengthMm, $part->strung)),
            );
        if ($part->strung === [] || ($over <= 1e-9 && $over > -$least)) {
            return $double;
        }
        $ways = [...$this->otherBeads($part, $over), ...$this->otherLoops($part)];

        return [...$double, $over > 0
            ? new Check(
                Level::Stop,
                'room',
                'The beads are '.$part->profile->cutLength($over).' longer than the wire.',
                $part->part->id,
                $ways,
            )
            : new Check(
                Level::Note, 'room', $part->profile->length(-$over).' of the wire stays bare.', $part->part->id, $ways,
            )];
    }

    /** @return list<Check> */
    private function ovalChecks(PartPlan $part): array
    {
        [$coil, $narrow] = [$part->part->mm('coil'), $part->part->mm('narrow')];
        if (! self::isOval($part->part) || min($coil, $narrow) >= self::LEAST_OVAL * max($coil, $narrow)) {
            return [];
        }

        return [new Check(
            Level::Stop, 'oval',
            'An oval of '.$part->profile->size($coil).' × '.$part->profile->size($narrow)
                .' is no coil of memory wire: it is made at least half as wide as it is long.', $part->part->id,
            [new Way('A round coil', new SetSetting($part->part->id, 'narrow', '0 mm'))],
        )];
    }

    /**
     * More or fewer of what repeats: whole repeats of a pattern, else of the beads that take most of the wire.
     *
     * @return list<Way>
     */
    private function otherBeads(PartPlan $part, float $overMm): array
    {
        if ($this->isInTurn($part->part)) {
            return [];
        }
        $share = fn (Strung $run): int => $this->beads($part)->isThroughAll($run) ? 1 : $this->wires($part->part);
        [$length, $times] = Stringing::unit($part->strung);
        if ($times > 1) {
            $unit = array_slice($part->strung, 0, $length);
            $unitMm = array_sum(
                array_map(
                    fn (Strung $strung): float => $strung->lengthMm() / $share($strung),
                    $unit,
                ),
            );
            $count = $times - (int) ceil($overMm / $unitMm - 1e-9);
            $isOne = $count === $times;

            return $count < 1 || $isOne
                ? []
                : [
                    new Way(
                        Figures::counted($count, 'repeat').' of '.implode(
                            ' and ',
                            array_map(fn (Strung $strung): string => $strung->bead->words(), $unit),
                        ),
                        new RepeatBeads($part->part->id, $length, $count),
                    ),
                ];
        }
        $at = $this->longestRun($part);
        $run = $part->strung[$at];
        $count = $run->count - $share($run) * (int) ceil($overMm / $run->bead->lengthMm - 1e-9);

        return $count < 1 || $count > BeadRun::MOST || $count === $run->count
            ? []
            : [
                new Way(
                    "{$count} × ".$run->bead->words(),
                    new CountBead($part->part->id, $at, $count),
                ),
            ];
    }

    /** The place of the beads that take most of the wire. */
    private function longestRun(PartPlan $part): int
    {
        $longest = 0;
        foreach ($part->strung as $at => $strung) {
            $longest = $strung->lengthMm() > $part->strung[$longest]->lengthMm() ? $at : $longest;
        }

        return $longest;
    }

    /** @return list<Way> as long as the beads are, to the next twentieth of a loop */
    private function otherLoops(PartPlan $part): array
    {
        $loops = max(0.5, ceil(20 * $this->beads($part)->lengthMm() / (M_PI * $part->part->mm('coil')) - 1e-9) / 20);

        return $loops > 60 || $loops === $part->part->mm('loops')
            ? []
            : [
                new Way(
                    self::loops($loops),
                    new SetSetting($part->part->id, 'loops', Figures::trim($loops)),
                ),
            ];
    }

    /** @return list<Check> a bead takes as many wires as it has holes, and all wires carry the same length */
    private function wireChecks(PartPlan $part): array
    {
        $wires = $this->wires($part->part);
        $checks = [];
        foreach ($part->strung as $at => $strung) {
            $holes = $strung->bead->drilling->holes();
            if ($holes > 1 && $holes !== $wires) {
                $words = self::word($holes);
                $checks[] = new Check(
                    Level::Stop,
                    'two holes',
                    ucfirst($strung->bead->words())." has {$words} holes and wants {$words} wires.",
                    $part->part->id,
                    [new Way(ucfirst($words).' wires', new SetSetting($part->part->id, 'strands', $words))],
                );
            }
            if (
                ! $this->isInTurn($part->part)
                && ! $this->beads($part)->isThroughAll($strung)
                && $strung->count % $wires > 0
            ) {
                $checks[] = $this->unevenRun($part, $at, $strung);
            }
        }
        $uneven = $this->beads($part)->unevenMm();

        return ! $this->isInTurn($part->part) || $uneven < self::UNEVEN_MM ? $checks : [...$checks, new Check(
            Level::Warn, 'strands', 'Between the beads that hold the wires together one wire carries '
                .$part->profile->size($uneven).' more than another.', $part->part->id,
        )];
    }

    private function unevenRun(PartPlan $part, int $at, Strung $strung): Check
    {
        $wires = $this->wires($part->part);
        $fewer = $strung->count - $strung->count % $wires;

        return new Check(
            Level::Warn,
            'strands',
            $strung->words().' cannot be shared evenly: one wire would be '
                .$part->profile->size($strung->bead->lengthMm).' ahead of '.($wires === 2 ? 'the other.' : 'another.'),
            $part->part->id,
            array_map(
                fn (int $count): Way => new Way("{$count} of them", new CountBead($part->part->id, $at, $count)),
                $fewer > 0 ? [$fewer, $fewer + $wires] : [$wires],
            ),
        );
    }

    /** How far the wires stand apart: a bead's width shared by its holes, or two beads side by side. */
    private function apartMm(PartPlan $part): float
    {
        $many = array_filter($part->strung, fn (Strung $strung): bool => $strung->bead->drilling->holes() > 1);

        return $many === []
            ? $part->widestMm()
            : max(array_map(
                fn (Strung $strung): float => $strung->bead->widthMm / $strung->bead->drilling->holes(), $many,
            ));
    }
}
