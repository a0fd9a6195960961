<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Vector;

/**
 * Where a wire starts and which way it heads, as it is written: `from 4 0 heading up`. Millimetres to the right, down
 * and towards the viewer; degrees clockwise from the right. It bends to the left of its way where it bends.
 */
final readonly class Start
{
    private const WAYS = ['right' => 0.0, 'down' => 90.0, 'left' => 180.0, 'up' => 270.0];

    private const FORM = '/^(?:(?:from|to) (-?[\d.]+) (-?[\d.]+)(?: (-?[\d.]+))?)?'
        .'\s*(?:heading (-?[\d.]+(?:\/-?[\d.]+\/-?[\d.]+)?|[a-z]+))?$/';

    private function __construct(public Vector $at, public Vector $ahead, public bool $isHeaded)
    {
    }

    /** @throws \Hebra\Core\Problem if it is no start */
    public static function read(string $text, string $field): self
    {
        preg_match(self::FORM, $text, $found) === 1 && $text !== '' || throw Refused::because(
            $field, $text, 'is no start', 'from 4 0 heading up: millimetres to the right and down, and a way',
        );
        $way = $found[4] ?? '';
        $place = array_map(fn (string $number): float => (float) $number, array_slice($found, 1, 3) + ['', '', '']);
        foreach ($place as $number) {
            abs($number) <= 1000 || throw Refused::because($field, $text, 'starts too far off', '−1000 to 1000');
        }

        return new self(new Vector(...$place), self::heading($way === '' ? 'down' : $way, $field), $way !== '');
    }

    private static function heading(string $way, string $field): Vector
    {
        if ($way === 'out' || $way === 'in') {
            return new Vector(0.0, 0.0, $way === 'out' ? 1.0 : -1.0);
        }
        if (str_contains($way, '/')) {
            $ahead = new Vector(...array_map(floatval(...), explode('/', $way)));

            return $ahead->lengthMm() > 1e-3 ? $ahead->unit() : throw Refused::because(
                $field, "heading {$way}", 'is no way', 'three numbers, one of them not 0',
            );
        }
        $degrees = self::WAYS[$way] ?? (is_numeric($way) ? (float) $way : throw Refused::because(
            $field, "heading {$way}", 'is no way', 'right, down, left, up, out, in, or degrees',
        ));

        return new Vector(cos(deg2rad($degrees)), sin(deg2rad($degrees)));
    }

    public function frame(): Frame
    {
        return self::standing($this->at, $this->ahead);
    }

    /** How a wire stands that bends to the left of its way, seen from the front. */
    public static function standing(Vector $at, Vector $ahead): Frame
    {
        $towards = $ahead->cross(new Vector(0.0, 0.0, 1.0));

        return new Frame($at, $ahead, $towards->lengthMm() < 1e-6 ? new Vector(-1.0, 0.0) : $towards->unit());
    }
}
