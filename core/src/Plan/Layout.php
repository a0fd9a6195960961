<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Figure\Ring;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\FitKind;

/**
 * Where each made part of a piece is drawn: hanging, one below the other, which gives its length; or, for a chain round wrist
 * or neck, laid round as it is worn. Several in one eye are fanned out about it.
 */
final class Layout
{
    /** Of so many parts a chain is laid round link by link; of fewer, a strand or a band, it bends. */
    private const ROUND_PARTS = 6;

    private const ROUND_MM = 110.0;

    /** What a fanned drop swings about: a drop's usual height to the middle of its beads, mm. */
    private const SWING_MM = 12.0;

    private const MOST_FAN_DEGREES = 130.0;

    public readonly PieceFigure $figure;

    /** End to end, hanging or laid straight, mm. */
    public readonly float $lengthMm;

    public readonly bool $isRound;

    /** @var array<string, float> instance => how far it carries the next one, mm */
    public array $advances = [];

    /** @var array<string, array{figure: PieceFigure, eyes: array<string, Placement>}> each part as it faces, hanging at the origin */
    private array $once = [];

    /** @var array<string, string> instance => its drawing there */
    private array $onces = [];

    /** @var array<string, list<Instance>> what hangs where, by `instance/eye` */
    private array $hung = [];

    /** @var array<string, float>|null */
    private ?array $lengths = null;

    /** @param  list<Instance>  $instances  each after the one it hangs in */
    public function __construct(private readonly array $instances, private readonly FitKind $fit)
    {
        foreach ($instances as $instance) {
            if ($instance->above !== null) {
                $this->hung[$instance->above.'/'.$instance->eye][] = $instance;
            }
        }
        $this->lengthMm = $this->straightMm();
        $isBent = $this->isLine() && count($instances) < self::ROUND_PARTS && $this->isOneLine();
        $this->isRound = $isBent || ($this->isLine() && count($instances) >= self::ROUND_PARTS);
        $this->figure = match (true) {
            $isBent => $this->drawn(fn (Instance $instance): float => 0.0)->bent(new Ring($this->lengthMm)),
            $this->isRound => $this->round(),
            default => $this->fanned(),
        };
    }

    /** Whether it is a line that goes round wrist or neck, and no pendant or bangle. */
    public function isLine(): bool
    {
        return ($this->fit === FitKind::Wrist || $this->fit === FitKind::Neck) && count($this->instances) > 1 && $this->lengthMm >= self::ROUND_MM;
    }

    /** Whether each part hangs in the lower end of the one before it. */
    private function isOneLine(): bool
    {
        foreach ($this->instances as $at => $instance) {
            if ($at > 0 && ($instance->above !== $this->instances[$at - 1]->name || $instance->eye !== 'bottom')) {
                return false;
            }
        }

        return true;
    }

    /** What all of one part add to the length, mm: of those that hang beside the line, nothing. */
    public function lengthOf(string $part): float
    {
        return $this->lengths()[$part] ?? 0.0;
    }

    /** @return array<string, float> by part, summed once */
    private function lengths(): array
    {
        if ($this->lengths === null) {
            $this->lengths = [];
            foreach ($this->instances as $instance) {
                if ($instance->part->part->on === '' || isset($this->hung[$instance->name.'/bottom'])) {
                    $id = $instance->part->part->id;
                    $this->lengths[$id] = ($this->lengths[$id] ?? 0.0) + $this->advances[$instance->name];
                }
            }
        }

        return $this->lengths;
    }

    /** How low it reaches with each part straight below the other. */
    private function straightMm(): float
    {
        $tops = [];
        $lowest = 0.0;
        foreach ($this->instances as $instance) {
            $drawn = $this->drawnOnce($instance);
            $above = $this->above($instance);
            $top = $above === null ? ($instance->above === null ? 0.0 : $lowest) : $tops[$instance->above ?? ''] + $above->yMm;
            $tops[$instance->name] = $top;
            $lowest = max($lowest, $top + $drawn['figure']->bottom);
            $this->advances[$instance->name] = ($drawn['eyes']['bottom'] ?? null)->yMm ?? 0.0;
        }

        return $lowest;
    }

    /** The eye that it hangs in, as seen from the part that has it; null for the first, and where there is none. */
    private function above(Instance $instance): ?Placement
    {
        return $this->once[$this->onces[$instance->above ?? ''] ?? '']['eyes'][$instance->eye] ?? null;
    }

    /**
     * A part that hangs at the origin. What is made often is drawn but once for each way it faces.
     *
     * @return array{figure: PieceFigure, eyes: array<string, Placement>}
     */
    private function drawnOnce(Instance $instance): array
    {
        $facing = $this->above($instance)->facing ?? true;
        $key = spl_object_id($instance->part).($facing ? '/' : '|');
        $this->onces[$instance->name] = $key;
        if (! isset($this->once[$key])) {
            $sketch = new Sketch;
            $eyes = $instance->part->technique->draw($instance->part, new Placement(0.0, $facing), $sketch);
            $this->once[$key] = ['figure' => $sketch->figure(), 'eyes' => $eyes];
        }

        return $this->once[$key];
    }

    /** @param  \Closure(Instance): float  $turn  degrees clockwise about the eye it hangs in */
    private function drawn(\Closure $turn): PieceFigure
    {
        $poses = $strokes = $beads = [];
        $lowest = 0.0;
        foreach ($this->instances as $instance) {
            $above = $this->above($instance);
            $pose = match (true) {
                $above !== null => $poses[$instance->above ?? '']->below($above, $turn($instance)),
                $instance->above === null => new Pose($turn($instance)),
                default => new Pose(0.0, 0.0, $lowest),
            };
            $poses[$instance->name] = $pose;
            $figure = $this->once[$this->onces[$instance->name]]['figure'];
            $lowest = max($lowest, $pose->at(0.0, $figure->bottom)[1]);
            foreach ($figure->strokes as $stroke) {
                $strokes[] = $pose->isNone() ? $stroke : $stroke->posed($pose);
            }
            foreach ($figure->beads as $bead) {
                $beads[] = $pose->isNone() ? $bead : $bead->posed($pose);
            }
        }

        return new PieceFigure($strokes, $beads);
    }

    /**
     * Several in one eye stand off from each other, so that their beads lie side by side.
     *
     * @return array<string, float> instance => degrees
     */
    private function fans(): array
    {
        $fans = [];
        foreach ($this->hung as $together) {
            $count = count($together);
            if ($count < 2) {
                continue;
            }
            $widest = max(array_map(fn (Instance $one): float => $one->part->widestMm(), $together)) + 0.5;
            $step = min(rad2deg($widest / self::SWING_MM), self::MOST_FAN_DEGREES / ($count - 1));
            foreach ($together as $at => $one) {
                $fans[$one->name] = -$step * ($at - ($count - 1) / 2);
            }
        }

        return $fans;
    }

    private function fanned(): PieceFigure
    {
        $fans = $this->fans();

        return $this->drawn(fn (Instance $instance): float => $fans[$instance->name] ?? 0.0);
    }

    /** Laid clockwise from the top: each part of the line turns by its share of a whole turn, and what only hangs points outwards. */
    private function round(): PieceFigure
    {
        $onward = $this->onward();
        $perMm = 360.0 / $this->lengthMm;
        $last = 0.0;

        return $this->drawn(function (Instance $instance) use ($onward, $perMm, &$last): float {
            if ($instance->above === null) {
                $last = $this->advances[$instance->name] ?? 0.0;

                return -90.0;
            }
            if (! isset($onward[$instance->name])) {
                return -90.0;
            }
            $own = $this->advances[$instance->name] ?? 0.0;
            $turn = ($last + $own) / 2 * $perMm;
            $last = $own;

            return $turn;
        })->fromTop();
    }

    /**
     * Where the line goes on: of several in one eye, in the first of those from which most hangs.
     *
     * @return array<string, true> by instance
     */
    private function onward(): array
    {
        $below = [];
        foreach (array_reverse($this->instances) as $instance) {
            $below[$instance->name] = ($below[$instance->name] ?? 0) + 1;
            if ($instance->above !== null) {
                $below[$instance->above] = ($below[$instance->above] ?? 0) + $below[$instance->name];
            }
        }
        $onward = [];
        foreach ($this->hung as $together) {
            $chosen = $together[0] ?? null;
            foreach ($together as $one) {
                $chosen = $chosen === null || $below[$one->name] > $below[$chosen->name] ? $one : $chosen;
            }
            if ($chosen !== null) {
                $onward[$chosen->name] = true;
            }
        }

        return $onward;
    }
}
