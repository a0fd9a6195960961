<?php

declare(strict_types=1);

namespace App\View\Market;

use Hebra\Core\Handwork\Operation;

/** The small drawing that a sitting is filled with: what the hands do in it. */
final class Motif
{
    public static function of(Operation $operation): string
    {
        return match ($operation) {
            Operation::Cut => 'cut',
            Operation::Thread, Operation::Crimp => 'beads',
            Operation::Eye, Operation::Spiral => 'eyes',
            Operation::Wrap, Operation::Coil, Operation::Bind => 'wraps',
            Operation::Weave => 'weave',
            Operation::Hook, Operation::Mend => 'links',
            Operation::Wait => 'drops',
            Operation::Inspect => 'checks',
            default => 'bends',
        };
    }

    /** Of a kind of step, as its time is noted. */
    public static function ofKind(string $kind): string
    {
        return match ($kind) {
            'cut' => 'cut',
            'ready', 'thread' => 'beads',
            'hook' => 'links',
            'close' => 'wraps',
            'inspect' => 'checks',
            default => 'bends',
        };
    }
}
