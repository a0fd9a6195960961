<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Scale;

use Hebra\Core\Scale\CableScale;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lines as bench scales send them. */
final class CableScaleTest extends TestCase
{
    /** @return array<string, array{string, int, bool, bool}> line, milligrams, settled, connected */
    public static function lines(): array
    {
        return [
            'stable, net' => ['ST,NT,+   12.34 g', 12_340, true, true],
            'moving' => ['US,GS,+   12.31 g', 12_310, false, true],
            'plain' => ["8.05 g\r\n", 8_050, true, true],
            'a comma' => ['8,05 g', 8_050, true, true],
            'less than nothing' => ['ST,GS,-    0.52 g', -520, true, true],
            'not yet' => ['   3.10 g ?', 3_100, false, true],
            'kilograms' => ['ST 1.25 kg', 1_250_000, true, true],
            'troy ounces' => ['ST 1.000 ozt', 31_103, true, true],
            'pieces' => ['ST 40 pcs', 0, false, false],
            'overload' => ['OL', 0, false, false],
            'nothing' => ['', 0, false, false],
        ];
    }

    #[DataProvider('lines')]
    public function test_a_line_is_read(string $line, int $milligrams, bool $isSettled, bool $isConnected): void
    {
        $reading = (new CableScale($line))->reading();
        self::assertSame(
            [$milligrams, $isSettled, $isConnected], [$reading->milligrams, $reading->isSettled, $reading->isConnected],
        );
    }

    public function test_whatever_comes_over_the_cable_is_no_fault(): void
    {
        mt_srand(3);
        for ($round = 0; $round < 500; $round++) {
            $line = '';
            for ($at = mt_rand(0, 30); $at > 0; $at--) {
                $line .= chr(mt_rand(0, 255));
            }
            $reading = (new CableScale($line.mt_rand(0, 9_999_999).['g', 'kg', '', ' ozt'][mt_rand(0, 3)]))->reading();
            self::assertTrue($reading->isConnected || $reading->milligrams === 0);
        }
    }
}
