<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Tests\TestCase;

/** How wires lie is worked out once for a version: before anyone looks, and not again. */
final class AheadTest extends TestCase
{
    public function test_patterns_are_drawn_ahead_once(): void
    {
        self::assertSame(0, Artisan::call('hebra:ahead'));
        self::assertMatchesRegularExpression('/^[1-9]\d+ patterns/', Artisan::output());
        self::assertSame(0, Artisan::call('hebra:ahead'));
        self::assertStringStartsWith('0 patterns', Artisan::output());
    }
}
