<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Carbon\CarbonImmutable;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A coil, an offcut or a bag of bought pins. What it holds is the sum of its movements; its mass per length was fixed
 * when it was received.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property string $kind
 * @property string $name
 * @property string $tags  the maker’s own words, `#blue #gift`
 * @property string $metal
 * @property string $size
 * @property string $temper
 * @property int $mass_ng_per_mm
 * @property int|null $pin_length_um
 * @property int|null $measured_um  what its wire measures, where that was taken
 * @property int|null $price_cents
 * @property int|null $held_mg
 * @property int|null $received_mg
 * @property CarbonImmutable $created_at
 */
final class Lot extends Model
{
    use KnownByUlid;

    public const SAME_MM = 0.02;

    public const KINDS = ['coil' => 'coil', 'offcut' => 'offcut', 'pins' => 'head pins', 'eye-pins' => 'eye pins'];

    public const PINS = ['pins', 'eye-pins'];

    protected $guarded = ['id'];

    /** @return HasMany<Movement, $this> */
    public function movements(): HasMany
    {
        return $this->hasMany(Movement::class);
    }

    /** @param  Builder<self>  $query */
    public function scopeWithHeld(Builder $query): void
    {
        $query->withSum('sums as held_mg', 'mass_mg')->withSum(
            ['sums as received_mg' => fn (Builder $sums) => $sums->where('kind', 'received')], 'mass_mg',
        );
    }

    /** @return HasMany<MovementSum, $this> */
    public function sums(): HasMany
    {
        return $this->hasMany(MovementSum::class);
    }

    /** What some of it cost, as a share of what was paid; null where no price was noted. Rounded half up. */
    public function costCents(int $milligrams): ?int
    {
        $received = (int) ($this->attributes['received_mg'] ?? 0);

        return $this->price_cents === null || $received <= 0
            ? null
            : intdiv(2 * $milligrams * $this->price_cents + $received, 2 * $received);
    }

    public function receivedMg(): int
    {
        return (int) ($this->attributes['received_mg'] ?? 0);
    }

    /** What came in at its price; 0 where it was cut off another lot. */
    public function receivedMm(): float
    {
        return $this->mmOf((int) ($this->attributes['received_mg'] ?? 0));
    }

    public function wire(): Wire
    {
        /** @var array<string, Wire> $known many lots are of one wire */
        static $known = [];

        ['metal' => $metal, 'size' => $size, 'temper' => $temper] = $this->attributes;

        return $known["{$metal} {$size} {$temper}"] ??= new Wire(
            Metal::from($this->metal), WireSize::parseDrawn($this->size), Temper::from($this->temper),
        );
    }

    public function measured(): ?WireSize
    {
        return $this->measured_um === null ? null : WireSize::millimetres($this->measured_um / 1000);
    }

    /** Its wire in words, with what it measures where that is not what the label says. */
    public function wireWords(): string
    {
        return $this->wire()->words()
            .($this->measured_um === null ? '' : ', measures '.Figures::mm($this->measured_um / 1000));
    }

    /**
     * Whether its wire is of that metal and thickness, whatever its temper: two sizes are one where they differ by no
     * more than labels do.
     */
    public function isOf(Wire $wire): bool
    {
        return $this->metal === $wire->metal->value
            && $this->wire()->size->kind() === $wire->size->kind()
            && abs($this->wire()->widthMm() - $wire->widthMm()) < self::SAME_MM
            && abs($this->wire()->diameterMm() - $wire->diameterMm()) < self::SAME_MM;
    }

    public function heldMg(): int
    {
        return (int) (array_key_exists('held_mg', $this->attributes)
            ? $this->held_mg
            : $this->movements()->sum('mass_mg'));
    }

    public function heldMm(): float
    {
        return $this->mmOf($this->heldMg());
    }

    public function mmOf(int $milligrams): float
    {
        return $milligrams * 1_000_000 / $this->mass_ng_per_mm;
    }

    public function mgOf(float $millimetres): int
    {
        return (int) round($millimetres * $this->mass_ng_per_mm / 1_000_000);
    }

    public function isPins(): bool
    {
        return in_array($this->kind, self::PINS, true);
    }

    public function pinMm(): float
    {
        return ($this->pin_length_um ?? 0) / 1000;
    }

    /** One pin weighs a whole number of milligrams, so that pins can be counted back from the book. */
    public function pinMg(): int
    {
        return max(1, $this->mgOf($this->pinMm()));
    }

    public function isPinOf(Finding $finding): bool
    {
        return $this->kind === $finding->pinKind->value && $this->isOf($finding->wire)
            && abs($this->pinMm() - $finding->lengthMm) < 0.5;
    }

    /** What one pin cost; null where the bag has no price. */
    public function pinPrice(): ?UnitPrice
    {
        $pins = intdiv($this->receivedMg(), $this->pinMg());

        return $this->price_cents === null || $pins === 0
            ? null
            : UnitPrice::fromE4((int) round($this->price_cents * 100 / $pins));
    }

    public function heldPins(): int
    {
        return intdiv($this->heldMg(), $this->pinMg());
    }

    /** `coil 3`, `offcut` … as a maker would say which. */
    public function words(): string
    {
        return $this->name;
    }
}
