<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move as CourseMove;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;

/**
 * A text laid out with its wires and beads: what each move becomes, where every bead stands, and what goes through it.
 * Wires are laid in the order they are told; a wire meets what was told before it.
 */
final class Construction
{
    private const LETTERS = 26;

    /** @var array<string, Thing> */
    private array $things = [];

    /** @var array<int, Held> by the run of the line */
    private array $held = [];

    /** @var array<int, int> how many beads of each run are on a wire */
    private array $taken = [];

    /** @var array<int, list<string>> the roles of the wires through each run */
    private array $through = [];

    /** @var array<string, list<Strung>> what each move puts on, by its key */
    private array $puts = [];

    /** @var array<string, true> moves that go through what is on a wire, by their key */
    private array $again = [];

    /** @var array<string, string> what does not go, by the key of its move */
    private array $troubles = [];

    /** @var array<string, string> moves that the wire is folded back on itself for, by their key */
    private array $folds = [];

    /** @var array<string, array{Laying, Laying}> of each wire by its name, outwards to its first end and to its last */
    private array $legs = [];

    /** What the finished leg of the wire under way takes. */
    private float $lineMm = 0.0;

    private string $key = '';

    private string $words = '';

    private string $role = '';

    /** @param  Frame  $usual  where a wire starts that does not say so */
    private function __construct(
        private readonly Text $text, private readonly PartPlan $part, public readonly Frame $usual,
    ) {
    }

    public static function of(Text $text, PartPlan $part, Frame $usual): self
    {
        $made = new self($text, $part, $usual);
        foreach ($text->lines as $line) {
            $made->lays($line);
        }

        return $made;
    }

    private function lays(Line $line): void
    {
        if ($line->goesOn) {
            [$back, $on] = $this->legs[$line->name];
            $this->role = $this->text->roleOf($line, $this->part->part->wire);
            $this->lineMm = $line->on === [] ? $on->lengthMm() : $back->lengthMm();
            $this->leg($line->on, $on, $line);
            $this->leg($line->back, $back, $line);

            return;
        }
        $start = $this->start($line);
        $this->role = $this->text->roleOf($line, $this->part->part->wire);
        $wireMm = $this->part->wireOf($this->role)->diameterMm();
        $this->lineMm = 0.0;
        $on = $this->leg($line->on, new Laying($this, $start, $wireMm, false), $line);
        $other = Start::standing($start->at, $start->ahead->times(-1.0));
        $back = $this->leg($line->back, new Laying($this, $other, $wireMm, true), $line);
        $this->legs[$line->name] = [$back, $on];
        if ($line->name !== '') {
            $this->things[$line->name] = new Thing(self::whole($back, $on, $start), $wireMm);
        }
    }

    /** @param  list<Told>  $moves */
    private function leg(array $moves, Laying $wire, Line $line): Laying
    {
        foreach ($moves as $told) {
            [$this->key, $this->words] = [$told->key, $told->text];
            $laid = count($wire->moves());
            $wire->marked($this->part->mark($told->key), $told->name);
            try {
                $told->move->lay($wire);
            } catch (Problem $problem) {
                $this->troubles[$told->key] = $problem->getMessage();
            }
            $work = $this->handwork($told, $line);
            $work === null || $wire->by($laid, $work);
        }
        $this->lineMm += $wire->lengthMm();

        return $wire;
    }

    private function handwork(Told $told, Line $line): ?Handwork
    {
        $put = $this->put($told->key);
        $work = $told->move->handwork($this->part->profile, $put, $this->text->moment($told));
        if ($work === null) {
            return null;
        }
        $before = $line->before($told)?->move;
        $text = $before instanceof Move\Turn ? $before->words().' '.$work->text : $work->text;

        return $work->ofWire($line->said($text), [
            $this->part->mark($told->key), ...$this->besideBend($told, $line),
            ...array_map($this->mark(...), $put->beads),
        ], $put->beads !== []);
    }

    /** @return list<string> a bend on the spot is seen in what is straight after it, or in what came before */
    private function besideBend(Told $told, Line $line): array
    {
        if (! $told->move instanceof Move\Bend) {
            return [];
        }
        $after = $line->after($told);
        $beside = $after !== null && $after->move instanceof Move\Straight ? $after : $line->before($told);

        return $beside === null ? [] : [$this->part->mark($beside->key)];
    }

    /** @return list<Span> a whole wire as it lies, from its first end to its last */
    private static function whole(Laying $back, Laying $on, Frame $start): array
    {
        $course = Course::both('', '', $back->moves(), $on->moves(), $start, 1);
        $spans = [];
        foreach ($course->curves() as $at => $curve) {
            array_push($spans, ...($course->moves[$at]->isSeen() ? $curve->spans : []));
        }

        return $spans;
    }

    /** How much wire is used so far by the one under way. */
    public function lineMm(Laying $wire): float
    {
        return $this->lineMm + $wire->lengthMm();
    }

    /**
     * Where wires of a name stand side by side at a height, and how thick they are.
     *
     * @return array{non-empty-list<float>, float}
     *
     * @throws Problem if there are fewer than two
     */
    public function across(string $role, float $yMm): array
    {
        $across = [];
        $thickMm = 0.0;
        foreach ($this->things as $name => $thing) {
            if (preg_replace('/ \d+$/', '', $name) === $role) {
                $across[] = $thing->host()->at($thing->at($yMm))->at->x;
                $thickMm = max($thickMm, $thing->wireMm);
            }
        }
        sort($across);

        return count($across) >= 2 ? [$across, $thickMm] : throw Refused::because(
            'course', $role, 'names fewer than two wires', 'the name of several, told before: core 1, core 2',
        );
    }

    public function start(Line $line): Frame
    {
        return $line->start?->frame() ?? $this->usual;
    }

    /** @return array{list<CourseMove>, list<CourseMove>} to its first end and to its last, outwards */
    public function legs(string $line): array
    {
        return [$this->legs[$line][0]->moves(), $this->legs[$line][1]->moves()];
    }

    /** What is bent where a wire starts; empty where nothing is. */
    public function firstBend(string $line): string
    {
        return $this->legs[$line][1]->firstBend();
    }

    /** A shape that follows what was bent last. */
    public function afterLast(string $line, Shape $shape): Shape
    {
        return $this->legs[$line][1]->afterTurns($shape);
    }

    /** @return array<string, string> */
    public function troubles(): array
    {
        return $this->troubles;
    }

    /** @return list<string> moves that a wire would be folded back on itself for */
    public function folded(): array
    {
        return array_values($this->folds);
    }

    /** What a move puts on its wire. */
    public function put(string $key): Put
    {
        return new Put($this->puts[$key] ?? [], isset($this->again[$key]));
    }

    /** @return list<string> the roles of the wires that go through a run of beads */
    public function through(int $run): array
    {
        return $this->through[$run] ?? [];
    }

    /** How many beads of a run are on a wire. */
    public function taken(int $run): int
    {
        return $this->taken[$run] ?? 0;
    }

    /** @param  list<Span>  $spans */
    public function keeps(string $name, array $spans, float $wireMm): void
    {
        if ($name !== '' && $spans !== []) {
            isset($this->things[$name])
                ? $this->things[$name]->longer($spans)
                : $this->things[$name] = new Thing($spans, $wireMm);
        }
    }

    /** The wire would be folded back on itself on the way to what it does now. */
    public function folds(): void
    {
        $this->folds[$this->key] = $this->words;
    }

    /**
     * How wide what lies round in a stretch may be: as far as it reaches, without its wire; 0 where none is so called.
     */
    public function roundMm(string $name): float
    {
        $thing = $this->things[$name] ?? null;
        if ($thing === null) {
            return 0.0;
        }
        $points = $thing->curve()->points(0.5);
        $reach = max(
            self::reach(array_map(fn (Vector $at): float => $at->x, $points)),
            self::reach(array_map(fn (Vector $at): float => $at->y, $points)),
            self::reach(array_map(fn (Vector $at): float => $at->z, $points)),
        );

        return max(0.0, $reach - $thing->wireMm);
    }

    /** @param  list<float>  $places */
    private static function reach(array $places): float
    {
        return $places === [] ? 0.0 : max($places) - min($places);
    }

    /** @throws Problem if nothing of that name was told */
    public function thing(string $name): Thing
    {
        return $this->things[$name] ?? throw Refused::because(
            'course', $name, 'is not told before it is met',
            $this->things === []
                ? 'a stretch its name first: straight 8 as stem'
                : implode(', ', array_keys($this->things)),
        );
    }

    /** @throws Problem if nothing went through it before */
    public function held(int $run): Held
    {
        return $this->held[$run] ?? throw Refused::because(
            'course', self::letter($run), 'is on no wire yet', 'a move that goes through it first',
        );
    }

    public function isHeld(int $run): bool
    {
        return isset($this->held[$run]);
    }

    /** A to Z, then AA, AB, … */
    public static function letter(int $run): string
    {
        return ($run < self::LETTERS ? '' : self::letter(intdiv($run, self::LETTERS) - 1))
            .chr(ord('A') + $run % self::LETTERS);
    }

    /** Which run a letter names, as it is written. */
    public static function ofLetter(string $letter): int
    {
        return array_reduce(
            str_split(strtoupper($letter)),
            fn (int $run, string $one): int => ($run + 1) * self::LETTERS + ord($one) - ord('A'), -1,
        );
    }

    /**
     * The next beads of a run, or of the line: as many as are there.
     *
     * @return list<array{int, Strung}> each with its run
     */
    public function takes(int $count, ?int $only = null): array
    {
        $left = $count;
        $taken = [];
        foreach ($this->part->strung as $run => $strung) {
            $now = $only === null || $only === $run ? min($left, $strung->count - $this->taken($run)) : 0;
            if ($now > 0) {
                $taken[] = [$run, $strung->times($now)];
                $left -= $now;
            }
        }
        if ($left > 0) {
            $there = $count - $left;
            $this->troubles[$this->key] = "“{$this->words}” takes ".Figures::counted($count, 'bead')
                .", and only {$there} are left on its line.";
        }

        return $taken;
    }

    /** @throws Problem if there is no such run */
    public function run(int $run): Strung
    {
        return $this->part->strung[$run] ?? throw Refused::because(
            'course', self::letter($run), 'is no bead of its line',
            $this->part->strung === []
                ? 'beads to its line first'
                : 'A to '.self::letter(count($this->part->strung) - 1),
        );
    }

    /**
     * Beads that a wire goes through the first time.
     *
     * @param  list<array{int, Strung}>  $beads  each with its run
     */
    public function strings(array $beads): void
    {
        foreach ($beads as [$run, $strung]) {
            $this->taken[$run] = $this->taken($run) + $strung->count;
            $this->through[$run] ??= [$this->role];
            $this->puts[$this->key][] = $strung;
        }
    }

    /** All of a run stand where a wire went through them. */
    public function stands(int $run, Vector $from, Vector $to): void
    {
        $this->held[$run] = new Held($from, $to, $this->run($run)->bead->widthMm);
    }

    /** Once more through a run. */
    public function again(int $run): void
    {
        $this->through[$run][] = $this->role;
        $this->puts[$this->key][] = $this->run($run);
        $this->again[$this->key] = true;
    }

    /**
     * Evenly over a way, with what is over between them.
     *
     * @param  list<Strung>  $beads
     * @return list<Threaded>
     */
    public function spread(array $beads, float $mm): array
    {
        $count = array_sum(array_map(fn (Strung $run): int => $run->count, $beads));
        $stack = array_sum(array_map(fn (Strung $run): float => $run->lengthMm(), $beads));
        $gap = $count === 0 ? 0.0 : ($mm - $stack) / $count;
        $spread = [];
        $at = $gap / 2;
        foreach ($beads as $run) {
            for ($bead = 0; $bead < $run->count; $bead++) {
                $spread[] = $this->threaded($run->times(1), $at);
                $at += $run->bead->lengthMm + $gap;
            }
        }

        return $spread;
    }

    /** How beads stand on a wire. */
    public function threaded(Strung $strung, ?float $atMm = null, bool $isTurned = false): Threaded
    {
        return new Threaded($strung->bead, $strung->count, $this->mark($strung), $isTurned, atMm: $atMm);
    }

    /** What the beads of a kind bear in the drawing: of the first run that has them. */
    public function mark(Strung $strung): string
    {
        $keys = array_map(fn (Strung $run): string => $run->key, $this->part->strung);

        return $this->part->mark('beads-'.strtolower(self::letter((int) array_search($strung->key, $keys, true))));
    }
}
