<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** Two eyes hooked together; `a` stands earlier in the document. */
final readonly class Joint
{
    public function __construct(public Eye $a, public Eye $b)
    {
    }

    public function canOpen(): bool
    {
        return $this->a->canOpen() || $this->b->canOpen();
    }

    public function other(Eye $eye): Eye
    {
        return $eye->id === $this->a->id ? $this->b : $this->a;
    }

    public function id(): string
    {
        return $this->a->id.'~'.$this->b->id;
    }
}
