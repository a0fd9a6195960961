<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\BendTable;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Figure\View;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\Sizing;
use Hebra\Core\Scene\ScenePart;
use Hebra\Core\Wrap\Turn;

/** Everything that follows from a piece, a profile and nothing else. */
final class Plan
{
    /** How far apart the points of a curve are at most. */
    private const CURVE_STEP_MM = 0.5;

    /** More made parts than that are worked operation by operation [common practice]. */
    private const FEW = 12;

    private bool $isByOperation = false;

    /** @var list<Step>|null */
    private ?array $worded = null;

    /** @var list<Step>|null */
    private ?array $prepared = null;

    /**
     * @param  list<Cut>  $cuts  wire cuts, counted for the whole making
     * @param  list<Cut>  $pins  bought pins as strips, counted likewise
     * @param  list<BeadCount>  $beads
     * @param  list<Finding>  $findings
     * @param  \Closure(bool): list<Step>  $steps for each of its pieces, worded when they are asked for: part by part,
     *     or by operation
     * @param  list<Check>  $checks
     * @param  list<Metal>  $metal
     * @param  list<PartPlan>  $parts
     */
    public function __construct(
        public readonly Piece $piece,
        public readonly Profile $profile,
        public readonly array $cuts,
        public readonly array $pins,
        public readonly array $beads,
        public readonly array $findings,
        private readonly \Closure $steps,
        public readonly array $checks,
        public readonly array $metal,
        private readonly Layout $layout,
        public readonly float $gramsEach,
        private readonly array $parts,
    ) {
    }

    /** @return array<string, string> what tells each part from another, by part; empty where its beads do */
    public function inShort(): array
    {
        return array_combine(
            array_map(fn (PartPlan $part): string => $part->part->id->text, $this->parts),
            array_map(fn (PartPlan $part): string => $part->technique->inShort($part), $this->parts),
        );
    }

    /** The piece as it is drawn. */
    public function assembly(): Assembly
    {
        return $this->layout->assembly();
    }

    /** One of its parts by itself, from the front. */
    public function alone(PartId $part): Assembly
    {
        return (new Assembly([[PartDrawing::of($this->parts()[$part->text], true)->figure(), new Pose]]))->fromTop();
    }

    /** The piece from a side. */
    public function seen(View $view): Assembly
    {
        return $this->layout->seen($view);
    }

    /** @return list<ScenePart> the piece in space */
    public function scene(): array
    {
        return $this->layout->scene();
    }

    /**
     * How each wire is bent, as a bender takes it: its cut's own straight tails and all.
     *
     * @return list<array{
     *     wire: string, cut: string, count: int,
     *     bends: list<array{feed_mm: float, rotation_deg: float, angle_deg: float, radius_mm: float}>,
     * }>
     */
    public function bendTables(): array
    {
        $tables = [];
        foreach ($this->wires() as [$part, $course]) {
            $spans = array_merge(...array_map(fn (Curve $curve): array => $curve->spans, $course->curves()));
            $tables[] = [
                'wire' => $part->part->id.($course->slot === '' ? '' : '-'.$course->slot), 'cut' => $course->label,
                'count' => $course->times,
                'bends' => BendTable::of(new Curve($spans), $part->wireOf($course->role)->diameterMm()),
            ];
        }

        return $tables;
    }

    /**
     * @return array{curve_mm?: list<array{float, float, float}>} how the wire of a cut lies in its part, as points from
     *     its first end to its last: x right, y down, z to the front, mm
     */
    private function curveOf(Cut $cut): array
    {
        // A coil of rings lies nowhere as it is cut.
        foreach ($cut->rings === null ? $this->wires() : [] as [$part, $course]) {
            if ($part->part->id === $cut->part && $course->slot === $cut->slot) {
                $spans = array_merge(...array_map(fn (Curve $curve): array => $curve->spans, $course->curves()));
                $points = (new Curve($spans))->points(self::CURVE_STEP_MM);

                return ['curve_mm' => array_map(
                    fn (Vector $at): array => [round($at->x, 4), round($at->y, 4), round($at->z, 4)], $points,
                )];
            }
        }

        return [];
    }

    /**
     * @return list<list<int>> after each step the moves that are made, by their places in all courses one after the
     *     other
     */
    private function forming(): array
    {
        $states = new FormingStates($this);
        $forming = [];
        foreach (range(0, $states->count() - 1) as $step) {
            $made = [];
            $before = 0;
            foreach ($this->strips() as $cut) {
                foreach ($states->madeOf($cut, $step) as $place) {
                    $made[] = $before + $place;
                }
                $before += count($cut->segments);
            }
            $forming[] = $made;
        }

        return $forming;
    }

    /**
     * Some of the made parts as they hang, from above: each, and whether its own upper eye faces the viewer.
     *
     * @param  list<string>  $names
     * @return list<array{Instance, bool}>
     */
    public function hanging(array $names): array
    {
        $hanging = array_filter(
            $this->layout->instances(), fn (Instance $instance): bool => in_array($instance->name, $names, true),
        );
        // It is known once the whole is laid.
        $this->layout->assembly();

        return array_map(
            fn (Instance $instance): array => [$instance, $this->layout->facing($instance)], array_values($hanging),
        );
    }

    /** @return array<string, PartPlan> by their ids */
    public function parts(): array
    {
        return array_combine(
            array_map(fn (PartPlan $part): string => $part->part->id->text, $this->parts), $this->parts,
        );
    }

    /** @return list<array{PartPlan, Course}> every wire that is formed here, once for each that lies alike */
    private function wires(): array
    {
        $wires = [];
        foreach ($this->parts as $part) {
            foreach ($part->technique->isBought($part->part) ? [] : $part->technique->courses($part) as $course) {
                if ($course->isWire) {
                    $wires[] = [$part, $course];
                }
            }
        }

        return $wires;
    }

    /** Every stroke and bead of the drawing where it lies. */
    public function figure(): PieceFigure
    {
        return $this->assembly()->flat();
    }

    /** @return list<Step> once for the whole making */
    public function prepare(): array
    {
        return $this->prepared ??= Prepare::of($this);
    }

    /** The same plan, worked by operation over all that is alike, or part by part. */
    public function inOperations(bool $isByOperation = true): self
    {
        $plan = clone $this;
        [$plan->isByOperation, $plan->worded, $plan->prepared] = [$isByOperation, null, null];

        return $plan;
    }

    /** Whether so much is alike that it is worked by operation unless the maker says otherwise. */
    public function isManyAlike(): bool
    {
        return $this->madeParts() > self::FEW;
    }

    /** How many parts are made for one piece, repeats and groups unfolded. */
    public function madeParts(): int
    {
        return count($this->layout->instances());
    }

    /** @return list<string> what the steps ask for, each once */
    public function tools(): array
    {
        $tools = ['safety glasses'];
        $prepared = array_map(
            fn (Cut $cut): array => $cut->rings === null
                ? [Prepare::cut($cut, $cut->count, $this->profile)]
                : [Prepare::cut($cut, $cut->count, $this->profile), RingCoils::step($cut, $this->profile)],
            $this->cuts,
        );
        foreach ([...array_merge(...$prepared), ...$this->steps()] as $step) {
            $tools = [
                ...$tools,
                ...array_filter(
                    explode(', ', $step->tool),
                    fn (string $tool): bool => ! in_array($tool, ['', 'fingers'], true),
                ),
            ];
        }

        return array_values(array_unique($tools));
    }

    /** @return list<Step> for each of its pieces */
    public function steps(): array
    {
        return $this->worded ??= ($this->steps)($this->isByOperation);
    }

    /**
     * Every eye that something can hang in, above a part, or in all of them: what a document says, and words.
     *
     * @return array<string, string>
     */
    public function eyesAbove(?PartId $part = null): array
    {
        $eyes = [];
        foreach ($this->parts as $at => $one) {
            if ($one->part->id === $part) {
                break;
            }
            foreach ($one->technique->eyes($one, $one->part->id->text) as $name => $eye) {
                if ($name !== 'top') {
                    $eyes["{$one->part->id}/{$name}"] = $eye->words.', part '.($at + 1);
                }
            }
        }

        return $eyes;
    }

    /**
     * Every eye that the lower end of a part could close in: a document's words for it, and ours. None where it has no
     * lower end.
     *
     * @return array<string, string>
     */
    public function eyesElsewhere(PartId $part): array
    {
        $eyes = [];
        $hasEnd = false;
        foreach ($this->parts as $at => $one) {
            $its = $one->technique->eyes($one, $one->part->id->text);
            if ($one->part->id === $part) {
                $hasEnd = isset($its['bottom']);

                continue;
            }
            foreach ($its as $name => $eye) {
                // The two eyes of a ring are one.
                if ($name === 'top' || $eye->words !== ($its['top']->words ?? '')) {
                    $eyes["{$one->part->id}/{$name}"] = $eye->words.', part '.($at + 1);
                }
            }
        }

        return $hasEnd ? $eyes : [];
    }

    /** @return list<array{PartPlan, Sizing}> the parts whose size follows from the fit */
    public function sized(): array
    {
        $sized = [];
        foreach ($this->parts as $part) {
            $sizing = $part->technique->sizing($this->piece, $part->part);
            if ($sizing !== null) {
                $sized[] = [$part, $sizing];
            }
        }

        return $sized;
    }

    /** Hanging length in millimetres, top of the ear wire's arch to the lowest point; of a chain, end to end. */
    public function hangsMm(): float
    {
        return $this->roundMm() === null ? $this->layout->lengthMm : $this->assembly()->heightMm();
    }

    /** How long it is round where it closes on itself without a clasp, mm; null where it has ends. */
    public function roundMm(): ?float
    {
        return $this->layout->closedMm();
    }

    public function reach(): ?Reach
    {
        return Reach::of($this->piece, $this->layout);
    }

    /** Whether it is drawn laid round, as it is worn, and its length is not what the drawing measures. */
    public function isLaidRound(): bool
    {
        return $this->layout->isRound;
    }

    /** @return list<View> from where it is drawn: what lies round, or ends in itself, has a front and a back */
    public function views(): array
    {
        return $this->isLaidRound() || $this->layout->strands !== [] ? [View::Front, View::Back] : View::cases();
    }

    public function worst(): Level
    {
        foreach ([Level::Stop, Level::Warn, Level::Note] as $level) {
            foreach ($this->checks as $check) {
                if ($check->level === $level) {
                    return $level;
                }
            }
        }

        return Level::Ok;
    }

    /** @return list<Cut> wire cuts, then bought pins */
    public function strips(): array
    {
        return [...$this->cuts, ...$this->pins];
    }

    /** Steps in one making: the common ones, then those of each piece. */
    public function stepCount(): int
    {
        return count($this->prepare()) + $this->piece->makes->count * count($this->steps());
    }

    /** @return array<string, mixed> the JSON of `hebra:plan` */
    public function toArray(bool $withCurves = false): array
    {
        $steps = [...$this->prepare(), ...$this->steps()];

        return [
            'name' => $this->piece->name,
            'makes' => ['kind' => $this->piece->makes->kind, 'count' => $this->piece->makes->count],
            'cuts' => array_map(fn (Cut $cut): array => [
                'label' => $cut->label,
                'key' => $cut->key(),
                'wire' => $cut->wire->key(),
                'count' => $cut->count,
                'length_mm' => $cut->lengthMm(),
                'printed_mm' => $cut->printedMm($this->profile->ruler),
                'trim_mm' => $cut->trimMm(),
                'segments' => array_map(
                    fn (Segment $segment): array => [
                        'kind' => $segment->kind->value,
                        'length_mm' => $segment->lengthMm,
                    ],
                    $cut->segments,
                ),
                'bends_mm' => array_map(fn (BendMark $bend): float => $bend->atMm, $cut->bends),
            ], $this->cuts),
            'courses' => array_map(
                fn (Cut $cut): array => $cut->course() + ($withCurves ? $this->curveOf($cut) : []), $this->strips(),
            ),
            'forming' => $this->forming(),
            'rings' => array_values(array_filter(array_map(fn (Cut $cut): ?array => $cut->rings === null ? null : [
                'inside_mm' => $cut->rings->insideMm,
                'wire' => $cut->wire->key(),
                'count' => $cut->rings->count,
                'coil_length_mm' => $cut->rings->turns($cut->wire->diameterMm()) * $cut->wire->diameterMm(),
                'wire_length_mm' => $cut->rings->turns($cut->wire->diameterMm()) * Turn::mm(
                    $cut->rings->insideMm,
                    $cut->wire->diameterMm(),
                ),
            ], $this->cuts))),
            'beads' => array_map(
                fn (BeadCount $count): array => [
                    'bead' => $count->bead->words(),
                    'each' => $count->each,
                    'count' => $count->all,
                    'spares' => $count->spares,
                ],
                $this->beads,
            ),
            'findings' => array_map(fn (Finding $finding): array => [
                'finding' => $finding->words, 'wire' => $finding->wire->key(), 'each' => $finding->each,
                'count' => $finding->all,
                ...($finding->isPin() ? ['length_mm' => $finding->lengthMm, 'trimmed_mm' => $finding->trimmedMm] : []),
            ], $this->findings),
            'buy' => $this->buy(),
            'passes' => array_merge(...array_map(fn (PartPlan $part): array => $part->passes(), $this->parts)),
            'steps' => array_map(fn (Step $step): array => $step->toArray(), $steps),
            'checks' => array_map(
                fn (Check $check): array => [
                    'level' => $check->level->value,
                    'rule' => $check->rule,
                    'text' => $check->text,
                ],
                $this->checks,
            ),
            'size' => [
                'hangs_mm' => $this->hangsMm(), ...$this->roundMm() === null ? [] : ['round_mm' => $this->roundMm()],
                'width_mm' => $this->assembly()->widthMm(), 'each_g' => $this->gramsEach,
            ],
            'metal' => array_map(fn (Metal $metal): array => [
                'role' => $metal->role, 'wire' => $metal->wire->key(), 'gross_g' => $metal->grossGrams(),
                'net_g' => $metal->netGrams(), 'scrap_g' => $metal->scrapGrams(),
            ], $this->metal),
        ];
    }

    /**
     * @return list<array{what: string, count?: int, length_mm?: float}> what comes ready-made, by count or by length
     */
    private function buy(): array
    {
        return array_map(fn (Finding $finding): array => $finding->isByLength()
            ? ['what' => $finding->stock, 'length_mm' => $finding->taken()]
            : ['what' => $finding->words, 'count' => $finding->all], $this->findings);
    }
}
