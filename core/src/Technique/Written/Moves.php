<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

/** The moves that can be written. */
final class Moves
{
    private const ALL = [
        Move\Straight::class, Move\Arc::class, Move\Bend::class, Move\Turn::class, Move\Through::class,
        Move\Coil::class, Move\Spiral::class, Move\Loop::class, Move\End::class, Move\Wrap::class,
        Move\Along::class, Move\Round::class, Move\Bind::class, Move\Fill::class, Move\Weave::class,
        Move\To::class, Move\Tail::class,
    ];

    /** @return list<Form> */
    public static function forms(): array
    {
        return array_map(fn (string $move): Form => $move::form(), self::ALL);
    }

    /** @throws \Hebra\Core\Problem if it is no move: one sentence that names it */
    public static function read(string $written, string $field): WrittenMove
    {
        preg_match('/^([a-z]+)\b\s*(.*)$/us', $written, $match);
        foreach (self::ALL as $move) {
            $form = $move::form();
            if ($form->word !== ($match[1] ?? '')) {
                continue;
            }
            preg_match("/^(?:{$form->pattern})$/u", $match[2] ?? '', $found) === 1 || throw Refused::because(
                $field, $written, 'is not written as its move is', $form->example,
            );

            $named = array_filter($found, is_string(...), ARRAY_FILTER_USE_KEY);

            return $move::read(new Reading($field, $written, $named));
        }
        throw Refused::because($field, $written, 'is no move', implode(', ', array_column(self::forms(), 'word')));
    }
}
