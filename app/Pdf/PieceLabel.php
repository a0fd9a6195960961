<?php

declare(strict_types=1);

namespace App\Pdf;

use App\Models\Finished;
use App\Models\Workshop;
use App\View\Coins;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Wire\Metal;

/** A label for a finished piece, 50 × 25 mm: its number, price and metal, and a code that opens its own page. */
final class PieceLabel
{
    public static function of(Finished $finished, Workshop $workshop, string $host): string
    {
        $label = new \TCPDF('L', 'mm', [50, 25], true, 'UTF-8');
        $label->setCreator('Hebra');
        $label->setTitle(Text::seen($finished->name));
        $label->setPrintHeader(false);
        $label->setPrintFooter(false);
        $label->setMargins(2.5, 2, 2.5);
        $label->setAutoPageBreak(false);
        $label->setViewerPreferences(['PrintScaling' => 'None']);
        $label->AddPage();
        $label->write2DBarcode("{$host}/box/{$finished->ulid}", 'QRCODE,M', 30.5, 3, 17, 17);
        $label->setFont('dejavusans', 'B', 9);
        $label->MultiCell(28, 8, mb_strimwidth(Text::seen($finished->name), 0, 28, '…'), 0, 'L');
        $label->setFont('dejavusans', '', 6.5);
        $label->SetXY(2.5, 11);
        $metals = array_map(
            fn (string $name): string => Metal::tryFrom($name)?->words() ?? $name, array_keys($finished->metals),
        );
        $label->MultiCell(28, 3, "no. {$finished->number}\n".implode(', ', $metals), 0, 'L');
        $label->setFont('dejavusans', 'B', 10);
        $label->SetXY(2.5, 19);
        $price = $finished->price_cents === null ? '' : Coins::amount($finished->price_cents);
        $label->Cell(28, 4, $price, 0, 0, 'L');

        return (string) $label->Output('label.pdf', 'S');
    }
}
