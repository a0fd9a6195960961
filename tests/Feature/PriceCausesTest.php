<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\View\BillDesk;
use App\View\Market\PriceCauses;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Price\PriceList;
use Tests\TestCase;

/** A price drawn as its causes: together they are the price, in money and in height. */
final class PriceCausesTest extends TestCase
{
    /** @param  array<string, mixed>  $prices */
    private function causes(string $pattern, array $prices = [], ?PriceList $list = null): PriceCauses
    {
        $this->workshop()->forceFill(['hour_cents' => 2400, 'overhead_percent' => 15, ...$prices])->save();
        $desk = new BillDesk($this->piece($pattern), $this->workshop()->refresh());

        return new PriceCauses($desk, $list ?? PriceList::of('shop', 40, 0));
    }

    /** @return iterable<string, PriceCauses> every tenth pattern, by lists with and without a fee */
    private function all(): iterable
    {
        foreach (array_keys(Patterns::all()) as $at => $pattern) {
            if ($at % 10 === 0) {
                foreach ([0, 12] as $fee) {
                    yield "{$pattern}, fee {$fee}" => $this->causes(
                        $pattern, ['tax_percent' => $fee === 0 ? 20 : 0, 'rounding' => $fee === 0 ? '' : '.90'],
                        PriceList::of('market', 35, $fee),
                    );
                }
            }
        }
    }

    public function test_all_causes_are_the_price(): void
    {
        foreach ($this->all() as $name => $causes) {
            self::assertSame(
                $causes->asking->priceCents(), array_sum(array_column($causes->causes, 'cents')), $name,
            );
            self::assertGreaterThan(0, $causes->asking->priceCents(), $name);
        }
    }

    /** Each begins where the one before it ends, and the last ends at the foot of the bar. */
    public function test_they_fill_the_bar(): void
    {
        foreach ($this->all() as $name => $causes) {
            $perCent = $causes->high() / $causes->asking->priceCents();
            $y = 0.0;
            foreach ($causes->causes as $cause) {
                self::assertEqualsWithDelta($y, $cause['y'], 0.06, "{$name}: {$cause['name']}");
                $y += ($cause['cents'] ?? 0) * $perCent;
                $isNothing = ($cause['cents'] ?? 0) === 0;
                self::assertSame($isNothing, $cause['high'] === 0.0, "{$name}: what costs is seen, and nothing else");
            }
            self::assertEqualsWithDelta($causes->high(), $y, 0.1, $name);
        }
    }

    /** A leader has a row of its own: none lies on another, all within the drawing. */
    public function test_rows_stand_apart(): void
    {
        foreach ($this->all() as $name => $causes) {
            $rows = array_column($causes->causes, 'row');
            foreach (array_slice($rows, 1) as $at => $row) {
                self::assertSame(PriceCauses::ROW, $row - $rows[$at], $name);
            }
            self::assertLessThan($causes->high(), max($rows), $name);
        }
    }

    /** Time, margin and what it is rounded up by stay; metal, beads, fee and tax do not. */
    public function test_what_stays_with_the_maker(): void
    {
        foreach ($this->all() as $name => $causes) {
            $cents = array_column($causes->causes, 'cents', 'kind');
            self::assertSame(
                $cents['time'] + $cents['margin'] + ($cents['rounding'] ?? 0), $causes->staysCents(), $name,
            );
        }
    }

    public function test_a_fee_a_tax_and_an_ending_are_told_only_where_there_are_any(): void
    {
        $kinds = fn (PriceCauses $causes): array => array_column($causes->causes, 'kind');
        $bare = $kinds($this->causes('single-drop'));
        self::assertSame([], array_intersect(['fee', 'tax', 'rounding'], $bare));
        $all = $kinds($this->causes(
            'single-drop', ['tax_percent' => 7, 'rounding' => '.50'], PriceList::of('stall', 30, 5),
        ));
        self::assertSame(['margin', 'fee', 'tax', 'rounding'], array_slice($all, -4));
        self::assertSame($bare, array_slice($all, 0, count($bare)));
    }

    public function test_time_is_a_ruler_of_its_minutes(): void
    {
        foreach ($this->all() as $name => $causes) {
            $time = array_values(array_filter($causes->causes, fn (array $one): bool => $one['kind'] === 'time'))[0];
            $marks = $causes->minuteMarks();
            self::assertNotSame([], $marks, $name);
            foreach ($marks as $at => [$y, $words]) {
                self::assertGreaterThan($time['y'], $y, $name);
                self::assertLessThan($time['y'] + $time['high'] + 0.1, $y, $name);
                self::assertSame(($at + 1) % 4 === 0, $words !== '', "{$name}: every fourth is told");
            }
        }
    }

    /** What has no price is said, and costs nothing here. */
    public function test_beads_without_a_price_are_told_of(): void
    {
        $beads = array_values(array_filter(
            $this->causes('link-and-drop')->causes, fn (array $one): bool => $one['kind'] === 'bead',
        ))[0];
        self::assertNull($beads['cents']);
        self::assertStringContainsString('without a price', $beads['says']);
        self::assertSame(0.0, $beads['high']);
    }
}
