<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Figure;

use Hebra\Core\Figure\Diagram;
use Hebra\Core\Figure\Woven;
use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\Weave;
use Hebra\Core\Wrap\WeavePattern;
use PHPUnit\Framework\TestCase;

/** Weaves as they are drawn: over and under, and one wire that goes on where it left off. */
final class WovenTest extends TestCase
{
    /** @return list<list<array{float, float}>> */
    private static function of(Diagram $drawn, string $kind): array
    {
        return array_values(
            array_map(
                fn (array $line): array => $line['path'],
                array_filter($drawn->lines(), fn (array $line): bool => $line['kind'] === $kind),
            ),
        );
    }

    /**
     * The wire comes round: where it leaves the front, the back takes it up, and the next turn begins where the back
     * ends.
     */
    public function test_front_and_back_of_a_figure_weave_are_one_wire(): void
    {
        $weave = Weave::of(WeavePattern::parse('2@1-2 3@2-3', 3), 1.0, 0.4);
        $front = self::of(Woven::figure($weave, 12), 'wrap');
        $back = self::of(Woven::figure($weave, 12, false), 'wrap');
        self::assertCount(12, $front);
        $far = 2 * $weave->spacingMm;
        foreach ($front as $turn => [[$x0, $y0], [$x1, $y1]]) {
            [[$bx0, $by0], [$bx1, $by1]] = $back[$turn];
            self::assertEqualsWithDelta([$x1, $y1], [$bx0, $far - $by0], 1e-9, 'over the lower edge');
            self::assertEqualsWithDelta($y0, $far - $by1, 1e-9, 'back up to the edge it came from');
            self::assertEqualsWithDelta($x0 + $weave->wireMm, $bx1, 1e-9, 'one wire farther on');
        }
    }

    /** Each pass begins where the last ended; in front on one side is behind on the other. */
    public function test_a_basket_weave_is_one_wire_over_and_under(): void
    {
        foreach (['f1 b2 f3 b3 f2 b1' => 3, 'f1 b2 f3 b4 f4 b3 f2 b1' => 4, 'f1-3 b3-1' => 3] as $passes => $cores) {
            $weave = BasketWeave::parse($passes, $cores);
            $count = 2 * count($weave->touches);
            $front = Woven::basket($weave, 0.8, 0.3, 1.1, $count);
            $back = Woven::basket($weave, 0.8, 0.3, 1.1, $count, false);
            $over = self::of($front, 'wrap');
            self::assertCount($count, [...$over, ...self::of($front, 'under')]);
            self::assertCount(count($over), self::of($back, 'under'));
            $ends = [...$over, ...self::of($front, 'under')];
            usort($ends, fn (array $a, array $b): int => $a[0][0] <=> $b[0][0]);
            for ($at = 1; $at < $count; $at++) {
                self::assertEqualsWithDelta($ends[$at - 1][1], $ends[$at][0], 1e-9, "{$passes}, pass {$at}");
            }
        }
    }

    public function test_the_last_step_is_lit(): void
    {
        $weave = Weave::of(WeavePattern::parse('2@1 3@2', 2), 1.0, 0.4);
        $drawn = Woven::figure($weave, 5, true, 2);
        self::assertCount(2, self::of($drawn, 'wrap'));
        self::assertCount(3, self::of($drawn, 'lit'));
        self::assertCount(2, self::of($drawn, 'core'));
    }
}
