<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Finished;
use App\Models\FinishedMove;
use App\Models\Making;
use App\Models\Movement;
use App\Models\User;
use App\Models\Want;
use App\Models\Workshop;
use App\Read\Pricing;
use Hebra\Core\Market\Place;
use Hebra\Core\Plan\Plan;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * The box of what is made: each piece by its number, where it is, and its metal in the book wherever it goes.
 */
final class Box
{
    private const MOST_NOTE = 500;

    public function __construct(private readonly Book $book)
    {
    }

    /** What a making brought, one after the other: metal, minutes and cost in equal shares. */
    public function fill(Making $making, Plan $plan, Workshop $workshop): void
    {
        $many = $plan->piece->makes->sold();
        $metals = $this->metalsOf($making);
        $piece = $making->piece()->withTrashed()->firstOrFail();
        [$bill] = (new Pricing($piece, $workshop))->billed($plan);
        $number = (int) Finished::query()->where('workshop_id', $workshop->id)->max('number');
        for ($at = 0; $at < $many; $at++) {
            $finished = Finished::query()->create([
                'workshop_id' => $workshop->id, 'piece_id' => $piece->id, 'making_id' => $making->id,
                'number' => ++$number, 'name' => $plan->piece->name, 'place' => Place::Box,
                'metals' => array_map(fn (int $mg): int => self::share($mg, $many, $at), $metals),
                'minutes' => $making->minutes === null ? null : self::share($making->minutes, $many, $at),
                'cost_cents' => $bill->unpriced > 0 ? null : self::share($bill->costCents, $many, $at),
                'moved_at' => $making->closed_at ?? now(), 'created_at' => $making->closed_at ?? now(),
            ]);
            $this->note($finished, null, 'made');
        }
    }

    /** What was made before there was a box comes into it: what the book has in pieces lies in it. */
    public function fillWithEarlier(Workshop $workshop): void
    {
        $inBook = Movement::query()->where('workshop_id', $workshop->id)->where('account', 'pieces')
            ->whereNotNull('making_id')->groupBy('making_id')->havingRaw('SUM(mass_mg) > 0')->pluck('making_id');
        /** @var Collection<int, Making> $earlier */
        $earlier = $workshop->makings()->whereIn('id', $inBook)->whereNotNull('closed_at')
            ->whereNotIn('id', Finished::query()->where('workshop_id', $workshop->id)->select('making_id'))
            ->orderBy('closed_at')->orderBy('id')->get();
        foreach ($earlier as $making) {
            $this->fill($making, $making->plan($workshop->profile()), $workshop);
        }
    }

    /** Of so much, in so many whole shares that add up to it. */
    private static function share(int $of, int $many, int $at): int
    {
        return intdiv($of, $many) + ($at < $of % $many ? 1 : 0);
    }

    /** @return array<string, int> milligrams in its pieces, by metal */
    private function metalsOf(Making $making): array
    {
        return Movement::query()->where('making_id', $making->id)->where('account', 'pieces')->where('kind', 'made')
            ->groupBy('metal')->selectRaw('metal, SUM(mass_mg) AS mg')->pluck('mg', 'metal')
            ->map(fn (mixed $mg): int => (int) $mg)->all();
    }

    /**
     * It goes to another place, for so many cents where it is sold; its metal goes with it.
     *
     * @throws Refused if it cannot go there from where it is
     */
    public function move(Finished $finished, Going $going): void
    {
        $this->checkMove($finished, $going->place, $going->words);
        DB::transaction(function () use ($finished, $going): void {
            $place = $going->place;
            $this->enter($finished, $place);
            $finished->forceFill([
                'place' => $place, ...self::sale($finished, $going), 'moved_at' => now(),
                'want_id' => $place->isAway() || $place->isAtHand() ? $finished->want_id : null,
            ])->save();
            $this->note($finished, $going->cents, $going->words);
        });
    }

    /** @return array{sold_at: \DateTimeInterface|null, sold_cents: int|null} the sale that stands afterwards */
    private static function sale(Finished $finished, Going $going): array
    {
        $isKept = $going->place === Place::Repair
            || $going->place === Place::Sold && $finished->sold_at !== null && $going->cents === null;

        return match (true) {
            $isKept => ['sold_at' => $finished->sold_at, 'sold_cents' => $finished->sold_cents],
            $going->place === Place::Sold => ['sold_at' => now(), 'sold_cents' => $going->cents],
            default => ['sold_at' => null, 'sold_cents' => null],
        };
    }

    private function checkMove(Finished $finished, Place $place, string $words): void
    {
        mb_strlen($words) <= self::MOST_NOTE || throw Refused::invalid(
            'words', 'The note holds '.mb_strlen($words).' characters: give at most '.self::MOST_NOTE.'.',
        );
        if (! in_array($place, $finished->place->next(), true)) {
            $why = match (true) {
                $finished->place === $place => "No. {$finished->number} is {$place->words()} already.",
                $finished->place === Place::Melted => "No. {$finished->number} is melted: there is nothing left of it.",
                default => "No. {$finished->number} is {$finished->place->words()}: take it back into the box first.",
            };
            throw Refused::invalid('place', $why);
        }
    }

    /** What leaves the account of one place comes into that of the other. */
    private function enter(Finished $finished, Place $place): void
    {
        [$from, $to] = [$finished->place->account(), $place->account()];
        if ($from === $to) {
            return;
        }
        $kind = match ($place->account()) {
            'scrap jar' => 'melted', 'customers' => 'left', default => 'back'
        };
        $words = "no. {$finished->number}, {$finished->name}, {$place->words()}";
        $lines = [];
        foreach ($finished->metals as $metal => $milligrams) {
            $lines[] = Line::of($from, $metal, -$milligrams, $words);
            $lines[] = Line::of($to, $metal, $milligrams, $words);
        }
        $this->book->enter(
            Workshop::query()->findOrFail($finished->workshop_id),
            Entry::of($kind, $finished->making()->first()), $lines,
        );
    }

    private function note(Finished $finished, ?int $cents, string $words): void
    {
        FinishedMove::query()->create([
            'workshop_id' => $finished->workshop_id, 'finished_id' => $finished->id, 'place' => $finished->place,
            'cents' => $cents, 'words' => $words, 'maker' => User::signedIn(), 'created_at' => now(),
        ]);
    }

    /** What is on its label. */
    public function label(Finished $finished, ?int $cents, string $note): void
    {
        mb_strlen($note) <= self::MOST_NOTE || throw Refused::invalid(
            'note', 'The note holds '.mb_strlen($note).' characters: give at most '.self::MOST_NOTE.'.',
        );
        $finished->forceFill(['price_cents' => $cents, 'note' => $note])->save();
    }

    /**
     * It is kept for what is wanted, or for nobody again.
     *
     * @throws Refused if it is not at hand, or another piece is wanted
     */
    public function keepFor(Finished $finished, ?Want $want): void
    {
        $finished->place->isAtHand() || throw Refused::invalid(
            'for', "No. {$finished->number} is {$finished->place->words()}: only what is in the box or at the stall is "
                .'kept.',
        );
        $want === null || $want->piece_id === $finished->piece_id || throw Refused::invalid(
            'for', "{$want->piece->name} is wanted for {$want->occasion->name}, and this is {$finished->name}.",
        );
        $finished->forceFill(['want_id' => $want?->id])->save();
        $this->note($finished, null, $want === null ? 'kept for nobody' : 'kept for '.$want->occasion->name);
    }

    /**
     * A making that is taken out of the book was none: its pieces are in no box.
     *
     * @throws Refused if one of them is not at hand any more
     */
    public function empty(Making $making): void
    {
        $all = Finished::query()->where('making_id', $making->id)->get();
        foreach ($all as $finished) {
            $finished->place->account() === Place::Box->account() || throw Refused::invalid(
                'entry',
                "No. {$finished->number} of it is {$finished->place->words()}: only what is with you can be taken out "
                    .'of the book.',
            );
        }
        Finished::query()->where('making_id', $making->id)->delete();
    }
}
