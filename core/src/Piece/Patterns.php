<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Bead\Bead;
use Hebra\Core\School\Schools;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Wire;

/** Where a new piece starts: complete from the first moment, to be changed. */
final class Patterns
{
    /** @return array<string, string> name => what it is */
    public static function all(): array
    {
        return [
            'single-drop' => 'A single drop: beads on a head pin under an ear wire',
            'link-and-drop' => 'A link and a drop: one wrapped link between ear wire and head pin',
            'two-links' => 'Two links and a drop: it sways',
            'straight-line' => 'Three small links in a row, without a drop',
        ];
    }

    /** @throws \Hebra\Core\Problem if the pattern is unknown */
    public static function start(string $pattern, string $name, Schools $schools = new Schools): Piece
    {
        $beads = [
            'b1' => Bead::parse('8mm round, hole 1, moss'),
            'b2' => Bead::parse('4mm bicone, hole 0.9, sand'),
            'b3' => Bead::parse('8 x 13mm drop, hole 0.9, slate'),
        ];
        $line = match ($pattern) {
            'single-drop' => [['head-pin', ['b1', 'b2']]],
            'link-and-drop' => [['wrapped-link', ['b1', 'b2']], ['head-pin', ['b3']]],
            'two-links' => [['wrapped-link', ['b2']], ['wrapped-link', ['b1']], ['head-pin', ['b3']]],
            'straight-line' => [['wrapped-link', ['b2', 'b1', 'b2']]],
            default => throw \Hebra\Core\Quantity\Unreadable::choice('pattern', $pattern, array_keys(self::all())),
        };

        return self::from($name, $line, $beads, $pattern === 'straight-line' ? 3 : 1, $schools);
    }

    /**
     * @param  list<array{string, list<string>}>  $line  technique and beads, below the ear wire
     * @param  array<string, Bead>  $beads
     */
    private static function from(string $name, array $line, array $beads, int $repeat, Schools $schools): Piece
    {
        $parts = [Techniques::newPart('ear-wire', 'p1')];
        foreach ($line as $index => [$technique, $keys]) {
            $parts[] = Techniques::newPart($technique, 'p'.($index + 2), $schools)->withBeads(array_map(fn (string $key): BeadRun => new BeadRun($key, 1), $keys))->repeated($repeat);
        }
        $wires = [];
        foreach ($parts as $part) {
            $wires[$part->wire] = $part->technique()->usualWire();
        }

        return Piece::of($name, '', Makes::pair(), array_map(fn (Wire $wire): Wire => $wire->withMetal(Metal::Sterling), $wires), $beads, $parts);
    }
}
