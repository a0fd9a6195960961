<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** Something that happens once: to an eye (form, close), a wire (thread) or a joint (hook). */
final readonly class Event
{
    private string $key;

    public function __construct(
        public EventKind $kind,
        /** the eye, the instance of a part, or the joint */
        public string $of,
        public string $instance,
        public string $place = '',
        public ?Joint $joint = null,
    ) {
        $this->key = $kind->value.' '.$of;
    }

    public function key(): string
    {
        return $this->key;
    }
}
