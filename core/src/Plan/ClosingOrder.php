<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/**
 * The order in which eyes are formed, wires threaded, joints hooked and eyes closed, so that nothing is closed before it
 * is connected. Rules (common practice, as the handbook of this project states them):
 *
 * 1. Along a wire, in the order its technique gives: form, close; thread; form, close.
 * 2. A joint is hooked after both its eyes are formed. An openable eye is opened for it, so the hook may come last. A
 *    permanent eye on a closed one is hooked before its wraps close it; of two permanent eyes, before one of them closes.
 * 3. Of those two, the later part closes through the earlier; where that goes round in a circle the latest such choice
 *    is turned over.
 * 4. Otherwise the order of the document decides.
 *
 * Cost: O(n log n) for n events, once per turned choice.
 */
final class ClosingOrder
{
    /** Ranks of one wire, before those of the next: a wire has far fewer events. */
    private const RUN = 4096;

    /**
     * @param  list<WireRun>  $runs  in document order
     * @param  list<Joint>  $joints
     * @return list<Event>
     *
     * @throws CannotClose if two closed eyes meet or no choice breaks the circle
     */
    public static function of(array $runs, array $joints): array
    {
        foreach ($joints as $joint) {
            if ($joint->a->kind === EyeKind::Closed && $joint->b->kind === EyeKind::Closed) {
                throw CannotClose::closedPair($joint);
            }
        }
        $turned = [];
        while (true) {
            [$order, $stuck] = self::sorted($runs, $joints, $turned);
            if ($stuck === []) {
                return $order;
            }
            $choice = self::latestChoice($joints, $stuck, $turned);
            if ($choice === null) {
                throw CannotClose::cycle(array_values(array_filter($joints, fn (Joint $joint): bool => isset($stuck['hook '.$joint->id()]))));
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
    private static function sorted(array $runs, array $joints, array $turned): array
    {
        $events = $rank = $waits = $next = $runOf = [];
        foreach ($runs as $at => $run) {
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
        foreach ($joints as $joint) {
            $hook = new Event(EventKind::Hook, $joint->id(), self::instanceOf($joint->b), '', $joint);
            $key = $hook->key();
            $events[$key] = $hook;
            [$after, $then] = self::aroundHook($joint, isset($turned[$joint->id()]));
            $rank[$key] = self::hookRank($joint, $rank, $runOf);
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

    /** @return array{list<string>, list<string>} what must come before the hook, and what after */
    private static function aroundHook(Joint $joint, bool $turned): array
    {
        $forms = ['form '.$joint->a->id, 'form '.$joint->b->id];
        [$a, $b] = [$joint->a->kind, $joint->b->kind];
        if ($a === EyeKind::Openable || $b === EyeKind::Openable) {
            return [['close '.$joint->a->id, 'close '.$joint->b->id], []];
        }
        if ($a === EyeKind::Permanent && $b === EyeKind::Permanent) {
            return [$forms, ['close '.($turned ? $joint->a->id : $joint->b->id)]];
        }

        return [$forms, ['close '.($a === EyeKind::Permanent ? $joint->a->id : $joint->b->id)]];
    }

    /**
     * A hook stands with the later part: before the closing it must precede, or, with an openable eye, when that part is done.
     *
     * @param  array<string, int>  $rank
     * @param  array<string, int>  $runOf
     */
    private static function hookRank(Joint $joint, array $rank, array $runOf): int
    {
        $run = self::RUN * ($runOf[self::instanceOf($joint->b)] ?? 0);
        $openable = $joint->a->kind === EyeKind::Openable || $joint->b->kind === EyeKind::Openable;

        return $openable ? $run + self::RUN - 2 : ($rank['close '.$joint->b->id] ?? $run) - 1;
    }

    private static function instanceOf(Eye $eye): string
    {
        return substr($eye->id, 0, (int) strrpos($eye->id, '/'));
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
        /** @var \SplPriorityQueue<int, string> $ready */
        $ready = new \SplPriorityQueue;
        foreach ($events as $key => $event) {
            if (($waits[$key] ?? 0) === 0) {
                $ready->insert($key, -$rank[$key]);
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
                    $ready->insert($later, -$rank[$later]);
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
                EventKind::Close => isset($formed[$event->of]) ? $closed[$event->of] = true : throw CannotClose::replay($event->key(), 'the eye is not formed yet'),
                EventKind::Thread, EventKind::Work => null,
                EventKind::Hook => self::hook($event, $formed, $closed),
            };
        }
    }

    /**
     * @param  array<string, true>  $formed
     * @param  array<string, true>  $closed
     */
    private static function hook(Event $event, array $formed, array $closed): void
    {
        $canOpen = false;
        foreach ($event->joint === null ? [] : [$event->joint->a, $event->joint->b] as $eye) {
            if ($eye->kind !== EyeKind::Closed && ! isset($formed[$eye->id])) {
                throw CannotClose::replay($event->key(), 'the '.$eye->words.' is not formed yet');
            }
            $canOpen = $canOpen || $eye->kind === EyeKind::Openable || ($eye->kind === EyeKind::Permanent && ! isset($closed[$eye->id]));
        }
        $canOpen || throw CannotClose::replay($event->key(), 'both eyes are closed for good');
    }
}
