<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Stockkeeping;
use App\Actions\SupplyBook;
use App\Actions\TypedIn;
use App\Models\Bead;
use App\Models\Lot;
use App\Models\Movement;
use App\Models\Supply;
use App\Models\Workshop;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** One typed line of what comes in: what is said of it before is what is there after. */
final class TypedInTest extends TestCase
{
    private function said(string $line): string
    {
        return TypedIn::read($this->workshop(), $line)->sentence($this->workshop()->profile());
    }

    /** @return array{string, string} */
    private function taken(string $line): array
    {
        return TypedIn::read($this->workshop(), $line)
            ->take($this->workshop(), app(Stockkeeping::class), app(SupplyBook::class));
    }

    /** @return array<string, array{string, string}> */
    public static function lines(): array
    {
        return [
            'a coil by length' => ['5 m 22 awg copper soft', 'A new coil, hung at copper 22 AWG: 5000 mm, 14.6 g'],
            'in any order' => ['copper soft 22 awg 5 m', 'A new coil, hung at copper 22 AWG: 5000 mm, 14.6 g'],
            'an offcut, beginning with its word' => [
                'offcut 80 mm 20 awg sterling', 'An offcut of sterling silver 20 AWG',
            ],
            'with what it cost' => ['10 m 24 awg brass 12.50', 'a metre'],
            'pins' => ['20 head pins 50 mm 24 awg sterling', '20 head pins of sterling silver 24 AWG'],
            'beads' => ['12 x 6mm round, moss', '12 × moss 6 mm round, into the tray'],
            'a supply that is new' => ['25 lobster claw, finding', '25 lobster claw: new on the shelf'],
            'a supply by its length' => ['2 m cable of 3 mm, chain', '2 m cable of 3 mm: new on the shelf'],
        ];
    }

    #[DataProvider('lines')]
    public function test_it_says_what_will_come_of_it(string $line, string $sentence): void
    {
        self::assertStringContainsString($sentence, $this->said($line));
        self::assertSame([0, 0, 0], [Lot::query()->count(), Bead::query()->count(), Supply::query()->count()]);
    }

    /** What the line says is what stands in the book: read back from there, not from the line. */
    #[DataProvider('lines')]
    public function test_what_it_said_is_what_comes_in(string $line, string $sentence): void
    {
        $said = $this->said($line);
        [$where, $words] = $this->taken($line);
        $lot = Lot::query()->withHeld()->first();
        if ($lot !== null) {
            self::assertSame('/stock?lot='.$lot->ulid, $where);
            self::assertSame("{$lot->name} is in stock.", $words);
            self::assertSame((int) $lot->movements()->sum('mass_mg'), $lot->receivedMg());
            self::assertStringContainsString(Figures::grams($lot->receivedMg() / 1000), $said);
            self::assertSame(0, (int) Movement::query()->sum('mass_mg'), 'metal comes from somewhere');

            return;
        }
        $bead = Bead::query()->first();
        if ($bead !== null) {
            $many = "{$bead->owned} × {$bead->core()->words()}";
            self::assertSame(['/stock#beads', "{$many} in the tray."], [$where, $words]);
            self::assertSame("{$many}, into the tray", $said);

            return;
        }
        $supply = Supply::query()->sole();
        $held = $supply->words($supply->held, $this->workshop()->profile());
        self::assertSame(['/stock#jars', ucfirst($supply->name).": {$held} in stock."], [$where, $words]);
    }

    public function test_more_of_what_is_there_says_how_much_there_is(): void
    {
        $this->taken('25 lobster claw, finding 0.40');
        self::assertSame(4000, Supply::query()->sole()->price_e4);
        // Its kind is known now, and one more of a name may be said as many.
        self::assertSame('10 lobster claw: more of what is there (25)', $this->said('10 lobster claws'));
        $this->taken('10 x Lobster claw');
        self::assertSame(35, Supply::query()->sole()->held);
        self::assertSame(4000, Supply::query()->sole()->price_e4, 'a price that is not said stays');
    }

    public function test_what_is_looked_for_brings_nothing_in(): void
    {
        $typed = TypedIn::read($this->workshop(), '22 sterling');
        self::assertTrue($typed->finds());
        self::assertSame(['', 0.0], [$typed->sentence($this->workshop()->profile()), $typed->ghostMm()]);
        self::assertFalse(TypedIn::read($this->workshop(), '3 m 22 awg sterling')->finds());
    }

    /** The coil that would hang on the wall is as long as was said. */
    public function test_its_ghost_is_as_long_as_it_will_be(): void
    {
        $long = ['3 m 22 awg sterling' => 3000.0, '40 cm 1 mm brass' => 400.0, '10 ft 20 awg copper' => 3048.0];
        foreach ($long as $line => $mm) {
            $typed = TypedIn::read($this->workshop(), $line);
            self::assertNotNull($typed->ghost, $line);
            // Kept in whole milligrams: half of one is 0.3 mm of the thinnest of them.
            self::assertEqualsWithDelta($mm, $typed->ghostMm(), 0.3, $line);
        }
        self::assertNull(TypedIn::read($this->workshop(), '20 head pins 50 mm 24 awg sterling')->ghost);
        self::assertNull(TypedIn::read($this->workshop(), '12 x 6mm round, moss')->ghost);
    }

    /** Another workshop's supply of that name is none of ours. */
    public function test_names_are_a_workshop_s_own(): void
    {
        $other = Workshop::factory()->create();
        app(SupplyBook::class)->receive(
            $other, ['kind' => 'finding', 'name' => 'Lobster claw', 'amount' => '9', 'price' => ''], $other->profile(),
        );
        self::assertStringContainsString('new on the shelf', $this->said('10 lobster claw, finding'));
    }

    /** @return array<string, array{string}> */
    public static function refused(): array
    {
        return [
            'of which metal' => ['5 m 22 awg'], 'how thick' => ['5 m sterling'],
            'two metals' => ['5 m 22 awg copper brass'], 'nothing' => ['   '], 'none of it' => ['0 m 22 awg copper'],
            'more than there is room for' => ['5 m 22 awg copper '.str_repeat('soft ', 40)],
        ];
    }

    #[DataProvider('refused')]
    public function test_what_lacks_a_word_is_asked_for_it_and_nothing_comes_in(string $line): void
    {
        try {
            $this->taken($line);
            self::fail("“{$line}” came in.");
        } catch (Problem $problem) {
            self::assertNotSame('', $problem->getMessage());
        }
        self::assertSame([0, 0, 0], [Lot::query()->count(), Bead::query()->count(), Movement::query()->count()]);
    }
}
