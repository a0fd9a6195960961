<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Finished;
use App\Models\Occasion;
use App\Models\Piece;
use App\Models\Want;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Hebra\Core\Market\BenchDays;
use Hebra\Core\Market\InTime;
use Hebra\Core\Market\Needs;
use Hebra\Core\Market\Place;
use Hebra\Core\Market\WorkPlan;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;

/** What is wanted from today on, how far it is, and the plan of work for the rest of it. */
final class Wanted
{
    private const KEPT_SECONDS = 86_400;

    /** @var Collection<int, Occasion> what is due first goes first */
    public readonly Collection $occasions;

    /** @var list<WantedPiece> */
    public readonly array $pieces;

    /** @var list<WantedRepair> */
    public readonly array $repairs;

    public readonly BenchDays $days;

    public readonly CarbonImmutable $today;

    /** @var array<int, list<Occasion>> by the day on which they are due */
    private readonly array $due;

    /** @var array<array-key, ToDo>|null */
    private ?array $byKey = null;

    private ?WorkPlan $plan = null;

    /** @var list<\Hebra\Core\Market\Want>|null */
    private ?array $core = null;

    public function __construct(public readonly Workshop $workshop)
    {
        $this->today = CarbonImmutable::today();
        /** @var Collection<int, Occasion> $occasions */
        $occasions = $workshop->occasions()->with(['wants.piece.openMaking', 'repair.finished.making.piece'])
            ->where(fn ($open) => $open->where(
                fn ($due) => $due->where('kind', '!=', Occasion::REPAIR)
                    ->where('due_on', '>=', $this->today->format('Y-m-d')),
            )->orWhereHas('repair', fn ($repair) => $repair->whereNull('done_at')))
            ->orderBy('due_on')->orderBy('id')->get();
        $this->occasions = $occasions;
        Piece::designed($occasions->flatMap(fn (Occasion $one) => $one->wants->pluck('piece')));
        $this->due = $occasions->groupBy(fn (Occasion $one): int => $this->dayOf($one->due_on))
            ->map(fn (Collection $ones): array => array_values($ones->all()))->all();
        $this->days = $this->benchDays();
        $this->pieces = $this->read();
        $this->repairs = $this->readRepairs();
    }

    private function benchDays(): BenchDays
    {
        $week = $this->workshop->weekMinutes();
        $first = $this->today->dayOfWeekIso - 1;
        $days = [];
        foreach ($this->workshop->day_minutes ?? [] as $date => $minutes) {
            $day = $this->dayOf(CarbonImmutable::parse($date));
            if ($day >= 0) {
                $days[$day] = $minutes;
            }
        }

        return BenchDays::of([...array_slice($week, $first), ...array_slice($week, 0, $first)], $days);
    }

    public function dayOf(CarbonImmutable $date): int
    {
        return (int) round($this->today->diffInDays($date->startOfDay(), false));
    }

    /** @return list<Occasion> */
    public function dueOn(int $day): array
    {
        return $this->due[$day] ?? [];
    }

    public function lastDue(): int
    {
        return max([0, ...array_keys($this->due)]);
    }

    public function date(int $day): CarbonImmutable
    {
        return $this->today->addDays($day);
    }

    /** @return list<WantedPiece> */
    private function read(): array
    {
        $work = PieceWork::in($this->workshop);
        $atHand = $this->atHand();
        $promised = Finished::query()->where('workshop_id', $this->workshop->id)->whereNotNull('want_id')
            ->groupBy('want_id')->selectRaw('want_id, COUNT(*) AS many')->pluck('many', 'want_id');
        $works = $begun = $pieces = [];
        foreach ($this->occasions as $occasion) {
            // Of a piece that was deleted nothing is planned, until it is brought back.
            foreach ($occasion->wants->reject(fn (Want $want): bool => $want->piece->trashed()) as $want) {
                $own = (int) ($promised[$want->id] ?? 0);
                $free = min(max(0, $want->count - $own), $atHand[$want->piece_id] ?? 0);
                $atHand[$want->piece_id] = ($atHand[$want->piece_id] ?? 0) - $free;
                $pieces[] = $one = new WantedPiece(
                    $want, $occasion, $works[$want->piece_id] ??= $work($want->piece), $own + $free,
                    ! isset($begun[$want->piece_id]),
                );
                $begun = $one->makings() > 0 ? $begun + [$want->piece_id => true] : $begun;
            }
        }

        return $pieces;
    }

    /** @return list<WantedRepair> */
    private function readRepairs(): array
    {
        $repairs = [];
        foreach ($this->occasions as $occasion) {
            if ($occasion->repair !== null) {
                $repairs[] = new WantedRepair($occasion->repair, $occasion);
            }
        }

        return $repairs;
    }

    /** @return array<int, int> pieces at hand that are promised to nobody, by piece */
    private function atHand(): array
    {
        return Finished::query()->where('workshop_id', $this->workshop->id)->whereNull('want_id')
            ->whereIn('place', Place::atHand())->groupBy('piece_id')->selectRaw('piece_id, COUNT(*) AS many')
            ->pluck('many', 'piece_id')->map(fn (mixed $many): int => (int) $many)->all();
    }

    public function plan(): WorkPlan
    {
        return $this->plan ??= $this->kept(
            'plan', fn (): WorkPlan => WorkPlan::of($this->coreWants(), $this->days),
        );
    }

    /** @return list<InTime> */
    public function ways(): array
    {
        return $this->kept('ways', fn (): array => InTime::all($this->coreWants(), $this->days, $this->plan()));
    }

    /**
     * Planning takes longer than a page may: what is planned is kept for exactly what it was planned of.
     *
     * @template T
     *
     * @param  \Closure(): T  $planned
     * @return T
     */
    private function kept(string $what, \Closure $planned): mixed
    {
        $word = md5((string) json_encode([
            config('hebra.version'), $this->days->word(),
            array_map(fn (\Hebra\Core\Market\Want $want): string => $want->word(), $this->coreWants()),
        ]));

        return Cache::remember("{$what}-{$word}", self::KEPT_SECONDS, $planned);
    }

    /** @return list<\Hebra\Core\Market\Want> */
    private function coreWants(): array
    {
        return $this->core ??= [
            ...array_map(fn (WantedPiece $piece): \Hebra\Core\Market\Want => $piece->core(
                $this->dayOf($piece->occasion->due_on),
                $piece->want->from_on === null ? 0 : max(0, $this->dayOf($piece->want->from_on)),
            ), $this->pieces),
            // What was due before today is due at once.
            ...array_map(fn (WantedRepair $repair): \Hebra\Core\Market\Want => $repair->core(
                max(0, $this->dayOf($repair->occasion->due_on)), 0,
            ), $this->repairs),
        ];
    }

    /** Of what is due until a day, so much is still to be worked. */
    public function minutesUntil(int $day): float
    {
        return array_sum(array_map(
            fn (\Hebra\Core\Market\Want $want): float => $want->dueDay <= $day ? $want->minutes() : 0.0,
            $this->coreWants(),
        ));
    }

    /** What all that is still to be made takes. */
    public function needs(): Needs
    {
        return Needs::of(array_map(
            fn (WantedPiece $piece): array => [$piece->taken(), $piece->makings()], $this->pieces,
        ), BeadsMissed::of($this->workshop));
    }

    /** @return list<ToDo> */
    public function all(): array
    {
        return [...$this->pieces, ...$this->repairs];
    }

    public function toDo(string $key): ?ToDo
    {
        $this->byKey ??= array_combine(array_map(fn (ToDo $one): string => $one->key(), $this->all()), $this->all());

        return $this->byKey[$key] ?? null;
    }

    public function piece(string $key): ?WantedPiece
    {
        $toDo = $this->toDo($key);

        return $toDo instanceof WantedPiece ? $toDo : null;
    }
}
