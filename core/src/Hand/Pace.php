<?php

declare(strict_types=1);

namespace Hebra\Core\Hand;

use Hebra\Core\Handwork\Operation;
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

    private const HIGH = 0.9;

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
     * What takes how long of a whole making, the longest first.
     *
     * @return list<array{string, float}> in words, minutes
     */
    public function byOperation(Plan $plan): array
    {
        $done = [];
        foreach ([[$plan->prepare(), 1], [$plan->steps(), $plan->piece->makes->count]] as [$steps, $times]) {
            foreach ($steps as $step) {
                // To try something, or to turn it over, is to check it.
                $isCheck = in_array($step->operation, [Operation::Try, Operation::TurnOver], true);
                $operation = $isCheck ? Operation::Inspect : $step->operation;
                [, $many, $minutes] = $done[$operation->value] ?? [$operation, 0, 0.0];
                $done[$operation->value] = [
                    $operation, $many + $times * max(1, $step->times), $minutes + $times * $this->minutes($step),
                ];
            }
        }
        usort($done, fn (array $one, array $other): int => $other[2] <=> $one[2]);

        return array_map(fn (array $one): array => [$one[0]->doing($one[1]), $one[2]], $done);
    }

    /**
     * A whole making in minutes: about, and between which two in four of five cases. What is uncertain of a kind is so
     * for all its steps at once; what varies from step to step evens out.
     *
     * @return array{about: float, from: float, to: float}
     */
    public function foretell(Plan $plan): array
    {
        $copies = array_fill(0, $plan->piece->makes->count, $plan->steps());

        return $this->ofSteps([...$plan->prepare(), ...array_merge(...$copies)]);
    }

    /**
     * The same of some steps: of what is left of a making.
     *
     * @param  list<Step>  $steps
     * @return array{about: float, from: float, to: float}
     */
    public function ofSteps(array $steps): array
    {
        $minutes = $squares = [];
        foreach ($steps as $step) {
            $kind = Minutes::kind($step);
            $minutes[$kind] = ($minutes[$kind] ?? 0.0) + Minutes::step($step);
            $squares[$kind] = ($squares[$kind] ?? 0.0) + Minutes::step($step) ** 2;
        }
        $about = $variance = 0.0;
        foreach ($minutes as $kind => $all) {
            $learned = $this->kinds[$kind] ?? Learned::from([], self::SPREAD, self::WORTH);
            $about += $all * $learned->factor();
            // Of few logs the mean is less sure than a normal says: Student’s t, brought to the normal’s points.
            $doubt = $learned->doubt() * $learned->t->quantile(self::HIGH) / self::WITHIN;
            $variance += $squares[$kind] * $learned->spread ** 2 + ($all * $doubt) ** 2;
        }
        $by = self::WITHIN * sqrt($variance);

        return ['about' => $about, 'from' => max(0.0, $about - $by), 'to' => $about + $by];
    }
}
