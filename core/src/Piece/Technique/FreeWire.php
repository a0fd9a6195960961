<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\FlatSpiral;
use Hebra\Core\Course\Shape\Helix;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Written;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Way;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Working;
use Hebra\Core\Wrap\Spiral;
use Hebra\Core\Wrap\Turn;

/**
 * A wire that goes its own way between an eye at each end, told move by move: see Written. Cut = the sum of its moves,
 * arcs φ·(D + d)/2, coils N·√((π(M + d))² + d²), spirals N·π(D + N·d), and both ends. Millimetres. Source: geometry.
 */
final class FreeWire implements Technique
{
    use Usual;

    /** From so far round on an arc holds what hangs in it. */
    private const HOLDS_DEGREES = 90.0;

    /** The eye that a spiral begins with, inside, mm. */
    private const EYE_MM = 0.8;

    private const USUAL = 'straight 2 · bend -50 · straight 8 · arc 6 50 · through 3 · arc 6 50 · straight 8 · '
        .'bend -50 · straight 2';

    public function name(): string
    {
        return 'free-wire';
    }

    public function label(): string
    {
        return 'free wire';
    }

    public function role(): string
    {
        return 'free';
    }

    public function family(): Family
    {
        return Family::Pendant;
    }

    public function usualWire(): Wire
    {
        return self::awg(20, Temper::HalfHard);
    }

    public function heft(Part $part): int
    {
        return 60;
    }

    public function parameters(): array
    {
        return [
            Parameter::course('course', 'its way, move by move', self::USUAL),
            ...WrappedEnd::parameters('top_', 'top', 2.5, 0),
            ...WrappedEnd::parameters('bottom_', 'bottom', 2.5, 0),
            WrappedEnd::tail(),
            Parameter::flag('turned', 'eyes across its plane', true),
        ];
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBeads(): int
    {
        return 3;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $arcs = [];
        foreach ($this->arcs($part) as $number => $at) {
            $arcs["move-{$at}"] = new Eye(
                "{$instance}/move-{$at}", EyeKind::Closed, $this->written($part)->moves[$at]['numbers'][0],
                $part->wireMm(), 'free wire’s arc '.($number + 1), $part->mark("move-{$at}"),
            );
        }

        return [
            'top' => $this->top($part)->eye($instance), ...$arcs, 'bottom' => $this->bottom($part)->eye($instance),
        ];
    }

    public function along(PartPlan $part): array
    {
        $moves = array_keys($this->written($part)->moves);

        return ['top', ...array_map(fn (int $at): string => "move-{$at}", $moves), 'bottom'];
    }

    public function inShort(PartPlan $part): string
    {
        return mb_strimwidth($part->part->choice('course'), 0, 44, '…');
    }

    /** @return list<int> the moves that something can hang in: arcs that go far enough round */
    private function arcs(PartPlan $part): array
    {
        $arcs = array_filter(
            $this->written($part)->moves,
            fn (array $move): bool => $move['kind'] === 'arc' && abs($move['numbers'][1]) >= self::HOLDS_DEGREES,
        );

        return array_keys($arcs);
    }

    private function top(PartPlan $part): WrappedEnd
    {
        return new WrappedEnd($part, 'top_', 'top');
    }

    private function bottom(PartPlan $part): WrappedEnd
    {
        return new WrappedEnd($part, 'bottom_', 'bottom');
    }

    /** What cannot be read any more is a short straight wire; its check says so. */
    private function written(PartPlan $part): Written
    {
        try {
            return Written::parse($part->part->choice('course'));
        } catch (Problem) {
            return Written::parse('straight 10');
        }
    }

    public function courses(PartPlan $part): array
    {
        $rolls = $part->part->is('turned') ? 90.0 : 0.0;
        $stretch = new Stretch($part);
        foreach (array_reverse($this->top($part)->moves(true, 'bend square, top', $rolls)) as $move) {
            $stretch->move($move);
        }
        $stretch->anchored();
        $before = [];
        foreach ($this->written($part)->moves as $at => ['kind' => $kind, 'numbers' => $numbers]) {
            if ($kind === 'bend' || $kind === 'turn') {
                $before[] = [$kind, $numbers[0]];
                $kind === 'bend' && $stretch->bend('bend '.Figures::trim(abs($numbers[0])).'°');

                continue;
            }
            [$segment, $shape, $threaded] = $this->stretch($part, $at, $kind, $numbers);
            $stretch->add($segment, self::after($before, $shape))->threading($threaded);
            $before = [];
        }
        foreach ($this->bottom($part)->moves(false, 'bend square, bottom', $rolls) as $at => $move) {
            // What was bent last turns the end.
            $stretch->move($at === 0 ? $move->lying(self::after($before, $move->shape)) : $move);
        }

        return [$stretch->course(
            'Free wire', $part->part->wire, $part->times, Frame::down($this->top($part)->loop->reachMm()),
        )];
    }

    /**
     * What was bent and turned on the spot before a shape.
     *
     * @param  list<array{string, float}>  $before
     */
    private static function after(array $before, Shape $shape): Shape
    {
        foreach (array_reverse($before) as [$kind, $degrees]) {
            $shape = $kind === 'bend' ? new Together(new Corner($degrees), $shape) : new Rolled($shape, $degrees);
        }

        return $shape;
    }

    /**
     * @param  list<float>  $numbers
     * @return array{Segment, Shape, list<Threaded>}
     */
    private function stretch(PartPlan $part, int $at, string $kind, array $numbers): array
    {
        $d = $part->wireMm();
        $mark = $part->mark("move-{$at}");
        $worked = fn (SegmentKind $as, float $mm, string $words, string $rule, string $text): Segment => new Segment(
            $as, $mm, $words, $mark, new Working($words, $rule, $text, $mm, 'mm', 'geometry'),
        );
        if ($kind === 'through') {
            $beads = $this->through($part, $at);
            $mm = array_sum(array_map(fn (Strung $run): float => $run->lengthMm(), $beads));
            $segment = $worked(
                SegmentKind::Seat, $mm, Figures::counted((int) $numbers[0], 'bead'), 'sum of bead lengths',
                Figures::trim($mm),
            );

            return [$segment->carrying($beads), new Straight($mm), array_map(
                fn (Strung $run): Threaded => new Threaded($run->bead, $run->count, $part->mark('beads')), $beads,
            )];
        }
        $coil = Turn::mm($numbers[1] ?? 1.0, $d);
        $spiral = new Spiral($d, self::EYE_MM, $numbers[0]);

        return match ($kind) {
            'arc' => [
                $worked(
                    SegmentKind::Arch, abs(deg2rad($numbers[1])) * ($numbers[0] + $d) / 2, 'arc', 'φ·(D + d)/2',
                    Figures::trim(abs(deg2rad($numbers[1])), 4).' × ('.Figures::trim($numbers[0]).' + '.Figures::trim($d, 3).')/2',
                ),
                new Arc(($numbers[0] + $d) / 2, deg2rad($numbers[1])), [],
            ],
            'coil' => [
                $worked(
                    SegmentKind::Coil, $numbers[0] * $coil, Figures::trim($numbers[0]).' turns', 'N·√((π(M + d))² + d²)',
                    Figures::trim($numbers[0]).' × '.Figures::trim($coil, 3),
                ),
                new Helix(($numbers[1] + $d) / 2, $numbers[0], $d), [],
            ],
            'spiral' => [
                $worked(
                    SegmentKind::Curl, $spiral->wireLengthMm(), 'spiral', 'N·π(D + N·d)',
                    Figures::trim($numbers[0]).' × π × ('.self::EYE_MM.' + '.Figures::trim($numbers[0]).' × '.Figures::trim($d, 3).')',
                ),
                new FlatSpiral($spiral), [],
            ],
            default => [
                Segment::given(SegmentKind::Straight, $numbers[0], 'straight', $mark, 'as it is written', 'its course'),
                new Straight($numbers[0]), [],
            ],
        };
    }

    /**
     * The beads that a move goes through: the next ones of the line.
     *
     * @return list<Strung>
     */
    private function through(PartPlan $part, int $move): array
    {
        $skipped = 0;
        foreach (array_slice($this->written($part)->moves, 0, $move) as ['kind' => $kind, 'numbers' => $numbers]) {
            $skipped += $kind === 'through' ? (int) $numbers[0] : 0;
        }
        $wanted = (int) $this->written($part)->moves[$move]['numbers'][0];
        $beads = [];
        foreach ($part->strung as $run) {
            $left = max(0, $run->count - $skipped);
            $taken = min($left, $wanted);
            $skipped = max(0, $skipped - $run->count);
            $wanted -= $taken;
            if ($taken > 0) {
                $beads[] = $run->times($taken);
            }
        }

        return $beads;
    }

    public function hung(PartPlan $part): array
    {
        $course = $this->courses($part)[0];
        $marks = ['bottom' => $part->mark('bottom-loop')];
        foreach ($this->arcs($part) as $at) {
            $marks["move-{$at}"] = $part->mark("move-{$at}");
        }
        $hung = [];
        foreach ($course->curves() as $at => $curve) {
            $eye = array_search($course->moves[$at]->segment->mark, $marks, true);
            if ($eye !== false) {
                $hung[$eye] = $this->lowest($part, $curve);
            }
        }

        return $hung;
    }

    /** What hangs in a curve slides to its lowest place. */
    private function lowest(PartPlan $part, Curve $curve): Placement
    {
        $lowest = $curve->lowest();

        return new Placement($lowest->y - $part->wireMm() / 2, $part->part->is('turned'), $lowest->x, $lowest->z);
    }

    public function facesAcross(PartPlan $part): bool
    {
        return $part->part->is('turned');
    }

    public function steps(PartPlan $part, string $event): array
    {
        return match ($event) {
            'form top' => $this->top($part)->formSteps(true),
            'close top' => $this->top($part)->closeSteps(),
            'form bottom' => $this->bottom($part)->formSteps(false),
            'close bottom' => $this->bottom($part)->closeSteps(),
            default => $this->moveSteps($part, $event),
        };
    }

    /** @return list<Step> an arc that something hangs in is formed, the rest is worked */
    private function moveSteps(PartPlan $part, string $event): array
    {
        if (preg_match('/^(?:work|form) move-(\d+)$/', $event, $found) !== 1) {
            return [];
        }
        $at = (int) $found[1];
        $move = $this->written($part)->moves[$at] ?? null;
        if ($move === null || $move['kind'] === 'straight') {
            return [];
        }
        $profile = $part->profile;
        [$one, $other] = [$move['numbers'][0], $move['numbers'][1] ?? 0.0];
        $marks = [$part->mark("move-{$at}")];
        if ($move['kind'] === 'through') {
            return $this->threadSteps($part, $event, $at);
        }
        [$title, $text, $operation] = self::worded($move['kind'], $one, $other, $profile);

        return [new Step($event, '', $title, $text, $marks, tool: 'flat-nose pliers', operation: $operation)];
    }

    /** @return list<Step> */
    private function threadSteps(PartPlan $part, string $event, int $at): array
    {
        $beads = $this->through($part, $at);
        if ($beads === []) {
            return [];
        }
        $step = new Step(
            $event, '', 'Thread the beads', 'Over the open end: '.Stringing::words($beads).'.',
            [$part->mark('beads')], array_sum(array_map(fn (Strung $run): int => $run->count, $beads)), 'beads',
            tool: 'fingers', operation: Operation::Thread,
        );

        return [$step->putting($beads, $part->cutKey())];
    }

    /** @return array{string, string, Operation} */
    private static function worded(string $kind, float $one, float $other, Profile $profile): array
    {
        [$first, $degrees] = [Figures::trim(abs($one)), Figures::trim(abs($other))];
        $side = fn (float $number): string => $number < 0 ? ', to the other side.' : '.';

        return match ($kind) {
            'arc' => [
                'Bend the arc', "Bend {$degrees}° round ".$profile->size($one).$side($other), Operation::Bend,
            ],
            'coil' => [
                'Wind the coil', "Wind {$first} close turns on ".$profile->size($other).'.', Operation::Coil,
            ],
            'spiral' => ['Wind the spiral', "Wind a flat spiral of {$first} turns, inwards.", Operation::Spiral],
            'turn' => [
                'Turn the plane', "Turn the wire {$first}° about itself in the pliers before the next bend.",
                Operation::Bend,
            ],
            default => ['Bend it', "Bend {$first}° on the spot".$side($one), Operation::Bend],
        };
    }

    public function checks(PartPlan $part): array
    {
        $id = $part->part->id;
        try {
            $written = Written::parse($part->part->choice('course'));
        } catch (Problem $problem) {
            return [new Check(Level::Stop, 'course', $problem->getMessage(), $id, [
                new Way('A straight wire', ['do' => 'part.set', 'part' => $id, 'key' => 'course', 'value' => 'straight 10']),
            ])];
        }
        $held = $this->top($part)->nothingToHold() ?? $this->bottom($part)->nothingToHold();
        $checks = $held === null ? [] : [$held];
        $over = $part->beadCount() - $written->beads();
        if ($over !== 0) {
            $checks[] = new Check(
                Level::Stop, 'course',
                $over > 0
                    ? "It goes through {$written->beads()} beads, and {$part->beadCount()} are on its line."
                    : "It goes through {$written->beads()} beads, and only {$part->beadCount()} are on its line.",
                $id,
            );
        }

        return $checks;
    }
}
