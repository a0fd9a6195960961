<?php

declare(strict_types=1);

namespace App\View\Hand;

use App\Models\Drill;
use App\Models\Measurement;
use Hebra\Core\Hand\Consistency;
use Hebra\Core\Quantity\Figures;
use Illuminate\Support\Collection;

/**
 * The latest practices of a kind beside each other: each size a ring, as far from what was meant as it was. In the band
 * no eye sees it. Pixels.
 *
 * @phpstan-type Ring array{x: float, y: float, isOut: bool, words: string}
 */
final readonly class PracticePlot
{
    public const WIDE = 960;

    public const HIGH = 230;

    public const LEFT = 78;

    private const MOST_DRILLS = 5;

    private const TOP = 16;

    private const BOTTOM = 196;

    /** @var list<array{x: float, wide: float, words: string, off: string, rings: list<Ring>}> */
    public array $drills;

    private float $reachMm;

    /**
     * @param  Collection<int, Drill>  $drills  oldest first
     * @param  callable(Drill): float  $off
     */
    public function __construct(Collection $drills, callable $off)
    {
        $latest = $drills->slice(-self::MOST_DRILLS)->values();
        $offs = $latest->flatMap(fn (Drill $drill) => $drill->measurements->map(self::offOf(...)))->map(abs(...));
        $this->reachMm = max(2 * self::bandMm(), 1.15 * (float) $offs->max());
        $wide = (self::WIDE - self::LEFT) / max(1, $latest->count());
        $this->drills = array_values($latest->map(fn (Drill $drill, int $at): array => [
            'x' => self::LEFT + $at * $wide, 'wide' => $wide, 'words' => $drill->created_at->format('j M'),
            'off' => Figures::trim(round($off($drill), 2), 2),
            'rings' => $this->rings($drill, self::LEFT + $at * $wide, $wide),
        ])->all());
    }

    private static function offOf(Measurement $one): float
    {
        return $one->measuredMm() - $one->wantedMm();
    }

    /** Half of what the eye sees between two. */
    private static function bandMm(): float
    {
        return Consistency::TO_THE_EYE_MM / 2;
    }

    /** @return list<Ring> */
    private function rings(Drill $drill, float $x, float $wide): array
    {
        $step = $wide / ($drill->measurements->count() + 1);

        return array_values($drill->measurements->values()->map(fn (Measurement $one, int $at): array => [
            'x' => round($x + ($at + 1) * $step, 1), 'y' => round($this->y(self::offOf($one)), 1),
            'isOut' => abs(self::offOf($one)) > self::bandMm(), 'words' => Figures::trim($one->measuredMm(), 2).' mm',
        ])->all());
    }

    public function y(float $offMm): float
    {
        $middle = (self::TOP + self::BOTTOM) / 2;

        return $middle - $offMm / $this->reachMm * (self::BOTTOM - self::TOP) / 2;
    }

    /** @return array{float, float} where the band begins, and how high it is */
    public function band(): array
    {
        return [round($this->y(self::bandMm()), 1), round($this->y(-self::bandMm()) - $this->y(self::bandMm()), 1)];
    }

    /** @return list<array{float, string}> marks of the scale, with how far off they are */
    public function marks(): array
    {
        $step = $this->reachMm > 1.0 ? 0.5 : 0.1;
        $marks = [];
        for ($at = -(int) floor($this->reachMm / $step); $at * $step <= $this->reachMm; $at++) {
            $sign = ['−', '', '+'][($at <=> 0) + 1];
            $marks[] = [
                round($this->y($at * $step), 1), $at === 0 ? 'meant' : $sign.Figures::trim(abs($at) * $step, 1),
            ];
        }

        return $marks;
    }
}
