<?php

declare(strict_types=1);

namespace App\Pdf;

use App\Models\Lot;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Text;

/** A label for a coil or a bag, 62 × 29 mm. */
final class LotLabel
{
    public static function of(Lot $lot, Profile $profile): string
    {
        $label = new \TCPDF('L', 'mm', [62, 29], true, 'UTF-8');
        $label->setCreator('Hebra');
        $name = Text::seen($lot->name);
        $label->setTitle($name);
        $label->setPrintHeader(false);
        $label->setPrintFooter(false);
        $label->setMargins(3, 2.5, 3);
        $label->setAutoPageBreak(false);
        $label->setViewerPreferences(['PrintScaling' => 'None']);
        $label->AddPage();
        $label->setFont('dejavusans', 'B', 12);
        $label->Cell(56, 6, mb_strimwidth($name, 0, 26, '…'), 0, 1, 'L');
        $label->setFont('dejavusans', '', 8.5);
        $label->MultiCell(
            56,
            4,
            $lot->wireWords().($lot->isPins() ? ', pins '.$profile->length($lot->pinMm()) : ''),
            0,
            'L',
        );
        $label->setFont('dejavusans', 'B', 9.5);
        $label->SetXY(3, 20.5);
        $label->Cell(
            56,
            5,
            ($lot->isPins() ? $lot->heldPins().' pins' : $profile->length($lot->heldMm())).', '
                .number_format($lot->heldMg() / 1000, 2).' g',
            0,
            0,
            'L',
        );

        return (string) $label->Output('label.pdf', 'S');
    }
}
