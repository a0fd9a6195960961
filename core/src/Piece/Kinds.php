<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Closure;
use Hebra\Core\School\Schools;

/** Every way of making a part, by name: told once from outside, since a document knows none of them. */
final class Kinds
{
    /** @var (Closure(): array<string, Kind>)|null */
    private static ?Closure $tells = null;

    /** @var array<string, Kind>|null */
    private static ?array $known = null;

    /** @param  Closure(): array<string, Kind>  $tells  asked when the first is asked for */
    public static function are(Closure $tells): void
    {
        [self::$tells, self::$known] = [$tells, null];
    }

    /** @return array<string, Kind> */
    public static function all(): array
    {
        return self::$known ??= self::$tells === null ? [] : (self::$tells)();
    }

    /** @throws InvalidPiece if it is unknown */
    public static function named(string $name, string $field = 'technique'): Kind
    {
        return self::all()[$name] ?? throw InvalidPiece::unknownTechnique(
            $field, $name, implode(', ', array_keys(self::all())),
        );
    }

    /** A part as it begins: the technique's own defaults, and the wraps of the maker's school. */
    public static function newPart(string $technique, PartId $id, Schools $schools = new Schools): Part
    {
        $kind = self::named($technique);
        $settings = [];
        foreach ($kind->parameters() as $parameter) {
            $default = $parameter->default;
            $settings[$parameter->key] = str_ends_with($parameter->key, 'wraps') && is_int($default)
                ? $schools->wraps($default, $kind->usualWire()->diameterMm())
                : $default;
        }

        return new Part($id, $technique, $kind->role(), 1, $settings, []);
    }
}
