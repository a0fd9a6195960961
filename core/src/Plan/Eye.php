<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** An eye of a part: how it closes, its inside diameter and its wire, in millimetres. */
final readonly class Eye
{
    public function __construct(
        public string $id,
        public EyeKind $kind,
        public float $insideMm,
        public float $wireMm,
        public string $words,
        /** the wire of the eye in drawing and strip */
        public string $mark,
        /** held shut by a lock of its own, not by the stiffness of a gap */
        public bool $isLocked = false,
    ) {
    }

    /** The same eye of one of several parts alike; asked of the eye of none. */
    public function of(string $instance): self
    {
        return new self($instance.$this->id, $this->kind, $this->insideMm, $this->wireMm, $this->words, $this->mark, $this->isLocked);
    }
}
