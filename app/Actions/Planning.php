<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Occasion;
use App\Models\Piece;
use App\Models\Want;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Hebra\Core\Market\BenchDays;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Money;
use Hebra\Core\Quantity\Unreadable;
use Illuminate\Support\Facades\DB;

/** What is wanted by when, and the hours there are for it. */
final class Planning
{
    private const MOST_YEARS = 3;

    private const MOST_NAME = 80;

    private const MOST_NOTE = 500;

    /** As hours are ended, or not. */
    private const HOURS = '\s*(?:h|hours?)?';

    /**
     * @param  array<string, string>  $input  kind, name, due, note, paid
     *
     * @throws Problem if a field is unreadable or the day has passed
     */
    public function plan(Workshop $workshop, array $input, ?Occasion $occasion = null): Occasion
    {
        $occasion ??= new Occasion(['workshop_id' => $workshop->id]);
        $occasion->forceFill(self::planned($input))->save();

        return $occasion;
    }

    /**
     * @param  array<string, string>  $input
     * @return array<string, mixed> the columns of an occasion
     */
    private static function planned(array $input): array
    {
        $paid = trim($input['paid'] ?? '');

        return Fields::all([
            'kind' => fn (): string => self::kind($input['kind'] ?? 'market'),
            'name' => fn (): string => self::name(trim($input['name'] ?? '')),
            'note' => fn (): string => self::note(trim($input['note'] ?? '')),
            'due_on' => fn (): CarbonImmutable => self::day($input['due'] ?? '', 'due'),
            'paid_cents' => fn (): int => $paid === '' ? 0 : Money::parse($paid, 'paid')->cents(),
        ]);
    }

    private static function kind(string $kind): string
    {
        return isset(Occasion::KINDS[$kind])
            ? $kind
            : throw Unreadable::choice('kind', $kind, array_keys(Occasion::KINDS));
    }

    private static function name(string $name): string
    {
        return $name !== '' && mb_strlen($name) <= self::MOST_NAME ? $name : throw Refused::invalid(
            'name', 'Its name holds '.mb_strlen($name).' characters: give 1 to '.self::MOST_NAME
                .', such as Harbour market.',
        );
    }

    private static function note(string $note): string
    {
        return mb_strlen($note) <= self::MOST_NOTE ? $note : throw Refused::invalid(
            'note', 'The note holds '.mb_strlen($note).' characters: give at most '.self::MOST_NOTE.'.',
        );
    }

    /**
     * A new occasion, with the first that is wanted for it where that is said already.
     *
     * @param  array<string, string>  $input  as plan() and want() take it
     *
     * @throws Problem if a field is unreadable; then nothing is kept
     */
    public function order(Workshop $workshop, array $input): Occasion
    {
        $isSaid = ($input['piece'] ?? '') !== '';
        $fields = new Fields;
        $planned = $fields->read(fn (): array => self::planned($input));
        $wanted = $fields->read(fn (): array => $isSaid ? self::wanted($workshop->id, $input) : []);
        $fields->check();

        return DB::transaction(function () use ($workshop, $planned, $wanted): Occasion {
            $occasion = Occasion::query()->forceCreate(['workshop_id' => $workshop->id, ...$planned->value()]);
            $wanted->value() === [] || self::keepWanted($occasion, $wanted->value());

            return $occasion;
        });
    }

    /**
     * A piece is wanted so often for it; what was wanted of it so far is replaced.
     *
     * @param  array<string, string>  $input  piece, count, price, from
     *
     * @throws Problem if a field is unreadable or there is no such piece
     */
    public function want(Occasion $occasion, array $input): Want
    {
        return self::keepWanted($occasion, self::wanted($occasion->workshop_id, $input));
    }

    /** @param  array<string, mixed>  $wanted  the columns of a want */
    private static function keepWanted(Occasion $occasion, array $wanted): Want
    {
        $want = Want::query()->firstOrNew(['occasion_id' => $occasion->id, 'piece_id' => $wanted['piece_id']]);
        $want->forceFill(['workshop_id' => $occasion->workshop_id, ...$wanted])->save();

        return $want;
    }

    /**
     * @param  array<string, string>  $input
     * @return array<string, mixed> the columns of a want
     */
    private static function wanted(int $workshop, array $input): array
    {
        [$price, $from] = [trim($input['price'] ?? ''), trim($input['from'] ?? '')];

        return Fields::all([
            'piece_id' => fn (): int => self::piece($workshop, $input['piece'] ?? '')->id,
            'count' => fn (): int => Count::parse($input['count'] ?? '', 'count', 1, Want::MOST),
            'price_cents' => fn (): ?int => $price === '' ? null : Money::parse($price, 'price')->cents(),
            'from_on' => fn (): ?CarbonImmutable => $from === '' ? null : self::day($from, 'from'),
        ]);
    }

    private static function piece(int $workshop, string $ulid): Piece
    {
        /** @var Piece|null $piece */
        $piece = Piece::query()->where('workshop_id', $workshop)->where('is_pattern', false)
            ->where('ulid', $ulid)->first();

        return $piece ?? throw Refused::invalid(
            'piece', 'That piece is not in this workshop: choose one of the list.',
        );
    }

    /**
     * What was made for it stays in the box.
     *
     * @throws Refused if it is a repair that is still to be done
     */
    public function forget(Occasion $occasion): void
    {
        $repair = $occasion->repair;
        $repair === null || $repair->done_at !== null || throw Refused::invalid(
            'occasion', "{$repair->name} is still to be repaired: take it out of the plan on its own page.",
        );
        $occasion->delete();
    }

    /** Fewer of it, or none. */
    public function reduce(Want $want, int $count): void
    {
        $count === 0 ? $want->delete() : $want->forceFill(['count' => $count])->save();
    }

    /**
     * @param  array<mixed>  $week  hours of the seven days, Monday first: `1.5`, `1 1/2`, `90 min`
     *
     * @throws Problem if one is unreadable or there is no time at all
     */
    public function week(Workshop $workshop, array $week): void
    {
        $minutes = [];
        for ($day = 0; $day < 7; $day++) {
            $text = $week[$day] ?? '';
            $minutes[] = self::minutes(is_string($text) ? $text : '', "week.{$day}");
        }
        BenchDays::of($minutes);
        $workshop->forceFill(['week_minutes' => $minutes])->save();
    }

    /**
     * One day that is unlike its week's.
     *
     * @throws Problem if it is unreadable or has passed
     */
    public function on(Workshop $workshop, string $day, int $minutes): void
    {
        $date = self::day($day, 'day')->format('Y-m-d');
        $kept = array_filter(
            $workshop->day_minutes ?? [], fn (string $one): bool => $one >= CarbonImmutable::today()->format('Y-m-d'),
            ARRAY_FILTER_USE_KEY,
        );
        BenchDays::of($workshop->weekMinutes(), [0 => $minutes]);
        $workshop->forceFill(['day_minutes' => [$date => $minutes] + $kept])->save();
    }

    /**
     * @throws Refused if it is no day, or one that has passed or is years ahead
     */
    public static function day(string $text, string $field): CarbonImmutable
    {
        $text = trim($text);
        $date = preg_match('/^\d{4}-\d{2}-\d{2}$/', $text) === 1
            ? CarbonImmutable::createFromFormat('!Y-m-d', $text)
            : null;
        $date !== null && $date->format('Y-m-d') === $text || throw Refused::invalid(
            $field, '“'.mb_substr($text, 0, 20).'” is no day: give one such as 2026-12-12.',
        );
        $date >= CarbonImmutable::today() || throw Refused::invalid(
            $field, $date->format('j F Y').' has passed: give a day from today on.',
        );
        $date <= CarbonImmutable::today()->addYears(self::MOST_YEARS) || throw Refused::invalid(
            $field, $date->format('j F Y').' is far ahead: give a day within '.self::MOST_YEARS.' years.',
        );

        return $date;
    }

    /**
     * `2`, `1.5`, `1 1/2` and `1½` are hours; `45 min` and `1:30` say so.
     *
     * @throws Refused if it is no time
     */
    public static function minutes(string $text, string $field): int
    {
        $plain = trim(strtr(mb_strtolower($text), ['½' => ' 1/2', '¼' => ' 1/4', '¾' => ' 3/4', ',' => '.']));
        $minutes = match (true) {
            $plain === '' => 0.0,
            preg_match('/^(\d{1,4})\s*min(?:utes)?$/', $plain, $match) === 1 => (float) $match[1],
            preg_match('/^(\d{1,2}):([0-5]\d)$/', $plain, $match) === 1 => 60.0 * (int) $match[1] + (int) $match[2],
            preg_match('/^(\d{1,2}(?:\.\d{1,2})?)'.self::HOURS.'$/', $plain, $match) === 1 => 60.0 * (float) $match[1],
            default => self::fraction($plain),
        };
        $minutes !== null && $minutes <= 1440 || throw Refused::invalid(
            $field, '“'.mb_substr($text, 0, 20).'” is no time at the bench: give hours such as 1.5, or 45 min.',
        );

        return (int) round($minutes);
    }

    /** `1 1/2`, `3/4`: hours; null where it is none. */
    private static function fraction(string $plain): ?float
    {
        return preg_match('/^(?:(\d{1,2})\s+)?(\d)\/([1-9])'.self::HOURS.'$/', $plain, $match) === 1
            ? 60.0 * ((int) $match[1] + (int) $match[2] / (int) $match[3])
            : null;
    }
}
