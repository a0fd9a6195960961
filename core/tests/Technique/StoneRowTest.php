<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Tests\Piece\Some;
use Hebra\Core\Wrap\StoneRow;
use PHPUnit\Framework\TestCase;

/** Stones set in a row, which have no hole, bound along a wire. */
final class StoneRowTest extends TestCase
{
    /** @param  array<string, string>  $settings */
    private static function plan(array $settings = []): Plan
    {
        $piece = Patterns::start('stone-row-hoop', 'One');
        foreach ($settings as $key => $value) {
            $piece = Some::changed($piece, ['do' => 'part.set', 'part' => 'p1', 'key' => $key, 'value' => $value]);
        }

        return self::planned($piece);
    }

    private static function planned(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile);
    }

    /** @return list<string> */
    private static function stops(Plan $plan): array
    {
        return array_values(array_map(
            fn (Check $check): string => $check->text,
            array_filter($plan->checks, fn (Check $check): bool => $check->level === Level::Stop),
        ));
    }

    private static function bindingMm(Plan $plan): float
    {
        return array_values(array_filter($plan->cuts, fn ($cut): bool => $cut->label === 'Binding'))[0]->lengthMm();
    }

    public function test_it_is_read_as_a_maker_says_it(): void
    {
        $bead = Bead::parse('2 x 2.6mm cup, link 0.6, plum');
        self::assertSame([2.0, 2.6, 0.6], [$bead->widthMm, $bead->lengthMm, $bead->holeMm]);
        self::assertSame([BeadShape::Cup, Drilling::Row], [$bead->shape, $bead->drilling]);
        self::assertEquals($bead, Bead::parse($bead->line()));
        self::assertSame(BeadShape::Cup, Bead::parse('3mm set stones')->shape);
        self::assertSame([3.75, 0.9], [Bead::parse('3mm cup')->lengthMm, round(Bead::parse('3mm cup')->holeMm, 6)]);
    }

    /** 70 mm ÷ 2.6 mm = 26.9. */
    public function test_a_length_of_it_is_as_many_as_lie_in_it(): void
    {
        self::assertSame([26, '2 x 2.6mm cup'], Bead::counted('7 cm of 2 x 2.6mm cup'));
        self::assertSame([29, '6mm round'], Bead::counted('7 in of 6mm round'));
        $hoop = Patterns::start('stone-row-hoop', 'One');
        $more = Some::changed(
            $hoop, ['do' => 'bead.swap', 'part' => 'p1', 'at' => '0', 'bead' => '2 x 2.6mm cup, sky'],
        );
        self::assertSame(15, $more->part(PartId::of('p1'))->beads[0]->count);
        $added = Some::changed($hoop, ['do' => 'bead.add', 'part' => 'p1', 'bead' => '1 in of 2 x 2.6mm cup, sky']);
        self::assertSame(9, $added->part(PartId::of('p1'))->beads[1]->count);
        $this->expectException(Problem::class);
        $this->expectExceptionMessageMatches('/Count 0 is out of range/');
        Some::changed($hoop, ['do' => 'bead.add', 'part' => 'p1', 'bead' => '2 mm of 2 x 2.6mm cup, sky']);
    }

    public function test_what_has_a_hole_is_not_in_a_row(): void
    {
        $this->expectException(Problem::class);
        $this->expectExceptionMessageMatches('/drilling.*row/i');
        Bead::of(BeadShape::Round, 6.0, 6.0, 1.0, Drilling::Row);
    }

    /**
     * Two circles that touch, a common tangent on each side: for a core and a link of the same thickness the hull is
     * that of two wires side by side, π(D + w) + 2D. A link as thin as nothing adds almost nothing.
     */
    public function test_the_girth_is_the_hull_round_core_and_link(): void
    {
        self::assertEqualsWithDelta(M_PI * 1.3 + 2 * 1.0, (new StoneRow(1.0, 0.0, 1.0, 0.3))->girthMm(), 1e-9);
        self::assertEqualsWithDelta(M_PI * 1.3, (new StoneRow(1.0, 0.0, 1e-6, 0.3))->girthMm(), 0.02);
    }

    /**
     * Worked by hand: core 20 AWG 0.8118 mm, binder 28 AWG 0.3211, link 0.6. R = 0.5665, r = 0.4606, c = 0.7059, lean
     * asin(0.1059/0.7059) = 0.1506; girth 2·0.7059·cos + R(π + 0.3012) + r(π − 0.3012) = 1.3958 + 1.9503 + 1.3083 =
     * 4.6544. A stone: √(4.6544² + 2.2789²) + √(4.6544² + 0.3211²) = 5.1824 + 4.6655; the first √(4.6544² + 2.6²) =
     * 5.3313. The steps 4.6544/π − 0.3211 − 0.8118 = 0.3487. Twelve turns of √((π·1.1329)² + 0.3211²) = 3.5736, and
     * two tails of 50: 100 + 42.883 + 5.331 + 14 · 9.8479 + 0.349 = 286.43 mm.
     */
    public function test_its_binding_is_as_long_as_worked_by_hand(): void
    {
        self::assertEqualsWithDelta(286.43, self::bindingMm(self::plan()), 0.02);
    }

    /** Fifteen of 2.6 mm and twelve turns of 0.321 cover 42.85 mm: wraps lie in the gaps and move nothing on. */
    public function test_wraps_between_take_no_room(): void
    {
        $stones = fn (Plan $plan): array => array_merge(...array_map(
            fn ($course): array => array_merge(...array_map(
                fn (int $at): array => array_column($course->moves[$at]->standing($course->curves()[$at]), 1),
                array_keys($course->moves),
            )),
            $plan->parts()['p1']->technique->courses($plan->parts()['p1']),
        ));
        [$one, $none] = [$stones(self::plan()), $stones(self::plan(['between' => '0']))];
        $wire = self::plan()->parts()['p1']->technique->courses(self::plan()->parts()['p1'])[0];
        $round = array_reduce(
            $wire->curves(),
            fn (?Curve $most, Curve $one): Curve => $most?->lengthMm() > $one->lengthMm() ? $most : $one,
        );
        self::assertCount(15, $one);
        foreach ($one as $at => $place) {
            self::assertLessThan(0.02, $place->minus($none[$at])->lengthMm());
            // On the front of a hoop of 30 mm, half a wire and half a cup before it.
            $nearest = min(array_map(
                fn ($point): float => $point->minus($place)->lengthMm(), $round->points(0.1),
            ));
            self::assertEqualsWithDelta((0.8118 + 0.7 * 2.0) / 2, $nearest, 0.02);
        }
    }

    public function test_faces_look_out_or_to_the_front(): void
    {
        $faces = fn (Plan $plan): array => array_map(
            fn (Threaded $run) => $run->face,
            array_merge(...array_map(
                fn ($move): array => $move->threaded(),
                $plan->parts()['p1']->technique->courses($plan->parts()['p1'])[1]->moves,
            )),
        );
        self::assertEqualsWithDelta(1.0, $faces(self::plan())[7]->z, 1e-3);
        $out = $faces(self::plan(['beads_sit' => 'on']));
        self::assertEqualsWithDelta(0.0, $out[7]->z, 0.01);
        self::assertEqualsWithDelta(1.0, $out[7]->y, 1e-3, 'the middle one looks down');
    }

    public function test_what_cannot_be_is_said_with_a_way_out(): void
    {
        self::assertSame([], self::stops(self::plan()));
        self::assertContains('A row of set stones is bound in one row.', self::stops(self::plan(['rows' => '2'])));
        self::assertContains(
            'A row of set stones has no hole: it is bound on.', self::stops(self::plan(['beads_sit' => 'strung'])),
        );
        $plan = self::plan(['between' => '3']);
        self::assertContains('3 wraps of 0.3 mm take 0.95 mm, and between two stones are 0.6 mm.', self::stops($plan));
        $check = array_values(array_filter($plan->checks, fn (Check $check): bool => $check->rule === 'set row'))[0];
        self::assertSame([], self::stops(self::planned($check->ways[0]->change->apply($plan->piece))));
    }

    public function test_no_wire_goes_through_it(): void
    {
        $piece = Some::changed(
            Patterns::start('single-drop', 'One'),
            ['do' => 'bead.add', 'part' => 'p2', 'at' => '0', 'bead' => '2 x 2.6mm cup'],
        );
        self::assertStringContainsString(
            'joined in a row without a hole', implode(' ', self::stops(self::planned($piece))),
        );
    }
}
