<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/** Spans that follow each other, once or again and again. */
final readonly class Repeat
{
    /** @param  non-empty-list<non-empty-list<Span>>  $times  in the order of the wire, alike but for where they lie */
    public function __construct(public array $times)
    {
    }

    /**
     * What a curve is made of: spans that lie equally far from what they are copies of belong together.
     *
     * @param  list<Span>  $spans
     * @return list<self>
     */
    public static function in(array $spans): array
    {
        $repeats = [];
        foreach (self::blocks($spans) as $block) {
            $last = count($repeats) - 1;
            if ($last >= 0 && self::areAlike($repeats[$last][0], $block)) {
                $repeats[$last][] = $block;
            } else {
                $repeats[] = [$block];
            }
        }

        return array_map(fn (array $times): self => new self($times), $repeats);
    }

    /** How far one time lies from another, mm; null where they are no copies. */
    public function between(int $time, int $other): ?Vector
    {
        [$from, $to] = [$this->times[$time][0]->by, $this->times[$other][0]->by];

        return $from === null ? null : $to?->minus($from);
    }

    /**
     * @param  list<Span>  $spans
     * @return list<non-empty-list<Span>> each as far from what it is a copy of
     */
    private static function blocks(array $spans): array
    {
        $blocks = $block = [];
        foreach ($spans as $span) {
            if ($block !== [] && $span->by !== $block[0]->by && $span->by != $block[0]->by) {
                $blocks[] = $block;
                $block = [];
            }
            $block[] = $span;
        }

        return $block === [] ? $blocks : [...$blocks, $block];
    }

    /**
     * @param  non-empty-list<Span>  $one
     * @param  non-empty-list<Span>  $other
     */
    private static function areAlike(array $one, array $other): bool
    {
        if (count($one) !== count($other)) {
            return false;
        }
        foreach ($one as $at => $span) {
            if ($span->original === null || $span->original !== $other[$at]->original) {
                return false;
            }
        }

        return true;
    }
}
