<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Technique\Written\Opened;
use Hebra\Core\Technique\Written\Text;
use PHPUnit\Framework\TestCase;

/** Any part told freely lies as it did, or it is said that it does not come out the same. */
final class OpenedTest extends TestCase
{
    private static function cutMm(Plan $plan, string $part): float
    {
        return array_sum(array_map(
            fn (Cut $cut): float => $cut->part === $part ? $cut->lengthMm() * $cut->count : 0.0, $plan->cuts,
        ));
    }

    /** @return list<string> */
    private static function stops(Plan $plan): array
    {
        return array_map(
            fn (Check $check): string => $check->text,
            array_values(array_filter($plan->checks, fn (Check $check): bool => $check->level === Level::Stop)),
        );
    }

    public function test_a_link_is_told_in_a_few_words(): void
    {
        $text = Opened::text(Planner::plan(Patterns::start('link-and-drop', 'One'), new Profile)->parts()['p2']);
        self::assertSame(1, count(Text::parse($text)->lines));
        self::assertStringContainsString('through A', $text);
        self::assertStringContainsString('wrapped 3 as top', $text);
        self::assertStringContainsString('wrapped 3 as bottom', $text);
    }

    public function test_what_is_opened_is_the_same_piece(): void
    {
        $opened = $refused = 0;
        foreach (array_keys(Patterns::all()) as $pattern) {
            $piece = Patterns::start($pattern, 'One');
            $plan = Planner::plan($piece, new Profile);
            foreach ($plan->parts() as $id => $part) {
                // Rings of a kind are wound and cut as one coil; what is bought has no wire of its own.
                if (in_array($part->part->technique, ['free-wire', 'jump-ring'], true) || $part->technique->isBought($part->part)) {
                    continue;
                }
                try {
                    $after = Planner::plan(Opened::change($piece, $id)->apply($piece), new Profile);
                } catch (Problem $problem) {
                    self::assertMatchesRegularExpression('/come out the same|one by one/', $problem->getMessage());
                    $refused++;

                    continue;
                }
                $opened++;
                $where = "{$pattern}, {$id} {$part->technique->label()}";
                self::assertEqualsWithDelta($plan->hangsMm(), $after->hangsMm(), 0.02 * $plan->hangsMm() + 1.6, $where);
                self::assertEqualsWithDelta(self::cutMm($plan, $id), self::cutMm($after, $id), 0.015 * self::cutMm($plan, $id) + 0.1, $where);
                self::assertSame($plan->beads[0]->all ?? 0, $after->beads[0]->all ?? 0, $where);
            }
        }
        self::assertGreaterThan(2 * $refused, $opened);
        self::assertGreaterThan(60, $opened);
    }

    public function test_an_opened_drop_can_still_be_made(): void
    {
        $piece = Patterns::start('two-links', 'One');
        foreach (['p2', 'p3', 'p4'] as $id) {
            $piece = Opened::change($piece, $id)->apply($piece);
        }
        self::assertSame([], self::stops(Planner::plan($piece, new Profile)));
        self::assertSame(['ear-wire', 'free-wire', 'free-wire', 'free-wire'], array_column($piece->parts, 'technique'));
    }
}
