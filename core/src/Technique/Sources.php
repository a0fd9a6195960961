<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Way;

/**
 * Where the parts of a making may come from otherwise: head pins bought or cut, findings and rings bought or made,
 * chain bought cut to length or cut here. Alike parts together. Which of them pays is for a bill to say.
 */
final class Sources
{
    /**
     * @param  array<int, float>  $centsByPinLength  what a pin of a length costs, where that is known
     * @return list<Way>
     */
    public static function ways(Plan $plan, array $centsByPinLength = []): array
    {
        $ways = PinChoice::of($plan)?->ways($centsByPinLength) ?? [];
        array_push($ways, ...self::eyePins($plan));
        foreach (self::kinds($plan) as $label => $parts) {
            $isChain = $parts[0]->technique instanceof LinkChain;
            $key = $isChain ? 'bought' : 'source';
            $sources = $isChain
                ? ['long' => 'Buy the chain by length and cut it', 'cut' => 'Buy the chain cut to length']
                : ['made' => "Make the {$label}s", 'bought' => "Buy the {$label}s"];
            foreach ($sources as $source => $words) {
                $others = array_values(
                    array_filter($parts, fn (PartPlan $part): bool => $part->part->choice($key) !== $source),
                );
                $set = fn (PartPlan $part): SetSetting => new SetSetting($part->part->id, $key, $source);
                if ($others !== []) {
                    $ways[] = Way::all($words, array_map($set, $others));
                }
            }
        }

        return $ways;
    }

    /** @return list<Way> links on bought eye pins, each the shortest that reaches, or cut from wire again */
    private static function eyePins(Plan $plan): array
    {
        $buys = $cuts = [];
        foreach ($plan->parts() as $part) {
            $technique = $part->technique;
            if (! $technique instanceof WrappedLink || $part->strung === []) {
                continue;
            }
            $mm = $technique->shortestPinMm($part);
            if (BoughtPin::is($part->part)) {
                $cuts[] = new SetSetting($part->part->id, 'source', 'cut');
            } elseif ($mm !== null) {
                $buys[] = new SetSetting($part->part->id, 'source', 'bought');
                $buys[] = new SetSetting($part->part->id, 'pin_length', "{$mm} mm");
            }
        }

        return [
            ...($buys === [] ? [] : [Way::all('Take bought eye pins for the links', $buys)]),
            ...($cuts === [] ? [] : [Way::all('Cut the links from wire', $cuts)]),
        ];
    }

    /** @return array<string, non-empty-list<PartPlan>> what can be had in two ways, by what it is called */
    private static function kinds(Plan $plan): array
    {
        $kinds = [];
        foreach ($plan->parts() as $part) {
            $isEither = match (true) {
                $part->technique instanceof HeadPin, $part->technique instanceof WrappedLink => false,
                $part->technique instanceof LinkChain => $part->technique->shows('bought', $part->part),
                default => isset($part->part->settings['source']),
            };
            if ($isEither) {
                $kinds[$part->technique->label()][] = $part;
            }
        }

        return $kinds;
    }
}
