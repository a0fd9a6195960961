<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Bend\Hammered;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Sizing;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\FitSheet;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Hardness;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wrap\Turn;

/**
 * A bangle from one heavy wire: overlapped, its ends curled, open as a cuff, or doubled with hook and loop; plain or
 * hammered. Cut = (π(inside + t) + ends)/lengthening, as Band and Hammered have it; a cuff leaves out its gap. Several
 * alike are bound side by side. Millimetres. Common practice: 14 to 10 AWG.
 */
final class Bangle implements Technique
{
    use Usual;

    private const BINDING_TAIL_MM = 20.0;

    /** So far off a bangle still fits, mm inside [common practice]. */
    private const TOLERANCE_MM = 1.0;

    public function name(): string
    {
        return 'bangle';
    }

    public function label(): string
    {
        return 'bangle';
    }

    public function role(): string
    {
        return 'bangle';
    }

    public function family(): Family
    {
        return Family::Bangle;
    }

    public function usualWire(): Wire
    {
        return self::awg(12, Temper::DeadSoft);
    }

    public function wants(): Wants
    {
        return new Wants(holds: 0.5, effort: 1.6, isHammered: true);
    }

    public function heft(Part $part): int
    {
        return 500;
    }

    public function parameters(): array
    {
        return [
            Parameter::choice(
                'style',
                'ends',
                'curled',
                ['curled' => 'curled', 'overlap' => 'overlapped', 'cuff' => 'open, a cuff', 'doubled' => 'doubled, hook and loop'],
            ),
            Parameter::length('inside', 'inside diameter', 63.0, 20.0, 120.0),
            Parameter::length('ends', 'for both ends together', 40.0, 0.0, 200.0),
            Parameter::length('gap', 'gap', 28.0, 5.0, 80.0),
            Parameter::length('hammered', 'hammered to, 0 for not', 0.0, 0.0, 8.0),
            Parameter::flag('annealed', 'annealed on the way', false),
            Parameter::count('stack', 'bangles in the stack', 1, 1, 9),
            Parameter::count('binding_turns', 'turns that bind them', 8, 2, 200),
            ...BoundBeads::parameters('on'),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return match ($key) {
            'gap' => $part->choice('style') === 'cuff',
            'hammered' => $part->choice('style') !== 'doubled',
            'annealed' => $part->choice('style') !== 'doubled' && $part->mm('hammered') > 0,
            'binding_turns' => $part->count('stack') > 1,
            'ends' => $part->choice('style') !== 'cuff',
            default => true,
        };
    }

    public function extraWires(Part $part): array
    {
        return $part->count('stack') > 1
            ? [BoundBeads::ROLE => self::awg(22, Temper::DeadSoft)]
            : BoundBeads::wires($part);
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBeads(): int
    {
        return 9;
    }

    public function threads(Part $part, int $run = 0): string
    {
        return BoundBeads::isBound($part) ? BoundBeads::ROLE : $part->wire;
    }

    /** What is bound to a doubled bangle goes round both its wires. */
    private function beads(PartPlan $part): BoundBeads
    {
        return new BoundBeads($part, $part->part->choice('style') === 'doubled' ? 2 : 1);
    }

    /** One turn of the binding round all bangles of the stack, side by side. */
    private function bindingTurnMm(PartPlan $part): float
    {
        return Turn::roundMm(
            $part->part->count('stack'),
            $this->thickMm($part),
            $this->wideMm($part),
            $part->wireOf(BoundBeads::ROLE)->diameterMm(),
        );
    }

    private function wideMm(PartPlan $part): float
    {
        return $this->flat($part)?->widthMm() ?? $part->wireMm() * ($part->part->choice('style') === 'doubled' ? 2 : 1);
    }

    public function hammered(PartPlan $part): ?Hammered
    {
        return $this->flat($part);
    }

    private function flat(PartPlan $part): ?Hammered
    {
        $to = $part->part->choice('style') === 'doubled' ? 0.0 : $part->part->mm('hammered');

        return $to > 0 && $to <= $part->wireMm() && $to >= $part->wireMm() / 10
            ? Hammered::of($part->wireMm(), $to)
            : null;
    }

    private function thickMm(PartPlan $part): float
    {
        return $this->flat($part)->thicknessMm ?? $part->wireMm();
    }

    public function sizing(PartPlan $part, Fit $fit): ?Sizing
    {
        if ($fit->kind !== FitKind::Wrist) {
            return null;
        }
        // A cuff lies on the wrist; what is closed has the ease of a bracelet.
        $ease = $part->part->choice('style') === 'cuff' ? 0.0 : FitSheet::EASE_MM / M_PI;

        return new Sizing('inside', $fit->mm / M_PI + $ease, self::TOLERANCE_MM, M_PI, $ease);
    }

    public function along(PartPlan $part): array
    {
        // Curled or hooked ends let nothing over them any more.
        return BoundBeads::isBound($part->part)
            ? ['ends', 'hammer', 'round', 'beads', 'bind']
            : ['ends', 'hammer', 'beads', 'round', 'bind'];
    }

    public function cuts(PartPlan $part): array
    {
        $stack = $part->part->count('stack');
        $one = $this->one($part);
        $beads = $this->beads($part)->cuts();
        if ($stack === 1) {
            return [$one, ...$beads];
        }
        $turns = $part->part->count('binding_turns');

        return [$one->times($part->times * $stack), (new Stretch($part))
            ->given(
                SegmentKind::Tail,
                self::BINDING_TAIL_MM,
                'tail',
                'binding-tail',
                'what the fingers hold, trimmed off',
            )
            ->worked(
                SegmentKind::Wraps,
                $turns * $this->bindingTurnMm($part),
                Figures::counted($turns, 'turn'),
                'binding',
                'N·√((π(t + w) + 2(k − 1)s)² + w²)',
                $turns.' × '.Figures::trim($this->bindingTurnMm($part), 3),
                Turn::SOURCE,
            )
            ->given(
                SegmentKind::Tail,
                self::BINDING_TAIL_MM,
                'tail',
                'binding-tail',
                'what the fingers hold, trimmed off',
            )
            ->cut('Stack binding', BoundBeads::ROLE, $part->times, 'stack'), ...$beads];
    }

    private function one(PartPlan $part): Cut
    {
        $longer = $this->flat($part)?->lengthening() ?? 1.0;
        $round = M_PI * ($part->part->mm('inside') + $this->thickMm($part));
        $numbers = 'π × ('.Figures::trim($part->part->mm('inside'), 3).' + '.Figures::trim($this->thickMm($part), 3)
            .')/'.Figures::trim($longer, 4);
        $stretch = new Stretch($part);
        if ($part->part->choice('style') === 'cuff') {
            return $stretch->worked(
                SegmentKind::Round,
                ($round - $part->part->mm('gap')) / $longer,
                'round',
                'round',
                '(π(inside + t) − gap)/lengthening',
                '(π × ('.Figures::trim($part->part->mm('inside'), 3).' + '.Figures::trim($this->thickMm($part), 3)
                    .') − '.Figures::trim($part->part->mm('gap')).')/'.Figures::trim($longer, 4),
                beads: $this->beads($part)->onWire(),
            )->cut('Bangle', $part->part->wire, $part->times);
        }
        if ($part->part->choice('style') === 'doubled') {
            return $this->doubled($part, $round);
        }
        $end = $part->part->mm('ends') / 2 / $longer;
        $words = $part->part->choice('style') === 'curled' ? 'curl' : 'overlap';

        return $stretch
            ->worked(
                SegmentKind::Curl,
                $end,
                $words,
                'end-1',
                'half of both ends/lengthening',
                Figures::trim($part->part->mm('ends')).'/2/'.Figures::trim($longer, 4),
            )->bend($words.' ends')
            ->worked(
                SegmentKind::Round,
                $round / $longer,
                'round',
                'round',
                'π(inside + t)/lengthening',
                $numbers,
                beads: $this->beads($part)->onWire(),
            )->bend($words.' starts')
            ->worked(
                SegmentKind::Curl,
                $end,
                $words,
                'end-2',
                'half of both ends/lengthening',
                Figures::trim($part->part->mm('ends')).'/2/'.Figures::trim($longer, 4),
            )
            ->cut('Bangle', $part->part->wire, $part->times);
    }

    /** Folded in half: the fold is the loop, an inside of three wires; both ends together are the hook. */
    private function doubled(PartPlan $part, float $roundMm): Cut
    {
        $end = $part->part->mm('ends') / 2;
        $numbers = 'π × ('.Figures::trim($part->part->mm('inside')).' + '.Figures::trim($part->wireMm(), 3).')';

        return (new Stretch($part))
            ->given(SegmentKind::Curl, $end, 'hook', 'end-1', 'as set')->bend('hook ends')
            ->worked(
                SegmentKind::Round,
                $roundMm,
                'once round',
                'round',
                'π(inside + d)',
                $numbers,
                beads: $this->beads($part)->onWire(),
            )->bend('fold starts')
            ->worked(
                SegmentKind::Arch,
                M_PI * 4 * $part->wireMm(),
                'loop',
                'fold',
                'π(3d + d)',
                'π × 4 × '.Figures::trim($part->wireMm(), 3),
            )->bend('fold ends')
            ->worked(
                SegmentKind::Round, $roundMm, 'once round', 'round', 'π(inside + d)', $numbers,
            )->bend('hook starts')
            ->given(SegmentKind::Curl, $end, 'hook', 'end-2', 'as set')
            ->cut('Bangle', $part->part->wire, $part->times);
    }

    public function steps(PartPlan $part, string $event): array
    {
        $flat = $this->flat($part);
        $form = Forming::bangle(
            $part->wire, $part->part->mm('inside'), $part->profile, $flat, $part->part->is('annealed'),
        );

        return match ($event) {
            'work ends' => [new Step($event, '', 'Round both ends', 'File both ends flat, then round, until nothing scratches.', [$part->mark('end-1'), $part->mark('end-2')], tool: 'file', cautions: [Caution::Filing], operation: Operation::File)],
            'work hammer' => $flat === null
                ? []
                : [
                    ...$this->annealSteps($part, $event, $flat),
                    new Step(
                        $event,
                        '',
                        'Hammer it',
                        'Hammer evenly from the middle out to '.$part->profile->size($flat->thicknessMm)
                            .', turn it and do the other face; it grows to '
                            .Figures::trim($flat->lengthening() * 100, 0).' % of its length and '
                            .$part->profile->size($flat->widthMm()).' wide.',
                        [$part->mark('round')],
                        tool: 'hammer, bench block',
                        cautions: [Caution::Hammering],
                        operation: Operation::Hammer,
                    ),
                ],
            'work round' => array_values(array_filter([
                $part->part->choice('style') === 'doubled'
                    ? new Step(
                        $event,
                        '',
                        'Fold the wire',
                        'Fold it in the middle round a rod of '.$part->profile->size(3 * $part->wireMm())
                            .' and lay both halves close side by side; bend both ends together to a hook, the tips turned back in.',
                        [$part->mark('fold'), $part->mark('end-1'), $part->mark('end-2')],
                        tool: 'mandrel, flat-nose pliers',
                    )
                    : null,
                $part->part->choice('style') === 'curled'
                    ? new Step(
                        $event,
                        '',
                        'Curl the ends',
                        'Turn each end to a curl in the round-nose pliers, both the same way out.',
                        [$part->mark('end-1'), $part->mark('end-2')],
                        2,
                        'curls',
                        tool: 'round-nose pliers',
                        operation: Operation::Spiral,
                    )
                    : null,
                new Step(
                    $event,
                    '',
                    'Bend it round',
                    'Bend it round '.$form->where('mandrel', $part->profile).', let it spring, and form it again.'
                        .$form->opens($part->profile),
                    [$part->mark('round')],
                    tool: 'bangle mandrel',
                ),
            ])),
            'work beads' => $this->beads($part)->steps(),
            'work bind' => $part->part->count('stack') === 1
                ? []
                : [
                    new Step(
                        $event,
                        '',
                        'Bind the stack',
                        'Make all '.$part->part->count('stack')
                            .' alike, hold them side by side, openings together, and coil '
                            .Figures::counted($part->part->count('binding_turns'), 'close turn')
                            .' round them opposite the opening. Trim both tails on the outside and press them in.',
                        [$part->mark('binding')],
                        $part->part->count('binding_turns'),
                        'turns',
                        tool: 'fingers, chain-nose pliers, flush cutter',
                        cautions: [Caution::CutEnds],
                        operation: Operation::Bind,
                    ),
                ],
            default => [],
        };
    }

    /** How hard its wire is when it comes to the block. */
    private function before(PartPlan $part): Hardness
    {
        return Hardness::of($part->wire->temper)->plus($part->profile->schools->straighteningNumbers());
    }

    /**
     * Where the metal must be annealed on the way: each time as soon as it is as thin as it may get.
     *
     * @return list<Step>
     */
    private function annealSteps(PartPlan $part, string $event, Hammered $flat): array
    {
        $stops = [];
        $hardness = $this->before($part);
        for ($thick = $part->wireMm(); $part->part->is('annealed') && count($stops) < 12; $hardness = Hardness::of(Temper::DeadSoft)) {
            $thick = $hardness->thinnestMm($part->wire->metal, $thick);
            if ($thick <= $flat->thicknessMm) {
                break;
            }
            $stops[] = $part->profile->size($thick);
        }

        return $stops === []
            ? []
            : [
                new Step(
                    $event,
                    '',
                    'Anneal on the way',
                    'Hammer it no thinner than '.implode(', then ', $stops)
                        .' before it is annealed again, as you were trained to, and cleaned.',
                    [$part->mark('round')],
                    tool: 'hammer, bench block',
                    cautions: [Caution::Flame, Caution::Hammering],
                    operation: Operation::Flame,
                ),
            ];
    }

    /** Flattened further than the metal bears, it cracks. */
    private function cracks(PartPlan $part): ?Check
    {
        $flat = $this->flat($part);
        $thinnest = $this->before($part)->thinnestMm($part->wire->metal, $part->wireMm());
        if ($flat === null || $part->part->is('annealed') || $flat->thicknessMm >= $thinnest - 1e-9) {
            return null;
        }
        $id = $part->part->id;
        $stop = ceil(20 * $thinnest) / 20;
        $soft = Hardness::of(Temper::DeadSoft)->plus(
            $part->profile->schools->straighteningNumbers(),
        )->thinnestMm($part->wire->metal, $part->wireMm());

        return new Check(Level::Stop, 'hammering cracks', ucfirst($part->wire->words()).' cracks when it is hammered to '.$part->profile->size($flat->thicknessMm).': it bears '.Figures::mm($thinnest).' before it must be annealed.', $id, array_values(array_filter([
            $flat->thicknessMm >= $soft && $part->wire->temper !== Temper::DeadSoft
                ? new Way(
                    'Start dead soft',
                    ['do' => 'wire', 'role' => $part->part->wire, 'temper' => Temper::DeadSoft->value],
                )
                : null,
            new Way('Anneal it on the way', ['do' => 'part.set', 'part' => $id, 'key' => 'annealed', 'value' => '1']),
            $stop <= $part->wireMm()
                ? new Way(
                    'Stop at '.Figures::mm($stop),
                    ['do' => 'part.set', 'part' => $id, 'key' => 'hammered', 'value' => $stop.' mm'],
                )
                : null,
        ])));
    }

    public function checks(PartPlan $part): array
    {
        $to = $part->part->choice('style') === 'doubled' ? 0.0 : $part->part->mm('hammered');

        $room = M_PI * ($part->part->mm('inside') + $this->thickMm($part)) - ($part->part->choice('style') === 'cuff' ? $part->part->mm('gap') : 0.0);
        $covered = $this->beads($part)->coveredMm();
        $checks = $covered <= $room ? [] : [new Check(Level::Stop, 'room', 'The beads cover '.$part->profile->length($covered).', the bangle is '.$part->profile->length($room).' round: '.$part->profile->length($covered - $room).' too many.', $part->part->id, [
            new Way(
                'Take the last ones off',
                ['do' => 'bead.remove', 'part' => $part->part->id, 'at' => (string) (count($part->strung) - 1)],
            ),
        ])];

        $checks = [...$checks, ...array_filter([$this->cracks($part)])];

        return $to > 0 && $this->flat($part) === null ? [...$checks, new Check(Level::Stop, 'hammered', 'Hammered to '.$part->profile->size($to).' cannot be: the wire is '.$part->profile->size($part->wireMm()).' thick.', $part->part->id, [
            new Way(
                'Leave it round',
                ['do' => 'part.set', 'part' => $part->part->id, 'key' => 'hammered', 'value' => '0 mm'],
            ),
        ])] : $checks;
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        // A stack is seen from a little aside: the farthest first.
        $stack = $part->part->count('stack');
        $apart = 0.85 * $this->wideMm($part);
        for ($one = $stack - 1; $one >= 0; $one--) {
            $this->drawOne($part, $place->yMm, $sketch, $one * $apart);
        }
        if ($stack > 1) {
            $this->drawBinding($part, $place->yMm, $sketch, $apart);
        }
        $r = ($part->part->mm('inside') + $this->thickMm($part)) / 2;
        [$middle, $covered] = [$this->middleMm($part, $place->yMm), $this->beads($part)->coveredMm()];
        $this->beads($part)->draw($sketch, function (float $at) use ($r, $middle, $covered): array {
            $angle = M_PI / 2 - ($covered / 2 - $at) / $r;

            return [$r * cos($angle), $middle + $r * sin($angle), rad2deg($angle) + 90];
        });

        return [];
    }

    private function drawBinding(PartPlan $part, float $yMm, Sketch $sketch, float $apart): void
    {
        $wire = $part->wireOf(BoundBeads::ROLE);
        [$w, $turns, $t] = [$wire->diameterMm(), $part->part->count('binding_turns'), $this->thickMm($part)];
        $r = ($part->part->mm('inside') + $t) / 2;
        $middle = $this->middleMm($part, $yMm);
        for ($turn = 0; $turn < $turns; $turn++) {
            $angle = M_PI / 2 + ($turn - ($turns - 1) / 2) * $w / $r;
            [$x, $y] = [cos($angle), sin($angle)];
            [$in, $out] = [$r - $t / 2 - $w * 0.6, $r + $t / 2 + $w * 0.6];
            $far = ($part->part->count('stack') - 1) * $apart;
            $sketch->through(
                [[round($in * $x + $far, 3), round($middle + $in * $y - $far * 0.35, 3)], [round($out * $x, 3), round($middle + $out * $y, 3)]],
                $w,
                $wire->metal,
                $part->mark('binding'),
                2,
            );
        }
    }

    private function middleMm(PartPlan $part, float $yMm): float
    {
        $style = $part->part->choice('style');
        $apart = ($part->part->count('stack') - 1) * 0.85 * $this->wideMm($part) * 0.35;

        return $yMm + ($part->part->mm('inside') + $this->thickMm($part)) / 2 + $this->thickMm(
            $part,
        ) / 2 + 2 * $this->curlMm($part) + ($style === 'doubled' ? 2 * $part->wireMm() : 0.0) + $apart;
    }

    /** Radius of a curl of one and a half turns of the wire that an end takes. */
    private function curlMm(PartPlan $part): float
    {
        return $part->part->choice('style') === 'curled' ? $part->part->mm('ends') / 2 / (2 * M_PI * 1.4) : 0.0;
    }

    private function drawOne(PartPlan $part, float $yMm, Sketch $sketch, float $aside): void
    {
        [$d, $metal] = [$this->thickMm($part), $part->wire->metal];
        $r = ($part->part->mm('inside') + $d) / 2;
        $style = $part->part->choice('style');
        $cr = $this->curlMm($part);
        $middle = $this->middleMm($part, $yMm) - 0.35 * $aside;
        if ($style === 'cuff') {
            $gap = $part->part->mm('gap') / (2 * $r) / (2 * M_PI);
            $sketch->bow($aside, $middle, $r, -0.25 + $gap, 0.75 - $gap, $d, $metal, $part->mark('round'));

            return;
        }
        if ($style === 'doubled') {
            $this->drawDoubled($part, $sketch, $r, $middle, $aside);

            return;
        }
        $open = $style === 'overlap' ? 0.0 : 0.02;
        $sketch->bow($aside, $middle, $r, -0.25 + $open, 0.75 - $open, $d, $metal, $part->mark('round'));
        if ($style === 'overlap') {
            // One end lies outside the other.
            $over = $part->part->mm('ends') / 2 / $r / (2 * M_PI);
            $sketch->bow($aside, $middle, $r, -0.25 - $over, -0.25, $d, $metal, $part->mark('end-1'));
            $sketch->bow($aside, $middle, $r + $d / 2, 0.75, 0.75 + $over, $d, $metal, $part->mark('end-2'), 2);
        }
        foreach ($style === 'curled' ? [[-0.23, -1, 'end-1'], [0.73, 1, 'end-2']] : [] as [$turn, $side, $mark]) {
            [$x, $y] = [$aside + $r * cos(2 * M_PI * $turn), $middle + $r * sin(2 * M_PI * $turn)];
            $points = [];
            for ($step = 0; $step <= 40; $step++) {
                $angle = M_PI / 2 + $side * 2 * M_PI * 1.4 * $step / 40;
                $radius = $cr * (1.25 - 0.6 * $step / 40);
                $points[] = [round($x + $radius * cos($angle), 3), round($y - $cr * 1.25 + $radius * sin($angle), 3)];
            }
            $sketch->through($points, $d, $metal, $part->mark($mark), 2);
        }
    }

    /**
     * Both wires lie one behind the other: the near one is seen, the fold standing as a loop at one end, the hook of
     * the other reaching into it.
     */
    private function drawDoubled(PartPlan $part, Sketch $sketch, float $r, float $middle, float $aside): void
    {
        [$d, $metal] = [$part->wireMm(), $part->wire->metal];
        $sketch->bow($aside, $middle, $r, -0.22, 0.74, $d, $metal, $part->mark('round'));
        [$x, $y] = [$aside + $r * cos(2 * M_PI * 0.74), $middle + $r * sin(2 * M_PI * 0.74)];
        $sketch->ring(round($x + 2 * $d, 3), round($y, 3), 2 * $d, $d, $metal, $part->mark('fold'));
        [$hookX, $hookY] = [$aside + $r * cos(2 * M_PI * -0.22), $middle + $r * sin(2 * M_PI * -0.22)];
        foreach (['end-2' => [0.5 * $d, 1], 'end-1' => [0.0, 2]] as $mark => [$off, $layer]) {
            $points = [[round($hookX, 3), round($hookY, 3)]];
            for ($step = 0; $step <= 16; $step++) {
                $angle = -M_PI / 2 - M_PI * $step / 16;
                $points[] = [round($x + 2.4 * $d + $off + $d * cos($angle), 3), round($y + $d + $d * sin($angle), 3)];
            }
            $points[] = [round($x + 3.4 * $d + $off, 3), round($y + 2 * $d, 3)];
            $sketch->through($points, $d, $metal, $part->mark($mark), $layer);
        }
    }
}
