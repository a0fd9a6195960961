<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plate;

use Hebra\Core\Course\Vector;
use Hebra\Core\Plate\Hole;
use Hebra\Core\Plate\HoleList;
use Hebra\Core\Plate\Outline;
use Hebra\Core\Plate\Plate;
use Hebra\Core\Plate\PlateShape;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Scene\Slab;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Flat bought parts: outlines, holes, what they weigh. Source: geometry. */
final class PlateTest extends TestCase
{
    public function test_every_outline_fills_its_length_and_width(): void
    {
        foreach (PlateShape::cases() as $shape) {
            $outline = $shape->outline(20.0, 12.0, Outline::read('M0 0 L10 0 L5 12 Z', 'outline'));
            [$xs, $ys] = [array_column($outline, 0), array_column($outline, 1)];
            self::assertEqualsWithDelta(20.0, max($ys) - min($ys), 1e-3, $shape->value);
            self::assertEqualsWithDelta(12.0, max($xs) - min($xs), 1e-3, $shape->value);
        }
    }

    /** A disc of 20 mm with a hole of 4: π·10² − π·2² = 301.6 mm²; a frame of 2 mm rim: π(10² − 8²) = 113.1. */
    public function test_areas_are_those_of_circles(): void
    {
        $round = PlateShape::Round->outline(20.0, 20.0);
        $disc = new Plate($round, 1.0, ['a' => new Hole('a', 0.0, 0.0, 4.0)]);
        self::assertEqualsWithDelta(301.6, $disc->areaMm2(), 1.0);
        self::assertEqualsWithDelta(113.1, (new Plate($round, 1.0, [], 2.0))->areaMm2(), 0.6);
        self::assertEqualsWithDelta(8.0, $disc->edgeMm($disc->holes['a']), 0.05);
        self::assertEqualsWithDelta($disc->areaMm2(), $disc->turned(0.7)->moved(3.0, -2.0)->areaMm2(), 1e-6);
        self::assertEqualsWithDelta(
            113.1, (new Plate($round, 1.0, [], 2.0))->turned(0.7)->moved(3.0, -2.0)->areaMm2(), 0.6,
        );
    }

    public function test_holes_are_read_with_their_places(): void
    {
        $outline = PlateShape::Bar->outline(20.0, 10.0);
        $holes = HoleList::read('top 1.5 mm · ring bottom 2mm across, side 1.2 at 3 −2', 'holes')->on($outline);
        self::assertSame(['top', 'bottom', 'side'], array_keys($holes));
        // 0.9 mm, three fifths of its inside, from the rim at −10.
        self::assertEqualsWithDelta(-10.0 + 0.9 + 0.75, $holes['top']->yMm, 0.2);
        self::assertTrue($holes['bottom']->isRing && $holes['bottom']->isAcross);
        self::assertGreaterThan(10.0, $holes['bottom']->yMm);
        self::assertSame([3.0, -2.0, 1.2], [$holes['side']->xMm, $holes['side']->yMm, $holes['side']->insideMm]);
    }

    #[DataProvider('refused')]
    public function test_what_is_no_hole_is_refused_in_one_sentence(string $holes, string $says): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage($says);
        HoleList::read($holes, 'holes');
    }

    /** @return array<string, array{string, string}> */
    public static function refused(): array
    {
        return [
            'none' => [' · ', 'Holes “·” has no hole to hang by: give holes such as top 1.5 mm · bottom 1.5 mm.'],
            'no place' => ['ear 2 mm', 'Holes “ear 2 mm” has no place: give top, bottom, left, right, middle, or '
                .'at so far right and down from the middle.'],
            'twice' => ['top 1 mm, top 2 mm', 'Holes “top” is there twice: give each hole by a name of its own.'],
            'no size' => ['top', 'Holes “top” is not a hole'],
            'too large' => ['top 90 mm', '60'],
        ];
    }

    #[DataProvider('outlines')]
    public function test_what_is_no_outline_is_refused(string $path, string $says): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage($says);
        Outline::read($path, 'outline');
    }

    /** @return array<string, array{string, string}> */
    public static function outlines(): array
    {
        return [
            'crosses itself' => ['M0 0 L10 10 L10 0 L0 10 Z', 'crosses itself'],
            'nothing' => ['hello', 'is no line or curve that is read here'],
            'a line' => ['M0 0 L10 0', 'encloses nothing'],
            'an arc command' => ['M0 0 A5 5 0 0 1 10 0 Z', '“A”'],
            'too long' => ['M'.str_repeat('1 1 ', 2000), 'is too long an outline'],
        ];
    }

    /** Relative and absolute, curves and lines: the same square twice; a curve bulges. */
    public function test_paths_are_read_as_svg_writes_them(): void
    {
        $square = Outline::read('M0 0 L10 0 L10 10 L0 10 Z', 'outline')->points;
        self::assertSame($square, Outline::read('m5,5h10v10h-10z', 'outline')->points);
        self::assertCount(3 + 8, Outline::read('M0 0 H10 V10 Q5 20 0 10 Z', 'outline')->points);
    }

    /** Its triangles cover just the area, holes left open; every edge of the mesh is closed: twice the same volume. */
    public function test_a_slab_is_as_large_as_its_plate(): void
    {
        foreach ([PlateShape::Round, PlateShape::Heart, PlateShape::Star, PlateShape::Bar] as $shape) {
            $plate = new Plate(
                $shape->outline(20.0, 20.0), 1.0,
                ['a' => new Hole('a', 0.0, 0.0, 3.0), 'b' => new Hole('b', 0.0, -5.0, 1.0)],
            );
            $mesh = Slab::of($plate, fn (Vector $at): Vector => $at);
            $volume = 0.0;
            foreach (array_chunk($mesh->triangles, 3) as [$a, $b, $c]) {
                $volume += $mesh->corners[$a]->dot($mesh->corners[$b]->cross($mesh->corners[$c])) / 6;
            }
            self::assertEqualsWithDelta($plate->areaMm2(), abs($volume), 0.01 * $plate->areaMm2(), $shape->value);
        }
    }
}
