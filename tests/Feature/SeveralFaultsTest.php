<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\Fields;
use App\Exceptions\Refused;
use App\Exceptions\Several;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Occasion;
use App\Models\Repair;
use App\Models\Supply;
use Hebra\Core\Problem;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** All that is wrong with a form is said at once, each sentence at its field; nothing of it is kept. */
final class SeveralFaultsTest extends TestCase
{
    private function asked(string $method, string $path, array $input): TestResponse
    {
        return $this->actingAs($this->maker)->call($method, $path, $input);
    }

    public function test_an_order_says_all_that_is_wrong_with_it(): void
    {
        $piece = $this->piece();
        $answer = $this->asked('POST', '/occasions', [
            'kind' => 'order', 'name' => '', 'due' => 'soon', 'paid' => 'much', 'piece' => $piece->ulid,
            'count' => 'many', 'price' => 'dear',
        ])->assertStatus(422);
        foreach (['name', 'due', 'paid', 'count', 'price'] as $field) {
            $answer->assertSee("id=\"problem-{$field}\"", false);
        }
        self::assertSame(0, Occasion::query()->count());
    }

    public function test_a_repair_says_whose_it_is_where_that_is_asked(): void
    {
        $repair = ['who' => '', 'words' => '', 'minutes' => '0', 'name' => 'a bangle', 'due' => ''];

        $this->asked('POST', '/repairs', $repair)
            ->assertStatus(422)->assertSee('id="problem-who"', false)->assertSee('id="problem-words"', false)
            ->assertSee('id="problem-minutes"', false)->assertDontSee('id="problem-name"', false);
        self::assertSame([0, 0], [Repair::query()->count(), Occasion::query()->count()]);
    }

    public function test_a_lot_and_a_supply_say_all_that_is_wrong_with_them(): void
    {
        $lots = Lot::query()->count();
        $this->asked('POST', '/stock', [
            'kind' => 'coil', 'metal' => 'unobtainium', 'size' => '99 furlongs', 'temper' => 'soggy', 'price' => 'dear',
            'amount' => '5 m',
        ])->assertStatus(422)->assertSee('unobtainium')->assertSee('99 furlongs')->assertSee('soggy')
            ->assertSee('dear');
        $this->asked('POST', '/supplies', [
            'supply_kind' => 'crimps', 'supply' => 'crimp', 'supply_amount' => 'some', 'supply_price' => 'dear',
            'supply_low' => 'few',
        ])->assertStatus(422)->assertSee('id="problem-supply-amount"', false)
            ->assertSee('id="problem-supply-price"', false)->assertSee('id="problem-supply-low"', false);
        self::assertSame([$lots, 0], [Lot::query()->count(), Supply::query()->count()]);
    }

    public function test_what_was_left_of_every_cut_is_judged_at_once(): void
    {
        $making = app(Bench::class)->begin($this->piece());
        $keys = array_map(fn ($cut): string => $cut->key(), $making->plan($this->workshop()->profile())->strips());
        self::assertGreaterThan(1, count($keys));
        $answer = $this->asked('PUT', "/makings/{$making->ulid}", [
            'as_it_is' => '1', 'left' => array_fill_keys($keys, '900 mm'),
        ])->assertStatus(422);
        foreach ($keys as $key) {
            $answer->assertSee("id=\"problem-left-{$key}\"", false);
        }
        self::assertNull(Making::query()->findOrFail($making->id)->closed_at);
    }

    public function test_the_workshop_and_its_prices_say_all_that_is_wrong_with_them(): void
    {
        $this->asked('PUT', '/account/units', [
            'name' => '', 'ruler' => 'half-millimetre', 'sizes' => 'awg', 'clearance' => 'none', 'keep' => 'all',
            'low' => '', 'shortcuts' => '1',
        ])->assertStatus(422)->assertSee('id="problem-name"', false)->assertSee('id="problem-clearance"', false)
            ->assertSee('id="problem-keep"', false);
        $this->asked('PUT', "/pieces/{$this->piece()->ulid}/bill", [
            'currency' => 'GBP', 'decimals' => '2', 'hour' => 'long', 'overhead' => 'high', 'packing' => 'box',
            'tax' => 'some', 'rounding' => '', 'metal' => ['sterling' => 'dear', 'copper' => 'cheap'],
        ])->assertStatus(422)->assertSee('id="problem-hour"', false)->assertSee('id="problem-overhead"', false)
            ->assertSee('id="problem-packing"', false)->assertSee('id="problem-tax"', false)
            ->assertSee('id="problem-metal-sterling"', false);
    }

    public function test_who_signs_up_is_told_all_that_is_missing(): void
    {
        config(['hebra.sign_up' => 'open']);
        $this->post('/sign-up', ['name' => '', 'workshop' => '', 'email' => 'nowhere', 'password' => 'short'])
            ->assertStatus(422)->assertSee('id="problem-name"', false)->assertSee('id="problem-workshop"', false)
            ->assertSee('id="problem-email"', false)->assertSee('id="problem-password"', false);
    }

    public function test_a_program_is_told_each_by_its_field(): void
    {
        $problems = [Refused::invalid('one', 'One is wrong.'), Refused::invalid('two', 'Two is, too.')];
        $several = Several::of($problems);
        self::assertSame('One is wrong. Two is, too.', $several->getMessage());
        self::assertSame(
            ['one', 'One is wrong.', 'Two is, too.', null],
            [$several->field(), $several->says('one'), $several->says('two'), $several->says('three')],
        );
        self::assertSame('Two is, too.', Several::under('row.', $several)->says('row.two'));
        self::assertSame($problems[0], Several::of([$problems[0]]), 'one alone is itself');
        Route::get('/several', fn () => throw $several);
        $this->getJson('/several')->assertStatus(422)->assertJsonPath('field', 'one')
            ->assertJsonPath('problems.1', ['field' => 'two', 'message' => 'Two is, too.']);
    }

    public function test_fields_are_read_to_the_last(): void
    {
        $read = [];
        try {
            Fields::all([
                'first' => function () use (&$read): never {
                    $read[] = 'first';
                    throw Refused::invalid('first', 'No.');
                },
                'second' => function () use (&$read): int {
                    $read[] = 'second';

                    return 2;
                },
            ]);
            self::fail('nothing was wrong');
        } catch (Problem $problem) {
            self::assertSame('No.', $problem->getMessage());
        }
        self::assertSame(['first', 'second'], $read);
        self::assertSame(['third' => 3], Fields::all(['third' => fn (): int => 3]));
    }
}
