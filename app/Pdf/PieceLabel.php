<?php

declare(strict_types=1);

namespace App\Pdf;

use App\Models\Finished;
use App\View\Coins;
use Hebra\Core\Wire\Metal;

/** A label for a finished piece, 50 × 25 mm: its number, price and metal, and a code that opens its own page. */
final class PieceLabel
{
    private const CODE_MM = 17.0;

    public static function of(Finished $finished, string $host): string
    {
        $label = new Label(50.0, 25.0, $finished->name);
        $label->write2DBarcode("{$host}/box/{$finished->ulid}", 'QRCODE,M', 30.5, 3, self::CODE_MM, self::CODE_MM);
        $label->leaveRight(self::CODE_MM + 3.0);
        $label->say(2.0, $finished->name, new Letters(9, true, 28));
        $metals = array_map(
            fn (string $name): string => Metal::tryFrom($name)?->words() ?? $name, array_keys($finished->metals),
        );
        $label->say(11.0, "no. {$finished->number}", new Letters(6.5, false, 20));
        $label->say(14.0, implode(', ', $metals), new Letters(6.5, false, 60));
        $price = $finished->price_cents === null ? '' : Coins::amount($finished->price_cents);
        $label->say(19.0, $price, new Letters(10, true, 20));

        return $label->file();
    }
}
