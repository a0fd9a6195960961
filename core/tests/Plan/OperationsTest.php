<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\Instance;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Tests\Piece\Everything;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** The same work, one operation over all that is alike and then the next. */
final class OperationsTest extends TestCase
{
    private static function plan(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile, false);
    }

    /**
     * @param  list<Step>  $steps
     * @return array<string, list<string>> by made part: what its own wire is through, step by step
     */
    private static function each(array $steps): array
    {
        $each = [];
        foreach ($steps as $step) {
            foreach ($step->operation === Operation::Hook ? [] : $step->works() as $instance) {
                $each[$instance][] = $step->moment->text().' '.$step->operation->value.' '
                    .($step->each ?? $step)->count;
            }
        }
        ksort($each);

        return $each;
    }

    /**
     * @param  list<Step>  $steps
     * @return array<string, int>
     */
    private static function putOn(array $steps): array
    {
        $beads = [];
        foreach ($steps as $step) {
            foreach ($step->putsOn as $run) {
                $beads[$run->bead->words()] = ($beads[$run->bead->words()] ?? 0) + $run->count * $step->times;
            }
        }
        ksort($beads);

        return $beads;
    }

    #[Group('wide')]
    public function test_every_made_part_is_worked_as_it_is_part_by_part(): void
    {
        foreach (Everything::pieces(60) as $name => $piece) {
            $plan = self::plan($piece);
            [$steps, $operations] = [$plan->steps(), $plan->inOperations()->steps()];
            self::assertLessThanOrEqual(count($steps), count($operations), $name);
            self::assertSame(self::each($steps), self::each($operations), $name);
            self::assertSame(self::putOn($steps), self::putOn($operations), $name);
            self::assertSame(self::hung($steps), self::hung($operations), $name);
        }
    }

    /**
     * @param  list<Step>  $steps
     * @return array<string, true> every pair that is hung in each other, and all that hang in one
     */
    private static function hung(array $steps): array
    {
        $hung = [];
        foreach ($steps as $step) {
            foreach ($step->operation === Operation::Hook ? $step->parts : [] as $instance) {
                $hung[$instance] = true;
            }
        }
        ksort($hung);

        return $hung;
    }

    public function test_after_the_last_operation_all_is_made(): void
    {
        foreach (['two-strand-bracelet', 'chain-stations', 'mirrored-necklace', 'straight-line'] as $pattern) {
            $plan = self::plan(Patterns::start($pattern, 'One'));
            [$together, $apart] = [new FormingStates($plan->inOperations()), new FormingStates($plan)];
            foreach ($plan->strips() as $cut) {
                self::assertSame(
                    $apart->madeOf($cut, $apart->count() - 1), $together->madeOf($cut, $together->count() - 1),
                    "{$pattern}: {$cut->label}",
                );
            }
        }
    }

    /** A necklace of 60 wrapped links, each through the next: turned together, joined when all are made. */
    public function test_a_long_chain_has_few_operations(): void
    {
        $start = Patterns::start('linked-bracelet', 'Long');
        $link = array_values(array_filter($start->parts, fn ($part): bool => $part->technique === 'wrapped-link'))[0];
        $ring = array_values(array_filter($start->parts, fn ($part): bool => $part->technique === 'jump-ring'));
        $long = $start;
        foreach ($ring as $part) {
            $long = Some::changed($long, ['do' => 'part.remove', 'part' => $part->id->text]);
        }
        $long = Some::changed($long, ['do' => 'part.repeat', 'part' => $link->id->text, 'count' => '10']);
        $plan = self::plan($long);
        self::assertGreaterThan(400, count($plan->steps()));
        self::assertLessThanOrEqual(40, count($plan->inOperations()->steps()));
        $wraps = array_values(array_filter(
            $plan->inOperations()->steps(),
            fn (Step $step): bool => $step->operation === Operation::Wrap && $step->times > 1,
        ));
        self::assertSame([60, 60], array_column($wraps, 'times'));
        self::assertSame([60, 'links'], [$wraps[0]->count, $wraps[0]->counted]);
        self::assertEqualsWithDelta(Minutes::of($plan), Minutes::of($plan->inOperations()), 0.2 * Minutes::of($plan));
        self::assertStringStartsWith('60 × link: wrap the top loop shut', $wraps[0]->title);
    }

    /** A strand between a hook and a wrapped link: by operation all wire is worked before anything is strung. */
    public function test_wire_is_worked_before_what_is_strung(): void
    {
        $piece = Some::changed(Patterns::start('strand', 'Mixed'), ['do' => 'part.add', 'technique' => 'wrapped-link']);
        $kinds = [];
        foreach (self::plan($piece)->inOperations()->steps() as $step) {
            $technique = $piece->parts[array_search(
                Instance::partOf($step->works()[0]), array_column($piece->parts, 'id'), true,
            ) ?: 0]->technique;
            if ($step->operation !== Operation::Hook && $step->operation !== Operation::Inspect) {
                $kinds[] = $technique === 'strand';
            }
        }
        self::assertContains(true, $kinds);
        self::assertNotContains(false, array_slice($kinds, (int) array_search(true, $kinds, true)));
    }
}
