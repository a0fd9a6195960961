<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Strung;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Technique\WovenBeads;
use Hebra\Core\Tests\Piece\Some;
use Hebra\Core\Tests\Plan\Properties;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Beads that ride on the front of a weave. */
final class WovenBeadsTest extends TestCase
{
    private static function changed(string ...$settings): Piece
    {
        $piece = Patterns::start('beaded-band', 'One');
        foreach ($settings as $key => $value) {
            $piece = Some::changed($piece, ['do' => 'part.set', 'part' => 'p2', 'key' => $key, 'value' => $value]);
        }

        return $piece;
    }

    private static function plan(?Piece $piece = null): Plan
    {
        return Planner::plan($piece ?? self::changed(), new Profile);
    }

    /** @return list<Cut> */
    private static function weaving(Plan $plan): array
    {
        return array_values(
            array_filter($plan->cuts, fn (Cut $cut): bool => str_starts_with($cut->label, 'Weaving wire'))
        );
    }

    /** @return list<string> */
    private static function said(Plan $plan, Level $level): array
    {
        return array_values(array_map(
            fn (Check $check): string => $check->text,
            array_filter($plan->checks, fn (Check $check): bool => $check->level === $level),
        ));
    }

    /**
     * Four spacings of 0.8118 + 0.3211 are 4.5316 across; a round bead of 4 mm goes (4 − 0.3211)/2 = 1.8395 up: 4 +
     * 2·√(0.2658² + 1.8395²) − 4.5316 = 3.1856. Seven are 22.299.
     */
    public function test_a_bead_costs_the_way_up_and_down(): void
    {
        self::assertEqualsWithDelta(3.1856, WovenBeads::beadMm(Bead::parse('4mm round'), 4.5316, 0.3211), 1e-3);
        $bare = Some::changed(self::changed(), ['do' => 'bead.remove', 'part' => 'p2', 'at' => '0']);
        self::assertEqualsWithDelta(
            22.299, self::weaving(self::plan())[0]->lengthMm() - self::weaving(self::plan($bare))[0]->lengthMm(), 0.01,
        );
    }

    /** Fifteen repeats of ten turns, a bead every other one: seven, from the second to the fourteenth, on the front. */
    public function test_they_lie_about_the_middle_of_the_front(): void
    {
        $part = self::plan()->parts()['p2'];
        $places = [];
        foreach ($part->technique->courses($part) as $course) {
            foreach ($course->curves() as $at => $curve) {
                array_push($places, ...array_column($course->moves[$at]->standing($curve), 1));
            }
        }
        self::assertCount(7, $places);
        $middle = ($places[0]->y + $places[6]->y) / 2;
        $step = 2 * 10 * 0.32106;
        foreach ($places as $at => $place) {
            self::assertEqualsWithDelta(0.0, $place->x, 0.05);
            self::assertEqualsWithDelta($middle + ($at - 3) * $step, $place->y, 0.05);
            self::assertEqualsWithDelta((0.8118 + 4) / 2, $place->z, 0.05);
        }
    }

    public function test_a_new_band_begins_without(): void
    {
        $added = Some::changed(
            Patterns::start('single-drop', 'One'), ['do' => 'part.add', 'technique' => 'woven-band'],
        );
        $band = array_values(array_filter($added->parts, fn ($part): bool => $part->technique === 'woven-band'))[0];
        self::assertSame([], $band->beads);
        self::assertSame(PieceJson::write($added), PieceJson::write(PieceJson::read(PieceJson::write($added))));
    }

    public function test_they_are_on_the_wire_before_it_is_begun(): void
    {
        $titles = array_map(fn (Step $step): string => $step->title, self::plan()->steps());
        self::assertSame(
            ['Woven band: label the cores', 'Woven band: string the weaving wire', 'Woven band: weave'],
            array_slice($titles, 0, 3),
        );
    }

    /** Long enough for several lengths of wire, each carries its own beads, in the order they are wanted. */
    #[Group('wide')]
    public function test_several_lengths_share_them(): void
    {
        $long = Some::changed(
            self::changed(length: '160 mm'), ['do' => 'bead.count', 'part' => 'p2', 'at' => '0', 'count' => '23'],
        );
        $plan = self::plan($long);
        $cuts = self::weaving($plan);
        self::assertGreaterThan(1, count($cuts));
        self::assertSame(23, array_sum(array_map(
            fn (Cut $cut): int => array_sum(array_map(
                fn ($segment): int => array_sum(array_map(fn (Strung $run): int => $run->count, $segment->beads)),
                $cut->segments,
            )), $cuts,
        )));
        Properties::all($plan, 'a long beaded band');
    }

    #[Group('wide')]
    public function test_too_many_or_too_long_is_said(): void
    {
        self::assertSame([], [...self::said(self::plan(), Level::Stop), ...self::said(self::plan(), Level::Warn)]);
        $plan = self::plan(self::changed(bead_every: '3'));
        self::assertContains(
            'With a bead every 3 repeats there is room for 5, and 7 are given.', self::said($plan, Level::Stop),
        );
        self::assertContains(
            'Beads 4 mm wide would stand in each other: they are 3.2 mm apart.',
            self::said(self::plan(self::changed(bead_every: '1')), Level::Warn),
        );
        $wide = Some::changed(
            self::changed(), ['do' => 'bead.swap', 'part' => 'p2', 'at' => '0', 'bead' => '3 x 9mm tube, hole 1'],
        );
        self::assertStringContainsString(
            'is longer than what it lies across, 4.55 mm', implode(' ', self::said(self::plan($wide), Level::Warn)),
        );
    }
}
