<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Refusal;

/** A sum or an input that is not known here, or one that is missing. */
final class UnknownSum extends Refusal
{
    /** @param  list<string>  $known */
    public static function named(string $name, array $known): self
    {
        return new self('sum', 'Sum '.self::shown($name).' is not known here: give one of '.implode(', ', $known).'.');
    }

    /** @param  list<string>  $known */
    public static function key(string $sum, string $key, array $known): self
    {
        return new self($key, "The sum {$sum} takes no ".self::shown($key).': give '.implode(', ', $known).'.');
    }

    public static function missing(string $sum, Input $input): self
    {
        return new self($input->key, "The sum {$sum} needs {$input->key} ({$input->words}): give it, such as {$input->key}={$input->example}.");
    }

    public static function notAPair(string $argument): self
    {
        return new self('input', self::shown($argument).' is not key=value: write it such as wire=22awg.');
    }
}
