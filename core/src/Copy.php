<?php

declare(strict_types=1);

namespace Hebra\Core;

/** Values never change: what changes is a copy. */
final class Copy
{
    /**
     * @template T of object
     *
     * @param  class-string<T>  $class  its constructor is public, and takes what its properties are called
     * @param  array<mixed>  $properties
     * @param  array<string, mixed>  $changed
     * @return T
     */
    public static function of(string $class, array $properties, array $changed): object
    {
        return new $class(...[...$properties, ...$changed]);
    }
}
