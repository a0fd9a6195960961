<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Sheared;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Clasp;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * A clasp made from wire: an eye, a shank, a hook that narrows towards its tip; an S has a hook on both ends; a
 * shepherd's crook goes on to two thirds of a turn. Cut = π(D + d) + shank + turns·π(B + d) + tip; of an S shank and
 * twice bend and tip. Its eye may be a loop that is wrapped shut. It stands at the start of a chain or at its end.
 * Millimetres. Common practice: 18 or 16 AWG, half
 * hard, the hook hammered lightly.
 */
final class HookClasp implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'hook';
    }

    public function label(): string
    {
        return 'hook';
    }

    public function role(): string
    {
        return 'clasp';
    }

    public function family(): Family
    {
        return Family::Finding;
    }

    public function usualWire(): Wire
    {
        return self::awg(18, Temper::HalfHard);
    }

    public function wants(): Wants
    {
        return new Wants(holds: 1.0, effort: 1.8, isHammered: true);
    }

    /** How far a shepherd's crook goes round, in turns; a hook and an S go half. */
    private const CROOK_TURNS = 2 / 3;

    /** How far its tip is turned out. */
    private const TIP_DEGREES = 20.0;

    public function parameters(): array
    {
        return [
            Parameter::choice(
                'style',
                'shape',
                'hook',
                ['hook' => 'hook', 's' => 'S, a hook at both ends', 'crook' => 'shepherd’s crook'],
            ),
            Bought::parameter('it is'),
            Parameter::choice('end', 'stands at the', 'start', ['start' => 'start', 'end' => 'end']),
            Parameter::length('eye', 'eye, inside', 3.0, 1.0, 15.0)->bentOn(ToolKind::LOOPS),
            Parameter::count('wraps', 'wraps that close it', 0, 0, 20),
            WrappedEnd::tail(),
            Parameter::length('shank', 'shank', 9.0, 2.0, 60.0),
            Parameter::length('bend', 'hook, inside', 4.0, 2.0, 25.0)->bentOn(ToolKind::ARCHES),
            Parameter::length('tip', 'tip', 5.0, 1.0, 30.0),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return match ($key) {
            'eye' => ! $this->isS($part),
            'wraps' => ! $this->isS($part) && ! Bought::is($part),
            'tail' => $this->isWrapped($part),
            default => true,
        };
    }

    private function isS(Part $part): bool
    {
        return $part->choice('style') === 's';
    }

    private function isWrapped(Part $part): bool
    {
        return ! $this->isS($part) && ! Bought::is($part) && $part->count('wraps') > 0;
    }

    private function loop(PartPlan $part): WrappedEnd
    {
        return new WrappedEnd($part, '', $this->eyeName($part), insideKey: 'eye');
    }

    /** @return 'top'|'bottom' */
    private function eyeName(PartPlan $part): string
    {
        return $this->isEnd($part) ? 'top' : 'bottom';
    }

    private function turns(Part $part): float
    {
        return $part->choice('style') === 'crook' ? self::CROOK_TURNS : 0.5;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $name = $this->eyeName($part);
        if ($this->isWrapped($part->part)) {
            return [$name => $this->loop($part)->eye($instance)];
        }
        $isS = $this->isS($part->part);

        return [
            $name => new Eye(
                "{$instance}/{$name}",
                EyeKind::Openable,
                $part->part->mm($isS ? 'bend' : 'eye'),
                $part->wireMm(),
                $isS ? 'S’s closed end' : 'hook’s eye',
                $part->mark('eye'),
            ),
        ];
    }

    public function clasp(PartPlan $part): Clasp
    {
        return new Clasp(
            $this->isS($part->part) ? 'S' : 'hook',
            1.5 * $part->wireMm(),
            holdsMm: $part->part->mm('bend'),
        );
    }

    public function along(PartPlan $part): array
    {
        return ['hook', 'top', 'bottom'];
    }

    public function inShort(PartPlan $part): string
    {
        return ['hook' => '', 's' => 'an S', 'crook' => 'a shepherd’s crook'][$part->part->choice('style')];
    }

    public function isBought(Part $part): bool
    {
        return Bought::is($part);
    }

    public function readyMade(PartPlan $part): array
    {
        return Bought::ready(
            $part,
            Cut::of($this->courses($part)[0], $part),
            ['hook' => 'hook', 's' => 'S clasp', 'crook' => 'shepherd’s crook'][$part->part->choice('style')],
        );
    }

    public function courses(PartPlan $part): array
    {
        [$d, $inside, $turns] = [$part->wireMm(), $part->part->mm('bend'), $this->turns($part->part)];
        $arch = $turns * M_PI * ($inside + $d);
        if ($this->isWrapped($part->part)) {
            return [$this->wrappedCourse($part)];
        }
        $numbers = Figures::trim($turns, 4).' × π × ('.Figures::trim($inside).' + '.Figures::trim($d, 3).')';
        $stretch = new Stretch($part);
        $back = fn (): Handwork => $this->bendingBack($part);
        if ($this->isS($part->part)) {
            $stretch->given(
                SegmentKind::Straight, $part->part->mm('tip'), 'tip', 'eye', 'closed against the shank',
                $this->tip($part, -1),
            )->bend('first hook starts')->by($back)
                ->worked(
                    SegmentKind::Arch, $arch, 'first hook', 'eye', 'turns·π(D + d)', $numbers,
                    shape: Arc::turns($inside, $d, -$turns),
                )->bend('first hook ends')->by($back);
        } else {
            // At right angles to the hook; the shank is measured to the middle of the eye's wire.
            $eye = new Rolled(new Together(new Corner(90.0), Arc::turns($part->part->mm('eye'), $d, -1.0)), 90.0);
            $stretch->loop($part->part->mm('eye'), $d, 'eye', 'eye', $eye)->bend('eye ends')
                ->by(fn (): Handwork => $this->turning($part));
        }
        $stretch
            ->given(SegmentKind::Straight, $part->part->mm('shank'), 'shank', 'shank', 'straight')->bend('hook starts')
            ->anchored();
        $this->hooked($part, $stretch);

        return [Bought::asIs($part, $stretch->course('Hook', $part->part->wire, $part->times, $this->bent($part)))];
    }

    /** Where the shank ends and the hook begins. */
    private function bent(PartPlan $part): Frame
    {
        $shank = Frame::down($this->shankMm($part), $this->asideMm($part));

        return $this->isEnd($part) ? $shank->on($part->part->mm('shank')) : $shank->back();
    }

    private function hooked(PartPlan $part, Stretch $stretch): Stretch
    {
        [$d, $inside, $turns] = [$part->wireMm(), $part->part->mm('bend'), $this->turns($part->part)];

        return $stretch->worked(
            SegmentKind::Arch, $turns * M_PI * ($inside + $d), 'hook', 'hook', 'turns·π(D + d)',
            Figures::trim($turns, 4).' × π × ('.Figures::trim($inside).' + '.Figures::trim($d, 3).')',
            // What comes back to the shank lies beside it.
            shape: $turns > 0.5 ? new Sheared(Arc::turns($inside, $d, $turns), $d) : Arc::turns($inside, $d, $turns),
        )->bend('hook ends')->by(fn (): Handwork => $this->bending($part), self::hammering(...))->given(
            SegmentKind::Straight, $part->part->mm('tip'), 'tip', 'tip', 'turned out a little at its end',
            $this->tip($part, 1),
        )->by(self::filing(...));
    }

    /** Its eye turned on a neck and wrapped shut, across the hook. */
    private function wrappedCourse(PartPlan $part): Course
    {
        $hook = $this->hooked($part, new Stretch($part))->course('Hook', $part->part->wire, $part->times,
            $this->bent($part));
        $shank = (new Stretch($part))->given(SegmentKind::Straight, $part->part->mm('shank'), 'shank', 'shank',
            'straight')
            ->bend('hook starts')->course('Hook', $part->part->wire, $part->times, $this->bent($part));

        return Course::both(
            'Hook', $part->part->wire, [...$shank->moves, ...$this->loop($part)->moves(true, 'bend square', 90.0)],
            $hook->moves, $this->bent($part), $part->times,
        );
    }

    /** Straight on from the bend, then turned out: 1 on the side the hook bends to, -1 on the other. */
    private function tip(PartPlan $part, int $side): Together
    {
        $tip = $part->part->mm('tip');

        return new Together(
            new Straight(0.6 * $tip),
            new Arc(0.4 * $tip / deg2rad(self::TIP_DEGREES), -$side * deg2rad(self::TIP_DEGREES)),
        );
    }

    private function isEnd(PartPlan $part): bool
    {
        return $part->part->choice('end') === 'end';
    }

    /** How low the upper end of the shank lies. */
    private function shankMm(PartPlan $part): float
    {
        [$d, $bend] = [$part->wireMm(), $part->part->mm('bend')];
        if (! $this->isEnd($part)) {
            return $d + $bend / 2;
        }

        return match (true) {
            $this->isS($part->part) => $bend / 2,
            $this->isWrapped($part->part) => $this->loop($part)->loop->reachMm(),
            default => $part->part->mm('eye') + $d / 2,
        };
    }

    /** An S hangs by the middle of its closed end, beside its shank. */
    private function asideMm(PartPlan $part): float
    {
        return $this->isS($part->part) && $this->isEnd($part) ? ($part->part->mm('bend') + $part->wireMm()) / 2 : 0.0;
    }

    private static function filing(): Handwork
    {
        return new Handwork(
            Moment::work('hook'), 'Round the tip', 'File the end that will catch cloth and skin until it is round and '
                .'smooth, and turn its last millimetre out.', Operation::File, 'needle file',
            cautions: [Caution::Filing], turn: -1,
        );
    }

    private function bending(PartPlan $part): Handwork
    {
        [$round, $opens] = $this->roundTheMandrel($part);

        return new Handwork(
            Moment::work('hook'), 'Bend the hook', 'Leave '.$part->profile->length($part->part->mm('tip'))
                ." and bend {$round}; close it until the tip almost meets the shank.{$opens}", Operation::Bend,
            'mandrel',
        );
    }

    private static function hammering(): Handwork
    {
        return new Handwork(
            Moment::work('hook'), 'Hammer the hook',
            'A few light taps on the bend, one face, then the other: it stiffens.', Operation::Hammer,
            'hammer, bench block', cautions: [Caution::Hammering], turn: 1,
        );
    }

    /** Of an S. */
    private function bendingBack(PartPlan $part): Handwork
    {
        [$round] = $this->roundTheMandrel($part, ' the other way');

        return new Handwork(
            Moment::form($this->eyeName($part)), 'Bend the other end', "Bend {$round}, flat in one plane with the "
                .'first, and close its tip against the shank once the chain hangs in it.', Operation::Bend, 'mandrel',
        );
    }

    private function turning(PartPlan $part): Handwork
    {
        $eye = Forming::loop($part->wire, $part->part->mm('eye'), $part->profile);

        return new Handwork(
            Moment::form($this->eyeName($part)), 'Turn the eye', 'Roll the eye at the other end round '
                .$eye->where('mark of the round-nose pliers', $part->profile).', at right angles to the hook.',
            Operation::Eye, 'round-nose pliers',
        );
    }

    /** @return array{string, string} how far round what, and by how much it opens */
    private function roundTheMandrel(PartPlan $part, string $way = ''): array
    {
        $bend = Forming::arch($part->wire, $part->part->mm('bend'), $part->profile);
        $far = $this->turns($part->part) > 0.5 ? 'two thirds of a turn' : 'half a turn';

        return ["{$far}{$way} round ".$bend->where('mandrel', $part->profile), $bend->opens($part->profile)];
    }

    public function hung(PartPlan $part): array
    {
        if ($this->isEnd($part)) {
            return [];
        }
        [$d, $bend] = [$part->wireMm(), $part->part->mm('bend')];
        $below = $this->shankMm($part) + $part->part->mm('shank');
        if ($this->isWrapped($part->part)) {
            return ['bottom' => new Placement($below + $this->loop($part)->loop->reachMm(), true)];
        }

        return ['bottom' => $this->isS($part->part)
            ? new Placement($below + $bend / 2, false, -($bend + $d) / 2)
            : new Placement($below + $d / 2 + $part->part->mm('eye'), true)];
    }

    public function checks(PartPlan $part): array
    {
        $held = $this->isWrapped($part->part) ? $this->loop($part)->held() : null;

        return $held === null ? [] : [$held];
    }
}
