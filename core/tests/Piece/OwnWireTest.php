<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Piece;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Metal;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Plan\Properties;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** A part may be made of another wire than its kind: two gauges of rings in one chain. */
final class OwnWireTest extends TestCase
{
    /** @return list<array{string, int, float}> */
    private static function cuts(Plan $plan): array
    {
        return array_map(
            fn (Cut $cut): array => [$cut->part->text, $cut->count, round($cut->lengthMm(), 6)], $plan->cuts,
        );
    }

    /**
     * Until another wire is chosen for it nothing changes; then only its own cuts do, and all that holds of plans still
     * holds.
     */
    #[Group('wide')]
    public function test_a_wire_of_its_own_changes_its_part_alone(): void
    {
        $tried = 0;
        foreach (Everything::patterns() as $name => $piece) {
            $before = Planner::plan($piece, new Profile);
            foreach ($piece->parts as $part) {
                if ($part->technique()->isBought($part)) {
                    continue;
                }
                $own = Some::changed($piece, ['do' => 'part.wire', 'part' => $part->id->text, 'own' => '1']);
                self::assertEqualsCanonicalizing(
                    self::cuts($before),
                    self::cuts(Planner::plan($own, new Profile)),
                    "{$name}: {$part->id}",
                );
                self::assertEquals(
                    $piece,
                    Some::changed($own, ['do' => 'part.wire', 'part' => $part->id->text, 'own' => '0']),
                    'and back',
                );
                self::assertEquals($own, PieceJson::read(PieceJson::write($own)));
                $thick = Some::changed(
                    $own,
                    ['do' => 'wire', 'role' => $part->id->text, 'size' => '19 awg', 'temper' => 'half-hard'],
                );
                $after = Planner::plan($thick, new Profile);
                Properties::all($after, "{$name}, {$part->id} of its own wire");
                $others = fn (Plan $plan): array => array_values(
                    array_filter(self::cuts($plan), fn (array $cut): bool => $cut[0] !== $part->id->text),
                );
                // Like rings are one coil: without one of them it belongs to the next.
                if ($part->technique !== 'jump-ring' && $part->technique()->extraWires($part) === []) {
                    self::assertSame(array_column($others($before), 0), array_column($others($after), 0), $name);
                }
                $tried++;
            }
        }
        self::assertGreaterThan(80, $tried);
    }

    public function test_two_gauges_of_rings_are_two_coils_and_two_lines_of_metal(): void
    {
        $piece = Some::changed(
            Patterns::start('linked-bracelet', 'Two gauges'),
            ['do' => 'part.wire', 'part' => 'p4', 'own' => '1'],
            ['do' => 'wire', 'role' => 'p4', 'size' => '16 awg'],
        );
        $plan = Planner::plan($piece, new Profile);
        $rings = array_values(
            array_unique(
                array_map(
                    fn (Cut $cut): string => $cut->wire->size->text(),
                    array_filter($plan->cuts, fn (Cut $cut): bool => in_array($cut->part->text, ['p3', 'p4'], true)),
                ),
            ),
        );
        self::assertSame(['18 AWG', '16 AWG'], $rings);
        self::assertContains(
            '16 AWG',
            array_map(fn (Metal $metal): string => $metal->wire->size->text(), $plan->metal),
        );
        self::assertArrayNotHasKey(
            'p4',
            Some::changed($piece, ['do' => 'part.remove', 'part' => 'p4'])->wires,
            'it goes with its part',
        );
    }
}
