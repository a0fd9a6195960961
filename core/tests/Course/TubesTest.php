<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/**
 * No two wires stand in the same place: what would is pushed aside until it touches (`Settling`), as wires do by
 * themselves.
 */
final class TubesTest extends TestCase
{
    /** Of the thinner: a tenth, and what places a quarter of a millimetre apart do not show. */
    private const TOUCHES = 0.115;

    /** @return iterable<string, array{int}> */
    public static function halves(): iterable
    {
        yield 'as they are' => [0];
        yield 'changed at random' => [40];
    }

    #[DataProvider('halves')]
    #[Group('wide')]
    public function test_no_wire_stands_in_another(int $changed): void
    {
        $parts = 0;
        foreach (Everything::parts($changed) as $name => $plan) {
            if ($changed > 0 && ! str_contains($name, 'changed')) {
                continue;
            }
            $parts++;
            foreach (Tubes::pressed($plan) as $words => $into) {
                self::assertLessThan(self::TOUCHES, $into, "{$name}, {$plan->part->technique}: {$words}");
            }
        }
        self::assertGreaterThan($changed, $parts);
    }
}
