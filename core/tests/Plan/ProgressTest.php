<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Plan\Copies;
use Hebra\Core\Plan\Progress;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class ProgressTest extends TestCase
{
    public function test_piece_by_piece_and_across(): void
    {
        $order = function (bool $isAcross): array {
            $seen = [];
            for ($at = Progress::after(new Copies(1, 2, 3, $isAcross), 0); ! $at->isDone(); $at = $at->next()) {
                $seen[] = [$at->copy(), $at->step()];
            }

            return $seen;
        };
        self::assertSame([[null, 0], [0, 0], [0, 1], [1, 0], [1, 1], [2, 0], [2, 1]], $order(false));
        self::assertSame([[null, 0], [0, 0], [1, 0], [2, 0], [0, 1], [1, 1], [2, 1]], $order(true));
    }

    /**
     * Whatever is done on the way (on, back, another order, made again): every step of every copy is done once, and its
     * count is the number done.
     */
    #[Group('wide')]
    public function test_every_step_is_done_once_whatever_happens_on_the_way(): void
    {
        mt_srand(5);
        for ($run = 0; $run < 300; $run++) {
            [$prepare, $each, $copies] = [mt_rand(0, 3), mt_rand(1, 6), mt_rand(1, 5)];
            $at = Progress::after(new Copies($prepare, $each, $copies, mt_rand(0, 1) === 1), 0);
            for ($turn = 0; $turn < 400 && ! ($at->isDone() && $turn > 60); $turn++) {
                $what = mt_rand(0, 9);
                $before = $at;
                $at = match (true) {
                    $what === 0 => $at->back(),
                    $what === 1 => $at->across(! $at->isAcross),
                    $what === 2
                        && $at->copy() !== null
                        && $at->again === []
                        && $at->done[$at->copy()] > 0 => $at->mending(
                            $at->copy(),
                            [0],
                        ),
                    default => $at->next(),
                };
                self::assertEquals(
                    $at,
                    Progress::read(new Copies($prepare, $each, $copies, $at->isAcross), $at->write(), $at->count()),
                );
                self::assertLessThanOrEqual(1, abs($at->count() - $before->count()));
                foreach ($at->done as $copy => $done) {
                    self::assertGreaterThanOrEqual(0, $done);
                    self::assertLessThanOrEqual($each, $done);
                }
            }
            self::assertSame($prepare + $each * $copies, $at->total());
            self::assertTrue($at->isDone() ? $at->count() === $at->total() : true);
            for (; ! $at->isDone(); $at = $at->next()) {
            }
            self::assertSame($at->total(), $at->count());
        }
    }

    public function test_what_is_made_again_comes_first_and_back_gives_it_up(): void
    {
        $at = Progress::after(new Copies(1, 4, 2, false), 5);
        self::assertSame([1, 0], [$at->copy(), $at->step()]);
        $mending = $at->mending(0, [1, 2]);
        self::assertSame([0, 1], [$mending->copy(), $mending->step()]);
        self::assertSame([0, 2], [$mending->next()->copy(), $mending->next()->step()]);
        self::assertEquals($at, $mending->next()->next());
        self::assertEquals($at, $mending->back());
    }

    public function test_what_was_written_for_another_plan_is_taken_by_its_number(): void
    {
        $at = Progress::read(new Copies(1, 3, 3, false), ['prepared' => 1, 'done' => [3, 0], 'again' => []], 4);
        self::assertSame([3, 0, 0], $at->done);
        self::assertSame(
            [2, 1, 0],
            Progress::read(
                new Copies(1, 3, 3, false), ['prepared' => 1, 'done' => [2, 1, 0], 'again' => [[7, 1], ['x']]], 4,
            )->done,
        );
        self::assertSame([1, 1, 1], Progress::read(new Copies(1, 3, 3, true), null, 4)->done);
    }
}
