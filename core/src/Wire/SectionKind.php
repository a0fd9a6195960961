<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

/** The shapes in which wire is drawn. */
enum SectionKind: string
{
    case Round = 'round';
    case HalfRound = 'half-round';
    case Square = 'square';
    case Flat = 'flat';
    case TwistedPair = 'twisted-pair';

    public function words(): string
    {
        return match ($this) {
            self::Round => 'round',
            self::HalfRound => 'half-round',
            self::Square => 'square',
            self::Flat => 'flat',
            self::TwistedPair => 'twisted pair',
        };
    }
}
