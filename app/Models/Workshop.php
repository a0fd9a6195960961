<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\WorkshopFactory;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Price\Costing;
use Hebra\Core\Price\LotPrices;
use Hebra\Core\Price\MetalPrices;
use Hebra\Core\Price\OwnPrices;
use Hebra\Core\Price\PriceList;
use Hebra\Core\Price\PriceTerms;
use Hebra\Core\Price\SimulatedPrices;
use Hebra\Core\Quantity\Currency;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\School\School;
use Hebra\Core\School\Schools;
use Hebra\Core\Tool\ToolBox;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\Strength;
use Hebra\Core\Wire\Strengths;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $ulid  random: what a session of this workshop carries
 * @property string $name
 * @property string $ruler
 * @property string $sizes
 * @property int $clearance_um
 * @property int $keep_um
 * @property bool $shortcuts  whether single keys act on a page
 * @property bool $is_demo
 * @property string $currency
 * @property int $decimals  with which its amounts are told: 2 or 0
 * @property int $hour_cents
 * @property int $overhead_percent
 * @property int $margin_percent
 * @property int $packing_cents  of one piece
 * @property int $low_um  a wire of which less is there is running low
 * @property bool $has_scale  whether a scale on a cable is read in the browser
 * @property bool $has_camera  whether photos are taken with this device’s camera
 * @property bool $hand_on  whether plans follow what the logs taught
 * @property array<string, int>|null $metal_prices_e4
 * @property list<int>|null $week_minutes  at the bench, Monday first
 * @property array<string, int>|null $day_minutes  of days unlike their week’s, by `2026-12-06`
 * @property int $tax_percent  in the price
 * @property string $rounding  what prices end in: `.00`, `.50`, `.90` or nothing
 * @property array<string, array{margin: int, fee: int}>|null $price_lists  by name, where set
 * @property array<string, string>|null $schools  school => choice, where it differs from the usual
 * @property array<string, OwnStrength>|null $strengths  the maker's own, by metal
 * @property \Illuminate\Database\Eloquent\Collection<int, Tool> $tools
 * @property CarbonImmutable|null $updated_at
 *
 * @phpstan-type OwnStrength array{modulus_gpa: float, soft_mpa: float, half_hard_mpa: float, hard_mpa: float}
 */
final class Workshop extends Model
{
    /** @use HasFactory<WorkshopFactory> */
    use HasFactory;

    use HasUlids;

    protected $guarded = ['id'];

    protected $attributes = [
        'ruler' => '0.5 mm',
        'sizes' => 'awg',
        'clearance_um' => 50,
        'keep_um' => 60_000,
        'shortcuts' => true,
        'is_demo' => false,
        'schools' => null,
        'strengths' => null,
        'currency' => 'EUR',
        'decimals' => 2,
        'has_scale' => false,
        'has_camera' => false,
        'hour_cents' => 2200,
        'overhead_percent' => 12,
        'margin_percent' => 30,
        'metal_prices_e4' => null,
        'packing_cents' => 0,
        'low_um' => 1_000_000,
        'hand_on' => true,
        'week_minutes' => null,
        'day_minutes' => null,
        'tax_percent' => 0,
        'rounding' => '',
        'price_lists' => null,
    ];

    /** @var array<string, string> */
    protected $casts = [
        'is_demo' => 'boolean',
        'hand_on' => 'boolean',
        'has_scale' => 'boolean',
        'has_camera' => 'boolean',
        'shortcuts' => 'boolean',
        'schools' => 'array',
        'strengths' => 'array',
        'metal_prices_e4' => 'array',
        'week_minutes' => 'array',
        'day_minutes' => 'array',
        'price_lists' => 'array',
    ];

    /** An hour and a half after work, more at the end of the week [memory]. */
    private const WEEK_MINUTES = [90, 90, 90, 90, 120, 240, 180];

    /** @return list<int> minutes at the bench, Monday first */
    public function weekMinutes(): array
    {
        return $this->week_minutes ?? self::WEEK_MINUTES;
    }

    private ?Profile $profile = null;

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['ulid'];
    }

    /** @return HasMany<User, $this> */
    public function makers(): HasMany
    {
        return $this->hasMany(User::class);
    }

    public function profile(): Profile
    {
        return $this->profile ??= new Profile(
            Ruler::from($this->ruler), SizeSystem::from($this->sizes), $this->clearance_um / 1000,
            $this->keep_um / 1000,
            schools: Schools::of($this->schools ?? []), tools: new ToolBox(
                array_values($this->tools->map(fn (Tool $tool) => $tool->core())->all()),
            ), strengths: $this->ownStrengths(), hand: $this->hand_on
                ? HandBook::of($this)->hand()
                : null,
        );
    }

    /** The same as a reader sees it with another ruler and another hand: not to be kept. */
    public function toReader(Ruler $ruler, string $hand): self
    {
        $reader = clone $this;
        $reader->profile = null;
        $reader->ruler = $ruler->value;
        $reader->schools = [...($this->schools ?? []), School::Hand->value => $hand];

        return $reader;
    }

    public function costing(): Costing
    {
        return Costing::of(
            $this->hour_cents, $this->overhead_percent, $this->margin_percent, $this->packing_cents,
        )->asking($this->priceLists()[0], $this->priceTerms());
    }

    /** @return non-empty-list<PriceList> the usual one first */
    public function priceLists(): array
    {
        return PriceList::all($this->price_lists ?? [], $this->margin_percent);
    }

    /** What is told without decimals is asked without them. */
    public function priceTerms(): PriceTerms
    {
        return PriceTerms::of($this->tax_percent, $this->decimals === 0 ? '.00' : $this->rounding);
    }

    public function currency(): Currency
    {
        return Currency::of($this->currency, $this->decimals);
    }

    /** @return HasMany<MakingCut, $this> */
    public function makingCuts(): HasMany
    {
        return $this->hasMany(MakingCut::class);
    }

    /** @return HasMany<StepTime, $this> */
    public function stepTimes(): HasMany
    {
        return $this->hasMany(StepTime::class);
    }

    /** @return HasMany<Measurement, $this> */
    public function measurements(): HasMany
    {
        return $this->hasMany(Measurement::class);
    }

    /** @return HasMany<Drill, $this> */
    public function drills(): HasMany
    {
        return $this->hasMany(Drill::class);
    }

    /**
     * What a gram costs, one price everywhere: as paid for the lots in stock, else the maker's own, else the table that
     * ships.
     */
    public function metalPrices(): MetalPrices
    {
        return new LotPrices($this->paidPerGramE4(...), $this->pricesWithoutStock());
    }

    /** The maker's own prices of metal over the table that ships. */
    public function pricesWithoutStock(): MetalPrices
    {
        return new OwnPrices($this->metal_prices_e4 ?? [], new SimulatedPrices);
    }

    /** @return array<string, int> by wire, over the lots of it that still hold some and say what was paid */
    private function paidPerGramE4(): array
    {
        $paid = $received = [];
        foreach ($this->lots()->withHeld()->get() as $lot) {
            if ($lot->price_cents !== null && $lot->receivedMg() > 0 && $lot->heldMg() > 0 && ! $lot->isPins()) {
                $key = $lot->wire()->key();
                $paid[$key] = ($paid[$key] ?? 0) + $lot->price_cents;
                $received[$key] = ($received[$key] ?? 0) + $lot->receivedMg();
            }
        }
        $perGramE4 = [];
        foreach ($paid as $key => $cents) {
            $perGramE4[$key] = (int) round($cents * 100_000 / $received[$key]);
        }

        return $perGramE4;
    }

    private function ownStrengths(): Strengths
    {
        return new Strengths(
            array_map(
                fn (array $one): Strength => Strength::of(
                    $one['modulus_gpa'], $one['soft_mpa'], $one['half_hard_mpa'], $one['hard_mpa'], 'your own value',
                ),
                $this->strengths ?? [],
            ),
        );
    }

    protected static function booted(): void
    {
        self::saved(fn (self $workshop) => $workshop->settled());
    }

    /** After what the profile is made of has changed. */
    public function settled(): void
    {
        $this->profile = null;
        $this->unsetRelation('tools');
    }

    /** @return HasMany<Tool, $this> */
    public function tools(): HasMany
    {
        return $this->hasMany(Tool::class);
    }

    /** @return Builder<Piece> what the maker has kept to start others from */
    public function patterns(): Builder
    {
        return Piece::query()->where('workshop_id', $this->id)->where('is_pattern', true);
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

    /** @return HasMany<Supply, $this> */
    public function supplies(): HasMany
    {
        return $this->hasMany(Supply::class);
    }

    /** @return HasMany<Making, $this> */
    public function makings(): HasMany
    {
        return $this->hasMany(Making::class);
    }

    /** @return HasMany<Occasion, $this> */
    public function occasions(): HasMany
    {
        return $this->hasMany(Occasion::class);
    }

    /** @return HasMany<Want, $this> */
    public function wants(): HasMany
    {
        return $this->hasMany(Want::class);
    }

    /** @return HasMany<Repair, $this> */
    public function repairs(): HasMany
    {
        return $this->hasMany(Repair::class);
    }

    /** @return HasMany<Finished, $this> the box of what is made */
    public function finished(): HasMany
    {
        return $this->hasMany(Finished::class);
    }

    /** @return HasMany<MovementSum, $this> */
    public function movementSums(): HasMany
    {
        return $this->hasMany(MovementSum::class);
    }

    /** @return HasMany<Movement, $this> */
    public function movements(): HasMany
    {
        return $this->hasMany(Movement::class);
    }
}
