<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\PartId;

/** An eye of a part: how it closes, its inside diameter and its wire, in millimetres. */
final readonly class Eye
{
    public const CRIMPED = 'crimped';

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
        /** what it is one with, where a part offers the same eye twice: both sides of a ring */
        private string $one = '',
        /** how it is closed for good */
        public string $shut = 'wrapped shut',
        /** how long the way through it is, of a hole in something thick; 0 of an eye of wire */
        public float $deepMm = 0.0,
    ) {
    }

    /** What is strung is passed through what is closed, and crimped after it. */
    public function isStrung(): bool
    {
        return $this->shut === self::CRIMPED;
    }

    /** What is opened when it is opened: the same for both sides of a ring. */
    public function opening(): string
    {
        return $this->one === '' ? $this->id : $this->instance().'/'.$this->one;
    }

    public function instance(): string
    {
        return substr($this->id, 0, (int) strrpos($this->id, '/'));
    }

    /** The part of the document that it is of. */
    public function part(): PartId
    {
        return Instance::partOf($this->instance());
    }

    /** What its part calls it. */
    public function name(): string
    {
        return substr($this->id, strlen($this->instance()) + 1);
    }

    public function canOpen(): bool
    {
        return $this->kind === EyeKind::Openable;
    }

    /** The same eye of one of several parts alike; asked of the eye of none. */
    public function of(string $instance): self
    {
        return new self(
            $instance.$this->id, $this->kind, $this->insideMm, $this->wireMm, $this->words,
            Instance::partOf($instance)->markLike($this->mark),
            $this->isLocked, $this->one, $this->shut, $this->deepMm,
        );
    }
}
