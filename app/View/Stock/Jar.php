<?php

declare(strict_types=1);

namespace App\View\Stock;

use App\Models\Lot;
use App\Models\Supply;

/** What is counted or bought by length, as it stands on the shelf: in a jar, a cup, a fall, on a spool, in boxes. */
final readonly class Jar
{
    private const MOST_IN_A_JAR = 36;

    private const MOST_PINS = 14;

    private const MOST_BOXES = 6;

    private const FALL_MM = 100.0;

    private const MOST_FALLS = 8;

    private const ACROSS = 6;

    public function __construct(private Supply|Lot $of)
    {
    }

    /** How it is drawn: `jar`, `pins`, `fall`, `spool` or `boxes`. */
    public function form(): string
    {
        return $this->of instanceof Lot ? 'pins' : match ($this->of->kind) {
            'chain' => 'fall',
            'strung' => 'spool',
            'packing' => 'boxes',
            default => 'jar',
        };
    }

    /** What lies in a jar: a ring, a crimp or something small. */
    public function holds(): string
    {
        return $this->of instanceof Supply && in_array($this->of->kind, ['rings', 'crimps'], true)
            ? $this->of->kind
            : 'finding';
    }

    public function metal(): string
    {
        return $this->of instanceof Lot ? $this->of->metal : 'sterling';
    }

    /** @return list<array{float, float, int}> where each thing in a jar lies, and how it is turned: the lowest first */
    public function inside(): array
    {
        $places = [];
        $count = $this->of instanceof Supply ? min($this->of->held, self::MOST_IN_A_JAR) : 0;
        for ($at = 0; $at < $count; $at++) {
            $row = intdiv($at, self::ACROSS);
            // Scattered, and yet the same each time it is looked at.
            $stray = sin($at * 12.9898 + $row) * 2;
            $places[] = [
                round(-17.5 + ($at % self::ACROSS) * 7 + $stray, 1), round(-6 - $row * 6.2 + $stray / 2, 1),
                (int) (($at * 73) % 180),
            ];
        }

        return $places;
    }

    public function pins(): int
    {
        return $this->of instanceof Lot ? min($this->of->heldPins(), self::MOST_PINS) : 0;
    }

    public function boxes(): int
    {
        return $this->of instanceof Supply ? min($this->of->held, self::MOST_BOXES) : 0;
    }

    /** @return list<float> how much of each fall of chain there is, 0 to 1: a fall is 100 mm */
    public function falls(): array
    {
        $mm = $this->of instanceof Supply ? $this->of->held / 1000 : 0.0;
        $falls = [];
        for (; $mm > 0 && count($falls) < self::MOST_FALLS; $mm -= self::FALL_MM) {
            $falls[] = min(1.0, $mm / self::FALL_MM);
        }

        return $falls;
    }

    public function isEmpty(): bool
    {
        return $this->of instanceof Supply && $this->of->held === 0;
    }
}
