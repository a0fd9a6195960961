<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Bend\SlitEnd;
use Hebra\Core\Course\Crowding;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** A ring whose shank ends in tendrils that take beads. */
final class TendrilRingTest extends TestCase
{
    /** @param  array<string, string>  $settings */
    private static function plan(array $settings = []): Plan
    {
        $piece = Patterns::start('tendril-ring-four', 'One');
        foreach ($settings as $key => $value) {
            $piece = Some::changed($piece, ['do' => 'part.set', 'part' => 'p1', 'key' => $key, 'value' => $value]);
        }

        return Planner::plan($piece, new Profile);
    }

    /** @return list<string> */
    private static function said(Plan $plan, Level ...$levels): array
    {
        return array_values(array_map(
            fn (Check $check): string => $check->text,
            array_filter($plan->checks, fn (Check $check): bool => in_array($check->level, $levels, true)),
        ));
    }

    /**
     * Half-round of 3 × 1.5 mm: π·1.5²/2 = 3.534 mm²; 4 mm wide it is 0.884 thick, and two tendrils (4 − 0.3)/2
     * = 1.85.
     */
    public function test_what_is_spread_keeps_its_metal(): void
    {
        $end = new SlitEnd(M_PI * 1.5 ** 2 / 2, 4.0, 2);
        self::assertEqualsWithDelta(0.8836, $end->thicknessMm(), 1e-4);
        self::assertEqualsWithDelta(1.85, $end->tendrilMm(), 1e-9);
        self::assertEqualsWithDelta(2.050, $end->passesMm(), 1e-3);
        // Three of 0.8 and two saw cuts of 0.3 are 3, four and three 4.1.
        self::assertSame([3, 4], [$end->most(), (new SlitEnd(3.534, 4.1, 2))->most()]);
    }

    /**
     * Neutral axis of half-round 3 × 1.5: 2 · 4·1.5/3π = 1.2732; π(17.3 + 1.2732) − 7 + 2 · 20 = 91.35; 1 for
     * beads that vary.
     */
    public function test_the_shank_is_cut_once_with_both_slits(): void
    {
        $plan = self::plan();
        self::assertCount(1, $plan->cuts);
        self::assertEqualsWithDelta(92.35, $plan->cuts[0]->lengthMm(), 0.01);
        self::assertSame(4, $plan->parts()['p1']->beadCount());
        // Every tendril is as long as the slit is deep.
        foreach ($plan->parts()['p1']->technique->courses($plan->parts()['p1']) as $at => $course) {
            $mm = array_sum(array_map(fn ($curve): float => $curve->lengthMm(), $course->curves()));
            self::assertEqualsWithDelta($at === 0 ? 91.35 : 20.0, $mm, 0.005 * $mm, $course->label);
        }
    }

    public function test_its_beads_have_room_and_stand_off_the_finger(): void
    {
        $part = self::plan()->parts()['p1'];
        self::assertSame([], Crowding::of($part->technique->courses($part)));
        self::assertSame([], self::said(self::plan(), Level::Stop, Level::Warn));
        self::assertStringContainsString('off the finger', implode(' ', self::said(self::plan(), Level::Note)));
        self::assertStringContainsString(
            'in each other', implode(' ', self::said(self::plan(['gap' => '0.5']), Level::Warn)),
        );
    }

    #[Group('wide')]
    public function test_what_tears_cracks_or_does_not_pass_is_said(): void
    {
        $stops = fn (array $settings): string => implode(' ', self::said(self::plan($settings), Level::Stop));
        self::assertStringContainsString(
            '4 tendrils of an end 3.5 mm wide are 0.65 mm each: under 0.8 mm they tear.',
            $stops(['flared' => '3.5', 'tendrils' => '4']),
        );
        self::assertStringContainsString('narrower than the wire, 3 mm', $stops(['flared' => '2']));
        self::assertStringContainsString('a tendril of 2.85 mm × 0.6 mm wants 2.9 mm', $stops(['flared' => '6']));
        self::assertStringContainsString('a curl that holds them takes', $stops(['slit' => '9']));
        self::assertStringContainsString(
            'they crack where they curl',
            implode(' ', self::said(self::plan(['flared' => '10', 'tendrils' => '4']), Level::Warn)),
        );
    }

    public function test_it_is_flared_slit_bent_and_then_curled(): void
    {
        self::assertSame(
            [
                'flare the ends', 'slit the ends', 'bend it round', 'first end, tendril 1', 'first end, tendril 2',
                'second end, tendril 1', 'second end, tendril 2', 'true it up',
            ],
            array_map(
                fn (Step $step): string => explode(': ', $step->title)[1], array_slice(self::plan()->steps(), 0, 8),
            ),
        );
        self::assertCount(12, array_filter(
            self::plan(['tendrils' => '4', 'flared' => '5'])->steps(),
            fn (Step $step): bool => str_starts_with($step->title, 'Ring with tendrils'),
        ));
    }
}
