<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\Drilling;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Helix;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Placement;
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
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\EventKind;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Moment;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * Beads on memory wire, which holds its coil and needs no clasp: cut = loops·π·coil + an end for the stop at each end.
 * Two wires run side by side through two-hole beads, what else is strung shared between them. Millimetres. Common
 * practice: about 13 mm an end; the stop is rolled against the curve.
 */
final class MemoryBracelet implements Technique
{
    use Usual;

    /** It springs, and comes in few sizes: so far off it still fits, mm [common practice]. */
    private const TOLERANCE_MM = 2.0;

    /** From how far above it is seen, radians, and how far its loops stand apart, in thicknesses of what is on them. */
    private const ABOVE = 0.3;

    private const ROOM = 1.15;

    /** A stop is about so many turns. */
    private const STOP_TURNS = 1.25;

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
            Parameter::number('loops', 'loops', 3.0, 0.5, 60.0),
            Parameter::length('end', 'for each end', 13.0, 4.0, 60.0),
            Parameter::choice('strands', 'wires', 'one', ['one' => 'one', 'two' => 'two, through two-hole beads']),
        ];
    }

    public function wants(): Wants
    {
        // It comes coiled, and only its ends are turned.
        return new Wants(holds: 1.0, effort: 6.0);
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
        return [Drilling::Lengthwise, Drilling::TwoHole];
    }

    private function isDouble(Part $part): bool
    {
        return $part->choice('strands') === 'two';
    }

    /** The beads along one wire: a two-hole bead takes both, one-hole beads are shared between them. */
    private function alongMm(PartPlan $part): float
    {
        return array_sum(
            array_map(
                fn (Strung $strung): float => $strung->lengthMm() / ($this->sharedOut($part, $strung) ? 2 : 1),
                $part->strung,
            ),
        );
    }

    private function sharedOut(PartPlan $part, Strung $strung): bool
    {
        return $this->isDouble($part->part) && $strung->bead->drilling !== Drilling::TwoHole;
    }

    private function roomMm(PartPlan $part): float
    {
        return $part->part->mm('loops') * M_PI * $part->part->mm('coil');
    }

    public function sizing(Piece $piece, Part $part): ?Sizing
    {
        $bead = $piece->thickestMm($part);

        // Memory wire grips: its beads lie on the finger or the wrist without ease; round a neck it is as long as asked
        // for.
        return match ($piece->fit->kind) {
            FitKind::Finger => new Sizing('coil', $piece->fit->mm + $bead, self::TOLERANCE_MM, 1.0, $bead),
            FitKind::Wrist => new Sizing('coil', $piece->fit->mm / M_PI + $bead, self::TOLERANCE_MM, M_PI, $bead),
            FitKind::Neck => new Sizing('coil', $piece->fit->mm / M_PI, self::TOLERANCE_MM, M_PI),
            FitKind::Ear, FitKind::Hoop => null,
        };
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
        return ['stop', 'thread', 'end'];
    }

    public function courses(PartPlan $part): array
    {
        return array_map(
            fn (int $wire): Course => $this->wire($part, $wire), $this->isDouble($part->part) ? [0, 1] : [0],
        );
    }

    /** One of its wires, as it springs: round an upright axis, a little from above. */
    private function wire(PartPlan $part, int $wire): Course
    {
        [$coil, $loops] = [$part->part->mm('coil'), $part->part->mm('loops')];
        $apart = $this->isDouble($part->part) ? $this->apartMm($part) : 0.0;
        $rise = max($part->widestMm(), $part->wireMm(), 2 * $apart) * self::ROOM;
        $coiled = Helix::ofLength($this->roomMm($part), $loops, $rise);
        [$across, $near] = [new Vector(1.0, 0.0), new Vector(0.0, sin(self::ABOVE), cos(self::ABOVE))];
        $down = new Vector(0.0, cos(self::ABOVE), -sin(self::ABOVE));
        $middle = new Vector(0.0, $coil / 2 * sin(self::ABOVE) + $part->widestMm());
        $begins = $middle->plus($across->times($coiled->radiusMm()))->plus($down->times($wire * $apart));
        $anchor = (new Frame($begins, $near->times(-1.0), $across->times(-1.0)))->tilted($coiled->slope());

        return (new Stretch($part))
            ->given(
                SegmentKind::Curl,
                $part->part->mm('end'),
                'stop',
                'stop',
                'rolled to an eye against the curve',
                $this->stop($part),
            )->bend('stop ends')->anchored()
            ->worked(
                SegmentKind::Seat,
                $this->roomMm($part),
                self::loops($loops),
                'round',
                'loops·π·coil',
                Figures::trim($loops).' × π × '.Figures::trim($coil),
                beads: $this->onEach($part),
                shape: $coiled,
            )->threading($this->threaded($part, $wire, $down->times($apart / 2)))->bend('stop starts')
            ->given(
                SegmentKind::Curl, $part->part->mm('end'), 'stop', 'stop-2', 'rolled to an eye against the curve',
                $this->stop($part),
            )
            ->course('Memory wire', $part->part->wire, $part->times, $anchor);
    }

    /** Rolled against the curve, as far round as its wire goes. */
    private function stop(PartPlan $part): Rolled
    {
        $mm = $part->part->mm('end');
        $radius = $this->stopMm($part);

        return new Rolled(new Arc($radius, $mm / $radius), 180.0);
    }

    /**
     * What is seen on one of the wires: a two-hole bead once, between both.
     *
     * @return list<Threaded>
     */
    private function threaded(PartPlan $part, int $wire, Vector $between): array
    {
        $threaded = [];
        $mm = 0.0;
        foreach ($part->strung as $strung) {
            $isShared = $this->sharedOut($part, $strung);
            $count = $isShared ? intdiv($strung->count + 1 - $wire, 2) : $strung->count;
            if ($isShared || $wire === 0) {
                $isBoth = $this->isDouble($part->part) && ! $isShared;
                $threaded[] = new Threaded(
                    $strung->bead, $count, $part->mark('beads'), atMm: $mm, aside: $isBoth ? $between : null,
                );
            }
            $mm += ($isShared ? intdiv($strung->count + 1, 2) : $strung->count) * $strung->bead->lengthMm;
        }

        return $threaded;
    }

    public function steps(PartPlan $part, Moment $moment): array
    {
        return match ([$moment->kind, $moment->place]) {
            [EventKind::Work, 'stop'] => [new Step($moment, '', 'Roll the first stop', ($this->isDouble($part->part) ? 'On both wires, roll' : 'Roll').' the end to an eye against the curve, larger than the hole of the end bead.', [$part->mark('stop')], tool: 'heavy round-nose pliers', cautions: [Caution::HardWire], operation: Operation::Eye)],
            [EventKind::Thread, ''] => $part->strung === [] ? [] : [$this->threadStep($part)],
            [EventKind::Work, 'end'] => [new Step($moment, '', 'Roll the second stop', 'Push the beads together, leave a little slack, cut the wire and roll the other stop'.($this->isDouble($part->part) ? ', on both wires alike.' : '.'), [$part->mark('stop-2')], tool: Wire::SHEARS.', heavy round-nose pliers', cautions: [Caution::HardWire], operation: Operation::Eye)],
            default => [],
        };
    }

    private function threadStep(PartPlan $part): Step
    {
        $isDouble = $this->isDouble($part->part);
        $step = new Step(
            Moment::thread(),
            '',
            'Thread the beads',
            'Without uncoiling it'.($isDouble ? ', on both wires, two-hole beads over the two together' : '').': '
                .Stringing::words($this->onEach($part)).'.',
            [$part->mark('beads')],
            $part->beadCount(),
            'beads',
            tool: 'fingers',
            operation: Operation::Thread,
        );

        return $step->putting($this->onEach($part), $part->cutKey(), times: $isDouble ? 2 : 1);
    }

    /**
     * The beads on one wire: of those that are shared between two, half, the first wire taking one that is over.
     *
     * @return list<Strung>
     */
    private function onEach(PartPlan $part): array
    {
        return array_map(
            fn (Strung $strung): Strung => $this->sharedOut($part, $strung)
                ? $strung->times(intdiv($strung->count + 1, 2))
                : $strung,
            $part->strung,
        );
    }

    private static function loops(float $loops): string
    {
        return Figures::trim($loops).' '.($loops === 1.0 ? 'loop' : 'loops');
    }

    public function checks(PartPlan $part): array
    {
        $double = $this->doubleChecks($part);
        $over = $this->alongMm($part) - $this->roomMm($part);
        $least = $part->strung === []
            ? 0.0
            : max(
                self::BARE_LOOPS * M_PI * $part->part->mm('coil'),
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
            : new Check(Level::Note, 'room', $part->profile->length(-$over).' of the wire stays bare.', $part->part->id, $ways)];
    }

    /**
     * More or fewer of what repeats: whole repeats of a pattern, else of the beads that take most of the wire.
     *
     * @return list<Way>
     */
    private function otherBeads(PartPlan $part, float $overMm): array
    {
        [$length, $times] = Stringing::unit($part->strung);
        if ($times > 1) {
            $unit = array_slice($part->strung, 0, $length);
            $unitMm = array_sum(
                array_map(
                    fn (Strung $strung): float => $strung->lengthMm() / ($this->sharedOut($part, $strung) ? 2 : 1),
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
        $share = $this->sharedOut($part, $run) ? 2 : 1;
        $count = $run->count - $share * (int) ceil($overMm / $run->bead->lengthMm - 1e-9);

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
        $loops = max(0.5, ceil(20 * $this->alongMm($part) / (M_PI * $part->part->mm('coil')) - 1e-9) / 20);

        return $loops > 60 || $loops === $part->part->mm('loops')
            ? []
            : [
                new Way(
                    self::loops($loops),
                    new SetSetting($part->part->id, 'loops', Figures::trim($loops)),
                ),
            ];
    }

    /** @return list<Check> both wires must carry the same length, and one wire no two-hole bead */
    private function doubleChecks(PartPlan $part): array
    {
        $checks = [];
        foreach ($part->strung as $at => $strung) {
            if (! $this->isDouble($part->part) && $strung->bead->drilling === Drilling::TwoHole) {
                $checks[] = new Check(
                    Level::Stop,
                    'two holes',
                    ucfirst($strung->bead->words()).' has two holes and wants two wires.',
                    $part->part->id,
                    [new Way('Two wires', new SetSetting($part->part->id, 'strands', 'two'))],
                );
            }
            if ($this->sharedOut($part, $strung) && $strung->count % 2 === 1) {
                $checks[] = new Check(Level::Warn, 'strands', "{$strung->count} × ".$strung->bead->words().' cannot be shared evenly: one wire would be '.$part->profile->size($strung->bead->lengthMm).' ahead of the other.', $part->part->id, array_map(
                    fn (int $count): Way => new Way("{$count} of them", new CountBead($part->part->id, $at, $count)), $strung->count > 1 ? [$strung->count - 1, $strung->count + 1] : [2]));
            }
        }

        return $checks;
    }

    /** How far the wires stand apart: half a two-hole bead's width, or two beads side by side. */
    private function apartMm(PartPlan $part): float
    {
        $tiles = array_filter(
            $part->strung,
            fn (Strung $strung): bool => $strung->bead->drilling === Drilling::TwoHole,
        );

        return $tiles === []
            ? $part->widestMm()
            : max(array_map(fn (Strung $strung): float => $strung->bead->widthMm / 2, $tiles));
    }
}
