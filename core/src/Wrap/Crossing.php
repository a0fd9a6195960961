<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

use Hebra\Core\Quantity\OutOfRange;

/**
 * Neighbouring cores of a band that change sides: those at some places curve over those at the next (`cross 1-2`, or
 * `cross 1-2 over 3-4 for 14`). Each goes aside in two arcs alike, out of the band's way and back into it: over a
 * length L by s in 4R·θ, R = (L² + s²)/(4s), θ = atan(s/L), where s is its way across and its thickness, over or
 * under, as the sides of a right angle. Millimetres. Source: geometry; three spacings of length for each
 * core that is crossed are from memory.
 */
final readonly class Crossing
{
    private const SPACINGS = 3.0;

    /**
     * @param  int  $from  the first place
     * @param  int  $first  how many cores stand there side by side
     * @param  int  $second  how many beside them, with which they change sides
     * @param  bool  $isFirstOver  whether it is the first that go over
     * @param  float  $mm  how long it is; 0 as its cores need
     */
    private function __construct(
        public int $from, public int $first, public int $second, private bool $isFirstOver, private float $mm,
    ) {
    }

    /**
     * Null where it is no crossing that is written.
     *
     * @throws OutOfRange if they are no neighbours, or their curve is too short or too long
     */
    public static function read(string $written, int $cores, string $field): ?self
    {
        $group = fn (string $name): string => "(?<{$name}>\\d{1,3})(?:[-–](?<{$name}_to>\\d{1,3}))?";
        $form = '/^cross '.$group('one').'(?: over '.$group('other').')?(?: for (?<mm>\d{1,3}(?:\.\d+)?)(?: ?mm)?)?$/u';
        if (preg_match($form, mb_strtolower($written), $match, PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }
        $mm = (float) $match['mm'];
        $mm === 0.0 || ($mm >= 2.0 && $mm <= 100.0)
            || throw OutOfRange::between($field, "{$mm} mm for “{$written}”", '2 mm', '100 mm');
        [$one, $to] = [(int) $match['one'], (int) ($match['one_to'] ?? $match['one'])];
        if ($match['other'] === null) {
            // Two cores alone: the first of them goes over.
            return self::of([min($one, $to), min($one, $to)], [max($one, $to), max($one, $to)], true, $cores, $mm)
                ?? throw self::refused($written, $cores, $field);
        }
        $other = [(int) $match['other'], (int) ($match['other_to'] ?? $match['other'])];

        return self::of([$one, $to], $other, true, $cores, $mm) ?? self::of($other, [$one, $to], false, $cores, $mm)
            ?? throw self::refused($written, $cores, $field);
    }

    /**
     * Null where the second are not the neighbours of the first.
     *
     * @param  array{int, int}  $first  from one to another
     * @param  array{int, int}  $second
     */
    private static function of(array $first, array $second, bool $isFirstOver, int $cores, float $mm): ?self
    {
        $isNext = $first[0] >= 1 && $first[0] <= $first[1] && $second[0] === $first[1] + 1 && $second[0] <= $second[1]
            && $second[1] <= $cores;

        return $isNext
            ? new self($first[0], $first[1] - $first[0] + 1, $second[1] - $second[0] + 1, $isFirstOver, $mm)
            : null;
    }

    private static function refused(string $written, int $cores, string $field): OutOfRange
    {
        return OutOfRange::because(
            $field, "“{$written}”", 'crosses no two neighbours',
            "two neighbours of cores 1 to {$cores}, or neighbouring groups, such as cross 1-2 over 3-4",
        );
    }

    /** @return non-empty-list<int> the places that it holds */
    public function places(): array
    {
        return range($this->from, $this->from + $this->first + $this->second - 1);
    }

    /**
     * Who goes over, and who under.
     *
     * @param  list<int>  $takes  the cores that it holds, in their order
     * @return array{list<int>, list<int>}
     */
    public function overAndUnder(array $takes): array
    {
        $sides = [array_slice($takes, 0, $this->first), array_slice($takes, $this->first)];

        return $this->isFirstOver ? $sides : array_reverse($sides);
    }

    public function lengthMm(float $spacingMm): float
    {
        return $this->mm > 0.0 ? $this->mm : self::SPACINGS * $spacingMm * max($this->first, $this->second);
    }

    /**
     * Who stands where after it.
     *
     * @param  list<int>  $places
     * @return list<int>
     */
    public function after(array $places): array
    {
        $first = array_splice($places, $this->from - 1, $this->first);
        array_splice($places, $this->from - 1 + $this->second, 0, $first);

        return $places;
    }

    /** Mirrored: those that went over come back over the others. */
    public function back(): self
    {
        return new self($this->from, $this->second, $this->first, ! $this->isFirstOver, $this->mm);
    }

    /** The way of a core that goes so far aside. */
    public static function wayMm(float $lengthMm, float $asideMm): float
    {
        if ($asideMm < 1e-9) {
            return $lengthMm;
        }
        $radius = ($lengthMm ** 2 + $asideMm ** 2) / (4 * $asideMm);

        return 2 * $radius * 2 * atan($asideMm / $lengthMm);
    }

    /**
     * How far a core goes aside: past all that are on the other side.
     *
     * @param  list<int>  $takes
     */
    public function asideMm(int $core, array $takes, float $spacingMm): float
    {
        $isFirst = in_array($core, array_slice($takes, 0, $this->first), true);

        return $spacingMm * ($isFirst ? $this->second : $this->first);
    }
}
