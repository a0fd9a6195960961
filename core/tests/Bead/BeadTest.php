<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Bead;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Bead\HoleFit;
use Hebra\Core\Bead\WirePacking;
use Hebra\Core\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class BeadTest extends TestCase
{
    public function test_reads_a_bead_in_one_line(): void
    {
        $bead = Bead::parse('6mm round, hole 1');
        self::assertSame(
            [BeadShape::Round, 6.0, 6.0, 1.0],
            [$bead->shape, $bead->lengthMm, $bead->widthMm, $bead->holeMm],
        );
        $tube = Bead::parse('Reed: 4 x 12mm tube, hole 0,8, stone, moss');
        self::assertSame(
            ['Reed', 4.0, 12.0, 0.8, 'stone', 'moss'],
            [$tube->name, $tube->widthMm, $tube->lengthMm, $tube->holeMm, $tube->material->value, $tube->colour],
        );
        $inches = Bead::parse('1/4 in round hole 1mm');
        self::assertEqualsWithDelta(6.35, $inches->widthMm, 1e-9);
        self::assertSame(Drilling::Top, Bead::parse('8 x 12mm drop, hole 0.8, top-drilled')->drilling);
    }

    /** @return array<string, array{string, string}> */
    public static function noBeads(): array
    {
        return [
            'no shape' => ['6mm', 'is not a bead I can read'],
            'no size' => ['round', 'is not a bead I can read'],
            'nothing' => ['', 'Bead is empty'],
            'a hole wider than the bead' => [
                '6mm round, hole 7', 'Bead hole 7 mm is not a size: give more than 0 and at most 5.7 mm.',
            ],
            'no hole at all' => ['6mm round, hole 0', 'Bead hole 0 mm is not a size'],
            'a negative hole' => ['6mm round, hole -1', 'Bead hole −1 mm is not a size'],
            'a negative size' => ['-6mm round', 'Bead length −6 mm is not a size'],
            'too large' => ['600mm round', 'Bead length 600 mm is not a size: give more than 0 and at most 100 mm.'],
            'too long a line' => [str_repeat('round ', 80), 'Bead holds 480 characters: give at most 160.'],
        ];
    }

    #[DataProvider('noBeads')]
    public function test_refuses_what_is_no_bead(string $text, string $sentence): void
    {
        $this->expectException(Problem::class);
        $this->expectExceptionMessage($sentence);
        Bead::parse($text);
    }

    /** @return array<string, array{string, BeadShape, float, float, float, Drilling}> */
    public static function shapes(): array
    {
        return [
            'seed beads by their number' => ['11/0 seed, amber', BeadShape::Seed, 2.1, 1.5, 0.8, Drilling::Lengthwise],
            'a hole that was measured' => ['8/0 seeds, hole 0.9', BeadShape::Seed, 3.1, 2.1, 0.9, Drilling::Lengthwise],
            'a tile has two holes' => ['8mm tile, hole 1', BeadShape::Tile, 8, 8, 1, Drilling::TwoHole],
            'unless it has one' => ['8mm tile, one hole', BeadShape::Tile, 8, 8, 1, Drilling::Lengthwise],
            'a cap, by what it adds' => ['6 x 2mm cap, hole 1', BeadShape::Cap, 6, 2, 1, Drilling::Lengthwise],
            'a coin' => ['12mm coin, hole 0.8', BeadShape::Coin, 12, 12, 0.8, Drilling::Lengthwise],
            'a chip, flat on the wire' => ['8mm chip, stone', BeadShape::Chip, 8, 4, 1, Drilling::Lengthwise],
        ];
    }

    #[DataProvider('shapes')]
    public function test_reads_the_less_usual_shapes(
        string $text, BeadShape $shape, float $width, float $length, float $hole, Drilling $drilling,
    ): void {
        $bead = Bead::parse($text);
        self::assertSame([$shape, $drilling], [$bead->shape, $bead->drilling]);
        self::assertEqualsWithDelta([$width, $length, $hole], [$bead->widthMm, $bead->lengthMm, $bead->holeMm], 1e-9);
        self::assertGreaterThan(0, $bead->grams());
    }

    /** Every wire lies inside the circle and on no other: the layout is the proof of the figure. */
    public function test_the_layout_of_a_packing_holds(): void
    {
        mt_srand(21);
        for ($try = 0; $try < 25; $try++) {
            $wires = array_map(fn (): float => mt_rand(20, 110) / 100, range(1, mt_rand(2, 8)));
            $packing = WirePacking::of($wires);
            self::assertCount(count($wires), $packing->places);
            foreach ($packing->places as $at => $one) {
                self::assertLessThanOrEqual(
                    $packing->neededMm / 2 * (1 + 2e-6),
                    hypot($one['x'], $one['y']) + $one['d'] / 2,
                );
                foreach (array_slice($packing->places, $at + 1) as $other) {
                    self::assertGreaterThanOrEqual(
                        ($one['d'] + $other['d']) / 2 * (1 - 2e-6),
                        hypot($one['x'] - $other['x'], $one['y'] - $other['y']),
                    );
                }
            }
        }
    }

    /** A 10 mm glass ball of density 2.5 weighs 1.309 g; a 1 mm hole takes 0.02 g [geometry]. */
    public function test_weighs_its_volume(): void
    {
        self::assertEqualsWithDelta(1.309 - 0.0196, Bead::parse('10mm round, hole 1')->grams(), 0.0005);
    }

    /** Graham et al. 1998, table 1. Nine and ten are solved, the others closed forms. */
    #[Group('wide')]
    public function test_equal_wires_pack_as_published(): void
    {
        foreach (require __DIR__.'/../data/circles-in-a-circle.php' as $count => $ratio) {
            self::assertEqualsWithDelta(
                $ratio * 0.4,
                WirePacking::neededMm(array_fill(0, $count, 0.4)),
                2e-6,
                "{$count} wires",
            );
        }
    }

    /** The solver, made to work by a hair's difference, against the same published table. */
    #[Group('wide')]
    public function test_nearly_equal_wires_pack_as_published(): void
    {
        foreach (require __DIR__.'/../data/circles-in-a-circle.php' as $count => $ratio) {
            if ($count >= 4) {
                self::assertEqualsWithDelta(
                    $ratio,
                    WirePacking::neededMm([1.0 + 1e-9, ...array_fill(0, $count - 1, 1.0)]),
                    5e-6,
                    "{$count} wires",
                );
            }
        }
    }

    public function test_mixed_wires(): void
    {
        // Two alike and a third that just fills the gap beside them, a third of their radius sum: geometry.
        self::assertEqualsWithDelta(2.0, WirePacking::neededMm([1.0, 1.0, 2 / 3]), 1e-9);
        self::assertEqualsWithDelta(1.5, WirePacking::neededMm([1.0, 0.5]), 1e-12);
        // Descartes' circle theorem for radii 1, 1, 1 is the published ratio for three.
        self::assertEqualsWithDelta(2.1547005, WirePacking::neededMm([1.0, 1.0, 0.99999999]), 1e-6);
        // Small ones beside two thick ones do not widen the circle.
        self::assertEqualsWithDelta(2.0, WirePacking::neededMm([1.0, 1.0, 0.5, 0.5]), 1e-6);
    }

    /** @return array<string, array{float, list<float>, float, bool}> */
    public static function holes(): array
    {
        return [
            'exactly' => [1.0, [1.0], 0.0, true],
            'a hair too thick' => [1.0, [1.00001], 0.0, false],
            'no room left by the clearance' => [1.0, [0.98], 0.05, false],
            'three in one hole' => [1.0, [0.46, 0.46, 0.46], 0.0, true],
            'three a little thicker' => [1.0, [0.47, 0.47, 0.47], 0.0, false],
        ];
    }

    /** @param  non-empty-list<float>  $wires */
    #[DataProvider('holes')]
    public function test_hole_fit(float $hole, array $wires, float $clearance, bool $fits): void
    {
        self::assertSame($fits, (new HoleFit($hole, $wires, $clearance))->fits());
    }

    public function test_more_wires_never_need_less_room(): void
    {
        mt_srand(11);
        for ($try = 0; $try < 12; $try++) {
            $wires = [];
            $last = 0.0;
            for ($n = 0; $n < 5; $n++) {
                $wires[] = mt_rand(20, 100) / 100;
                $needed = WirePacking::neededMm($wires);
                self::assertGreaterThanOrEqual($last - 1e-5, $needed);
                self::assertGreaterThanOrEqual(
                    sqrt(array_sum(array_map(fn (float $d): float => $d * $d, $wires))) - 1e-6,
                    $needed,
                );
                $last = $needed;
            }
        }
    }

    /** Of its shape, about as large, its hole no smaller, whatever its colour: then it does. */
    public function test_one_bead_stands_in_for_another(): void
    {
        $planned = Bead::parse('6mm round, hole 1, plum');
        $does = fn (string $line): bool => Bead::parse($line)->standsInFor($planned);
        self::assertSame(
            [true, true, true, false, false, false],
            array_map($does, [
                '6mm round, hole 1, plum', '6mm round, hole 1.4, moss', '6.4mm round, hole 1', '7mm round, hole 1',
                '6mm round, hole 0.8', '6mm bicone, hole 1',
            ]),
        );
    }
}
