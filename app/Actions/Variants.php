<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Piece;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Variants of a piece are kept beside it, and any of them becomes the piece. */
final class Variants
{
    public function __construct(private readonly History $history)
    {
    }

    /** The piece as it is now, once more, in the same family: the one is changed, the other stays to compare with. */
    public function keep(Piece $piece): Piece
    {
        return DB::transaction(function () use ($piece): Piece {
            $family = $piece->family ?? $piece->ulid;
            $number = 1 + max(1, $piece->newQuery()->withTrashed()->where('workshop_id', $piece->workshop_id)
                ->where('family', $family)->count());
            $document = $piece->document();
            $variant = $this->history->begin(
                $piece->workshop, $document->withName(Str::limit($document->name, 66, '').", variant {$number}"),
                'Kept beside '.$document->name,
            );
            foreach ([$piece, $variant] as $one) {
                $one->timestamps = false;
                $one->forceFill(['family' => $family])->save();
            }

            return $variant;
        });
    }

    /**
     * The piece becomes as its variant is, but for its name. It can be undone like any change.
     *
     * @throws Refused|\Hebra\Core\Problem if they are not of one family, or the piece moved on meanwhile
     */
    public function take(Piece $piece, int $seen, string $variant): Piece
    {
        $other = $piece->variants()->where('ulid', $variant)->first()
            ?? throw Refused::invalid('variant', 'That variant is not here any more: choose another one.');

        return $this->history->change($piece, $seen, new Becoming($other->document()));
    }
}
