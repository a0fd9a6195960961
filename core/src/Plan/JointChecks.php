<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Chain\Links;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;

/** What is judged of two eyes that hang in each other. */
final readonly class JointChecks
{
    /** Room a hooked wire wants in an eye so that it swings, mm [memory]. */
    private const SWING_MM = 0.15;

    public function __construct(private Piece $piece, private Profile $profile)
    {
    }

    /** @return list<Check> whether each of two hooked eyes lets the other's wire in */
    public function of(Joint $joint): array
    {
        $checks = [];
        foreach ([[$joint->a, $joint->b], [$joint->b, $joint->a]] as [$eye, $other]) {
            $short = $other->wireMm + self::SWING_MM - $eye->insideMm;
            if ($short > 0) {
                $checks[] = new Check(
                    Level::Stop,
                    'eye',
                    ucfirst("the {$eye->words} is ").$this->profile->size($eye->insideMm)
                        ." inside: the {$other->words} of ".Figures::mm($other->wireMm).' wire needs '
                        .Figures::mm($short).' more.',
                    $eye->part(),
                    $this->larger($eye, ceil(10 * ($other->wireMm + self::SWING_MM)) / 10),
                    $eye->mark,
                );
            } elseif ($eye->deepMm > 0) {
                array_push($checks, ...$this->throughHole($eye, $other));
            }
        }

        return $checks;
    }

    /**
     * Something bent through a hole of some length: it must pass, and reach round what lies between the hole and the
     * rim to turn freely. Source: geometry.
     *
     * @return list<Check>
     */
    private function throughHole(Eye $hole, Eye $ring): array
    {
        $least = Links::leastMm($hole->insideMm, $ring->wireMm, $hole->deepMm, $hole->wireMm);
        if ($least === null) {
            return [new Check(
                Level::Stop, 'hole',
                ucfirst("the {$hole->words} is ").$this->profile->size($hole->insideMm).' wide and '
                    .$this->profile->size($hole->deepMm)
                    .' long: no ring of '.Figures::mm($ring->wireMm).' wire passes it and turns; thinner wire does.',
                $ring->part(),
            )];
        }

        return $ring->insideMm >= $least - 1e-9 ? [] : [new Check(
            Level::Stop, 'hole',
            ucfirst("the {$ring->words}, ").$this->profile->size($ring->insideMm)
                ." inside, cannot turn in the {$hole->words}, "
                .$this->profile->size($hole->deepMm).' long and '.$this->profile->size($hole->wireMm)
                .' from the rim: it takes '.$this->profile->size($least).' inside or more.',
            $ring->part(),
            $this->larger($ring, ceil(10 * $least) / 10), $hole->mark,
        )];
    }

    /** @return list<Way> the setting that an eye's inside comes from, larger */
    private function larger(Eye $eye, float $insideMm): array
    {
        $part = $this->piece->part($eye->part());
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
}
