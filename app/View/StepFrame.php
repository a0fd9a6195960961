<?php

declare(strict_types=1);

namespace App\View;

/** How the picture of a step is framed: in the hand, on a bench with room, or through the loupe. */
enum StepFrame: string
{
    case Hand = 'hand';
    case Large = 'large';
    case Loupe = 'loupe';

    /** @return array{float, float} how wide and high a frame is, in pixels */
    public function px(): array
    {
        return match ($this) {
            self::Hand => [250.0, 220.0],
            self::Large => [300.0, 440.0],
            self::Loupe => [270.0, 270.0],
        };
    }
}
