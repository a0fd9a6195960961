<?php

declare(strict_types=1);

namespace Hebra\Core\Tool;

use Hebra\Core\Fit\RingSize;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\Unreadable;

/**
 * A tool of the maker with the diameters it has. Invariants: 1 to 80 marks of 0.3 to 120 mm (on a ring mandrel, of ring
 * sizes), thin to thick, none twice; a winder's grip, lost at each start, 0 to 200 mm.
 */
final readonly class Tool
{
    public const MOST_MARKS = 80;

    /** @param  non-empty-list<float>  $marksMm */
    private function __construct(
        public ToolKind $kind,
        public string $name,
        public array $marksMm,
        public float $gripMm,
    ) {
    }

    /**
     * @param  list<float>  $marksMm
     *
     * @throws OutOfRange|Unreadable if an invariant does not hold
     */
    public static function of(ToolKind $kind, string $name, array $marksMm, float $gripMm = 0.0): self
    {
        if (mb_strlen($name) > 60) {
            throw Unreadable::tooLong('name', mb_strlen($name), 60);
        }
        foreach ($marksMm as $mm) {
            $kind === ToolKind::RingMandrel
                ? RingSize::ofDiameter($mm, 'marks')
                : Length::fromMillimetres($mm)->within('marks', 0.3, 120);
        }
        Length::fromMillimetres($gripMm)->within('grip', 0, 200);
        $marksMm = array_values(array_unique(array_map(fn (float $mm): float => round($mm, 3), $marksMm)));
        sort($marksMm);
        if ($marksMm === []) {
            throw Unreadable::empty('marks', $kind->hint());
        }
        if (count($marksMm) > self::MOST_MARKS) {
            throw OutOfRange::between('marks', count($marksMm).' in all', '1', (string) self::MOST_MARKS);
        }

        return new self($kind, trim($name) === '' ? $kind->words() : trim($name), $marksMm, $gripMm);
    }

    /** What readMarks() reads back: `1.5, 2, 2.5 mm`, or, where the marks stand evenly, `us 3 to us 13 by 1/2`. */
    public function marksText(): string
    {
        $isRing = $this->kind === ToolKind::RingMandrel;
        $marks = $isRing
            ? array_map(fn (float $mm): float => RingSize::ofDiameter($mm, 'marks')->us(), $this->marksMm)
            : $this->marksMm;
        $last = count($marks) - 1;
        $places = $isRing ? 2 : 3;
        $step = $last > 0 ? round(($marks[$last] - $marks[0]) / $last, $places) : 0.0;
        $isEven = $last >= 4
            && array_filter(
                array_keys($marks),
                fn (int $at): bool => abs($marks[$at] - $marks[0] - $at * $step) > 0.005,
            ) === [];
        $size = fn (float $mark): string => $isRing ? 'us '.Figures::trim($mark, 2) : Figures::trim($mark, 3);

        $told = $isEven
            ? $size($marks[0]).' to '.$size($marks[$last]).' by '.Figures::trim($step, 3)
            : implode(', ', array_map($size, $marks));

        return $told.($isRing ? '' : ' mm');
    }

    /**
     * Reads `1.5, 2, 2.5 mm`, `3 to 12 by 1 mm`, and on a ring mandrel `us 3 to us 13 by 1/2`.
     *
     * @return list<float> millimetres
     *
     * @throws \Hebra\Core\Problem if one is no length or size
     */
    public static function readMarks(ToolKind $kind, string $text, LengthUnit $bare): array
    {
        if (mb_strlen($text) > 800) {
            throw Unreadable::tooLong('marks', mb_strlen($text), 800);
        }
        $plain = trim(mb_strtolower(mb_scrub($text)));
        // The unit may stand once, at the end.
        if (
            $kind !== ToolKind::RingMandrel
            && preg_match('/^[\d.,;\/\s]+(?:to[\d.,\/\s]+by[\d.,\/\s]+)?(mm|cm|in)$/', $plain, $match) === 1
        ) {
            $bare = LengthUnit::named($match[1]) ?? $bare;
            $plain = trim(substr($plain, 0, -strlen($match[1])));
        }
        if (preg_match('/^(.+?)\s+to\s+(.+?)\s+by\s+(.+)$/', $plain, $match) === 1) {
            return self::range($kind, $match[1], $match[2], $match[3], $bare);
        }
        $marks = [];
        foreach (preg_split('/\s*[;\n]\s*|,\s+/', $plain, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $mark) {
            $marks[] = self::mark($kind, $mark, $bare);
        }

        return $marks;
    }

    /** @return list<float> */
    private static function range(ToolKind $kind, string $from, string $to, string $by, LengthUnit $bare): array
    {
        if ($kind === ToolKind::RingMandrel) {
            [$first, $last] = [
                RingSize::parse($from, 'marks')->us(),
                RingSize::parse(preg_match('/^[\d\s.\/]+$/', $to) === 1 ? 'us '.$to : $to, 'marks')->us(),
            ];
            $step = Text::number($by) ?? throw Unreadable::number('marks', $by);
        } else {
            [$first, $last, $step] = [
                Length::parse($from, 'marks', $bare)->millimetres(), Length::parse($to, 'marks', $bare)->millimetres(),
                Length::parse($by, 'marks', $bare)->millimetres(),
            ];
        }
        if ($step <= 0 || $last < $first || ($last - $first) / $step > self::MOST_MARKS) {
            throw OutOfRange::because(
                'marks',
                "“{$from} to {$to} by {$by}”",
                'is no row of marks',
                'up to '.self::MOST_MARKS.' marks from small to large',
            );
        }
        $marks = [];
        for ($at = 0; $first + $at * $step <= $last + 1e-9; $at++) {
            $marks[] = $kind === ToolKind::RingMandrel
                ? RingSize::parse('us '.round($first + $at * $step, 4), 'marks')->insideMm()
                : $first + $at * $step;
        }

        return $marks;
    }

    private static function mark(ToolKind $kind, string $text, LengthUnit $bare): float
    {
        return $kind === ToolKind::RingMandrel && preg_match('/^(us|uk|iso|jp|diameter|circumference)/', $text) === 1
            ? RingSize::parse($text, 'marks')->insideMm()
            : Length::parse($text, 'marks', $bare)->asSize('marks', 120)->millimetres();
    }
}
