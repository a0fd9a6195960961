<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Closure;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Tried;
use Hebra\Core\Plan\Way;
use Hebra\Core\Problem;

/**
 * One way of getting the parts of a making otherwise, and what its bill has more or less, in cents, minutes and grams.
 */
final readonly class Offer
{
    /** @param  list<BillLine>  $unpriced  what it takes that has no price yet: its cents are not the whole of it */
    private function __construct(
        public Way $way, public Plan $plan, public int $cents, public float $minutes, public float $grams,
        public array $unpriced,
    ) {
    }

    /** Whether it can be said to cost less. */
    public function pays(): bool
    {
        return $this->cents < 0 && $this->unpriced === [];
    }

    /**
     * What costs least first; what brings a stop is none.
     *
     * @param  list<Way>  $ways
     * @param  Closure(Plan): array{Bill, float}  $billed  a plan’s bill, and its minutes
     * @return list<self>
     */
    public static function all(Plan $plan, array $ways, Closure $billed): array
    {
        $now = $billed($plan);
        $offers = array_filter(array_map(fn (Way $way): ?self => self::of($plan, $way, $billed, $now), $ways));
        usort($offers, fn (self $one, self $other): int => [$one->unpriced !== [], $one->cents]
            <=> [$other->unpriced !== [], $other->cents]);

        return $offers;
    }

    /**
     * @param  Closure(Plan): array{Bill, float}  $billed
     * @param  array{Bill, float}  $now
     */
    private static function of(Plan $plan, Way $way, Closure $billed, array $now): ?self
    {
        try {
            $then = Planner::plan($way->change->apply($plan->piece), $plan->profile);
        } catch (Problem) {
            return null;
        }
        if (Tried::stops($then->checks) > Tried::stops($plan->checks)) {
            return null;
        }
        [$bill, $minutes] = $billed($then);
        $words = array_map(fn (BillLine $line): string => $line->words, $now[0]->lines);
        $unpriced = array_filter(
            $bill->lines, fn (BillLine $line): bool => $line->cents === null && ! in_array($line->words, $words, true),
        );

        return new self(
            $way, $then, $bill->costCents - $now[0]->costCents, $minutes - $now[1],
            $bill->grossGrams - $now[0]->grossGrams, array_values($unpriced),
        );
    }
}
