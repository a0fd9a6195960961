<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Course;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\ReadyMade;

/**
 * A finding that can be made from wire or bought as it is: bought, it takes no cut, and weighs about what the cut would
 * have left in it.
 */
final class Bought
{
    public static function parameter(string $words): Parameter
    {
        return Parameter::choice('source', $words, 'made', ['made' => 'made from wire', 'bought' => 'bought']);
    }

    public static function is(Part $part): bool
    {
        return $part->choice('source') === 'bought';
    }

    /** @return list<Cut> the cut, where it is made */
    public static function cuts(PartPlan $part, Cut $cut): array
    {
        return self::is($part->part) ? [] : [$cut];
    }

    /** Nothing is done to what is bought. */
    public static function asIs(PartPlan $part, Course $course): Course
    {
        return self::is($part->part) ? $course->readyMade() : $course;
    }

    /** @return list<ReadyMade> */
    public static function ready(PartPlan $part, Cut $cut, string $words): array
    {
        return self::is($part->part)
            ? [new ReadyMade($words.', '.$part->wire->words(), 1, $part->wire->gramsOf($cut->netMm()))]
            : [];
    }
}
