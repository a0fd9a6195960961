<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\Drilling;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\EventKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Moment;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
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
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return $key !== 'tail' || $part->count('top_wraps') + $part->count('bottom_wraps') > 0;
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
        return ['top', 'thread', 'bottom'];
    }

    public function family(): Family
    {
        return Family::Chain;
    }

    public function courses(PartPlan $part): array
    {
        [$top, $bottom] = [$this->top($part), $this->bottom($part)];
        $seat = Threading::fromTop($part)->move();
        $below = $bottom->moves(false, 'bend square, bottom', $part->part->is('turned') ? 90.0 : 0.0);

        return [
            Course::both(
                ucfirst($this->label), $part->part->wire, $top->moves(true, 'bend square, top'), [$seat, ...$below],
                Frame::down($top->loop->reachMm()), $part->times,
            ),
        ];
    }

    public function steps(PartPlan $part, Moment $moment): array
    {
        return match ([$moment->kind, $moment->place]) {
            [EventKind::Form, 'top'] => $this->top($part)->formSteps(true),
            [EventKind::Close, 'top'] => $this->top($part)->closeSteps(),
            [EventKind::Thread, ''] => Threading::fromTop($part)->steps(),
            [EventKind::Form, 'bottom'] => $this->bottom($part)->formSteps(false),
            [EventKind::Close, 'bottom'] => $this->bottom($part)->closeSteps(),
            default => [],
        };
    }

    public function checks(PartPlan $part): array
    {
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
        $reach = $this->top($part)->loop->reachMm() + $part->stackMm() + $this->bottom($part)->loop->reachMm();

        return ['bottom' => new Placement($reach, $part->part->is('turned'))];
    }

    private function top(PartPlan $part): WrappedEnd
    {
        return new WrappedEnd($part, 'top_', 'top');
    }

    private function bottom(PartPlan $part): WrappedEnd
    {
        return new WrappedEnd($part, 'bottom_', 'bottom');
    }
}
