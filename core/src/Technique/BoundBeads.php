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
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
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

    /**
     * @param  int  $cores  wires of the frame side by side
     * @param  string  $host  what they lie on, in words
     * @param  int  $turn  when they are bound among what is done at that moment
     */
    public function __construct(
        private PartPlan $plan, private int $cores = 1, private string $host = 'frame',
        private Moment $moment = new Moment(EventKind::Work, 'beads'), private int $turn = 0,
    ) {
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
        $this->wind($stretch, $coil, new Later(fn (): Wound => $bound()->wraps($fromMm, $coil)))
            ->by($this->starting(...));
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
        )->threading(fn (): array => $laid()[1])->by($this->bindingStones(...), $this->turningOver(...));
        $ends = $begins + $this->plan->stackMm();
        $this->wind($stretch, $coil, new Later(fn (): Wound => $bound()->wraps($ends, $coil)))->by($this->ending(...));

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
        $this->wind($stretch, $coil, new Later(fn (): Wound => $bound()->wraps($fromMm, $coil)))
            ->by($this->starting(...));
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
        )->threading(fn (): array => $row()[1])->by($this->bindingBeads(...), $this->turningOver(...));
        $this->wind($stretch, $coil, new Later(fn (): Wound => $bound()->wraps($ends, $coil)))->by($this->ending(...));

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
        $this->wind($stretch, self::ROW_TURNS, new Later(fn (): Wound => $bound()->wraps($fromMm, self::ROW_TURNS)))
            ->by($this->startingRows(...));
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
        )->threading(fn (): array => $laid()[1])->by($this->bindingRows(...), $this->turningOver(...));
        $this->wind(
            $stretch, self::ROW_TURNS, new Later(fn (): Wound => $bound()->wraps($laid()[2], self::ROW_TURNS)),
        )->by($this->endingRows(...));

        return $this->tail($stretch, 'end')->course(
            'Binding', self::ROLE, $this->plan->times, fn (): Frame => $bound()->wraps($fromMm, 0)->start(),
            self::ROLE,
        );
    }

    /** @return list<Closure(): Handwork> what is done to the wire that they are strung on */
    public function stringing(): array
    {
        return $this->onWire() === [] ? [] : [fn (): Handwork => new Handwork(
            $this->moment, 'Thread the beads', 'In this order: '.$this->words().'.', Operation::Thread, 'fingers',
            $this->plan->beadCount(), 'beads', puts: true, lights: [$this->plan->mark('beads')],
        )];
    }

    private function starting(): Handwork
    {
        $coil = $this->plan->part->count('end_coil');

        return $this->winding(
            'Start the binding', 'Leave a tail, and coil '.Figures::counted($coil, 'close turn')
                ." of the binding wire round the {$this->host}.", $coil,
        );
    }

    private function ending(): Handwork
    {
        $coil = $this->plan->part->count('end_coil');

        return $this->windingUp('Coil '.Figures::counted($coil, 'turn')
            .' to match the start. Trim both tails close, and press the ends in at the back.', $coil);
    }

    private function startingRows(): Handwork
    {
        return $this->winding(
            'Start the first row', "Leave a tail and take two turns of the binding wire round the {$this->host}.",
            self::ROW_TURNS,
        );
    }

    private function endingRows(): Handwork
    {
        return $this->windingUp(
            "Two turns round the {$this->host}, trim both tails close, and press the ends in at the back.",
            self::ROW_TURNS,
        );
    }

    private function winding(string $title, string $text, int $turns): Handwork
    {
        return new Handwork(
            $this->moment, $title, $text, Operation::Bind, 'fingers', $turns, 'turns', turn: $this->turn,
            isOfWire: true,
        );
    }

    private function windingUp(string $text, int $turns): Handwork
    {
        return new Handwork(
            $this->moment, 'End the binding', $text, Operation::Bind, 'flush cutter', $turns, 'turns',
            [Caution::CutEnds], $this->turn, isOfWire: true,
        );
    }

    private function bindingRows(): Handwork
    {
        $rows = $this->rows();

        return $this->putting('Bind the rows', 'Bead by bead to the other end, half a turn round each; where a row '
            .'ends two turns, and two more beside them where the next begins, back along the first, '
            .Figures::counted($rows, 'row').' in all: '.$this->words().'. The first pass teaches the rest: see how '
            .'much wire is left.', 'rows');
    }

    private function bindingBeads(): Handwork
    {
        $sits = $this->isAstride() ? "half on either side of the {$this->host}" : "seated on the {$this->host}";
        $wraps = Figures::counted($this->plan->part->count('between'), 'wrap');

        return $this->putting(
            'Bind the beads on', "One bead at a time, {$sits}, with {$wraps} pulled tight between: {$this->words()}.",
            'beads',
        );
    }

    private function bindingStones(): Handwork
    {
        [$between, $count] = [$this->plan->part->count('between'), $this->plan->beadCount()];
        $over = $between === 0
            ? ''
            : ', and '.Figures::counted($between, 'wrap').' over each link pulled down between two';
        $side = $this->isAstride() ? 'front' : 'outside';

        return new Handwork(
            $this->moment, 'Bind the row on', 'Cut the row through the links to '.Figures::counted($count, 'stone')
                .". Lay it with its back on the {$side} of the wire, faces out; once round behind each stone{$over}: "
                .$this->words().'.', Operation::Bind, 'flush cutter, fingers, chain-nose pliers', $count, 'stones',
            [Caution::CutEnds], $this->turn, true, lights: $this->lit(),
        );
    }

    /** @param  'rows'|'beads'  $counted */
    private function putting(string $title, string $text, string $counted): Handwork
    {
        $count = $counted === 'rows' ? $this->rows() : $this->plan->beadCount();

        return new Handwork(
            $this->moment, $title, $text, Operation::Bind, 'fingers, chain-nose pliers', $count, $counted,
            [Caution::Crush], $this->turn, true, lights: $this->lit(),
        );
    }

    private function turningOver(): Handwork
    {
        return Handwork::turnOver(
            $this->moment, 'Look along the back: no turn stands off or crosses another, and both ends are pressed in '
                .'so that a fingertip feels neither.', $this->turn + 1,
        )->lighting($this->lit());
    }

    /** @return list<string> */
    private function lit(): array
    {
        return [$this->plan->mark('binding'), $this->plan->mark('beads')];
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
