<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Hebra\Core\Piece\Piece as Document;
use Hebra\Core\Piece\PieceJson;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One making of a piece, from the design as it stood when it began: how far it is, and, closed, what it took.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property int $piece_id
 * @property string $document
 * @property int $revision
 * @property int $step
 * @property int $counted
 * @property int|null $minutes
 * @property string $note
 * @property CarbonImmutable|null $closed_at
 * @property CarbonImmutable $created_at
 * @property Piece $piece
 */
final class Making extends Model
{
    use HasUlids;

    protected $guarded = ['id'];

    protected $attributes = ['step' => 0, 'counted' => 0, 'note' => '', 'minutes' => null, 'closed_at' => null];

    /** @var array<string, string> */
    protected $casts = ['closed_at' => 'immutable_datetime'];

    private ?Document $read = null;

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['ulid'];
    }

    public function getRouteKeyName(): string
    {
        return 'ulid';
    }

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class);
    }

    /** @return HasMany<Movement, $this> */
    public function movements(): HasMany
    {
        return $this->hasMany(Movement::class);
    }

    public function document(): Document
    {
        return $this->read ??= PieceJson::read($this->document);
    }

    public function isClosed(): bool
    {
        return $this->closed_at !== null;
    }
}
