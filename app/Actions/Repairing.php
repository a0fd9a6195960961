<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Exceptions\Several;
use App\Models\Finished;
use App\Models\FinishedMove;
use App\Models\Lot;
use App\Models\Occasion;
use App\Models\Repair;
use App\Models\Workshop;
use Hebra\Core\Market\Place;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\Money;
use Illuminate\Support\Facades\DB;

/** Repairs and changes: taken in for somebody by a day, done with so many minutes and so much wire, and given back. */
final class Repairing
{
    private const MOST_NAME = 80;

    private const MOST_WORDS = 500;

    private const MOST_MINUTES = 3000;

    public function __construct(
        private readonly Planning $planning, private readonly Box $box, private readonly Stockkeeping $stock,
    ) {
    }

    /**
     * @param  array<string, string>  $input  who, due, number (of a piece of the box) or name, words, minutes, price
     *
     * @throws Problem if a field is unreadable; then nothing has changed
     */
    public function take(Workshop $workshop, array $input): Repair
    {
        return DB::transaction(function () use ($workshop, $input): Repair {
            [$number, $price] = [trim($input['number'] ?? ''), trim($input['price'] ?? '')];
            $fields = new Fields;
            $piece = $fields->read(fn (): ?Finished => $this->piece($workshop, $number));
            $columns = $fields->read(fn (): array => Fields::all([
                'occasion_id' => fn (): int => $this->occasion($workshop, $input)->id,
                'name' => fn (): string => $number === '' ? self::name($input['name'] ?? '') : '',
                'words' => fn (): string => self::words($input['words'] ?? ''),
                'minutes' => fn (): int => Count::parse($input['minutes'] ?? '', 'minutes', 1, self::MOST_MINUTES),
                'price_cents' => fn (): ?int => $price === '' ? null : Money::parse($price, 'price')->cents(),
            ]));
            $fields->check();
            $finished = $piece->value();
            $repair = Repair::query()->create([
                ...$columns->value(), 'workshop_id' => $workshop->id, 'finished_id' => $finished?->id,
                ...$finished === null ? [] : ['name' => $finished->name],
            ]);
            if ($finished !== null && $finished->place !== Place::Repair) {
                $this->box->move($finished, Going::to(Place::Repair, null, $repair->words));
            }

            return $repair;
        });
    }

    /** @return array<string, mixed> as it was taken in where nothing else is said */
    private static function asDone(Repair $repair, string $took, string $got): array
    {
        return Fields::all([
            'took_minutes' => fn (): int => $took === ''
                ? $repair->minutes
                : Count::parse($took, 'took', 1, self::MOST_MINUTES),
            'got_cents' => fn (): ?int => $got === '' ? $repair->price_cents : Money::parse($got, 'got')->cents(),
        ]);
    }

    /** @param  array<string, string>  $input  who, due */
    private function occasion(Workshop $workshop, array $input): Occasion
    {
        try {
            $occasion = $this->planning->plan($workshop, [
                'kind' => 'order', 'name' => $input['who'] ?? '', 'due' => $input['due'] ?? '',
            ]);
        } catch (Problem $problem) {
            // The name of an occasion is here for whom it is.
            throw Several::of(array_map(
                fn (Problem $one): Problem => $one->field() === 'name' ? Refused::at('who', $one) : $one,
                Several::in($problem),
            ));
        }
        $occasion->forceFill(['kind' => Occasion::REPAIR])->save();

        return $occasion;
    }

    /** @throws Refused if there is no such piece, or it is melted */
    private function piece(Workshop $workshop, string $number): ?Finished
    {
        if ($number === '') {
            return null;
        }
        /** @var Finished|null $finished */
        $finished = preg_match('/^(?:no\.?\s*)?(\d{1,9})$/i', $number, $match) === 1
            ? $workshop->finished()->where('number', (int) $match[1])->first()
            : null;
        $finished !== null || throw Refused::invalid(
            'number', '“'.mb_substr($number, 0, 20).'” is no piece of the box: give a number on a label, or leave '
                .'it empty '
                .'and say which piece it is.',
        );
        $finished->place !== Place::Melted || throw Refused::invalid(
            'number', "No. {$finished->number} is melted: there is nothing left to repair.",
        );

        return $finished;
    }

    private static function name(string $text): string
    {
        $name = trim($text);
        $name !== '' && mb_strlen($name) <= self::MOST_NAME || throw Refused::invalid(
            'name', 'Which piece it is holds '.mb_strlen($name).' characters: give the number of one of yours, or 1 to '
                .self::MOST_NAME.' such as her grandmother’s bangle.',
        );

        return $name;
    }

    private static function words(string $text): string
    {
        $words = trim($text);
        $words !== '' && mb_strlen($words) <= self::MOST_WORDS || throw Refused::invalid(
            'words', 'What is done to it holds '.mb_strlen($words).' characters: give 1 to '.self::MOST_WORDS
                .', such as a new hook, 2 links more.',
        );

        return $words;
    }

    /**
     * It is done: what it took goes into the book, and the piece back to where it came from.
     *
     * @param  array<string, string>  $input  took (minutes), got (an amount), lot and amount of the wire that went in
     *
     * @throws Problem if a field is unreadable, it is done already or the lot holds less; then nothing has changed
     */
    public function done(Repair $repair, array $input, LengthUnit $bare): void
    {
        $repair->done_at === null || throw Refused::invalid(
            'took', 'It is done since '.$repair->done_at->format('j F Y').': take in another for what came after.',
        );
        $got = trim($input['got'] ?? '');
        $took = trim($input['took'] ?? '');
        DB::transaction(function () use ($repair, $input, $bare, $got, $took): void {
            Fields::all([
                'done' => fn () => $repair->forceFill([...self::asDone($repair, $took, $got), 'done_at' => now()])
                    ->save(),
                'wire' => fn () => $this->wire($repair, $input, $bare),
            ]);
            if ($repair->finished?->place === Place::Repair) {
                $this->box->move(
                    $repair->finished,
                    Going::to($this->cameFrom($repair->finished), null, "repaired: {$repair->words}"),
                );
            }
        });
    }

    /** Whose it was before: with a customer again, else in the box. */
    private function cameFrom(Finished $finished): Place
    {
        /** @var FinishedMove|null $before */
        $before = $finished->moves()->where('place', '!=', Place::Repair->value)->latest('id')->first();

        return $before !== null && $before->place->isAway() ? $before->place : Place::Box;
    }

    /** @param  array<string, string>  $input */
    private function wire(Repair $repair, array $input, LengthUnit $bare): void
    {
        $amount = trim($input['amount'] ?? '');
        if ($amount === '') {
            return;
        }
        /** @var Lot|null $lot */
        $lot = Lot::query()->where('workshop_id', $repair->workshop_id)->where('ulid', $input['lot'] ?? '')->first();
        $lot !== null || throw Refused::invalid(
            'lot', 'That lot is not in this workshop’s stock: choose one of the list.',
        );
        $milligrams = $this->stock->amountOf($lot, $amount, $bare);
        $finished = $repair->finished;
        $this->stock->used($lot, Line::of(
            $finished === null ? 'customers' : $finished->place->account(), $lot->metal, $milligrams,
            "repair of {$repair->name}",
        ));
        $finished?->forceFill([
            'metals' => [$lot->metal => ($finished->metals[$lot->metal] ?? 0) + $milligrams] + $finished->metals,
        ])->save();
    }

    /** One that was not done is taken out of the plan; the piece goes back to where it came from. */
    public function drop(Repair $repair): void
    {
        DB::transaction(function () use ($repair): void {
            $repair->done_at === null || throw Refused::invalid(
                'took', 'It is done: its minutes and money stay in the year.',
            );
            if ($repair->finished?->place === Place::Repair) {
                $this->box->move(
                    $repair->finished, Going::to($this->cameFrom($repair->finished), null, 'not repaired'),
                );
            }
            $occasion = $repair->occasion;
            $repair->delete();
            $occasion?->delete();
        });
    }
}
