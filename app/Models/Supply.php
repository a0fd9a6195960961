<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\UnitPrice;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * What is bought ready to use: findings, rings, crimps, chain, beading wire, packing. Its amounts are pieces, or whole
 * micrometres where its kind is bought by length. What it holds follows its movements.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property string $kind
 * @property string $name
 * @property int|null $price_e4  what one costs, or a metre, in ten-thousandths of the currency
 * @property int|null $low_at
 * @property int $held
 */
final class Supply extends Model
{
    use KnownByUlid;
    use SoftDeletes;

    public const KINDS = [
        'finding' => 'finding',
        'rings' => 'jump rings',
        'crimps' => 'crimps and covers',
        'chain' => 'chain',
        'strung' => 'beading wire, thread',
        'packing' => 'packing',
    ];

    public const BY_LENGTH = ['chain', 'strung'];

    private const MOST = 1_000_000;

    private const MOST_MM = 1_000_000.0;

    protected $guarded = ['id', 'held'];

    protected $attributes = ['held' => 0, 'price_e4' => null, 'low_at' => null];

    public function isByLength(): bool
    {
        return in_array($this->kind, self::BY_LENGTH, true);
    }

    public function isLow(): bool
    {
        return $this->low_at !== null && $this->held < $this->low_at;
    }

    public function price(): ?UnitPrice
    {
        return $this->price_e4 === null ? null : UnitPrice::fromE4($this->price_e4);
    }

    /** An amount of it in words. */
    public function words(int $amount, Profile $profile): string
    {
        return $this->isByLength() ? $profile->length($amount / 1000) : (string) $amount;
    }

    /**
     * An amount as it is written: a count, or a length.
     *
     * @throws \Hebra\Core\Problem
     */
    public function read(string $text, string $field, Profile $profile): int
    {
        if (! $this->isByLength()) {
            return Count::parse($text, $field, 0, self::MOST);
        }

        return (int) round(
            1000 * Length::parse($text, $field, $profile->unit())->within($field, 0, self::MOST_MM)->millimetres(),
        );
    }

    /** Whether it is what a plan takes, and told in the same way: counted, or by length. */
    public function isOf(Finding $finding): bool
    {
        return mb_strtolower($this->name) === mb_strtolower($finding->stock)
            && $this->isByLength() === $finding->isByLength();
    }
}
