<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\Piece;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\WireSize;

/**
 * What a piece asks of the wire of one role: the holes it passes, its tightest bend, what hangs from its openable eyes,
 * how long it is in all, and what its techniques want of it. Millimetres and grams, for the whole making.
 */
final readonly class WireDuty
{
    /**
     * @param  list<Hole>  $holes
     */
    private function __construct(
        public array $holes,
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
        /** the share of its thickness that hammering leaves; 1 where it is not hammered flat */
        public float $hammeredShare = 1.0,
    ) {
    }

    public static function of(Piece $piece, string $role, Profile $profile): self
    {
        $holes = $insides = $openables = [];
        $length = $hung = 0.0;
        $below = 0.0;
        $wants = null;
        $hammered = 1.0;
        [$usual, $temper] = [WireSize::awg(22), Temper::DeadSoft];
        // From the bottom up, so that what hangs below a part is known when it is reached.
        foreach (array_reverse($piece->parts) as $part) {
            $plan = PartPlan::of($piece, $part, $profile);
            $cuts = $plan->cuts();
            foreach ($cuts as $cut) {
                $length += $cut->role === $role ? $cut->lengthMm() * $cut->count * $piece->makes->count : 0.0;
            }
            $extra = $plan->technique->extraWires($part)[$role] ?? null;
            if ($role === Piece::COIL_BEAD) {
                $wants ??= new Wants(holds: 0.3, effort: 0.6);
            }
            if ($part->wire === $role || $extra !== null) {
                $its = $extra ?? $plan->technique->usualWireOf($part);
                [$usual, $temper] = [$its->size, $its->temper];
                $wants = $plan->technique->wants();
                $flat = $part->wire === $role && ($part->settings['annealed'] ?? false) !== true
                    ? $plan->technique->hammered($plan)
                    : null;
                $hammered = min($hammered, $flat === null ? 1.0 : $flat->thicknessMm / $flat->wireMm);
            }
            foreach ($plan->strung as $run => $strung) {
                $passes = array_count_values($plan->through($run))[$role] ?? 0;
                if ($passes > 0) {
                    $holes[$strung->key.'/'.$passes] = new Hole($strung->bead, $passes);
                }
            }
            if ($part->wire === $role) {
                foreach ($plan->technique->eyes($plan, $part->id->text) as $eye) {
                    // What is rolled hard as it comes is no bend that could crack it.
                    if (! $plan->technique->wants()->isRolledHard) {
                        $insides[] = $eye->insideMm;
                    }
                    if ($eye->kind === EyeKind::Openable && ! $eye->isLocked) {
                        $openables[] = $eye->insideMm;
                        $hung = max($hung, $below);
                    }
                }
            }
            $below += ($plan->beadGrams() + $plan->readyGrams() + array_sum(
                array_map(fn (Cut $cut): float => $cut->wire->gramsOf($cut->netMm()), $cuts)
            )) * $plan->times;
        }
        $wants ??= new Wants;

        // The widest openable eye is the weakest.
        return new self(
            array_values($holes), $insides === [] ? null : min($insides), $openables === [] ? null : max($openables),
            $hung, $length, $wants->holds, $wants->effort, $profile->schools->makingNumbers($wants->isHammered),
            $usual, $temper, $hammered,
        );
    }
}
