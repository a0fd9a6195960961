<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Exceptions\WayOut;
use App\Models\CutTick;
use App\Models\Lot;
use App\Models\Making;
use App\Models\MakingCut;
use App\Models\Reservation;
use App\Models\Supply;
use App\Models\Workshop;
use App\Read\CutShare;
use Hebra\Core\Hand\Work;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Length;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Closes a making: out of the coil, net to the piece, offcuts back to stock, the rest to the scrap jar. One
 * transaction, so the book is as before or as after, never between.
 */
final class CloseMaking
{
    /** Of what was cut no more than so much can have been missing. */
    private const MOST_SHORT = 0.5;

    public function __construct(
        private readonly Book $book,
        private readonly Stockkeeping $stock,
        private readonly SupplyBook $supplies,
        private readonly Box $box,
        private readonly KeepPhoto $photos,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input cut, left, kept, lot, other_lot and others (how many of them came from
     *     there)
     *     by share; short, longer, before and weighed by lot; packing and packed; minutes; note; weight; loops and
     *     loops_on; opened, opened_wire and bent_on; as_it_is; photo
     *
     * @throws Problem if a field is unreadable, a lot is short or steps are left
     */
    public function close(Making $making, Workshop $workshop, array $input): void
    {
        DB::transaction(function () use ($making, $workshop, $input): void {
            $making->refresh();
            ! $making->isClosed() || throw Refused::closed();
            $profile = $workshop->profile();
            $plan = $making->plan($profile);
            $left = $plan->stepCount() - $making->step;
            $left <= 0 || ($input['as_it_is'] ?? '') === '1' || throw Refused::notDone($left);
            /** @var Collection<int, CutTick> $ticks */
            $ticks = CutTick::query()->where('piece_id', $making->piece_id)->with('lot')->orderBy('id')->get();
            $rows = $this->rows($plan, $ticks, $workshop, $input);
            $this->weighed($rows, $workshop, $input, 'before');
            $spoiled = $ticks->filter(fn (CutTick $tick): bool => $tick->is_spoiled);
            $this->cover($rows, $spoiled, $workshop, $profile, $input);
            $lines = $this->spoiled($spoiled, $making);
            foreach ($rows as $row) {
                array_push($lines, ...$this->lines($row, $workshop, $making));
            }
            $entry = $this->book->enter($workshop, Entry::of('made', $making), $lines);
            $this->weighed($rows, $workshop, $input, 'weighed');
            $this->learn($rows, $making, $profile);
            $this->measured($making, $profile, $input);
            $this->supplies->use(
                $workshop, $plan, Entry::of('used', $making)->called($entry),
                $this->packed($workshop, $profile, $input),
            );
            // What was ticked off as cut is in the book now, and nothing is kept back for it any more.
            CutTick::query()->where('piece_id', $making->piece_id)->delete();
            Reservation::query()->where('piece_id', $making->piece_id)->delete();
            $this->ended($making, $plan, $input);
            DB::table('bench_events')->where('making_id', $making->id)->delete();
            $this->box->fill($making, $plan, $workshop);
            if (isset($input['photo'])) {
                $this->photos->keep($making, $input['photo']);
            }
        });
    }

    /**
     * What is said of the making as a whole.
     *
     * @param  array<string, mixed>  $input
     */
    private function ended(Making $making, Plan $plan, array $input): void
    {
        $minutes = self::text($input, 'minutes');
        $note = self::text($input, 'note');
        $weight = trim(self::text($input, 'weight'));
        mb_strlen($note) <= 2000
            || throw Refused::invalid('note', 'The note holds '.mb_strlen($note).' characters: give at most 2000.');
        $making->forceFill([
            'minutes' => trim($minutes) === '' ? null : Count::parse($minutes, 'minutes', 0, 6000),
            'note' => $note, 'closed_at' => now(), 'step' => $plan->stepCount(), 'progress' => null,
            'weight_mg' => $weight === '' ? null : Weight::milligrams($weight, 10_000),
        ])->save();
    }

    /**
     * @param  Collection<int, CutTick>  $ticks
     * @param  array<string, mixed>  $input
     * @return list<ClosingRow>
     */
    private function rows(Plan $plan, Collection $ticks, Workshop $workshop, array $input): array
    {
        $reads = [];
        foreach ($plan->strips() as $cut) {
            foreach (CutShare::of($cut, $ticks) as $share) {
                $reads[$share->key] = fn (): array => $this->rowsOf($share, $workshop, $input);
            }
        }
        /** @var array<string, list<ClosingRow>> $rows what is wrong with any of them is said at once */
        $rows = Fields::all($reads);

        return array_merge(...array_values($rows));
    }

    /**
     * @param  array<string, mixed>  $input
     * @return list<ClosingRow> one, or two where some came from another lot
     */
    private function rowsOf(CutShare $share, Workshop $workshop, array $input): array
    {
        $profile = $workshop->profile();
        $lot = $this->lot($workshop, $share, self::text($input, 'lot', $share->key));
        $others = trim(self::text($input, 'others', $share->key));
        if ($others === '' || $others === '0') {
            return [$this->row($share, $lot, $profile, $input)];
        }
        $many = $this->others($share, $others);
        $from = $this->lot($workshop, $share, self::text($input, 'other_lot', $share->key));

        return [
            $this->row($share->with($many), $from, $profile, $input),
            $this->row($share->with($share->count - $many), $lot, $profile, $input),
        ];
    }

    /** How many of a share came from another lot than the rest. */
    private function others(CutShare $share, string $text): int
    {
        try {
            return Count::parse($text, 'from another lot', 0, max(0, $share->count - 1));
        } catch (Problem $problem) {
            throw Refused::at("others.{$share->key}", $problem);
        }
    }

    /** @param  array<string, mixed>  $input */
    private function row(CutShare $share, ?Lot $lot, Profile $profile, array $input): ClosingRow
    {
        [$cut, $at] = [$share->cut, $share->key];
        if ($cut->pinMm !== null) {
            return new ClosingRow($share, $lot, $cut->pinMm, min($cut->trimmedMm(), $cut->pinMm), 0.0);
        }
        $parts = function (string $key) use ($input, $at, $profile): array {
            try {
                return $this->parts(self::text($input, $key, $at), $key, $profile);
            } catch (Problem $problem) {
                throw Refused::at("{$key}.{$at}", $problem);
            }
        };
        $read = fn (string $key, float $default): float => $parts($key) === [] ? $default : array_sum($parts($key));
        $cutMm = $read('cut', $profile->ruler->upMm($cut->lengthMm()));
        $short = trim(self::text($input, 'short', $at));
        $shortMm = in_array($short, ['', '?'], true) ? 0.0 : $read('short', 0.0);
        $shortMm <= self::MOST_SHORT * $cutMm
            || throw Refused::invalid(
                "short.{$at}",
                'Short by '.$profile->length($shortMm).' is more than half of the '.$profile->length($cutMm)
                    .' that was cut: give what was missing, or ? where you do not know.',
            );
        // What ran short has nothing left over.
        $leftMm = $read('left', $short === '' ? max(0.0, $cutMm - $cut->netMm()) : 0.0);
        $cutMm > 0 || throw Refused::invalid("cut.{$at}", 'The cut is 0: give the length that was really cut.');
        $leftMm <= $cutMm
            || throw Refused::invalid(
                "left.{$at}",
                'Left over is '.$profile->length($leftMm).', more than the '.$profile->length($cutMm)
                    .' that was cut: give at most that.',
            );
        // Of several ends only one that is long enough is worth keeping.
        $longest = max([0.0, ...($parts('left') === [] ? [$leftMm] : $parts('left'))]);
        $keptMm = $read('kept', $longest >= $profile->keepMm ? $longest : 0.0);
        $keptMm <= $leftMm
            || throw Refused::invalid(
                "kept.{$at}",
                'Kept is '.$profile->length($keptMm).', more than the '.$profile->length($leftMm)
                    .' left over: give at most that.',
            );

        return new ClosingRow(
            $share,
            $lot,
            $cutMm,
            $leftMm,
            $keptMm,
            trim(self::text($input, 'left', $at)) !== '' || $short !== '',
            $shortMm,
            $short === '?',
        );
    }

    /**
     * A length, or several ends one by one: `12 + 11.5`.
     *
     * @return list<float> millimetres
     */
    private function parts(string $text, string $key, Profile $profile): array
    {
        return array_map(
            fn (string $part): float => Length::parse($part, $key, $profile->unit())
                ->within($key, 0, 100_000)->millimetres(),
            trim($text) === '' ? [] : explode('+', $text),
        );
    }

    /**
     * What each cut took of its wire is kept, and teaches where what was left was measured.
     *
     * @param  list<ClosingRow>  $rows
     */
    private function learn(array $rows, Making $making, Profile $profile): void
    {
        $plain = [];
        foreach ($making->plan($profile->withoutHand())->cuts as $cut) {
            $plain[$cut->key()] = $cut;
        }
        foreach ($rows as $row) {
            if (isset($plain[$row->cut->key()])) {
                $this->log($making, $plain[$row->cut->key()], $row);
            }
        }
        // A wire that ran short at the bench was made again: it teaches that it would have taken more than it was.
        foreach ($making->troubles ?? [] as $trouble) {
            $cut = $plain[$trouble['cut']] ?? null;
            if ($trouble['kind'] === 'short' && $cut !== null) {
                $this->log(
                    $making,
                    $cut,
                    new ClosingRow(
                        CutShare::of($cut, new Collection)[0]->with(1),
                        null,
                        ($trouble['um'] ?? 0) / 1000,
                        0.0,
                        0.0,
                        true,
                        isBound: true,
                    ),
                );
            }
        }
    }

    private function log(Making $making, Cut $plain, ClosingRow $row): void
    {
        $work = Work::in($plain);
        $um = fn (float $mm): int => (int) round($mm * 1000);
        $ratio = $work->formedMm > 0 ? $work->ratio($row->cutMm - $row->leftMm + $row->shortMm) : 0.0;
        // Less than half or more than twice the sum is a slip of the pen or another wire, not a hand.
        $teaches = $row->isMeasured && $work->way !== null && $ratio > 0.5 && $ratio < 2.0;
        MakingCut::query()->create([
            'workshop_id' => $making->workshop_id, 'making_id' => $making->id,
            'label' => mb_substr($row->cut->label, 0, 120), 'count' => $row->count,
            'planned_um' => $um($row->cut->lengthMm()), 'cut_um' => $um($row->cutMm), 'left_um' => $um($row->leftMm),
            'short_um' => $um($row->shortMm), 'is_bound' => $row->isBound, 'way' => $teaches
                ? $work->way
                : null, 'awg' => $work->awg, 'formed_um' => $um($work->formedMm),
            'straight_um' => $um($work->straightMm), 'tail_um' => $um($work->tailMm),
            'ng_per_mm' => (int) round(1e6 * $row->cut->wire->milligramsPerMm()),
        ]);
    }

    /**
     * Sizes that were measured of the finished piece: loops made on one mark, and what a bend on a mandrel opened to.
     *
     * @param  array<string, mixed>  $input
     */
    private function measured(Making $making, Profile $profile, array $input): void
    {
        $sizes = new Measuring($making->workshop_id, $profile);
        $first = array_values($making->document()->wires)[0] ?? null;
        $loops = trim(self::text($input, 'loops'));
        if ($loops !== '' && $first !== null) {
            $wanted = $sizes->size(self::text($input, 'loops_on'), 'loops on');
            foreach ($sizes->list($loops, 'loops') as $mm) {
                $sizes->keep('loop', $first, $wanted, $mm, making: $making);
            }
        }
        $opened = trim(self::text($input, 'opened'));
        if ($opened !== '') {
            $wire = $making->document()->wires[self::text($input, 'opened_wire')] ?? $first ?? throw Refused::invalid(
                'opened',
                'The piece has no wire that was bent.',
            );
            $sizes->keep(
                'inside',
                $wire,
                $sizes->opens($wire, $sizes->size(self::text($input, 'bent_on'), 'bent on'), $profile),
                $sizes->size($opened, 'opened'),
                making: $making,
            );
        }
    }

    private function lot(Workshop $workshop, CutShare $share, string $ulid): ?Lot
    {
        $cut = $share->cut;
        if ($ulid === '') {
            return null;
        }
        /** @var Lot|null $lot */
        $lot = $workshop->lots()->where('ulid', $ulid)->first();
        $lot !== null
            || throw Refused::invalid(
                "lot.{$share->key}",
                'That coil is not in this workshop’s stock: choose one of the list, or wire not booked yet.',
            );
        // A coil of another metal cannot have been cut for this: the piece would hold metal it does not contain.
        $lot->metal === $cut->wire->metal->value
            || throw Refused::invalid(
                "lot.{$share->key}",
                "{$lot->name} is {$lot->wire()->metal->words()}, and this cut is {$cut->wire->metal->words()}: choose "
                    .'a lot of that metal.',
            );
        $lot->isPins() === $cut->isBoughtPin() && (! $lot->isPins() || $lot->kind === $cut->pinKind->value)
            || throw Refused::invalid(
                "lot.{$share->key}",
                "{$lot->name} holds "
                    .self::otherwise($lot, $cut)
                    .': choose another lot.',
            );

        return $lot;
    }

    /**
     * Refuses to take more than a lot holds, unless the maker says that it was longer: then one correcting entry.
     *
     * @param  list<ClosingRow>  $rows
     * @param  Collection<int, CutTick>  $spoiled
     * @param  array<string, mixed>  $input
     */
    private function cover(array $rows, Collection $spoiled, Workshop $workshop, Profile $profile, array $input): void
    {
        $asked = $first = [];
        foreach ($rows as $row) {
            if ($row->lot !== null) {
                $asked[$row->lot->ulid] = ($asked[$row->lot->ulid] ?? 0) + $row->grossMg();
                $first[$row->lot->ulid] ??= $row;
            }
        }
        foreach ($spoiled as $tick) {
            $asked[$tick->lot->ulid] = ($asked[$tick->lot->ulid] ?? 0) + $tick->lot->mgOf($tick->grossMm());
        }
        foreach ($asked as $ulid => $milligrams) {
            $row = $first[$ulid] ?? $rows[0];
            $lot = $workshop->lots()->where('ulid', $ulid)->sole();
            $short = $milligrams - $lot->heldMg();
            if ($short <= 0) {
                continue;
            }
            if (self::text($input, 'longer', $ulid) === '1') {
                $this->stock->adjust($lot, $workshop, $short);

                continue;
            }
            $words = fn (int $mg): string => $lot->isPins()
                ? Figures::counted((int) ceil($mg / $lot->pinMg()), 'pin')
                : $profile->length($lot->mmOf($mg));
            throw Refused::lotShort(
                "lot.{$row->share->key}", $lot->name, $words($lot->heldMg()), $words($milligrams), $words($short), [
                    new WayOut($lot->isPins() ? 'There were more' : 'The coil was longer', ["longer[{$ulid}]" => '1']),
                    new WayOut('Take wire not booked yet', ["lot[{$row->share->key}]" => '']),
                ],
            );
        }
    }

    /**
     * What was spoiled has left its lot and lies in the scrap jar.
     *
     * @param  Collection<int, CutTick>  $spoiled
     * @return list<Line>
     */
    private function spoiled(Collection $spoiled, Making $making): array
    {
        $lines = [];
        foreach ($spoiled as $tick) {
            $words = 'spoiled, for '.$making->document()->name;
            $milligrams = $tick->lot->mgOf($tick->grossMm());
            array_push(
                $lines,
                Line::lot($tick->lot, -$milligrams, $words),
                Line::of('scrap jar', $tick->lot->metal, $milligrams, $words),
            );
        }

        return $lines;
    }

    /**
     * What a lot weighs, before its wire is booked out or after, is what it holds: the difference to the book is one
     * correcting entry.
     *
     * @param  list<ClosingRow>  $rows
     * @param  array<string, mixed>  $input
     * @param  'before'|'weighed'  $when
     */
    private function weighed(array $rows, Workshop $workshop, array $input, string $when): void
    {
        $done = [];
        foreach ($rows as $row) {
            $ulid = $row->lot->ulid ?? '';
            $weighed = $ulid === '' ? '' : trim(self::text($input, $when, $ulid));
            if ($row->lot === null || $weighed === '' || isset($done[$ulid])) {
                continue;
            }
            $done[$ulid] = true;
            try {
                $milligrams = Weight::orNothing($weighed, 100_000);
            } catch (Problem $problem) {
                throw Refused::at("{$when}.{$ulid}", $problem);
            }
            $this->stock->adjust($row->lot, $workshop, $milligrams - (int) $row->lot->movements()->sum('mass_mg'));
        }
    }

    /** @return list<Line> */
    private function lines(ClosingRow $row, Workshop $workshop, Making $making): array
    {
        $for = 'for '.$making->document()->name.', '.mb_strtolower($row->cut->label);
        $metal = $row->cut->wire->metal->value;
        $lines = [
            $row->lot !== null
                ? Line::lot($row->lot, -$row->grossMg(), 'cut '.$for)
                : Line::of('not booked', $metal, -$row->grossMg(), 'cut '.$for),
        ];
        for ($copy = 0; $row->keptMg() > 0 && $copy < $row->count; $copy++) {
            $lines[] = Line::lot(
                $this->stock->offcut($workshop, $row->cut->wire, $row->lot?->measured()),
                $row->keptMg(),
                'offcut kept, '.$for,
            );
        }
        $lines[] = Line::of('scrap jar', $metal, $row->scrapMg(), 'trimmed, '.$for);
        $lines[] = Line::of('pieces', $metal, $row->netMg(), 'in the piece, '.$for);

        return $lines;
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array<int, int>
     */
    private function packed(Workshop $workshop, Profile $profile, array $input): array
    {
        $ulid = self::text($input, 'packing');
        $text = trim(self::text($input, 'packed'));
        if ($ulid === '' || $text === '') {
            return [];
        }
        /** @var Supply|null $supply */
        $supply = $workshop->supplies()->where('ulid', $ulid)->first();
        $supply !== null
            || throw Refused::invalid('packing', 'That is not in this workshop’s stock: choose one of the list.');
        $amount = $supply->read($text, 'packed', $profile);
        $amount <= $supply->held
            || throw Refused::invalid(
                'packed',
                'Packed is '.$supply->words($amount, $profile).', and '.$supply->words($supply->held, $profile).' of “'
                    .$supply->name.'” are in stock: give at most that.',
            );

        return [$supply->id => $amount];
    }

    /** @param  array<string, mixed>  $input */
    private static function text(array $input, string $key, ?string $part = null): string
    {
        $value = $input[$key] ?? '';
        if ($part !== null) {
            $value = is_array($value) ? ($value[$part] ?? '') : '';
        }
        is_scalar($value) || throw Refused::notText($key);

        return (string) $value;
    }

    /** What a lot holds that this cut is not of. */
    private static function otherwise(Lot $lot, Cut $cut): string
    {
        return match (true) {
            ! $lot->isPins() => 'wire, and these are bought pins',
            ! $cut->isBoughtPin() => 'pins, and this is cut from wire',
            default => Lot::KINDS[$lot->kind].', and these are '.$cut->pinKind->words().'s',
        };
    }
}
