<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Settling;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Vector;

/**
 * Wires that give way to each other: where two would stand in the same place each is pushed aside as far as it gives,
 * until they touch. What a bead holds stays, what is formed gives less than what only leads from one place to another.
 * Passes of a weave are pulled between each other and are left as they are. Millimetres. Source: geometry.
 */
final class Settling
{
    /** Of the thinner of two: what presses deeper is pushed, until it presses no deeper than where it touches. */
    private const PRESSES = 0.1;

    private const TOUCHES = 0.065;

    /** Of the thinner of two: so deep a place may press where others are pushed. */
    private const LET = 0.05;

    /** Worked over so many times at most, looking anew who is near whom every few times. */
    private const ROUNDS = 90;

    private const ANEW = 24;

    /** So much farther than it needs a place is pushed at once. */
    private const EAGER = 1.6;

    /** Of what they touch at: nearer than this their middles tell no direction. */
    private const ONE_PLACE = 0.6;

    /** The sine of two wires that run alike, and what lies no farther to a side lies on none. */
    private const ALIKE = 0.3;

    private const ON_IT_MM = 0.02;

    private const NONE = [0.0, 0.0, 0.0, 0.0];

    private readonly Shift $shift;

    private readonly Contacts $contacts;

    private function __construct(private readonly Bodies $bodies)
    {
        $this->shift = new Shift($bodies);
        $this->contacts = new Contacts($bodies, $this->shift);
    }

    /**
     * @param  list<array{Course, float}>  $wires  each with its thickness; none of what is no wire
     * @return list<Aside> how far each is pushed aside
     */
    public static function asides(array $wires): array
    {
        $settling = new self(new Bodies($wires));
        $settling->relax();

        return $settling->shift->asides(array_column($wires, 0));
    }

    private function relax(): void
    {
        [$near, $looked] = [$this->contacts->pressing(self::PRESSES), 0];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $pushes = $round < $looked + self::ANEW ? $this->pushes($near) : [];
            if ($pushes === [] && $round > 0) {
                [$near, $looked] = [$this->contacts->near(), $round];
                $pushes = $this->pushes($near);
            }
            if ($pushes === []) {
                return;
            }
            $this->shift->push($pushes);
        }
    }

    /**
     * Where to every place that is pressed is pushed, the deepest pressing counting most.
     *
     * @param  list<array{int, int, float}>  $near
     * @return array<int, array{float, float, float}> none where all only touch
     */
    private function pushes(array $near): array
    {
        [$thick, $gives] = [$this->bodies->thick, $this->bodies->gives];
        [$x, $y, $z] = [$this->shift->x, $this->shift->y, $this->shift->z];
        $pushes = [];
        $deepest = 0.0;
        foreach ($near as [$one, $other, $touch]) {
            [$asideX, $asideY, $asideZ] = [$x[$one] - $x[$other], $y[$one] - $y[$other], $z[$one] - $z[$other]];
            $deep = $touch - sqrt($asideX * $asideX + $asideY * $asideY + $asideZ * $asideZ);
            $pressed = $deep / min($thick[$one], $thick[$other]);
            if ($pressed < self::LET) {
                continue;
            }
            $deepest = max($deepest, $pressed);
            $way = $this->away($one, $other, $touch);
            $share = $gives[$one] / ($gives[$one] + $gives[$other]);
            $pushes[$one] = self::more($pushes[$one] ?? self::NONE, $way->times($share * $deep), $deep);
            $pushes[$other] = self::more($pushes[$other] ?? self::NONE, $way->times(($share - 1) * $deep), $deep);
        }

        return $deepest <= self::TOUCHES ? [] : array_map(
            fn (array $push): array => [
                self::EAGER * $push[0] / $push[3], self::EAGER * $push[1] / $push[3],
                self::EAGER * $push[2] / $push[3],
            ],
            $pushes,
        );
    }

    /**
     * @param  array{float, float, float, float}  $push
     * @return array{float, float, float, float}
     */
    private static function more(array $push, Vector $by, float $weight): array
    {
        return [
            $push[0] + $weight * $by->x, $push[1] + $weight * $by->y, $push[2] + $weight * $by->z, $push[3] + $weight,
        ];
    }

    /** From the second to the first of two that press, one millimetre long. */
    private function away(int $one, int $other, float $touch): Vector
    {
        $away = $this->shift->at($one)->minus($this->shift->at($other));

        return $away->lengthMm() < self::ONE_PLACE * $touch ? $this->aside($one, $other, $away) : $away->unit();
    }

    /** Square to two wires that stand in one place; what was laid later comes to lie before the other, or beside it. */
    private function aside(int $one, int $other, Vector $away): Vector
    {
        $runs = $this->bodies->runs[$one]->unit();
        $square = $runs->cross($this->bodies->runs[$other]->unit());
        if ($square->lengthMm() < self::ALIKE) {
            $square = $runs->cross(new Vector(0.0, 0.0, 1.0));
        }
        $square = $square->lengthMm() < self::ALIKE ? new Vector(0.0, 0.0, 1.0) : $square->unit();
        $along = $square->dot($away);
        $isOther = abs($along) < self::ON_IT_MM ? $square->z > 0.0 : $along < 0.0;

        return $isOther ? $square->times(-1.0) : $square;
    }
}
