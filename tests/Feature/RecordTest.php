<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Finished;
use App\Models\Making;
use App\Models\User;
use App\Models\Workshop;
use App\View\RecordDesk;
use App\View\RecordWire;
use Database\Seeders\DemoSeeder;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Tests\TestCase;

/** The record of a making: its picture first, its life, what is in it and what it took. */
final class RecordTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->seed(DemoSeeder::class);
        $maker = User::query()->whereHas('workshop', fn ($of) => $of->where('name', 'Marram Lane'))->firstOrFail();
        $this->actingAs($maker);
    }

    private static function demo(): Workshop
    {
        return Workshop::query()->where('name', 'Marram Lane')->firstOrFail();
    }

    /** Conservation: what the record names wire by wire is what the book has in the piece. */
    public function test_its_wires_add_up_to_what_the_book_has_in_the_piece(): void
    {
        $closed = Making::query()->whereNotNull('closed_at')->get();
        self::assertGreaterThan(4, $closed->count());
        foreach ($closed as $making) {
            $desk = new RecordDesk($making, self::demo());
            $wires = $desk->wires();
            self::assertNotSame([], $wires);
            self::assertSame(
                $desk->together()['in it'], array_sum(array_map(fn (RecordWire $wire): int => $wire->keptMg(), $wires)),
            );
            foreach ($wires as $wire) {
                self::assertNotSame('', $desk->wireWords($wire->label), $wire->label);
                self::assertCount(1, $wire->lots(), $wire->label);
            }
            $page = $this->get("/makings/{$making->ulid}/record")->assertOk();
            $page->assertSee(number_format($desk->together()['in it'] / 1000, 3).' g')->assertSee('Metal in it');
            $page->assertSeeInOrder(array_map(fn (RecordWire $wire): string => $wire->label, $wires));
            $page->assertSee($wires[0]->lots()->first()?->name);
        }
    }

    /** Each name of a wire is the end of no other's that it is cut beside: the book's lines are told apart by it. */
    public function test_labels_of_a_piece_are_told_apart_by_the_ends_of_words(): void
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            $labels = array_values(array_unique(array_map(
                fn ($cut): string => mb_strtolower($cut->label),
                Planner::plan(Patterns::start($pattern, 'One'), new Profile, false)->strips(),
            )));
            foreach ($labels as $one) {
                foreach ($labels as $other) {
                    self::assertFalse($one !== $other && str_ends_with(", {$other}", ", {$one}"), "{$pattern}: {$one}");
                }
            }
        }
    }

    public function test_its_life_is_told_as_far_as_it_has_come(): void
    {
        $finished = Finished::query()->with('making')->where('place', 'box')->get()->firstOrFail(
            fn (Finished $one): bool => Finished::query()->where('making_id', $one->making_id)->count() === 1,
        );
        $life = (new RecordDesk($finished->making, self::demo()))->life();
        self::assertSame(['begun', 'made', 'in the box', 'sold'], array_column($life, 'words'));
        self::assertSame([false, false, true, false], array_column($life, 'isNow'));
        self::assertNull($life[3]['day']);
        $this->put("/box/{$finished->ulid}", ['place' => 'sold', 'cents' => '38.00'])->assertRedirect();
        $life = (new RecordDesk($finished->making, self::demo()))->life();
        self::assertSame('sold', $life[array_key_last($life)]['words']);
        self::assertTrue($life[array_key_last($life)]['isNow']);
        $open = Making::query()->whereNull('closed_at')->firstOrFail();
        self::assertSame(
            [['begun', true], ['made', false]],
            array_map(
                fn (array $one): array => [$one['words'], $one['isNow']], (new RecordDesk($open, self::demo()))->life(),
            ),
        );
        $this->get("/makings/{$open->ulid}/record")->assertOk()->assertSee('under way')->assertSee('Not closed yet');
    }

    /** A tick of the ruler stands where the drawing has as many millimetres. */
    public function test_the_ruler_has_the_scale_of_the_drawing(): void
    {
        foreach (Making::query()->get() as $making) {
            $desk = new RecordDesk($making, self::demo());
            $told = array_values(array_filter($desk->ruler(), fn (array $tick): bool => $tick[2] !== ''));
            self::assertGreaterThan(1, count($told), $making->document()->name);
            $perMm = ($told[1][0] - $told[0][0]) / ((int) $told[1][2] - (int) $told[0][2]);
            self::assertEqualsWithDelta($desk->hung->drawing->px(1.0), $perMm, 0.02, $making->document()->name);
        }
    }
}
