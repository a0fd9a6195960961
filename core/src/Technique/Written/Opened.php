<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Eye as EyeShape;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Change\TellFreely;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;

/**
 * The wires of any part as a free wire tells them: straight stretches, eyes, beads and tails as they are, all else from
 * place to place. Read back it lies as the part does, to a few hundredths of a millimetre. Millimetres.
 */
final class Opened
{
    /** Within which a part told anew is the same: its ends, and its place; of its length. */
    private const OFF_MM = 0.3;

    /** What is no longer heads nowhere. */
    private const NOTHING_MM = 1e-6;

    private const SHIFTED_MM = 1.5;

    private const LONGER = 0.012;

    /** @var array<string, int> how often a name was given */
    private array $names = [];

    /** @var array<int, int> how many of each run are on a wire */
    private array $strung = [];

    /** @var array<string, string> by mark, how an eye is called */
    private array $eyes = [];

    private function __construct(private readonly PartPlan $part)
    {
        foreach ($part->technique->eyes($part, $part->part->id) as $name => $eye) {
            $this->eyes[$eye->mark] ??= $name;
        }
    }

    /**
     * A part of a piece told freely from now on.
     *
     * @throws Problem if it would not lie as it does
     */
    public static function change(Piece $piece, string $id): Change
    {
        $part = PartPlan::of($piece, $piece->part($id), new Profile);
        $change = new TellFreely($id, self::text($part));
        $label = $part->technique->label();
        try {
            $freely = $change->apply($piece);
        } catch (Problem) {
            throw Refused::because('part', $label, 'has more turns than can be told one by one', 'one that is shorter');
        }
        self::isWhole($part, PartPlan::of($freely, $freely->part($id), new Profile)) || throw Refused::because(
            'part', $label, 'does not come out the same told freely', 'one of plainer wires: a link, a pin, a hoop, an ear wire',
        );

        return $change;
    }

    public static function text(PartPlan $part): string
    {
        $opened = new self($part);
        $lines = [];
        foreach ($part->technique->courses($part) as $course) {
            $lines[] = $opened->line($course, $lines === []);
        }

        return implode("\n", $lines);
    }

    private function line(Course $course, bool $isFirst): string
    {
        $word = $isFirst ? 'wire' : (preg_replace('/[^a-z]/', '', strtolower($course->role)) ?: 'other');
        $times = $this->names[$word] = ($this->names[$word] ?? 0) + 1;
        [$back, $on] = $course->legs();
        $start = $course->start();
        $isBack = $on === [];
        $from = self::place('from', $start->at, $isBack ? $start->ahead->times(-1.0) : $start->ahead);
        $legs = array_filter($isBack ? [$this->leg($back, $start->back())] : [
            $this->leg($on, $start), $this->leg($back, $start->back()),
        ]);

        return $word.($times > 1 ? " {$times}" : '').": {$from} · ".implode("\n| ", $legs);
    }

    /**
     * From where the wire starts outwards.
     *
     * @param  list<array{Move, Curve}>  $moves
     */
    private function leg(array $moves, Frame $frame): string
    {
        $said = [];
        $at = Start::standing($frame->at, $frame->ahead);
        foreach ($moves as $place => [$move, $curve]) {
            $before = $moves[$place - 1][0] ?? null;
            $next = $moves[$place + 1][0] ?? null;
            array_push($said, ...$this->move($move, $curve, $at, $before, $next));
            $spans = $curve->spans;
            if ($curve->lengthMm() > self::NOTHING_MM) {
                $last = $spans[count($spans) - 1];
                $at = Start::standing($last->to, $last->runs(1.0)->unit());
            }
        }

        return implode(' · ', $said);
    }

    /** @return list<string> */
    private function move(Move $move, Curve $curve, Frame $at, ?Move $before, ?Move $next): array
    {
        $mm = $curve->lengthMm();
        $eye = self::eyeOf($move);
        $isWrapped = $before !== null && self::eyeOf($before) !== null && $move->segment->kind === SegmentKind::Wraps;

        return match (true) {
            $mm < self::NOTHING_MM || $isWrapped => [],
            ! $move->segment->kind->stays() => ['tail '.self::number($move->segment->lengthMm)],
            $eye !== null => $this->eye($move, $eye, $curve->spans[0], $at),
            // What an eye needs for its neck it brings itself.
            $move->segment->kind === SegmentKind::Neck && $next !== null && self::eyeOf($next) !== null => [],
            $move->threaded() !== [] || $move->segment->beads !== [] => $this->beads($move, $curve, $at),
            count($curve->spans) === 1 && $curve->spans[0]->isStraight() && self::goesOn($at, $curve->spans[0]) => [
                'straight '.self::number($mm),
            ],
            default => $this->named($move, self::places($curve->spans, [])),
        };
    }

    /** The eye that it is turned to, over its own neck. */
    private static function eyeOf(Move $move): ?EyeShape
    {
        $shape = $move->shape instanceof Rolled ? $move->shape->shape : $move->shape;

        return $shape instanceof EyeShape && $shape->asideMm === 0.0 ? $shape : null;
    }

    private static function goesOn(Frame $at, Span $span): bool
    {
        return $at->ahead->dot($span->runs(0.5)->unit()) > 0.9999;
    }

    /** @return list<string> */
    private function eye(Move $move, EyeShape $eye, Span $kick, Frame $at): array
    {
        // It is kicked back to the side that it is turned in.
        $side = $kick->to->minus($kick->from);
        $degrees = rad2deg(atan2($side->dot($at->beside()), $side->dot($at->towards)));
        $wraps = $eye->wraps === null ? '' : ' wrapped '.Figures::trim($eye->wraps->turns);
        $name = $this->eyes[$move->segment->mark] ?? '';
        unset($this->eyes[$move->segment->mark]);

        return [
            ...(abs($degrees) < 0.5 ? [] : ['turn '.self::number($degrees)]),
            'eye '.self::number($eye->insideMm).$wraps.($name === '' ? '' : " as {$name}"),
        ];
    }

    /**
     * A stretch that something hangs in, by the name of its eye.
     *
     * @param  list<string>  $said
     * @return list<string>
     */
    private function named(Move $move, array $said): array
    {
        $name = $this->eyes[$move->segment->mark] ?? '';

        return $name === '' ? $said : array_map(fn (string $one): string => "{$one} as {$name}", $said);
    }

    /** @return list<string> */
    private function beads(Move $move, Curve $curve, Frame $at): array
    {
        $isStraight = count($curve->spans) === 1 && $curve->spans[0]->isStraight() && self::goesOn($at, $curve->spans[0]);
        if ($isStraight) {
            return array_merge(...array_map($this->through(...), $move->segment->beads));
        }
        if ($curve->spans === []) {
            return [];
        }
        $standing = [];
        foreach ($move->standing($curve) as [$run, $place]) {
            $standing[] = [$run->bead, $place];
        }

        return self::places($curve->spans, $this->shared($curve->spans, $standing));
    }

    /**
     * A row of beads of a kind, run by run: all of one, or so many of it; what is on a wire already, once more.
     *
     * @return list<string>
     */
    private function through(Strung $beads): array
    {
        $said = [];
        $left = $beads->count;
        while ($left > 0) {
            [$run, $free] = $this->run($beads->key);
            $count = $free === 0 ? $left : min($left, $free);
            $this->strung[$run] = ($this->strung[$run] ?? 0) + $count;
            $isAll = $count === $this->part->strung[$run]->count;
            $said[] = 'through '.($isAll ? '' : "{$count} ").Construction::letter($run);
            $left -= $count;
        }

        return $said;
    }

    /** @return array{int, int} the first run of a kind of which some are left, and how many; else the first of the kind */
    private function run(string $key): array
    {
        $first = null;
        foreach ($this->part->strung as $place => $strung) {
            $free = max(0, $strung->count - ($this->strung[$place] ?? 0));
            if ($strung->key === $key && $free > 0) {
                return [$place, $free];
            }
            $first ??= $strung->key === $key ? $place : null;
        }

        return [$first ?? 0, 0];
    }

    /**
     * Which beads stand on which span: on that whose middle is nearest.
     *
     * @param  non-empty-list<Span>  $spans
     * @param  list<array{Bead, Vector}>  $standing
     * @return array<int, list<string>>
     */
    private function shared(array $spans, array $standing): array
    {
        $counts = [];
        foreach ($standing as [$bead, $place]) {
            $far = array_map(fn (Span $span): float => $span->at(0.5)->minus($place)->lengthMm(), $spans);
            $span = (int) array_search(min($far), $far, true);
            [$run] = $this->run($this->keyOf($bead));
            $this->strung[$run] = ($this->strung[$run] ?? 0) + 1;
            $letter = Construction::letter($run);
            $counts[$span][$letter] = ($counts[$span][$letter] ?? 0) + 1;
        }

        return array_map(
            fn (array $letters): array => array_map(
                fn (string $letter, int $count): string => "{$count} {$letter}", array_keys($letters), $letters,
            ),
            $counts,
        );
    }

    private function keyOf(Bead $bead): string
    {
        foreach ($this->part->strung as $strung) {
            if ($strung->bead === $bead) {
                return $strung->key;
            }
        }

        return '';
    }

    /**
     * From place to place, with what stands between.
     *
     * @param  list<Span>  $spans
     * @param  array<int, list<string>>  $beads  by the place of a span
     * @return list<string>
     */
    private static function places(array $spans, array $beads): array
    {
        $said = [];
        foreach ($spans as $at => $span) {
            $said[] = self::place('to', $span->to, $span->runs(1.0)->unit())
                .(isset($beads[$at]) ? ' with '.implode(' and ', $beads[$at]) : '');
        }

        return $said;
    }

    /** Whether a part told freely by a text lies as it did: each wire as long, and its ends where they were. */
    public static function isWhole(PartPlan $part, PartPlan $free): bool
    {
        [$were, $are] = [$part->technique->courses($part), $free->technique->courses($free)];
        if (count($were) !== count($are)) {
            return false;
        }
        $off = null;
        foreach ($were as $at => $course) {
            [$one, $other] = [self::told($course), self::told($are[$at])];
            $off ??= $other[1]->minus($one[1]);
            $isMoved = $other[1]->minus($one[1])->minus($off)->lengthMm() > self::OFF_MM
                || $other[2]->minus($one[2])->minus($off)->lengthMm() > self::OFF_MM;
            if ($isMoved || abs($one[0] - $other[0]) > self::LONGER * $one[0] || $off->lengthMm() > self::SHIFTED_MM) {
                return false;
            }
        }

        return array_sum(array_map(fn (Course $course): int => self::count($course), $were))
            === array_sum(array_map(fn (Course $course): int => self::count($course), $are));
    }

    private static function count(Course $course): int
    {
        return array_sum(array_map(
            fn (Move $move): int => array_sum(array_map(fn (Threaded $run): int => $run->count, $move->threaded())),
            $course->moves,
        ));
    }

    /** @return array{float, Vector, Vector} how long it is cut, and where what is seen of it begins and ends */
    private static function told(Course $course): array
    {
        $spans = [];
        foreach ($course->curves() as $at => $curve) {
            array_push($spans, ...($course->moves[$at]->isSeen() ? $curve->spans : []));
        }
        $nowhere = new Vector(0.0, 0.0);

        return [
            array_sum(array_map(fn (Move $move): float => $move->segment->lengthMm, $course->moves)),
            $spans[0]->from ?? $nowhere, $spans === [] ? $nowhere : $spans[count($spans) - 1]->to,
        ];
    }

    private static function place(string $word, Vector $at, Vector $ahead): string
    {
        $deep = abs($at->z) < 0.005 ? '' : ' '.self::number($at->z);

        return "{$word} ".self::number($at->x).' '.self::number($at->y).$deep.' heading '.self::heading($ahead);
    }

    private static function heading(Vector $ahead): string
    {
        if (abs($ahead->z) < 1e-3) {
            return self::number(fmod(rad2deg(atan2($ahead->y, $ahead->x)) + 360.0, 360.0));
        }

        return implode('/', array_map(self::number(...), [$ahead->x, $ahead->y, $ahead->z]));
    }

    private static function number(float $number): string
    {
        return Figures::trim(round($number, 3) + 0.0, 3);
    }
}
