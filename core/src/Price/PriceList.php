<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Quantity\OutOfRange;

/**
 * Prices for one kind of customer: the margin on what a piece costs, and the fee that the place takes of the price. In
 * whole percent. Invariants: 0 to 500 and 0 to 60 %.
 */
final readonly class PriceList
{
    /** Those there are; a shop adds its own margin [memory]. */
    public const NAMES = ['stall', 'shop', 'friends'];

    private const SHOP_MARGIN = 12;

    private function __construct(public string $name, public int $marginPercent, public int $feePercent)
    {
    }

    /** @throws OutOfRange outside their ranges */
    public static function of(string $name, int $marginPercent, int $feePercent): self
    {
        $marginPercent >= 0 && $marginPercent <= 500
            || throw OutOfRange::between('margin', "{$marginPercent} %", '0', '500 %');
        $feePercent >= 0 && $feePercent <= 60
            || throw OutOfRange::between('fee', "{$feePercent} %", '0', '60 %');

        return new self($name, $marginPercent, $feePercent);
    }

    /**
     * @param  array<string, array{margin: int, fee: int}>  $own  the maker's, by name
     * @param  int  $marginPercent  of the first list, where it has none of its own
     * @return non-empty-list<self>
     */
    public static function all(array $own, int $marginPercent): array
    {
        $of = fn (string $name, int $margin): self => self::of(
            $name, $own[$name]['margin'] ?? $margin, $own[$name]['fee'] ?? 0,
        );

        return [$of('stall', $marginPercent), $of('shop', self::SHOP_MARGIN), $of('friends', 0)];
    }
}
