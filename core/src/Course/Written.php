<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;

/**
 * A wire's way as it is written, one move after the other, parted by `·`, `;` or `,`: `straight 12`, `arc 20 180` (an
 * inside diameter and degrees, less than 0 to the other side), `bend 60` (on the spot), `turn 90` (what follows bends in
 * another plane), `through 3` (the next three beads), `coil 8 on 2` (turns on a mandrel), `spiral 2` (turns).
 * Millimetres. Invariants: 1 to 5,000 moves; numbers within their ranges.
 */
final readonly class Written
{
    private const MOST = 5000;

    private const MOST_LETTERS = 60_000;

    /** Numbers that a move takes: what they are, the least and the most. */
    private const TAKES = [
        'straight' => [['length', 0.1, 10_000.0]],
        'arc' => [['inside', 0.2, 1000.0], ['degrees', -3600.0, 3600.0]],
        'bend' => [['degrees', -170.0, 170.0]],
        'turn' => [['degrees', -360.0, 360.0]],
        'through' => [['beads', 1.0, 2000.0]],
        'coil' => [['turns', 0.5, 2000.0], ['mandrel', 0.3, 100.0]],
        'spiral' => [['turns', 0.5, 40.0]],
    ];

    /** @param  non-empty-list<array{kind: string, numbers: list<float>, text: string}>  $moves */
    private function __construct(public array $moves)
    {
    }

    /** @throws Unreadable|OutOfRange if it is not written so: one sentence that names the move */
    public static function parse(string $text, string $field = 'course'): self
    {
        if (mb_strlen($text) > self::MOST_LETTERS) {
            throw Unreadable::tooLong($field, mb_strlen($text), self::MOST_LETTERS);
        }
        $plain = mb_strtolower(strtr(mb_scrub($text), ['−' => '-', '°' => '']));
        $parts = array_map(trim(...), preg_split('/[·;,\n]+/u', $plain) ?: []);
        $written = array_values(array_filter($parts, fn (string $part): bool => $part !== ''));
        if ($written === []) {
            throw Unreadable::empty($field, 'moves such as straight 8 · arc 14 180 · through 3');
        }
        if (count($written) > self::MOST) {
            throw OutOfRange::tooMany($field, count($written), self::MOST, 'moves');
        }

        return new self(array_map(fn (string $part): array => self::move($part, $field), $written));
    }

    /** @return array{kind: string, numbers: list<float>, text: string} */
    private static function move(string $written, string $field): array
    {
        preg_match('/^([a-z]+)\b\s*(.*)$/us', $written, $match);
        $kind = $match[1] ?? '';
        $takes = self::TAKES[$kind] ?? throw OutOfRange::because(
            $field, "“{$written}”", 'is no move', 'straight, arc, bend, turn, through, coil or spiral',
        );
        preg_match_all('/-?\d+(?:\.\d+)?/', str_replace(',', '.', $match[2] ?? ''), $found);
        $isWhole = preg_match('/^(?:-?\d+(?:\.\d+)?|mm|on|x|\s)*$/u', $match[2] ?? '') === 1;
        if (! $isWhole || count($found[0]) !== count($takes)) {
            throw OutOfRange::because(
                $field, "“{$written}”", 'has not the numbers it takes', self::example($kind),
            );
        }
        $numbers = array_map(floatval(...), $found[0]);
        foreach ($takes as $at => [$what, $least, $most]) {
            if ($numbers[$at] < $least || $numbers[$at] > $most || $numbers[$at] === 0.0) {
                throw OutOfRange::because(
                    $field, "“{$written}”", "has its {$what} out of range",
                    Figures::trim($least).' to '.Figures::trim($most),
                );
            }
        }

        return ['kind' => $kind, 'numbers' => $numbers, 'text' => $written];
    }

    private static function example(string $kind): string
    {
        return match ($kind) {
            'arc' => 'an inside diameter and degrees: arc 20 180',
            'coil' => 'turns and a mandrel: coil 8 on 2',
            'bend', 'turn' => "degrees: {$kind} 60",
            'through' => 'how many beads: through 3',
            'spiral' => 'turns: spiral 2',
            default => 'millimetres: straight 12',
        };
    }

    /** How many beads it goes through. */
    public function beads(): int
    {
        $beads = 0;
        foreach ($this->moves as ['kind' => $kind, 'numbers' => $numbers]) {
            $beads += $kind === 'through' ? (int) $numbers[0] : 0;
        }

        return $beads;
    }
}
