<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Finished;
use App\Models\Repair;
use App\Models\Workshop;
use App\View\Coins;
use App\View\HungPiece;
use Carbon\CarbonImmutable;
use Hebra\Core\Plan\BeadCount;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;

/** What a customer sees of a piece or a repair: its picture, what it is, its price. Nothing of what it cost. */
final readonly class CustomerSheet
{
    private const WIDE = 380.0;

    private const HIGH = 236.0;

    private const MOST_RATIO = 1.6;

    /** @param  list<string>  $lines  what can be said of it */
    private function __construct(
        public string $kind, public string $number, public CarbonImmutable $day, public Workshop $workshop,
        public string $title, public array $lines, public ?int $cents, public ?HungPiece $hung,
    ) {
    }

    /** Before it is made, for so much each. */
    public static function quote(Plan $plan, Workshop $workshop, int $eachCents): self
    {
        $grams = [];
        foreach ($plan->metal as $metal) {
            $name = $metal->wire->metal->value;
            $grams[$name] = ($grams[$name] ?? 0.0) + $metal->netGrams() / $plan->piece->makes->sold();
        }

        return new self(
            'Quote', '', CarbonImmutable::now(), $workshop, $plan->piece->name, self::lines($plan, $grams),
            $eachCents, self::hung($plan),
        );
    }

    /** Of a finished piece, for what was paid or is on its label. */
    public static function receipt(Finished $finished, Workshop $workshop): self
    {
        $plan = $finished->making->plan($workshop->profile());
        $grams = array_map(fn (int $mg): float => $mg / 1000, $finished->metals);

        return new self(
            $finished->sold_cents === null ? 'Sheet' : 'Receipt', "No. {$finished->number}", $finished->moved_at,
            $workshop, $plan->piece->name, self::lines($plan, $grams), $finished->sold_cents ?? $finished->price_cents,
            self::hung($plan),
        );
    }

    /** Of a repair: what is to be done and what was agreed, and once it is done what was paid. */
    public static function repair(Repair $repair, Workshop $workshop): self
    {
        $finished = $repair->finished;

        return new self(
            $repair->done_at === null ? 'Repair, quote' : 'Repair, receipt',
            $finished === null ? '' : "No. {$finished->number}", $repair->done_at ?? $repair->created_at, $workshop,
            $repair->name, [ucfirst($repair->words), 'Repaired by hand'], $repair->got_cents ?? $repair->price_cents,
            $finished === null ? null : self::hung($finished->making->plan($workshop->profile())),
        );
    }

    private static function hung(Plan $plan): HungPiece
    {
        return HungPiece::in([self::WIDE, self::HIGH, self::MOST_RATIO], $plan, 'paper');
    }

    /**
     * @param  array<string, float>  $grams  of each metal in it, by its name
     * @return list<string>
     */
    private static function lines(Plan $plan, array $grams): array
    {
        return array_values(array_filter([
            self::size($plan), self::metals($grams), self::beads($plan), 'Made by hand',
        ]));
    }

    private static function size(Plan $plan): string
    {
        $round = $plan->roundMm();
        $what = $plan->piece->makes->sold() === 1 ? $plan->piece->makes->words() : 'one';

        return ucfirst($what).', '.match (true) {
            $round !== null => $plan->profile->length($round).' round',
            $plan->isLaidRound() => $plan->profile->length($plan->hangsMm()).' end to end',
            default => $plan->profile->length($plan->hangsMm()).' long',
        };
    }

    /** @param  array<string, float>  $grams */
    private static function metals(array $grams): string
    {
        $words = [];
        foreach ($grams as $name => $of) {
            if ($of >= 0.005) {
                $words[] = (Metal::tryFrom($name)?->words() ?? $name).', '.Figures::grams($of);
            }
        }

        return ucfirst(implode('; ', $words));
    }

    private static function beads(Plan $plan): string
    {
        $materials = array_values(array_unique(array_map(
            fn (BeadCount $count): string => $count->bead->material->value, $plan->beads,
        )));

        return $materials === [] ? '' : ucfirst(Figures::listed($materials)).' beads';
    }

    public function price(): string
    {
        return $this->cents === null ? '' : Coins::amount($this->cents);
    }

    /** `tax of 3.45 in it`, where there is any. */
    public function tax(): string
    {
        $cents = $this->workshop->priceTerms()->taxIn($this->cents ?? 0);

        return $cents === 0 ? '' : 'tax of '.Coins::text($cents).' in it';
    }
}
