<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Handwork\EventKind;

/** The events along one wire, in the order they must come. */
final readonly class WireRun
{
    /**
     * @param  list<string>  $along  names of eyes, `thread`, other work
     * @param  array<string, Eye>  $eyes
     * @param  string  $likeness  the same for all that are formed alike
     */
    public function __construct(
        public string $instance,
        public array $along,
        public array $eyes,
        public string $likeness = '',
        /** whether it comes last where work goes by operation: what is strung waits for all that is wire */
        public bool $isLast = false,
    ) {
    }

    /** @return list<Event> */
    public function events(): array
    {
        $events = [];
        foreach ($this->along as $what) {
            $eye = $this->eyes[$what] ?? null;
            if ($what === 'thread') {
                $events[] = new Event(EventKind::Thread, $this->instance, $this->instance);
            } elseif ($eye === null) {
                $events[] = new Event(EventKind::Work, "{$this->instance}/{$what}", $this->instance, $what);
            } else {
                $events[] = new Event(EventKind::Form, $eye->id, $this->instance, $what);
                $events[] = new Event(EventKind::Close, $eye->id, $this->instance, $what);
            }
        }

        return $events;
    }
}
