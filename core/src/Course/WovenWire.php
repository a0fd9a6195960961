<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Wrap\BandLayout;
use Hebra\Core\Wrap\BandSection;
use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\WeavePattern;

/**
 * How the weaving wire of a band runs over its cores, which go down from a height: every turn of a figure round all
 * that it takes, in front first; the passes of a basket as a taut string, flat across, on where it goes round its outer
 * cores. From one figure to the next it goes behind.
 * Millimetres.
 */
final class WovenWire
{
    /** @var list<list<Span>>|null */
    private ?array $sections = null;

    /** @var array<int, list<array{Strung, float}>> where beads stand, by section: asked for by each length of wire */
    private array $stand = [];

    /** @param  array<int, array<int, Strung>>  $beads  on the front of a repeat of a figure, by section and repeat */
    public function __construct(
        private readonly BandLayout $band, private readonly float $topMm, private readonly array $beads = [],
    ) {
    }

    public function start(): Frame
    {
        $first = $this->sections()[0][0]
            ?? Span::straight(new Vector(0.0, $this->topMm), new Vector(0.0, $this->topMm + 1));

        return Frame::turned($first->from, $first->runs(0.0)->unit(), new Vector(0.0, 1.0));
    }

    /** @return list<list<Span>> of each section */
    public function sections(): array
    {
        return $this->sections ??= $this->woven();
    }

    /** @return list<list<Span>> */
    private function woven(): array
    {
        $sections = [];
        $last = null;
        foreach ($this->band->sections as $at => $section) {
            $spans = match (true) {
                $section->weave instanceof WeavePattern => $this->figures($at, $section, $section->weave),
                $section->weave instanceof BasketWeave => $this->basket($section, $section->weave),
                default => [],
            };
            $to = $spans[0]->from ?? null;
            // What does not begin where the wire came to is reached behind.
            if ($last !== null && $to !== null && $last->minus($to)->lengthMm() > 1e-6) {
                $sections[$at - 1][] = Span::straight($last, $to);
            }
            $sections[$at] = $spans;
            $last = $spans === [] ? $last : $spans[count($spans) - 1]->to;
        }

        return array_values($sections);
    }

    /** The middle of the core round whose left side the wire of a section begins; null where it is not woven. */
    private function firstMm(int $at): ?float
    {
        $weave = ($this->band->sections[$at] ?? null)?->weave;

        return match (true) {
            $weave instanceof WeavePattern => $this->x($weave->figures[0]['from']),
            $weave instanceof BasketWeave => $this->x(1) + min(array_column($this->string($weave), 'x'))
                + $this->radiusMm(),
            default => null,
        };
    }

    /** @return non-empty-list<array{x: float, z: float, heading: float}> */
    private function string(BasketWeave $weave): array
    {
        return $weave->string($this->band->coreMm, $this->band->wireMm, $this->band->spacingMm);
    }

    private function x(int $place): float
    {
        return ($place - 1 - ($this->band->cores - 1) / 2) * $this->band->spacingMm;
    }

    /**
     * Where the beads of a section stand on its wire, mm from where that begins.
     *
     * @return list<array{Strung, float}>
     */
    public function beadsOn(int $section): array
    {
        $woven = $this->band->sections[$section];

        return $woven->weave instanceof WeavePattern
            ? $this->stand[$section] ??= $this->standing($section, $woven, $woven->weave)
            : [];
    }

    /** @return list<array{Strung, float}> */
    private function standing(int $section, BandSection $woven, WeavePattern $weave): array
    {
        [$stand, $mm, $known] = [[], 0.0, []];
        $plain = (new Curve($this->repeat($woven, $weave)[0]))->lengthMm();
        for ($repeat = 0; $repeat < $woven->repeats; $repeat++) {
            $strung = $this->beads[$section][$repeat] ?? null;
            if ($strung === null) {
                $mm += $plain;

                continue;
            }
            // Repeats with alike beads are alike.
            [$toBead, $all] = $known[spl_object_id($strung->bead)] ??= $this->repeatMm($woven, $weave, $strung);
            $stand[] = [$strung, $mm + $toBead];
            $mm += $all;
        }

        return $stand;
    }

    /** @return array{float, float} how long a repeat is up to the end of its bead, and in all */
    private function repeatMm(BandSection $woven, WeavePattern $weave, Strung $strung): array
    {
        [$spans, $through] = $this->repeat($woven, $weave, $strung);

        return [(new Curve(array_slice($spans, 0, $through)))->lengthMm(), (new Curve($spans))->lengthMm()];
    }

    /** @return list<Span> one repeat after the other, the last on to where the next section begins */
    private function figures(int $at, BandSection $section, WeavePattern $weave): array
    {
        [$beads, $nextMm] = [$this->beads[$at] ?? [], $this->firstMm($at + 1)];
        [$plain] = $this->repeat($section, $weave);
        $all = [];
        for ($repeat = 0; $repeat < $section->repeats; $repeat++) {
            $on = new Vector(0.0, $repeat * $section->lengthMm / $section->repeats);
            $next = $repeat + 1 === $section->repeats ? $nextMm : null;
            $isPlain = ! isset($beads[$repeat]) && $next === null;
            $one = $isPlain ? $plain : $this->repeat($section, $weave, $beads[$repeat] ?? null, $next)[0];
            array_push($all, ...array_map(fn (Span $span): Span => $span->moved($on), $one));
        }

        return $all;
    }

    /**
     * The first repeat of a section, with a bead on the last turn of its widest figure where one is given.
     *
     * @return array{list<Span>, int} its spans, and which of them goes through the bead
     */
    private function repeat(
        BandSection $section, WeavePattern $weave, ?Strung $strung = null, ?float $nextMm = null,
    ): array {
        $turns = [];
        foreach ($weave->figures as $figure) {
            $edges = [$this->x($figure['from']), $this->x($figure['to'])];
            array_push($turns, ...array_fill(0, $figure['turns'], $edges));
        }
        $wide = array_map(fn (array $edges): float => round($edges[1] - $edges[0], 9), $turns);
        $widest = max([0.0, ...$wide]);
        $last = $strung === null ? null : max([0, ...array_keys($wide, $widest, true)]);
        $pitch = $section->lengthMm / $section->repeats / count($turns);
        [$one, $through] = [[], 0];
        foreach ($turns as $turn => [$left, $right]) {
            $next = $turns[$turn + 1][0] ?? $nextMm ?? $turns[0][0];
            $y = $this->topMm + $section->fromMm + $turn * $pitch;
            $round = self::turn($this->radiusMm(), $left, $right, $next, $y, $pitch);
            if ($turn === $last) {
                // Along the front, which is its second span.
                $through = count($one) + 2;
                array_splice($round, 1, 1, $this->over($round[1], $strung->bead));
            }
            array_push($one, ...$round);
        }

        return [$one, $through];
    }

    /** @return list<Span> up to a bead's hole, through it, and down again, instead of straight along the front */
    private function over(Span $front, Bead $bead): array
    {
        $way = $front->to->minus($front->from);
        $long = min($bead->lengthMm, $way->lengthMm());
        $half = $way->unit()->times($long / 2);
        $middle = $front->at(0.5)->plus(new Vector(0.0, 0.0, max(0.0, ($bead->widthMm - $this->band->wireMm) / 2)));
        [$in, $out] = [$middle->minus($half), $middle->plus($half)];

        return [Span::straight($front->from, $in), Span::straight($in, $out), Span::straight($out, $front->to)];
    }

    private function radiusMm(): float
    {
        return ($this->band->coreMm + $this->band->wireMm) / 2;
    }

    /**
     * @param  list<Span>  $one
     * @return list<Span> as often as the section has it
     */
    private static function repeated(array $one, BandSection $section): array
    {
        $all = $one;
        for ($repeat = 1; $repeat < $section->repeats; $repeat++) {
            $on = new Vector(0.0, $repeat * $section->lengthMm / $section->repeats);
            array_push($all, ...array_map(fn (Span $span): Span => $span->moved($on), $one));
        }

        return $all;
    }

    /** @return list<Span> in front from the left edge to the right, and back behind */
    private static function turn(
        float $r, float $leftMm, float $rightMm, float $nextMm, float $yMm, float $pitchMm,
    ): array {
        $stops = [
            [$leftMm - $r, 0.0, 0.0, 1.0], [$leftMm, $r, 1.0, 0.0],
            [$rightMm, $r, 1.0, 0.0], [$rightMm + $r, 0.0, 0.0, -1.0],
            [$rightMm, -$r, -1.0, 0.0], [$nextMm, -$r, -1.0, 0.0], [$nextMm - $r, 0.0, 0.0, 1.0],
        ];
        $climb = $pitchMm / (2 * M_PI * $r + $rightMm - $leftMm + abs($rightMm - $nextMm));

        return self::joined($stops, $yMm, array_fill(0, count($stops) - 1, $climb));
    }

    /** @return list<Span> */
    private function basket(BandSection $section, BasketWeave $weave): array
    {
        $string = $this->string($weave);
        $across = array_column($string, 'x');
        $first = (int) array_search(min($across), $across, true);
        $stops = [];
        foreach ([...array_slice($string, $first), ...array_slice($string, 0, $first + 1)] as $stop) {
            $stops[] = [$this->x(1) + $stop['x'], $stop['z'], cos($stop['heading']), sin($stop['heading'])];
        }
        $edges = [$this->x(1) + min($across) + $this->radiusMm(), $this->x(1) + max($across) - $this->radiusMm()];
        $isOutside = fn (float $x): bool => $x < $edges[0] + 1e-6 || $x > $edges[1] - 1e-6;
        $flat = array_fill(0, count($stops) - 1, 0.0);
        $round = 0.0;
        foreach (self::joined($stops, 0.0, $flat) as $span) {
            $round += $isOutside($span->from->x) && $isOutside($span->to->x) ? $span->lengthMm() : 0.0;
        }
        $climb = $section->lengthMm / $section->repeats / max(1e-9, $round);
        $climbs = array_map(
            fn (int $at): float => $isOutside($stops[$at][0]) && $isOutside($stops[$at + 1][0]) ? $climb : 0.0,
            array_keys($flat),
        );

        return self::repeated(self::joined($stops, $this->topMm + $section->fromMm, $climbs), $section);
    }

    /**
     * @param  non-empty-list<array{float, float, float, float}>  $stops across, towards the front, and how it heads
     *     there
     * @param  list<float>  $climbs  from each to the next, mm a mm of its way
     * @return list<Span>
     */
    private static function joined(array $stops, float $yMm, array $climbs): array
    {
        $spans = [];
        $last = null;
        foreach ($stops as $at => [$x, $z, $dx, $dz]) {
            [$came, $goes] = [$climbs[$at - 1] ?? $climbs[0] ?? 0.0, $climbs[$at] ?? $climbs[$at - 1] ?? 0.0];
            $heading = new Vector($dx, ($came + $goes) / 2, $dz);
            $next = [new Vector($x, $last === null ? $yMm : $last[0]->y, $z), $heading->unit()];
            if ($last !== null) {
                $span = self::between($last, $next, $came);
                if ($span === null) {
                    continue;
                }
                $spans[] = $span;
                $next[0] = $span->to;
            }
            $last = $next;
        }

        return $spans;
    }

    /**
     * @param  array{Vector, Vector}  $last  place and heading
     * @param  array{Vector, Vector}  $next
     */
    private static function between(array $last, array $next, float $climb): ?Span
    {
        [[$from, $headed], [$to, $heads]] = [$last, $next];
        $chord = hypot($to->x - $from->x, $to->z - $from->z);
        if ($chord < 1e-9) {
            return null;
        }
        $alike = ($heads->x * $headed->x + $heads->z * $headed->z)
            / max(1e-9, hypot($headed->x, $headed->z) * hypot($heads->x, $heads->z));
        $angle = acos(max(-1.0, min(1.0, $alike)));
        $along = $angle < 1e-3 ? $chord : $chord * $angle / 2 / sin($angle / 2);
        $on = $to->plus(new Vector(0.0, $climb * $along));

        return $angle < 1e-3 ? Span::straight($from, $on) : Span::along($from, $headed, $on, $heads);
    }
}
