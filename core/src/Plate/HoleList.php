<?php

declare(strict_types=1);

namespace Hebra\Core\Plate;

use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\OutOfRange;

/**
 * Holes as they are written: `top 1.5 mm · bottom 1.5 mm`, a soldered ring as `ring top 2 mm`, one that stands across
 * the face as `ring top 2 mm across`, any other place from the middle as `side 1.2 mm at 4 -2` (right and down). The
 * first is the one that the part hangs by.
 */
final readonly class HoleList
{
    private const MOST = 12;

    private const LEAST_MM = 0.3;

    private const MOST_MM = 60.0;

    /** Between a hole and the rim where no place is given, of the hole's inside [common practice]. */
    private const EDGE = 0.6;

    private const NAME = '(?<ring>ring\s+)?(?<name>\p{L}[\p{L}\d-]{0,15})\s+';

    private const INSIDE = '(?<inside>.+?)(?<across>\s+across)?';

    private const PLACE = '(?:\s+at\s+(?<x>[-−]?\d+(?:[.,]\d+)?)(?:\s*mm)?\s+(?<y>[-−]?\d+(?:[.,]\d+)?)(?:\s*mm)?)?';

    /** Where names lie of themselves: across and down. */
    private const SIDES = [
        'top' => [0, -1], 'bottom' => [0, 1], 'left' => [-1, 0], 'right' => [1, 0], 'middle' => [0, 0],
    ];

    /** @param  non-empty-list<WrittenHole>  $written */
    private function __construct(private array $written)
    {
    }

    /** @throws OutOfRange if one cannot be read, twice has the same name, or has no place */
    public static function read(string $text, string $field): self
    {
        $written = [];
        foreach (preg_split('/[·;,]/u', mb_scrub($text)) ?: [] as $one) {
            if (trim($one) !== '') {
                $written[] = self::one(trim($one), $field);
            }
        }
        $names = array_map(fn (WrittenHole $one): string => $one->name, $written);
        $twice = array_values(array_diff_assoc($names, array_unique($names)));
        if ($twice !== []) {
            throw OutOfRange::because($field, "“{$twice[0]}”", 'is there twice', 'each hole by a name of its own');
        }
        if (count($written) > self::MOST) {
            throw OutOfRange::because($field, count($written).' holes', 'are too many', 'at most '.self::MOST);
        }

        return $written === [] ? throw OutOfRange::because(
            $field, '“'.trim($text).'”', 'has no hole to hang by', 'holes such as top 1.5 mm · bottom 1.5 mm',
        ) : new self($written);
    }

    private static function one(string $text, string $field): WrittenHole
    {
        preg_match('/^'.self::NAME.self::INSIDE.self::PLACE.'$/iu', $text, $found) === 1 || throw OutOfRange::because(
            $field, "“{$text}”", 'is not a hole',
            'a name and its inside, such as top 1.5 mm, ring top 2 mm across, or side 1.2 mm at 4 -2',
        );
        $name = mb_strtolower($found['name']);
        $inside = Length::parse($found['inside'], $field, LengthUnit::Millimetre)
            ->within($field, self::LEAST_MM, self::MOST_MM)->millimetres();
        $isPlaced = ($found['x'] ?? '') !== '';
        $isPlaced || isset(self::SIDES[$name]) || throw OutOfRange::because(
            $field, "“{$text}”", 'has no place',
            'top, bottom, left, right, middle, or at so far right and down from the middle',
        );

        $isRing = $found['ring'] !== '';

        return new WrittenHole(
            $name, $inside, $isRing, $isRing && ($found['across'] ?? '') !== '',
            $isPlaced ? [self::number($found['x']), self::number($found['y'] ?? '0')] : null,
        );
    }

    private static function number(string $text): float
    {
        return (float) strtr($text, ['−' => '-', ',' => '.']);
    }

    /**
     * Where they lie on a part of so long and wide.
     *
     * @param  non-empty-list<array{float, float}>  $outline
     * @return non-empty-array<string, Hole>
     */
    public function on(array $outline): array
    {
        $holes = [];
        foreach ($this->written as $one) {
            [$x, $y] = $one->at ?? self::place($outline, $one);
            $holes[$one->name] = new Hole($one->name, $x, $y, $one->insideMm, $one->isRing, $one->isAcross);
        }

        return $holes;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $outline
     * @return array{float, float}
     */
    private static function place(array $outline, WrittenHole $one): array
    {
        [$x, $y] = self::SIDES[$one->name];
        $inside = $one->insideMm;
        $plate = new Plate($outline, 1.0, []);
        $edge = max(0.5, self::EDGE * $inside);
        $out = $one->isRing ? ($inside + Plate::ringWireMm($inside)) / 2 : -$inside / 2 - $edge;
        // From the rim of what may be pointed there, inwards until it is as far from every side.
        $far = fn (int $axis): float => max([0.0, ...array_map(abs(...), array_column($outline, $axis))]);
        [$farX, $farY] = [$x * $far(0), $y * $far(1)];
        if ($one->isRing || [$x, $y] === [0, 0]) {
            return [$farX + $x * $out, $farY + $y * $out];
        }
        $best = [$farX + $x * $out, $farY + $y * $out];
        for ($step = 0; $step < 60; $step++) {
            $at = [$best[0] * (1 - $step / 60), $best[1] * (1 - $step / 60)];
            if ($plate->edgeMm(new Hole($one->name, $at[0], $at[1], $inside)) >= $edge - 1e-6) {
                return [round($at[0], 3), round($at[1], 3)];
            }
        }

        return $best;
    }
}
