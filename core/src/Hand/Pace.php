<?php

declare(strict_types=1);

namespace Hebra\Core\Hand;

use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Step;

/**
 * How long this maker takes: of each kind of step the minutes taken over those estimated, learned like wire is, with a
 * wider prior (a maker's mean varies 60 %, the usual spread is 30 %) [memory].
 */
final readonly class Pace
{
    private const SPREAD = 0.3;

    private const WORTH = 0.25;

    /** Four in five makings lie between [published: the normal's 10 and 90 % points]. */
    public const WITHIN = 1.2816;

    public const KINDS = [
        'ready' => 'laying ready',
        'cut' => 'cutting',
        'form' => 'forming',
        'thread' => 'threading',
        'hook' => 'hooking on',
        'close' => 'closing',
        'work' => 'other work',
        'inspect' => 'looking over',
    ];

    /** @param  array<string, Learned>  $kinds */
    private function __construct(public array $kinds)
    {
    }

    /** @param  array<string, list<Log>>  $logs  by kind of step */
    public static function from(array $logs): self
    {
        return new self(array_map(fn (array $of): Learned => Learned::from($of, self::SPREAD, self::WORTH), $logs));
    }

    public function isLearned(): bool
    {
        return array_filter($this->kinds, fn (Learned $learned): bool => $learned->isLearned()) !== [];
    }

    public function minutes(Step $step): float
    {
        return Minutes::step($step) * (($this->kinds[Minutes::kind($step)] ?? null)?->factor() ?? 1.0);
    }

    /**
     * About how long what takes others so long, by kinds of steps, takes this maker, in minutes.
     *
     * @param  array<string, float>  $byKind
     */
    public function about(array $byKind): float
    {
        $about = 0.0;
        foreach ($byKind as $kind => $minutes) {
            $about += $minutes * (($this->kinds[$kind] ?? null)?->factor() ?? 1.0);
        }

        return $about;
    }

    /**
     * A whole making in minutes: about, and between which two in four of five cases. What is uncertain of a kind is so
     * for all its steps at once; what varies from step to step evens out.
     *
     * @return array{about: float, from: float, to: float}
     */
    public function foretell(Plan $plan): array
    {
        $squares = [];
        foreach ([[$plan->prepare(), 1], [$plan->steps(), $plan->piece->makes->count]] as [$steps, $times]) {
            foreach ($steps as $step) {
                $kind = Minutes::kind($step);
                $squares[$kind] = ($squares[$kind] ?? 0.0) + $times * Minutes::step($step) ** 2;
            }
        }
        $about = $variance = 0.0;
        foreach (Minutes::byKind($plan) as $kind => $minutes) {
            $learned = $this->kinds[$kind] ?? Learned::from([], self::SPREAD, self::WORTH);
            $about += $minutes * $learned->factor();
            $variance += $squares[$kind] * $learned->spread ** 2 + ($minutes * $learned->doubt()) ** 2;
        }
        $by = self::WITHIN * sqrt($variance);

        return ['about' => $about, 'from' => max(0.0, $about - $by), 'to' => $about + $by];
    }
}
