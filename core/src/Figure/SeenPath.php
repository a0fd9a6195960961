<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/**
 * Spans that follow each other as a path on the page; what hardly bends is a line. Millimetres.
 *
 * @phpstan-import-type Path from Stroke
 */
final readonly class SeenPath
{
    /** How far a millimetre of depth stands aside. */
    public const ASIDE = 0.34;

    /** @param  float  $nearlyMm  what strays no farther from a line is seen as one */
    public function __construct(private float $nearlyMm)
    {
    }

    /** @return array{float, float} on the page */
    public static function page(Vector $turned): array
    {
        return [round($turned->x + self::ASIDE * $turned->z, 4), round($turned->y, 4)];
    }

    /**
     * @param  non-empty-list<Span>  $spans
     * @param  float  $beforeMm  how much further it runs at its beginning, and at its end
     * @return Path
     */
    public function through(array $spans, float $beforeMm, float $afterMm): array
    {
        [$first, $last] = [$spans[0], $spans[count($spans) - 1]];
        if ($this->isNearlyStraight($spans)) {
            $spans = [Span::straight($first->from, $last->to)];
            [$first, $last] = [$spans[0], $spans[0]];
        }
        $start = $first->from->minus($first->runs(0.0)->unit()->times($beforeMm));
        $path = [['M', ...self::page($start)]];
        foreach ($spans as $span) {
            $path[] = $span->isStraight()
                ? ['L', ...self::page($span->to)]
                : self::curve($span);
        }
        if ($afterMm > 0.0) {
            $end = self::page($last->to->plus($last->runs(1.0)->unit()->times($afterMm)));
            // A straight one is but a little longer.
            $path[$last->isStraight() ? count($path) - 1 : count($path)] = ['L', ...$end];
        }

        return $path;
    }

    /** @return array{string, float, float, float, float, float, float} told number by number: there are thousands */
    private static function curve(Span $span): array
    {
        [$first, $second, $to] = [$span->first, $span->second, $span->to];

        return [
            'C', round($first->x + self::ASIDE * $first->z, 4), round($first->y, 4),
            round($second->x + self::ASIDE * $second->z, 4), round($second->y, 4),
            round($to->x + self::ASIDE * $to->z, 4), round($to->y, 4),
        ];
    }

    /** @param  non-empty-list<Span>  $spans */
    private function isNearlyStraight(array $spans): bool
    {
        [$fromX, $fromY] = self::page($spans[0]->from);
        [$toX, $toY] = self::page($spans[count($spans) - 1]->to);
        $long = hypot($toX - $fromX, $toY - $fromY);
        if ($long < 1e-6) {
            return false;
        }
        [$dx, $dy] = [($toX - $fromX) / $long, ($toY - $fromY) / $long];
        foreach ($spans as $span) {
            foreach ([$span->first, $span->second, $span->to] as $point) {
                [$x, $y] = self::page($point);
                $along = ($x - $fromX) * $dx + ($y - $fromY) * $dy;
                $off = ($y - $fromY) * $dx - ($x - $fromX) * $dy;
                if (abs($off) > $this->nearlyMm || $along < -$this->nearlyMm || $along > $long + $this->nearlyMm) {
                    return false;
                }
            }
        }

        return true;
    }
}
