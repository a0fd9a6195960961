<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** What right and wrong look like at a point of a finished piece. */
enum Sight: string
{
    case Count = 'count';
    case Alike = 'alike';
    case Wraps = 'wraps';
    case Gap = 'gap';
    case End = 'end';
    case Facing = 'facing';
    case Level = 'level';
    case Lock = 'lock';
    case Even = 'even';
    case Size = 'size';

    /** Of a point, by its key. */
    public static function of(string $key): self
    {
        $name = explode('-', $key)[0];

        return match (true) {
            in_array($key, ['rule-lock', 'rule-clasp'], true) => self::Lock,
            $key === 'rule-facing' => self::Facing,
            $key === 'rule-middle' => self::Level,
            $name === 'rule' => self::Even,
            in_array($name, ['beads', 'count', 'repeats', 'sides'], true) => self::Count,
            in_array($name, ['alike', 'twins', 'halves'], true) => self::Alike,
            $name === 'wraps' => self::Wraps,
            $name === 'gaps' => self::Gap,
            $name === 'ends' => self::End,
            default => self::Size,
        };
    }

    /** What is seen where it is right, and where it is not. */
    public function words(bool $isRight): string
    {
        [$right, $wrong] = match ($this) {
            self::Count => ['none missing', 'one is missing'],
            self::Alike => ['of one length', 'one is longer'],
            self::Wraps => ['close and even', 'gaping, or an end stands off'],
            self::Gap => ['it is shut', 'it gapes'],
            self::End => ['smooth', 'a burr'],
            self::Facing => ['it faces you', 'it stands on edge'],
            self::Level => ['level', 'it leans'],
            self::Lock => ['it holds', 'it slips out'],
            self::Even => ['even', 'uneven'],
            self::Size => ['as long as planned', 'longer or shorter'],
        };

        return $isRight ? $right : $wrong;
    }
}
