<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

/**
 * The registry of sums: page, command and documentation read it. A new sum is a `Sum` in one of the lists of Rules/.
 */
final class Sums
{
    /** @var array<string, Sum>|null */
    private static ?array $all = null;

    /** @return array<string, Sum> */
    public static function all(): array
    {
        if (self::$all === null) {
            self::$all = [];
            foreach ([
                Rules\WireRules::all(), Rules\BendRules::all(), Rules\CoilRules::all(), Rules\BindingRules::all(),
                Rules\BeadRules::all(), Rules\FitRules::all(), Rules\ChainRules::all(),
            ] as $sums) {
                foreach ($sums as $sum) {
                    self::$all[$sum->name] = $sum;
                }
            }
        }

        return self::$all;
    }

    /** @return array<string, non-empty-list<Sum>> by what they are about, in the order of the registry */
    public static function groups(): array
    {
        $groups = [];
        foreach (self::all() as $sum) {
            $groups[$sum->group][] = $sum;
        }

        return $groups;
    }

    /** @throws UnknownSum if there is none of that name */
    public static function named(string $name): Sum
    {
        return self::all()[$name] ?? throw UnknownSum::named($name, array_keys(self::all()));
    }
}
