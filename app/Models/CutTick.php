<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Hebra\Core\Stock\CuttingTerms;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A cut that has been made and is not in the book yet: it has left its lot, and is wanted no more, unless it was
 * spoiled.
 *
 * @property int $id
 * @property int $workshop_id
 * @property int $piece_id
 * @property int $lot_id
 * @property string $cut  the cut's key in its piece
 * @property int $length_um
 * @property bool $is_spoiled
 * @property CarbonImmutable $created_at
 * @property Lot $lot
 * @property Piece $piece
 */
final class CutTick extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['is_spoiled' => 'boolean'];

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

    public function lengthMm(): float
    {
        return $this->length_um / 1000;
    }

    /** What it took of its lot: the cut and a clean end. */
    public function grossMm(): float
    {
        return $this->lengthMm() + CuttingTerms::TRIM_MM;
    }
}
