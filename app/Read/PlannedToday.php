<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\HandBook;
use App\Models\Workshop;
use Hebra\Core\Market\Sitting;
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
        $of = fn (string $table, string $columns): mixed => DB::table($table)->where('workshop_id', $workshop->id)
            ->selectRaw($columns)->first();

        return md5((string) json_encode([
            HandState::of($workshop), HandBook::of($workshop)->timed(), now()->format('Y-m-d'),
            $of('occasions', 'COUNT(*), MAX(updated_at), SUM(id)'),
            $of('repairs', 'COUNT(*), COUNT(done_at), MAX(updated_at)'),
            $of('wants', 'COUNT(*), SUM(count), MAX(updated_at), SUM(id)'),
            $of('finished', 'COUNT(*), MAX(updated_at), SUM(COALESCE(want_id, 0))'),
            $of('pieces', 'COUNT(*), SUM(revision)'),
            $of('makings', 'COUNT(*), SUM(moves), SUM(step), MAX(updated_at)'),
        ]));
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
