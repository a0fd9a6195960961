<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Lot;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Metal;

/** The cuts of a piece on one ruler: each with the part it makes and the lot that it comes from. */
final class CutBoard
{
    /** How wide the ruler's room is at 1280, and the picture of a part. */
    private const ROOM_PX = 780.0;

    private const PART_WIDE = 84.0;

    private const PART_HIGH = 108.0;

    private const INCH_MM = 25.4;

    /** @var list<CutRow>|null */
    private ?array $rows = null;

    public function __construct(private readonly Desk $desk)
    {
    }

    /** @return list<CutRow> */
    public function rows(): array
    {
        return $this->rows ??= array_map(
            fn (Strip $strip, CutSource $from): CutRow => new CutRow($strip, $this->part($strip->cut), $from),
            $this->desk->strips(self::ROOM_PX), CutSources::of($this->desk),
        );
    }

    private function part(Cut $cut): Drawing
    {
        return (new Drawing(
            $this->desk->plan->alone($cut->part), self::PART_WIDE, self::PART_HIGH, 0, 4, 'part-'.$cut->key(),
        ))->allApart();
    }

    /** How much of a lot that is: `0.66 m`, or the number of pins. */
    public static function amount(Lot $lot, float $amount): string
    {
        return $lot->isPins() ? (string) (int) round($amount) : number_format(max(0.0, $amount) / 1000, 2);
    }

    public function cutAlready(): int
    {
        return array_sum(array_map(fn (CutRow $row): int => $row->from->ticked, $this->rows()));
    }

    public function cutInAll(): int
    {
        return array_sum(array_map(fn (CutRow $row): int => $row->cut()->count, $this->rows()));
    }

    /** Pixels between its numbers: a centimetre, or an inch, at the scale that most strips have. */
    private function stepPx(): float
    {
        return $this->stepMm() * $this->pxPerMm();
    }

    private function stepMm(): float
    {
        $numbered = $this->desk->profile->ruler->isMetric() ? 10.0 : self::INCH_MM;
        foreach ([1, 2, 5, 10, 50] as $times) {
            if ($times * $numbered * $this->pxPerMm() >= 34.0) {
                return $times * $numbered;
            }
        }

        return 100 * $numbered;
    }

    private function pxPerMm(): float
    {
        return ($this->rows()[0]->strip->ratio ?? 1.0) * Drawing::PX_PER_MM;
    }

    /**
     * @return list<array{x: float, words: string, parts: list<float>}> its numbers, and the lesser ticks up to the next
     */
    public function ruler(): array
    {
        $isMetric = $this->desk->profile->ruler->isMetric();
        $parts = $isMetric ? 10 : 8;
        $ticks = [];
        for ($at = 0; Strip::MARGIN + $at * $this->stepPx() <= self::ROOM_PX; $at++) {
            $x = Strip::MARGIN + $at * $this->stepPx();
            $mm = $at * $this->stepMm();
            $ticks[] = [
                'x' => round($x, 2), 'words' => (string) round($isMetric ? $mm : $mm / self::INCH_MM),
                'parts' => array_map(
                    fn (int $part): float => round($x + $part * $this->stepPx() / $parts, 2), range(1, $parts - 1),
                ),
            ];
        }

        return $ticks;
    }

    public function roomPx(): float
    {
        return self::ROOM_PX;
    }

    /** @return array{float, float} grams in the piece, and grams trimmed off, of a wire on the scale of the heaviest */
    public function share(Metal $metal): array
    {
        $most = max([1e-9, ...array_map(fn (Metal $one): float => $one->grossGrams(), $this->desk->plan->metal)]);

        return [$metal->netGrams() / $most, $metal->scrapGrams() / $most];
    }
}
