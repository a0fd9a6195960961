<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Illuminate\Database\Eloquent\Model;

/**
 * A picture of a finished making, as Hebra wrote it anew: nothing of where, when or with what it was taken is in it.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property int $making_id
 * @property int $width
 * @property int $height
 * @property string $jpeg_base64
 */
final class Photo extends Model
{
    use KnownByUlid;

    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    public function jpeg(): string
    {
        return (string) base64_decode($this->jpeg_base64, true);
    }
}
