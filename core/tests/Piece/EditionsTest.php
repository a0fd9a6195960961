<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Piece;

use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\Editions;
use Hebra\Core\Piece\Patterns;
use PHPUnit\Framework\TestCase;

/** What was made alike is one edition, and a design that comes back is the one it was. */
final class EditionsTest extends TestCase
{
    public function test_editions_are_numbered_as_they_were_first_made(): void
    {
        $first = Patterns::start('link-and-drop', 'Selkie');
        $thin = ChangeReader::read(['do' => 'makes', 'kind' => 'batch', 'count' => '3'])->apply($first);
        $editions = Editions::of([$first, $first->withName('Selkie, blue'), $thin, $first, $thin->withNote('again')]);
        self::assertSame([1, 1, 2, 1, 2], array_map($editions->number(...), range(0, 4)));
        self::assertSame(2, $editions->count());
        $length = fn (float $mm): string => "{$mm} mm";
        self::assertSame([], $editions->changes(1, $length));
        self::assertNotSame([], $editions->changes(2, $length));
        self::assertSame(0, Editions::of([])->count());
    }

    /** Every two patterns are two editions, and none of them is another than itself. */
    public function test_different_designs_are_different_editions(): void
    {
        $all = array_map(
            fn (string $name) => Patterns::start($name, 'x'), array_slice(array_keys(Patterns::all()), 0, 30),
        );
        $editions = Editions::of([...$all, ...$all]);
        self::assertSame(count($all), $editions->count());
        foreach (array_keys($all) as $at) {
            self::assertSame($editions->number($at), $editions->number($at + count($all)));
        }
    }
}
