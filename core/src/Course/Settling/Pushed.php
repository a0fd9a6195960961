<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Settling;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Threaded;

/** A course whose wire was pushed aside. Millimetres. */
final readonly class Pushed
{
    /** A turn is seen as the round that it is: in no smaller pieces than need be. */
    private const WOUND = [SegmentKind::Wraps, SegmentKind::Coil, SegmentKind::Binding, SegmentKind::Weave];

    private function __construct(private Aside $aside)
    {
    }

    public static function course(Course $course, Aside $aside): Course
    {
        if ($aside->spans === []) {
            return $course;
        }
        $pushed = new self($aside);
        [$moves, $curves] = [$course->moves, $course->curves()];
        foreach ($aside->spans as $at => $spans) {
            [$moves[$at], $curves[$at]] = $pushed->move($moves[$at], $curves[$at], $spans);
        }

        return $course->lying(array_values($moves), array_values($curves));
    }

    /**
     * @param  array<int, float>  $of  the spans of it that are pushed, and how far along the wire each begins
     * @return array{Move, Curve}
     */
    private function move(Move $move, Curve $curve, array $of): array
    {
        $longest = (in_array($move->segment->kind, self::WOUND, true) ? 2 : 1) * $this->aside->apartMm;
        [$spans, $longer] = [[], []];
        foreach ($curve->spans as $place => $span) {
            if (! isset($of[$place])) {
                $spans[] = $span;

                continue;
            }
            $pieces = $this->pushed($span, $of[$place], $longest);
            array_push($spans, ...array_column($pieces, 0));
            foreach ($pieces as [$piece, $told, $end]) {
                $longer[] = [$end, $told, $piece->lengthMm() - $told];
            }
        }
        $strung = $move->threaded();
        if ($strung !== []) {
            $first = (int) array_key_first($of);
            $from = $of[$first] - (new Curve(array_slice($curve->spans, 0, $first)))->lengthMm();
            $move = $move->threading(self::strung($strung, $from, $longer));
        }

        return [$move, new Curve($spans)];
    }

    /**
     * Beads stay where they were: the wire that leads to them is longer or shorter.
     *
     * @param  list<Threaded>  $strung
     * @param  float  $from  where along the wire their stretch begins
     * @param  list<array{float, float, float}>  $longer  where along the wire each piece ended, how long it was, and
     *     how much longer it is
     * @return list<Threaded>
     */
    private static function strung(array $strung, float $from, array $longer): array
    {
        [$now, $mm] = [[], 0.0];
        foreach ($strung as $run) {
            $mm = $run->atMm ?? $mm;
            $long = $run->count * $run->bead->lengthMm + ($run->held?->beforeMm() ?? 0.0)
                + ($run->held?->afterMm() ?? 0.0);
            $middle = $from + $mm + $long / 2;
            $now[] = $run->at($mm + array_sum(array_map(
                fn (array $piece): float => $piece[2] * self::goneOf($middle, $piece[0], $piece[1]), $longer,
            )));
            $mm += $long;
        }

        return $now;
    }

    /** How much of a piece lies before a place on the wire. */
    private static function goneOf(float $mm, float $endMm, float $longMm): float
    {
        return max(0.0, min(1.0, ($mm - $endMm) / max(1e-9, $longMm) + 1));
    }

    /** @return list<array{Span, float, float}> in pieces, how long each was, and where along the wire it ends */
    private function pushed(Span $span, float $fromMm, float $longestMm): array
    {
        $length = $span->lengthMm();
        [$pushed, $gone] = [[], 0.0];
        foreach ($this->breaks($length, $fromMm, $longestMm) as $share) {
            [$one, $span] = $share < 1.0 ? $span->parted(($share - $gone) / (1 - $gone)) : [$span, $span];
            $told = ($share - $gone) * $length;
            $pushed[] = [$this->aside($one, $fromMm + $gone * $length, $told), $told, $fromMm + $share * $length];
            $gone = $share;
        }

        return $pushed;
    }

    /**
     * What is not pushed stays in one piece.
     *
     * @return list<float> as shares, where each piece ends: pieces about as long as the knots are apart
     */
    private function breaks(float $length, float $fromMm, float $longestMm): array
    {
        $pieces = max(1, (int) ceil($length / $longestMm));
        $each = $length / $pieces;
        $breaks = [];
        for ($piece = 1; $piece < $pieces; $piece++) {
            $at = $fromMm + $piece * $each;
            if ($this->aside->isPushed($at - $each, $at + $each)) {
                $breaks[] = $piece / $pieces;
            }
        }

        return [...$breaks, 1.0];
    }

    private function aside(Span $span, float $fromMm, float $length): Span
    {
        if (! $this->aside->isPushed($fromMm, $fromMm + $length)) {
            return $span;
        }
        [[$from, $leaves], [$to, $comes]] = [$this->aside->at($fromMm), $this->aside->at($fromMm + $length)];

        return new Span(
            $span->from->plus($from), $span->first->plus($from)->plus($leaves->times($length / 3)),
            $span->second->plus($to)->minus($comes->times($length / 3)), $span->to->plus($to),
        );
    }
}
