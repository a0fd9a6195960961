<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Closure;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Course\BoundRow;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Hebra\Core\Wrap\BeadWrap;
use Hebra\Core\Wrap\Binding;
use Hebra\Core\Wrap\StoneRow;
use Hebra\Core\Wrap\Turn;
use LogicException;

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

    /** @return list<Drilling> what stands on a wire that beads are strung on or bound to */
    public static function drillings(): array
    {
        return [Drilling::Lengthwise, Drilling::Row];
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

    /**
     * Whether they fit on what is so long.
     *
     * @param  string  $thing  what they lie on: hoop, frame
     */
    public function fits(string $thing, float $roomMm, Way $way): ?Check
    {
        $covered = $this->coveredMm();
        $words = fn (float $mm): string => $this->plan->profile->length($mm);
        if ($covered <= $roomMm) {
            return null;
        }

        return new Check(
            Level::Stop, 'room',
            "The beads cover {$words($covered)}, the {$thing} is {$words($roomMm)} round: "
                ."{$words($covered - $roomMm)} too many.",
            $this->plan->part->id, [$way],
        );
    }

    /** How much of the frame they cover. */
    public function coveredMm(): float
    {
        return match (true) {
            ! self::isBound($this->plan->part) => $this->plan->stackMm(),
            $this->isStoneRow() => $this->plan->stackMm()
                + 2 * $this->plan->part->count('end_coil') * $this->bindingMm(),
            $this->rows() > 1 => $this->plan->stackMm() / $this->rows()
                + 2 * self::ROW_TURNS * $this->bindingMm() * min(2, $this->rows()),
            default => $this->plan->stackMm() + $this->wraps() * $this->bindingMm(),
        };
    }

    /** How much of its host one more of what is bound takes, on the average. */
    public function pitchMm(): float
    {
        $wraps = $this->isStoneRow() ? 0 : $this->plan->part->count('between');

        return $this->plan->stackMm() / $this->plan->beadCount() + $wraps * $this->bindingMm();
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

    /**
     * What is strung on the host itself, its middle on the host's middle.
     *
     * @return list<Threaded>
     */
    public function threaded(float $hostMm): array
    {
        $at = ($hostMm - $this->coveredMm()) / 2;
        $threaded = [];
        foreach ($this->onWire() as $strung) {
            $threaded[] = new Threaded(
                $strung->bead, $strung->count, $this->plan->mark('beads'), true, atMm: $threaded === [] ? $at : null,
            );
        }

        return $threaded;
    }

    /**
     * @param  Closure(): Host  $host
     * @return list<Course> the binding wire, where there is one: about the middle of its host, which is so long
     */
    public function courses(Closure $host, float $hostMm): array
    {
        if (! self::isBound($this->plan->part)) {
            return [];
        }
        $from = ($hostMm - $this->coveredMm()) / 2;
        $bound = Later::once(fn (): BoundRow => new BoundRow(
            $host(), $this->plan->wireMm(), $this->sideMm(), $this->bindingMm(), $this->plan->mark('beads'),
        ));

        return [match (true) {
            $this->isStoneRow() => $this->stonesCourse($bound, $from),
            $this->rows() > 1 => $this->rowsCourse($bound, $from),
            default => $this->rowCourse($bound, $from),
        }];
    }

    /** Whether what is bound is set in a row, without holes. */
    private function isStoneRow(): bool
    {
        return $this->plan->strung !== [] && array_filter(
            $this->plan->strung, fn (Strung $strung): bool => $strung->bead->drilling !== Drilling::Row,
        ) === [];
    }

    private function stoneRow(Bead $stone): StoneRow
    {
        return new StoneRow($this->plan->wireMm(), $this->sideMm(), $stone->holeMm, $this->bindingMm());
    }

    /** @param  Closure(): BoundRow  $bound */
    private function stonesCourse(Closure $bound, float $fromMm): Course
    {
        [$coil, $between] = [$this->plan->part->count('end_coil'), $this->plan->part->count('between')];
        $stones = $this->beads();
        $begins = $fromMm + $coil * $this->bindingMm();
        $laid = Later::once(fn (): array => $bound()->stones($begins, $stones, $between, $this->isAstride()));
        $stretch = $this->tail(new Stretch($this->plan), 'start')->anchored();
        $this->wind($stretch, $coil, new Later(fn (): Wound => $bound()->wraps($fromMm, $coil)));
        $stretch->worked(
            SegmentKind::Binding,
            $this->stonesMm($stones, $between),
            Figures::counted(count($stones), 'stone').($between > 0 ? ', '.Figures::counted($between, 'wrap')
                .' between' : ''),
            'binding',
            'Σ √(G² + (P − k·w)²) + k·√(G² + w²), G the hull round the core and a link',
            $this->stonesNumbers($between),
            StoneRow::SOURCE,
            $this->plan->strung,
            new Later(fn (): Shape => $laid()[0]),
        )->threading(fn (): array => $laid()[1]);
        $ends = $begins + $this->plan->stackMm();
        $this->wind($stretch, $coil, new Later(fn (): Wound => $bound()->wraps($ends, $coil)));

        return $this->tail($stretch, 'end')->course(
            'Binding', self::ROLE, $this->plan->times, fn (): Frame => $bound()->wraps($fromMm, 0)->start(),
            self::ROLE,
        );
    }

    /** @param  list<Bead>  $stones */
    private function stonesMm(array $stones, int $between): float
    {
        $mm = 0.0;
        foreach ($stones as $number => $stone) {
            $row = $this->stoneRow($stone);
            $ends = (int) ($number === 0) + (int) ($number === count($stones) - 1);
            $mm += $row->stoneMm($stone->lengthMm, $number > 0 ? $between : 0) + $ends * $row->stepsMm() / 2;
        }

        return $mm;
    }

    /** The first stone, which has no wraps before it; the others; up on the row and down. */
    private function stonesNumbers(int $between): string
    {
        $stones = $this->beads();
        $numbers = [];
        foreach ($this->plan->strung as $at => $strung) {
            $row = $this->stoneRow($strung->bead);
            if ($at === 0) {
                $numbers[] = Figures::trim($row->stoneMm($strung->bead->lengthMm, 0), 3);
            }
            $numbers[] = ($strung->count - (int) ($at === 0)).' × '
                .Figures::trim($row->stoneMm($strung->bead->lengthMm, $between), 3);
        }
        $ends = [$this->stoneRow($stones[0])->stepsMm(), $this->stoneRow($stones[count($stones) - 1])->stepsMm()];

        return implode(' + ', $numbers).' + '.Figures::trim(array_sum($ends) / 2, 3);
    }

    /** @param  Closure(): BoundRow  $bound */
    private function rowCourse(Closure $bound, float $fromMm): Course
    {
        [$coil, $part] = [$this->plan->part->count('end_coil'), $this->plan->part];
        $beads = $this->beads();
        $wraps = $part->count('between') * max(0, count($beads) - 1);
        $rule = $this->isAstride() ? 'Σ b + 2√(((W − w)/2)² + (W/2)²)' : 'Σ b + (W − w)';
        $numbers = [];
        $mm = $wraps * $this->turnMm();
        foreach ($this->plan->strung as $strung) {
            $one = $this->beadMm($strung->bead);
            $mm += $strung->count * $one;
            $numbers[] = $strung->count.' × '.Figures::trim($one, 3);
        }
        if ($wraps > 0) {
            $numbers[] = $wraps.' × '.Figures::trim($this->turnMm(), 3);
        }
        $begins = $fromMm + $coil * $this->bindingMm();
        $ends = $begins + $this->plan->stackMm() + $wraps * $this->bindingMm();
        $row = Later::once(
            fn (): array => $bound()->laid($begins, $beads, $part->count('between'), $this->isAstride()),
        );
        $stretch = $this->tail(new Stretch($this->plan), 'start')->anchored();
        $this->wind($stretch, $coil, new Later(fn (): Wound => $bound()->wraps($fromMm, $coil)));
        $stretch->worked(
            SegmentKind::Binding,
            $mm,
            Figures::counted(count($beads), 'bead')
                .($wraps > 0 ? ', '.Figures::counted($part->count('between'), 'wrap').' between' : ''),
            'binding',
            $rule.($wraps > 0 ? ' + wraps·T' : ''),
            implode(' + ', $numbers),
            BeadWrap::SOURCE,
            $this->plan->strung,
            new Later(fn (): Shape => $row()[0]),
        )->threading(fn (): array => $row()[1]);
        $this->wind($stretch, $coil, new Later(fn (): Wound => $bound()->wraps($ends, $coil)));

        return $this->tail($stretch, 'end')->course(
            'Binding', self::ROLE, $this->plan->times, fn (): Frame => $bound()->wraps($fromMm, 0)->start(),
            self::ROLE,
        );
    }

    private function tail(Stretch $stretch, string $end): Stretch
    {
        return $stretch->tail(self::TAIL_MM, 'binding-tail', "what the fingers hold at the {$end}, trimmed off");
    }

    private function wind(Stretch $stretch, int $turns, Shape $shape): Stretch
    {
        return $stretch->worked(
            SegmentKind::Wraps,
            $turns * $this->turnMm(),
            Figures::counted($turns, 'wrap'),
            'binding',
            $this->cores === 1 ? 'N·√((π(D + w))² + w²)' : 'N·√((π(D + w) + 2D)² + w²)',
            $turns.' × '.Figures::trim($this->turnMm(), 3),
            shape: $shape,
        );
    }

    private function turnMm(): float
    {
        return Turn::roundMm($this->cores, $this->plan->wireMm(), $this->plan->wireMm(), $this->bindingMm());
    }

    private function sideMm(): float
    {
        return ($this->cores - 1) * $this->plan->wireMm();
    }

    private function isAstride(): bool
    {
        return $this->plan->part->choice('beads_sit') === 'astride';
    }

    private function beadMm(Bead $bead): float
    {
        return (new BeadWrap(
            $this->plan->wireMm(), $this->cores, $this->bindingMm(), 1, $bead->lengthMm, $bead->widthMm, 0, 0,
            $this->isAstride(),
        ))->beadMm();
    }

    /** @return list<Bead> one after the other */
    private function beads(): array
    {
        $beads = [];
        foreach ($this->plan->strung as $strung) {
            array_push($beads, ...array_fill(0, $strung->count, $strung->bead));
        }

        return $beads;
    }

    /**
     * Rows of beads side by side, the wire there and back round them: see Binding.
     *
     * @param  Closure(): BoundRow  $bound
     */
    private function rowsCourse(Closure $bound, float $fromMm): Course
    {
        [$w, $rows, $beads] = [$this->bindingMm(), $this->rows(), $this->beads()];
        $ends = self::ROW_TURNS * $this->turnMm();
        $between = 2 * ($rows - 1) * $ends;
        $passes = 0.0;
        $numbers = [];
        foreach ($this->plan->strung as $strung) {
            $passes += Binding::passMm($w, $strung->count, $strung->bead->widthMm);
            $wide = Figures::trim($strung->bead->widthMm);
            $numbers[] = "{$strung->count} × (π × ({$wide} + ".Figures::trim($w, 3).")/2 + {$wide}/3)";
        }
        $chunks = array_chunk($beads, max(1, (int) ceil(count($beads) / $rows)));
        $laid = Later::once(fn (): array => $bound()->rows($fromMm, $chunks, self::ROW_TURNS));
        $stretch = $this->tail(new Stretch($this->plan), 'start')->anchored();
        $this->wind($stretch, self::ROW_TURNS, new Later(fn (): Wound => $bound()->wraps($fromMm, self::ROW_TURNS)));
        $stretch->worked(
            SegmentKind::Binding,
            $passes + $between,
            Figures::counted(count($beads), 'bead')." in {$rows} rows",
            'binding',
            'Σ π(W + w)/2 + W/3, and 4·T where a row turns back',
            implode(' + ', $numbers).' + '.(4 * ($rows - 1)).' × '.Figures::trim($this->turnMm(), 3),
            'geometry; two turns at each end of a pass are common practice',
            $this->plan->strung,
            new Later(fn (): Shape => $laid()[0]),
        )->threading(fn (): array => $laid()[1]);
        $this->wind(
            $stretch, self::ROW_TURNS, new Later(fn (): Wound => $bound()->wraps($laid()[2], self::ROW_TURNS)),
        );

        return $this->tail($stretch, 'end')->course(
            'Binding', self::ROLE, $this->plan->times, fn (): Frame => $bound()->wraps($fromMm, 0)->start(),
            self::ROLE,
        );
    }

    /** @return list<Step> */
    private function rowSteps(): array
    {
        $rows = $this->rows();

        return [
            new Step(
                Moment::work('beads'),
                '',
                'Start the first row',
                'Leave a tail and take two turns of the binding wire round the frame.',
                [$this->plan->mark('binding')],
                self::ROW_TURNS,
                'turns',
                tool: 'fingers',
                operation: Operation::Bind,
                cut: $this->plan->cutKey(self::ROLE),
            ),
            (new Step(Moment::work('beads'), '', 'Bind the rows', 'Bead by bead to the other end, half a turn round '
                .'each; where a row ends two turns, and two more beside them where the next begins, back along the '
                .'first, '.Figures::counted($rows, 'row').' in all: '.$this->words().'. The first pass teaches the '
                    .'rest: see how much wire is left.', [
                        $this->plan->mark('binding'), $this->plan->mark('beads'),
                    ], $rows, 'rows', tool: 'fingers, chain-nose pliers', cautions: [Caution::Crush],
                operation: Operation::Bind,
            ))->putting($this->plan->strung, $this->plan->cutKey(self::ROLE)),
            new Step(
                Moment::work('beads'),
                '',
                'End the binding',
                'Two turns round the frame, trim both tails close, and press the ends in at the back.',
                [$this->plan->mark('binding')],
                self::ROW_TURNS,
                'turns',
                tool: 'flush cutter',
                cautions: [Caution::CutEnds],
                operation: Operation::Bind,
                cut: $this->plan->cutKey(self::ROLE),
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
                (new Step(
                    Moment::work('beads'), '', 'Thread the beads', 'In this order: '.$this->words().'.',
                    [$this->plan->mark('beads')], $this->plan->beadCount(), 'beads', tool: 'fingers',
                    operation: Operation::Thread,
                ))->putting(
                    $this->plan->strung,
                    $this->plan->cutKey(),
                ),
            ];
        }

        $isInRows = $this->rows() > 1 && ! $this->isStoneRow();

        return [...$this->bitByBit($isInRows ? $this->rowSteps() : $this->coiledSteps()), Step::turnOver(
            Moment::work('beads'), [$this->plan->mark('binding'), $this->plan->mark('beads')],
            'Look along the back: no turn stands off or crosses another, and both ends are pressed in so that a '
                .'fingertip feels neither.',
        )];
    }

    /**
     * Each step makes one more of the stretches that the binding wire takes.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private function bitByBit(array $steps): array
    {
        // How long they are does not depend on where they lie.
        [$wire] = $this->courses(fn (): Host => throw new LogicException('asked where a binding lies'), 0.0);
        $mark = $this->plan->mark('binding');
        $bound = array_filter($wire->moves, fn (Move $move): bool => $move->segment->mark === $mark);
        $lengths = array_map(fn (Move $move): float => $move->segment->lengthMm, array_values($bound));
        foreach ($steps as $at => $step) {
            $share = array_sum(array_slice($lengths, 0, $at + 1)) / max(1e-9, array_sum($lengths));
            $steps[$at] = $at === count($steps) - 1 ? $step : $step->upTo([$mark => $share]);
        }

        return $steps;
    }

    /** @return list<Step> */
    private function coiledSteps(): array
    {
        $coil = $this->plan->part->count('end_coil');

        return array_values(array_filter([
            $coil === 0
                ? null
                : new Step(
                    Moment::work('beads'),
                    '',
                    'Start the binding',
                    'Leave a tail, and coil '.Figures::counted($coil, 'close turn')
                        .' of the binding wire round the frame.',
                    [$this->plan->mark('binding')],
                    $coil,
                    'turns',
                    tool: 'fingers',
                    operation: Operation::Bind,
                    cut: $this->plan->cutKey(self::ROLE),
                ),
            $this->isStoneRow() ? $this->stonesStep() : $this->beadsStep(),
            $coil === 0
                ? null
                : new Step(
                    Moment::work('beads'),
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
                    cut: $this->plan->cutKey(self::ROLE),
                ),
        ]));
    }

    private function beadsStep(): Step
    {
        $sits = $this->isAstride() ? 'half on either side of the frame' : 'seated on the frame';
        $wraps = Figures::counted($this->plan->part->count('between'), 'wrap');
        $step = new Step(
            Moment::work('beads'),
            '',
            'Bind the beads on',
            "One bead at a time, {$sits}, with {$wraps} pulled tight between: {$this->words()}.",
            [$this->plan->mark('binding'), $this->plan->mark('beads')],
            $this->plan->beadCount(),
            'beads',
            tool: 'fingers, chain-nose pliers',
            cautions: [Caution::Crush],
            operation: Operation::Bind,
        );

        return $step->putting($this->plan->strung, $this->plan->cutKey(self::ROLE));
    }

    private function stonesStep(): Step
    {
        $between = $this->plan->part->count('between');
        $over = $between === 0 ? '' : ', and '.Figures::counted($between, 'wrap')
            .' over each link pulled down between two';
        $step = new Step(
            Moment::work('beads'),
            '',
            'Bind the row on',
            'Cut the row through the links to '.Figures::counted($this->plan->beadCount(), 'stone')
                .'. Lay it with its back on the '
                .($this->isAstride() ? 'front' : 'outside')
                    ." of the wire, faces out; once round behind each stone{$over}: "
                .$this->words().'.',
            [$this->plan->mark('binding'), $this->plan->mark('beads')],
            $this->plan->beadCount(),
            'stones',
            tool: 'flush cutter, fingers, chain-nose pliers',
            cautions: [Caution::CutEnds],
            operation: Operation::Bind,
        );

        return $step->putting($this->plan->strung, $this->plan->cutKey(self::ROLE));
    }

    /** @return list<Check> what stands against binding what is set in a row */
    public function checks(): array
    {
        $stones = array_filter(
            $this->plan->strung, fn (Strung $strung): bool => $strung->bead->drilling === Drilling::Row,
        );
        if ($stones === []) {
            return [];
        }
        if (! self::isBound($this->plan->part)) {
            return [$this->stopped('A row of set stones has no hole: it is bound on.', [
                new Way('Bind it on', new SetSetting($this->plan->part->id, 'beads_sit', 'on')),
            ])];
        }
        if (! $this->isStoneRow()) {
            return [$this->stopped('A row of set stones is bound on its own, without beads between.', [])];
        }

        $rows = $this->rows() === 1 ? [] : [$this->stopped('A row of set stones is bound in one row.', [
            new Way('In one row', new SetSetting($this->plan->part->id, 'rows', '1')),
        ])];

        return [...$rows, ...array_values(array_filter(array_map($this->gapCheck(...), $stones)))];
    }

    private function gapCheck(Strung $stones): ?Check
    {
        $between = $this->plan->part->count('between');
        $gapMm = $stones->bead->lengthMm - $stones->bead->widthMm;
        $most = (int) floor($gapMm / $this->bindingMm() + 1e-9);
        if ($between <= $most) {
            return null;
        }
        $size = $this->plan->profile->size(...);

        return $this->stopped(
            Figures::counted($between, 'wrap').' of '.$size($this->bindingMm()).' take '
                .$size($between * $this->bindingMm()).', and between two stones are '.$size(max(0.0, $gapMm)).'.',
            [new Way(Figures::counted($most, 'wrap').' between', new SetSetting($this->plan->part->id, 'between',
                (string) $most))],
        );
    }

    /** @param  list<Way>  $ways */
    private function stopped(string $text, array $ways): Check
    {
        return new Check(Level::Stop, 'set row', $text, $this->plan->part->id, $ways);
    }
}
