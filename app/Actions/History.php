<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Piece;
use App\Models\Workshop;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Piece as Document;
use Hebra\Core\Piece\PieceJson;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The history of a piece: every change is a revision; undo and redo move along them. */
final class History
{
    /** Revisions kept; older ones fall off the far end. */
    private const KEPT = 400;

    public function begin(Workshop $workshop, Document $document, string $words): Piece
    {
        return DB::transaction(function () use ($workshop, $document, $words): Piece {
            /** @var Piece $piece */
            $piece = $workshop->pieces()->create(['name' => $document->name]);
            $piece->setAttribute('revision', 1)->tell($document);
            $this->write($piece, 1, PieceJson::write($document), $words);

            return $piece->refresh();
        });
    }

    /** @throws Refused|\Hebra\Core\Problem if the piece moved on meanwhile, or the change cannot be made */
    public function change(Piece $piece, int $seen, Change $change): Piece
    {
        return $this->moving($piece, $seen, function (Piece $piece) use ($change): void {
            $before = $piece->document();
            $after = $change->apply($before);
            $json = PieceJson::write($after);
            if ($json === $piece->json()) {
                return;
            }
            $next = $piece->revision + 1;
            $piece->history()->where('number', '>=', $next)->delete();
            $piece->history()->where('number', '<', $next - self::KEPT)->delete();
            $this->write($piece, $next, $json, $change->words($before));
            $piece->setAttribute('revision', $next)->tell($after);
            $piece->moved($after, $json);
        });
    }

    private function write(Piece $piece, int $number, string $json, string $words): void
    {
        $piece->history()->insert(
            [
                'piece_id' => $piece->id, 'number' => $number, 'document' => $json, 'words' => Str::limit($words, 190),
                'created_at' => now(),
            ],
        );
    }

    /** @throws Refused at the first revision, or if the piece moved on meanwhile */
    public function undo(Piece $piece, int $seen): Piece
    {
        return $this->step($piece, $seen, -1, Refused::nothingToUndo(...));
    }

    /** @throws Refused at the last revision, or if the piece moved on meanwhile */
    public function redo(Piece $piece, int $seen): Piece
    {
        return $this->step($piece, $seen, 1, Refused::nothingToRedo(...));
    }

    /** @param  callable(): Refused  $none */
    private function step(Piece $piece, int $seen, int $by, callable $none): Piece
    {
        return $this->moving($piece, $seen, function (Piece $piece) use ($by, $none): void {
            $piece->history()->where('number', $piece->revision + $by)->exists() || throw $none();
            $piece->setAttribute('revision', $piece->revision + $by);
            $piece->moved();
            $piece->tell($piece->document());
        });
    }

    /** @param  callable(Piece): void  $move */
    private function moving(Piece $piece, int $seen, callable $move): Piece
    {
        return DB::transaction(function () use ($piece, $seen, $move): Piece {
            $now = (int) DB::table('pieces')->where('id', $piece->id)->value('revision');
            if ($now !== $piece->revision) {
                $piece->setAttribute('revision', $now)->syncOriginal();
                $piece->moved();
            }
            $now === $seen || throw Refused::stale($seen, $now);
            $move($piece);

            return $piece;
        });
    }
}
