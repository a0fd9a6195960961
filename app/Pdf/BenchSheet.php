<?php

declare(strict_types=1);

namespace App\Pdf;

use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Step;

/** The work of a piece on paper: its drawing, what to lay ready, and every step with a box to tick. */
final class BenchSheet
{
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
        $this->y = (new Cover($this->sheet, $this->plan))->draw(self::ready($this->plan));
        $plan = $this->plan->inOperations($this->plan->isManyAlike());
        foreach ([...$plan->prepare(), ...$plan->steps()] as $number => $step) {
            $this->step($number + 1, $step);
        }
        $this->note('Hebra plans; local rules and trained practice decide.');
    }

    /** @return list<string> */
    private static function ready(Plan $plan): array
    {
        $lines = [];
        foreach ($plan->cuts as $cut) {
            $lines[] = $cut->count.' × '
                .$plan->profile->length($plan->profile->ruler->upMm($cut->lengthMm())).' '.$cut->label.', '
                .$cut->wire->words();
        }
        foreach ($plan->beads as $bead) {
            $lines[] = $bead->all.' × '.$bead->bead->words().', '.$bead->spares.' spare';
        }
        foreach ($plan->findings as $finding) {
            $lines[] = $finding->all.' × '.$finding->words;
        }
        $lines[] = ucfirst(implode(', ', $plan->tools())).'.';

        return $lines;
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
