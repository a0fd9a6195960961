<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Wire\Wire;

/** What a gram of wire costs on a day, in ten-thousandths of a unit of currency; null where it is not known. */
interface MetalPrices
{
    /** @param  string  $day  `2026-11-25` */
    public function perGramE4(Wire $wire, string $day): ?int;

    /** Where the price comes from, in words. */
    public function source(Wire $wire, string $day): string;
}
