<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Bend;

use Hebra\Core\Bend\Loop;
use Hebra\Core\Bend\WrappedLoop;
use Hebra\Core\Wire\WireSize;
use PHPUnit\Framework\TestCase;

final class LoopTest extends TestCase
{
    /** Common practice: an eye on 20 AWG uses about 10 mm. */
    public function test_an_eye_on_20_awg_takes_about_a_centimetre(): void
    {
        self::assertEqualsWithDelta(10.0, Loop::lengthMm(2.4, WireSize::awg(20)->diameterMm()), 0.5);
    }

    /** Common practice: on 24 AWG a small loop with two wraps takes about an inch an end, the tail included. */
    public function test_an_end_in_fine_wire_takes_about_an_inch(): void
    {
        $wire = WireSize::awg(24)->diameterMm();
        self::assertEqualsWithDelta(25.4, (new WrappedLoop($wire, 2.0, 2, $wire, 10.0))->totalMm(), 2.0);
    }

    /** Common practice: a 22 AWG link with three wraps and a bead of 8 to 10 mm leaves 35 to 50 mm of four inches. */
    public function test_a_link_out_of_four_inches_leaves_what_makers_know(): void
    {
        $wire = WireSize::awg(22)->diameterMm();
        foreach ([8.0, 9.0, 10.0] as $bead) {
            $left = 4 * 25.4 - $bead - 2 * (new WrappedLoop($wire, 2.5, 3, $wire))->totalMm();
            self::assertGreaterThan(35.0, $left);
            self::assertLessThan(50.0, $left);
        }
    }

    /** Worked by hand: d = 0.5, D = 2, N = 2, s = 1: neck 1; loop 2.5π; wraps 2√((1.5π)² + 0.25). */
    public function test_a_wrapped_loop_by_its_stretches(): void
    {
        $loop = new WrappedLoop(0.5, 2.0, 2, 1.0, 7.0);
        self::assertEqualsWithDelta(1.0, $loop->neckMm(), 1e-12);
        self::assertEqualsWithDelta(7.853982, $loop->loopMm(), 1e-6);
        self::assertEqualsWithDelta(9.477676, $loop->wrapsMm(), 1e-5);
        self::assertEqualsWithDelta(1.0 + 7.853982 + 9.477676 + 7.0, $loop->totalMm(), 1e-5);
        self::assertEqualsWithDelta(3.5, $loop->reachMm(), 1e-12);
    }

    /** One turn of a helix of radius r and pitch p, integrated numerically, is the closed form. */
    public function test_a_wrap_is_the_arc_length_of_a_helix(): void
    {
        [$wire, $stem] = [0.64, 0.81];
        $sum = 0.0;
        $steps = 20_000;
        $r = ($stem + $wire) / 2;
        for ($i = 0; $i < $steps; $i++) {
            [$a, $b] = [2 * M_PI * $i / $steps, 2 * M_PI * ($i + 1) / $steps];
            $sum += sqrt(($r * (cos($b) - cos($a))) ** 2 + ($r * (sin($b) - sin($a))) ** 2 + ($wire / $steps) ** 2);
        }
        self::assertEqualsWithDelta($sum, (new WrappedLoop($wire, 2, 1, $stem))->wrapMm(), 1e-5);
    }

    public function test_without_wraps_it_is_a_plain_eye(): void
    {
        $eye = new WrappedLoop(0.8, 2.4, 0, 0.8);
        self::assertSame(0.0, $eye->neckMm() + $eye->wrapsMm());
        self::assertEqualsWithDelta(Loop::lengthMm(2.4, 0.8), $eye->totalMm(), 1e-12);
    }
}
