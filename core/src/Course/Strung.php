<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Hebra\Core\Bead\Bead;

/** A bead as it stands on a wire: which, and how many in a row. */
final readonly class Strung
{
    public function __construct(public string $key, public Bead $bead, public int $count)
    {
    }

    public function lengthMm(): float
    {
        return $this->bead->lengthMm * $this->count;
    }

    public function times(int $count): self
    {
        return new self($this->key, $this->bead, $count);
    }

    /** `3 × moss 8 mm round` */
    public function words(): string
    {
        return $this->count.' × '.$this->bead->words();
    }
}
