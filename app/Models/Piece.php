<?php

declare(strict_types=1);

namespace App\Models;

use Hebra\Core\Piece\Piece as Document;
use Hebra\Core\Piece\PieceJson;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Carbon\CarbonImmutable;

/**
 * A piece in the workshop: where its history stands. The design itself is the document of its current revision.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property string $name
 * @property int $revision
 * @property string $stage
 * @property CarbonImmutable|null $deleted_at
 * @property CarbonImmutable $updated_at
 * @property Making|null $openMaking
 * @property string|null $made_at  when it was last closed, where the query asked for it
 */
final class Piece extends Model
{
    use HasUlids, SoftDeletes;

    public const STAGES = ['lay-out' => 'Lay out', 'wire' => 'Wire', 'cut' => 'Cut', 'make' => 'Make', 'log' => 'Weigh & log'];

    protected $guarded = ['id'];

    private ?Document $read = null;

    private ?string $json = null;

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['ulid'];
    }

    public function getRouteKeyName(): string
    {
        return 'ulid';
    }

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** @return HasMany<PieceRevision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(PieceRevision::class);
    }

    /** @return HasMany<Making, $this> */
    public function makings(): HasMany
    {
        return $this->hasMany(Making::class);
    }

    /** @return HasOne<Making, $this> */
    public function openMaking(): HasOne
    {
        return $this->hasOne(Making::class)->whereNull('closed_at')->latestOfMany();
    }

    public function json(): string
    {
        return $this->json ??= (string) $this->revisions()->where('number', $this->revision)->value('document');
    }

    public function document(): Document
    {
        return $this->read ??= PieceJson::read($this->json());
    }

    /** Forget what was read: the history moved. */
    public function moved(): void
    {
        $this->read = $this->json = null;
    }

    public function lastRevision(): int
    {
        return (int) $this->revisions()->max('number');
    }
}
