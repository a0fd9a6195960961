<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Carbon\CarbonImmutable;
use Hebra\Core\Piece\Piece as Document;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
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
 * @property int $moves  made at the bench so far
 * @property bool $is_across  one step across all copies, else copy by copy
 * @property array<mixed>|null $progress
 * @property array<string, int>|null $counts  what the maker settled on, by twin
 * @property list<array{kind: string, cut: string, step: string, um?: int, tick?: int|null, again?: int}>|null $troubles
 * @property int|null $weight_mg
 * @property CarbonImmutable|null $waits_until  glue, a tumbler, a bath: it goes on from then
 * @property int|null $minutes
 * @property string $note
 * @property CarbonImmutable|null $closed_at
 * @property CarbonImmutable $created_at
 * @property Piece $piece
 * @property \Illuminate\Database\Eloquent\Collection<int, Movement> $movements
 */
final class Making extends Model
{
    use KnownByUlid;

    protected $guarded = ['id'];

    protected $attributes = [
        'step' => 0,
        'counted' => 0,
        'moves' => 0,
        'is_across' => false,
        'progress' => null,
        'counts' => null,
        'troubles' => null,
        'weight_mg' => null,
        'waits_until' => null,
        'note' => '',
        'minutes' => null,
        'closed_at' => null,
    ];

    /** @var array<string, string> */
    protected $casts = [
        'closed_at' => 'immutable_datetime',
        'is_across' => 'boolean',
        'waits_until' => 'immutable_datetime',
        'progress' => 'array',
        'counts' => 'array',
        'troubles' => 'array',
    ];

    /** Whether it is made operation by operation over all that is alike, else part by part. */
    public function isByOperation(): bool
    {
        return ($this->progress['operations'] ?? false) === true;
    }

    /** Its plan, in the order in which it is made. */
    public function plan(Profile $profile): Plan
    {
        $of = [$profile, $this->isByOperation(), $this->document];
        if ($this->planned === null || $this->planned[0] !== $of) {
            $this->planned = [$of, Planner::plan($this->document(), $profile)->inOperations($this->isByOperation())];
        }

        return $this->planned[1];
    }

    /** @var array{array{Profile, bool, string}, Plan}|null what it was planned of last, and its plan */
    private ?array $planned = null;

    private ?Document $read = null;

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class);
    }

    /** @return HasMany<MakingCut, $this> */
    public function cuts(): HasMany
    {
        return $this->hasMany(MakingCut::class);
    }

    /** @return HasMany<StepTime, $this> */
    public function stepTimes(): HasMany
    {
        return $this->hasMany(StepTime::class);
    }

    /** @return HasMany<Measurement, $this> */
    public function measurements(): HasMany
    {
        return $this->hasMany(Measurement::class);
    }

    /** @return HasMany<Inspected, $this> */
    public function inspected(): HasMany
    {
        return $this->hasMany(Inspected::class);
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class);
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

    public function isWaiting(): bool
    {
        return $this->waits_until !== null && $this->waits_until->isFuture();
    }

    public function isClosed(): bool
    {
        return $this->closed_at !== null;
    }
}
