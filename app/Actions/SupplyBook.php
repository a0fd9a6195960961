<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Bead;
use App\Models\Supply;
use App\Models\SupplyMovement;
use App\Models\User;
use App\Models\Workshop;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Quantity\Unreadable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Beads and bought supplies come in, are used, counted again and reversed; every change is a line, and no line is
 * edited.
 */
final class SupplyBook
{
    private const LONGEST_NAME = 120;

    /** @param  list<SupplyLine>  $lines  lines of nothing are left out */
    public function enter(Workshop $workshop, Entry $entry, array $lines): void
    {
        DB::transaction(function () use ($workshop, $entry, $lines): void {
            foreach ($lines as $line) {
                if ($line->amount === 0) {
                    continue;
                }
                SupplyMovement::query()->create([
                    'workshop_id' => $workshop->id, 'entry' => $entry->name, 'kind' => $entry->kind,
                    'bead_id' => $line->of instanceof Bead ? $line->of->id : null,
                    'supply_id' => $line->of instanceof Supply ? $line->of->id : null,
                    'making_id' => $entry->making?->id, 'amount' => $line->amount, 'words' => $line->words,
                    'reverses' => $entry->reverses, 'maker' => User::signedIn(),
                ]);
            }
        });
    }

    public function bead(Workshop $workshop, CoreBead $bead, int $count, ?UnitPrice $price = null): Bead
    {
        return $this->beads($workshop, [[$bead, $count, $price]])[0]->refresh();
    }

    /**
     * @param  list<array{CoreBead, int, UnitPrice|null}>  $beads  each with how many came, and what one costs
     * @return list<Bead>
     */
    public function beads(Workshop $workshop, array $beads): array
    {
        return DB::transaction(function () use ($workshop, $beads): array {
            $kept = [];
            foreach ($beads as [$bead, $count, $price]) {
                $kept[] = $own = Bead::query()->create(
                    [...Bead::columns($bead), 'workshop_id' => $workshop->id, 'price_e4' => $price?->e4()],
                );
                $came = new SupplyLine($own, $count, 'received '.$bead->words());
                $this->enter($workshop, Entry::of('received'), [$came]);
            }

            return $kept;
        });
    }

    /** What one of a bead costs; a bead that is not in the tray yet comes into it. */
    public function priceBead(Workshop $workshop, CoreBead $bead, UnitPrice $price): void
    {
        $own = $workshop->beads()->get()->first(fn (Bead $one): bool => $one->core()->key() === $bead->key());
        $own === null
            ? $this->bead($workshop, $bead, 0, $price)
            : $own->forceFill(['price_e4' => $price->e4()])->save();
    }

    /** What one of a finding costs, or a metre; what is not on the list yet comes onto it. */
    public function priceSupply(Workshop $workshop, Finding $finding, UnitPrice $price): void
    {
        $own = $workshop->supplies()->get()->first(
            fn (Supply $supply): bool => $supply->isOf($finding),
        );
        $own ??= new Supply(
            ['workshop_id' => $workshop->id, 'kind' => self::kindOf($finding), 'name' => $finding->stock],
        );
        $own->forceFill(['price_e4' => $price->e4()])->save();
    }

    private static function kindOf(Finding $finding): string
    {
        return match (true) {
            $finding->isByLength() => str_contains($finding->stock, 'chain') ? 'chain' : 'strung',
            str_contains($finding->stock, 'crimp') => 'crimps',
            str_contains($finding->stock, 'ring') && ! str_contains($finding->stock, 'ear') => 'rings',
            default => 'finding',
        };
    }

    /**
     * More of a supply of that name, or a new one.
     *
     * @param  array<string, string>  $input  kind, name, amount, price (of one, or of a metre), low
     *
     * @throws \Hebra\Core\Problem if a field is unreadable or out of range
     */
    public function receive(Workshop $workshop, array $input, Profile $profile): Supply
    {
        [$kind, $name] = [$input['kind'] ?? '', trim($input['name'] ?? '')];
        Fields::all([
            'kind' => fn (): true => isset(Supply::KINDS[$kind])
                ?: throw Unreadable::choice('kind', $kind, array_keys(Supply::KINDS)),
            'name' => fn (): true => self::isName($name),
        ]);
        /** @var Supply|null $known */
        $known = $workshop->supplies()->where('name', $name)->first();
        $known === null || $known->kind === $kind
            || throw Refused::invalid(
                'name',
                "“{$name}” is already kept as ".Supply::KINDS[$known->kind].': choose that, or another name.',
            );
        $supply = $known ?? new Supply(['workshop_id' => $workshop->id, 'kind' => $kind, 'name' => $name]);
        [$price, $low] = [trim($input['price'] ?? ''), trim($input['low'] ?? '')];
        $read = Fields::all([
            'line' => fn (): SupplyLine => new SupplyLine(
                $supply, $supply->read($input['amount'] ?? '', 'amount', $profile), 'received '.$supply->name,
            ),
            ...$price === '' ? [] : ['price_e4' => fn (): int => UnitPrice::parse($price)->e4()],
            ...$low === '' ? [] : ['low_at' => fn (): int => $supply->read($low, 'low', $profile)],
        ]);

        return DB::transaction(function () use ($workshop, $supply, $read): Supply {
            $supply->forceFill(array_diff_key($read, ['line' => null]))->save();
            $this->enter($workshop, Entry::of('received'), array_values(array_filter(
                $read, fn (mixed $one): bool => $one instanceof SupplyLine,
            )));

            return $supply->refresh();
        });
    }

    /** @throws \Hebra\Core\Problem if it is none */
    private static function isName(string $name): true
    {
        $name !== '' || throw Unreadable::empty('name', 'what it is, such as “crimp, for 0.4 mm wire”');

        return mb_strlen($name) <= self::LONGEST_NAME
            ?: throw Unreadable::tooLong('name', mb_strlen($name), self::LONGEST_NAME);
    }

    /** There are more or fewer than the book says: one correcting line. */
    public function correct(Workshop $workshop, Bead|Supply $of, int $holds): void
    {
        DB::transaction(function () use ($workshop, $of, $holds): void {
            $of->refresh();
            $by = $holds - ($of instanceof Bead ? $of->owned : $of->held);
            $this->enter(
                $workshop,
                Entry::of('corrected'),
                [new SupplyLine(
                    $of, $by,
                    ($of instanceof Bead ? $of->core()->words() : $of->name)
                        .($by > 0 ? ': more than booked' : ': fewer than booked'),
                )],
            );
        });
    }

    /**
     * What a making takes leaves, as far as it is there; what was not booked in is not missed.
     *
     * @param  array<int, int>  $packed  further amounts, by the supply's id
     */
    public function use(Workshop $workshop, Plan $plan, Entry $entry, array $packed): void
    {
        $for = 'for '.$plan->piece->name;
        $lines = [];
        /** @var Collection<int, Bead> $beads */
        $beads = $workshop->beads()->where('owned', '>', 0)->orderBy('id')->get();
        foreach ($plan->beads as $count) {
            $wanted = $count->all;
            foreach ($beads as $bead) {
                if ($wanted > 0 && $bead->core()->key() === $count->bead->key()) {
                    $taken = min($wanted, $bead->owned);
                    $wanted -= $taken;
                    $lines[] = new SupplyLine($bead, -$taken, $count->bead->words().' '.$for);
                }
            }
        }
        $wanted = $packed;
        /** @var Collection<int, Supply> $supplies */
        $supplies = $workshop->supplies()->get();
        foreach ($plan->findings as $finding) {
            $supply = $supplies->first(
                fn (Supply $supply): bool => $supply->isOf($finding),
            );
            if ($supply !== null) {
                $wanted[$supply->id] = ($wanted[$supply->id] ?? 0) + (int) round(
                    $finding->taken() * ($finding->isByLength() ? 1000 : 1),
                );
            }
        }
        foreach ($supplies as $supply) {
            $lines[] = new SupplyLine($supply, -min($supply->held, $wanted[$supply->id] ?? 0), $supply->name.' '.$for);
        }
        $this->enter($workshop, $entry, $lines);
    }

    /**
     * @return bool whether the entry had lines here
     *
     * @throws Refused if it would leave less than nothing
     */
    public function reverse(Workshop $workshop, string $entry): bool
    {
        $lines = SupplyMovement::query()->where('workshop_id', $workshop->id)->where('entry', $entry)
            ->with(['bead', 'supply'])->orderBy('id')->get();
        $first = $lines->first();
        if ($first === null) {
            return false;
        }
        $isDone = $first->reverses !== null
            || SupplyMovement::query()->where('workshop_id', $workshop->id)->where('reverses', $entry)->exists();
        ! $isDone || throw Refused::alreadyReversed();
        $back = [];
        foreach ($lines as $line) {
            $of = $line->bead ?? $line->supply ?? throw new \LogicException('A line of nothing.');
            $name = $of instanceof Bead ? $of->core()->words() : $of->name;
            ($of instanceof Bead ? $of->owned : $of->held) - $line->amount >= 0 || throw Refused::wouldHoldLess($name);
            $back[] = new SupplyLine($of, -$line->amount, 'reversed: '.$line->words);
        }
        $this->enter($workshop, Entry::of('reversed')->reversing($entry), $back);

        return true;
    }
}
