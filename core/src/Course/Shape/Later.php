<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Closure;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;

/** A shape that is worked out when it is asked how it lies: cuts are read off courses far more often than curves. */
final class Later implements Shape
{
    private ?Shape $shape = null;

    /** @param  Closure(): Shape  $made */
    public function __construct(private readonly Closure $made)
    {
    }

    /**
     * What is worked out once, when it is first asked for.
     *
     * @template T
     *
     * @param  Closure(): T  $made
     * @return Closure(): T
     */
    public static function once(Closure $made): Closure
    {
        return function () use ($made): mixed {
            static $known = null;

            return $known ??= $made();
        };
    }

    private function shape(): Shape
    {
        return $this->shape ??= ($this->made)();
    }

    public function lengthMm(): float
    {
        return $this->shape()->lengthMm();
    }

    public function laid(Frame $from): array
    {
        return $this->shape()->laid($from);
    }
}
