<?php

declare(strict_types=1);

namespace Hebra\Core\Bend;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Wire\Section;
use Hebra\Core\Wire\SectionKind;

/**
 * A bend held at neutral radius Ri springs back to Rf: 1/Rf = 1/Ri − M/(E·I), the wire elastic–perfectly plastic, no
 * hardening. Round wire: M = 4[(E/Ri)(r⁴/8·asin(c/r) − c√(r²−c²)(r²−2c²)/8) + Y(r²−c²)^(3/2)/3] with c = Y·Ri/E < r.
 * Flat strip: Ri/Rf = 4(RiY/Et)³ − 3(RiY/Et) + 1 [published: Gardiner 1957; Kalpakjian & Schmid]. Half-round: its
 * moment about the axis on which tension and compression balance, in closed form by strips. Where c reaches the skin
 * nothing yields and the wire springs fully back.
 *
 * Units: millimetres, megapascals. Cost: closed forms; bisection for the mandrel, 60 rounds.
 */
final readonly class SpringBack
{
    public const SOURCE = 'elastic–perfectly plastic bending: Gardiner 1957; Kalpakjian & Schmid (flat strip); '
        .'Timoshenko (round section, shape factor 16/3π)';

    public function __construct(
        private Section $section,
        private float $modulusMpa,
        private float $yieldMpa,
    ) {
    }

    /** Rf / Ri ≥ 1 turned round: 1 keeps its shape, 0 springs fully back. Ri / Rf. */
    public function ratio(float $heldMm): float
    {
        return max(
            0.0,
            1 - $this->moment(1 / $heldMm) * $heldMm / ($this->modulusMpa * $this->section->secondMomentMm4()),
        );
    }

    /** The neutral radius after release; INF where it springs fully back. */
    public function releasedMm(float $heldMm): float
    {
        $ratio = $this->ratio($heldMm);

        return $ratio < 1e-12 ? INF : $heldMm / $ratio;
    }

    /**
     * The mandrel on which a bend ends at the wanted inside diameter.
     *
     * @throws OutOfRange if no mandrel is thin enough
     */
    public function mandrelMm(float $insideMm, string $field = 'inside'): float
    {
        $neutral = $this->section->neutralMm();
        $wanted = 1 / ($insideMm / 2 + $neutral);
        $mandrel = 2 * (1 / $this->heldCurvature($wanted) - $neutral);
        if ($mandrel <= 0) {
            throw OutOfRange::springs($field, $insideMm);
        }

        return $mandrel;
    }

    /** Solves κ − M(κ)/(EI) = wanted: repeated substitution where the wire yields well, else bisection. */
    private function heldCurvature(float $wanted): float
    {
        $stiffness = $this->modulusMpa * $this->section->secondMomentMm4();
        $curvature = $wanted + $this->moment($wanted) / $stiffness;
        for ($round = 0; $round < 24; $round++) {
            $next = $wanted + $this->moment($curvature) / $stiffness;
            if (abs($next - $curvature) < 1e-13 * $next) {
                return $next;
            }
            $curvature = $next;
        }
        // The moment grows with the curvature up to the plastic one, so the answer lies between these two.
        [$low, $high] = [$wanted, $wanted + $this->plasticMoment() / $stiffness];
        for ($round = 0; $round < 60; $round++) {
            $middle = ($low + $high) / 2;
            $middle - $this->moment($middle) / $stiffness < $wanted ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    /** What comes of forming on a mandrel: the inside diameter after release, INF where it springs fully back. */
    public function insideMm(float $mandrelMm): float
    {
        $neutral = $this->section->neutralMm();

        return 2 * ($this->releasedMm($mandrelMm / 2 + $neutral) - $neutral);
    }

    private function moment(float $curvature): float
    {
        $core = $this->yieldMpa / ($this->modulusMpa * $curvature);
        [$w, $t] = [$this->section->widthMm(), $this->section->thicknessMm()];

        return match ($this->section->kind) {
            SectionKind::Round => $this->roundMoment($w / 2, $core, $curvature),
            // The strands slide on each other: each bends on its own.
            SectionKind::TwistedPair => 2 * $this->roundMoment($w / 4, $core, $curvature),
            SectionKind::Square, SectionKind::Flat => $core >= $t / 2
                ? $this->modulusMpa * $curvature * $this->section->secondMomentMm4()
                : $this->yieldMpa * $w * ($t ** 2 / 4 - $core ** 2 / 3),
            SectionKind::HalfRound => $this->halfRoundMoment($t, $core, $curvature),
        };
    }

    private function roundMoment(float $r, float $core, float $curvature): float
    {
        if ($core >= $r) {
            return $this->modulusMpa * $curvature * M_PI * $r ** 4 / 4;
        }
        $inner = $r ** 4 / 8 * asin($core / $r) - $core * sqrt($r ** 2 - $core ** 2) * ($r ** 2 - 2 * $core ** 2) / 8;

        return 4 * ($this->modulusMpa * $curvature * $inner + $this->yieldMpa * ($r ** 2 - $core ** 2) ** 1.5 / 3);
    }

    /** y from the flat side up, width 2√(r² − y²); the axis is moved until the stresses balance. */
    private function halfRoundMoment(float $r, float $core, float $curvature): float
    {
        $centroid = 4 * $r / (3 * M_PI);
        if ($core >= $r - $centroid) {
            return $this->modulusMpa * $curvature * $this->section->secondMomentMm4();
        }
        [$low, $high] = [0.3 * $r, 0.5 * $r];
        for ($round = 0; $round < 50; $round++) {
            $axis = ($low + $high) / 2;
            $this->halfRoundPull($r, $axis, $core, $curvature)[0] > 0 ? $low = $axis : $high = $axis;
        }

        return $this->halfRoundPull($r, ($low + $high) / 2, $core, $curvature)[1];
    }

    /** @return array{float, float} force along the wire and moment about the axis */
    private function halfRoundPull(float $r, float $axis, float $core, float $curvature): array
    {
        $lower = max(0.0, $axis - $core);
        $upper = min($r, $axis + $core);
        [$areaBelow, $firstBelow] = self::strip($r, 0.0, $lower);
        [$areaAbove, $firstAbove] = self::strip($r, $upper, $r);
        [$areaCore, $firstCore, $secondCore] = self::strip($r, $lower, $upper);
        $stiff = $this->modulusMpa * $curvature;
        $force = $this->yieldMpa * ($areaAbove - $areaBelow) + $stiff * ($firstCore - $axis * $areaCore);
        $moment = $this->yieldMpa * ($firstAbove - $axis * $areaAbove - $firstBelow + $axis * $areaBelow)
            + $stiff * ($secondCore - 2 * $axis * $firstCore + $axis ** 2 * $areaCore);

        return [$force, $moment];
    }

    /** @return array{float, float, float} ∫2√(r²−y²), ∫2y√(r²−y²), ∫2y²√(r²−y²) from a to b */
    private static function strip(float $r, float $a, float $b): array
    {
        $at = function (float $y) use ($r): array {
            $y = min($y, $r);
            $root = sqrt(max(0.0, $r ** 2 - $y ** 2));
            $angle = asin($y / $r);

            return [
                $y * $root + $r ** 2 * $angle,
                -2 / 3 * $root ** 3,
                $y * $root * (2 * $y ** 2 - $r ** 2) / 4 + $r ** 4 * $angle / 4,
            ];
        };
        [$from, $to] = [$at($a), $at($b)];

        return [$to[0] - $from[0], $to[1] - $from[1], $to[2] - $from[2]];
    }

    private function plasticMoment(): float
    {
        [$w, $t] = [$this->section->widthMm(), $this->section->thicknessMm()];

        return $this->yieldMpa * match ($this->section->kind) {
            SectionKind::Round => 4 / 3 * ($w / 2) ** 3,
            SectionKind::TwistedPair => 8 / 3 * ($w / 4) ** 3,
            SectionKind::Square, SectionKind::Flat => $w * $t ** 2 / 4,
            // An upper bound will do: the plastic section moment of a half disc is 0.353 r³.
            SectionKind::HalfRound => 0.36 * $t ** 3,
        };
    }
}
