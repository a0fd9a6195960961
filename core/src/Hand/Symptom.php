<?php

declare(strict_types=1);

namespace Hebra\Core\Hand;

/**
 * What sizes that came out of a practice say of the hands that made them: what was seen, and what most often causes it
 * [common practice].
 */
enum Symptom: string
{
    case Large = 'large';
    case Small = 'small';
    case Wider = 'wider';
    case Tighter = 'tighter';
    case Uneven = 'uneven';
    case Gaping = 'gaping';
    case Unalike = 'unalike';
    case Opened = 'opened';

    /** Off by so much on average is seen as soon as two lie beside each other. */
    private const SEEN_MM = Consistency::TO_THE_EYE_MM / 2;

    private const CAUSES = [
        'large' => 'They come out large: the wire sat too far back on the jaw, or was pulled away from it. '
            .'Mark the jaw, and push with the thumb close to it.',
        'small' => 'They come out small: the wire slid towards the tip. Mark the jaw, and grip before you turn.',
        'wider' => 'They grow from one to the next: the wire creeps back along the jaw. '
            .'Look for the mark before each one.',
        'tighter' => 'They shrink from one to the next: the wire creeps towards the tip. '
            .'Look for the mark before each one.',
        'uneven' => 'They vary, now large, now small: the place on the jaw is found anew each time. '
            .'A mark, or a turn of tape, finds it for you.',
        'gaping' => 'The turns gape: the wire was led at too steep a slant. '
            .'Push each against the last with the nail before the next.',
        'unalike' => 'The two of a pair differ: make both before the tool leaves its mark.',
        'opened' => 'It springs open further than planned: a smaller mandrel, or a harder pull at the end.',
    ];

    public function cause(): string
    {
        return self::CAUSES[$this->value];
    }

    /**
     * The first that explains them; null where no eye sees what is off, or there are too few.
     *
     * @param  'loops'|'pairs'|'wraps'|'bend'|'coil'|'spiral'|'weave'  $kind  of practice
     * @param  list<float>  $offs  measured less wanted in order, mm
     */
    public static function of(string $kind, array $offs): ?self
    {
        $mean = $offs === [] ? 0.0 : array_sum($offs) / count($offs);
        if (($kind === 'pairs' || $kind === 'spiral') && self::pairsDiffer($offs)) {
            return self::Unalike;
        }
        if ($kind !== 'loops' && $kind !== 'pairs') {
            $seen = $kind === 'bend' ? self::Opened : self::Gaping;

            return $mean > self::SEEN_MM ? $seen : null;
        }
        $sizes = Consistency::of($offs);

        return match (true) {
            $sizes === null => null,
            $sizes->isDrifting && abs($sizes->driftMm) * $sizes->count > self::SEEN_MM => $sizes->driftMm > 0
                ? self::Wider
                : self::Tighter,
            $mean > self::SEEN_MM => self::Large,
            $mean < -self::SEEN_MM => self::Small,
            $sizes->spreadMm > self::SEEN_MM => self::Uneven,
            default => null,
        };
    }

    /** @param  list<float>  $offs */
    private static function pairsDiffer(array $offs): bool
    {
        $apart = array_map(fn (array $pair): float => abs($pair[0] - ($pair[1] ?? $pair[0])), array_chunk($offs, 2));

        return $apart !== [] && array_sum($apart) / count($apart) > Consistency::TO_THE_EYE_MM;
    }
}
