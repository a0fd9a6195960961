<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Stock;

use Hebra\Core\Problem;
use Hebra\Core\Stock\WireLine;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\Temper;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Wire said in one line, as it comes in and as it is looked for. */
final class WireLineTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, string>}> */
    public static function comesIn(): iterable
    {
        $coil = ['kind' => 'coil', 'temper' => 'dead-soft', 'price' => '', 'pins' => '', 'pin_length' => ''];
        yield 'in any order' => ['copper 6.20 soft 5 m 22 awg', [
            ...$coil, 'metal' => 'copper', 'size' => '22 awg', 'amount' => '5 m', 'price' => '6.20',
        ]];
        yield 'a bare size is the maker’s' => ['5m 22 sterling silver half-hard', [
            ...$coil, 'metal' => 'sterling', 'size' => '22 awg', 'amount' => '5m', 'temper' => 'half-hard',
        ]];
        yield 'thin is thick, long is long' => ['0,8 mm brass 187 mm', [
            ...$coil, 'metal' => 'brass', 'size' => '0,8 mm', 'amount' => '187 mm',
        ]];
        yield 'weighed' => ['30 g 0.8mm gold filled hard 41', [
            ...$coil, 'metal' => 'gold-filled', 'size' => '0.8mm', 'amount' => '30 g', 'temper' => 'hard',
            'price' => '41',
        ]];
        yield 'in feet' => ['10 ft 18ga jeweller’s bronze', [
            ...$coil, 'metal' => 'jewellers-bronze', 'size' => '18ga', 'amount' => '10 ft',
        ]];
        yield 'drawn otherwise' => ['2 m 18 awg half round copper', [
            ...$coil, 'metal' => 'copper', 'size' => '18 awg half round', 'amount' => '2 m',
        ]];
        yield 'square by its side' => ['2 m 1 mm square copper', [
            ...$coil, 'metal' => 'copper', 'size' => '1 mm square', 'amount' => '2 m',
        ]];
        yield 'flat' => ['1 m 3 x 0.5 mm copper', [
            ...$coil, 'metal' => 'copper', 'size' => '3 x 0.5 mm', 'amount' => '1 m',
        ]];
        yield 'an offcut with a name' => ['offcut 131 mm 24 awg gold-filled window sill', [
            ...$coil, 'kind' => 'offcut', 'metal' => 'gold-filled', 'size' => '24 awg', 'amount' => '131 mm',
            'name' => 'Window sill',
        ]];
        yield 'pins' => ['20 head pins 50 mm 24 sterling 9.80', [
            ...$coil, 'kind' => 'pins', 'metal' => 'sterling', 'size' => '24 awg', 'amount' => '', 'pins' => '20',
            'pin_length' => '50 mm', 'price' => '9.80',
        ]];
        yield 'eye pins' => ['12 eye pins 30 mm 0.6 mm copper', [
            ...$coil, 'kind' => 'eye-pins', 'metal' => 'copper', 'size' => '0.6 mm', 'amount' => '', 'pins' => '12',
            'pin_length' => '30 mm',
        ]];
    }

    /** @param  array<string, string>  $fields */
    #[DataProvider('comesIn')]
    public function test_what_comes_in_is_read(string $line, array $fields): void
    {
        $read = WireLine::read($line, SizeSystem::Awg);
        self::assertFalse($read->finds());
        self::assertEquals(['name' => '', 'measured' => '', ...$fields], $read->fields());
    }

    public function test_without_an_amount_it_finds(): void
    {
        $read = WireLine::read('22 sterling', SizeSystem::Awg);
        self::assertTrue($read->finds());
        self::assertSame([Metal::Sterling, null, '22 awg'], [$read->metal, $read->temper, $read->size]);
        self::assertEqualsWithDelta(0.644, $read->wireSize()?->diameterMm(), 0.001);
        $read = WireLine::read('Tin-box coil, half hard', SizeSystem::Awg);
        self::assertSame([null, Temper::HalfHard, ['tin-box']], [$read->metal, $read->temper, $read->words]);
        self::assertSame('', WireLine::read('22 sterling', SizeSystem::Metric)->size, 'no one says 22 mm of wire');
    }

    /** @return array<string, array{string, string}> */
    public static function lacking(): array
    {
        return [
            'of which metal' => ['5 m 22', 'give the metal with it, such as 5 m 22 awg copper'],
            'of which size' => ['5 m copper', 'give the size with it'],
            'two metals' => ['5 m 22 copper brass', 'give one metal'],
            'two sizes' => ['5 m 22 awg 24 awg copper', 'give one size'],
            'nothing' => ['  ', 'Line is empty'],
            'a letter' => [str_repeat('m', 81), 'Line holds 81 characters'],
        ];
    }

    #[DataProvider('lacking')]
    public function test_what_lacks_a_word_asks_for_it(string $line, string $says): void
    {
        try {
            WireLine::read($line, SizeSystem::Awg)->fields();
            self::fail('it was read');
        } catch (Problem $problem) {
            self::assertStringContainsString($says, $problem->getMessage());
            self::assertSame('line', $problem->field());
        }
    }
}
