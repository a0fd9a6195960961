<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Handwork\EventKind;

/**
 * The events of an order of work in words: one by one, or, where much is alike, one operation over all that is alike
 * and then the next [common practice].
 */
final readonly class StepWords
{
    /**
     * @param  array<string, PartPlan>  $partOf  by instance
     * @param  \Closure(string): string  $called  what an instance is called
     */
    public function __construct(
        private Profile $profile,
        private array $partOf,
        private \Closure $called,
        private Twins $twins,
    ) {
    }

    /**
     * @param  list<Event>  $order
     * @return list<Step>
     */
    public function oneByOne(array $order): array
    {
        return array_merge(...array_map(fn (Event $event): array => $this->named($event, $this->of($event)), $order));
    }

    /**
     * @param  list<Event>  $order  in which what is alike comes together where it can
     * @return list<Step>
     */
    public function together(array $order): array
    {
        $steps = [];
        foreach (self::runs($order, $this->kind(...)) as $run) {
            foreach ($this->alike($run) as $events) {
                array_push($steps, ...$this->ofAll($events));
            }
        }

        return $steps;
    }

    /** @return list<Step> not yet said of whom */
    private function of(Event $event, bool $isOfMany = false): array
    {
        if ($event->kind === EventKind::Hook) {
            return [(new HookSteps($this->profile, $this->called, $isOfMany))->of($event)];
        }

        return $this->twins->steps($this->partOf[$event->instance], $event->moment());
    }

    /**
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private function named(Event $event, array $steps): array
    {
        return array_map(function (Step $step) use ($event): Step {
            $instance = $step->part === '' ? $event->instance : $step->part;

            return $step->of($instance, ucfirst(($this->called)($instance)).': '.lcfirst($step->title));
        }, $steps);
    }

    /**
     * @param  non-empty-list<Event>  $events  that are said alike
     * @return list<Step>
     */
    private function ofAll(array $events): array
    {
        if (count($events) === 1) {
            return $this->named($events[0], $this->of($events[0]));
        }
        $steps = [];
        foreach ($events as $event) {
            foreach ($this->of($event, true) as $place => $step) {
                $steps[$place][] = $step->of($step->part ?: $event->instance, $step->title);
            }
        }

        return array_values(array_map(
            fn (array $alike): Step => Step::onAll($alike, $this->partOf[$alike[0]->part]->label()), $steps,
        ));
    }

    /** What is done, and to what kind of thing, whichever of them it is. */
    private function kind(Event $event): string
    {
        $open = $event->open;
        $done = $open === null ? $event->place : $open->name();
        $instance = $open === null ? $event->instance : $open->instance();

        return implode(' ', [$event->kind->value, $done, $this->partOf[$instance]->likeness()]);
    }

    /**
     * Of a run of one kind, what is said alike: none of them waits for another.
     *
     * @param  list<Event>  $run
     * @return list<non-empty-list<Event>>
     */
    private function alike(array $run): array
    {
        $alike = [];
        foreach ($run as $event) {
            $steps = $this->of($event, true);
            // What names its wire is of the wire of one part.
            $isOfWire = array_filter($steps, fn (Step $step): bool => $step->cut !== '') !== [];
            $said = array_map(fn (Step $step): array => $step->said(), $steps);
            $whose = $isOfWire ? Instance::partOf($event->instance) : '';
            $alike[json_encode([$whose, $said], JSON_THROW_ON_ERROR)][] = $event;
        }

        return array_values($alike);
    }

    /**
     * @param  list<Event>  $order
     * @param  \Closure(Event): string  $kind
     * @return list<non-empty-list<Event>> those of one kind that follow each other
     */
    private static function runs(array $order, \Closure $kind): array
    {
        $runs = [];
        $before = null;
        foreach ($order as $event) {
            $now = $kind($event);
            if ($now === $before) {
                $runs[count($runs) - 1][] = $event;
            } else {
                $runs[] = [$event];
            }
            $before = $now;
        }

        return $runs;
    }
}
