<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Making;
use App\Models\Piece;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Market\Tasks;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;

/** A piece as it is planned once for all that is wanted of it: its tasks, and what is left of the making under way. */
final readonly class PiecePlan
{
    public Plan $plan;

    public Tasks $tasks;

    public ?Making $making;

    /** Minutes left of the making under way. */
    public ?float $left;

    public function __construct(Piece $piece, Profile $profile, Pace $pace)
    {
        $this->plan = Planner::plan($piece->document(), $profile);
        $this->tasks = Tasks::of($this->plan, $pace);
        $this->making = $piece->openMaking;
        $this->left = $this->making === null
            ? null
            : Tasks::LOG_MINUTES + (new MakingDesk($this->making, $this->making->plan($profile)))->minutesLeft($pace);
    }
}
