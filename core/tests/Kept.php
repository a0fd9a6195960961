<?php

declare(strict_types=1);

namespace Hebra\Core\Tests;

use PHPUnit\Framework\Assert;

/**
 * What was looked at once, in a file of one line for each case: it is kept anew with HEBRA_KEEP_LIKENESS=1, and what
 * changes unseen fails.
 */
final class Kept
{
    /** @param  array<string, array<array-key, mixed>>  $now */
    public static function assertSame(string $file, array $now, float $within = 0.0): void
    {
        if (getenv('HEBRA_KEEP_LIKENESS') === '1') {
            $lines = array_map(
                fn (string $name, array $one): string => json_encode($name, JSON_UNESCAPED_UNICODE).': '
                    .json_encode($one, JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE),
                array_keys($now),
                $now,
            );
            file_put_contents($file, "{\n".implode(",\n", $lines)."\n}\n");
        }
        $then = json_decode((string) file_get_contents($file), true, 16, JSON_THROW_ON_ERROR);
        Assert::assertSame(array_keys($then), array_keys($now));
        foreach ($now as $name => $one) {
            foreach ($one as $what => $value) {
                Assert::assertEqualsWithDelta($then[$name][$what], $value, $within, "{$name}: its {$what}");
            }
        }
    }

    /** Nine figures: what is the same on every machine. */
    public static function figures(mixed $value): mixed
    {
        return match (true) {
            is_array($value) => array_map(self::figures(...), $value),
            is_float($value) => sprintf('%.9g', $value),
            default => $value,
        };
    }
}
