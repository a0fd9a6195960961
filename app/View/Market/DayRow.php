<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Occasion;
use App\Read\ToDo;
use App\Read\Wanted;
use Carbon\CarbonImmutable;
use Hebra\Core\Market\Sitting;

/**
 * A day of the plan on the ruler of hours: how long there is, what is done in it, what is due. Shares in percent of the
 * ruler.
 *
 * @phpstan-type Drawn array{
 *     x: float, wide: float, words: string, title: string, motif: string, metal: string, isShort: bool,
 *     isShortOnPhones: bool, url: string,
 * }
 */
final readonly class DayRow
{
    /** So much of the ruler a letter takes, in percent. */
    private const LETTER = 1.22;

    private const LETTER_ON_PHONES = 2.2;

    public CarbonImmutable $date;

    public int $minutes;

    /** @var list<Drawn> */
    public array $sittings;

    /** @var list<Occasion> */
    public array $due;

    public function __construct(private Wanted $wanted, public int $day, private float $ruler)
    {
        $this->date = $wanted->date($day);
        $this->minutes = $wanted->days->minutesOn($day);
        $this->sittings = array_map($this->drawn(...), $wanted->plan()->on($day));
        $this->due = $wanted->dueOn($day);
    }

    public function isEmpty(): bool
    {
        return $this->minutes === 0 && $this->sittings === [] && $this->due === [] && $this->day > 0;
    }

    public function share(float $minutes): float
    {
        return round(min(100.0, 100 * $minutes / $this->ruler), 2);
    }

    /** @return Drawn */
    private function drawn(Sitting $sitting): array
    {
        $words = ucfirst($sitting->operation->doing($sitting->count));
        $toDo = array_values(array_filter(array_map($this->wanted->toDo(...), $sitting->wants)));
        $names = array_map(fn (ToDo $one): string => $one->name(), $toDo);

        return [
            'x' => $this->share($sitting->from), 'wide' => $this->share($sitting->minutes),
            'words' => $words, 'title' => implode(', ', array_unique($names)),
            'motif' => Motif::of($sitting->operation), 'metal' => $sitting->metals[0] ?? 'sterling',
            'isShort' => $this->share($sitting->minutes) < self::LETTER * mb_strlen($words),
            'isShortOnPhones' => $this->share($sitting->minutes) < self::LETTER_ON_PHONES * mb_strlen($words),
            'url' => isset($toDo[0]) ? $toDo[0]->url() : '',
        ];
    }

    /** `Kelp light is late`, of what is due on this day; empty where all of it is done by then. */
    public function late(Occasion $occasion): string
    {
        $late = [];
        foreach ($this->wanted->all() as $toDo) {
            if ($toDo->isFor($occasion) && isset($this->wanted->plan()->late[$toDo->key()])) {
                $late[] = $toDo->name();
            }
        }

        return match (count($late)) {
            0 => '',
            1 => "{$late[0]} is late",
            default => implode(', ', $late).' are late',
        };
    }

    /** How much more time all that is due then wants, at most. */
    public function lateMinutes(Occasion $occasion): float
    {
        $late = [0.0];
        foreach ($this->wanted->all() as $toDo) {
            if ($toDo->isFor($occasion)) {
                $late[] = $this->wanted->plan()->late[$toDo->key()] ?? 0.0;
            }
        }

        return max($late);
    }
}
