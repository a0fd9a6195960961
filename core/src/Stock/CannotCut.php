<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Refusal;

/** The stock does not give what is to be cut. */
final class CannotCut extends Refusal
{
    public static function tooLong(CutKind $cut, float $longestMm): self
    {
        return new self(
            $cut->label,
            "{$cut->label} is ".Figures::mm($cut->lengthMm).' long, and the longest piece in stock '
                .Figures::mm($longestMm).': '.Figures::mm($cut->lengthMm - $longestMm).' are missing.',
        );
    }

    public static function tooLittle(CutKind $cut, int $missing, float $missingMm): self
    {
        return new self(
            $cut->label,
            "The stock does not reach: {$missing} × {$cut->label} of ".Figures::mm($cut->lengthMm).' find no place, '
                .Figures::mm($missingMm).' are missing in all.',
        );
    }
}
