<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Fit\RingSize;
use Hebra\Core\Piece\Change\SetFit;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\Sizing;

/**
 * Whether rings, bangles, hoops and coils are as large as what they are to fit. One size: either the part follows the
 * fit, or the fit the part.
 */
final class FitChecks
{
    /**
     * @param  list<PartPlan>  $parts
     * @return list<Check>
     */
    public static function of(Piece $piece, array $parts, Profile $profile): array
    {
        $checks = [];
        foreach ($parts as $part) {
            $sizing = $part->technique->sizing($piece, $part->part);
            if ($sizing !== null && ! $sizing->fits($part->part)) {
                $checks[] = self::off($piece->fit, $part, $sizing, $profile);
            }
        }

        return $checks;
    }

    private static function off(Fit $fit, PartPlan $part, Sizing $sizing, Profile $profile): Check
    {
        $id = $part->part->id;
        $ways = [];
        if ($sizing->applied($part->part) !== $part->part) {
            $ways[] = new Way(
                'Make it fit '.self::words($fit->kind, $fit->mm, $profile),
                new SetSetting($id, $sizing->key, round($sizing->wantedMm, 4).' mm'),
            );
        }
        $own = $sizing->fitOf($part->part);
        if ($own >= $fit->kind->leastMm() && $own <= $fit->kind->mostMm()) {
            $ways[] = new Way(
                'It is for '.self::words($fit->kind, $own, $profile),
                new SetFit(Fit::of($fit->kind, round($own, 4))),
            );
        }
        $is = $profile->size($part->part->mm($sizing->key));

        return new Check(
            Level::Stop,
            'fit size',
            ucfirst(
                "the {$part->label()} is {$is} across, right for ",
            ).self::words($fit->kind, $own, $profile).'; this piece is for '.self::words($fit->kind, $fit->mm, $profile)
                .', which asks for '.$profile->size($sizing->wantedMm).'.',
            $id,
            $ways,
        );
    }

    private static function words(FitKind $kind, float $mm, Profile $profile): string
    {
        return match ($kind) {
            FitKind::Finger => self::finger($mm),
            FitKind::Wrist => 'a wrist of '.$profile->length($mm),
            FitKind::Neck => 'a length of '.$profile->length($mm),
            FitKind::Hoop, FitKind::Ear => $profile->size($mm),
        };
    }

    private static function finger(float $mm): string
    {
        return $mm < RingSize::LEAST_MM || $mm > RingSize::MOST_MM ? 'no finger' : RingSize::ofDiameter($mm)->usWords();
    }
}
