<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

/** How the text of an input is read. */
enum InputKind
{
    case Length;
    case Size;
    case Across;
    case Wire;
    case Count;
    case Number;
    case Mass;
    case Metal;
    case Temper;
    case Section;
    case Wires;
    case Ring;
    case Choice;
    case Pattern;
    case EndCoil;

    /** Whether a bare number takes the unit that the page shows. */
    public function isLength(): bool
    {
        return $this === self::Length || $this === self::Size || $this === self::Across;
    }
}
