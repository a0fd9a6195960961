<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A size that was measured, of a making or of a drill, beside the one that was wanted. Whole micrometres.
 *
 * @property int $id
 * @property int|null $making_id
 * @property int|null $drill_id
 * @property string $what  `loop`, `inside`, `length`, `wraps`, `pair`
 * @property string $metal
 * @property string $temper
 * @property int $wanted_um
 * @property int $measured_um
 * @property CarbonImmutable $created_at
 * @property Making|null $making
 * @property Drill|null $drill
 */
final class Measurement extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['created_at' => 'immutable_datetime'];

    /** @return BelongsTo<Making, $this> */
    public function making(): BelongsTo
    {
        return $this->belongsTo(Making::class);
    }

    /** @return BelongsTo<Drill, $this> */
    public function drill(): BelongsTo
    {
        return $this->belongsTo(Drill::class);
    }

    public function wantedMm(): float
    {
        return $this->wanted_um / 1000;
    }

    public function measuredMm(): float
    {
        return $this->measured_um / 1000;
    }
}
