<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Settling;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Vector;

/** Where every place of the wires of a part is while they are pushed aside, each as stiffly as it is. Millimetres. */
final class Shift
{
    /** Of its thickness: so far apart the knots are that a wire is pushed at, and at least. */
    private const STIFF = 1.5;

    private const LEAST_MM = 0.6;

    /** What weighs less is pushed in part. */
    private const WEIGHT = 0.7;

    /** @var array<int, float> where every place is now */
    public array $x;

    /** @var array<int, float> */
    public array $y;

    /** @var array<int, float> */
    public array $z;

    /** @var array<int, int> every place that was pushed so far */
    public array $pushed = [];

    /** @var list<int> of every place, the first of the four knots that it follows */
    private array $knot = [];

    /** @var list<array{float, float, float, float}> how much it follows each */
    private array $follows = [];

    /** @var list<array{float, float, float}> how far each knot is pushed */
    private array $by;

    /** @var array<int, float> how much each gives: nothing where a bead holds its wire */
    private array $gives = [];

    /** @var array<int, non-empty-list<int>> the places that follow a knot first */
    private array $following = [];

    /** @var list<array{int, float}> of every wire its first knot, and how far apart they are */
    private array $wires = [];

    public function __construct(private readonly Bodies $bodies)
    {
        [$this->x, $this->y, $this->z] = [$bodies->x, $bodies->y, $bodies->z];
        foreach ($bodies->first as $wire => $first) {
            $this->wire($first, $bodies->first[$wire + 1] ?? count($bodies->x));
        }
        $this->by = array_fill(0, count($this->gives), [0.0, 0.0, 0.0]);
        foreach ($this->knot as $place => $knot) {
            $this->following[$knot][] = $place;
        }
    }

    private function wire(int $first, int $next): void
    {
        $thick = max([0.0, ...array_slice($this->bodies->thick, $first, $next - $first)]);
        $apart = max(self::LEAST_MM, self::STIFF * $thick);
        $knot = count($this->gives);
        $this->wires[] = [$knot, $apart];
        $knots = $first < $next ? (int) floor($this->bodies->mm[$next - 1] / $apart) + 4 : 0;
        array_push($this->gives, ...array_fill(0, $knots, 1.0));
        for ($place = $first; $place < $next; $place++) {
            $share = $this->bodies->mm[$place] / $apart;
            $on = (int) floor($share);
            $this->knot[] = $knot + $on;
            $this->follows[] = Aside::weights($share - $on);
            $nearest = $knot + 1 + (int) round($share);
            $gives = min(1.0, $this->bodies->gives[$place] / Bodies::FIRM);
            $this->gives[$nearest] = min($this->gives[$nearest], $gives);
        }
    }

    public function at(int $place): Vector
    {
        return new Vector($this->x[$place], $this->y[$place], $this->z[$place]);
    }

    public function apartMm(int $one, int $other): float
    {
        $x = $this->x[$one] - $this->x[$other];
        $y = $this->y[$one] - $this->y[$other];
        $z = $this->z[$one] - $this->z[$other];

        return sqrt($x * $x + $y * $y + $z * $z);
    }

    /** @param  array<int, array{float, float, float}>  $pushes  by place */
    public function push(array $pushes): void
    {
        $moves = [];
        foreach ($pushes as $place => [$x, $y, $z]) {
            foreach ($this->follows[$place] as $on => $share) {
                $knot = $this->knot[$place] + $on;
                [$wasX, $wasY, $wasZ, $was] = $moves[$knot] ?? [0.0, 0.0, 0.0, 0.0];
                $moves[$knot] = [$wasX + $share * $x, $wasY + $share * $y, $wasZ + $share * $z, $was + $share];
            }
        }
        $follow = [];
        foreach ($moves as $knot => [$x, $y, $z, $weight]) {
            $by = $this->gives[$knot] / max($weight, self::WEIGHT);
            $was = $this->by[$knot];
            $this->by[$knot] = [$was[0] + $by * $x, $was[1] + $by * $y, $was[2] + $by * $z];
            $follow += [$knot - 3 => true, $knot - 2 => true, $knot - 1 => true, $knot => true];
        }
        foreach (array_keys($follow) as $knot) {
            $this->follow($knot);
        }
    }

    /** The places that follow a knot first go where it is now, and the three after it. */
    private function follow(int $knot): void
    {
        if (! isset($this->following[$knot])) {
            return;
        }
        [$k, $l, $m, $n] = array_slice($this->by, $knot, 4);
        foreach ($this->following[$knot] as $place) {
            [$a, $b, $c, $d] = $this->follows[$place];
            $this->x[$place] = $this->bodies->x[$place] + $a * $k[0] + $b * $l[0] + $c * $m[0] + $d * $n[0];
            $this->y[$place] = $this->bodies->y[$place] + $a * $k[1] + $b * $l[1] + $c * $m[1] + $d * $n[1];
            $this->z[$place] = $this->bodies->z[$place] + $a * $k[2] + $b * $l[2] + $c * $m[2] + $d * $n[2];
            $this->pushed[$place] = $place;
        }
    }

    /**
     * @param  list<Course>  $courses
     * @return list<Aside> how far each of them was pushed
     */
    public function asides(array $courses): array
    {
        $asides = [];
        foreach ($this->wires as $wire => [$first, $apart]) {
            $knots = array_slice($this->by, $first, ($this->wires[$wire + 1][0] ?? count($this->by)) - $first);
            $asides[] = Aside::of($courses[$wire], $apart, array_filter(array_map(
                fn (array $by): array => array_map(fn (float $mm): float => round($mm, 4), $by), $knots,
            ), fn (array $by): bool => $by !== [0.0, 0.0, 0.0]));
        }

        return $asides;
    }
}
