<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\History;
use App\Actions\KeepPhoto;
use App\Actions\Stockkeeping;
use App\Actions\WorkshopFile;
use App\Actions\WorkshopPackage;
use App\Models\Inspected;
use App\Models\Photo;
use App\Models\User;
use App\Models\Workshop;
use Database\Seeders\DemoSeeder;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\UnitPrice;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A whole workshop out and in again, and the tables that leave as CSV. */
final class WorkshopFileTest extends TestCase
{
    private function bring(string $json): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->maker)->post(
            '/account/workshop',
            ['file' => UploadedFile::fake()->createWithContent('workshop.json', $json)],
        );
    }

    private static function jpeg(): string
    {
        $image = imagecreatetruecolor(40, 30);
        imagefilledellipse($image, 20, 15, 20, 20, 0xB9BEC6);
        ob_start();
        imagejpeg($image, null, 82);

        return (string) ob_get_clean();
    }

    /** What stands beside the picture, or hides behind it, does not come in. */
    public function test_photos_of_a_file_are_written_anew_where_they_hold_more_than_a_picture(): void
    {
        $photos = app(KeepPhoto::class);
        $plain = self::jpeg();
        self::assertSame(
            ['width' => 40, 'height' => 30, 'jpeg_base64' => base64_encode($plain)],
            $photos->received($plain),
        );
        $named = substr($plain, 0, 2)."\xFF\xE1".pack('n', 20).'Exif'."\0\0".'Marram Lane 7'.substr($plain, 2);
        foreach ([
            $named, $plain.'<script>', substr($plain, 0, 2)."\xFF\xFE".pack('n', 12).'at a place'.substr($plain, 2),
        ] as $bytes) {
            $kept = (string) base64_decode($photos->received($bytes)['jpeg_base64']);
            foreach (['Marram', 'script', 'at a place'] as $word) {
                self::assertStringNotContainsString($word, $kept);
            }
            self::assertSame([40, 30], array_slice(getimagesizefromstring($kept) ?: [], 0, 2));
        }
        $this->expectExceptionMessage('did not arrive whole');
        $photos->received(substr($plain, 0, -40));
    }

    /** A key that stands twice, a name that turns round what follows it: nothing comes in. */
    public function test_files_that_say_two_things_or_hide_one_are_refused(): void
    {
        $piece = $this->piece()->json();
        foreach ([
            'has “name” twice in one place' => str_replace(
                '{"hebra":"piece",',
                '{"hebra":"piece","name":"First","n\u0061me":"Second",',
                $piece,
            ),
            'Name holds a sign that cannot be seen (U+202E' => str_replace(
                '"name":"Test drops"',
                '"name":"Test \u202Edrops"',
                $piece,
            ),
        ] as $sentence => $json) {
            self::assertNotSame($piece, $json);
            $this->actingAs($this->maker)->post(
                '/pieces/import',
                ['file' => UploadedFile::fake()->createWithContent('piece.json', $json)],
            )->assertStatus(422)->assertSee($sentence);
        }
        $this->post(
            '/stock/import',
            ['text' => "name;metal;size;amount\nS\u{200B}ea;copper;20 awg;2 m\n"],
        )->assertStatus(422)->assertSee('Text holds a sign that cannot be seen (U+200B');
        $this->post(
            '/stock/import',
            ['file' => UploadedFile::fake()->createWithContent(
                'lots.csv', "name;metal;size;amount\nS\u{200B}ea;copper;20 awg;2 m\n",
            )],
        )->assertStatus(422)->assertSee('Line 2 holds a sign');
        $this->put(
            '/account/units',
            ['name' => "Marram\x07 Lane", 'ruler' => '0.5 mm'],
        )->assertStatus(422)->assertSee('Name holds a sign that cannot be seen (U+0007, number 7 in it)');
        $this->put(
            '/account/units',
            ['name' => "\xFF", 'ruler' => '0.5 mm'],
        )->assertStatus(422)->assertSee('is no text');
        $this->put(
            '/account/units',
            [
                'name' => 'Crème & fils 鉄 👩🏽‍🎨', 'ruler' => '0.5 mm', 'sizes' => 'awg',
                'clearance' => '0.05', 'keep' => '60', 'low' => '', 'shortcuts' => '1',
            ],
        )->assertStatus(303);
    }

    /** A name of an older workshop may hold anything: what is drawn of it is well-formed. */
    public function test_drawings_and_sheets_are_well_formed_whatever_a_name_holds(): void
    {
        foreach (["bell \x07", 'amp & <b> "q"', "\u{FFFE}\u{202E}back", "\x00nul", '鉄線 👩🏽‍🎨'] as $name) {
            $piece = app(History::class)->begin(
                $this->workshop(),
                Patterns::start('link-and-drop', 'Test drops')->withName($name),
                'Began',
            );
            foreach (['drawing.svg', 'strips.svg'] as $file) {
                $dom = new \DOMDocument;
                self::assertTrue(
                    $dom->loadXML(
                        (string) $this->actingAs($this->maker)->get(
                            "/pieces/{$piece->ulid}/{$file}",
                        )->assertOk()->getContent(),
                    ),
                    $file,
                );
            }
            self::assertStringStartsWith(
                '%PDF-',
                (string) $this->get("/pieces/{$piece->ulid}/cut-sheet.pdf")->assertOk()->getContent(),
            );
        }
    }

    /** A long history of many pieces leaves and comes back a row at a time. */
    public function test_what_leaves_and_comes_back_is_never_held_whole(): void
    {
        $piece = $this->piece('mirrored-necklace');
        $row = (array) DB::table('piece_revisions')->where('piece_id', $piece->id)->first();
        for ($chunk = 0; $chunk < 40; $chunk++) {
            DB::table('piece_revisions')->insert(
                array_map(
                    fn (int $number): array => [
                        'number' => 2 + $chunk * 100 + $number,
                    ] + array_diff_key($row, ['id' => 0]),
                    range(0, 99),
                ),
            );
        }
        $held = 4000 * strlen((string) $row['document']);
        $path = (string) tempnam(sys_get_temp_dir(), 'hebra-test-');
        $other = User::factory()->create()->workshop;
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        app(WorkshopPackage::class)->write($this->workshop(), $path);
        app(WorkshopPackage::class)->read($other, $path, true);
        self::assertLessThan($held / 2, memory_get_peak_usage() - $before);
        self::assertSame(
            4001,
            DB::table('piece_revisions')->whereIn('piece_id', $other->pieces()->pluck('id'))->count(),
        );
        unlink($path);
    }

    /** The demo workshop leaves, is deleted, comes back into an empty one, and leaves again as the same bytes. */
    public function test_a_workshop_comes_back_byte_for_byte(): void
    {
        $this->seed(DemoSeeder::class);
        $demo = Workshop::query()->where('is_demo', true)->firstOrFail();
        $files = app(WorkshopFile::class);
        $making = $demo->makings()->firstOrFail();
        Photo::query()->create(
            [
                'workshop_id' => $demo->id, 'making_id' => $making->id, 'width' => 40, 'height' => 30,
                'jpeg_base64' => base64_encode(self::jpeg()),
            ],
        );
        Inspected::query()->create(
            ['workshop_id' => $demo->id, 'making_id' => $making->id, 'point' => 'ends', 'is_fine' => true],
        );
        $json = $files->write($demo);
        self::assertSame($json, $files->write($demo));
        self::assertStringNotContainsString('@marram-lane', $json, 'nobody’s address leaves with it');
        $held = $demo->lots()->withHeld()->orderBy('id')->get()->map(fn ($lot): int => $lot->heldMg())->all();
        $this->bring($json)->assertStatus(422)->assertSee('already in another workshop here');
        self::assertTrue($files->isEmpty($this->workshop()), 'nothing was brought in');
        $demo->delete();
        $this->bring($json)->assertStatus(303);
        self::assertSame($json, $files->write($this->workshop()->refresh()));
        self::assertSame(
            $held,
            $this->workshop()->lots()->withHeld()->orderBy('id')->get()->map(fn ($lot): int => $lot->heldMg())->all(),
        );
        self::assertSame(0, (int) DB::table('movements')->sum('mass_mg'));
        foreach (['/', '/pieces', '/stock', '/stock/book', '/hand/learned', '/insight', '/practice'] as $page) {
            $this->get($page)->assertOk();
        }
        $this->bring($json)->assertStatus(422)->assertSee('This workshop is not empty');
    }

    public function test_a_bad_file_changes_nothing(): void
    {
        $piece = $this->piece();
        app(Stockkeeping::class)->receive(
            $this->workshop(),
            ['kind' => 'coil', 'metal' => 'copper', 'size' => '20awg', 'temper' => 'dead-soft', 'amount' => '2 m'],
            LengthUnit::Millimetre,
        );
        $good = json_decode(app(WorkshopFile::class)->write($this->workshop()), true, 32, JSON_THROW_ON_ERROR);
        $old = $this->workshop();
        $this->maker = User::factory()->create();
        $old->delete();
        $before = DB::table('workshops')->get()->toJson();
        foreach ([
            'no workshop that Hebra exported' => ['hebra' => 'piece'],
            'has version 9' => ['version' => 9],
            'which is not known here' => ['extra' => []],
            '“lots” is no list' => ['lots' => 'none'],
            'does not add up to nothing' => [
                'movements' => [['mass_mg' => 12_345] + $good['movements'][0], $good['movements'][1]],
            ],
            'names “' => ['movements' => array_map(
                fn (array $line): array => ($line['lot_id'] === null ? [] : ['lot_id' => 'nowhere']) + $line,
                $good['movements'],
            )],
            'piece_revisions.0.document' => ['piece_revisions' => [['document' => '{}'] + $good['piece_revisions'][0]]],
            'Something in it is not known here' => ['lots' => [['metal' => 'tin'] + $good['lots'][0]]],
            'is no picture that can be read' => [
                'makings' => [[
                    'ulid' => '01hz0000000000000000000000', 'document' => $good['piece_revisions'][0]['document'],
                    'revision' => 1, 'step' => 0, 'counted' => 0, 'moves' => 0, 'is_across' => 0, 'progress' => null,
                    'counts' => null, 'troubles' => null, 'weight_mg' => null, 'waits_until' => null, 'minutes' => 3,
                    'note' => '', 'closed_at' => '2026-11-01 10:00:00', 'created_at' => '2026-11-01 10:00:00',
                    'updated_at' => '2026-11-01 10:00:00', 'piece_id' => $good['pieces'][0]['ulid'],
                ]],
                'photos' => [[
                    'ulid' => '01hz0000000000000000000001', 'width' => 1, 'height' => 1,
                    'jpeg_base64' => base64_encode('<script>'), 'created_at' => '2026-11-01 10:00:00',
                    'making_id' => '01hz0000000000000000000000',
                ]],
            ],
            'drills.0 has no “size”' => ['drills' => [[
                'ulid' => '01hz0000000000000000000002', 'kind' => 'loops', 'metal' => 'copper', 'temper' => 'hard',
                'wanted_um' => 2500, 'created_at' => '2026-11-01 10:00:00',
            ]]],
            'measurements.0.drill_id names' => ['measurements' => [[
                'what' => 'loop', 'metal' => 'copper', 'temper' => 'hard', 'wanted_um' => 1, 'measured_um' => 1,
                'created_at' => '2026-11-01 10:00:00', 'forgotten_at' => null, 'making_id' => null,
                'drill_id' => 'nowhere',
            ]]],
            'has no “name”' => ['pieces' => [array_diff_key($good['pieces'][0], ['name' => 1])]],
        ] as $sentence => $change) {
            $this->bring(json_encode($change + $good, JSON_THROW_ON_ERROR))->assertStatus(422)->assertSee($sentence);
            self::assertTrue(app(WorkshopFile::class)->isEmpty($this->workshop()), $sentence);
        }
        $this->bring('not json')->assertStatus(422);
        self::assertSame($before, DB::table('workshops')->get()->toJson());
        $this->bring(json_encode($good, JSON_THROW_ON_ERROR))->assertStatus(303);
        self::assertSame($piece->ulid, $this->workshop()->pieces()->firstOrFail()->ulid);
    }

    public function test_tables_leave_as_csv_and_no_cell_is_a_formula(): void
    {
        app(Stockkeeping::class)->receive(
            $this->workshop(),
            [
                'kind' => 'coil', 'metal' => 'sterling', 'size' => '22awg', 'temper' => 'dead-soft', 'amount' => '2 m',
                'name' => '=1+1, "so"',
            ],
            LengthUnit::Millimetre,
        );
        $csv = (string) $this->actingAs($this->maker)->get('/stock/lots.csv')->assertOk()->assertHeader(
            'Content-Type',
            'text/csv; charset=utf-8',
        )->getContent();
        $lines = array_map(
            fn (string $line): array => str_getcsv($line, ',', '"', ''),
            explode("\n", trim(substr($csv, 3))),
        );
        self::assertSame(['name', 'kind', 'metal', 'size', 'temper'], array_slice($lines[0], 0, 5));
        self::assertSame("'=1+1, \"so\"", $lines[1][0]);
        self::assertEqualsWithDelta(2000.0, (float) $lines[1][5], 0.2);
        $book = (string) $this->get('/stock/book.csv')->assertOk()->getContent();
        // Negative weights stay numbers.
        self::assertMatchesRegularExpression('/,supplier,,sterling,-\d+\.\d+,/', $book);
    }

    /** A table as a program with decimal commas writes it, its columns named otherwise. */
    public function test_lots_come_in_from_a_table_once_they_have_been_seen(): void
    {
        $table = "Label;Alloy;Gauge;Hardness;Length;Paid\nShelf coil;Sterling;0,8 mm;half hard;2,4 m;12,50\nTail "
            ."end;copper;20 awg;;310 mm;\n";
        $this->actingAs($this->maker)->get('/stock/import')->assertOk()->assertSee(
            'Nothing is taken in before you have seen it',
        );
        $this->post(
            '/stock/import',
            ['text' => $table],
        )->assertOk()->assertSee('Shelf coil')
            ->assertSee('Take 2 lots into stock')
            ->assertDontSee('cannot be taken in');
        self::assertSame(0, $this->workshop()->lots()->count(), 'looking takes nothing in');
        $this->post('/stock/import', ['text' => $table, 'do' => 'take'])->assertStatus(303);
        [$coil, $tail] = $this->workshop()->lots()->orderBy('id')->get()->all();
        self::assertSame(
            ['Shelf coil', 'sterling', 'half-hard', 1250],
            [$coil->name, $coil->metal, $coil->temper, $coil->price_cents],
        );
        self::assertEqualsWithDelta([2400.0, 310.0], [$coil->heldMm(), $tail->heldMm()], 0.3);
        self::assertSame(0, (int) DB::table('movements')->sum('mass_mg'));
        // Once more: the names are taken, and nothing comes in, not even the new line.
        $this->post(
            '/stock/import',
            ['text' => $table."New one;brass;22 awg;;1 m;\n", 'do' => 'take'],
        )->assertStatus(422)->assertSee('2 lines cannot be taken in')->assertSee('is taken');
        self::assertSame(2, $this->workshop()->lots()->count());
    }

    public function test_all_that_is_wrong_with_a_table_is_said_by_line(): void
    {
        $table = "name,metal,size,amount\nA,tin,20 awg,1 m\nB,sterling,twenty,1 m\nC,sterling,20 awg,-2 m\nD,copper,20 "
            ."awg,2 m\n\"E <b>\",copper,20 awg,long\n";
        $page = $this->actingAs($this->maker)->post(
            '/stock/import',
            ['text' => $table],
        )->assertOk()->assertSee('4 lines cannot be taken in');
        $page->assertSeeInOrder(
            ['Line 2:', 'Line 3:', 'Line 4:', 'Line 6:'],
        )->assertDontSee('Line 5:')->assertSee('E &lt;b&gt;', false)->assertDontSee('E <b>', false);
        // Another column for the amount, and it is read again.
        $this->post(
            '/stock/import',
            ['text' => "name,metal,size,a,b\nD,copper,20 awg,nothing,2 m\n", 'columns' => ['amount' => '4']],
        )->assertOk()->assertDontSee('cannot be taken in');
        foreach ([
            '' => 'is empty', "a\0b,c" => 'a sign that cannot be seen (U+0000',
            str_repeat("a,b\n", 2100) => '2,000 lines',
        ] as $text => $sentence) {
            $this->post('/stock/import', ['text' => $text])->assertStatus(422)->assertSee($sentence);
        }
        $this->post(
            '/stock/import',
            ['file' => UploadedFile::fake()->create('big.csv', 3000)],
        )->assertStatus(422)->assertSee('larger than 1 MiB');
        $latin = mb_convert_encoding("name;metal;size;amount\nKüste;copper;20 awg;2 m\n", 'Windows-1252', 'UTF-8');
        $this->post(
            '/stock/import',
            ['file' => UploadedFile::fake()->createWithContent('latin.csv', $latin)],
        )->assertOk()->assertSee('Küste');
        self::assertSame(0, $this->workshop()->lots()->count());
    }

    /**
     * Every column of every table is in the file, or is listed as left out: a column added later fails here until it is
     * one or the other.
     */
    public function test_the_file_is_complete_by_construction(): void
    {
        $known = WorkshopFile::columns();
        foreach (Schema::getTables() as $table) {
            $name = $table['name'];
            if (str_starts_with($name, 'sqlite_') || in_array($name, WorkshopFile::ELSEWHERE, true)) {
                continue;
            }
            self::assertArrayHasKey(
                $name,
                $known,
                "the table {$name} is neither exported nor listed as kept elsewhere",
            );
            $left = [...WorkshopFile::DERIVED['*'], ...(WorkshopFile::DERIVED[$name] ?? [])];
            self::assertSame(
                [],
                array_values(array_diff(Schema::getColumnListing($name), $known[$name], $left)),
                $name,
            );
            self::assertSame([], array_values(array_diff($known[$name], Schema::getColumnListing($name))), $name);
        }
    }

    /** @return array<string, array{int}> */
    public static function versions(): array
    {
        return ['1' => [1], '2' => [2], '3' => [3], '4' => [4], '5' => [5], '6' => [6], '7' => [7]];
    }

    /** Files as they were written then come in whole, and leave as they would be written today. */
    #[DataProvider('versions')]
    public function test_an_older_file_is_read_through_its_upgrader(int $version): void
    {
        $json = (string) file_get_contents(__DIR__."/fixtures/workshop-{$version}.json");
        self::assertSame($version, json_decode($json, true)['version']);
        $this->bring($json)->assertStatus(303);
        $today = json_decode(app(WorkshopFile::class)->write($this->workshop()->refresh()), true);
        $then = json_decode($json, true);
        self::assertSame(7, $today['version']);
        foreach ($then as $table => $rows) {
            foreach (is_array($rows) ? $rows : [] as $at => $row) {
                foreach (is_array($row) ? $row : [] as $column => $value) {
                    if ($version === 1 && $column === 'owned') {
                        self::assertSame(
                            $value,
                            $this->workshop()->beads()->where('ulid', $row['ulid'])->firstOrFail()->owned,
                        );

                        continue;
                    }
                    $isInCents = in_array($table, ['beads', 'supplies'], true) && $column === 'price_cents';
                    [$column, $value] = $isInCents ? ['price_e4', $value * 100] : [$column, $value];
                    self::assertSame($value, $today[$table][$at][$column], "{$table}.{$at}.{$column}");
                }
            }
        }
        self::assertSame(1, $this->workshop()->pieces()->count());
        foreach (['/pieces', '/stock', '/stock/book', '/hand/learned'] as $page) {
            $this->get($page)->assertOk();
        }
    }

    /** What leaves as a table comes back as it was, what lots measure too. */
    public function test_lots_and_beads_leave_and_come_back_as_tables(): void
    {
        $stock = app(Stockkeeping::class);
        $stock->receive(
            $this->workshop(),
            [
                'kind' => 'coil', 'name' => 'Thin "coil",'."\n".'second shelf', 'metal' => 'Sterling Silver',
                'size' => '20awg', 'measured' => '0.79 mm', 'temper' => 'Half Hard', 'amount' => '2 m',
                'price' => '6.50',
            ],
            LengthUnit::Millimetre,
        );
        app(\App\Actions\SupplyBook::class)->bead(
            $this->workshop(),
            \Hebra\Core\Bead\Bead::parse('Harbour mist: 6 x 4mm rondelle, hole 0.9, slate, stone'),
            40,
            UnitPrice::fromE4(2550),
        );
        [$lots, $beads] = array_map(
            fn (string $name): string => (string) $this->actingAs($this->maker)
                ->get("/stock/{$name}.csv")
                ->assertOk()
                ->getContent(),
            ['lots', 'beads'],
        );
        $this->maker = User::factory()->create();
        foreach (['lots' => $lots, 'beads' => $beads] as $of => $csv) {
            $this->actingAs($this->maker)->post(
                "/stock/import?of={$of}",
                ['text' => $csv],
            )->assertOk()->assertDontSee('refusal');
            $this->post("/stock/import?of={$of}", ['text' => $csv, 'do' => 'take'])->assertStatus(303);
            self::assertSame($csv, (string) $this->get("/stock/{$of}.csv")->getContent(), $of);
        }
    }
}
