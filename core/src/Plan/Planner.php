<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Change\AddPart;
use Hebra\Core\Piece\Change\ClosePart;
use Hebra\Core\Piece\Change\HangPart;
use Hebra\Core\Piece\Change\MovePart;
use Hebra\Core\Piece\Change\RemovePart;
use Hebra\Core\Piece\EyeRef;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Group;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;

/**
 * From a piece to its plan. Pure: the same piece and profile give the same plan. Cost: O(n log n) for n unfolded parts.
 */
final class Planner
{
    /** @var list<PartPlan> */
    private array $parts = [];

    /** @var list<Instance> each made part, repeats and groups unfolded */
    private array $instances = [];

    /** @var array<string, int> instance => its place among its like, 0 where there is but one */
    private array $numbers = [];

    /** @var list<list<Cut>> the cuts of each part, counted for one piece */
    private array $bareCuts = [];

    /** @var list<Check> */
    private array $checks = [];

    /** @var array<string, int> instance => its place among them */
    private array $placeOf = [];

    /** @var array<string, int> part => how many of it have been unfolded so far */
    private array $made = [];

    private readonly Twins $twins;

    private function __construct(
        private readonly Piece $piece,
        private readonly Profile $profile,
        private readonly bool $isOffering,
    ) {
        $this->twins = new Twins($profile->hand);
    }

    /** @param  bool  $isOffering  whether ways out are looked for that must be tried; not while they are tried */
    public static function plan(Piece $piece, Profile $profile, bool $isOffering = true): Plan
    {
        return (new self($piece, $profile, $isOffering))->made();
    }

    private function gather(): void
    {
        foreach ($this->piece->parts as $part) {
            $this->parts[] = PartPlan::of($this->piece, $part, $this->profile);
        }
        for ($at = 0; $at < count($this->parts); $at += count($together)) {
            $group = $this->parts[$at]->part->group;
            $together = [$this->parts[$at]];
            while (
                $group !== ''
                && isset($this->parts[$at + count($together)])
                && $this->parts[$at + count($together)]->part->group === $group
            ) {
                $together[] = $this->parts[$at + count($together)];
            }
            $this->unfold($together, $group === '' ? Group::of(1) : $this->piece->groups[$group]);
        }
    }

    /** @param  non-empty-list<PartPlan>  $together */
    private function unfold(array $together, Group $group): void
    {
        $mirrored = $group->isMirrored
            ? array_map(
                fn (PartPlan $part): PartPlan => PartPlan::of($this->piece, $part->part->mirrored(), $this->profile),
                array_reverse($together),
            )
            : [];
        for ($copy = 0; $copy < $group->times(); $copy++) {
            foreach ($copy < $group->repeat ? $together : $mirrored as $part) {
                for ($repeat = 0; $repeat < $part->part->repeat; $repeat++) {
                    $this->instances[] = $this->instance($part);
                }
            }
        }
    }

    private function instance(PartPlan $part): Instance
    {
        $id = $part->part->id;
        $this->made[$id->text] = ($this->made[$id->text] ?? 0) + 1;
        $name = $this->named($id, $this->made[$id->text]);
        $last = $this->instances === [] ? null : $this->instances[count($this->instances) - 1];
        while (
            $last !== null
            && $last->part->part->on !== null
            && $last->above !== null
            && ! isset($last->part->technique->eyes($last->part, $last->name)['bottom'])
        ) {
            // What was hung aside and offers nothing below ends there: the line goes on where it left it.
            $last = $this->instances[$this->placeOf[$last->above]];
        }
        [$above, $eye] = [$last?->name, 'bottom'];
        $on = $this->goesOn($part) ? null : $part->part->on;
        if ($on !== null) {
            // In the last of them, where it is made more than once.
            $above = isset($this->made[$on->part->text])
                ? $this->named($on->part, $this->made[$on->part->text])
                : $on->part->text;
            $eye = $on->eye;
        }

        $this->placeOf[$name] = count($this->instances);

        return new Instance($part, $name, $above, $eye);
    }

    /** Whether a group that hangs in an eye elsewhere has begun to: from its second time on it follows itself. */
    private function goesOn(PartPlan $part): bool
    {
        $group = $part->part->group;

        return $group !== '' && $this->made[$part->part->id->text] > 1
            && $this->piece->part($part->part->on->part ?? $part->part->id)->group !== $group;
    }

    /** What one of the made parts is called: numbered where there are several. */
    private function named(PartId $id, int $number): string
    {
        return $this->timesOf($id) === 1 ? $id->text : Instance::numbered($id, $number);
    }

    private function timesOf(PartId $id): int
    {
        return $this->piece->times($this->piece->part($id));
    }

    private function made(): Plan
    {
        $this->gather();
        $this->number();
        $this->bareCuts = array_map($this->twins->cuts(...), $this->parts);
        [$cuts, $pins] = $this->cuts();
        $layout = new Layout($this->instances, $this->piece->fit->kind, $this->closings());
        $steps = $this->steps();
        $metal = $this->metal([...$cuts, ...$pins]);
        $grams = $this->gramsEach($metal);
        $checks = Checks::worstFirst([
            ...$this->checks,
            ...(new Checks($this->piece, $this->profile, $layout))->of($this->parts, $this->bareCuts, $grams),
        ]);
        $this->checks = $this->isOffering
            ? (new Tried($this->piece, $this->profile, $checks))->on($layout)
            : $checks;

        return new Plan($this->piece, $this->profile, $cuts, $pins, $this->beads(), $this->findings(), $steps,
            $this->checks, $metal, $layout, $grams, $this->parts);
    }

    /** @return list<Closing> */
    private function closings(): array
    {
        $closings = [];
        foreach ($this->parts as $part) {
            $to = $part->part->to;
            if ($to === null) {
                continue;
            }
            // From the last of it; into the upper eye of the first of the other, or a lower one of its last.
            $closings[] = new Closing(
                $this->named($part->part->id, $this->made[$part->part->id->text]),
                $this->named($to->part, $to->eye === 'top' ? 1 : $this->made[$to->part->text]), $to->eye,
            );
        }

        return $closings;
    }

    private function number(): void
    {
        $seen = [];
        foreach ($this->instances as $instance) {
            $name = $instance->part->label();
            $seen[$name] = ($seen[$name] ?? 0) + 1;
            $this->numbers[$instance->name] = $seen[$name];
        }
        foreach ($this->instances as $instance) {
            if ($seen[$instance->part->label()] === 1) {
                $this->numbers[$instance->name] = 0;
            }
        }
    }

    /** @return array{list<Cut>, list<Cut>} wire cuts and bought pins */
    private function cuts(): array
    {
        $labels = [];
        $all = [];
        $made = array_map(
            fn (Cut $cut): Cut => $cut->times($cut->count * $this->piece->makes->count),
            array_merge(...$this->bareCuts),
        );
        foreach (RingCoils::joined($made, $this->profile) as $joined) {
            // Rings are fitted to the hand as the one coil that they are.
            $cut = $joined->rings === null || $this->profile->hand === null
                ? $joined
                : $this->profile->hand->fitted($joined);
            $labels[$cut->label] = ($labels[$cut->label] ?? 0) + 1;
            $all[] = [$cut, $labels[$cut->label]];
        }
        $cuts = $pins = [];
        foreach ($all as [$cut, $number]) {
            $named = $labels[$cut->label] > 1 ? $cut->labelled($cut->label.' '.$number) : $cut;
            if ($named->isBoughtPin()) {
                $pins[] = $named;
            } else {
                $cuts[] = $named;
            }
        }

        return [$cuts, $pins];
    }

    /**
     * @return \Closure(bool): list<Step> the order of work is settled here, its words when they are asked for: part by
     *     part, or by operation
     */
    private function steps(): \Closure
    {
        $runs = $joints = $eyesOf = $partOf = [];
        $checked = [];
        foreach ($this->instances as $instance) {
            $part = $instance->part;
            $eyes = $this->twins->eyes($part, $instance->name);
            $runs[] = new WireRun(
                $instance->name, $part->technique->along($part), $eyes, $part->likeness(), $part->technique->isStrung(),
            );
            $partOf[$instance->name] = $part;
            $eyesOf[$instance->name] = $eyes;
            if ($instance->above === null) {
                continue;
            }
            $offered = $eyesOf[$instance->above][$instance->eye] ?? null;
            if ($offered !== null && isset($eyes['top'])) {
                $joints[] = new Joint($offered, $eyes['top']);
            } elseif (! isset($checked[$part->part->id->text])) {
                $checked[$part->part->id->text] = true;
                $before = $this->instances[$this->placeOf[$instance->name] - 1]->name;
                $followsIt = $instance->above === $before && $part->part->on === null;
                $this->checks[] = new Check(Level::Stop, 'nothing to hang from', $this->unhung(
                    $partOf[$instance->above], $part, $offered !== null, $instance->eye,
                ), $part->part->id, [
                    ...($followsIt ? self::beside($this->instances[$this->placeOf[$instance->above]], $part) : []),
                    $this->takenOff($instance),
                    new Way('Move it up', new MovePart($part->part->id, -1)),
                ]);
            }
        }
        foreach ($this->closings() as $closing) {
            [$own, $other] = [
                $eyesOf[$closing->instance]['bottom'] ?? null, $eyesOf[$closing->to][$closing->eye] ?? null,
            ];
            if ($own !== null && $other !== null) {
                $joints[] = $this->placeOf[$closing->to] < $this->placeOf[$closing->instance]
                    ? new Joint($other, $own)
                    : new Joint($own, $other);
            } else {
                $part = $partOf[$closing->instance];
                $this->checks[] = new Check(Level::Stop, 'nothing to close in', ucfirst(
                    $own === null
                        ? "the {$part->label()} has no eye below that could close in the "
                            ."{$partOf[$closing->to]->technique->label()}."
                        : "the {$partOf[$closing->to]->technique->label()} has no eye {$closing->eye} to close in.",
                ), $part->part->id, [
                    new Way('Leave its end open', new ClosePart($part->part->id, null)),
                ]);
            }
        }
        $last = $this->instances === [] ? null : $this->instances[count($this->instances) - 1];
        if (
            $last !== null
            && $last->part->part->to === null
            && isset($eyesOf[$last->name]['bottom'])
            && ! $eyesOf[$last->name]['bottom']->isLocked
            && $this->piece->fit->kind === FitKind::Ear
        ) {
            $this->checks[] = new Check(
                Level::Note, 'empty eye',
                'Nothing hangs from the '.$eyesOf[$last->name]['bottom']->words.' yet.',
                $last->part->part->id, [
                    new Way('Hang a drop from it', new AddPart('head-pin')),
                ],
            );
        }
        $judged = new JointChecks($this->piece, $this->profile);
        foreach ($joints as $joint) {
            array_push($this->checks, ...$judged->of($joint));
        }
        try {
            $order = ClosingOrder::of($runs, $joints);
            $alike = fn (): array => ClosingOrder::of($runs, $joints, true);
        } catch (CannotClose $why) {
            $this->checks[] = new Check(
                Level::Stop, 'closing order', $why->getMessage(), null, $this->ringsBetween($why),
            );

            return fn (): array => [];
        }

        return fn (bool $byOperation): array => $byOperation
            ? $this->withInspection($this->stepWords($partOf)->together($alike()))
            : $this->withInspection($this->stepWords($partOf)->oneByOne($order));
    }

    /** A part off the line, and with it all that hangs in it. */
    private function takenOff(Instance $off): Way
    {
        $gone = [$off->name => $off->part->part->id];
        foreach ($this->instances as $instance) {
            if (isset($gone[$instance->above ?? ''])) {
                $gone[$instance->name] = $instance->part->part->id;
            }
        }
        $ids = array_map(PartId::of(...), array_values(array_unique(array_map(strval(...), $gone))));

        return Way::all(
            count($ids) === 1 ? 'Take it off' : 'Take it off, and what hangs in it',
            array_map(fn (PartId $id): Change => new RemovePart($id), $ids),
        );
    }

    /** @return list<Way> a ring before the later part of a joint that cannot be made */
    private function ringsBetween(CannotClose $why): array
    {
        $ways = [];
        foreach ($why->joints() as $joint) {
            $part = $joint->b->part();
            foreach ($this->piece->parts as $at => $one) {
                if ($one->id === $part) {
                    $ways[$part->text] = new Way(
                        'A ring before the '.$one->label(),
                        new AddPart('jump-ring', $at),
                    );
                }
            }
        }

        return array_slice(array_values($ways), 0, 3);
    }

    /** @return list<Way> in the eye that the part above hangs in, which has none below */
    private static function beside(Instance $above, PartPlan $part): array
    {
        return $above->above === null
            ? []
            : [
                new Way(
                    'Hang it beside',
                    new HangPart($part->part->id, new EyeRef(Instance::partOf($above->above), $above->eye)),
                ),
            ];
    }

    private function unhung(PartPlan $above, PartPlan $part, bool $canHang, string $eye): string
    {
        $of = $eye === 'bottom' ? '' : "{$eye} of the ";

        return $canHang
            ? "The {$part->label()} has no eye on top: it cannot hang from the {$above->label()}."
            : "Nothing can hang from the {$of}{$above->label()} above this {$part->label()}.";
    }

    /** @param  array<string, PartPlan>  $partOf */
    private function stepWords(array $partOf): StepWords
    {
        return new StepWords(
            $this->profile,
            $partOf,
            fn (string $instance): string => $this->called($partOf[$instance], $instance), $this->twins,
        );
    }

    /**
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private function withInspection(array $steps): array
    {
        if ($steps !== []) {
            $steps[] = new Step(
                new Moment(EventKind::Inspect),
                '',
                'Look it over',
                'Loops round and closed, ends tucked and smooth under a fingertip, no gap in an eye, everything swings '
                    .'freely.'
                    .$this->byFives()
                    .($this->piece->makes->count === 1 ? '' : ' Hold it beside its twin: same length, same shape.'),
            );
        }

        return $steps;
    }

    /** A long piece is counted in fives before it is called done [common practice]. */
    private function byFives(): string
    {
        $counts = [];
        foreach ([
            ...array_map(fn (PartPlan $part): array => [$part->label(), $part->times], $this->parts),
            ...array_map(fn (BeadCount $count): array => [$count->bead->words(), $count->each], $this->beads()),
        ] as [$words, $count]) {
            $counts[$words] = ($counts[$words] ?? 0) + $count;
        }
        $many = array_filter($counts, fn (int $count): bool => $count >= 10);
        $fives = array_map(function (string $words, int $count): string {
            $over = $count % 5 === 0 ? '' : ' and '.($count % 5);

            return "{$count} × {$words}: ".Figures::counted(intdiv($count, 5), 'five').$over;
        }, array_keys($many), $many);

        return $fives === [] ? '' : ' Count by fives: '.implode('; ', $fives).'.';
    }

    /** `link`, or `link 2` where several are alike in name. */
    private function called(PartPlan $part, string $instance): string
    {
        return $part->label().($this->numbers[$instance] === 0 ? '' : ' '.$this->numbers[$instance]);
    }

    /** @return list<BeadCount> */
    private function beads(): array
    {
        $each = [];
        foreach ($this->piece->parts as $part) {
            // What is wound of wire is not bought.
            $bought = array_filter(
                $part->beads, fn (BeadRun $run): bool => ! $this->piece->beads[$run->bead]->shape->isWound(),
            );
            foreach ($bought as $run) {
                $each[$run->bead] = ($each[$run->bead] ?? 0) + $run->count * $this->piece->times($part);
            }
        }
        $counts = [];
        foreach ($each as $key => $count) {
            $all = $count * $this->piece->makes->count;
            $counts[] = new BeadCount(
                (string) $key,
                $this->piece->beads[$key],
                $count,
                $all,
                (int) ceil($all / $this->profile->spareEveryOf($this->piece->beads[$key])),
            );
        }

        return $counts;
    }

    /** @return list<Finding> bought pins, then what else comes ready-made */
    private function findings(): array
    {
        $findings = [];
        $all = fn (int $each): int => $each * $this->piece->makes->count;
        foreach (array_merge(...$this->bareCuts) as $cut) {
            if ($cut->pinMm === null) {
                continue;
            }
            $key = $cut->wire->key().'/'.$cut->pinMm.$cut->pinKind->value;
            $each = ($findings[$key]->each ?? 0) + $cut->count;
            $findings[$key] = new Finding(
                $cut->pinKind->words().' '.$this->profile->length($cut->pinMm).', '.$cut->wire->words(),
                $cut->wire,
                $each,
                $all($each),
                $cut->pinMm,
                $cut->trimmedMm(),
                Finding::pinInStock($cut->pinMm, $cut->wire, $cut->pinKind),
                pinKind: $cut->pinKind,
            );
        }
        foreach ($this->parts as $part) {
            foreach ($part->technique->readyMade($part) as $ready) {
                $each = ($findings[$ready->words]->each ?? 0) + $ready->count * $part->times;
                $findings[$ready->words] = new Finding(
                    $ready->words, $part->wire, $each, $all($each), stock: $ready->stock, takesMm: $ready->takesMm,
                );
            }
        }

        return array_values($findings);
    }

    /**
     * @param  list<Cut>  $cuts
     * @return list<Metal>
     */
    private function metal(array $cuts): array
    {
        $sums = [];
        foreach ($cuts as $cut) {
            $key = $cut->wire->key();
            $old = $sums[$key] ?? new Metal($cut->role, $cut->wire, 0.0, 0.0);
            $sums[$key] = new Metal(
                $old->role,
                $cut->wire,
                $old->grossMm + $cut->grossMm($this->profile->ruler) * $cut->count,
                $old->netMm + $cut->netMm() * $cut->count,
            );
        }

        return array_values($sums);
    }

    /** @param  list<Metal>  $metal */
    private function gramsEach(array $metal): float
    {
        $wire = array_sum(array_map(fn (Metal $one): float => $one->netGrams(), $metal)) / $this->piece->makes->count;

        return $wire + array_sum(
            array_map(
                fn (PartPlan $part): float => ($part->beadGrams() + $part->readyGrams()) * $part->times,
                $this->parts,
            ),
        );
    }
}
