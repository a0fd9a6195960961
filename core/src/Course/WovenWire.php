<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Hebra\Core\Wrap\BandLayout;
use Hebra\Core\Wrap\BandSection;
use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\WeavePattern;

/**
 * How the weaving wire of a band runs over its cores, which go down from a height: every turn of a figure round all that
 * it takes, in front first; the passes of a basket as a taut string. From one figure to the next it goes behind.
 * Millimetres.
 */
final readonly class WovenWire
{
    public function __construct(private BandLayout $band, private float $topMm)
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
                $section->weave instanceof WeavePattern => $this->figures($section, $section->weave),
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

    /** @return list<Span> */
    private function figures(BandSection $section, WeavePattern $weave): array
    {
        $turns = [];
        foreach ($weave->figures as $figure) {
            $edges = [$this->x($figure['from']), $this->x($figure['to'])];
            array_push($turns, ...array_fill(0, $figure['turns'], $edges));
        }
        $pitch = $section->lengthMm / $section->repeats / count($turns);
        $one = [];
        foreach ($turns as $turn => [$left, $right]) {
            $next = $turns[($turn + 1) % count($turns)][0];
            $y = $this->topMm + $section->fromMm + $turn * $pitch;
            array_push($one, ...self::turn($this->radiusMm(), $left, $right, $next, $y, $pitch));
        }

        return self::repeated($one, $section);
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
        $climb = $pitchMm / (2 * M_PI * $r + 2 * $rightMm - $leftMm - $nextMm);

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
     * @param  non-empty-list<array{float, float, float, float}>  $stops  across, towards the front, and how it heads there
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
