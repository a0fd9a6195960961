<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\Piece;
use Hebra\Core\Problem;

/** Ways out that are tried before they are offered: one that leaves the fault standing, or brings a stop, is none. */
final readonly class Tried
{
    /** Rules whose ways out move parts about: what comes of that is seen only when it is done. */
    private const RULES = [
        'nothing to hang from', 'nothing to close in', 'middle', 'strands', 'clasp', 'loop strength', 'room', 'row',
        'fill beads', 'stiffness', 'hole', 'eye', 'drilling', 'closing order', 'facing', 'empty eye',
    ];

    /** @param  list<Check>  $checks  what was found, and offers ways out */
    public function __construct(private Piece $piece, private Profile $profile, private array $checks)
    {
    }

    /** @return list<Check> with the ways that lead out, and where a line does not fit, with those that make it */
    public function on(Layout $layout): array
    {
        return array_map(fn (Check $check): Check => match (true) {
            $check->rule === 'length' && $check->level === Level::Note => $this->length($layout),
            in_array($check->rule, self::RULES, true) => $check->with(array_values(array_filter(
                $check->ways, fn (Way $way): bool => $this->leadsOut($check, $way),
            ))),
            default => $check,
        }, $this->checks);
    }

    /** A line that is too long or too short, with what would make it fit. */
    private function length(Layout $layout): Check
    {
        $reach = Reach::of($this->piece, $layout)
            ?? throw new \LogicException('What is no line has no length to fit.');

        return $reach->check($this->profile, (new Lengths(
            $this->piece, $this->profile, $layout, $reach, self::stops($this->checks),
        ))->ways());
    }

    /** @param  list<Check>  $checks */
    public static function stops(array $checks): int
    {
        return count(array_filter($checks, fn (Check $check): bool => $check->level === Level::Stop));
    }

    private function leadsOut(Check $check, Way $way): bool
    {
        try {
            $after = Planner::plan($way->change->apply($this->piece), $this->profile, false)->checks;
        } catch (Problem) {
            return false;
        }
        $isSame = fn (Check $other): bool => [$other->rule, $other->part, $other->text]
            === [$check->rule, $check->part, $check->text];
        $asBad = fn (Check $other): bool => $other->rule === $check->rule && $other->level->isAtLeast($check->level);

        return array_filter($after, $isSame) === []
            && count(array_filter($after, $asBad)) < count(array_filter($this->checks, $asBad))
            && self::stops($after) <= self::stops($this->checks);
    }
}
