<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Handwork\Moment;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;

/**
 * Wires as they are written, each its moves one after the other, parted by `·`, `;`, `,` or a new line. A wire that has
 * a name begins with it: `tie (26): from 4 0 heading up · wrap 3 on frame at left · through A`; what stands after a `|`
 * goes from where it starts the other way. A wire that is named again goes on where it was told last. A stretch is
 * named by `as`: `straight 8 as stem`. Millimetres, degrees.
 * Invariants: 1 to 5,000 moves; numbers within their ranges.
 */
final class Text
{
    /** @var array<string, array{Told, Line, bool}>|null */
    private ?array $found = null;

    /** @var array<string, Told>|null */
    private ?array $holding = null;

    private const MOST = 5000;

    private const MOST_WIRES = 24;

    private const MOST_LETTERS = 60_000;

    private const WIRE = '/^('.Form::NAME.')(?: \((\d{1,2})\))?:\s*(.*)$/su';

    /** @param  non-empty-list<Line>  $lines */
    private function __construct(public readonly array $lines)
    {
    }

    /** @throws Unreadable|OutOfRange if it is not written so: one sentence that names the move */
    public static function parse(string $text, string $field = 'course'): self
    {
        if (mb_strlen($text) > self::MOST_LETTERS) {
            throw Unreadable::tooLong($field, mb_strlen($text), self::MOST_LETTERS);
        }
        $plain = mb_strtolower(strtr(mb_scrub($text), ['−' => '-', '°' => '', '|' => '·|·']));
        $pieces = array_map(
            fn (string $piece): string => trim(preg_replace('/\s+/u', ' ', $piece) ?? ''),
            preg_split('/[·;,\n]+/u', $plain) ?: [],
        );
        $pieces = array_values(array_filter($pieces, fn (string $piece): bool => $piece !== ''));
        if (count($pieces) > self::MOST) {
            throw OutOfRange::tooMany($field, count($pieces), self::MOST, 'moves');
        }
        $lines = $told = [];
        foreach (self::wires($pieces, $field) as [$name, $gauge, $moves]) {
            $before = $told[$name] ?? null;
            $lines[] = $told[$name] = $before === null
                ? self::line($name, $gauge, $moves, 0, $field)
                : self::further($before, self::line($name, $gauge, $moves, self::MOST * count($lines), $field), $field);
        }
        if (array_filter($lines, fn (Line $line): bool => $line->moves() !== []) === []) {
            throw Unreadable::empty($field, 'moves such as straight 8 · arc 14 180 · through 3');
        }

        return new self($lines);
    }

    /**
     * @param  list<string>  $pieces
     * @return non-empty-list<array{string, int|null, list<string>}>
     */
    private static function wires(array $pieces, string $field): array
    {
        $wires = [];
        [$name, $gauge, $moves] = ['', null, []];
        foreach ($pieces as $at => $piece) {
            if (preg_match(self::WIRE, $piece, $found) !== 1) {
                $moves[] = $piece;

                continue;
            }
            if ($at > 0) {
                $wires[] = [$name, $gauge, $moves];
            }
            $name = $found[1];
            $gauge = $found[2] === ''
                ? null
                : (int) Refused::outside($field, $piece, 'gauge', (float) $found[2], 10, 34);
            $moves = $found[3] === '' ? [] : [$found[3]];
        }
        $wires[] = [$name, $gauge, $moves];
        if (count($wires) > self::MOST_WIRES) {
            throw OutOfRange::tooMany($field, count($wires), self::MOST_WIRES, 'wires');
        }

        return $wires;
    }

    /** @param  list<string>  $pieces */
    private static function line(string $name, ?int $gauge, array $pieces, int $number, string $field): Line
    {
        $start = null;
        if (preg_match('/^(from|heading)\b/', $pieces[0] ?? '') === 1) {
            $start = Start::read((string) array_shift($pieces), $field);
        }
        $legs = [[]];
        $key = $name === '' ? 'move' : strtr($name, ' ', '-');
        foreach ($pieces as $at => $piece) {
            if ($piece === '|') {
                $legs[] = [];
            } else {
                $legs[count($legs) - 1][] = self::told($piece, $key.'-'.($number + $at), $field);
            }
        }
        count($legs) <= 2 || throw Refused::because($field, $name, 'has more than one |', 'one: a wire has two ends');

        return new Line($name, $gauge, $start, $legs[0], $legs[1] ?? []);
    }

    private static function further(Line $before, Line $line, string $field): Line
    {
        $line->start === null || throw Refused::because(
            $field, $line->name, 'has begun before: it goes on where that ended', 'its further moves alone',
        );

        // What does not say at which end it goes on goes on at the one that was told last.
        [$on, $back] = $line->back === [] && $before->back !== [] ? [[], $line->on] : [$line->on, $line->back];

        return new Line($line->name, $before->gauge, null, $on, $back, true);
    }

    private static function told(string $piece, string $key, string $field): Told
    {
        $parts = preg_split('/ as (?='.Form::NAME.'$)/', $piece) ?: [$piece];

        $text = preg_replace_callback(
            '/(?<= )[a-z](?= |$)/', fn (array $found): string => strtoupper($found[0]), $piece,
        ) ?? $piece;

        return new Told(Moves::read($parts[0], $field), $key, $parts[1] ?? '', $text);
    }

    /** The role of the wire of one of its lines; that of its part for the first, and for what is called alike. */
    public function roleOf(Line $line, string $own): string
    {
        return $line->role() === $this->lines[0]->role() ? $own : $line->role();
    }

    /**
     * The first move of a name or key, the wire it is of, and whether it goes to its first end.
     *
     * @return array{Told, Line, bool}|null
     */
    public function find(string $name): ?array
    {
        if ($this->found === null) {
            $this->found = [];
            foreach ($this->lines as $line) {
                foreach ($line->moves() as $at => $told) {
                    $found = [$told, $line, $at >= count($line->on)];
                    $this->found += [$told->eye() => $found, $told->key => $found];
                }
            }
        }

        return $this->found[$name] ?? null;
    }

    /** @return array<string, string> by the key of each move what others find it by: its own name, or its wire's */
    public function names(): array
    {
        $names = [];
        foreach ($this->lines as $line) {
            foreach ($line->moves() as $told) {
                $name = $told->name === '' ? $line->name : $told->name;
                $names += $name === '' ? [] : [$told->key => $name];
            }
        }

        return $names;
    }

    /** @return list<Told> all moves, in the order in which they are worked */
    public function moves(): array
    {
        $moves = [];
        foreach ($this->lines as $line) {
            array_push($moves, ...$line->moves());
        }

        return $moves;
    }

    /**
     * The moves that something can hang in: those that are round, and ways with a name.
     *
     * @return array<string, Told> by what their eye is called
     */
    public function holding(): array
    {
        if ($this->holding === null) {
            $this->holding = [];
            foreach ($this->moves() as $told) {
                if ($told->move->insideMm() !== null || ($told->move instanceof Move\To && $told->name !== '')) {
                    $this->holding[$told->eye()] ??= $told;
                }
            }
        }

        return $this->holding;
    }

    /** When a move is made: an eye is formed, the rest is worked. */
    public function moment(Told $told): Moment
    {
        return ($this->holding()[$told->eye()] ?? null) === $told
            ? Moment::form($told->eye())
            : Moment::work($told->key);
    }
}
