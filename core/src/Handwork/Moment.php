<?php

declare(strict_types=1);

namespace Hebra\Core\Handwork;

/** When in the making of one part something is done: an eye formed or closed, its wire threaded, other work on it. */
final readonly class Moment
{
    /** @param  string  $place  the eye, or the work where there is more than one; empty where there is only one */
    public function __construct(public EventKind $kind, public string $place = '')
    {
    }

    public static function form(string $eye): self
    {
        return new self(EventKind::Form, $eye);
    }

    public static function close(string $eye): self
    {
        return new self(EventKind::Close, $eye);
    }

    public static function thread(): self
    {
        return new self(EventKind::Thread);
    }

    public static function work(string $place): self
    {
        return new self(EventKind::Work, $place);
    }

    public function is(EventKind $kind, string $place = ''): bool
    {
        return $this->kind === $kind && $this->place === $place;
    }

    /** `form top`: as it is told outside. */
    public function text(): string
    {
        return trim($this->kind->value.' '.$this->place);
    }
}
