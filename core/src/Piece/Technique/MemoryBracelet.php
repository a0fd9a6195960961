<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * Beads on memory wire, which holds its coil and needs no clasp: cut = loops·π·coil + an end for the stop at each end.
 * Millimetres. Common practice: about 13 mm an end; the stop is rolled against the curve.
 */
final class MemoryBracelet implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'memory-wire';
    }

    public function label(): string
    {
        return 'memory-wire bracelet';
    }

    public function role(): string
    {
        return 'memory';
    }

    public function family(): Family
    {
        return Family::Bangle;
    }

    public function usualWire(): Wire
    {
        return self::awg(20, Temper::Spring, Metal::Stainless);
    }

    public function parameters(): array
    {
        return [
            Parameter::length('coil', 'coil, to the middle', 55.0, 15.0, 150.0),
            Parameter::count('loops', 'loops', 3, 1, 60),
            Parameter::length('end', 'for each end', 13.0, 4.0, 60.0),
        ];
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBeads(): int
    {
        return 40;
    }

    private function roomMm(PartPlan $part): float
    {
        return $part->part->count('loops') * M_PI * $part->part->mm('coil');
    }

    public function along(): array
    {
        return ['stop', 'thread', 'end'];
    }

    public function cuts(PartPlan $part): array
    {
        return [(new Stretch($part))
            ->given(SegmentKind::Curl, $part->part->mm('end'), 'stop', 'stop', 'rolled to an eye against the curve')->bend('stop ends')
            ->worked(SegmentKind::Seat, $this->roomMm($part), Figures::counted($part->part->count('loops'), 'loop'), 'round', 'loops·π·coil', $part->part->count('loops').' × π × '.Figures::trim($part->part->mm('coil')))->bend('stop starts')
            ->given(SegmentKind::Curl, $part->part->mm('end'), 'stop', 'stop-2', 'rolled to an eye against the curve')
            ->cut('Memory wire', $part->part->wire, $part->times)];
    }

    public function steps(PartPlan $part, string $event): array
    {
        return match ($event) {
            'work stop' => [new Step($event, '', 'Roll the first stop', 'Roll the end to an eye against the curve, larger than the hole of the end bead.', [$part->mark('stop')], tool: 'heavy round-nose pliers', cautions: [Caution::MemoryWire])],
            'thread' => [new Step($event, '', 'Thread the beads', 'Without uncoiling it: '.$part->threading().'.', [$part->mark('beads')], $part->beadCount(), 'beads', tool: 'fingers')],
            'work end' => [new Step($event, '', 'Roll the second stop', 'Push the beads together, leave a little slack, cut the wire and roll the other stop.', [$part->mark('stop-2')], tool: 'memory-wire cutter, heavy round-nose pliers', cautions: [Caution::MemoryWire])],
            default => [],
        };
    }

    /** The place of the beads that take most of the wire. */
    private function longestRun(PartPlan $part): ?int
    {
        $longest = null;
        foreach ($part->strung as $at => $strung) {
            if ($longest === null || $strung->lengthMm() > $part->strung[$longest]->lengthMm()) {
                $longest = $at;
            }
        }

        return $longest;
    }

    public function checks(PartPlan $part): array
    {
        $over = $part->stackMm() - $this->roomMm($part);
        $at = $this->longestRun($part);
        if ($at === null || abs($over) < $part->strung[$at]->bead->lengthMm) {
            return [];
        }
        $run = $part->strung[$at];
        $count = $run->count - (int) ceil($over / $run->bead->lengthMm - 1e-9);
        $ways = [];
        if ($count >= 1 && $count <= BeadRun::MOST) {
            $ways[] = new Way("{$count} × ".$run->bead->words(), ['do' => 'bead.count', 'part' => $part->part->id, 'at' => (string) $at, 'count' => (string) $count]);
        }
        $loops = (int) ceil($part->stackMm() / (M_PI * $part->part->mm('coil')));
        if ($over > 0 && $loops <= 60) {
            $ways[] = new Way(Figures::counted($loops, 'loop'), ['do' => 'part.set', 'part' => $part->part->id, 'key' => 'loops', 'value' => (string) $loops]);
        }

        return [$over > 0
            ? new Check(Level::Stop, 'room', 'The beads are '.$part->profile->length($over).' longer than the wire.', $part->part->id, $ways)
            : new Check(Level::Note, 'room', $part->profile->length(-$over).' of the wire stays bare.', $part->part->id, $ways)];
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        [$d, $metal, $r] = [$part->wireMm(), $part->wire->metal, $part->part->mm('coil') / 2];
        $flat = 0.3;
        $rise = max($part->widestMm(), $d) * 1.15;
        $middle = $place->yMm + $r * $flat + $part->widestMm();
        $loops = $part->part->count('loops');
        // A coil seen from a little above: what lies behind is drawn first.
        $along = fn (float $at): array => [$r * sin($at / $r), $middle + $rise * $at / (2 * M_PI * $r) + $flat * $r * cos($at / $r)];
        foreach ([0, 2] as $layer) {
            for ($half = 0; $half < 2 * $loops; $half++) {
                $isFront = cos(M_PI * ($half + 0.5) - M_PI / 2 + M_PI / 2) > 0;
                $points = [];
                for ($step = 0; $step <= 24; $step++) {
                    [$x, $y] = $along(M_PI * $r * ($half - 0.5 + $step / 24) + M_PI * $r);
                    $points[] = [round($x, 3), round($y, 3)];
                }
                if ((cos(M_PI * ($half + 1)) > 0) === ($layer === 2)) {
                    $sketch->through($points, $d, $metal, $part->mark('round'), $layer);
                }
            }
        }
        foreach ([['stop', M_PI * $r / 2], ['stop-2', M_PI * $r / 2 + 2 * M_PI * $r * $loops]] as [$mark, $end]) {
            [$x, $y] = $along($end);
            $eye = $part->part->mm('end') / (2 * M_PI) * 0.8;
            $sketch->ring($x + ($x > 0 ? $eye : -$eye), $y, $eye, $d, $metal, $part->mark($mark), 2);
        }
        $at = M_PI * $r / 2;
        foreach ($part->strung as $strung) {
            for ($bead = 0; $bead < $strung->count; $bead++) {
                [$x, $y] = $along($at + $strung->bead->lengthMm / 2);
                $slope = rad2deg(atan2(-$flat * sin($at / $r), cos($at / $r)));
                // Those behind would be hidden by those before them.
                if (cos(($at + $strung->bead->lengthMm / 2) / $r) > -0.15) {
                    $sketch->bead($strung->bead, $y - $strung->bead->lengthMm / 2, $part->mark('beads'), $x, $slope + 90);
                }
                $at += $strung->bead->lengthMm;
            }
        }

        return [];
    }

    public function tools(PartPlan $part): array
    {
        return ['memory-wire cutter', 'heavy round-nose pliers'];
    }
}
