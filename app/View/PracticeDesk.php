<?php

declare(strict_types=1);

namespace App\View;

use App\Actions\Drilling;
use App\Models\Drill;
use App\Models\Measurement;
use App\Models\Workshop;
use Hebra\Core\Hand\Consistency;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Illuminate\Support\Collection;

/** Drills of one kind: how each went, and how they come along over the weeks. */
final readonly class PracticeDesk
{
    public Profile $profile;

    /** @var Collection<int, Drill> oldest first */
    public Collection $drills;

    public function __construct(public Workshop $workshop, public string $kind)
    {
        $this->profile = $workshop->profile();
        /** @var Collection<int, Drill> $drills */
        $drills = $workshop->drills()->where('kind', $kind)->with('measurements')->latest('id')->limit(60)->get();
        $this->drills = $drills->reverse()->values();
    }

    /** @return array{words: string, most: int, how: string, measure: string} */
    public function words(): array
    {
        return Drilling::KINDS[$this->kind];
    }

    /** @return list<float> measured less wanted, mm */
    private static function offs(Drill $drill): array
    {
        return array_values(
            $drill->measurements->map(fn (Measurement $one): float => $one->measuredMm() - $one->wantedMm())->all(),
        );
    }

    /** How far off a drill was, mm: pairs from each other, the others from what was wanted, on average. */
    public function off(Drill $drill): float
    {
        $offs = self::offs($drill);
        if ($offs === []) {
            return 0.0;
        }
        if ($this->kind === 'pairs') {
            $pairs = array_chunk($offs, 2);

            return array_sum(
                array_map(fn (array $pair): float => abs($pair[0] - ($pair[1] ?? $pair[0])), $pairs),
            ) / count($pairs);
        }

        return array_sum(array_map(abs(...), $offs)) / count($offs);
    }

    public function sentence(Drill $drill): string
    {
        $of = Consistency::of(self::offs($drill));
        $off = Figures::mm(round($this->off($drill), 2));

        return match (true) {
            $this->kind === 'pairs' => "Pairs differ by {$off} on average.",
            $of === null => "Off by {$off}.",
            default => "Off by {$off} on average, spread ".Figures::mm(round($of->spreadMm, 2)).'.'
                .($of->isDrifting ? ' They drift '.($of->driftMm > 0 ? 'wider' : 'tighter').'.' : ''),
        };
    }

    /** @return array<string, mixed> */
    public function plot(): array
    {
        return ['kind' => 'line', 'unit' => 'mm', 'labels' => array_values(
            $this->drills->map(fn (Drill $drill): string => $drill->created_at->format('j M'))->all()
        ),
            'rows' => [
                [
                    'label' => $this->kind === 'pairs' ? 'pairs differ by' : 'off by, on average',
                    'values' => array_values(
                        $this->drills->map(fn (Drill $drill): float => round($this->off($drill), 3))->all()
                    ),
                ],
            ]];
    }
}
