<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Occasion;
use App\Models\Workshop;
use Hebra\Core\Market\Sitting;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * What the plan of work has for today, piece by piece. Planning takes longer than a page may, so it is kept until
 * something that it is made of changes.
 *
 * @phpstan-type Planned array{name: string, url: string, operations: list<string>, minutes: float}
 */
final class PlannedToday
{
    private const KEPT_SECONDS = 86_400;

    /** @return list<Planned> in the order in which they are done */
    public static function of(Workshop $workshop): array
    {
        if (! $workshop->occasions()->exists()) {
            return [];
        }

        return Cache::remember(
            'planned-today-'.self::state($workshop), self::KEPT_SECONDS, fn (): array => self::planned($workshop),
        );
    }

    /** What the plan is made of, as one word: another one as soon as any of it changes. */
    private static function state(Workshop $workshop): string
    {
        $wants = self::wants($workshop);

        return md5((string) json_encode([
            HandState::atPace($workshop), now()->format('Y-m-d'), $wants,
            DB::table('repairs')->join('occasions', 'occasions.id', '=', 'repairs.occasion_id')
                ->where('repairs.workshop_id', $workshop->id)->whereNull('done_at')->orderBy('repairs.id')
                ->get(['repairs.*', 'due_on']),
            DB::table('finished')->whereIn('piece_id', $wants->pluck('piece')->unique())
                ->groupBy('piece_id', 'place', 'want_id')->orderBy('piece_id')->orderBy('place')->orderBy('want_id')
                ->get(['piece_id', 'place', 'want_id', DB::raw('COUNT(*) AS many')]),
        ]));
    }

    /** @return Collection<int, \stdClass> each with its design and the making under way */
    private static function wants(Workshop $workshop): Collection
    {
        return DB::table('wants')->join('occasions', 'occasions.id', '=', 'wants.occasion_id')
            ->join('pieces', 'pieces.id', '=', 'wants.piece_id')
            ->join('piece_revisions', fn (JoinClause $join) => $join->on('piece_revisions.piece_id', '=', 'pieces.id')
                ->on('piece_revisions.number', '=', 'pieces.revision'))
            ->leftJoin('makings', fn (JoinClause $join) => $join->on('makings.piece_id', '=', 'pieces.id')
                ->whereNull('makings.closed_at'))
            ->where('wants.workshop_id', $workshop->id)
            // A repair is to be done however late it is.
            ->where(fn (Builder $open) => $open->where('due_on', '>=', now()->format('Y-m-d'))
                ->orWhere('occasions.kind', Occasion::REPAIR))
            ->orderBy('wants.id')->orderBy('makings.id')->get([
                'makings.*', 'wants.id as want', 'wants.count as wanted', 'from_on', 'due_on', 'occasions.id as due',
                'pieces.id as piece', 'pieces.name as called', 'pieces.deleted_at as gone',
                'piece_revisions.id as design',
            ]);
    }

    /** @return list<Planned> */
    private static function planned(Workshop $workshop): array
    {
        $wanted = new Wanted($workshop);
        $planned = [];
        foreach ($wanted->plan()->on(0) as $sitting) {
            foreach ($sitting->wants as $key) {
                $toDo = $wanted->toDo($key);
                if ($toDo !== null) {
                    $planned[$toDo->url()] = self::with($planned[$toDo->url()] ?? null, $toDo, $sitting);
                }
            }
        }

        return array_values($planned);
    }

    /**
     * @param  Planned|null  $so
     * @return Planned
     */
    private static function with(?array $so, ToDo $toDo, Sitting $sitting): array
    {
        return [
            'name' => $toDo->name(), 'url' => $toDo->url(),
            'operations' => [...$so['operations'] ?? [], $sitting->operation->value],
            'minutes' => ($so['minutes'] ?? 0.0) + $sitting->minutes / count($sitting->wants),
        ];
    }
}
