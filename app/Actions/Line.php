<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Lot;

/**
 * One line of an entry in the metal book, in milligrams: more than nothing where metal arrives, less where it leaves.
 */
final readonly class Line
{
    private function __construct(
        public string $account,
        public ?Lot $lot,
        public string $metal,
        public int $massMg,
        public string $words,
    ) {
    }

    public static function lot(Lot $lot, int $massMg, string $words): self
    {
        return new self('lot', $lot, $lot->metal, $massMg, $words);
    }

    /** @param  'supplier'|'pieces'|'scrap jar'|'not booked'|'found'|'customers'|'refiner'  $account */
    public static function of(string $account, string $metal, int $massMg, string $words): self
    {
        return new self($account, null, $metal, $massMg, $words);
    }
}
