<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Hand;

use Hebra\Core\Hand\Consistency;
use PHPUnit\Framework\TestCase;

final class ConsistencyTest extends TestCase
{
    public function test_fewer_than_three_say_nothing(): void
    {
        self::assertNull(Consistency::of([0.1, 0.2]));
    }

    /**
     * 0.1, −0.1, 0.0, 0.2, 0.3: mean 0.1, Σ(x − 0.1)² = 0.10, s = √0.025 = 0.158114; slope (−2·0 − 1·−0.2 + 0 + 1·0.1 +
     * 2·0.2)/10 = 0.07; by hand.
     */
    public function test_worked_by_hand(): void
    {
        $of = Consistency::of([0.1, -0.1, 0.0, 0.2, 0.3]);
        self::assertNotNull($of);
        self::assertEqualsWithDelta(0.1, $of->offMm, 1e-12);
        self::assertEqualsWithDelta(0.158114, $of->spreadMm, 1e-6);
        self::assertEqualsWithDelta(0.07, $of->driftMm, 1e-12);
        // Its error is √((0.10 − 0.049)/3)/√10 = 0.041231; t of 3 at 97.5 % is 3.182 (Abramowitz & Stegun, table
        // 26.10): 0.131 is more.
        self::assertFalse($of->isDrifting);
        // t of 4 at 90 % is 1.533.
        self::assertEqualsWithDelta(M_SQRT2 * 0.158114 * 1.533, $of->pairMm, 1e-4);
    }

    public function test_a_drift_is_told_from_chance(): void
    {
        self::assertTrue(Consistency::of([0.0, 0.05, 0.11, 0.14, 0.21, 0.24, 0.31])->isDrifting ?? false);
        self::assertFalse(Consistency::of([0.1, 0.1, 0.1, 0.1])->isDrifting ?? true);
        $makers = new Makers(3);
        $drifting = $wide = 0;
        for ($run = 0; $run < 2000; $run++) {
            $of = Consistency::of(array_map(fn (): float => $makers->normal(0.02, 0.08), range(1, 10)));
            $drifting += $of !== null && $of->isDrifting ? 1 : 0;
            $wide += $of !== null && abs($makers->normal(0, 0.08) - $makers->normal(0, 0.08)) > $of->pairMm ? 1 : 0;
        }
        self::assertEqualsWithDelta(0.05, $drifting / 2000, 0.015, 'one in twenty by chance');
        self::assertEqualsWithDelta(0.20, $wide / 2000, 0.03, 'one pair in five differs by more');
    }
}
