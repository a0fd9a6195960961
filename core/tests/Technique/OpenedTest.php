<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Piece\PartId;
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
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Any part told freely lies as it did, or it is said that it does not come out the same. */
final class OpenedTest extends TestCase
{
    private static function cutMm(Plan $plan, string $part): float
    {
        return array_sum(array_map(
            fn (Cut $cut): float => $cut->part->text === $part ? $cut->lengthMm() * $cut->count : 0.0, $plan->cuts,
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

    #[Group('wide')]
    public function test_whatever_is_formed_can_be_opened_and_is_the_same_piece(): void
    {
        $opened = 0;
        $refused = [];
        foreach (array_keys(Patterns::all()) as $pattern) {
            $piece = Patterns::start($pattern, 'One');
            $plan = Planner::plan($piece, new Profile);
            foreach ($plan->parts() as $id => $part) {
                // Rings of a kind are wound and cut as one coil; what is bought has no wire of its own.
                if ($part->part->technique === 'jump-ring' || $part->technique->isBought($part->part)) {
                    continue;
                }
                try {
                    $after = Planner::plan(Opened::change($piece, PartId::of($id))->apply($piece), new Profile);
                } catch (Problem $problem) {
                    $why = match (true) {
                        $part->technique->isStrung() => 'strung and crimped',
                        $part->technique->hammered($part) !== null => 'is hammered',
                        $pattern === 'bought-pins' => 'is made on a bought',
                        $part->part->technique === 'tendril-ring',
                        $pattern === 'pierced-paddle' => 'not slit or pierced',
                        $part->part->technique === 'woven-band' => 'more turns than can be told one by one',
                        default => 'drilled lengthwise',
                    };
                    self::assertStringContainsString($why, $problem->getMessage(), "{$pattern}, {$id}");
                    $refused[$why] = ($refused[$why] ?? 0) + 1;

                    continue;
                }
                $opened++;
                $others = fn (Check $check): bool => $check->rule === 'facing' && $check->part?->text !== $id;
                self::assertEquals(
                    array_values(array_filter($plan->checks, $others)),
                    array_values(array_filter($after->checks, $others)),
                    "{$pattern}, {$id}: what hangs in it faces as it did",
                );
                $where = "{$pattern}, {$id} {$part->technique->label()}";
                $cut = self::cutMm($plan, $id);
                // What hangs in nothing may be drawn a little higher or lower.
                $shift = isset($part->technique->eyes($part, '')['top']) ? 1.6 : 15.0;
                self::assertEqualsWithDelta(
                    $plan->hangsMm(), $after->hangsMm(), 0.02 * $plan->hangsMm() + $shift, $where,
                );
                // Told as threaded, beads may have a millimetre over for their spread.
                self::assertEqualsWithDelta($cut, self::cutMm($after, $id), 0.003 * $cut + 1.1, $where);
                self::assertSame($plan->beads[0]->all ?? 0, $after->beads[0]->all ?? 0, $where);
                self::assertSame([], array_values(array_diff(self::stops($after), self::stops($plan))), $where);
                self::assertNotSame([], $after->steps(), $where);
            }
        }
        self::assertGreaterThan(90, $opened);
        self::assertCount(6, $refused);
        self::assertLessThan(20, array_sum($refused));
    }

    public function test_an_opened_drop_can_still_be_made(): void
    {
        $piece = Patterns::start('two-links', 'One');
        foreach (['p2', 'p3', 'p4'] as $id) {
            $piece = Opened::change($piece, PartId::of($id))->apply($piece);
        }
        self::assertSame([], self::stops(Planner::plan($piece, new Profile)));
        self::assertSame(['ear-wire', 'free-wire', 'free-wire', 'free-wire'], array_column($piece->parts, 'technique'));
    }
}
