<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Exceptions\Refused;
use App\Models\Piece;
use Hebra\Core\Figure\View;
use Hebra\Core\Piece\PartId;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** Anything asked of one piece: by its own workshop only, and, for changes, from the revision the page showed. */
final class PieceRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('update', $this->piece());
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [];
    }

    public function piece(): Piece
    {
        $piece = $this->route('piece');

        return $piece instanceof Piece ? $piece : abort(404);
    }

    /** @throws Refused if the page did not say which revision it showed */
    public function seenRevision(): int
    {
        $seen = $this->input('revision');
        if (! (is_int($seen) || is_string($seen)) || preg_match('/^\d{1,9}$/', (string) $seen) !== 1) {
            throw Refused::invalid(
                'revision',
                'Revision is missing or no number: give the revision of the piece that the change is for.',
            );
        }

        return (int) $seen;
    }

    public function openPart(): ?PartId
    {
        $open = $this->named('open');

        return $open === null ? null : PartId::of($open);
    }

    public function openRole(): ?string
    {
        return $this->named('role');
    }

    private function named(string $field): ?string
    {
        $name = $this->input($field);

        return is_string($name) && $name !== '' ? mb_substr($name, 0, 24) : null;
    }

    /** From which side the piece is looked at. */
    public function side(): View
    {
        return View::tryFrom(is_string($this->input('view')) ? $this->input('view') : '') ?? View::Front;
    }

    /** The run of beads that stays chosen: beside one taken off the one above is. */
    public function openRun(): ?int
    {
        $run = $this->input('run');
        $shift = match ($this->input('do')) {
            'bead.remove' => -1,
            default => 0,
        };

        return is_numeric($run) ? max(0, (int) $run + $shift) : null;
    }

    /**
     * How long the piece hung, how much it cut and what it weighed on the page that the change was made on: only shown
     * beside what they are now.
     *
     * @return list<float>
     */
    public function was(): array
    {
        $hung = $this->input('hung');
        $told = is_string($hung) || is_numeric($hung) ? explode(' ', mb_substr((string) $hung, 0, 80)) : [];

        return array_map(floatval(...), array_slice(array_values(array_filter($told, is_numeric(...))), 0, 3));
    }
}
