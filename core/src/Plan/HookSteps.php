<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\School\School;

/**
 * How joints are said: an eye opened once for all it takes, or something slipped on before an eye is closed for good.
 */
final readonly class HookSteps
{
    /**
     * @param  \Closure(string): string  $called  what an instance is called
     * @param  bool  $isOfMany  whether it is said of several alike at once, none of them by its number
     */
    public function __construct(private Profile $profile, private \Closure $called, private bool $isOfMany = false)
    {
    }

    public function of(Event $event): Step
    {
        $open = $event->open;
        if ($open === null || ! $open->canOpen()) {
            return $this->before($event->joints[0], $open ?? $event->joints[0]->b);
        }

        return $this->opened($open, $event);
    }

    private function opened(Eye $open, Event $event): Step
    {
        $taken = array_map(
            fn (Joint $joint): Eye => $joint->other($joint->a->opening() === $open->opening() ? $joint->a : $joint->b),
            $event->joints,
        );
        $things = $this->things($taken);
        $isMany = count($taken) > 1;
        $who = $isMany ? $open->instance() : $event->instance;
        $title = $isMany ? 'Hang all '.count($taken).' on it' : 'Hang it on';
        [$how, $tool] = $this->opening($open);
        $marks = array_values(array_unique([$open->mark, ...array_map(fn (Eye $eye): string => $eye->mark, $taken)]));
        $parts = array_values(
            array_unique([$open->instance(), ...array_map(fn (Eye $eye): string => $eye->instance(), $taken)]),
        );

        return new Step(
            new Moment(EventKind::Hook),
            $who,
            $title,
            "{$how} Hang {$things} in it".($open->isLocked ? ', and lock it again.' : ' and close it past the middle '
                .'and back until the ends click together.'),
            $marks,
            tool: $tool,
            parts: $parts,
        );
    }

    /** @return array{string, string} how an eye is opened, and with what */
    private function opening(Eye $open): array
    {
        if ($open->isLocked) {
            return ["Unlock the {$open->words}.", 'fingers'];
        }
        $isTwo = $this->profile->schools->is(School::RingOpening, 'two-pliers');

        return [
            ($isTwo ? 'Open' : 'Hold it flat in the pliers and with your fingers open')
                ." the {$open->words} sideways, never apart.",
            $isTwo ? 'two pairs of pliers' : 'chain-nose pliers, fingers',
        ];
    }

    /**
     * `the link’s top loop`, `the drop’s loop of drop 1, of drop 2 and of drop 3`.
     *
     * @param  list<Eye>  $eyes
     */
    private function things(array $eyes): string
    {
        $by = [];
        foreach ($eyes as $eye) {
            $by[$eye->words][] = $eye->instance();
        }
        $words = [];
        foreach ($by as $eye => $instances) {
            $words[] = match (true) {
                count($instances) === 1 => "the {$eye}",
                $this->isOfMany => count($instances)." of the {$eye}s",
                default => "the {$eye} ".Figures::listed(
                    array_map(fn (string $instance): string => 'of '.($this->called)($instance), $instances),
                ),
            };
        }

        return Figures::listed($words);
    }

    private function before(Joint $joint, Eye $open): Step
    {
        $other = $joint->other($open);
        $called = $this->isOfMany ? 'next one' : ($this->called)($open->instance());
        $verb = explode(' ', $open->shut)[0];

        return new Step(new Moment(EventKind::Hook), $open->instance(), 'Hook it on first', "The {$open->words} is "
            ."turned but not yet {$open->shut}. Slip it through the {$other->words} now: once it is {$verb} it cannot "
            .'be joined.',
            [$joint->a->mark, $joint->b->mark], asks: "Is the {$called} hooked on?", tool: 'fingers',
            parts: array_values(array_unique([$joint->a->instance(), $joint->b->instance()])));
    }
}
