<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/**
 * A short stretch of a centreline as a cubic curve: where it begins, two points that draw it, where it ends.
 * Millimetres. An arc of a quarter turn drawn so is out by less than three ten-thousandths of its radius.
 */
final readonly class Span
{
    /** Points and weights of Gauss and Legendre's rule of five over 0…1 [Abramowitz & Stegun, table 25.4]. */
    private const RULE = [
        [0.0469100770, 0.1184634425], [0.2307653449, 0.2393143352], [0.5, 0.2844444444],
        [0.7692346551, 0.2393143352], [0.9530899230, 0.1184634425],
    ];

    public function __construct(public Vector $from, public Vector $first, public Vector $second, public Vector $to)
    {
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
        $rest = 1 - $share;

        return $this->from->times($rest ** 3)
            ->plus($this->first->times(3 * $rest ** 2 * $share))
            ->plus($this->second->times(3 * $rest * $share ** 2))
            ->plus($this->to->times($share ** 3));
    }

    /** How it runs there, not yet of length one. */
    public function runs(float $share): Vector
    {
        $rest = 1 - $share;

        return $this->first->minus($this->from)->times(3 * $rest ** 2)
            ->plus($this->second->minus($this->first)->times(6 * $rest * $share))
            ->plus($this->to->minus($this->second)->times(3 * $share ** 2));
    }

    public function lengthMm(): float
    {
        $length = 0.0;
        foreach (self::RULE as [$share, $weight]) {
            $length += $weight * $this->runs($share)->lengthMm();
        }

        return $length;
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
        $chord = $this->to->minus($this->from);

        return $this->first->minus($this->from)->cross($chord)->lengthMm() < 1e-6
            && $this->second->minus($this->from)->cross($chord)->lengthMm() < 1e-6;
    }

    /** Where its depth is so much, as a share; its ends must lie on either side of it. */
    public function passes(float $z): float
    {
        [$least, $most] = [0.0, 1.0];
        $rises = $this->to->z > $this->from->z;
        for ($step = 0; $step < 24; $step++) {
            $share = ($least + $most) / 2;
            if ($this->at($share)->z < $z === $rises) {
                $least = $share;
            } else {
                $most = $share;
            }
        }

        return ($least + $most) / 2;
    }

    /** @return array{self, self} the same curve in two, parted at a share [de Casteljau] */
    public function parted(float $share): array
    {
        $mix = fn (Vector $one, Vector $other): Vector => $one->times(1 - $share)->plus($other->times($share));
        [$a, $b, $c] = [
            $mix($this->from, $this->first), $mix($this->first, $this->second), $mix($this->second, $this->to),
        ];
        [$ab, $bc] = [$mix($a, $b), $mix($b, $c)];
        $at = $mix($ab, $bc);

        return [new self($this->from, $a, $ab, $at), new self($at, $bc, $c, $this->to)];
    }

    public function reversed(): self
    {
        return new self($this->to, $this->second, $this->first, $this->from);
    }
}
