<?php

declare(strict_types=1);

namespace App\Pdf;

use App\Models\Lot;
use Hebra\Core\Plan\Profile;

/** A label for a coil or a bag, 62 × 29 mm. */
final class LotLabel
{
    public static function of(Lot $lot, Profile $profile): string
    {
        $label = new Label(62.0, 29.0, $lot->name);
        $label->say(2.5, $lot->name, new Letters(12, true, 26));
        $wire = $lot->wireWords().($lot->isPins() ? ', pins '.$profile->length($lot->pinMm()) : '');
        $label->say(8.5, $wire, new Letters(8.5, false, 120));
        $held = $lot->isPins() ? $lot->heldPins().' pins' : $profile->length($lot->heldMm());
        $label->say(20.5, $held.', '.number_format($lot->heldMg() / 1000, 2).' g', new Letters(9.5, true, 60));

        return $label->file();
    }
}
