<?php

declare(strict_types=1);

namespace Hebra\Core\Handwork;

/**
 * What the hands do at one step. A maker does all work of one kind together where the piece allows it [common
 * practice].
 */
enum Operation: string
{
    case Ready = 'ready';
    case Cut = 'cut';
    case Thread = 'thread';
    case Eye = 'eye';
    case Bend = 'bend';
    case Wrap = 'wrap';
    case Coil = 'coil';
    case Spiral = 'spiral';
    case Bind = 'bind';
    case Weave = 'weave';
    case Crimp = 'crimp';
    case Trim = 'trim';
    case File = 'file';
    case Hammer = 'hammer';
    case Flame = 'flame';
    case Hook = 'hook';
    case Open = 'open';
    case Wait = 'wait';
    case Count = 'count';
    case Try = 'try';
    case TurnOver = 'turn-over';
    case Inspect = 'inspect';
    case Mend = 'mend';

    /** What is done, to so many where that is said: `turn 12 eyes`. */
    public function doing(int $many = 0): string
    {
        $count = $many === 0 ? '' : " {$many}";

        return match ($this) {
            self::Ready => 'lay ready',
            self::Eye => $many === 1 ? 'turn an eye' : "turn{$count} eyes",
            self::Spiral => $many === 1 ? 'coil an end' : "coil{$count} ends",
            self::Hook => "hook on{$count}",
            self::Coil => "wind{$count}",
            self::Flame => "anneal{$count}",
            self::Wait => 'let dry',
            self::Inspect, self::Try, self::TurnOver => 'check',
            self::Weave, self::Mend => $this->value,
            default => $this->value.$count,
        };
    }

    /** Whether wire has another form after it. */
    public function forms(): bool
    {
        return match ($this) {
            self::Eye, self::Bend, self::Wrap, self::Coil, self::Spiral, self::Bind, self::Weave, self::Crimp,
            self::Hammer, self::Flame, self::Hook => true,
            default => false,
        };
    }

    /** Whether it is what gives a stretch its form: what is hammered or annealed keeps it. */
    public function makes(): bool
    {
        return $this->forms() && $this !== self::Hammer && $this !== self::Flame;
    }
}
