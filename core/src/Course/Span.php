<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/**
 * A short stretch of a centreline as a cubic curve: where it begins, two points that draw it, where it ends.
 * Millimetres. An arc of a quarter turn drawn so is out by less than three ten-thousandths of its radius.
 */
final class Span
{
    /** Points and weights of Gauss and Legendre's rule of five over 0…1 [Abramowitz & Stegun, table 25.4]. */
    private const RULE = [
        [0.0469100770, 0.1184634425], [0.2307653449, 0.2393143352], [0.5, 0.2844444444],
        [0.7692346551, 0.2393143352], [0.9530899230, 0.1184634425],
    ];

    private ?float $lengthMm = null;

    private ?float $reachMm = null;

    private ?bool $isStraight = null;

    public function __construct(
        public readonly Vector $from, public readonly Vector $first, public readonly Vector $second,
        public readonly Vector $to,
        /** what it is a copy of, and how far from it that lies */
        public readonly ?self $original = null,
        public readonly ?Vector $by = null,
    ) {
    }

    /** The same so much farther off. */
    public function moved(Vector $by): self
    {
        return new self(
            $this->from->plus($by), $this->first->plus($by), $this->second->plus($by), $this->to->plus($by),
            $this->original ?? $this, $this->by?->plus($by) ?? $by,
        );
    }

    public static function straight(Vector $from, Vector $to): self
    {
        $third = $to->minus($from)->times(1 / 3);

        return new self($from, $from->plus($third), $to->minus($third), $to);
    }

    /** Between two places with the direction in each, its pull as long as it would be on an arc between them. */
    public static function along(Vector $from, Vector $leaves, Vector $to, Vector $comes): self
    {
        $turn = acos(max(-1.0, min(1.0, $leaves->dot($comes))));
        $chord = $to->minus($from)->lengthMm();
        // Of an arc: its radius is half its chord over the sine of half its turn, the pull 4/3·tan(turn/4) of it.
        $pull = $turn < 1e-3 ? $chord / 3 : 4 / 3 * tan($turn / 4) * $chord / 2 / sin($turn / 2);

        return new self($from, $from->plus($leaves->times($pull)), $to->minus($comes->times($pull)), $to);
    }

    public function at(float $share): Vector
    {
        // Multiplied out: this is asked for more often than anything else.
        $rest = 1 - $share;
        [$square, $restSquare] = [$share * $share, $rest * $rest];
        [$k, $l, $m, $n] = [$rest * $restSquare, 3 * $restSquare * $share, 3 * $rest * $square, $share * $square];
        [$a, $b, $c, $d] = [$this->from, $this->first, $this->second, $this->to];

        return new Vector(
            $k * $a->x + $l * $b->x + $m * $c->x + $n * $d->x,
            $k * $a->y + $l * $b->y + $m * $c->y + $n * $d->y,
            $k * $a->z + $l * $b->z + $m * $c->z + $n * $d->z,
        );
    }

    /** How it runs there, not yet of length one. */
    public function runs(float $share): Vector
    {
        $rest = 1 - $share;
        [$k, $l, $m] = [3 * $rest * $rest, 6 * $rest * $share, 3 * $share * $share];
        [$a, $b, $c, $d] = [$this->from, $this->first, $this->second, $this->to];

        return new Vector(
            $k * ($b->x - $a->x) + $l * ($c->x - $b->x) + $m * ($d->x - $c->x),
            $k * ($b->y - $a->y) + $l * ($c->y - $b->y) + $m * ($d->y - $c->y),
            $k * ($b->z - $a->z) + $l * ($c->z - $b->z) + $m * ($d->z - $c->z),
        );
    }

    /**
     * No place of it is farther down than this; up, where that is asked for.
     *
     * @param  float  $down  1 downwards, −1 upwards
     */
    public function reaches(float $down): float
    {
        return max($down * $this->from->y, $down * $this->first->y, $down * $this->second->y, $down * $this->to->y);
    }

    /** No place of it is farther from where it begins. */
    public function reachMm(): float
    {
        return $this->reachMm ??= $this->original?->reachMm() ?? max(
            $this->first->minus($this->from)->lengthMm(), $this->second->minus($this->from)->lengthMm(),
            $this->to->minus($this->from)->lengthMm(),
        );
    }

    public function lengthMm(): float
    {
        return $this->lengthMm ??= $this->original?->lengthMm() ?? $this->measured();
    }

    private function measured(): float
    {
        [$a, $b, $c, $d] = [$this->from, $this->first, $this->second, $this->to];
        [$ux, $uy, $uz] = [$b->x - $a->x, $b->y - $a->y, $b->z - $a->z];
        [$vx, $vy, $vz] = [$c->x - $b->x, $c->y - $b->y, $c->z - $b->z];
        [$wx, $wy, $wz] = [$d->x - $c->x, $d->y - $c->y, $d->z - $c->z];
        $length = 0.0;
        foreach (self::RULE as [$share, $weight]) {
            $rest = 1 - $share;
            [$k, $l, $m] = [3 * $rest * $rest, 6 * $rest * $share, 3 * $share * $share];
            $length += $weight * sqrt(
                ($k * $ux + $l * $vx + $m * $wx) ** 2 + ($k * $uy + $l * $vy + $m * $wy) ** 2
                    + ($k * $uz + $l * $vz + $m * $wz) ** 2,
            );
        }

        return $length;
    }

    /** As what share of it so many of its millimetres are gone: its speed told by a parabola, twice bettered. */
    public function shareAt(float $mm, float $lengthMm): float
    {
        if ($lengthMm < 1e-9) {
            return 0.0;
        }
        [$first, $middle, $last] = [
            $this->runs(0.0)->lengthMm(), $this->runs(0.5)->lengthMm(), $this->runs(1.0)->lengthMm(),
        ];
        [$linear, $square] = [4 * $middle - 3 * $first - $last, 2 * ($first + $last) - 4 * $middle];
        // So that all of it is its length.
        $scale = $lengthMm / max(1e-9, $first + $linear / 2 + $square / 3);
        $share = max(0.0, min(1.0, $mm / $lengthMm));
        for ($try = 0; $try < 2; $try++) {
            $gone = $scale * ($first * $share + $linear * $share ** 2 / 2 + $square * $share ** 3 / 3);
            $speed = $scale * ($first + $linear * $share + $square * $share ** 2);
            $share = max(0.0, min(1.0, $share - ($gone - $mm) / max(1e-9, $speed)));
        }

        return $share;
    }

    /** The radius it is bent to there, mm; INF where it is straight. */
    public function radiusMm(float $share): float
    {
        $rest = 1 - $share;
        $runs = $this->runs($share);
        $turns = $this->second->minus($this->first->times(2))->plus($this->from)->times(6 * $rest)
            ->plus($this->to->minus($this->second->times(2))->plus($this->first)->times(6 * $share));
        $across = $runs->cross($turns)->lengthMm();

        return $across < 1e-9 ? INF : $runs->lengthMm() ** 3 / $across;
    }

    public function isStraight(): bool
    {
        return $this->isStraight ??= $this->original?->isStraight() ?? $this->runsStraight();
    }

    private function runsStraight(): bool
    {
        [$x, $y, $z] = [$this->to->x - $this->from->x, $this->to->y - $this->from->y, $this->to->z - $this->from->z];
        foreach ([$this->first, $this->second] as $point) {
            [$dx, $dy, $dz] = [$point->x - $this->from->x, $point->y - $this->from->y, $point->z - $this->from->z];
            if (abs($dy * $z - $dz * $y) + abs($dz * $x - $dx * $z) + abs($dx * $y - $dy * $x) > 1e-6) {
                return false;
            }
        }

        return true;
    }

    /** Where its depth is so much, as a share; its ends must lie on either side of it. */
    public function passes(float $z): float
    {
        [$least, $most] = [0.0, 1.0];
        $rises = $this->to->z > $this->from->z;
        for ($step = 0; $step < 24; $step++) {
            $share = ($least + $most) / 2;
            if ($this->depthAt($share) < $z === $rises) {
                $least = $share;
            } else {
                $most = $share;
            }
        }

        return ($least + $most) / 2;
    }

    /** How near to the viewer it is there. */
    public function depthAt(float $share): float
    {
        $rest = 1 - $share;

        return $rest * $rest * ($rest * $this->from->z + 3 * $share * $this->first->z)
            + $share * $share * (3 * $rest * $this->second->z + $share * $this->to->z);
    }

    /** @return array{self, self} the same curve in two, parted at a share [de Casteljau] */
    public function parted(float $share): array
    {
        [$a, $b, $c] = [
            $this->from->towards($this->first, $share), $this->first->towards($this->second, $share),
            $this->second->towards($this->to, $share),
        ];
        [$ab, $bc] = [$a->towards($b, $share), $b->towards($c, $share)];
        $at = $ab->towards($bc, $share);

        return [new self($this->from, $a, $ab, $at), new self($at, $bc, $c, $this->to)];
    }

    public function reversed(): self
    {
        return new self($this->to, $this->second, $this->first, $this->from);
    }
}
