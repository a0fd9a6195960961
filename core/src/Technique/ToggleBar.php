<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Helix;
use Hebra\Core\Course\Vector;
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
 * The bar of a toggle clasp: a straight bar with an eye turned in its middle, to go through a ring lengthwise and lie
 * across it. Cut = bar + π(D + d). It stands at the start of a chain or at its end. Millimetres. Common practice: 16
 * AWG, half hard.
 */
final class ToggleBar implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'toggle-bar';
    }

    public function label(): string
    {
        return 'toggle bar';
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
        return self::awg(16, Temper::HalfHard);
    }

    public function wants(): Wants
    {
        return new Wants(holds: 1.0, effort: 1.8);
    }

    public function parameters(): array
    {
        return [
            Parameter::choice('end', 'stands at the', 'start', ['start' => 'start', 'end' => 'end']),
            Parameter::length('bar', 'bar', 20.0, 6.0, 80.0),
            Parameter::length('eye', 'eye, inside', 2.5, 1.0, 10.0)->bentOn(ToolKind::LOOPS),
            Bought::parameter('bar from'),
        ];
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $name = $part->part->choice('end') === 'end' ? 'top' : 'bottom';

        return [
            $name => new Eye(
                "{$instance}/{$name}", EyeKind::Openable, $part->part->mm('eye'), $part->wireMm(), 'bar’s eye',
                $part->mark('eye'),
            ),
        ];
    }

    public function clasp(PartPlan $part): Clasp
    {
        // Bar and the part beside it go through together.
        return new Clasp('toggle bar', 3 * $part->wireMm(), barMm: $part->part->mm('bar'));
    }

    public function along(PartPlan $part): array
    {
        return ['top', 'bottom', 'ends'];
    }

    public function courses(PartPlan $part): array
    {
        [$half, $eye, $d] = [$part->part->mm('bar') / 2, $part->part->mm('eye'), $part->wireMm()];
        // The eye stands above the bar where the bar is the chain's end, else below it.
        $anchor = new Frame(
            new Vector(0.0, $this->barMm($part)), new Vector(1.0, 0.0),
            new Vector(0.0, $this->isEnd($part) ? -1.0 : 1.0),
        );

        return [
            Bought::asIs($part, (new Stretch($part))
                ->given(
                    SegmentKind::Straight, $half, 'half the bar', 'bar-1', 'straight',
                )->bend('eye starts')->by(self::filing(...))->anchored()
                ->loop($eye, $d, 'eye', 'eye', Helix::ofLength(M_PI * ($eye + $d), 1.0, $d))->bend('eye ends')
                ->by(fn (): Handwork => $this->turning($part))
                ->given(SegmentKind::Straight, $half, 'half the bar', 'bar-2', 'straight')->by(self::filing(...))
                ->course('Toggle bar', $part->part->wire, $part->times, $anchor)),
        ];
    }

    private function isEnd(PartPlan $part): bool
    {
        return $part->part->choice('end') === 'end';
    }

    /** How low the middle of the bar's wire hangs. */
    private function barMm(PartPlan $part): float
    {
        return $part->wireMm() / 2 + ($this->isEnd($part) ? $part->part->mm('eye') : 0.0);
    }

    public function isBought(Part $part): bool
    {
        return Bought::is($part);
    }

    public function readyMade(PartPlan $part): array
    {
        $cut = Cut::of($this->courses($part)[0], $part);

        return Bought::ready($part, $cut, 'toggle bar '.Figures::mm($part->part->mm('bar')));
    }

    private function turning(PartPlan $part): Handwork
    {
        $on = Forming::loop($part->wire, $part->part->mm('eye'), $part->profile);

        return new Handwork(
            Moment::form($this->isEnd($part) ? 'top' : 'bottom'), 'Turn the eye in the middle',
            'Grip the middle of the wire and turn one full eye round '
                .$on->where('mark of the round-nose pliers', $part->profile)
                .', so that both halves run on in one line.'.$on->opens($part->profile), Operation::Eye,
            'round-nose pliers',
        );
    }

    private static function filing(): Handwork
    {
        return new Handwork(
            Moment::work('ends'), 'Round both ends',
            'File both ends of the bar round and straighten it over a block.', Operation::File, 'needle file',
            cautions: [Caution::Filing],
        );
    }

    public function hung(PartPlan $part): array
    {
        $below = $this->barMm($part) + $part->wireMm() / 2 + $part->part->mm('eye');

        return $this->isEnd($part) ? [] : ['bottom' => new Placement($below, false)];
    }
}
