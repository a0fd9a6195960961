<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Carbon\CarbonImmutable;
use Hebra\Core\Market\Place;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One finished piece as it is sold, a pair as one: what is in it, what it took and cost when it was made, where it is.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property int $piece_id
 * @property int $making_id
 * @property int|null $want_id
 * @property int $number
 * @property string $name
 * @property Place $place
 * @property array<string, int> $metals  milligrams by metal
 * @property int|null $minutes
 * @property int|null $cost_cents
 * @property int|null $price_cents  on its label
 * @property int|null $sold_cents
 * @property CarbonImmutable|null $sold_at  of the sale that stands, also while it comes back to be repaired
 * @property string $note
 * @property CarbonImmutable $moved_at
 * @property CarbonImmutable $created_at
 * @property Making $making
 * @property Piece $piece
 * @property Want|null $want
 */
final class Finished extends Model
{
    use KnownByUlid;

    /** What is told of it, as it is looked for: by the index `finished_told`, as a test holds. */
    public const TOLD = "lower(name || ' ' || note) || ' no. ' || number";

    protected $table = 'finished';

    protected $guarded = ['id'];

    protected $attributes = [
        'note' => '', 'want_id' => null, 'minutes' => null, 'cost_cents' => null, 'price_cents' => null,
        'sold_cents' => null, 'sold_at' => null,
    ];

    /** @var array<string, string> */
    protected $casts = [
        'place' => Place::class, 'metals' => 'array', 'moved_at' => 'immutable_datetime',
        'sold_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Making, $this> */
    public function making(): BelongsTo
    {
        return $this->belongsTo(Making::class);
    }

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class)->withTrashed();
    }

    /** @return BelongsTo<Want, $this> */
    public function want(): BelongsTo
    {
        return $this->belongsTo(Want::class);
    }

    /** @return HasMany<Repair, $this> */
    public function repairs(): HasMany
    {
        return $this->hasMany(Repair::class);
    }

    /** @return HasMany<FinishedMove, $this> */
    public function moves(): HasMany
    {
        return $this->hasMany(FinishedMove::class);
    }

    /** What it goes for where nothing is said: as on its label, or as it was sold before. */
    public function askedCents(): ?int
    {
        return $this->sold_at === null ? $this->price_cents : null;
    }

    public function massMg(): int
    {
        return array_sum($this->metals);
    }
}
