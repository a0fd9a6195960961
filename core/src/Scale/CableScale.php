<?php

declare(strict_types=1);

namespace Hebra\Core\Scale;

use Hebra\Core\Quantity\Mass;

/**
 * A bench scale on a cable, by the last line that it sent: a weight with its unit, beside words of its own. `US` or a
 * question mark says that it has not come to rest, as most scales send it [memory].
 */
final readonly class CableScale implements Scale
{
    private const WEIGHT = '/([+\-−]?)\s*(\d{1,6}(?:[.,]\d{1,4})?)\s*(mg|kg|g|ozt|oz|dwt)\b/i';

    private const MOVES = '/\bUS\b|[?~]/';

    public function __construct(private string $line)
    {
    }

    /** Nothing that can be read is a scale that does not answer. */
    public function reading(float $seconds = 0.0): Reading
    {
        if (preg_match(self::WEIGHT, $this->line, $match) !== 1) {
            return new Reading(0, false, false);
        }
        $milligrams = Mass::parse(str_replace(',', '.', $match[2]).' '.mb_strtolower($match[3]))->milligrams();

        return new Reading(
            $match[1] === '' || $match[1] === '+' ? $milligrams : -$milligrams,
            preg_match(self::MOVES, $this->line) !== 1, true,
        );
    }
}
