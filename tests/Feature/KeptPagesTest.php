<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Middleware\KeptPages;
use App\Models\Bead;
use App\Models\User;
use App\Support\SqliteConnection;
use Database\Seeders\DemoSeeder;
use Illuminate\Routing\Route as OneRoute;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\View;
use Tests\TestCase;

/** A page is shown again as it was only while it would say the same. */
final class KeptPagesTest extends TestCase
{
    private User $keeper;

    /** How many pages were worked out. */
    private int $made = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->seed(DemoSeeder::class);
        $this->keeper = User::query()->whereRelation('workshop', 'name', 'Marram Lane')->firstOrFail();
        $this->actingAs($this->keeper);
        View::composer('components.layout', function (): void {
            $this->made++;
        });
    }

    /** @return list<string> */
    private static function kept(): array
    {
        $routes = array_filter(
            Route::getRoutes()->getRoutes(),
            fn (OneRoute $route): bool => in_array(KeptPages::class, $route->gatherMiddleware(), true),
        );

        return array_map(fn (OneRoute $route): string => '/'.$route->uri(), array_values($routes));
    }

    /** What it says, but for the names of its forms. */
    private function page(string $address): string
    {
        return (string) preg_replace(
            '~name="_once" value="\w+"~', '', (string) $this->get($address)->assertOk()->getContent(),
        );
    }

    private function madeFor(string $address): int
    {
        $before = $this->made;
        $this->get($address)->assertOk();

        return $this->made - $before;
    }

    public function test_every_page_that_is_kept_says_what_working_it_out_says(): void
    {
        self::assertGreaterThan(10, count(self::kept()));
        foreach (self::kept() as $address) {
            $this->made = 0;
            $first = $this->page($address);
            self::assertSame(1, $this->made, $address);
            self::assertSame($first, $this->page($address), $address);
            self::assertSame(1, $this->made, "{$address} is not worked out twice");
            // Anything that is written, and it is worked out; from the same book it says the same.
            Bead::query()->where('id', 0)->update(['owned' => 1]);
            self::assertSame($first, $this->page($address), $address);
            self::assertSame(2, $this->made, "{$address} is worked out after something was written");
        }
    }

    public function test_whatever_is_written_is_named_and_what_is_taken_back_is_not(): void
    {
        $bead = $this->keeper->workshop->beads()->firstOrFail();
        $row = array_diff_key($bead->getAttributes(), ['id' => 0]);
        $writes = [
            'a model' => fn () => Bead::query()->firstOrFail()->update(['updated_at' => now()->addHour()]),
            'rows' => fn () => DB::table('attempts')->delete(),
            'a new row' => fn () => DB::table('beads')->insertGetId(['ulid' => str_repeat('0', 26)] + $row),
            'a row that may be there' => fn () => DB::table('beads')->insertOrIgnore($row),
            'a statement' => fn () => DB::statement('UPDATE beads SET owned = owned'),
            'statements' => fn () => DB::unprepared('UPDATE beads SET owned = owned'),
        ];
        foreach ($writes as $what => $write) {
            $before = SqliteConnection::written();
            DB::beginTransaction();
            $write();
            self::assertNotSame($before, SqliteConnection::written(), $what);
            DB::rollBack();
            self::assertSame($before, SqliteConnection::written(), "{$what} taken back");
            $write();
            self::assertNotSame($before, SqliteConnection::written(), $what);
        }
        $before = SqliteConnection::written();
        DB::table('beads')->get();
        DB::select('SELECT 1');
        self::assertSame($before, SqliteConnection::written(), 'reading writes nothing');
    }

    public function test_it_is_kept_for_whoever_asked_on_the_day_it_was(): void
    {
        $this->get('/stock');
        self::assertSame(0, $this->madeFor('/stock'));
        self::assertSame([1, 0], [$this->madeFor('/stock?as=rows'), $this->madeFor('/stock?as=rows')], 'another way');
        $this->withCookie('light', 'evening');
        self::assertSame([1, 0], [$this->madeFor('/stock'), $this->madeFor('/stock')], 'another palette');
        $this->travel(1)->days();
        self::assertSame([1, 0], [$this->madeFor('/stock'), $this->madeFor('/stock')], 'another day');
        $this->actingAs(User::factory()->create(['workshop_id' => $this->keeper->workshop_id]));
        self::assertSame([1, 0], [$this->madeFor('/stock'), $this->madeFor('/stock')], 'another maker');
    }

    public function test_what_was_just_said_is_told_and_never_kept(): void
    {
        $this->get('/plan');
        $this->withSession(['said' => 'Well done.', '_flash' => ['old' => [], 'new' => ['said']]]);
        // As the framework has it after one request.
        session()->ageFlashData();
        $this->get('/plan')->assertSee('Well done.');
        $this->get('/plan')->assertDontSee('Well done.');
    }

    /** Another session's forms are signed with its own token, and a form shown twice may be sent twice. */
    public function test_its_forms_are_signed_and_named_anew(): void
    {
        $forms = function (): array {
            preg_match_all(
                '~name="_token" value="([^"]+)".*?name="_once" value="(\w+)"~s',
                (string) $this->get('/plan')->getContent(), $found,
            );

            return [array_values(array_unique($found[1])), $found[2]];
        };
        [, $names] = $forms();
        session()->regenerateToken();
        [$tokens, $again] = $forms();
        self::assertSame([session()->token()], $tokens);
        self::assertSame(count($names), count($again));
        self::assertSame([], array_intersect($names, $again), 'no name comes twice');
        self::assertSame(count($again), count(array_unique($again)), 'each form has its own');
    }
}
