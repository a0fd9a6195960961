<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Bead\HoleFit;
use Hebra\Core\Bend\EyeStrength;
use Hebra\Core\Chain\Links;
use Hebra\Core\Course\Strung;
use Hebra\Core\Piece\Change\AddPart;
use Hebra\Core\Piece\Change\EditBead;
use Hebra\Core\Piece\Change\RemovePart;
use Hebra\Core\Piece\Change\SetFit;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Change\SetWire;
use Hebra\Core\Piece\Change\SwapBead;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Hardness;
use Hebra\Core\Wire\Temper;

/** What is judged on a piece before anything is cut. */
final class Checks
{
    /** An earring is comfortable to about 7 g, with caution from 10 [common practice]. */
    public const COMFORTABLE_GRAMS = 7.0;

    public const HEAVY_GRAMS = 10.0;

    /** Room a hooked wire wants in an eye so that it swings, mm [memory]. */
    private const SWING_MM = 0.15;

    private const GRAVITY = 9.80665;

    /**
     * Below this share of what a technique wants a wire does not hold, and above this multiple it is too much for hands
     * [memory].
     */
    private const TOO_SOFT = 0.4;

    private const TOO_STIFF = 3.5;

    /**
     * What only covers its wire wears off where it is worked [common practice].
     *
     * @param  list<PartPlan>  $parts
     * @return list<Check>
     */
    private static function coatings(array $parts): array
    {
        $checks = [];
        foreach ($parts as $part) {
            $metal = $part->wire->metal;
            if ($metal->coating() === '' || $part->technique->isBought($part->part)) {
                continue;
            }
            $isBared = $part->technique->hammered($part) !== null;
            $checks[$metal->value] = new Check(
                $isBared ? Level::Warn : Level::Note, 'coating',
                ucfirst($metal->words())." has only a skin of {$metal->coating()}: nylon jaws or tape where tools "
                    .'bite, and ends turned in. '
                    .'Hammer, file and flame bare the copper'.($isBared ? ', and this part is hammered.' : '.'),
                $part->part->id,
            );
        }

        return array_values($checks);
    }

    /** By how much one irregular bead differs from the next, of its length [common practice, from memory]. */
    private const UNLIKE = 0.3;

    /** @return list<Check> how far a stack of beads that are not alike may be off */
    private static function irregular(PartPlan $part, Strung $strung, Profile $profile): array
    {
        if (! $strung->bead->shape->isIrregular() || $strung->count < 3) {
            return [];
        }
        $spread = self::UNLIKE * $strung->bead->lengthMm * sqrt($strung->count);

        return [new Check(
            Level::Note, 'irregular',
            "{$strung->count} × {$strung->bead->words()} take ".$profile->length($strung->lengthMm()).', give or take '
                .$profile->length($spread).': sort out the largest, and measure your own stack before you cut.',
            $part->part->id,
        )];
    }

    /**
     * @param  list<PartPlan>  $parts
     * @param  list<list<Cut>>  $cuts  of these parts
     * @return list<Check>
     */
    public static function of(
        Piece $piece, array $parts, array $cuts, Profile $profile, float $gramsEach, Layout $layout,
    ): array {
        $checks = [
            ...self::whole($piece, $parts, $gramsEach),
            ...self::bends($piece, $parts, $cuts, $profile),
            ...self::stiffness($parts, $cuts, $profile),
            ...self::coatings($parts),
            ...LineChecks::of($piece, $profile, $layout),
            ...FitChecks::of($piece, $parts, $profile),
        ];
        $hangsMm = $layout->lengthMm;
        $reach = Reach::of($piece, $layout);
        if ($reach !== null) {
            $checks[] = $reach->check($profile);
        }
        if ($piece->fit->kind === FitKind::Ear && $hangsMm > $piece->fit->mm + 0.25) {
            $lower = 'It hangs '.$profile->length($hangsMm).', '.$profile->length($hangsMm - $piece->fit->mm)
                .' lower than the '.$profile->length($piece->fit->mm).' you want.';
            $checks[] = new Check(Level::Note, 'fit', $lower, null, $hangsMm > FitKind::Ear->mostMm() - 1 ? [] : [
                new Way('Let it hang that low', new SetFit(Fit::of(FitKind::Ear, ceil($hangsMm)))),
            ]);
        }
        $seen = [];
        foreach ($parts as $part) {
            array_push($checks, ...$part->technique->checks($part), ...CoilBeads::checks($part));
            foreach ($part->strung as $run => $strung) {
                $once = implode(' ', $part->through($run)).' '.$strung->key;
                if (! isset($seen[$once])) {
                    $seen[$once] = true;
                    $fit = $part->holeFit($run);
                    if ($fit !== null) {
                        $checks[] = self::hole($piece, $part, $run, $fit, $profile);
                    }
                    array_push($checks, ...self::irregular($part, $strung, $profile));
                }
                if (! in_array($strung->bead->drilling, $part->technique->drillings(), true)) {
                    $checks[] = new Check(
                        Level::Stop,
                        'drilling',
                        ucfirst($strung->bead->words()).' is '.$strung->bead->drilling->words().': a '.$part->label()
                            .' takes beads '.implode(
                                ' or ',
                                array_map(
                                    fn (Drilling $drilling): string => $drilling->words(),
                                    $part->technique->drillings(),
                                ),
                            ).'.',
                        $part->part->id,
                        self::redrilled($piece, $part, $run),
                    );
                }
            }
        }

        return $checks;
    }

    /**
     * @param  list<PartPlan>  $parts
     * @return list<Check>
     */
    private static function whole(Piece $piece, array $parts, float $gramsEach): array
    {
        if ($parts === []) {
            return [
                new Check(
                    Level::Note,
                    'empty piece',
                    'Nothing is laid out yet: start with an ear wire.',
                    null,
                    [new Way('Add an ear wire', new AddPart('ear-wire'))],
                ),
            ];
        }
        $checks = [];
        if ($piece->fit->kind !== FitKind::Ear) {
            return [new Check(Level::Ok, 'weight', 'It weighs '.Figures::grams($gramsEach).'.')];
        }
        if ($parts[0]->technique->family() !== Family::Finding) {
            $checks[] = new Check(
                Level::Note,
                'no ear wire',
                'This drop has no ear wire on top.',
                $parts[0]->part->id,
                [new Way('Add an ear wire', new AddPart('ear-wire', 0))],
            );
        }
        $grams = Figures::grams($gramsEach);
        $checks[] = match (true) {
            $gramsEach >= self::HEAVY_GRAMS => new Check(
                Level::Warn,
                'weight',
                "Each weighs {$grams}: from about 10 g an earring pulls. Fewer or lighter beads, or a thinner wire.",
            ),
            $gramsEach > self::COMFORTABLE_GRAMS => new Check(
                Level::Note,
                'weight',
                "Each weighs {$grams}: comfortable is up to about 7 g.",
            ),
            default => new Check(Level::Ok, 'weight', "Each weighs {$grams}, light enough to wear all day."),
        };

        return $checks;
    }

    /**
     * Whether the wire can be bent so tight, and whether what hangs from an openable eye, with a tug, would open it.
     * Each wire and eye is spoken of once.
     *
     * @param  list<PartPlan>  $parts
     * @param  list<list<Cut>>  $cuts
     * @return list<Check>
     */
    private static function bends(Piece $piece, array $parts, array $cuts, Profile $profile): array
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
                        .$profile->size($tightest)." bend of the {$part->label()}: bend it softer, or wider.",
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
                        $profile->strengths->of($part->wire->metal)->yieldMpa(
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
                        self::strongest($piece, $role, $profile),
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
    private static function strongest(Piece $piece, string $role, Profile $profile): ?Way
    {
        $best = WireTable::of($piece, $role, $profile)[0] ?? null;

        return $best === null || ! $best->fits
            ? null
            : new Way(
                'Use '.$best->wire->size->text().', '.$best->wire->temper->words(),
                new SetWire($role, size: $best->wire->size, temper: $best->wire->temper),
            );
    }

    /** @return list<Way> the bead held by the hole it has, or the same bead drilled as the part takes it */
    private static function redrilled(Piece $piece, PartPlan $part, int $run): array
    {
        $bead = $part->strung[$run]->bead;
        $other = match (true) {
            in_array(Drilling::Lengthwise, $part->technique->drillings(), true) => ['lengthwise', 'one hole'],
            in_array(Drilling::Top, $part->technique->drillings(), true) => ['across the top', 'top-drilled'],
            default => null,
        };

        $ways = $bead->drilling === Drilling::Top && $part->beadCount() === 1 ? [self::heldAcross($piece, $part)] : [];
        if ($other !== null) {
            [$how, $said] = $other;
            $line = "{$bead->widthMm} x {$bead->lengthMm}mm {$bead->shape->value}, hole {$bead->holeMm}, {$said}, "
                ."{$bead->material->value}, {$bead->colour}";
            $ways[] = new Way("One drilled {$how}", new SwapBead($part->part->id, $run, Bead::parse($line)));
        }

        return $ways;
    }

    /** A bead with its hole across its top, hung by that in place of the part it is on. */
    private static function heldAcross(Piece $piece, PartPlan $part): Way
    {
        return Way::all('Hang it by its hole', [
            new AddPart('briolette-wrap', $piece->indexOf($part->part->id) + 1),
            new SwapBead($piece->nextPartId(), 0, $part->strung[0]->bead),
            new RemovePart($part->part->id),
        ]);
    }

    /** @param  list<string>  $roles */
    private static function thickest(PartPlan $part, array $roles): string
    {
        usort(
            $roles,
            fn (string $one, string $other): int => $part->wireOf($other)->diameterMm()
                <=> $part->wireOf($one)->diameterMm(),
        );

        return $roles[0] ?? $part->part->wire;
    }

    private static function hole(Piece $piece, PartPlan $part, int $run, HoleFit $fit, Profile $profile): Check
    {
        $strung = $part->strung[$run];
        $passes = array_count_values($part->through($run));
        $thickest = self::thickest($part, array_keys($passes));
        $bead = $strung->bead;
        $size = implode(' and ', array_map(
            fn (string $role, int $times): string => $part->wireOf($role)->size->text()
                .($times > 1 ? ", {$times} times," : ''),
            array_keys($passes), $passes,
        ));
        if ($fit->fits()) {
            return new Check(
                Level::Ok,
                'hole',
                "{$size} passes the {$bead->words()}, ".Figures::mm($fit->marginMm()).' to spare.',
                $part->part->id,
            );
        }
        $ways = [];
        $thinner = count($passes) > 1 ? null : WireTable::thickestPassing($piece, $thickest, $profile);
        if ($thinner !== null) {
            $ways[] = new Way('Use '.$thinner->text(), new SetWire($thickest, size: $thinner));
        }
        $roomy = round(ceil(($fit->neededMm() + $profile->clearanceMm) * 20) / 20, 2);
        if ($roomy < $bead->widthMm * 0.95) {
            $ways[] = new Way(
                'I tried it: the hole is '.Figures::mm($roomy),
                new EditBead($strung->key, $roomy, null),
            );
        }

        $stop = new Check(
            Level::Stop,
            'hole',
            "{$size} does not pass the {$bead->words()}: its hole is ".Figures::mm($bead->holeMm).', '
                .Figures::mm(-$fit->marginMm()).' too small with room to move.',
            $part->part->id,
            $ways,
        );

        return $stop->at($part->mark('bead-'.$run));
    }

    /**
     * Whether the wire of each role holds its shape once it is made, and whether hands can work it.
     *
     * @param  list<PartPlan>  $parts
     * @param  list<list<Cut>>  $cuts
     * @return list<Check>
     */
    private static function stiffness(array $parts, array $cuts, Profile $profile): array
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
                $profile->schools->makingNumbers($wants->isHammered),
                $profile,
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

    /** @return list<Way> the setting that an eye's inside comes from, larger */
    private static function larger(Piece $piece, Eye $eye, float $insideMm): array
    {
        $part = $piece->part($eye->part());
        foreach ([$eye->name().'_inside', 'inside', 'eye', 'wide', 'bend', 'bail'] as $key) {
            if (isset($part->settings[$key]) && abs($part->mm($key) - $eye->insideMm) < 1e-9) {
                return [
                    new Way(
                        'Make it '.Figures::mm($insideMm).' inside',
                        new SetSetting($part->id, $key, $insideMm.' mm'),
                    ),
                ];
            }
        }

        return [];
    }

    /** @return list<Check> whether each of two hooked eyes lets the other's wire in */
    public static function joint(Piece $piece, Joint $joint, Profile $profile): array
    {
        $checks = [];
        foreach ([[$joint->a, $joint->b], [$joint->b, $joint->a]] as [$eye, $other]) {
            $short = $other->wireMm + self::SWING_MM - $eye->insideMm;
            if ($short > 0) {
                $checks[] = new Check(
                    Level::Stop,
                    'eye',
                    ucfirst("the {$eye->words} is ").$profile->size($eye->insideMm)." inside: the {$other->words} of "
                        .Figures::mm($other->wireMm).' wire needs '.Figures::mm($short).' more.',
                    $eye->part(),
                    self::larger($piece, $eye, ceil(10 * ($other->wireMm + self::SWING_MM)) / 10),
                    $eye->mark,
                );
            } elseif ($eye->deepMm > 0) {
                array_push($checks, ...self::throughHole($piece, $eye, $other, $profile));
            }
        }

        return $checks;
    }

    /**
     * Something bent through a hole of some length: it must pass, and reach round what lies between the hole and the
     * rim
     * to turn freely. Source: geometry.
     *
     * @return list<Check>
     */
    private static function throughHole(Piece $piece, Eye $hole, Eye $ring, Profile $profile): array
    {
        $least = Links::leastMm($hole->insideMm, $ring->wireMm, $hole->deepMm, $hole->wireMm);
        if ($least === null) {
            return [new Check(
                Level::Stop, 'hole',
                ucfirst("the {$hole->words} is ").$profile->size($hole->insideMm).' wide and '
                    .$profile->size($hole->deepMm)
                    .' long: no ring of '.Figures::mm($ring->wireMm).' wire passes it and turns; thinner wire does.',
                $ring->part(),
            )];
        }

        return $ring->insideMm >= $least - 1e-9 ? [] : [new Check(
            Level::Stop, 'hole',
            ucfirst("the {$ring->words}, ").$profile->size($ring->insideMm)
                ." inside, cannot turn in the {$hole->words}, "
                .$profile->size($hole->deepMm).' long and '.$profile->size($hole->wireMm).' from the rim: it takes '
                .$profile->size($least).' inside or more.',
            $ring->part(),
            self::larger($piece, $ring, ceil(10 * $least) / 10), $hole->mark,
        )];
    }

    /**
     * @param  list<Check>  $checks
     * @return list<Check>
     */
    public static function worstFirst(array $checks): array
    {
        usort($checks, fn (Check $a, Check $b): int => $b->level->weight() <=> $a->level->weight());

        return $checks;
    }
}
