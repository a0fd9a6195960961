<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Closure;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Wire;

/**
 * In what one piece is another than a second one, in words: wires, parts, their settings, beads, what it fits and how
 * many are made. Nothing is told of two that differ in name and note only.
 */
final readonly class Differences
{
    /** @param  Closure(float): string  $length  a length in the maker's units */
    private function __construct(private Piece $from, private Piece $to, private Closure $length)
    {
    }

    /**
     * @param  Closure(float): string  $length
     * @return list<string> what `to` has that `from` has not, such as `link: 22 AWG, dead soft → 24 AWG, half hard`
     */
    public static function between(Piece $from, Piece $to, Closure $length): array
    {
        $differences = new self($from, $to, $length);

        return [
            ...$differences->ofMaking(), ...$differences->ofWires(), ...$differences->ofParts(),
            ...$differences->ofGroups(),
        ];
    }

    /** @return list<string> */
    private function ofMaking(): array
    {
        $fit = fn (Piece $piece): string => $piece->fit->kind->words().' of '.($this->length)($piece->fit->mm);

        return [
            ...self::told('makes', $this->from->makes->words(), $this->to->makes->words()),
            ...self::told('fits', $fit($this->from), $fit($this->to)),
        ];
    }

    /** @return list<string> */
    private function ofWires(): array
    {
        $told = [];
        // What only one of them has goes with a part that only that one has.
        foreach (array_intersect($this->from->roles(), $this->to->roles()) as $role) {
            [$before, $after] = [$this->from->wires[$role], $this->to->wires[$role]];
            $words = fn (Wire $wire): string => ($before->metal === $after->metal ? '' : $wire->metal->words().' ')
                .$wire->size->text().', '.$wire->temper->words();
            array_push($told, ...self::told('wire of '.strtr($role, '-', ' '), $words($before), $words($after)));
        }

        return $told;
    }

    /** @return list<string> */
    private function ofParts(): array
    {
        [$before, $after] = [self::byId($this->from), self::byId($this->to)];
        $told = [];
        foreach (array_diff_key($before, $after) as $part) {
            $told[] = 'without the '.$part->label();
        }
        foreach ($after as $id => $part) {
            array_push(
                $told, ...(isset($before[$id]) ? $this->ofPart($before[$id], $part) : ['with a '.$part->label()]),
            );
        }
        $both = fn (array $one, array $other): array => array_values(
            array_intersect(array_keys($one), array_keys($other))
        );

        return $both($before, $after) === $both($after, $before) ? $told : [...$told, 'in another order'];
    }

    /** @return list<string> */
    private function ofPart(Part $before, Part $after): array
    {
        if ($before->technique !== $after->technique) {
            return ["{$after->label()} instead of {$before->label()}"];
        }
        $name = $after->label();
        $told = [];
        foreach ($after->technique()->parameters() as $parameter) {
            $key = $parameter->key;
            array_push($told, ...self::told(
                "{$name}, {$parameter->words}", $this->value($parameter, $before->settings[$key]),
                $this->value($parameter, $after->settings[$key]),
            ));
        }
        $eye = fn (?EyeRef $eye): string => $eye === null ? 'as it follows' : $eye->text();

        return [
            ...$told,
            ...self::told("{$name}, times", (string) $before->repeat, (string) $after->repeat),
            ...self::told("{$name}, beads", ...$this->beads($before, $after)),
            ...self::told("{$name}, hangs in", $eye($before->on), $eye($after->on)),
            ...self::told("{$name}, closes in", $eye($before->to), $eye($after->to)),
            ...self::told("{$name}, wire", $before->wire, $after->wire),
            ...self::told("{$name}, in group", $before->group, $after->group),
        ];
    }

    /** @return list<string> */
    private function ofGroups(): array
    {
        $told = [];
        foreach (array_intersect_key($this->to->groups, $this->from->groups) as $name => $group) {
            array_push($told, ...self::told('group', $this->from->groups[$name]->words(), $group->words()));
        }

        return $told;
    }

    private function value(Parameter $parameter, float|int|string|bool $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            $parameter->kind === ParameterKind::Length => ($this->length)((float) $value),
            $parameter->kind === ParameterKind::Choice => (string) ($parameter->choices[(string) $value] ?? $value),
            is_float($value) => Figures::trim($value),
            default => (string) $value,
        };
    }

    /** @return array{string, string} in few words, or in all where few do not tell them apart */
    private function beads(Part $before, Part $after): array
    {
        $row = fn (Piece $piece, Part $part, bool $isWhole): string => implode(', ', array_map(
            fn (BeadRun $run): string => $run->count.' × '
                .($isWhole ? $piece->beads[$run->bead]->line() : $piece->beads[$run->bead]->words()),
            $part->beads,
        ));
        $rows = fn (bool $isWhole): array => [
            $row($this->from, $before, $isWhole), $row($this->to, $after, $isWhole),
        ];
        [$few, $fewAfter] = $rows(false);

        return $few === $fewAfter ? $rows(true) : [$few, $fewAfter];
    }

    /** @return array<string, Part> */
    private static function byId(Piece $piece): array
    {
        return array_combine(array_map(fn (Part $part): string => $part->id->text, $piece->parts), $piece->parts);
    }

    /** @return list<string> */
    private static function told(string $what, string $before, string $after): array
    {
        $named = fn (string $value): string => $value === '' ? 'none' : $value;

        return $before === $after ? [] : ["{$what}: {$named($before)} → {$named($after)}"];
    }
}
