<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\Drilling;
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
use Hebra\Core\Figure\Placement;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Change\TellFreely;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Eye;
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

    /** Less than this is no stretch of its own. */
    private const LEAST_MM = 0.002;

    private const SHIFTED_MM = 1.5;

    private const LONGER = 0.012;

    /** @var array<string, int> how often a name was given */
    private array $names = [];

    /** @var array<int, int> how many of each run are on a wire */
    private array $strung = [];

    /** @var array<string, string> by mark, how an eye is called that has it alone */
    private array $eyes = [];

    /** @var array<string, string> by sweep, how an eye is called that shares its mark */
    private readonly array $spots;

    private function __construct(private readonly PartPlan $part)
    {
        $eyes = $part->technique->eyes($part, $part->part->id->text);
        $marks = array_count_values(array_map(fn (Eye $eye): string => $eye->mark, $eyes));
        foreach ($eyes as $name => $eye) {
            if ($marks[$eye->mark] === 1) {
                $this->eyes[$eye->mark] = $name;
            }
        }
        $this->spots = $this->spots(array_intersect_key(
            $part->technique->hung($part), array_filter($eyes, fn (Eye $eye): bool => $marks[$eye->mark] > 1),
        ));
    }

    /**
     * Where several eyes are of one stretch, each is the sweep of its wire that is lowest where it hangs.
     *
     * @param  array<string, Placement>  $hung
     * @return array<string, string> by the sweep as it is told
     */
    private function spots(array $hung): array
    {
        $far = [];
        foreach ($hung === [] ? [] : $this->part->technique->courses($this->part) as $course) {
            foreach ($course->curves() as $at => $curve) {
                foreach ($course->moves[$at]->isSeen() ? $curve->spans : [] as $span) {
                    $lowest = (new Curve([$span]))->lowest();
                    foreach ($hung as $name => $eye) {
                        $far[$name][self::sweep($span)] = hypot($lowest->x - $eye->xMm, $lowest->y - $eye->yMm);
                    }
                }
            }
        }
        $spots = [];
        foreach ($far as $name => $sweeps) {
            $free = array_diff_key($sweeps, $spots);
            $nearest = $free === [] ? INF : min($free);
            if ($nearest < self::SHIFTED_MM + $this->part->wireMm()) {
                $spots[(string) array_search($nearest, $free, true)] = $name;
            }
        }

        return $spots;
    }

    /**
     * A part of a piece told freely from now on.
     *
     * @throws Problem if it would not lie as it does
     */
    public static function change(Piece $piece, PartId $id): Change
    {
        $part = PartPlan::of($piece, $piece->part($id), new Profile);
        $label = $part->technique->label();
        $part->technique->isStrung() && throw Refused::because(
            'part', $label, 'is strung and crimped, not bent',
            'a part of formed wire; of a strand change beads and gaps',
        );
        $part->technique->hammered($part) === null || throw Refused::because(
            'part', $label, 'is hammered, and a free wire stays as it is drawn', 'a part that is not hammered',
        );
        foreach ($part->technique->courses($part) as $course) {
            $course->pinMm === null || throw Refused::because(
                'part', $label, "is made on a bought {$course->pinKind->words()}", 'a part that is cut from wire',
            );
        }
        foreach ($part->strung as $strung) {
            $strung->bead->drilling === Drilling::Lengthwise || throw Refused::because(
                'part', $label, "carries {$strung->bead->words()}, {$strung->bead->drilling->words()}",
                'a part whose beads are drilled lengthwise',
            );
        }
        $hung = array_values($part->technique->hung($part));
        $change = new TellFreely($id, self::text($part), $hung === [] ? null : $hung[0]->facing);
        try {
            $freely = $change->apply($piece);
        } catch (Problem) {
            throw Refused::because('part', $label, 'has more turns than can be told one by one', 'one that is shorter');
        }
        self::isWhole($part, PartPlan::of($freely, $freely->part($id), new Profile)) || throw Refused::because(
            'part', $label, 'does not come out the same told freely',
            'a part whose wires are bent and wrapped, not slit or pierced',
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
        $role = preg_replace('/[^a-z]/', '', strtolower($course->role)) ?: 'other';
        $word = $isFirst ? 'wire' : $role;
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
            $now = $this->move($move, $curve, $at, $before, $next);
            array_push($said, ...$now);
            $spans = $curve->spans;
            if ($now !== [] && $curve->lengthMm() > self::NOTHING_MM) {
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
        $wrapped = fn (?Move $beside): bool => ($beside === null ? null : self::eyeOf($beside))?->wraps !== null;

        return match (true) {
            // What only takes wire, as joins do, is cut with the tail.
            $mm < self::NOTHING_MM => $move->segment->lengthMm < self::LEAST_MM
                ? []
                : ['tail '.self::number($move->segment->lengthMm)],
            $move->segment->kind === SegmentKind::Wraps && $wrapped($before) => [],
            ! $move->segment->kind->stays() => ['tail '.self::number($move->segment->lengthMm)],
            $eye !== null => $this->eye($move, $eye, $curve, $at),
            // What a wrapped eye needs for its neck it brings itself.
            $move->segment->kind === SegmentKind::Neck && $wrapped($next) => [],
            $move->threaded() !== [] || $move->segment->beads !== [] => $this->beads($move, $curve, $at),
            abs($mm - $move->segment->lengthMm) < self::LEAST_MM && self::isStraightOn($curve, $at) => [
                'straight '.self::number($mm),
            ],
            default => $this->named($move, $this->places($move, $curve, [])),
        };
    }

    /** The eye that it is turned to, over its own neck. */
    private static function eyeOf(Move $move): ?EyeShape
    {
        $shape = $move->shape instanceof Rolled ? $move->shape->shape : $move->shape;

        return $shape instanceof EyeShape && $shape->isOverItsNeck() ? $shape : null;
    }

    private static function isStraightOn(Curve $curve, Frame $at): bool
    {
        $span = $curve->spans[0];

        return count($curve->spans) === 1 && $span->isStraight() && $at->ahead->dot($span->runs(0.5)->unit()) > 0.9999;
    }

    /** @return list<string> */
    private function eye(Move $move, EyeShape $eye, Curve $curve, Frame $at): array
    {
        [$said, $at] = self::bent($at, $curve->spans[0]->runs(0.0)->unit());
        // It is kicked back to the side that it is turned in.
        $kick = $curve->spans[0]->isStraight() ? $curve->spans[1] : $curve->spans[0];
        $side = $kick->to->minus($kick->from);
        $degrees = rad2deg(atan2($side->dot($at->beside()), $side->dot($at->towards)));
        $wraps = $eye->wraps === null ? '' : ' wrapped '.Figures::trim($eye->wraps->turns);
        $name = $this->eyes[$move->segment->mark] ?? '';
        unset($this->eyes[$move->segment->mark]);

        return [
            ...$said,
            ...(abs($degrees) < 0.5 ? [] : ['turn '.self::number($degrees)]),
            'eye '.self::number($eye->insideMm).$wraps.($name === '' ? '' : " as {$name}"),
        ];
    }

    /**
     * Bent on the spot to where it goes on.
     *
     * @return array{list<string>, Frame}
     */
    private static function bent(Frame $at, Vector $ahead): array
    {
        $degrees = rad2deg(acos(max(-1.0, min(1.0, $at->ahead->dot($ahead)))));
        if ($degrees < 0.5) {
            return [[], $at];
        }
        $turned = rad2deg(atan2($ahead->dot($at->beside()), $ahead->dot($at->towards)));

        return [
            [...(abs($turned) < 0.5 ? [] : ['turn '.self::number($turned)]), 'bend '.self::number($degrees)],
            $at->rolled(deg2rad($turned))->bent(deg2rad($degrees)),
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
        if ($curve->spans === []) {
            return [];
        }
        $stack = array_sum(array_map(fn (Strung $run): float => $run->lengthMm(), $move->segment->beads));
        if (abs($stack - $move->segment->lengthMm) < self::LEAST_MM && self::isStraightOn($curve, $at)) {
            return array_merge(...array_map($this->through(...), $move->segment->beads));
        }
        $standing = [];
        foreach ($move->standing($curve) as [$run, $place]) {
            $standing[] = [$run->bead, $place];
        }

        return $this->places($move, $curve, $this->shared($curve->spans, $standing));
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

    /**
     * @return array{int, int} the first run of a kind of which some are left, and how many; else the first of the kind
     */
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
     * From place to place, each with its share of the wire and what stands on it.
     *
     * @param  array<int, list<string>>  $beads  by the place of a span
     * @return list<string>
     */
    private function places(Move $move, Curve $curve, array $beads): array
    {
        $said = [];
        $share = $move->segment->lengthMm / $curve->lengthMm();
        foreach ($curve->spans as $at => $span) {
            if ($span->lengthMm() * $share < self::LEAST_MM && ! isset($beads[$at])) {
                continue;
            }
            $name = $this->spots[self::sweep($span)] ?? '';
            $said[] = self::sweep($span)
                .' taking '.self::number(max($span->lengthMm() * $share, $span->to->minus($span->from)->lengthMm()))
                .(isset($beads[$at]) ? ' with '.implode(' and ', $beads[$at]) : '')
                .($name === '' ? '' : " as {$name}");
        }

        return $said;
    }

    /** Whether a part told freely by a text lies as it did: each wire as long, and its ends where they were. */
    public static function isWhole(PartPlan $part, PartPlan $free): bool
    {
        [$were, $are] = [$part->technique->courses($part), $free->technique->courses($free)];
        // What was slit of one wire would be cut twice.
        $most = (1 + self::LONGER) * self::cutMm($part) + self::SHIFTED_MM;
        if (count($were) !== count($are) || self::cutMm($free) > $most) {
            return false;
        }
        // What hangs in nothing lies wherever it lies.
        $isHung = isset($part->technique->eyes($part, '')['top']);
        $off = null;
        foreach ($were as $at => $course) {
            [$one, $other] = [self::told($course), self::told($are[$at])];
            $off ??= $other[1]->minus($one[1]);
            $isMoved = $other[1]->minus($one[1])->minus($off)->lengthMm() > self::OFF_MM
                || $other[2]->minus($one[2])->minus($off)->lengthMm() > self::OFF_MM;
            $isLonger = abs($one[0] - $other[0]) > self::LONGER * $one[0];
            if ($isMoved || $isLonger || $isHung && $off->lengthMm() > self::SHIFTED_MM) {
                return false;
            }
        }

        return array_sum(array_map(fn (Course $course): int => self::count($course), $were))
            === array_sum(array_map(fn (Course $course): int => self::count($course), $are));
    }

    private static function cutMm(PartPlan $part): float
    {
        return array_sum(array_map(fn (Cut $cut): float => $cut->count * $cut->lengthMm(), $part->cuts()));
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

    private static function sweep(Span $span): string
    {
        return self::place('to', $span->to, $span->runs(1.0)->unit());
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
