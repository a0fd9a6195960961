<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Strung;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;

/**
 * A cut as a strip of wire at one scale: its stretches, their labels in rows that do not collide, its bend marks.
 *
 * @phpstan-type StripPart array{
 *     kind: string, mark: string, words: string, x: float, w: float, mid: float, labelX: float, row: int, stays: bool,
 * }
 */
final readonly class Strip
{
    private const LABEL_CHAR_PX = 7.1;

    /** What it begins with before its wire, in pixels. */
    public const MARGIN = 4;

    /** @var list<StripPart> */
    public array $segments;

    /** @var list<array{x: float, text: string, words: string, row: int, labelX: float}> */
    public array $bends;

    public float $width;

    public float $wireY;

    public float $wireW;

    public float $height;

    public int $labelRows;

    public float $endX;

    /** @var list<array{x: float, w: float, colour: string}> what stands on it, under its stretch */
    public array $beads;

    private const BEAD_PX = 5;

    public function __construct(public Cut $cut, private Profile $profile, public float $ratio)
    {
        $k = $ratio * Drawing::PX_PER_MM;
        $this->endX = self::MARGIN + $cut->lengthMm() * $k;
        $this->beads = $this->beadsOn($k);
        $this->bends = $this->bends($k);
        $this->segments = $this->segments($k);
        $this->labelRows = 1 + max([0, ...array_column($this->segments, 'row')]);
        $topRows = 1 + max([0, ...array_column($this->bends, 'row')]);
        $this->wireW = max(5.0, round($cut->wire->diameterMm() * $k, 2));
        $this->wireY = 17 * $topRows + 12 + $this->wireW / 2;
        $this->height = $this->wireY + $this->wireW / 2 + 9 + $this->beadRoom() + 18 * $this->labelRows;
        $rights = array_map(
            fn (array $segment): float => $segment['labelX'] + strlen($segment['words']) * self::LABEL_CHAR_PX / 2,
            $this->segments,
        );
        $this->width = ceil(max([$this->endX + self::MARGIN, ...$rights]) + 2);
    }

    /** The largest of a few honest scales at which the longest cut fits the room. */
    public static function ratioFor(float $longestMm, float $roomPx): float
    {
        foreach ([4.0, 3.0, 2.5, 2.0, 1.75, 1.5, 1.25, 1.0, 0.75, 0.5, 0.33, 0.25, 0.1] as $ratio) {
            if ($longestMm * $ratio * Drawing::PX_PER_MM <= $roomPx) {
                return $ratio;
            }
        }

        return 0.05;
    }

    /** How far labels stand lower for the beads above them. */
    public function beadRoom(): int
    {
        return $this->beads === [] ? 0 : self::BEAD_PX + 3;
    }

    /** @return list<array{x: float, w: float, colour: string}> */
    private function beadsOn(float $k): array
    {
        $placed = [];
        $mm = 0.0;
        foreach ($this->cut->segments as $segment) {
            $together = array_sum(array_map(fn (Strung $run): float => $run->lengthMm(), $segment->beads));
            // They stand in the middle of their stretch, and where they are bound closer than it is long.
            $share = $together > $segment->lengthMm ? $segment->lengthMm / $together : 1.0;
            $at = $mm + ($segment->lengthMm - $share * $together) / 2;
            foreach ($segment->beads as $run) {
                $long = $share * $run->lengthMm();
                $placed[] = [
                    'x' => round(self::MARGIN + $at * $k, 2), 'w' => round(max(1.0, $long * $k - 1), 2),
                    'colour' => $run->bead->colour,
                ];
                $at += $long;
            }
            $mm += $segment->lengthMm;
        }

        return $placed;
    }

    /** @return list<StripPart> */
    private function segments(float $k): array
    {
        $x = (float) self::MARGIN;
        $ends = [];
        $placed = [];
        foreach ($this->cut->segments as $segment) {
            $w = $segment->lengthMm * $k;
            $half = mb_strlen($segment->words) * self::LABEL_CHAR_PX / 2;
            $mid = $x + $w / 2;
            $labelX = max($mid, $half + 1);
            $row = 0;
            while (isset($ends[$row]) && $labelX - $half < $ends[$row] + 5) {
                $row++;
            }
            $ends[$row] = $labelX + $half;
            $placed[] = [
                'kind' => $segment->kind->value, 'mark' => $segment->mark, 'words' => $segment->words,
                'x' => round($x, 2), 'w' => round($w, 2), 'mid' => round($mid, 2), 'labelX' => round($labelX, 2),
                'row' => $row, 'stays' => $segment->kind->stays(),
            ];
            $x += $w;
        }

        return $placed;
    }

    /** @return list<array{x: float, text: string, words: string, row: int, labelX: float}> */
    private function bends(float $k): array
    {
        $ends = [];
        $placed = [];
        foreach ($this->cut->bends as $bend) {
            $text = $this->figure($bend->atMm);
            $half = mb_strlen($text) * 4.5;
            $x = self::MARGIN + $bend->atMm * $k;
            $labelX = max($x, $half);
            $row = 0;
            while (isset($ends[$row]) && $labelX - $half < $ends[$row] + 5) {
                $row++;
            }
            $ends[$row] = $labelX + $half;
            $placed[] = [
                'x' => round($x, 2),
                'text' => $text,
                'words' => $bend->words,
                'row' => $row,
                'labelX' => round($labelX, 2),
            ];
        }

        return $placed;
    }

    /** A place on the wire: to a tenth of a millimetre, or the ruler's fraction of an inch. */
    private function figure(float $millimetres): string
    {
        return $this->profile->ruler->isMetric()
            ? Figures::trim($millimetres, 1)
            : $this->profile->ruler->figure($millimetres);
    }

    /** The cut in one sentence, for those who do not see the strip. */
    public function sentence(): string
    {
        $stretches = implode(
            ', ',
            array_map(
                fn ($segment): string => $segment->words.' '.$this->profile->length($segment->lengthMm),
                $this->cut->segments,
            ),
        );
        $bends = $this->bends === []
            ? ''
            : '. Bends at '.implode(
                ', ',
                array_map(fn (array $bend): string => $bend['text'].' ('.$bend['words'].')', $this->bends),
            ).' from the left end';

        return "{$this->cut->label}, {$this->profile->length($this->cutMm())}: {$stretches}{$bends}.";
    }

    public function cutMm(): float
    {
        return $this->cut->pinMm ?? $this->profile->ruler->upMm($this->cut->lengthMm());
    }

    public function isTrimmed(string $kind): bool
    {
        return ! SegmentKind::from($kind)->stays();
    }
}
