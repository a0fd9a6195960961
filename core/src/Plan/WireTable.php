<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\HoleFit;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\WireSize;

/** For one wire role of a piece: every common size against every hole that wire goes through. */
final readonly class WireTable
{
    /** The size each role is usually made of, AWG [common practice]. */
    private const USUAL_AWG = ['ear' => [20, 21], 'link' => [22, 24], 'pin' => [22, 24]];

    /** @return list<WireRow> thick to thin */
    public static function of(Piece $piece, string $role, Profile $profile): array
    {
        $chosen = $piece->wires[$role]->size;
        $sizes = $profile->sizes->common();
        $isListed = array_filter($sizes, fn (WireSize $size): bool => $size->equals($chosen)) !== [];
        if (! $isListed) {
            $sizes[] = $chosen;
            usort($sizes, fn (WireSize $a, WireSize $b): int => $b->diameterMm() <=> $a->diameterMm());
        }

        return array_map(fn (WireSize $size): WireRow => self::row($piece, $role, $size, $chosen, $profile), $sizes);
    }

    private static function row(Piece $piece, string $role, WireSize $size, WireSize $chosen, Profile $profile): WireRow
    {
        [$tightest, $margin] = [null, null];
        foreach (self::keysOn($piece, $role) as $key) {
            $fit = new HoleFit($piece->beads[$key]->holeMm, [$size->diameterMm()], $profile->clearanceMm);
            if ($margin === null || $fit->marginMm() < $margin) {
                [$tightest, $margin] = [$piece->beads[$key], $fit->marginMm()];
            }
        }
        $awg = SizeSystem::nearestAwg($size->diameterMm());

        return new WireRow($size, $tightest, $margin, $size->equals($chosen), in_array($awg, self::USUAL_AWG[$role] ?? [], true));
    }

    /** @return list<string> */
    private static function keysOn(Piece $piece, string $role): array
    {
        $keys = [];
        foreach ($piece->parts as $part) {
            if ($part->wire === $role) {
                foreach ($part->beads as $run) {
                    $keys[$run->bead] = $run->bead;
                }
            }
        }

        return array_values($keys);
    }

    /** The thickest common size that passes every hole of the role, or null. */
    public static function thickestPassing(Piece $piece, string $role, Profile $profile): ?WireSize
    {
        foreach (self::of($piece, $role, $profile) as $row) {
            if ($row->passes() && $row->marginMm !== null) {
                return $row->size;
            }
        }

        return null;
    }
}
