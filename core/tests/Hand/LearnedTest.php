<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Hand;

use Hebra\Core\Hand\Learned;
use Hebra\Core\Hand\Log;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LearnedTest extends TestCase
{
    /**
     * @param  list<float>  $ratios
     * @return list<Log>
     */
    private static function logs(array $ratios): array
    {
        return array_map(fn (float $ratio): Log => new Log($ratio), $ratios);
    }

    public function test_with_fewer_than_three_it_is_the_plain_sum(): void
    {
        foreach ([[], [1.2], [1.1, 1.3]] as $ratios) {
            $learned = Learned::from(self::logs($ratios));
            self::assertFalse($learned->isLearned());
            self::assertSame([1.0, 1.0, 1.0], [$learned->factor(), $learned->quantile(0.8), $learned->quantile(0.99)]);
        }
    }

    /**
     * n = 4, Σx = 4.2, x̄ = 1.05: κ = 4.14, m = 4.34/4.14 = 1.048309; s² = [3·0.0009 + 0.0010 + 0.14·4·0.0025/4.14]/7 =
     * 0.000576880; by hand.
     */
    public function test_the_posterior_worked_by_hand(): void
    {
        $learned = Learned::from(self::logs([1.03, 1.04, 1.06, 1.07]));
        self::assertEqualsWithDelta(1.048309, $learned->mean, 1e-6);
        self::assertEqualsWithDelta(sqrt(0.000576880), $learned->spread, 1e-7);
        // t of 7 at 95 % is 1.895 (Abramowitz & Stegun, table 26.10): 1.048309 + 1.895 · 0.0240155 · √(1 + 1/4.14).
        self::assertEqualsWithDelta(1.048309 + 1.895 * 0.0240183 * sqrt(1 + 1 / 4.14), $learned->quantile(0.95), 2e-5);
        self::assertEqualsWithDelta(0.95, $learned->below($learned->quantile(0.95)), 1e-10);
    }

    public function test_what_lies_far_off_is_held_out_until_it_is_put_back(): void
    {
        $usual = [1.02, 1.03, 1.04, 1.03];
        self::assertSame([], Learned::from(self::logs([...array_slice($usual, 0, 3), 1.6]))->heldOut, 'of four none');
        $held = Learned::from(self::logs([...$usual, 1.6]));
        self::assertSame([4], $held->heldOut);
        self::assertSame(4, $held->count);
        self::assertEqualsWithDelta(Learned::from(self::logs($usual))->mean, $held->mean, 1e-12);
        $back = Learned::from([...self::logs($usual), new Log(1.6, isPutBack: true)]);
        self::assertSame([[], 5], [$back->heldOut, $back->count]);
        // The least MAD: 3.5 · 1.4826 · 0.005 = 0.025946 from the median.
        self::assertSame([], Learned::from(self::logs([1.0, 1.0, 1.0, 1.0, 1.0259]))->heldOut);
        self::assertSame([4], Learned::from(self::logs([1.0, 1.0, 1.0, 1.0, 1.0261]))->heldOut);
    }

    public function test_a_wire_that_ran_short_counts_as_more_than_it_held(): void
    {
        $plain = Learned::from(self::logs([1.02, 1.03, 1.01, 1.04]));
        $short = Learned::from([...self::logs([1.02, 1.03, 1.01]), new Log(1.04, isBound: true)]);
        self::assertGreaterThan($plain->mean, $short->mean);
        // Settled: what stands for it is the predictive mean above the bound, so the mean is that of four values with
        // it.
        $stands = (4.14 * $short->mean - 0.14 - 3.06);
        $scale = ($short->quantile(0.9) - $short->mean) / $short->t->quantile(0.9);
        self::assertEqualsWithDelta(
            $short->mean + $scale * $short->t->meanAbove((1.04 - $short->mean) / $scale),
            $stands,
            1e-4,
        );
        self::assertGreaterThan(1.04, $stands);
    }

    /** @return array<string, array{int}> */
    public static function sizes(): array
    {
        return ['five logs' => [5], 'ten' => [10], 'thirty' => [30]];
    }

    /** Coverage over 4,000 simulated makers: 80 % within 5 points, 95 % within 2, 99 % within 1. */
    #[DataProvider('sizes')]
    public function test_quantiles_cover_what_they_say(int $n): void
    {
        $makers = new Makers(7);
        $covered = [80 => 0, 95 => 0, 99 => 0];
        for ($maker = 0; $maker < 4000; $maker++) {
            [$factor, $spread] = $makers->maker();
            $learned = Learned::from(
                self::logs(array_map(fn (): float => $makers->normal($factor, $spread), range(1, $n))),
            );
            $next = $learned->below($makers->normal($factor, $spread));
            foreach ($covered as $p => $_) {
                $covered[$p] += $next <= $p / 100 ? 1 : 0;
            }
        }
        self::assertEqualsWithDelta(80, $covered[80] / 40, 5);
        self::assertEqualsWithDelta(95, $covered[95] / 40, 2);
        self::assertEqualsWithDelta(99, $covered[99] / 40, 1);
    }

    public function test_more_logs_never_make_it_less_sure_of_a_steady_hand(): void
    {
        $width = INF;
        foreach ([3, 5, 10, 30, 100] as $n) {
            $learned = Learned::from(
                self::logs(array_map(fn (int $at): float => 1.03 + 0.01 * ($at % 2 === 0 ? 1 : -1), range(1, $n))),
            );
            $now = $learned->quantile(0.95) - $learned->mean;
            self::assertLessThan($width, $now, (string) $n);
            self::assertLessThan(1.0, $learned->doubt());
            $width = $now;
        }
    }

    public function test_what_is_left_over_on_average(): void
    {
        $learned = Learned::from(self::logs([1.03, 1.04, 1.06, 1.07]));
        $step = 0.00005;
        $sum = 0.0;
        // E[max(0, L − X)] is the integral of P(X ≤ x) up to L.
        for ($x = 0.5; $x < 1.1; $x += $step) {
            $sum += $learned->below($x + $step / 2) * $step;
        }
        self::assertEqualsWithDelta($sum, $learned->leftOf(1.1), 1e-4);
    }
}
