<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Carbon\CarbonImmutable;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One practice: a short drill, measured.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property string $kind
 * @property string $metal
 * @property string $size
 * @property string $temper
 * @property int $wanted_um
 * @property CarbonImmutable $created_at
 * @property Collection<int, Measurement> $measurements
 */
final class Drill extends Model
{
    use KnownByUlid;

    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['created_at' => 'immutable_datetime'];

    public function wire(): Wire
    {
        return new Wire(Metal::from($this->metal), WireSize::parseDrawn($this->size), Temper::from($this->temper));
    }

    /** @return HasMany<Measurement, $this> */
    public function measurements(): HasMany
    {
        return $this->hasMany(Measurement::class);
    }
}
