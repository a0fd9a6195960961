<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\HandBook;
use App\Models\Making;
use App\Models\Piece;
use App\Models\Workshop;
use Hebra\Core\Market\Taken;
use Hebra\Core\Market\Tasks;
use Hebra\Core\Plan\Planner;
use Illuminate\Support\Facades\Cache;

/**
 * What a piece is to whoever plans the days: the tasks of its making, what one takes, how many it brings, and what is
 * left of the making under way. Planned once, and kept until the design, the hand, its pace or the making is another.
 */
final readonly class PieceWork
{
    private const KEPT_SECONDS = 1_209_600;

    private function __construct(
        public Tasks $tasks,
        public Taken $taken,
        /** how many a making brings that are sold: a batch several */
        public int $sold,
        public ?Making $making,
        /** minutes left of the making under way */
        public ?float $left,
    ) {
    }

    /** @return callable(Piece): self of pieces of this workshop */
    public static function in(Workshop $workshop): callable
    {
        $state = HandState::atPace($workshop).filemtime(__FILE__);

        return function (Piece $piece) use ($state, $workshop): self {
            [$tasks, $taken, $sold] = self::kept(
                $state.$piece->json(), fn (): array => self::planned($piece, $workshop),
            );
            $making = $piece->openMaking;
            $left = $making === null ? null : self::kept(
                $state.json_encode($making->getAttributes()), fn (): float => self::left($making, $workshop),
            );

            return new self($tasks, $taken, $sold, $making, $left);
        };
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $planned
     * @return T
     */
    private static function kept(string $of, \Closure $planned): mixed
    {
        return Cache::remember('work-'.md5($of), self::KEPT_SECONDS, $planned);
    }

    /** @return array{Tasks, Taken, int} */
    private static function planned(Piece $piece, Workshop $workshop): array
    {
        $plan = Planner::plan($piece->document(), $workshop->profile());

        return [
            Tasks::of($plan, HandBook::of($workshop)->pace()), Taken::of($plan), $plan->piece->makes->sold(),
        ];
    }

    private static function left(Making $making, Workshop $workshop): float
    {
        $desk = new MakingDesk($making, $making->plan($workshop->profile()));

        return Tasks::LOG_MINUTES + $desk->minutesLeft(HandBook::of($workshop)->pace());
    }
}
