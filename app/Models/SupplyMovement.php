<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Beads or supplies that came or went. Written once by App\Actions\SupplyBook; the database refuses to change or delete
 * it, and keeps what is held in step.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $entry
 * @property string $kind
 * @property int|null $bead_id
 * @property int|null $supply_id
 * @property int|null $making_id
 * @property int $amount
 * @property string $words
 * @property string|null $reverses
 * @property string|null $maker  who wrote it
 * @property CarbonImmutable $created_at
 * @property Bead|null $bead
 * @property Supply|null $supply
 */
final class SupplyMovement extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @return BelongsTo<Bead, $this> */
    public function bead(): BelongsTo
    {
        return $this->belongsTo(Bead::class)->withTrashed();
    }

    /** @return BelongsTo<Supply, $this> */
    public function supply(): BelongsTo
    {
        return $this->belongsTo(Supply::class)->withTrashed();
    }
}
