<?php

declare(strict_types=1);

namespace Hebra\Core\Handwork;

/** Where the work can hurt, in plain words [common practice]. Local rules and trained practice decide. */
enum Caution: string
{
    case CutEnds = 'cut-ends';
    case Filing = 'filing';
    case Hammering = 'hammering';
    case Flame = 'flame';
    case Crush = 'crush';
    case Piercing = 'piercing';
    case HardWire = 'hard-wire';
    case Glue = 'glue';
    case SmallParts = 'small-parts';

    public function words(): string
    {
        return match ($this) {
            self::CutEnds => 'Cut ends fly: hold both ends, cut downwards, wear glasses.',
            self::Filing => 'Do not breathe metal dust: file damp or with a mask, and wipe up.',
            self::Hammering => 'Hammering: glasses, ears covered, a firm block, fingers clear.',
            self::Flame => 'Open flame: a clear fireproof bench, hair and sleeves tied back, air moving, water at '
                .'hand; learn it from someone trained.',
            self::Crush => 'Stone and glass crack when wraps are forced or pliers touch them: stop short of the bead.',
            self::Piercing => 'What goes through an ear must be smooth at its end and of a metal the wearer bears. '
                .'Local limits on nickel apply.',
            self::HardWire => 'Hardened wire ruins plain cutters and whips when it is cut: use shears made for it, cut '
                .'downwards, hold both ends, wear glasses.',
            self::Glue => 'Glue: air moving, gloves, nothing near the eyes; what its own sheet says goes before what '
                .'is said here.',
            self::SmallParts => 'Small parts are not for small children.',
        };
    }
}
