<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Finished;
use App\Models\Workshop;
use App\View\HungPiece;
use Carbon\CarbonImmutable;
use Hebra\Core\Plan\BeadCount;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Price\Bill;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;

/** What a customer sees of a piece: its picture, what it is made of, its price. Nothing of what it cost. */
final readonly class CustomerSheet
{
    private const WIDE = 380.0;

    private const HIGH = 236.0;

    private const MOST_RATIO = 1.6;

    public HungPiece $hung;

    /** @param  array<string, float>  $grams  of each metal in it, by its name */
    private function __construct(
        public string $kind, public string $number, public CarbonImmutable $day, public Workshop $workshop,
        private Plan $plan, private array $grams, public ?int $cents,
    ) {
        $this->hung = HungPiece::in([self::WIDE, self::HIGH, self::MOST_RATIO], $plan, 'paper');
    }

    /** Before it is made, for so much. */
    public static function quote(Plan $plan, Workshop $workshop, int $cents): self
    {
        $grams = [];
        foreach ($plan->metal as $metal) {
            $name = $metal->wire->metal->value;
            $grams[$name] = ($grams[$name] ?? 0.0) + $metal->netGrams() / $plan->piece->makes->sold();
        }

        return new self(
            'Quote', '', CarbonImmutable::now(), $workshop, $plan, $grams, intdiv($cents, $plan->piece->makes->sold()),
        );
    }

    /** Of a finished piece, for what was paid or is on its label. */
    public static function receipt(Finished $finished, Workshop $workshop): self
    {
        return new self(
            $finished->sold_cents === null ? 'Sheet' : 'Receipt', "No. {$finished->number}", $finished->moved_at,
            $workshop, $finished->making->plan($workshop->profile()),
            array_map(fn (int $mg): float => $mg / 1000, $finished->metals),
            $finished->sold_cents ?? $finished->price_cents,
        );
    }

    public function title(): string
    {
        return $this->plan->piece->name;
    }

    /** @return list<string> */
    public function lines(): array
    {
        return array_values(array_filter([$this->size(), $this->metals(), $this->beads(), 'Made by hand']));
    }

    private function size(): string
    {
        $profile = $this->plan->profile;
        $round = $this->plan->roundMm();
        $what = $this->plan->piece->makes->sold() === 1 ? $this->plan->piece->makes->words() : 'one';

        return ucfirst($what).', '.match (true) {
            $round !== null => $profile->length($round).' round',
            $this->plan->isLaidRound() => $profile->length($this->plan->hangsMm()).' end to end',
            default => $profile->length($this->plan->hangsMm()).' long',
        };
    }

    private function metals(): string
    {
        $words = [];
        foreach ($this->grams as $name => $grams) {
            if ($grams >= 0.005) {
                $words[] = (Metal::tryFrom($name)?->words() ?? $name).', '.Figures::grams($grams);
            }
        }

        return ucfirst(implode('; ', $words));
    }

    private function beads(): string
    {
        $materials = array_values(array_unique(array_map(
            fn (BeadCount $count): string => $count->bead->material->value, $this->plan->beads,
        )));

        return $materials === [] ? '' : ucfirst(Figures::listed($materials)).' beads';
    }

    public function price(): string
    {
        return $this->cents === null ? '' : $this->workshop->currency.' '.Bill::cents($this->cents);
    }

    /** `tax of 3.45 in it`, where there is any. */
    public function tax(): string
    {
        $cents = $this->workshop->priceTerms()->taxIn($this->cents ?? 0);

        return $cents === 0 ? '' : 'tax of '.Bill::cents($cents).' in it';
    }
}
