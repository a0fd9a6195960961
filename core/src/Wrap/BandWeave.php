<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;

/**
 * A whole band as it is written: sections one after the other, parted by `|`. A section is a figure weave (`4@1-2
 * 4@2-3`), a basket weave (`f1 b2 f3 b3 f2 b1`), or cores that change sides (`cross 1-2`, `cross 1-2 over 3-4`); `x12`
 * at its end
 * gives its repeats, and those that give none share the length that is left. A core that no later section takes leaves
 * the band there.
 *
 * Cores stand at one spacing all along: the widest that a section needs. Millimetres, tails extra. Source: geometry, as
 * Weave, BasketWeave and Crossing have it.
 * Invariants: 1 to 12 sections, at least one of them woven; 1 to 2,000 repeats.
 *
 * @phpstan-type Written array{
 *     weave: WeavePattern|BasketWeave|null, crossing: Crossing|null, repeats: int, text: string,
 * }
 */
final readonly class BandWeave
{
    /** @param  non-empty-list<Written>  $sections  repeats 0: as many as the rest takes */
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

    /** @return array{weave: WeavePattern|BasketWeave|null, crossing: Crossing|null, repeats: int, text: string} */
    private static function section(string $written, int $cores, int $repeats, string $field): array
    {
        $crossing = Crossing::read($written, $cores, $field);
        if ($crossing !== null) {
            return ['weave' => null, 'crossing' => $crossing, 'repeats' => 1, 'text' => $written];
        }
        $isBasket = preg_match('/^[fb]\d/i', $written) === 1;

        return [
            'weave' => $isBasket
                ? BasketWeave::parse($written, $cores, $field)
                : WeavePattern::parse($written, $cores, $field),
            'crossing' => null,
            'repeats' => $repeats,
            'text' => $written,
        ];
    }

    /** The same with all but the last section again backwards after it: mirrored about the middle of the last. */
    public function mirrored(): self
    {
        $back = array_map(
            fn (array $section): array => ['crossing' => $section['crossing']?->back()] + $section,
            array_slice(array_reverse($this->sections), 1),
        );

        return new self($this->cores, [...$this->sections, ...$back]);
    }

    /**
     * Cores that no section holds: they would fall out.
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
     * @param  Written  $section
     * @return list<int> places that it holds
     */
    private static function takes(array $section): array
    {
        $weave = $section['weave'];

        return match (true) {
            $weave !== null => array_values(array_diff(range(1, $weave->cores), $weave->freeCores())),
            default => $section['crossing']?->places() ?? [],
        };
    }

    /** All turns, and the way behind to figures that begin beyond the one before. */
    private static function figuresMm(Weave $weave): float
    {
        return $weave->wireLengthMm() + $weave->repeats * $weave->reachedMm();
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

    /**
     * How far a section goes with each repeat.
     *
     * @param  Written  $section
     */
    private static function repeatMm(array $section, float $wireMm, float $spacing): float
    {
        return match (true) {
            $section['weave'] instanceof WeavePattern => $section['weave']->turns() * $wireMm,
            $section['weave'] instanceof BasketWeave => $section['weave']->climbMm($wireMm),
            default => $section['crossing']?->lengthMm($spacing) ?? 0.0,
        };
    }

    /** Worked out over a length: sections without repeats of their own share what is left, each at least one repeat. */
    public function over(float $lengthMm, float $coreMm, float $wireMm): BandLayout
    {
        $spacing = $this->spacingMm($coreMm, $wireMm);
        $fixed = array_sum(array_map(
            fn (array $section): float => $section['repeats'] * self::repeatMm($section, $wireMm, $spacing),
            $this->sections,
        ));
        $open = count(array_filter($this->sections, fn (array $section): bool => $section['repeats'] === 0));
        $places = range(1, $this->cores);
        $at = 0.0;
        $woven = [];
        foreach ($this->sections as $section) {
            $repeatMm = self::repeatMm($section, $wireMm, $spacing);
            $repeats = $section['repeats'] > 0
                ? $section['repeats']
                : max(1, (int) ceil(($lengthMm - $fixed) / $open / $repeatMm - 1e-9));
            $length = $repeats * $repeatMm;
            $weave = $section['weave'];
            $wire = match (true) {
                $weave instanceof WeavePattern => self::figuresMm(
                    Weave::of($weave, $coreMm, $wireMm, $spacing, $repeats),
                ),
                $weave instanceof BasketWeave => $weave->wireMm($coreMm, $wireMm, $spacing, $repeats),
                // The weaving wire is carried along.
                default => $length,
            };
            $takes = array_map(fn (int $place): int => $places[$place - 1], self::takes($section));
            $woven[] = new BandSection(
                $weave, $section['crossing'], $section['text'], $repeats, $at, $length, $wire, $places, $takes,
            );
            $places = $section['crossing']?->after($places) ?? $places;
            $at += $length;
        }

        return new BandLayout($this->cores, $coreMm, $wireMm, $spacing, $woven);
    }
}
