<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Closure;
use Hebra\Core\Bend\Hammered;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Bulb;
use Hebra\Core\Course\Shape\FlatSpiral;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Sheared;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Course\Shape\Traced;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\RemoveBead;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Change\SetWire;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\Sizing;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\FitSheet;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Hardness;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wrap\Spiral;
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

    private const CURL_TURNS = 1.4;

    /** How far outside itself a bangle of a stack overlaps, thicknesses of its wire. */
    private const OUTSIDE = 1.02;

    /** A hook's bend, and the room that fold and hook take on top, in thicknesses of the wire. */
    private const HOOK = 1.5;

    private const FOLD_ROOM = 6.8;

    private const MOST_ANNEALED = 12;

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
                [
                    'curled' => 'curled', 'overlap' => 'overlapped', 'cuff' => 'open, a cuff',
                    'doubled' => 'doubled, hook and loop',
                ],
            ),
            Parameter::length('inside', 'inside diameter', 63.0, 20.0, 120.0)->bentOn(ToolKind::BANGLES),
            Parameter::length('ends', 'for both ends together', 40.0, 0.0, 200.0),
            Parameter::length('gap', 'gap', 28.0, 5.0, 80.0),
            Parameter::length('hammered', 'hammered to, 0 for not', 0.0, 0.0, 8.0),
            Parameter::flag('annealed', 'annealed on the way', false),
            Parameter::count('stack', 'bangles in the stack', 1, 1, 9),
            Parameter::count('binding_turns', 'turns that bind them', 8, 2, 200),
            Parameter::count('tied', 'turns that tie the curls', 0, 0, 40),
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
            'tied' => $this->canTie($part),
            'ends' => $part->choice('style') !== 'cuff',
            default => true,
        };
    }

    public function extraWires(Part $part): array
    {
        return $part->count('stack') > 1 || ($this->isTied($part) && ! BoundBeads::isBound($part))
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

    public function through(PartPlan $part, int $run): array
    {
        return [BoundBeads::isBound($part->part) ? BoundBeads::ROLE : $part->part->wire];
    }

    private function canTie(Part $part): bool
    {
        return $part->choice('style') === 'curled' && $part->count('stack') === 1;
    }

    private function isTied(Part $part): bool
    {
        return $this->canTie($part) && $part->count('tied') > 0;
    }

    private function tie(PartPlan $part): CurlTie
    {
        return new CurlTie($part, $this->thickMm($part), function () use ($part): Vector {
            $curl = $this->one($part, 0.0)->marked($part->mark('end-1'));

            return new Vector(0.0, ($curl->lowest()->y + $curl->highest()->y) / 2);
        });
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
            $part->wireOf(BoundBeads::ROLE)->widthMm(),
        );
    }

    private function wideMm(PartPlan $part): float
    {
        return $this->flat($part)?->widthMm()
            ?? $part->wideWireMm() * ($part->part->choice('style') === 'doubled' ? 2 : 1);
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

    public function sizing(Piece $piece, Part $part): ?Sizing
    {
        if ($piece->fit->kind !== FitKind::Wrist) {
            return null;
        }
        // A cuff lies on the wrist; what is closed has the ease of a bracelet.
        $ease = $part->choice('style') === 'cuff' ? 0.0 : FitSheet::EASE_MM / M_PI;

        return new Sizing('inside', $piece->fit->mm / M_PI + $ease, self::TOLERANCE_MM, M_PI, $ease);
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        if ($part->part->choice('style') !== 'curled') {
            return [];
        }
        $inside = max($part->wireMm(), $this->curlMm($part) - 2 * $this->thickMm($part));
        $eye = fn (string $name, string $words): Eye => new Eye(
            "{$instance}/{$name}", EyeKind::Closed, $inside, $this->thickMm($part), $words, $part->mark($name),
        );

        return ['end-1' => $eye('end-1', 'bangle’s right curl'), 'end-2' => $eye('end-2', 'bangle’s left curl')];
    }

    public function hung(PartPlan $part): array
    {
        if ($part->part->choice('style') !== 'curled') {
            return [];
        }
        // In the lower side of a curl, beside the opening.
        $low = $this->middleMm($part) - $this->radiusMm($part) - $this->thickMm($part) / 2;
        $aside = ($this->openMm($part) + $this->thickMm($part)) / 2;

        return ['end-1' => new Placement($low, false, $aside), 'end-2' => new Placement($low, false, -$aside)];
    }

    public function along(PartPlan $part): array
    {
        // Curled or hooked ends let nothing over them any more.
        return BoundBeads::isBound($part->part)
            ? ['ends', 'hammer', 'round', 'beads', 'bind', 'tie']
            : ['ends', 'hammer', 'beads', 'round', 'bind', 'tie'];
    }

    public function courses(PartPlan $part): array
    {
        $stack = $part->part->count('stack');
        $bangles = array_map(
            fn (int $one): Course => $this->one($part, -$one * $this->wideMm($part)), range(0, $stack - 1),
        );

        return [
            ...$bangles,
            ...($stack > 1 ? [$this->binding($part)] : []),
            ...($this->isTied($part->part) ? [$this->tie($part)->course()] : []),
            ...$this->beads($part)->courses(
                fn (): Host => $this->host($part), 2 * $this->lowestMm($part),
            ),
        ];
    }

    /** How deep the middle of one bangle's wires lies. */
    private function depthMm(PartPlan $part): float
    {
        return $part->part->choice('style') === 'doubled' ? $part->wireMm() / 2 : 0.0;
    }

    /** What beads and bindings go round: once round, opposite the opening in its middle. */
    private function host(PartPlan $part, float $behindMm = 0.0): Host
    {
        $depth = $this->depthMm($part) - $behindMm;

        return new Host(new Curve($this->lying($part, $depth)->laid($this->top($part, $depth))[0]));
    }

    /** Once round. What overlaps lies beside itself, or, where others lie there, outside. */
    private function lying(PartPlan $part, float $depthMm): Shape
    {
        if ($part->part->choice('style') !== 'overlap') {
            return $this->round($part);
        }
        $r = $this->radiusMm($part);
        $over = $this->overlap($part);

        return $this->isOverItself($part) ? $this->overItself($part, $depthMm) : new Together(
            new Arc($r, $over), new Sheared(new Arc($r, 2 * M_PI - 2 * $over), $this->wideMm($part)),
            new Arc($r, $over),
        );
    }

    /** How far round it overlaps, and a little more, radians. */
    private function overlap(PartPlan $part): float
    {
        return min(M_PI / 4, ($part->part->mm('ends') / 2 + $this->wideMm($part)) / $this->radiusMm($part));
    }

    private function outMm(PartPlan $part): float
    {
        return self::OUTSIDE * $this->thickMm($part);
    }

    /** What lies outside takes more wire: the rest is so much smaller. */
    private function smallerMm(PartPlan $part): float
    {
        return $this->radiusMm($part) - $this->outMm($part) * ($this->overlap($part) + M_PI / 4) / (2 * M_PI);
    }

    private function overItself(PartPlan $part, float $depthMm): Together
    {
        [$r, $out, $over] = [$this->smallerMm($part), $this->outMm($part), $this->overlap($part)];
        $place = fn (float $radius, float $angle): Vector => new Vector(
            $radius * sin($angle), $this->middleMm($part) - $radius * cos($angle), $depthMm,
        );
        $ends = new Frame(
            $place($r + $out, -$over), new Vector(cos($over), -sin($over)), new Vector(sin($over), cos($over)),
        );
        $outwards = new Traced(fn (float $share): Vector => $place(
            $r + $out * (1 - cos(M_PI * $share)) / 2, (1.5 + $share / 2) * M_PI - $over,
        ), 0.25, M_PI / 4, $ends);

        return new Together(new Arc($r, 1.5 * M_PI - $over), $outwards, new Arc($r + $out, $over));
    }

    /** Where on its round it is lowest: opposite its opening. */
    private function lowestMm(PartPlan $part): float
    {
        return $this->isOverItself($part) ? M_PI * $this->smallerMm($part) : $this->round($part)->lengthMm() / 2;
    }

    private function isOverItself(PartPlan $part): bool
    {
        return $part->part->choice('style') === 'overlap' && $part->part->count('stack') > 1;
    }

    /** From its middle to where it begins. */
    private function startsMm(PartPlan $part): float
    {
        return $this->isOverItself($part) ? $this->smallerMm($part) : $this->radiusMm($part);
    }

    /** Coiled round all bangles of the stack, opposite their openings. */
    private function binding(PartPlan $part): Course
    {
        [$stack, $turns, $wide] = [
            $part->part->count('stack'), $part->part->count('binding_turns'), $this->wideMm($part),
        ];
        $w = $part->wireOf(BoundBeads::ROLE)->diameterMm();
        $pitch = $part->wireOf(BoundBeads::ROLE)->widthMm();
        $from = $this->lowestMm($part) - $turns * $pitch / 2;
        $shape = fn (): Wound => Wound::close(
            $this->host($part, ($stack - 1) / 2 * $wide), $from, $turns,
            $this->thickMm($part), $w, ($stack - 1) * $wide, pitchMm: $pitch,
        );
        $stretch = (new Stretch($part))->tail(self::BINDING_TAIL_MM, 'binding-tail')->anchored()->worked(
            SegmentKind::Wraps,
            $turns * $this->bindingTurnMm($part),
            Figures::counted($turns, 'turn'),
            'binding',
            'N·√((π(t + w) + 2(k − 1)s)² + w²)',
            $turns.' × '.Figures::trim($this->bindingTurnMm($part), 3),
            Turn::SOURCE,
            shape: new Later($shape),
        )->by(fn (): Handwork => self::bindingTheStack($part));

        return $stretch->tail(self::BINDING_TAIL_MM, 'binding-tail')
            ->course('Stack binding', BoundBeads::ROLE, $part->times, fn (): Frame => $shape()->start(), 'stack');
    }

    /** On top, going right, where the round begins. */
    private function top(PartPlan $part, float $depthMm): Frame
    {
        $r = $this->startsMm($part);
        $middle = $this->middleMm($part);
        $top = Frame::right(0.0, 0.0)->bent($this->openMm($part) / 2 / $r);

        return $top->in((new Vector(0.0, $middle, $depthMm))->minus($top->towards->times($r)));
    }

    /**
     * What is left open on top, mm: a cuff's gap, room for both curls, or for the fold and the hook of a doubled one.
     */
    private function openMm(PartPlan $part): float
    {
        return match ($part->part->choice('style')) {
            'cuff' => $part->part->mm('gap'),
            'doubled' => self::FOLD_ROOM * $part->wireMm(),
            'curled' => $this->curlMm($part),
            default => 0.0,
        };
    }

    /** To the middle of its wire; it is drawn sprung open by as much as its ends need. */
    private function radiusMm(PartPlan $part): float
    {
        $r = ($part->part->mm('inside') + $this->thickMm($part)) / 2;

        return $part->part->choice('style') === 'cuff' ? $r : $r + $this->openMm($part) / (2 * M_PI);
    }

    private function round(PartPlan $part): Arc
    {
        $r = $this->radiusMm($part);

        return new Arc($r, 2 * M_PI - $this->openMm($part) / $r);
    }

    private function one(PartPlan $part, float $depthMm): Course
    {
        $longer = $this->flat($part)?->lengthening() ?? 1.0;
        $round = M_PI * ($part->part->mm('inside') + $this->thickMm($part));
        $size = 'π × ('.Figures::trim($part->part->mm('inside'), 3).' + '.Figures::trim($this->thickMm($part), 3).')';
        $stretch = new Stretch($part, $this->flat($part)?->thicknessMm);
        $anchor = $this->top($part, $depthMm);
        $gap = $part->part->mm('gap');

        return match ($part->part->choice('style')) {
            'doubled' => $this->doubled($part, $stretch, $round, $size, $anchor),
            'cuff' => $this->rounded(
                $part, $stretch->anchored(), $depthMm, ($round - $gap) / $longer,
                '(π(inside + t) − gap)/lengthening',
                "({$size} − ".Figures::trim($gap).')/'.Figures::trim($longer, 4),
            )->course('Bangle', $part->part->wire, $part->times, $anchor),
            default => $this->ended(
                $part,
                $this->rounded(
                    $part,
                    $this->ended($part, $stretch, 'end-1', $longer)->bend($this->endWords($part).' ends')->anchored(),
                    $depthMm, $round / $longer, 'π(inside + t)/lengthening', $size.'/'.Figures::trim($longer, 4),
                )->bend($this->endWords($part).' starts'),
                'end-2', $longer,
            )->course('Bangle', $part->part->wire, $part->times, $anchor),
        };
    }

    private function rounded(
        PartPlan $part, Stretch $stretch, float $depthMm, float $mm, string $rule, string $numbers,
    ): Stretch {
        return $stretch->worked(
            SegmentKind::Round, $mm, 'round', 'round', $rule, $numbers, beads: $this->beads($part)->onWire(),
            shape: $this->lying($part, $depthMm),
        )->threading($this->beads($part)->threaded($this->round($part)->lengthMm()))->by(...$this->roundWork($part));
    }

    private function endWords(PartPlan $part): string
    {
        return $part->part->choice('style') === 'curled' ? 'curl' : 'overlap';
    }

    private function ended(PartPlan $part, Stretch $stretch, string $mark, float $longer): Stretch
    {
        $mm = $part->part->mm('ends') / 2;

        return $stretch->worked(
            SegmentKind::Curl,
            $mm / $longer,
            $this->endWords($part),
            $mark,
            'half of both ends/lengthening',
            Figures::trim($part->part->mm('ends')).'/2/'.Figures::trim($longer, 4),
            shape: $part->part->choice('style') === 'curled'
                ? new Rolled($this->curl($part), 180.0)
                : new Arc($this->radiusMm($part), $mm / $this->radiusMm($part)),
        )->by($part->part->choice('style') === 'curled'
            ? self::curling(...)
            : fn (): Handwork => $this->rounding($part));
    }

    /**
     * A turn and a half from the outside in, or a single open one of little wire; round itself, it leaves its plane.
     */
    private function curl(PartPlan $part): Shape
    {
        [$mm, $d] = [$part->part->mm('ends') / 2, $this->thickMm($part)];
        $inside = $mm / (M_PI * self::CURL_TURNS) - self::CURL_TURNS * $d;

        return $inside > $d / 2
            ? new FlatSpiral(new Spiral($d, $inside, self::CURL_TURNS))
            : new Arc(max($d, $mm / (2 * M_PI)), $mm / max($d, $mm / (2 * M_PI)));
    }

    /** How wide a curl is. */
    private function curlMm(PartPlan $part): float
    {
        $inside = $part->part->mm('ends') / 2 / (M_PI * self::CURL_TURNS) - self::CURL_TURNS * $this->thickMm($part);

        return $inside > $this->thickMm($part) / 2
            ? $inside + (2 * self::CURL_TURNS + 0.4) * $this->thickMm($part)
            : max(2 * $this->thickMm($part), $part->part->mm('ends') / (2 * M_PI)) + $this->thickMm($part);
    }

    /** Folded in half: the fold is the loop, an inside of three wires; both ends together are the hook. */
    private function doubled(PartPlan $part, Stretch $stretch, float $roundMm, string $numbers, Frame $anchor): Course
    {
        [$end, $d] = [$part->part->mm('ends') / 2, $part->wireMm()];
        $fold = new Rolled(new Bulb(3 * $d, $d, 4 * M_PI * $d, 0.0, $d), -90.0);
        $hook = $this->hook($end, $d);
        $folding = fn (): Handwork => self::folding($part);

        return $stretch
            ->given(SegmentKind::Curl, $end, 'hook', 'end-1', 'as set', $hook)->bend('hook ends')->by($folding)
            ->anchored()
            ->worked(
                SegmentKind::Round,
                $roundMm,
                'once round',
                'round',
                'π(inside + d)',
                $numbers,
                beads: $this->beads($part)->onWire(),
                shape: $this->round($part),
            )->threading($this->beads($part)->threaded($roundMm))->bend('fold starts')->by(...$this->roundWork($part))
            ->worked(
                SegmentKind::Arch, M_PI * 4 * $d, 'loop', 'fold', 'π(3d + d)', 'π × 4 × '.Figures::trim($d, 3),
                shape: $fold,
            )->bend('fold ends')->by($folding)
            ->worked(
                SegmentKind::Round, $roundMm, 'once round', 'round-2', 'π(inside + d)', $numbers,
                shape: new Rolled($this->round($part), 90.0),
            )->bend('hook starts')->by(fn (): Handwork => $this->rounding($part))
            ->given(SegmentKind::Curl, $end, 'hook', 'end-2', 'as set', $hook)->by($folding)
            ->course('Bangle', $part->part->wire, $part->times, $anchor);
    }

    /** Turned back outwards, its tip a little open. */
    private function hook(float $mm, float $wireMm): Shape
    {
        if ($mm <= 0.0) {
            return new Straight(0.0);
        }
        $radius = min(self::HOOK * $wireMm, $mm / M_PI);
        $bent = min($mm, M_PI * $radius);

        return new Together(new Arc($radius, -$bent / $radius), new Straight($mm - $bent));
    }

    public function drillings(): array
    {
        return BoundBeads::drillings();
    }

    private static function filing(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('ends'), 'Round both ends', 'File both ends flat, then round, until nothing scratches.',
            Operation::File, 'file', cautions: [Caution::Filing],
            lights: [$part->mark('end-1'), $part->mark('end-2')],
        );
    }

    private static function folding(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('round'), 'Fold the wire', 'Fold it in the middle round a rod of '
                .$part->profile->size(3 * $part->wireMm()).' and lay both halves close side by side; bend both ends '
                .'together to a hook, the tips turned back in.', Operation::Bend, 'mandrel, flat-nose pliers',
        );
    }

    private static function curling(): Handwork
    {
        return new Handwork(
            Moment::work('round'), 'Curl the ends',
            'Turn each end to a curl in the round-nose pliers, both the same way out.', Operation::Spiral,
            'round-nose pliers', 2, 'curls',
        );
    }

    private function rounding(PartPlan $part): Handwork
    {
        $form = Forming::bangle(
            $part->wire, $part->part->mm('inside'), $part->profile, $this->flat($part), $part->part->is('annealed'),
        );

        return new Handwork(
            Moment::work('round'), 'Bend it round', 'Bend it round '.$form->where('mandrel', $part->profile)
                .', let it spring, and form it again.'.$form->opens($part->profile), Operation::Bend, 'bangle mandrel',
            turn: 1,
        );
    }

    private static function bindingTheStack(PartPlan $part): Handwork
    {
        $turns = $part->part->count('binding_turns');

        return new Handwork(
            Moment::work('bind'), 'Bind the stack', 'Make all '.$part->part->count('stack')
                .' alike, hold them side by side, openings together, and coil '.Figures::counted($turns, 'close turn')
                .' round them opposite the opening. Trim both tails on the outside and press them in.',
            Operation::Bind, 'fingers, chain-nose pliers, flush cutter', $turns, 'turns', [Caution::CutEnds],
        );
    }

    /** @return list<Closure(): Handwork> what is done to the round of each, once or on the way */
    private function roundWork(PartPlan $part): array
    {
        [$flat, $stops] = [$this->flat($part), $this->annealedAt($part)];

        return [
            fn (): Handwork => self::filing($part),
            ...$stops === [] ? [] : [fn (): Handwork => self::annealing($stops)],
            ...$flat === null ? [] : [fn (): Handwork => self::hammering($part, $flat)],
            ...$this->beads($part)->stringing(),
            fn (): Handwork => $this->rounding($part),
        ];
    }

    private static function hammering(PartPlan $part, Hammered $flat): Handwork
    {
        return new Handwork(
            Moment::work('hammer'), 'Hammer it', 'Hammer evenly from the middle out to '
                .$part->profile->size($flat->thicknessMm).', turn it and do the other face; it grows to '
                .Figures::trim($flat->lengthening() * 100, 0).' % of its length and '
                .$part->profile->size($flat->widthMm()).' wide.', Operation::Hammer, 'hammer, bench block',
            cautions: [Caution::Hammering],
        );
    }

    /** @param  list<string>  $stops */
    private static function annealing(array $stops): Handwork
    {
        return new Handwork(
            Moment::work('hammer'), 'Anneal on the way', 'Hammer it no thinner than '.implode(', then ', $stops)
                .' before it is annealed again, as you were trained to, and cleaned.', Operation::Flame,
            'hammer, bench block', cautions: [Caution::Flame, Caution::Hammering],
        );
    }

    /** How hard its wire is when it comes to the block. */
    private function before(PartPlan $part): Hardness
    {
        return Hardness::of($part->wire->temper)->plus($part->profile->schools->straighteningNumbers());
    }

    /** @return list<string> how thin it is each time that it must be annealed: as thin as it may get */
    private function annealedAt(PartPlan $part): array
    {
        $flat = $this->flat($part);
        if ($flat === null || ! $part->part->is('annealed')) {
            return [];
        }
        [$stops, $hardness, $thick] = [[], $this->before($part), $part->wireMm()];
        while (count($stops) < self::MOST_ANNEALED) {
            $thick = $hardness->thinnestMm($part->wire->metal, $thick);
            if ($thick <= $flat->thicknessMm) {
                break;
            }
            $stops[] = $part->profile->size($thick);
            $hardness = Hardness::of(Temper::DeadSoft);
        }

        return $stops;
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

        $said = ucfirst($part->wire->words()).' cracks when it is hammered to '
            .$part->profile->size($flat->thicknessMm).': it bears '.Figures::mm($thinnest)
            .' before it must be annealed.';

        return new Check(Level::Stop, 'hammering cracks', $said, $id, array_values(array_filter(
            [
                $flat->thicknessMm >= $soft && $part->wire->temper !== Temper::DeadSoft
                    ? new Way(
                        'Start dead soft',
                        new SetWire($part->part->wire, temper: Temper::DeadSoft),
                    )
                    : null,
                new Way('Anneal it on the way', new SetSetting($id, 'annealed', '1')),
                $stop <= $part->wireMm()
                    ? new Way(
                        'Stop at '.Figures::mm($stop),
                        new SetSetting($id, 'hammered', $stop.' mm'),
                    )
                    : null,
            ],
        )));
    }

    public function checks(PartPlan $part): array
    {
        $style = $part->part->choice('style');
        $hammered = $style === 'doubled' ? 0.0 : $part->part->mm('hammered');
        $round = M_PI * ($part->part->mm('inside') + $this->thickMm($part));
        $beads = $this->beads($part);

        return [
            ...$beads->checks(),
            ...array_filter([
                $beads->fits(
                    'bangle', $round - ($style === 'cuff' ? $part->part->mm('gap') : 0.0),
                    new Way(
                        'Take the last ones off', new RemoveBead($part->part->id, max(0, count($part->strung) - 1)),
                    ),
                ),
                $this->cracks($part),
                $hammered > 0 && $this->flat($part) === null ? $this->hammeredThicker($part, $hammered) : null,
            ]),
        ];
    }

    private function hammeredThicker(PartPlan $part, float $toMm): Check
    {
        return new Check(
            Level::Stop, 'hammered',
            "Hammered to {$part->profile->size($toMm)} cannot be: the wire is {$part->profile->size($part->wireMm())} "
                .'thick.',
            $part->part->id, [new Way('Leave it round', new SetSetting($part->part->id, 'hammered', '0 mm'))],
        );
    }

    /** How low its middle lies: below what stands on top of it. */
    private function middleMm(PartPlan $part): float
    {
        $above = match ($part->part->choice('style')) {
            'curled' => $this->curlMm($part),
            'doubled' => (2 * self::HOOK + 1) * $part->wireMm(),
            default => 0.0,
        };

        return $this->radiusMm($part) + $this->thickMm($part) / 2 + $above;
    }
}
