<?php

declare(strict_types=1);

namespace App\Pdf;

/** A document drawn in true millimetres, vector throughout: a heading and a check ruler on every page. */
final class Sheet extends Lettering
{
    public const MARGIN_MM = 12.0;

    /** Where the work begins, below heading and ruler. */
    public const TOP_MM = 34.0;

    public const RULER_MM = 100.0;

    public const RULER_Y_MM = 24.0;

    private const INK = [38, 34, 28];

    public function __construct(
        private readonly Paper $paper,
        private readonly string $heading,
        private readonly bool $hasRuler = true,
    ) {
        parent::__construct('P', 'mm', [$paper->widthMm(), $paper->heightMm()], true, 'UTF-8');
        $this->begin($heading);
        $this->setMargins(self::MARGIN_MM, self::TOP_MM, self::MARGIN_MM);
        $this->AddPage();
    }

    public function Header(): void
    {
        $this->ink();
        $this->letters(13, true, SheetFonts::HEADING);
        $this->Text(self::MARGIN_MM, 7.2, mb_strimwidth($this->heading, 0, 70, '…'));
        $this->letters(7.5);
        $this->SetXY($this->paper->widthMm() - self::MARGIN_MM - 60, 9);
        $this->Cell(60, 4, 'page '.$this->getPage(), 0, 0, 'R');
        if ($this->hasRuler) {
            $this->ruler();
        }
    }

    private function ruler(): void
    {
        $this->letters(7.5);
        $this->Text(
            self::MARGIN_MM,
            15.5,
            'Print at 100 %, not “fit to page”: from 0 to 100 this must measure 100 mm on your ruler.',
        );
        $this->SetLineWidth(0.2);
        $this->Line(self::MARGIN_MM, self::RULER_Y_MM, self::MARGIN_MM + self::RULER_MM, self::RULER_Y_MM);
        for ($tick = 0; $tick <= self::RULER_MM; $tick++) {
            $long = match (true) {
                $tick % 10 === 0 => 3.0,
                $tick % 5 === 0 => 2.2,
                default => 1.4,
            };
            $this->Line(self::MARGIN_MM + $tick, self::RULER_Y_MM, self::MARGIN_MM + $tick, self::RULER_Y_MM + $long);
            if ($tick % 10 === 0) {
                $this->SetXY(self::MARGIN_MM + $tick - 5, self::RULER_Y_MM + 3);
                $this->Cell(10, 3, (string) $tick, 0, 0, 'C');
            }
        }
    }

    public function ink(): void
    {
        $this->setTextColor(...self::INK);
        $this->setDrawColor(...self::INK);
    }

    public function roomWideMm(): float
    {
        return $this->paper->widthMm() - 2 * self::MARGIN_MM;
    }

    public function roomHighMm(): float
    {
        return $this->paper->heightMm() - self::TOP_MM - self::MARGIN_MM;
    }

    /** Room for something so high, on a new page where it would be torn; returns where it begins. */
    public function below(float $yMm, float $highMm): float
    {
        if ($yMm + $highMm <= $this->paper->heightMm() - self::MARGIN_MM) {
            return $yMm;
        }
        $this->AddPage();

        return self::TOP_MM;
    }
}
