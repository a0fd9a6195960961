<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * What pieces are wanted for by a day: a market, an order, a gift. Of an order no more is kept of who ordered than a
 * name and a note.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property 'market'|'order'|'gift'|'repair' $kind
 * @property string $name
 * @property string $note
 * @property CarbonImmutable $due_on
 * @property int $paid_cents
 * @property Collection<int, Want> $wants
 * @property Repair|null $repair
 */
final class Occasion extends Model
{
    use KnownByUlid;

    /** Its kind where one piece is repaired or changed for somebody. */
    public const REPAIR = 'repair';

    public const KINDS = ['market' => 'a market', 'order' => 'an order', 'gift' => 'a gift'];

    protected $guarded = ['id'];

    protected $attributes = ['note' => '', 'paid_cents' => 0];

    /** @var array<string, string> */
    protected $casts = ['due_on' => 'immutable_date'];

    /** @return HasOne<Repair, $this> */
    public function repair(): HasOne
    {
        return $this->hasOne(Repair::class);
    }

    /** @return HasMany<Want, $this> */
    public function wants(): HasMany
    {
        return $this->hasMany(Want::class);
    }
}
