<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Stockkeeping;
use App\Models\User;
use App\Models\Workshop;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class AccountTest extends TestCase
{
    public function test_the_first_maker_of_a_fresh_install_signs_up_and_nobody_after(): void
    {
        $this->maker->workshop->delete();
        $this->get('/sign-in')->assertRedirect('/sign-up');
        $this->get('/sign-up')->assertOk()->assertSee('Set up your workshop');
        $this->post('/sign-up', ['workshop' => 'Dune End', 'name' => 'Ida', 'email' => 'Ida@Dune.example', 'password' => 'ten letters'])->assertRedirect('/');
        $this->assertAuthenticated();
        self::assertSame('Dune End', User::query()->where('email', 'ida@dune.example')->firstOrFail()->workshop->name);
        $this->post('/sign-out');
        $this->get('/sign-up')->assertRedirect('/sign-in');
        $this->post('/sign-up', ['workshop' => 'Second', 'name' => 'Ed', 'email' => 'ed@dune.example', 'password' => 'ten letters'])->assertNotFound();
        self::assertSame(1, User::query()->count());
    }

    public function test_sign_up_says_what_is_wrong_and_saves_nothing(): void
    {
        $this->maker->workshop->delete();
        foreach ([
            [['password' => 'short'], 'The password has 5 characters: give 10 to 72.'],
            [['email' => 'nowhere'], 'That is not an e-mail address'],
            [['name' => ''], 'Name is empty'],
            [['workshop' => str_repeat('w', 81)], 'Workshop holds 81 characters: give at most 80.'],
            [['email' => ['a']], 'Email came as a list: give one value.'],
        ] as [$wrong, $sentence]) {
            $this->post('/sign-up', [...['workshop' => 'W', 'name' => 'N', 'email' => 'n@w.example', 'password' => 'ten letters'], ...$wrong])->assertStatus(422)->assertSee($sentence);
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
        $this->post('/sign-in', ['email' => $this->maker->email, 'password' => 'a long enough word'])->assertRedirect('/');
        $this->assertAuthenticatedAs($this->maker);
    }

    public function test_attempts_are_throttled(): void
    {
        for ($try = 0; $try < 6; $try++) {
            $this->post('/sign-in', ['email' => 'x@w.example', 'password' => 'wrong'])->assertStatus(422);
        }
        $this->post('/sign-in', ['email' => 'x@w.example', 'password' => 'wrong'])->assertStatus(429)->assertSee('Too many attempts');
    }

    public function test_the_password_changes_only_with_the_old_one(): void
    {
        $this->actingAs($this->maker);
        $this->put('/account/password', ['current' => 'wrong', 'password' => 'another long word'])->assertStatus(422)->assertSee('That is not your password');
        $this->put('/account/password', ['current' => 'a long enough word', 'password' => 'another long word'])->assertRedirect('/account');
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => $this->maker->email, 'password' => 'another long word'])->assertRedirect('/');
    }

    public function test_leaving_takes_all_data_even_the_book(): void
    {
        $piece = $this->piece();
        app(Stockkeeping::class)->receive($this->workshop(), ['metal' => 'copper', 'size' => '20awg', 'temper' => 'dead-soft', 'amount' => '2 m'], LengthUnit::Millimetre);
        $this->actingAs($this->maker)->post("/pieces/{$piece->ulid}/makings")->assertRedirect();
        $this->delete('/account', ['confirm' => 'wrong'])->assertStatus(422);
        self::assertSame(2, DB::table('movements')->count());
        $this->delete('/account', ['confirm' => 'a long enough word'])->assertRedirect('/sign-in');
        foreach (['users', 'workshops', 'pieces', 'piece_revisions', 'lots', 'movements', 'makings', 'beads'] as $table) {
            self::assertSame(0, DB::table($table)->count(), $table);
        }
    }

    public function test_units_are_saved_and_shown_everywhere(): void
    {
        $piece = $this->piece();
        $this->actingAs($this->maker)->put('/account/units', ['name' => 'Inch house', 'ruler' => '1/16 in', 'sizes' => 'swg', 'clearance' => '0.1 mm', 'keep' => '3 in', 'shortcuts' => '0'])->assertRedirect('/account');
        self::assertSame(76_200, $this->workshop()->refresh()->keep_um);
        $this->get("/pieces/{$piece->ulid}/cut")->assertOk()->assertSee('rounded up to 1/16 in')->assertSee('data-shortcuts="off"', false);
        $this->get("/pieces/{$piece->ulid}/wire")->assertSee('22 SWG');
        // From now on a bare length on a page is inches.
        $this->change($piece, ['do' => 'part.set', 'part' => 'p2', 'key' => 'tail', 'value' => '1/2'])->assertOk();
        self::assertSame(12.7, $piece->refresh()->document()->part('p2')->mm('tail'));
    }

    public function test_units_out_of_range_are_refused(): void
    {
        $this->actingAs($this->maker)->put('/account/units', ['name' => 'W', 'ruler' => '0.5 mm', 'sizes' => 'awg', 'clearance' => '-1', 'keep' => '60', 'shortcuts' => '1'])
            ->assertStatus(422)->assertSee('Clearance −1 mm is out of range: give 0 mm to 1 mm.');
        $this->put('/account/units', ['name' => 'W', 'ruler' => 'cubit', 'sizes' => 'awg', 'clearance' => '0', 'keep' => '60'])->assertStatus(422)->assertSee('is not known here');
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
}
