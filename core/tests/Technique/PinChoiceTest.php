<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Technique\HeadPin;
use Hebra\Core\Technique\PinChoice;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\TestCase;

/** Which stocked pin lengths serve a whole making with the least trimmed off. */
final class PinChoiceTest extends TestCase
{
    private static function plan(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile);
    }

    /** @return list<array{float, float, int}> what each pin uses, needs, and how many there are */
    private static function needs(Plan $plan): array
    {
        $needs = [];
        foreach ($plan->parts() as $part) {
            if ($part->technique instanceof HeadPin) {
                $fit = $part->technique->pinFit($part);
                $needs[] = [$fit->usedMm(), $fit->neededMm(), $part->times * $plan->piece->makes->count];
            }
        }

        return $needs;
    }

    /** Tried against every choice of a length for each: none that reaches trims less. */
    public function test_no_choice_that_reaches_trims_less(): void
    {
        foreach (['cluster', 'post-drop', 'single-drop'] as $pattern) {
            $plan = self::plan(Patterns::start($pattern, 'One'));
            $choice = PinChoice::of($plan);
            self::assertNotNull($choice);
            $needs = self::needs($plan);
            $best = INF;
            $lengths = count(HeadPin::STOCKED_MM);
            for ($pick = 0; $pick < $lengths ** count($needs); $pick++) {
                [$trimmed, $rest] = [0.0, $pick];
                foreach ($needs as [$used, $needed, $count]) {
                    $length = HeadPin::STOCKED_MM[$rest % $lengths];
                    $rest = intdiv($rest, $lengths);
                    $trimmed += $length >= $needed ? $count * ($length - $used) : INF;
                }
                $best = min($best, $trimmed);
            }
            self::assertEqualsWithDelta($best, $choice->trimmedMm(), 1e-6, $pattern);
            self::assertSame(array_sum(array_column($needs, 2)), array_sum($choice->mixed() ?? []));
        }
    }

    /** Beside them stands what cutting from wire trims, whether they are bought by then or not. */
    public function test_cutting_from_wire_stands_beside(): void
    {
        $plan = self::plan(Patterns::start('cluster', 'One'));
        $drops = array_filter($plan->cuts, fn ($cut): bool => str_starts_with($cut->label, 'Drop'));
        self::assertCount(3, $drops);
        $trimmed = array_sum(array_map(fn ($cut): float => $cut->count * ($cut->lengthMm() - $cut->netMm()), $drops));
        $choice = PinChoice::of($plan);
        self::assertEqualsWithDelta($trimmed, $choice?->fromWireMm(), 1e-6);
        self::assertStringContainsString('; cut from wire, '.$plan->profile->length($trimmed), (string) $choice?->text());
        $bought = PinChoice::of(self::plan(($choice?->ways() ?? [])[0]->change->apply($plan->piece)));
        self::assertEqualsWithDelta($trimmed, $bought?->fromWireMm(), 1e-6);
    }

    /** Taken, the pins reach, and are what the plan asks to be bought; taken back, they are cut from wire. */
    public function test_its_ways_do_what_they_say(): void
    {
        $plan = self::plan(Patterns::start('cluster', 'One'));
        $ways = PinChoice::of($plan)?->ways() ?? [];
        self::assertNotSame([], $ways);
        $taken = self::plan($ways[0]->change->apply($plan->piece));
        self::assertSame([], array_filter($taken->checks, fn (Check $check): bool => $check->level === Level::Stop));
        $bought = [];
        foreach ($taken->findings as $finding) {
            if ($finding->isPin()) {
                $bought[(int) $finding->lengthMm] = $finding->all;
            }
        }
        ksort($bought);
        self::assertSame(PinChoice::of($plan)?->mixed(), $bought);
        $back = PinChoice::of($taken)?->ways() ?? [];
        self::assertSame('Cut them from wire', $back[count($back) - 1]->words);
        self::assertSame([], array_filter(
            self::plan($back[count($back) - 1]->change->apply($taken->piece))->findings, fn ($one): bool => $one->isPin(),
        ));
    }

    public function test_where_none_reaches_it_says_so(): void
    {
        $piece = Patterns::start('single-drop', 'Long');
        $pin = $piece->parts[1];
        $piece = Some::changed($piece, ['do' => 'bead.count', 'part' => $pin->id->text, 'at' => '0', 'count' => '12']);
        $choice = PinChoice::of(self::plan($piece));
        self::assertNull($choice?->mixed());
        self::assertStringContainsString('No stocked pin is long enough', $choice?->text() ?? '');
        self::assertNull(PinChoice::of(self::plan(Patterns::start('hoop', 'None'))));
    }
}
