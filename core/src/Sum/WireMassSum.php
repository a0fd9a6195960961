<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Section;
use Hebra\Core\Working;

/** Length to mass. */
final readonly class WireMassSum implements Sum
{
    public function name(): string
    {
        return 'wire-mass';
    }

    public function question(): string
    {
        return 'What does this length of wire weigh?';
    }

    public function inputs(): array
    {
        return [
            Input::metal(),
            Input::wire('wire', 'wire size'),
            Input::length('length', 'length', '1 m'),
            Input::section(),
        ];
    }

    public function source(): string
    {
        return 'mass = area · length · density; densities: CRC Handbook, ASM Handbook vol. 2, else from memory';
    }

    public function work(Given $given): Answer
    {
        $area = Section::parse($given->text('section'), $given->mm('wire'))->areaMm2();
        $density = $given->metal()->gramsPerCubicCentimetre();
        $grams = $area * $given->mm('length') * $density / 1000;

        return new Answer(['mass_g' => $grams], [
            new Working('area', 'section of the wire', $given->text('section'), $area, 'mm²', 'geometry'),
            new Working('mass', 'A · L · ρ', Figures::trim($area, 4).' × '.Figures::trim($given->mm('length'))." × {$density} / 1000", $grams, 'g', $this->source()),
        ]);
    }
}
