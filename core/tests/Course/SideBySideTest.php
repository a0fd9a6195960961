<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\SideBySide;
use Hebra\Core\Course\Strung;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\TestCase;

/** Beads shared between wires that run side by side. */
final class SideBySideTest extends TestCase
{
    private static function many(int $count, string $bead): Strung
    {
        return new Strung($bead, Bead::parse($bead), $count);
    }

    /** @return list<list<array{int, float}>> how many and where, for each wire */
    private static function told(SideBySide $beads): array
    {
        return array_map(
            fn (array $placed): array => array_map(fn (array $one): array => [$one[0]->count, $one[1]], $placed),
            $beads->placed(),
        );
    }

    /**
     * Between bars of 5 mm ten beads of 4 on three wires: 4, 3 and 3; the second bar waits for the longest, at 5 + 16.
     */
    public function test_alike_on_every_wire(): void
    {
        $bar = self::many(1, '12 x 5mm tile, three holes');
        $beads = new SideBySide([$bar, self::many(10, '4mm round'), $bar], 3);
        self::assertSame(
            [[[1, 0.0], [4, 5.0], [1, 21.0]], [[1, 0.0], [3, 5.0], [1, 21.0]], [[1, 0.0], [3, 5.0], [1, 21.0]]],
            self::told($beads),
        );
        self::assertSame([26.0, 4.0], [$beads->lengthMm(), $beads->unevenMm()]);
    }

    /** Of 6 × 4, 4 × 6 and 8 × 3 mm each is 24 mm: one stretch for each wire. */
    public function test_one_stretch_for_each_in_turn(): void
    {
        $bar = self::many(1, '12 x 5mm tile, three holes');
        $runs = [self::many(6, '4mm round'), self::many(4, '6mm round'), self::many(8, '3mm round')];
        $beads = new SideBySide([$bar, ...$runs, $bar], 3, true);
        self::assertSame([0.0, 34.0], [$beads->unevenMm(), $beads->lengthMm()]);
        self::assertSame([6, 4, 8], array_map(fn (array $one): int => $one[1]->count, $beads->onEach()));
    }

    public function test_on_one_wire_they_lie_as_told(): void
    {
        $beads = new SideBySide([self::many(3, '4mm round'), self::many(2, '6mm round')], 1);
        self::assertSame([[[3, 0.0], [2, 12.0]]], self::told($beads));
        self::assertSame(24.0, $beads->lengthMm());
    }

    /**
     * Three wires of 1.25 loops on a wrist of 165 with bars of 18 through three holes, so 6 thick: 1.25 · π ·
     * (165/π + 6)
     * + 26 = 255.812 each; four stretches of 48 and five bars of 7 are 227 of 229.8 mm.
     */
    public function test_three_memory_wires(): void
    {
        $plan = Planner::plan(Patterns::start('three-wire-bracelet', 'One'), new Profile);
        self::assertSame(
            [255.81, 255.81, 255.81], array_map(fn ($cut): float => round($cut->lengthMm(), 2), $plan->cuts),
        );
        self::assertSame(
            [
                'roll the first stop', 'thread the beads of wire 1', 'thread the beads of wire 2',
                'thread the beads of wire 3', 'roll the second stop',
            ],
            array_map(fn (Step $step): string => explode(': ', $step->title)[1], array_slice($plan->steps(), 0, 5)),
        );
        self::assertSame(
            [5, 96, 48],
            array_map(fn ($bead): int => $bead->all, $plan->beads),
        );
    }

    public function test_a_bar_wants_as_many_wires_as_holes(): void
    {
        $piece = Patterns::start('three-wire-bracelet', 'One');
        $checks = fn (array $change): array => array_map(
            fn (Check $check): string => $check->text,
            Planner::plan(Some::changed($piece, $change), new Profile)->checks,
        );
        self::assertContains(
            'Slate 18 × 7 mm tile has three holes and wants three wires.',
            $checks(['do' => 'part.set', 'part' => 'p1', 'key' => 'strands', 'value' => 'two']),
        );
        self::assertContains(
            'Between the beads that hold the wires together one wire carries 4 mm more than another.',
            $checks(['do' => 'bead.count', 'part' => 'p1', 'at' => '1', 'count' => '11']),
        );
    }
}
