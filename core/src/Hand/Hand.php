<?php

declare(strict_types=1);

namespace Hebra\Core\Hand;

use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Plan\Advice;
use Hebra\Core\Plan\BendMark;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\FittingHand;
use Hebra\Core\Price\MetalPrices;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;

/**
 * The maker's hand: what was learned of each way of forming in each gauge, of spring-back, of time; and what a wire and
 * an hour are worth.
 *
 * A cut is fitted to it so: its formed stretches grow by the mean, so that marks stand where this maker bends; what is
 * laid out for safety is tail. The length is straight + formed · q + tails on the ruler's grid, q between the quantiles
 * of 80 and 99 %, where the cost of running short, K · P(short), and of what is cut off in vain, c · E[left over], are
 * least in sum. K is the wire and the minutes of doing it again, c the price of a millimetre less what scrap is worth.
 */
final class Hand implements FittingHand
{
    private const LEAST_SURE = 0.80;

    private const MOST_SURE = 0.99;

    /** Of a gram's price, what scrap brings [memory]. */
    private const SCRAP_WORTH = 0.6;

    /** Minutes that a spoiled wire costs: taking apart, cutting, forming again [memory]. */
    private const AGAIN_MINUTES = 6.0;

    /**
     * @param  array<string, Learned>  $ways  by `loops/22`
     * @param  array<string, Learned>  $springs  by `sterling/half-hard`: measured over foretold inside diameter
     * @param  string  $day  of the prices, `2026-11-25`
     */
    public function __construct(
        private readonly array $ways,
        private readonly array $springs,
        private readonly MetalPrices $prices,
        private readonly string $day,
        private readonly int $hourCents,
        private readonly Ruler $ruler,
    ) {
    }

    /** @var array<string, float> lengths worked out before: a piece has many cuts alike */
    private array $known = [];

    /** What a wire of that metal opens to, over what the rule of spring-back says; 1 as long as it is not learned. */
    public function spring(Metal $metal, Temper $temper): float
    {
        return isset($this->springs[$metal->value.'/'.$temper->value])
            ? $this->springs[$metal->value.'/'.$temper->value]->factor()
            : 1.0;
    }

    public function fitted(Cut $cut): Cut
    {
        $work = Work::in($cut);
        $learned = $this->ways[$work->key() ?? ''] ?? null;
        if ($learned === null || ! $learned->isLearned() || $cut->isBoughtPin()) {
            return $cut;
        }
        $needs = fn (float $ratio): float => $work->straightMm + $work->tailMm + $work->formedMm * $ratio;
        $best = $this->known["{$work->key()} {$cut->wire->key()} {$work->straightMm} {$work->formedMm} "
            ."{$work->tailMm}"] ??= $this->leastCost(
                $cut,
                $work,
                $learned,
                $needs,
            );
        $segments = $bends = [];
        [$from, $to] = [0.0, 0.0];
        foreach ($cut->segments as $segment) {
            $length = $segment->lengthMm * (Work::wayOf($segment) === null ? 1.0 : $learned->mean);
            $segments[] = new Segment(
                $segment->kind,
                $length,
                $segment->words,
                $segment->mark,
                Work::wayOf($segment) === null
                    ? $segment->working
                    : $segment->working->byHand($learned->mean, $learned->count),
                $segment->beads,
            );
            foreach ($cut->bends as $bend) {
                if ($bend->atMm >= $from - 1e-9 && ($bend->atMm < $from + $segment->lengthMm - 1e-9)) {
                    $bends[] = new BendMark(
                        $to + ($bend->atMm - $from) * ($segment->lengthMm > 0 ? $length / $segment->lengthMm : 1.0),
                        $bend->words,
                    );
                }
            }
            [$from, $to] = [$from + $segment->lengthMm, $to + $length];
        }
        $spare = $best - $to;
        if ($spare > 1e-9) {
            $segments[] = Segment::given(
                SegmentKind::Tail,
                $spare,
                'spare',
                '',
                'for your hand: enough in '.Figures::trim(
                    100 * $learned->below(($best - $work->straightMm - $work->tailMm) / $work->formedMm),
                    0,
                ).' of 100 makings',
                'what you logged',
            );
        }

        return $cut->fitted(
            $segments,
            $bends,
            new Advice(
                self::words($learned),
                $cut->lengthMm(),
                $best,
                $learned->below(($best - $work->straightMm - $work->tailMm) / $work->formedMm),
            ),
        );
    }

    /** `you use 4 % more than the sum: 12 makings` */
    private static function words(Learned $learned): string
    {
        $percent = (int) round(100 * ($learned->mean - 1));
        $more = abs($percent).' % '.($percent > 0 ? 'more' : 'less').' than the sum';

        return ($percent === 0 ? 'you use what the sum says' : "you use {$more}").': '
            .Figures::counted($learned->count, 'making');
    }

    /** @param  callable(float): float  $needs  the cut for a ratio */
    private function leastCost(Cut $cut, Work $work, Learned $learned, callable $needs): float
    {
        $step = $this->ruler->stepMm();
        $first = $this->ruler->upMm($needs($learned->quantile(self::LEAST_SURE)));
        $last = max($first, floor($needs($learned->quantile(self::MOST_SURE)) / $step) * $step);
        $centsPerMm = ($this->prices->perGramE4($cut->wire, $this->day) ?? 0) / 100
            * $cut->wire->milligramsPerMm() / 1000;
        $again = $cut->lengthMm() * $centsPerMm * (1 - self::SCRAP_WORTH) + self::AGAIN_MINUTES / 60 * $this->hourCents;
        $vain = $centsPerMm * (1 - self::SCRAP_WORTH);
        $best = $first;
        $least = INF;
        for ($length = $first; $length <= $last + 1e-9; $length += $step) {
            $ratio = ($length - $work->straightMm - $work->tailMm) / $work->formedMm;
            $cost = $again * (1 - $learned->below($ratio)) + $vain * $work->formedMm * $learned->leftOf($ratio);
            if ($cost < $least - 1e-12) {
                [$best, $least] = [$length, $cost];
            }
        }

        return $best;
    }
}
