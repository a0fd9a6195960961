<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Course\SegmentKind;
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
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wrap\BandLayout;
use Hebra\Core\Wrap\BandSection;
use Hebra\Core\Wrap\BandWeave;
use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\Spiral;
use Hebra\Core\Wrap\Turn;
use Hebra\Core\Wrap\WeavePattern;

/**
 * Cores held side by side by a finer wire woven over them, section by section, their outer ends turned to eyes. Weave
 * as BandWeave has it; each core = from where it comes in to where it leaves, an eye or a curl at each end, and what
 * the hands need beyond, about 100 mm a side, trimmed off. Millimetres. Common practice: cores 0.8 to 1 mm under 0.3 to
 * 0.4; dead soft.
 */
final class WovenBand implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'woven-band';
    }

    public function label(): string
    {
        return 'woven band';
    }

    public function role(): string
    {
        return 'core';
    }

    public function family(): Family
    {
        return Family::Woven;
    }

    public function usualWire(): Wire
    {
        return self::awg(20, Temper::DeadSoft);
    }

    private const TAIL_MM = 50.0;

    /** A core that ends in no eye is curled in, so wide inside, mm. */
    private const CURL_MM = 1.0;

    /**
     * Wire that arms can pull through a weave, mm, and the turns of each over the other where a new one is joined
     * [common practice].
     */
    private const WORKABLE_MM = 1800.0;

    private const JOIN_TURNS = 3;

    public function extraWires(Part $part): array
    {
        return ['weave' => self::awg(28, Temper::DeadSoft)];
    }

    public function wants(): Wants
    {
        return new Wants(holds: 0.35, effort: 0.8);
    }

    public function heft(Part $part): int
    {
        return 180 * $part->count('cores');
    }

    public function parameters(): array
    {
        return [
            Parameter::count('cores', 'cores', 3, 2, 7),
            Parameter::weave('pattern', 'weave', '4@1-2 4@2-3'),
            Parameter::flag('mirrored', 'sections mirrored about the last', false),
            Parameter::length('length', 'woven length', 40.0, 2.0, 400.0),
            Parameter::length('ends', 'each core beyond, each end, trimmed', 100.0, 20.0, 250.0),
            Parameter::length('eye', 'eyes, inside', 3.0, 1.0, 20.0),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return $key !== 'mirrored' || str_contains($part->choice('pattern'), '|');
    }

    private function band(PartPlan $part): BandLayout
    {
        $cores = $part->part->count('cores');
        try {
            $weave = BandWeave::parse($part->part->choice('pattern'), $cores);
        } catch (OutOfRange) {
            $weave = BandWeave::parse("1@1-{$cores}", $cores);
        }
        $weave = $part->part->is('mirrored') ? $weave->mirrored() : $weave;

        return $weave->over($part->part->mm('length'), $part->wireMm(), $part->wireOf('weave')->diameterMm());
    }

    /** The core that the eyes are turned of. */
    private function middleCore(PartPlan $part): int
    {
        return intdiv($part->part->count('cores') + 1, 2);
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $eye = fn (string $name): Eye => new Eye(
            "{$instance}/{$name}", EyeKind::Openable, $part->part->mm('eye'), $part->wireMm(), "band’s {$name} eye",
            $part->mark($name.'-loop'),
        );

        return ['top' => $eye('top'), 'bottom' => $eye('bottom')];
    }

    public function along(PartPlan $part): array
    {
        return ['weave', 'top', 'bottom'];
    }

    public function inShort(PartPlan $part): string
    {
        return mb_strimwidth($part->part->choice('pattern'), 0, 44, '…');
    }

    public function cuts(PartPlan $part): array
    {
        $band = $this->band($part);
        $pieces = $this->weavingWires($band);
        $weaving = (new Stretch($part))->given(
            SegmentKind::Tail,
            self::TAIL_MM,
            'tail',
            'weave-tail',
            'what the fingers hold at the start, trimmed off',
        );
        if ($pieces > 1) {
            return [...$this->coreCuts($part, $band), $this->joined($part, $band, $weaving, $pieces)];
        }
        foreach ($band->sections as $section) {
            $weaving->worked(
                SegmentKind::Weave,
                $section->wireMm,
                $section->cross > 0 ? 'carried on' : Figures::counted($section->repeats, 'repeat'),
                'weave',
                $section->cross > 0
                    ? 'length of the cross'
                    : ($section->weave instanceof BasketWeave ? 'repeats · the taut string round the cores' : 'repeats · Σ turns·√((π(D + w) + 2(k − 1)s)² + w²)'),
                $section->repeats.' × '.Figures::trim($section->wireMm / $section->repeats, 2),
            );
        }

        return [
            ...$this->coreCuts($part, $band),
            $weaving->given(
                SegmentKind::Tail,
                self::TAIL_MM,
                'tail',
                'weave-tail',
                'what the fingers hold at the end',
            )->cut('Weaving wire', 'weave', $part->times, 'weave'),
        ];
    }

    /** How many lengths of weaving wire it takes: none longer than arms can pull. */
    private function weavingWires(BandLayout $band): int
    {
        return max(1, (int) ceil($band->weavingWireMm() / self::WORKABLE_MM));
    }

    /** Several lengths alike, joined behind: some turns of each over the other. */
    private function joined(PartPlan $part, BandLayout $band, Stretch $stretch, int $pieces): Cut
    {
        $turn = Turn::mm($part->wireMm(), $band->wireMm);
        $joins = 2 * ($pieces - 1) / $pieces * self::JOIN_TURNS;

        return $stretch
            ->worked(
                SegmentKind::Weave,
                $band->weavingWireMm() / $pieces,
                'its share of the weave',
                'weave',
                'all the weave takes/lengths',
                Figures::trim($band->weavingWireMm(), 2)."/{$pieces}",
            )
            ->worked(
                SegmentKind::Weave,
                $joins * $turn,
                'joins',
                'weave',
                'turns over each other·√((π(D + w))² + w²)',
                Figures::trim($joins, 2).' × '.Figures::trim($turn, 3),
                'common practice: two or three turns of each over the other',
            )
            ->given(
                SegmentKind::Tail,
                self::TAIL_MM,
                'tail',
                'weave-tail',
                'what the fingers hold at the end, trimmed off',
            )
            ->cut('Weaving wire', 'weave', $part->times * $pieces, 'weave');
    }

    /**
     * Cores that come in and leave at the same places are one kind of cut.
     *
     * @return list<Cut> that of the middle core first
     */
    private function coreCuts(PartPlan $part, BandLayout $band): array
    {
        $kinds = [];
        foreach ([$this->middleCore($part), ...range(1, $band->cores)] as $core) {
            $key = ($core === $this->middleCore($part) ? 'eyes ' : '').implode(
                '/',
                array_map(
                    fn (float $mm): string => (string) round($mm, 6),
                    [...$band->runOf($core), $band->coreWireMm($core)],
                ),
            );
            if (! in_array($core, $kinds[$key] ?? [], true)) {
                $kinds[$key][] = $core;
            }
        }
        $cuts = [];
        foreach (array_values($kinds) as $kind => $cores) {
            [$from, $to] = $band->runOf($cores[0]);
            sort($cores);
            $wire = $band->coreWireMm($cores[0]);
            $words = count($kinds) === 1 ? '' : ' '.implode(', ', $cores);
            $cuts[] = (new Stretch($part))
                ->given(
                    SegmentKind::Tail,
                    $this->beyondMm($part, $cores),
                    'tail',
                    $from > 0 ? 'cores' : 'top-loop',
                    'what the hands hold and the curves need, trimmed off',
                )
                ->loop(
                    $this->turnedMm($part, $cores),
                    $part->wireMm(),
                    $this->turns($part, $cores),
                    $from > 0 ? 'cores' : 'top-loop',
                )->bend('weave starts')
                ->worked(
                    SegmentKind::Straight,
                    $wire,
                    'woven',
                    'cores',
                    'from where it comes in to where it leaves, and what crossing takes',
                    Figures::trim($to, 2).' − '.Figures::trim($from, 2)
                        .($wire - ($to - $from) > 1e-9 ? ' + '.Figures::trim($wire - ($to - $from), 2) : ''),
                )->bend('weave ends')
                ->loop(
                    $this->turnedMm($part, $cores),
                    $part->wireMm(),
                    $this->turns($part, $cores),
                    $to < $band->lengthMm() ? 'cores' : 'bottom-loop',
                )
                ->given(
                    SegmentKind::Tail,
                    $this->beyondMm($part, $cores),
                    'tail',
                    $to < $band->lengthMm() ? 'cores' : 'bottom-loop',
                    'what the hands hold and the curves need, trimmed off',
                )
                ->cut(
                    'Core'.$words,
                    $part->part->wire,
                    $part->times * count($cores),
                    $kind === 0 ? '' : "core-{$kind}",
                );
        }

        return $cuts;
    }

    /**
     * The middle core ends in eyes, the others are curled in.
     *
     * @param  non-empty-list<int>  $cores
     */
    private function turnedMm(PartPlan $part, array $cores): float
    {
        return $cores === [$this->middleCore($part)] ? $part->part->mm('eye') : self::CURL_MM;
    }

    /** @param  non-empty-list<int>  $cores */
    private function turns(PartPlan $part, array $cores): string
    {
        return $cores === [$this->middleCore($part)] ? 'eye' : 'curl';
    }

    /** @param  non-empty-list<int>  $cores */
    private function beyondMm(PartPlan $part, array $cores): float
    {
        return max(0.0, $part->part->mm('ends') - M_PI * ($this->turnedMm($part, $cores) + $part->wireMm()));
    }

    public function steps(PartPlan $part, string $event): array
    {
        $turn = function (string $place) use ($part, $event): array {
            $form = Forming::loop($part->wire, $part->part->mm('eye'), $part->profile);

            return [
                new Step(
                    $event,
                    '',
                    "Turn the {$place} eye",
                    'Trim the outer cores, curl their ends in, and turn an eye of the middle one round '
                        .$form->where('mark of the round-nose pliers', $part->profile).'.',
                    [$part->mark($place.'-loop')],
                    tool: 'round-nose pliers, flush cutter',
                    cautions: [Caution::CutEnds],
                    operation: Operation::Eye,
                ),
            ];
        };

        return match ($event) {
            'work weave' => [
                new Step(
                    $event,
                    '',
                    'Label the cores',
                    'Straighten '.Figures::counted($part->part->count('cores'), 'core')
                        .', number them with tape at one end, and tape them side by side.',
                    [$part->mark('cores')],
                    $part->part->count('cores'),
                    'cores',
                    tool: 'tape',
                    operation: Operation::Ready,
                ),
                ...$this->weaveSteps($part, $event),
                new Step(
                    $event,
                    '',
                    'Bend the bundle as one',
                    'Hold it where the curve should start and bend all cores together. Trim the tails of the weaving wire at the back.',
                    [$part->mark('weave')],
                    tool: 'fingers, flush cutter',
                    cautions: [Caution::CutEnds],
                ),
            ],
            'form top' => $turn('top'),
            'form bottom' => $turn('bottom'),
            default => [],
        };
    }

    /** @return list<Step> one for each section, and one wherever a core comes in or leaves */
    private function weaveSteps(PartPlan $part, string $event): array
    {
        $band = $this->band($part);
        $many = count($band->sections) > 1;
        $steps = [];
        foreach ($band->sections as $at => $section) {
            foreach (range(1, $band->cores) as $core) {
                if (abs($band->runOf($core)[0] - $section->fromMm) < 1e-9 && $section->fromMm > 0) {
                    $steps[] = new Step(
                        $event,
                        '',
                        "Core {$core} comes in",
                        "Lay core {$core} in with {$part->profile->length($part->part->mm('ends'))} standing out at the side, to be curled later.",
                        [$part->mark('cores')],
                        tool: 'fingers',
                        operation: Operation::Weave,
                    );
                }
            }
            $steps[] = $section->cross > 0
                ? new Step(
                    $event,
                    '',
                    'Cross two cores',
                    "Carry the weaving wire on at the back and bring core {$section->takes[0]} over core {$section->takes[1]}, within "
                        .$part->profile->length($section->lengthMm).'.',
                    [$part->mark('cores')],
                    tool: 'fingers, flat-nose pliers',
                    operation: Operation::Weave,
                )
                : new Step(
                    $event,
                    '',
                    $many ? 'Weave section '.($at + 1) : 'Weave',
                    ($at === 0 ? 'Leave a tail. ' : '').'Each repeat: '.self::inWords($section).'. '
                        .($at === 0 ? 'Keep the first turns round two easy, and push the rows together as you go.'.($this->weavingWires($band) > 1 ? ' It takes '.$this->weavingWires($band).' lengths of wire: begin each behind, with '.self::JOIN_TURNS.' turns of the old and the new over each other.' : '') : 'Push the rows together as you go.'),
                    [$part->mark('weave')],
                    $section->repeats,
                    'repeats',
                    tool: 'fingers',
                    operation: Operation::Weave,
                );
            foreach (range(1, $band->cores) as $core) {
                if (abs($band->runOf($core)[1] - $section->toMm()) < 1e-9 && $at < count($band->sections) - 1) {
                    $steps[] = new Step(
                        $event,
                        '',
                        "Core {$core} leaves",
                        "Bend core {$core} out to the side here. It is curled or wrapped when the band is woven, and nothing slides off over it.",
                        [$part->mark('cores')],
                        tool: 'chain-nose pliers',
                        operation: Operation::Weave,
                    );
                }
            }
        }

        return $steps;
    }

    private static function inWords(BandSection $section): string
    {
        $weave = $section->weave;
        if ($weave instanceof WeavePattern) {
            return implode(
                ', then ',
                array_map(
                    fn (array $figure): string => Figures::counted($figure['turns'], 'turn').' round '
                        .($figure['from'] === $figure['to'] ? 'core '.$figure['from'] : "cores {$figure['from']} to {$figure['to']}"),
                    array_slice($weave->figures, 0, 12),
                ),
            );
        }

        return $weave === null
            ? ''
            : implode(
                ', ',
                array_map(
                    fn (array $touch): string => ($touch['isFront'] ? 'in front of ' : 'behind ').$touch['core'],
                    array_slice($weave->touches, 0, 24),
                ),
            );
    }

    public function checks(PartPlan $part): array
    {
        [$cores, $id] = [$part->part->count('cores'), $part->part->id];
        try {
            $weave = BandWeave::parse($part->part->choice('pattern'), $cores);
        } catch (OutOfRange $why) {
            return [
                new Check(
                    Level::Stop,
                    'weave',
                    $why->getMessage(),
                    $id,
                    [new Way("Weave round all {$cores}", ['do' => 'part.set', 'part' => $id, 'key' => 'pattern', 'value' => "2@1-{$cores}"])],
                ),
            ];
        }
        $free = $weave->freeCores();
        if ($free !== []) {
            return [new Check(Level::Stop, 'weave', 'No section takes core '.implode(' or ', $free).': it would fall out.', $id, [
                new Way(
                    'Add a turn round all',
                    ['do' => 'part.set', 'part' => $id, 'key' => 'pattern', 'value' => $part->part->choice('pattern').(str_contains($part->part->choice('pattern'), '|') || preg_match('/[fbx]\d/', $part->part->choice('pattern')) === 1 ? " | 1@1-{$cores} x1" : " 1@1-{$cores}")],
                ),
            ])];
        }
        $band = $this->band($part);
        $checks = [];
        foreach (range(1, $cores) as $core) {
            foreach ($band->freeStretches($core) as [$from, $to]) {
                $checks[] = new Check(
                    Level::Note,
                    'weave',
                    "Core {$core} runs free for ".$part->profile->length($to - $from).', '.$part->profile->length($from)
                        .' from the start: nothing holds it there.',
                    $id,
                );
            }
        }
        array_push($checks, ...$this->lengthChecks($part, $band));
        [$from, $to] = $band->runOf($this->middleCore($part));
        if ($from > 0 || $to < $band->lengthMm() - 1e-9) {
            $checks[] = new Check(
                Level::Warn,
                'weave',
                'The middle core, of which the eyes are turned, does not run all the way.',
                $id,
            );
        }

        return $checks;
    }

    /** @return list<Check> the length that its repeats come to, where it is not the one that was asked for */
    private function lengthChecks(PartPlan $part, BandLayout $band): array
    {
        $asked = $part->part->mm('length');
        $section = $band->sections[0];
        $one = $section->lengthMm / $section->repeats;
        if (abs($band->lengthMm() - $asked) <= max($one, 0.5) + 1e-6) {
            return [];
        }

        return [new Check(Level::Note, 'woven length', 'Its repeats come to '.$part->profile->size($band->lengthMm()).', not to the '.$part->profile->size($asked).' asked for.', $part->part->id, [
            new Way(
                'Take '.$part->profile->size($band->lengthMm()),
                ['do' => 'part.set', 'part' => $part->part->id, 'key' => 'length', 'value' => round($band->lengthMm(), 3).' mm'],
            ),
        ])];
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        $band = $this->band($part);
        [$d, $metal] = [$part->wireMm(), $part->wire->metal];
        $from = $place->yMm + $part->part->mm('eye') + 2 * $d;
        $to = $from + $band->lengthMm();
        foreach (range(1, $band->cores) as $core) {
            $this->drawCore($part, $band, $core, $from, $sketch);
        }
        foreach ($band->sections as $section) {
            if ($section->weave instanceof WeavePattern) {
                $this->drawFigures($part, $band, $section, $section->weave, $from + $section->fromMm, $sketch);
            } elseif ($section->weave instanceof BasketWeave) {
                $this->drawBasket($part, $band, $section, $section->weave, $from + $section->fromMm, $sketch);
            }
        }
        $sketch->eye($place->yMm, $part->part->mm('eye'), $d, $place->facing, $metal, $part->mark('top-loop'));
        $sketch->eye($to + 2 * $d, $part->part->mm('eye'), $d, $place->facing, $metal, $part->mark('bottom-loop'));

        return ['bottom' => new Placement($to + 2 * $d + $part->part->mm('eye'), ! $place->facing)];
    }

    private function drawCore(PartPlan $part, BandLayout $band, int $core, float $yMm, Sketch $sketch): void
    {
        [$d, $metal, $mark] = [$part->wireMm(), $part->wire->metal, $part->mark('cores')];
        $points = array_map(
            fn (array $point): array => [round($point[1], 3), round($yMm + $point[0], 3)],
            $band->pathOf($core),
        );
        [$from, $to] = $band->runOf($core);
        [$first, $last] = [$points[0] ?? [0.0, $yMm], $points === [] ? [0.0, $yMm] : $points[count($points) - 1]];
        $beyond = $core === $this->middleCore($part) ? 1.5 * $d : 2.5 * $d;
        if ($from <= 0) {
            array_unshift($points, [$first[0], $first[1] - $beyond]);
        }
        if ($to >= $band->lengthMm() - 1e-9) {
            $points[] = [$last[0], $last[1] + $beyond];
        }
        if ($points !== []) {
            $sketch->through($points, $d, $metal, $mark);
        }
        // What comes in or leaves on the way is curled beside the band.
        foreach ([[$from > 0, $first, -1], [$to < $band->lengthMm() - 1e-9, $last, 1]] as [$isOpen, [$x, $y], $down]) {
            if ($isOpen) {
                $side = $x < 0 ? -1 : 1;
                $curl = new Spiral($d, 1.0, 1.5);
                $far = $curl->widthMm() / 2;
                $sketch->through(
                    [[$x, $y], [round($x + $side * $far * 0.3, 3), round($y + $down * $d, 3)], [round($x + $side * 2 * $far, 3), round($y + $down * $d * 1.5, 3)]],
                    $d,
                    $metal,
                    $mark,
                    2,
                );
                $sketch->spiral(
                    $x + $side * 2 * $far,
                    $y + $down * ($d * 1.5 + $far - $d / 2),
                    $curl,
                    $down > 0 ? -0.25 : 0.25,
                    $side * $down,
                    $metal,
                    $mark,
                    2,
                );
            }
        }
    }

    private function xOf(BandLayout $band, int $place): float
    {
        return ($place - 1 - ($band->cores - 1) / 2) * $band->spacingMm;
    }

    private function drawFigures(
        PartPlan $part, BandLayout $band, BandSection $section, WeavePattern $weave, float $yMm, Sketch $sketch,
    ): void {
        [$w, $metal, $mark, $half] = [$band->wireMm, $part->wireOf('weave')->metal, $part->mark('weave'), ($band->coreMm + $band->wireMm) / 2];
        for ($repeat = 0; $repeat < $section->repeats; $repeat++) {
            foreach ($weave->figures as $figure) {
                for ($turn = 0; $turn < $figure['turns']; $turn++) {
                    $sketch->through(
                        [[$this->xOf($band, $figure['from']) - $half, round($yMm + 0.25 * $w, 3)], [$this->xOf($band, $figure['to']) + $half, round($yMm + 0.75 * $w, 3)]],
                        $w,
                        $metal,
                        $mark,
                        2,
                    );
                    $yMm += $w;
                }
            }
        }
    }

    /** What passes in front is seen over its core, what passes behind lies under it. */
    private function drawBasket(
        PartPlan $part, BandLayout $band, BandSection $section, BasketWeave $weave, float $yMm, Sketch $sketch,
    ): void {
        [$w, $metal, $mark] = [$band->wireMm, $part->wireOf('weave')->metal, $part->mark('weave')];
        $count = count($weave->touches);
        $step = $weave->climbMm($w) / $count;
        foreach (range(0, $section->repeats * $count - 1) as $pass) {
            $touch = $weave->touches[$pass % $count];
            $next = $weave->touches[($pass + 1) % $count];
            $side = $next['core'] === $touch['core'] ? ($touch['isFront'] ? 1 : -1) : $next['core'] <=> $touch['core'];
            $x = $this->xOf($band, $touch['core']);
            $sketch->through(
                [[round($x - $side * $band->spacingMm / 2, 3), round($yMm + $pass * $step, 3)], [round($x + $side * $band->spacingMm / 2, 3), round($yMm + ($pass + 1) * $step, 3)]],
                $w,
                $metal,
                $mark,
                $touch['isFront'] ? 2 : 0,
            );
        }
    }
}
