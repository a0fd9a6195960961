<?php

declare(strict_types=1);

namespace App\Pdf;

use Hebra\Core\Quantity\Text;

/** A small label on a sheet of its own, printed as large as it is; millimetres. */
final class Label extends Lettering
{
    private const EDGE_MM = 2.5;

    public function __construct(float $wideMm, float $highMm, string $title)
    {
        parent::__construct('L', 'mm', [$wideMm, $highMm], true, 'UTF-8');
        $this->begin(Text::seen($title));
        $this->setPrintHeader(false);
        $this->setMargins(self::EDGE_MM, self::EDGE_MM, self::EDGE_MM);
        $this->AddPage();
    }

    /** Nothing is set farther to the right than so much of its width. */
    public function leaveRight(float $mm): void
    {
        $this->setRightMargin($mm);
    }

    /** A text from a height on. */
    public function say(float $yMm, string $text, Letters $letters): void
    {
        $this->letters($letters->points, $letters->isBold);
        $this->SetXY(self::EDGE_MM, $yMm);
        $this->MultiCell(0, 0, mb_strimwidth(Text::seen($text), 0, $letters->most, '…'), 0, 'L');
    }

    public function file(): string
    {
        return (string) $this->Output('label.pdf', 'S');
    }
}
