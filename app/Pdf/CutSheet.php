<?php

declare(strict_types=1);

namespace App\Pdf;

use Hebra\Core\Course\Segment;
use Hebra\Core\Plan\BendMark;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Quantity\Figures;

/**
 * Every cut as a strip at 1 : 1, to lay wire on and mark. A long one folds into rows with matching marks; a page never
 * ends within a row, nor within a strip that fits one page.
 */
final class CutSheet
{
    /** A row of a strip, from its bend marks to its labels, mm. */
    private const ROW_MM = 14.0;

    /** What the marks of bends take above it, in each of two lines. */
    private const BENDS_MM = 4.0;

    private const HEAD_MM = 8.0;

    /** So many rows of one wire are printed at most; the middle of a longer one is left out. */
    private const MOST_ROWS = 24;

    private function __construct(private readonly Sheet $sheet, private readonly Plan $plan)
    {
    }

    public static function of(Plan $plan, Paper $paper): string
    {
        $sheet = new Sheet($paper, $plan->piece->name.': strips 1 : 1, '.$plan->piece->makes->words());
        self::onto($sheet, $plan, Sheet::TOP_MM);

        return (string) $sheet->Output('cut-sheet.pdf', 'S');
    }

    /** On another sheet, from a height on; returns where it ends. */
    public static function onto(Sheet $sheet, Plan $plan, float $yMm): float
    {
        return (new self($sheet, $plan))->draw($yMm);
    }

    private function draw(float $y): float
    {
        foreach ($this->plan->strips() as $cut) {
            $rows = $this->rows($cut);
            $high = self::HEAD_MM + array_sum(array_map(fn (array $row): float => $this->rowMm($cut, ...$row), $rows));
            $y = $this->sheet->below($y, min($high, $this->sheet->roomHighMm()));
            $this->head($cut, $y);
            $y += self::HEAD_MM;
            foreach ($rows as $at => [$from, $to]) {
                $y = $this->sheet->below($y, $this->rowMm($cut, $from, $to));
                $this->row(
                    $cut,
                    $from,
                    $to,
                    $y,
                    $at > 0 ? $this->mark($at - 1) : '',
                    $at < count($rows) - 1 ? $this->mark($at) : '',
                );
                $y += $this->rowMm($cut, $from, $to);
            }
        }
        if ($this->plan->strips() === []) {
            $this->sheet->Text(Sheet::MARGIN_MM, $y, 'Nothing to cut yet.');
        }

        return $y;
    }

    /** @return list<array{float, float}> from where to where of the wire each row shows, mm */
    private function rows(Cut $cut): array
    {
        $wide = $this->sheet->roomWideMm() - 8.0;
        $rows = [];
        for ($from = 0.0; $from < $cut->lengthMm() - 1e-9; $from += $wide) {
            $rows[] = [$from, min($from + $wide, $cut->lengthMm())];
        }
        $half = intdiv(self::MOST_ROWS, 2);

        return count($rows) <= self::MOST_ROWS
            ? $rows
            : [...array_slice($rows, 0, $half), ...array_slice($rows, -$half)];
    }

    /** @return list<BendMark> */
    private function bends(Cut $cut, float $from, float $to): array
    {
        return array_values(
            array_filter($cut->bends, fn (BendMark $bend): bool => $bend->atMm >= $from && $bend->atMm <= $to),
        );
    }

    private function rowMm(Cut $cut, float $from, float $to): float
    {
        return self::ROW_MM + ($this->bends($cut, $from, $to) === [] ? 0.0 : 2 * self::BENDS_MM);
    }

    private function mark(int $at): string
    {
        return chr(65 + $at % 26).($at >= 26 ? (string) intdiv($at, 26) : '');
    }

    private function head(Cut $cut, float $y): void
    {
        $profile = $this->plan->profile;
        $this->sheet->ink();
        $this->sheet->letters(9.5, true);
        $length = $cut->pinMm ?? $profile->ruler->upMm($cut->lengthMm());
        $this->sheet->Text(
            Sheet::MARGIN_MM,
            $y,
            $cut->label.': '.($cut->isBoughtPin() ? 'bought pin, ' : 'cut ').$cut->count.' × '
                .$profile->length($length),
        );
        $this->sheet->letters(8);
        $this->sheet->SetXY(Sheet::MARGIN_MM, $y);
        $this->sheet->Cell($this->sheet->roomWideMm(), 5, $cut->wire->words(), 0, 0, 'R');
    }

    private function row(Cut $cut, float $from, float $to, float $y, string $before, string $after): void
    {
        $x = fn (float $mm): float => Sheet::MARGIN_MM + 4.0 + $mm - $from;
        $wireY = $y + $this->rowMm($cut, $from, $to) - self::ROW_MM + 2.5;
        $high = max(1.2, $cut->wire->diameterMm());
        $at = 0.0;
        $labels = [];
        foreach ($cut->segments as $segment) {
            [$start, $end] = [max($at, $from), min($at + $segment->lengthMm, $to)];
            if ($end > $start + 1e-9) {
                $this->stretch($segment, $cut, $x($start), $x($end), $wireY, $high, $at >= $from - 1e-9);
                $labels[] = [
                    $x(($start + $end) / 2),
                    $segment->words.($end - $start < $segment->lengthMm - 1e-9 ? ' …' : ''),
                ];
            }
            $at += $segment->lengthMm;
        }
        $this->tick($x($to), $wireY, $high);
        $this->labels($labels, $wireY + $high / 2 + 1.5);
        $ends = [-INF, -INF];
        foreach ($this->bends($cut, $from, $to) as $bend) {
            $text = Figures::trim($bend->atMm, 1);
            $this->sheet->letters(7, true);
            $half = $this->sheet->GetStringWidth($text) / 2 + 0.6;
            $line = $x($bend->atMm) - $half >= $ends[0] ? 0 : 1;
            $ends[$line] = $x($bend->atMm) + $half;
            $this->bend($text, $x($bend->atMm), $wireY + $high / 2, $wireY - 4.5 - self::BENDS_MM * $line);
        }
        foreach ([[$before, $x($from) - 4.0], [$after, $x($to) + 0.8]] as [$mark, $left]) {
            if ($mark !== '') {
                $this->sheet->letters(8, true);
                $this->sheet->Text($left, $wireY - 2.0, $mark);
            }
        }
    }

    private function stretch(
        Segment $segment, Cut $cut, float $fromX, float $toX, float $y, float $high, bool $begins,
    ): void {
        $this->sheet->setFillColor(...$cut->wire->metal->tint()[1]);
        $this->sheet->SetLineWidth(0.15);
        $this->sheet->ink();
        $this->sheet->Rect($fromX, $y - $high / 2, $toX - $fromX, $high, 'DF');
        // Hatched: trimmed off in the end.
        for ($hatch = $fromX + 1.0; ! $segment->kind->stays() && $hatch < $toX - 0.5; $hatch += 1.6) {
            $this->sheet->Line($hatch, $y + $high / 2, min($hatch + 1.0, $toX), $y - $high / 2);
        }
        if ($begins) {
            $this->tick($fromX, $y, $high);
        }
    }

    private function tick(float $x, float $y, float $high): void
    {
        $this->sheet->SetLineWidth(0.2);
        $this->sheet->Line($x, $y - $high / 2 - 1.0, $x, $y + $high / 2 + 1.4);
    }

    /** @param  list<array{float, string}>  $labels */
    private function labels(array $labels, float $y): void
    {
        $this->sheet->letters(7);
        $ends = [];
        foreach ($labels as [$middle, $words]) {
            $wide = $this->sheet->GetStringWidth($words);
            $left = min(
                max(Sheet::MARGIN_MM, $middle - $wide / 2),
                Sheet::MARGIN_MM + $this->sheet->roomWideMm() - $wide,
            );
            $row = 0;
            while (isset($ends[$row]) && $left < $ends[$row] + 1.0 && $row < 2) {
                $row++;
            }
            $ends[$row] = $left + $wide;
            $this->sheet->Text($left - 1.0, $y + 3.0 * $row, $words);
        }
    }

    private function bend(string $text, float $x, float $bottom, float $top): void
    {
        $this->sheet->SetLineStyle(['width' => 0.2, 'color' => [160, 30, 20]]);
        $this->sheet->setTextColor(160, 30, 20);
        $this->sheet->Line($x, $top + 1.8, $x, $bottom);
        $this->sheet->Text($x - $this->sheet->GetStringWidth($text) / 2 - 1.0, $top - 1.8, $text);
        $this->sheet->SetLineStyle(['width' => 0.2, 'color' => [38, 34, 28]]);
        $this->sheet->ink();
    }
}
