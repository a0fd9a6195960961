<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Figure\Arc;
use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\Bow;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Figure\View;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Scene\ScenePart;

/**
 * Where each made part of a piece is drawn: hanging, one below the other, which gives its length; or, for a chain round
 * wrist or neck, laid round as it is worn. Several in one eye are fanned out about it. What ends in an eye elsewhere, a
 * second strand or a ring of parts, is bowed so that it reaches it.
 */
final class Layout
{
    private const ROUND_MM = 110.0;

    /** Between what hangs side by side in one eye, mm. */
    private const FREE_MM = 0.4;

    /** So many of the widest places of what hangs are looked at. */
    private const WIDEST = 12;

    private const MOST_FAN_DEGREES = 130.0;

    private ?Assembly $assembly = null;

    /** End to end, hanging or laid straight, mm. */
    public readonly float $lengthMm;

    public readonly bool $isRound;

    /** @var array<string, float> instance => how far it carries the next one, mm */
    public array $advances = [];

    /** @var array<string, Instance> */
    private array $named = [];

    /** @var array<string, PartDrawing> each part as it faces, hanging at the origin */
    private array $once = [];

    /** @var array<string, string> instance => its drawing there */
    private array $onces = [];

    /** @var array<string, list<Instance>> what hangs where, by `instance/eye` */
    private array $hung = [];

    /** @var list<Strand> what ends in an eye elsewhere */
    public readonly array $strands;

    /** @var array<string, Strand> by each of their members */
    private array $strandOf = [];

    /** @var array<string, true> strands and all that hangs on them, by instance */
    private array $aside = [];

    /** @var array<string, float>|null */
    private ?array $lengths = null;

    /** @var array<string, float> instance => by how many degrees it is bent */
    private array $bends = [];

    /** @var array<string, Pose> where each lies */
    private array $poses = [];

    /**
     * @param  list<Instance>  $instances  each after the one it hangs in
     * @param  list<Closing>  $closings
     */
    public function __construct(private readonly array $instances, private readonly FitKind $fit, array $closings = [])
    {
        foreach ($instances as $instance) {
            $this->named[$instance->name] = $instance;
            if ($instance->above !== null) {
                $this->hung[$instance->above.'/'.$instance->eye][] = $instance;
            }
        }
        $this->strands = Strand::all($closings, $this->named);
        $this->standAside();
        $this->lengthMm = $this->straightMm();
        // Strands alike in length lie side by side only where the piece is laid straight: round, the outer would have
        // to be longer.
        $this->isRound = $this->isLine()
            && array_filter($this->strands, fn (Strand $strand): bool => $this->asideMm($strand) > 0.0) === [];
    }

    /** The whole from the front. */
    public function assembly(): Assembly
    {
        return $this->assembly ??= $this->isRound ? $this->round() : $this->fanned();
    }

    /** How long it is round where all of it closes on itself; null where it has ends. */
    public function closedMm(): ?float
    {
        foreach ($this->strands as $strand) {
            if ($strand->isRing() && $strand->members[0]->above === null) {
                return $this->sumMm($strand->members);
            }
        }

        return null;
    }

    private function standAside(): void
    {
        foreach ($this->strands as $strand) {
            foreach ($strand->members as $member) {
                $this->strandOf[$member->name] = $strand;
            }
        }
        foreach ($this->strands === [] ? [] : $this->instances as $instance) {
            if (isset($this->strandOf[$instance->name]) || isset($this->aside[$instance->above ?? ''])) {
                $this->aside[$instance->name] = true;
            }
        }
    }

    /** Whether it is a line that goes round wrist or neck, and no pendant or bangle. */
    public function isLine(): bool
    {
        return $this->fit->isRound() && count($this->instances) > 1
            && $this->lengthMm >= self::ROUND_MM;
    }

    /** Whether a part hangs in a strand beside the line, or closes a ring of parts. */
    public function isAside(Instance $instance): bool
    {
        return isset($this->aside[$instance->name]);
    }

    /** @return list<Instance> */
    public function instances(): array
    {
        return $this->instances;
    }

    /**
     * What hangs together in one eye, several of them.
     *
     * @return list<non-empty-list<Instance>>
     */
    public function clusters(): array
    {
        $clusters = [];
        foreach ($this->hung as $hung) {
            $together = array_values(
                array_filter($hung, fn (Instance $one): bool => ! isset($this->strandOf[$one->name])),
            );
            if (count($together) > 1) {
                $clusters[] = $together;
            }
        }

        return $clusters;
    }

    /** @return list<Instance> the parts of the line beside a strand, between the same ends */
    public function beside(Strand $strand): array
    {
        return $strand->beside($this->named);
    }

    /** What all of one part add to the length, mm: of those that hang beside the line, nothing. */
    public function lengthOf(PartId $part): float
    {
        return $this->lengths()[$part->text] ?? 0.0;
    }

    /** Whether a part is of the line from one end to the other, and does not hang from it or lie beside it. */
    public function isOnLine(Instance $instance): bool
    {
        $this->onward ??= $this->onward();

        return isset($this->onward[$instance->name]) || $instance->above === null;
    }

    /** @var array<string, true>|null */
    private ?array $onward = null;

    /** @return array<string, float> by part, summed once */
    private function lengths(): array
    {
        if ($this->lengths === null) {
            $this->lengths = [];
            foreach ($this->instances as $instance) {
                if ($this->isOnLine($instance)) {
                    $id = $instance->part->part->id->text;
                    $this->lengths[$id] = ($this->lengths[$id] ?? 0.0) + $this->advances[$instance->name];
                }
            }
        }

        return $this->lengths;
    }

    /**
     * The length of some parts that follow each other, mm.
     *
     * @param  list<Instance>  $members
     */
    public function sumMm(array $members): float
    {
        return array_sum(array_map(fn (Instance $member): float => $this->advances[$member->name], $members));
    }

    /** How low it reaches with each part straight below the other. */
    private function straightMm(): float
    {
        $tops = [];
        $lowest = 0.0;
        foreach ($this->instances as $instance) {
            $drawn = $this->drawnOnce($instance);
            $above = $this->above($instance);
            $top = match (true) {
                $above !== null => $tops[$instance->above ?? ''] + $above->yMm,
                $instance->above === null => 0.0,
                default => $lowest,
            };
            $tops[$instance->name] = $top;
            // What hangs below it reaches lower than it does.
            if (! isset($this->aside[$instance->name]) && ! isset($this->hung[$instance->name.'/bottom'])) {
                $lowest = max($lowest, $top + $drawn->figure()->heightMm());
            }
            $this->advances[$instance->name] = ($drawn->eyes['bottom'] ?? null)->yMm ?? 0.0;
        }

        return $lowest;
    }

    /** The eye that it hangs in, as seen from the part that has it; null for the first, and where there is none. */
    private function above(Instance $instance): ?Placement
    {
        return ($this->once[$this->onces[$instance->above ?? ''] ?? ''] ?? null)?->eyes[$instance->eye] ?? null;
    }

    /** Whether its own upper eye faces the viewer as it hangs. */
    public function facing(Instance $instance): bool
    {
        return str_ends_with($this->onces[$instance->name], '/');
    }

    /**
     * A part that hangs at the origin. What is made often is drawn but once for each way it faces.
     */
    private function drawnOnce(Instance $instance): PartDrawing
    {
        $facing = $this->above($instance)->facing ?? true;
        $key = spl_object_id($instance->part).($facing ? '/' : '|');
        $this->onces[$instance->name] = $key;

        return $this->once[$key] ??= PartDrawing::of($instance->part, $facing);
    }

    /** The same, bent by so many degrees where it is long enough to bend. */
    private function drawnBent(Instance $instance, float $degrees): PartDrawing
    {
        $key = $this->onces[$instance->name];
        $length = $this->advances[$instance->name];
        if (! Bow::bends($length) || abs($degrees) < 0.01) {
            return $this->once[$key];
        }
        $degrees = round($degrees, 2);

        return $this->once[$key.$degrees] ??= $this->once[$key]->bent(new Arc($length, $degrees));
    }

    /**
     * @param  \Closure(Instance): float  $turn  degrees clockwise about the eye it hangs in
     * @param  \Closure(Instance): float  $bend  degrees by which a long part bends
     */
    private function drawn(\Closure $turn, \Closure $bend): Assembly
    {
        $drawn = $poses = [];
        $lowest = 0.0;
        foreach ([
            ...array_filter($this->instances, fn (Instance $one): bool => ! isset($this->aside[$one->name])),
            ...array_filter($this->instances, fn (Instance $one): bool => isset($this->aside[$one->name])),
        ] as $instance) {
            $strand = $this->strandOf[$instance->name] ?? null;
            if ($strand !== null && $strand->members[0] === $instance) {
                $this->bow($strand, $drawn, $poses);
            }
            $this->bends[$instance->name] ??= $bend($instance);
            $one = $drawn[$instance->name] ??= $this->drawnBent($instance, $this->bends[$instance->name]);
            $above = ($drawn[$instance->above ?? ''] ?? null)?->eyes[$instance->eye] ?? null;
            $pose = $poses[$instance->name] ?? match (true) {
                $above !== null && $this->hangsFree($instance) => $poses[$instance->above ?? '']
                    ->below($above, $turn($instance) - $poses[$instance->above ?? '']->degrees),
                $above !== null => $poses[$instance->above ?? '']->below($above, $turn($instance)),
                $instance->above === null => new Pose($turn($instance)),
                default => new Pose(0.0, 0.0, $lowest),
            };
            $poses[$instance->name] = $pose;
            $lowest = max($lowest, $pose->at(0.0, $one->figure()->heightMm())[1]);
        }

        $this->poses = $poses;

        return new Assembly(
            array_map(
                fn (Instance $instance): array => [$drawn[$instance->name]->figure(), $poses[$instance->name]],
                $this->instances,
            ),
        );
    }

    /** The whole from another side. What is laid round has a front and a back. */
    public function seen(View $view): Assembly
    {
        if ($view === View::Front) {
            return $this->assembly();
        }
        $this->assembly();
        $placed = $bent = $poses = [];
        foreach ($this->instances as $instance) {
            $degrees = round($view->turned($this->bends[$instance->name] ?? 0.0), 2);
            $key = $this->onces[$instance->name].$degrees;
            $bent[$key] ??= $this->from($view, $instance, $degrees);
            $poses[$instance->name] = $this->poseFrom($view, $instance, $poses);
            $placed[] = [$bent[$key], $poses[$instance->name]];
        }
        // From above what hangs lowest is farthest off.
        $seen = new Assembly($view === View::Top ? array_reverse($placed) : $placed);

        return $this->isRound || $this->strands !== [] || $view === View::Top ? $seen->fromTop() : $seen;
    }

    /**
     * Where a part lies seen from a side: below the eye that it hangs in, as that is seen from there. What is laid
     * round
     * or ends in an eye elsewhere is the front's, turned about.
     *
     * @param  array<string, Pose>  $poses  of those before it
     */
    private function poseFrom(View $view, Instance $instance, array $poses): Pose
    {
        $pose = $this->poses[$instance->name];
        $above = $this->named[$instance->above ?? ''] ?? null;
        if ($above === null || $this->isRound || $this->strands !== []) {
            return new Pose($view->turned($pose->degrees), $view->across($pose->xMm), $pose->yMm);
        }
        $eye = PartDrawing::of($above->part, $this->facing($above), $view)->eyes[$instance->eye] ?? null;
        $turn = $view->turned($pose->degrees - $this->poses[$above->name]->degrees);

        return $eye === null ? $poses[$above->name] : $poses[$above->name]->below($eye, $turn);
    }

    /** @return list<ScenePart> the whole in space */
    public function scene(): array
    {
        $this->assembly();

        return PieceScene::of(array_map(function (Instance $instance): array {
            $degrees = round($this->bends[$instance->name] ?? 0.0, 2);
            $length = $this->advances[$instance->name];
            $arc = Bow::bends($length) && abs($degrees) >= 0.01 ? new Arc($length, $degrees) : null;

            return [$instance, $this->facing($instance), $arc, $this->poses[$instance->name]];
        }, $this->instances));
    }

    private function from(View $view, Instance $instance, float $degrees): PieceFigure
    {
        $length = $this->advances[$instance->name];
        $figure = PartDrawing::of($instance->part, $this->facing($instance), $view)->figure();

        return Bow::bends($length) && abs($degrees) >= 0.01 ? $figure->bent(new Arc($length, $degrees)) : $figure;
    }

    /**
     * Where the parts of a strand lie, from the eye it begins in to the one it ends in.
     *
     * @param  array<string, PartDrawing>  $drawn
     * @param  array<string, Pose>  $poses
     */
    private function bow(Strand $strand, array &$drawn, array &$poses): void
    {
        $first = $strand->members[0];
        if (! $strand->isRing() && ! isset($poses[$strand->to])) {
            // It ends in what itself hangs from a strand further on: drawn as it hangs.
            return;
        }
        $from = $first->above === null
            ? new Pose
            : $poses[$first->above]->below($drawn[$first->above]->eyes[$first->eye] ?? new Placement(0.0, true));
        $to = $strand->isRing()
            ? $from
            : $poses[$strand->to]->below($drawn[$strand->to]->eyes[$strand->eye] ?? new Placement(0.0, true));
        [[$x0, $y0], [$x1, $y1]] = [$from->at(0.0, 0.0), $to->at(0.0, 0.0)];
        $lengths = array_map(fn (Instance $member): float => $this->advances[$member->name], $strand->members);
        $bow = Bow::between(
            $lengths,
            $x1 - $x0,
            $y1 - $y0,
            $this->isRound ? 1.0 : $strand->side(),
            $this->asideMm($strand),
            $from->degrees + ($this->carries($strand) ? -90.0 : 90.0),
        );
        $pose = new Pose($bow->degrees[0] ?? 0.0, $x0, $y0);
        $all = max(array_sum($lengths), 1e-9);
        foreach ($strand->members as $at => $member) {
            $this->bends[$member->name] = $bow->turn * $lengths[$at] / $all;
            $drawn[$member->name] = $this->drawnBent($member, $this->bends[$member->name]);
            $poses[$member->name] = $pose;
            $pose = $pose->below(
                $drawn[$member->name]->eyes['bottom'] ?? new Placement(0.0, true),
                ($bow->degrees[$at + 1] ?? 0.0) - ($bow->degrees[$at] ?? 0.0),
            );
        }
    }

    /**
     * Whether something hangs from where a closed line begins and ends: then the loop stands above it, as it is worn.
     */
    private function carries(Strand $strand): bool
    {
        $first = $strand->members[0];
        $hung = array_filter(
            $this->instances,
            fn (Instance $one): bool => $one->above === $first->name && ! isset($this->strandOf[$one->name]),
        );

        return $strand->isRing() && $first->above === null && $hung !== [];
    }

    /** Whether it hangs straight down from a part of a ring, however that lies. */
    private function hangsFree(Instance $instance): bool
    {
        $strand = $this->strandOf[$instance->above ?? ''] ?? null;

        return ! $this->isRound && $strand !== null && $strand->isRing() && ! isset($this->strandOf[$instance->name]);
    }

    /** How far a strand, and the line beside it, each stand off so that their beads lie side by side, mm. */
    private function asideMm(Strand $strand): float
    {
        $beside = $strand->beside($this->named);
        if ($strand->isRing() || $beside === []) {
            return 0.0;
        }
        $aside = max(
            2.0,
            max(
                array_map(fn (Instance $one): float => $one->part->widestMm(), [...$strand->members, ...$beside]),
            ) * 0.6,
        );

        // Round, one that is longer hangs clear by itself: its circle is larger by a π-th of what it has more.
        $besideMm = $this->sumMm($beside);
        $clear = $this->lowerMm($this->sumMm($strand->members), $besideMm)
            * ($this->isShortWay($besideMm) ? 1.0 : 2 / M_PI);

        return $clear > 2 * $aside ? 0.0 : $aside;
    }

    /**
     * By how much a longer strand hangs below the line beside it, mm: both its sides grow by half of what it has more;
     * over a short way it sags, as a shallow arc does: s² = 3/8 · chord · (arc − chord).
     */
    public function lowerMm(float $ownMm, float $besideMm): float
    {
        $more = max(0.0, $ownMm - $besideMm);

        return $this->isShortWay($besideMm) ? sqrt(3 / 8 * $besideMm * $more) : $more / 2;
    }

    private function isShortWay(float $mm): bool
    {
        return 2 * $mm < $this->lengthMm;
    }

    /**
     * By how much parts of the line turn besides, where other strands lie beside them.
     *
     * @return array<string, float> instance => degrees
     */
    private function splays(): array
    {
        $splays = [];
        foreach ($this->strands as $strand) {
            $beside = $strand->beside($this->named);
            $aside = $this->asideMm($strand);
            if ($aside === 0.0 || isset($splays[$beside[0]->name])) {
                continue;
            }
            $before = 0.0;
            foreach (Bow::splays(
                array_map(fn (Instance $one): float => $this->advances[$one->name], $beside), -$aside * $strand->side(),
            ) as $at => $splay) {
                $splays[$beside[$at]->name] = $splay - $before;
                $before = $splay;
            }
            $splays[$strand->to] = -$before;
        }

        return $splays;
    }

    /**
     * Several in one eye stand off from each other, so that their beads lie side by side.
     *
     * @return array<string, float> instance => degrees
     */
    private function fans(): array
    {
        $fans = [];
        foreach ($this->clusters() as $together) {
            $bodies = array_map($this->bodies(...), $together);
            $at = [0.0];
            for ($next = 1; $next < count($together); $next++) {
                $at[] = $at[$next - 1] + self::apart($bodies[$next - 1], $bodies[$next]);
            }
            $all = max($at[count($at) - 1], 1e-9);
            $share = min(1.0, self::MOST_FAN_DEGREES / $all);
            foreach ($together as $place => $one) {
                $fans[$one->name] = $share * ($all / 2 - $at[$place]);
            }
        }

        return $fans;
    }

    /**
     * What a part that hangs, and all that hangs on in it, is as wide as, and how far below its eye.
     *
     * @return non-empty-list<array{float, float}> distances and half widths, mm
     */
    private function bodies(Instance $instance): array
    {
        $figure = $this->drawnOnce($instance)->figure();
        $bodies = array_map(
            fn (BeadMark $mark): array => [
                $mark->topMm + $mark->bead->lengthMm / 2, abs($mark->xMm) + $mark->bead->widthMm / 2,
            ],
            $figure->beads,
        );
        if ($bodies === []) {
            [$left, , $right, $bottom] = $figure->reach();
            $bodies[] = [max(1.0, $bottom / 2), max(-$left, $right)];
        }
        foreach ($this->instances as $below) {
            if ($below->above === $instance->name) {
                $down = $this->above($below)->yMm ?? 0.0;
                array_push($bodies, ...array_map(
                    fn (array $body): array => [$down + $body[0], $body[1]], $this->bodies($below),
                ));
            }
        }
        usort($bodies, fn (array $one, array $other): int => $other[1] <=> $one[1]);

        return array_slice($bodies, 0, self::WIDEST);
    }

    /**
     * By how many degrees two that hang in one place stand apart so that nothing of the one lies in the other.
     *
     * @param  list<array{float, float}>  $one
     * @param  list<array{float, float}>  $other
     */
    private static function apart(array $one, array $other): float
    {
        $apart = 0.0;
        foreach ($one as [$down, $half]) {
            foreach ($other as [$otherDown, $otherHalf]) {
                $between = $half + $otherHalf + self::FREE_MM;
                $cosine = ($down ** 2 + $otherDown ** 2 - $between ** 2) / max(1e-9, 2 * $down * $otherDown);
                $apart = max($apart, rad2deg(acos(max(-1.0, min(1.0, $cosine)))));
            }
        }

        return $apart;
    }

    private function fanned(): Assembly
    {
        [$fans, $splays] = [$this->fans(), $this->splays()];

        $figure = $this->drawn(
            fn (Instance $instance): float => ($fans[$instance->name] ?? 0.0) + ($splays[$instance->name] ?? 0.0),
            fn (Instance $instance): float => 0.0,
        );

        return $this->strands === [] ? $figure : $figure->fromTop();
    }

    /**
     * Laid clockwise from the top: each part of the line turns by its share of a whole turn, and what only hangs points
     * outwards.
     */
    private function round(): Assembly
    {
        $onward = $this->onward ??= $this->onward();
        $perMm = 360.0 / $this->lengthMm;
        $last = 0.0;

        $turns = function (Instance $instance) use ($onward, $perMm, &$last): float {
            if ($instance->above === null) {
                $last = $this->advances[$instance->name] ?? 0.0;

                return -90.0 + $last / 2 * $perMm;
            }
            if (! isset($onward[$instance->name])) {
                return $this->outwards($instance, $onward, $perMm);
            }
            $own = $this->advances[$instance->name] ?? 0.0;
            $turn = ($last + $own) / 2 * $perMm;
            $last = $own;

            return $turn;
        };

        return $this->drawn($turns, function (Instance $instance) use ($onward, $perMm): float {
            $isOfTheLine = isset($onward[$instance->name]) || $instance->above === null;

            return $isOfTheLine ? $this->advances[$instance->name] * $perMm : 0.0;
        })->fromTop();
    }

    /**
     * Outwards from the line, as that runs where it hangs; what hangs in it, on from there.
     *
     * @param  array<string, true>  $onward
     */
    private function outwards(Instance $instance, array $onward, float $perMm): float
    {
        $above = $this->named[$instance->above ?? ''];
        if (isset($this->strandOf[$above->name])) {
            return -90.0;
        }
        if (! isset($onward[$above->name]) && $above->above !== null) {
            return 0.0;
        }
        $length = $this->advances[$above->name];
        $at = $this->above($instance)->yMm ?? 0.0;

        return -90.0 + (Bow::bends($length) ? ($at - $length / 2) * $perMm : 0.0);
    }

    /**
     * The line: from each part of it to what hangs in its lower end, or, where nothing does, in any eye of it; of
     * several
     * to the one from which most hangs.
     *
     * @return array<string, true> by instance
     */
    private function onward(): array
    {
        $below = $hung = [];
        foreach (array_reverse($this->instances) as $instance) {
            $below[$instance->name] = ($below[$instance->name] ?? 0) + 1;
            if ($instance->above !== null) {
                $below[$instance->above] = ($below[$instance->above] ?? 0) + $below[$instance->name];
            }
        }
        foreach ($this->instances as $instance) {
            if ($instance->above !== null && ! isset($this->aside[$instance->name])) {
                $hung[$instance->above][$instance->eye === 'bottom' ? 'bottom' : 'else'][] = $instance;
            }
        }
        $onward = [];
        foreach ($this->instances as $instance) {
            if ($instance->above !== null && ! isset($onward[$instance->name])) {
                continue;
            }
            $together = $hung[$instance->name]['bottom'] ?? $hung[$instance->name]['else'] ?? [];
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
