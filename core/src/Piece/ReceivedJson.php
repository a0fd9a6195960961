<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\Unreadable;

/**
 * JSON that comes from outside is taken only if it means one thing and all its words can be seen: of a key that stands
 * twice a reader keeps the last without a word, so that two readers may see two pieces in one file. Source: RFC 8259,
 * section 4 (names should be unique).
 */
final class ReceivedJson
{
    private const SIGN = '~\G[^"{}\[\]]*+(?:("(?:[^"\\\\]|\\\\.)*+")(\s*+:)?|([{}\[\]]))~s';

    /**
     * @param  mixed  $decoded  what the text was decoded to
     *
     * @throws Unreadable if a key stands twice, or a text holds a sign that cannot be seen
     */
    public static function check(string $json, mixed $decoded, string $field): void
    {
        $twice = self::firstTwice($json);
        $twice === null || throw Unreadable::twice($field, $twice);
        $texts = [$decoded];
        array_walk_recursive(
            $texts,
            fn (mixed $value, int|string $key): string => is_string($value) ? Text::visible($value, (string) $key) : '',
        );
    }

    /** The first key that stands twice in one object; null where there is none. The text must be JSON. */
    private static function firstTwice(string $json): ?string
    {
        $objects = [];
        $at = 0;
        while (preg_match(self::SIGN, $json, $match, 0, $at) === 1) {
            $at += strlen($match[0]);
            $sign = $match[3] ?? '';
            if ($sign === '{' || $sign === '[') {
                $objects[] = [];
            } elseif ($sign !== '') {
                array_pop($objects);
            } elseif (($match[2] ?? '') !== '' && $objects !== []) {
                $read = json_decode($match[1]);
                $key = is_string($read) ? $read : '';
                $last = count($objects) - 1;
                if (isset($objects[$last]['='.$key])) {
                    return $key;
                }
                $objects[$last]['='.$key] = true;
            }
        }

        return null;
    }
}
