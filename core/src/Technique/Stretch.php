<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Closure;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Working;

/**
 * Collects the moves of one wire, start to end, and where it bends between them. Stretches of no length are left out.
 */
final class Stretch
{
    /** @var list<Move> */
    private array $moves = [];

    /** Whether the last stretch has no length, so that nothing is there to do anything to. */
    private bool $isLeftOut = false;

    /** How many moves come before the one that the course is anchored at. */
    private int $from = 0;

    /** @param  float|null  $wideMm  how wide its wire is seen, where it is not round any more */
    public function __construct(private readonly PartPlan $part, private ?float $wideMm = null)
    {
    }

    /** From here on it is seen so wide; as wide as its wire where nothing is said. */
    public function wide(?float $wideMm): self
    {
        $this->wideMm = $wideMm;

        return $this;
    }

    /**
     * @param  list<Strung>  $beads  what stands on it, from the first end on
     * @param  Shape|null  $shape  how it lies; straight where it is not said
     */
    public function worked(
        SegmentKind $kind, float $lengthMm, string $words, string $mark, string $rule, string $numbers,
        string $source = 'geometry', array $beads = [], ?Shape $shape = null,
    ): self {
        $working = new Working($words, $rule, $numbers, $lengthMm, 'mm', $source);
        $segment = new Segment($kind, $lengthMm, $words, $this->part->mark($mark), $working);

        return $this->add($segment->carrying($beads), $shape);
    }

    /** As it is set, or as is common practice. */
    public function given(
        SegmentKind $kind, float $lengthMm, string $words, string $mark, string $why, ?Shape $shape = null,
    ): self {
        $source = $this->part->sourceOf($lengthMm);

        return $this->add(
            Segment::given($kind, $lengthMm, $words, $this->part->mark($mark), $why, $source), $shape,
        );
    }

    /** One whole turn, flat. */
    public function loop(float $insideMm, float $wireMm, string $words, string $mark, ?Shape $shape = null): self
    {
        return $this->worked(
            SegmentKind::Loop,
            M_PI * ($insideMm + $wireMm),
            $words,
            $mark,
            'π(D + d)',
            'π × ('.Figures::trim($insideMm, 3).' + '.Figures::trim($wireMm, 3).')',
            shape: $shape ?? Arc::turns($insideMm, $wireMm, 1.0),
        );
    }

    /** What the hands hold meanwhile, trimmed off. */
    public function tail(float $mm, string $mark, string $why = 'what the fingers hold, trimmed off'): self
    {
        return $this->given(SegmentKind::Tail, $mm, 'tail', $mark, $why);
    }

    public function add(Segment $segment, ?Shape $shape = null): self
    {
        if ($segment->lengthMm > 1e-9) {
            return $this->move(new Move($segment, $shape ?? new Straight($segment->lengthMm), wideMm: $this->wideMm));
        }
        $this->isLeftOut = true;

        return $this;
    }

    public function move(Move $move): self
    {
        $this->moves[] = $move;
        $this->isLeftOut = false;

        return $this;
    }

    /**
     * @param  list<Threaded>|Closure(): list<Threaded>  $threaded where what stands on the last move is drawn, from the
     *     first end on
     */
    public function threading(array|Closure $threaded): self
    {
        $last = array_pop($this->moves);

        return $last === null ? $this : $this->move($last->threading($threaded));
    }

    /**
     * What the hands do to the last move.
     *
     * @param  Closure(): Handwork  ...$handwork
     */
    public function by(Closure ...$handwork): self
    {
        $last = $this->isLeftOut ? null : array_pop($this->moves);

        return $last === null ? $this : $this->move($last->by(...$handwork));
    }

    /** A bend here, between what came and what comes; none at the very start, and but one in a place. */
    public function bend(string $words): self
    {
        $last = array_pop($this->moves);
        if ($last !== null) {
            $this->moves[] = $last->bendAfter === '' ? $last->bending($words) : $last;
        }

        return $this;
    }

    /** From here on it goes out with the wire; what came before lies against it. */
    public function anchored(): self
    {
        $this->from = count($this->moves);

        return $this;
    }

    /** @param  Frame|Closure(): Frame  $anchor */
    public function course(string $label, string $role, int $count, Frame|Closure $anchor, string $slot = ''): Course
    {
        $nothing = new Move(
            Segment::given(
                SegmentKind::Straight, 1.0, 'wire', $this->part->mark('wire'), 'nothing is asked of it yet',
                'common practice',
            ),
            new Straight(1.0),
        );

        return new Course(
            $label, $role, $this->moves === [] ? [$nothing] : $this->moves, $anchor, $this->from, $count, $slot,
        );
    }

    public function cut(string $label, string $role, int $count, string $slot = ''): Cut
    {
        return Cut::of($this->course($label, $role, $count, Frame::down(0.0), $slot), $this->part);
    }
}
