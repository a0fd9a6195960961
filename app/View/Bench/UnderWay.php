<?php

declare(strict_types=1);

namespace App\View\Bench;

use App\Models\HandBook;
use App\Models\Making;
use App\Models\Piece;
use App\Models\Workshop;
use App\Read\HandState;
use App\Read\MakingDesk;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Market\Tasks;
use Hebra\Core\Plan\Profile;
use Illuminate\Support\Facades\Cache;

/** What the bench tells of a making: kept until it goes on, or the hand or the pace that it is told for changes. */
final readonly class UnderWay
{
    private const KEPT_SECONDS = 604_800;

    private function __construct(private string $state, private Profile $profile, private Pace $pace)
    {
    }

    public static function in(Workshop $workshop): self
    {
        return new self(HandState::atPace($workshop), $workshop->profile(), HandBook::of($workshop)->pace());
    }

    /** @return array{does: string, minutes: float} what is to be done next, and how long it takes from there on */
    public function next(Making $making): array
    {
        return Cache::remember('next-'.$this->key($making), self::KEPT_SECONDS, function () use ($making): array {
            $desk = new MakingDesk($making, $making->plan($this->profile));

            return $desk->isDone()
                ? ['does' => 'look over, weigh', 'minutes' => Tasks::LOG_MINUTES]
                : ['does' => lcfirst($desk->step->title ?? ''), 'minutes' => $desk->minutesLeft($this->pace)];
        });
    }

    /** Through the loupe, as it stands on the page. */
    public function seen(Piece $piece, Making $making): string
    {
        $key = $this->key($making).md5($piece->ulid.$piece->name);

        return Cache::remember("hero-{$key}", self::KEPT_SECONDS, fn (): string => view(
            'bench-hero', ['hero' => new Hero($piece, $making, $this->profile, $this->pace)],
        )->render());
    }

    /** What rests tells its hour, which is another word on another day. */
    private function key(Making $making): string
    {
        $rests = $making->isWaiting() ? now()->toDateString() : '';

        return md5($this->state.$rests.json_encode($making->getAttributes()).filemtime(__FILE__));
    }
}
