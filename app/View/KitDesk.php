<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Piece;
use App\Models\Workshop;
use App\Read\BeadsMissed;
use App\Read\Pricing;
use App\View\Market\ToBuyList;
use Hebra\Core\Market\Needs;
use Hebra\Core\Market\Taken;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Price\Asking;
use Hebra\Core\Price\Bill;
use Hebra\Core\Price\BillLine;
use Hebra\Core\Price\PriceList;

/**
 * A class of so many people: what goes into each bag, with wire to spare for hands that learn, what all bags take, what
 * one costs and is asked for.
 */
final class KitDesk
{
    public const MOST_PEOPLE = 50;

    public const MOST_PERCENT = 100;

    /** What beginners waste of a wire [memory]. */
    public const USUAL_PERCENT = 15;

    private const STEP_MM = 5.0;

    public readonly Plan $plan;

    private readonly Bill $bill;

    public function __construct(
        public readonly Piece $piece, private readonly Workshop $workshop, public readonly int $people,
        public readonly int $percent,
    ) {
        $this->plan = Planner::plan($piece->document(), $workshop->profile());
        [$this->bill] = (new Pricing($piece, $workshop))->billed($this->plan);
    }

    /** @return list<array{many: string, words: string}> what is in one bag */
    public function bag(): array
    {
        $rows = array_map(fn (Cut $cut): array => [
            'many' => "{$cut->count} ×",
            'words' => implode(' ', [
                $this->plan->profile->length($this->longer($cut)), $cut->wire->words().',', mb_strtolower($cut->label),
            ]),
        ], $this->plan->strips());
        foreach ($this->plan->beads as $bead) {
            $rows[] = [
                'many' => (string) ($bead->all + $bead->spares),
                'words' => $bead->bead->words().', '.$bead->bead->sizeWords()
                    .($bead->spares > 0 ? ", {$bead->spares} of them spare" : ''),
            ];
        }
        foreach ($this->plan->findings as $finding) {
            $rows[] = [
                'many' => $finding->isByLength()
                    ? $this->plan->profile->length($finding->taken())
                    : (string) $finding->all,
                'words' => $finding->words,
            ];
        }

        return $rows;
    }

    /** Up to the next five millimetres. */
    private function longer(Cut $cut): float
    {
        $mm = (new Strip($cut, $this->plan->profile, 1.0))->cutMm() * (1 + $this->percent / 100);

        return self::STEP_MM * ceil($mm / self::STEP_MM - 1e-9);
    }

    public function toBuy(): ToBuyList
    {
        return ToBuyList::of(
            $this->workshop, Needs::of([[Taken::of($this->plan), $this->people]], BeadsMissed::of($this->workshop))
                ->withMoreWire($this->percent),
        );
    }

    /** What is in one bag as it was paid for, wire with what is wasted of it. */
    public function costCents(): int
    {
        $cents = 0;
        foreach ($this->bill->lines as $line) {
            $cents += match ($line->kind) {
                'time' => 0,
                'metal' => (int) ceil(($line->cents ?? 0) * (1 + $this->percent / 100)),
                default => $line->cents ?? 0,
            };
        }

        return $cents;
    }

    /** What is asked for a bag by the usual list: its cost, overhead and margin, without an hour of work. */
    public function askedCents(): int
    {
        $cost = $this->costCents();

        return Asking::of(
            $cost + $this->workshop->costing()->overheadCents($cost), $this->list(), $this->workshop->priceTerms(),
        )->priceCents();
    }

    public function list(): PriceList
    {
        return $this->workshop->priceLists()[0];
    }

    public function unpriced(): int
    {
        return count(array_filter(
            $this->bill->lines, fn (BillLine $line): bool => $line->kind !== 'time' && $line->cents === null,
        ));
    }
}
