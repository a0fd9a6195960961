<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Stockkeeping;
use App\Actions\SupplyBook;
use App\Models\HandBook;
use App\Models\Piece;
use App\View\Bench\Clock;
use App\View\PatternCard;
use App\View\PatternGallery;
use App\View\PatternPicture;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Quantity\LengthUnit;
use Tests\TestCase;

/** Patterns are found by how they are made and by the beads that are there. */
final class GalleryTest extends TestCase
{
    /**
     * @param  array<string, string>  $asked
     * @return list<string>
     */
    private function found(array $asked): array
    {
        $cards = array_merge(...array_values((new PatternGallery($this->workshop(), $asked))->families));

        return array_map(fn ($card): string => $card->name, $cards);
    }

    public function test_patterns_are_found_by_how_a_part_is_made(): void
    {
        foreach (array_keys(PatternGallery::techniquesInUse()) as $technique) {
            $found = $this->found(['technique' => $technique]);
            $have = array_keys(array_filter(
                Patterns::all(), fn ($pattern): bool => in_array($technique, array_column($pattern->line, 0), true),
            ));
            self::assertNotSame([], $found);
            self::assertEqualsCanonicalizing($have, $found);
        }
        self::assertCount(
            count(Patterns::all()), $this->found(['technique' => 'knitting']), 'what is unknown asks for nothing',
        );
        $this->actingAs($this->maker)->get('/patterns?technique=cord')->assertOk()->assertSee('pattern-corded-pendant')
            ->assertDontSee('pattern-single-drop');
    }

    /** A pair of single drops takes two beads of two kinds: two of each, or of what stands in for it, are enough. */
    public function test_patterns_are_found_by_the_beads_in_stock(): void
    {
        self::assertNotContains('single-drop', $this->found(['from' => 'beads']));
        $own = fn (string $line, int $count) => app(SupplyBook::class)->bead(
            $this->workshop(), Bead::parse($line), $count,
        );
        $own('8mm round, hole 1.2, sky', 2);
        $own('4mm bicone, hole 1, plum', 1);
        self::assertNotContains('single-drop', $this->found(['from' => 'beads']), 'one of the second is too few');
        $own('4mm bicone, hole 0.9, sand', 1);
        self::assertContains('single-drop', $this->found(['from' => 'beads']));
    }

    public function test_a_pattern_taken_down_says_what_it_takes_and_what_there_is(): void
    {
        app(Stockkeeping::class)->receive(
            $this->workshop(), ['metal' => 'sterling', 'size' => '24 awg', 'amount' => '3 m'], LengthUnit::Millimetre,
        );
        $page = $this->actingAs($this->maker)->get('/patterns?open=single-drop')->assertOk();
        $page->assertSeeInOrder(
            ['Single drop', 'It takes', '20 AWG', 'none ▲', '24 AWG', '3.00 m ✓', 'Start this piece']
        );
        $page->assertSeeInOrder(['id="pattern-single-drop"', '▲20', '24']);
        $this->get('/patterns?open=no-such')->assertOk()->assertDontSee('Start this piece');
    }

    /** What stands in for a bead that is short goes into the piece in its place, wherever it has one. */
    public function test_a_stand_in_goes_into_the_piece(): void
    {
        $own = app(SupplyBook::class)->bead($this->workshop(), Bead::parse('Quay: 8mm round, hole 1.2, sky'), 5);
        $this->actingAs($this->maker)->get('/patterns?open=single-drop')->assertSee('take 2 Quay');
        $beads = Patterns::start('single-drop', 'One')->beads;
        $short = array_search(8.0, array_map(fn (Bead $bead): float => $bead->widthMm, $beads), true);
        $this->post('/pieces', ['name' => '', 'pattern' => 'single-drop', 'instead' => [$short => $own->ulid]])
            ->assertRedirect();
        $piece = Piece::query()->latest('id')->firstOrFail()->document();
        self::assertSame('Quay', $piece->beads[$short]->name);
        self::assertSame(array_keys($beads), array_keys($piece->beads));
        // Of another workshop, or none: the pattern's own.
        $this->post(
            '/pieces', ['name' => '', 'pattern' => 'single-drop', 'instead' => [$short => 'none', 'x' => ['y']]],
        )
            ->assertRedirect();
        self::assertSame('', Piece::query()->latest('id')->firstOrFail()->document()->beads[$short]->name);
    }

    /** The rails and what is opened tell one time; every picture is there and small. */
    public function test_pictures_and_times_of_all_patterns(): void
    {
        $gallery = new PatternGallery($this->workshop(), []);
        $this->actingAs($this->maker);
        foreach (PatternCard::all() as $name => $card) {
            $answer = $this->get($card->picture())->assertOk();
            self::assertLessThan(110_000, strlen((string) $answer->getContent()), $name);
            self::assertStringContainsString('public', (string) $answer->headers->get('Cache-Control'));
            $plan = Planner::plan(Patterns::start($name, $name), $this->workshop()->profile());
            $about = HandBook::of($this->workshop())->pace()->foretell($plan)['about'];
            self::assertSame(Clock::words($about), $gallery->time($card), $name);
        }
        $this->get('/patterns/no-such.svg')->assertNotFound();
    }

    public function test_a_rail_is_at_one_scale_as_far_as_there_is_room(): void
    {
        foreach ((new PatternGallery($this->workshop(), []))->families as $cards) {
            $scales = [];
            foreach ($cards as $card) {
                [$wide, $high] = PatternGallery::shown($card, $cards);
                self::assertLessThanOrEqual(PatternGallery::WIDE + 20, $wide);
                self::assertLessThanOrEqual(PatternGallery::HIGH + 20, $high);
                $scales[] = round($high / ($card->highMm + 2 * PatternPicture::ROOM_MM), 2);
            }
            self::assertGreaterThanOrEqual(1, count(array_keys($scales, max($scales), false)));
        }
    }
}
