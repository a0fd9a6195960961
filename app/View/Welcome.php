<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;

/**
 * The picture of the first page: a cut standing beside its piece, and from each of its stretches a ribbon to what it
 * becomes there. A real one, computed like every other. Pixels.
 *
 * @phpstan-type Stretch array{
 *     words: string, mm: string, y: float, high: float, stays: bool, isBeads: bool, ribbon: string,
 * }
 */
final readonly class Welcome
{
    public const WIDE = 600;

    public const HIGH = 590;

    public const TOP = 44.0;

    public const STRIP_X = 118.0;

    public const RAIL_Y = 18.0;

    private const STRIP_HIGH = 500.0;

    private const PIECE_X = 268.0;

    private const PATTERN = 'link-and-drop';

    /** The cut that is told: the link's. */
    private const CUT = 1;

    public Drawing $drawing;

    private Plan $plan;

    public Cut $cut;

    private PieceFigure $figure;

    public function __construct()
    {
        $this->plan = Planner::plan(Patterns::start(self::PATTERN, 'Welcome'), new Profile);
        $this->cut = $this->plan->cuts[self::CUT];
        $this->figure = $this->plan->assembly()->flat();
        $this->drawing = new Drawing($this->plan->assembly(), 190, self::HIGH - 60, 0, 10, 'welcome');
    }

    public function pieceX(): float
    {
        return self::PIECE_X;
    }

    public function pieceY(): float
    {
        return self::RAIL_Y - 12;
    }

    public function length(): string
    {
        return Figures::mm(round($this->cut->lengthMm(), 1));
    }

    private function perMm(): float
    {
        return self::STRIP_HIGH / $this->cut->lengthMm();
    }

    /** @return list<array{float, float}> ticks each millimetre, longer each five and ten: where, and how long */
    public function ticks(): array
    {
        $long = fn (int $mm): float => match (0) {
            $mm % 10 => 12.0,
            $mm % 5 => 8.0,
            default => 5.0,
        };

        return array_map(
            fn (int $mm): array => [round(self::TOP + $mm * $this->perMm(), 1), $long($mm)],
            range(0, (int) floor($this->cut->lengthMm())),
        );
    }

    /** @return list<Stretch> from the top */
    public function stretches(): array
    {
        $y = self::TOP;
        $stretches = [];
        foreach ($this->cut->segments as $segment) {
            $high = $segment->lengthMm * $this->perMm();
            $stretches[] = [
                'words' => $segment->words, 'mm' => number_format($segment->lengthMm, 1), 'y' => round($y, 1),
                'high' => round($high, 1), 'stays' => $segment->kind->stays(),
                'isBeads' => $segment->kind === SegmentKind::Seat, 'ribbon' => $this->ribbon($segment, $y, $high),
            ];
            $y += $high;
        }

        return $stretches;
    }

    /** From a stretch to where its wire, or what stands on it, lies in the piece; empty of what is cut off. */
    private function ribbon(Segment $segment, float $y, float $high): string
    {
        $there = $segment->kind->stays() ? $this->bounds($segment) : null;
        if ($there === null) {
            return '';
        }
        [$left, $top, , $bottom] = $there;
        $from = self::STRIP_X + 10;
        $to = $this->pieceX() + $this->drawing->x($left) - 2;
        $middle = ($from + $to) / 2;
        [$first, $last] = [
            $this->pieceY() + $this->drawing->y($top), $this->pieceY() + $this->drawing->y($bottom),
        ];
        $end = $y + $high;

        return implode(' ', array_map(
            fn (float|string $one): string => is_string($one) ? $one : (string) round($one, 1),
            [
                'M', $from, $y, 'C', $middle, $y, $middle, $first, $to, $first, 'L', $to, $last, 'C', $middle, $last,
                $middle, $end, $from, $end, 'Z',
            ],
        ));
    }

    /** @return array{float, float, float, float}|null left, top, right and bottom, mm */
    private function bounds(Segment $segment): ?array
    {
        $isBeads = $segment->kind === SegmentKind::Seat;
        $part = explode(':', $segment->mark)[0].':';
        $strokes = $isBeads ? [] : array_values(array_filter(
            $this->figure->strokes, fn (Stroke $stroke): bool => $stroke->mark === $segment->mark,
        ));
        $beads = ! $isBeads ? [] : array_values(array_filter(
            $this->figure->beads, fn (BeadMark $bead): bool => str_starts_with($bead->mark, $part),
        ));

        return $strokes === [] && $beads === [] ? null : (new PieceFigure($strokes, $beads))->bounds();
    }
}
