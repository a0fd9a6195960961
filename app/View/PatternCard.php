<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Piece\Pattern;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\BeadCount;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Wire\Wire;

/** A starting pattern by its picture, and what it takes. */
final readonly class PatternCard
{
    public Drawing $drawing;

    /** About so long at the bench, for the whole making. */
    public float $minutes;

    /** @var list<Wire> what is cut for it */
    public array $wires;

    /** @var list<BeadCount> */
    public array $beads;

    public function __construct(public string $name, public Pattern $pattern, Profile $profile)
    {
        $plan = Planner::plan(Patterns::start($name, $name, $profile->schools), $profile);
        $this->drawing = new Drawing($plan->assembly(), 150, 190, 0, 8, 'pattern-'.$name);
        $this->minutes = Minutes::of($plan);
        $this->beads = $plan->beads;
        $wires = [];
        foreach ($plan->cuts as $cut) {
            $wires[$cut->wire->size->code()] = $cut->wire;
        }
        $this->wires = array_values($wires);
    }

    /** `about 40 min · 20, 24 AWG` */
    public function words(): string
    {
        $minutes = $this->minutes < 90
            ? max(5, 5 * (int) round($this->minutes / 5)).' min'
            : (round($this->minutes / 30) / 2).' h';

        return "about {$minutes} · ".$this->gauges();
    }

    /** `20, 22 AWG` */
    private function gauges(): string
    {
        $by = [];
        foreach ($this->wires as $wire) {
            $words = explode(' ', $wire->size->text(), 2);
            $by[$words[1] ?? ''][] = $words[0];
        }

        return implode(
            ', ',
            array_map(
                fn (array $sizes, string $system): string => trim(implode(', ', $sizes).' '.$system),
                $by,
                array_keys($by),
            ),
        );
    }
}
