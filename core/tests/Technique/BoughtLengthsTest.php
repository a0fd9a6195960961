<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\TestCase;

/** Cord and ball chain with their bought ends, and the paddle that is pierced. Figures worked by hand. */
final class BoughtLengthsTest extends TestCase
{
    /** @param  array<string, string|int>  ...$changes */
    private static function plan(string $pattern, array ...$changes): Plan
    {
        return Planner::plan(Some::changed(Patterns::start($pattern, 'Bought'), ...$changes), new Profile);
    }

    /** @return array{do: string, part: string, key: string, value: string} */
    private static function set(string $part, string $key, string $value): array
    {
        return ['do' => 'part.set', 'part' => $part, 'key' => $key, 'value' => $value];
    }

    /** @return array<string, Finding> by what it is called in stock */
    private static function findings(Plan $plan): array
    {
        $findings = [];
        foreach ($plan->findings as $finding) {
            $findings[$finding->stock] = $finding;
        }

        return $findings;
    }

    private static function check(Plan $plan, string $rule): ?Check
    {
        foreach ($plan->checks as $check) {
            if ($check->rule === $rule) {
                return $check;
            }
        }

        return null;
    }

    /** @return list<string> */
    private static function titles(Plan $plan): array
    {
        return array_map(fn (Step $step): string => $step->title, $plan->steps());
    }

    /**
     * 404 mm seen and 8 into each end: 420 mm of cord, two caps; what is threaded takes none of it. Of leather 2 mm
     * thick, π/4 · 4 · 420 · 0.95/1000 = 1.2535 g.
     */
    public function test_cord_takes_what_is_seen_and_what_goes_into_its_ends(): void
    {
        $plan = self::plan('corded-pendant');
        $found = self::findings($plan);
        self::assertEqualsWithDelta(420.0, $found['ink leather cord 2 mm']->taken(), 1e-9);
        self::assertSame(2, $found['cord cap 2 mm inside, sterling silver']->all);
        self::assertSame([], array_filter($plan->cuts, fn ($cut): bool => str_contains($cut->label, 'Cord')));
        $bare = self::plan('corded-pendant', ...array_fill(0, 3, ['do' => 'bead.remove', 'part' => 'p3', 'at' => 0]));
        self::assertEqualsWithDelta($plan->hangsMm(), $bare->hangsMm(), 1e-9);
        $thicker = self::plan('corded-pendant', ['do' => 'wire', 'role' => 'cord', 'size' => '3 mm']);
        self::assertSame(Level::Stop, self::check($thicker, 'hole')?->level, 'a hole of 2.6 mm passes no 3 mm cord');
        self::assertArrayHasKey('ink leather cord 3 mm', self::findings($thicker));
    }

    /** The first end, then what slides, then the other end; glue sets as long as its own sheet says. */
    public function test_what_slides_on_goes_on_before_the_other_end(): void
    {
        $titles = self::titles(self::plan('corded-pendant'));
        $order = array_values(array_filter($titles, fn (string $title): bool => str_starts_with($title, 'Cord:')));
        self::assertSame([
            'Cord: cut the cord', 'Cord: glue the first cap on', 'Cord: let it set', 'Cord: thread what slides on it',
            'Cord: glue the other cap on', 'Cord: let it set',
        ], $order);
        $pressed = self::plan('corded-pendant', self::set('p3', 'ends', 'pressed'));
        self::assertContains('Cord: press the first end', self::titles($pressed));
        self::assertArrayHasKey('crimp end 2 mm inside, sterling silver', self::findings($pressed));
        $short = self::plan('corded-pendant', self::set('p3', 'long', '18 mm'));
        self::assertStringContainsString('3 mm longer than the cord', (string) self::check($short, 'room')?->text);
    }

    /**
     * 124 balls a pitch of 3.3 apart hang 125 pitches between the connectors, 412.5 mm, and each connector takes a ball
     * more: 126 · 3.3 = 415.8 mm of chain. A length says the nearest whole ball: 200 mm are 61 of them.
     */
    public function test_ball_chain_is_counted_by_its_balls(): void
    {
        $plan = self::plan('ball-chain-pendant');
        $found = self::findings($plan);
        self::assertEqualsWithDelta(415.8, $found['ball chain, 2.4 mm balls, yellow brass']->taken(), 1e-9);
        self::assertSame(2, $found['connector for 2.4 mm ball chain, yellow brass']->all);
        self::assertStringContainsString('hang 412.5 mm', (string) self::check($plan, 'chain')?->text);
        $more = self::plan('ball-chain-pendant', self::set('p3', 'balls', '134'));
        self::assertEqualsWithDelta(33.0, $more->hangsMm() - $plan->hangsMm(), 0.01, 'ten balls more');
        $length = Some::changed(Patterns::start('ball-chain-pendant', 'By length'), self::set('p3', 'balls', '200 mm'));
        self::assertSame(61, $length->parts[2]->count('balls'));
        $apart = self::plan('ball-chain-pendant', self::set('p3', 'pitch', '2 mm'));
        self::assertSame(Level::Stop, self::check($apart, 'balls')?->level);
    }

    /** What hangs in its middle hangs there however many balls it has; in a short one after any ball. */
    public function test_something_hangs_about_ball_chain(): void
    {
        foreach (['124', '125', '300'] as $balls) {
            $plan = self::plan('ball-chain-pendant', self::set('p3', 'balls', $balls));
            self::assertNull(self::check($plan, 'nothing to hang from'), $balls);
        }
        $short = self::plan(
            'ball-chain-pendant', self::set('p3', 'balls', '50'),
            ['do' => 'part.hang', 'part' => 'p6', 'on' => 'p3/after-12'],
        );
        self::assertNull(self::check($short, 'nothing to hang from'));
        $gone = self::plan('ball-chain-pendant', ['do' => 'part.hang', 'part' => 'p6', 'on' => 'p3/after-12']);
        self::assertSame(Level::Stop, self::check($gone, 'nothing to hang from')?->level);
    }

    /**
     * 14 AWG, 1.6277 mm, hammered to 0.6: min(1.02 · 1.6277 · (1.6277/0.6)^0.45, 0.6 + π/4(1.6277² − 0.6²)/0.6) = 2.601
     * wide. A hole of 1.1 leaves 0.75 on either side; one of 2 leaves 0.3, less than half of it, and is warned of; one
     * of
     * 2.5 leaves nothing to speak of.
     */
    public function test_a_pierced_paddle_must_not_tear(): void
    {
        self::assertNull(self::check(self::plan('pierced-paddle'), 'pierced'));
        $wide = self::plan('pierced-paddle', self::set('p2', 'pierced', '2 mm'));
        self::assertSame(Level::Warn, self::check($wide, 'pierced')?->level);
        self::assertStringContainsString('only 0.3 mm of the paddle', (string) self::check($wide, 'pierced')?->text);
        $through = self::plan('pierced-paddle', self::set('p2', 'pierced', '2.5 mm'));
        $check = self::check($through, 'pierced');
        self::assertSame(Level::Stop, $check?->level);
        $mended = Some::changed($through->piece, ($check->ways[0] ?? throw new \LogicException('No way out.'))->change);
        self::assertNull(self::check(Planner::plan($mended, new Profile), 'pierced'));
    }

    /** Through a hole of 1.1 a ring of 18 AWG has too little room; unpierced, nothing can hang there. */
    public function test_what_hangs_in_it_must_pass_the_hole(): void
    {
        $plan = self::plan('pierced-paddle', ['do' => 'wire', 'role' => 'ring', 'size' => '16 awg']);
        $stops = array_filter($plan->checks, fn (Check $check): bool => $check->level === Level::Stop);
        self::assertStringContainsString(
            'hole in the drop’s foot', implode(' ', array_map(fn (Check $check): string => $check->text, $stops)),
        );
        $whole = self::plan('pierced-paddle', self::set('p2', 'pierced', '0 mm'));
        self::assertSame(Level::Stop, self::check($whole, 'nothing to hang from')?->level);
        self::assertStringContainsString('pierce it', implode(' ', self::titles(self::plan('pierced-paddle'))));
    }
}
