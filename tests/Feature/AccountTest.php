<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Stockkeeping;
use App\Models\Invitation;
use App\Models\User;
use App\Models\Workshop;
use App\Support\Passwords;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class AccountTest extends TestCase
{
    public function test_the_first_maker_of_a_fresh_install_signs_up_and_nobody_after(): void
    {
        $this->maker->workshop->delete();
        $this->get('/sign-in')->assertRedirect('/sign-up');
        $this->get('/sign-up')->assertOk()->assertSee('Set up your workshop');
        $this->post(
            '/sign-up',
            [
                'workshop' => 'Dune End', 'name' => 'Ida', 'email' => 'Ida@Dune.example',
                'password' => 'a few plain words',
            ],
        )->assertRedirect('/');
        $this->assertAuthenticated();
        self::assertSame('Dune End', User::query()->where('email', 'ida@dune.example')->firstOrFail()->workshop->name);
        $this->post('/sign-out');
        $this->get('/sign-up')->assertRedirect('/sign-in');
        $this->post(
            '/sign-up',
            ['workshop' => 'Second', 'name' => 'Ed', 'email' => 'ed@dune.example', 'password' => 'a few plain words'],
        )->assertNotFound();
        self::assertSame(1, User::query()->count());
    }

    public function test_sign_up_says_what_is_wrong_and_saves_nothing(): void
    {
        $this->maker->workshop->delete();
        foreach ([
            [['password' => 'short'], 'It has 5 characters: give 12 to 200'],
            [['email' => 'nowhere'], 'That is not an e-mail address'],
            [['name' => ''], 'Name is empty'],
            [['workshop' => str_repeat('w', 81)], 'Workshop holds 81 characters: give at most 80.'],
            [['email' => ['a']], 'Email came as a list: give one value.'],
        ] as [$wrong, $sentence]) {
            $this->post(
                '/sign-up',
                [
                    ...['workshop' => 'W', 'name' => 'N', 'email' => 'n@w.example', 'password' => 'a few plain words'],
                    ...$wrong,
                ],
            )->assertStatus(422)->assertSee($sentence);
        }
        self::assertSame([0, 0], [User::query()->count(), Workshop::query()->count()]);
    }

    public function test_signing_in_never_says_whether_the_address_is_known(): void
    {
        $known = $this->post('/sign-in', ['email' => $this->maker->email, 'password' => 'wrong'])->assertStatus(422);
        $unknown = $this->post('/sign-in', ['email' => 'nobody@w.example', 'password' => 'wrong'])->assertStatus(422);
        foreach ([$known, $unknown] as $response) {
            $response->assertSee('That address and password do not belong together');
        }
        $this->post(
            '/sign-in',
            ['email' => $this->maker->email, 'password' => 'a long enough word'],
        )->assertRedirect('/');
        $this->assertAuthenticatedAs($this->maker);
    }

    /**
     * For one account, from one address and in all; whatever the request says of itself. A right password counts for
     * nothing.
     */
    public function test_attempts_are_counted_by_account_by_address_and_in_all(): void
    {
        $try = fn (string $email, string $password = 'wrong', string $from = '10.0.0.1'): int => $this->call(
            'POST',
            '/sign-in',
            ['email' => $email, 'password' => $password],
            server: ['REMOTE_ADDR' => $from, 'HTTP_X_FORWARDED_FOR' => '203.0.113.'.random_int(1, 250)],
        )->status();
        for ($one = 1; $one <= 10; $one++) {
            self::assertSame(
                422,
                $try($one % 2 === 0 ? $this->maker->email : strtoupper($this->maker->email).' ', from: "10.0.1.{$one}"),
            );
        }
        self::assertSame(
            429,
            $try($this->maker->email, 'a long enough word', '10.0.2.1'),
            'the account rests, from wherever it is tried',
        );
        self::assertSame(422, $try('someone@else.example', from: '10.0.2.1'), 'no other does');
        for ($one = 1; $one <= 30; $one++) {
            self::assertSame(422, $try("sprayed{$one}@w.example", from: '10.0.3.1'));
        }
        self::assertSame(429, $try('sprayed31@w.example', from: '10.0.3.1'), 'one address may not go on with others');
        self::assertSame(422, $try('sprayed32@w.example', from: '10.0.3.2'));
        $this->travel(16)->minutes();
        self::assertSame(302, $try($this->maker->email, 'a long enough word'));
        $this->post('/sign-out');
        for ($one = 1; $one <= 40; $one++) {
            self::assertSame(
                302,
                $try($this->maker->email, 'a long enough word'),
                'who knows the password never waits',
            );
            $this->post('/sign-out');
        }
        DB::table('attempts')->insert(array_fill(0, 300, ['address' => 'many', 'created_at' => now()]));
        self::assertSame(429, $try('x@w.example', from: '10.9.9.9'), 'a flood from everywhere waits');
        $this->travelBack();
    }

    /** Changing the password and deleting the account are tries of the password too. */
    public function test_a_session_left_open_cannot_guess_the_password(): void
    {
        $this->actingAs($this->maker);
        for ($one = 1; $one <= 10; $one++) {
            $one % 2 === 0
                ? $this->put(
                    '/account/password',
                    ['current' => 'wrong', 'password' => 'another long word'],
                )->assertStatus(422)
                : $this->delete('/account', ['confirm' => 'wrong'])->assertStatus(422);
        }
        $this->delete('/account', ['confirm' => 'a long enough word'])->assertStatus(429)->assertSee('tried too often');
        self::assertSame(1, Workshop::query()->count());
    }

    /** Both look a hash up and verify it: the hasher is asked as often for nobody as for somebody. */
    public function test_an_unknown_address_takes_the_same_work(): void
    {
        self::assertFalse(Passwords::isRight(null, 'wrong'));
        $nobody = Cache::get('nobody-'.config('hashing.argon.memory').'-'.config('hashing.argon.time'));
        self::assertIsString($nobody);
        self::assertSame(password_get_info($this->maker->password)['options'], password_get_info($nobody)['options']);
        self::assertSame('argon2id', password_get_info($nobody)['algoName']);
    }

    /** @return array<string, array{string, string}> */
    public static function weak(): array
    {
        return [
            'short' => ['eleven char', 'has 11 characters: give 12 to 200'],
            'too long' => [str_repeat('long word ', 21), 'has 210 characters'],
            'common' => ['123456789012', 'most common'],
            'common with figures' => ['password20261128', 'most common'],
            'common in capitals' => ['QWERTYUIOP1234!', 'most common'],
            'the maker’s own address' => ['n@w.example1', 'your own name or address'],
            'few characters' => ['abababababababab', 'repeats a few characters'],
        ];
    }

    #[DataProvider('weak')]
    public function test_weak_passwords_are_refused(string $password, string $sentence): void
    {
        $this->maker->workshop->delete();
        $this->post(
            '/sign-up',
            ['workshop' => 'W', 'name' => 'N', 'email' => 'n@w.example', 'password' => $password],
        )->assertStatus(422)->assertSee($sentence);
        self::assertSame(0, User::query()->count());
    }

    public function test_any_characters_make_a_password(): void
    {
        $this->maker->workshop->delete();
        $password = "  smørrebrød ± 鉄線 \u{1F9F5} <b>'\"  ".str_repeat('é', 80);
        $this->post(
            '/sign-up',
            ['workshop' => 'W', 'name' => 'N', 'email' => 'n@w.example', 'password' => $password],
        )->assertRedirect('/');
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => 'n@w.example', 'password' => substr($password, 0, 72)])->assertStatus(422);
        $this->post('/sign-in', ['email' => 'n@w.example', 'password' => $password])->assertRedirect('/');
    }

    /** What was hashed by bcrypt is read, and hashed anew. */
    public function test_an_older_hash_is_read_and_written_anew(): void
    {
        DB::table('users')->update(
            ['password' => password_hash('an older word of mine', PASSWORD_BCRYPT, ['cost' => 4])],
        );
        $this->post(
            '/sign-in',
            ['email' => $this->maker->email, 'password' => 'an older word of mine'],
        )->assertRedirect('/');
        self::assertStringStartsWith('$argon2id$', (string) DB::table('users')->value('password'));
    }

    public function test_a_changed_password_ends_every_other_session(): void
    {
        $signIn = fn (): array => array_map(
            fn ($cookie): string => (string) $cookie->getValue(),
            array_filter(
                $this->post(
                    '/sign-in',
                    ['email' => $this->maker->email, 'password' => 'a long enough word', 'remember' => '1'],
                )->headers->getCookies(),
                fn ($cookie): bool => str_starts_with($cookie->getName(), 'remember_'),
            ),
        );
        self::assertCount(1, $signIn());
        $session = session()->all();
        $this->get('/account')->assertOk();
        $elsewhere = session()->all();
        $this->put(
            '/account/password',
            ['current' => 'a long enough word', 'password' => 'another long word'],
        )->assertRedirect('/account');
        $this->get('/account')->assertOk();
        $remembered = (string) $this->maker->refresh()->remember_token;
        $this->flushSession();
        auth()->forgetGuards();
        $this->withSession($elsewhere)->get('/account')->assertRedirect('/sign-in');
        self::assertNotSame([], $session);
        self::assertSame(60, strlen($remembered), 'what was remembered elsewhere is worth nothing');
    }

    /** A session begun in another workshop has the same numbers and opens nothing. */
    public function test_a_session_of_another_workshop_is_refused(): void
    {
        $this->post(
            '/sign-in',
            ['email' => $this->maker->email, 'password' => 'a long enough word'],
        )->assertRedirect('/');
        $this->get('/account')->assertOk();
        DB::table('workshops')->update(['ulid' => strtolower((string) Str::ulid())]);
        auth()->forgetGuards();
        $this->get('/account')->assertRedirect('/sign-in');
        $this->get('/account')->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function test_one_more_maker_comes_in_by_a_link_that_works_once(): void
    {
        $link = (string) $this->actingAs($this->maker)->post(
            '/account/invitations',
        )->assertRedirect('/account')->getSession()->get('invitation');
        $this->get('/account')->assertSee('It works once');
        self::assertStringNotContainsString(
            basename($link),
            (string) json_encode(DB::table('invitations')->get()),
            'only its hash is kept',
        );
        $this->post('/sign-out');
        $path = (string) parse_url($link, PHP_URL_PATH);
        $partner = ['name' => 'Fenna Roe', 'email' => 'fenna@w.example', 'password' => 'a few plain words'];
        $this->get($path)->assertOk()->assertSee('Join '.$this->workshop()->name);
        $this->post($path, ['password' => 'short'] + $partner)->assertStatus(422);
        $this->post($path, $partner)->assertRedirect('/');
        self::assertSame(2, $this->workshop()->makers()->count());
        $this->post(
            '/stock',
            [
                'kind' => 'coil', 'name' => 'Hers', 'metal' => 'copper', 'size' => '20 awg', 'temper' => 'dead-soft',
                'amount' => '2 m',
            ],
        )->assertStatus(303);
        $this->post('/sign-out');
        $this->get($path)->assertNotFound();
        $this->post($path, ['email' => 'third@w.example'] + $partner)->assertNotFound();
        $this->actingAs($this->maker)->post(
            '/stock',
            [
                'kind' => 'coil', 'name' => 'Mine', 'metal' => 'copper', 'size' => '20 awg', 'temper' => 'dead-soft',
                'amount' => '2 m',
            ],
        )->assertStatus(303);
        $this->get('/stock/book')->assertSeeInOrder(['Mine', 'Test maker', 'Hers', 'Fenna Roe']);
        $this->travel(8)->days();
        $this->get((string) parse_url('/join/'.Invitation::into($this->workshop()), PHP_URL_PATH));
        $this->travelBack();
    }

    public function test_a_password_is_set_from_the_command_line(): void
    {
        $this->artisan('hebra:password', ['email' => 'nobody@w.example'])->assertFailed();
        $this->artisan(
            'hebra:password',
            ['email' => $this->maker->email],
        )->expectsQuestion("New password for {$this->maker->email}", 'short')->assertFailed();
        $this->artisan('hebra:password', ['email' => $this->maker->email])->expectsQuestion(
            "New password for {$this->maker->email}",
            'wire by the sea',
        )->assertSuccessful();
        $this->post('/sign-in', ['email' => $this->maker->email, 'password' => 'wire by the sea'])->assertRedirect('/');
    }

    public function test_one_of_two_makers_leaves_and_the_workshop_stays(): void
    {
        $partner = User::factory()->create(['workshop_id' => $this->workshop()->id]);
        $this->actingAs($partner)->get('/account')->assertSee('The workshop stays with Test maker');
        $this->delete('/account', ['confirm' => 'a long enough word'])->assertRedirect('/sign-in');
        self::assertSame([1, 1], [User::query()->count(), Workshop::query()->count()]);
        $this->actingAs($this->maker)->get('/account')->assertSee('You, alone.')->assertSee('Delete everything');
    }

    /** Pages, refusals, redirects, files: none is kept by a browser, framed, sniffed or told apart by version. */
    public function test_every_answer_carries_the_headers(): void
    {
        $piece = $this->piece();
        $answers = [
            'open' => $this->get('/sign-in'),
            'nothing there' => $this->get('/nowhere'),
            'not so' => $this->put('/sign-in'),
            'to sign in' => $this->get('/stock'),
            'alive' => $this->get('/up'),
            'refused' => $this->post('/sign-in', []),
        ];
        $this->actingAs($this->maker);
        foreach ([
            '/', '/stock', '/account', "/pieces/{$piece->ulid}/drawing.svg", "/pieces/{$piece->ulid}/cut-sheet.pdf",
            '/stock/lots.csv', '/account/workshop.zip', '/sign-in', '/pieces/nowhere',
        ] as $page) {
            $answers[$page] = $this->get($page);
            self::assertStringContainsString(
                'no-store',
                (string) $answers[$page]->headers->get('Cache-Control'),
                $page,
            );
        }
        foreach ($answers as $name => $answer) {
            foreach ([
                'Content-Security-Policy', 'X-Content-Type-Options', 'X-Frame-Options', 'Referrer-Policy',
                'Permissions-Policy', 'Cross-Origin-Resource-Policy',
            ] as $header) {
                self::assertNotNull($answer->headers->get($header), "{$name}: {$header}");
            }
            self::assertNull($answer->headers->get('X-Powered-By'));
        }
    }

    /**
     * A fault in the middle of a statement is told with its placeholders and its place, not with what a maker wrote.
     */
    public function test_the_log_holds_no_data(): void
    {
        $said = '';
        Log::shouldReceive('error')->once()->andReturnUsing(function (string $text) use (&$said): void {
            $said = $text;
        });
        Schema::drop('tools');
        $this->actingAs($this->maker)->post(
            '/tools',
            ['kind' => 'mandrel', 'name' => 'Grandmother’s needle', 'marks' => '3 mm'],
        )->assertStatus(500)->assertDontSee('needle');
        self::assertStringContainsString('QueryException at', $said);
        self::assertStringContainsString('tools', $said);
        self::assertStringNotContainsString('Grandmother', $said);
        self::assertStringNotContainsString($this->maker->email, $said);
    }

    public function test_other_names_are_not_answered(): void
    {
        foreach ([
            'evil.example' => 400, 'localhost' => 200, '127.0.0.1' => 200, '127.0.0.1:8600' => 200, 'LOCALHOST' => 200,
        ] as $host => $status) {
            $this->call('GET', 'http://'.$host.'/sign-in', server: ['HTTP_HOST' => $host])->assertStatus($status);
        }
        config(['hebra.hosts' => ['bench.local']]);
        $this->call('GET', 'http://bench.local/sign-in', server: ['HTTP_HOST' => 'bench.local'])->assertOk();
    }

    public function test_the_password_changes_only_with_the_old_one(): void
    {
        $this->actingAs($this->maker);
        $this->put(
            '/account/password',
            ['current' => 'wrong', 'password' => 'another long word'],
        )->assertStatus(422)->assertSee('That is not your password');
        $this->put(
            '/account/password',
            ['current' => 'a long enough word', 'password' => 'another long word'],
        )->assertRedirect('/account');
        $this->post('/sign-out');
        $this->post(
            '/sign-in',
            ['email' => $this->maker->email, 'password' => 'another long word'],
        )->assertRedirect('/');
    }

    public function test_leaving_takes_all_data_even_the_book(): void
    {
        $piece = $this->piece();
        app(Stockkeeping::class)->receive(
            $this->workshop(),
            ['metal' => 'copper', 'size' => '20awg', 'temper' => 'dead-soft', 'amount' => '2 m'],
            LengthUnit::Millimetre,
        );
        $this->actingAs($this->maker)->post("/pieces/{$piece->ulid}/makings")->assertRedirect();
        $this->delete('/account', ['confirm' => 'wrong'])->assertStatus(422);
        self::assertSame(2, DB::table('movements')->count());
        $this->delete('/account', ['confirm' => 'a long enough word'])->assertRedirect('/sign-in');
        foreach ([
            'users', 'workshops', 'pieces', 'piece_revisions', 'lots', 'movements', 'makings', 'beads',
        ] as $table) {
            self::assertSame(0, DB::table($table)->count(), $table);
        }
    }

    public function test_units_are_saved_and_shown_everywhere(): void
    {
        $piece = $this->piece();
        $this->actingAs($this->maker)->put(
            '/account/units',
            [
                'name' => 'Inch house', 'ruler' => '1/16 in', 'sizes' => 'swg', 'clearance' => '0.1 mm',
                'keep' => '3 in', 'shortcuts' => '0',
            ],
        )->assertRedirect('/account');
        self::assertSame(76_200, $this->workshop()->refresh()->keep_um);
        $this->get("/pieces/{$piece->ulid}/cut")->assertOk()->assertSee('rounded up to 1/16 in')->assertSee(
            'data-shortcuts="off"',
            false,
        );
        $this->get("/pieces/{$piece->ulid}/wire")->assertSee('22 SWG');
        // From now on a bare length on a page is inches.
        $this->change($piece, ['do' => 'part.set', 'part' => 'p2', 'key' => 'tail', 'value' => '1/2'])->assertOk();
        self::assertSame(12.7, $piece->refresh()->document()->part(PartId::of('p2'))->mm('tail'));
    }

    public function test_units_out_of_range_are_refused(): void
    {
        $this->actingAs($this->maker)->put(
            '/account/units',
            [
                'name' => 'W', 'ruler' => '0.5 mm', 'sizes' => 'awg', 'clearance' => '-1', 'keep' => '60',
                'shortcuts' => '1',
            ],
        )
            ->assertStatus(422)->assertSee('Clearance −1 mm is out of range: give 0 mm to 1 mm.');
        $this->put(
            '/account/units',
            ['name' => 'W', 'ruler' => 'cubit', 'sizes' => 'awg', 'clearance' => '0', 'keep' => '60'],
        )->assertStatus(422)->assertSee('is not known here');
    }

    public function test_the_demo_is_entered_by_its_button_in_the_demo_alone(): void
    {
        $this->post('/enter-demo')->assertNotFound();
        config(['hebra.demo' => true]);
        $demo = User::factory()->create();
        $demo->workshop->update(['is_demo' => true]);
        $this->get('/sign-in')->assertSee('Enter the demo workshop');
        $this->post('/enter-demo')->assertRedirect('/');
        $this->assertAuthenticatedAs($demo);
    }

    public function test_every_page_carries_the_strict_policy(): void
    {
        $policy = (string) $this->get('/sign-in')->headers->get('Content-Security-Policy');
        self::assertStringContainsString("script-src 'self';", $policy);
        self::assertStringNotContainsString('unsafe', $policy);
    }

    public function test_day_and_evening_are_kept_on_the_device(): void
    {
        $this->actingAs($this->maker)->get('/account')->assertOk()->assertDontSee('class="is-evening"', false);
        $this->put('/account/light', ['light' => 'evening'])->assertRedirect('/account')->assertCookie('light', 'evening');
        $this->withCookie('light', 'evening')->get('/account')->assertSee('class="is-evening"', false);
        $this->withCookie('light', 'day')->get('/account')->assertSee('class="is-day"', false);
        foreach (['system', '', 'midnight'] as $light) {
            $this->put('/account/light', ['light' => $light])->assertRedirect('/account')->assertCookieExpired('light');
        }
        // What stands in a cookie is a choice of these, nothing else.
        $this->withCookie('light', '"><script>')->get('/account')->assertOk()->assertDontSee('"><script>', false);
    }

    /** One version: in the changes, in the configuration, on the page. */
    public function test_the_version_is_the_one_of_the_changes(): void
    {
        preg_match('/^## (\S+), \d{4}-\d{2}-\d{2}$/m', (string) file_get_contents(base_path('CHANGELOG.md')), $found);
        self::assertSame(config('hebra.version'), $found[1] ?? '');
        $this->actingAs($this->maker)->get('/account')->assertOk()->assertSee("Hebra {$found[1]}");
    }
}
