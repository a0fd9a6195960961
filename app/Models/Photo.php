<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
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
    use HasUlids;

    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['ulid'];
    }

    public function getRouteKeyName(): string
    {
        return 'ulid';
    }

    public function jpeg(): string
    {
        return (string) base64_decode($this->jpeg_base64, true);
    }
}
