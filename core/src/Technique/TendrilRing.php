<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bend\SlitEnd;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\FlatSpiral;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Change\SwapBead;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\Sizing;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Hebra\Core\Wrap\Spiral;
use WeakMap;

/**
 * A ring open on top, its shank's ends hammered wide and slit into tendrils that take beads and curl to hold them. Cut
 * =
 * π(ID + d) − gap + 2·slit: tendrils side by side are one length of the shank. Millimetres; see SlitEnd.
 */
final class TendrilRing implements Technique
{
    use Usual;

    private const ENDS = ['first', 'second'];

    /** @var WeakMap<PartPlan, array<int, list<float>>>|null what stays bare, worked out once for a part */
    private static ?WeakMap $known = null;

    /** The eye that a curl begins with, inside; a bead's curl is at least once round it. */
    private const EYE_MM = 0.8;

    /** How far a tendril turns up from the shank: the steepest, and the flattest of several. */
    private const STEEP = 115.0;

    private const FLAT = 80.0;

    /** So much wider than the wire an end is flared at least, where nothing is said. */
    private const WIDER = 1.2;

    /** By how much a bead is slid outwards to clear those beside it. */
    private const SLID_MM = 0.25;

    /** How far tendrils fan along the finger, one from the next, radians. */
    private const FAN = 0.35;

    public function name(): string
    {
        return 'tendril-ring';
    }

    public function label(): string
    {
        return 'ring with tendrils';
    }

    public function role(): string
    {
        return 'shank';
    }

    public function family(): Family
    {
        return Family::Ring;
    }

    public function usualWire(): Wire
    {
        return new Wire(Metal::Sterling, WireSize::parseDrawn('3 mm half-round'), Temper::DeadSoft);
    }

    public function wants(): Wants
    {
        return new Wants(holds: 0.9, effort: 1.6);
    }

    public function parameters(): array
    {
        return [
            Parameter::length('inside', 'inside diameter', 17.3, 11.6, 26.0)->bentOn(ToolKind::BANDS),
            Parameter::length('gap', 'gap on top', 5.0, 0.5, 20.0),
            Parameter::length('flared', 'each end flared to', 4.0, 0.8, 20.0),
            Parameter::length('slit', 'slit', 16.0, 4.0, 60.0),
            Parameter::count('tendrils', 'tendrils at each end', 2, 2, 4),
        ];
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBeads(): int
    {
        return 4;
    }

    /** A tendril goes through, not the wire: see the checks. */
    public function through(PartPlan $part, int $run): array
    {
        return [];
    }

    public function sizing(Piece $piece, Part $part): ?Sizing
    {
        return Finger::sizing($piece->fit, 0.0);
    }

    public function along(PartPlan $part): array
    {
        return ['ends', 'round', 'curls'];
    }

    private function end(PartPlan $part): SlitEnd
    {
        return new SlitEnd(
            $part->wireOf($part->part->wire)->size->section()->areaMm2(),
            $part->part->mm('flared'),
            $part->part->count('tendrils'),
        );
    }

    /**
     * The beads of every tendril, from the shank outwards: one each in turn, from the first of the first end on.
     *
     * @return non-empty-list<list<Strung>>
     */
    private function shared(PartPlan $part): array
    {
        $shared = array_fill(0, 2 * max(1, $part->part->count('tendrils')), []);
        $at = 0;
        foreach ($part->strung as $strung) {
            for ($bead = 0; $bead < $strung->count; $bead++) {
                $shared[$at++ % count($shared)][] = $strung->times(1);
            }
        }

        return $shared;
    }

    private function curl(PartPlan $part, int $end, int $tendril): Spiral
    {
        $taken = $this->bareMm($part, $end)[$tendril] + $this->onMm($part, $end, $tendril);
        $mm = max(0.5, $part->part->mm('slit') - $taken);

        return Spiral::ofWire($this->end($part)->thicknessMm(), self::EYE_MM, $mm);
    }

    /** @return list<Strung> */
    private function on(PartPlan $part, int $end, int $tendril): array
    {
        return $this->shared($part)[$end * $part->part->count('tendrils') + $tendril];
    }

    private function onMm(PartPlan $part, int $end, int $tendril): float
    {
        return Stringing::lengthMm($this->on($part, $end, $tendril));
    }

    /**
     * How much of every tendril of an end stays bare before its beads, so that they clear those of the tendrils before
     * it, as far as a curl is left.
     *
     * @return list<float>
     */
    private function bareMm(PartPlan $part, int $end): array
    {
        self::$known ??= new WeakMap;
        $known = self::$known[$part] ?? [];
        $known[$end] ??= $this->cleared($part, $end);
        self::$known[$part] = $known;

        return $known[$end];
    }

    /** @return list<float> */
    private function cleared(PartPlan $part, int $end): array
    {
        $stands = $bare = [];
        $once = (new Spiral($this->end($part)->thicknessMm(), self::EYE_MM, 1.0))->wireLengthMm();
        for ($tendril = 0; $tendril < $part->part->count('tendrils'); $tendril++) {
            $room = $part->part->mm('slit') - $this->onMm($part, $end, $tendril) - $once;
            $mm = 0.0;
            while ($mm + self::SLID_MM <= $room && self::crowds($stands, $this->stand($part, $end, $tendril, $mm))) {
                $mm += self::SLID_MM;
            }
            $bare[] = $mm;
            array_push($stands, ...$this->stand($part, $end, $tendril, $mm));
        }

        return $bare;
    }

    /** @return list<array{Vector, float}> where the beads of a tendril stand, and how far each reaches */
    private function stand(PartPlan $part, int $end, int $tendril, float $bareMm): array
    {
        $root = $this->root($part, $end, $tendril)->bent(deg2rad(-$this->lean($part, $tendril)));
        $stands = [];
        foreach ($this->on($part, $end, $tendril) as $strung) {
            $at = $root->at->plus($root->ahead->times($bareMm + $strung->bead->lengthMm / 2));
            $stands[] = [$at, max($strung->bead->widthMm, $strung->bead->lengthMm) / 2];
            $bareMm += $strung->bead->lengthMm;
        }

        return $stands;
    }

    /**
     * @param  list<array{Vector, float}>  $ones
     * @param  list<array{Vector, float}>  $others
     */
    private static function crowds(array $ones, array $others): bool
    {
        foreach ($ones as [$at, $reach]) {
            foreach ($others as [$other, $far]) {
                if ($at->minus($other)->lengthMm() < $reach + $far) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Wires that are slit out of another are no cuts of their own. */
    public function cuts(PartPlan $part): array
    {
        return [Cut::of($this->courses($part)[0], $part)];
    }

    public function courses(PartPlan $part): array
    {
        $courses = [$this->shank($part)];
        foreach ([0, 1] as $end) {
            for ($tendril = 1; $tendril < $part->part->count('tendrils'); $tendril++) {
                $courses[] = $this->tendril($part, new Stretch($part), $end, $tendril)->course(
                    'Tendril', $part->part->wire, $part->times, $this->root($part, $end, $tendril),
                    "tendril-{$end}-{$tendril}",
                );
            }
        }

        return $courses;
    }

    /** The shank, with the first tendril of either end. */
    private function shank(PartPlan $part): Course
    {
        [$d, $inside, $gap] = [$part->wireMm(), $part->part->mm('inside'), $part->part->mm('gap')];
        $stretch = (new Stretch($part))->wide($this->end($part)->thicknessMm());
        $this->seated($part, $this->curled($part, $stretch, 0, 0), 0, 0)->bend('tendril starts')->anchored()
            ->wide(null)->worked(
                SegmentKind::Round,
                $this->roundMm($part),
                'round',
                'round',
                'π(ID + d) − gap',
                'π × ('.Figures::trim($inside).' + '.Figures::trim($d, 3).') − '.Figures::trim($gap),
                shape: new Arc(($inside + $d) / 2, 2 * M_PI - 2 * $gap / ($inside + $d)),
            )->bend('tendril starts')
            ->by(fn (): Handwork => self::rounding($part), fn (): Handwork => self::truing($part));

        return $this->tendril($part, $stretch, 1, 0)->course(
            'Ring', $part->part->wire, $part->times, $this->shoulder($part),
        );
    }

    private function roundMm(PartPlan $part): float
    {
        return M_PI * ($part->part->mm('inside') + $part->wireMm()) - $part->part->mm('gap');
    }

    private function tendril(PartPlan $part, Stretch $stretch, int $end, int $tendril): Stretch
    {
        $stretch->wide($this->end($part)->thicknessMm());

        return $this->curled($part, $this->seated($part, $stretch, $end, $tendril), $end, $tendril);
    }

    /** What stays bare and the beads after it; of the wire's first end from the outermost bead on. */
    private function seated(PartPlan $part, Stretch $stretch, int $end, int $tendril): Stretch
    {
        [$beads, $bare] = [$this->on($part, $end, $tendril), $this->bareMm($part, $end)[$tendril]];
        if ($beads === []) {
            return $stretch;
        }
        $isFirst = $end === 0 && $tendril === 0;
        $beads = $isFirst ? array_reverse($beads) : $beads;
        $mm = $bare + Stringing::lengthMm($beads);
        $threaded = array_map(
            fn (int $at, Strung $strung): Threaded => new Threaded(
                $strung->bead, 1, $part->mark('beads'), $isFirst, atMm: $at === 0 && ! $isFirst ? $bare : null,
            ),
            array_keys($beads), $beads,
        );

        return $stretch->worked(
            SegmentKind::Seat, $mm, 'beads', self::mark('seat', $end, $tendril),
            $bare > 0.0 ? 'bare + sum of bead lengths' : 'sum of bead lengths',
            ($bare > 0.0 ? Figures::trim($bare).' + ' : '').Figures::trim($mm - $bare), beads: $beads,
            shape: new Together(new Corner(-$this->lean($part, $tendril)), new Straight($mm)),
        )->threading($threaded)->by(fn (): Handwork => $this->curling($part, $end, $tendril));
    }

    private function curled(PartPlan $part, Stretch $stretch, int $end, int $tendril): Stretch
    {
        $curl = new Rolled(new FlatSpiral($this->curl($part, $end, $tendril)), 180.0);
        $isBare = $this->on($part, $end, $tendril) === [];

        return $stretch->worked(
            SegmentKind::Curl, $curl->lengthMm(), 'curl', self::mark('curl', $end, $tendril), 'slit − what is on it',
            Figures::trim($part->part->mm('slit')).' − '.Figures::trim($part->part->mm('slit') - $curl->lengthMm()),
            shape: $isBare ? new Together(new Corner(-$this->lean($part, $tendril)), $curl) : $curl,
        )->by(
            fn (): Handwork => $this->flaring($part), fn (): Handwork => $this->slitting($part),
            fn (): Handwork => $this->curling($part, $end, $tendril),
        );
    }

    private static function mark(string $what, int $end, int $tendril): string
    {
        return "{$what}-".self::ENDS[$end].'-'.($tendril + 1);
    }

    /** How far it turns up: the first steepest, the others flatter by even steps. */
    private function lean(PartPlan $part, int $tendril): float
    {
        return self::STEEP - (self::STEEP - self::FLAT) * $tendril / max(1, $part->part->count('tendrils') - 1);
    }

    /** Where the round begins, right of the gap, on its way down. */
    private function shoulder(PartPlan $part): Frame
    {
        $r = ($part->part->mm('inside') + $part->wireMm()) / 2;
        $middle = new Vector(0.0, $r + $part->wireMm() / 2 + $part->part->mm('slit'));
        $turned = Frame::right(0.0, 0.0)->bent($part->part->mm('gap') / 2 / $r);

        return $turned->in($middle->minus($turned->towards->times($r)));
    }

    /** Where a tendril leaves the shank, outwards: those beside the first along the finger, fanned. */
    private function root(PartPlan $part, int $end, int $tendril): Frame
    {
        $shoulder = $this->shoulder($part);
        $ends = (new Arc(
            ($part->part->mm('inside') + $part->wireMm()) / 2,
            $this->roundMm($part) / (($part->part->mm('inside') + $part->wireMm()) / 2),
        ))->laid($shoulder)[1];
        $from = $end === 0 ? $shoulder->back() : $ends;
        if ($tendril === 0) {
            return $from;
        }
        // To one side and the other in turn, away from the first.
        $step = intdiv($tendril + 1, 2) * ($tendril % 2 === 1 ? 1 : -1) * ($end === 0 ? 1 : -1);
        $aside = $step * $this->end($part)->flaredMm / $part->part->count('tendrils');

        return $from->in($from->at->plus($from->beside()->times($aside)))->tilted($step * self::FAN);
    }

    private function flaring(PartPlan $part): Handwork
    {
        [$end, $size] = [$this->end($part), $part->profile->size(...)];

        return new Handwork(
            Moment::work('ends'), 'Flare the ends', "Hammer the last {$size($part->part->mm('slit'))} of both ends "
                ."across, with the narrow face, until they are {$size($end->flaredMm)} wide; they come down to about "
                ."{$size($end->thicknessMm())}. Soften them again if they stiffen.", Operation::Hammer,
            'cross-peen hammer, bench block', 2, 'ends', [Caution::Hammering],
        );
    }

    private function slitting(PartPlan $part): Handwork
    {
        [$end, $size, $each] = [$this->end($part), $part->profile->size(...), $part->part->count('tendrils')];

        return new Handwork(
            Moment::work('ends'), 'Slit the ends', "Scribe and saw each end {$size($part->part->mm('slit'))} deep into "
                .Figures::counted($each, 'tendril')." of {$size($end->tendrilMm())}. Drill or file a small round where "
                .'each slit stops: there it would tear. Round every edge.', Operation::File,
            'jeweller’s saw, needle file', 2 * ($each - 1), 'slits', [Caution::Filing],
        );
    }

    private static function rounding(PartPlan $part): Handwork
    {
        $form = Forming::band($part->wire, $part->part->mm('inside'), $part->profile);

        return new Handwork(
            Moment::work('round'), 'Bend it round', 'Bend the middle round '
                .$form->where('ring mandrel', $part->profile).' until '.$part->profile->size($part->part->mm('gap'))
                .' are left open between the slits.'.$form->opens($part->profile)
                .' It is eased on the mandrel, never on the finger.', Operation::Bend, 'ring mandrel',
        );
    }

    private static function truing(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('curls'), 'True it up', 'Back on the ring mandrel, tap the shank round with a soft mallet; '
                .'that hardens it, and opens it by a quarter of a size at most: measure it again.', Operation::Bend,
            'ring mandrel, soft mallet', cautions: [Caution::Hammering], turn: 2 * $part->part->count('tendrils'),
        );
    }

    /** What goes on a tendril, and its curl. */
    private function curling(PartPlan $part, int $end, int $tendril): Handwork
    {
        $beads = $this->on($part, $end, $tendril);
        $curl = 'curl the end back to a spiral about '
            .$part->profile->size($this->curl($part, $end, $tendril)->widthMm()).' wide';
        $text = $beads === []
            ? "{$curl}."
            : 'string '.Stringing::words(Stringing::joined($beads)).", and {$curl} that holds it.";

        return new Handwork(
            Moment::work('curls'), ucfirst(self::ENDS[$end]).' end, tendril '.($tendril + 1), ucfirst($text),
            Operation::Spiral, 'round-nose pliers', count($beads), $beads === [] ? '' : 'beads',
            turn: $end * $part->part->count('tendrils') + $tendril, puts: $beads !== [],
            lights: $beads === [] ? [] : [
                $part->mark(self::mark('curl', $end, $tendril)), $part->mark(self::mark('seat', $end, $tendril)),
                $part->mark('beads'),
            ],
        );
    }

    public function checks(PartPlan $part): array
    {
        return [
            ...$this->endChecks($part),
            ...$this->holeChecks($part),
            ...$this->curlChecks($part),
            ...$this->crowded($part),
            ...$this->fingerChecks($part),
        ];
    }

    /** @return list<Check> whether the ends can be flared and slit so */
    private function endChecks(PartPlan $part): array
    {
        [$end, $id, $size] = [$this->end($part), $part->part->id, $part->profile->size(...)];
        $wide = $part->wireOf($part->part->wire)->size->section()->widthMm();
        $least = $end->tendrils * SlitEnd::NARROWEST_MM + ($end->tendrils - 1) * SlitEnd::KERF_MM;
        if ($end->flaredMm < $wide) {
            $flared = ceil(10 * max(self::WIDER * $wide, $least)) / 10;

            return [new Check(
                Level::Stop, 'flared', 'Ends flared to '.$size($end->flaredMm).' would be narrower than the wire, '
                    .$size($wide).'.', $id,
                [new Way('Flared to '.$size($flared), new SetSetting($id, 'flared', "{$flared} mm"))],
            )];
        }
        $checks = [];
        if ($end->tendrilMm() < SlitEnd::NARROWEST_MM - 1e-9) {
            $checks[] = new Check(
                Level::Stop, 'tendrils', Figures::counted($end->tendrils, 'tendril').' of an end '
                    .$size($end->flaredMm).' wide are '
                    .$size($end->tendrilMm()).' each: under '.$size(SlitEnd::NARROWEST_MM).' they tear.', $id, [
                        ...($end->most() < 2 ? [] : [new Way(Figures::counted($end->most(), 'tendril'),
                            new SetSetting($id, 'tendrils', (string) $end->most()))]),
                        new Way('Flared to '.$size(ceil(10 * $least) / 10), new SetSetting($id, 'flared',
                            (ceil(10 * $least) / 10).' mm')),
                    ],
            );
        }
        if ($end->thicknessMm() < SlitEnd::THINNEST_MM - 1e-9) {
            $most = floor(10 * $end->areaMm2 / SlitEnd::THINNEST_MM) / 10;
            $checks[] = new Check(
                Level::Warn, 'flared', 'Flared to '.$size($end->flaredMm).' the ends come down to '
                    .$size($end->thicknessMm())
                    .': under '.$size(SlitEnd::THINNEST_MM).' they crack where they curl.', $id,
                $most <= $wide ? [] : [new Way('Flared to '.$size($most), new SetSetting($id, 'flared', "{$most} mm"))],
            );
        }

        return $checks;
    }

    /** @return list<Check> whether every bead passes a tendril */
    private function holeChecks(PartPlan $part): array
    {
        [$end, $size, $checks] = [$this->end($part), $part->profile->size(...), []];
        $tendril = 'a tendril of '.$size($end->tendrilMm()).' × '.$size($end->thicknessMm());
        foreach ($part->strung as $at => $strung) {
            [$bead, $spare] = [$strung->bead, $strung->bead->holeMm - $end->passesMm()];
            $checks[] = $spare >= 0.0
                ? new Check(Level::Ok, 'tendril', ucfirst($tendril).' passes the '.$bead->words().', '
                    .$size($spare).' to spare.', $part->part->id)
                : new Check(
                    Level::Stop, 'tendril', 'The hole of the '.$bead->words().' is '.$size($bead->holeMm).', and '
                        .$tendril.' wants '.$size($end->passesMm()).'.', $part->part->id,
                    $this->drilledWider($part, $at, $bead),
                );
        }

        return $checks;
    }

    /** @return list<Way> the same bead with a hole that a tendril passes, where it can have one */
    private function drilledWider(PartPlan $part, int $at, Bead $bead): array
    {
        $hole = ceil(10 * $this->end($part)->passesMm()) / 10;

        return $hole >= 0.9 * $bead->widthMm ? [] : [new Way(
            'One with a hole of '.$part->profile->size($hole),
            new SwapBead($part->part->id, $at, $bead->withHole($hole)),
        )];
    }

    /** @return list<Check> whether what is left of every tendril goes round */
    private function curlChecks(PartPlan $part): array
    {
        $end = $this->end($part);
        $once = (new Spiral($end->thicknessMm(), self::EYE_MM, 1.0))->wireLengthMm();
        $longest = max(array_map(Stringing::lengthMm(...), $this->shared($part)));
        $left = $part->part->mm('slit') - $longest;
        if ($longest === 0.0 || $left >= $once) {
            return [];
        }
        $slit = ceil($longest + $once);

        return [new Check(
            Level::Stop, 'room', 'Of a slit of '.$part->profile->size($part->part->mm('slit'))
                .' the longest beads leave '
                .$part->profile->size(max(0.0, $left)).': a curl that holds them takes '.$part->profile->size($once)
                    .'.',
            $part->part->id, [new Way('Slit '.$part->profile->size($slit), new SetSetting($part->part->id, 'slit',
                "{$slit} mm"))],
        )];
    }

    /** @return list<Check> how far its beads stand off the finger, and its size */
    private function fingerChecks(PartPlan $part): array
    {
        [$inside, $size, $id] = [$part->part->mm('inside'), $part->profile->size(...), $part->part->id];
        $checks = [new Check(
            Level::Ok, 'size', RingSize::ofDiameter(min(RingSize::MOST_MM, $inside))->words()
                .'; it can be eased or squeezed by about a size.', $id,
        )];
        $r = ($inside + $part->wireMm()) / 2;
        $middle = $this->shoulder($part)->at->plus($this->shoulder($part)->towards->times($r));
        [$highest, $deepest] = [0.0, INF];
        foreach ($this->courses($part) as $course) {
            foreach ($course->curves() as $place => $curve) {
                foreach ($course->moves[$place]->standing($curve) as [$run, $at]) {
                    $off = hypot($at->x - $middle->x, $at->y - $middle->y);
                    $highest = max($highest, $off + $run->bead->widthMm / 2 - $inside / 2);
                    $deepest = min($deepest, $off - $run->bead->widthMm / 2 - $inside / 2);
                }
            }
        }
        if ($deepest < -0.1) {
            $checks[] = new Check(Level::Warn, 'finger', 'A bead reaches '.$size(-$deepest)
                .' into the finger: turn its tendril up more, or take a smaller one.', $id);
        } elseif ($highest > 0.0) {
            $checks[] = new Check(Level::Note, 'finger', 'Its highest bead stands '.$size($highest)
                .' off the finger.', $id);
        }

        return $checks;
    }
}
