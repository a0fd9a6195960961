<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Course\PinKind;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Technique\BoughtPin;
use Hebra\Core\Technique\HeadPin;
use Hebra\Core\Technique\PinChoice;
use Hebra\Core\Tests\Piece\Some;
use Hebra\Core\Wire\Temper;
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
            $lengths = count(BoughtPin::STOCKED_MM);
            for ($pick = 0; $pick < $lengths ** count($needs); $pick++) {
                [$trimmed, $rest] = [0.0, $pick];
                foreach ($needs as [$used, $needed, $count]) {
                    $length = BoughtPin::STOCKED_MM[$rest % $lengths];
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
        self::assertStringContainsString(
            '; cut from wire, '.$plan->profile->length($trimmed), (string) $choice?->text(),
        );
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
            self::plan($back[count($back) - 1]->change->apply($taken->piece))->findings,
            fn ($one): bool => $one->isPin(),
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

    /**
     * Of a 38 mm eye pin in 22 AWG, 0.64379 mm: beads 4 + 5 + 4, the eye π(2.5 + 0.64379) = 9.8765, so 15.1235 are
     * trimmed;
     * its own eye takes none of it and is never wrapped. Eye pins and head pins are two things in stock.
     */
    public function test_a_link_on_a_bought_eye_pin(): void
    {
        $plan = self::plan(Patterns::start('bought-pins', 'Pins'));
        $cut = array_values(array_filter($plan->pins, fn ($one): bool => $one->pinKind === PinKind::Eye))[0];
        self::assertSame([38.0, 'eye pin'], [$cut->pinMm, $cut->pinKind->words()]);
        self::assertEqualsWithDelta(15.1235, $cut->trimmedMm(), 1e-3);
        $names = array_map(fn (Finding $one): string => $one->stock, $plan->findings);
        self::assertContains('eye pin 38 mm, '.$cut->wire->words(), $names);
        self::assertContains('head pin 50 mm, '.$cut->wire->withTemper(Temper::DeadSoft)->words(), $names);
        $titles = array_map(fn ($step): string => $step->title, $plan->steps());
        self::assertNotContains('Eye link: turn the bottom eye', $titles);
        self::assertLessThan(
            array_search('Eye link: turn the top eye', $titles, true),
            array_search('Eye link: thread the beads', $titles, true),
        );
        $made = Some::changed($plan->piece, ['do' => 'part.set', 'part' => 'p2', 'key' => 'source', 'value' => 'cut']);
        self::assertEqualsWithDelta(
            $plan->hangsMm(), self::plan($made)->hangsMm(), 1e-9, 'it hangs as one that is made',
        );
        $short = Some::changed(
            $plan->piece, ['do' => 'part.set', 'part' => 'p2', 'key' => 'pin_length', 'value' => '25 mm'],
        );
        $stop = array_values(
            array_filter(self::plan($short)->checks, fn (Check $one): bool => $one->level === Level::Stop)
        )[0];
        self::assertStringContainsString('too short', $stop->text);
        self::assertSame('Use 38 mm pins', $stop->ways[0]->words);
    }

    /**
     * A pin without its head is wire: two eyes of 9.8765 and 8.3057, 13 of beads, and what the pliers hold at each end
     * are
     * cut from 63 mm of it, and what is left is trimmed. Too short, it says by how much.
     */
    public function test_a_link_on_a_pin_whose_head_is_cut_off(): void
    {
        $set = fn (string $key, string $value): array => [
            'do' => 'part.set', 'part' => 'p2', 'key' => $key, 'value' => $value,
        ];
        $piece = Some::changed(
            Patterns::start('bought-pins', 'Pins'), $set('source', 'headless'), $set('pin_length', '63 mm'),
        );
        $plan = self::plan($piece);
        $cut = array_values(array_filter($plan->pins, fn ($one): bool => $one->pinMm === 63.0))[0];
        self::assertSame(PinKind::Head, $cut->pinKind);
        self::assertEqualsWithDelta(63.0, $cut->lengthMm(), 1e-9);
        self::assertEqualsWithDelta(9.8765 + 13.0 + 8.3057, $cut->netMm(), 1e-3);
        self::assertSame(
            'Eye link: cut the head off', $plan->steps()[4]->title ?? '',
            implode(' | ', array_map(fn ($step): string => $step->title, $plan->steps())),
        );
        $short = self::plan(Some::changed($piece, $set('pin_length', '30 mm')));
        $stop = array_values(array_filter($short->checks, fn (Check $one): bool => $one->level === Level::Stop))[0];
        self::assertStringContainsString('too short without its head', $stop->text);
        $mended = self::plan($stop->ways[0]->change->apply($short->piece));
        self::assertSame([], array_filter($mended->checks, fn (Check $one): bool => $one->level === Level::Stop));
    }
}
