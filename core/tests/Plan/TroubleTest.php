<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Plan\Trouble;
use Hebra\Core\Wire\Temper;
use PHPUnit\Framework\TestCase;

/** Each thing that goes wrong has one key, and says what it means for soft wire and for hard. */
final class TroubleTest extends TestCase
{
    public function test_each_has_a_key_of_its_own_and_says_what_to_do(): void
    {
        $keys = array_map(fn (Trouble $one): string => $one->key(), Trouble::cases());
        self::assertSame($keys, array_unique($keys));
        foreach (Trouble::cases() as $one) {
            foreach (Temper::cases() as $temper) {
                self::assertGreaterThan(40, mb_strlen($one->means($temper)), $one->value);
            }
            self::assertFalse($one->takesAnotherCut() && $one->mayTakeAnotherCut(), $one->value);
        }
    }

    /** Hard wire is opened once at most, and what cracked is annealed first. */
    public function test_it_depends_on_how_hard_the_wire_is(): void
    {
        self::assertStringContainsString('once at most', Trouble::Size->means(Temper::HalfHard));
        self::assertStringNotContainsString('once at most', Trouble::Size->means(Temper::DeadSoft));
        self::assertStringContainsString('annealed', Trouble::Cracked->means(Temper::HalfHard));
        self::assertStringNotContainsString('annealed', Trouble::Cracked->means(Temper::DeadSoft));
    }
}
