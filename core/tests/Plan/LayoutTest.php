<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Figure\Drawn;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Where parts lie in the drawing, and how long a line of them is. */
final class LayoutTest extends TestCase
{
    private static function plan(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile);
    }

    private static function length(Plan $plan): Check
    {
        return array_values(array_filter($plan->checks, fn (Check $check): bool => $check->rule === 'length'))[0];
    }

    /**
     * Turned by a quarter clockwise in an eye, what hung 10 below it lies 10 to its left; a quarter more at that end,
     * and it points up.
     */
    public function test_a_pose_turns_about_the_eye(): void
    {
        $pose = (new Pose)->below(new Placement(20.0, true, 3.0), 90.0);
        self::assertEqualsWithDelta([3.0, 20.0], $pose->at(0.0, 0.0), 1e-9);
        self::assertEqualsWithDelta([-7.0, 20.0], $pose->at(0.0, 10.0), 1e-9);
        self::assertEqualsWithDelta([-7.0, 10.0], $pose->below(new Placement(10.0, true), 90.0)->at(0.0, 10.0), 1e-9);
    }

    /**
     * Laid round, a chain of equal links is a regular polygon: bead middles lie on one circle, and its length is that
     * laid straight.
     */
    public function test_a_bracelet_is_laid_round(): void
    {
        $piece = Some::changed(
            Patterns::start('linked-bracelet', 'Round'),
            ['do' => 'group.set', 'group' => 'g1', 'count' => '12'],
        );
        $plan = self::plan($piece);
        self::assertTrue($plan->isLaidRound());
        self::assertLessThan(
            $plan->hangsMm() / 2,
            $plan->assembly()->heightMm(),
            'round, it is about a third as high as long',
        );
        $middles = array_values(
            array_map(
                fn (BeadMark $mark): array => [$mark->xMm, $mark->topMm + $mark->bead->lengthMm / 2],
                array_filter($plan->figure()->beads, fn (BeadMark $mark): bool => $mark->bead->colour === 'moss'),
            ),
        );
        self::assertCount(12, $middles);
        $steps = [];
        for ($at = 1; $at < 12; $at++) {
            $steps[] = hypot($middles[$at][0] - $middles[$at - 1][0], $middles[$at][1] - $middles[$at - 1][1]);
        }
        self::assertEqualsWithDelta(max($steps), min($steps), 0.001);
        foreach ($plan->figure()->strokes as $stroke) {
            foreach ($stroke->path as $command) {
                self::assertGreaterThanOrEqual(
                    0.0,
                    Stroke::end($command)[1],
                    'nothing above the top',
                );
            }
        }
    }

    /**
     * Whatever the wrist or neck, the first way offered brings the piece to it, within what still fits; where whole
     * repeats alone do, it is they.
     */
    public function test_repeats_are_solved_for_a_length(): void
    {
        foreach ([
            'linked-bracelet' => 'wrist', 'ring-chain' => 'wrist', 'mirrored-necklace' => 'neck',
        ] as $pattern => $kind) {
            foreach ($kind === 'wrist' ? ['140 mm', '165 mm', '210 mm'] : ['380 mm', '457 mm', '610 mm'] as $size) {
                $piece = Some::changed(
                    Patterns::start($pattern, 'Solved'),
                    ['do' => 'fit', 'kind' => $kind, 'fit' => $size],
                );
                $plan = self::plan($piece);
                $reach = $plan->reach();
                self::assertNotNull($reach);
                $nearest = $reach->nearest();
                self::assertNotNull($nearest);
                $check = self::length($plan);
                $done = $check->ways === [] ? $plan : self::plan(Some::changed($piece, $check->ways[0]->change));
                self::assertTrue($done->reach()?->fits(), "{$pattern} for {$size}");
                self::assertSame([], self::length($done)->ways);
                if (! $reach->fits() && abs($reach->lengthAt($nearest) - $reach->wantsMm) <= $reach->toleranceMm()) {
                    self::assertEqualsWithDelta(
                        $reach->lengthAt($nearest),
                        $done->hangsMm(),
                        0.01,
                        "{$pattern} for {$size}",
                    );
                }
            }
        }
    }

    /** The two halves of a necklace change together: what is asked for once is done to both. */
    public function test_halves_stay_alike(): void
    {
        $piece = Some::changed(
            Patterns::start('mirrored-necklace', 'Halves'),
            ['do' => 'fit', 'kind' => 'neck', 'fit' => '600 mm'],
        );
        $done = Some::changed($piece, self::length(self::plan($piece))->ways[0]->change);
        self::assertGreaterThan($piece->groups['g1']->repeat, $done->groups['g1']->repeat);
        self::assertSame($done->groups['g1']->repeat, $done->groups['g2']->repeat);
    }

    /** A clasp at one end, a ring at the other: what has to go through, what the hook holds, what keeps a bar in. */
    public function test_a_clasp_passes_its_ring_and_holds(): void
    {
        $clasp = fn (string $pattern, array ...$changes): array => array_values(
            array_map(
                fn (Check $check): array => [$check->level->value, $check->text],
                array_filter(
                    self::plan(Some::changed(Patterns::start($pattern, 'Clasp'), ...$changes))->checks,
                    fn (Check $check): bool => $check->rule === 'clasp',
                ),
            ),
        );
        self::assertSame([['ok', 'The hook passes the ring, 7 mm inside, and holds.']], $clasp('linked-bracelet'));
        self::assertSame(
            'stop',
            $clasp(
                'linked-bracelet',
                ['do' => 'part.set', 'part' => 'p4', 'key' => 'inside', 'value' => '1.2 mm'],
            )[0][0],
            '1.5 × 1.02 mm of hook do not pass 1.2',
        );
        self::assertSame(
            'stop',
            $clasp(
                'linked-bracelet',
                ['do' => 'part.set', 'part' => 'p1', 'key' => 'bend', 'value' => '2 mm'],
                ['do' => 'wire', 'role' => 'ring', 'size' => '12 awg'],
            )[0][0],
        );
        self::assertSame('ok', $clasp('toggle-bracelet')[0][0]);
        self::assertSame(
            ['warn', 'The bar of 14 mm can slip out of the ring, 12 mm inside: a bar of 17 mm stays, 35 % longer than '
                .'the ring is wide.'],
            $clasp('toggle-bracelet', ['do' => 'part.set', 'part' => 'p1', 'key' => 'bar', 'value' => '14 mm'])[0],
        );
        self::assertStringContainsString(
            'has nothing to close in',
            $clasp('linked-bracelet', ['do' => 'part.add', 'technique' => 'hook'])[0][1],
        );
    }

    /** 37 rings and more beads than fingers are counted in fives before the work is called done. */
    public function test_long_pieces_are_counted_by_fives(): void
    {
        $steps = self::plan(Patterns::start('ring-chain', 'Fives'))->steps();
        self::assertStringContainsString('Count by fives: 37 × ring: 7 fives and 2.', $steps[count($steps) - 1]->text);
        $few = self::plan(Patterns::start('link-and-drop', 'Few'))->steps();
        self::assertStringNotContainsString('fives', $few[count($few) - 1]->text);
    }

    /** However a stroke is laid, it stays as long, and its end comes where its pose brings it. */
    public function test_what_is_posed_stays_as_it_is(): void
    {
        foreach (['ring-chain', 'chain-stations', 'open-ring', 'spiral-drop'] as $pattern) {
            foreach (self::plan(Patterns::start($pattern, 'Posed'))->figure()->strokes as $stroke) {
                foreach ([new Pose(37.0, 4.0, -9.0), new Pose(-140.0, 0.5, 80.0)] as $pose) {
                    $posed = $stroke->posed($pose);
                    self::assertEqualsWithDelta(Drawn::lengthMm($stroke), Drawn::lengthMm($posed), 0.002, $pattern);
                    $last = count($stroke->path) - 1;
                    [$x, $y] = $pose->at(...Stroke::end($stroke->path[$last]));
                    self::assertEqualsWithDelta([$x, $y], Stroke::end($posed->path[$last]), 1e-3, $pattern);
                }
            }
        }
    }

    /** A strand is one long part: bent round, its beads lie on one circle whose girth is its length. */
    public function test_a_strand_is_bent_round(): void
    {
        $plan = self::plan(Patterns::start('strand', 'Bent'));
        self::assertTrue($plan->isLaidRound());
        $radius = $plan->hangsMm() / 2 / M_PI;
        $far = [];
        foreach ($plan->figure()->beads as $mark) {
            $far[] = [$mark->xMm, $mark->topMm + $mark->bead->lengthMm / 2];
        }
        $low = max(array_column($far, 1));
        foreach ($far as [$x, $y]) {
            self::assertEqualsWithDelta($radius, hypot($x, $y - ($low - $radius)), 0.35, 'on the circle');
        }
    }

    /**
     * Ten pieces of chain alike, or both sides of a centre: what is alike changes alike, and what hung in the middle
     * still does.
     */
    #[Group('wide')]
    public function test_advice_keeps_the_balance(): void
    {
        foreach ([
            'mirrored-necklace', 'chain-stations', 'linked-bracelet', 'toggle-bracelet', 'offset-strands',
        ] as $pattern) {
            $start = Patterns::start($pattern, 'Balance');
            foreach ([0.86, 1.13, 1.4] as $share) {
                $piece = Some::changed(
                    $start,
                    ['do' => 'fit', 'kind' => $start->fit->kind->value, 'fit' => round($start->fit->mm * $share).' mm'],
                );
                $before = self::plan($piece);
                $middle = fn (Plan $plan): array => array_values(
                    array_map(
                        fn (Check $check): string => $check->level->value,
                        array_filter($plan->checks, fn (Check $check): bool => $check->rule === 'middle'),
                    ),
                );
                $alike = fn (Piece $of): array => array_count_values(
                    array_map(fn ($part): string => $part->technique.json_encode($part->settings), $of->parts),
                );
                foreach (self::length($before)->ways as $way) {
                    $after = Some::changed($piece, $way->change);
                    self::assertSame($middle($before), $middle(self::plan($after)), "{$pattern}: {$way->words}");
                    self::assertSame(
                        array_values($alike($piece)),
                        array_values($alike($after)),
                        "{$pattern}: {$way->words}",
                    );
                }
            }
        }
    }

    public function test_what_is_no_line_has_no_length_to_reach(): void
    {
        foreach (['link-and-drop', 'disc', 'framed-drop', 'curled-bangle', 'wound-ring'] as $pattern) {
            self::assertNull(self::plan(Patterns::start($pattern, 'No line'))->reach(), $pattern);
        }
    }

    /**
     * What hangs aside and ends there does not end the line; and a group that hangs elsewhere follows itself from its
     * second time on.
     */
    public function test_the_line_goes_on_past_what_hangs_aside(): void
    {
        $plan = self::plan(Patterns::start('mirrored-necklace', 'Aside'));
        self::assertSame(
            [],
            array_values(array_filter($plan->checks, fn (Check $check): bool => $check->level->value === 'stop')),
        );
        $lone = Some::changed(
            Patterns::start('ring-chain', 'Aside'),
            ['do' => 'part.add', 'technique' => 'head-pin'],
            ['do' => 'part.hang', 'part' => 'p3', 'on' => 'p2/bottom'],
            ['do' => 'part.add', 'technique' => 'jump-ring', 'at' => '3'],
        );
        self::assertSame(
            [],
            array_values(
                array_filter(
                    self::plan($lone)->checks,
                    fn (Check $check): bool => $check->rule === 'nothing to hang from',
                ),
            ),
        );
    }
}
