<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\TestCase;

/**
 * No two wires stand in the same place, as far as that holds by now: what still presses is kept, and may only fall.
 * Plain eyes end in their own necks by up to 0.42 of their wire: the trade's rule, π(D + d), is so much longer than a
 * wire that closes against its neck.
 */
final class TubesTest extends TestCase
{
    private const KEPT = __DIR__.'/fixtures/pressed.json';

    /** Of a thickness: the same, and so much better that it is to be kept. */
    private const SAME = 0.02;

    private const FALLEN = 0.1;

    /** @return array<string, array<string, float>> of each technique, what presses most */
    private static function pressed(): array
    {
        $pressed = [];
        foreach (Everything::parts(0) as $plan) {
            foreach (Tubes::pressed($plan) as $words => $into) {
                $of = $plan->part->technique;
                $pressed[$of][$words] = max($pressed[$of][$words] ?? 0.0, round($into, 2));
            }
        }
        ksort($pressed);

        return $pressed;
    }

    public function test_what_presses_into_each_other_only_falls(): void
    {
        $now = self::pressed();
        if (getenv('HEBRA_KEEP_LIKENESS') === '1') {
            file_put_contents(self::KEPT, json_encode($now, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n");
        }
        /** @var array<string, array<string, float>> $kept */
        $kept = json_decode((string) file_get_contents(self::KEPT), true, 8, JSON_THROW_ON_ERROR);
        foreach ($now as $technique => $pairs) {
            foreach ($pairs as $words => $into) {
                $most = $kept[$technique][$words] ?? 0.1;
                self::assertLessThanOrEqual($most + self::SAME, $into, "{$technique}, {$words} stand in each other");
                self::assertGreaterThan($most - self::FALLEN, $into, "{$technique}, {$words}: better, keep it so");
            }
        }
        foreach ($kept as $technique => $pairs) {
            self::assertSame([], array_diff_key($pairs, $now[$technique] ?? []), "{$technique}: mended, take it out");
        }
    }

    /** What is wrapped shut only touches itself; a plain eye ends in its own wire. */
    public function test_a_wrapped_link_only_touches_itself(): void
    {
        $piece = Patterns::start('link-and-drop', 'One');
        foreach ($piece->parts as $part) {
            $into = max([0.0, ...array_values(Tubes::pressed(PartPlan::of($piece, $part, new Profile)))]);
            self::assertLessThan($part->technique === 'ear-wire' ? 0.43 : 0.15, $into, $part->technique);
        }
    }
}
