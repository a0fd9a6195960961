<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Written;

/** The moves that can be written, by their word: how each is written, an example of it, and what reads it. */
final class Moves
{
    /** What a wire or a stretch of one is called: `tie`, `left-half`, `core 2`. */
    public const NAME = '[a-z]{2,12}(?:-[a-z]{1,7})?(?: \d{1,2})?';

    private const NUMBER = '-?\d+(?:\.\d+)?';

    private const PLACE = 'left|right|top|bottom|start|middle|end|\d+(?:\.\d+)?%?';

    /** @return array<string, array{string, string, \Closure(Reading): WrittenMove}> */
    public static function all(): array
    {
        $number = self::NUMBER;
        $name = self::NAME;
        $place = self::PLACE;
        $sides = 'above|below|left|right|before|behind';
        $mm = '(?: ?mm)?';

        return [
            'straight' => ["(?<length>{$number}){$mm}", 'straight 12', Move\Straight::read(...)],
            'arc' => ["(?<inside>{$number}){$mm} (?<degrees>{$number})", 'arc 20 180', Move\Arc::read(...)],
            'bend' => ["(?<degrees>{$number})", 'bend 60', Move\Bend::read(...)],
            'turn' => ["(?<degrees>{$number})", 'turn 90', Move\Turn::read(...)],
            'through' => [
                "(?:(?<beads>{$number})(?: (?:of )?(?<of>[a-z]))?|(?<all>[a-z]))", 'through 3, or through A',
                Move\Through::read(...),
            ],
            'coil' => ["(?<turns>{$number}) on (?<mandrel>{$number}){$mm}", 'coil 8 on 2', Move\Coil::read(...)],
            'spiral' => ["(?<turns>{$number})", 'spiral 2', Move\Spiral::read(...)],
            'loop' => ["(?<inside>{$number}){$mm}", 'loop 3', Move\Loop::read(...)],
            'eye' => [
                "(?<inside>{$number}){$mm}(?: wrapped (?<wraps>{$number}))?", 'eye 2.5, or eye 2.5 wrapped 3',
                Move\End::read(...),
            ],
            'wrap' => [
                "(?<turns>{$number}) on (?<on>{$name})(?: and (?<and>{$name}))?(?: at (?<at>{$place}))?",
                'wrap 3 on frame at left', Move\Wrap::read(...),
            ],
            'along' => [
                "(?<on>{$name})(?: from (?<from>{$place}))? to (?<to>{$place})(?: (?<side>inside|outside|before|behind))?",
                'along frame to right', Move\Along::read(...),
            ],
            'round' => [
                "(?<of>[a-z]) (?<side>{$sides})(?: with (?<beads>{$number})(?: (?:of )?(?<with>[a-z]))?)?",
                'round A above with 9 B', Move\Round::read(...),
            ],
            'bind' => [
                "(?<beads>{$number})(?: (?:of )?(?<of>[a-z]))? on (?<on>{$name})(?: at (?<at>{$place}))?(?<back> back)?(?: (?<side>{$sides}))?"
                    ."(?: with (?<between>{$number}) between)?",
                'bind 7 B on frame at left', Move\Bind::read(...),
            ],
            'fill' => [
                "(?<on>{$name}) until (?<length>{$number}){$mm}", 'fill stem until 600', Move\Fill::read(...),
            ],
            'weave' => [
                "(?<pattern>[\dx@fb -]+?)(?: for (?<length>{$number}){$mm})? on (?<on>[a-z]{2,12}) at (?<at>{$number})",
                'weave 4@1-2 4@2-3 for 20 on core at 10',
                Move\Weave::read(...),
            ],
            'to' => ['.+', 'to 4 0 heading up', Move\To::read(...)],
            'tail' => ["(?<length>{$number}){$mm}", 'tail 10', Move\Tail::read(...)],
        ];
    }

    /** @throws \Hebra\Core\Problem if it is no move: one sentence that names it */
    public static function read(string $written, string $field): WrittenMove
    {
        $all = self::all();
        preg_match('/^([a-z]+)\b\s*(.*)$/us', $written, $match);
        [$form, $example, $made] = $all[$match[1] ?? ''] ?? throw Refused::because(
            $field, $written, 'is no move', implode(', ', array_keys($all)),
        );
        preg_match("/^(?:{$form})$/u", $match[2] ?? '', $found) === 1 || throw Refused::because(
            $field, $written, 'is not written as its move is', $example,
        );

        return $made(new Reading($field, $written, array_filter($found, is_string(...), ARRAY_FILTER_USE_KEY)));
    }
}
