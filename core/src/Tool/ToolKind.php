<?php

declare(strict_types=1);

namespace Hebra\Core\Tool;

/** What wire is bent round. */
enum ToolKind: string
{
    case RoundNose = 'round-nose';
    case Stepped = 'stepped';
    case Mandrel = 'mandrel';
    case RingMandrel = 'ring-mandrel';
    case BangleMandrel = 'bangle-mandrel';
    case Winder = 'winder';
    case Looping = 'looping';

    /** What loops and eyes are turned on, and what wide bends, rings of wire, ring bands and bangles. */
    public const LOOPS = [self::RoundNose, self::Stepped];

    public const ARCHES = [self::Mandrel, self::Stepped];

    public const COILS = [self::Winder, self::Mandrel, self::Stepped];

    public const BANDS = [self::RingMandrel];

    public const BANGLES = [self::BangleMandrel];

    public function words(): string
    {
        return match ($this) {
            self::RoundNose => 'round-nose pliers',
            self::Stepped => 'stepped pliers',
            self::Mandrel => 'mandrels',
            self::RingMandrel => 'ring mandrel',
            self::BangleMandrel => 'bangle mandrel',
            self::Winder => 'coil winder',
            self::Looping => 'looping pliers',
        };
    }

    /** What its marks are, as a hint under the field. */
    public function hint(): string
    {
        return match ($this) {
            self::RoundNose => 'the marks you drew on the jaw, from the tip: 1.5, 2, 2.5, 3 mm',
            self::Stepped => 'the steps: 5, 7, 10 mm',
            self::Mandrel => 'the rods you have: 3, 4, 6, 8 mm, or 3 to 12 by 1',
            self::RingMandrel => 'ring sizes: us 3 to us 13 by 1/2',
            self::BangleMandrel => 'inside diameters: 55 to 70 by 2.5 mm',
            self::Winder => 'its mandrels: 1.5, 2, 3 mm',
            self::Looping => 'the eyes it turns: 1.5, 3 mm',
        };
    }
}
