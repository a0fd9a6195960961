<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\ParameterKind;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tool\Mark;

/**
 * The steps that a measure takes as it is pulled: the marks of the maker's own tools it is bent on, else those of their
 * ruler, or whole counts; each as it is typed, and what it is.
 */
final class Pulls
{
    /** So many marks about a size make steps of it. */
    private const FEW = 3;

    /** So many steps to either side. */
    private const REACH = 24;

    /** What is longer is pulled by whole millimetres, and by fives, mm. */
    private const FINE_MM = 30.0;

    private const LONG_MM = 150.0;

    /** @return list<array{string, string}> from the least to the most */
    public static function of(Parameter $parameter, Part $part, Profile $profile): array
    {
        return $parameter->kind === ParameterKind::Count
            ? self::counts($parameter, $part->count($parameter->key))
            : self::lengths($parameter, $part->mm($parameter->key), $profile);
    }

    /** @return list<array{string, string}> */
    private static function counts(Parameter $parameter, int $now): array
    {
        $least = max((int) $parameter->least, $now - self::REACH);

        return array_map(
            fn (int $count): array => [(string) $count, ''],
            range($least, max($least, min((int) $parameter->most, $now + self::REACH))),
        );
    }

    /** @return list<array{string, string}> */
    private static function lengths(Parameter $parameter, float $now, Profile $profile): array
    {
        $marks = self::marks($parameter, $profile);
        $near = array_filter(
            array_keys($marks), fn (int $key): bool => $key > 500 * $now && $key < 2000 * $now,
        );
        // Tools that reach no size about this one are no help in pulling it.
        if (count($near) < self::FEW) {
            $marks = [];
            $step = match (true) {
                $now > self::LONG_MM => 5.0,
                $now > self::FINE_MM => 1.0,
                default => 0.5,
            };
            for ($at = -self::REACH; $at <= self::REACH; $at++) {
                $marks[self::key((floor($now / $step + 1e-9) + $at) * $step)] = '';
            }
        }
        $marks += [self::key($now) => ''];
        ksort($marks);
        $within = array_filter(
            $marks, fn (int $key): bool => $key / 1000 >= $parameter->least && $key / 1000 <= $parameter->most,
            ARRAY_FILTER_USE_KEY,
        );

        return array_map(
            fn (int $key, string $words): array => [$profile->size($key / 1000), $words],
            array_keys($within), array_values($within),
        );
    }

    private static function key(float $mm): int
    {
        return (int) round($mm * 1000);
    }

    /** @return array<int, string> what each mark is, by its micrometres */
    private static function marks(Parameter $parameter, Profile $profile): array
    {
        $marks = [];
        foreach ($profile->tools->tools as $tool) {
            foreach (in_array($tool->kind, $parameter->tools, true) ? $tool->marksMm : [] as $at => $mm) {
                $marks[self::key($mm)] ??= (new Mark($tool, $at, $mm))->short();
            }
        }

        return $marks;
    }
}
