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
 * that
 * it takes, in front first; the passes of a basket as a taut string. From one figure to the next it goes behind.
 * Millimetres.
 */
final readonly class WovenWire
{
    /** @param  array<int, array<int, Strung>>  $beads  on the front of a repeat of a figure, by section and repeat */
    public function __construct(private BandLayout $band, private float $topMm, private array $beads = [])
    {
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
        $sections = [];
        $last = null;
        foreach ($this->band->sections as $at => $section) {
            $spans = match (true) {
                $section->weave instanceof WeavePattern => $this->figures(
                    $section, $section->weave, $this->beads[$at] ?? [],
                ),
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
        $stand = [];
        $woven = $this->band->sections[$section];
        if (! $woven->weave instanceof WeavePattern) {
            return [];
        }
        $mm = 0.0;
        $plain = (new Curve($this->repeat($woven, $woven->weave)[0]))->lengthMm();
        for ($repeat = 0; $repeat < $woven->repeats; $repeat++) {
            $strung = $this->beads[$section][$repeat] ?? null;
            if ($strung === null) {
                $mm += $plain;

                continue;
            }
            [$spans, $through] = $this->repeat($woven, $woven->weave, $strung);
            $stand[] = [$strung, $mm + (new Curve(array_slice($spans, 0, $through)))->lengthMm()];
            $mm += (new Curve($spans))->lengthMm();
        }

        return $stand;
    }

    /**
     * @param  array<int, Strung>  $beads  by the repeat
     * @return list<Span>
     */
    private function figures(BandSection $section, WeavePattern $weave, array $beads): array
    {
        [$plain] = $this->repeat($section, $weave);
        $all = [];
        for ($repeat = 0; $repeat < $section->repeats; $repeat++) {
            $on = new Vector(0.0, $repeat * $section->lengthMm / $section->repeats);
            $one = isset($beads[$repeat]) ? $this->repeat($section, $weave, $beads[$repeat])[0] : $plain;
            array_push($all, ...($repeat === 0 ? $one : array_map(fn (Span $span): Span => $span->moved($on), $one)));
        }

        return $all;
    }

    /**
     * The first repeat of a section, with a bead on the last turn of its widest figure where one is given.
     *
     * @return array{list<Span>, int} its spans, and which of them goes through the bead
     */
    private function repeat(BandSection $section, WeavePattern $weave, ?Strung $strung = null): array
    {
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
            $next = $turns[($turn + 1) % count($turns)][0];
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

        return self::joined($stops, $yMm, $climb);
    }

    /** @return list<Span> */
    private function basket(BandSection $section, BasketWeave $weave): array
    {
        $string = $weave->string($this->band->coreMm, $this->band->wireMm, $this->band->spacingMm);
        $stops = [];
        foreach ($string as ['x' => $x, 'z' => $z, 'heading' => $heading]) {
            $stops[] = [$this->x(1) + $x, $z, cos($heading), sin($heading)];
        }
        $stops[] = $stops[0];
        $flat = array_sum(array_map(fn (Span $span): float => $span->lengthMm(), self::joined($stops, 0.0, 0.0)));
        $climb = $section->lengthMm / $section->repeats / max(1e-9, $flat);

        return self::repeated(self::joined($stops, $this->topMm + $section->fromMm, $climb), $section);
    }

    /**
     * @param  non-empty-list<array{float, float, float, float}>  $stops across, towards the front, and how it heads
     *     there
     * @return list<Span> climbing evenly
     */
    private static function joined(array $stops, float $yMm, float $climb): array
    {
        $spans = [];
        [$x, $z, $dx, $dz] = $stops[0];
        $last = [new Vector($x, $yMm, $z), (new Vector($dx, $climb, $dz))->unit()];
        foreach (array_slice($stops, 1) as [$x, $z, $dx, $dz]) {
            $chord = hypot($x - $last[0]->x, $z - $last[0]->z);
            $headed = $last[1];
            $alike = ($dx * $headed->x + $dz * $headed->z) / max(1e-9, hypot($headed->x, $headed->z));
            $angle = acos(max(-1.0, min(1.0, $alike)));
            if ($chord < 1e-9) {
                continue;
            }
            $along = $angle < 1e-3 ? $chord : $chord * $angle / 2 / sin($angle / 2);
            $next = [new Vector($x, $last[0]->y + $climb * $along, $z), (new Vector($dx, $climb, $dz))->unit()];
            $spans[] = $angle < 1e-3
                ? Span::straight($last[0], $next[0])
                : Span::along($last[0], $headed, $next[0], $next[1]);
            $last = $next;
        }

        return $spans;
    }
}
