<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use JsonSerializable;
use Stringable;

/** What a document calls one of its parts: `p2`. There is one object for each name, so that two may be compared. */
final class PartId implements JsonSerializable, Stringable
{
    /** @var array<string, self> */
    private static array $known = [];

    private function __construct(public readonly string $text)
    {
    }

    public static function of(string $text): self
    {
        return self::$known[$text] ??= new self($text);
    }

    /** @throws InvalidPiece if it is not letters, digits and hyphens, a letter first, at most 24 */
    public static function read(string $text, string $field): self
    {
        return self::isName($text) ? self::of($text) : throw InvalidPiece::badId($field, $text);
    }

    public static function isName(string $text): bool
    {
        return preg_match('/^[A-Za-z][A-Za-z0-9-]{0,23}$/', $text) === 1;
    }

    /** What the part calls one of its stretches of wire: `p2:top-loop`. */
    public function mark(string $name): string
    {
        return $this->text.':'.$name;
    }

    /** Its own mark for what another part calls so; nothing stays nothing. */
    public function markLike(string $mark): string
    {
        return $mark === '' ? '' : $this->text.strstr($mark, ':');
    }

    public function __toString(): string
    {
        return $this->text;
    }

    public function jsonSerialize(): string
    {
        return $this->text;
    }
}
