<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\CutTick;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Workshop;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Way;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\Mass;
use Illuminate\Support\Facades\DB;

/**
 * Closes a making: out of the coil, net to the piece, offcuts back to stock, the rest to the scrap jar. One transaction,
 * so the book is as before or as after, never between.
 */
final class CloseMaking
{
    public function __construct(private readonly Book $book, private readonly Stockkeeping $stock)
    {
    }

    /**
     * @param  array<string, mixed>  $input  cut, left, kept and lot by part; longer by lot; minutes; note; as_it_is
     *
     * @throws Problem if a field is unreadable, a lot is short or steps are left
     */
    public function close(Making $making, Workshop $workshop, array $input): void
    {
        DB::transaction(function () use ($making, $workshop, $input): void {
            $making->refresh();
            ! $making->isClosed() || throw Refused::closed();
            $profile = $workshop->profile();
            $plan = Planner::plan($making->document(), $profile);
            $left = $plan->stepCount() - $making->step;
            $left <= 0 || ($input['as_it_is'] ?? '') === '1' || throw Refused::notDone($left);
            $rows = $this->rows($plan, $workshop, $profile, $input);
            $this->cover($rows, $workshop, $profile, $input);
            $lines = [];
            foreach ($rows as $row) {
                array_push($lines, ...$this->lines($row, $workshop, $making));
            }
            $this->book->enter($workshop, 'made', $lines, $making);
            $this->settle($rows, $workshop, $profile, $input);
            $this->takeBeads($plan, $workshop);
            // What was ticked off as cut is in the book now.
            CutTick::query()->where('piece_id', $making->piece_id)->delete();
            $minutes = self::text($input, 'minutes');
            $note = self::text($input, 'note');
            mb_strlen($note) <= 2000 || throw Refused::invalid('note', 'The note holds '.mb_strlen($note).' characters: give at most 2000.');
            $making->forceFill([
                'minutes' => trim($minutes) === '' ? null : Count::parse($minutes, 'minutes', 0, 6000),
                'note' => $note, 'closed_at' => now(), 'step' => $plan->stepCount(),
            ])->save();
        });
    }

    /**
     * @param  array<string, mixed>  $input
     * @return list<ClosingRow>
     */
    private function rows(Plan $plan, Workshop $workshop, Profile $profile, array $input): array
    {
        $rows = [];
        foreach ($plan->strips() as $cut) {
            $lot = $this->lot($workshop, $cut, self::text($input, 'lot', $cut->key()));
            if ($cut->pinMm !== null) {
                $rows[] = new ClosingRow($cut, $lot, $cut->pinMm, min($cut->trimmedMm(), $cut->pinMm), 0.0);

                continue;
            }
            $read = function (string $key, float $default) use ($input, $cut, $profile): float {
                $text = trim(self::text($input, $key, $cut->key()));
                try {
                    return $text === '' ? $default : Length::parse($text, $key, $profile->unit())->within($key, 0, 100_000)->millimetres();
                } catch (Problem $problem) {
                    throw Refused::at("{$key}.{$cut->key()}", $problem);
                }
            };
            $cutMm = $read('cut', $profile->ruler->upMm($cut->lengthMm()));
            $leftMm = $read('left', max(0.0, $cutMm - $cut->netMm()));
            $cutMm > 0 || throw Refused::invalid("cut.{$cut->key()}", 'The cut is 0: give the length that was really cut.');
            $leftMm <= $cutMm || throw Refused::invalid("left.{$cut->key()}", 'Left over is '.$profile->length($leftMm).', more than the '.$profile->length($cutMm).' that was cut: give at most that.');
            $keptMm = $read('kept', $leftMm >= $profile->keepMm ? $leftMm : 0.0);
            $keptMm <= $leftMm || throw Refused::invalid("kept.{$cut->key()}", 'Kept is '.$profile->length($keptMm).', more than the '.$profile->length($leftMm).' left over: give at most that.');
            $rows[] = new ClosingRow($cut, $lot, $cutMm, $leftMm, $keptMm);
        }

        return $rows;
    }

    private function lot(Workshop $workshop, Cut $cut, string $ulid): ?Lot
    {
        if ($ulid === '') {
            return null;
        }
        /** @var Lot|null $lot */
        $lot = $workshop->lots()->where('ulid', $ulid)->first();
        $lot !== null || throw Refused::invalid("lot.{$cut->key()}", 'That coil is not in this workshop’s stock: choose one of the list, or wire not booked yet.');
        // A coil of another metal cannot have been cut for this: the piece would hold metal it does not contain.
        $lot->metal === $cut->wire->metal->value || throw Refused::invalid("lot.{$cut->key()}", "{$lot->name} is {$lot->wire()->metal->words()}, and this cut is {$cut->wire->metal->words()}: choose a lot of that metal.");
        $lot->isPins() === $cut->isBoughtPin() || throw Refused::invalid("lot.{$cut->key()}", "{$lot->name} holds ".($lot->isPins() ? 'pins, and this is cut from wire' : 'wire, and these are bought pins').': choose another lot.');

        return $lot;
    }

    /**
     * Refuses to take more than a lot holds, unless the maker says that it was longer: then one correcting entry.
     *
     * @param  list<ClosingRow>  $rows
     * @param  array<string, mixed>  $input
     */
    private function cover(array $rows, Workshop $workshop, Profile $profile, array $input): void
    {
        $asked = $first = [];
        foreach ($rows as $row) {
            if ($row->lot !== null) {
                $asked[$row->lot->ulid] = ($asked[$row->lot->ulid] ?? 0) + $row->grossMg();
                $first[$row->lot->ulid] ??= $row;
            }
        }
        foreach ($asked as $ulid => $milligrams) {
            $row = $first[$ulid];
            /** @var Lot $lot */
            $lot = $row->lot;
            $short = $milligrams - $lot->heldMg();
            if ($short <= 0) {
                continue;
            }
            if (self::text($input, 'longer', $ulid) === '1') {
                $this->stock->adjust($lot, $workshop, $short);

                continue;
            }
            $words = fn (int $mg): string => $lot->isPins() ? Figures::counted((int) ceil($mg / $lot->pinMg()), 'pin') : $profile->length($lot->mmOf($mg));
            throw Refused::lotShort("lot.{$row->cut->key()}", $lot->name, $words($lot->heldMg()), $words($milligrams), $words($short), [
                new Way($lot->isPins() ? 'There were more' : 'The coil was longer', ["longer[{$ulid}]" => '1']),
                new Way('Take wire not booked yet', ["lot[{$row->cut->key()}]" => '']),
            ]);
        }
    }

    /**
     * What a lot weighs afterwards settles the difference to the book: one correcting entry.
     *
     * @param  list<ClosingRow>  $rows
     * @param  array<string, mixed>  $input
     */
    private function settle(array $rows, Workshop $workshop, Profile $profile, array $input): void
    {
        $done = [];
        foreach ($rows as $row) {
            $ulid = $row->lot->ulid ?? '';
            $weighed = $ulid === '' ? '' : trim(self::text($input, 'weighed', $ulid));
            if ($row->lot === null || $weighed === '' || isset($done[$ulid])) {
                continue;
            }
            $done[$ulid] = true;
            try {
                $milligrams = preg_match('/^0+([.,]0+)?\s*g?$/i', $weighed) === 1 ? 0 : Mass::parse(is_numeric(str_replace(',', '.', $weighed)) ? $weighed.' g' : $weighed, 'weight')->asAmount('weight', 100_000)->milligrams();
            } catch (Problem $problem) {
                throw Refused::at("weighed.{$ulid}", $problem);
            }
            $this->stock->adjust($row->lot, $workshop, $milligrams - (int) $row->lot->movements()->sum('mass_mg'));
        }
    }

    /** @return list<Line> */
    private function lines(ClosingRow $row, Workshop $workshop, Making $making): array
    {
        $for = 'for '.$making->document()->name.', '.mb_strtolower($row->cut->label);
        $metal = $row->cut->wire->metal->value;
        $lines = [$row->lot !== null ? Line::lot($row->lot, -$row->grossMg(), 'cut '.$for) : Line::of('not booked', $metal, -$row->grossMg(), 'cut '.$for)];
        for ($copy = 0; $row->keptMg() > 0 && $copy < $row->cut->count; $copy++) {
            $lines[] = Line::lot($this->stock->opened($workshop, 'offcut', $row->cut->wire, measured: $row->lot?->measured()), $row->keptMg(), 'offcut kept, '.$for);
        }
        $lines[] = Line::of('scrap jar', $metal, $row->scrapMg(), 'trimmed, '.$for);
        $lines[] = Line::of('pieces', $metal, $row->netMg(), 'in the piece, '.$for);

        return $lines;
    }

    private function takeBeads(Plan $plan, Workshop $workshop): void
    {
        $beads = $workshop->beads()->where('owned', '>', 0)->get();
        foreach ($plan->beads as $count) {
            foreach ($beads as $bead) {
                if ($bead->core()->key() === $count->bead->key()) {
                    $bead->forceFill(['owned' => max(0, $bead->owned - $count->all)])->save();
                    break;
                }
            }
        }
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
}
