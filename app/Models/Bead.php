<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Bead\Material;
use Hebra\Core\Quantity\UnitPrice;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A bead in the maker's tray, and how many are owned, which follows its movements.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property string $name
 * @property string $shape
 * @property int $length_um
 * @property int $width_um
 * @property int $hole_um
 * @property string $drilling
 * @property string $material
 * @property string $colour
 * @property int $owned
 * @property int|null $price_e4  what one costs, in ten-thousandths of the currency
 * @property int|null $low_at
 */
final class Bead extends Model
{
    use KnownByUlid;
    use SoftDeletes;

    protected $guarded = ['id', 'owned'];

    protected $attributes = ['owned' => 0, 'price_e4' => null, 'low_at' => null];

    public function isLow(): bool
    {
        return $this->low_at !== null && $this->owned < $this->low_at;
    }

    public function price(): ?UnitPrice
    {
        return $this->price_e4 === null ? null : UnitPrice::fromE4($this->price_e4);
    }

    public function core(): CoreBead
    {
        return self::fromRow($this->attributes);
    }

    /** @param  array<string, mixed>  $row the columns as they are stored */
    public static function fromRow(array $row): CoreBead
    {
        return CoreBead::of(
            BeadShape::from($row['shape']), $row['length_um'] / 1000, $row['width_um'] / 1000, $row['hole_um'] / 1000,
            Drilling::from($row['drilling']), Material::from($row['material']), $row['colour'], $row['name'],
        );
    }

    /** @return array<string, int|string> */
    public static function columns(CoreBead $bead): array
    {
        return [
            'name' => $bead->name,
            'shape' => $bead->shape->value,
            'length_um' => (int) round($bead->lengthMm * 1000),
            'width_um' => (int) round($bead->widthMm * 1000),
            'hole_um' => (int) round($bead->holeMm * 1000),
            'drilling' => $bead->drilling->value,
            'material' => $bead->material->value,
            'colour' => $bead->colour,
        ];
    }
}
