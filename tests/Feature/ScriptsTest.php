<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** Scripts of the pages: one concern a module, none so long that it is not read in one go. */
final class ScriptsTest extends TestCase
{
    private const MOST_LINES = 150;

    public function test_no_script_is_long(): void
    {
        $root = dirname(__DIR__, 2).'/resources/js';
        $scripts = [...glob("{$root}/*.js") ?: [], ...glob("{$root}/*/*.js") ?: []];
        self::assertGreaterThan(30, count($scripts));
        foreach ($scripts as $script) {
            self::assertLessThanOrEqual(self::MOST_LINES, count(file($script) ?: []), basename($script));
        }
    }
}
