<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Making;
use App\Models\Piece;
use App\Models\User;
use App\Models\Workshop;
use App\Read\PieceBills;
use App\Read\Pricing;
use Database\Seeders\DemoSeeder;
use Hebra\Core\Plan\Planner;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Kept or reckoned anew, a bill says the same, whatever it is made of was changed in between. */
final class PieceBillsTest extends TestCase
{
    /** @return array<string, string> as pieces are billed where many are told of, and as each is by itself */
    private static function told(Workshop $workshop, bool $isKept): array
    {
        $kept = PieceBills::in($workshop);
        $told = [];
        foreach ($workshop->pieces()->where('is_pattern', false)->orderBy('id')->get() as $piece) {
            $bill = $isKept ? $kept($piece) : self::anew($piece, $workshop);
            $told[$piece->name] = (string) json_encode($bill);
        }

        return $told;
    }

    private static function anew(Piece $piece, Workshop $workshop): mixed
    {
        return (new Pricing($piece, $workshop))->billed(Planner::plan($piece->document(), $workshop->profile()))[0];
    }

    #[Group('wide')]
    public function test_whatever_changes_a_kept_bill_is_the_bill(): void
    {
        $this->freezeTime();
        $this->seed(DemoSeeder::class);
        $this->actingAs(User::query()->whereRelation('workshop', 'name', 'Marram Lane')->firstOrFail());
        $workshop = fn (): Workshop => Workshop::query()->where('name', 'Marram Lane')->firstOrFail();
        $made = Making::query()->where('workshop_id', $workshop()->id)->whereNotNull('closed_at')
            ->where('minutes', '>', 0)->firstOrFail();
        $changes = [
            'nothing' => fn (): int => 0,
            'a bead’s price' => fn (): int => DB::table('beads')->update(['price_e4' => 123_400]),
            'a finding’s price' => fn (): int => DB::table('supplies')->update(['price_e4' => 99_900]),
            'what wire was paid' => fn (): int => DB::table('lots')->increment('price_cents', 700),
            'prices of metal' => fn (): bool => $workshop()->update(['metal_prices_e4' => ['copper' => 90_000]]),
            'an hour' => fn (): bool => $workshop()->update(['hour_cents' => 4_100]),
            'packing' => fn (): bool => $workshop()->update(['packing_cents' => 77]),
            'minutes noted' => fn (): int => DB::table('makings')->where('id', $made->id)->increment('minutes', 50),
            'which are variants' => fn (): int => DB::table('pieces')->whereNotNull('family')->update([
                'family' => null,
            ]),
            'another variant' => fn (): int => DB::table('pieces')->update(['family' => str_repeat('f', 26)]),
            'the day' => fn (): int => (int) $this->travel(40)->days(),
        ];
        $moved = 0;
        $before = self::told($workshop(), true);
        foreach ($changes as $what => $change) {
            $change();
            $kept = self::told($workshop(), true);
            self::assertSame(self::told($workshop(), false), $kept, $what);
            $moved += $kept === $before ? 0 : 1;
            $before = $kept;
        }
        self::assertGreaterThan(6, $moved, 'most of these change a bill');
    }
}
