<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\School\School;
use Hebra\Core\Wire\Wire;

/** What is done once for the whole making: everything laid ready, then all cuts [common practice]. */
final class Prepare
{
    /** @return list<Step> none where nothing is laid out */
    public static function of(Plan $plan): array
    {
        if ($plan->piece->parts === []) {
            return [];
        }

        $rings = array_values(array_filter($plan->cuts, fn (Cut $cut): bool => $cut->rings !== null));

        return [
            self::ready($plan),
            ...array_map(fn (Cut $cut): Step => self::cut($cut, $cut->count, $plan->profile), $plan->cuts),
            ...array_map(fn (Cut $cut): Step => RingCoils::step($cut, $plan->profile), $rings),
        ];
    }

    private static function ready(Plan $plan): Step
    {
        $beads = array_map(
            fn (BeadCount $count): string => $count->all.' × '.$count->bead->words()
                .($count->spares > 0 ? " and {$count->spares} spare" : ''),
            $plan->beads,
        );
        $findings = array_map(fn (Finding $finding): string => $finding->all.' × '.$finding->words, $plan->findings);
        $wires = array_values(array_unique(array_map(fn (Cut $cut): string => $cut->wire->words(), $plan->cuts)));
        $text = implode(' ', array_filter([
            $beads === []
                ? ''
                : 'Beads: '.implode(', ', $beads)
                    .'. Pour them, put the oversize ones aside, and try each on its wire before anything is cut.',
            $wires === [] ? '' : 'Wire: '.implode('; ', $wires).'.',
            $findings === [] ? '' : 'Bought: '.implode(', ', $findings).'.',
        ]));

        return new Step(
            new Moment(EventKind::Ready),
            '',
            'Lay everything ready',
            $text,
            tool: implode(', ', $plan->tools()),
            cautions: [Caution::SmallParts],
        );
    }

    /** So many of one cut; hardened wire is neither straightened nor cut with a cutter for soft wire. */
    public static function cut(Cut $cut, int $count, Profile $profile): Step
    {
        $isHard = $cut->wire->isHardened();
        $first = $isHard
            ? 'Leave its curve as it is.'
            : 'Straighten the wire first, '.self::straightening($profile)[0].'.';
        $text = ucfirst($cut->wire->words()).', for the '.self::what($cut, $count).". {$first}"
            .($count > 1 ? ' Cut all of one length together.' : '');
        $marks = array_values(array_unique(array_filter(array_column($cut->segments, 'mark'))));

        return new Step(
            new Moment(EventKind::Cut), $cut->part->text, "Cut {$count} × ".$profile->cutLength($cut->lengthMm()),
            $text, $marks, $count, 'pieces', tool: self::cutters($cut->wire, $profile),
            cautions: [$isHard ? Caution::HardWire : Caution::CutEnds], cut: $cut->key(), times: $count,
        );
    }

    private static function what(Cut $cut, int $count): string
    {
        $plural = $count > 1 ? 's' : '';

        return $cut->rings !== null ? $cut->rings->words() : mb_strtolower($cut->label).$plural;
    }

    private static function cutters(Wire $wire, Profile $profile): string
    {
        if ($wire->isHardened()) {
            return Wire::SHEARS.', ruler';
        }
        $straightener = self::straightening($profile)[1];

        return 'flush cutter, ruler'.($straightener === '' ? '' : ', '.$straightener);
    }

    /** @return array{string, string} how wire is straightened, and with which tool besides fingers */
    private static function straightening(Profile $profile): array
    {
        return match ($profile->schools->choice(School::Straightening)) {
            'jaws' => ['drawn through smooth jaws', 'smooth-jaw pliers'],
            'rollers' => ['through the rollers', 'wire rollers'],
            default => ['drawn through the fingers', ''],
        };
    }
}
