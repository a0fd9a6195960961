<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\Eye as EyeShape;
use Hebra\Core\Course\Shape\Laid;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Taken;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Course\WovenWire;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\EventKind;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Moment;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Technique;
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

    /** How far a core that leaves on the way is bent out. */
    private const OUT_DEGREES = 60.0;

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
            Parameter::count('bead_every', 'repeats from bead to bead', 4, 1, 500),
            Parameter::length('ends', 'each core beyond, each end, trimmed', 100.0, 20.0, 250.0),
            Parameter::length('eye', 'eyes, inside', 3.0, 1.0, 20.0),
            Parameter::flag('turned', 'eyes across the face', false),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return match ($key) {
            'mirrored' => str_contains($part->choice('pattern'), '|'),
            'bead_every' => $part->beads !== [],
            default => true,
        };
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBeads(): int
    {
        return 0;
    }

    public function through(PartPlan $part, int $run): array
    {
        return ['weave'];
    }

    private function beads(PartPlan $part, BandLayout $band): WovenBeads
    {
        return new WovenBeads($part, $band);
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

    public function facesAcross(PartPlan $part): bool
    {
        return $part->part->is('turned');
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

    public function courses(PartPlan $part): array
    {
        $band = $this->band($part);

        return [...$this->coreCourses($part, $band), ...$this->weavingCourses($part, $band)];
    }

    /** How low the weave begins: below an eye. */
    private function topMm(PartPlan $part): float
    {
        return $part->part->mm('eye') + $part->wireMm();
    }

    /** @return list<Course> */
    private function weavingCourses(PartPlan $part, BandLayout $band): array
    {
        $beads = $this->beads($part, $band);
        $woven = new WovenWire($band, $this->topMm($part), $beads->places());
        $pieces = $this->weavingWires($part, $band);
        if ($pieces > 1) {
            return $this->joined($part, $band, $woven, $pieces);
        }
        $stretch = self::weaveTail(new Stretch($part), 'start')->anchored();
        $sections = Later::once(fn (): array => $woven->sections());
        foreach ($band->sections as $at => $section) {
            // Over a cross it also goes aside, from where it leaves to where it goes on.
            $mm = $section->cross > 0 ? (new Curve($sections()[$at]))->lengthMm() : $section->wireMm;
            $more = $beads->moreMm($at);
            $stretch->worked(
                SegmentKind::Weave,
                $mm + $more,
                $section->cross > 0 ? 'carried on' : Figures::counted($section->repeats, 'repeat'),
                'weave',
                $section->cross > 0
                    ? 'length of the cross'
                    : ($section->weave instanceof BasketWeave ? 'repeats · the taut string round the cores' : 'repeats · Σ turns·√((π(D + w) + 2(k − 1)s)² + w²)'),
                $section->repeats.' × '.Figures::trim($mm / $section->repeats, 2)
                    .($more > 0.0 ? ' + '.Figures::trim($more, 3) : ''),
                beads: $beads->on($at),
                shape: new Later(fn (): Shape => $sections()[$at] === [] ? new Taken : Laid::through($sections()[$at])),
            )->threading(fn (): array => $this->threaded($part, $woven->beadsOn($at)));
        }

        return [
            self::weaveTail($stretch, 'end')->course('Weaving wire', 'weave', $part->times, fn (): Frame => $woven->start(), 'weave'),
        ];
    }

    /**
     * @param  list<array{Strung, float}>  $beads
     * @return list<Threaded>
     */
    private function threaded(PartPlan $part, array $beads): array
    {
        return array_map(
            fn (array $one): Threaded => new Threaded($one[0]->bead, 1, $part->mark('beads'), atMm: $one[1]), $beads,
        );
    }

    /** All that is woven, with what its beads cost more. */
    private function wovenMm(PartPlan $part, BandLayout $band): float
    {
        $beads = $this->beads($part, $band);

        return $band->weavingWireMm() + array_sum(array_map($beads->moreMm(...), array_keys($band->sections)));
    }

    private static function weaveTail(Stretch $stretch, string $end): Stretch
    {
        return $stretch->tail(self::TAIL_MM, 'weave-tail', "what the fingers hold at the {$end}, trimmed off");
    }

    /** How many lengths of weaving wire it takes: none longer than arms can pull. */
    private function weavingWires(PartPlan $part, BandLayout $band): int
    {
        return max(1, (int) ceil($this->wovenMm($part, $band) / self::WORKABLE_MM));
    }

    /**
     * Several lengths alike, joined behind: some turns of each over the other.
     *
     * @return list<Course>
     */
    private function joined(PartPlan $part, BandLayout $band, WovenWire $woven, int $pieces): array
    {
        $turn = Turn::mm($part->wireMm(), $band->wireMm);
        $joins = 2 * ($pieces - 1) / $pieces * self::JOIN_TURNS;
        $wovenMm = $this->wovenMm($part, $band);
        $courses = [];
        $shares = Later::once(fn (): array => (new Curve(array_merge(...$woven->sections())))->shared($pieces));
        for ($piece = 0; $piece < $pieces; $piece++) {
            $stretch = self::weaveTail(new Stretch($part), 'start')->anchored()
                ->worked(
                    SegmentKind::Weave,
                    $wovenMm / $pieces,
                    'its share of the weave',
                    'weave',
                    'all the weave takes/lengths',
                    Figures::trim($wovenMm, 2)."/{$pieces}",
                    beads: array_column($this->shareOf($part, $band, $woven, $piece, $wovenMm / $pieces), 0),
                    shape: new Later(fn (): Laid => Laid::through($shares()[$piece])),
                )->threading(
                    fn (): array => $this->threaded($part, $this->shareOf($part, $band, $woven, $piece, $wovenMm / $pieces)),
                )
                ->worked(
                    SegmentKind::Weave,
                    $joins * $turn,
                    'joins',
                    'weave',
                    'turns over each other·√((π(D + w))² + w²)',
                    Figures::trim($joins, 2).' × '.Figures::trim($turn, 3),
                    'common practice: two or three turns of each over the other',
                    shape: new Taken,
                );
            $courses[] = self::weaveTail($stretch, 'end')->course(
                'Weaving wire', 'weave', $part->times,
                fn (): Frame => Frame::down(0.0)->in($shares()[$piece][0]->from),
                // Lengths that carry beads are told apart.
                $part->strung === [] || $piece === 0 ? 'weave' : 'weave-'.($piece + 1),
            );
        }

        return $courses;
    }

    /**
     * The beads of one of several lengths, and where they stand on it.
     *
     * @return list<array{Strung, float}>
     */
    private function shareOf(PartPlan $part, BandLayout $band, WovenWire $woven, int $piece, float $eachMm): array
    {
        [$share, $mm] = [[], 0.0];
        foreach ($band->sections as $at => $section) {
            foreach ($woven->beadsOn($at) as [$strung, $on]) {
                if ((int) floor(($mm + $on) / $eachMm) === $piece) {
                    $share[] = [$strung, $mm + $on - $piece * $eachMm];
                }
            }
            $mm += $section->wireMm + $this->beads($part, $band)->moreMm($at);
        }

        return $share;
    }

    /**
     * Cores that come in and leave at the same places are one kind of cut.
     *
     * @return list<Course> the middle core first
     */
    private function coreCourses(PartPlan $part, BandLayout $band): array
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
        $courses = [];
        foreach (array_values($kinds) as $kind => $cores) {
            sort($cores);
            $label = 'Core'.(count($kinds) === 1 ? '' : ' '.implode(', ', $cores));
            foreach ($cores as $core) {
                $courses[] = $this->core($part, $band, $core, $cores, $label, $kind === 0 ? '' : "core-{$kind}");
            }
        }

        return $courses;
    }

    /** @param  non-empty-list<int>  $cores  all that are alike */
    private function core(
        PartPlan $part, BandLayout $band, int $core, array $cores, string $label, string $slot,
    ): Course {
        [$from, $to] = $band->runOf($core);
        $wire = $band->coreWireMm($core);
        $path = $this->path($part, $band, $core);
        $isOpen = ['top' => $from > 0, 'bottom' => $to < $band->lengthMm() - 1e-9];
        $across = ['top' => $path[0]->from->x, 'bottom' => $path[count($path) - 1]->to->x];
        $mark = fn (string $end): string => $isOpen[$end] ? 'cores' : "{$end}-loop";
        $tail = fn (Stretch $stretch, string $end): Stretch => $stretch->given(
            SegmentKind::Tail, $this->beyondMm($part, $cores), 'tail', $mark($end),
            'what the hands hold and the curves need, trimmed off',
        );
        $turned = fn (Stretch $stretch, string $end): Stretch => $stretch->loop(
            $this->turnedMm($part, $cores), $part->wireMm(), $this->turns($part, $cores), $mark($end),
            $this->endShape($part, $band, $core, $across[$end], $isOpen[$end], $end === 'top'),
        );
        $stretch = $turned($tail(new Stretch($part), 'top'), 'top')->bend('weave starts')->anchored()
            ->worked(
                SegmentKind::Straight,
                $wire,
                'woven',
                'cores',
                'from where it comes in to where it leaves, and what crossing takes',
                Figures::trim($to, 2).' − '.Figures::trim($from, 2)
                    .($wire - ($to - $from) > 1e-9 ? ' + '.Figures::trim($wire - ($to - $from), 2) : ''),
                shape: Laid::through($path),
            )->bend('weave ends');

        return $tail($turned($stretch, 'bottom'), 'bottom')->course(
            $label, $part->part->wire, $part->times, Frame::down(0.0)->in($path[0]->from), $slot,
        );
    }

    /** @return non-empty-list<Span> the middle of a core; of two that cross the one lies over the other */
    private function path(PartPlan $part, BandLayout $band, int $core): array
    {
        $top = $this->topMm($part);
        $spans = [];
        $points = $band->pathOf($core);
        for ($at = 0; $at + 1 < count($points); $at++) {
            [[$along, $across], [$on, $to]] = [$points[$at], $points[$at + 1]];
            if ($on - $along < 1e-9) {
                continue;
            }
            [$one, $other] = [new Vector($across, $top + $along), new Vector($to, $top + $on)];
            if (abs($across - $to) < 1e-9) {
                $spans[] = Span::straight($one, $other);

                continue;
            }
            $over = $this->isOver($band, $core, $along) ? 0.5 : -0.5;
            $middle = $one->plus($other)->times(0.5)->plus(new Vector(0.0, 0.0, $over * $part->wireMm()));
            array_push($spans, Span::straight($one, $middle), Span::straight($middle, $other));
        }

        return $spans === [] ? [Span::straight(new Vector(0.0, $top), new Vector(0.0, $top + 1.0))] : $spans;
    }

    private function isOver(BandLayout $band, int $core, float $fromMm): bool
    {
        foreach ($band->sections as $section) {
            if ($section->cross > 0 && abs($section->fromMm - $fromMm) < 1e-9) {
                return ($section->takes[0] ?? 0) === $core;
            }
        }

        return false;
    }

    /** The middle core ends in an eye; outer ones curl to their side, inner ones behind, and what ends on the way is bent out first. */
    private function endShape(
        PartPlan $part, BandLayout $band, int $core, float $acrossMm, bool $isOpen, bool $isTop,
    ): Shape {
        $d = $part->wireMm();
        if ($core === $this->middleCore($part)) {
            return new Rolled(new EyeShape($part->part->mm('eye'), $d), $part->part->is('turned') ? 90.0 : 0.0);
        }
        $curl = Arc::turns(self::CURL_MM, $d, 1.0);
        // Down the page a wire bends to the right, and up it as well.
        $side = $acrossMm < 0 ? 180.0 : 0.0;
        if ($isOpen) {
            return new Rolled(new Together(new Corner(self::OUT_DEGREES), $curl), $side);
        }
        $isOuter = abs(abs($acrossMm) - ($band->cores - 1) / 2 * $band->spacingMm) < 1e-6;

        return new Rolled($curl, $isOuter ? $side : ($isTop ? 90.0 : -90.0));
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

    public function steps(PartPlan $part, Moment $moment): array
    {
        $turn = function (string $place) use ($part, $moment): array {
            $form = Forming::loop($part->wire, $part->part->mm('eye'), $part->profile);

            return [
                new Step(
                    $moment,
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

        return match ([$moment->kind, $moment->place]) {
            [EventKind::Work, 'weave'] => [
                new Step(
                    $moment,
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
                ...$this->stringSteps($part, $moment),
                ...$this->weaveSteps($part, $moment),
                new Step(
                    $moment,
                    '',
                    'Bend the bundle as one',
                    'Hold it where the curve should start and bend all cores together. Trim the tails of the weaving wire at the back.',
                    [$part->mark('weave')],
                    tool: 'fingers, flush cutter',
                    cautions: [Caution::CutEnds],
                ),
            ],
            [EventKind::Form, 'top'] => $turn('top'),
            [EventKind::Form, 'bottom'] => $turn('bottom'),
            default => [],
        };
    }

    /** @return list<Step> what every weaving wire carries is on it before it is begun */
    private function stringSteps(PartPlan $part, Moment $moment): array
    {
        if ($part->strung === []) {
            return [];
        }
        $wires = $this->weavingCourses($part, $this->band($part));
        $steps = [];
        foreach ($wires as $number => $course) {
            $beads = Stringing::joined(array_merge(...array_map(fn (Move $move): array => $move->segment->beads, $course->moves)));
            if ($beads === []) {
                continue;
            }
            $step = new Step(
                $moment, '', 'String the weaving wire'.(count($wires) > 1 ? ' '.($number + 1) : ''),
                'The first that is wanted goes on first: '.Stringing::words($beads).'. Let them hang, and slide one up every '
                    .Figures::counted($part->part->count('bead_every'), 'repeat').', on the front, where the widest turn crosses.',
                [$part->mark('beads')], array_sum(array_map(fn (Strung $run): int => $run->count, $beads)), 'beads',
                tool: 'fingers', operation: Operation::Thread,
            );
            $steps[] = $step->putting($beads, $part->cutKey($course->slot));
        }

        return $steps;
    }

    /** @return list<Check> whether every bead has a place, and is no longer than what it lies across */
    private function beadChecks(PartPlan $part, BandLayout $band): array
    {
        if ($part->strung === []) {
            return [];
        }
        [$beads, $id, $size] = [$this->beads($part, $band), $part->part->id, $part->profile->size(...)];
        $checks = [];
        if ($part->beadCount() > $beads->room()) {
            $every = $part->part->count('bead_every');
            $checks[] = new Check(
                Level::Stop, 'room', 'With a bead every '.Figures::counted($every, 'repeat').' there is room for '
                    .$beads->room().', and '.$part->beadCount().' are given.', $id,
                $every === 1 ? [] : [new Way('A bead every repeat', new SetSetting($id, 'bead_every', '1'))],
            );
        }
        $pass = max(array_map($beads->passMm(...), $band->sections));
        foreach ($part->strung as $strung) {
            if ($strung->bead->lengthMm > $pass + 1e-9) {
                $checks[] = new Check(
                    Level::Warn, 'bead across', 'The '.$strung->bead->words().' is longer than what it lies across, '.$size($pass)
                        .': it stands out at both sides.', $id,
                );
            }
        }

        if ($part->beadCount() > 1 && $part->widestMm() > $beads->apartMm() + 1e-9) {
            $every = (string) ($part->part->count('bead_every') + 1);
            $checks[] = new Check(
                Level::Warn, 'crowded', 'Beads '.$size($part->widestMm()).' wide would stand in each other: they are '
                    .$size($beads->apartMm()).' apart.', $id,
                [new Way("A bead every {$every} repeats", new SetSetting($id, 'bead_every', $every))],
            );
        }

        return $checks;
    }

    /** @return list<Step> one for each section, and one wherever a core comes in or leaves */
    private function weaveSteps(PartPlan $part, Moment $moment): array
    {
        $band = $this->band($part);
        $many = count($band->sections) > 1;
        $steps = [];
        foreach ($band->sections as $at => $section) {
            foreach (range(1, $band->cores) as $core) {
                if (abs($band->runOf($core)[0] - $section->fromMm) < 1e-9 && $section->fromMm > 0) {
                    $steps[] = new Step(
                        $moment,
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
                    $moment,
                    '',
                    'Cross two cores',
                    "Carry the weaving wire on at the back and bring core {$section->takes[0]} over core {$section->takes[1]}, within "
                        .$part->profile->length($section->lengthMm).'.',
                    [$part->mark('cores')],
                    tool: 'fingers, flat-nose pliers',
                    operation: Operation::Weave,
                )
                : new Step(
                    $moment,
                    '',
                    $many ? 'Weave section '.($at + 1) : 'Weave',
                    ($at === 0 ? 'Leave a tail. ' : '').'Each repeat: '.self::inWords($section).'. '
                        .($at === 0 ? 'Keep the first turns round two easy, and push the rows together as you go.'.($this->weavingWires($part, $band) > 1 ? ' It takes '.$this->weavingWires($part, $band).' lengths of wire: begin each behind, with '.self::JOIN_TURNS.' turns of the old and the new over each other.' : '') : 'Push the rows together as you go.'),
                    [$part->mark('weave')],
                    $section->repeats,
                    'repeats',
                    tool: 'fingers',
                    operation: Operation::Weave,
                );
            foreach (range(1, $band->cores) as $core) {
                if (abs($band->runOf($core)[1] - $section->toMm()) < 1e-9 && $at < count($band->sections) - 1) {
                    $steps[] = new Step(
                        $moment,
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
                    [new Way("Weave round all {$cores}", new SetSetting($id, 'pattern', "2@1-{$cores}"))],
                ),
            ];
        }
        $free = $weave->freeCores();
        if ($free !== []) {
            return [new Check(Level::Stop, 'weave', 'No section takes core '.implode(' or ', $free).': it would fall out.', $id, [
                new Way(
                    'Add a turn round all',
                    new SetSetting($id, 'pattern', $part->part->choice('pattern').(str_contains($part->part->choice('pattern'), '|') || preg_match('/[fbx]\d/', $part->part->choice('pattern')) === 1 ? " | 1@1-{$cores} x1" : " 1@1-{$cores}")),
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
        array_push($checks, ...$this->beadChecks($part, $band), ...$this->lengthChecks($part, $band));
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
                new SetSetting($part->part->id, 'length', round($band->lengthMm(), 3).' mm'),
            ),
        ])];
    }

    public function hung(PartPlan $part): array
    {
        $reach = 2 * $this->topMm($part) + $this->band($part)->lengthMm();

        return ['bottom' => new Placement($reach, $part->part->is('turned'))];
    }
}
