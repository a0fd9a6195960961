<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Bend\WrappedLoop;
use Hebra\Core\Plan\PinFit;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Working;

/** A bought pin of fixed length. */
final readonly class PinFitSum implements Sum
{
    public function name(): string
    {
        return 'pin-fit';
    }

    public function question(): string
    {
        return 'Is this head pin long enough, and what is trimmed?';
    }

    public function inputs(): array
    {
        return [
            Input::size('pin', 'length of the pin', '50 mm'),
            Input::wire('wire', 'wire of the pin', '24 awg'),
            Input::length('stack', 'beads', '12 mm', null, 1000),
            Input::size('inside', 'inside diameter of the loop', '2 mm'),
            Input::count('wraps', 'wraps, 0 for a plain eye', '2', 0, 100, '0'),
            Input::length('grip', 'what the tool must grip', '8 mm', '8mm', 100),
        ];
    }

    public function source(): string
    {
        return 'common practice: stack + neck + loop + wraps + what the tool must grip';
    }

    public function work(Given $given): Answer
    {
        $wire = $given->mm('wire');
        $fit = new PinFit($given->mm('pin'), $given->mm('stack'), new WrappedLoop($wire, $given->mm('inside'), $given->count('wraps'), $wire), $given->mm('grip'));

        return new Answer(['needed_mm' => $fit->neededMm(), 'trimmed_mm' => $fit->trimmedMm(), 'fits' => $fit->fits()], [
            $fit->loop->neckWorking(), $fit->loop->loopWorking(), $fit->loop->wrapsWorking(),
            new Working('needed', 'stack + neck + loop + wraps + grip', Figures::trim($fit->usedMm()).' + '.Figures::trim($fit->gripMm), $fit->neededMm()),
            new Working('trimmed', 'pin − stack − neck − loop − wraps', Figures::trim($fit->pinMm).' − '.Figures::trim($fit->usedMm()), $fit->trimmedMm()),
        ]);
    }
}
