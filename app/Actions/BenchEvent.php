<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;

/** One thing done at the bench, as a device says it. */
final readonly class BenchEvent
{
    private const LONGEST_NAME = 40;

    /** A week: no step takes longer, and no clock is believed beyond. */
    private const MOST_MS = 604_800_000;

    /** @param  int  $at  moves that the device had seen */
    private function __construct(
        public string $name,
        public string $do,
        public int $at,
        public int $counted,
        public int $minutes,
        public bool $isHooked,
        public bool $isAll,
        public int $milliseconds,
    ) {
    }

    /**
     * @param  array<mixed>  $input  event, do, at, counted, minutes, hooked, all, ms
     *
     * @throws Refused if a field is no single value, or the name is too long
     */
    public static function read(array $input): self
    {
        $text = function (string $key) use ($input): string {
            $value = $input[$key] ?? '';
            is_scalar($value) || throw Refused::notText($key);

            return (string) $value;
        };
        $name = $text('event');
        strlen($name) <= self::LONGEST_NAME
            || throw Refused::invalid(
                'event',
                'The event’s name holds '.strlen($name).' characters: give at most '.self::LONGEST_NAME.'.',
            );
        $ms = is_numeric($text('ms')) ? (float) $text('ms') : 0.0;

        return new self(
            $name,
            $text('do'),
            (int) $text('at'),
            (int) $text('counted'),
            (int) $text('minutes'),
            $text('hooked') === '1',
            $text('all') === '1',
            (int) max(0, min(self::MOST_MS, $ms)),
        );
    }
}
