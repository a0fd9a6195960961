<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Stock;

use Hebra\Core\Stock\CsvTable;
use PHPUnit\Framework\TestCase;

/** Tables as other programs write them [published: RFC 4180 for quotes and breaks within them]. */
final class CsvTableTest extends TestCase
{
    public function test_a_cell_in_quotes_holds_breaks_and_quotes(): void
    {
        $table = CsvTable::read(
            "name,size\r\n\"Thin coil,\nsecond shelf\",\"0,8 mm\"\r\n\"say \"\"fine\"\"\",1 mm\r\n",
        );
        self::assertSame([2 => ["Thin coil,\nsecond shelf", '0,8 mm'], 4 => ['say "fine"', '1 mm']], $table->rows);
    }

    public function test_a_lone_quote_is_an_inch_and_swallows_nothing(): void
    {
        $table = CsvTable::read("name;length\nshort;3 1/2\"\nlong;9 in\n");
        self::assertSame(['short', 'long'], array_column($table->rows, 0));
        self::assertSame('9 in', $table->at(3, 1));
    }

    public function test_empty_lines_are_left_and_short_ones_filled(): void
    {
        self::assertSame([3 => ['a', ''], 5 => ['b', 'c']], CsvTable::read("x\ty\n\na\n\nb\tc\td")->rows);
    }
}
