<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Models\Making;
use App\Models\MakingCut;
use App\Models\Movement;
use App\Models\Photo;
use App\View\Desk;
use App\View\Log\LogDesk;
use App\View\Log\ScaleDial;
use Illuminate\Http\UploadedFile;
use Tests\TestCase;

/** What was left is laid on one ruler, weighed, and closed in one sentence. */
final class LogTest extends TestCase
{
    private function begun(string $pattern): Making
    {
        $this->actingAs($this->maker);

        return app(Bench::class)->begin($this->piece($pattern));
    }

    private function desk(Making $making): LogDesk
    {
        $piece = $making->piece()->firstOrFail();
        $piece->moved();

        return new LogDesk(new Desk($piece, $this->workshop(), 'log', null, null));
    }

    /** One fact: what the sentence says before it is closed is what the book says afterwards. */
    public function test_the_sentence_says_what_the_book_will_say(): void
    {
        foreach (['link-and-drop', 'ring-chain', 'bought-pins', 'woven-pendant'] as $pattern) {
            $making = $this->begun($pattern);
            $desk = $this->desk($making);
            $this->get("/pieces/{$making->piece()->firstOrFail()->ulid}/log")->assertOk()->assertSee('What was left?')
                ->assertSee($desk->foretold());
            $this->put("/makings/{$making->ulid}", ['as_it_is' => '1'])->assertRedirect();
            $booked = fn (string $account): int => (int) Movement::query()->where('making_id', $making->id)
                ->where('account', $account)->sum('mass_mg');
            self::assertSame((int) round(1000 * $desk->metalGrams()), $booked('pieces'), $pattern);
            self::assertSame((int) round(1000 * $desk->jarGrams()), $booked('scrap jar'), $pattern);
        }
    }

    public function test_several_ends_are_added(): void
    {
        $making = $this->begun('link-and-drop');
        $this->put("/makings/{$making->ulid}", ['as_it_is' => '1', 'left' => ['p2' => '12 + 11,5']])->assertRedirect();
        self::assertSame(
            23_500, MakingCut::query()->where('making_id', $making->id)->where('label', 'Link')->value('left_um'),
        );
        $other = $this->begun('link-and-drop');
        $this->put("/makings/{$other->ulid}", ['as_it_is' => '1', 'left' => ['p2' => '12 + few']])
            ->assertStatus(422)->assertSee('few');
        $this->put("/makings/{$other->ulid}", ['as_it_is' => '1', 'left' => ['p2' => '80 + 70']])
            ->assertStatus(422)->assertSee('more than the');
        self::assertNull($other->refresh()->closed_at);
    }

    /** A photo comes with the closing; one that is none stops it, and nothing is half written. */
    public function test_a_photo_is_kept_with_it_or_nothing_is(): void
    {
        $making = $this->begun('link-and-drop');
        $this->post("/makings/{$making->ulid}", [
            '_method' => 'put', 'as_it_is' => '1',
            'photo' => UploadedFile::fake()->createWithContent('drops.jpg', 'This is no picture.'),
        ])->assertStatus(422)->assertSee('is no picture that can be read');
        self::assertNull($making->refresh()->closed_at);
        self::assertSame(0, Movement::query()->where('making_id', $making->id)->count());
        $this->post("/makings/{$making->ulid}", [
            '_method' => 'put', 'as_it_is' => '1', 'photo' => UploadedFile::fake()->image('drops.jpg', 60, 80),
        ])->assertRedirect();
        self::assertNotNull($making->refresh()->closed_at);
        self::assertSame(1, Photo::query()->where('making_id', $making->id)->count());
    }

    /** The needle stands on the dial, nothing at its left end, and heavier farther on. */
    public function test_the_dial_ends_beyond_what_is_foretold(): void
    {
        foreach ([0.0, 0.04, 0.31, 1.0, 2.69, 3.85, 9.9, 47.0, 310.0] as $grams) {
            $dial = new ScaleDial($grams);
            self::assertGreaterThanOrEqual(1.3 * $grams, $dial->endGrams);
            self::assertLessThan(max(0.3, 3.5 * $grams), $dial->endGrams, "{$grams} g");
            self::assertSame(-ScaleDial::SWING, $dial->angle(0.0));
            self::assertLessThanOrEqual($dial->angle($dial->endGrams), $dial->angle($grams));
            $angles = array_column($dial->ticks(), 0);
            $sorted = $angles;
            sort($sorted);
            self::assertSame($sorted, $angles);
            self::assertCount(
                6, array_filter(array_column($dial->ticks(), 2), fn (string $told): bool => $told !== ''),
            );
        }
    }
}
