<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Frame;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
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
use Hebra\Core\Plan\RingCoil;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * A ring with one gap, cut from a coil: π(D + d). It joins what cannot be joined otherwise, and makes chain by itself:
 * n rings are n·D + 2d long. Soldered it is closed for good. Millimetres. Common practice: 18 to 20 AWG, half hard.
 */
final class JumpRing implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'jump-ring';
    }

    public function label(): string
    {
        return 'ring';
    }

    public function role(): string
    {
        return 'ring';
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
        return new Wants(holds: 0.8, effort: 1.8);
    }

    public function heft(Part $part): int
    {
        return 4;
    }

    public function parameters(): array
    {
        return [
            Parameter::length('inside', 'inside', 4.0, 1.0, 40.0)->bentOn(ToolKind::COILS),
            Parameter::flag('closed', 'soldered shut', false),
            Bought::parameter('ring'),
            Parameter::choice(
                'wound',
                'wound',
                'coil',
                ['coil' => 'with all that are alike', 'one' => 'one at a time, from short wire'],
            ),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return $key !== 'wound' || ! Bought::is($part);
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $kind = $part->part->is('closed') ? EyeKind::Closed : EyeKind::Openable;
        $eye = fn (string $name): Eye => new Eye(
            "{$instance}/{$name}", $kind, $part->part->mm('inside'), $part->wireMm(), 'ring', $part->mark('ring'),
            one: 'ring',
        );

        return ['top' => $eye('top'), 'bottom' => $eye('bottom')];
    }

    public function along(PartPlan $part): array
    {
        return ['top', 'bottom'];
    }

    public function inShort(PartPlan $part): string
    {
        return $part->profile->size($part->part->mm('inside')).' inside'
            .($part->part->is('closed') ? ', soldered' : '');
    }

    public function courses(PartPlan $part): array
    {
        [$inside, $d] = [$part->part->mm('inside'), $part->wireMm()];

        // What is wound with all that are alike is made with them.
        $isSingle = ! Bought::is($part->part) && ! $this->isCoiled($part);

        return [
            (new Stretch($part))->loop($inside, $d, 'ring', 'ring')
                ->by(...$isSingle ? [fn (): Handwork => self::winding($part)] : [])
                ->course('Ring', $part->part->wire, $part->times, Frame::right(0.0, -$d / 2)),
        ];
    }

    public function cuts(PartPlan $part): array
    {
        return Bought::cuts($part, $this->cut($part));
    }

    private function cut(PartPlan $part): Cut
    {
        $one = Cut::of($this->courses($part)[0], $part);

        return $this->isCoiled($part)
            ? $one->wound($one->segments, new RingCoil($part->part->mm('inside'), 1))
                ->times($part->times)->labelled('Ring')
            : $one;
    }

    public function isBought(Part $part): bool
    {
        return Bought::is($part);
    }

    /** Wound with all that are alike, and cut apart with them. */
    private function isCoiled(PartPlan $part): bool
    {
        return $part->part->choice('wound') === 'coil' && ! Bought::is($part->part);
    }

    public function readyMade(PartPlan $part): array
    {
        return Bought::ready(
            $part,
            $this->cut($part),
            ($part->part->is('closed') ? 'soldered ring ' : 'jump ring ').Figures::mm($part->part->mm('inside'))
                .' inside',
        );
    }

    private static function winding(PartPlan $part): Handwork
    {
        $on = Forming::coil($part->wire, $part->part->mm('inside'), $part->profile)->where('mandrel', $part->profile);

        return new Handwork(
            Moment::form('top'), 'Make the ring',
            "Wind a turn and a half on {$on} and cut one ring from it; both ends flush.", Operation::Coil,
            'mandrel, flush cutter or saw', cautions: [Caution::CutEnds],
        );
    }

    public function checks(PartPlan $part): array
    {
        $ratio = $part->part->mm('inside') / $part->wireMm();

        return $ratio <= 8 || $part->part->is('closed')
            ? []
            : [
                new Check(
                    Level::Note,
                    'aspect ratio',
                    'The ring is '.Figures::trim($ratio, 1)
                        .' times as wide as its wire is thick: thin for its size, it bends open easily.',
                    $part->part->id,
                ),
            ];
    }

    public function hung(PartPlan $part): array
    {
        return ['bottom' => new Placement($part->part->mm('inside'), false)];
    }
}
