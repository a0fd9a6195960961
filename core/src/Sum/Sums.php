<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

/** The registry of sums: page, command and documentation read it. A new sum is a class and a line here. */
final class Sums
{
    /** @return array<string, Sum> */
    public static function all(): array
    {
        $sums = [];
        foreach ([new WireSizeSum, new WireMassSum, new WireLengthSum, new SimpleLoopSum, new WrappedLoopSum, new WrappedLinkSum, new PinFitSum, new HoleFitSum] as $sum) {
            $sums[$sum->name()] = $sum;
        }

        return $sums;
    }

    /** @throws UnknownSum if there is none of that name */
    public static function named(string $name): Sum
    {
        return self::all()[$name] ?? throw UnknownSum::named($name, array_keys(self::all()));
    }
}
