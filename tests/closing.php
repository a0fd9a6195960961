<?php

declare(strict_types=1);

// A process of its own for KilledServerTest: prepares a making, or closes it and kills itself after the nth statement.

use App\Actions\Bench;
use App\Actions\CloseMaking;
use App\Actions\History;
use App\Actions\Stockkeeping;
use App\Actions\SupplyBook;
use App\Models\Making;
use App\Models\Workshop;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
[, $mode, $after] = $argv;

if ($mode === 'prepare') {
    touch((string) config('database.connections.sqlite.database'));
    Artisan::call('migrate', ['--force' => true]);
    $workshop = Workshop::query()->create(['name' => 'Killed']);
    foreach (['20awg' => 'half-hard', '22awg' => 'dead-soft', '24awg' => 'dead-soft'] as $size => $temper) {
        app(Stockkeeping::class)->receive(
            $workshop,
            ['metal' => 'sterling', 'size' => $size, 'temper' => $temper, 'amount' => '1 m'],
            LengthUnit::Millimetre,
        );
    }
    app(SupplyBook::class)->bead($workshop, CoreBead::parse('8mm round, hole 1, moss'), 9);
    foreach (['Killed', 'The other'] as $name) {
        app(Bench::class)->begin(
            app(History::class)->begin($workshop, Patterns::start('link-and-drop', $name), 'Began'),
        );
    }
    echo 'ready';
    exit(0);
}

// Two makers reach for the last of one coil: each closes a making of their own once the other is ready too.
if ($mode === 'race') {
    $making = Making::query()->orderBy('id')->skip((int) $after - 1)->firstOrFail();
    $workshop = Workshop::query()->firstOrFail();
    $lot = $workshop->lots()->orderBy('id')->skip(1)->firstOrFail();
    $file = (string) config('database.connections.sqlite.database');
    touch("{$file}.ready{$after}");
    while (count(glob("{$file}.ready*") ?: []) < 2) {
        usleep(200);
    }
    try {
        app(CloseMaking::class)->close(
            $making,
            $workshop,
            ['as_it_is' => '1', 'lot' => ['p2' => $lot->ulid], 'cut' => ['p2' => '300'], 'left' => ['p2' => '230']],
        );
        echo 'closed';
    } catch (Problem $problem) {
        echo $problem->getMessage();
    }
    exit(0);
}

$making = Making::query()->firstOrFail();
$workshop = Workshop::query()->firstOrFail();
$lots = $workshop->lots()->orderBy('id')->pluck('ulid')->all();
$closing = app(CloseMaking::class);
$sent = 0;
DB::listen(function () use (&$sent, $after): void {
    if (++$sent === (int) $after) {
        posix_kill(getmypid(), SIGKILL);
    }
});
$closing->close($making, $workshop, [
    'as_it_is' => '1', 'lot' => ['p1' => $lots[0], 'p2' => $lots[1], 'p3' => $lots[2]],
    'cut' => ['p2' => '160'], 'left' => ['p2' => '98'], 'kept' => ['p2' => '80'],
]);
echo 'closed';
