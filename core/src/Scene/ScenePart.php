<?php

declare(strict_types=1);

namespace Hebra\Core\Scene;

use Hebra\Core\Figure\Pose;

/**
 * A part in space as it hangs at the origin, and everywhere it hangs in the piece: x right, y down, z to the front, mm.
 */
final readonly class ScenePart
{
    /**
     * @param  list<SceneWire>  $wires
     * @param  list<SceneBead>  $beads
     * @param  non-empty-list<Pose>  $poses
     */
    public function __construct(
        public string $name, public array $wires, public array $beads, public array $poses,
        public ?ScenePlate $plate = null,
    ) {
    }
}
