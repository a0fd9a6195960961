<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Wire\Metal;

/** What a gram of wire costs on a day, in ten-thousandths of a unit of currency; null where it is not known. */
interface MetalPrices
{
    /** @param  string  $day  `2026-11-25` */
    public function perGramE4(Metal $metal, string $day): ?int;

    /** Where the price comes from, in words. */
    public function source(Metal $metal, string $day): string;
}
