<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Step;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Hebra\Core\Wrap\BeadWrap;
use Hebra\Core\Wrap\Binding;

/**
 * Beads along the wire of a hoop, a frame or a bangle: strung on it, or bound to it with a finer wire, seated on it or
 * centred astride. Shared by the techniques that carry them. Millimetres; the arithmetic is BeadWrap's.
 */
final readonly class BoundBeads
{
    public const ROLE = 'binding';

    private const TAIL_MM = 50.0;

    /** Turns round the frame where a row turns back [common practice]. */
    private const ROW_TURNS = 2;

    /** @param  int  $cores  wires of the frame side by side */
    public function __construct(private PartPlan $plan, private int $cores = 1)
    {
    }

    /** @return list<Parameter> */
    public static function parameters(string $usually, string $words = 'beads'): array
    {
        return [
            Parameter::choice(
                'beads_sit',
                $words,
                $usually,
                ['strung' => 'strung on the wire', 'on' => 'bound on it', 'astride' => 'bound astride it'],
            ),
            Parameter::count('between', 'wraps between', 2, 0, 20),
            Parameter::count('end_coil', 'coil at each end, turns', 4, 0, 200),
            Parameter::count('rows', 'rows, there and back', 1, 1, 8),
        ];
    }

    public static function shows(string $key, Part $part): bool
    {
        return match ($key) {
            'between', 'end_coil' => self::isBound($part) && $part->count('rows') === 1,
            'rows' => self::isBound($part),
            default => true,
        };
    }

    public static function isBound(Part $part): bool
    {
        return $part->choice('beads_sit') !== 'strung' && $part->beads !== [];
    }

    /** @return array<string, Wire> */
    public static function wires(Part $part): array
    {
        return self::isBound($part)
            ? [self::ROLE => new Wire(Metal::Sterling, WireSize::awg(28), Temper::DeadSoft)]
            : [];
    }

    /** @return list<Strung> what is strung on the wire itself, from its first end on */
    public function onWire(): array
    {
        return self::isBound($this->plan->part) ? [] : $this->plan->strung;
    }

    private function words(): string
    {
        return Stringing::words($this->plan->strung);
    }

    /** How much of the frame they cover. */
    public function coveredMm(): float
    {
        return match (true) {
            ! self::isBound($this->plan->part) => $this->plan->stackMm(),
            $this->rows() > 1 => $this->plan->stackMm() / $this->rows() + 2 * self::ROW_TURNS * $this->bindingMm() * min(
                2,
                $this->rows(),
            ),
            default => $this->plan->stackMm() + $this->wraps() * $this->bindingMm(),
        };
    }

    private function rows(): int
    {
        return $this->plan->part->count('rows');
    }

    private function wraps(): int
    {
        return $this->plan->part->count('between') * max(
            0,
            $this->plan->beadCount() - 1,
        ) + 2 * $this->plan->part->count('end_coil');
    }

    private function bindingMm(): float
    {
        return $this->plan->wireOf(self::ROLE)->diameterMm();
    }

    /** @return list<Cut> the binding wire, where there is one */
    public function cuts(): array
    {
        if (! self::isBound($this->plan->part)) {
            return [];
        }
        if ($this->rows() > 1) {
            return [$this->rowsCut()];
        }
        [$w, $core] = [$this->bindingMm(), $this->plan->wireMm()];
        $seat = new BeadWrap($core, $this->cores, $w, 1, 1.0, 1.0, 0, 0, false);
        $beads = 0.0;
        $numbers = [];
        foreach ($this->plan->strung as $strung) {
            $one = new BeadWrap(
                $core,
                $this->cores,
                $w,
                1,
                $strung->bead->lengthMm,
                $strung->bead->widthMm,
                0,
                0,
                $this->plan->part->choice('beads_sit') === 'astride',
            );
            $beads += $strung->count * $one->beadMm();
            $numbers[] = $strung->count.' × '.Figures::trim($one->beadMm(), 3);
        }
        $rule = $this->plan->part->choice('beads_sit') === 'astride'
            ? 'Σ b + 2√(((W − w)/2)² + (W/2)²)'
            : 'Σ b + (W − w)';

        return [(new Stretch($this->plan))
            ->given(
                SegmentKind::Tail,
                self::TAIL_MM,
                'tail',
                'binding-tail',
                'what the fingers hold at the start, trimmed off',
            )
            ->worked(
                SegmentKind::Binding,
                $beads,
                Figures::counted($this->plan->beadCount(), 'bead'),
                'binding',
                $rule,
                implode(' + ', $numbers),
                BeadWrap::SOURCE,
                $this->plan->strung,
            )
            ->worked(
                SegmentKind::Wraps,
                $this->wraps() * $seat->wrapMm(),
                Figures::counted($this->wraps(), 'wrap'),
                'binding',
                $this->cores === 1 ? 'N·√((π(D + w))² + w²)' : 'N·√((π(D + w) + 2D)² + w²)',
                $this->wraps().' × '.Figures::trim($seat->wrapMm(), 3),
            )
            ->given(
                SegmentKind::Tail,
                self::TAIL_MM,
                'tail',
                'binding-tail',
                'what the fingers hold at the end, trimmed off',
            )
            ->cut('Binding', self::ROLE, $this->plan->times, self::ROLE)];
    }

    /** Rows of beads side by side, the wire there and back round them: see Binding. */
    private function rowsCut(): Cut
    {
        [$w, $core, $rows] = [$this->bindingMm(), $this->plan->wireMm(), $this->rows()];
        $passes = 0.0;
        $numbers = [];
        foreach ($this->plan->strung as $strung) {
            $passes += Binding::passMm($w, $strung->count, $strung->bead->widthMm);
            $wide = Figures::trim($strung->bead->widthMm);
            $numbers[] = "{$strung->count} × (π × ({$wide} + ".Figures::trim($w, 3).")/2 + {$wide}/3)";
        }

        return (new Stretch($this->plan))
            ->given(
                SegmentKind::Tail,
                self::TAIL_MM,
                'tail',
                'binding-tail',
                'what the fingers hold at the start, trimmed off',
            )
            ->worked(
                SegmentKind::Binding,
                $passes,
                Figures::counted($this->plan->beadCount(), 'bead')." in {$rows} rows",
                'binding',
                'Σ π(W + w)/2 + W/3',
                implode(' + ', $numbers),
                'geometry; common practice',
                $this->plan->strung,
            )
            ->worked(
                SegmentKind::Wraps,
                $rows * Binding::endsMm($w, $core, $this->cores),
                'turns at the ends',
                'binding',
                'rows · 2·2·T',
                $rows.' × '.Figures::trim(Binding::endsMm($w, $core, $this->cores), 3),
                'geometry; two turns at each end of a pass are common practice',
            )
            ->given(
                SegmentKind::Tail,
                self::TAIL_MM,
                'tail',
                'binding-tail',
                'what the fingers hold at the end, trimmed off',
            )
            ->cut('Binding', self::ROLE, $this->plan->times, self::ROLE);
    }

    /** @return list<Step> */
    private function rowSteps(): array
    {
        $rows = $this->rows();

        return [
            new Step(
                'work beads',
                '',
                'Start the first row',
                'Leave a tail and take two turns of the binding wire round the frame.',
                [$this->plan->mark('binding')],
                self::ROW_TURNS,
                'turns',
                tool: 'fingers',
                operation: Operation::Bind,
            ),
            (new Step('work beads', '', 'Bind the rows', 'Bead by bead to the other end, half a turn round each; where a row ends two turns, and two more beside them where the next begins, back along the first, '.Figures::counted($rows, 'row').' in all: '.$this->words().'. The first pass teaches the rest: see how much wire is left.', [$this->plan->mark('binding'), $this->plan->mark('beads')], $rows, 'rows', tool: 'fingers, chain-nose pliers', cautions: [Caution::Crush], operation: Operation::Bind))->putting(
                $this->plan->strung,
                $this->plan->cutKey(self::ROLE),
            ),
            new Step(
                'work beads',
                '',
                'End the binding',
                'Two turns round the frame, trim both tails close, and press the ends in at the back.',
                [$this->plan->mark('binding')],
                self::ROW_TURNS,
                'turns',
                tool: 'flush cutter',
                cautions: [Caution::CutEnds],
                operation: Operation::Bind,
            ),
        ];
    }

    /** @return list<Step> */
    public function steps(): array
    {
        if ($this->plan->strung === []) {
            return [];
        }
        if (! self::isBound($this->plan->part)) {
            return [
                (new Step('work beads', '', 'Thread the beads', 'In this order: '.$this->words().'.', [$this->plan->mark('beads')], $this->plan->beadCount(), 'beads', tool: 'fingers', operation: Operation::Thread))->putting(
                    $this->plan->strung,
                    $this->plan->cutKey(),
                ),
            ];
        }
        if ($this->rows() > 1) {
            return $this->rowSteps();
        }
        $coil = $this->plan->part->count('end_coil');

        return array_values(array_filter([
            $coil === 0
                ? null
                : new Step(
                    'work beads',
                    '',
                    'Start the binding',
                    'Leave a tail, and coil '.Figures::counted($coil, 'close turn')
                        .' of the binding wire round the frame.',
                    [$this->plan->mark('binding')],
                    $coil,
                    'turns',
                    tool: 'fingers',
                    operation: Operation::Bind,
                ),
            (new Step('work beads', '', 'Bind the beads on', 'One bead at a time, '.($this->plan->part->choice('beads_sit') === 'astride' ? 'half on either side of the frame' : 'seated on the frame').', with '.Figures::counted($this->plan->part->count('between'), 'wrap').' pulled tight between: '.$this->words().'.', [$this->plan->mark('binding'), $this->plan->mark('beads')], $this->plan->beadCount(), 'beads', tool: 'fingers, chain-nose pliers', cautions: [Caution::Crush], operation: Operation::Bind))->putting(
                $this->plan->strung,
                $this->plan->cutKey(self::ROLE),
            ),
            $coil === 0
                ? null
                : new Step(
                    'work beads',
                    '',
                    'End the binding',
                    'Coil '.Figures::counted($coil, 'turn')
                        .' to match the start. Trim both tails close, and press the ends in at the back.',
                    [$this->plan->mark('binding')],
                    $coil,
                    'turns',
                    tool: 'flush cutter',
                    cautions: [Caution::CutEnds],
                    operation: Operation::Bind,
                ),
        ]));
    }

    /**
     * Draws them along a curve: at each millimetre of it a place and the turn of the wire there.
     *
     * @param  callable(float): array{float, float, float}  $along  x, y and degrees at so many millimetres from where they begin
     */
    public function draw(Sketch $sketch, callable $along): void
    {
        $isBound = self::isBound($this->plan->part);
        $rows = $isBound ? $this->rows() : 1;
        $w = $isBound ? $this->bindingMm() : 0.0;
        $between = $rows > 1 ? 0 : $this->plan->part->count('between');
        $ends = $isBound ? ($rows > 1 ? self::ROW_TURNS : $this->plan->part->count('end_coil')) : 0;
        $beads = [];
        foreach ($this->plan->strung as $strung) {
            array_push($beads, ...array_fill(0, $strung->count, $strung->bead));
        }
        $first = (int) ceil(count($beads) / $rows);
        foreach (array_chunk($beads, max(1, $first)) as $row => $inRow) {
            $this->drawRow($sketch, $along, $row % 2 === 0 ? $inRow : array_reverse($inRow), $row, $between, $ends);
        }
    }

    /**
     * @param  callable(float): array{float, float, float}  $along
     * @param  list<Bead>  $beads
     */
    private function drawRow(Sketch $sketch, callable $along, array $beads, int $row, int $between, int $ends): void
    {
        $isBound = self::isBound($this->plan->part);
        $w = $isBound ? $this->bindingMm() : 0.0;
        $at = 0.0;
        $wraps = function (int $turns) use (&$at, $w, $sketch, $along, $row): void {
            for ($turn = 0; $turn < $turns; $turn++) {
                [$x, $y, $degrees] = $along($at + $w / 2);
                $half = $this->plan->wireMm() / 2 + $w * 0.6;
                [$dx, $dy] = [-sin(deg2rad($degrees)) * $half, cos(deg2rad($degrees)) * $half];
                if ($row === 0) {
                    $sketch->through(
                        [[$x - $dx, $y - $dy], [$x + $dx, $y + $dy]],
                        $w,
                        $this->plan->wireOf(self::ROLE)->metal,
                        $this->plan->mark('binding'),
                        2,
                    );
                }
                $at += $w;
            }
        };
        $wraps($ends);
        $isOn = $isBound && $this->plan->part->choice('beads_sit') === 'on';
        foreach ($beads as $index => $bead) {
            [$x, $y, $degrees] = $along($at + $bead->lengthMm / 2);
            $off = ($isOn ? ($bead->widthMm + $this->plan->wireMm()) / 2 : 0.0) + $row * $bead->widthMm;
            [$x, $y] = [$x + sin(deg2rad($degrees)) * $off, $y - cos(deg2rad($degrees)) * $off];
            $sketch->bead($bead, $y - $bead->lengthMm / 2, $this->plan->mark('beads'), $x, $degrees + 90);
            $at += $bead->lengthMm;
            if ($isBound && $index < count($beads) - 1) {
                $wraps($between);
            }
        }
        $wraps($ends);
    }
}
