<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Hebra\Core\Market\Place;
use Illuminate\Database\Eloquent\Model;

/**
 * Where a finished piece went, and for how much. Never changed.
 *
 * @property int $id
 * @property int $finished_id
 * @property Place $place
 * @property int|null $cents
 * @property string $words
 * @property string|null $maker
 * @property CarbonImmutable $created_at
 */
final class FinishedMove extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['place' => Place::class];
}
