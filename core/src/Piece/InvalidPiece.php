<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Refusal;

/** A document or a change that would leave a piece that cannot be. */
final class InvalidPiece extends Refusal
{
    public static function notText(string $field, mixed $read): self
    {
        return new self($field, self::titled($field).' is '.self::kind($read).': give text.');
    }

    public static function notNumber(string $field, mixed $read): self
    {
        return new self($field, self::titled($field).' is '.self::kind($read).': give a number.');
    }

    public static function notWhole(string $field, mixed $read): self
    {
        return new self($field, self::titled($field).' is '.self::kind($read).': give a whole number.');
    }

    public static function notFlag(string $field, mixed $read): self
    {
        return new self($field, self::titled($field).' is '.self::kind($read).': give true or false.');
    }

    public static function notObject(string $field, mixed $read): self
    {
        return new self($field, self::titled($field).' is '.self::kind($read).': give an object with named values.');
    }

    public static function notList(string $field, mixed $read): self
    {
        return new self($field, self::titled($field).' is '.self::kind($read).': give a list.');
    }

    public static function notJson(string $why): self
    {
        return new self('document', "This is not JSON ({$why}): give a piece that Hebra exported.");
    }

    public static function tooLarge(int $bytes, int $most): self
    {
        return new self(
            'document',
            'The document holds '.Figures::trim($bytes / 1024, 0).' KiB: a piece takes at most '
                .Figures::trim($most / 1024, 0).' KiB.',
        );
    }

    public static function notAPiece(mixed $read): self
    {
        return new self(
            'hebra',
            'The document says it is '.(is_string($read) ? self::shown($read) : self::kind($read))
                .': a piece says "hebra": "piece".',
        );
    }

    public static function noPieces(): self
    {
        return new self('pieces', 'Pieces is an empty list: give at least one piece.');
    }

    /** A refusal of one piece in a file of several. */
    public static function inPiece(int $index, \Hebra\Core\Problem $why): self
    {
        return new self("pieces.{$index}.{$why->field()}", 'In piece '.($index + 1).': '.lcfirst($why->getMessage()));
    }

    public static function version(mixed $read): self
    {
        return new self(
            'version',
            'Version '.(is_int($read) ? $read : self::kind($read)).' is not known here: give version 1 or 2.',
        );
    }

    public static function unknownKey(string $field, string $key): self
    {
        return new self(
            $field,
            self::titled($field).' has '.self::shown($key).', which is not known here: leave it out.',
        );
    }

    public static function unknownTechnique(string $field, string $read, string $known): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($read).' is not a technique here: give one of '.$known.'.',
        );
    }

    public static function missing(string $field, string $what): self
    {
        return new self($field, self::titled($field)." is missing: give {$what}.");
    }

    public static function noSuchPart(PartId $id): self
    {
        return new self(
            'part',
            'Part '.self::shown($id->text).' is not in this piece: it may have been taken off in another tab.',
        );
    }

    public static function noSuchBead(string $field, string $id): self
    {
        return new self($field, 'Bead '.self::shown($id).' is not in this piece: choose one that is, or add it first.');
    }

    public static function noSuchRun(int $at): self
    {
        return new self(
            'run',
            'There are no beads at place '.($at + 1).' of this part: choose a place that holds some.',
        );
    }

    public static function noSuchWire(string $field, string $role): self
    {
        return new self(
            $field,
            'Wire '.self::shown($role).' is not among the wires of this piece: give it under "wires".',
        );
    }

    public static function hangsOnNothing(string $field, string $on): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($on)
                .' is no part above this one: give a part that stands before it and its eye, such as p2/bottom.',
        );
    }

    public static function closesInNothing(string $field, string $to): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($to)
                .' is no other part: give the part and the eye that the lower end closes in, such as p5/top.',
        );
    }

    public static function nothingAbove(): self
    {
        return new self('part', 'Nothing stands above this part: move it down first, or group the one below it.');
    }

    public static function noSuchGroup(string $group): self
    {
        return new self(
            'group',
            'Group '.self::shown($group).' is not in this piece: it may have been taken apart in another tab.',
        );
    }

    public static function groupApart(string $field, string $group): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($group).' stands in two places: parts of a group follow each other.',
        );
    }

    public static function takesNoBeads(string $label): self
    {
        return new self('bead', "The {$label} takes no beads: add them to a link or a head pin.");
    }

    public static function twice(string $field, string $id): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($id).' stands there twice: give each part an id of its own.',
        );
    }

    public static function badId(string $field, string $id): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($id).' is not an id: give 1 to 24 letters, digits or hyphens.',
        );
    }

    public static function unknownChange(string $read, string $known): self
    {
        return new self('do', 'Change '.self::shown($read).' is not known here: give one of '.$known.'.');
    }

    private static function kind(mixed $read): string
    {
        return match (true) {
            $read === null => 'missing',
            is_bool($read) => $read ? 'true' : 'false',
            is_int($read), is_float($read) => 'the number '.Figures::trim((float) $read, 3),
            is_string($read) => 'the text '.self::shown($read),
            is_array($read) => array_is_list($read) ? 'a list' : 'an object',
            default => 'something else',
        };
    }
}
