<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Handwork\Moment;

/** Parts that differ in nothing but their name are worked out once; the others are told the same in their own name. */
final class Twins
{
    /** @var array<string, PartPlan> by content */
    private array $firsts = [];

    /** @var array<string, list<Cut>> by content */
    private array $cuts = [];

    /** @var array<string, array<string, Eye>> by content, of no instance */
    private array $eyes = [];

    /** @var array<string, array<string, list<Step>>> by content and the text of their moment */
    private array $steps = [];

    public function __construct(private readonly ?FittingHand $hand)
    {
    }

    /** @return list<Cut> counted for one piece, as the maker's hand needs them */
    public function cuts(PartPlan $part): array
    {
        $first = $this->first($part);
        $cuts = $this->cuts[$part->content()] ??= $this->fitted($first->cuts());

        return $first->part->id === $part->part->id
            ? $cuts
            : array_map(fn (Cut $cut): Cut => $cut->ofPart($part->part->id), $cuts);
    }

    /** @return array<string, Eye> */
    public function eyes(PartPlan $part, string $instance): array
    {
        $first = $this->first($part);
        $eyes = $this->eyes[$part->content()] ??= $first->technique->eyes($first, '');

        return array_map(fn (Eye $eye): Eye => $eye->of($instance), $eyes);
    }

    /** @return list<Step> not yet said of whom */
    public function steps(PartPlan $part, Moment $moment): array
    {
        $first = $this->first($part);
        $steps = ($this->steps[$part->content()] ??= self::worded($first))[$moment->text()] ?? [];

        [$from, $to] = [$first->part->id, $part->part->id];

        return $from === $to ? $steps : array_map(fn (Step $step): Step => $step->moved($from, $to), $steps);
    }

    private function first(PartPlan $part): PartPlan
    {
        return $this->firsts[$part->content()] ??= $part;
    }

    /**
     * @param  list<Cut>  $cuts
     * @return list<Cut> rings are fitted later, as the one coil that they are
     */
    private function fitted(array $cuts): array
    {
        $hand = $this->hand;
        if ($hand === null) {
            return $cuts;
        }

        return array_map(fn (Cut $cut): Cut => $cut->rings === null ? $hand->fitted($cut) : $cut, $cuts);
    }

    /** @return array<string, list<Step>> */
    private static function worded(PartPlan $part): array
    {
        $worded = fn (Step $step): Step => $part->wireOfCut($step->cut)->isHardened() ? $step->inHardWire() : $step;

        return array_map(fn (array $steps): array => array_map($worded, $steps), CourseSteps::of($part));
    }
}
