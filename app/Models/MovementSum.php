<?php

declare(strict_types=1);

namespace App\Models;

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
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected $guarded = ['*'];
}
