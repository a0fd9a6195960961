<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Quantity;

use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Bead\Material;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Quantity\OneOf;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OneOfTest extends TestCase
{
    /** @return iterable<string, array{class-string<\BackedEnum>}> */
    public static function enums(): iterable
    {
        foreach ([BeadShape::class, Material::class, FitKind::class, Metal::class, Temper::class] as $enum) {
            yield $enum => [$enum];
        }
    }

    /** @param  class-string<\BackedEnum>  $enum */
    #[DataProvider('enums')]
    public function test_each_value_is_read_as_it_is_written(string $enum): void
    {
        foreach ($enum::cases() as $case) {
            self::assertSame($case, OneOf::read($enum, (string) $case->value, 'kind'));
        }
    }

    public function test_large_letters_are_read_where_they_may_be_and_told_as_they_were(): void
    {
        self::assertSame(BeadShape::Round, OneOf::inAnyCase(BeadShape::class, 'ROUND', 'shape'));
        $this->expectExceptionMessage('“Blob”');
        OneOf::inAnyCase(BeadShape::class, 'Blob', 'shape');
    }

    /** @param  class-string<\BackedEnum>  $enum */
    #[DataProvider('enums')]
    public function test_anything_else_is_refused_and_all_values_are_named(string $enum): void
    {
        foreach (['', 'zeppelin', ' '.$enum::cases()[0]->value] as $other) {
            try {
                OneOf::read($enum, $other, 'kind');
                self::fail("“{$other}” was read.");
            } catch (Unreadable $refused) {
                self::assertSame('kind', $refused->field());
                foreach ($enum::cases() as $case) {
                    self::assertStringContainsString((string) $case->value, $refused->getMessage());
                }
            }
        }
    }
}
