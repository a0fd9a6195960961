<?php

declare(strict_types=1);

namespace App\Actions;

use LogicException;

/**
 * A field of a form that was read; what it holds may be asked once all of the form is read.
 *
 * @template T
 */
final readonly class Field
{
    /** @param  array{0?: T}  $read  nothing where it could not be read */
    public function __construct(private array $read)
    {
    }

    /** @return T */
    public function value(): mixed
    {
        return array_key_exists(0, $this->read)
            ? $this->read[0]
            : throw new LogicException('A field was asked for what could not be read.');
    }
}
