<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Chain;

use Hebra\Core\Chain\StrandMatch;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** The best numbers of links, held against every other choice. */
final class StrandMatchTest extends TestCase
{
    /**
     * Elements of 10 wanted at 30 and 70 of 100, links of 5: 5 links bring the first to 25 + 5 = 30, 6 more the second
     * to 25 + 10 + 30 + 5 = 70, 5 more end at 100.
     */
    public function test_what_fits_exactly_is_found(): void
    {
        $match = StrandMatch::of([30.0, 70.0], 100.0, [10.0, 10.0], 5.0);
        self::assertSame([5, 6, 5], $match->links);
        self::assertEqualsWithDelta(0.0, $match->worstMm(), 1e-9);
        self::assertEqualsWithDelta(
            5.0,
            StrandMatch::worstOfMm([4, 7, 5], [30.0, 70.0], 100.0, [10.0, 10.0], 5.0),
            1e-9,
        );
    }

    /** Two wanted so near each other that not even one link finds room: each yields by half. */
    public function test_a_piece_has_at_least_one_link(): void
    {
        $match = StrandMatch::of([30.0, 32.0], 60.0, [6.0, 6.0], 4.0);
        self::assertSame([6, 1], array_slice($match->links, 0, 2));
        self::assertGreaterThanOrEqual(1, min($match->links));
    }

    /**
     * Seeded instances of up to three elements against every choice of up to 18 links a piece: least worst error, then
     * least squares, then fewest links.
     */
    #[Group('wide')]
    public function test_against_brute_force(): void
    {
        mt_srand(7);
        for ($case = 0; $case < 40; $case++) {
            $count = mt_rand(1, 3);
            $pitch = mt_rand(25, 60) / 10;
            $elements = $wanted = [];
            $at = 0.0;
            for ($element = 0; $element < $count; $element++) {
                $elements[] = mt_rand(20, 180) / 10;
                $at += mt_rand(40, 260) / 10;
                $wanted[] = $at;
            }
            $end = $at + mt_rand(50, 200) / 10;
            $match = StrandMatch::of($wanted, $end, $elements, $pitch);
            [$best, $links] = [[INF, INF, INF], []];
            $this->each($count + 1, 18, function (array $choice) use ($wanted, $end, $elements, $pitch, &$best, &$links): void {
                $rank = self::rank($choice, $wanted, $end, $elements, $pitch);
                if (self::isBetter($rank, $best)) {
                    [$best, $links] = [$rank, $choice];
                }
            });
            $rank = self::rank($match->links, $wanted, $end, $elements, $pitch);
            self::assertEqualsWithDelta($best[0], $rank[0], 1e-6, "case {$case}: worst error");
            self::assertEqualsWithDelta($best[1], $rank[1], 1e-6, "case {$case}: squares");
            self::assertSame($best[2], $rank[2], "case {$case}: links");
            self::assertEqualsWithDelta($rank[0], $match->worstMm(), 1e-6);
            self::assertSame($links, $match->links);
        }
    }

    /**
     * @param  list<int>  $links
     * @param  list<float>  $wanted
     * @param  list<float>  $elements
     * @return array{float, float, int}
     */
    private static function rank(array $links, array $wanted, float $end, array $elements, float $pitch): array
    {
        $at = $worst = $squares = 0.0;
        foreach ($links as $piece => $count) {
            $at += $count * $pitch;
            $off = $at + ($elements[$piece] ?? 0.0) / 2 - ($wanted[$piece] ?? $end);
            $worst = max($worst, abs($off));
            $squares += $off ** 2;
            $at += $elements[$piece] ?? 0.0;
        }

        return [round($worst, 7), round($squares, 7), array_sum($links)];
    }

    /**
     * @param  array{float, float, float|int}  $a
     * @param  array{float, float, float|int}  $b
     */
    private static function isBetter(array $a, array $b): bool
    {
        return $a[0] < $b[0] - 1e-6
            || (abs($a[0] - $b[0]) <= 1e-6 && ($a[1] < $b[1] - 1e-6 || (abs($a[1] - $b[1]) <= 1e-6 && $a[2] < $b[2])));
    }

    /** @param  callable(list<int>): void  $do */
    private function each(int $pieces, int $most, callable $do): void
    {
        $choice = array_fill(0, $pieces, 1);
        while (true) {
            $do($choice);
            for ($at = $pieces - 1; $at >= 0 && $choice[$at] === $most; $at--) {
                $choice[$at] = 1;
            }
            if ($at < 0) {
                return;
            }
            $choice[$at]++;
        }
    }
}
