<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

/**
 * How hard a wire has become while it is worked, in B&S numbers since it was annealed. Plastic strain adds up; one
 * number is a true strain of 2·ln 92/39 = 0.23189 [published: ASTM B258, the area of one AWG number to the next].
 *
 * Hammering t0 → t1 adds (2/√3)·ln(t0/t1) [plane strain]; bending to neutral radius R adds the section's mean strain,
 * 4/3π · d/(2R); twisting by n turns on a length L two thirds of its surface strain, 2πn·r/(L√3). Straightening adds a
 * little each pass [memory]. Invariant: ≥ 0 and finite.
 */
final readonly class Hardness
{
    private function __construct(public float $numbers)
    {
    }

    public static function of(Temper $temper): self
    {
        return new self($temper->numbersHard());
    }

    /** A wire from its coil, bent round an inside diameter once, with what else was done to it in numbers. */
    public static function afterMaking(Wire $wire, ?float $insideMm, float $otherNumbers): self
    {
        $bent = $insideMm === null
            ? 0.0
            : self::bendingNumbers($wire->diameterMm(), ($insideMm + $wire->diameterMm()) / 2);

        return self::of($wire->temper)->plus($bent + $otherNumbers);
    }

    /** 2·ln 92/39 */
    public static function strainPerNumber(): float
    {
        return 2 * log(92) / 39;
    }

    public static function hammeringNumbers(float $fromMm, float $toMm): float
    {
        return 2 / sqrt(3) * log($fromMm / $toMm) / self::strainPerNumber();
    }

    /**
     * The thinnest that a wire may be hammered to before it must be annealed: t₀·exp(−0.2008·(what the metal takes −
     * what the wire has)).
     */
    public function thinnestMm(Metal $metal, float $fromMm): float
    {
        return $fromMm * exp(
            -sqrt(3) / 2 * self::strainPerNumber() * max(0.0, $metal->numbersBeforeAnnealing() - $this->numbers),
        );
    }

    /** The section's mean; the surface takes 3π/4 times as much. */
    public static function bendingNumbers(float $wireMm, float $neutralRadiusMm): float
    {
        return 4 / (3 * M_PI) * self::surfaceStrain($wireMm, $neutralRadiusMm) / self::strainPerNumber();
    }

    public static function surfaceStrain(float $wireMm, float $neutralRadiusMm): float
    {
        return $wireMm / (2 * $neutralRadiusMm);
    }

    public static function twistingNumbers(float $wireMm, float $turns, float $lengthMm): float
    {
        return 2 / 3 * (2 * M_PI * $turns * $wireMm / 2 / $lengthMm) / sqrt(3) / self::strainPerNumber();
    }

    public function plus(float $numbers): self
    {
        return new self(max(0.0, $this->numbers + $numbers));
    }

    /** 0 freshly annealed, 1 where the metal must be annealed before more. */
    public function shareUsed(Metal $metal): float
    {
        return $this->numbers / $metal->numbersBeforeAnnealing();
    }

    public function words(Metal $metal): string
    {
        $share = $this->shareUsed($metal);

        return match (true) {
            $share < 0.15 => 'soft',
            $share < 0.4 => 'firm',
            $share < 0.7 => 'hard',
            $share < 1.0 => 'very hard: bend it once, and gently',
            default => 'worked out: anneal it before going on, or it cracks',
        };
    }

    /** Whether the outermost fibre of one more bend would go past what the metal takes. */
    public function wouldCrack(Metal $metal, float $wireMm, float $neutralRadiusMm): bool
    {
        return $this->numbers + self::surfaceStrain(
            $wireMm,
            $neutralRadiusMm,
        ) / self::strainPerNumber() > $metal->numbersBeforeAnnealing();
    }
}
