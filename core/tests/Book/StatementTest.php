<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Book;

use Hebra\Core\Book\Statement;
use PHPUnit\Framework\TestCase;

/** What was held, what came less what went, and what is held add up, whatever a book has in it. */
final class StatementTest extends TestCase
{
    /** 10 g of coil and 2 g of pieces; 5 g bought, 3 g into pieces, 1 g sold, 0.5 g scrap, 0.1 g lost. */
    public function test_a_year_is_told(): void
    {
        $statement = Statement::of(
            ['lot' => 10_000, 'pieces' => 2_000, 'supplier' => -12_000],
            [
                ['supplier', -5_000], ['lot', 5_000], ['lot', -3_500], ['pieces', 3_000], ['scrap jar', 500],
                ['pieces', -1_000], ['customers', 1_000], ['lot', -100], ['found', 100],
            ],
        );
        self::assertSame([
            'coils, offcuts and pins' => ['before' => 10_000, 'now' => 11_400],
            'finished pieces' => ['before' => 2_000, 'now' => 4_000],
            'the scrap jar' => ['before' => 0, 'now' => 500],
        ], $statement->held);
        self::assertSame(['bought' => 5_000], $statement->came);
        self::assertSame(['sold or given' => 1_000, 'lost' => 100], $statement->went);
        self::assertSame([12_000, 15_900], [$statement->beforeMg(), $statement->nowMg()]);
    }

    /** What comes back from a customer stands beside what was sold, not against it. */
    public function test_what_goes_and_comes_back_is_told_both_ways(): void
    {
        $statement = Statement::of([], [
            ['lot', 900], ['supplier', -900], ['customers', 700], ['lot', -700], ['customers', -700], ['pieces', 700],
        ]);
        self::assertSame(['bought' => 900, 'taken back from customers' => 700], $statement->came);
        self::assertSame(['sold or given' => 700], $statement->went);
    }

    public function test_it_adds_up(): void
    {
        mt_srand(11);
        $accounts = ['lot', 'pieces', 'scrap jar', 'refiner', 'supplier', 'customers', 'not booked', 'found'];
        for ($round = 0; $round < 400; $round++) {
            $before = array_fill_keys($accounts, 0);
            $moved = [];
            for ($entry = mt_rand(0, 20); $entry > 0; $entry--) {
                [$from, $to] = [$accounts[mt_rand(0, 7)], $accounts[mt_rand(0, 7)]];
                $mg = mt_rand(1, 9_000);
                if ($entry % 2 === 0) {
                    $before[$from] -= $mg;
                    $before[$to] += $mg;
                } else {
                    array_push($moved, [$from, -$mg], [$to, $mg]);
                }
            }
            $statement = Statement::of($before, $moved);
            self::assertSame(
                $statement->nowMg(),
                $statement->beforeMg() + array_sum($statement->came) - array_sum($statement->went),
            );
        }
    }

    public function test_nothing_is_said_of_an_empty_book(): void
    {
        self::assertTrue(Statement::of([], [])->isEmpty());
        self::assertFalse(Statement::of([], [['lot', 1], ['supplier', -1]])->isEmpty());
    }

    public function test_a_book_out_of_balance_is_refused(): void
    {
        $this->expectException(\LogicException::class);
        Statement::of([], [['lot', 5], ['supplier', -4]]);
    }

    public function test_an_account_that_is_none_is_refused(): void
    {
        $this->expectExceptionMessage('There is no account cellar.');
        Statement::of([], [['lot', 5], ['cellar', -5]]);
    }
}
