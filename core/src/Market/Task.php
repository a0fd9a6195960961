<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

use Hebra\Core\Handwork\Operation;

/**
 * Work of one kind on all that is wanted of a piece: so many times, so many minutes at the bench. What has the same
 * `together` is done in one go with others' without being laid ready anew; what waits goes on some days later.
 */
final readonly class Task
{
    public function __construct(
        public Operation $operation,
        public float $minutes,
        public int $count = 1,
        public string $together = '',
        /** nights before its piece goes on: glue, a bath */
        public int $waitDays = 0,
        /** of which metal its wire is, by its name in files */
        public string $metal = '',
    ) {
    }

    /** The same in wire of this metal. */
    public function in(string $metal): self
    {
        return new self($this->operation, $this->minutes, $this->count, $this->together, $this->waitDays, $metal);
    }

    /** Less of it, where some is done. */
    public function lasting(float $minutes, int $count): self
    {
        return new self($this->operation, $minutes, $count, $this->together, $this->waitDays, $this->metal);
    }
}
