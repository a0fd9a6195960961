<?php

declare(strict_types=1);

namespace Hebra\Core\Scene;

use Hebra\Core\Course\Curve;
use Hebra\Core\Wire\Wire;

/** A wire of a part as it lies: what is trimmed off is not there. Cord has a colour of beads instead of its metal. */
final readonly class SceneWire
{
    public function __construct(
        public string $label, public Wire $wire, public Curve $curve, public string $colour = '',
    ) {
    }
}
