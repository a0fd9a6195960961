<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Step;
use Hebra\Core\Quantity\Figures;
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

    public function threads(Part $part, int $run = 0): string
    {
        return 'coil';
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
            Parameter::length('top_inside', 'top eye, inside', 2.5, 0.8, 30.0),
            Parameter::length('bottom_inside', 'bottom eye, inside', 2.5, 0.8, 30.0),
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

        return Coil::ofLength($w, $part->wireMm(), $w, $part->part->mm('length'));
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

    public function cuts(PartPlan $part): array
    {
        return [
            (new Stretch($part))
                ->loop($part->part->mm('top_inside'), $part->wireMm(), 'eye', 'top-loop')->bend('bend square, top')
                ->given(
                    SegmentKind::Straight, $this->lengthMm($part), 'coil', 'core', 'as long as the coil',
                )->bend('bend square, bottom')
                ->loop($part->part->mm('bottom_inside'), $part->wireMm(), 'eye', 'bottom-loop')
                ->cut('Core', $part->part->wire, $part->times),
            ...$this->coilCuts($part),
        ];
    }

    /** @return non-empty-list<Cut> */
    private function coilCuts(PartPlan $part): array
    {
        $wound = fn (
            string $label, string $role, float $mm, string $words, string $rule, string $numbers,
        ): Cut => (new Stretch($part))
            ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'coil-tail', 'what the fingers hold, trimmed off')
            ->worked(SegmentKind::Coil, $mm, $words, $role === 'inner' ? 'inner' : 'coil', $rule, $numbers)
            ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'coil-tail', 'what the fingers hold, trimmed off')
            ->cut($label, $role, $part->times, $role);
        if ($this->isBeaded) {
            return [$this->beadedCut($part)];
        }
        if (! $this->isTwice($part->part)) {
            $coil = $this->coil($part);

            return [
                $wound(
                    'Coil',
                    'coil',
                    $coil->wireLengthMm(),
                    Figures::trim($coil->turns, 1).' turns',
                    'L/w·√((π(c + w))² + w²)',
                    Figures::trim($coil->turns, 2).' × '.Figures::trim($coil->turnMm(), 3),
                ),
            ];
        }
        $twice = $this->twice($part);
        [$w, $inner] = [$part->wireOf('coil')->diameterMm(), $part->wireOf('inner')->diameterMm()];

        return [
            $wound(
                'Coil',
                'coil',
                $twice->wireLengthMm(),
                'coil of '.Figures::mm($twice->firstCoilLengthMm()),
                'first coil/w·√((π(i + w))² + w²)',
                Figures::trim($twice->firstCoilLengthMm(), 2).'/'.Figures::trim($w, 3).' × '
                    .Figures::trim(Turn::mm($inner, $w), 3),
            ),
            $wound(
                'Inner wire',
                'inner',
                $twice->coreLengthMm(),
                Figures::trim($twice->turns(), 1).' turns',
                'L/od·√((π(c + od))² + od²)',
                Figures::trim($twice->turns(), 2).' × '
                    .Figures::trim(Turn::mm($part->wireMm(), $twice->firstOutsideMm()), 3),
            ),
        ];
    }

    private function beadedCut(PartPlan $part): Cut
    {
        $bare = 2 * self::BARE_TURNS * Turn::mm($part->wireMm(), $part->wireOf('coil')->diameterMm());

        return (new Stretch($part))
            ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'coil-tail', 'what the fingers hold, trimmed off')
            ->worked(
                SegmentKind::Coil,
                $bare / 2,
                'bare turns',
                'coil',
                'N·√((π(c + w))² + w²)',
                self::BARE_TURNS.' × '.Figures::trim($bare / 2 / self::BARE_TURNS, 3),
            )
            ->worked(
                SegmentKind::Seat,
                $part->stackMm(),
                Figures::counted($part->beadCount(), 'bead'),
                'beads',
                'sum of bead lengths',
                Figures::trim($part->stackMm()),
                beads: $part->strung,
            )
            ->worked(
                SegmentKind::Coil,
                $bare / 2,
                'bare turns',
                'coil',
                'N·√((π(c + w))² + w²)',
                self::BARE_TURNS.' × '.Figures::trim($bare / 2 / self::BARE_TURNS, 3),
            )
            ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'coil-tail', 'what the fingers hold, trimmed off')
            ->cut('Coil', 'coil', $part->times, 'coil');
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
            : [];
    }

    public function steps(PartPlan $part, string $event): array
    {
        $turn = function (string $place) use ($part, $event): array {
            $form = Forming::loop($part->wire, $part->part->mm($place.'_inside'), $part->profile);

            return [
                new Step(
                    $event,
                    '',
                    "Turn the {$place} eye",
                    'Bend square at the end of the coil and roll a plain eye round '
                        .$form->where('mark of the round-nose pliers', $part->profile).'.'.$form->opens($part->profile),
                    [$part->mark($place.'-loop')],
                    tool: 'round-nose pliers',
                    cautions: [Caution::CutEnds],
                    operation: Operation::Eye,
                ),
            ];
        };

        return match ($event) {
            'work coil' => $this->isBeaded
                ? $this->beadedSteps($part, $event)
                : ($this->isTwice($part->part) ? $this->twiceSteps($part, $event) : [new Step($event, '', 'Wind the coil', 'Hold the tail and wind close turns on a piece of the core wire until they measure '.$part->profile->length($part->part->mm('length')).'. Trim both tails flush.', [$part->mark('coil')], (int) round($this->coil($part)->turns), 'turns', tool: 'pin vice or fingers', cautions: [Caution::CutEnds], operation: Operation::Coil)]),
            'form top' => $turn('top'),
            'work slide' => [new Step($event, '', 'Slide the coil on', 'Push the coil up against the eye. Nothing can go on once the second eye is turned.', [$part->mark('coil')], tool: 'fingers', operation: Operation::Thread)],
            'form bottom' => $turn('bottom'),
            default => [],
        };
    }

    /** @return list<Step> */
    private function beadedSteps(PartPlan $part, string $event): array
    {
        return [
            ...($part->strung === [] ? [] : [(new Step($event, '', 'String the beads', 'On the wire that is wound: '.Stringing::words($part->strung).'.', [$part->mark('beads')], $part->beadCount(), 'beads', tool: 'fingers', operation: Operation::Thread))->putting($part->strung, $part->cutKey('coil'))]),
            new Step(
                $event,
                '',
                'Wind the beaded coil',
                'On a piece of the core wire: '.Figures::counted(self::BARE_TURNS, 'bare turn')
                    .', then wind the beads on against each other, row by row, '
                    .Figures::trim($this->beads($part)->turns, 1).' turns, and '
                    .Figures::counted(self::BARE_TURNS, 'bare turn').' more. It measures '
                    .$part->profile->length($this->lengthMm($part)).'. Trim both tails flush.',
                [$part->mark('coil'), $part->mark('beads')],
                (int) max(1, round($this->beads($part)->turns)),
                'turns',
                tool: 'pin vice or fingers',
                cautions: [Caution::Crush, Caution::CutEnds],
                operation: Operation::Coil,
            ),
        ];
    }

    /** @return list<Step> */
    private function twiceSteps(PartPlan $part, string $event): array
    {
        $twice = $this->twice($part);

        return [
            new Step(
                $event,
                '',
                'Wind the first coil',
                'Wind the fine wire close on the inner wire until the coil measures '
                    .$part->profile->length($twice->firstCoilLengthMm()).'. Leave it on.',
                [$part->mark('coil')],
                tool: 'pin vice or winder',
                cautions: [Caution::CutEnds],
                operation: Operation::Coil,
            ),
            new Step(
                $event,
                '',
                'Wind the coil round the core',
                'Wind coil and inner wire together round a piece of the core wire, each turn against the last, until they measure '
                    .$part->profile->length($part->part->mm('length'))
                    .'. Tuck both ends of the inner wire in and trim.',
                [$part->mark('coil'), $part->mark('inner')],
                (int) max(1, round($twice->turns())),
                'turns',
                tool: 'fingers',
                cautions: [Caution::CutEnds],
                operation: Operation::Coil,
            ),
        ];
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        [$d, $w, $metal] = [$part->wireMm(), $part->wireOf('coil')->diameterMm(), $part->wire->metal];
        $from = $place->yMm + $part->part->mm('top_inside') + $d;
        $to = $from + $this->lengthMm($part);
        $sketch->stem($from - $d, $to + $d, $d, $metal, $part->mark('core'));
        $sketch->eye($place->yMm, $part->part->mm('top_inside'), $d, $place->facing, $metal, $part->mark('top-loop'));
        if ($this->isTwice($part->part)) {
            $this->drawTwice($part, $sketch, $from);
        } elseif ($this->isBeaded) {
            $this->drawBeaded($part, $sketch, $from);
        }
        $half = $d / 2 + $w * 0.6;
        $bare = $this->isBeaded ? $this->bareMm($part) / 2 : INF;
        for ($y = $from + $w / 2; $y < $to && ! $this->isTwice($part->part); $y += $w) {
            if ($y > $from + $bare && $y < $to - $bare) {
                continue;
            }
            $sketch->through(
                [[-$half, round($y + $w * 0.2, 3)], [$half, round($y - $w * 0.2, 3)]],
                $w,
                $part->wireOf('coil')->metal,
                $part->mark('coil'),
                2,
            );
        }
        $sketch->eye(
            $to + $d, $part->part->mm('bottom_inside'), $d, $place->facing, $metal, $part->mark('bottom-loop'),
        );

        return ['bottom' => new Placement($to + $d + $part->part->mm('bottom_inside'), ! $place->facing)];
    }

    /** Each turn of the thick coil slants across the core; across it lie the turns of the fine one. */
    private function drawTwice(PartPlan $part, Sketch $sketch, float $fromMm): void
    {
        $twice = $this->twice($part);
        [$w, $od, $metal] = [$part->wireOf('coil')->diameterMm(), $twice->firstOutsideMm(), $part->wireOf('coil')->metal];
        $half = ($part->wireMm() + $od) / 2;
        $fine = max(3, (int) round(2 * $half / $w));
        for ($turn = 0; $turn < max(1, (int) floor($twice->turns() + 1e-9)); $turn++) {
            $middle = $fromMm + ($turn + 0.5) * $od;
            $sketch->through(
                [[-$half, round($middle + 0.25 * $od, 3)], [$half, round($middle - 0.25 * $od, 3)]],
                $part->wireOf('inner')->diameterMm(),
                $part->wireOf('inner')->metal,
                $part->mark('inner'),
                2,
            );
            for ($one = 0; $one <= $fine; $one++) {
                $x = -$half + 2 * $half * $one / $fine;
                $y = $middle - 0.25 * $od * $x / $half;
                $sketch->through(
                    [[round($x, 3), round($y - $od / 2 + $w / 2, 3)], [round($x + 0.3 * $w, 3), round($y + $od / 2 - $w / 2, 3)]],
                    $w,
                    $metal,
                    $part->mark('coil'),
                    2,
                );
            }
        }
    }

    /** Of each turn the near half is seen: its beads slant across the core. */
    private function drawBeaded(PartPlan $part, Sketch $sketch, float $fromMm): void
    {
        $coil = $this->beads($part);
        $from = $fromMm + $this->bareMm($part) / 2;
        $radius = ($part->wireMm() + $coil->beadWidthMm) / 2;
        $turnMm = Turn::mm($part->wireMm(), $coil->beadWidthMm);
        $half = $coil->beadWidthMm / 2;
        for ($turn = 0.0; $turn < $coil->turns; $turn++) {
            $y = $from + $turn * $coil->beadWidthMm;
            $sketch->through(
                [[round(-$radius, 3), round($y + $half, 3)], [round($radius, 3), round($y + 2 * $half, 3)]],
                $part->wireOf('coil')->diameterMm(),
                $part->wireOf('coil')->metal,
                $part->mark('beads'),
            );
        }
        $at = 0.0;
        foreach ($part->strung as $strung) {
            for ($bead = 0; $bead < $strung->count; $bead++) {
                $middle = ($at + $strung->bead->lengthMm / 2) / $turnMm;
                $at += $strung->bead->lengthMm;
                $angle = 2 * M_PI * $middle;
                if (sin($angle) > -0.2) {
                    $y = $from + $middle * $coil->beadWidthMm + $coil->beadWidthMm / 2;
                    $sketch->bead(
                        $strung->bead,
                        round($y - $strung->bead->lengthMm / 2, 3),
                        $part->mark('beads'),
                        round(-$radius * cos($angle), 3),
                        78.0,
                    );
                }
            }
        }
    }
}
