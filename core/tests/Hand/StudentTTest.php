<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Hand;

use Hebra\Core\Hand\StudentT;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class StudentTTest extends TestCase
{
    /** @return list<array{int, float, float}> Abramowitz & Stegun, table 26.10, percentage points of t: one-sided p */
    public static function published(): array
    {
        return [
            [1, 0.75, 1.000], [1, 0.95, 6.314], [1, 0.99, 31.821], [2, 0.90, 1.886], [2, 0.975, 4.303],
            [3, 0.95, 2.353], [3, 0.995, 5.841], [4, 0.99, 3.747], [5, 0.95, 2.015], [5, 0.995, 4.032],
            [8, 0.90, 1.397], [8, 0.99, 2.896], [10, 0.95, 1.812], [10, 0.995, 3.169], [15, 0.975, 2.131],
            [20, 0.99, 2.528], [30, 0.95, 1.697], [40, 0.99, 2.423], [60, 0.975, 2.000], [120, 0.995, 2.617],
        ];
    }

    #[DataProvider('published')]
    public function test_quantiles_are_the_published_ones(int $freedom, float $p, float $published): void
    {
        $t = new StudentT($freedom);
        self::assertEqualsWithDelta($published, $t->quantile($p), 0.00051);
        self::assertEqualsWithDelta(-$published, $t->quantile(1 - $p), 0.00051);
        self::assertEqualsWithDelta($p, $t->below($t->quantile($p)), 1e-11);
    }

    /** Density, distribution and the two means against sums over a fine grid. */
    #[Group('wide')]
    public function test_distribution_and_means_are_integrals_of_the_density(): void
    {
        foreach ([3, 4, 7, 12] as $freedom) {
            $t = new StudentT($freedom);
            foreach ([-1.5, 0.0, 0.8, 2.2] as $at) {
                $step = 0.002;
                $mass = $shortfall = $above = 0.0;
                for ($x = $at - 400 + $step / 2; $x < $at; $x += $step) {
                    $mass += $t->density($x) * $step;
                    $shortfall += ($at - $x) * $t->density($x) * $step;
                }
                for ($x = $at + $step / 2; $x < $at + 400; $x += $step) {
                    $above += $x * $t->density($x) * $step;
                }
                self::assertEqualsWithDelta($mass, $t->below($at), 1e-4);
                self::assertEqualsWithDelta($shortfall, $t->meanShortfallTo($at), 1e-3);
                self::assertEqualsWithDelta($above / (1 - $t->below($at)), $t->meanAbove($at), 1e-3);
            }
        }
    }

    public function test_far_out_the_mean_beyond_is_finite(): void
    {
        self::assertEqualsWithDelta(1e9 * 50 / 49, (new StudentT(50))->meanAbove(1e9), 1e3);
    }

    public function test_outside_its_range_it_refuses(): void
    {
        $this->expectExceptionMessage('Probability 1');
        (new StudentT(4))->quantile(1.0);
    }
}
