<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\Measuring;
use App\Actions\Stockkeeping;
use App\Models\Drill;
use App\Models\HandBook;
use App\Models\Making;
use App\Models\MakingCut;
use App\Models\Measurement;
use App\Models\Photo;
use App\Models\Piece;
use App\Models\StepTime;
use App\Read\HandDesk;
use App\View\Hand\LearnedClaims;
use App\View\InsightDesk;
use Hebra\Core\Hand\Work;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What is logged teaches the hand, and cuts follow it. */
final class LearnTest extends TestCase
{
    /** @param  array<string, mixed>  $input */
    private function close(Piece $piece, array $input): TestResponse
    {
        $making = app(Bench::class)->begin($piece->refresh());

        return $this->actingAs($this->maker)->put("/makings/{$making->ulid}", ['as_it_is' => '1', ...$input]);
    }

    /** Closed as by a hand that uses so many times the sum for its links. */
    private function made(Piece $piece, float $ratio): void
    {
        $cut = Planner::plan($piece->document(), $this->workshop()->profile()->withoutHand())->cuts[1];
        $work = Work::in($cut);
        $left = 100 - $work->straightMm - $ratio * $work->formedMm;
        $this->close(
            $piece,
            ['cut' => ['p2' => '100 mm'], 'left' => ['p2' => round($left, 3).' mm']],
        )->assertStatus(303);
        $this->workshop()->settled();
    }

    private function linkMm(Piece $piece): float
    {
        return Planner::plan(
            $piece->document(),
            $this->workshop()->fresh()?->profile() ?? throw new \LogicException('No workshop.'),
        )->cuts[1]->lengthMm();
    }

    public function test_what_is_left_over_teaches_and_the_next_cut_follows(): void
    {
        $piece = $this->piece('link-and-drop');
        $plain = $this->linkMm($piece);
        foreach ([1.06, 1.07] as $ratio) {
            $this->made($piece, $ratio);
            self::assertSame($plain, $this->linkMm($piece), 'two logs teach nothing');
        }
        $this->made($piece, 1.05);
        self::assertGreaterThan(
            $plain + 0.05 * Work::in(
                Planner::plan($piece->document(), $this->workshop()->profile()->withoutHand())->cuts[1],
            )->formedMm,
            $this->linkMm($piece),
        );
        self::assertEqualsWithDelta(
            1.06,
            MakingCut::query()->whereNotNull('way')->orderBy('id')->firstOrFail()->ratio(),
            1e-3,
        );
        $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/cut")->assertOk()->assertSee(
            'You use 6 % more than the sum: 3 makings',
        )->assertSee('Your hand is counted in')->assertSee('spare');
        $this->put('/hand/learned', ['do' => 'off'])->assertRedirect();
        self::assertSame($plain, $this->linkMm($piece));
        $this->get("/pieces/{$piece->ulid}/cut")->assertDontSee('than the sum')->assertSee('follow my hand');
        $this->get('/hand/learned')->assertOk()->assertSee(
            'Loops and wraps, 22 AWG',
        )->assertSee('+5.7 %')->assertSee('follow the plain sums');
        $this->put('/hand/learned', ['do' => 'on'])->assertRedirect();
        $this->put(
            '/hand/learned',
            ['do' => 'forget', 'what' => 'loops/22'],
        )->assertRedirect()->assertSessionHas('said', '3 logs are forgotten: it begins anew.');
        self::assertSame($plain, $this->linkMm($piece));
        self::assertSame(3, MakingCut::query()->where('way', 'loops')->count(), 'the logs stay with their makings');
        $this->put('/hand/learned', ['do' => 'forget', 'what' => 'weather'])->assertStatus(422);
    }

    public function test_what_was_not_measured_teaches_nothing(): void
    {
        $piece = $this->piece('link-and-drop');
        $this->close($piece, [])->assertStatus(303);
        self::assertSame([3, 0], [MakingCut::query()->count(), MakingCut::query()->whereNotNull('way')->count()]);
        // Nor what no hand can have used.
        $this->close($piece, ['cut' => ['p2' => '400 mm'], 'left' => ['p2' => '0']])->assertStatus(303);
        self::assertSame(0, MakingCut::query()->whereNotNull('way')->count());
    }

    public function test_a_wire_that_ran_short(): void
    {
        $piece = $this->piece('link-and-drop');
        $this->close($piece, ['cut' => ['p2' => '62 mm'], 'short' => ['p2' => '?']])->assertStatus(303);
        self::assertSame(
            [true, 0],
            [
                MakingCut::query()->where('way', 'loops')->sole()->is_bound,
                MakingCut::query()->where('way', 'loops')->sole()->left_um,
            ],
        );
        $this->close($piece, ['cut' => ['p2' => '62 mm'], 'short' => ['p2' => '4 mm']])->assertStatus(303);
        self::assertSame(4000, MakingCut::query()->where('short_um', '>', 0)->sole()->short_um);
        $this->close(
            $piece,
            ['cut' => ['p2' => '62 mm'], 'short' => ['p2' => '60 mm']],
        )->assertStatus(422)->assertSee('more than half');
        $this->close(
            $piece,
            ['cut' => ['p2' => '62 mm'], 'left' => ['p2' => '70 mm']],
        )->assertStatus(422)->assertSee('more than the 62 mm that was cut');
    }

    public function test_what_lies_far_off_is_held_out_with_a_word(): void
    {
        $piece = $this->piece('link-and-drop');
        foreach ([1.04, 1.05, 1.04, 1.06, 1.35] as $ratio) {
            $this->made($piece, $ratio);
        }
        $this->actingAs($this->maker)->get('/hand/learned')->assertOk()->assertSee('5 logs, 1 held out')->assertSee(
            'held out: far from the others',
        );
        $far = MakingCut::query()->where('way', 'loops')->latest('id')->firstOrFail();
        $this->put('/hand/learned', ['do' => 'back', 'cut' => $far->id])->assertRedirect();
        $this->get('/hand/learned')->assertDontSee('1 held out')->assertSee('put back');
        self::assertSame(5, HandBook::of($this->workshop())->ways()['loops/22']->count);
        $this->put('/hand/learned', ['do' => 'out', 'cut' => $far->id])->assertRedirect();
        self::assertSame(4, HandBook::of($this->workshop())->ways()['loops/22']->count);
        $this->put('/hand/learned', ['do' => 'back', 'cut' => 99_999])->assertStatus(422);
    }

    public function test_sizes_and_weight_are_logged(): void
    {
        $piece = $this->piece('link-and-drop');
        $this->close(
            $piece,
            [
                'weight' => '3.2', 'loops_on' => '2.5', 'loops' => '2.5, 2.6 2,4; 2.7 mm', 'bent_on' => '10 mm',
                'opened' => '10.9', 'opened_wire' => 'ear',
            ],
        )->assertStatus(303);
        $making = Making::query()->sole();
        self::assertSame(3200, $making->weight_mg);
        self::assertSame(
            [2500, 2600, 2400, 2700],
            Measurement::query()->where('what', 'loop')->orderBy('id')->pluck('measured_um')->all(),
        );
        self::assertGreaterThan(
            10_000,
            (int) Measurement::query()->where('what', 'inside')->value('wanted_um'),
            'what the rule foretold',
        );
        $this->get(
            "/makings/{$making->ulid}/record",
        )->assertOk()->assertSee('Loop, inside')->assertSee('3.20 g');
        $this->get('/hand/learned')->assertSee('Loops of 2.5 mm')->assertSee(
            'Two of a pair are within',
        )->assertSee('What bends open to');
        $this->close($piece, ['loops' => '2.5'])->assertStatus(422)->assertSee('Loops on is empty');
        $this->close($piece, ['weight' => 'heavy'])->assertStatus(422);
    }

    /**
     * Every step took twice what was guessed: the next making is foretold so, with a range, and its bill follows;
     * capped steps and forgotten ones do not count.
     */
    public function test_hours_are_foretold_from_the_steps_that_were_timed(): void
    {
        $piece = $this->piece('link-and-drop');
        $plan = Planner::plan($piece->document(), $this->workshop()->profile());
        $guess = Minutes::of($plan);
        $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/make")->assertOk()->assertSee('by a guess');
        $making = app(Bench::class)->begin($piece);
        foreach ([...$plan->prepare(), ...$plan->steps()] as $step) {
            foreach ([2.0, 2.0, 2.0] as $times) {
                $estimate = (int) round(60_000 * Minutes::step($step));
                StepTime::query()->create(
                    [
                        'workshop_id' => $this->workshop()->id, 'making_id' => $making->id,
                        'kind' => Minutes::kind($step), 'title' => $step->title, 'estimate_ms' => $estimate,
                        'taken_ms' => (int) ($times * $estimate),
                    ],
                );
            }
        }
        StepTime::query()->create(
            [
                'workshop_id' => $this->workshop()->id, 'making_id' => $making->id, 'kind' => 'ready', 'title' => 'x',
                'estimate_ms' => 1000, 'taken_ms' => 900_000, 'is_capped' => true,
            ],
        );
        $foretold = HandBook::of($this->workshop())->pace()->foretell($plan);
        self::assertEqualsWithDelta(1.95 * $guess, $foretold['about'], 0.1 * $guess);
        $making->delete();
        self::assertFalse(
            HandBook::of($this->workshop())->pace()->isLearned(),
            'a making that is forgotten takes its times along',
        );
    }

    public function test_the_bill_follows_the_time_that_steps_took(): void
    {
        $piece = $this->piece('link-and-drop');
        $other = $this->piece('single-drop');
        $plan = Planner::plan($other->document(), $this->workshop()->profile());
        $making = app(Bench::class)->begin($other);
        foreach ([...$plan->prepare(), ...$plan->steps(), ...$plan->steps(), ...$plan->steps()] as $step) {
            StepTime::query()->create(
                [
                    'workshop_id' => $this->workshop()->id, 'making_id' => $making->id, 'kind' => Minutes::kind($step),
                    'title' => $step->title, 'estimate_ms' => 10_000, 'taken_ms' => 20_000,
                ],
            );
        }
        $this->actingAs($this->maker)->get(
            "/pieces/{$piece->ulid}/bill",
        )->assertOk()->assertSee('as your steps went so far');
        $this->get("/pieces/{$piece->ulid}/make")->assertSee('in four of five cases between')->assertSee(
            'by the time your steps took so far',
        );
        $this->get('/hand/learned')->assertSee('Time at the bench')->assertSee('Forming');
        $this->put('/hand/learned', ['do' => 'forget', 'what' => 'pace'])->assertRedirect();
        $this->get("/pieces/{$piece->ulid}/bill")->assertSee('an estimate');
    }

    /** A bend that opens further than foretold: the steps name another mandrel from then on. */
    public function test_what_bends_open_to_goes_into_the_steps(): void
    {
        $profile = fn () => $this->workshop()->fresh()?->profile() ?? throw new \LogicException('No workshop.');
        $wire = new Wire(Metal::Sterling, WireSize::awg(18), Temper::HalfHard);
        $before = Forming::arch($wire, 30.0, $profile());
        foreach ([10, 12, 15] as $mandrel) {
            $this->actingAs($this->maker)->post(
                '/practice',
                [
                    'kind' => 'bend', 'metal' => 'sterling', 'size' => '18 awg', 'temper' => 'half-hard',
                    'wanted' => "{$mandrel} mm",
                    'sizes' => round(
                        1.06 * (new Measuring(1, $profile()))->opens($wire, $mandrel, $profile()), 3,
                    ).' mm',
                ],
            )->assertRedirect();
        }
        $after = Forming::arch($wire, 30.0, $profile());
        self::assertLessThan($before->mandrelMm * 0.97, $after->mandrelMm);
        $this->put('/hand/learned', ['do' => 'forget', 'what' => 'inside'])->assertRedirect();
        self::assertSame($before->mandrelMm, Forming::arch($wire, 30.0, $profile())->mandrelMm);
    }

    public function test_drills_measure_and_teach(): void
    {
        $drill = [
            'kind' => 'loops',
            'metal' => 'copper',
            'size' => '20 awg',
            'temper' => 'dead-soft',
            'wanted' => '2.5 mm',
            'sizes' => '2.5, 2.55, 2.45, 2.6, 2.5',
            'cut' => '70 mm',
            'left' => '16 mm',
        ];
        $this->actingAs($this->maker)->post('/practice', $drill)->assertRedirect('/practice?kind=loops');
        // Five loops of 2.5 on 0.812 take 5π · 3.312 = 52.02 mm by the sum; 54 were used.
        self::assertEqualsWithDelta(54 / 52.02, MakingCut::query()->sole()->ratio(), 2e-3);
        $this->get('/practice?kind=loops')->assertOk()->assertSee('Off by 0.04 mm on average')->assertSee('take out');
        $this->post(
            '/practice',
            [...$drill, 'kind' => 'pairs', 'cut' => ''],
        )->assertStatus(422)->assertSee('pairs take an even number');
        $this->post(
            '/practice',
            [...$drill, 'kind' => 'wraps', 'wanted' => '1.6', 'sizes' => '16.6', 'cut' => '', 'left' => ''],
        )->assertRedirect();
        self::assertSame(
            16_236,
            (int) Measurement::query()->where('what', 'wraps')->value('wanted_um'),
            'twenty times 0.8118',
        );
        $this->post('/practice', [...$drill, 'kind' => 'bend', 'wanted' => '12', 'sizes' => '12.4'])->assertRedirect();
        foreach ([
            ['kind' => 'juggling'], ['wanted' => ''], ['sizes' => 'some'], ['sizes' => implode(', ', range(1, 11))],
            ['left' => '80 mm'], ['left' => '69 mm'], ['metal' => 'cheese'], ['size' => '20'],
        ] as $wrong) {
            $this->post('/practice', [...$drill, ...$wrong])->assertStatus(422);
        }
        self::assertSame(3, Drill::query()->count());
        $this->delete('/practice/'.Drill::query()->firstOrFail()->ulid)->assertRedirect();
        self::assertSame(0, MakingCut::query()->count(), 'and what it taught');
    }

    public function test_insight_says_what_was_wasted_and_what_pays(): void
    {
        $this->actingAs($this->maker)->get('/insight')->assertOk()->assertSee('Nothing so far');
        $lot = app(Stockkeeping::class)->receive(
            $this->workshop(),
            ['metal' => 'sterling', 'size' => '22 awg', 'temper' => 'dead-soft', 'amount' => '3 m'],
            LengthUnit::Millimetre,
        );
        $piece = $this->piece('link-and-drop');
        $cuts = Planner::plan($piece->document(), $this->workshop()->profile())->cuts;
        $over = Work::in($cuts[1])->tailMm + 10;
        // The others as planned, to the micrometre.
        $exact = fn (float $mm): string => round($mm, 3).' mm';
        foreach ([1, 2] as $time) {
            $this->close(
                $piece,
                [
                    'minutes' => '40', 'lot' => ['p2' => $lot->ulid],
                    'cut' => [
                        'p2' => '100 mm', 'p1' => $exact($cuts[0]->lengthMm()), 'p3' => $exact($cuts[2]->lengthMm()),
                    ],
                    'left' => [
                        'p2' => $over.' mm', 'p1' => $exact($cuts[0]->trimmedMm()),
                        'p3' => $exact($cuts[2]->trimmedMm()),
                    ],
                    'kept' => ['p2' => '0'],
                ],
            )->assertStatus(303);
        }
        $this->get('/insight')->assertOk()->assertSee(
            'Cut longer than was needed',
        )->assertSee('Trimmed off as planned')->assertSee('Price every piece')->assertDontSee('an hour brings');
        $this->get('/insight?pays=1')->assertOk()->assertSee('Test drops')->assertSee('an hour brings');
        // Ten millimetres too long, of two links, twice: 40 mm of 22 AWG sterling.
        $waste = array_column((new InsightDesk($this->workshop()))->waste, 'mg', 'why');
        self::assertEqualsWithDelta(
            40 * $lot->wire()->milligramsPerMm(), $waste['cut longer than was needed'], 1.0,
        );
    }

    public function test_logs_leave_as_a_table(): void
    {
        $piece = $this->piece('link-and-drop');
        $piece->update(['name' => '=Drops']);
        $this->close($piece, ['cut' => ['p2' => '90 mm'], 'left' => ['p2' => '20 mm']])->assertStatus(303);
        $csv = (string) $this->get('/hand/logs.csv')->assertOk()->getContent();
        self::assertStringContainsString(
            "day,piece,cut,count,awg,planned_mm,cut_mm,left_mm,short_mm,used_over_sum\n",
            $csv,
        );
        self::assertStringContainsString("'=Drops", $csv, 'a name is no formula');
        self::assertStringContainsString(',90,20,0,', $csv);
    }

    public function test_a_photo_is_written_anew_and_says_nothing_of_where_it_was_taken(): void
    {
        $making = app(Bench::class)->begin($this->piece());
        $image = imagecreatetruecolor(2400, 1200);
        ob_start();
        imagejpeg($image);
        $jpeg = (string) ob_get_clean();
        // A camera's note after the start of the file, as EXIF stands: orientation 6, and a place in its words.
        $exif = "Exif\0\0MM\0*\0\0\0\x08\0\x01\x01\x12\0\x03\0\0\0\x01\0\x06\0\0\0\0\0\0 GPS 54.3 N 10.1 E Marram Lane";
        $jpeg = substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
        $this->actingAs($this->maker)->post(
            "/makings/{$making->ulid}/photos",
            ['photo' => UploadedFile::fake()->createWithContent('drops.jpg', $jpeg)],
        )->assertRedirect();
        $photo = Photo::query()->sole();
        self::assertSame([800, 1600], [$photo->width, $photo->height], 'upright and small');
        self::assertStringNotContainsString('GPS', $photo->jpeg());
        self::assertStringNotContainsString('Exif', $photo->jpeg());
        $this->get("/photos/{$photo->ulid}.jpg")->assertOk()->assertHeader('Content-Type', 'image/jpeg');
        $this->get("/makings/{$making->ulid}/record")->assertSee("/photos/{$photo->ulid}.jpg");
        $this->delete("/photos/{$photo->ulid}")->assertRedirect();
        self::assertSame(0, Photo::query()->count());
    }

    /** @return array<string, array{string, string}> */
    public static function noPhotos(): array
    {
        // A PNG that says of itself that it has 60 megapixels: its head alone.
        $large = "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NN', 10_000, 6_000)."\x08\x02\0\0\0".pack('N', 0);

        return [
            'words' => ['This is no picture.', 'is no picture that can be read'], 'a page' => [
                '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>',
                'is no picture that can be read',
            ],
            'sixty megapixels' => [$large, '60 megapixels'],
            'a torn one' => [substr($large, 0, 16).pack('NN', 10, 10).substr($large, 24), 'is damaged'],
        ];
    }

    #[DataProvider('noPhotos')]
    public function test_what_is_no_photo_is_refused(string $bytes, string $sentence): void
    {
        $making = app(Bench::class)->begin($this->piece());
        $this->actingAs($this->maker)->post(
            "/makings/{$making->ulid}/photos",
            ['photo' => UploadedFile::fake()->createWithContent('photo.jpg', $bytes)],
        )->assertStatus(422)->assertSee($sentence);
        $this->post("/makings/{$making->ulid}/photos", [])->assertStatus(422)->assertSee('No picture arrived');
        self::assertSame(0, Photo::query()->count());
    }

    /** What each claim says is what its figures say: pairs, wire, bends and time, told once. */
    public function test_the_claims_are_their_figures(): void
    {
        $this->actingAs($this->maker);
        $claims = fn (): LearnedClaims => new LearnedClaims(new HandDesk($this->workshop()->refresh()));
        $this->get('/hand/learned')->assertOk()->assertDontSee('match to the eye');
        // Pairs of 2.5: 0.1 apart, then 0.31, and one left over.
        foreach ([2500, 2600, 2500, 2810, 2500] as $um) {
            $this->measured('loop', 2500, $um);
        }
        self::assertSame([false, true], array_column($claims()->pairs(), 'isSeen'));
        self::assertSame(1, LearnedClaims::alike($claims()->pairs()));
        self::assertNull($claims()->opening());
        foreach ([10_300, 10_300, 10_300] as $um) {
            $this->measured('inside', 10_000, $um);
        }
        $opening = $claims()->opening();
        // The mean of three alike is drawn a little towards the sum: 1 + 0.03 · 3 / 3.14.
        self::assertEqualsWithDelta(10 * 0.03 * 3 / 3.14, $opening['byMm'] ?? 0.0, 1e-9);
        self::assertSame(['Half hard copper', 3], [$opening['wire'] ?? '', $opening['count'] ?? 0]);
        $piece = $this->piece();
        $stretches = $claims()->stretches($piece);
        $plan = Planner::plan($piece->document(), $this->workshop()->profile());
        self::assertEqualsWithDelta(Minutes::of($plan), array_sum(array_column($stretches, 'guess')), 1e-9);
        self::assertSame(array_column($stretches, 'guess'), array_column($stretches, 'own'), 'nothing timed yet');
        $this->get('/hand/learned')->assertOk()->assertSeeInOrder([
            '1 of your last 2 pairs', 'match to the eye', 'How much wire you use is not known yet', 'Half hard copper',
            'opens 0.29 mm wider', $piece->name,
        ]);
    }

    private function measured(string $what, int $wanted, int $um): void
    {
        Measurement::query()->create([
            'workshop_id' => $this->workshop()->id, 'what' => $what, 'metal' => 'copper', 'temper' => 'half-hard',
            'wanted_um' => $wanted, 'measured_um' => $um, 'drill_id' => null, 'making_id' => null,
        ]);
    }

    /** Each kind of practice is shown, kept and measured against what the wire makes of it. */
    public function test_every_kind_of_practice_is_kept(): void
    {
        $wire = ['metal' => 'copper', 'size' => '1 mm', 'temper' => 'dead-soft', 'wanted' => '3 mm'];
        $wanted = [
            'loops' => 3.0, 'pairs' => 3.0, 'wraps' => 20.0, 'coil' => 10.0, 'weave' => 30.0, 'spiral' => 9.0,
        ];
        $this->actingAs($this->maker);
        foreach ($wanted as $kind => $mm) {
            $this->post('/practice', [...$wire, 'kind' => $kind, 'sizes' => "{$mm} mm, {$mm} mm"])->assertStatus(303);
            $drill = Drill::query()->where('kind', $kind)->with('measurements')->sole();
            self::assertSame([$mm, $mm], $drill->measurements->map(fn ($one) => $one->wantedMm())->all(), $kind);
            $this->get("/practice?kind={$kind}")->assertOk()->assertSee('data:image/svg+xml', false);
        }
        $this->post('/practice', [...$wire, 'kind' => 'spiral', 'sizes' => '9'])->assertStatus(422)
            ->assertSee('pairs take an even number');
        $this->get('/practice?kind=bend')->assertSee('This is worth doing next.');
    }
}
