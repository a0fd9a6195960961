<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * What lines of the metal book come to, by month, metal, account, kind and lot. The database keeps it in step with
 * them.
 *
 * @property string $month
 * @property string $metal
 * @property string $account
 * @property string $kind
 * @property int $lot_id  0 for lines of no lot
 * @property int $mass_mg
 * @property int $lines
 */
final class MovementSum extends Model
{
    /** Entries that move what has left the bench: sold and taken back, melted, refined. */
    public const AFTER_THE_BENCH = ['left', 'back', 'melted', 'refined'];

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected $guarded = ['*'];

    /**
     * What the bench itself brought into an account, whatever became of it.
     *
     * @param  Builder<self>  $query
     */
    public function scopeOfTheBench(Builder $query, string $account): void
    {
        $query->where('account', $account)->whereNotIn('kind', self::AFTER_THE_BENCH);
    }
}
