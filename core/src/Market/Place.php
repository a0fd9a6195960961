<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

/**
 * Where a finished piece is. Its metal stands in the account that goes with the place: with the maker, with whoever has
 * it, or, melted, in the scrap jar. What is melted is no piece any more; what is away is taken back before it is
 * anything else.
 */
enum Place: string
{
    case Box = 'box';
    case Stall = 'stall';
    case Lent = 'lent';
    case Repair = 'repair';
    case Sold = 'sold';
    case Given = 'given';
    case Melted = 'melted';

    public function words(): string
    {
        return match ($this) {
            self::Box => 'in the box',
            self::Stall => 'at the stall',
            self::Lent => 'lent',
            self::Repair => 'being repaired',
            self::Sold => 'sold',
            self::Given => 'given away',
            self::Melted => 'melted',
        };
    }

    /** Whether the maker could hand it over now. */
    public function isAtHand(): bool
    {
        return in_array($this, [self::Box, self::Stall], true);
    }

    /** Whether somebody else has it for good. */
    public function isAway(): bool
    {
        return $this === self::Sold || $this === self::Given;
    }

    /** @return list<string> by their names, the places from which it could be handed over now */
    public static function atHand(): array
    {
        return self::names(fn (self $place): bool => $place->isAtHand());
    }

    /** @return list<string> by their names, the places at which its metal is the maker's */
    public static function withMaker(): array
    {
        return self::names(fn (self $place): bool => $place->account() === self::Box->account());
    }

    /**
     * @param  callable(self): bool  $is
     * @return list<string>
     */
    private static function names(callable $is): array
    {
        return array_column(array_filter(self::cases(), $is), 'value');
    }

    /** @return 'scrap jar'|'customers'|'pieces' in the metal book */
    public function account(): string
    {
        return match (true) {
            $this === self::Melted => 'scrap jar',
            $this->isAway() => 'customers',
            default => 'pieces',
        };
    }

    /** @return list<self> where it can go from here */
    public function next(): array
    {
        return match (true) {
            $this === self::Melted => [],
            $this->isAway() => [self::Box, self::Repair],
            default => array_values(array_filter(self::cases(), fn (self $place): bool => $place !== $this)),
        };
    }
}
