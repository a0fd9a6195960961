<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Chain\Links;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Problem;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\TestCase;

/** Charms, connectors and centres that are bought: how they hang, what passes their holes, what they weigh. */
final class BoughtPartTest extends TestCase
{
    private static function plan(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile);
    }

    /** @param  array<string, string>  $settings */
    private static function connector(array $settings = []): Piece
    {
        $piece = Patterns::start('connector-drop', 'One');
        foreach ($settings as $key => $value) {
            $piece = Some::changed($piece, ['do' => 'part.set', 'part' => 'p3', 'key' => $key, 'value' => $value]);
        }

        return $piece;
    }

    /** @return list<string> */
    private static function stops(Plan $plan): array
    {
        return array_values(array_map(
            fn (Check $check): string => $check->text,
            array_filter($plan->checks, fn (Check $check): bool => $check->level === Level::Stop),
        ));
    }

    /** A lozenge of 17 × 10 mm is 85 mm², less two holes of 1.5: 81.5 mm² × 0.8 mm × 8.53 g/cm³ = 0.55 g of brass. */
    public function test_it_is_counted_and_weighed(): void
    {
        $plan = self::plan(self::connector());
        $found = array_values(array_filter($plan->findings, fn ($one): bool => str_contains($one->words, 'lozenge')));
        self::assertCount(1, $found);
        self::assertSame('lozenge connector 17 × 10 mm, yellow brass', $found[0]->words);
        self::assertSame([1, 2], [$found[0]->each, $found[0]->all]);
        $heavier = self::plan(self::connector(['grams' => '2.56']));
        self::assertEqualsWithDelta(2.0, $heavier->gramsEach - $plan->gramsEach, 0.02);
    }

    /** From the upper hole's top to the lower one's bottom: what hangs in it hangs there. */
    public function test_what_hangs_in_it_hangs_below(): void
    {
        $short = self::plan(self::connector(['shape' => 'bar']));
        $long = self::plan(self::connector(['shape' => 'bar', 'length' => '27 mm']));
        self::assertEqualsWithDelta(10.0, $long->hangsMm() - $short->hangsMm(), 0.3);
    }

    public function test_a_hole_larger_than_its_part_is_a_stop_and_can_be_undone(): void
    {
        $plan = self::plan(self::connector(['holes' => 'top 9 mm · bottom 1.5 mm']));
        self::assertNotSame([], preg_grep('/does not lie within the connector/', self::stops($plan)));
        $meeting = self::plan(
            self::connector(['holes' => 'top 1.5 mm · bottom 1.5 mm · one 2 mm at 0 0, two 2 mm at 1 0'])
        );
        self::assertNotSame([], preg_grep('/The one and the two hole run into each other/', self::stops($meeting)));
    }

    /**
     * A ring of inside D that goes through a hole L long, e from the rim, holds a block e wide and L thick: D ≥
     * √(e² + L²),
     * here √(3² + 4²) = 5; in a hole that lets its bend pass.
     */
    public function test_the_smallest_ring_that_turns_in_a_hole(): void
    {
        self::assertEqualsWithDelta(5.0, (float) Links::leastMm(3.0, 0.8, 4.0, 3.0), 1e-9);
        self::assertNull(Links::leastMm(0.8, 0.9, 4.0, 1.0));
        // A hole hardly wider than the wire takes a wider bend: Ro − √(Ri² − L²/4) ≤ hole.
        $least = (float) Links::leastMm(1.1, 0.8, 3.0, 1.0);
        self::assertGreaterThan(hypot(3.0, 1.0), $least);
        self::assertLessThanOrEqual(1.1, Links::throughMm($least, 0.8, 3.0));
        self::assertGreaterThan(1.1, Links::throughMm($least - 0.1, 0.8, 3.0));
    }

    public function test_a_ring_that_cannot_turn_is_told_with_the_one_that_can(): void
    {
        $thick = self::plan(self::connector(['thick' => '6 mm', 'length' => '24 mm']));
        $stops = preg_grep('/cannot turn in the connector’s top hole/', self::stops($thick)) ?: [];
        self::assertCount(1, $stops);
        $check = array_values(array_filter($thick->checks, fn (Check $one): bool => $one->text === reset($stops)))[0];
        $piece = $check->ways[0]->change->apply($thick->piece);
        self::assertSame([], preg_grep('/top hole/', self::stops(self::plan($piece))));
    }

    public function test_a_centre_goes_on_from_the_hole_across(): void
    {
        $plan = self::plan(Patterns::start('centre-necklace', 'One'));
        self::assertSame([], self::stops($plan));
        self::assertSame('drop', Patterns::start('centre-necklace', 'One')->parts[4]->on?->eye);
    }

    public function test_what_is_changed_on_it_is_a_step(): void
    {
        $titles = fn (string $prepared): array => array_map(
            fn (Step $step): string => $step->title, self::plan(self::connector(['prepared' => $prepared]))->steps(),
        );
        self::assertContains('Connector: file the stub flat', $titles('shank'));
        self::assertContains('Connector: let it set', $titles('glued'));
        self::assertNotContains('Connector: let it set', $titles('as-is'));
    }

    public function test_it_survives_its_file_and_refuses_what_is_none(): void
    {
        $piece = self::connector(['name' => 'moth wing', 'shape' => 'own', 'path' => 'M0 0 C4 -6 12 -6 14 2 L7 14 Z']);
        self::assertEquals($piece, PieceJson::read(PieceJson::write($piece)));
        self::assertContains(
            'moth wing 17 × 13.04 mm, yellow brass', array_column(self::plan($piece)->findings, 'words'),
        );
        foreach ([
            ['holes', 'nowhere 2 mm'], ['path', 'M0 0 L10 10 L10 0 L0 10 Z'], ['thick', '40 mm'], ['shape', 'moon'],
        ] as [$key, $value]) {
            try {
                self::connector([$key => $value]);
                self::fail("{$key} {$value} was taken");
            } catch (Problem $problem) {
                self::assertStringNotContainsString("\n", $problem->getMessage());
            }
        }
    }

    /**
     * An outline drawn 30 wide and 40 long is 9 × 12 mm where its length measures 12; a width that is set stays until
     * the
     * length is set anew.
     */
    public function test_an_outline_of_ones_own_keeps_its_shape(): void
    {
        $set = fn (string $key, string $value): array => [
            'do' => 'part.set', 'part' => 'p3', 'key' => $key, 'value' => $value,
        ];
        $own = Some::changed(
            Patterns::start('connector-drop', 'Traced'), $set('shape', 'own'),
            $set('path', 'M0 0 L30 0 L30 40 L0 40 Z'),
            $set('length', '12 mm'),
        );
        $part = fn (Piece $piece): Part => $piece->part(PartId::of('p3'));
        self::assertSame(9.0, $part($own)->mm('width'));
        $wider = Some::changed($own, $set('width', '10 mm'), $set('thick', '2 mm'));
        self::assertSame(10.0, $part($wider)->mm('width'));
        self::assertSame(15.0, $part(Some::changed($wider, $set('length', '20 mm')))->mm('width'));
        $round = Some::changed(
            Patterns::start('connector-drop', 'Oval'), $set('shape', 'oval'), $set('length', '20 mm'),
        );
        self::assertSame($part(Patterns::start('connector-drop', 'Oval'))->mm('width'), $part($round)->mm('width'));
    }
}
