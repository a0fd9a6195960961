<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\ClosingRow;
use App\Actions\Stockkeeping;
use App\Models\Lot;
use App\Read\CutShare;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Support\Collection;
use Tests\TestCase;

/** What a row of the log books: metal in whole milligrams, none of it from nowhere. */
final class ClosingRowTest extends TestCase
{
    private function lot(string $amount): Lot
    {
        return app(Stockkeeping::class)->receive($this->workshop(), [
            'kind' => 'coil', 'metal' => 'sterling', 'size' => '22 awg', 'temper' => 'dead-soft', 'amount' => $amount,
            'price' => '',
        ], LengthUnit::Millimetre)->refresh();
    }

    private function cut(): Cut
    {
        return Planner::plan($this->piece()->document(), $this->workshop()->profile())->cuts[1];
    }

    private static function share(Cut $cut, int $count): CutShare
    {
        return CutShare::of($cut, new Collection)[0]->with($count);
    }

    /** gross = net + kept + scrap, none less than nothing, no more than the lot has: over many lengths and counts. */
    public function test_metal_is_conserved_whatever_was_cut_left_and_kept(): void
    {
        $cut = $this->cut();
        mt_srand(31);
        foreach (['400 mm', '3 m'] as $amount) {
            $lot = $this->lot($amount);
            for ($round = 0; $round < 300; $round++) {
                $cutMm = mt_rand(10, 1500) / 10;
                $leftMm = mt_rand(0, (int) ($cutMm * 10)) / 10;
                $keptMm = mt_rand(0, (int) ($leftMm * 10)) / 10;
                $count = mt_rand(1, 4);
                $row = new ClosingRow(self::share($cut, $count), $lot, $cutMm, $leftMm, $keptMm);
                $told = "{$count} × {$cutMm} mm, {$leftMm} left, {$keptMm} kept, of {$amount}";
                self::assertSame($row->grossMg(), $row->netMg() + $row->keptMg() * $count + $row->scrapMg(), $told);
                self::assertGreaterThanOrEqual(0, $row->netMg(), $told);
                if ($count * ($cutMm + $cut->trimMm()) <= $lot->heldMm()) {
                    // Whole milligrams: each offcut is rounded by itself, the rest once.
                    self::assertGreaterThanOrEqual(-$count, $row->scrapMg(), $told);
                    self::assertLessThanOrEqual($lot->heldMg(), $row->grossMg(), $told);
                }
            }
        }
    }

    /** A clean end for each cut; what the lot has no more of is not asked of it. */
    public function test_the_last_cut_takes_what_is_left_of_a_lot(): void
    {
        $cut = $this->cut();
        $lot = $this->lot('200 mm');
        $enough = new ClosingRow(self::share($cut, 2), $lot, 80.0, 0.0, 0.0);
        self::assertSame($lot->mgOf(2 * (80.0 + $cut->trimMm())), $enough->grossMg());
        $tight = new ClosingRow(self::share($cut, 2), $lot, 100.0 - $cut->trimMm() / 2, 0.0, 0.0);
        self::assertSame($lot->heldMg(), $tight->grossMg());
        // Of what the lot cannot have held the cuts themselves are booked: the log is what was measured.
        $short = new ClosingRow(self::share($cut, 2), $lot, 120.0, 0.0, 0.0);
        self::assertSame($lot->mgOf(240.0 + $cut->trimMm()), $short->grossMg());
    }

    /** Two halves of a lot weigh what it weighs: rounded once over all, not for each. */
    public function test_many_cuts_are_rounded_once(): void
    {
        $cut = $this->cut();
        $lot = $this->lot('30 m');
        $one = new ClosingRow(self::share($cut, 1), $lot, 33.3, 0.0, 0.0);
        $many = new ClosingRow(self::share($cut, 60), $lot, 33.3, 0.0, 0.0);
        self::assertEqualsWithDelta(60 * (33.3 + $cut->trimMm()) * $lot->mass_ng_per_mm / 1e6, $many->grossMg(), 0.5);
        self::assertNotSame(60 * $one->grossMg(), $many->grossMg(), 'sixty roundings would show');
    }

    /** Pins go by the piece, whatever was cut off them; what was cut off is scrap. */
    public function test_pins_weigh_what_their_bag_says(): void
    {
        $piece = $this->piece();
        $this->change($piece, ['do' => 'part.set', 'part' => 'p3', 'key' => 'source', 'value' => 'bought'])->assertOk();
        $cut = Planner::plan($piece->refresh()->document(), $this->workshop()->profile())->pins[0];
        $pins = app(Stockkeeping::class)->receive($this->workshop(), [
            'kind' => 'pins', 'metal' => $cut->wire->metal->value, 'size' => $cut->wire->size->text(),
            'temper' => $cut->wire->temper->value, 'pins' => '20', 'pin_length' => (string) $cut->pinMm, 'price' => '',
        ], LengthUnit::Millimetre)->refresh();
        $row = new ClosingRow(self::share($cut, 3), $pins, (float) $cut->pinMm, 20.0, 0.0);
        self::assertSame(3 * $pins->pinMg(), $row->grossMg());
        self::assertSame(3 * $pins->mgOf($cut->pinMm - 20.0), $row->netMg());
        self::assertSame(0, $row->keptMg());
        self::assertSame($row->grossMg() - $row->netMg(), $row->scrapMg());
    }

    /** Without a lot the wire of the plan weighs what its metal and thickness say. */
    public function test_what_came_from_nowhere_in_stock_is_weighed_by_its_wire(): void
    {
        $cut = $this->cut();
        $row = new ClosingRow(self::share($cut, 4), null, 60.0, 10.0, 0.0);
        self::assertEqualsWithDelta(
            4 * (60.0 + $cut->trimMm()) * $cut->wire->milligramsPerMm(), $row->grossMg(), 0.5,
        );
        self::assertEqualsWithDelta(4 * 50.0 * $cut->wire->milligramsPerMm(), $row->netMg(), 0.5);
    }
}
