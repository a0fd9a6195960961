<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Fit\Band;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\PartId;
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
use Hebra\Core\Problem;
use Hebra\Core\Tests\Figure\Drawn;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Whole pieces, one a family, measured by hand in the comment; and what must hold for every pattern. */
final class FamiliesTest extends TestCase
{
    /** AWG sizes used below, mm: 0.127 · 92^((36 − n)/39) [ASTM B258]. */
    private const MM = [12 => 2.05252, 18 => 1.02369, 20 => 0.81182, 22 => 0.64380, 24 => 0.51056, 28 => 0.32109];

    private static function plan(string $pattern): Plan
    {
        return Planner::plan(Patterns::start($pattern, 'Measured'), new Profile);
    }

    private static function cut(Plan $plan, string $label): Cut
    {
        foreach ($plan->cuts as $cut) {
            if ($cut->label === $label) {
                return $cut;
            }
        }
        self::fail("No cut is called {$label}.");
    }

    /** @return list<string> */
    private static function stops(Plan $plan): array
    {
        return array_values(
            array_map(
                fn (Check $check): string => $check->text,
                array_filter($plan->checks, fn (Check $check): bool => $check->level === Level::Stop),
            ),
        );
    }

    /** @return array<string, array{string}> */
    public static function patterns(): array
    {
        return array_map(
            fn (string $name): array => [$name],
            array_combine(array_keys(Patterns::all()), array_keys(Patterns::all())),
        );
    }

    #[DataProvider('patterns')]
    public function test_every_pattern_can_be_made_as_it_stands(string $pattern): void
    {
        $plan = self::plan($pattern);
        self::assertSame([], self::stops($plan));
        self::assertNotSame([], $plan->steps());
        self::assertGreaterThan(0, $plan->gramsEach);
        self::assertGreaterThan(1, $plan->assembly()->heightMm());
        foreach ($plan->cuts as $cut) {
            self::assertEqualsWithDelta(
                $cut->lengthMm(),
                array_sum(array_map(fn ($segment): float => $segment->lengthMm, $cut->segments)),
                1e-9,
            );
            $last = 0.0;
            foreach ($cut->bends as $bend) {
                self::assertGreaterThan($last, $bend->atMm);
                self::assertLessThan($cut->lengthMm(), $bend->atMm);
                $last = $bend->atMm;
            }
        }
        foreach ($plan->metal as $metal) {
            self::assertEqualsWithDelta($metal->grossGrams(), $metal->netGrams() + $metal->scrapGrams(), 1e-9);
        }
        self::assertCount(
            count($plan->cuts),
            array_unique(array_map(fn (Cut $cut): string => $cut->key(), $plan->cuts)),
            'each cut has a name of its own',
        );
    }

    /** Hoop of 32 mm: π·32 + π(1.6 + 0.8118) + 6 = 100.531 + 7.577 + 6 = 114.108. */
    public function test_hoop(): void
    {
        self::assertEqualsWithDelta(114.108, self::cut(self::plan('hoop'), 'Hoop')->lengthMm(), 0.002);
    }

    /**
     * Five ovals of 5 × 8 astride a 20 AWG hoop in 28 AWG: a bead 8 + 2√(((5 − 0.3211)/2)² + 2.5²) = 14.848, times five
     * 74.238; 12 wraps between and 8 at the ends of √((π(0.8118 + 0.3211))² + 0.3211²) = 3.5736, times twenty 71.471;
     * two tails of 50: 245.71.
     */
    public function test_beads_bound_astride(): void
    {
        $binding = self::cut(self::plan('bound-hoop'), 'Binding');
        self::assertEqualsWithDelta(245.71, $binding->lengthMm(), 0.02);
        self::assertSame('binding', $binding->role);
    }

    /**
     * A frame of 34 mm: outline π·34 = 106.814; two necks of 3 · 1.0237 = 6.142; loop π(3 + 1.0237) = 12.641; wraps 3 ·
     * √((π·2.0474)² + 1.0237²) = 19.539; tail 10.
     */
    public function test_frame(): void
    {
        $plan = self::plan('framed-drop');
        self::assertEqualsWithDelta(
            106.814 + 6.142 + 12.641 + 25.623 + 10,
            self::cut($plan, 'Frame')->lengthMm(),
            0.01,
        );
        // The drop hangs from the frame's top, inside it: hooked on before its own loop is wrapped.
        self::assertContains(
            'Drop: hook it on first',
            array_map(fn (Step $step): string => $step->title, $plan->steps()),
        );
    }

    /**
     * Disc of 18 mm, its hole as long, in 20 AWG: rim π(18 + 0.8118) = 59.099, hole twice 36, bail π·4.8118 = 15.117,
     * six wraps round both legs √((2π·0.8118 + 2·0.8118)² + 0.8118²) = 40.639, both legs past the rim's wire
     * 2 · 0.8118, the longer one through six wraps 6 · 0.8118, tails 20.
     */
    public function test_surround(): void
    {
        self::assertEqualsWithDelta(
            59.099 + 36 + 15.117 + 40.639 + 8 * 0.8118 + 20,
            self::cut(self::plan('disc'), 'Surround')->lengthMm(),
            0.01,
        );
    }

    /**
     * 12 mm of coil, 24 AWG on 20: 23.5036 turns of √((π·1.32238)² + 0.51056²) = 4.18559 are 98.376, tails 30; core 12
     * + 2·π(2.5 + 0.81182) = 32.809.
     */
    public function test_coil_bead(): void
    {
        $plan = self::plan('coil-drop');
        self::assertEqualsWithDelta(128.376, self::cut($plan, 'Coil')->lengthMm(), 0.01);
        self::assertEqualsWithDelta(32.809, self::cut($plan, 'Core')->lengthMm(), 0.002);
    }

    /**
     * Three turns inside 17.3 mm of 20 AWG: 3π·18.1118 = 170.700; six wraps round three wires, √((π·1.62364 +
     * 4·0.81182)² + 0.81182²) = 8.388 each; bead 5; an inch of either end to hold, 50.
     */
    public function test_wound_ring(): void
    {
        self::assertEqualsWithDelta(
            170.700 + 6 * 8.388 + 5 + 50,
            self::cut(self::plan('wound-ring'), 'Ring')->lengthMm(),
            0.02,
        );
    }

    private static function of(string $pattern, string $key, string $value): Plan
    {
        return Planner::plan(
            Some::changed(
                Patterns::start($pattern, 'Set'),
                ['do' => 'part.set', 'part' => 'p1', 'key' => $key, 'value' => $value],
            ),
            new Profile,
        );
    }

    /** Plain: π(63 + 2.05252) + 60 = 264.369. Hammered to 1.5 it grows longer, so less is cut. */
    public function test_bangles(): void
    {
        self::assertEqualsWithDelta(
            264.369,
            self::cut(self::of('curled-bangle', 'inside', '63 mm'), 'Bangle')->lengthMm(),
            0.002,
        );
        $hammered = Some::changed(
            Patterns::start('curled-bangle', 'H'),
            ['do' => 'part.set', 'part' => 'p1', 'key' => 'inside', 'value' => '63 mm'],
            ['do' => 'part.set', 'part' => 'p1', 'key' => 'hammered', 'value' => '1.5 mm'],
        );
        self::assertLessThan(264.369, Planner::plan($hammered, new Profile)->cuts[0]->lengthMm());
        $thick = Planner::plan(
            Some::changed($hammered, ['do' => 'part.set', 'part' => 'p1', 'key' => 'hammered', 'value' => '3 mm']),
            new Profile,
        );
        self::assertStringContainsString('Hammered to 3 mm cannot be', implode(' ', self::stops($thick)));
    }

    /**
     * Two and a quarter loops of 62 × 50: 2.25 · 176.4345 + 26 = 422.978. A wrist that goes as far round as its beads
     * leave
     * is what it fits: the coil is sized on its long side, the other stays.
     */
    public function test_memory_wire_in_an_oval(): void
    {
        $oval = Some::changed(
            self::of('oval-memory', 'narrow', '50 mm')->piece,
            ['do' => 'part.set', 'part' => 'p1', 'key' => 'coil', 'value' => '62 mm'],
        );
        self::assertEqualsWithDelta(
            422.978, self::cut(Planner::plan($oval, new Profile), 'Memory wire')->lengthMm(), 0.01,
        );
        $sized = Some::changed($oval, ['do' => 'fit', 'kind' => 'wrist', 'fit' => '160 mm']);
        $part = $sized->part(PartId::of('p1'));
        $bead = $sized->thickestMm($part);
        self::assertEqualsWithDelta(160 + M_PI * $bead, Band::ovalMm($part->mm('coil'), 50.0), 0.01);
        $no = Some::changed($oval, ['do' => 'part.set', 'part' => 'p1', 'key' => 'narrow', 'value' => '20 mm']);
        $stops = array_filter(
            Planner::plan($no, new Profile)->checks,
            fn ($check): bool => $check->rule === 'oval' && $check->level === Level::Stop,
        );
        self::assertCount(1, $stops);
    }

    /** Three loops of 55: 3π·55 + 26 = 544.363. */
    public function test_memory_wire(): void
    {
        self::assertEqualsWithDelta(
            544.363,
            self::cut(self::of('memory-bracelet', 'coil', '55 mm'), 'Memory wire')->lengthMm(),
            0.001,
        );
    }

    /** 37 rings of 4.5 in 18 AWG hang 37·4.5 + 2·1.0237 long, inside to inside and both wires over. */
    public function test_a_chain_of_equal_rings(): void
    {
        $rings = Some::changed(Patterns::start('ring-chain', 'Rings'), ['do' => 'part.remove', 'part' => 'p1']);
        $plan = Planner::plan($rings, new Profile);
        // The topmost wire of the first ring stands above the line from which it hangs.
        self::assertEqualsWithDelta(37 * 4.5 + 2 * self::MM[18], $plan->hangsMm() + self::MM[18], 0.001);
    }

    /** The weaving wire against a walk along its path, turn by turn. */
    public function test_weave_wire_against_a_numeric_path(): void
    {
        $plan = self::plan('woven-bracelet');
        $weave = self::cut($plan, 'Weaving wire');
        $woven = array_values(
            array_filter($weave->segments, fn ($segment): bool => $segment->kind === SegmentKind::Weave),
        )[0];
        [$core, $wire] = [self::MM[20], self::MM[28]];
        $turn = 0.0;
        // Round two cores at D + w: two half circles and two straights, climbing one wire, in 4,000 steps.
        $rho = ($core + $wire) / 2;
        $flat = 2 * M_PI * $rho + 2 * ($core + $wire);
        for ($step = 0; $step < 4000; $step++) {
            $turn += hypot($flat / 4000, $wire / 4000);
        }
        $turns = (int) round(
            array_sum(
                array_map(
                    fn ($segment): float => $segment->words === 'woven' ? $segment->lengthMm : 0.0,
                    self::cut($plan, 'Core 2')->segments,
                ),
            ) / $wire,
        );
        self::assertSame(0, $turns % 12, 'whole repeats');
        self::assertGreaterThanOrEqual(120.0, $turns * $wire);
        self::assertEqualsWithDelta($turns * $turn, $woven->lengthMm * $weave->count, 0.05);
        self::assertSame([1, 2], [self::cut($plan, 'Core 2')->count, self::cut($plan, 'Core 1, 3')->count]);
    }

    public function test_a_weave_that_names_a_core_too_many_is_stopped_with_a_way_out(): void
    {
        $piece = Some::changed(
            Patterns::start('woven-bracelet', 'W'),
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'cores', 'value' => '2'],
        );
        $plan = Planner::plan($piece, new Profile);
        self::assertStringContainsString('names core 3 of 2', implode(' ', self::stops($plan)));
        $check = array_values(array_filter($plan->checks, fn (Check $check): bool => $check->rule === 'weave'))[0];
        self::assertSame([], self::stops(Planner::plan(Some::changed($piece, $check->ways[0]->change), new Profile)));
        $free = Planner::plan(
            Some::changed(
                Patterns::start('woven-bracelet', 'W'),
                ['do' => 'part.set', 'part' => 'p2', 'key' => 'pattern', 'value' => '3@1-2'],
            ),
            new Profile,
        );
        self::assertStringContainsString(
            'No section holds core 3: it would fall out.',
            implode(' ', self::stops($free)),
        );
    }

    /** Six times a link and a ring: six links, six rings and the closing ring, hooked from the hook down. */
    public function test_a_group_repeats_together(): void
    {
        $plan = self::plan('linked-bracelet');
        self::assertSame(6, self::cut($plan, 'Link')->count);
        // Rings that are alike are one coil: six of 3 mm, one of 7.
        self::assertSame(
            [1, 6, 1, 1],
            [
                self::cut($plan, 'Rings 1')->count, self::cut($plan, 'Rings 1')->rings?->count,
                self::cut($plan, 'Rings 2')->count, self::cut($plan, 'Rings 2')->rings?->count,
            ],
        );
        self::assertEqualsWithDelta(
            7 * sqrt((M_PI * (3 + self::MM[18])) ** 2 + self::MM[18] ** 2),
            self::cut($plan, 'Rings 1')->lengthMm(),
            0.01,
        );
        self::assertSame([12, 6], array_map(fn ($count): int => $count->each, $plan->beads));
        $hooks = array_filter($plan->steps(), fn (Step $step): bool => $step->operation === Operation::Hook);
        self::assertCount(7, $hooks, 'each of seven rings is opened once, for both that it joins');
    }

    /** Mirrored, the second half runs backwards: its beads too, so that both ends match. */
    public function test_a_mirrored_group_runs_back(): void
    {
        $piece = Some::changed(
            Patterns::start('linked-bracelet', 'M'),
            ['do' => 'group.set', 'group' => 'g1', 'count' => '2', 'mirrored' => '1'],
            ['do' => 'bead.remove', 'part' => 'p2', 'at' => 2],
        );
        $figure = Planner::plan($piece, new Profile)->figure();
        $beads = array_map(fn ($mark): string => $mark->bead->colour, $figure->beads);
        self::assertSame(['milk', 'moss', 'milk', 'moss', 'moss', 'milk', 'moss', 'milk'], $beads);
        self::assertSame($piece->times($piece->part(PartId::of('p2'))), 4);
    }

    /**
     * Feet of a pin of 24 AWG, d = 0.51056: an eye of 0.8 takes π(0.8 + d) = 4.117; two turns of spiral 2π(0.8 + 2d) =
     * 11.442; a ball of 1.8 takes 2 · 1.8³/(3d²) = 14.915, as much metal as it holds; a paddle what is given to it.
     */
    public function test_a_pin_ends_in_an_eye_a_spiral_a_ball_or_a_paddle(): void
    {
        foreach (['eye' => 4.1172, 'spiral' => 11.4423, 'ball' => 14.9155, 'paddle' => 4.0] as $stop => $mm) {
            $plan = Planner::plan(
                Some::changed(
                    Patterns::start('single-drop', 'Feet'),
                    ['do' => 'part.set', 'part' => 'p2', 'key' => 'stop', 'value' => $stop],
                ),
                new Profile,
            );
            $cut = self::cut($plan, 'Drop');
            self::assertSame(SegmentKind::Foot, $cut->segments[0]->kind);
            self::assertEqualsWithDelta($mm, $cut->segments[0]->lengthMm, 0.002, $stop);
            // Half as thick, the wire is but 0.71 wide: a hole of 1 mm lets a paddle through, and that is said.
            self::assertSame(
                $stop === 'paddle'
                    ? ['The foot is 0.7 mm wide and would slip through the 0.9 mm hole of the sand 4 mm bicone.']
                    : [],
                self::stops($plan),
            );
        }
        self::assertEqualsWithDelta(
            M_PI / 6 * 1.8 ** 3,
            14.9155 * M_PI / 4 * self::MM[24] ** 2,
            0.001,
            'metal is kept',
        );
        $small = Planner::plan(
            Some::changed(
                Patterns::start('single-drop', 'Feet'),
                ['do' => 'part.set', 'part' => 'p2', 'key' => 'stop', 'value' => 'ball'],
                ['do' => 'part.set', 'part' => 'p2', 'key' => 'ball', 'value' => '0.8 mm'],
                ['do' => 'wire', 'role' => 'pin', 'metal' => 'gold-filled'],
            ),
            new Profile,
        );
        self::assertStringContainsString('would slip through the 0.9 mm hole', implode(' ', self::stops($small)));
        self::assertContains('ball', array_map(fn (Check $check): string => $check->rule, $small->checks));
    }

    /**
     * 14 mm coiled twice: 28 on 24 AWG is 0.5106 + 2 · 0.3211 = 1.1527 thick, 12.145 turns round 20 AWG. Its straight
     * length is 12.145 · √((π(0.8118 + 0.3211))² + 1.1527²) = 45.44, so 141.5 turns of √((π(0.5106 + 0.3211))² +
     * 0.3211²) = 2.632: 372.5 mm of fine wire; the inner wire 12.145 · √((π(0.8118 + 1.1527))² + 1.1527²) = 76.25.
     */
    public function test_a_coil_of_a_coil(): void
    {
        $plan = self::plan('coiled-drop');
        $coil = fn (string $label): float => array_sum(
            array_map(
                fn ($segment): float => $segment->kind === SegmentKind::Coil ? $segment->lengthMm : 0.0,
                self::cut($plan, $label)->segments,
            ),
        );
        self::assertEqualsWithDelta(372.5, $coil('Coil'), 0.3);
        self::assertEqualsWithDelta(76.25, $coil('Inner wire'), 0.05);
        self::assertSame(
            ['28 AWG', '24 AWG', '20 AWG'],
            array_map(fn (string $role): string => $plan->piece->wires[$role]->size->text(), ['coil', 'inner', 'core']),
        );
        self::assertContains(
            'Coil bead: wind the coil round the core',
            array_map(fn (Step $step): string => $step->title, $plan->steps()),
        );
    }

    /**
     * Doubled: 26 for both hooks + 2 · π(60 + 2.0525) + a fold of π · 4 · 2.0525 = 26 + 389.888 + 25.793 = 441.681. A
     * bar of 20 in 16 AWG (1.2908) with an eye of 2.5: 20 + π(2.5 + 1.2908) = 31.909.
     */
    public function test_a_doubled_bangle_and_a_toggle_bar(): void
    {
        self::assertEqualsWithDelta(
            441.681,
            self::cut(self::of('doubled-bangle', 'inside', '60 mm'), 'Bangle')->lengthMm(),
            0.005,
        );
        self::assertEqualsWithDelta(31.909, self::cut(self::plan('toggle-bracelet'), 'Toggle bar')->lengthMm(), 0.002);
    }

    /**
     * Caps hold a bead between them: the upper opens down, the lower up; each adds its length to the stack, 8 + 2 · 2 =
     * 12, and weighs as metal.
     */
    public function test_caps_hold_a_bead_between_them(): void
    {
        $piece = Some::changed(
            Patterns::start('single-drop', 'Capped'),
            ['do' => 'bead.swap', 'part' => 'p2', 'at' => 1, 'bead' => '6 x 2mm cap, hole 1, sand'],
            ['do' => 'bead.add', 'part' => 'p2', 'at' => 0, 'bead' => '6 x 2mm cap, hole 1, sand'],
        );
        $plan = Planner::plan($piece, new Profile);
        // A pin is threaded from its foot.
        self::assertSame(
            [['cap', 180.0], ['round', 0.0], ['cap', 0.0]],
            array_map(
                fn ($mark): array => [$mark->bead->shape->value, abs(round($mark->turn))], $plan->figure()->beads,
            ),
        );
        self::assertEqualsWithDelta(
            12.0,
            array_values(
                array_filter(self::cut($plan, 'Drop')->segments, fn ($one): bool => $one->kind === SegmentKind::Seat),
            )[0]->lengthMm,
            1e-9,
        );
        self::assertSame('metal', $plan->figure()->beads[0]->bead->material->value);
    }

    /**
     * Open ring of 17.3 in 16 AWG (1.2908): π(17.3 + 1.2908) − 4 = 54.405 round, and two spirals of one turn, π(1 +
     * 1.2908) = 7.197: 68.799. Of two turns they would be 2π(1 + 2 · 1.2908) = 22.504 each.
     */
    public function test_an_open_ring(): void
    {
        self::assertEqualsWithDelta(68.799, self::cut(self::plan('open-ring'), 'Ring')->lengthMm(), 0.005);
        $twice = Planner::plan(
            Some::changed(
                Patterns::start('open-ring', 'Twice'),
                ['do' => 'part.set', 'part' => 'p1', 'key' => 'turns', 'value' => '2'],
            ),
            new Profile,
        );
        self::assertEqualsWithDelta(54.405 + 2 * 22.504, self::cut($twice, 'Ring')->lengthMm(), 0.005);
        self::assertStringContainsString(
            'they lie one over the other',
            implode(' ', array_map(fn (Check $check): string => $check->text, $twice->checks)),
        );
        $wide = Planner::plan(
            Some::changed(
                Patterns::start('open-ring', 'Wide'),
                ['do' => 'part.set', 'part' => 'p1', 'key' => 'gap', 'value' => '8 mm'],
            ),
            new Profile,
        );
        self::assertContains('gap', array_map(fn (Check $check): string => $check->rule, $wide->checks));
    }

    /** Three drops hang side by side in one ring. */
    public function test_a_cluster_fans_out(): void
    {
        $plan = self::plan('cluster');
        $tops = array_filter(
            $plan->figure()->strokes,
            fn (Stroke $stroke): bool => str_ends_with($stroke->mark, ':top-loop') && $stroke->layer === 1,
        );
        $places = array_unique(array_map(fn (Stroke $stroke): string => sprintf('%.2f', $stroke->path[0][1]), $tops));
        self::assertCount(3, $places);
        self::assertCount(
            1,
            array_filter(
                $plan->steps(),
                fn (Step $step): bool => str_contains($step->text, 'of drop 1, of drop 2 and of drop 3'),
            ),
        );
    }

    /** What is drawn round at true length is as long as its segment, within 1 %. */
    public function test_round_stretches_are_drawn_at_their_length(): void
    {
        foreach ([
            'hoop' => ['Hoop', 'p1:round', 0.01], 'framed-drop' => ['Frame', 'p2:outline', 0.01],
            'hammered-cuff' => ['Bangle', 'p1:round', 0.01],
        ] as $pattern => [$label, $mark, $within]) {
            $plan = self::plan($pattern);
            $drawn = 0.0;
            foreach ($plan->figure()->strokes as $stroke) {
                $drawn += $stroke->mark === $mark ? Drawn::lengthMm($stroke) : 0.0;
            }
            $segment = array_values(
                array_filter(self::cut($plan, $label)->segments, fn ($one): bool => $one->mark === $mark),
            )[0];
            // A hammered bangle is drawn as long as it ends, its cut is what it begins with.
            $longer = $pattern === 'hammered-cuff'
                ? \Hebra\Core\Bend\Hammered::of(self::MM[12], 1.5)->lengthening()
                : 1.0;
            self::assertEqualsWithDelta($segment->lengthMm * $longer, $drawn, $within * $drawn, $pattern);
        }
    }

    public function test_parts_hang_where_they_are_hung_and_nowhere_else(): void
    {
        $piece = Patterns::start('framed-drop', 'Hung');
        self::assertSame('p2/centre', $piece->part(PartId::of('p3'))->on?->text());
        $moved = Some::changed($piece, ['do' => 'part.hang', 'part' => 'p3', 'on' => 'p2/bottom']);
        self::assertSame('p2/bottom', $moved->part(PartId::of('p3'))->on?->text());
        // Its frame gone, the drop hangs on what stands before it.
        self::assertNull(Some::changed($piece, ['do' => 'part.remove', 'part' => 'p2'])->part(PartId::of('p3'))->on);
        foreach (['p9/bottom', 'p3/top', 'p2'] as $nowhere) {
            try {
                $plan = Planner::plan(
                    Some::changed($piece, ['do' => 'part.hang', 'part' => 'p3', 'on' => $nowhere]),
                    new Profile,
                );
                self::assertNotSame([], self::stops($plan), $nowhere);
            } catch (Problem $problem) {
                self::assertStringContainsString('is no part above this one', $problem->getMessage());
            }
        }
        self::assertStringContainsString(
            'Nothing can hang from the wing of the frame',
            implode(
                ' ',
                self::stops(
                    Planner::plan(
                        Some::changed($piece, ['do' => 'part.hang', 'part' => 'p3', 'on' => 'p2/wing']),
                        new Profile,
                    ),
                ),
            ),
        );
    }

    /** Two soldered rings cannot be joined: an open one between them can. */
    public function test_closed_on_closed_asks_for_a_ring(): void
    {
        $piece = Some::changed(
            Patterns::start('ring-chain', 'C'),
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'closed', 'value' => '1'],
        );
        self::assertStringContainsString(
            'a jump ring is needed between them',
            implode(' ', self::stops(Planner::plan($piece, new Profile))),
        );
    }

    /** @return array<string, array{callable(array<string, mixed>): array<string, mixed>, string}> */
    public static function broken(): array
    {
        return [
            'hung on nothing' => [
                fn (array $d): array => array_replace_recursive($d, ['parts' => [2 => ['on' => 'p7/bottom']]]),
                'is no part above this one',
            ],
            'hung on itself' => [
                fn (array $d): array => array_replace_recursive($d, ['parts' => [2 => ['on' => 'p3/top']]]),
                'is no part above this one',
            ],
            'hung in markup' => [
                fn (array $d): array => array_replace_recursive($d, ['parts' => [2 => ['on' => '<b>/x']]]),
                'is no part above this one',
            ],
            'a repeat of nothing' => [
                fn (array $d): array => ['groups' => ['g1' => ['repeat' => 0]]] + array_replace_recursive($d, ['parts' => [1 => ['group' => 'g1']]]),
                'is out of range: give 1 to 2000',
            ],
            'a group apart' => [fn (array $d): array => array_replace_recursive(
                $d, ['parts' => [0 => ['group' => 'g1'], 2 => ['group' => 'g1']]],
            ), 'stands in two places'],
            'too many by its group' => [
                fn (array $d): array => [
                    'groups' => ['g1' => ['repeat' => 1500, 'mirrored' => true]],
                ] + array_replace_recursive($d, ['parts' => [1 => ['group' => 'g1']]]),
                'would come to 3002 parts',
            ],
            'a flag that is none' => [
                fn (array $d): array => [
                    'groups' => ['g1' => ['repeat' => 1, 'mirrored' => 'yes']],
                ] + array_replace_recursive($d, ['parts' => [1 => ['group' => 'g1']]]),
                'give true or false',
            ],
        ];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $break */
    #[DataProvider('broken')]
    public function test_broken_composition_is_refused_in_one_sentence(callable $break, string $sentence): void
    {
        $document = json_decode(PieceJson::write(Patterns::start('framed-drop', 'B')), true, 32, JSON_THROW_ON_ERROR);
        $this->expectException(Problem::class);
        $this->expectExceptionMessage($sentence);
        PieceJson::read(json_encode($break($document), JSON_THROW_ON_ERROR));
    }

    /** Seeded random changes over every technique: the piece stays valid, its plan whole, its document canonical. */
    #[Group('wide')]
    public function test_random_pieces_of_every_technique_can_be_planned(): void
    {
        mt_srand(17);
        $techniques = array_keys(\Hebra\Core\Piece\Kinds::all());
        foreach (array_keys(Patterns::all()) as $pattern) {
            $piece = Patterns::start($pattern, 'Random');
            for ($change = 0; $change < 25; $change++) {
                $part = $piece->parts === [] ? 'p1' : $piece->parts[mt_rand(0, count($piece->parts) - 1)];
                $id = is_string($part) ? $part : $part->id;
                $all = [
                    ['do' => 'part.add', 'technique' => $techniques[mt_rand(0, count($techniques) - 1)]],
                    ['do' => 'part.remove', 'part' => $id],
                    ['do' => 'part.move', 'part' => $id, 'by' => mt_rand(0, 1) === 1 ? 1 : -1],
                    ['do' => 'part.copy', 'part' => $id],
                    ['do' => 'group.join', 'part' => $id], ['do' => 'group.leave', 'part' => $id],
                    [
                        'do' => 'group.set', 'group' => (string) (array_key_first($piece->groups) ?? 'g1'),
                        'count' => mt_rand(1, 5), 'mirrored' => (string) mt_rand(0, 1),
                    ],
                    [
                        'do' => 'part.hang', 'part' => $id,
                        'on' => 'p'.mt_rand(1, 4).'/'.['bottom', 'centre', 'top'][mt_rand(0, 2)],
                    ],
                    ['do' => 'bead.add', 'part' => $id, 'bead' => mt_rand(3, 12).'mm round, hole 1'],
                ];
                try {
                    $piece = Some::changed($piece, $all[mt_rand(0, count($all) - 1)]);
                } catch (Problem $problem) {
                    self::assertNotSame('', $problem->getMessage());
                }
            }
            $this->assertPlanned($piece);
        }
    }

    private function assertPlanned(Piece $piece): void
    {
        $json = PieceJson::write($piece);
        self::assertSame($json, PieceJson::write(PieceJson::read($json)));
        $plan = Planner::plan($piece, new Profile);
        $plan->steps();
        foreach ($plan->figure()->strokes as $stroke) {
            foreach ($stroke->path as $command) {
                foreach (array_slice($command, 1) as $number) {
                    self::assertTrue(is_finite((float) $number));
                }
            }
        }
        foreach ($plan->cuts as $cut) {
            self::assertGreaterThan(0, $cut->lengthMm());
            self::assertGreaterThanOrEqual(-1e-9, $cut->trimmedMm());
        }
    }
}
