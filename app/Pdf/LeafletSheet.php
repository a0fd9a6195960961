<?php

declare(strict_types=1);

namespace App\Pdf;

use App\View\Leaflet;
use App\View\SeenFrame;
use Hebra\Core\Figure\Assembly;
use Hebra\Core\Plan\FormingPicture;

/** A leaflet on paper: the piece, what to lay ready, its cuts at true size, and every step with its picture. */
final class LeafletSheet
{
    private const COLUMNS = 2;

    private const GUTTER_MM = 6.0;

    /** Between what was and what is. */
    private const GAP_MM = 5.0;

    private const CARD_GAP_MM = 5.0;

    private const VERDIGRIS = [42, 143, 124];

    private float $y;

    private function __construct(private readonly Sheet $sheet, private readonly Leaflet $leaflet)
    {
        $this->y = Sheet::TOP_MM;
    }

    public static function of(Leaflet $leaflet, Paper $paper): string
    {
        $sheet = new Sheet($paper, $leaflet->desk->document->name);
        (new self($sheet, $leaflet))->draw();

        return (string) $sheet->Output('leaflet.pdf', 'S');
    }

    private function draw(): void
    {
        $this->y = (new Cover($this->sheet, $this->leaflet->plan()))->draw($this->ready());
        $this->y = CutSheet::onto($this->sheet, $this->leaflet->plan(), $this->y);
        foreach (array_chunk($this->leaflet->steps(), self::COLUMNS) as $row) {
            $this->row($row);
        }
        $this->foot();
    }

    /** @return list<string> */
    private function ready(): array
    {
        $ready = $this->leaflet->ready;
        $lines = [$this->leaflet->summary().'.', ...array_column($this->leaflet->strips(), 'words')];
        foreach ($ready->beads as $row) {
            $lines[] = "{$row->all} × {$row->bead->words()}".($row->spares > 0 ? ", and {$row->spares} spare" : '');
        }
        foreach ($ready->findings as $row) {
            $much = $row->isByLength() ? $this->leaflet->desk->profile->length($row->taken()) : (string) $row->all;
            $lines[] = "{$much} × {$row->words}";
        }

        return [...$lines, ucfirst(implode(', ', $ready->tools)).'.'];
    }

    private function wideMm(): float
    {
        return ($this->sheet->roomWideMm() - (self::COLUMNS - 1) * self::GUTTER_MM) / self::COLUMNS;
    }

    /** How high the picture of a step is, of two frames side by side. */
    private function pictureMm(SeenFrame $frame): float
    {
        return $this->frameMm() * $frame->box[3] / $frame->box[2];
    }

    private function frameMm(): float
    {
        return ($this->wideMm() - self::GAP_MM) / 2;
    }

    /** @param  list<array{number: int, place: int, title: string, text: string, count: string}>  $steps */
    private function row(array $steps): void
    {
        $cards = array_map(fn (array $step): array => [$step, ...$this->leaflet->onPaper($step['place'])], $steps);
        $high = max([0.0, ...array_map(
            fn (array $card): float => $this->pictureMm($card[1][0]) + $this->wordsMm($card[0]), $cards,
        )]);
        $this->y = $this->sheet->below($this->y, $high);
        foreach ($cards as $column => [$step, $frames, $lit]) {
            $x = Sheet::MARGIN_MM + $column * ($this->wideMm() + self::GUTTER_MM);
            foreach ($frames as $at => $frame) {
                $this->frame($frame, $x + $at * ($this->frameMm() + self::GAP_MM), $lit);
            }
            count($frames) > 1 && $this->arrow($x + $this->frameMm(), $this->y + $this->pictureMm($frames[0]) / 2);
            $this->words($step, $x, $this->y + $this->pictureMm($frames[0]));
        }
        $this->y += $high + self::CARD_GAP_MM;
    }

    /** @param  array{number: int, place: int, title: string, text: string, count: string}  $step */
    private function wordsMm(array $step): float
    {
        $this->sheet->letters(7.5);

        return 6.0 + $this->sheet->getStringHeight($this->wideMm(), self::text($step));
    }

    /** @param  array{number: int, place: int, title: string, text: string, count: string}  $step */
    private static function text(array $step): string
    {
        return $step['text'].($step['count'] === '' ? '' : " ({$step['count']})");
    }

    /** @param  array{number: int, place: int, title: string, text: string, count: string}  $step */
    private function words(array $step, float $x, float $y): void
    {
        $this->sheet->ink();
        $this->sheet->letters(8.5, true);
        $this->sheet->SetXY($x, $y + 1.0);
        $title = mb_strimwidth("{$step['number']}  {$step['title']}", 0, 52, '…');
        $this->sheet->Cell($this->wideMm(), 5, $title, 0, 0, 'L');
        $this->sheet->letters(7.5);
        $this->sheet->SetXY($x, $y + 5.6);
        $this->sheet->MultiCell($this->wideMm(), 3.6, self::text($step), 0, 'L');
    }

    /** @param  list<string>  $lit */
    private function frame(SeenFrame $frame, float $x, array $lit): void
    {
        [$wide, $high] = [$this->frameMm(), $this->pictureMm($frame)];
        $mmPerPx = $wide / $frame->box[2];
        $this->sheet->StartTransform();
        $this->sheet->Rect($x, $this->y, $wide, $high, 'CNZ');
        $this->shapes($frame, $frame->signs->under(), $x);
        $piece = new PaperPiece($this->sheet, $frame->drawing->px(1.0) * $mmPerPx, $lit, $frame->drawing->isMirrored);
        $piece->within([$x, $this->y, $wide, $high])->draw(
            $this->whole($frame), $x + ($frame->drawing->x(0.0) - $frame->box[0]) * $mmPerPx,
            $this->y + ($frame->drawing->y(0.0) - $frame->box[1]) * $mmPerPx,
        );
        $this->shapes($frame, $frame->hasHands() ? $frame->signs->over() : '', $x);
        $this->sheet->StopTransform();
    }

    private function whole(SeenFrame $frame): Assembly
    {
        return FormingPicture::whole($frame->figure);
    }

    private function shapes(SeenFrame $frame, string $shapes, float $x): void
    {
        if ($shapes !== '') {
            $this->sheet->ImageSVG('@'.$frame->picture($shapes), $x, $this->y, $this->frameMm());
        }
    }

    private function arrow(float $x, float $y): void
    {
        $this->sheet->SetLineStyle(['width' => 0.4, 'cap' => 'round', 'color' => self::VERDIGRIS]);
        $this->sheet->Line($x + 0.8, $y, $x + 4.2, $y);
        $this->sheet->PolyLine([$x + 3.2, $y - 0.9, $x + 4.2, $y, $x + 3.2, $y + 0.9], 'D');
    }

    private function foot(): void
    {
        $text = implode("\n", array_map(fn (string $one): string => "– {$one}", $this->leaflet->cautions()))
            ."\nLocal rules and trained practice decide. Planned with Hebra.";
        $this->sheet->letters(8);
        $wide = $this->sheet->roomWideMm();
        $this->y = $this->sheet->below($this->y, $this->sheet->getStringHeight($wide, $text));
        $this->sheet->ink();
        $this->sheet->SetXY(Sheet::MARGIN_MM, $this->y);
        $this->sheet->MultiCell($wide, 4, $text, 0, 'L');
    }
}
