<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Occasion;
use App\Read\Wanted;
use App\Read\WantedPiece;
use App\View\Bench\Rail;
use App\View\Coins;
use App\View\SeenPiece;
use Hebra\Core\Market\InTime;
use Hebra\Core\Quantity\Figures;
use Illuminate\Support\Collection;

/**
 * The plan of work: every day from today to the last that is needed on one ruler of hours, what is late and what would
 * help, what is made of what is wanted, what is to be bought.
 *
 * @phpstan-type Way array{
 *     words: string, then: string, action: string, method: string, fields: array<string, string>,
 * }
 */
final class PlanDesk
{
    /** So many hours at least are on the ruler. */
    private const LEAST_RULER = 240.0;

    private const MOST_ROWS = 60;

    private const MOST_WAYS = 4;

    private const MOST_PAST = 60;

    private const MOST_PIECES = 500;

    public readonly float $ruler;

    public readonly ToBuyList $toBuy;

    /** What the plan is called by: the next market, else what is due first. */
    private readonly ?Occasion $next;

    private readonly int $lastDay;

    /** @var Collection<string, string>|null */
    private ?Collection $pieces = null;

    /** @param  string  $opened  the occasion that is being changed, by its ulid */
    public function __construct(public readonly Wanted $wanted, private readonly string $opened = '')
    {
        $this->next = $wanted->occasions->first(fn (Occasion $one): bool => $one->kind === 'market')
            ?? $wanted->occasions->first();
        $this->lastDay = $this->lastDay();
        $longest = max(array_map($wanted->days->minutesOn(...), range(0, $this->lastDay)));
        $this->ruler = max(self::LEAST_RULER, 60 * ceil($longest / 60));
        $this->toBuy = ToBuyList::of($wanted->workshop, $wanted->needs());
    }

    private function lastDay(): int
    {
        return min(400, max($this->wanted->lastDue(), $this->wanted->plan()->lastDay()));
    }

    public function title(): string
    {
        return $this->next === null
            ? 'Nothing is wanted yet'
            : $this->next->name.', '.$this->next->due_on->format('j F');
    }

    /** @return list<DayRow> */
    public function rows(): array
    {
        $rows = [];
        for ($day = 0; $day <= $this->lastDay && count($rows) < self::MOST_ROWS; $day++) {
            $row = new DayRow($this->wanted, $day, $this->ruler);
            if (! $row->isEmpty()) {
                $rows[] = $row;
            }
        }

        return $rows;
    }

    /** @return list<array{float, string}> marks of the ruler, in percent */
    public function hours(): array
    {
        $every = $this->ruler > 480 ? 2 : 1;
        $marks = [];
        for ($hour = $every; $hour * 60 <= $this->ruler; $hour += $every) {
            $marks[] = [round(6000 * $hour / $this->ruler, 2), "{$hour} h"];
        }

        return $marks;
    }

    /** `22 h at the bench, 24 h 10 min of work`, until that day. */
    public function sum(): string
    {
        $day = $this->next === null ? 0 : $this->wanted->dayOf($this->next->due_on);

        return self::time($this->wanted->days->startOf($day)).' at the bench, '
            .self::time($this->wanted->minutesUntil($day)).' of work';
    }

    /** `2 h 10 min short`, where something is late. */
    public function short(): string
    {
        $minutes = $this->wanted->plan()->shortMinutes;

        return $minutes < 1 ? '' : self::time($minutes).' short';
    }

    /** What is not known of the order, where it is not proved. */
    public function doubt(): string
    {
        $plan = $this->wanted->plan();

        return $plan->isProved ? '' : 'another order could save '.self::time($plan->gapMinutes).' at most';
    }

    public static function time(float $minutes): string
    {
        $whole = (int) round($minutes);
        [$hours, $rest] = [intdiv($whole, 60), $whole % 60];

        return match (true) {
            $hours === 0 => "{$rest} min",
            $rest === 0 => "{$hours} h",
            $rest === 30 => "{$hours}½ h",
            default => "{$hours} h {$rest} min",
        };
    }

    /** @return list<TodayRow> what follows each other on one piece is one row */
    public function today(): array
    {
        $rows = [];
        foreach ($this->wanted->plan()->on(0) as $sitting) {
            $last = array_key_last($rows);
            if ($last !== null && $rows[$last]->takes($sitting)) {
                $rows[$last] = $rows[$last]->with($sitting);
            } else {
                $rows[] = new TodayRow($this->wanted, [$sitting]);
            }
        }

        return $rows;
    }

    /** @return list<Way> */
    public function ways(): array
    {
        // A repair was promised: it is not left out.
        $ways = array_filter(
            $this->wanted->ways(),
            fn (InTime $way): bool => $way->want === '' || $this->wanted->piece($way->want) !== null,
        );

        return array_map($this->way(...), array_slice(array_values($ways), 0, self::MOST_WAYS));
    }

    /** @return Way */
    private function way(InTime $way): array
    {
        if ($way->want === '') {
            $date = $this->wanted->date($way->day);

            return [
                'words' => self::time($way->minutes).' more on '.$date->format('D j'), 'then' => 'all done',
                'action' => '/plan/day', 'method' => 'put', 'fields' => [
                    'day' => $date->format('Y-m-d'),
                    'time' => $this->wanted->days->minutesOn($way->day) + $way->minutes.' min',
                ],
            ];
        }
        $piece = $this->wanted->piece($way->want);
        $count = $piece === null || $way->makings === 0 ? ($piece->made ?? 0) : $piece->countAt($way->makings);
        $name = $piece?->want->piece->name ?? '';
        $less = ($piece?->want->count ?? 0) - $count;
        $price = $piece?->want->price_cents;

        return [
            'words' => $count === 0 ? "Leave out {$name}" : "{$name}: {$count} instead of {$piece?->want->count}",
            'then' => $price === null ? "{$less} fewer" : '−'.Coins::text($less * $price),
            'action' => '/plan/wants/'.($piece->want->ulid ?? ''), 'method' => 'put',
            'fields' => ['count' => (string) $count],
        ];
    }

    /** Where the wires of all of it are cut, empty where nothing is. */
    public function cuttingUrl(): string
    {
        $ulids = array_values(array_unique(array_map(
            fn (WantedPiece $piece): string => $piece->want->piece->ulid,
            array_filter($this->wanted->pieces, fn (WantedPiece $piece): bool => $piece->makings() > 0),
        )));

        return $ulids === [] ? '' : '/cutting?'.http_build_query(['pieces' => $ulids]);
    }

    /** @return callable(string): SeenPiece */
    public function seen(): callable
    {
        return SeenPiece::in($this->wanted->workshop);
    }

    public function rail(): Rail
    {
        return Rail::wanted($this->wanted->pieces, fn (WantedPiece $piece): string => match (true) {
            isset($this->wanted->plan()->late[$piece->key()]) => "▲ {$piece->made} of {$piece->want->count}",
            $piece->left() === 0 => "{$piece->made} of {$piece->want->count} ✓",
            default => "{$piece->made} of {$piece->want->count}",
        }, $this->wanted->workshop);
    }

    /** @return Collection<string, string> names of what can be wanted, by its ulid */
    public function pieces(): Collection
    {
        return $this->pieces ??= $this->wanted->workshop->pieces()->where('is_pattern', false)->orderBy('name')
            ->limit(self::MOST_PIECES)->toBase()->pluck('name', 'ulid');
    }

    /** Hours as they are typed: `1.5`. */
    public function typed(int $minutes): string
    {
        return $minutes % 15 === 0 ? Figures::trim($minutes / 60) : "{$minutes} min";
    }

    /** How far a piece is, in words: `2 made, one under way, 38.00 each`. */
    public function told(WantedPiece $piece): string
    {
        $from = $piece->want->from_on;

        return implode(', ', array_filter([
            "{$piece->made} made", $piece->isUnderWay() ? 'one under way' : '',
            $piece->want->price_cents === null ? '' : Coins::text($piece->want->price_cents).' each',
            $from !== null && $from->isFuture() ? 'from '.$from->format('j M').' on' : '',
        ]));
    }

    /** @return list<WantedPiece> */
    public function piecesOf(Occasion $occasion): array
    {
        return array_values(array_filter(
            $this->wanted->pieces, fn (WantedPiece $piece): bool => $piece->occasion->is($occasion),
        ));
    }

    public function isOpened(Occasion $occasion): bool
    {
        return $occasion->ulid === $this->opened;
    }

    /** @return Collection<int, Occasion> the latest that are over, until they are forgotten */
    public function past(): Collection
    {
        /** @var Collection<int, Occasion> $past */
        $past = $this->wanted->workshop->occasions()->where('due_on', '<', $this->wanted->today->format('Y-m-d'))
            ->whereDoesntHave('repair', fn ($repair) => $repair->whereNull('done_at'))->latest('due_on')
            ->limit(self::MOST_PAST)->get();

        return $past;
    }

    /** What an order comes to as agreed, and what is still to be paid. */
    public function owed(Occasion $occasion): string
    {
        $cents = 0;
        foreach ($this->piecesOf($occasion) as $piece) {
            $cents += $piece->want->count * ($piece->want->price_cents ?? 0);
        }

        return match (true) {
            $cents === 0 && $occasion->paid_cents === 0 => '',
            $cents <= $occasion->paid_cents => 'paid '.Coins::amount($occasion->paid_cents),
            default => Coins::amount($cents).', paid '.Coins::text($occasion->paid_cents),
        };
    }
}
