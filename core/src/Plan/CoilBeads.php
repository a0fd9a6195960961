<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Helix;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Strung;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Piece\Change\SwapBead;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Working;
use Hebra\Core\Wrap\Coil;
use Hebra\Core\Wrap\Turn;

/** Beads that are wound of wire and cut from a coil: their wire is cut with that of the parts they stand on. */
final class CoilBeads
{
    /** So much wider or narrower than its wire makes it, mm, a coil is still the one that was meant. */
    private const NEAR_MM = 0.15;

    /** @return list<Cut> one for each kind on a part */
    public static function cuts(PartPlan $part): array
    {
        $cuts = [];
        foreach (self::runs($part) as $run) {
            $coil = self::coil($part, $run);
            $segment = new Segment(
                SegmentKind::Loop, $run->count * $coil->wireLengthMm(), Figures::counted($run->count, 'coil bead'),
                self::markOf($part, $run), new Working(
                    'coil beads', 'n·L/d·√((π(M + d))² + d²)',
                    "{$run->count} × ".Figures::trim($coil->turns, 2).' × '.Figures::trim($coil->turnMm(), 3),
                    $run->count * $coil->wireLengthMm(), 'mm', 'geometry: a helix along the neutral axis',
                ),
            );
            $cuts[] = new Cut(
                'Coil beads', $part->part->id, Piece::COIL_BEAD, $part->wireOf(Piece::COIL_BEAD), $part->times,
                [$segment],
                [], slot: Piece::COIL_BEAD.($cuts === [] ? '' : '-'.(count($cuts) + 1)),
                rings: new RingCoil($run->bead->holeMm, $run->count, $run->bead->lengthMm),
            );
        }

        return $cuts;
    }

    /** @return list<Strung> each kind once */
    private static function runs(PartPlan $part): array
    {
        $runs = [];
        foreach ($part->strung as $strung) {
            if ($strung->bead->shape->isWound()) {
                $runs[$strung->key] = $strung->times($strung->count + ($runs[$strung->key]->count ?? 0));
            }
        }

        return array_values($runs);
    }

    /** As the drawing names it where it stands. */
    private static function markOf(PartPlan $part, Strung $run): string
    {
        foreach ($part->technique->courses($part) as $course) {
            foreach ($course->moves as $move) {
                foreach ($move->threaded() as $threaded) {
                    if ($threaded->bead === $run->bead) {
                        return $threaded->mark;
                    }
                }
            }
        }

        return $part->mark('beads');
    }

    private static function coil(PartPlan $part, Strung $run): Coil
    {
        $wire = $part->wireOf(Piece::COIL_BEAD)->diameterMm();

        return Coil::ofLength($wire, $run->bead->holeMm, $wire, $run->bead->lengthMm);
    }

    /** A figure of a part with its coil beads in their wire's metal. */
    public static function tinted(PartPlan $part, PieceFigure $figure): PieceFigure
    {
        return self::runs($part) === [] ? $figure : $figure->woundOf($part->wireOf(Piece::COIL_BEAD)->metal);
    }

    /** Its wire as it is cut, and as it is once wound: what a picture of the work shows. */
    public static function seen(PartPlan $part, Cut $cut, bool $isWound): Course
    {
        $rings = $cut->rings ?? new RingCoil(0.0, 0);
        $wire = $cut->wire->diameterMm();
        $turns = $rings->turns($wire);
        $shape = $isWound
            ? Helix::ofLength($turns * Turn::mm($rings->insideMm, $wire), $turns, $wire)
            : new Straight($cut->lengthMm());
        $segment = new Segment(
            $isWound ? SegmentKind::Round : SegmentKind::Straight, $shape->lengthMm(), 'coil', $cut->segments[0]->mark,
            $cut->segments[0]->working,
        );

        return new Course($cut->label, $cut->role, [new Move($segment, $shape)], Frame::down(0.0), 0);
    }

    /** @return list<Check> whether each is as wide as its wire makes it */
    public static function checks(PartPlan $part): array
    {
        $checks = [];
        foreach ($part->strung as $at => $strung) {
            if (! $strung->bead->shape->isWound()) {
                continue;
            }
            $wide = round(self::coil($part, $strung)->outsideMm(), 2);
            if (abs($wide - $strung->bead->widthMm) > self::NEAR_MM) {
                $checks[] = new Check(
                    Level::Warn, 'coil bead', 'A coil of '.$part->wireOf(Piece::COIL_BEAD)->size->text().' on '
                        .$part->profile->size($strung->bead->holeMm).' comes out '.$part->profile->size($wide)
                            .' wide, and this says '
                        .$part->profile->size($strung->bead->widthMm).'.', $part->part->id,
                    [new Way(
                        'As wide as it comes out', new SwapBead($part->part->id, $at, $strung->bead->wide($wide)),
                    )],
                );
            }
        }

        return $checks;
    }
}
