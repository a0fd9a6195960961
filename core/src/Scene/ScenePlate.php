<?php

declare(strict_types=1);

namespace Hebra\Core\Scene;

use Hebra\Core\Wire\Metal;

/** A flat part as a solid, of a metal, or of something in a colour of beads; the soldered rings of it as wires. */
final readonly class ScenePlate
{
    public function __construct(public Mesh $mesh, public ?Metal $metal, public string $colour)
    {
    }
}
