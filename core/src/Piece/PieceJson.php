<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Bead\Material;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\OneOf;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;

/**
 * The open format of a piece, version 2; version 1 is read as it stands, for it says less. Writing is canonical: the
 * same piece gives the same bytes. Reading names the
 * place of what it refuses (`parts.2.settings.top_wraps`) and takes nothing it does not know.
 */
final class PieceJson
{
    public const VERSION = 2;

    private const READ = [1, self::VERSION];

    public const MOST_BYTES = 1_048_576;

    public const MOST_PIECES = 200;

    public static function write(Piece $piece): string
    {
        return json_encode(
            self::toArray($piece),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    /** @return array<string, mixed> */
    public static function toArray(Piece $piece): array
    {
        return [
            'hebra' => 'piece',
            'version' => self::VERSION,
            'name' => $piece->name,
            'note' => $piece->note,
            'makes' => ['kind' => $piece->makes->kind, 'count' => $piece->makes->count],
            'fit' => [
                'kind' => $piece->fit->kind->value, 'size_mm' => $piece->fit->mm,
                ...($piece->fit->said === '' ? [] : ['said' => $piece->fit->said]),
            ],
            'wires' => (object) array_map(fn (Wire $wire): array => [
                'metal' => $wire->metal->value, 'size' => $wire->size->code(), 'temper' => $wire->temper->value,
            ], $piece->wires),
            'beads' => (object) array_map(self::beadArray(...), $piece->beads),
            ...$piece->groups === []
                ? []
                : [
                    'groups' => (object) array_map(
                        fn (Group $group): array => ['repeat' => $group->repeat, 'mirrored' => $group->isMirrored],
                        $piece->groups,
                    ),
                ],
            'parts' => array_map(fn (Part $part): array => [
                'id' => $part->id,
                'technique' => $part->technique,
                'wire' => $part->wire,
                'repeat' => $part->repeat,
                'settings' => self::settingsInOrder($part),
                'beads' => array_map(
                    fn (BeadRun $run): array => ['bead' => $run->bead, 'count' => $run->count],
                    $part->beads,
                ),
                ...$part->on === null ? [] : ['on' => $part->on->text()],
                ...$part->to === null ? [] : ['to' => $part->to->text()],
                ...$part->group === '' ? [] : ['group' => $part->group],
            ], $piece->parts),
        ];
    }

    /** @return array<string, float|string> */
    public static function beadArray(Bead $bead): array
    {
        return [
            'name' => $bead->name,
            'shape' => $bead->shape->value,
            'length_mm' => $bead->lengthMm,
            'width_mm' => $bead->widthMm,
            'hole_mm' => $bead->holeMm,
            'drilling' => $bead->drilling->value,
            'material' => $bead->material->value,
            'colour' => $bead->colour,
        ];
    }

    /** @return array<string, float|int|string|bool> */
    private static function settingsInOrder(Part $part): array
    {
        $settings = [];
        foreach ($part->technique()->parameters() as $parameter) {
            $settings[$parameter->key] = $part->settings[$parameter->key];
        }

        return $settings;
    }

    /** @param  list<Piece>  $pieces */
    public static function writeAll(array $pieces): string
    {
        return json_encode(
            ['hebra' => 'pieces', 'version' => self::VERSION, 'pieces' => array_map(self::toArray(...), $pieces)],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    /** @throws \Hebra\Core\Problem if it is no piece; nothing is half-read */
    public static function read(string $json): Piece
    {
        return self::fromArray(self::decoded($json));
    }

    /**
     * One piece from outside, or a file of several.
     *
     * @return non-empty-list<Piece>
     *
     * @throws \Hebra\Core\Problem if any of them is no piece, at `pieces.3.parts.1.…`; nothing is half-read
     */
    public static function readAll(string $json): array
    {
        $document = self::decoded($json);
        ReceivedJson::check($json, $document, 'document');
        if (! is_array($document) || ($document['hebra'] ?? null) !== 'pieces') {
            return [self::fromArray($document)];
        }
        in_array($document['version'] ?? null, self::READ, true)
            || throw InvalidPiece::version($document['version'] ?? null);
        self::onlyKeys(self::object($document, 'document'), ['hebra', 'version', 'pieces'], 'document');
        $list = self::listed($document['pieces'] ?? null, 'pieces');
        count($list) <= self::MOST_PIECES
            || throw \Hebra\Core\Quantity\OutOfRange::tooMany('pieces', count($list), self::MOST_PIECES, 'pieces');
        $pieces = [];
        foreach ($list as $index => $piece) {
            try {
                $pieces[] = self::fromArray($piece);
            } catch (\Hebra\Core\Problem $problem) {
                throw InvalidPiece::inPiece($index, $problem);
            }
        }

        return $pieces === [] ? throw InvalidPiece::noPieces() : $pieces;
    }

    private static function decoded(string $json): mixed
    {
        if (strlen($json) > self::MOST_BYTES) {
            throw InvalidPiece::tooLarge(strlen($json), self::MOST_BYTES);
        }
        try {
            return json_decode($json, true, 32, JSON_THROW_ON_ERROR);
        } catch (\JsonException $why) {
            throw InvalidPiece::notJson(mb_strtolower($why->getMessage()));
        }
    }

    /** @throws \Hebra\Core\Problem if it is no piece */
    public static function fromArray(mixed $document): Piece
    {
        $top = self::object($document, 'document');
        ($top['hebra'] ?? null) === 'piece' || throw InvalidPiece::notAPiece($top['hebra'] ?? null);
        in_array($top['version'] ?? null, self::READ, true) || throw InvalidPiece::version($top['version'] ?? null);
        self::onlyKeys(
            $top,
            ['hebra', 'version', 'name', 'note', 'makes', 'fit', 'wires', 'beads', 'groups', 'parts'],
            'document',
        );
        $makes = self::object($top['makes'] ?? ['kind' => 'one', 'count' => 1], 'makes');
        $wires = [];
        foreach (self::object($top['wires'] ?? null, 'wires') as $role => $wire) {
            $wires[self::id((string) $role, 'wires')] = self::wire(
                self::object($wire, "wires.{$role}"),
                "wires.{$role}",
            );
        }
        $beads = [];
        foreach (self::object($top['beads'] ?? [], 'beads') as $key => $bead) {
            $beads[self::id((string) $key, 'beads')] = self::bead(self::object($bead, "beads.{$key}"), "beads.{$key}");
        }
        $parts = [];
        $list = self::listed($top['parts'] ?? null, 'parts');
        // Before reading them one by one: a million parts must not be built to be refused.
        count($list) <= Piece::MOST_PARTS
            || throw \Hebra\Core\Quantity\OutOfRange::tooMany('parts', count($list), Piece::MOST_PARTS, 'parts');
        foreach ($list as $index => $part) {
            $parts[] = self::part(self::object($part, "parts.{$index}"), "parts.{$index}");
        }

        return Piece::of(
            self::text($top, 'name', 'name'),
            self::text($top, 'note', 'note', ''),
            Makes::of(
                self::text($makes, 'kind', 'makes.kind'),
                self::whole($makes, 'count', 'makes.count', 1),
                'makes',
            ),
            $wires, $beads, $parts, isset($top['fit'])
                ? self::fit(self::object($top['fit'], 'fit'))
                : null, self::groups(self::object($top['groups'] ?? [], 'groups')),
        );
    }

    /**
     * @param  array<mixed>  $groups
     * @return array<string, Group>
     */
    private static function groups(array $groups): array
    {
        $read = [];
        foreach ($groups as $name => $group) {
            $group = self::object($group, "groups.{$name}");
            self::onlyKeys($group, ['repeat', 'mirrored'], "groups.{$name}");
            $mirrored = $group['mirrored'] ?? false;
            $read[self::id((string) $name, 'groups')] = Group::of(
                self::whole($group, 'repeat', "groups.{$name}.repeat", 1),
                is_bool($mirrored) ? $mirrored : throw InvalidPiece::notFlag("groups.{$name}.mirrored", $mirrored),
                "groups.{$name}.repeat",
            );
        }

        return $read;
    }

    /** @param  array<mixed>  $fit */
    private static function fit(array $fit): Fit
    {
        self::onlyKeys($fit, ['kind', 'size_mm', 'said'], 'fit');
        $read = self::text($fit, 'kind', 'fit.kind');
        $kind = OneOf::read(FitKind::class, $read, 'fit.kind');

        return isset($fit['size_mm'])
            ? Fit::of(
                $kind,
                self::number($fit, 'size_mm', 'fit.size_mm'),
                self::text($fit, 'said', 'fit.said', ''),
                'fit.size_mm',
            )
            : Fit::usual($kind);
    }

    /** @param  array<mixed>  $wire */
    private static function wire(array $wire, string $at): Wire
    {
        self::onlyKeys($wire, ['metal', 'size', 'temper'], $at);

        return new Wire(
            Metal::read(self::text($wire, 'metal', "{$at}.metal"), "{$at}.metal"),
            WireSize::parseDrawn(self::text($wire, 'size', "{$at}.size"), "{$at}.size"),
            Temper::read(self::text($wire, 'temper', "{$at}.temper", 'dead-soft'), "{$at}.temper"),
        );
    }

    /** @param  array<mixed>  $bead */
    public static function bead(array $bead, string $at): Bead
    {
        self::onlyKeys(
            $bead,
            ['name', 'shape', 'length_mm', 'width_mm', 'hole_mm', 'drilling', 'material', 'colour'],
            $at,
        );
        $said = fn (string $key, string $default): string => self::text($bead, $key, "{$at}.{$key}", $default);
        $shape = OneOf::read(BeadShape::class, $said('shape', ''), "{$at}.shape");
        $drilling = OneOf::read(Drilling::class, $said('drilling', 'lengthwise'), "{$at}.drilling");
        $material = OneOf::read(Material::class, $said('material', 'glass'), "{$at}.material");

        return Bead::of(
            $shape, self::number($bead, 'length_mm', "{$at}.length_mm"),
            self::number($bead, 'width_mm', "{$at}.width_mm"), self::number($bead, 'hole_mm', "{$at}.hole_mm"),
            $drilling, $material, self::text($bead, 'colour', "{$at}.colour", 'sea'),
            self::text($bead, 'name', "{$at}.name", ''), $at,
        );
    }

    /** @param  array<mixed>  $part */
    private static function part(array $part, string $at): Part
    {
        self::onlyKeys($part, ['id', 'technique', 'wire', 'repeat', 'settings', 'beads', 'on', 'to', 'group'], $at);
        $technique = Kinds::named(self::text($part, 'technique', "{$at}.technique"), "{$at}.technique");
        $given = self::object($part['settings'] ?? [], "{$at}.settings");
        $settings = [];
        foreach ($technique->parameters() as $parameter) {
            $settings[$parameter->key] = array_key_exists($parameter->key, $given)
                ? $parameter->fromJson($given[$parameter->key], "{$at}.settings.{$parameter->key}")
                : $parameter->default;
        }
        self::onlyKeys($given, array_keys($settings), "{$at}.settings");
        $beads = [];
        foreach (self::listed($part['beads'] ?? [], "{$at}.beads") as $place => $run) {
            $run = self::object($run, "{$at}.beads.{$place}");
            self::onlyKeys($run, ['bead', 'count'], "{$at}.beads.{$place}");
            $beads[] = new BeadRun(self::text($run, 'bead', "{$at}.beads.{$place}.bead"),
                Count::within(
                    self::whole($run, 'count', "{$at}.beads.{$place}.count", 1), "{$at}.beads.{$place}.count", 1,
                    BeadRun::MOST,
                ));
        }

        return new Part(PartId::read(self::text($part, 'id', "{$at}.id"), "{$at}.id"), $technique->name(), self::text(
            $part, 'wire', "{$at}.wire", $technique->role(),
        ),
            Count::within(self::whole($part, 'repeat', "{$at}.repeat", 1), "{$at}.repeat", 1, Piece::MOST_PARTS),
            $settings, $beads,
            self::eye(
                self::text($part, 'on', "{$at}.on", ''), "{$at}.on",
            ), self::text($part, 'group', "{$at}.group", '') === ''
                ? ''
                : self::id(self::text($part, 'group', "{$at}.group"), "{$at}.group"),
            EyeRef::read(self::text($part, 'to', "{$at}.to", '')));
    }

    /** @return array<mixed> */
    private static function object(mixed $value, string $field): array
    {
        return is_array($value) && ($value === [] || ! array_is_list($value))
            ? $value
            : throw InvalidPiece::notObject($field, $value);
    }

    /** @return list<mixed> */
    private static function listed(mixed $value, string $field): array
    {
        return is_array($value) && array_is_list($value) ? $value : throw InvalidPiece::notList($field, $value);
    }

    /** @param  array<mixed>  $from */
    private static function text(array $from, string $key, string $field, ?string $default = null): string
    {
        $value = $from[$key] ?? $default;

        // What an older document holds beside what can be seen is left out; what comes from outside is refused before
        // (ReceivedJson).
        return is_string($value) ? Text::seen($value) : throw InvalidPiece::notText($field, $value);
    }

    /** @param  array<mixed>  $from */
    private static function number(array $from, string $key, string $field): float
    {
        $value = $from[$key] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : throw InvalidPiece::notNumber($field, $value);
    }

    /** @param  array<mixed>  $from */
    private static function whole(array $from, string $key, string $field, int $default): int
    {
        $value = $from[$key] ?? $default;

        return is_int($value) ? $value : throw InvalidPiece::notWhole($field, $value);
    }

    /**
     * @param  array<mixed>  $from
     * @param  list<string>  $known
     */
    private static function onlyKeys(array $from, array $known, string $field): void
    {
        foreach (array_keys($from) as $key) {
            in_array((string) $key, $known, true) || throw InvalidPiece::unknownKey($field, (string) $key);
        }
    }

    /** `p2/bottom`, or nothing */
    private static function eye(string $on, string $field): ?EyeRef
    {
        $eye = EyeRef::read($on);

        return $eye === null || $eye->isWhole()
            ? $eye
            : throw InvalidPiece::hangsOnNothing($field, $on);
    }

    private static function isId(string $id): bool
    {
        return PartId::isName($id);
    }

    private static function id(string $id, string $field): string
    {
        return self::isId($id) ? $id : throw InvalidPiece::badId($field, $id);
    }
}
