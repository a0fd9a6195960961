<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Figure\View;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Closed loops, loops with a tail, and chain told by its length. */
final class RopeTest extends TestCase
{
    private static function plan(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile);
    }

    /** @return list<Check> */
    private static function overTheHead(Plan $plan): array
    {
        return array_values(array_filter($plan->checks, fn (Check $check): bool => $check->rule === 'over the head'));
    }

    /** Its length round is the sum of its parts; a head is about 58 cm round [common practice]. */
    public function test_a_rope_says_how_long_it_is_round_and_whether_it_goes_over_the_head(): void
    {
        $rope = Patterns::start('rope', 'Rope');
        $plan = self::plan($rope);
        $round = (float) $plan->roundMm();
        self::assertSame(Level::Ok, self::overTheHead($plan)[0]->level);
        $half = self::plan(Some::changed($rope, ['do' => 'group.set', 'group' => 'g1', 'count' => '8']));
        self::assertEqualsWithDelta($round / 2, (float) $half->roundMm(), 0.01);
        self::assertSame(Level::Warn, self::overTheHead($half)[0]->level);
        $opened = self::overTheHead($half)[0]->ways[0]->change->apply($half->piece);
        self::assertNull(self::plan($opened)->roundMm());
        self::assertEqualsWithDelta($round / M_PI, $plan->hangsMm(), 0.06 * $round);
        self::assertSame([View::Front, View::Back], $plan->views());
        $told = $plan->toArray()['size'];
        self::assertIsArray($told);
        self::assertEqualsWithDelta($round, $told['round_mm'], 1e-9);
    }

    /** Links that close in the first of themselves: 20 links, 20 hooks, none closed early. */
    public function test_what_repeats_closes_in_the_first_of_itself(): void
    {
        $start = Patterns::start('linked-bracelet', 'Links');
        foreach ($start->parts as $part) {
            if ($part->technique !== 'wrapped-link') {
                $start = Some::changed($start, ['do' => 'part.remove', 'part' => $part->id->text]);
            }
        }
        $link = $start->parts[0]->id->text;
        $closed = Some::changed($start, ['do' => 'part.close', 'part' => $link, 'to' => "{$link}/top"]);
        self::assertEquals($closed, PieceJson::read(PieceJson::write($closed)));
        $plan = self::plan($closed);
        self::assertSame([], array_filter($plan->checks, fn (Check $check): bool => $check->level === Level::Stop));
        $hooks = array_sum(array_map(fn ($step): int => $step->moment->text() === 'hook' ? 1 : 0, $plan->steps()));
        self::assertSame($plan->madeParts(), $hooks);
        $this->expectException(Problem::class);
        Some::changed(
            Patterns::start('single-drop', 'Drop'), ['do' => 'part.close', 'part' => 'p2', 'to' => 'p2/top'],
        );
    }

    /** The tail hangs straight down from the lowest ring, the loop stands above it. */
    public function test_a_tail_hangs_below_its_loop(): void
    {
        $plan = self::plan(Patterns::start('loop-and-tail', 'Loop'));
        $beads = $plan->assembly()->beads();
        $lowest = max(array_map(fn ($mark): float => $mark->topMm, $beads));
        foreach ($beads as $mark) {
            self::assertGreaterThan((float) $plan->roundMm() / M_PI * 0.9, $mark->topMm);
            self::assertEqualsWithDelta(0.0, $mark->turn, 1.0);
        }
        self::assertGreaterThan((float) $plan->roundMm() / M_PI, $lowest);
    }

    #[DataProvider('lengths')]
    public function test_chain_is_told_by_links_or_by_length(string $told, int $links): void
    {
        $piece = Patterns::start('chain-loop', 'Chain');
        $chain = array_values(array_filter($piece->parts, fn ($part): bool => $part->technique === 'chain'))[0] ?? null;
        $piece = $chain === null ? Patterns::start('tiered-necklace', 'Chain') : $piece;
        $chain ??= $piece->parts[2];
        $piece = Some::changed(
            $piece, ['do' => 'part.set', 'part' => $chain->id->text, 'key' => 'inside', 'value' => '3.5 mm'],
        );
        $piece = Some::changed(
            $piece, ['do' => 'part.set', 'part' => $chain->id->text, 'key' => 'links', 'value' => $told],
        );
        self::assertSame($links, $piece->part($chain->id)->count('links'));
    }

    /** @return array<string, array{string, int}> of links of 3.5 mm: the nearest whole one */
    public static function lengths(): array
    {
        return [
            'bare' => ['14', 14], 'in words' => ['14 links', 14], 'one' => ['1 link', 1],
            // 88.9 mm are 25.4 links.
            'inches' => ['3 1/2 in', 25], 'centimetres' => ['10 cm', 29], 'millimetres' => ['50 mm', 14],
        ];
    }

    public function test_a_length_that_no_chain_has_is_refused(): void
    {
        $piece = Patterns::start('tiered-necklace', 'Chain');
        foreach (['0 mm', '9 m', 'long', '0', '-3 links'] as $told) {
            try {
                Some::changed($piece, ['do' => 'part.set', 'part' => 'p3', 'key' => 'links', 'value' => $told]);
                self::fail("{$told} was taken");
            } catch (Problem $problem) {
                self::assertStringStartsWith('Links', $problem->getMessage());
            }
        }
    }
}
