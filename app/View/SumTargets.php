<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Piece;
use App\Models\Workshop;
use Hebra\Core\Piece\Part;
use Hebra\Core\Sum\Given;
use Illuminate\Support\Collection;

/** Where a sum can be put to use: parts it has settings for, and the notes of every piece. */
final readonly class SumTargets
{
    private const MOST_PIECES = 24;

    /** @param  list<array{piece: Piece, parts: list<Part>}>  $rows */
    private function __construct(public array $rows)
    {
    }

    public static function of(SumDesk $desk, Workshop $workshop): self
    {
        $settings = $desk->problem === null
            ? $desk->sum->settings(Given::read($desk->sum, $desk->filled(), $desk->profile->unit()))
            : [];
        $rows = [];
        /** @var Collection<int, Piece> $pieces */
        $pieces = $workshop->pieces()->where(
            'is_pattern',
            false,
        )->latest('updated_at')->latest('id')->limit(self::MOST_PIECES)->get();
        foreach ($pieces as $piece) {
            $rows[] = [
                'piece' => $piece,
                'parts' => array_values(
                    array_filter(
                        $piece->document()->parts,
                        fn (Part $part): bool => isset($settings[$part->technique]),
                    ),
                ),
            ];
        }

        return new self($rows);
    }
}
