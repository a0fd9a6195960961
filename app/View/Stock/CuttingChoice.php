<?php

declare(strict_types=1);

namespace App\View\Stock;

use App\Models\Piece;
use App\Models\Workshop;
use App\View\Found;
use App\View\HungPicture;
use App\View\SeenPiece;
use App\View\Sought;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** The pieces that can be cut for, drawn: what is chosen first, then the latest, or those that a line finds. */
final readonly class CuttingChoice
{
    private const MOST = 24;

    private const BOX = [84.0, 84.0, 1.0];

    /** @var Collection<int, Piece> */
    public Collection $chosen;

    /** @var list<array{piece: Piece, hung: HungPicture, isChosen: bool}> */
    public array $rows;

    /** how many there are beyond those */
    public int $more;

    /** @param  list<string>  $asked  ulids of what is chosen */
    public function __construct(private Workshop $workshop, array $asked, public string $line)
    {
        /** @var Builder<Piece> $chosen */
        $chosen = $this->pieces()->whereIn('ulid', $asked);
        $this->chosen = self::read($chosen);
        $sought = Sought::read(mb_substr($line, 0, Found::MOST_LETTERS));
        /** @var Builder<Piece> $found */
        $found = $this->pieces()->whereNotIn('id', $this->chosen->pluck('id'))
            ->where(fn (Builder $piece) => $sought->in($piece, Piece::TOLD));
        $this->more = max(0, (clone $found)->count() - self::MOST);
        $found->limit(self::MOST);
        $seen = SeenPiece::in($workshop);
        $this->rows = array_values(
            $this->chosen->concat(self::read($found))->map(fn (Piece $piece): array => [
                'piece' => $piece, 'hung' => $seen($piece->json())->hung(self::BOX),
                'isChosen' => $this->chosen->contains('id', $piece->id),
            ])->all(),
        );
    }

    /**
     * @param  Builder<Piece>  $pieces
     * @return Collection<int, Piece> with their designs
     */
    private static function read(Builder $pieces): Collection
    {
        /** @var Collection<int, Piece> $read */
        $read = $pieces->get();

        return Piece::designed($read);
    }

    /** @return Builder<Piece> the latest first */
    private function pieces(): Builder
    {
        return Piece::query()->where('workshop_id', $this->workshop->id)->where('is_pattern', false)->latest('id');
    }

    public function isEmpty(): bool
    {
        return $this->rows === [] && trim($this->line) === '';
    }
}
