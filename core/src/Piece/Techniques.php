<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Piece\Technique\Bangle;
use Hebra\Core\Piece\Technique\CoilLink;
use Hebra\Core\Piece\Technique\EarWire;
use Hebra\Core\Piece\Technique\FreeWire;
use Hebra\Core\Piece\Technique\HeadPin;
use Hebra\Core\Piece\Technique\HookClasp;
use Hebra\Core\Piece\Technique\Hoop;
use Hebra\Core\Piece\Technique\JumpRing;
use Hebra\Core\Piece\Technique\LinkChain;
use Hebra\Core\Piece\Technique\MemoryBracelet;
use Hebra\Core\Piece\Technique\OpenRing;
use Hebra\Core\Piece\Technique\SplitRing;
use Hebra\Core\Piece\Technique\Strand;
use Hebra\Core\Piece\Technique\Surround;
use Hebra\Core\Piece\Technique\ToggleBar;
use Hebra\Core\Piece\Technique\WireFrame;
use Hebra\Core\Piece\Technique\WoundRing;
use Hebra\Core\Piece\Technique\WovenBand;
use Hebra\Core\Piece\Technique\WrappedLink;
use Hebra\Core\School\Schools;

/** The techniques known here, by name. A new one is a class in Technique/ and a line below. */
final class Techniques
{
    /** @var array<string, Technique>|null */
    private static ?array $known = null;

    /** @return array<string, Technique> */
    public static function all(): array
    {
        if (self::$known === null) {
            foreach ([
                new EarWire, WrappedLink::wrapped(), new HeadPin, WrappedLink::plain(), new Hoop, new WireFrame,
                new Surround, new FreeWire, CoilLink::bare(), CoilLink::beaded(),
                new WoundRing, new OpenRing, new SplitRing, new Bangle, new MemoryBracelet, new WovenBand, new Strand,
                new LinkChain, new JumpRing, new HookClasp, new ToggleBar,
            ] as $technique) {
                self::$known[$technique->name()] = $technique;
            }
        }

        return self::$known ?? [];
    }

    /** @throws InvalidPiece if it is unknown */
    public static function named(string $name, string $field = 'technique'): Technique
    {
        return self::all()[$name] ?? throw InvalidPiece::unknownTechnique(
            $field,
            $name,
            implode(', ', array_keys(self::all())),
        );
    }

    /** A part as it begins: the technique's own defaults, and the wraps of the maker's school. */
    public static function newPart(string $technique, string $id, Schools $schools = new Schools): Part
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
