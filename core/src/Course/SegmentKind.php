<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/** What a stretch of wire becomes. */
enum SegmentKind: string
{
    case Tail = 'tail';
    case Wraps = 'wraps';
    case Loop = 'loop';
    case Neck = 'neck';
    case Seat = 'seat';
    case Foot = 'foot';
    case Eye = 'eye';
    case Leg = 'leg';
    case Arch = 'arch';
    case Round = 'round';
    case Coil = 'coil';
    case Binding = 'binding';
    case Weave = 'weave';
    case Straight = 'straight';
    case Curl = 'curl';
    case Trim = 'trim';

    /** Whether it is still there when the piece is finished. */
    public function stays(): bool
    {
        return match ($this) {
            self::Tail, self::Trim => false,
            self::Wraps, self::Loop, self::Neck, self::Seat, self::Foot, self::Eye, self::Leg, self::Arch,
            self::Round, self::Coil, self::Binding, self::Weave, self::Straight, self::Curl => true,
        };
    }

    /** Whether it is wound close round something. */
    public function isWound(): bool
    {
        return match ($this) {
            self::Wraps, self::Coil, self::Binding, self::Weave => true,
            self::Tail, self::Loop, self::Neck, self::Seat, self::Foot, self::Eye, self::Leg, self::Arch, self::Round,
            self::Straight, self::Curl, self::Trim => false,
        };
    }
}
