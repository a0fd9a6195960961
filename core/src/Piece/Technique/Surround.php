<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
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

    public function passes(Part $part, int $run): int
    {
        return $run === 0 ? 2 : 1;
    }

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
            Parameter::length('bail', 'bail, inside', 4.0, 1.5, 20.0),
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

    public function threads(Part $part, int $run = 0): string
    {
        return $run > 0 && BoundBeads::isBound($this->rim($part)) ? BoundBeads::ROLE : $part->wire;
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

    public function cuts(PartPlan $part): array
    {
        [$d, $wraps, $hole] = [$part->wireMm(), $part->part->count('wraps'), $part->strung === [] ? 0.0 : $part->strung[0]->bead->lengthMm];
        $wrap = Binding::legsMm($d);
        $stretch = (new Stretch($part))
            ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'tail', 'what the fingers hold, trimmed off')
            ->worked(
                SegmentKind::Wraps,
                $wraps * $wrap,
                Figures::counted($wraps, 'wrap'),
                'wraps',
                'N·√((2πd + 2d)² + d²)',
                $wraps.' × '.Figures::trim($wrap, 3),
            )
            ->worked(
                SegmentKind::Seat,
                $hole,
                'down the hole',
                'hole',
                'length of the hole',
                Figures::trim($hole),
                beads: array_slice($part->strung, 0, 1),
            )->bend('out of the hole')
            ->worked(
                SegmentKind::Round,
                $this->rimMm($part),
                'round the rim',
                'rim',
                'π(W + b), b: the wire, or the beads on it',
                'π × ('.Figures::trim($this->discMm($part)).' + '.Figures::trim(2 * $this->offMm($part), 3).')',
                beads: BoundBeads::isBound($this->rim($part->part)) ? [] : array_slice($part->strung, 1),
            )->bend('into the hole')
            ->worked(
                SegmentKind::Seat,
                $hole,
                'up the hole',
                'hole',
                'length of the hole',
                Figures::trim($hole),
                beads: array_slice($part->strung, 0, 1),
            )->bend('bail starts')
            ->loop($part->part->mm('bail'), $d, 'bail', 'bail')
            ->worked(
                SegmentKind::Wraps,
                $wraps * $wrap,
                Figures::counted($wraps, 'wrap'),
                'wraps',
                'N·√((2πd + 2d)² + d²)',
                $wraps.' × '.Figures::trim($wrap, 3),
            )
            ->given(SegmentKind::Tail, self::TAIL_MM, 'tail', 'tail', 'what the fingers hold, trimmed off');

        return [
            $stretch->cut('Surround', $part->part->wire, $part->times),
            ...(new BoundBeads($part->withoutFirst(1)))->cuts(),
        ];
    }

    public function steps(PartPlan $part, string $event): array
    {
        $form = Forming::loop($part->wire, $part->part->mm('bail'), $part->profile);
        $wraps = $part->part->count('wraps');

        return match ($event) {
            'thread' => [
                (new Step($event, '', 'Down the hole', 'Put the wire down the hole and leave the first leg standing above it.', [$part->mark('hole')], tool: 'fingers', operation: Operation::Thread))->putting(
                    array_slice($part->strung, 0, 1),
                    $part->cutKey(),
                ),
                ...$this->rimSteps($part, $event),
            ],
            'form top' => [new Step($event, '', 'Turn the bail', 'Turn the longer leg over '.$form->where('mark of the round-nose pliers', $part->profile).' to a bail above the hole.', [$part->mark('bail')], tool: 'round-nose pliers', operation: Operation::Eye)],
            'close top' => $wraps === 0
                ? []
                : [
                    new Step(
                        $event,
                        '',
                        'Wrap both legs',
                        "Wrap each leg {$wraps} times round the neck of the bail, trim, and press the ends in at the back.",
                        [$part->mark('wraps')],
                        2 * $wraps,
                        'wraps',
                        tool: 'chain-nose pliers, flush cutter',
                        cautions: [Caution::Crush, Caution::CutEnds],
                        operation: Operation::Wrap,
                    ),
                ],
            default => [],
        };
    }

    /** @return list<Step> */
    private function rimSteps(PartPlan $part, string $event): array
    {
        $rim = $part->withoutFirst(1);
        $disc = array_slice($part->strung, 0, 1);
        if ($rim->strung === []) {
            return [
                $this->rimStep(
                    $part,
                    'Round the rim',
                    'Bend it out flat below, once round the rim in the groove of its edge, and back up through the hole. Stay loose at one leg until it lies.',
                    $disc,
                ),
            ];
        }
        if (! BoundBeads::isBound($rim->part)) {
            return [
                $this->rimStep(
                    $part,
                    'Round the rim, with its beads',
                    'Bend it out flat below, string half of them, up round one side to the top; the other half down the other side, and back up through the hole: '
                        .Stringing::words($rim->strung).'. Stay loose at one leg until all lie.',
                    [...$rim->strung, ...$disc],
                    $rim->beadCount(),
                ),
            ];
        }

        // The row goes on while the rim can still be opened; what has a face shows it.
        return [
            new Step(
                $event,
                '',
                'Shape the rim',
                'Bend the wire round the disc to its size and take it off again.',
                [$part->mark('rim')],
                tool: 'fingers',
                operation: Operation::Bend,
            ),
            ...array_map(
                fn (Step $step): Step => $step->during($event, str_replace('frame', 'rim', $step->text)),
                (new BoundBeads($rim))->steps(),
            ),
            $this->rimStep(
                $part,
                'Round the rim',
                'Lay the rim with its row round the disc, every face to the front, and take the wire back up through the hole. Stay loose at one leg until it lies.',
                $disc,
            ),
        ];
    }

    /** @param  list<Strung>  $beads  what goes on with it */
    private function rimStep(PartPlan $part, string $title, string $text, array $beads, int $count = 0): Step
    {
        $step = new Step(
            'thread',
            '',
            $title,
            $text,
            [$part->mark('rim'), $part->mark('beads')],
            $count,
            $count > 0 ? 'beads' : '',
            tool: 'fingers',
            cautions: [Caution::Crush],
            operation: Operation::Thread,
        );

        return $step->putting($beads, $part->cutKey());
    }

    public function checks(PartPlan $part): array
    {
        $id = $part->part->id;
        $discs = $part->part->beads === [] ? 0 : $part->part->beads[0]->count;
        if ($discs !== 1) {
            return [new Check(Level::Stop, 'one disc', $discs === 0 ? 'Nothing is held yet: add a coin or another flat bead.' : "A surround holds one bead, the first on its line: this has {$discs}.", $id, $discs === 0 ? [new Way('Hold a coin', ['do' => 'bead.add', 'part' => $id, 'at' => '0', 'bead' => '18 x 18mm coin, hole 1.8, sea, ceramic'])] : [
                new Way('One of it', ['do' => 'bead.count', 'part' => $id, 'at' => '0', 'count' => '1']),
            ])];
        }
        $rim = $part->withoutFirst(1);
        if ($rim->strung === []) {
            return [];
        }
        if (BoundBeads::isBound($rim->part)) {
            return [$this->row($part)];
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
                    ['do' => 'bead.count', 'part' => $id, 'at' => '1', 'count' => (string) (2 * $nearest)],
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
        [$covered, $room] = [(new BoundBeads($rim))->coveredMm(), $this->rimMm($part)];
        $text = $rim->beadCount().' bound on the rim cover '.$part->profile->length($covered).' of its '
            .$part->profile->length($room);
        $pitch = $rim->stackMm() / $rim->beadCount() + $part->part->count('between') * $part->wireOf(
            BoundBeads::ROLE,
        )->diameterMm();
        $whole = max(1, (int) floor(($room - $covered) / $pitch + 1e-9) + $rim->beadCount());
        $most = $this->longestRun($rim);
        $count = $rim->strung[$most]->count + $whole - $rim->beadCount();
        $way = $count < 1 || $whole === $rim->beadCount()
            ? []
            : [
                new Way(
                    "{$whole} go round",
                    ['do' => 'bead.count', 'part' => $part->part->id, 'at' => (string) ($most + 1), 'count' => (string) $count],
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

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        [$d, $metal] = [$part->wireMm(), $part->wire->metal];
        $disc = $this->discMm($part);
        $rim = $part->withoutFirst(1);
        $beside = max(0.0, $this->offMm($part) - $d / 2) + (BoundBeads::isBound($rim->part) ? $rim->widestMm() : 0.0);
        $neck = 2 * $part->part->count('wraps') * $d;
        $from = $place->yMm + $part->part->mm('bail') + $d + $neck;
        $middle = $from + $d + $beside + $disc / 2;
        $face = new Sketch;
        if ($part->strung !== []) {
            $face->bead($part->strung[0]->bead, $middle - $part->strung[0]->bead->lengthMm / 2, $part->mark('beads'));
        }
        $radius = $disc / 2 + $this->offMm($part);
        if ($disc > 0) {
            // What is strung on the rim hides it.
            $face->ring(
                0,
                $middle,
                $radius,
                $d,
                $metal,
                $part->mark('rim'),
                $rim->strung !== [] && ! BoundBeads::isBound($rim->part) ? 1 : 2,
            );
        }
        $covered = (new BoundBeads($rim))->coveredMm();
        // The wire comes out below and goes all round from there, what is left bare half on each side.
        (new BoundBeads($rim))->draw($face, function (float $at) use ($radius, $middle, $covered): array {
            $angle = M_PI / 2 + (2 * M_PI * $radius - $covered) / (2 * $radius) + $at / $radius;

            return [$radius * cos($angle), $middle + $radius * sin($angle), rad2deg($angle) + 90];
        });
        $sketch->add($part->part->is('turned') !== $place->facing ? $face->figure() : $face->figure()->onEdge());
        $sketch->stem($from - $neck - $d / 2, $middle - $disc / 2, $d, $metal, $part->mark('hole'));
        $sketch->eye($place->yMm, $part->part->mm('bail'), $d, $place->facing, $metal, $part->mark('bail'));
        $sketch->wraps($from - $neck, 2 * $part->part->count('wraps'), $d, $metal, $part->mark('wraps'));

        return [];
    }
}
