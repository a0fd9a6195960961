<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A piece that is mended or changed for somebody: one of the box, or one from elsewhere by its name.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property int|null $occasion_id
 * @property int|null $finished_id
 * @property string $name
 * @property string $words  what is done to it
 * @property int $minutes  as foretold
 * @property int|null $price_cents  as agreed
 * @property int|null $took_minutes
 * @property int|null $got_cents
 * @property CarbonImmutable|null $done_at
 * @property CarbonImmutable $created_at
 * @property Occasion|null $occasion
 * @property Finished|null $finished
 * @property Workshop $workshop
 */
final class Repair extends Model
{
    use KnownByUlid;

    protected $guarded = ['id'];

    protected $attributes = [
        'finished_id' => null, 'price_cents' => null, 'took_minutes' => null, 'got_cents' => null, 'done_at' => null,
    ];

    /** @var array<string, string> */
    protected $casts = ['done_at' => 'immutable_datetime'];

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** @return BelongsTo<Occasion, $this> */
    public function occasion(): BelongsTo
    {
        return $this->belongsTo(Occasion::class);
    }

    /** @return BelongsTo<Finished, $this> */
    public function finished(): BelongsTo
    {
        return $this->belongsTo(Finished::class);
    }
}
