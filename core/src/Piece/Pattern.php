<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Wire\Metal;

/** A starting pattern as it is written down: parts in order, each with its beads (a name, or a name and how many) and what is set differently. */
final readonly class Pattern
{
    /**
     * @param  non-empty-list<array{0: string, 1?: list<string|array{string, int}>, 2?: array<string, float|int|string|bool>, repeat?: int, on?: string, group?: string}>  $line
     * @param  array<string, int>  $groups  how often each repeats; less than nothing: mirrored
     */
    public function __construct(
        public string $words,
        public Family $family,
        public array $line,
        public FitKind $fit = FitKind::Ear,
        public Metal $metal = Metal::Sterling,
        public array $groups = [],
    ) {
    }

    /** What a piece is called that was given no name. */
    public function newName(): string
    {
        return $this->fit === FitKind::Ear ? 'New drops' : 'New '.$this->fit->noun();
    }
}
