<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

/** What kind of piece a technique or a pattern belongs to. */
enum Family: string
{
    case Earring = 'earring';
    case Pendant = 'pendant';
    case Ring = 'ring';
    case Bangle = 'bangle';
    case Chain = 'chain';
    case Woven = 'woven';
    case Finding = 'finding';

    public function words(): string
    {
        return match ($this) {
            self::Earring => 'Earrings',
            self::Pendant => 'Pendants',
            self::Ring => 'Rings',
            self::Bangle => 'Bangles and bracelets',
            self::Chain => 'Chains and strands',
            self::Woven => 'Coils and weaves',
            self::Finding => 'Clasps, rings and ear wires',
        };
    }
}
