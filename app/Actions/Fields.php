<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Several;
use Closure;
use Hebra\Core\Problem;

/** The fields of a form, each read by itself: what is wrong with any of them is said at once. */
final class Fields
{
    /**
     * @param  array<string, Closure(): mixed>  $reads
     * @return array<string, mixed> what was read, by the same names
     *
     * @throws Problem the one that is wrong, or all of them
     */
    public static function all(array $reads): array
    {
        $read = $problems = [];
        foreach ($reads as $name => $reading) {
            try {
                $read[$name] = $reading();
            } catch (Problem $problem) {
                array_push($problems, ...Several::in($problem));
            }
        }

        return $problems === [] ? $read : throw Several::of($problems);
    }
}
