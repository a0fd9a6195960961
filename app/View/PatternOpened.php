<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Bead as OwnBead;
use App\Models\Lot;
use App\Models\Workshop;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\BeadCount;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Wire\Wire;
use Illuminate\Support\Collection;

/**
 * A pattern taken down from its rail: what it takes, what of that there is, and what could stand in.
 *
 * @phpstan-type WireTaken array{wire: Wire, cuts: list<Cut>, neededMm: float, heldMm: float, isEnough: bool}
 * @phpstan-type BeadTaken array{bead: Bead, key: string, all: int, owned: int, standIns: list<OwnBead>}
 */
final readonly class PatternOpened
{
    private const HIGH = 210.0;

    private const WIDE = 150.0;

    /** Cuts of one wire that are drawn one by one. */
    private const MOST_STRIPS = 6;

    private const MOST_STAND_INS = 3;

    public Plan $plan;

    public Drawing $drawing;

    /** @var Collection<int, OwnBead> */
    private Collection $own;

    /** @var Collection<int, Lot> */
    private Collection $lots;

    public function __construct(public PatternCard $card, private Workshop $workshop)
    {
        $profile = $workshop->profile();
        $this->plan = Planner::plan(Patterns::start($card->name, $card->title(), $profile->schools), $profile);
        $this->drawing = new Drawing(
            $this->plan->assembly(), self::WIDE, self::HIGH, 0, 6, 'opened',
        );
        $this->own = $workshop->beads()->get();
        $this->lots = $workshop->lots()->withHeld()->get();
    }

    public function times(): int
    {
        return $this->plan->piece->makes->count === 2 && ! $this->plan->isLaidRound() ? 2 : 1;
    }

    /** @return list<array{string, string}> a figure and what it is of */
    public function figures(Pace $pace): array
    {
        $profile = $this->workshop->profile();
        [$minutes, $unit] = explode(' ', Bench\Clock::words($pace->foretell($this->plan)['about']), 2);
        $figures = [[$minutes, $unit.($this->plan->piece->makes->count === 2 ? ' a pair' : '')]];
        $mm = $this->plan->hangsMm();
        if ($mm > 0 && ! $this->plan->isLaidRound()) {
            $figures[] = [$profile->ruler->figure($mm), $profile->unit()->value.' long'];
        }
        $grams = [];
        foreach ($this->plan->metal as $metal) {
            $words = $metal->wire->metal->words();
            $grams[$words] = ($grams[$words] ?? 0.0) + $metal->netGrams();
        }
        foreach ($grams as $words => $net) {
            $figures[] = [number_format($net, 1), 'g '.$words];
        }

        return $figures;
    }

    /** @return list<WireTaken> */
    public function wires(): array
    {
        $taken = [];
        foreach ($this->plan->cuts as $cut) {
            $taken[$cut->wire->words()][] = $cut;
        }

        return array_map($this->wire(...), array_values($taken));
    }

    /**
     * @param  non-empty-list<Cut>  $cuts  of one wire
     * @return WireTaken
     */
    private function wire(array $cuts): array
    {
        $wire = $cuts[0]->wire;
        $ruler = $this->workshop->profile()->ruler;
        $needed = array_sum(array_map(fn (Cut $cut): float => $cut->count * $cut->printedMm($ruler), $cuts));
        $held = $this->lots->filter(fn (Lot $lot): bool => ! $lot->isPins() && $lot->isOf($wire))
            ->sum(fn (Lot $lot): float => $lot->heldMm());

        return [
            'wire' => $wire, 'cuts' => array_slice($cuts, 0, self::MOST_STRIPS), 'neededMm' => $needed,
            'heldMm' => (float) $held, 'isEnough' => $held >= $needed,
        ];
    }

    /** @return list<BeadTaken> */
    public function beads(): array
    {
        return array_map(function (BeadCount $count): array {
            $is = fn (OwnBead $own): bool => $own->core()->key() === $count->bead->key();
            $owned = (int) $this->own->filter($is)->sum('owned');
            $others = $this->own->reject($is)->filter(
                fn (OwnBead $own): bool => $own->owned >= $count->all && $own->core()->standsInFor($count->bead),
            );

            return [
                'bead' => $count->bead, 'key' => $count->key, 'all' => $count->all, 'owned' => $owned,
                'standIns' => $owned >= $count->all
                    ? []
                    : array_values($others->take(self::MOST_STAND_INS)->all()),
            ];
        }, $this->plan->beads);
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return array_values(array_filter($this->plan->findings, fn (Finding $one): bool => $one->taken() > 0));
    }
}
