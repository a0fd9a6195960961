<?php

declare(strict_types=1);

namespace App\Pdf;

use App\View\BeadTint;
use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Figure\View;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Step;

/** The work of a piece on paper: its drawing, what to lay ready, and every step with a box to tick. */
final class BenchSheet
{
    /** Beads that are not round, by their corners: across and down, from -1 to 1. */
    private const CORNERS = [
        'bicone' => [[-0.15, -1], [0.15, -1], [1, 0], [0.15, 1], [-0.15, 1], [-1, 0]],
        'tube' => [[-1, -1], [1, -1], [1, 1], [-1, 1]],
        'coil' => [[-1, -1], [1, -1], [1, 1], [-1, 1]],
        'tile' => [[-1, -1], [1, -1], [1, 1], [-1, 1]],
        'drop' => [
            [0, -1], [0.3, -0.6], [0.8, -0.1], [1, 0.35], [0.85, 0.75], [0.5, 0.95], [0, 1], [-0.5, 0.95],
            [-0.85, 0.75], [-1, 0.35], [-0.8, -0.1], [-0.3, -0.6],
        ],
        'cone' => [[-0.2, -1], [0.2, -1], [0.55, -0.2], [1, 1], [-1, 1], [-0.55, -0.2]],
        'cap' => [[-0.5, -0.4], [0, -1], [0.5, -0.4], [1, 1], [-1, 1]],
    ];

    private const DRAWING_MM = 92.0;

    /** How wide the drawings are together, and what lies between them at their own size. */
    private const ROOM_MM = 78.0;

    private const GAP_MM = 5.0;

    private const CORD_EDGE = [70, 64, 56];

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
        foreach ($seen as $at => $assembly) {
            $this->picture(
                $assembly, $left + (self::GAP_MM / 2 - $assembly->left) * $scale, Sheet::TOP_MM + 2.0, $scale,
            );
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

    private function picture(Assembly $assembly, float $left, float $top, float $scale): void
    {
        $figure = $assembly->flat();
        foreach ([0, 1, 2] as $layer) {
            foreach ($figure->farToNear() as $stroke) {
                if ($stroke->layer === $layer) {
                    $this->stroke($stroke, $left, $top, $scale);
                }
            }
            $this->beads($figure, $layer, $left, $top, $scale);
        }
    }

    private function stroke(Stroke $stroke, float $left, float $top, float $scale): void
    {
        if ($stroke->face !== '') {
            $this->face($stroke, $left, $top, $scale);

            return;
        }
        $points = [];
        [$lastX, $lastY] = [0.0, 0.0];
        foreach ($stroke->path as $command) {
            if ($command[0] === 'C') {
                array_push($points, ...Curves::points([$lastX, $lastY], $command));
                [$lastX, $lastY] = Stroke::end($command);

                continue;
            }
            [$lastX, $lastY] = Stroke::end($command);
            $points[] = [$lastX, $lastY];
        }
        $flat = [];
        foreach ($points as [$x, $y]) {
            array_push($flat, $left + $x * $scale, $top + $y * $scale);
        }
        if (count($flat) < 4) {
            return;
        }
        [$edge, $body] = $stroke->colour === ''
            ? $stroke->metal->tint()
            : [self::CORD_EDGE, BeadTint::of($stroke->colour)];
        foreach ([[1.0, $edge], [0.72, $body]] as [$share, $colour]) {
            $this->sheet->PolyLine(
                $flat,
                'D',
                ['all' => [
                    'width' => max(0.08, $stroke->wireMm * $scale * $share), 'cap' => 'round', 'join' => 'round',
                    'color' => $colour,
                ]],
            );
        }
    }

    /** What is flat: its outline filled, openings and holes in it bare. */
    private function face(Stroke $stroke, float $left, float $top, float $scale): void
    {
        $rings = [];
        foreach ($stroke->path as $command) {
            $command[0] === 'M' && $rings[] = [];
            [$x, $y] = Stroke::end($command);
            array_push($rings[count($rings) - 1], $left + $x * $scale, $top + $y * $scale);
        }
        [$edge, $body] = $stroke->metal->tint();
        $tint = $stroke->face === 'metal' ? $body : BeadTint::of($stroke->face);
        $this->sheet->SetLineStyle(['width' => 0.12, 'cap' => 'round', 'join' => 'round', 'color' => $edge]);
        foreach ($rings as $place => $points) {
            $this->sheet->Polygon($points, 'DF', [], $place === 0 ? $tint : [255, 255, 255]);
        }
    }

    private function beads(PieceFigure $figure, int $layer, float $left, float $top, float $scale): void
    {
        $this->sheet->SetLineStyle(['width' => 0.12, 'cap' => 'butt', 'join' => 'miter', 'color' => [70, 64, 56]]);
        foreach ($figure->beads as $mark) {
            if ($mark->layer !== $layer) {
                continue;
            }
            $bead = $mark->bead;
            $fill = BeadTint::of($bead->colour);
            [$x, $y] = [$left + $mark->xMm * $scale, $top + ($mark->topMm + $bead->lengthMm / 2) * $scale];
            [$wide, $high] = [$bead->widthMm / 2 * $scale, $bead->lengthMm / 2 * $scale];
            $corners = self::CORNERS[$bead->shape->value] ?? null;
            if ($corners === null) {
                $this->sheet->Ellipse($x, $y, $wide, $high, -$mark->turn, 0, 360, 'DF', [], $fill);

                continue;
            }
            [$cos, $sin] = [cos(deg2rad($mark->turn)), sin(deg2rad($mark->turn))];
            $flat = [];
            foreach ($corners as [$across, $down]) {
                array_push(
                    $flat,
                    $x + $across * $wide * $cos - $down * $high * $sin,
                    $y + $across * $wide * $sin + $down * $high * $cos,
                );
            }
            $this->sheet->Polygon($flat, 'DF', [], $fill);
        }
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
