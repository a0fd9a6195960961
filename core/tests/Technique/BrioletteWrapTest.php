<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Segment;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\TestCase;

/** A bead hung by a hole across its upper end, and what hangs in its second hole. */
final class BrioletteWrapTest extends TestCase
{
    /** @param  array<string, string>  ...$changes */
    private static function plan(string $pattern, array ...$changes): Plan
    {
        return Planner::plan(self::piece($pattern, ...$changes), new Profile);
    }

    /** @param  array<string, string>  ...$changes */
    private static function piece(string $pattern, array ...$changes): Piece
    {
        return Some::changed(Patterns::start($pattern, 'One'), ...$changes);
    }

    private static function cut(Plan $plan): Cut
    {
        return array_values(array_filter($plan->cuts, fn (Cut $cut): bool => $cut->label === 'Briolette wrap'))[0];
    }

    /** @return list<string> */
    private static function stops(Plan $plan): array
    {
        return array_values(array_map(
            fn (Check $check): string => $check->text,
            array_filter($plan->checks, fn (Check $check): bool => $check->level === Level::Stop),
        ));
    }

    /**
     * A drop of 9 × 15 with a hole of 0.9 in 24 AWG, 0.5106 mm. The hole lies 0.45 + 1.5 = 1.95 below the tip, where an
     * ellipse is 9 · √(1 − (1 − 2 · 1.95/15)²) = 6.0534 wide and a drop four tenths of it, 2.4214. Through it 2.9320;
     * each leg √(1.4660² + 2.2053²) = 2.6481; two wraps of the short end 2 · √((π · 1.0212)² + 0.5106²) = 6.4971, their
     * room 1.0212; neck of three wraps 1.5318; loop π · 3.0106 = 9.4581; wraps 9.7457; held 10 at both ends.
     */
    public function test_a_drop_is_cut_as_worked_by_hand(): void
    {
        $plan = self::plan('tip-drop');
        self::assertSame([], self::stops($plan));
        $cut = self::cut($plan);
        self::assertEqualsWithDelta(
            10 + 6.4971 + 2.6481 + 2.9320 + 2.6481 + 1.0212 + 1.5318 + 9.4581 + 9.7457 + 10, $cut->lengthMm(), 0.01,
        );
        self::assertSame(
            [
                'tail', '2 wraps', 'short leg', 'through the hole', 'long leg', 'room for the short end', 'neck',
                'loop', '3 wraps', 'tail',
            ],
            array_map(fn (Segment $segment): string => $segment->words, $cut->segments),
        );
    }

    /** The short end stands out by its leg, its wraps and what the fingers hold: 2.65 + 6.50 + 10 = 19.1 mm. */
    public function test_the_short_end_is_told_and_wrapped_before_the_loop_is_turned(): void
    {
        $steps = array_values(array_filter(
            self::plan('tip-drop')->steps(), fn (Step $step): bool => str_starts_with($step->title, 'Briolette wrap:'),
        ));
        self::assertSame([
            'Briolette wrap: through the hole', 'Briolette wrap: bend both ends up',
            'Briolette wrap: wrap the short end',
            'Briolette wrap: turn the loop', 'Briolette wrap: hook it on first', 'Briolette wrap: wrap the loop shut',
            'Briolette wrap: trim and tuck',
        ], array_column($steps, 'title'));
        self::assertMatchesRegularExpression('/until 19(\.\d)? mm stand out/', $steps[0]->text);
        self::assertSame(2, $steps[2]->count);
    }

    /** A tile does not taper: its legs go up its sides and over: 13/4 + 0.2553 and (4 + 0.5106)/2. */
    public function test_round_a_tile_the_legs_go_square(): void
    {
        $plan = self::plan('second-hole');
        $legs = array_values(array_filter(
            self::cut($plan)->segments, fn (Segment $segment): bool => str_ends_with($segment->words, 'leg'),
        ));
        self::assertEqualsWithDelta(3.25 + 0.2553 + 2.2553, $legs[0]->lengthMm, 0.002);
    }

    /**
     * Over a ball of 10 with its hole 1.5 below the top, the wire's middle lies on a circle of 5.2553: from where it
     * comes out, (7.1414 + 0.5106)/2 = 3.826 aside, an arc of 5.2553 · asin(3.826/5.2553) = 4.287 (geometry).
     */
    public function test_over_a_ball_the_legs_lie_round(): void
    {
        $plan = self::plan(
            'tip-drop', ['do' => 'bead.swap', 'part' => 'p3', 'at' => '0', 'bead' => '10mm round, top-drilled, hole 1'],
        );
        $legs = array_values(array_filter(
            self::cut($plan)->segments, fn (Segment $segment): bool => str_ends_with($segment->words, 'leg'),
        ));
        self::assertEqualsWithDelta(4.287, $legs[0]->lengthMm, 0.09);
    }

    /** A ring of 5 mm cannot turn in the tile's second hole, 4 mm long and 2.35 from its edge; one of 8.5 does. */
    public function test_what_hangs_in_the_second_hole_must_pass_it_and_turn(): void
    {
        self::assertSame([], self::stops(self::plan('second-hole')));
        $stops = self::stops(
            self::plan('second-hole', ['do' => 'part.set', 'part' => 'p3', 'key' => 'inside', 'value' => '5 mm'])
        );
        self::assertCount(1, $stops);
        self::assertStringContainsString('second hole, 4 mm long', $stops[0]);
        $plan = self::plan('second-hole');
        $hooks = array_filter($plan->steps(), fn (Step $step): bool => str_contains($step->text, 'the second hole'));
        self::assertNotSame([], $hooks);
    }

    /** A drop alone has no second hole: what is added below it hangs beside it. */
    public function test_a_drop_ends_the_line(): void
    {
        $piece = self::piece('tip-drop', ['do' => 'part.add', 'technique' => 'head-pin', 'at' => '3']);
        self::assertSame('p2/bottom', $piece->parts[3]->on?->text());
        $alone = self::piece('tip-drop', ['do' => 'part.add', 'technique' => 'briolette-wrap', 'at' => '1']);
        self::assertSame('top', $alone->beads[$alone->parts[1]->beads[0]->bead]->drilling->value);
    }

    public function test_it_holds_one_bead_and_that_by_a_hole_across_it(): void
    {
        $none = self::plan('tip-drop', ['do' => 'bead.remove', 'part' => 'p3', 'at' => '0']);
        self::assertStringContainsString('give it one', implode(' ', self::stops($none)));
        $two = self::plan('tip-drop', ['do' => 'bead.count', 'part' => 'p3', 'at' => '0', 'count' => '2']);
        self::assertStringContainsString('holds one bead, and 2', implode(' ', self::stops($two)));
        $along = self::plan(
            'tip-drop', ['do' => 'bead.swap', 'part' => 'p3', 'at' => '0', 'bead' => '9 x 15mm drop, hole 0.9'],
        );
        $drilled = array_values(array_filter($along->checks, fn (Check $check): bool => $check->rule === 'drilling'));
        self::assertCount(1, $drilled);
        self::assertSame('One drilled across the top', $drilled[0]->ways[0]->words);
        self::assertSame([], self::stops(Planner::plan($drilled[0]->ways[0]->change->apply(
            self::piece(
                'tip-drop', ['do' => 'bead.swap', 'part' => 'p3', 'at' => '0', 'bead' => '9 x 15mm drop, hole 0.9'],
            ),
        ), new Profile)));
    }

    /** Strung on a pin by mistake, it is offered to hang by its hole instead. */
    public function test_a_top_drilled_drop_on_a_pin_is_offered_its_wrap(): void
    {
        $piece = Some::changed(
            Patterns::start('single-drop', 'One'), ['do' => 'bead.remove', 'part' => 'p2', 'at' => '1'],
            ['do' => 'bead.swap', 'part' => 'p2', 'at' => '0', 'bead' => '9 x 15mm drop, top-drilled, sky'],
        );
        $ways = array_merge(...array_map(
            fn (Check $check): array => $check->rule === 'drilling' ? $check->ways : [],
            Planner::plan($piece, new Profile)->checks,
        ));
        self::assertSame(['Hang it by its hole', 'One drilled lengthwise'], array_column($ways, 'words'));
        $after = $ways[0]->change->apply($piece);
        self::assertSame(['ear-wire', 'briolette-wrap'], array_column($after->parts, 'technique'));
        self::assertSame([], self::stops(Planner::plan($after, new Profile)));
    }

    /**
     * Of a ball of 10 with a hole of 1 across its top, 1.5 below it: 10 · √(1 − 0.7²) = 7.1414; of a tube its
     * width.
     */
    public function test_a_hole_across_is_as_long_as_the_bead_is_wide_there(): void
    {
        self::assertEqualsWithDelta(7.1414, Bead::parse('10mm round, top-drilled, hole 1')->holeLengthMm(), 0.001);
        self::assertEqualsWithDelta(4.0, Bead::parse('4 x 12mm tube, top-drilled, hole 1')->holeLengthMm(), 1e-9);
        self::assertEqualsWithDelta(12.0, Bead::parse('4 x 12mm tube, hole 1')->holeLengthMm(), 1e-9);
    }
}
