<?php

declare(strict_types=1);

namespace App\Pdf;

use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\View;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Step;

/** The work of a piece on paper: its drawing, what to lay ready, and every step with a box to tick. */
final class BenchSheet
{
    private const DRAWING_MM = 92.0;

    /** How wide the drawings are together, and what lies between them at their own size. */
    private const ROOM_MM = 78.0;

    private const GAP_MM = 5.0;

    private float $y = Sheet::TOP_MM;

    private function __construct(private readonly Sheet $sheet, private readonly Plan $plan)
    {
    }

    public static function of(Plan $plan, Paper $paper): string
    {
        $sheet = new Sheet($paper, $plan->piece->name.': at the bench, '.$plan->piece->makes->words());
        (new self($sheet, $plan))->draw();

        return (string) $sheet->Output('bench-sheet.pdf', 'S');
    }

    private function draw(): void
    {
        $this->drawing();
        $this->ready();
        $this->y = max($this->y, Sheet::TOP_MM + self::DRAWING_MM + 6.0);
        $plan = $this->plan->inOperations($this->plan->isManyAlike());
        foreach ([...$plan->prepare(), ...$plan->steps()] as $number => $step) {
            $this->step($number + 1, $step);
        }
        $this->note('Hebra plans; local rules and trained practice decide.');
    }

    /** From every side there is, on one scale. */
    private function drawing(): void
    {
        $views = count($this->plan->views()) === 2 ? [View::Front] : View::sides();
        $seen = array_map(fn (View $view): Assembly => $this->plan->seen($view), $views);
        $wide = array_sum(array_map(fn (Assembly $one): float => $one->widthMm() + self::GAP_MM, $seen));
        $high = max(array_map(fn (Assembly $one): float => $one->heightMm(), $seen));
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

    private function ready(): void
    {
        $x = Sheet::MARGIN_MM + 84.0;
        $lines = [];
        foreach ($this->plan->cuts as $cut) {
            $lines[] = $cut->count.' × '
                .$this->plan->profile->length($this->plan->profile->ruler->upMm($cut->lengthMm())).' '.$cut->label.', '
                .$cut->wire->words();
        }
        foreach ($this->plan->beads as $bead) {
            $lines[] = $bead->all.' × '.$bead->bead->words().', '.$bead->spares.' spare';
        }
        foreach ($this->plan->findings as $finding) {
            $lines[] = $finding->all.' × '.$finding->words;
        }
        $lines[] = ucfirst(implode(', ', $this->plan->tools())).'.';
        $this->sheet->letters(9.5, true);
        $this->sheet->Text($x, $this->y, 'Lay ready');
        $this->sheet->letters(8);
        $this->sheet->SetXY($x, $this->y + 6);
        $this->sheet->MultiCell($this->sheet->roomWideMm() - 84.0, 4, implode("\n", $lines), 0, 'L');
        $this->y = $this->sheet->GetY() + 3;
    }

    private function step(int $number, Step $step): void
    {
        $wide = $this->sheet->roomWideMm() - 14.0;
        $text = $step->text.($step->tool === '' ? '' : ' With: '.$step->tool.'.')
            .($step->count > 1 ? " ({$step->count} {$step->counted})" : '');
        $cautions = implode(' ', array_map(fn ($caution): string => $caution->words(), $step->cautions));
        $this->sheet->letters(8);
        $high = 6.0 + $this->sheet->getStringHeight(
            $wide,
            $text,
        ) + ($cautions === '' ? 0.0 : $this->sheet->getStringHeight($wide, $cautions));
        $this->y = $this->sheet->below($this->y, $high);
        $this->sheet->ink();
        $this->sheet->SetLineStyle(['width' => 0.25, 'color' => [38, 34, 28]]);
        $this->sheet->Rect(Sheet::MARGIN_MM, $this->y + 0.6, 3.6, 3.6);
        $this->sheet->letters(8.5, true);
        $this->sheet->Text(Sheet::MARGIN_MM + 6.0, $this->y, "{$number}. {$step->title}");
        $this->sheet->letters(8);
        $this->sheet->SetXY(Sheet::MARGIN_MM + 6.0, $this->y + 4.6);
        $this->sheet->MultiCell($wide, 3.8, $text, 0, 'L');
        if ($cautions !== '') {
            $this->sheet->setTextColor(150, 60, 20);
            $this->sheet->SetX(Sheet::MARGIN_MM + 6.0);
            $this->sheet->MultiCell($wide, 3.8, $cautions, 0, 'L');
        }
        $this->y = $this->sheet->GetY() + 2.0;
    }

    private function note(string $words): void
    {
        $this->y = $this->sheet->below($this->y, 6.0);
        $this->sheet->ink();
        $this->sheet->letters(7.5);
        $this->sheet->Text(Sheet::MARGIN_MM, $this->y, $words);
    }
}
