<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Making;
use App\Models\Piece;
use App\View\MakingDesk;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Illuminate\Support\Facades\DB;

/** Making a piece: begin, go on and back, count, stop. */
final class Bench
{
    /** @throws Refused if a check says stop or nothing is laid out */
    public function begin(Piece $piece): Making
    {
        $plan = Planner::plan($piece->document(), $piece->workshop->profile());
        if ($plan->steps() === []) {
            throw Refused::cannotMake('Nothing is laid out: add an ear wire and a drop first.');
        }
        foreach ($plan->checks as $check) {
            $check->level !== Level::Stop || throw Refused::cannotMake($check->text);
        }

        return DB::transaction(fn (): Making => $piece->openMaking()->first() ?? $piece->makings()->create([
            'workshop_id' => $piece->workshop_id, 'document' => $piece->json(), 'revision' => $piece->revision,
        ]));
    }

    /**
     * Goes from the step the page showed to the next. Sent twice, it moves once.
     *
     * @throws Refused if the making stands elsewhere, something is uncounted or not hooked on
     */
    public function next(Making $making, Plan $plan, int $at, bool $hooked, bool $allCounted): void
    {
        $this->standsAt($making, $at);
        $step = MakingDesk::stepAt($plan, $at);
        if ($step === null) {
            return;
        }
        if ($step->asks !== '' && ! $hooked) {
            throw Refused::notHooked($step->asks);
        }
        if ($step->count > 0 && ! $allCounted && $making->counted < $step->count) {
            throw Refused::uncounted($making->counted, $step->count, $step->counted);
        }
        $making->forceFill(['step' => $at + 1, 'counted' => 0])->save();
    }

    public function back(Making $making, int $at): void
    {
        $this->standsAt($making, $at);
        $making->forceFill(['step' => max(0, $at - 1), 'counted' => 0])->save();
    }

    /** The count as the page saw it, and the one it becomes: a doubled tap counts once. */
    public function count(Making $making, Plan $plan, int $at, int $counted): void
    {
        $this->standsAt($making, $at);
        $most = MakingDesk::stepAt($plan, $at)->count ?? 0;
        $making->forceFill(['counted' => max(0, min($most, $counted))])->save();
    }

    private function standsAt(Making $making, int $at): void
    {
        ! $making->isClosed() || throw Refused::closed();
        $making->step === $at || throw Refused::staleStep();
    }
}
