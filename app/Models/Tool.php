<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Hebra\Core\Tool\Tool as CoreTool;
use Hebra\Core\Tool\ToolKind;
use Illuminate\Database\Eloquent\Model;

/**
 * A tool of the workshop with the diameters wire is bent round on it.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property string $kind
 * @property string $name
 * @property list<int> $marks_um
 * @property int $grip_um
 */
final class Tool extends Model
{
    use KnownByUlid;

    protected $guarded = ['id'];

    protected $attributes = ['grip_um' => 0];

    /** @var array<string, string> */
    protected $casts = ['marks_um' => 'array'];

    /** @return array<string, mixed> */
    public static function columns(CoreTool $tool): array
    {
        return [
            'kind' => $tool->kind->value,
            'name' => $tool->name,
            'marks_um' => array_map(fn (float $mm): int => (int) round($mm * 1000), $tool->marksMm),
            'grip_um' => (int) round($tool->gripMm * 1000),
        ];
    }

    public function core(): CoreTool
    {
        return CoreTool::of(
            ToolKind::from($this->kind),
            $this->name,
            array_map(fn (int $um): float => $um / 1000, $this->marks_um),
            $this->grip_um / 1000,
        );
    }
}
