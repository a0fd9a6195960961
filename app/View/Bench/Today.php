<?php

declare(strict_types=1);

namespace App\View\Bench;

use App\Models\Making;
use App\Read\PlannedToday;
use App\View\HungPicture;
use App\View\PieceCard;
use Carbon\CarbonImmutable;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Handwork\Operation;

/**
 * The day by the clock: what is under way one after the other from now on, what rests when it is ready, and then what
 * could be begun.
 *
 * @phpstan-import-type Planned from PlannedToday
 *
 * @phpstan-type Row array{
 *     time: string, name: string, does: string, minutes: string, url: string, drawing: HungPicture|null, isNow: bool,
 * }
 */
final class Today
{
    /** What else could be begun is offered so often at most. */
    private const MOST_READY = 2;

    private const MOST_ROWS = 6;

    /** Where there is a plan the rest of the day is a tap away in it. */
    private const MOST_WITH_PLAN = 4;

    /** Times are told to the ten minutes: they are foretold. */
    private const STEP_MINUTES = 10;

    private CarbonImmutable $clock;

    /** @var list<Row> */
    private array $rows = [];

    /**
     * @param  list<PieceCard>  $cards  the latest first
     * @param  list<Planned>  $planned  of the plan of work, where there is one: then nothing else is offered
     */
    public function __construct(
        array $cards, private readonly UnderWay $underWay, Pace $pace, array $planned = [],
    ) {
        $this->clock = CarbonImmutable::now();
        foreach ($cards as $card) {
            $making = $card->making();
            if ($making !== null) {
                $this->add($card, $making);
            }
        }
        if ($planned !== []) {
            $this->planned($cards, $planned);

            return;
        }
        $ready = array_filter(
            $cards, fn (PieceCard $card): bool => $card->making() === null && $card->piece->stage === 'make'
                && $card->piece->made_at === null,
        );
        foreach (array_slice(array_values($ready), 0, self::MOST_READY) as $card) {
            $this->row($card, 'ready to make', $pace->foretell($card->plan())['about']);
        }
    }

    /**
     * What is under way stands above: the rest of the plan follows it.
     *
     * @param  list<PieceCard>  $cards
     * @param  list<Planned>  $planned
     */
    private function planned(array $cards, array $planned): void
    {
        $byUrl = array_combine(array_map(self::url(...), $cards), $cards);
        foreach ($planned as $one) {
            $card = $byUrl[$one['url']] ?? null;
            if ($card?->making() === null && count($this->rows) < self::MOST_WITH_PLAN) {
                $kinds = array_map(fn (string $of): string => Operation::from($of)->doing(), $one['operations']);
                $does = implode(', ', array_unique($kinds));
                $this->timed($card === null
                    ? ['name' => $one['name'], 'does' => $does, 'url' => $one['url'], 'drawing' => null]
                    : $this->told($card, $does), $one['minutes']);
            }
        }
    }

    /** @return list<Row> */
    public function rows(): array
    {
        return array_slice($this->rows, 0, self::MOST_ROWS);
    }

    private function add(PieceCard $card, Making $making): void
    {
        if ($making->isWaiting() && $making->waits_until !== null) {
            $until = $making->waits_until->format($making->waits_until->isToday() ? 'H:i' : 'j M, H:i');
            $this->rows[] = [
                ...$this->told($card, "rests until {$until}"), 'time' => $making->waits_until->format('H:i'),
                'minutes' => '', 'isNow' => false,
            ];

            return;
        }
        ['does' => $does, 'minutes' => $minutes] = $this->underWay->next($making);
        $this->row($card, $does, $minutes);
    }

    private function row(PieceCard $card, string $does, float $minutes): void
    {
        $this->timed($this->told($card, $does), $minutes);
    }

    /**
     * At the hour that has come by then, which goes on by what it takes.
     *
     * @param  array{name: string, does: string, url: string, drawing: HungPicture|null}  $told
     */
    private function timed(array $told, float $minutes): void
    {
        $isFirst = $this->rows === [];
        $over = $this->clock->minute % self::STEP_MINUTES;
        $this->clock = $isFirst || $over === 0 ? $this->clock : $this->clock->addMinutes(self::STEP_MINUTES - $over);
        $this->rows[] = [
            ...$told, 'time' => $isFirst ? 'now' : $this->clock->format('H:i'),
            'minutes' => Clock::words($minutes), 'isNow' => $isFirst,
        ];
        $this->clock = $this->clock->addMinutes((int) ceil($minutes));
    }

    /** @return array{name: string, does: string, url: string, drawing: HungPicture} */
    private function told(PieceCard $card, string $does): array
    {
        return [
            'name' => $card->piece->name, 'does' => $does, 'url' => self::url($card),
            'drawing' => $card->seen->hung([44.0, 46.0, 1.0]),
        ];
    }

    private static function url(PieceCard $card): string
    {
        return "/pieces/{$card->piece->ulid}/make";
    }
}
