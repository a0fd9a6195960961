<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;

/** The page of docs/ on metals, written from their table: `php artisan hebra:docs`. */
final class MetalsDocument
{
    public static function text(): string
    {
        return "# Metals\n\nWritten from `core/src/Wire/MetalTable.php` by `php artisan hebra:docs`; "
            .'a test keeps it fresh. Sources stand there. '
            .'A metal is one line of that table, a case of `Metal` and a colour in'
            ." `resources/css/wire.css`, which a test holds to the table.\n\nDensity in g/cm³; fineness in parts of a "
            .'thousand; yields in MPa dead soft, half hard and hard; modulus in GPa; numbers are B&S numbers it takes '
            .'before it must be annealed. A maker’s own strengths and prices'
            ." go before these.\n\n| Metal | `name` | Density | Fineness | Modulus | Yields | Strength from | Numbers "
            ."| Near piercings | Sold |\n| --- | --- | --- | --- | --- | --- | --- | --- | --- | --- |\n"
            .implode('', array_map(self::line(...), Metal::cases()));
    }

    private static function line(Metal $metal): string
    {
        $strength = $metal->strength();
        $yields = implode(
            ' / ',
            array_map(Figures::trim(...), [$strength->softMpa, $strength->halfHardMpa, $strength->hardMpa]),
        );
        $fine = $metal->fineness() > 0 ? Figures::trim(1000 * $metal->fineness(), 2) : '–';
        $tempers = implode(', ', array_map(fn (Temper $temper): string => $temper->words(), $metal->tempers()));

        return "| {$metal->words()} | `{$metal->value}` | ".Figures::trim($metal->gramsPerCubicCentimetre())
            ." | {$fine} | ".Figures::trim($strength->modulusGpa)." | {$yields} | {$strength->source} | "
            .Figures::trim($metal->numbersBeforeAnnealing())
            .' | '.($metal->mayIrritatePiercings() ? 'may irritate' : 'usual')." | {$tempers} |\n";
    }
}
