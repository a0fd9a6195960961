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
        'fill beads', 'stiffness', 'hole', 'eye', 'drilling', 'closing order', 'facing',
    ];

    /**
     * @param  list<Check>  $checks
     * @return list<Check>
     */
    public static function of(Piece $piece, Profile $profile, array $checks): array
    {
        return array_map(fn (Check $check): Check => $check->ways !== [] && in_array($check->rule, self::RULES, true)
            ? new Check(
                $check->level,
                $check->rule,
                $check->text,
                $check->part,
                array_values(
                    array_filter(
                        $check->ways,
                        fn (Way $way): bool => self::leadsOut($piece, $profile, $check, $way, $checks),
                    ),
                ),
            )
            : $check, $checks);
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
        $isStop = fn (Check $other): bool => $other->level === Level::Stop;

        return array_filter($after, $isSame) === []
            && count(array_filter($after, $asBad)) < count(array_filter($checks, $asBad))
            && count(array_filter($after, $isStop)) <= count(array_filter($checks, $isStop));
    }
}
