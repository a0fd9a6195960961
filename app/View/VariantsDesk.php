<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Piece;
use App\Models\Workshop;
use Hebra\Core\Piece\Differences;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Quantity\Figures;

/** The variants of a piece side by side: at one scale, with what each takes, and in what it differs from the piece. */
final class VariantsDesk
{
    private const WIDE_PX = 250.0;

    private const HIGH_PX = 330.0;

    /** How many stand side by side; more would be no picture. */
    private const MOST = 8;

    /** @var list<Variant> the piece itself first */
    public readonly array $variants;

    public function __construct(public readonly Piece $piece, public readonly Workshop $workshop)
    {
        $pieces = [$piece, ...$piece->variants()->oldest('id')->limit(self::MOST)->get()->all()];
        $profile = $workshop->profile();
        $plans = array_map(fn (Piece $one): Plan => Planner::plan($one->document(), $profile), $pieces);
        $figures = array_map($this->figuresOf(...), $pieces, $plans);
        $ratio = $this->commonRatio($plans);
        $this->variants = array_map(
            fn (Piece $one, Plan $plan, array $its): Variant => new Variant(
                $one, $plan,
                new Drawing($plan->assembly(), dimension: 0, room: 8, name: 'variant-'.$one->id, ratioGiven: $ratio),
                self::compared($its, $figures),
                Differences::between($piece->document(), $one->document(), $profile->length(...)),
            ),
            $pieces, $plans, $figures,
        );
    }

    /** @param  non-empty-list<Plan>  $plans */
    private function commonRatio(array $plans): float
    {
        return min(array_map(
            fn (Plan $plan): float => (new Drawing($plan->assembly(), self::WIDE_PX, self::HIGH_PX, 0, 8))->ratio,
            $plans,
        ));
    }

    /** @return array<string, array{float, string}> each figure as a number and in words */
    private function figuresOf(Piece $piece, Plan $plan): array
    {
        $profile = $plan->profile;
        $cut = array_sum(array_map(
            fn (Cut $cut): float => $cut->count * $cut->printedMm($profile->ruler), $plan->cuts,
        ));
        $bill = new BillDesk($piece, $this->workshop, $plan);

        return [
            $plan->isLaidRound() ? 'end to end' : 'hangs' => [$plan->hangsMm(), $profile->length($plan->hangsMm())],
            'wire' => [$cut, $profile->length($cut)],
            'each weighs' => [$plan->gramsEach, Figures::grams($plan->gramsEach)],
            'at the bench' => [$bill->minutesInAll, Figures::trim($bill->minutesInAll, 0).' min'],
            $bill->priceWords() => [$bill->bill->totalCents(), Coins::text($bill->bill->totalCents())],
        ];
    }

    /**
     * @param  array<string, array{float, string}>  $its
     * @param  list<array<string, array{float, string}>>  $all
     * @return array<string, array{words: string, isLeast: bool}>
     */
    private static function compared(array $its, array $all): array
    {
        $compared = [];
        foreach ($its as $what => [$number, $words]) {
            $told = array_column(array_column($all, $what), 1);
            $least = min([$number, ...array_column(array_column($all, $what), 0)]);
            $compared[$what] = [
                'words' => $words,
                // Least of all, where they are not all told alike.
                'isLeast' => $number <= $least + 1e-9 && count(array_unique($told)) > 1,
            ];
        }

        return $compared;
    }
}
