<?php

declare(strict_types=1);

namespace App\Pdf;

use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\View;
use Hebra\Core\Plan\Plan;

/** The head of a sheet about a piece: its drawings, and beside them what to lay ready. */
final readonly class Cover
{
    private const DRAWING_MM = 92.0;

    /** How wide the drawings are together, and what lies between them at their own size. */
    private const ROOM_MM = 78.0;

    private const GAP_MM = 5.0;

    public function __construct(private Sheet $sheet, private Plan $plan)
    {
    }

    /**
     * @param  list<string>  $ready
     * @return float where it ends, mm
     */
    public function draw(array $ready): float
    {
        $this->drawing();
        $x = Sheet::MARGIN_MM + self::ROOM_MM + self::GAP_MM;
        $this->sheet->letters(9.5, true);
        $this->sheet->Text($x, Sheet::TOP_MM, 'Lay ready');
        $this->sheet->letters(8);
        $this->sheet->SetXY($x, Sheet::TOP_MM + 6);
        $this->sheet->MultiCell($this->sheet->roomWideMm() + Sheet::MARGIN_MM - $x, 4, implode("\n", $ready), 0, 'L');

        return max($this->sheet->GetY() + 3, Sheet::TOP_MM + self::DRAWING_MM + 6.0);
    }

    /** From every side there is, on one scale. */
    private function drawing(): void
    {
        $views = count($this->plan->views()) === 2 ? [View::Front] : View::sides();
        $seen = array_map(fn (View $view): Assembly => $this->plan->seen($view), $views);
        $wide = array_sum(array_map(fn (Assembly $one): float => $one->widthMm() + self::GAP_MM, $seen));
        $high = max([0.0, ...array_map(fn (Assembly $one): float => $one->heightMm(), $seen)]);
        $scale = min(3.0, self::ROOM_MM / $wide, self::DRAWING_MM / ($high + 4));
        $scale = $scale >= 1 ? floor($scale * 4) / 4 : $scale;
        $left = Sheet::MARGIN_MM + (self::ROOM_MM - $wide * $scale) / 2;
        $piece = new PaperPiece($this->sheet, $scale);
        foreach ($seen as $assembly) {
            $piece->draw($assembly, $left + (self::GAP_MM / 2 - $assembly->left) * $scale, Sheet::TOP_MM + 2.0);
            $left += ($assembly->widthMm() + self::GAP_MM) * $scale;
        }
        $this->sheet->ink();
        $this->sheet->letters(7.5);
        $this->sheet->Text(
            Sheet::MARGIN_MM,
            Sheet::TOP_MM + self::DRAWING_MM,
            'drawn '.round($scale, 2).' : 1, '.$this->plan->profile->length($this->plan->hangsMm()).' end to end'
                .(count($views) > 1 ? '; front, side, back' : ''),
        );
    }
}
