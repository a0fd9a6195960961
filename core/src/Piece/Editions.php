<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Closure;

/**
 * The editions of a piece: makings of the same design are one, whatever it was called then, and a design that comes
 * back is the edition that it was. Numbered from 1 in the order in which they were first made.
 */
final readonly class Editions
{
    /**
     * @param  list<int>  $numbers  of each making, as they were given
     * @param  array<int, Piece>  $designs  the first of each edition
     */
    private function __construct(private array $numbers, private array $designs)
    {
    }

    /** @param  list<Piece>  $makings  designs as they were made, the oldest first */
    public static function of(array $makings): self
    {
        $known = $numbers = $designs = [];
        foreach ($makings as $design) {
            $key = PieceJson::write($design->withName('-')->withNote(''));
            $number = $known[$key] ??= count($known) + 1;
            $numbers[] = $number;
            $designs[$number] ??= $design;
        }

        return new self($numbers, $designs);
    }

    /** Of the making that was given at this place. */
    public function number(int $at): int
    {
        return $this->numbers[$at];
    }

    public function count(): int
    {
        return count($this->designs);
    }

    /**
     * In what an edition is another than the one before it.
     *
     * @param  Closure(float): string  $length  a length in the maker's units
     * @return list<string> nothing of the first
     */
    public function changes(int $number, Closure $length): array
    {
        return $number === 1
            ? []
            : Differences::between($this->designs[$number - 1], $this->designs[$number], $length);
    }
}
