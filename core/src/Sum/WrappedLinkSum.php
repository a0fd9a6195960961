<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Bend\WrappedLoop;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Working;

/** A wrapped link: its cut, its length, its bends. */
final readonly class WrappedLinkSum implements Sum
{
    public function name(): string
    {
        return 'wrapped-link';
    }

    public function question(): string
    {
        return 'How long do I cut a wrapped link, and where does it bend?';
    }

    public function inputs(): array
    {
        return [
            Input::wire('wire', 'wire size'),
            Input::size('inside', 'inside diameter of both loops', '2.5 mm'),
            Input::count('wraps', 'wraps, each end', '3', 0, 100),
            Input::length('body', 'beads', '8 mm', null, 1000),
            Input::length('tail', 'tail to hold, each end', '10 mm', '0', 1000),
        ];
    }

    public function source(): string
    {
        return WrappedLoop::SOURCE;
    }

    public function work(Given $given): Answer
    {
        $wire = $given->mm('wire');
        $end = new WrappedLoop($wire, $given->mm('inside'), $given->count('wraps'), $wire, $given->mm('tail'));
        $body = $given->mm('body');
        $cut = $body + 2 * $end->totalMm();
        $bend = $end->tailMm + $end->wrapsMm() + $end->loopMm();

        return new Answer([
            'cut_mm' => $cut, 'inside_length_mm' => $body + 2 * $end->reachMm(), 'bends_mm' => [$bend, $cut - $bend],
        ], [
            $end->neckWorking(), $end->loopWorking(), $end->wrapsWorking(),
            new Working('cut', 'body + 2(neck + loop + wraps + tail)', Figures::trim($body).' + 2 × '.Figures::trim($end->totalMm()), $cut),
            new Working('from loop to loop', 'body + 2(neck + d + D)', Figures::trim($body).' + 2 × '.Figures::trim($end->reachMm()), $body + 2 * $end->reachMm()),
            new Working('first bend', 'tail + wraps + loop', Figures::trim($end->tailMm).' + '.Figures::trim($end->wrapsMm()).' + '.Figures::trim($end->loopMm()), $bend),
        ]);
    }
}
