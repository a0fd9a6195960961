<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Section;
use Hebra\Core\Working;

/** Mass to length. */
final readonly class WireLengthSum implements Sum
{
    public function name(): string
    {
        return 'wire-length';
    }

    public function question(): string
    {
        return 'How long is this much wire?';
    }

    public function inputs(): array
    {
        return [
            Input::metal(),
            Input::wire('wire', 'wire size'),
            Input::mass('mass', 'weight', '10 g'),
            Input::section(),
        ];
    }

    public function source(): string
    {
        return 'length = mass / (area · density); densities: CRC Handbook, ASM Handbook vol. 2, else from memory';
    }

    public function work(Given $given): Answer
    {
        $area = Section::parse($given->text('section'), $given->mm('wire'))->areaMm2();
        $density = $given->metal()->gramsPerCubicCentimetre();
        $length = $given->mm('mass') * 1000 / ($area * $density);

        return new Answer(['length_mm' => $length], [
            new Working('area', 'section of the wire', $given->text('section'), $area, 'mm²', 'geometry'),
            new Working('length', 'm / (A · ρ)', Figures::trim($given->mm('mass'), 3).' × 1000 / ('.Figures::trim($area, 4)." × {$density})", $length, 'mm', $this->source()),
        ]);
    }
}
