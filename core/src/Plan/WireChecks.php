<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bend\EyeStrength;
use Hebra\Core\Piece\Change\SetWire;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Hardness;
use Hebra\Core\Wire\Temper;

/** What is judged of each wire: whether it bears its bends, holds what hangs from it, and keeps its shape. */
final readonly class WireChecks
{
    private const GRAVITY = 9.80665;

    /**
     * Below this share of what a technique wants a wire does not hold, and above this multiple it is too much for hands
     * [memory].
     */
    private const TOO_SOFT = 0.4;

    private const TOO_STIFF = 3.5;

    public function __construct(private Piece $piece, private Profile $profile)
    {
    }

    /**
     * @param  list<PartPlan>  $parts
     * @param  list<list<Cut>>  $cuts  of these parts
     * @return list<Check>
     */
    public function of(array $parts, array $cuts): array
    {
        return [...$this->bends($parts, $cuts), ...$this->stiffness($parts, $cuts)];
    }

    /**
     * Whether the wire can be bent so tight, and whether what hangs from an openable eye, with a tug, would open it.
     * Each wire and eye is spoken of once.
     *
     * @param  list<PartPlan>  $parts
     * @param  list<list<Cut>>  $cuts
     * @return list<Check>
     */
    private function bends(array $parts, array $cuts): array
    {
        $checks = [];
        $below = 0.0;
        for ($at = count($parts) - 1; $at >= 0; $at--) {
            $part = $parts[$at];
            $role = $part->part->wire;
            $tightest = $part->tightestMm();
            $isRolledHard = $part->technique->wants()->isRolledHard;
            if (
                $tightest !== null
                && ! $isRolledHard
                && Hardness::of($part->wire->temper)->wouldCrack(
                    $part->wire->metal, $part->wireMm(), ($tightest + $part->wireMm()) / 2,
                )
            ) {
                $checks["crack {$role}"] = new Check(
                    Level::Warn, 'cracks',
                    ucfirst($part->wire->temper->words()).' '.$part->wire->metal->words().' would crack in the '
                        .$this->profile->size($tightest)." bend of the {$part->label()}: bend it softer, or wider.",
                    $part->part->id, [
                        new Way(
                            ucfirst(Temper::DeadSoft->words()),
                            new SetWire($role, temper: Temper::DeadSoft),
                        ),
                    ],
                );
            }
            foreach ($part->technique->eyes($part, $part->part->id->text) as $eye) {
                $load = $below * self::GRAVITY / 1000 + WireTable::TUG_N;
                $opens = $eye->kind === EyeKind::Openable && ! $eye->isLocked
                    ? EyeStrength::firstYieldN(
                        $part->wireMm(),
                        $eye->insideMm,
                        $this->profile->strengths->of($part->wire->metal)->yieldMpa(
                            $part->afterMaking($eye->insideMm)->numbers,
                        ),
                    )
                    : INF;
                if ($opens < $load) {
                    $text = "The {$eye->words} opens at ".Figures::trim($opens, 1).' N: '.Figures::grams($below)
                        .' hung and a tug of '.Figures::trim(WireTable::TUG_N).' N come to '
                        .Figures::trim($load, 1).' N.';
                    $harder = new Way(
                        ucfirst(Temper::HalfHard->words()), new SetWire($role, temper: Temper::HalfHard),
                    );
                    $ways = [
                        $part->wire->temper->isSofterThan(Temper::HalfHard) ? $harder : null,
                        $this->strongest($role),
                    ];
                    $checks["opens {$role}"] = new Check(
                        Level::Warn, 'loop strength', $text, $part->part->id, array_values(array_filter($ways)),
                        $eye->mark,
                    );
                }
            }
            $below += ($part->beadGrams() + $part->readyGrams() + array_sum(
                array_map(fn (Cut $cut): float => $cut->wire->gramsOf($cut->netMm()), $cuts[$at])
            )) * $part->times;
        }

        return array_values($checks);
    }

    /** The wire that ranks first among those that hold. */
    private function strongest(string $role): ?Way
    {
        $best = WireTable::of($this->piece, $role, $this->profile)[0] ?? null;

        return $best === null || ! $best->fits
            ? null
            : new Way(
                'Use '.$best->wire->size->text().', '.$best->wire->temper->words(),
                new SetWire($role, size: $best->wire->size, temper: $best->wire->temper),
            );
    }

    /**
     * Whether the wire of each role holds its shape once it is made, and whether hands can work it.
     *
     * @param  list<PartPlan>  $parts
     * @param  list<list<Cut>>  $cuts
     * @return list<Check>
     */
    private function stiffness(array $parts, array $cuts): array
    {
        $insides = $first = $checks = [];
        foreach ($parts as $at => $part) {
            $role = $part->part->wire;
            if ($cuts[$at] !== []) {
                $first[$role] ??= $part;
            }
            foreach ($part->technique->eyes($part, '') as $eye) {
                $insides[$role] = min($insides[$role] ?? INF, $eye->insideMm);
            }
        }
        foreach ($first as $role => $part) {
            $wants = $part->technique->wants();
            $usual = $part->technique->usualWireOf($part->part);
            [$holds, $effort] = WireTable::stiffness(
                $part->wire, $usual->size, $insides[$role] ?? null,
                $this->profile->schools->makingNumbers($wants->isHammered),
                $this->profile,
            );
            $name = ucfirst($part->wire->words());
            $way = $usual->size->equals($part->wire->size) && $usual->temper === $part->wire->temper
                ? []
                : [
                    new Way(
                        ucfirst($usual->size->text().' '.$usual->temper->words()),
                        new SetWire((string) $role, size: $usual->size, temper: $usual->temper),
                    ),
                ];
            $checks[] = match (true) {
                $holds < self::TOO_SOFT * $wants->holds => new Check(
                    Level::Warn,
                    'stiffness',
                    "{$name}, once made, holds its shape at ".Figures::trim($holds / $wants->holds, 2)
                        ." of what the {$part->label()} wants: it bends out of shape in wear.",
                    $part->part->id,
                    $way,
                ),
                $effort > self::TOO_STIFF * $wants->effort => new Check(
                    Level::Note,
                    'stiffness',
                    "{$name} takes ".Figures::trim($effort / $wants->effort, 1)
                        ." times the force that suits a {$part->label()}: hard on the hands, and on small loops.",
                    $part->part->id,
                    $way,
                ),
                default => null,
            };
        }

        return array_values(array_filter($checks));
    }
}
