<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Bead\Bead;

/** A change as fields of a form, as ChangeReader reads them back: lengths in millimetres. */
final class ChangeWriter
{
    /** @return array<string, string> */
    public static function fields(Change $change): array
    {
        $fields = match (true) {
            $change instanceof Change\Several => [
                'do' => 'all', 'words' => $change->words,
                'of' => json_encode(
                    array_map(self::fields(...), $change->changes), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
                ),
            ],
            $change instanceof Change\SetFit => [
                'do' => 'fit', 'kind' => $change->fit->kind->value,
                'fit' => $change->fit->said === '' ? $change->fit->mm.' mm' : $change->fit->said,
            ],
            $change instanceof Change\SetMakes => [
                'do' => 'makes', 'kind' => $change->makes->kind, 'count' => $change->makes->count,
            ],
            $change instanceof Change\Rename => ['do' => 'name', 'name' => $change->name],
            $change instanceof Change\SetNote => ['do' => 'note', 'note' => $change->note],
            default => self::ofPart($change)
                ?? self::ofGroup($change)
                ?? self::ofWire($change)
                ?? self::ofPlaces($change)
                ?? self::ofBeads($change),
        };

        return array_map(strval(...), array_filter($fields, fn (mixed $value): bool => $value !== null));
    }

    /** @return array<string, PartId|string|int|null>|null */
    private static function ofPart(Change $change): ?array
    {
        return match (true) {
            $change instanceof Change\AddPart => [
                'do' => 'part.add', 'technique' => $change->technique, 'at' => $change->at,
                'on' => $change->on?->text(),
            ],
            $change instanceof Change\RemovePart => ['do' => 'part.remove', 'part' => $change->part],
            $change instanceof Change\MovePart => ['do' => 'part.move', 'part' => $change->part, 'by' => $change->by],
            $change instanceof Change\TellFreely => [
                'do' => 'part.free', 'part' => $change->part, 'course' => $change->course,
            ],
            $change instanceof Change\CopyPart => ['do' => 'part.copy', 'part' => $change->part],
            $change instanceof Change\OwnWire => [
                'do' => 'part.wire', 'part' => $change->part, 'own' => $change->isOwn ? '1' : '0',
            ],
            $change instanceof Change\RepeatPart => [
                'do' => 'part.repeat', 'part' => $change->part,
                $change->relative ? 'by' : 'count' => $change->count,
            ],
            $change instanceof Change\HangPart => [
                'do' => 'part.hang', 'part' => $change->part, 'on' => $change->on?->text() ?? '',
            ],
            $change instanceof Change\ClosePart => [
                'do' => 'part.close', 'part' => $change->part, 'to' => $change->to?->text() ?? '',
            ],
            $change instanceof Change\SetSetting => [
                'do' => 'part.set', 'part' => $change->part, 'key' => $change->key, 'value' => $change->value,
            ],
            default => null,
        };
    }

    /** @return array<string, PartId|string|int|null>|null */
    private static function ofGroup(Change $change): ?array
    {
        return match (true) {
            $change instanceof Change\JoinGroup => ['do' => 'group.join', 'part' => $change->part],
            $change instanceof Change\LeaveGroup => ['do' => 'group.leave', 'part' => $change->part],
            $change instanceof Change\GradeGroup && $change->byMm === 0.0 => [
                'do' => 'group.unfold', 'group' => $change->group,
            ],
            $change instanceof Change\GradeGroup => [
                'do' => 'group.grade', 'group' => $change->group, 'step' => $change->byMm.' mm',
                'way' => $change->isFalling ? 'falling' : 'rising',
            ],
            $change instanceof Change\SetGroup => [
                'do' => 'group.set', 'group' => $change->group, 'count' => $change->count,
                'by' => $change->by === 0 ? null : $change->by,
                'mirrored' => $change->isMirrored === null ? null : (string) (int) $change->isMirrored,
            ],
            $change instanceof Change\SetLinks => [
                'do' => 'chain.set', 'links' => implode(', ', array_map(
                    fn (string $part, string $links): string => "{$part} {$links}",
                    array_keys($change->links), $change->links,
                )),
            ],
            default => null,
        };
    }

    /** @return array<string, string|null>|null */
    private static function ofWire(Change $change): ?array
    {
        return match (true) {
            $change instanceof Change\SetMetal => ['do' => 'metal', 'metal' => $change->metal->value],
            $change instanceof Change\SetWire => [
                'do' => 'wire', 'role' => $change->role, 'metal' => $change->metal?->value,
                'size' => $change->size?->code(), 'temper' => $change->temper?->value,
            ],
            default => null,
        };
    }

    /** @return array<string, PartId|string|int|null>|null of beads that stay the same ones, in other places */
    private static function ofPlaces(Change $change): ?array
    {
        return match (true) {
            $change instanceof Change\MoveBead => [
                'do' => 'bead.move', 'part' => $change->part, 'at' => $change->at, 'by' => $change->by,
            ],
            $change instanceof Change\CarryBead, $change instanceof Change\ExchangeBeads => [
                'do' => $change instanceof Change\CarryBead ? 'bead.carry' : 'bead.exchange',
                'part' => $change->part, 'at' => $change->at, 'to' => $change->to, 'place' => $change->place,
            ],
            $change instanceof Change\MirrorBeads => ['do' => 'bead.mirror', 'part' => $change->part],
            $change instanceof Change\ReverseBeads => ['do' => 'bead.reverse', 'part' => $change->part],
            default => null,
        };
    }

    /** @return array<string, PartId|string|int|null> */
    private static function ofBeads(Change $change): array
    {
        return match (true) {
            $change instanceof Change\AddBead => [
                'do' => 'bead.add', 'part' => $change->part, 'at' => $change->at,
                'bead' => ($change->count > 1 ? $change->count.' × ' : '').self::bead($change->bead),
            ],
            $change instanceof Change\SwapBead => [
                'do' => 'bead.swap', 'part' => $change->part, 'at' => $change->at, 'bead' => self::bead($change->bead),
            ],
            $change instanceof Change\ReplaceBead => [
                'do' => 'bead.swap', 'all' => '1', 'part' => $change->part, 'at' => $change->at,
                'bead' => self::bead($change->bead),
            ],
            $change instanceof Change\RemoveBead => [
                'do' => 'bead.remove', 'part' => $change->part, 'at' => $change->at,
            ],
            $change instanceof Change\CountBead => [
                'do' => 'bead.count', 'part' => $change->part, 'at' => $change->at,
                $change->relative ? 'by' : 'count' => $change->count,
            ],
            $change instanceof Change\RepeatBeads => [
                'do' => 'bead.repeat', 'part' => $change->part, 'runs' => $change->runs, 'count' => $change->count,
            ],
            $change instanceof Change\EditBead => [
                'do' => 'bead.edit', 'bead' => $change->bead,
                'hole' => $change->holeMm === null ? null : $change->holeMm.' mm', 'colour' => $change->colour,
                'size' => $change->size,
            ],
            $change instanceof Change\OnRuns => [
                'do' => $change->deed->name, 'chosen' => $change->text(),
                'bead' => $change->deed->bead === '' ? null : self::bead($change->deed->bead),
                'colour' => $change->deed->colour === '' ? null : $change->deed->colour,
                'by' => $change->deed->by === 0 ? null : $change->deed->by,
            ],
            default => throw new \LogicException('This change has no fields: '.$change::class),
        };
    }

    private static function bead(Bead|string $bead): string
    {
        return is_string($bead) ? $bead : $bead->line();
    }
}
