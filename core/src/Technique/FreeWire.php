<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Way;
use Hebra\Core\Problem;
use Hebra\Core\Technique\Written\Construction;
use Hebra\Core\Technique\Written\Line;
use Hebra\Core\Technique\Written\Move\Arc as ArcMove;
use Hebra\Core\Technique\Written\Move\Coil;
use Hebra\Core\Technique\Written\Move\End;
use Hebra\Core\Technique\Written\Move\Fill;
use Hebra\Core\Technique\Written\Move\To;
use Hebra\Core\Technique\Written\Move\Weave;
use Hebra\Core\Technique\Written\Move\Wrap;
use Hebra\Core\Technique\Written\Text;
use Hebra\Core\Technique\Written\Told;
use Hebra\Core\Technique\Written\WrittenMove;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * Wires that go their own way, told move by move: see Written\Text. A wire that does not say where it starts has an eye
 * at each end, as set. Cut = the sum of its moves and both ends. Millimetres. Source: geometry.
 */
final class FreeWire implements Technique
{
    use Usual;

    /** What holds something of what a move becomes. */
    private const HOLD = [SegmentKind::Arch, SegmentKind::Eye, SegmentKind::Loop, SegmentKind::Leg];

    private const USUAL = 'straight 2 · bend -50 · straight 8 · arc 6 50 · through 3 · arc 6 50 · straight 8 · '
        .'bend -50 · straight 2';

    /** What a further wire is where its gauge is not said. */
    private const USUAL_AWG = 24;

    /** So many parts are remembered as they were laid out. */
    private const KEPT = 16;

    /**
     * The last ones: a weak map would keep all, since each knows its part.
     *
     * @var array<int, array{PartPlan, Construction}>
     */
    private array $made = [];

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

    public function usualWireOf(Part $part): Wire
    {
        $gauge = self::text($part)->lines[0]->gauge;

        return $gauge === null ? $this->usualWire() : self::awg($gauge, Temper::HalfHard);
    }

    public function extraWires(Part $part): array
    {
        $text = self::text($part);
        $wires = [];
        foreach ($text->lines as $line) {
            $role = $text->roleOf($line, '');
            if ($role !== '') {
                $wires[$role] ??= self::awg($line->gauge ?? self::USUAL_AWG, Temper::DeadSoft);
            }
        }

        return $wires;
    }

    public function through(PartPlan $part, int $run): array
    {
        $roles = $this->construction($part)->through($run);

        return $roles === [] ? [$part->part->wire] : $roles;
    }

    public function heft(Part $part): int
    {
        return 30 + array_sum(
            array_map(fn (Told $told): int => self::strokes($told->move), self::text($part)->moves())
        );
    }

    /** About how many strokes a move is drawn with: what is wound, turn by turn. */
    private static function strokes(WrittenMove $move): int
    {
        return match (true) {
            $move instanceof Coil, $move instanceof Wrap => 3 + 2 * (int) $move->turns,
            $move instanceof Fill => (int) ($move->lengthMm / 4),
            $move instanceof Weave => 200,
            default => 3,
        };
    }

    public function parameters(): array
    {
        return [
            Parameter::course('course', 'its way, move by move', self::USUAL, Text::parse(...)),
            ...WrappedEnd::parameters('top_', 'top', 2.5, 0),
            ...WrappedEnd::parameters('bottom_', 'bottom', 2.5, 0),
            WrappedEnd::tail(),
            Parameter::flag('turned', 'eyes across its plane', true),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return in_array($key, ['course', 'turned'], true) || ! self::text($part)->lines[0]->hasOwnEnds();
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
        $eyes = [];
        foreach (self::text($part->part)->holding() as $told) {
            $eyes[$told->eye()] = $this->eye($part, $told, $instance);
        }

        return $this->hasOwnEnds($part)
            ? $eyes
            : ['top' => $this->top($part)->eye($instance), ...$eyes, 'bottom' => $this->bottom($part)->eye($instance)];
    }

    private function eye(PartPlan $part, Told $told, string $instance): Eye
    {
        $isWrapped = $told->move instanceof End && $told->move->wraps > 0;
        // A loop that its wire ends in opens sideways.
        $canOpen = $told->move instanceof End
            || ($told->move instanceof To && $this->line($part, $told)->endsIn($told));
        $kind = match (true) {
            $isWrapped => EyeKind::Permanent,
            $canOpen => EyeKind::Openable,
            default => EyeKind::Closed,
        };
        $words = $told->name === '' ? 'free wire’s '.$told->text : "free wire’s {$told->name}";

        return new Eye(
            $instance.'/'.$told->eye(), $kind,
            $told->move->insideMm() ?? $this->construction($part)->roundMm($told->name), $this->wireMm($part, $told),
            $words,
            $part->mark($told->key),
        );
    }

    private function wireMm(PartPlan $part, Told $told): float
    {
        $role = self::text($part->part)->roleOf($this->line($part, $told), $part->part->wire);

        return $part->wireOf($role)->diameterMm();
    }

    private function line(PartPlan $part, Told $told): Line
    {
        $text = self::text($part->part);

        return $text->find($told->key)[1] ?? $text->lines[0];
    }

    public function along(PartPlan $part): array
    {
        $text = self::text($part->part);
        $moves = array_map(fn (Told $told): string => $text->moment($told)->place, $text->moves());

        return $this->hasOwnEnds($part) ? $moves : ['top', ...$moves, 'bottom'];
    }

    public function inShort(PartPlan $part): string
    {
        $names = array_unique(array_map(fn (Line $line): string => $line->name, self::text($part->part)->lines));

        return $names === [''] ? mb_strimwidth($part->part->choice('course'), 0, 44, '…') : implode(', ', $names);
    }

    private function hasOwnEnds(PartPlan $part): bool
    {
        return self::text($part->part)->lines[0]->hasOwnEnds();
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
    private static function text(Part $part): Text
    {
        /** @var array<string, Text> $known */
        static $known = [];
        $written = $part->choice('course');
        if (! isset($known[$written])) {
            try {
                $text = Text::parse($written);
            } catch (Problem) {
                $text = Text::parse('straight 10');
            }
            $known = [$written => $text] + array_slice($known, 0, 20);
        }

        return $known[$written];
    }

    private function construction(PartPlan $part): Construction
    {
        $key = spl_object_id($part);
        if (! isset($this->made[$key])) {
            $construction = Construction::of(
                self::text($part->part), $part, Frame::down($this->top($part)->loop->reachMm()),
            );
            $this->made = [$key => [$part, $construction]] + array_slice($this->made, 0, self::KEPT - 1, true);
        }

        return $this->made[$key][1];
    }

    public function courses(PartPlan $part): array
    {
        $text = self::text($part->part);
        $courses = [];
        foreach ($text->lines as $at => $line) {
            if ($line->goesOn) {
                continue;
            }
            [$back, $on] = $this->construction($part)->legs($line->name);
            $firstBend = $this->construction($part)->firstBend($line->name);
            $course = $at === 0 && ! $line->hasOwnEnds()
                ? $this->betweenEyes($part, $on, $firstBend)
                : $this->asWritten($part, $text, $line, self::bent($back, $firstBend), $on);
            $courses[] = $course;
        }
        if (! $this->hasOwnEnds($part)) {
            return $courses;
        }
        $by = $this->hangs($courses, $part);

        return array_map(fn (Course $course): Course => $course->moved($by), $courses);
    }

    /**
     * What is bent where a wire starts lies after the first move before it.
     *
     * @param  list<Move>  $back
     * @return list<Move>
     */
    private static function bent(array $back, string $words): array
    {
        return $words === '' || $back === [] ? $back : [$back[0]->bending($words), ...array_slice($back, 1)];
    }

    /** @param  list<Move>  $on */
    private function betweenEyes(PartPlan $part, array $on, string $firstBend): Course
    {
        $rolls = $part->part->is('turned') ? 90.0 : 0.0;
        $back = self::bent($this->top($part)->moves(true, 'bend square, top', $rolls), $firstBend);
        $bottom = $this->bottom($part)->moves(false, 'bend square, bottom', $rolls);
        // What was bent last turns the end.
        $bottom[0] = $bottom[0]->lying($this->construction($part)->afterLast('', $bottom[0]->shape));

        return Course::both(
            'Free wire', $part->part->wire, $back, [...$on, ...$bottom], $this->construction($part)->usual,
            $part->times,
        );
    }

    /**
     * @param  list<Move>  $back
     * @param  list<Move>  $on
     */
    private function asWritten(PartPlan $part, Text $text, Line $line, array $back, array $on): Course
    {
        $nothing = (new Stretch($part))->course('', '', 1, Frame::down(0.0))->moves;
        $moves = [...array_reverse($back), ...$on];

        return new Course(
            $line->name === '' ? 'Free wire' : ucfirst($line->name), $text->roleOf($line, $part->part->wire),
            $moves === [] ? $nothing : $moves,
            $this->construction($part)->start($line), count($back), $part->times,
            self::slot($part, $line),
        );
    }

    /**
     * So far all is moved that its top eye hangs where it should, or, where none is named so, its highest place.
     *
     * @param  list<Course>  $courses
     */
    private function hangs(array $courses, PartPlan $part): Vector
    {
        $curve = $this->curveOf($courses, $part, 'top');
        if ($curve === null) {
            return new Vector(0.0, -self::topMm($courses, $part));
        }
        $highest = $curve->highest();

        return new Vector(-$highest->x, -$highest->y - $part->wireMm() / 2);
    }

    /** @param  list<Course>  $courses */
    private static function topMm(array $courses, PartPlan $part): float
    {
        $top = INF;
        foreach ($courses as $course) {
            $half = $part->wireOf($course->role)->diameterMm() / 2;
            $seen = [];
            foreach ($course->curves() as $at => $curve) {
                $move = $course->moves[$at];
                array_push($seen, ...($move->isSeen() ? $curve->spans : []));
                foreach ($move->standing($curve) as [$run, $middle]) {
                    $top = min($top, $middle->y - max($run->bead->widthMm, $run->bead->lengthMm) / 2);
                }
            }
            $top = $seen === [] ? $top : min($top, (new Curve($seen))->highest()->y - $half);
        }

        return is_finite($top) ? $top : 0.0;
    }

    /**
     * How a move that is called so lies; null where none is.
     *
     * @param  list<Course>  $courses
     */
    private function curveOf(array $courses, PartPlan $part, string $eye): ?Curve
    {
        $marks = [];
        foreach (self::text($part->part)->moves() as $told) {
            $told->eye() === $eye && $marks[$part->mark($told->key)] = true;
        }
        $spans = [];
        foreach ($courses as $course) {
            foreach ($course->curves() as $at => $curve) {
                $segment = $course->moves[$at]->segment;
                if (isset($marks[$segment->mark]) && in_array($segment->kind, self::HOLD, true)) {
                    array_push($spans, ...$curve->spans);
                }
            }
        }

        return $spans === [] ? null : new Curve($spans);
    }

    public function hung(PartPlan $part): array
    {
        $courses = $this->courses($part);
        $hung = [];
        foreach (self::text($part->part)->holding() as $told) {
            $curve = $told->eye() === 'top' ? null : $this->curveOf($courses, $part, $told->eye());
            if ($curve !== null) {
                $wire = $this->wireMm($part, $told);
                $hung[$told->eye()] = $part->isLaidRound && $told->move instanceof ArcMove
                    ? $this->middle($part, $curve, $wire)
                    : $this->lowest($part, $curve, $wire);
            }
        }
        if (! $this->hasOwnEnds($part)) {
            $hung['bottom'] = $this->lowest(
                $part, $courses[0]->marked($part->mark('bottom-loop')), $part->wireMm(),
            );
        }

        return $hung;
    }

    /** What hangs in an arc of a bracelet lies where it bows most. */
    private function middle(PartPlan $part, Curve $curve, float $wireMm): Placement
    {
        $length = $curve->lengthMm();
        [$from, $middle, $to] = array_map(
            fn (float $share): Vector => $curve->at($share * $length)[0], [0.0, 0.5, 1.0],
        );
        $bow = $middle->minus($from->plus($to)->times(0.5));
        $at = $bow->lengthMm() < 1e-6 ? $middle : $middle->minus($bow->unit()->times($wireMm / 2));

        return new Placement($at->y, $part->part->is('turned'), $at->x, $at->z);
    }

    /** What hangs in a curve slides to its lowest place. */
    private function lowest(PartPlan $part, Curve $curve, float $wireMm): Placement
    {
        $lowest = $curve->lowest();

        return new Placement($lowest->y - $wireMm / 2, $part->part->is('turned'), $lowest->x, $lowest->z);
    }

    public function facesAcross(PartPlan $part): bool
    {
        return $part->part->is('turned');
    }

    /** What tells its cut from the others of its part. */
    private static function slot(PartPlan $part, Line $line): string
    {
        return $line->name === self::text($part->part)->lines[0]->name ? '' : strtr($line->name, ' ', '-');
    }

    public function checks(PartPlan $part): array
    {
        $id = $part->part->id;
        try {
            Text::parse($part->part->choice('course'));
        } catch (Problem $problem) {
            $straight = new SetSetting($id, 'course', 'straight 10');

            return [
                new Check(Level::Stop, 'course', $problem->getMessage(), $id, [new Way('A straight wire', $straight)]),
            ];
        }
        $held = $this->hasOwnEnds($part)
            ? null
            : $this->top($part)->held() ?? $this->bottom($part)->held();

        return [...array_filter([$held]), ...$this->courseChecks($part), ...$this->crowded($part)];
    }

    /** @return list<Check> */
    private function courseChecks(PartPlan $part): array
    {
        $construction = $this->construction($part);
        $checks = [];
        $stop = fn (string $words): Check => new Check(Level::Stop, 'course', $words, $part->part->id);
        foreach ($construction->troubles() as $trouble) {
            $checks[] = $stop($trouble);
        }
        foreach ($construction->folded() as $words) {
            $checks[] = new Check(
                Level::Warn, 'tight bend',
                "For “{$words}” the wire would be folded back on itself: come to it from another side.",
                $part->part->id,
            );
        }
        $taken = array_sum(array_map($construction->taken(...), array_keys($part->strung)));
        if ($taken < $part->beadCount()) {
            $checks[] = $stop("It goes through {$taken} beads, and {$part->beadCount()} are on its line.");
        }

        return $checks;
    }
}
