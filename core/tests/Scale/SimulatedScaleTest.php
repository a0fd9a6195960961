<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Scale;

use Hebra\Core\Scale\SimulatedScale;
use PHPUnit\Framework\TestCase;

final class SimulatedScaleTest extends TestCase
{
    public function test_it_rises_settles_and_stays_near_the_load(): void
    {
        $scale = new SimulatedScale(12_340);
        self::assertLessThan(6000, $scale->reading(0.2)->milligrams);
        self::assertFalse($scale->reading(1.0)->isSettled);
        for ($at = 2.6; $at < 30; $at += 0.7) {
            $reading = $scale->reading($at);
            self::assertTrue($reading->isSettled);
            self::assertEqualsWithDelta(12_340, $reading->milligrams, 60, "at {$at} s");
            self::assertSame(0, $reading->milligrams % SimulatedScale::STEP_MG);
        }
    }

    public function test_the_tare_is_taken_off_and_the_same_moment_shows_the_same(): void
    {
        self::assertEqualsWithDelta(2340, (new SimulatedScale(12_340, 10_000))->reading(5.0)->milligrams, 30);
        self::assertEquals(
            (new SimulatedScale(800, 0, 7))->reading(1.23),
            (new SimulatedScale(800, 0, 7))->reading(1.23),
        );
    }

    public function test_it_is_away_now_and_then(): void
    {
        $away = 0;
        for ($at = 0.0; $at < 90.0; $at += 0.5) {
            $reading = (new SimulatedScale(5000))->reading($at);
            $away += $reading->isConnected ? 0 : 1;
            self::assertTrue($reading->isConnected || ! $reading->isSettled, 'what does not answer is not settled');
        }
        self::assertEqualsWithDelta(8, $away, 1, 'two seconds in forty-five');
    }
}
