<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Piece;

use Hebra\Core\Piece\ReceivedJson;
use Hebra\Core\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** JSON from outside means one thing, or is refused. */
final class ReceivedJsonTest extends TestCase
{
    /** @return array<string, array{string, string|null}> a text, and the key that stands twice */
    public static function texts(): array
    {
        return [
            'one object' => ['{"a": 1, "b": 2}', null],
            'the same key in objects beside each other' => ['[{"a": 1}, {"a": 2}]', null],
            'and within each other' => ['{"a": {"a": {"a": 1}}, "b": [{"a": 1}]}', null],
            'twice' => ['{"a": 1, "b": 2, "a": 3}', 'a'],
            'twice, after an object and a list' => ['{"a": {"b": 1}, "c": [1, [2]], "a": 3}', 'a'],
            'twice, further in' => ['{"x": [{"b": 1, "c": {"d": 1, "d": 2}}]}', 'd'],
            'written in another way' => ['{"name": 1, "n\u0061me": 2}', 'name'],
            'as a value it is none' => ['{"a": "a", "b": ["a", "a", "b"]}', null],
            'with signs of JSON in it' => ['{"a{\"": 1, "b": "}{\"a{\\\\", "c": "[", "a{\"": 2}', 'a{"'],
            'numbers as keys' => ['{"1": 1, "01": 2, "1": 3}', '1'],
            'empty' => ['{"": 1, "b": 2}', null],
            'empty twice' => ['{"": 1, "": 2}', ''],
            'no object' => ['"a"', null],
        ];
    }

    #[DataProvider('texts')]
    public function test_a_key_stands_once_in_an_object(string $json, ?string $twice): void
    {
        self::assertNotNull(json_decode($json), 'it is JSON');
        try {
            ReceivedJson::check($json, json_decode($json, true), 'file');
            self::assertNull($twice);
        } catch (Problem $problem) {
            self::assertSame("File has “{$twice}” twice in one place: give each name once.", $problem->getMessage());
        }
    }

    public function test_a_text_in_it_can_be_seen(): void
    {
        $this->expectExceptionMessage('Note holds a sign that cannot be seen (U+202E, number 3 in it)');
        $json = '{"parts": [{"note": "ab\u202Ec"}]}';
        ReceivedJson::check($json, json_decode($json, true), 'file');
    }
}
