<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Lot;
use App\Models\MakingCut;
use App\Models\Movement;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Illuminate\Support\Collection;

/** One wire of a making as it is in the finished piece: how it was cut, from which lots, and how much of it stayed. */
final readonly class RecordWire
{
    /** @var Collection<int, Movement> what the book says of it */
    private Collection $lines;

    /**
     * @param  Collection<int, MakingCut>  $cuts  one label's, from one lot each
     * @param  Collection<int, Movement>  $book  of the whole making
     */
    public function __construct(public string $label, public Collection $cuts, Collection $book)
    {
        $this->lines = $book->filter(
            fn (Movement $line): bool => $line->kind === 'made'
                && str_ends_with($line->words, ', '.mb_strtolower($label)),
        );
    }

    public function count(): int
    {
        return array_sum($this->cuts->map(fn (MakingCut $cut): int => $cut->count)->all());
    }

    /** @return Collection<int, Lot> that it was cut from */
    public function lots(): Collection
    {
        return $this->lines->filter(fn (Movement $line): bool => $line->mass_mg < 0)
            ->map(fn (Movement $line): ?Lot => $line->lot)->whereNotNull()->unique('id')->values();
    }

    /** Milligrams that are in the piece. */
    public function keptMg(): int
    {
        return (int) $this->lines->where('account', 'pieces')->sum('mass_mg');
    }

    /** `cut 90 mm, 23.5 mm left, +4.8 % on the sum`, that where what was left was measured. */
    public function asCut(Profile $profile): string
    {
        $cut = $this->cuts->firstOrFail();
        $left = match (true) {
            $cut->is_bound => 'ran short',
            $cut->short_um > 0 => 'short by '.$profile->length($cut->short_um / 1000),
            default => $profile->length($cut->left_um / 1000).' left',
        };
        $over = 100 * ($cut->ratio() - 1);
        $against = ($over >= 0 ? '+' : '−').Figures::trim(abs($over), 1).' % on the sum';

        return implode(', ', [
            'cut '.$profile->length($cut->cut_um / 1000), $left, ...($cut->way === null ? [] : [$against]),
        ]);
    }
}
