<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Bend\Hammered;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Crowding;
use Hebra\Core\Course\Settling\Settled;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\Sizing;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Clasp;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plate\Plate;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;

/**
 * What most techniques have in common: one wire, nothing bought, cut as its courses tell, nothing hung in it, not flat,
 * every setting shown, beads drilled
 * lengthwise, nothing to object to.
 */
trait Usual
{
    public function labelOf(Part $part): string
    {
        return $this->label();
    }

    public function extraWires(Part $part): array
    {
        return [];
    }

    public function usualWireOf(Part $part): Wire
    {
        return $this->usualWire();
    }

    public function cuts(PartPlan $part): array
    {
        $wires = array_filter($part->courses(), fn (Course $course): bool => $course->isWire);

        return $this->isBought($part->part)
            ? []
            : Cut::together(
                array_map(fn (Course $course): Cut => Cut::of($course, $part), array_values($wires)),
            );
    }

    public function settled(PartPlan $part): array
    {
        return Settled::of(array_map(
            fn (Course $course): array => [
                $course, $course->isWire && $course->colour === '' ? $part->wireOf($course->role)->diameterMm() : 0.0,
            ],
            $part->courses(),
        ));
    }

    public function hung(PartPlan $part): array
    {
        return [];
    }

    public function plate(PartPlan $part): ?Plate
    {
        return null;
    }

    public function isFaceAcross(PartPlan $part): bool
    {
        return $this->facesAcross($part) ?? false;
    }

    public function wants(): Wants
    {
        return new Wants;
    }

    public function through(PartPlan $part, int $run): array
    {
        return [$part->part->wire];
    }

    public function shows(string $key, Part $part): bool
    {
        return true;
    }

    public function following(Part $part, string $key): Part
    {
        return $part;
    }

    public function endsLine(): bool
    {
        return false;
    }

    public function takesBeads(): bool
    {
        return false;
    }

    public function heft(Part $part): int
    {
        $set = fn (string $key): int => (int) ($part->settings[$key] ?? 0);

        // What is bound is drawn turn by turn.
        return 10 + $set('end_coil') + $part->beadCount() * $set('between');
    }

    public function usualBeads(): int
    {
        return 1;
    }

    public function usualBead(): Bead
    {
        return Bead::of(BeadShape::Round, 6.0, 6.0, 1.0);
    }

    public function drillings(): array
    {
        return $this->takesBeads() ? [Drilling::Lengthwise] : [];
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        return [];
    }

    public function isBought(Part $part): bool
    {
        return false;
    }

    public function readyMade(PartPlan $part): array
    {
        return [];
    }

    public function facesAcross(PartPlan $part): ?bool
    {
        return null;
    }

    public function sizing(Piece $piece, Part $part): ?Sizing
    {
        return null;
    }

    public function isStrung(): bool
    {
        return false;
    }

    public function hammered(PartPlan $part): ?Hammered
    {
        return null;
    }

    public function clasp(PartPlan $part): ?Clasp
    {
        return null;
    }

    public function inShort(PartPlan $part): string
    {
        return '';
    }

    public function checks(PartPlan $part): array
    {
        return [];
    }

    /**
     * Where beads lie round or aside of each other they may stand in the same place: it is said before wire is cut.
     *
     * @return list<Check>
     */
    private function crowded(PartPlan $part): array
    {
        $crowded = $part->beadCount() < 2 ? [] : Crowding::of($part->courses());
        usort($crowded, fn (array $one, array $other): int => $other[2] <=> $one[2]);
        if ($crowded === []) {
            return [];
        }
        [$one, $other, $into] = $crowded[0];
        $more = count($crowded) > 1 ? ', and so would '.(count($crowded) - 1).' more' : '';

        return [new Check(
            Level::Warn, 'crowded',
            "{$one->bead->words()} and {$other->bead->words()} would stand ".$part->profile->size($into)
                ." in each other{$more}: give them more room.",
            $part->part->id,
        )];
    }

    private static function awg(int $size, Temper $temper, Metal $metal = Metal::Sterling): Wire
    {
        return new Wire($metal, WireSize::awg($size), $temper);
    }
}
