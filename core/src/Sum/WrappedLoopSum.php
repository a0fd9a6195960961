<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Bend\WrappedLoop;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Working;

/** A wrapped loop, by its stretches. */
final readonly class WrappedLoopSum implements Sum
{
    public function name(): string
    {
        return 'wrapped-loop';
    }

    public function question(): string
    {
        return 'How much wire does a wrapped loop take?';
    }

    public function inputs(): array
    {
        return [
            Input::wire('wire', 'wire size'),
            Input::size('inside', 'inside diameter', '2.5 mm'),
            Input::count('wraps', 'wraps', '3', 0, 100),
            Input::wire('stem', 'what it wraps round', '22 awg', '=wire'),
            Input::length('tail', 'tail to hold', '10 mm', '0', 1000),
        ];
    }

    public function source(): string
    {
        return WrappedLoop::SOURCE;
    }

    public function work(Given $given): Answer
    {
        $loop = new WrappedLoop($given->mm('wire'), $given->mm('inside'), $given->count('wraps'), $given->mm('stem'), $given->mm('tail'));

        return new Answer([
            'neck_mm' => $loop->neckMm(), 'loop_mm' => $loop->loopMm(), 'wraps_mm' => $loop->wrapsMm(), 'tail_mm' => $loop->tailMm, 'total_mm' => $loop->totalMm(),
        ], [
            $loop->neckWorking(), $loop->loopWorking(), $loop->wrapsWorking(),
            new Working('all', 'neck + loop + wraps + tail', implode(' + ', array_map(fn (float $mm): string => Figures::trim($mm), [$loop->neckMm(), $loop->loopMm(), $loop->wrapsMm(), $loop->tailMm])), $loop->totalMm()),
        ]);
    }
}
