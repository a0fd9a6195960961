<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\View\KitDesk;
use App\View\Leaflet;
use Hebra\Core\Handwork\EventKind;
use Tests\TestCase;

/** A piece as a leaflet that needs nobody else. */
final class LeafletTest extends TestCase
{
    public function test_a_leaflet_has_every_step_with_its_picture_and_every_caution(): void
    {
        $piece = $this->piece();
        $leaflet = new Leaflet($piece, $this->workshop(), 1, false);
        $page = $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/leaflet")->assertOk();
        $steps = $leaflet->steps();
        $made = array_filter(
            $leaflet->desk->plan->steps(),
            fn ($step): bool => ! in_array($step->moment->kind, [EventKind::Ready, EventKind::Cut], true),
        );
        self::assertCount(count($made), $steps);
        foreach ($steps as $at => $step) {
            self::assertSame($at + 1, $step['number']);
            $page->assertSee($step['title'])->assertSee("forming/{$step['place']}.svg", false);
            $this->get($leaflet->picture($step['place']))->assertOk();
        }
        foreach ($leaflet->cautions() as $caution) {
            $page->assertSee($caution);
        }
        foreach ($leaflet->strips() as $strip) {
            $page->assertSee($strip['words']);
        }
        $page->assertSee('Local rules and trained practice decide.');
    }

    /** Nothing in it asks for anything: it opens where there is no network. */
    public function test_a_file_carries_all_it_shows(): void
    {
        $piece = $this->piece();
        $file = $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/leaflet?file=1")->assertOk();
        $file->assertHeader('Content-Disposition', 'attachment; filename="test-drops.html"');
        $html = (string) $file->getContent();
        self::assertStringNotContainsString('<script', $html);
        self::assertStringNotContainsString('<link', $html);
        preg_match_all('/(?:src|href)="([^"]{0,40})/', $html, $found);
        self::assertNotSame([], $found[1]);
        foreach ($found[1] as $address) {
            self::assertStringStartsWith('data:image/svg+xml;base64,', $address);
        }
        preg_match_all('/base64,([A-Za-z0-9+\/=]+)/', $html, $pictures);
        foreach ($pictures[1] as $picture) {
            self::assertStringContainsString('<svg', (string) base64_decode($picture, true));
            self::assertDoesNotMatchRegularExpression(
                '~https?://(?!www\.w3\.org)~', (string) base64_decode($picture, true),
            );
        }
    }

    /** The same on paper: vector, with every step’s title, in the product’s own letters. */
    public function test_a_leaflet_as_pdf_tells_every_step(): void
    {
        $piece = $this->piece();
        $answer = $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/leaflet?pdf=1&paper=a4")->assertOk();
        $answer->assertHeader('Content-Type', 'application/pdf');
        $answer->assertHeader('Content-Disposition', 'attachment; filename="test-drops.pdf"');
        $file = tempnam(sys_get_temp_dir(), 'leaflet');
        file_put_contents($file, (string) $answer->getContent());
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -');
        $told = (string) preg_replace('/\s+/', ' ', $text);
        $fonts = (string) shell_exec('pdffonts '.escapeshellarg($file));
        unlink($file);
        foreach ((new Leaflet($piece, $this->workshop(), 1, false))->steps() as $step) {
            self::assertStringContainsString("{$step['number']} {$step['title']}", $told);
        }
        self::assertStringContainsString('Local rules and trained practice decide', $told);
        self::assertStringContainsString('Atkinson', $fonts);
        self::assertStringNotContainsString('Type 3', $fonts, 'no letters as pictures');
    }

    /** Whoever reads it has a ruler and a hand of their own; the maker’s stay as they are. */
    public function test_a_leaflet_is_in_the_reader_s_units_and_hand(): void
    {
        $piece = $this->piece();
        $own = (string) $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/leaflet")->assertOk()->getContent();
        $other = (string) $this->get("/pieces/{$piece->ulid}/leaflet?in=inches&hand=left")->assertOk()->getContent();
        self::assertStringContainsString(' mm, ', $own);
        self::assertMatchesRegularExpression('/\d+\/32 in|\d\/16 in|\d\/8 in|\d\/4 in|\d\/2 in/', $other);
        self::assertSame('0.5 mm', $this->workshop()->refresh()->ruler);
        preg_match_all('~src="(/pieces/[^"]+forming/[^"]+)"~', $other, $found);
        self::assertNotSame([], $found[1]);
        $mirrored = $plain = [];
        foreach ($found[1] as $address) {
            $address = html_entity_decode($address);
            $mirrored[] = (string) $this->get($address)->assertOk()->getContent();
            $plain[] = (string) $this->get(str_replace('hand=left', 'hand=right', $address))->assertOk()->getContent();
        }
        self::assertNotSame($plain, $mirrored);
        foreach ($mirrored as $at => $picture) {
            // What was is left of what is for either hand.
            self::assertSame(
                preg_match('~>before<.*>after<~s', $plain[$at]), preg_match('~>before<.*>after<~s', $picture),
            );
        }
        $this->get("/pieces/{$piece->ulid}/leaflet?in=cubits&hand=both")->assertOk();
    }

    public function test_a_class_gets_as_much_as_all_of_it_takes(): void
    {
        $piece = $this->piece();
        $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/leaflet?for=6")->assertOk()
            ->assertSee('12 × ')->assertSee('laid ready for 6 people');
        foreach (['0', '51', 'all'] as $people) {
            $this->get("/pieces/{$piece->ulid}/leaflet?for={$people}")->assertStatus(422);
        }
    }

    public function test_many_alike_are_shown_once(): void
    {
        $piece = $this->piece('linked-bracelet');
        $leaflet = new Leaflet($piece, $this->workshop(), 1, false);
        self::assertLessThanOrEqual(40, count($leaflet->steps()));
        $this->actingAs($this->maker)->get($leaflet->picture($leaflet->steps()[3]['place']))->assertOk();
    }

    public function test_contact_sheets_are_written_of_every_step(): void
    {
        $folder = sys_get_temp_dir().'/hebra-pictures-'.getmypid();
        $this->artisan('hebra:pictures', ['folder' => $folder, 'pattern' => ['single-drop']])->assertSuccessful();
        $sheet = (string) file_get_contents("{$folder}/single-drop.html");
        self::assertGreaterThan(8, substr_count($sheet, '<li>'));
        self::assertFileExists("{$folder}/index.html");
        $this->artisan('hebra:pictures', ['folder' => $folder, 'pattern' => ['none']])->assertFailed();
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);
    }

    /** Each bag holds what the plan takes, its wire longer by what hands waste, and all bags are what is bought for. */
    public function test_kits_for_a_class(): void
    {
        $piece = $this->piece();
        $kit = fn (int $percent): KitDesk => new KitDesk($piece, $this->workshop(), 8, $percent);
        [$plain, $more] = [$kit(0), $kit(20)];
        self::assertSame(count($plain->plan->strips()), count(array_filter(
            $plain->bag(), fn (array $row): bool => str_ends_with($row['many'], '×'),
        )));
        self::assertNotSame($plain->bag(), $more->bag());
        self::assertGreaterThan($plain->costCents(), $more->costCents());
        self::assertGreaterThan($more->costCents(), $more->askedCents());
        self::assertNotSame([], $more->toBuy()->rows);
        $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/kit?for=8")->assertOk()->assertSee('8 kits')
            ->assertSee('8 of 8')->assertSee('To buy for all of them');
        $this->get("/pieces/{$piece->ulid}/kit?for=none")->assertStatus(422)->assertSee('none');
        $this->get("/pieces/{$piece->ulid}/kit?more=101")->assertStatus(422)->assertSee('0 to 100');
        $this->get("/pieces/{$piece->ulid}/leaflet?for=8")->assertSee('/kit?for=8', false);
    }
}
