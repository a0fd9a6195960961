<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * So many of a piece, each as it is sold: a pair is one.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property int $occasion_id
 * @property int $piece_id
 * @property int $count
 * @property int|null $price_cents  of one, where it was agreed
 * @property CarbonImmutable|null $from_on  when what it takes has come
 * @property Piece $piece
 * @property Occasion $occasion
 */
final class Want extends Model
{
    use KnownByUlid;

    public const MOST = 500;

    protected $guarded = ['id'];

    protected $attributes = ['price_cents' => null, 'from_on' => null];

    /** @var array<string, string> */
    protected $casts = ['from_on' => 'immutable_date'];

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class)->withTrashed();
    }

    /** @return BelongsTo<Occasion, $this> */
    public function occasion(): BelongsTo
    {
        return $this->belongsTo(Occasion::class);
    }
}
