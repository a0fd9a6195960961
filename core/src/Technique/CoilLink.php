<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Closure;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Eye as EyeShape;
use Hebra\Core\Course\Shape\Laid;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
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
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wrap\BeadedCoil;
use Hebra\Core\Wrap\Coil;
use Hebra\Core\Wrap\CoiledCoil;
use Hebra\Core\Wrap\Turn;

/**
 * A coil bead on a core: a finer wire wound close along a core that ends in a plain eye each way. Core = 2·π(D + c) +
 * length; coil = length/w turns of √((π(c + w))² + w²), and a tail each way to hold. Coiled twice, a fine coil on a
 * wire of its own is wound round the core: see CoiledCoil; beaded, the beads are strung on the wire that is wound: see
 * BeadedCoil. Millimetres. Common practice: 20 AWG under 24.
 */
final class CoilLink implements Technique
{
    use Usual;

    /** Bare turns before and after the beads of a beaded coil [common practice]. */
    private const BARE_TURNS = 2;

    private function __construct(private readonly bool $isBeaded)
    {
    }

    public static function bare(): self
    {
        return new self(false);
    }

    /** Beads strung on the wire that is wound. */
    public static function beaded(): self
    {
        return new self(true);
    }

    public function name(): string
    {
        return $this->isBeaded ? 'beaded-coil' : 'coil-link';
    }

    public function label(): string
    {
        return $this->isBeaded ? 'beaded coil' : 'coil bead';
    }

    public function takesBeads(): bool
    {
        return $this->isBeaded;
    }

    public function usualBeads(): int
    {
        return 15;
    }

    public function through(PartPlan $part, int $run): array
    {
        return ['coil'];
    }

    public function shows(string $key, Part $part): bool
    {
        return ! $this->isBeaded || ! in_array($key, ['length', 'coiled'], true);
    }

    public function role(): string
    {
        return 'core';
    }

    public function family(): Family
    {
        return Family::Chain;
    }

    public function usualWire(): Wire
    {
        return self::awg(20, Temper::HalfHard);
    }

    private const TAIL_MM = 15.0;

    public function extraWires(Part $part): array
    {
        return [
            'coil' => self::awg($this->isTwice($part) ? 28 : 24, Temper::DeadSoft),
        ] + ($this->isTwice($part) ? ['inner' => self::awg(24, Temper::DeadSoft)] : []);
    }

    public function heft(Part $part): int
    {
        return $this->isBeaded ? 100 : 20 + (int) (4 * $part->mm('length'));
    }

    public function parameters(): array
    {
        return [
            Parameter::length('top_inside', 'top eye, inside', 2.5, 0.8, 30.0)->bentOn(ToolKind::LOOPS),
            Parameter::length('bottom_inside', 'bottom eye, inside', 2.5, 0.8, 30.0)->bentOn(ToolKind::LOOPS),
            Parameter::length('length', 'length of the coil', 12.0, 1.0, 150.0),
            Parameter::choice('coiled', 'coiled', 'once', ['once' => 'once', 'twice' => 'twice, a coil of a coil']),
        ];
    }

    private function isTwice(Part $part): bool
    {
        return ! $this->isBeaded && $part->choice('coiled') === 'twice';
    }

    /** How long the coil is: as set; of a beaded one, what its beads and the bare turns come to. */
    private function lengthMm(PartPlan $part): float
    {
        return $this->isBeaded ? $this->beads($part)->lengthMm() + $this->bareMm($part) : $part->part->mm('length');
    }

    private function bareMm(PartPlan $part): float
    {
        return 2 * self::BARE_TURNS * $part->wireOf('coil')->diameterMm();
    }

    /** The widest bead sets how far apart the turns stand. */
    private function beads(PartPlan $part): BeadedCoil
    {
        $wide = max($part->widestMm(), $part->wireOf('coil')->diameterMm());

        return new BeadedCoil($part->wireMm(), $wide, $wide, $part->stackMm() / Turn::mm($part->wireMm(), $wide));
    }

    private function twice(PartPlan $part): CoiledCoil
    {
        $inner = $part->wireOf('inner')->diameterMm();

        return new CoiledCoil(
            $part->wireOf('coil')->diameterMm(),
            $inner,
            $inner,
            $part->wireMm(),
            $part->part->mm('length'),
        );
    }

    private function coil(PartPlan $part): Coil
    {
        $w = $part->wireOf('coil')->diameterMm();

        return Coil::ofLength($w, $part->wireMm(), $part->wireOf('coil')->widthMm(), $part->part->mm('length'));
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $eye = fn (string $name): Eye => new Eye(
            "{$instance}/{$name}", EyeKind::Openable, $part->part->mm($name.'_inside'), $part->wireMm(),
            "coil bead’s {$name} eye", $part->mark($name.'-loop'),
        );

        return ['top' => $eye('top'), 'bottom' => $eye('bottom')];
    }

    public function along(PartPlan $part): array
    {
        return ['coil', 'top', 'slide', 'bottom'];
    }

    public function inShort(PartPlan $part): string
    {
        return $this->isBeaded ? '' : $part->profile->size($part->part->mm('length'));
    }

    public function courses(PartPlan $part): array
    {
        [$top, $bottom, $d] = [$part->part->mm('top_inside'), $part->part->mm('bottom_inside'), $part->wireMm()];
        $core = (new Stretch($part))
            ->loop($top, $d, 'eye', 'top-loop', new EyeShape($top, $d))->bend('bend square, top')
            ->by(fn (): Handwork => self::turning($part, 'top'))->anchored()
            ->given(SegmentKind::Straight, $this->lengthMm($part), 'coil', 'core', 'as long as the coil')
            ->bend('bend square, bottom')
            ->loop($bottom, $d, 'eye', 'bottom-loop', new EyeShape($bottom, $d))
            ->by(fn (): Handwork => self::turning($part, 'bottom'))
            ->course('Core', $part->part->wire, $part->times, Frame::down($top + $d));
        $host = Later::once(fn (): Host => $core->host($part->mark('core')));

        return [$core, ...match (true) {
            $this->isBeaded => [$this->beadedCourse($part, $host)],
            $this->isTwice($part->part) => $this->twiceCourses($part, $host),
            default => [$this->coilCourse($part, $host)],
        }];
    }

    /** @param  Closure(): Host  $host */
    private function coilCourse(PartPlan $part, Closure $host): Course
    {
        $coil = $this->coil($part);
        $shape = fn (): Wound => Wound::ofLength($host(), 0.0, $coil->wireLengthMm(), $coil->turns, $coil->lengthMm());

        return $this->wound(
            $part, 'Coil', 'coil', $coil->wireLengthMm(), Figures::trim($coil->turns, 1).' turns',
            'L/w·√((π(c + w))² + w²)', Figures::trim($coil->turns, 2).' × '.Figures::trim($coil->turnMm(), 3), $shape,
            [fn (): Handwork => $this->winding($part), self::sliding(...)],
        );
    }

    /**
     * @param  Closure(): Wound  $shape
     * @param  list<Closure(): Handwork>  $handwork
     */
    private function wound(
        PartPlan $part, string $label, string $role, float $mm, string $words, string $rule, string $numbers,
        Closure $shape, array $handwork,
    ): Course {
        $stretch = (new Stretch($part))->tail(self::TAIL_MM, 'coil-tail')->anchored()
            ->worked(SegmentKind::Coil, $mm, $words, $role, $rule, $numbers, shape: new Later($shape))
            ->by(...$handwork);

        return $stretch->tail(self::TAIL_MM, 'coil-tail')->course(
            $label, $role, $part->times, fn (): Frame => $shape()->start(), $role,
        );
    }

    /**
     * @param  Closure(): Host  $core
     * @return list<Course> the wire that the fine coil is wound on, and that coil
     */
    private function twiceCourses(PartPlan $part, Closure $core): array
    {
        $twice = $this->twice($part);
        $together = fn (): Handwork => $this->windingTogether($part);
        [$w, $inner] = [$part->wireOf('coil')->diameterMm(), $part->wireOf('inner')->diameterMm()];
        $thick = $this->wound(
            $part, 'Inner wire', 'inner', $twice->coreLengthMm(), Figures::trim($twice->turns(), 1).' turns',
            'L/od·√((π(c + od))² + od²)',
            Figures::trim($twice->turns(), 2).' × '
                .Figures::trim(Turn::mm($part->wireMm(), $twice->firstOutsideMm()), 3),
            fn (): Wound => Wound::ofLength(
                $core(), 0.0, $twice->coreLengthMm(), $twice->turns(), $twice->turns() * $twice->firstOutsideMm(),
            ),
            [$together],
        );
        // Its turns go round the core: what is out lies away from that.
        $host = Later::once(fn (): Host => $thick->host($part->mark('inner'), new Vector(0.0, 1.0)));
        $turns = $twice->firstCoilLengthMm() / $w;
        $fine = $this->wound(
            $part, 'Coil', 'coil', $twice->wireLengthMm(), 'coil of '.Figures::mm($twice->firstCoilLengthMm()),
            'first coil/w·√((π(i + w))² + w²)',
            Figures::trim($twice->firstCoilLengthMm(), 2).'/'.Figures::trim($w, 3).' × '
                .Figures::trim(Turn::mm($inner, $w), 3),
            fn (): Wound => Wound::ofLength($host(), 0.0, $twice->wireLengthMm(), $turns, $host()->lengthMm()),
            [fn (): Handwork => $this->windingFirst($part), $together, self::sliding(...)],
        );

        return [$thick, $fine];
    }

    /** @param  Closure(): Host  $host */
    private function beadedCourse(PartPlan $part, Closure $host): Course
    {
        [$w, $bareMm] = [$part->wireOf('coil')->diameterMm(), $this->bareMm($part) / 2];
        $first = fn (): Wound => Wound::close($host(), 0.0, self::BARE_TURNS, $part->wireMm(), $w);
        $last = fn (): Wound => Wound::close(
            $host(), $this->lengthMm($part) - $bareMm, self::BARE_TURNS, $part->wireMm(), $w,
        );
        $winding = fn (): Handwork => $this->windingBeads($part);
        $bare = fn (Stretch $stretch, Closure $shape): Stretch => $stretch->worked(
            SegmentKind::Coil,
            self::BARE_TURNS * Turn::mm($part->wireMm(), $w),
            'bare turns',
            'coil',
            'N·√((π(c + w))² + w²)',
            self::BARE_TURNS.' × '.Figures::trim(Turn::mm($part->wireMm(), $w), 3),
            shape: new Later($shape),
        )->by($winding, self::sliding(...));
        $stretch = $bare((new Stretch($part))->tail(self::TAIL_MM, 'coil-tail')->anchored(), $first)
            ->worked(
                SegmentKind::Seat,
                $part->stackMm(),
                Figures::counted($part->beadCount(), 'bead'),
                'beads',
                'sum of bead lengths',
                Figures::trim($part->stackMm()),
                beads: $part->strung,
                shape: $part->strung === []
                    ? null
                    : new Later(fn (): Laid => $this->beadedShape($part, $host(), $first(), $last())),
            )->threading(array_map(
                fn (Strung $strung): Threaded => new Threaded($strung->bead, $strung->count, $part->mark('beads')),
                $part->strung,
            ))->by(fn (): Handwork => self::stringing($part), $winding);

        return $bare($stretch, $last)->tail(self::TAIL_MM, 'coil-tail')
            ->course('Coil', 'coil', $part->times, fn (): Frame => $first()->start(), 'coil');
    }

    /** Off the core by half a bead, and back to it: as long as the beads, whose first and last take the way. */
    private function beadedShape(PartPlan $part, Host $host, Wound $before, Wound $after): Laid
    {
        [$coil, $bareMm] = [$this->beads($part), $this->bareMm($part) / 2];
        [$from, $to] = [$before->laid($before->start())[1], $after->start()];

        return Wound::between(
            $host, $bareMm, $part->stackMm(), max(1.0, round($coil->turns)), $coil->lengthMm(), 0.0, $from->at, $to->at,
        );
    }

    public function checks(PartPlan $part): array
    {
        return $this->isBeaded && $part->strung === []
            ? [
                new Check(
                    Level::Note,
                    'empty coil',
                    'This coil has no beads yet: only its bare turns.',
                    $part->part->id,
                ),
            ]
            : $this->crowded($part);
    }

    private static function turning(PartPlan $part, string $place): Handwork
    {
        $form = Forming::loop($part->wire, $part->part->mm($place.'_inside'), $part->profile);

        return new Handwork(
            Moment::form($place), "Turn the {$place} eye", 'Bend square at the end of the coil and roll a plain eye '
                .'round '.$form->where('mark of the round-nose pliers', $part->profile).'.'
                .$form->opens($part->profile), Operation::Eye, 'round-nose pliers', cautions: [Caution::CutEnds],
        );
    }

    private static function sliding(): Handwork
    {
        return new Handwork(
            Moment::work('slide'), 'Slide the coil on',
            'Push the coil up against the eye. Nothing can go on once the second eye is turned.', Operation::Thread,
            'fingers',
        );
    }

    private function winding(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('coil'), 'Wind the coil', 'Hold the tail and wind close turns on a piece of the core wire '
                .'until they measure '.$part->profile->length($part->part->mm('length')).'. Trim both tails flush.',
            Operation::Coil, 'pin vice or fingers', (int) round($this->coil($part)->turns), 'turns',
            [Caution::CutEnds],
        );
    }

    private static function stringing(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('coil'), 'String the beads',
            'On the wire that is wound: '.Stringing::words($part->strung).'.', Operation::Thread, 'fingers',
            $part->beadCount(), 'beads', puts: true,
        );
    }

    private function windingBeads(PartPlan $part): Handwork
    {
        [$turns, $bare] = [$this->beads($part)->turns, Figures::counted(self::BARE_TURNS, 'bare turn')];

        return new Handwork(
            Moment::work('coil'), 'Wind the beaded coil', "On a piece of the core wire: {$bare}, then wind the beads "
                .'on against each other, row by row, '.Figures::trim($turns, 1)." turns, and {$bare} more. It "
                .'measures '.$part->profile->length($this->lengthMm($part)).'. Trim both tails flush.',
            Operation::Coil, 'pin vice or fingers', (int) max(1, round($turns)), 'turns',
            [Caution::Crush, Caution::CutEnds], 1,
        );
    }

    private function windingFirst(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('coil'), 'Wind the first coil',
            'Wind the fine wire close on the inner wire until the coil measures '
                .$part->profile->length($this->twice($part)->firstCoilLengthMm()).'. Leave it on.', Operation::Coil,
            'pin vice or winder', cautions: [Caution::CutEnds],
        );
    }

    private function windingTogether(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('coil'), 'Wind the coil round the core', 'Wind coil and inner wire together round a piece of '
                .'the core wire, each turn against the last, until they measure '
                .$part->profile->length($part->part->mm('length')).'. Tuck both ends of the inner wire in and trim.',
            Operation::Coil, 'fingers', (int) max(1, round($this->twice($part)->turns())), 'turns',
            [Caution::CutEnds], 1,
        );
    }

    public function hung(PartPlan $part): array
    {
        $reach = $part->part->mm('top_inside') + $this->lengthMm($part) + 2 * $part->wireMm();

        return ['bottom' => new Placement($reach + $part->part->mm('bottom_inside'), false)];
    }
}
