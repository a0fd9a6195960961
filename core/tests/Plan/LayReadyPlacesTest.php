<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\LayReady;
use Hebra\Core\Plan\Profile;
use Hebra\Core\School\Schools;
use PHPUnit\Framework\TestCase;

/** The bench of a left hand is the one of a right hand mirrored. */
final class LayReadyPlacesTest extends TestCase
{
    public function test_tools_lie_at_the_hand_that_works(): void
    {
        foreach (['link-and-drop', 'charm-bracelet', 'curled-bangle'] as $pattern) {
            $ready = LayReady::of(Patterns::start($pattern, 'One'), new Profile, 2);
            $right = $ready->places(Schools::of([]));
            $left = $ready->places(Schools::of(['hand' => 'left']));
            self::assertSame([$right['left'], $right['right']], [$left['right'], $left['left']], $pattern);
            self::assertStringContainsString($ready->tools[0], mb_strtolower($right['right']), $pattern);
            self::assertStringContainsString('cut wires', $right['left'], $pattern);
            self::assertSame($ready->beads !== [], str_contains($right['left'], 'beads in a tray'), $pattern);
        }
    }
}
