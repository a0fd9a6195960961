<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Closure;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Handwork\Handwork;

/**
 * The steps of a part, read off its courses: what is said of each move, wire by wire, outwards from where its course is
 * anchored, first what goes to its first end. What is said alike of several moves or wires is one step.
 */
final class CourseSteps
{
    /** @var array<string, Handwork> what is done, by what is said of it */
    private array $done = [];

    /**
     * @var array<string, non-empty-array<int, non-empty-list<int>>> by the same, what it is done to: places of moves,
     *     by their wire
     */
    private array $places = [];

    /** @var array<string, array<string, float>> by the same, how far it comes where that is told, by the mark */
    private array $shares = [];

    /** @var array<int, array{Handwork, string}> by the object that says it: it is said once */
    private array $said = [];

    private function __construct(private readonly PartPlan $part)
    {
    }

    /** @return array<string, list<Step>> by the text of their moment */
    public static function of(PartPlan $part): array
    {
        $read = new self($part);
        foreach ($part->courses() as $wire => $course) {
            foreach ($course->outwards() as $place) {
                $read->read($course->moves[$place], $wire, $place);
            }
        }
        foreach ($part->technique->plate($part)->handwork ?? [] as $says) {
            $read->saying($says);
        }

        return $read->steps();
    }

    private function read(Move $move, int $wire, int $place): void
    {
        foreach ($move->handwork as $says) {
            [$work, $said] = $this->saying($says);
            $this->places[$said][$wire][] = $place;
            if ($work->share !== null) {
                $this->shares[$said][$move->segment->mark] = $work->share;
            }
        }
    }

    /**
     * @param  Closure(): Handwork  $says
     * @return array{Handwork, string}
     */
    private function saying(Closure $says): array
    {
        $object = spl_object_id($says);
        if (! isset($this->said[$object])) {
            $work = $says();
            $said = serialize($work->said());
            $this->said[$object] = [$work, $said];
            $this->done[$said] ??= $work;
        }

        return $this->said[$object];
    }

    /** @return array<string, list<Step>> */
    private function steps(): array
    {
        uasort($this->done, fn (Handwork $one, Handwork $other): int => $one->turn <=> $other->turn);
        $steps = [];
        foreach ($this->done as $said => $work) {
            $steps[$work->moment->text()][] = $this->step($work, $said);
        }

        return $steps;
    }

    private function step(Handwork $work, string $said): Step
    {
        $places = $this->places[$said] ?? [];
        $step = new Step(
            $work->moment, '', $work->title, $work->text, $this->marks($work, $places), $work->count, $work->counted,
            $work->asks, $work->tool, $work->cautions, $work->operation,
        );

        return $places === [] ? $step : $this->onWire($step, $work, $said);
    }

    private function onWire(Step $step, Handwork $work, string $said): Step
    {
        $places = $this->places[$said];
        $first = array_key_first($places);
        $course = $this->part->courses()[$first];
        if ($work->isOfWire) {
            $step = $step->ofCut($this->part->cutKey($course->slot));
        }
        $shares = $this->shares[$said] ?? $this->sharesOf($work, $places);
        $step = $shares === [] ? $step : $step->upTo($shares);

        return $work->puts ? $this->putting($step, $course, $places) : $step;
    }

    /**
     * @param  array<int, non-empty-list<int>>  $places
     * @return list<string>
     */
    private function marks(Handwork $work, array $places): array
    {
        $marks = $work->lights;
        $places = $marks === [] ? $places : [];
        foreach ($places as $wire => $at) {
            $moves = $this->part->courses()[$wire]->moves;
            array_push($marks, ...array_map(fn (int $place): string => $moves[$place]->segment->mark, $at));
        }

        return array_values(array_unique($marks));
    }

    /**
     * Beads go on over the end that their stretch lies towards; on wires that are said alike, on all of them at once.
     *
     * @param  non-empty-array<int, non-empty-list<int>>  $places
     */
    private function putting(Step $step, Course $course, array $places): Step
    {
        $at = $places[array_key_first($places)];
        $isBack = $course->isBack($at[0]);
        $beads = array_map(
            fn (Segment $segment): array => $isBack ? array_reverse($segment->beads) : $segment->beads,
            array_map(fn (int $place): Segment => $course->moves[$place]->segment, $at),
        );

        return $step->putting(
            array_merge(...$beads), $this->part->cutKey($course->slot), $isBack ? WireEnd::First : WireEnd::Last,
            count($places),
        );
    }

    /**
     * Where several stretches of a wire with one mark are made by different steps, how far each comes; the last makes
     * all.
     *
     * @param  non-empty-array<int, non-empty-list<int>>  $places
     * @return array<string, float> by their mark
     */
    private function sharesOf(Handwork $work, array $places): array
    {
        if (! $work->operation->makes()) {
            return [];
        }
        $shares = [];
        foreach ($places as $wire => $at) {
            $worked = array_filter(
                $this->part->courses()[$wire]->moves,
                fn (Move $move): bool => $move->handwork !== [] && $move->stays(),
            );
            foreach (array_intersect_key($worked, array_flip($at)) as $move) {
                $mark = $move->segment->mark;
                $shares += self::shareOf($mark, array_filter(
                    $worked, fn (Move $one): bool => $one->segment->mark === $mark,
                ), $at);
            }
        }

        return $shares;
    }

    /**
     * @param  array<int, Move>  $alike  the stretches with that mark, by their places
     * @param  non-empty-list<int>  $at
     * @return array<string, float>
     */
    private static function shareOf(string $mark, array $alike, array $at): array
    {
        $last = max($at);
        $lengths = array_map(fn (Move $move): float => $move->segment->lengthMm, $alike);
        $before = array_filter($lengths, fn (int $place): bool => $place <= $last, ARRAY_FILTER_USE_KEY);

        return count($before) === count($lengths) || array_diff_key($alike, array_flip($at)) === []
            ? []
            : [$mark => array_sum($before) / max(1e-9, array_sum($lengths))];
    }
}
