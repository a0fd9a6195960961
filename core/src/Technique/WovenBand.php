<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Closure;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\Eye as EyeShape;
use Hebra\Core\Course\Shape\FlatSpiral;
use Hebra\Core\Course\Shape\Laid;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Taken;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Course\WovenWire;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
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
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wrap\BandLayout;
use Hebra\Core\Wrap\BandSection;
use Hebra\Core\Wrap\BandWeave;
use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\Crossing;
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

    /** Before all that is woven, and after it. */
    private const FIRST = -10;

    private const LAST = 100_000;

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

    /** How far a curl goes straight before it comes round, thicknesses, and by how much the outer ones lean out. */
    private const CLEAR = 1.6;

    private const LEAN_DEGREES = 42.0;

    /** One behind the weave: how far up it is bent over, thicknesses, and how far round it goes, radians. */
    private const OVER = 0.35;

    private const OPEN = 3.3;

    /** Eyes side by side stand so many thicknesses apart. */
    private const ASLANT = 1.02;

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
            Parameter::length('eye', 'eyes, inside', 3.0, 1.0, 20.0)->bentOn(ToolKind::LOOPS),
            Parameter::text('eyes', 'cores that end in eyes; nothing: the middle one', '', self::coresRead(...)),
            Parameter::number('curls', 'turns of the other cores’ curls', 1.0, 1.0, 5.0),
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

    /**
     * Numbers of cores, such as `2 4`.
     *
     * @return list<int>
     *
     * @throws OutOfRange if something in it is no core that a band may have
     */
    private static function coresRead(string $text, string $field): array
    {
        $cores = [];
        foreach (preg_split('/[\s,;·+]+/u', trim(mb_scrub($text)), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $one) {
            $cores[] = preg_match('/^[1-7]$/', $one) === 1 ? (int) $one : throw OutOfRange::because(
                $field, '“'.mb_strimwidth($one, 0, 20, '…').'”', 'is no core',
                'numbers of cores from 1 to 7, such as 2 4',
            );
        }

        return array_values(array_unique($cores));
    }

    /** @return non-empty-list<int> the cores that the eyes are turned of, the one that the band hangs by first */
    private function eyeCores(PartPlan $part): array
    {
        $most = $part->part->count('cores');
        $cores = array_filter(
            self::coresRead($part->part->choice('eyes'), 'eyes'), fn (int $core): bool => $core <= $most,
        );
        $middle = intdiv($most + 1, 2);
        usort(
            $cores, fn (int $one, int $other): int => [abs($one - $middle), $one] <=> [abs($other - $middle), $other],
        );

        return $cores === [] ? [$middle] : $cores;
    }

    /** The core that the band hangs by. */
    private function middleCore(PartPlan $part): int
    {
        return $this->eyeCores($part)[0];
    }

    private function endsInEye(PartPlan $part, int $core): bool
    {
        return in_array($core, $this->eyeCores($part), true);
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $eye = fn (string $name): Eye => new Eye(
            "{$instance}/{$name}", EyeKind::Openable, $part->part->mm('eye'), $part->wireMm(), "band’s {$name} eye",
            $part->mark($name.'-loop'),
        );

        $more = [];
        foreach (array_slice($this->eyeCores($part), 1) as $core) {
            foreach (['top', 'bottom'] as $end) {
                $more["{$end}-{$core}"] = new Eye(
                    "{$instance}/{$end}-{$core}", EyeKind::Openable, $part->part->mm('eye'), $part->wireMm(),
                    "band’s {$end} eye of core {$core}", $part->mark($end.'-loop'),
                );
            }
        }

        return ['top' => $eye('top'), 'bottom' => $eye('bottom'), ...$more];
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
        $stringing = $this->stringingOf($part, array_merge(...array_map($beads->on(...), array_keys($band->sections))));
        foreach ($band->sections as $at => $section) {
            // Over a cross it also goes aside, from where it leaves to where it goes on.
            $mm = $section->crossing !== null ? (new Curve($sections()[$at]))->lengthMm() : $section->wireMm;
            $more = $beads->moreMm($at);
            $stretch->worked(
                SegmentKind::Weave,
                $mm + $more,
                $section->crossing !== null ? 'carried on' : Figures::counted($section->repeats, 'repeat'),
                'weave',
                match (true) {
                    $section->crossing !== null => 'length of the cross',
                    $section->weave instanceof BasketWeave => 'repeats · the taut string round the cores',
                    default => 'repeats · Σ turns·√((π(D + w) + 2(k − 1)s)² + w²)',
                },
                $section->repeats.' × '.Figures::trim($mm / $section->repeats, 2)
                    .($more > 0.0 ? ' + '.Figures::trim($more, 3) : ''),
                beads: $beads->on($at),
                shape: new Later(fn (): Shape => $sections()[$at] === [] ? new Taken : Laid::through($sections()[$at])),
            )->threading(fn (): array => $this->threaded($part, $woven->beadsOn($at)))->by(
                fn (): Handwork => $this->weaving($part, $band, $at), ...$stringing,
                ...[self::turningOver(...), self::bundling(...)],
            );
        }

        return [
            self::weaveTail($stretch, 'end')->course(
                'Weaving wire', 'weave', $part->times, fn (): Frame => $woven->start(), 'weave',
            ),
        ];
    }

    /**
     * @param  list<Strung>  $beads  all that a weaving wire carries
     * @param  string  $which  of several its number
     * @return list<Closure(): Handwork>
     */
    private function stringingOf(PartPlan $part, array $beads, string $which = ''): array
    {
        return $beads === [] ? [] : [fn (): Handwork => self::stringing($part, $beads, $which)];
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
        $weaving = $this->weavingAll($part, $band);
        for ($piece = 0; $piece < $pieces; $piece++) {
            $carried = array_column($this->shareOf($part, $band, $woven, $piece, $wovenMm / $pieces), 0);
            $stretch = self::weaveTail(new Stretch($part), 'start')->anchored()
                ->worked(
                    SegmentKind::Weave,
                    $wovenMm / $pieces,
                    'its share of the weave',
                    'weave',
                    'all the weave takes/lengths',
                    Figures::trim($wovenMm, 2)."/{$pieces}",
                    beads: $carried,
                    shape: new Later(fn (): Laid => Laid::through($shares()[$piece])),
                )->threading(
                    fn (): array => $this->threaded(
                        $part, $this->shareOf($part, $band, $woven, $piece, $wovenMm / $pieces),
                    ),
                )->by(...$weaving, ...$this->stringingOf($part, $carried, ' '.($piece + 1)))
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
            $mm += $this->sectionMm($part, $band, $at);
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
            $key = ($this->endsInEye($part, $core) ? 'eyes ' : '').implode(
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
        $bits = $this->bits($part, $band, $core);
        $path = array_merge(...array_column($bits, 1));
        $isOpen = ['top' => $from > 0, 'bottom' => $to < $band->lengthMm() - 1e-9];
        $across = ['top' => $path[0]->from->x, 'bottom' => $path[count($path) - 1]->to->x];
        $mark = fn (string $end): string => $isOpen[$end] ? self::outMark($core) : "{$end}-loop";
        $onTheWay = ['top' => self::beginningOf($part, $band, $core), 'bottom' => self::endOf($band, $core)];
        $ending = fn (string $end): array => $isOpen[$end] ? [] : [fn (): Handwork => $this->turning($part, $end)];
        $tail = fn (Stretch $stretch, string $end): Stretch => $stretch->given(
            SegmentKind::Tail, $this->beyondMm($part, $cores), 'tail',
            $isOpen[$end] ? "core-{$core}-tail" : "{$end}-tail",
            'what the hands hold and the curves need, trimmed off',
        )->by(...$ending($end));
        $turned = fn (Stretch $stretch, string $end): Stretch => $this->turned(
            $part, $stretch, $core, $mark($end),
            $this->endShape($part, $band, $core, $across[$end], $isOpen[$end], $end === 'top'),
        )->by(...$ending($end), ...$onTheWay[$end]);
        $stretch = $turned($tail(new Stretch($part), 'top'), 'top')->bend('weave starts')->anchored();
        foreach ($bits as [$section, $spans]) {
            if ($section === null) {
                self::laidAlong($stretch, $spans);
            } else {
                self::laidAcross($stretch, [$section, $spans], $band->asideMm($core, $band->sections[$section]));
                $stretch->by(fn (): Handwork => $this->weaving($part, $band, $section));
            }
        }
        $stretch->bend('weave ends');

        return $tail($turned($stretch, 'bottom'), 'bottom')->course(
            $label, $part->part->wire, $part->times, Frame::down(0.0)->in($path[0]->from), $slot,
        );
    }

    /** @return list<Closure(): Handwork> where a core begins it is labelled, and comes in, where that is on the way */
    private static function beginningOf(PartPlan $part, BandLayout $band, int $core): array
    {
        $from = $band->runOf($core)[0];
        $work = [fn (): Handwork => self::labelling($part)];
        foreach ($band->sections as $at => $section) {
            if ($section->fromMm > 0 && abs($from - $section->fromMm) < 1e-9) {
                $work[] = fn (): Handwork => self::comingIn($part, $core, $at);
            }
        }

        return $work;
    }

    /** @return list<Closure(): Handwork> where it leaves on the way */
    private static function endOf(BandLayout $band, int $core): array
    {
        $to = $band->runOf($core)[1];
        $work = [];
        foreach (array_slice($band->sections, 0, -1, true) as $at => $section) {
            if (abs($to - $section->toMm()) < 1e-9) {
                $work[] = fn (): Handwork => self::leaving($core, $at);
            }
        }

        return $work;
    }

    /** What is bent out where a core comes in or leaves on the way. */
    private static function outMark(int $core): string
    {
        return "core-{$core}-out";
    }

    private static function crossMark(int $section): string
    {
        return "cross-{$section}";
    }

    /** @param  non-empty-list<Span>  $spans  one stretch of a core along the band */
    private static function laidAlong(Stretch $stretch, array $spans): void
    {
        $mm = $spans[count($spans) - 1]->to->y - $spans[0]->from->y;
        $stretch->worked(
            SegmentKind::Straight, $mm, 'woven', 'cores',
            'from where it comes in, or has crossed, to where it crosses or leaves', Figures::trim($mm, 2),
            shape: Laid::through($spans),
        );
    }

    /** @param  array{int, non-empty-list<Span>}  $bit  one stretch of a core over a cross */
    private static function laidAcross(Stretch $stretch, array $bit, float $asideMm): void
    {
        [$section, $spans] = $bit;
        $longMm = $spans[count($spans) - 1]->to->y - $spans[0]->from->y;
        $wayMm = Crossing::wayMm($longMm, $asideMm);
        $turned = atan($asideMm / $longMm);
        $stretch->worked(
            SegmentKind::Straight, $wayMm, 'across', self::crossMark($section),
            '4R·θ, R = (L² + s²)/(4s), θ = atan(s/L), s = √(across² + d²)',
            '4 × '.Figures::trim($wayMm / (4 * $turned), 3).' × '.Figures::trim($turned, 4),
            shape: Laid::through($spans),
        );
    }

    /**
     * The middle of a core, what runs along the band parted from what crosses; of two that cross the one lies over the
     * other.
     *
     * @return non-empty-list<array{int|null, non-empty-list<Span>}> each with the section where it crosses
     */
    private function bits(PartPlan $part, BandLayout $band, int $core): array
    {
        $top = $this->topMm($part);
        $bits = [];
        $points = $band->pathOf($core);
        for ($at = 0; $at + 1 < count($points); $at++) {
            [[$along, $across], [$on, $to]] = [$points[$at], $points[$at + 1]];
            if ($on - $along < 1e-9) {
                continue;
            }
            [$one, $other] = [new Vector($across, $top + $along), new Vector($to, $top + $on)];
            $section = abs($across - $to) < 1e-9 ? null : $this->crossingAt($band, $along);
            $last = array_key_last($bits);
            if ($section === null && $last !== null && $bits[$last][0] === null) {
                $bits[$last][1][] = Span::straight($one, $other);

                continue;
            }
            $nearMm = ($band->sections[$section ?? 0]->isOver($core) ? 0.5 : -0.5) * $part->wireMm();
            $bits[] = [
                $section,
                $section === null ? [Span::straight($one, $other)] : $this->crossed($one, $other, $nearMm),
            ];
        }

        return $bits === []
            ? [[null, [Span::straight(new Vector(0.0, $top), new Vector(0.0, $top + 1.0))]]]
            : $bits;
    }

    /**
     * In two arcs alike from one place to the other, nearest or farthest in its middle.
     *
     * @return non-empty-list<Span>
     */
    private function crossed(Vector $one, Vector $other, float $nearMm): array
    {
        $down = new Vector(0.0, 1.0);
        $way = $other->minus($one);
        $angle = 2 * atan($way->x / $way->y);
        $across = new Vector(sin($angle), cos($angle));
        $middle = $one->plus($other)->times(0.5)->plus(new Vector(0.0, 0.0, $nearMm));

        return [Span::along($one, $down, $middle, $across), Span::along($middle, $across, $other, $down)];
    }

    /** The section that crosses from a place on. */
    private function crossingAt(BandLayout $band, float $fromMm): ?int
    {
        foreach ($band->sections as $at => $section) {
            if ($section->crossing !== null && abs($section->fromMm - $fromMm) < 1e-9) {
                return $at;
            }
        }

        return null;
    }

    /**
     * The middle core ends in an eye; outer ones curl to their side, inner ones behind, and what ends on the way is
     * bent out farther.
     */
    private function endShape(
        PartPlan $part, BandLayout $band, int $core, float $acrossMm, bool $isOpen, bool $isTop,
    ): Shape {
        $d = $part->wireMm();
        if ($this->endsInEye($part, $core)) {
            return new Rolled(new EyeShape($part->part->mm('eye'), $d), $this->eyesRoll($part, $band));
        }
        // Up the page it bends to the right of it, down the page to the left: away from the others.
        $side = ($acrossMm < 0) === $isTop ? 180.0 : 0.0;
        if ($isOpen) {
            return new Rolled($this->curled($part, self::OUT_DEGREES), $side);
        }
        $isOuter = abs(abs($acrossMm) - ($band->cores - 1) / 2 * $band->spacingMm) < 1e-6;

        return $isOuter
            ? new Rolled($this->curled($part, self::LEAN_DEGREES), $side)
            : new Rolled($this->curledBehind($part), -90.0);
    }

    /** Eyes that would lie in each other stand one behind the other, aslant. */
    private function eyesRoll(PartPlan $part, BandLayout $band): float
    {
        $cores = $this->eyeCores($part);
        sort($cores);
        $nearMm = INF;
        foreach (array_slice($cores, 1) as $at => $core) {
            $nearMm = min($nearMm, ($core - $cores[$at]) * $band->spacingMm);
        }
        $d = $part->wireMm();

        return match (true) {
            $part->part->is('turned') => 90.0,
            $nearMm >= $part->part->mm('eye') + 2 * $d => 0.0,
            default => rad2deg(asin(min(1.0, self::ASLANT * $d / $nearMm))),
        };
    }

    /** What a core that ends in no eye is curled to: one open turn, or a flat spiral. */
    private function curl(PartPlan $part): Spiral
    {
        return new Spiral($part->wireMm(), self::CURL_MM, (float) $part->part->settings['curls']);
    }

    /** Bent to its side beyond the weave, straight on until it has room to come round beside it. */
    private function curled(PartPlan $part, float $outDegrees): Together
    {
        [$d, $curl] = [$part->wireMm(), $this->curl($part)];
        $clear = self::CLEAR * $d;
        $mm = $curl->wireLengthMm() - $clear;
        $radius = (self::CURL_MM + $d) / 2;
        $round = $curl->turns > 1.0
            ? new FlatSpiral(Spiral::ofWire($d, self::CURL_MM, $mm))
            : new Arc($radius, $mm / $radius);

        return new Together(new Corner($outDegrees), new Straight($clear), $round);
    }

    /** Bent over the edge of the weave, and open behind it. */
    private function curledBehind(PartPlan $part): Together
    {
        $d = $part->wireMm();
        $mm = $this->curl($part)->wireLengthMm() - self::OVER * $d;

        return new Together(
            new Straight(self::OVER * $d), new Corner(self::OUT_DEGREES), new Arc($mm / self::OPEN, self::OPEN),
        );
    }

    private function turned(PartPlan $part, Stretch $stretch, int $core, string $mark, Shape $shape): Stretch
    {
        [$d, $curl] = [$part->wireMm(), $this->curl($part)];
        if ($this->endsInEye($part, $core) || $curl->turns <= 1.0) {
            $isEye = $this->endsInEye($part, $core);

            return $stretch->loop(
                $isEye ? $part->part->mm('eye') : self::CURL_MM, $d, $isEye ? 'eye' : 'curl', $mark, $shape,
            );
        }

        return $stretch->worked(
            SegmentKind::Loop, $curl->wireLengthMm(), 'curl', $mark, 'N·π(D + N·d)',
            Figures::trim($curl->turns).' × π × ('.Figures::trim(self::CURL_MM).' + '.Figures::trim($curl->turns).' × '
                .Figures::trim($d, 3).')',
            shape: $shape,
        );
    }

    /** @param  non-empty-list<int>  $cores */
    private function beyondMm(PartPlan $part, array $cores): float
    {
        $turned = match (true) {
            $this->endsInEye($part, $cores[0]) => M_PI * ($part->part->mm('eye') + $part->wireMm()),
            $this->curl($part)->turns > 1.0 => $this->curl($part)->wireLengthMm(),
            default => M_PI * (self::CURL_MM + $part->wireMm()),
        };

        return max(0.0, $part->part->mm('ends') - $turned);
    }

    private static function labelling(PartPlan $part): Handwork
    {
        $cores = $part->part->count('cores');

        return new Handwork(
            Moment::work('weave'), 'Label the cores', 'Straighten '.Figures::counted($cores, 'core')
                .', number them with tape at one end, and tape them side by side.', Operation::Ready, 'tape', $cores,
            'cores', turn: self::FIRST, lights: [$part->mark('cores')],
        );
    }

    /**
     * What a weaving wire carries is on it before it is begun.
     *
     * @param  list<Strung>  $beads
     * @param  string  $which  of several its number
     */
    private static function stringing(PartPlan $part, array $beads, string $which): Handwork
    {
        return new Handwork(
            Moment::work('weave'), "String the weaving wire{$which}", 'The first that is wanted goes on first: '
                .Stringing::words(Stringing::joined($beads)).'. Let them hang, and slide one up every '
                .Figures::counted($part->part->count('bead_every'), 'repeat')
                .', on the front, where the widest turn crosses.', Operation::Thread, 'fingers',
            Stringing::count($beads), 'beads', turn: self::FIRST + 1, puts: true, lights: [$part->mark('beads')],
        );
    }

    private static function comingIn(PartPlan $part, int $core, int $section): Handwork
    {
        return new Handwork(
            Moment::work('weave'), "Core {$core} comes in", "Lay core {$core} in with "
                .$part->profile->length($part->part->mm('ends')).' standing out at the side, to be curled later.',
            Operation::Weave, 'fingers', turn: self::turn($section, -1), lights: [$part->mark('cores')],
        );
    }

    private static function leaving(int $core, int $section): Handwork
    {
        return new Handwork(
            Moment::work('weave'), "Core {$core} leaves", "Bend core {$core} out to the side here. It is curled or "
                .'wrapped when the band is woven, and nothing slides off over it.', Operation::Weave,
            'chain-nose pliers', turn: self::turn($section, 1),
        );
    }

    /** Its turn among what is done for a section: before it, with it, or after it. */
    private static function turn(int $section, int $after = 0): int
    {
        return 3 * $section + $after;
    }

    private function weaving(PartPlan $part, BandLayout $band, int $at): Handwork
    {
        $section = $band->sections[$at];
        if ($section->crossing !== null) {
            return self::crossingOver($part, $section, $at);
        }
        $each = 'Each repeat: '.self::inWords($section).'. ';

        return new Handwork(
            Moment::work('weave'), count($band->sections) === 1 ? 'Weave' : 'Weave section '.($at + 1), $at === 0
                ? "Leave a tail. {$each}".$this->beginning($part, $band)
                : $each.'Push the rows together as you go.', Operation::Weave, 'fingers', $section->repeats, 'repeats',
            turn: self::turn($at),
        );
    }

    private static function crossingOver(PartPlan $part, BandSection $section, int $at): Handwork
    {
        return new Handwork(
            Moment::work('weave'), count($section->takes) > 2 ? 'Cross the cores' : 'Cross two cores',
            'Carry the weaving wire on at the back and bring '.self::crossing($section).', within '
                .$part->profile->length($section->lengthMm).'.', Operation::Weave, 'fingers, flat-nose pliers',
            turn: self::turn($at),
        );
    }

    private static function turningOver(): Handwork
    {
        return Handwork::turnOver(
            Moment::work('weave'), 'Look at the back: no core is missed, and the rows lie close. Push them together, '
                .'and unpick what is wrong before the bundle is bent.', self::LAST,
        );
    }

    private static function bundling(): Handwork
    {
        return new Handwork(
            Moment::work('weave'), 'Bend the bundle as one', 'Hold it where the curve should start and bend all cores '
                .'together. Trim the tails of the weaving wire at the back.', Operation::Bend, 'fingers, flush cutter',
            cautions: [Caution::CutEnds], turn: self::LAST + 1,
        );
    }

    private function turning(PartPlan $part, string $place): Handwork
    {
        $form = Forming::loop($part->wire, $part->part->mm('eye'), $part->profile);

        return new Handwork(
            Moment::form($place), "Turn the {$place} eye",
            $this->endText($part, $form->where('mark of the round-nose pliers', $part->profile)), Operation::Eye,
            'round-nose pliers, flush cutter', cautions: [Caution::CutEnds],
        );
    }

    private function endText(PartPlan $part, string $where): string
    {
        $eyes = $this->eyeCores($part);
        $curl = $this->curl($part)->turns > 1.0
            ? 'wind their ends to flat spirals of '.Figures::trim($this->curl($part)->turns).' turns'
            : 'curl their ends in';
        $middle = intdiv($part->part->count('cores') + 1, 2);
        $which = $eyes === [$middle] ? 'outer' : 'other';
        $others = $part->part->count('cores') > count($eyes) ? "Trim the {$which} cores, {$curl}, and turn" : 'Turn';
        sort($eyes);
        $named = (count($eyes) === 1 ? 'core ' : 'cores ').Figures::listed(array_map(strval(...), $eyes));
        $of = $eyes === [$middle] ? 'the middle one' : $named;

        return $others.(count($eyes) === 1 ? ' an eye of ' : ' an eye each of ').$of." round {$where}.";
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
                    Level::Warn, 'bead across',
                    "The {$strung->bead->words()} is longer than what it lies across, {$size($pass)}: it stands out at "
                        .'both sides.', $id,
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

    /** @return list<Closure(): Handwork> what is done to each of several weaving wires, section by section */
    private function weavingAll(PartPlan $part, BandLayout $band): array
    {
        $eachMm = $this->wovenMm($part, $band) / $this->weavingWires($part, $band);
        [$weaving, $mm] = [[self::turningOver(...), self::bundling(...)], 0.0];
        foreach (array_keys($band->sections) as $at) {
            $mm += $this->sectionMm($part, $band, $at);
            $share = $mm / $eachMm;
            $weaving[] = fn (): Handwork => $this->weaving($part, $band, $at)->upTo($share);
        }

        return $weaving;
    }

    /** What a section takes of the weaving wire, as it is counted for all. */
    private function sectionMm(PartPlan $part, BandLayout $band, int $at): float
    {
        return $band->sections[$at]->wireMm + $this->beads($part, $band)->moreMm($at);
    }

    private function beginning(PartPlan $part, BandLayout $band): string
    {
        $wires = $this->weavingWires($part, $band);

        return 'Keep the first turns round two easy, and push the rows together as you go.'
            .($wires > 1 ? " It takes {$wires} lengths of wire: begin each behind, with ".self::JOIN_TURNS
                .' turns of the old and the new over each other.' : '');
    }

    /** `core 1 over core 2`, `cores 1 and 2, side by side, over cores 3 and 4`. */
    private static function crossing(BandSection $section): string
    {
        [$over, $under] = $section->crossing?->overAndUnder($section->takes) ?? [[], []];

        return self::named($over).(count($over) > 1 ? ', side by side,' : '').' over '.self::named($under);
    }

    /** @param  list<int>  $cores */
    private static function named(array $cores): string
    {
        return (count($cores) === 1 ? 'core ' : 'cores ').Figures::listed(array_map(strval(...), $cores));
    }

    private static function inWords(BandSection $section): string
    {
        $weave = $section->weave;
        if ($weave instanceof WeavePattern) {
            return implode(', then ', array_map(
                fn (array $figure): string => Figures::counted($figure['turns'], 'turn').' round '
                    .($figure['from'] === $figure['to']
                        ? "core {$figure['from']}"
                        : "cores {$figure['from']} to {$figure['to']}"),
                array_slice($weave->figures, 0, 12),
            ));
        }

        return implode(', ', array_map(
            fn (array $touch): string => ($touch['isFront'] ? 'in front of ' : 'behind ').$touch['core'],
            array_slice($weave->touches ?? [], 0, 24),
        ));
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
            $pattern = $part->part->choice('pattern');
            $isOfSections = str_contains($pattern, '|') || preg_match('/[fbx]\d/', $pattern) === 1;

            return [new Check(
                Level::Stop, 'weave',
                'No section holds core '.implode(' or ', $free).': it would fall out.',
                $id, [new Way('Add a turn round all', new SetSetting(
                    $id, 'pattern', $pattern.($isOfSections ? " | 1@1-{$cores} x1" : " 1@1-{$cores}"),
                ))],
            )];
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

        return [new Check(
            Level::Note, 'woven length',
            'Its repeats come to '.$part->profile->size($band->lengthMm()).', not to the '.$part->profile->size($asked)
                .' asked for.',
            $part->part->id, [
                new Way(
                    'Take '.$part->profile->size($band->lengthMm()),
                    new SetSetting($part->part->id, 'length', round($band->lengthMm(), 3).' mm'),
                ),
            ],
        )];
    }

    public function hung(PartPlan $part): array
    {
        $band = $this->band($part);
        $reach = 2 * $this->topMm($part) + $band->lengthMm();
        $at = function (int $core, bool $isTop) use ($part, $band, $reach): Placement {
            $path = $band->pathOf($core);
            $across = $path[$isTop ? 0 : count($path) - 1][1] ?? 0.0;

            return new Placement($isTop ? 0.0 : $reach, $part->part->is('turned'), $across);
        };
        $hung = ['bottom' => new Placement($reach, $part->part->is('turned'))];
        foreach (array_slice($this->eyeCores($part), 1) as $core) {
            [$hung["top-{$core}"], $hung["bottom-{$core}"]] = [$at($core, true), $at($core, false)];
        }

        return $hung;
    }
}
