<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Wire of a lot that is kept for a piece: so many cuts of one kind. Those ticked off as cut since are no longer
 * reserved.
 *
 * @property int $id
 * @property int $workshop_id
 * @property int $piece_id
 * @property int $lot_id
 * @property string $cut  the cut's key in its piece
 * @property int $count
 * @property int $length_um  of one
 * @property Lot $lot
 * @property Piece|null $piece  null where it has been put away
 */
final class Reservation extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class);
    }

    /**
     * Of a workshop, for pieces that have not been put away.
     *
     * @param  Builder<self>  $query
     */
    public function scopeStanding(Builder $query, Workshop $workshop): void
    {
        $query->where('reservations.workshop_id', $workshop->id)->whereHas('piece')->with(['piece', 'lot']);
    }

    public function lengthMm(): float
    {
        return $this->length_um / 1000;
    }
}
