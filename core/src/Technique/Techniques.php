<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Plan\Technique;

/** Every technique there is; a new one is a class and its place here. */
final class Techniques
{
    /** @return array<string, Technique> by name */
    public static function all(): array
    {
        $all = [
            new EarWire, WrappedLink::wrapped(), new HeadPin, WrappedLink::plain(), new Hoop, new WireFrame,
            new BrioletteWrap, new Surround, new FreeWire, CoilLink::bare(), CoilLink::beaded(),
            new WoundRing, new OpenRing, new TendrilRing, new SplitRing, new Bangle, new MemoryBracelet,
            new WovenBand, new Strand, new Cord,
            new LinkChain, new BallChain, new JumpRing, new HookClasp, new ToggleBar, new BoughtPart,
        ];

        return array_combine(array_map(fn (Technique $one): string => $one->name(), $all), $all);
    }
}
