<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Making;
use App\Models\MakingCut;
use App\Models\Piece;
use App\Models\Tool;
use App\Models\User;
use App\Models\Workshop;
use App\Read\HandState;
use App\View\HungPiece;
use App\View\PatternPicture;
use App\View\SeenPiece;
use Database\Seeders\DemoSeeder;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Cookie;
use Tests\TestCase;

/** What lists show of a piece is kept, and is what planning it anew would say. */
final class SeenPieceTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->seed(DemoSeeder::class);
        $this->actingAs(
            User::query()->whereHas('workshop', fn ($of) => $of->where('name', 'Marram Lane'))->firstOrFail(),
        );
    }

    private static function demo(): Workshop
    {
        return Workshop::query()->where('name', 'Marram Lane')->firstOrFail();
    }

    /** What was just told waits for the page: a picture that is asked for in between neither ages nor overwrites it. */
    public function test_a_picture_leaves_the_session_as_it_was(): void
    {
        $piece = self::demo()->pieces()->firstOrFail();
        $this->put("/pieces/{$piece->ulid}/tags", ['tags' => 'rope'])->assertRedirect();
        $this->get("/pieces/{$piece->ulid}/drawing.svg")->assertOk();
        $this->get("/pieces/{$piece->ulid}/cost")->assertOk();
        $this->get('/pieces')->assertOk()->assertSee('is found by #rope');
        $this->get('/pieces')->assertOk()->assertDontSee('is found by #rope');
    }

    /** A slow answer to a page that was left must not bring back the session of before: only pages send its cookie. */
    public function test_what_pictures_and_scripts_are_answered_sends_no_cookie(): void
    {
        $piece = self::demo()->pieces()->firstOrFail();
        $names = fn (TestResponse $response): array => array_map(
            fn (Cookie $cookie): string => $cookie->getName(),
            $response->headers->getCookies(),
        );
        self::assertContains(config('session.cookie'), $names($this->get("/pieces/{$piece->ulid}")));
        foreach (['drawing.svg', 'cost', 'scene.glb'] as $beside) {
            self::assertSame([], $names($this->get("/pieces/{$piece->ulid}/{$beside}")->assertOk()), $beside);
        }
        $script = ['HX-Request' => 'true'];
        self::assertContains(config('session.cookie'), $names($this->get('/hand', $script)), 'a session that is new');
        $this->withCookie(config('session.cookie'), session()->getId());
        self::assertSame([], $names($this->get('/hand', $script)->assertOk()));
        self::assertContains(config('session.cookie'), $names($this->get('/hand')), 'a page keeps it from ending');
    }

    /** A drawing without a word is kept by its maker’s browser and sent short; a page is neither. */
    public function test_its_picture_is_a_file_that_a_browser_keeps(): void
    {
        preg_match('~/seen/[0-9a-f]{32}\.svg~', (string) $this->get('/pieces')->getContent(), $found);
        $whole = $this->get($found[0])->assertOk();
        self::assertStringNotContainsString('no-store', (string) $whole->headers->get('Cache-Control'));
        self::assertStringContainsString('immutable', (string) $whole->headers->get('Cache-Control'));
        self::assertDoesNotMatchRegularExpression('~<(text|title|desc)\b~', (string) $whole->getContent());
        $short = $this->get($found[0], ['Accept-Encoding' => 'gzip, br'])->assertHeader('Content-Encoding', 'gzip');
        self::assertSame($whole->getContent(), gzdecode((string) $short->getContent()));
        self::assertLessThan(0.5 * strlen((string) $whole->getContent()), strlen((string) $short->getContent()));
        $none = $this->get('/seen/'.str_repeat('0', 32).'.svg')->assertNotFound();
        self::assertSame('no-store, private', $none->headers->get('Cache-Control'), 'a refusal is a page');
        $page = $this->get('/pieces', ['Accept-Encoding' => 'gzip']);
        self::assertSame([null, 'no-store, private'], [
            $page->headers->get('Content-Encoding'), $page->headers->get('Cache-Control'),
        ]);
    }

    /** One fact: kept or worked out anew, a list says the same of every piece. */
    public function test_what_is_kept_is_what_the_plan_says(): void
    {
        $workshop = self::demo();
        $pieces = $workshop->pieces()->get();
        self::assertGreaterThan(12, $pieces->count());
        foreach ([1, 2] as $time) {
            $seen = SeenPiece::in($workshop);
            foreach ($pieces as $piece) {
                $plan = Planner::plan($piece->document(), $workshop->profile());
                $one = $seen($piece->json());
                self::assertSame(
                    [$plan->hangsMm(), $plan->worst(), $plan->checks[0]->text ?? ''],
                    [$one->hangsMm(), $one->worst(), $one->check()], "{$piece->name}, {$time}",
                );
                foreach ([false, true] as $isByOperation) {
                    self::assertSame(
                        $plan->inOperations($isByOperation)->stepCount(), $one->steps($isByOperation), $piece->name,
                    );
                }
                // As large as it would be drawn for its place: within the room that is kept round it.
                $room = [140.0, 132.0, 0.46];
                $anew = HungPiece::in($room, $plan, 'anew');
                $hung = $one->hung($room);
                self::assertEqualsWithDelta($anew->drawing->width * $anew->times, $hung->width, 8.0, $piece->name);
                self::assertEqualsWithDelta($anew->drawing->height, $hung->height, 4.0, $piece->name);
            }
        }
    }

    /** Another tool, another habit, another log: another word for the hand. */
    public function test_what_is_kept_is_forgotten_when_the_hand_changes(): void
    {
        $states = [HandState::of(self::demo())];
        self::assertSame($states[0], HandState::of(self::demo()), 'nothing changed');
        DB::table('workshops')->where('id', self::demo()->id)->update(['clearance_um' => 80]);
        $states[] = HandState::of(self::demo());
        Tool::query()->where('workshop_id', self::demo()->id)->orderBy('id')->limit(1)->delete();
        $states[] = HandState::of(self::demo());
        MakingCut::query()->where('workshop_id', self::demo()->id)->orderBy('id')->firstOrFail()
            ->forceFill(['forgotten_at' => now()])->save();
        $states[] = HandState::of(self::demo());
        config(['hebra.version' => '99.0.0']);
        $states[] = HandState::of(self::demo());
        self::assertCount(5, array_unique($states));
    }

    /** A wider hole that a wire wants is seen in the list at once. */
    public function test_a_list_says_what_is_so_now(): void
    {
        $before = substr_count((string) $this->get('/pieces')->assertOk()->getContent(), 'is-lacking');
        DB::table('workshops')->where('id', self::demo()->id)->update(['clearance_um' => 500]);
        $this->actingAs(self::demo()->makers()->firstOrFail());
        self::assertGreaterThan(
            $before, substr_count((string) $this->get('/pieces')->assertOk()->getContent(), 'is-lacking'),
        );
    }

    /**
     * The wall of pieces is short: its pictures come as files, each under another address when it is seen otherwise.
     */
    public function test_pictures_of_the_wall_come_as_files(): void
    {
        $html = (string) $this->get('/pieces')->assertOk()->getContent();
        self::assertLessThan(100_000, strlen($html));
        self::assertSame(
            self::demo()->pieces()->where('is_pattern', false)->count(),
            preg_match_all('~src="(/seen/[0-9a-f]{32}\.svg)"\s+width="([\d.]+)"~', $html, $pictures),
        );
        $file = (string) $this->get($pictures[1][0])
            ->assertOk()
            ->assertHeader('Content-Type', 'image/svg+xml')
            ->getContent();
        self::assertNotFalse(simplexml_load_string($file), 'it is well formed');
        $piece = Piece::query()->where('name', 'Breakwater')->firstOrFail();
        $at = fn (): string => (string) preg_replace(
            '~^.*?"/pieces/'.$piece->ulid.'".*?/seen/([0-9a-f]+)\.svg.*$~s', '$1',
            (string) $this->get('/pieces')->getContent(),
        );
        $before = $at();
        $this->post("/pieces/{$piece->ulid}/changes", [
            'do' => 'bead.remove', 'part' => 'p2', 'at' => '0', 'revision' => $piece->revision, 'stage' => 'lay-out',
        ])->assertRedirect();
        self::assertNotSame($before, $at());
        $this->post("/pieces/{$piece->ulid}/undo", ['revision' => $piece->revision + 1, 'stage' => 'lay-out']);
        self::assertSame($before, $at(), 'the same again is the same picture');
    }

    /** A picture is its workshop's alone, whoever knows its address; one that never was is none. */
    public function test_pictures_are_seen_by_their_own_workshop(): void
    {
        $html = (string) $this->get('/')->assertOk()->getContent();
        self::assertSame(1, preg_match('~/seen/[0-9a-f]{32}\.svg~', $html, $picture));
        $this->get($picture[0])->assertOk();
        $this->get('/seen/'.str_repeat('0', 32).'.svg')->assertNotFound();
        $this->actingAs(User::factory()->create())->get($picture[0])->assertNotFound();
    }

    /**
     * What is drawn once and used has no colours of its user in a file: it bears its own. Each kind of wire has its
     * colour in the file, cord too.
     */
    public function test_every_wire_of_a_file_has_its_colour(): void
    {
        $files = array_map(PatternPicture::of(...), array_combine($all = array_keys(Patterns::all()), $all));
        $seen = SeenPiece::in(self::demo());
        foreach (self::demo()->pieces()->get() as $piece) {
            $address = $seen($piece->json())->hung([1.0, 1.0, 1.0])->address;
            $files[$piece->name] = (string) SeenPiece::file(basename($address, '.svg'), self::demo());
        }
        $used = 0;
        foreach ($files as $name => $file) {
            self::assertNotFalse(simplexml_load_string($file), $name);
            preg_match_all(
                '~<g (?:id="([^"]+)" )?class="wire ?([^"]*?)(?: ?runs-on)?"~', $file, $wires, PREG_SET_ORDER,
            );
            foreach (array_unique($wires, SORT_REGULAR) as [, $template, $kind]) {
                $used += $template === '' ? 0 : 1;
                $selector = strtr((string) preg_replace('/^cord /', '', $kind), ' ', '.');
                self::assertStringContainsString(".wire.{$selector}{stroke: #", $file, "the rim of {$name}: {$kind}");
                self::assertStringContainsString(".wire.{$selector} .body{stroke: #", $file, "{$name}: {$kind}");
            }
        }
        self::assertGreaterThan(50, $used, 'much is drawn once and used');
    }

    /** Kept pictures stand on a page more than once, each under names of its own; what a maker wrote stays words. */
    public function test_no_two_things_of_a_page_have_one_name(): void
    {
        $piece = Piece::query()->where('name', 'Breakwater')->firstOrFail();
        $this->post("/pieces/{$piece->ulid}/changes", [
            'do' => 'name', 'name' => '<b>Breakwater</b>"', 'revision' => $piece->revision, 'stage' => 'lay-out',
        ])->assertRedirect();
        foreach (['/', '/pieces', '/box', '/plan', '/patterns'] as $page) {
            $html = (string) $this->get($page)->assertOk()->assertDontSee('<b>Breakwater', false)->getContent();
            preg_match_all('/ id="([^"]+)"/', $html, $ids);
            self::assertSame([], array_keys(array_filter(
                array_count_values($ids[1]), fn (int $many): bool => $many > 1,
            )), $page);
            preg_match_all('/href="#([^"]+)"/', $html, $used);
            self::assertSame(
                [], array_values(array_diff(array_unique($used[1]), $ids[1])), "{$page}: used and not there",
            );
        }
        self::assertGreaterThan(0, Making::query()->count());
    }
}
