<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\WireSize;

/**
 * What a piece asks of the wire of one role: the holes it passes, its tightest bend, what hangs from its openable eyes, how
 * long it is in all, and what its techniques want of it. Millimetres and grams, for the whole making.
 */
final readonly class WireDuty
{
    /**
     * @param  list<Bead>  $beads
     * @param  positive-int  $passes  of the wire through each of them
     */
    private function __construct(
        public array $beads,
        public int $passes,
        public ?float $tightestInsideMm,
        public ?float $openableInsideMm,
        public float $hungGrams,
        public float $lengthMm,
        public float $holdsWanted,
        public float $effortBorne,
        /** numbers hard that straightening and hammering add */
        public float $workedNumbers,
        public WireSize $usual,
        public Temper $usualTemper,
    ) {
    }

    public static function of(Piece $piece, string $role, Profile $profile): self
    {
        $beads = $insides = $openables = [];
        $length = $hung = 0.0;
        $below = 0.0;
        $passes = 1;
        $wants = null;
        [$usual, $temper] = [WireSize::awg(22), Temper::DeadSoft];
        // From the bottom up, so that what hangs below a part is known when it is reached.
        foreach (array_reverse($piece->parts) as $part) {
            $plan = PartPlan::of($piece, $part, $profile);
            $cut = $plan->technique->cut($plan);
            if ($part->wire === $role) {
                [$usual, $temper] = [$plan->technique->usualWire()->size, $plan->technique->usualWire()->temper];
                $wants = $plan->technique->wants();
                $passes = max($passes, $wants->passes);
                $length += $cut->lengthMm() * $part->repeat * $piece->makes->count;
                foreach ($plan->strung as $strung) {
                    $beads[$strung->key] = $strung->bead;
                }
                foreach ($plan->technique->eyes($plan, $part->id) as $eye) {
                    $insides[] = $eye->insideMm;
                    if ($eye->kind === EyeKind::Openable) {
                        $openables[] = $eye->insideMm;
                        $hung = max($hung, $below);
                    }
                }
            }
            $below += ($plan->beadGrams() + $plan->wire->gramsOf($cut->netMm())) * $part->repeat;
        }
        $wants ??= new Wants;

        // The widest openable eye is the weakest.
        return new self(array_values($beads), $passes, $insides === [] ? null : min($insides), $openables === [] ? null : max($openables), $hung, $length,
            $wants->holds, $wants->effort, 2 * $profile->schools->straighteningNumbers() + ($wants->isHammered ? $profile->schools->hammeringNumbers() : 0.0), $usual, $temper);
    }
}
