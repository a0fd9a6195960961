<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\Drilling;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\PinKind;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\Shape\Eye as EyeShape;
use Hebra\Core\Course\Shape\Rolled;
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
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * Beads on a wire with a loop at each end: cut = body + both ends, each neck + loop + wraps + tail; inside length, from
 * loop to loop, = body + both ends' neck + d + D. Millimetres. Common practice: 22 AWG, dead soft, two or three wraps.
 */
final class WrappedLink implements Technique
{
    use Usual;

    private function __construct(private string $name, private string $label, private int $wraps)
    {
    }

    public static function wrapped(): self
    {
        return new self('wrapped-link', 'link', 3);
    }

    /** The same with a plain eye at each end, which can be opened again. */
    public static function plain(): self
    {
        return new self('plain-link', 'eye link', 0);
    }

    public function name(): string
    {
        return $this->name;
    }

    public function label(): string
    {
        return $this->label;
    }

    public function role(): string
    {
        return $this->wraps === 0 ? 'eye-link' : 'link';
    }

    public function usualWire(): Wire
    {
        // A plain eye must hold by its own stiffness; a wrapped one is held by its wraps.
        return $this->wraps === 0 ? self::awg(20, Temper::HalfHard) : self::awg(22, Temper::DeadSoft);
    }

    public function wants(): Wants
    {
        return $this->wraps === 0 ? new Wants(holds: 0.8, effort: 1.5) : new Wants;
    }

    public function heft(Part $part): int
    {
        return 4 + $part->count('top_wraps') + $part->count('bottom_wraps');
    }

    public function parameters(): array
    {
        return [
            ...WrappedEnd::parameters('top_', 'top', 2.5, $this->wraps),
            ...WrappedEnd::parameters('bottom_', 'bottom', 2.5, $this->wraps),
            WrappedEnd::tail(),
            Parameter::flag('turned', 'bottom turned', false),
            ...BoughtPin::parameters(PinKind::Eye),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        $isBought = BoughtPin::is($part);
        $wraps = $part->count('top_wraps') + ($isBought ? 0 : $part->count('bottom_wraps'));

        return match ($key) {
            'tail' => ! $isBought && $wraps > 0,
            'bottom_wraps' => ! $isBought,
            'pin_length' => $isBought || BoughtPin::isHeadless($part),
            default => true,
        };
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function drillings(): array
    {
        return [Drilling::Lengthwise];
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        return ['top' => $this->top($part)->eye($instance), 'bottom' => $this->bottom($part)->eye($instance)];
    }

    public function along(PartPlan $part): array
    {
        return BoughtPin::is($part->part) ? ['bottom', 'thread', 'top'] : ['top', 'thread', 'bottom'];
    }

    public function family(): Family
    {
        return Family::Chain;
    }

    public function courses(PartPlan $part): array
    {
        if (BoughtPin::is($part->part)) {
            return [$this->pinned($part)];
        }
        [$top, $bottom] = [$this->top($part), $this->bottom($part)];
        $seat = $this->threading($part)->move();
        $below = $bottom->moves(false, 'bend square, bottom', $part->part->is('turned') ? 90.0 : 0.0);

        $above = $top->moves(true, 'bend square, top');
        $isHeadless = BoughtPin::isHeadless($part->part);
        $rest = $isHeadless ? BoughtPin::rest($part, [...$above, $seat, ...$below]) : [];
        $link = Course::both(
            ucfirst($this->label), $part->part->wire, $above,
            [$isHeadless ? $seat->by(self::beheading(...)) : $seat, ...$below, ...$rest],
            Frame::down($top->loop->reachMm()), $part->times,
        );

        return [$isHeadless ? $link->pin($part->part->mm('pin_length')) : $link];
    }

    private static function beheading(): Handwork
    {
        return new Handwork(
            Moment::form('top'), 'Cut the head off',
            'Cut the head or the ball off the pin, flush and close to it: what is left is plain wire.',
            Operation::Trim, 'flush cutter', cautions: [Caution::CutEnds], turn: -1,
        );
    }

    /** Of a bought eye pin: its eye is the lower one, and what is over is trimmed from the other end. */
    private function pinned(PartPlan $part): Course
    {
        [$top, $bottom] = [$this->top($part), $this->bottom($part)];
        $eye = new Move(Segment::ready('eye', $part->mark('bottom-loop')), new Rolled(
            new EyeShape($bottom->loop->insideMm, $part->wireMm()), $part->part->is('turned') ? 90.0 : 0.0,
        ));
        $face = Frame::down($top->loop->reachMm() + $this->threading($part)->seatMm())->back();

        return Course::both(
            ucfirst($this->label), $part->part->wire, [$eye], $this->pin($part)->moves($this->threading($part)->move()),
            $face, $part->times,
        )->pin($part->part->mm('pin_length'), PinKind::Eye);
    }

    private function headless(PartPlan $part): Check
    {
        [$pin, $takes] = [$part->part->mm('pin_length'), Cut::of($this->courses($part)[0], $part)->lengthMm()];
        [$profile, $id] = [$part->profile, $part->part->id];
        if ($takes <= $pin + 1e-9) {
            return new Check(
                Level::Ok, 'pin length', 'The '.$profile->length($pin).' pin is long enough without its head.', $id,
            );
        }
        $ways = [new Way('Cut it from wire', new SetSetting($id, 'source', 'cut'))];
        foreach (array_reverse(BoughtPin::STOCKED_MM) as $stocked) {
            if ($stocked >= $takes) {
                $ways = [
                    new Way(
                        'Use '.$profile->length($stocked).' pins', new SetSetting($id, 'pin_length', $stocked.' mm'),
                    ),
                    $ways[count($ways) - 1],
                ];
            }
        }

        return new Check(
            Level::Stop, 'pin length', 'The '.$profile->length($pin).' pin is '.$profile->length($takes - $pin)
                .' too short without its head: all that is made of it '
                .'comes to '.$profile->length($takes).'.', $id, $ways,
        );
    }

    /** The shortest stocked eye pin that it could be made of, mm; null where none reaches. */
    public function shortestPinMm(PartPlan $part): ?float
    {
        $needed = $this->pin($part->with($part->part->withSetting('source', 'bought')))->fit->neededMm();
        foreach (BoughtPin::STOCKED_MM as $stocked) {
            if ($stocked >= $needed - 1e-9) {
                return $stocked;
            }
        }

        return null;
    }

    private function pin(PartPlan $part): BoughtPin
    {
        return new BoughtPin($part, $this->top($part), $this->threading($part)->seatMm());
    }

    public function checks(PartPlan $part): array
    {
        if (BoughtPin::isHeadless($part->part)) {
            return [$this->headless($part)];
        }
        if (BoughtPin::is($part->part)) {
            return [$this->pin($part)->check()];
        }
        $held = $this->top($part)->held() ?? $this->bottom($part)->held();
        if ($held !== null) {
            return [$held];
        }
        if ($part->strung === []) {
            return [
                new Check(
                    Level::Note,
                    'empty link',
                    'This link has no beads yet: its two loops stand back to back.',
                    $part->part->id,
                ),
            ];
        }

        return [];
    }

    public function hung(PartPlan $part): array
    {
        $reach = $this->top($part)->loop->reachMm() + $this->threading($part)->seatMm()
            + $this->bottom($part)->loop->reachMm();

        return ['bottom' => new Placement($reach, $part->part->is('turned'))];
    }

    private function threading(PartPlan $part): Threading
    {
        $reach = fn (WrappedEnd $end): float => $end->loop->reachMm() + $part->wireMm();

        [$top, $bottom] = [$reach($this->top($part)), $reach($this->bottom($part))];

        return BoughtPin::is($part->part)
            ? Threading::fromFoot($part, $top, $bottom)
            : Threading::fromTop($part, $top, $bottom);
    }

    private function top(PartPlan $part): WrappedEnd
    {
        return new WrappedEnd($part, 'top_', 'top');
    }

    private function bottom(PartPlan $part): WrappedEnd
    {
        // The eye of a bought pin is never wrapped.
        return new WrappedEnd(
            BoughtPin::is($part->part) ? $part->with($part->part->withSetting('bottom_wraps', 0)) : $part, 'bottom_',
            'bottom',
        );
    }
}
