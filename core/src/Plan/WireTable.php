<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\HoleFit;
use Hebra\Core\Bend\EyeStrength;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Hardness;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\SectionKind;
use Hebra\Core\Wire\Strength;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;

/**
 * For one wire role of a piece: every common size in every temper, ranked.
 *
 * Unfit is what does not pass a hole on every pass, cracks in the tightest bend, or has an eye that the hung weight and
 * a tug would open. The rest is ranked by a sum of penalties, each the logarithm of how far a ratio lies outside what
 * the role wants: holding its shape (πr³Y/4, temper after making), the hands' effort ((4/3)r³Y, temper before),
 * thickness and temper against what the role is usually made of, load to spare, cost; what is in stock goes first among
 * equals. Weights of the penalties: [memory]. Cost: O(sizes × tempers), the piece is read once.
 */
final readonly class WireTable
{
    /** A snag on hair or a jumper, newtons [memory]. */
    public const TUG_N = 3.0;

    private const GRAVITY = 9.80665;

    /** What each number hard costs a wire that is to be hammered: it starts soft [common practice]. */
    private const HAMMERED = 0.4;

    private float $referenceSpring;

    private float $referenceHold;

    private float $referenceEffort;

    private WireSize $usual;

    private function __construct(
        private Wire $chosen,
        private Profile $profile,
        private Supply $supply,
        private WireDuty $duty,
    ) {
        $this->usual = $duty->usual;
        $copper = Metal::Copper->strength();
        $yield = $copper->yieldMpa(Temper::HalfHard->numbersHard());
        $this->referenceSpring = self::spring($this->usual->stiffMm(), $copper);
        $this->referenceHold = self::holding($this->usual->stiffMm(), $yield);
        $this->referenceEffort = self::effort($this->usual->stiffMm(), $yield);
    }

    /** @return list<WireRow> best first, what does not fit last */
    public static function of(Piece $piece, string $role, Profile $profile, Supply $supply = new Supply): array
    {
        $table = new self($piece->wires[$role], $profile, $supply, WireDuty::of($piece, $role, $profile));
        $rows = [];
        foreach ($table->sizes() as $size) {
            $table->addSize($size, $rows);
        }
        usort($rows, fn (WireRow $a, WireRow $b): int => [$b->fits, $a->penalty] <=> [$a->fits, $b->penalty]);
        $rank = 0;

        return array_map(function (WireRow $row) use (&$rank): WireRow {
            return $row->ranked($row->fits ? ++$rank : 0);
        }, $rows);
    }

    /**
     * How well a wire holds its shape once it is made, and how much effort it takes, against its usual size in
     * half-hard copper.
     *
     * @return array{float, float}
     */
    public static function stiffness(
        Wire $wire, WireSize $usual, ?float $tightestInsideMm, float $workedNumbers, Profile $profile,
    ): array {
        $reference = Metal::Copper->strength()->yieldMpa(Temper::HalfHard->numbersHard());
        $strength = $profile->strengths->of($wire->metal);
        $after = Hardness::afterMaking($wire, $tightestInsideMm, $workedNumbers);

        return [
            self::holding(
                $wire->size->stiffMm(),
                $strength->yieldMpa($after->numbers),
            ) / self::holding($usual->stiffMm(), $reference),
            self::effort(
                $wire->size->stiffMm(),
                $strength->yieldMpa($wire->temper->numbersHard()),
            ) / self::effort($usual->stiffMm(), $reference),
        ];
    }

    /** The chosen wire of a role, weighed up as in its table. */
    public static function chosen(Piece $piece, string $role, Profile $profile, Supply $supply = new Supply): WireRow
    {
        $chosen = $piece->wires[$role];
        $table = new self($chosen, $profile, $supply, WireDuty::of($piece, $role, $profile));
        [$hole, $margin] = self::tightest($table->duty, $chosen->size->passesMm(), $profile);

        return $table->row($chosen, $hole, $margin);
    }

    /** The thickest common size that passes every hole of the role, or null. */
    public static function thickestPassing(Piece $piece, string $role, Profile $profile): ?WireSize
    {
        $duty = WireDuty::of($piece, $role, $profile);
        foreach ($profile->sizes->common() as $size) {
            [, $margin] = self::tightest($duty, $size->passesMm(), $profile);
            if ($margin !== null && $margin >= -1e-6) {
                return $size;
            }
        }

        return null;
    }

    /** @return list<WireSize> thick to thin, the chosen one among them */
    private function sizes(): array
    {
        $sizes = array_map(
            fn (WireSize $size): WireSize => $size->drawn($this->chosen->size->kind()),
            $this->chosen->size->kind() === SectionKind::Flat ? [] : $this->profile->sizes->common(),
        );
        if (array_filter($sizes, fn (WireSize $size): bool => $size->equals($this->chosen->size)) === []) {
            $sizes[] = $this->chosen->size;
            usort($sizes, fn (WireSize $a, WireSize $b): int => $b->diameterMm() <=> $a->diameterMm());
        }

        return $sizes;
    }

    /** @param  list<WireRow>  $rows */
    private function addSize(WireSize $size, array &$rows): void
    {
        [$hole, $margin] = self::tightest($this->duty, $size->passesMm(), $this->profile);
        foreach ($this->tempers() as $temper) {
            $rows[] = $this->row(new Wire($this->chosen->metal, $size, $temper), $hole, $margin);
        }
    }

    private function row(Wire $wire, ?Hole $hole, ?float $margin): WireRow
    {
        $d = $wire->size->stiffMm();
        $strength = $this->profile->strengths->of($wire->metal);
        $after = Hardness::afterMaking($wire, $this->duty->tightestInsideMm, $this->duty->workedNumbers);
        $holds = self::holding($d, $strength->yieldMpa($after->numbers)) / $this->referenceHold;
        $effort = self::effort($d, $strength->yieldMpa($wire->temper->numbersHard())) / $this->referenceEffort;
        $opens = $this->duty->openableInsideMm === null
            ? null
            : EyeStrength::firstYieldN($d, $this->duty->openableInsideMm, $strength->yieldMpa($after->numbers));
        $grams = $wire->gramsOf($this->duty->lengthMm);
        $centsPerMetre = $this->supply->centsPerMetre($wire);
        $held = $this->supply->heldMm($wire);
        $unfit = $this->unfit($wire, $hole, $margin, $opens);
        $penalty = $this->penalty(
            $d, $margin, $holds, $effort, $opens, $centsPerMetre, $held,
        ) + ($this->duty->hammeredShare < 1.0 ? self::HAMMERED * $wire->temper->numbersHard() : 0.02 * abs(
            $wire->temper->numbersHard() - $this->duty->usualTemper->numbersHard()
        ));

        return new WireRow(
            $wire, $unfit === null,
            $unfit[1] ?? $this->why($hole?->bead, $margin, $holds, $effort, $opens, $held),
            $penalty, self::spring($d, $strength) / $this->referenceSpring, $holds, $effort, $margin, $opens, $grams,
            $centsPerMetre === null ? null : $centsPerMetre * $this->duty->lengthMm / 1000, $held,
            $wire->size->equals($this->chosen->size) && $wire->temper === $this->chosen->temper,
            $wire->size->equals($this->usual),
            new WireSaid(
                $this->hold($holds), $this->bend($effort), $unfit[0] ?? null, $hole?->bead->words() ?? '',
                $opens === null ? null : $this->loadN(), $this->isEnough($held),
            ),
        );
    }

    /** @return list<Temper> those the metal comes in, and the one that is chosen however it came */
    private function tempers(): array
    {
        $tempers = $this->chosen->metal->tempers();

        return in_array($this->chosen->temper, $tempers, true) ? $tempers : [...$tempers, $this->chosen->temper];
    }

    /** @return array{Barred, string}|null in short, and in a sentence */
    private function unfit(Wire $wire, ?Hole $hole, ?float $margin, ?float $opens): ?array
    {
        if ($hole !== null && $margin !== null && $margin < -1e-6) {
            return [Barred::Thick, Figures::mm(-$margin)." too thick for the {$hole->bead->words()}, hole "
                .Figures::mm($hole->bead->holeMm).($hole->passes > 1 ? ", {$hole->passes} passes" : '').'.'];
        }
        $inside = $this->duty->tightestInsideMm;
        if (
            $inside !== null
            && Hardness::of($wire->temper)->wouldCrack(
                $wire->metal, $wire->diameterMm(), ($inside + $wire->diameterMm()) / 2,
            )
        ) {
            return [Barred::Cracks, ucfirst(
                "{$wire->temper->words()} {$wire->metal->words()} would crack in the bend of ".Figures::mm($inside)
                    .' inside.',
            )];
        }
        $thinnest = Hardness::of($wire->temper)->plus(
            $this->profile->schools->straighteningNumbers(),
        )->thinnestMm($wire->metal, 1.0);
        if ($this->duty->hammeredShare < $thinnest - 1e-9) {
            return [Barred::Hammer, ucfirst(
                "{$wire->temper->words()} {$wire->metal->words()} would crack under the hammer: it bears "
                    .Figures::trim(100 * $thinnest, 0).' % of its thickness, and '
                    .Figures::trim(100 * $this->duty->hammeredShare, 0).' % is asked.',
            )];
        }
        if ($opens !== null && $opens < $this->loadN()) {
            $hung = Figures::grams($this->duty->hungGrams);

            return [Barred::Weak, 'Its eye opens at '.Figures::trim($opens, 1)." N: the {$hung} hung and a tug of "
                .Figures::trim(self::TUG_N).' N come to '.Figures::trim($this->loadN(), 1).' N.'];
        }

        return null;
    }

    private function loadN(): float
    {
        return $this->duty->hungGrams * self::GRAVITY / 1000 + self::TUG_N;
    }

    private function penalty(
        float $d, ?float $margin, float $holds, float $effort, ?float $opens, ?float $centsPerMetre, float $held,
    ): float {
        $penalty = 1.2 * max(0.0, log($this->duty->holdsWanted / $holds)) + 1.1 * max(
            0.0,
            log($effort / $this->duty->effortBorne),
        )
            + 1.5 * max(0.0, abs(log($d / $this->usual->stiffMm())) - 0.03);
        $penalty += $margin !== null && $margin < 0.05 ? 0.3 * (1 - max(0.0, $margin) / 0.05) : 0.0;
        $penalty += $opens === null ? 0.0 : 0.5 * max(0.0, log(2 * $this->loadN() / $opens));
        $penalty += $centsPerMetre === null ? 0.0 : 0.02 * log(1 + $centsPerMetre / 100);

        return $penalty - ($this->isEnough($held) ? 0.12 : 0.0);
    }

    private function isEnough(float $heldMm): bool
    {
        return $heldMm >= $this->duty->lengthMm && $heldMm > 0;
    }

    private function why(?Bead $bead, ?float $margin, float $holds, float $effort, ?float $opens, float $held): string
    {
        $rest = array_filter([
            $bead === null || $margin === null
                ? null
                : number_format(max(0.0, $margin), 2).' mm to spare in the '.$bead->words(),
            $opens === null ? null : 'its eye opens at '.Figures::trim($opens, 1).' N',
            $this->isEnough($held) ? 'enough in stock' : null,
        ]);

        return "{$this->hold($holds)} (".self::times($holds).") and {$this->bend($effort)} (".self::times($effort).')'
            .($rest === [] ? '.' : '; '.implode(', ', $rest).'.');
    }

    private function hold(float $holds): string
    {
        $want = $this->duty->holdsWanted;

        return match (true) {
            $holds < 0.5 * $want => 'Too soft to hold its shape',
            $holds < $want => 'Holds its shape less than well',
            $holds > 3 * $want => 'Sturdier than it need be',
            default => 'Holds its shape',
        };
    }

    private function bend(float $effort): string
    {
        $bear = $this->duty->effortBorne;

        return match (true) {
            $effort > 3 * $bear => 'is hard on the hands',
            $effort > 1.6 * $bear => 'is stiff to bend',
            $effort > $bear => 'is a little stiff to bend',
            default => 'bends easily',
        };
    }

    private static function times(float $ratio): string
    {
        return Figures::trim($ratio, $ratio < 10 ? 1 : 0)."\u{00A0}×";
    }

    /** @return array{Hole|null, float|null} the bead that lets it through least, and the room to spare */
    private static function tightest(WireDuty $duty, float $wireMm, Profile $profile): array
    {
        [$tightest, $least] = [null, null];
        foreach ($duty->holes as $hole) {
            $margin = (new HoleFit(
                $hole->bead->holeMm, array_fill(0, $hole->passes, $wireMm), $profile->clearanceMm,
            ))->marginMm();
            if ($least === null || $margin < $least) {
                [$tightest, $least] = [$hole, $margin];
            }
        }

        return [$tightest, $least];
    }

    private static function spring(float $d, Strength $strength): float
    {
        return $strength->modulusMpa() * M_PI * $d ** 4 / 64;
    }

    private static function holding(float $d, float $yieldMpa): float
    {
        return M_PI * ($d / 2) ** 3 * $yieldMpa / 4;
    }

    private static function effort(float $d, float $yieldMpa): float
    {
        return 4 / 3 * ($d / 2) ** 3 * $yieldMpa;
    }
}
