<?php

declare(strict_types=1);

namespace App\Models;

use Hebra\Core\Hand\Log;
use Illuminate\Database\Eloquent\Model;

/**
 * How long one step took at the bench. What ran on while nobody worked was capped, and teaches nothing.
 *
 * @property int $id
 * @property int $making_id
 * @property string $kind
 * @property string $title
 * @property int $estimate_ms
 * @property int $taken_ms
 * @property bool $is_capped
 */
final class StepTime extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['is_capped' => 'boolean'];

    public function log(): Log
    {
        return new Log($this->taken_ms / max(1, $this->estimate_ms));
    }
}
