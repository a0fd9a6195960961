<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Closure;
use Hebra\Core\Bend\Loop;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\Eye as EyeShape;
use Hebra\Core\Course\Shape\Kicked;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetWire;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\ReadyMade;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\School\School;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
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

    /** How far the tip of a hook is flicked out [common practice]. */
    private const FLICK_DEGREES = 15.0;

    /** What an ear back weighs, g [memory]. */
    private const BACK_G = 0.1;

    public function parameters(): array
    {
        return [
            Parameter::choice('style', 'goes through the ear as', 'hook', ['hook' => 'a hook', 'post' => 'a post']),
            Bought::parameter('it is'),
            Parameter::length('eye', 'eye, inside', 2.4, 0.8, 20.0)->bentOn(ToolKind::LOOPS),
            Parameter::length('front', 'front leg', 6.0, 1.0, 60.0),
            Parameter::length('arch', 'arch, inside', 9.0, 4.0, 40.0)->bentOn(ToolKind::ARCHES),
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

    public function courses(PartPlan $part): array
    {
        return [Bought::asIs($part, $this->isPost($part->part) ? $this->post($part) : $this->hook($part))];
    }

    public function isBought(Part $part): bool
    {
        return Bought::is($part);
    }

    public function readyMade(PartPlan $part): array
    {
        $cut = Cut::of($this->courses($part)[0], $part);

        // A post is held from behind, whoever made it.
        return [
            ...Bought::ready($part, $cut, $this->isPost($part->part) ? 'ear post' : 'ear wire'),
            ...($this->isPost($part->part) ? [new ReadyMade('ear back', 1, self::BACK_G)] : []),
        ];
    }

    private function post(PartPlan $part): Course
    {
        [$turns, $post] = [$part->part->count('pad'), $part->part->mm('post')];

        return (new Stretch($part))
            ->loop(
                $part->part->mm('eye'), $part->wireMm(), 'eye', 'eye',
                new EyeShape($part->part->mm('eye'), $part->wireMm()),
            )
            ->bend('eye ends')->by(fn (): Handwork => $this->turning($part))
            ->anchored()
            ->worked(
                SegmentKind::Curl,
                $this->pad($part)->wireLengthMm(),
                'pad',
                'pad',
                'N·π(D + N·d)',
                "{$turns} × π × (".self::PAD_MM." + {$turns} × ".Figures::trim($part->wireMm(), 3).')',
                shape: new Kicked($this->pad($part)),
            )->bend('post starts')->by(fn (): Handwork => self::winding($part))
            ->given(
                SegmentKind::Leg, $post, 'post', 'post', 'straight back through the ear',
                // Square to the pad, away from the viewer.
                new Rolled(new Together(new Corner(90.0), new Straight($post)), 90.0),
            )->by(fn (): Handwork => self::filing('post'), self::bendingBack(...))
            ->course('Ear post', $part->part->wire, $part->times, Frame::down($this->padMm($part))->back());
    }

    /** How low the pad ends: where the eye's wire comes out of its outer turn. */
    private function padMm(PartPlan $part): float
    {
        return $this->pad($part)->widthMm() / 2 + (new Kicked($this->pad($part)))->middleMm();
    }

    private function hook(PartPlan $part): Course
    {
        $d = $part->wireMm();
        [$eye, $arch, $back] = [$part->part->mm('eye'), $part->part->mm('arch'), $part->part->mm('back')];
        // The last quarter of the back leg leaves the upright by about fifteen degrees.
        $flick = new Arc(max($back / 16, $part->wireMm()), -deg2rad(self::FLICK_DEGREES));
        $leg = new Together(new Straight(0.75 * $back), $flick, new Straight($back / 4 - $flick->lengthMm()));
        $arching = fn (): Handwork => self::arching($part);

        return (new Stretch($part))
            ->worked(
                SegmentKind::Eye, Loop::lengthMm($eye, $d), 'eye', 'eye', 'π(D + d)',
                'π × ('.Figures::trim($eye, 3).' + '.Figures::trim($d, 3).')', Loop::SOURCE,
                // The leg is measured to the middle of the eye's wire: it is bent square there, and the eye goes round.
                shape: new Together(new Corner(90.0), Arc::turns($eye, $d, -1.0)),
            )->bend('eye ends')->by(fn (): Handwork => $this->turning($part))
            ->given(SegmentKind::Leg, $part->part->mm('front'), 'front', 'front', 'front leg, straight')
            ->bend('arch starts')->by($arching)->anchored()
            ->worked(
                SegmentKind::Arch, M_PI * ($arch + $d) / 2, 'over the ear', 'arch', 'π(A + d)/2',
                'π × ('.Figures::trim($arch).' + '.Figures::trim($d, 3).')/2', Loop::SOURCE,
                shape: Arc::turns($arch, $d, 0.5),
            )->bend('arch ends')->by($arching, ...self::archHammered($part))
            ->given(SegmentKind::Leg, $back, 'back', 'back', 'back leg', $leg)
            ->by(fn (): Handwork => self::filing('ear end'), self::flicking(...), ...self::endHammered($part))
            ->course('Ear wire', $part->part->wire, $part->times, Frame::down($this->archMm($part))->back());
    }

    /** How low the arch begins. */
    private function archMm(PartPlan $part): float
    {
        return $part->part->mm('arch') / 2 + $part->wireMm();
    }

    private static function filing(string $what): Handwork
    {
        return new Handwork(
            Moment::form('bottom'), "Round the {$what}",
            'File the end that goes through the ear until it is smooth and round to the fingertip.', Operation::File,
            'needle file', cautions: [Caution::Filing, Caution::Piercing],
        );
    }

    private function turning(PartPlan $part): Handwork
    {
        [$form, $isPost] = [$this->eyeForm($part), $this->isPost($part->part)];
        $on = $form->where('mark of the round-nose pliers', $part->profile);

        return new Handwork(
            Moment::form('bottom'), 'Turn the eye', "At the other end roll a plain eye round {$on}"
                .($isPost ? '.' : ', then kick it back to the middle.').$form->opens($part->profile), Operation::Eye,
            $isPost ? 'round-nose pliers' : self::bare($on), turn: 1,
        );
    }

    private function eyeForm(PartPlan $part): Forming
    {
        return Forming::loop($part->wire, $part->part->mm('eye'), $part->profile);
    }

    private static function arching(PartPlan $part): Handwork
    {
        $arch = Forming::arch($part->wire, $part->part->mm('arch'), $part->profile);
        $on = $arch->where('mandrel', $part->profile);

        return new Handwork(
            Moment::form('bottom'), 'Bend the arch', 'Leave '.$part->profile->length($part->part->mm('front'))
                ." straight above the eye, then bend half a turn round {$on}, with the eye facing outwards."
                .$arch->opens($part->profile), Operation::Bend, self::bare($on), turn: 2,
        );
    }

    private static function flicking(): Handwork
    {
        return new Handwork(
            Moment::form('bottom'), 'Flick the back leg', 'Lift the last few millimetres of the back leg a little '
                .'outwards, so that it slides in and does not slip out.', Operation::Bend, 'chain-nose pliers',
            turn: 3,
        );
    }

    private static function winding(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::form('bottom'), 'Wind the pad', 'Leave '.$part->profile->length($part->part->mm('post'))
                .' for the post and wind the wire flat from there outwards, '
                .Figures::counted($part->part->count('pad'), 'turn').', until the eye lies at its edge.',
            Operation::Spiral, 'round-nose pliers, smooth-jaw pliers', turn: 2,
        );
    }

    private static function bendingBack(): Handwork
    {
        return new Handwork(
            Moment::form('bottom'), 'Bend the post back',
            'Bend the post square to the back, at the very middle of the pad.', Operation::Bend, 'chain-nose pliers',
            turn: 3,
        );
    }

    /** @return list<Closure(): Handwork> as the maker's school hammers the arch */
    private static function archHammered(PartPlan $part): array
    {
        $first = fn (): Handwork => self::tapping('Hammer it straight first', 'Lay the wire on the block and tap '
            .'along the middle, turning it, so that it stiffens and stays round. Straighten it again.', -1);
        $last = fn (): Handwork => self::tapping('Hammer the arch', 'A few light taps on the arch, one face, then '
            .'the other: it stiffens. Stop before it shows.', 4);

        return match ($part->profile->schools->choice(School::Hammering)) {
            'before-and-after' => [$first, $last],
            'finish' => [$last],
            default => [],
        };
    }

    /** @return list<Closure(): Handwork> */
    private static function endHammered(PartPlan $part): array
    {
        return $part->profile->schools->is(School::Hammering, 'ends') ? [fn (): Handwork => self::tapping(
            'Flatten the end',
            'Tap the last few millimetres of the back leg a little flat, then file its edges round again.', 4,
        )] : [];
    }

    private static function tapping(string $title, string $text, int $turn): Handwork
    {
        return new Handwork(
            Moment::form('bottom'), $title, $text, Operation::Hammer, 'hammer, bench block',
            cautions: [Caution::Hammering], turn: $turn,
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

        return new Check(Level::Warn, 'skin', ucfirst($part->wire->metal->words()).' goes through the ear here and can '
            .'irritate skin; local limits on nickel may forbid it.', $part->part->id, [
                new Way(
                    'Ear wire of sterling silver',
                    new SetWire($part->part->wire, metal: Metal::Sterling),
                ),
                new Way('Ear wire of niobium', new SetWire($part->part->wire, metal: Metal::Niobium)),
            ]);
    }

    /** Common practice: 20 or 21 AWG through an ear; 18 hurts, 22 cuts and bends open. */
    private function thickness(PartPlan $part): ?Check
    {
        $d = $part->wireMm();
        $way = [new Way('Use 20 AWG', new SetWire($part->part->wire, size: WireSize::awg(20)))];

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
        if (
            ! $part->wire->temper->isSofterThan(Temper::QuarterHard)
            || $part->profile->schools->hammeringNumbers() > 0
        ) {
            return null;
        }

        return new Check(Level::Note, 'temper', 'A dead soft ear wire bends open in wear: half hard keeps its shape, '
            .'or hammer the arch lightly.', $part->part->id, [
                new Way(
                    'Half hard for the ear wire',
                    new SetWire($part->part->wire, temper: Temper::HalfHard),
                ),
            ]);
    }

    public function hung(PartPlan $part): array
    {
        [$eye, $d] = [$part->part->mm('eye'), $part->wireMm()];
        $inside = $this->isPost($part->part)
            ? $this->padMm($part) + $d
            : $this->archMm($part) + $part->part->mm('front') + $d / 2;

        return ['bottom' => new Placement($inside + $eye, false)];
    }
}
