<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\School\School;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Working;
use Hebra\Core\Wrap\Turn;

/**
 * Jump rings of one wire and one inside in the whole making are one coil of n + 1 turns, for the two half turns at its
 * ends make no ring [common practice]: (n + 1)·√((π(M + d))² + d²), as the sum of jump rings has it. A winder's grip is
 * lost once; a saw takes its kerf from each.
 */
final class RingCoils
{
    /** A saw blade, mm [memory]. */
    private const KERF_MM = 0.3;

    /** A winder's mandrel that is farther off than this winds other rings, mm. */
    private const NEAR_MM = 0.25;

    /**
     * @param  list<Cut>  $cuts  of the whole making
     * @return list<Cut> the same with rings that are alike in one cut, where the first of them stood
     */
    public static function joined(array $cuts, Profile $profile): array
    {
        $coils = [];
        foreach ($cuts as $at => $cut) {
            if ($cut->rings !== null) {
                $coils[$cut->wire->key().'/'.$cut->rings->key()][] = $at;
            }
        }
        foreach ($coils as $places) {
            $count = array_sum(array_map(
                fn (int $at): int => ($cuts[$at]->rings->count ?? 1) * $cuts[$at]->count, $places,
            ));
            foreach (array_slice($places, 1) as $at) {
                unset($cuts[$at]);
            }
            $one = $cuts[$places[0]];
            $coil = new RingCoil($one->rings->insideMm ?? 0.0, $count, $one->rings->eachMm ?? null);
            $cuts[$places[0]] = self::coil($one, $coil, $profile);
        }
        ksort($cuts);

        return array_values($cuts);
    }

    private static function coil(Cut $one, RingCoil $coil, Profile $profile): Cut
    {
        [$count, $inside, $wire, $mark] = [$coil->count, $coil->insideMm, $one->wire->diameterMm(),
            $one->segments[0]->mark];
        $turn = Turn::mm($inside, $wire);
        $rule = '√((π(M + d))² + d²)';
        $numbers = Figures::trim($turn, 3);
        $each = $coil->turnsEach($wire);
        $kerf = $coil->eachMm === null ? min(self::kerfMm($profile), $turn / 2) : 0.0;
        $times = $coil->eachMm === null ? '' : Figures::trim($coil->eachMm).' / '.Figures::trim($wire, 3).' × ';
        $segments = [
            new Segment(
                SegmentKind::Loop,
                $count * ($each * $turn - $kerf),
                $coil->words(),
                $mark,
                new Working(
                    $coil->thing().'s',
                    'n·'.($times === '' ? '' : 'L/d·').$rule.($kerf > 0 ? ' − kerf' : ''),
                    "{$count} × {$times}".($kerf > 0 ? "({$numbers} − ".Figures::trim($kerf).')' : $numbers),
                    $count * ($each * $turn - $kerf),
                    'mm',
                    Turn::SOURCE,
                ),
            ),
            ...($kerf > 0 ? [Segment::given(
                SegmentKind::Trim, $count * $kerf, 'saw', $mark, 'what the blade takes of each ring',
                'your school: sawn',
            )] : []),
            new Segment(
                SegmentKind::Trim,
                $turn,
                'end turn',
                $mark,
                new Working(
                    'end turn',
                    $rule,
                    "1 × {$numbers}",
                    $turn,
                    'mm',
                    'common practice: the ends of the coil make no '.$coil->thing(),
                ),
            ),
        ];
        $grip = self::gripMm($inside, $profile);
        if ($grip > 0) {
            $segments[] = Segment::given(
                SegmentKind::Trim, $grip, 'in the winder', $mark, 'what the winder grips', 'your tools',
            );
        }

        return $one->wound($segments, $coil);
    }

    /** Ring wire that a saw takes; cutters take none. */
    public static function kerfMm(Profile $profile): float
    {
        return $profile->schools->is(School::RingCutting, 'saw') ? self::KERF_MM : 0.0;
    }

    private static function gripMm(float $insideMm, Profile $profile): float
    {
        $mark = $profile->tools->nearest($insideMm, ToolKind::Winder);

        return $mark !== null && abs($mark->mm - $insideMm) <= self::NEAR_MM
            && $profile->schools->is(School::RingWinding, 'winder')
            ? $mark->tool->gripMm
            : 0.0;
    }

    /** Once for all of them. */
    public static function step(Cut $cut, Profile $profile): Step
    {
        if ($cut->rings?->eachMm !== null) {
            return self::beadStep($cut, $cut->rings, $profile);
        }
        $count = $cut->rings->count ?? 0;
        $on = Forming::coil($cut->wire, $cut->rings->insideMm ?? 0.0, $profile);
        $isSawn = self::kerfMm($profile) > 0;
        $text = 'Wind '.Figures::counted($count + 1, 'close turn').' on '.$on->where('mandrel', $profile)
            .', one more than there are rings, and '.($isSawn ? 'saw' : 'cut').' the coil down one side'
            .($isSawn ? '.' : ', the flush side towards the same hand each time.').' '.Figures::counted($count, 'ring')
            .' come of it.'.$on->opens($profile);

        return new Step(
            new Moment(EventKind::Rings), $cut->part->text, 'Wind '.Figures::counted($count, 'ring'), $text,
            array_values(array_unique(array_column($cut->segments, 'mark'))), $count, 'rings',
            tool: $on->tool('mandrel', $profile).', '.($isSawn ? 'jeweller’s saw' : 'flush cutter'),
            cautions: [$cut->wire->isHardened() ? Caution::HardWire : Caution::CutEnds],
            operation: Operation::Coil, cut: $cut->key(), times: $count,
        );
    }

    private static function beadStep(Cut $cut, RingCoil $coil, Profile $profile): Step
    {
        $on = Forming::coil($cut->wire, $coil->insideMm, $profile);
        $wire = $cut->wire->diameterMm();
        $text = 'Wind '.Figures::trim(ceil($coil->turns($wire)), 0).' close turns on '.$on->where('mandrel', $profile)
            .'.'
            .$on->opens($profile).' Cut the coil between turns every '.$profile->size($coil->eachMm ?? 0.0).', '
            .Figures::trim($coil->turnsEach($wire), 1).' turns: '.$coil->words()
                .' come of it. Press the ends of each into its coil, and file what scratches.';

        return new Step(
            new Moment(EventKind::Rings), $cut->part->text, 'Wind '.$coil->words(), $text,
            array_values(array_unique(array_column($cut->segments, 'mark'))), $coil->count, 'coil beads',
            tool: $on->tool('mandrel', $profile).', flush cutter, chain-nose pliers, needle file',
            cautions: [$cut->wire->isHardened() ? Caution::HardWire : Caution::CutEnds], operation: Operation::Coil,
            cut: $cut->key(), times: $coil->count,
        );
    }
}
