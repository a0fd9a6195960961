<?php

declare(strict_types=1);

namespace App\Pdf;

use App\View\BeadTint;
use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Stroke;

/** A piece drawn on a sheet at a scale, as the pages draw it: wire in rim, body and shine, shaded beads. */
final class PaperPiece
{
    /** Of a wire’s thickness its body takes so much and its shine, which lies so far to the left and up. */
    private const BODY = 0.74;

    private const SHINE = 0.24;

    private const LIGHT = [0.13, 0.08];

    /** Nothing is printed finer. */
    private const HAIR_MM = 0.08;

    private const CORD_EDGE = [70, 64, 56];

    /** What is done at a step. */
    private const LIT = [88, 184, 164];

    private const LIT_EDGE = [20, 72, 63];

    /** @var array{float, float, float, float}|null left, top, right, bottom of what is seen, on the sheet */
    private ?array $box = null;

    private float $leftMm = 0.0;

    private float $topMm = 0.0;

    /** @var array<string, string> what TCPDF knows each kind of bead by */
    private array $beads = [];

    /** @param  list<string>  $lit  marks of what is shown in verdigris */
    public function __construct(
        private readonly Sheet $sheet, private readonly float $scale, private readonly array $lit = [],
        private readonly bool $isMirrored = false,
    ) {
    }

    /**
     * What lies wholly outside is not drawn.
     *
     * @param  array{float, float, float, float}  $box  left, top, width and height on the sheet, mm
     */
    public function within(array $box): self
    {
        $this->box = [$box[0], $box[1], $box[0] + $box[2], $box[1] + $box[3]];

        return $this;
    }

    /** Its own zero lies there on the sheet. */
    public function draw(Assembly $assembly, float $leftMm, float $topMm): void
    {
        [$this->leftMm, $this->topMm] = [$leftMm, $topMm];
        $figure = $assembly->flat();
        foreach ([0, 1, 2] as $layer) {
            foreach ($figure->farToNear() as $stroke) {
                if ($stroke->layer === $layer) {
                    $stroke->face === '' ? $this->wire($stroke) : $this->face($stroke);
                }
            }
            $this->beads($figure, $layer);
        }
    }

    /** @return array{float, float} on the sheet */
    private function at(float $x, float $y): array
    {
        return [$this->leftMm + ($this->isMirrored ? -$x : $x) * $this->scale, $this->topMm + $y * $this->scale];
    }

    private function wire(Stroke $stroke): void
    {
        $flat = [];
        foreach (self::points($stroke) as $point) {
            array_push($flat, ...$this->at(...$point));
        }
        $wide = $stroke->wireMm * $this->scale;
        if (count($flat) < 4 || $this->isOutside($flat, $wide)) {
            return;
        }
        [$edge, $body, $shine] = $this->tints($stroke);
        $lit = array_map(
            fn (int $at, float $mm): float => $mm - self::LIGHT[$at % 2] * $wide, array_keys($flat), $flat,
        );
        foreach ([[1.0, $edge, $flat], [self::BODY, $body, $flat], [self::SHINE, $shine, $lit]] as [$of, $tint, $way]) {
            $this->sheet->PolyLine($way, 'D', ['all' => [
                'width' => max(self::HAIR_MM, $wide * $of), 'cap' => 'round', 'join' => 'round', 'color' => $tint,
            ]]);
        }
    }

    /** @param  list<float>  $flat  across and down in turn */
    private function isOutside(array $flat, float $wide): bool
    {
        if ($this->box === null) {
            return false;
        }
        [$left, $top, $right, $bottom] = $this->box;
        [$xs, $ys] = [[], []];
        foreach ($flat as $at => $mm) {
            $at % 2 === 0 ? $xs[] = $mm : $ys[] = $mm;
        }

        return max([...$xs, -INF]) + $wide < $left || min([...$xs, INF]) - $wide > $right
            || max([...$ys, -INF]) + $wide < $top || min([...$ys, INF]) - $wide > $bottom;
    }

    /** @return array{array{int, int, int}, array{int, int, int}, array{int, int, int}} edge, body and shine */
    private function tints(Stroke $stroke): array
    {
        if (in_array($stroke->mark, $this->lit, true)) {
            return [self::LIT_EDGE, self::LIT, $stroke->metal->tint()[2]];
        }

        return $stroke->colour === ''
            ? $stroke->metal->tint()
            : [self::CORD_EDGE, BeadTint::of($stroke->colour), BeadTint::of($stroke->colour)];
    }

    /** @return list<array{float, float}> */
    private static function points(Stroke $stroke): array
    {
        $points = [];
        $last = [0.0, 0.0];
        foreach ($stroke->path as $command) {
            array_push($points, ...($command[0] === 'C' ? Curves::points($last, $command) : [Stroke::end($command)]));
            $last = Stroke::end($command);
        }

        return $points;
    }

    /** What is flat: its outline filled, openings and holes in it bare. */
    private function face(Stroke $stroke): void
    {
        $rings = [];
        foreach ($stroke->path as $command) {
            $command[0] === 'M' && $rings[] = [];
            array_push($rings[count($rings) - 1], ...$this->at(...Stroke::end($command)));
        }
        [$edge, $body] = $stroke->metal->tint();
        $tint = $stroke->face === 'metal' ? $body : BeadTint::of($stroke->face);
        $this->sheet->SetLineStyle(['width' => 0.12, 'cap' => 'round', 'join' => 'round', 'color' => $edge]);
        foreach ($rings as $place => $points) {
            $this->sheet->Polygon($points, 'DF', [], $place === 0 ? $tint : [255, 255, 255]);
        }
    }

    private function beads(PieceFigure $figure, int $layer): void
    {
        foreach ($figure->beads as $mark) {
            if ($mark->layer === $layer) {
                $this->bead($mark);
            }
        }
    }

    /** Each kind is drawn once, and set wherever it is. */
    private function bead(BeadMark $mark): void
    {
        $bead = $mark->bead;
        $size = array_map(
            fn (float $mm): float => $mm * $this->scale + 2 * PaperBead::EDGE_MM, [$bead->widthMm, $bead->lengthMm],
        );
        $kind = "{$bead->shape->value} {$bead->colour} {$bead->widthMm} {$bead->lengthMm} ".($mark->metal->value ?? '');
        if (! isset($this->beads[$kind])) {
            // @phpstan-ignore argument.type, argument.type (its docblock says int; it reckons in the document’s unit)
            $this->beads[$kind] = (string) $this->sheet->startTemplate(...$size);
            $this->sheet->ImageSVG('@'.(new PaperBead($bead, $this->scale, $mark->metal))->svg(), 0, 0, ...$size);
            $this->sheet->endTemplate();
        }
        [$wide, $high] = [$size[0] * $mark->wide, $size[1] * $mark->long];
        [$x, $y] = $this->at($mark->xMm, $mark->topMm + $bead->lengthMm / 2);
        $this->sheet->StartTransform();
        $this->sheet->Rotate($this->isMirrored ? $mark->turn : -$mark->turn, $x, $y);
        $this->sheet->printTemplate($this->beads[$kind], $x - $wide / 2, $y - $high / 2, $wide, $high, '', '', false);
        $this->sheet->StopTransform();
    }
}
