<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Bead\HoleFit;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Working;

/** Wires in a hole. */
final readonly class HoleFitSum implements Sum
{
    public function name(): string
    {
        return 'hole-fit';
    }

    public function question(): string
    {
        return 'Do these wires pass this hole?';
    }

    public function inputs(): array
    {
        return [
            Input::size('hole', 'hole', '1 mm', null, 50),
            Input::wires(),
            Input::length('clearance', 'working clearance', '0.05 mm', '0', 10),
        ];
    }

    public function source(): string
    {
        return 'Graham, Lubachevsky, Nurmela, Östergård 1998, Dense packings of congruent circles in a circle; mixed sizes: smallest enclosing circle, solved';
    }

    public function work(Given $given): Answer
    {
        $fit = new HoleFit($given->mm('hole'), $given->wires(), $given->mm('clearance'));

        return new Answer(['needed_mm' => $fit->neededMm(), 'margin_mm' => $fit->marginMm(), 'fits' => $fit->fits()], [
            new Working('needed', 'smallest circle round '.Figures::counted(count($fit->wiresMm), 'wire'), $given->texts['wires'], $fit->neededMm(), 'mm', $this->source()),
            new Working('margin', 'hole − needed − clearance', Figures::trim($fit->holeMm, 3).' − '.Figures::trim($fit->neededMm(), 3).' − '.Figures::trim($fit->clearanceMm, 3), $fit->marginMm()),
        ]);
    }
}
