<?php

declare(strict_types=1);

namespace App\View;

use App\Actions\Drilling;
use App\Models\Drill;
use App\Models\Measurement;
use App\Models\Workshop;
use App\View\Hand\PracticePlot;
use Hebra\Core\Hand\Consistency;
use Hebra\Core\Hand\Symptom;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;

/** Drills of one kind: how each went, and how they come along over the weeks. */
final readonly class PracticeDesk
{
    private const KEPT_SECONDS = 86_400;

    /** Where the move is seen: in which pattern, of its steps of one kind the how manieth. */
    private const SHOWN = [
        'loops' => ['link-and-drop', Operation::Eye, 1], 'pairs' => ['link-and-drop', Operation::Eye, 2],
        'wraps' => ['link-and-drop', Operation::Wrap, 0], 'bend' => ['single-drop', Operation::Bend, 0],
        'coil' => ['coil-drop', Operation::Coil, 0], 'spiral' => ['spiral-drop', Operation::Spiral, 0],
        'weave' => ['woven-pendant', Operation::Weave, 0],
    ];

    /** @var 'loops'|'pairs'|'wraps'|'bend'|'coil'|'spiral'|'weave' */
    public string $kind;

    public Profile $profile;

    /** @var Collection<int, Drill> oldest first */
    public Collection $drills;

    /** @param  'loops'|'pairs'|'wraps'|'bend'|'coil'|'spiral'|'weave'  $kind */
    public function __construct(public Workshop $workshop, string $kind)
    {
        $this->kind = $kind;
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
        if (in_array($this->kind, ['pairs', 'spiral'], true)) {
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
            in_array($this->kind, ['pairs', 'spiral'], true) => "Pairs differ by {$off} on average.",
            $of === null => "Off by {$off}.",
            default => "Off by {$off} on average, spread ".Figures::mm(round($of->spreadMm, 2)).'.'.self::drift($of),
        };
    }

    private static function drift(Consistency $of): string
    {
        return match (true) {
            ! $of->isDrifting => '',
            $of->driftMm > 0 => ' They drift wider.',
            default => ' They drift tighter.',
        };
    }

    public function plot(): PracticePlot
    {
        return new PracticePlot($this->drills, $this->off(...));
    }

    /** What the last one says of the hands; nothing where no eye sees what was off. */
    public function cause(): string
    {
        $last = $this->drills->last();

        return $last === null ? '' : Symptom::of($this->kind, self::offs($last))?->cause() ?? '';
    }

    /** `Off by 0.05 mm, at first it was 0.12.` */
    public function claim(): string
    {
        [$first, $last] = [$this->drills->first(), $this->drills->last()];
        if ($first === null || $last === null) {
            return '';
        }
        $words = (in_array($this->kind, ['pairs', 'spiral'], true) ? 'Your pairs differ by ' : 'You are off by ')
            .Figures::mm(round($this->off($last), 2));

        return $words.($first->is($last) ? '' : ', at first it was '.Figures::trim(round($this->off($first), 2), 2))
            .'.';
    }

    /** The kind that is worth doing next: never done first, then what was off most. */
    public function next(): string
    {
        $best = [$this->kind, -1.0];
        foreach (array_keys(Drilling::KINDS) as $kind) {
            $of = $kind === $this->kind ? $this : new self($this->workshop, $kind);
            $last = $of->drills->last();
            $worth = $last === null ? INF : $of->off($last) / Consistency::TO_THE_EYE_MM;
            $best = $worth > $best[1] ? [$kind, $worth] : $best;
        }

        return $best[0];
    }

    /** The move, as it is before and after: a picture that goes along with the page. */
    public function picture(): string
    {
        return Cache::remember(
            'drill-picture-'.config()->string('hebra.version')."-{$this->kind}", self::KEPT_SECONDS,
            fn (): string => self::drawn($this->kind),
        );
    }

    private static function drawn(string $kind): string
    {
        [$pattern, $operation, $at] = self::SHOWN[$kind];
        $plan = Planner::plan(Patterns::start($pattern, 'Practice'), new Profile);
        $states = new FormingStates($plan);
        $steps = array_values(array_filter(
            range(0, $states->count() - 1), fn (int $step): bool => $states->step($step)->operation === $operation,
        ));

        return StepPicture::of($plan, $steps[$at], null, $states);
    }
}
