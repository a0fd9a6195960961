<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Handwork\EventKind;

/**
 * The order in which eyes are formed, wires threaded, joints hooked and eyes closed, so that nothing is closed before
 * it is connected. Rules (common practice, as the handbook of this project states them):
 *
 * 1. Along a wire, in the order its technique gives: form, close; thread; form, close.
 * 2. A joint is hooked after both its eyes are formed. An openable eye is opened once for all it takes, so the hook
 * comes last. A
 *    permanent eye on a closed one is hooked before its wraps close it; of two permanent eyes, before one of them
 * closes.
 * 3. Of those two, the later part closes through the earlier; where that goes round in a circle the latest such choice
 *    is turned over.
 * 4. Otherwise the order of the document decides.
 *
 * Cost: O(n log n) for n events, once per turned choice.
 */
final class ClosingOrder
{
    /** Ranks of one wire, before those of the next: a wire has far fewer events. */
    private const RUN = 1 << 20;

    /**
     * @param  list<WireRun>  $runs  in document order
     * @param  list<Joint>  $joints
     * @param  bool  $byOperation  whether what is alike of the instances of a part comes together where it can
     * @return list<Event>
     *
     * @throws CannotClose if two closed eyes meet or no choice breaks the circle
     */
    public static function of(array $runs, array $joints, bool $byOperation = false): array
    {
        foreach ($joints as $joint) {
            if ($joint->a->kind === EyeKind::Closed && $joint->b->kind === EyeKind::Closed) {
                throw CannotClose::closedPair($joint);
            }
        }
        if ($byOperation) {
            // Links that are made first and joined after: each closes through the next.
            $all = array_fill_keys(array_map(fn (Joint $joint): string => $joint->id(), $joints), true);
            [$order, $stuck] = self::sorted($runs, $joints, $all, true);
            if ($stuck === []) {
                return $order;
            }
        }
        $turned = [];
        while (true) {
            [$order, $stuck] = self::sorted($runs, $joints, $turned, $byOperation);
            if ($stuck === []) {
                return $order;
            }
            $choice = self::latestChoice($joints, $stuck, $turned);
            if ($choice === null) {
                throw CannotClose::cycle(
                    array_values(array_filter($joints, fn (Joint $joint): bool => isset($stuck['hook '.$joint->id()]))),
                );
            }
            $turned[$choice] = true;
        }
    }

    /**
     * @param  list<Joint>  $joints
     * @param  array<string, true>  $stuck
     * @param  array<string, true>  $turned
     */
    private static function latestChoice(array $joints, array $stuck, array $turned): ?string
    {
        foreach (array_reverse($joints) as $joint) {
            $either = $joint->a->kind === EyeKind::Permanent && $joint->b->kind === EyeKind::Permanent;
            if ($either && isset($stuck['hook '.$joint->id()]) && ! isset($turned[$joint->id()])) {
                return $joint->id();
            }
        }

        return null;
    }

    /**
     * @param  list<WireRun>  $runs
     * @param  list<Joint>  $joints
     * @param  array<string, true>  $turned
     * @return array{list<Event>, array<string, true>} the order, and what could not be placed
     */
    private static function sorted(array $runs, array $joints, array $turned, bool $byOperation): array
    {
        $events = $rank = $waits = $next = $runOf = $places = [];
        foreach ($runs as $number => $run) {
            // Alike parts share their places: what is alike has one rank, and goes in the order it came.
            $at = ($byOperation ? $places[$run->likeness] ??= count($places) : $number)
                // All work in wire is done before what is strung [common practice].
                + ($run->isLast ? count($runs) : 0);
            $runOf[$run->instance] = $at;
            $before = null;
            foreach ($run->events() as $place => $event) {
                $key = $event->key();
                $events[$key] = $event;
                $rank[$key] = self::RUN * $at + 2 * $place;
                if ($before !== null) {
                    $next[$before][] = $key;
                    $waits[$key] = 1;
                }
                $before = $key;
            }
        }
        foreach (self::hooks($joints, $turned) as [$hook, $after, $then]) {
            $key = $hook->key();
            $events[$key] = $hook;
            $rank[$key] = self::hookRank($hook, $rank, $runOf, $byOperation);
            foreach ($after as $earlier) {
                if (isset($rank[$earlier])) {
                    $next[$earlier][] = $key;
                    $waits[$key] = ($waits[$key] ?? 0) + 1;
                }
            }
            foreach ($then as $later) {
                $next[$key][] = $later;
                $waits[$later] = ($waits[$later] ?? 0) + 1;
            }
        }

        return self::kahn($events, $rank, $waits, $next);
    }

    /**
     * One hook for each eye that is opened, with all it takes; one for each joint that is made before an eye is closed
     * for good.
     *
     * @param  list<Joint>  $joints
     * @param  array<string, true>  $turned
     * @return list<array{Event, list<string>, list<string>}> with what must come before it, and what after
     */
    private static function hooks(array $joints, array $turned): array
    {
        $openers = self::openers($joints);
        $together = $hooks = [];
        foreach ($joints as $at => $joint) {
            if (isset($openers[$at])) {
                $together[$openers[$at]->opening()][] = $at;

                continue;
            }
            $open = self::stillOpen($joint, isset($turned[$joint->id()]));
            $hook = new Event(EventKind::Hook, $joint->id(), $joint->b->instance(), '', [$joint], $open);
            $hooks[] = [$hook, ["form {$joint->a->id}", "form {$joint->b->id}"], ["close {$open->id}"]];
        }
        foreach ($together as $opening => $places) {
            $taken = array_map(fn (int $at): Joint => $joints[$at], $places);
            $hook = new Event(
                EventKind::Hook,
                count($taken) === 1 ? $taken[0]->id() : $opening,
                $taken[count($taken) - 1]->b->instance(),
                '',
                $taken,
                $openers[$places[0]],
            );
            $after = [];
            foreach ($taken as $joint) {
                array_push($after, "close {$joint->a->id}", "close {$joint->b->id}");
            }
            $hooks[] = [$hook, array_values(array_unique($after)), []];
        }

        return $hooks;
    }

    /**
     * Which eye is opened for each joint that has one: of two the one that is opened anyhow, or takes more; so fewest
     * are opened.
     *
     * @param  list<Joint>  $joints
     * @return array<int, Eye> by the place of the joint
     */
    private static function openers(array $joints): array
    {
        $takes = $opened = $openers = [];
        foreach ($joints as $joint) {
            foreach ([$joint->a, $joint->b] as $eye) {
                $takes[$eye->opening()] = ($takes[$eye->opening()] ?? 0) + 1;
            }
        }
        foreach ($joints as $at => $joint) {
            if (! $joint->canOpen()) {
                continue;
            }
            $opener = self::opener($joint, $takes, $opened);
            $opened[$opener->opening()] = true;
            $openers[$at] = $opener;
        }

        return $openers;
    }

    /**
     * @param  array<string, int>  $takes
     * @param  array<string, true>  $opened
     */
    private static function opener(Joint $joint, array $takes, array $opened): Eye
    {
        [$a, $b] = [$joint->a, $joint->b];
        if (! $a->canOpen() || ! $b->canOpen()) {
            return $a->canOpen() ? $a : $b;
        }
        if (isset($opened[$a->opening()]) !== isset($opened[$b->opening()])) {
            return isset($opened[$a->opening()]) ? $a : $b;
        }
        [$ofA, $ofB] = [$takes[$a->opening()], $takes[$b->opening()]];

        return $ofA > $ofB || ($ofA === $ofB && $ofA === 1) ? $a : $b;
    }

    /**
     * The eye of a joint that is closed only after it is hooked: that of what is strung, else the later one; the other
     * where that choice was turned over.
     */
    private static function stillOpen(Joint $joint, bool $isTurned): Eye
    {
        if ($joint->a->kind === EyeKind::Permanent && $joint->b->kind === EyeKind::Permanent) {
            $last = $joint->a->isStrung() && ! $joint->b->isStrung() ? $joint->a : $joint->b;

            return $isTurned ? $joint->other($last) : $last;
        }

        return $joint->a->kind === EyeKind::Permanent ? $joint->a : $joint->b;
    }

    /**
     * A hook stands with the later part: before the closing it must precede, or, with an eye that is opened, when all
     * it takes is done.
     *
     * @param  array<string, int>  $rank
     * @param  array<string, int>  $runOf
     * @param  bool  $byOperation  whether alike eyes are opened one after the other
     */
    private static function hookRank(Event $hook, array $rank, array $runOf, bool $byOperation): int
    {
        $last = 0;
        foreach ($hook->joints as $joint) {
            $last = max($last, self::RUN * max($runOf[$joint->a->instance()] ?? 0, $runOf[$joint->b->instance()] ?? 0));
        }

        $open = $hook->open ?? $hook->joints[0]->b;
        $closes = $rank['close '.$open->id] ?? $last;
        if (! $open->canOpen()) {
            return $closes - 1;
        }

        return $last + intdiv(self::RUN, 2) + ($byOperation ? $closes % intdiv(self::RUN, 2) : 0);
    }

    /**
     * @param  array<string, Event>  $events
     * @param  array<string, int>  $rank
     * @param  array<string, int>  $waits
     * @param  array<string, list<string>>  $next
     * @return array{list<Event>, array<string, true>}
     */
    private static function kahn(array $events, array $rank, array $waits, array $next): array
    {
        /** @var \SplPriorityQueue<array{int, int}, string> $ready */
        $ready = new \SplPriorityQueue;
        $number = array_flip(array_keys($events));
        foreach ($events as $key => $event) {
            if (($waits[$key] ?? 0) === 0) {
                $ready->insert($key, [-$rank[$key], -$number[$key]]);
            }
        }
        $order = [];
        $left = array_fill_keys(array_keys($events), true);
        while (! $ready->isEmpty()) {
            /** @var string $key */
            $key = $ready->extract();
            $order[] = $events[$key];
            unset($left[$key]);
            foreach ($next[$key] ?? [] as $later) {
                if (--$waits[$later] === 0) {
                    $ready->insert($later, [-$rank[$later], -$number[$later]]);
                }
            }
        }

        return [$order, $left];
    }

    /**
     * The proof: a state machine that walks the order and refuses a hook when neither eye is open or can be opened.
     *
     * @param  list<Event>  $order
     *
     * @throws CannotClose at the first event that cannot be done
     */
    public static function replay(array $order): void
    {
        $formed = $closed = [];
        foreach ($order as $event) {
            match ($event->kind) {
                EventKind::Form => $formed[$event->of] = true,
                EventKind::Close => isset($formed[$event->of])
                    ? $closed[$event->of] = true
                    : throw CannotClose::replay($event->key(), 'the eye is not formed yet'),
                EventKind::Hook => self::hook($event, $formed, $closed),
                default => null,
            };
        }
    }

    /**
     * @param  array<string, true>  $formed
     * @param  array<string, true>  $closed
     */
    private static function hook(Event $event, array $formed, array $closed): void
    {
        foreach ($event->joints as $joint) {
            $canOpen = false;
            foreach ([$joint->a, $joint->b] as $eye) {
                if ($eye->kind !== EyeKind::Closed && ! isset($formed[$eye->id])) {
                    throw CannotClose::replay($event->key(), 'the '.$eye->words.' is not formed yet');
                }
                $canOpen = $canOpen || $eye->canOpen()
                    || ($eye->kind === EyeKind::Permanent && ! isset($closed[$eye->id]));
            }
            $canOpen || throw CannotClose::replay($event->key(), 'both eyes are closed for good');
        }
    }
}
