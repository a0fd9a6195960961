<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;

/** Slack that is taken up among the beads: it is cut, and lies nowhere by itself. */
final readonly class Taken implements Shape
{
    public function lengthMm(): float
    {
        return 0.0;
    }

    public function laid(Frame $from): array
    {
        return [[], $from];
    }
}
