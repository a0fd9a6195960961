<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One line of the metal book. Written once by App\Actions\Book; the database refuses to change or delete it.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $entry
 * @property string $kind
 * @property string $account
 * @property int|null $lot_id
 * @property int|null $making_id
 * @property string $metal
 * @property int $mass_mg
 * @property string $words
 * @property string|null $reverses
 * @property string|null $maker  who wrote it
 * @property CarbonImmutable $created_at
 * @property Lot|null $lot
 * @property Making|null $making
 */
final class Movement extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return BelongsTo<Making, $this> */
    public function making(): BelongsTo
    {
        return $this->belongsTo(Making::class);
    }
}
