<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\Piece;
use Hebra\Core\Problem;

/** Ways out that are tried before they are offered: one that leaves the fault standing, or brings a stop, is none. */
final class Tried
{
    /** Rules whose ways out move parts about: what comes of that is seen only when it is done. */
    private const RULES = [
        'nothing to hang from', 'nothing to close in', 'middle', 'strands', 'clasp', 'loop strength', 'room', 'row',
        'fill beads', 'stiffness', 'hole', 'eye', 'drilling', 'closing order', 'facing', 'empty eye',
    ];

    /**
     * @param  list<Check>  $checks
     * @return list<Check>
     */
    public static function of(Piece $piece, Profile $profile, array $checks, Layout $layout): array
    {
        return array_map(fn (Check $check): Check => match (true) {
            $check->rule === 'length' && $check->level === Level::Note => self::length(
                $piece, $profile, $checks, $layout,
            ),
            in_array($check->rule, self::RULES, true) => $check->with(array_values(array_filter(
                $check->ways, fn (Way $way): bool => self::leadsOut($piece, $profile, $check, $way, $checks),
            ))),
            default => $check,
        }, $checks);
    }

    /**
     * A line that is too long or too short, with what would make it fit.
     *
     * @param  list<Check>  $checks
     */
    private static function length(Piece $piece, Profile $profile, array $checks, Layout $layout): Check
    {
        $reach = Reach::of($piece, $layout) ?? throw new \LogicException('What is no line has no length to fit.');

        return $reach->check($profile, Lengths::ways($piece, $profile, $layout, $reach, self::stops($checks)));
    }

    /** @param  list<Check>  $checks */
    public static function stops(array $checks): int
    {
        return count(array_filter($checks, fn (Check $check): bool => $check->level === Level::Stop));
    }

    /** @param  list<Check>  $checks */
    private static function leadsOut(Piece $piece, Profile $profile, Check $check, Way $way, array $checks): bool
    {
        try {
            $after = Planner::plan($way->change->apply($piece), $profile, false)->checks;
        } catch (Problem) {
            return false;
        }
        $isSame = fn (Check $other): bool => [
            $other->rule,
            $other->part,
            $other->text,
        ] === [$check->rule, $check->part, $check->text];
        $asBad = fn (Check $other): bool => $other->rule === $check->rule && $other->level->isAtLeast($check->level);

        return array_filter($after, $isSame) === []
            && count(array_filter($after, $asBad)) < count(array_filter($checks, $asBad))
            && self::stops($after) <= self::stops($checks);
    }
}
