<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One point of an inspection as the maker found it.
 *
 * @property int $making_id
 * @property string $point
 * @property bool $is_fine
 */
final class Inspected extends Model
{
    public const UPDATED_AT = null;

    protected $table = 'inspections';

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['is_fine' => 'boolean'];
}
