<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Handwork\Moment;

/**
 * Something that happens once: to an eye (form, close), a wire (thread) or joints (hook): those that one opening takes.
 */
final readonly class Event
{
    private string $key;

    /** @param  list<Joint>  $joints */
    public function __construct(
        public EventKind $kind,
        /** the eye, the instance of a part, the joint, or the eye that is opened */
        public string $of,
        public string $instance,
        public string $place = '',
        public array $joints = [],
        /** of a hook, the eye that is opened or still open */
        public ?Eye $open = null,
    ) {
        $this->key = $kind->value.' '.$of;
    }

    public function moment(): Moment
    {
        return new Moment($this->kind, $this->place);
    }

    public function key(): string
    {
        return $this->key;
    }
}
