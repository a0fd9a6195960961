<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Bend\WrappedLoop;
use Hebra\Core\Course\Segment;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\LayReady;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\Tests\Piece\Some;
use Hebra\Core\Wire\WireSize;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class PlannerTest extends TestCase
{
    private static function plan(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile);
    }

    /** @return list<string> */
    private static function rules(Plan $plan, Level $level): array
    {
        return array_values(
            array_map(
                fn (Check $check): string => $check->rule,
                array_filter($plan->checks, fn (Check $check): bool => $check->level === $level),
            ),
        );
    }

    /**
     * The rule for a wrapped link, worked beside the plan: body + 2(neck + loop + wraps + tail); bends at tail + wraps
     * + loop from either end.
     */
    public function test_a_link_is_cut_as_the_rule_says(): void
    {
        $cut = self::plan(Some::drop())->cuts[1];
        $wire = WireSize::awg(22)->diameterMm();
        $end = new WrappedLoop($wire, 2.5, 3, $wire, 10.0);
        self::assertEqualsWithDelta(8 + 4 + 2 * $end->totalMm(), $cut->lengthMm(), 1e-9);
        $bend = $end->tailMm + $end->wrapsMm() + $end->loopMm();
        self::assertEqualsWithDelta(
            [$bend, $cut->lengthMm() - $bend],
            array_map(fn ($mark): float => $mark->atMm, $cut->bends),
            1e-9,
        );
        self::assertSame(
            ['tail', 'wraps', 'loop', 'neck', 'seat', 'neck', 'loop', 'wraps', 'tail'],
            array_map(fn (Segment $segment): string => $segment->kind->value, $cut->segments),
        );
    }

    /**
     * Closed shapes hooked together meet inside to inside (common practice): the drop hangs the sum of its inside
     * lengths.
     */
    public function test_the_hanging_length_is_the_sum_of_inside_lengths(): void
    {
        [$d20, $d22, $d24] = array_map(fn (int $number): float => WireSize::awg($number)->diameterMm(), [20, 22, 24]);
        // The leg is measured to the middle of the eye's wire, so half a thickness lies between its end and the eye's
        // inside.
        $earWire = $d20 + 9.0 / 2 + 6.0 + $d20 / 2 + 2.4;
        $link = 8 + 4 + 2 * (3 * $d22 + $d22 + 2.5);
        $drop = (2 * $d24 + $d24 + 2.0) + 13 + 0.8 + 2 * $d24;
        self::assertEqualsWithDelta($earWire + $link + $drop, self::plan(Some::drop())->hangsMm(), 0.02);
    }

    public function test_counts_say_each_and_all(): void
    {
        $plan = self::plan(
            Some::changed(
                Some::drop(),
                ['do' => 'part.repeat', 'part' => 'p2', 'count' => '3'],
                ['do' => 'makes', 'kind' => 'batch', 'count' => '5'],
            ),
        );
        self::assertSame([1 * 5, 3 * 5, 1 * 5], array_map(fn (Cut $cut): int => $cut->count, $plan->cuts));
        self::assertSame(
            [[3, 15], [3, 15], [1, 5]],
            array_map(fn ($count): array => [$count->each, $count->all], $plan->beads),
        );
    }

    public function test_the_drop_is_hooked_on_before_its_loop_is_wrapped(): void
    {
        $titles = array_map(fn (Step $step): string => $step->title, self::plan(Some::drop())->steps());
        $hook = array_search('Drop: hook it on first', $titles, true);
        self::assertIsInt($hook);
        self::assertSame('Drop: turn the loop', $titles[$hook - 1]);
        self::assertSame('Drop: wrap the loop shut', $titles[$hook + 1]);
        $step = self::plan(Some::drop())->steps()[$hook];
        self::assertSame('Is the drop hooked on?', $step->asks);
    }

    public function test_wraps_and_beads_are_counted(): void
    {
        $counted = [];
        foreach (self::plan(Some::drop())->steps() as $step) {
            if ($step->count > 0) {
                $counted[] = "{$step->count} {$step->counted}";
            }
        }
        self::assertSame(['3 wraps', '2 beads', '3 wraps', '1 beads', '2 wraps'], $counted);
    }

    public function test_a_wire_too_thick_for_a_hole_says_so_and_offers_ways_out_that_work(): void
    {
        $piece = Some::changed(Some::drop(), ['do' => 'wire', 'role' => 'link', 'size' => '18awg']);
        $plan = self::plan($piece);
        $stops = array_values(array_filter($plan->checks, fn (Check $check): bool => $check->level === Level::Stop));
        self::assertCount(2, $stops);
        // 18 AWG is 1.024 mm; the bicone's hole is 0.9: 0.12 too thick, 0.17 with 0.05 to move.
        self::assertStringContainsString(
            '18 AWG does not pass the sand 4 mm bicone: its hole is 0.9 mm, 0.17 mm too small',
            $stops[1]->text,
        );
        foreach ($stops[1]->ways as $way) {
            $after = self::plan(Some::changed($piece, $way->change));
            self::assertLessThan(
                count($stops),
                count(array_filter($after->checks, fn (Check $check): bool => $check->level === Level::Stop)),
                $way->words,
            );
        }
    }

    public function test_a_bought_pin_is_a_finding_and_says_what_is_trimmed(): void
    {
        $piece = Some::changed(
            Some::drop(),
            ['do' => 'part.set', 'part' => 'p3', 'key' => 'source', 'value' => 'bought'],
        );
        $plan = self::plan($piece);
        self::assertCount(2, $plan->cuts);
        self::assertCount(1, $plan->pins);
        self::assertSame(
            [50.0, 1, 2],
            [$plan->findings[0]->lengthMm, $plan->findings[0]->each, $plan->findings[0]->all],
        );
        $d = WireSize::awg(24)->diameterMm();
        $used = 13 + (new WrappedLoop($d, 2.0, 2, $d))->totalMm();
        self::assertEqualsWithDelta(50 - $used, $plan->findings[0]->trimmedMm, 1e-9);
        self::assertContains('pin length', self::rules($plan, Level::Ok));
        $short = self::plan(
            Some::changed($piece, ['do' => 'part.set', 'part' => 'p3', 'key' => 'pin_length', 'value' => '30mm']),
        );
        self::assertContains('pin length', self::rules($short, Level::Stop));
    }

    public function test_what_cannot_hang_is_said(): void
    {
        $plan = self::plan(Some::changed(Some::drop(), ['do' => 'part.move', 'part' => 'p3', 'by' => '-1']));
        self::assertContains('nothing to hang from', self::rules($plan, Level::Stop));
        $bare = self::plan(Some::changed(Some::drop(), ['do' => 'part.remove', 'part' => 'p3']));
        self::assertContains('empty eye', self::rules($bare, Level::Note));
    }

    public function test_skin_weight_eye_and_drilling_are_judged(): void
    {
        self::assertContains(
            'skin',
            self::rules(
                self::plan(Some::changed(Some::drop(), ['do' => 'wire', 'role' => 'ear', 'metal' => 'nickel-silver'])),
                Level::Warn,
            ),
        );
        self::assertContains(
            'weight',
            self::rules(
                self::plan(
                    Some::changed(
                        Some::drop(),
                        ['do' => 'bead.add', 'part' => 'p2', 'bead' => '25mm round, hole 1, stone'],
                    ),
                ),
                Level::Warn,
            ),
        );
        self::assertContains(
            'eye',
            self::rules(
                self::plan(
                    Some::changed(
                        Some::drop(),
                        ['do' => 'part.set', 'part' => 'p1', 'key' => 'eye', 'value' => '0.8mm'],
                        ['do' => 'wire', 'role' => 'link', 'size' => '20awg'],
                    ),
                ),
                Level::Stop,
            ),
        );
        self::assertContains(
            'drilling',
            self::rules(
                self::plan(
                    Some::changed(
                        Some::drop(),
                        ['do' => 'bead.add', 'part' => 'p2', 'bead' => '8x12mm drop, hole 1, top-drilled'],
                    ),
                ),
                Level::Stop,
            ),
        );
        self::assertSame(
            ['empty piece'],
            array_map(
                fn (Check $check): string => $check->rule,
                self::plan(
                    Some::changed(
                        Some::drop(),
                        ['do' => 'part.remove', 'part' => 'p1'],
                        ['do' => 'part.remove', 'part' => 'p2'],
                        ['do' => 'part.remove', 'part' => 'p3'],
                    ),
                )->checks,
            ),
        );
    }

    public function test_what_cracks_and_what_a_tug_opens_is_warned_of_with_ways_out(): void
    {
        $hard = self::plan(Some::changed(Some::drop(), ['do' => 'wire', 'role' => 'link', 'temper' => 'spring']));
        self::assertContains('cracks', self::rules($hard, Level::Warn));
        $soft = Some::changed(
            Some::drop(),
            ['do' => 'wire', 'role' => 'ear', 'metal' => 'copper', 'size' => '22 awg', 'temper' => 'dead-soft'],
        );
        self::assertContains('loop strength', self::rules(self::plan($soft), Level::Warn));
        $check = array_values(
            array_filter(self::plan($soft)->checks, fn (Check $check): bool => $check->rule === 'loop strength'),
        )[0];
        self::assertMatchesRegularExpression(
            '/opens at [\d.]+ N: [\d.]+ g hung and a tug of 3 N come to [\d.]+ N\.$/',
            $check->text,
        );
        self::assertNotContains(
            'loop strength',
            self::rules(self::plan(Some::changed($soft, $check->ways[0]->change)), Level::Warn),
        );
        self::assertSame(
            [],
            array_intersect(['cracks', 'loop strength'], self::rules(self::plan(Some::drop()), Level::Warn)),
        );
    }

    public function test_laying_ready_counts_spares_and_rounds_cuts_up(): void
    {
        $ready = LayReady::of(Some::drop(), new Profile(Ruler::Millimetre), 6);
        self::assertSame([6, 6, 6], array_map(fn ($count): int => $count->all, $ready->beads));
        self::assertSame(1, $ready->beads[0]->spares);
        foreach ($ready->wires as $wire) {
            foreach ($wire['cuts'] as $cut) {
                self::assertSame(0.0, fmod($cut['lengthMm'], 1.0));
                self::assertSame(6, $cut['all']);
            }
        }
    }

    /** What must always hold of a plan, whatever was done to the piece. */
    #[Group('wide')]
    public function test_properties_of_every_plan(): void
    {
        mt_srand(41);
        $planned = 0;
        for ($run = 0; $run < 60; $run++) {
            $piece = Patterns::start(
                ['single-drop', 'link-and-drop', 'two-links', 'straight-line'][$run % 4],
                'Random',
            );
            for ($step = 0; $step < 15; $step++) {
                try {
                    $piece = Some::randomChange($piece)->apply($piece);
                } catch (Problem) {
                    continue;
                }
            }
            $plan = self::plan($piece);
            foreach ($plan->strips() as $cut) {
                $planned++;
                self::assertEqualsWithDelta(
                    $cut->netMm() + $cut->trimmedMm(),
                    $cut->lengthMm(),
                    1e-9,
                    'cut = sum of its segments',
                );
                $last = 0.0;
                foreach ($cut->bends as $bend) {
                    self::assertGreaterThan($last, $bend->atMm, 'bends strictly in order');
                    self::assertLessThan($cut->lengthMm(), $bend->atMm, 'bends strictly inside');
                    $last = $bend->atMm;
                }
                foreach ($cut->segments as $segment) {
                    self::assertGreaterThanOrEqual(0.0, $segment->lengthMm);
                    self::assertEqualsWithDelta(
                        $segment->lengthMm,
                        $segment->working->result,
                        1e-9,
                        'the working gives the length it explains',
                    );
                }
            }
            foreach ($plan->metal as $metal) {
                self::assertEqualsWithDelta(
                    $metal->grossGrams(),
                    $metal->netGrams() + $metal->scrapGrams(),
                    1e-9,
                    'gross = net + scrap',
                );
                self::assertGreaterThanOrEqual(-1e-9, $metal->scrapGrams());
            }
            self::assertJson((string) json_encode($plan->toArray(), JSON_THROW_ON_ERROR));
        }
        self::assertGreaterThan(100, $planned);
    }

    public function test_planning_is_pure(): void
    {
        $piece = Some::thirtyParts();
        self::assertEquals(self::plan($piece)->toArray(), self::plan($piece)->toArray());
    }
}
