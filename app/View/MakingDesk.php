<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Making;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Step;

/** Where a making stands: which step, of which copy, how far. */
final readonly class MakingDesk
{
    public ?Step $step;

    public int $total;

    public function __construct(public Making $making, public Plan $plan)
    {
        $this->step = self::stepAt($plan, $making->step);
        $this->total = $plan->stepCount();
    }

    /** The step at a place counted over the whole making; null when all is done. */
    public static function stepAt(Plan $plan, int $at): ?Step
    {
        $prepare = count($plan->prepare);
        if ($at < $prepare) {
            return $plan->prepare[$at] ?? null;
        }
        $each = count($plan->steps());
        if ($each === 0 || $at >= $plan->stepCount()) {
            return null;
        }

        return $plan->steps()[($at - $prepare) % $each];
    }

    public function isDone(): bool
    {
        return $this->step === null;
    }

    /** Which copy is on the bench, from 0; null while preparing for all of them. */
    public function copy(): ?int
    {
        $prepare = count($this->plan->prepare);

        return $this->making->step < $prepare ? null : intdiv($this->making->step - $prepare, max(1, count($this->plan->steps())));
    }

    /** Whether the second of a mirrored pair is on the bench. */
    public function isMirrored(): bool
    {
        return $this->plan->piece->makes->isMirrored() && $this->copy() === 1;
    }

    public function whose(): string
    {
        $copy = $this->copy();

        return $copy === null ? 'For '.$this->plan->piece->makes->words() : ucfirst($this->plan->piece->makes->nameOf(min($copy, $this->plan->piece->makes->count - 1), $this->plan->piece->fit->kind->noun()));
    }

    public function next(): ?Step
    {
        return self::stepAt($this->plan, $this->making->step + 1);
    }

    public function isCounted(): bool
    {
        return $this->step === null || $this->step->count === 0 || $this->making->counted >= $this->step->count;
    }
}
