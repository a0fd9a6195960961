<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Stockkeeping;
use App\Models\Lot;
use App\Models\Piece;
use App\View\CutBoard;
use App\View\CutRow;
use App\View\Desk;
use App\View\Drawing;
use App\View\Strip;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\LengthUnit;
use Tests\TestCase;

/** Cut: strips on one ruler, each with its lot before and after, the part it makes, and what is ticked off. */
final class CutStageTest extends TestCase
{
    private function coil(string $size, string $amount, string $name, string $temper = 'dead-soft'): Lot
    {
        return app(Stockkeeping::class)->receive(
            $this->workshop(),
            [
                'kind' => 'coil', 'metal' => 'sterling', 'size' => $size, 'temper' => $temper, 'amount' => $amount,
                'name' => $name,
            ],
            LengthUnit::Millimetre,
        );
    }

    private function board(Piece $piece): CutBoard
    {
        return new CutBoard(new Desk($piece->refresh(), $this->workshop(), 'cut'));
    }

    /** @return array<string, CutRow> by the label of the cut */
    private function rows(Piece $piece): array
    {
        $rows = $this->board($piece)->rows();

        return array_combine(array_map(fn (CutRow $row): string => $row->cut()->label, $rows), $rows);
    }

    public function test_a_lot_is_told_before_and_after_all_its_cuts(): void
    {
        $piece = $this->piece('link-and-drop');
        $this->coil('22 awg', '900 mm', 'Harbour coil');
        $row = $this->rows($piece)['Link'];
        $each = $row->cut()->grossMm($this->workshop()->profile()->ruler);
        self::assertSame('Harbour coil', $row->from->lot?->name);
        self::assertEqualsWithDelta(900.0, $row->from->before, 0.5);
        self::assertEqualsWithDelta(2 * $each, $row->from->before - $row->from->after(), 1e-6);
        self::assertTrue($row->from->isCovered());
        $page = $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/cut")->assertOk();
        $page->assertSee('Harbour coil')->assertSee('0.90')
            ->assertSee('none of it in stock')
            ->assertSee('0</strong> of', false);
    }

    public function test_what_was_ticked_off_is_filled_in_and_no_longer_taken(): void
    {
        $piece = $this->piece('link-and-drop');
        $lot = $this->coil('22 awg', '900 mm', 'Harbour coil');
        $this->actingAs($this->maker)->post(
            "/cutting/ticks?pieces[]={$piece->ulid}",
            ['piece' => $piece->ulid, 'lot' => $lot->ulid, 'cut' => 'p2', 'count' => 1, 'do' => 'cut'],
        )->assertRedirect();
        $row = $this->rows($piece)['Link'];
        $each = $row->cut()->grossMm($this->workshop()->profile()->ruler);
        self::assertSame([true, false], $row->circles());
        self::assertEqualsWithDelta(900.0 - $each, $row->from->before, 0.5, 'the one that is cut has left it');
        self::assertEqualsWithDelta(900.0 - 2 * $each, $row->from->after(), 0.5);
        self::assertSame([1, 6], [$this->board($piece)->cutAlready(), $this->board($piece)->cutInAll()]);
        // A spoiled one has left the coil too, and is still to be cut.
        $this->post(
            "/cutting/ticks?pieces[]={$piece->ulid}",
            ['piece' => $piece->ulid, 'lot' => $lot->ulid, 'cut' => 'p2', 'count' => 1, 'do' => 'spoiled'],
        )->assertRedirect();
        $row = $this->rows($piece)['Link'];
        self::assertSame([true, false], $row->circles());
        self::assertEqualsWithDelta(900.0 - 3 * $each, $row->from->after(), 0.5);
    }

    public function test_cuts_of_one_wire_take_from_one_lot_after_another_and_what_is_short_is_said(): void
    {
        $piece = $this->piece('link-and-drop');
        $this->coil('22 awg', '100 mm', 'Last of it');
        $row = $this->rows($piece)['Link'];
        self::assertFalse($row->from->isCovered());
        $short = $this->workshop()->profile()->length(-$row->from->after());
        $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/cut")->assertSee("{$short} short");
    }

    public function test_strips_of_a_making_have_one_scale_and_lie_on_its_ruler(): void
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            $board = $this->board($this->piece($pattern));
            [$rows, $ruler] = [$board->rows(), $board->ruler()];
            self::assertSame(Strip::MARGIN, (int) $ruler[0]['x'], $pattern);
            self::assertGreaterThan(1, count($ruler), $pattern);
            $perMm = ($ruler[1]['x'] - $ruler[0]['x']) / (float) $ruler[1]['words'];
            self::assertEqualsWithDelta($rows[0]->strip->ratio * Drawing::PX_PER_MM, $perMm, 0.01, $pattern);
            foreach ($rows as $row) {
                self::assertEqualsWithDelta(
                    Strip::MARGIN + $row->cut()->lengthMm() * $row->strip->ratio * Drawing::PX_PER_MM,
                    $row->strip->endX, 0.01, "{$pattern}: {$row->cut()->label}",
                );
            }
        }
    }

    /** What stands on a strip are the beads of the cut, inside its wire, each as long as it is where there is room. */
    public function test_beads_lie_under_their_stretch(): void
    {
        $seen = 0;
        foreach (array_keys(Patterns::all()) as $pattern) {
            foreach ($this->board($this->piece($pattern))->rows() as $row) {
                $last = 0.0;
                $runs = array_sum(array_map(fn ($segment): int => count($segment->beads), $row->cut()->segments));
                self::assertCount($runs, $row->strip->beads, $pattern);
                foreach ($row->strip->beads as $bead) {
                    self::assertGreaterThanOrEqual($last - 0.02, $bead['x'], "{$pattern}: {$row->cut()->label}");
                    self::assertLessThanOrEqual($row->strip->endX + 1.1, $bead['x'] + $bead['w'], $pattern);
                    $last = $bead['x'];
                    $seen++;
                }
            }
        }
        self::assertGreaterThan(100, $seen);
    }

    /** Every part by itself is drawn with the marks of its cuts, so that a stretch lights up in it. */
    public function test_the_part_beside_a_strip_is_the_one_that_it_makes(): void
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            $plan = Planner::plan(Patterns::start($pattern, 'One'), new Profile);
            foreach ($plan->strips() as $cut) {
                $alone = $plan->alone($cut->part)->flat();
                $drawn = array_column($alone->strokes, 'mark');
                $marks = array_map(fn ($segment): string => $segment->mark, array_filter(
                    $cut->segments, fn ($segment): bool => $segment->kind->stays() && $segment->lengthMm > 1.0,
                ));
                self::assertTrue(
                    $cut->rings !== null || array_intersect($marks, $drawn) !== [],
                    "{$pattern}: {$cut->label} has none of ".implode(', ', $marks),
                );
            }
        }
    }
}
