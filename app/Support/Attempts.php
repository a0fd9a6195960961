<?php

declare(strict_types=1);

namespace App\Support;

use App\Exceptions\Refused;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/**
 * How often a password may be tried: for one account, from one address, and in all. Each try is a row before it is
 * looked at, so that tries at the same moment count too; the row goes when the password was right. Keyed by what the
 * server knows, never by a field of the request. Source: OWASP ASVS 4.0, V2.2.1.
 */
final class Attempts
{
    private const MINUTES = 15;

    private const OF_AN_ACCOUNT = 10;

    private const FROM_AN_ADDRESS = 30;

    private const IN_ALL = 300;

    /**
     * @param  callable(): bool  $isRight
     *
     * @throws Refused with status 429 if there were too many
     */
    public static function allow(Request $request, string $field, ?User $maker, callable $isRight): bool
    {
        $row = self::counted(
            $field,
            $maker?->id,
            hash_hmac('sha256', (string) $request->ip(), (string) config('app.key')),
        );
        if (! $isRight()) {
            return false;
        }
        DB::table('attempts')->where('id', $row)->delete();

        return true;
    }

    private static function counted(string $field, ?int $maker, string $address): int
    {
        return DB::transaction(function () use ($field, $maker, $address): int {
            DB::table('attempts')->where('created_at', '<', now()->subMinutes(self::MINUTES))->delete();
            $recent = fn (): \Illuminate\Database\Query\Builder => DB::table('attempts');
            // Nobody's account is one account: who guesses addresses comes to its end too.
            $isTooMany = ($maker !== null && $recent()->where('user_id', $maker)->count() >= self::OF_AN_ACCOUNT)
                || $recent()->where('address', $address)->count() >= self::FROM_AN_ADDRESS
                    || $recent()->count() >= self::IN_ALL;
            ! $isTooMany || throw Refused::tooManyAttempts($field, self::MINUTES);

            return DB::table('attempts')->insertGetId(
                ['user_id' => $maker, 'address' => $address, 'created_at' => now()],
            );
        });
    }
}
