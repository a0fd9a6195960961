<?php

declare(strict_types=1);

namespace Hebra\Core\Scene;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Vector;

/** A bead where it stands: its middle, which way its lower end, as beads are drawn, lies, and where its face looks. */
final readonly class SceneBead
{
    public function __construct(public Bead $bead, public Vector $at, public Vector $along, public Vector $face)
    {
    }
}
