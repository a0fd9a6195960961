<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\WorkshopFactory;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\Wire\SizeSystem;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $name
 * @property string $ruler
 * @property string $sizes
 * @property int $clearance_um
 * @property int $keep_um
 * @property bool $shortcuts  whether single keys act on a page
 * @property bool $is_demo
 */
final class Workshop extends Model
{
    /** @use HasFactory<WorkshopFactory> */
    use HasFactory;

    protected $guarded = ['id'];

    protected $attributes = ['ruler' => '0.5 mm', 'sizes' => 'awg', 'clearance_um' => 50, 'keep_um' => 60_000, 'shortcuts' => true, 'is_demo' => false];

    /** @var array<string, string> */
    protected $casts = ['is_demo' => 'boolean', 'shortcuts' => 'boolean'];

    public function profile(): Profile
    {
        return new Profile(Ruler::from($this->ruler), SizeSystem::from($this->sizes), $this->clearance_um / 1000, $this->keep_um / 1000);
    }

    /** @return HasMany<Piece, $this> */
    public function pieces(): HasMany
    {
        return $this->hasMany(Piece::class);
    }

    /** @return HasMany<Lot, $this> */
    public function lots(): HasMany
    {
        return $this->hasMany(Lot::class);
    }

    /** @return HasMany<Bead, $this> */
    public function beads(): HasMany
    {
        return $this->hasMany(Bead::class);
    }

    /** @return HasMany<Making, $this> */
    public function makings(): HasMany
    {
        return $this->hasMany(Making::class);
    }

    /** @return HasMany<Movement, $this> */
    public function movements(): HasMany
    {
        return $this->hasMany(Movement::class);
    }
}
