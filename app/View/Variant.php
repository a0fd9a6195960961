<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Piece;
use Hebra\Core\Plan\Plan;

/** A piece among its variants: as it is drawn at their common scale, its figures, and in what it is another. */
final readonly class Variant
{
    /**
     * @param  array<string, array{words: string, isLeast: bool}>  $figures  by what they tell
     * @param  list<string>  $differences
     */
    public function __construct(
        public Piece $piece,
        public Plan $plan,
        public Drawing $drawing,
        public array $figures,
        public array $differences,
    ) {
    }
}
