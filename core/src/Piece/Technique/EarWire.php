<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Bend\Loop;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\BendMark;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\ReadyMade;
use Hebra\Core\Plan\Segment;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\School\School;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Hebra\Core\Working;
use Hebra\Core\Wrap\Spiral;

/**
 * A French hook: a plain eye, a straight front leg, half a turn over the ear, a back leg. Cut = π(D + d) + front +
 * π(A + d)/2 + back, A the arch's inside diameter. As a post: the eye, a flat spiral for a pad, N·π(D + N·d), and the
 * post. Millimetres. Common practice: 20 or 21 AWG, half hard.
 */
final class EarWire implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'ear-wire';
    }

    public function label(): string
    {
        return 'ear wire';
    }

    public function role(): string
    {
        return 'ear';
    }

    public function usualWire(): Wire
    {
        return new Wire(Metal::Sterling, WireSize::awg(20), Temper::HalfHard);
    }

    public function wants(): Wants
    {
        return new Wants(holds: 0.8, effort: 1.5, isHammered: true);
    }

    /** What the pad of a post begins with, inside, mm. */
    private const PAD_MM = 0.6;

    /** What an ear back weighs, g [memory]. */
    private const BACK_G = 0.1;

    public function parameters(): array
    {
        return [
            Parameter::choice('style', 'goes through the ear as', 'hook', ['hook' => 'a hook', 'post' => 'a post']),
            Bought::parameter('it is'),
            Parameter::length('eye', 'eye, inside', 2.4, 0.8, 20.0),
            Parameter::length('front', 'front leg', 6.0, 1.0, 60.0),
            Parameter::length('arch', 'arch, inside', 9.0, 4.0, 40.0),
            Parameter::length('back', 'back leg', 14.0, 3.0, 80.0),
            Parameter::count('pad', 'turns of the pad', 3, 1, 8),
            Parameter::length('post', 'post', 11.0, 6.0, 20.0),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return match ($key) {
            'front', 'arch', 'back' => ! $this->isPost($part),
            'pad', 'post' => $this->isPost($part),
            default => true,
        };
    }

    private function isPost(Part $part): bool
    {
        return $part->choice('style') === 'post';
    }

    private function pad(PartPlan $part): Spiral
    {
        return new Spiral($part->wireMm(), self::PAD_MM, $part->part->count('pad'));
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        return [
            'bottom' => new Eye(
                "{$instance}/bottom", EyeKind::Openable, $part->part->mm('eye'), $part->wireMm(), 'ear wire’s eye',
                $part->mark('eye'),
            ),
        ];
    }

    public function along(PartPlan $part): array
    {
        return ['bottom'];
    }

    public function family(): Family
    {
        return Family::Finding;
    }

    public function cuts(PartPlan $part): array
    {
        return Bought::cuts($part, $this->cut($part));
    }

    public function isBought(Part $part): bool
    {
        return Bought::is($part);
    }

    public function readyMade(PartPlan $part): array
    {
        // A post is held from behind, whoever made it.
        return [
            ...Bought::ready($part, $this->cut($part), $this->isPost($part->part) ? 'ear post' : 'ear wire'),
            ...($this->isPost($part->part) ? [new ReadyMade('ear back', 1, self::BACK_G)] : []),
        ];
    }

    private function cut(PartPlan $part): Cut
    {
        return $this->isPost($part->part) ? $this->postCut($part) : $this->hookCut($part);
    }

    private function postCut(PartPlan $part): Cut
    {
        $turns = $part->part->count('pad');

        return (new Stretch($part))
            ->loop($part->part->mm('eye'), $part->wireMm(), 'eye', 'eye')->bend('eye ends')
            ->worked(
                SegmentKind::Curl,
                $this->pad($part)->wireLengthMm(),
                'pad',
                'pad',
                'N·π(D + N·d)',
                "{$turns} × π × (".self::PAD_MM." + {$turns} × ".Figures::trim($part->wireMm(), 3).')',
            )->bend('post starts')
            ->given(SegmentKind::Leg, $part->part->mm('post'), 'post', 'post', 'straight back through the ear')
            ->cut('Ear post', $part->part->wire, $part->times);
    }

    private function hookCut(PartPlan $part): Cut
    {
        $d = $part->wireMm();
        [$eye, $arch] = [$part->part->mm('eye'), $part->part->mm('arch')];
        $archMm = M_PI * ($arch + $d) / 2;
        $segments = [
            new Segment(
                SegmentKind::Eye, Loop::lengthMm($eye, $d), 'eye', $part->mark('eye'), Loop::working('eye', $eye, $d),
            ),
            Segment::given(
                SegmentKind::Leg, $part->part->mm('front'), 'front', $part->mark('front'), 'front leg, straight',
                'your setting',
            ),
            new Segment(
                SegmentKind::Arch,
                $archMm,
                'over the ear',
                $part->mark('arch'),
                new Working(
                    'half a turn',
                    'π(A + d)/2',
                    'π × ('.Figures::trim($arch).' + '.Figures::trim($d, 3).')/2',
                    $archMm,
                    'mm',
                    Loop::SOURCE,
                ),
            ),
            Segment::given(
                SegmentKind::Leg, $part->part->mm('back'), 'back', $part->mark('back'), 'back leg', 'your setting',
            ),
        ];
        $at = 0.0;
        $bends = [];
        foreach (['eye ends', 'arch starts', 'arch ends'] as $i => $words) {
            $at += $segments[$i]->lengthMm;
            $bends[] = new BendMark($at, $words);
        }

        return new Cut('Ear wire', $part->part->id, $part->part->wire, $part->wire, $part->times, $segments, $bends);
    }

    public function steps(PartPlan $part, string $event): array
    {
        if ($event !== 'form bottom' || Bought::is($part->part)) {
            return [];
        }
        if ($this->isPost($part->part)) {
            return $this->postSteps($part, $event);
        }
        $profile = $part->profile;
        $eye = Forming::loop($part->wire, $part->part->mm('eye'), $profile);
        $arch = Forming::arch($part->wire, $part->part->mm('arch'), $profile);
        [$onEye, $onArch] = [$eye->where('mark of the round-nose pliers', $profile), $arch->where('mandrel', $profile)];
        $school = $profile->schools->choice(School::Hammering);
        $steps = [
            new Step(
                $event,
                '',
                'Round the ear end',
                'File the end that goes through the ear until it is smooth and round to the fingertip.',
                [$part->mark('back')],
                tool: 'needle file',
                cautions: [Caution::Filing, Caution::Piercing],
                operation: Operation::File,
            ),
            new Step(
                $event,
                '',
                'Turn the eye',
                "At the other end roll a plain eye round {$onEye}, then kick it back to the middle.".$eye->opens(
                    $profile,
                ),
                [$part->mark('eye')],
                tool: self::bare($onEye),
                operation: Operation::Eye,
            ),
            new Step(
                $event,
                '',
                'Bend the arch',
                'Leave '.$profile->length($part->part->mm('front'))
                    ." straight above the eye, then bend half a turn round {$onArch}, with the eye facing outwards."
                    .$arch->opens($profile),
                [$part->mark('front'), $part->mark('arch')],
                tool: self::bare($onArch),
                operation: Operation::Bend,
            ),
            new Step(
                $event,
                '',
                'Flick the back leg',
                'Lift the last few millimetres of the back leg a little outwards, so that it slides in and does not slip out.',
                [$part->mark('back')],
                tool: 'chain-nose pliers',
                operation: Operation::Bend,
            ),
        ];
        if ($school === 'before-and-after') {
            array_unshift(
                $steps,
                $this->hammerStep(
                    $event,
                    $part,
                    'Hammer it straight first',
                    'Lay the wire on the block and tap along the middle, turning it, so that it stiffens and stays round. Straighten it again.',
                    'arch',
                ),
            );
        }
        if ($school === 'finish' || $school === 'before-and-after') {
            $steps[] = $this->hammerStep(
                $event,
                $part,
                'Hammer the arch',
                'A few light taps on the arch, one face, then the other: it stiffens. Stop before it shows.',
                'arch',
            );
        }
        if ($school === 'ends') {
            $steps[] = $this->hammerStep(
                $event,
                $part,
                'Flatten the end',
                'Tap the last few millimetres of the back leg a little flat, then file its edges round again.',
                'back',
            );
        }

        return $steps;
    }

    /** @return list<Step> */
    private function postSteps(PartPlan $part, string $event): array
    {
        $profile = $part->profile;
        $eye = Forming::loop($part->wire, $part->part->mm('eye'), $profile);

        return [
            new Step(
                $event,
                '',
                'Round the post',
                'File the end that goes through the ear until it is smooth and round to the fingertip.',
                [$part->mark('post')],
                tool: 'needle file',
                cautions: [Caution::Filing, Caution::Piercing],
                operation: Operation::File,
            ),
            new Step(
                $event,
                '',
                'Turn the eye',
                'At the other end roll a plain eye round '.$eye->where('mark of the round-nose pliers', $profile).'.'
                    .$eye->opens($profile),
                [$part->mark('eye')],
                tool: 'round-nose pliers',
                operation: Operation::Eye,
            ),
            new Step(
                $event,
                '',
                'Wind the pad',
                'Leave '.$profile->length($part->part->mm('post'))
                    .' for the post and wind the wire flat from there outwards, '
                    .Figures::counted($part->part->count('pad'), 'turn').', until the eye lies at its edge.',
                [$part->mark('pad')],
                tool: 'round-nose pliers, smooth-jaw pliers',
                operation: Operation::Spiral,
            ),
            new Step(
                $event,
                '',
                'Bend the post back',
                'Bend the post square to the back, at the very middle of the pad.',
                [$part->mark('post')],
                tool: 'chain-nose pliers',
                operation: Operation::Bend,
            ),
        ];
    }

    private function hammerStep(string $event, PartPlan $part, string $title, string $text, string $mark): Step
    {
        return new Step(
            $event, '', $title, $text, [$part->mark($mark)], tool: 'hammer, bench block',
            cautions: [Caution::Hammering], operation: Operation::Hammer,
        );
    }

    private static function bare(string $on): string
    {
        return preg_replace('/^the /', '', $on) ?? $on;
    }

    public function checks(PartPlan $part): array
    {
        return array_values(array_filter([$this->skin($part), $this->thickness($part), $this->temper($part)]));
    }

    private function skin(PartPlan $part): ?Check
    {
        if (! $part->wire->metal->mayIrritatePiercings()) {
            return null;
        }

        return new Check(Level::Warn, 'skin', ucfirst($part->wire->metal->words()).' goes through the ear here and can irritate skin; local limits on nickel may forbid it.', $part->part->id, [
            new Way(
                'Ear wire of sterling silver',
                ['do' => 'wire', 'role' => $part->part->wire, 'metal' => 'sterling'],
            ),
            new Way('Ear wire of niobium', ['do' => 'wire', 'role' => $part->part->wire, 'metal' => 'niobium']),
        ]);
    }

    /** Common practice: 20 or 21 AWG through an ear; 18 hurts, 22 cuts and bends open. */
    private function thickness(PartPlan $part): ?Check
    {
        $d = $part->wireMm();
        $way = [new Way('Use 20 AWG', ['do' => 'wire', 'role' => $part->part->wire, 'size' => '20 awg'])];

        return match (true) {
            $d > 0.95 => new Check(
                Level::Warn,
                'ear wire size',
                $part->wire->size->text().' is '.Figures::mm($d).' thick: most pierced ears take up to about 0.9 mm.',
                $part->part->id,
                $way,
            ),
            $d < 0.6 => new Check(
                Level::Warn,
                'ear wire size',
                $part->wire->size->text().' is only '.Figures::mm($d).': an ear wire this thin bends open and cuts in.',
                $part->part->id,
                $way,
            ),
            default => null,
        };
    }

    private function temper(PartPlan $part): ?Check
    {
        if (! $part->wire->temper->isSofterThan(Temper::QuarterHard) || $part->profile->schools->hammeringNumbers() > 0) {
            return null;
        }

        return new Check(Level::Note, 'temper', 'A dead soft ear wire bends open in wear: half hard keeps its shape, or hammer the arch lightly.', $part->part->id, [
            new Way(
                'Half hard for the ear wire',
                ['do' => 'wire', 'role' => $part->part->wire, 'temper' => 'half-hard'],
            ),
        ]);
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        if ($this->isPost($part->part)) {
            return $this->drawPost($part, $place, $sketch);
        }
        [$d, $metal, $r] = [$part->wireMm(), $part->wire->metal, ($part->part->mm('arch') + $part->wireMm()) / 2];
        $archY = $place->yMm + $d / 2 + $r;
        $frontEnd = $archY + $part->part->mm('front');
        $back = $part->part->mm('back');
        $sketch->stroke(new Stroke([['M', 0.0, $frontEnd], ['L', 0.0, $archY]], $d, $metal, 1, $part->mark('front')));
        // The flick: the last quarter of the back leg leaves the vertical by about fifteen degrees.
        $flick = $back / 4;
        $sketch->stroke(
            new Stroke(
                [['M', 2 * $r, $archY], ['L', 2 * $r, $archY + $back - $flick], ['L', 2 * $r + $flick * 0.26, $archY + $back - $flick + $flick * 0.966]],
                $d,
                $metal,
                1,
                $part->mark('back'),
            ),
        );
        // Last, so that it covers the rounded ends of both legs.
        $sketch->stroke(
            new Stroke(
                [['M', 0.0, $archY], ['A', $r, $r, 1, 2 * $r, $archY]],
                $d,
                $metal,
                1,
                $part->mark('arch'),
                true,
            ),
        );
        $eyeTop = $frontEnd + $d / 2;
        $sketch->eye($eyeTop, $part->part->mm('eye'), $d, true, $metal, $part->mark('eye'));

        return ['bottom' => new Placement($eyeTop + $part->part->mm('eye'), false)];
    }

    /**
     * The post itself points away from the viewer.
     *
     * @return array<string, Placement>
     */
    private function drawPost(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        [$d, $metal] = [$part->wireMm(), $part->wire->metal];
        $wide = $this->pad($part)->widthMm();
        $sketch->spiral(0.0, $place->yMm + $wide / 2, $this->pad($part), 0.25, 1, $metal, $part->mark('pad'));
        $sketch->through(
            [[-0.01, $place->yMm + $wide / 2], [0.01, $place->yMm + $wide / 2]],
            $d,
            $metal,
            $part->mark('post'),
        );
        $eyeTop = $place->yMm + $wide;
        $sketch->eye($eyeTop, $part->part->mm('eye'), $d, true, $metal, $part->mark('eye'));

        return ['bottom' => new Placement($eyeTop + $part->part->mm('eye'), false)];
    }
}
