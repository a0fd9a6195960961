<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The document of a piece as it stood after one change.
 *
 * @property int $piece_id
 * @property int $number
 * @property string $document
 * @property string $words
 */
final class PieceRevision extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];
}
