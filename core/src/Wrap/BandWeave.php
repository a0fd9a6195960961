<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;

/**
 * A whole band as it is written: sections one after the other, parted by `|`. A section is a figure weave (`4@1-2
 * 4@2-3`), a basket weave (`f1 b2 f3 b3 f2 b1`), or two neighbouring cores that cross (`cross 1-2`); `x12` at its end
 * gives its repeats, and those that give none share the length that is left. A core that no later section takes leaves
 * the band there.
 *
 * Cores stand at one spacing all along: the widest that a section needs. Millimetres, tails extra. Source: geometry, as
 * Weave and BasketWeave have it; a cross takes three spacings of length, each of its two cores √(L² + s²) [memory].
 * Invariants: 1 to 12 sections, at least one of them woven; 1 to 2,000 repeats.
 */
final readonly class BandWeave
{
    private const CROSS_SPACINGS = 3.0;

    /**
     * @param  non-empty-list<array{weave: WeavePattern|BasketWeave|null, cross: int, repeats: int, text: string}>  $sections  repeats 0: as many as the rest takes
     */
    private function __construct(public int $cores, private array $sections)
    {
    }

    /** @throws Unreadable|OutOfRange if it is not written so, or a section cannot be woven */
    public static function parse(string $text, int $cores, string $field = 'pattern'): self
    {
        $sections = [];
        foreach (explode('|', mb_scrub($text)) as $written) {
            $written = trim($written);
            $repeats = 0;
            if (preg_match('/^(.*?)[\s,;]*\bx(\d{1,5})$/us', $written, $match) === 1) {
                [$written, $repeats] = [trim($match[1]), (int) $match[2]];
                if ($repeats < 1 || $repeats > 2000) {
                    throw OutOfRange::between($field, "{$repeats} repeats in “x{$match[2]}”", '1', '2,000');
                }
            }
            $sections[] = self::section($written, $cores, $repeats, $field);
        }
        if (count($sections) > 12) {
            throw OutOfRange::between($field, count($sections).' sections', '1', '12');
        }
        if (array_filter($sections, fn (array $section): bool => $section['weave'] !== null) === []) {
            throw Unreadable::empty($field, 'at least one section that is woven, such as 4@1-2 4@2-3');
        }

        return new self($cores, $sections);
    }

    /** @return array{weave: WeavePattern|BasketWeave|null, cross: int, repeats: int, text: string} */
    private static function section(string $written, int $cores, int $repeats, string $field): array
    {
        if (preg_match('/^cross (\d{1,3})[-–](\d{1,3})$/u', mb_strtolower($written), $match) === 1) {
            [$from, $to] = [min((int) $match[1], (int) $match[2]), max((int) $match[1], (int) $match[2])];
            if ($to - $from !== 1 || $from < 1 || $to > $cores) {
                throw OutOfRange::because(
                    $field,
                    "“{$written}”",
                    'crosses no two neighbours',
                    "two neighbours of cores 1 to {$cores}",
                );
            }

            return ['weave' => null, 'cross' => $from, 'repeats' => 1, 'text' => $written];
        }
        $isBasket = preg_match('/^[fb]\d/i', $written) === 1;

        return [
            'weave' => $isBasket
                ? BasketWeave::parse($written, $cores, $field)
                : WeavePattern::parse($written, $cores, $field),
            'cross' => 0,
            'repeats' => $repeats,
            'text' => $written,
        ];
    }

    /** The same with all but the last section again backwards after it: mirrored about the middle of the last. */
    public function mirrored(): self
    {
        return new self($this->cores, [...$this->sections, ...array_slice(array_reverse($this->sections), 1)]);
    }

    /**
     * Cores that no section takes at all: they would fall out.
     *
     * @return list<int>
     */
    public function freeCores(): array
    {
        $taken = [];
        foreach ($this->sections as $section) {
            $taken += array_flip(self::takes($section));
        }

        return array_values(array_filter(range(1, $this->cores), fn (int $core): bool => ! isset($taken[$core])));
    }

    /**
     * @param  array{weave: WeavePattern|BasketWeave|null, cross: int, repeats: int, text: string}  $section
     * @return list<int> places that it holds
     */
    private static function takes(array $section): array
    {
        $weave = $section['weave'];

        return match (true) {
            $weave instanceof WeavePattern => array_values(array_diff(range(1, $weave->cores), $weave->freeCores())),
            $weave instanceof BasketWeave => array_values(array_unique(array_column($weave->touches, 'core'))),
            default => [$section['cross'], $section['cross'] + 1],
        };
    }

    private function spacingMm(float $coreMm, float $wireMm): float
    {
        foreach ($this->sections as ['weave' => $weave]) {
            if (! $weave instanceof WeavePattern || $weave->passesBetween()) {
                return $coreMm + $wireMm;
            }
        }

        return $coreMm;
    }

    /** Worked out over a length: sections without repeats of their own share what is left, each at least one repeat. */
    public function over(float $lengthMm, float $coreMm, float $wireMm): BandLayout
    {
        $spacing = $this->spacingMm($coreMm, $wireMm);
        $repeatMm = fn (array $section): float => match (true) {
            $section['weave'] instanceof WeavePattern => $section['weave']->turns() * $wireMm,
            $section['weave'] instanceof BasketWeave => $section['weave']->climbMm($wireMm),
            default => self::CROSS_SPACINGS * $spacing,
        };
        $fixed = array_sum(
            array_map(fn (array $section): float => $section['repeats'] * $repeatMm($section), $this->sections),
        );
        $open = count(array_filter($this->sections, fn (array $section): bool => $section['repeats'] === 0));
        $places = range(1, $this->cores);
        $at = 0.0;
        $woven = [];
        foreach ($this->sections as $section) {
            $repeats = $section['repeats'] > 0
                ? $section['repeats']
                : max(1, (int) ceil(($lengthMm - $fixed) / $open / $repeatMm($section) - 1e-9));
            $length = $repeats * $repeatMm($section);
            $weave = $section['weave'];
            $wire = match (true) {
                $weave instanceof WeavePattern => Weave::of(
                    $weave, $coreMm, $wireMm, $spacing, $repeats,
                )->wireLengthMm(),
                $weave instanceof BasketWeave => $weave->wireMm($coreMm, $wireMm, $spacing, $repeats),
                // The weaving wire is carried along.
                default => $length,
            };
            $takes = array_map(fn (int $place): int => $places[$place - 1], self::takes($section));
            $woven[] = new BandSection(
                $weave, $section['cross'], $section['text'], $repeats, $at, $length, $wire, $places, $takes,
            );
            if ($section['cross'] > 0) {
                [$places[$section['cross'] - 1], $places[$section['cross']]] = [$places[$section['cross']], $places[$section['cross'] - 1]];
                $places = array_values($places);
            }
            $at += $length;
        }

        return new BandLayout($this->cores, $coreMm, $wireMm, $spacing, $woven);
    }
}
