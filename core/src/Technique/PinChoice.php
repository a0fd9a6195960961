<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Closure;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;

/**
 * Which bought pins would serve a whole making, and what is trimmed off them: each drop the shortest stocked length
 * that reaches, or one length for all. Millimetres. What each needs: common practice.
 */
final readonly class PinChoice
{
    /**
     * @param  non-empty-list<array{PartPlan, float, int}>  $pins parts, what a pin of each needs, how many are made
     */
    private function __construct(private array $pins, private Plan $plan)
    {
    }

    /** Null where nothing of it is a head pin. */
    public static function of(Plan $plan): ?self
    {
        $pins = [];
        foreach ($plan->parts() as $part) {
            if ($part->technique instanceof HeadPin && $part->strung !== []) {
                $needed = $part->technique->pinFit($part)->neededMm();
                $pins[] = [$part, $needed, $part->times * $plan->piece->makes->count];
            }
        }

        return $pins === [] ? null : new self($pins, $plan);
    }

    /**
     * Each the shortest that reaches.
     *
     * @return array<int, int>|null length => how many; null where one is longer than any pin
     */
    public function mixed(): ?array
    {
        $counts = [];
        foreach ($this->pins as [, $needed, $count]) {
            $length = self::shortest($needed);
            if ($length === null) {
                return null;
            }
            $counts[$length] = ($counts[$length] ?? 0) + $count;
        }
        ksort($counts);

        return $counts;
    }

    /** One length for all of them, null where none reaches. */
    public function single(): ?int
    {
        return self::shortest(max(array_column($this->pins, 1)));
    }

    private static function shortest(float $neededMm): ?int
    {
        foreach (BoughtPin::STOCKED_MM as $length) {
            if ($length >= $neededMm - 1e-9) {
                return (int) $length;
            }
        }

        return null;
    }

    /** What is trimmed off all of them, where each is as long as the shortest that reaches, or of one length, mm. */
    public function trimmedMm(?int $length = null): float
    {
        $trimmed = 0.0;
        foreach ($this->pins as [$part, $needed, $count]) {
            $trimmed += $count * (($length ?? self::shortest($needed) ?? $needed) - self::usedMm($part));
        }

        return $trimmed;
    }

    private static function usedMm(PartPlan $part): float
    {
        return $part->technique instanceof HeadPin ? $part->technique->pinFit($part)->usedMm() : 0.0;
    }

    /** What it comes to, in words. */
    public function text(): string
    {
        $mixed = $this->mixed();
        $profile = $this->plan->profile;
        if ($mixed === null) {
            $longest = $profile->length(max(array_column($this->pins, 1)));

            return "No stocked pin is long enough for every drop: {$longest} is needed. Cut them from wire.";
        }
        $told = [];
        foreach ($mixed as $length => $count) {
            $told[] = "{$count} × ".$profile->length($length);
        }
        $single = $this->single();
        $text = 'Bought pins: '.Figures::listed($told).', '.$this->trimmed().' trimmed off';

        if (count($mixed) > 1 && $single !== null) {
            $text .= '; all of '.$profile->length($single).', '.$this->trimmed($single);
        }

        return $text.'; cut from wire, '.$this->weighed($this->fromWireMm()).'.';
    }

    /**
     * @param  Closure(float): ?int  $length  for what a pin needs
     * @return non-empty-list<SetSetting>
     */
    private function bought(Closure $length): array
    {
        return array_merge(...array_map(fn (array $pin): array => [
            new SetSetting($pin[0]->part->id, 'source', 'bought'),
            new SetSetting($pin[0]->part->id, 'pin_length', $length($pin[1]).' mm'),
        ], $this->pins));
    }

    /**
     * The stocked length that reaches and costs least, of equals the shorter; null where no price is known of any.
     *
     * @param  array<int, float>  $centsByLength
     */
    private static function cheapest(float $neededMm, array $centsByLength): ?int
    {
        $chosen = null;
        foreach (BoughtPin::STOCKED_MM as $length) {
            $cents = $centsByLength[(int) $length] ?? null;
            if (
                $cents !== null
                && $length >= $neededMm - 1e-9
                && ($chosen === null || $cents < $centsByLength[$chosen])
            ) {
                $chosen = (int) $length;
            }
        }

        return $chosen;
    }

    private function trimmed(?int $length = null): string
    {
        return $this->weighed($this->trimmedMm($length));
    }

    private function weighed(float $mm): string
    {
        return $this->plan->profile->length($mm).' ('.Figures::grams($this->pins[0][0]->wire->gramsOf($mm)).')';
    }

    /** What is trimmed off all of them where each is cut from wire: what hands hold, mm. */
    public function fromWireMm(): float
    {
        $trimmed = 0.0;
        foreach ($this->pins as [$part, , $count]) {
            $piece = (new SetSetting($part->part->id, 'source', 'cut'))->apply($this->plan->piece);
            $made = PartPlan::of($piece, $piece->part($part->part->id), $this->plan->profile);
            $cut = $made->cuts()[0];
            $trimmed += $count * ($cut->lengthMm() - $cut->netMm());
        }

        return $trimmed;
    }

    /**
     * To take them, or cut them from wire again.
     *
     * @param  array<int, float>  $centsByLength  what a pin of a length costs, where that is known
     * @return list<Way>
     */
    public function ways(array $centsByLength = []): array
    {
        $ways = [];
        $mixed = $this->mixed();
        if ($mixed !== null) {
            $words = count($mixed) === 1 ? 'Take bought pins' : 'Take bought pins, each the shortest';
            $ways[] = Way::all($words, $this->bought(self::shortest(...)));
        }
        $single = $this->single();
        if ($mixed !== null && count($mixed) > 1 && $single !== null) {
            $ways[] = Way::all('Take one length for all', $this->bought(fn (): int => $single));
        }
        $cheapest = fn (float $needed): ?int => self::cheapest($needed, $centsByLength);
        $lengths = array_map(fn (array $pin): ?int => $cheapest($pin[1]), $this->pins);
        $shortest = array_map(fn (array $pin): ?int => self::shortest($pin[1]), $this->pins);
        if ($lengths !== $shortest && ! in_array(null, $lengths, true)) {
            $ways[] = Way::all('Take bought pins, each the cheapest', $this->bought($cheapest));
        }
        $sources = array_map(fn (array $pin): string => $pin[0]->part->choice('source'), $this->pins);
        $cut = array_map(
            fn (array $pin): SetSetting => new SetSetting($pin[0]->part->id, 'source', 'cut'), $this->pins,
        );

        return in_array('bought', $sources, true) ? [...$ways, Way::all('Cut them from wire', $cut)] : $ways;
    }
}
