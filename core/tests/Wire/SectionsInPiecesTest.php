<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Wire;

use Hebra\Core\Figure\View;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Tests\Piece\Some;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\SectionKind;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Wire that is not round: what it does to bends, holes, wraps, weight and drawing. Source: geometry. */
final class SectionsInPiecesTest extends TestCase
{
    /**
     * @return array<string, array{string, string, float, float, float}> text, code, what it adds to a bend, width, the
     *     hole it passes
     */
    public static function sizes(): array
    {
        return [
            // 2 · 4r/3π, r = 1.
            'half-round' => ['2mm half round', '2 mm half-round', 8 / (3 * M_PI), 2.0, 2.0],
            'square' => ['1 mm square wire', '1 mm square', 1.0, 1.0, M_SQRT2],
            'flat' => ['3 x 0.5', '3 x 0.5 mm', 0.5, 3.0, hypot(3.0, 0.5)],
            'twisted' => ['22 gauge twisted', '22 awg twisted-pair', 2 * 0.6438, 2 * 0.6438, 2 * 0.6438],
            'round' => ['20 awg', '20 awg', 0.8118, 0.8118, 0.8118],
        ];
    }

    #[DataProvider('sizes')]
    public function test_a_size_is_read_with_its_section(
        string $text, string $code, float $bend, float $wide, float $hole,
    ): void {
        $size = WireSize::parseDrawn($text);
        self::assertSame($code, $size->code());
        self::assertTrue(WireSize::parseDrawn($code)->equals($size));
        self::assertEqualsWithDelta(
            [$bend, $wide, $hole], [$size->diameterMm(), $size->widthMm(), $size->passesMm()], 1e-3,
        );
    }

    public function test_what_no_mill_draws_is_refused(): void
    {
        foreach (['3 x 5 mm', '12 x 2 mm', '2 mm hexagon', 'half-round', '99 awg square'] as $text) {
            try {
                WireSize::parseDrawn($text, 'size');
                self::fail("{$text} was taken");
            } catch (Problem $problem) {
                self::assertStringStartsWith('Size', $problem->getMessage());
            }
        }
        // Sums are told the section beside the size.
        $this->expectException(Problem::class);
        WireSize::parse('2 mm half-round');
    }

    /** Half of round wire weighs half; a square 4/π as much; two strands twice; a strip as its sides say. */
    public function test_weights_are_those_of_the_sections(): void
    {
        $grams = fn (string $size): float => (new Wire(
            Metal::Copper, WireSize::parseDrawn($size), Temper::DeadSoft,
        ))->gramsOf(1000);
        self::assertEqualsWithDelta(0.5, $grams('2 mm half-round') / $grams('2 mm'), 1e-9);
        self::assertEqualsWithDelta(4 / M_PI, $grams('2 mm square') / $grams('2 mm'), 1e-9);
        self::assertEqualsWithDelta(2.0, $grams('1 mm twisted-pair') / $grams('1 mm'), 1e-9);
        self::assertEqualsWithDelta($grams('1 mm square') * 3 * 0.5, $grams('3 x 0.5 mm'), 1e-9);
    }

    private static function plan(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile);
    }

    /**
     * A ring blank's rule, π(ID + 2a) with a of the half disc: 2.1 mm half-round is 2 · 4 · 1.05/3π = 0.891 to the
     * bend.
     */
    public function test_a_half_round_ring_is_cut_by_its_neutral_axis(): void
    {
        $piece = Patterns::start('half-round-ring', 'Ring');
        $plan = self::plan($piece);
        $round = array_values(array_filter(
            $plan->cuts[0]->segments, fn ($segment): bool => str_ends_with($segment->mark, ':round'),
        ))[0];
        $inside = $piece->parts[0]->mm('inside');
        self::assertEqualsWithDelta(M_PI * ($inside + 0.8913) - 5.0, $round->lengthMm, 1e-3);
        self::assertSame([], array_filter($plan->checks, fn (Check $check): bool => $check->level === Level::Stop));
    }

    /** Seen along the finger it is as thin as it is high; from its side as wide as it is. */
    public function test_it_is_drawn_thin_from_the_front_and_wide_from_the_side(): void
    {
        $plan = self::plan(Patterns::start('half-round-ring', 'Ring'));
        $width = function (View $view) use ($plan): float {
            foreach ($plan->seen($view)->placed as [$figure]) {
                $round = array_filter($figure->strokes, fn ($stroke): bool => str_ends_with($stroke->mark, ':round'));

                return max(array_column($round, 'wireMm'));
            }

            return 0.0;
        };
        self::assertEqualsWithDelta(1.05, $width(View::Front), 0.02);
        self::assertEqualsWithDelta(2.1, $width(View::Side), 0.05);
    }

    /** Three wraps of a strip 1.5 mm wide cover 4.5 mm of the stem, and of round wire as thick 1.5. */
    public function test_wraps_lie_as_wide_as_the_wire(): void
    {
        $piece = Patterns::start('two-links', 'Links');
        $neck = function (Piece $piece): float {
            foreach (self::plan($piece)->cuts as $cut) {
                foreach ($cut->segments as $segment) {
                    if (str_ends_with($segment->mark, 'top-neck')) {
                        return $segment->lengthMm;
                    }
                }
            }

            return 0.0;
        };
        $flat = $piece->withWire('link', $piece->wires['link']->withSize(WireSize::flat(1.5, 0.5)));
        $round = $piece->withWire('link', $piece->wires['link']->withSize(WireSize::millimetres(0.5)));
        self::assertEqualsWithDelta(3.0, $neck($flat) / $neck($round), 1e-6);
    }

    public function test_a_square_wire_needs_the_hole_of_its_corners(): void
    {
        $piece = Some::drop();
        $role = 'link';
        $square = $piece->withWire($role, $piece->wires[$role]->withSize(WireSize::parseDrawn('0.8 mm square')));
        $fits = fn (Piece $one): array => array_filter(
            self::plan($one)->checks,
            fn (Check $check): bool => $check->level === Level::Stop && str_contains($check->text, 'does not pass'),
        );
        self::assertSame(
            [], $fits($piece->withWire($role, $piece->wires[$role]->withSize(WireSize::millimetres(0.8)))),
        );
        // Its corners are 1.13 mm apart, the holes of 1 mm take 0.95.
        self::assertNotSame([], $fits($square));
    }

    public function test_sections_survive_their_file(): void
    {
        foreach (['twisted-hoop', 'half-round-ring', 'square-cuff'] as $pattern) {
            $piece = Patterns::start($pattern, 'One');
            self::assertEquals($piece, PieceJson::read(PieceJson::write($piece)));
        }
        self::assertSame(SectionKind::TwistedPair, Patterns::start('twisted-hoop', 'One')->wires['hoop']->size->kind());
    }

    /** What is only plated or enamelled is to be spared; hammered, it is worn through. */
    public function test_a_skin_of_metal_is_told_and_not_to_be_hammered(): void
    {
        $told = fn (Piece $piece): array => array_values(array_filter(
            self::plan($piece)->checks, fn (Check $check): bool => $check->rule === 'coating',
        ));
        $cuff = Patterns::start('hammered-cuff', 'Cuff');
        self::assertSame([], $told($cuff));
        $plated = $cuff->withWire('bangle', $cuff->wires['bangle']->withMetal(Metal::SilverPlated));
        self::assertSame([Level::Warn], array_column($told($plated), 'level'));
        $links = Patterns::start('two-links', 'Links');
        $enamelled = $links->withWire('link', $links->wires['link']->withMetal(Metal::Enamelled));
        self::assertSame([Level::Note], array_column($told($enamelled), 'level'));
        self::assertStringContainsString('a skin of enamel', $told($enamelled)[0]->text);
    }
}
