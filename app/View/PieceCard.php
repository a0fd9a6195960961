<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Making;
use App\Models\Piece;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** A piece as it stands in the list: its picture, where it is, what is wrong. */
final class PieceCard
{
    private const MOST = 60;

    private const WHERE = [
        'lay-out' => 'being laid out',
        'wire' => 'choosing wire',
        'cut' => 'ready to cut',
        'make' => 'ready to make',
        'log' => 'ready to make',
    ];

    public readonly SeenPiece $seen;

    private ?Plan $plan = null;

    /** What is being made, which may be an earlier design. */
    private readonly ?SeenPiece $made;

    /** @param  callable(string): SeenPiece  $seen */
    private function __construct(public readonly Piece $piece, private readonly Workshop $workshop, callable $seen)
    {
        $this->seen = $seen($piece->json());
        $this->made = $piece->openMaking === null ? null : $seen($piece->openMaking->document);
    }

    /** Planned where more is asked of it than it shows. */
    public function plan(): Plan
    {
        return $this->plan ??= Planner::plan($this->piece->document(), $this->workshop->profile());
    }

    /** @return list<self> the latest first, and after them the latest of all others that are looked for */
    public static function all(Workshop $workshop, ?Sought $sought = null, int $most = self::MOST): array
    {
        $latest = self::latest($workshop)->limit($most)->get();
        $others = $sought === null || $latest->count() < $most ? [] : self::latest($workshop)
            ->whereNotIn('id', $latest->pluck('id'))->where(fn (Builder $piece) => $sought->in($piece, Piece::TOLD))
            ->limit($most)->get();
        /** @var Collection<int, Piece> $pieces */
        $pieces = $latest->concat($others);

        return self::of($pieces, $workshop);
    }

    /**
     * @param  Collection<int, Piece>  $pieces
     * @return list<self>
     */
    public static function of(Collection $pieces, Workshop $workshop): array
    {
        $seen = SeenPiece::in($workshop);

        return array_values(Piece::designed($pieces)->map(
            fn (Piece $piece): self => new self($piece, $workshop, $seen),
        )->all());
    }

    /** @return Builder<Piece> */
    private static function latest(Workshop $workshop): Builder
    {
        return Piece::query()->where('workshop_id', $workshop->id)
            ->where('is_pattern', false)
            ->with('openMaking')
            ->withMax(
                ['makings as made_at' => fn ($makings) => $makings->whereNotNull('closed_at')],
                'closed_at',
            )->latest('updated_at')->latest('id');
    }

    public function making(): ?Making
    {
        return $this->piece->openMaking;
    }

    public function progress(): string
    {
        $making = $this->making();
        if ($making === null && $this->piece->made_at !== null) {
            return 'made '.CarbonImmutable::parse($this->piece->made_at)->format('j F');
        }
        if ($making === null) {
            return self::WHERE[$this->piece->stage] ?? '';
        }
        $total = $this->made?->steps($making->isByOperation()) ?? 0;

        return $making->step >= $total ? 'made, to be weighed and logged' : "making, step {$making->step} of {$total}";
    }

    public function worst(): Level
    {
        return $this->seen->worst();
    }
}
