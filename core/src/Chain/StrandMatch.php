<?php

declare(strict_types=1);

namespace Hebra\Core\Chain;

/**
 * How many links each piece of chain takes so that what stands between them on a second strand comes to lie where it is
 * wanted, such as amid the gaps of the first. The middle of an element lies at (links before it)·pitch + what else
 * stands before it + half of itself; the whole strand is to end at a length. Chosen: the least largest error, then the
 * least sum of squares, then the fewest links. Exact: every choice that could be better is weighed.
 *
 * Units: millimetres. Each piece has at least one link. Source: geometry. Cost: O(m · w²) for m elements and windows of
 * w links.
 */
final readonly class StrandMatch
{
    /**
     * @param  list<int>  $links  of each piece, one more than there are elements
     * @param  list<float>  $errorsMm of each element, and last that of the strand's end: more than 0, it lies too far
     *     on
     */
    private function __construct(public array $links, public array $errorsMm)
    {
    }

    /**
     * @param  list<float>  $wantedMm  where the middle of each element is wanted
     * @param  float  $endMm  where the strand is to end
     * @param  list<float>  $elementsMm  how long each element is, all that is no chain counted in
     */
    public static function of(array $wantedMm, float $endMm, array $elementsMm, float $pitchMm): self
    {
        // Each target as links from the start: what else stands before it taken off.
        $ideal = [];
        $before = 0.0;
        foreach ($elementsMm as $at => $element) {
            $ideal[] = ($wantedMm[$at] - $before - $element / 2) / $pitchMm;
            $before += $element;
        }
        $ideal[] = ($endMm - $before) / $pitchMm;
        $windows = self::windows($ideal);
        $most = self::leastWorst($ideal, $windows);
        $sums = self::leastSquares($ideal, $windows, $most);
        $links = $errors = [];
        $last = 0;
        foreach ($sums as $at => $sum) {
            $links[] = $sum - $last;
            $errors[] = ($sum - $ideal[$at]) * $pitchMm;
            $last = $sum;
        }

        return new self($links, $errors);
    }

    public function worstMm(): float
    {
        return array_reduce($this->errorsMm, fn (float $most, float $error): float => max($most, abs($error)), 0.0);
    }

    /**
     * The largest error of the same elements with other numbers of links, mm.
     *
     * @param  list<int>  $links
     * @param  list<float>  $wantedMm
     * @param  list<float>  $elementsMm
     */
    public static function worstOfMm(
        array $links, array $wantedMm, float $endMm, array $elementsMm, float $pitchMm,
    ): float {
        $at = $worst = 0.0;
        foreach ($links as $piece => $count) {
            $at += $count * $pitchMm;
            $element = $elementsMm[$piece] ?? 0.0;
            $worst = max($worst, abs($at + $element / 2 - ($wantedMm[$piece] ?? $endMm)));
            $at += $element;
        }

        return $worst;
    }

    /**
     * Numbers of links up to each element that may be the best: so far from the ideal as the least link a piece can
     * push it.
     *
     * @param  list<float>  $ideal
     * @return list<array{int, int}>
     */
    private static function windows(array $ideal): array
    {
        $windows = [];
        $low = 0;
        foreach ($ideal as $at => $one) {
            $low = max($low + 1, (int) floor($one) - count($ideal));
            $windows[] = [
                max($at + 1, min($low, (int) floor($one) - count($ideal))),
                max($at + 1, (int) ceil($one) + count($ideal)),
            ];
            $low = $windows[$at][0];
        }

        return $windows;
    }

    /**
     * @param  list<float>  $ideal
     * @param  list<array{int, int}>  $windows
     */
    private static function leastWorst(array $ideal, array $windows): float
    {
        // best[n]: the least largest error with n links up to here.
        $best = [0 => 0.0];
        foreach ($ideal as $at => $one) {
            $next = [];
            for ($sum = $windows[$at][0]; $sum <= $windows[$at][1]; $sum++) {
                foreach ($best as $last => $worst) {
                    if ($last < $sum) {
                        $next[$sum] = min($next[$sum] ?? INF, max($worst, abs($sum - $one)));
                    }
                }
            }
            $best = $next;
        }

        return $best === [] ? INF : min($best);
    }

    /**
     * @param  list<float>  $ideal
     * @param  list<array{int, int}>  $windows
     * @return list<int> links up to each element
     */
    private static function leastSquares(array $ideal, array $windows, float $mostError): array
    {
        // best[n]: the least sum of squares with n links up to here, and how; of equals the first, which has fewer
        // links.
        $best = [0 => [0.0, []]];
        foreach ($ideal as $at => $one) {
            $next = [];
            for ($sum = $windows[$at][0]; $sum <= $windows[$at][1]; $sum++) {
                if (abs($sum - $one) > $mostError + 1e-9) {
                    continue;
                }
                foreach ($best as $last => [$squares, $path]) {
                    $with = $squares + ($sum - $one) ** 2;
                    if ($last < $sum && (! isset($next[$sum]) || $with < $next[$sum][0] - 1e-12)) {
                        $next[$sum] = [$with, [...$path, $sum]];
                    }
                }
            }
            $best = $next;
        }
        $chosen = null;
        foreach ($best as $one) {
            $chosen = $chosen === null || $one[0] < $chosen[0] - 1e-12 ? $one : $chosen;
        }

        return $chosen[1] ?? range(1, count($ideal));
    }
}
