<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Providers\AppServiceProvider;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Cache;

/** How wires come to lie takes a while to work out the first time: of the patterns it is done before anyone looks. */
final class AheadCommand extends Command
{
    protected $signature = 'hebra:ahead';

    protected $description = 'Draws every pattern once, so that the first look at them is quick';

    public function handle(): int
    {
        $name = 'ahead-'.config()->string('hebra.version');
        $patterns = Cache::has($name) ? [] : array_keys(Patterns::all());
        foreach ($patterns as $pattern) {
            Planner::plan(Patterns::start($pattern, $pattern), new Profile)->figure();
        }
        Cache::put($name, true, AppServiceProvider::KEPT_SECONDS);
        $this->line(count($patterns).' patterns were drawn ahead.');

        return self::SUCCESS;
    }
}
