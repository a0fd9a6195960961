<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Fields;
use App\Exceptions\Several;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Money;
use LogicException;
use PHPUnit\Framework\TestCase;

/** A form is read once, field by field, and all that is wrong with it is said before any of it is used. */
final class FieldsTest extends TestCase
{
    public function test_each_field_is_read_once_whatever_is_asked_of_it(): void
    {
        $reads = 0;
        $fields = new Fields;
        $count = $fields->read(function () use (&$reads): int {
            $reads++;

            return Count::parse('12', 'count', 1, 99);
        });
        $fields->check();

        self::assertSame([12, 12, 1], [$count->value(), $count->value(), $reads]);
    }

    public function test_all_that_is_wrong_is_said_in_the_order_of_the_form(): void
    {
        $fields = new Fields;
        $fields->read(fn (): int => Count::parse('many', 'count', 1, 99));
        $fields->read(fn (): int => Count::parse('3', 'pins', 1, 99));
        $fields->read(fn (): array => Fields::all([
            'price' => fn (): Money => Money::parse('dear', 'price'),
            'paid' => fn (): Money => Money::parse('-', 'paid'),
        ]));
        try {
            $fields->check();
            self::fail('It is wrong in three places.');
        } catch (Problem $problem) {
            self::assertSame(
                ['count', 'price', 'paid'],
                array_map(fn (Problem $one): string => $one->field(), Several::in($problem)),
            );
        }
    }

    /** Nothing is told of a field that could not be read, also where a caller forgot to check. */
    public function test_what_could_not_be_read_has_no_value(): void
    {
        $count = (new Fields)->read(fn (): int => Count::parse('many', 'count', 1, 99));

        $this->expectException(LogicException::class);
        $count->value();
    }

    /** Nothing, nought and no are read as themselves. */
    public function test_what_is_empty_is_a_value_too(): void
    {
        self::assertSame(
            ['none' => null, 'nought' => 0, 'no' => false],
            Fields::all(['none' => fn (): mixed => null, 'nought' => fn (): mixed => 0, 'no' => fn (): mixed => false]),
        );
    }
}
