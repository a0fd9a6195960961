<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Hebra\Core\Hand\Log;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One kind of cut of a closed making: what was cut and left of one, and what that teaches. Lengths in whole
 * micrometres.
 *
 * @property int $id
 * @property int|null $making_id  null where a drill taught it
 * @property int|null $drill_id
 * @property string $label
 * @property int $count
 * @property int $planned_um
 * @property int $cut_um
 * @property int $left_um
 * @property int $short_um
 * @property bool $is_bound  it ran short by an unknown amount
 * @property string|null $way  null where it teaches nothing
 * @property int $awg
 * @property int $formed_um
 * @property int $straight_um
 * @property int $tail_um  what was to be trimmed off
 * @property int $ng_per_mm
 * @property bool $is_put_back
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable|null $forgotten_at
 * @property Making|null $making
 */
final class MakingCut extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = [
        'is_bound' => 'boolean',
        'is_put_back' => 'boolean',
        'created_at' => 'immutable_datetime',
        'forgotten_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Making, $this> */
    public function making(): BelongsTo
    {
        return $this->belongsTo(Making::class);
    }

    /** Used over what the sum says. */
    public function ratio(): float
    {
        return self::ratioOf($this);
    }

    /** The same of a bare row, which plans ask for. */
    public static function ratioOf(self|\stdClass $row): float
    {
        return ($row->cut_um - $row->left_um + $row->short_um - $row->straight_um) / max(1, $row->formed_um);
    }

    public function log(): Log
    {
        return new Log($this->ratio(), $this->is_bound, $this->is_put_back);
    }

    public function key(): string
    {
        return $this->way.'/'.$this->awg;
    }
}
