<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Piece\Technique\EarWire;
use Hebra\Core\Piece\Technique\HeadPin;
use Hebra\Core\Piece\Technique\WrappedLink;

/** The techniques known here, by name. A new one is a class in Technique/ and a line below. */
final class Techniques
{
    /** @var array<string, Technique>|null */
    private static ?array $known = null;

    /** @return array<string, Technique> */
    public static function all(): array
    {
        if (self::$known === null) {
            foreach ([new EarWire, new WrappedLink, new HeadPin] as $technique) {
                self::$known[$technique->name()] = $technique;
            }
        }

        return self::$known ?? [];
    }

    /** @throws InvalidPiece if it is unknown */
    public static function named(string $name, string $field = 'technique'): Technique
    {
        return self::all()[$name] ?? throw InvalidPiece::unknownTechnique($field, $name, implode(', ', array_keys(self::all())));
    }

    public static function newPart(string $technique, string $id): Part
    {
        $kind = self::named($technique);
        $settings = [];
        foreach ($kind->parameters() as $parameter) {
            $settings[$parameter->key] = $parameter->default;
        }

        return new Part($id, $technique, $kind->role(), 1, $settings, []);
    }
}
