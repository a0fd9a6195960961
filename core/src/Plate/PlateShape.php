<?php

declare(strict_types=1);

namespace Hebra\Core\Plate;

/**
 * What a flat bought part is seen as: its outline within a length and a width, millimetres, y downwards about its
 * middle.
 */
enum PlateShape: string
{
    case Round = 'round';
    case Oval = 'oval';
    case Drop = 'drop';
    case Bar = 'bar';
    case Square = 'square';
    case Lozenge = 'lozenge';
    case Leaf = 'leaf';
    case Heart = 'heart';
    case Star = 'star';
    case Shield = 'shield';
    case Lobster = 'lobster';
    case SpringRing = 'spring-ring';
    case Lever = 'lever';
    case Clip = 'clip';
    case Fringe = 'fringe';
    case Own = 'own';

    private const STEPS = 56;

    /** Where the knob of a spring ring is, radians clockwise from its top, and how wide. */
    private const KNOB = 0.9;

    private const KNOB_WIDE = 0.17;

    public function words(): string
    {
        return match ($this) {
            self::Fringe => 'tassel',
            self::Lobster => 'lobster clasp',
            self::SpringRing => 'spring ring',
            self::Lever => 'lever back',
            self::Clip => 'ear clip',
            self::Own => 'own outline',
            default => $this->value,
        };
    }

    /** How wide its rim is, of its width, where it is open in its middle as it comes; 0 of what is whole. */
    public function rimShare(): float
    {
        return match ($this) {
            self::Lobster => 0.3,
            self::SpringRing => 0.22,
            self::Lever => 0.12,
            default => 0.0,
        };
    }

    /** Whether it is as wide as it is long. */
    public function isRegular(): bool
    {
        return $this === self::Round || $this === self::Square;
    }

    /**
     * @param  Outline|null  $own  where it is an outline of one's own
     * @return non-empty-list<array{float, float}> its corners one after the other, the last not the first again
     */
    public function outline(float $lengthMm, float $widthMm, ?Outline $own = null): array
    {
        $unit = $this->shaped($lengthMm, $widthMm, $own);
        [$left, $right] = [min(array_column($unit, 0)), max(array_column($unit, 0))];
        [$top, $bottom] = [min(array_column($unit, 1)), max(array_column($unit, 1))];

        return array_map(fn (array $at): array => [
            round((($at[0] - $left) / ($right - $left) - 0.5) * $widthMm, 4),
            round((($at[1] - $top) / ($bottom - $top) - 0.5) * $lengthMm, 4),
        ], $unit);
    }

    /** @return non-empty-list<array{float, float}> as wide and as long as it happens to be */
    private function shaped(float $lengthMm, float $widthMm, ?Outline $own): array
    {
        return match ($this) {
            self::Round, self::Oval => self::round(fn (float $turn): array => [sin($turn), -cos($turn)]),
            self::Drop => self::round(fn (float $turn): array => [
                sin($turn) * sin($turn / 2) ** 1.4, -cos($turn),
            ]),
            self::Leaf => self::round(fn (float $turn): array => [
                abs(sin($turn)) ** 1.25 * ($turn < M_PI ? 1 : -1) * (1 + 0.25 * cos($turn)), -cos($turn),
            ]),
            self::Heart => self::round(fn (float $turn): array => [
                sin($turn) ** 3,
                -13 * cos($turn) + 5 * cos(2 * $turn) + 2 * cos(3 * $turn) + cos(4 * $turn),
            ]),
            self::Star => self::star(),
            self::Lozenge => [[0.0, -1.0], [1.0, 0.0], [0.0, 1.0], [-1.0, 0.0]],
            self::Shield => [
                [-1.0, -1.0], [1.0, -1.0], [1.0, 0.1], [0.8, 0.5], [0.45, 0.8], [0.0, 1.0], [-0.45, 0.8], [-0.8, 0.5],
                [-1.0, 0.1],
            ],
            self::Lobster => self::round(fn (float $turn): array => [
                sin($turn) * (0.72 - 0.28 * cos($turn)), -cos($turn),
            ]),
            // A ring with the knob of its bolt.
            self::SpringRing => self::round(fn (float $turn): array => [
                sin($turn) * self::knobbed($turn), -cos($turn) * self::knobbed($turn),
            ]),
            // The wire before the ear runs steeper than the lever behind it.
            self::Lever => self::round(fn (float $turn): array => [
                sin($turn) * (0.86 + 0.14 * cos($turn)) + 0.16 * sin($turn / 2) ** 2, -cos($turn),
            ]),
            // A narrow hinge above, a pad that presses below.
            self::Clip => self::round(fn (float $turn): array => [
                sin($turn) * (0.34 + 0.66 * sin($turn / 2) ** 4), -cos($turn),
            ]),
            self::Fringe => self::fringe(),
            self::Bar, self::Square => self::cornered($lengthMm, $widthMm),
            self::Own => $own->points ?? self::Round->outline(2.0, 2.0),
        };
    }

    /**
     * @param  \Closure(float): array{float, float}  $at
     * @return non-empty-list<array{float, float}>
     */
    private static function round(\Closure $at): array
    {
        return array_map(fn (int $step): array => $at(2 * M_PI * $step / self::STEPS), range(0, self::STEPS - 1));
    }

    /** How far from the middle of a spring ring its edge is. */
    private static function knobbed(float $turn): float
    {
        return 1.0 + 0.2 * exp(-((($turn - self::KNOB) / self::KNOB_WIDE) ** 2));
    }

    /** @return non-empty-list<array{float, float}> */
    private static function star(): array
    {
        return array_map(function (int $corner): array {
            $far = $corner % 2 === 0 ? 1.0 : 0.45;

            return [$far * sin(M_PI * $corner / 5), -$far * cos(M_PI * $corner / 5)];
        }, range(0, 9));
    }

    /** @return non-empty-list<array{float, float}> a cap, and threads that hang from it */
    private static function fringe(): array
    {
        $points = [
            [-0.45, -0.75], [-0.45, -0.95], [-0.25, -1.0], [0.25, -1.0], [0.45, -0.95], [0.45, -0.75], [0.6, -0.7],
        ];
        $threads = 8;
        for ($thread = 0; $thread <= 2 * $threads; $thread++) {
            $points[] = [1.0 - $thread / $threads, $thread % 2 === 0 ? 1.0 : 0.93];
        }
        $points[] = [-0.6, -0.7];

        return $points;
    }

    /** @return non-empty-list<array{float, float}> corners that do not prick */
    private static function cornered(float $lengthMm, float $widthMm): array
    {
        $soft = min(0.6, 0.12 * min($lengthMm, $widthMm));
        [$x, $y] = [1 - 2 * $soft / $widthMm, 1 - 2 * $soft / $lengthMm];

        return [[$x, -1.0], [1.0, -$y], [1.0, $y], [$x, 1.0], [-$x, 1.0], [-1.0, $y], [-1.0, -$y], [-$x, -1.0]];
    }
}
