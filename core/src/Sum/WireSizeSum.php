<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Working;

/** A size in every system; nearest by diameter. */
final readonly class WireSizeSum implements Sum
{
    public function name(): string
    {
        return 'wire-size';
    }

    public function question(): string
    {
        return 'How thick is this wire, and what is it in the other systems?';
    }

    public function inputs(): array
    {
        return [
            Input::wire('size', 'wire size', '20 awg'),
        ];
    }

    public function source(): string
    {
        return 'ASTM B258 (AWG: 0.127 · 92^((36 − n)/39) mm); BS 3737 (SWG table)';
    }

    public function work(Given $given): Answer
    {
        $d = $given->mm('size');
        $awg = SizeSystem::nearestAwg($d);
        $swg = SizeSystem::nearestSwg($d);

        return new Answer(['diameter_mm' => $d, 'awg' => $awg, 'swg' => $swg], [
            new Working('diameter', 'size', $given->texts['size'], $d, 'mm', $this->source()),
            new Working('nearest AWG', '0.127 · 92^((36 − n)/39)', "n = {$awg}", SizeSystem::awgMm($awg), 'mm', 'ASTM B258'),
            new Working('nearest SWG', 'table', "n = {$swg}", SizeSystem::swgMm($swg), 'mm', 'BS 3737'),
        ]);
    }
}
