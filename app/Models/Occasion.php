<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What pieces are wanted for by a day: a market, an order, a gift. Of an order no more is kept of who ordered than a
 * name and a note.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property 'market'|'order'|'gift' $kind
 * @property string $name
 * @property string $note
 * @property CarbonImmutable $due_on
 * @property int $paid_cents
 * @property Collection<int, Want> $wants
 */
final class Occasion extends Model
{
    use HasUlids;

    public const KINDS = ['market' => 'a market', 'order' => 'an order', 'gift' => 'a gift'];

    protected $guarded = ['id'];

    protected $attributes = ['note' => '', 'paid_cents' => 0];

    /** @var array<string, string> */
    protected $casts = ['due_on' => 'immutable_date'];

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['ulid'];
    }

    public function getRouteKeyName(): string
    {
        return 'ulid';
    }

    /** @return HasMany<Want, $this> */
    public function wants(): HasMany
    {
        return $this->hasMany(Want::class);
    }
}
