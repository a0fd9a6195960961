<?php

declare(strict_types=1);

namespace App\View\Market;

use Hebra\Core\Market\Sitting;
use Hebra\Core\Plan\Operation;

/** What a sitting is called, and which of the small drawings shows it. */
final class SittingWords
{
    public static function of(Sitting $sitting): string
    {
        $many = $sitting->count;

        return match ($sitting->operation) {
            Operation::Cut => "Cut {$many}",
            Operation::Thread => "Thread {$many}",
            Operation::Eye => $many === 1 ? 'Turn an eye' : "Turn {$many} eyes",
            Operation::Wrap => "Wrap {$many}",
            Operation::Coil => "Wind {$many}",
            Operation::Spiral => "Coil {$many} ends",
            Operation::Bind => "Bind {$many}",
            Operation::Weave => 'Weave',
            Operation::Crimp => "Crimp {$many}",
            Operation::Hammer => "Hammer {$many}",
            Operation::Flame => "Anneal {$many}",
            Operation::Hook => "Hook on {$many}",
            Operation::Wait => 'Let it dry',
            Operation::Inspect => 'Check, weigh',
            default => "Form {$many}",
        };
    }

    /** The drawing that a sitting is filled with. */
    public static function motif(Operation $operation): string
    {
        return match ($operation) {
            Operation::Cut => 'cut',
            Operation::Thread, Operation::Crimp => 'beads',
            Operation::Eye, Operation::Spiral => 'eyes',
            Operation::Wrap, Operation::Coil, Operation::Bind => 'wraps',
            Operation::Weave => 'weave',
            Operation::Hook => 'links',
            Operation::Wait => 'drops',
            Operation::Inspect => 'checks',
            default => 'bends',
        };
    }
}
