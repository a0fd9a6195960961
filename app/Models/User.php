<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Facades\Auth;

/**
 * A maker who signs in.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property list<array{words: string, address: string}>|null $recent_sums
 * @property Workshop $workshop
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    private const RECENT_SUMS = 6;

    protected $fillable = ['workshop_id', 'name', 'email', 'password', 'recent_sums'];

    protected $attributes = ['remember_token' => null, 'recent_sums' => null];

    protected $hidden = ['password', 'remember_token'];

    /** @var array<string, string> */
    protected $casts = ['password' => 'hashed', 'recent_sums' => 'array'];

    /** @var list<string> */
    protected $with = ['workshop.tools'];

    /** Whose line it is that is written now; null where no maker is signed in. */
    public static function signedIn(): ?string
    {
        $maker = Auth::user();

        return $maker instanceof self ? $maker->name : null;
    }

    public static function signedInWorkshop(): ?Workshop
    {
        $maker = Auth::user();

        return $maker instanceof self ? $maker->workshop : null;
    }

    /** @return list<array{words: string, address: string}> the sums asked last, latest first */
    public function recentSums(): array
    {
        return $this->recent_sums ?? [];
    }

    public function rememberSum(string $words, string $address): void
    {
        // The same in capitals is the same.
        $others = array_filter(
            $this->recentSums(),
            fn (array $one): bool => mb_strtolower($one['address']) !== mb_strtolower($address),
        );
        $this->forceFill(
            ['recent_sums' => array_slice(
                [['words' => mb_substr($words, 0, 90), 'address' => $address], ...$others], 0, self::RECENT_SUMS,
            )],
        )->save();
    }

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }
}
