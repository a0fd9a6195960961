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
        return new self(
            $input->key,
            "The sum {$sum} needs {$input->key} ({$input->words}): give it, such as {$input->key}={$input->example}.",
        );
    }

    public static function notAPair(string $argument): self
    {
        return new self('input', self::shown($argument).' is not key=value: write it such as wire=22awg.');
    }

    public static function twice(string $key): self
    {
        return new self($key, self::titled($key).' is given twice: give it once.');
    }

    /**
     * @param  list<string>  $given
     * @param  list<string>  $group
     */
    public static function tooMany(string $sum, array $given, array $group): self
    {
        return new self(
            $given[1],
            "The sum {$sum} was given ".implode(' and ', $given).': give exactly one of '.implode(', ', $group).'.',
        );
    }

    /** @param  list<string>  $group */
    public static function noneOf(string $sum, array $group, Input $first): self
    {
        return new self(
            $group[0],
            "The sum {$sum} needs ".implode(' or ', $group)
                .": give exactly one, such as {$first->key}={$first->example}.",
        );
    }

    /** @param  list<string>  $known */
    public static function line(string $line, array $known): self
    {
        return new self(
            'ask',
            'I know no sum for '.self::shown($line).': begin with what it is, such as '.implode(', ', $known).'.',
        );
    }

    public static function leftOver(string $sum, string $token): self
    {
        return new self(
            'ask',
            'In a '.str_replace('-', ' ', $sum).' sum I do not know what to do with '.self::shown($token)
                .': name it, such as wire=24awg.',
        );
    }
}
