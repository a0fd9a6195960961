<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Str;

/**
 * Lets one more maker into a workshop, once. The link holds the token; only its hash is kept.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $token
 * @property CarbonImmutable $expires_at
 * @property Workshop $workshop
 */
final class Invitation extends Model
{
    public const UPDATED_AT = null;

    public const DAYS = 7;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['expires_at' => 'immutable_datetime'];

    /** @return string the token, which is told once */
    public static function into(Workshop $workshop): string
    {
        $token = Str::random(40);
        self::query()->create(
            [
                'workshop_id' => $workshop->id, 'token' => hash('sha256', $token),
                'expires_at' => now()->addDays(self::DAYS),
            ],
        );

        return $token;
    }

    /** Found, unused and not too old; else there is nothing at that address. */
    public static function standing(string $token): self
    {
        return self::query()->where(
            'token',
            hash('sha256', $token),
        )->where('expires_at', '>', now())->with('workshop')->firstOrFail();
    }

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }
}
