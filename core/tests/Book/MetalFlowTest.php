<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Book;

use Hebra\Core\Book\MetalFlow;
use PHPUnit\Framework\TestCase;

/** Metal is conserved: as much comes as goes, however a time is cut out of the book. */
final class MetalFlowTest extends TestCase
{
    /** 10 g there, 5 g bought; 3 g into pieces, 0.5 g into the jar, 0.1 g not found: 11.4 g are left. */
    public function test_a_month_is_told(): void
    {
        $flow = MetalFlow::of(10_000, [
            'supplier' => -5_000, 'lot' => 5_000 - 3_000 - 500 - 100, 'pieces' => 3_000, 'scrap jar' => 500,
            'found' => 100,
        ]);
        self::assertSame(['there before' => 10_000, 'came in' => 5_000], $flow->sources);
        self::assertSame(
            ['on the coils' => 11_400, 'not found' => 100, 'in pieces' => 3_000, 'in the jar' => 500], $flow->goals,
        );
        self::assertSame([
            ['from' => 'there before', 'to' => 'on the coils', 'mg' => 10_000],
            ['from' => 'came in', 'to' => 'on the coils', 'mg' => 1_400],
            ['from' => 'came in', 'to' => 'not found', 'mg' => 100],
            ['from' => 'came in', 'to' => 'in pieces', 'mg' => 3_000],
            ['from' => 'came in', 'to' => 'in the jar', 'mg' => 500],
        ], $flow->ribbons());
    }

    public function test_nothing_flows_in_an_empty_book(): void
    {
        self::assertSame([[], [], []], [
            MetalFlow::of(0, [])->sources, MetalFlow::of(0, [])->goals, MetalFlow::of(0, [])->ribbons(),
        ]);
    }

    public function test_a_book_out_of_balance_is_refused(): void
    {
        $this->expectException(\LogicException::class);
        MetalFlow::of(0, ['lot' => 5, 'supplier' => -4]);
    }

    public function test_as_much_comes_as_goes(): void
    {
        mt_srand(5);
        $accounts = ['supplier', 'not booked', 'found', 'pieces', 'scrap jar'];
        for ($round = 0; $round < 400; $round++) {
            $before = mt_rand(0, 50_000);
            $moved = ['lot' => 0];
            for ($entry = mt_rand(0, 12); $entry > 0; $entry--) {
                $account = $accounts[mt_rand(0, 4)];
                $mg = mt_rand(-$before - $moved['lot'], 20_000);
                $moved['lot'] += $mg;
                $moved[$account] = ($moved[$account] ?? 0) - $mg;
            }
            $flow = MetalFlow::of($before, $moved);
            self::assertSame(array_sum($flow->sources), array_sum($flow->goals));
            self::assertSame($flow->totalMg(), array_sum(array_column($flow->ribbons(), 'mg')));
            foreach (['from' => $flow->sources, 'to' => $flow->goals] as $end => $sums) {
                $reached = [];
                foreach ($flow->ribbons() as $ribbon) {
                    $reached[$ribbon[$end]] = ($reached[$ribbon[$end]] ?? 0) + $ribbon['mg'];
                }
                ksort($reached);
                ksort($sums);
                self::assertSame($sums, $reached);
            }
        }
    }
}
