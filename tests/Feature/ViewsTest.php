<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Stockkeeping;
use App\Models\Lot;
use App\View\Desk;
use App\View\Drawing;
use App\View\Strip;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\Ruler;
use Tests\TestCase;

/** The presenters: scales that are true, labels that do not collide, lots offered as a maker would choose. */
final class ViewsTest extends TestCase
{
    public function test_labels_and_bend_marks_of_a_strip_do_not_collide_at_any_scale(): void
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            foreach (Planner::plan(Patterns::start($pattern, 'Strips'), new Profile)->cuts as $cut) {
                foreach ([0.25, 1.0, 2.0] as $ratio) {
                    $strip = new Strip($cut, new Profile, $ratio);
                    $right = [];
                    foreach ($strip->segments as $segment) {
                        $half = mb_strlen($segment['words']) * 7.1 / 2;
                        self::assertGreaterThanOrEqual($right[$segment['row']] ?? 0.0, $segment['labelX'] - $half);
                        $right[$segment['row']] = $segment['labelX'] + $half;
                        self::assertLessThanOrEqual($strip->width, $segment['labelX'] + $half - 0.5);
                    }
                    self::assertGreaterThan($strip->wireY + 18 * ($strip->labelRows - 1), $strip->height);
                }
            }
        }
    }

    public function test_a_strip_is_as_long_as_its_cut_at_its_scale(): void
    {
        $cut = Planner::plan(Patterns::start('link-and-drop', 'Strips'), new Profile)->cuts[1];
        foreach ([0.5, 1.0, 1.75] as $ratio) {
            $strip = new Strip($cut, new Profile, $ratio);
            self::assertEqualsWithDelta(
                $cut->lengthMm() * $ratio * 96 / 25.4,
                $strip->endX - $strip->segments[0]['x'],
                0.01,
            );
        }
        self::assertStringStartsWith(
            'Link, 80.5 mm: tail 10 mm, 3 wraps 12.5 mm, loop 10 mm, neck 2 mm, 2 beads 12 mm',
            (new Strip($cut, new Profile, 1.0))->sentence(),
        );
        self::assertStringContainsString(
            'Bends at 1 1/4 (bend square, top)',
            (new Strip($cut, new Profile(Ruler::SixteenthInch), 1.0))->sentence(),
        );
    }

    public function test_the_drawing_fits_its_room_at_the_scale_it_states(): void
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            $figure = Planner::plan(Patterns::start($pattern, 'Drawn'), new Profile)->assembly();
            $drawing = new Drawing($figure, 330, 560);
            self::assertLessThanOrEqual(560.1, $drawing->height);
            self::assertLessThanOrEqual(330.1, $drawing->width);
            self::assertEqualsWithDelta(
                $figure->heightMm() * $drawing->ratio * 96 / 25.4,
                $drawing->y($figure->heightMm()) - $drawing->y(0),
                0.02,
            );
        }
    }

    private function lot(string $amount, string $temper = 'dead-soft', string $kind = 'coil'): Lot
    {
        return app(Stockkeeping::class)->receive(
            $this->workshop(),
            ['kind' => $kind, 'metal' => 'sterling', 'size' => '22awg', 'temper' => $temper, 'amount' => $amount],
            LengthUnit::Millimetre,
        );
    }

    public function test_the_smallest_lot_that_holds_all_of_a_cut_is_offered(): void
    {
        $this->lot('3 m');
        $fitting = $this->lot('200 mm', kind: 'offcut');
        $this->lot('70 mm', kind: 'offcut');
        $this->lot('180 mm', 'hard');
        $desk = new Desk($this->piece(), $this->workshop(), 'log');
        $cut = $desk->plan->cuts[1];
        $shares = $desk->onHand->shares($desk->plan);
        self::assertSame($fitting->ulid, $desk->onHand->lotOffered($shares[1])?->ulid);
        self::assertCount(4, $desk->onHand->lotsFor($cut));
        self::assertNull($desk->onHand->lotOffered($shares[0]), 'nothing of the ear wire’s size is in stock');
        self::assertEqualsWithDelta(3270, $desk->onHand->ownedMm($cut->wire), 1.0);
        self::assertEqualsWithDelta(
            3200,
            $desk->onHand->ownedMm($cut->wire, 83.5),
            1.0,
            'an offcut shorter than the cut is no help',
        );
    }

    public function test_the_chosen_run_and_its_neighbours_are_found_over_all_parts(): void
    {
        $piece = $this->piece('two-links');
        $desk = fn (?string $part, ?int $run): Desk => new Desk(
            $piece, $this->workshop(), 'lay-out', $part === null ? null : PartId::of($part), $run,
        );
        self::assertSame(['p2', 0], [$desk(null, null)->open()?->id->text, $desk(null, null)->run()]);
        self::assertNull($desk('p2', 0)->neighbour(-1));
        self::assertSame(['part' => PartId::of('p3'), 'run' => 0], $desk('p2', 0)->neighbour(1));
        self::assertSame(['part' => PartId::of('p3'), 'run' => 0], $desk('p4', 0)->neighbour(-1));
        self::assertSame(0, $desk('p3', 99)->run(), 'a place that is gone falls back to one that is there');
        self::assertSame('p1', $desk('p1', 0)->open()?->id->text);
        self::assertNull($desk('p1', 0)->run());
    }
}
