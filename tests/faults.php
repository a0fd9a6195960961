<?php

declare(strict_types=1);

// ./hebra bench --faults: what kills, floods, races and bombs leave behind. Every figure is of this run;
// docs/reliability.md keeps those of the last.

use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Tests\Piece\Everything;
use Tests\Served;
use Tests\Visitor;

require __DIR__.'/../vendor/autoload.php';

$failed = 0;
function told(string $what, bool $isGood, string $figures): void
{
    global $failed;
    $failed += $isGood ? 0 : 1;
    printf("%s %-46s %s\n", $isGood ? '✓' : '✕', $what, $figures);
}

function coil(string $token, string $name, string $amount = '2 m'): array
{
    return [
        '_token' => $token,
        'kind' => 'coil',
        'name' => $name,
        'metal' => 'copper',
        'size' => '20awg',
        'temper' => 'dead-soft',
        'amount' => $amount,
    ];
}

// Races, thirty times each, as the test does them eight times.
passthru(
    'HEBRA_ROUNDS=30 '.PHP_BINARY.' '.escapeshellarg(dirname(__DIR__).'/vendor/bin/phpunit')
        .' --no-progress --no-output '.escapeshellarg(__DIR__.'/Feature/BarrierTest.php'),
    $status,
);
told(
    'races at writing routes, 30 rounds each',
    $status === 0,
    $status === 0 ? 'nothing lost, nothing doubled' : 'see BarrierTest',
);
passthru(
    PHP_BINARY.' '.escapeshellarg(dirname(__DIR__).'/vendor/bin/phpunit').' --no-progress --no-output '
        .escapeshellarg(__DIR__.'/Feature/KilledServerTest.php'),
    $status,
);
told('killed after each statement of a closing', $status === 0, 'the book as before or as after');
passthru(
    PHP_BINARY.' '.escapeshellarg(dirname(__DIR__).'/vendor/bin/phpunit').' --no-progress --no-output --filter cut_off '
        .escapeshellarg(__DIR__.'/Feature/KeptTest.php'),
    $status,
);
told('upgrades killed after each statement', $status === 0, 'each went on where it stood');

// Twenty makers close makings at once, five hundred in all.
$served = Served::start(['HEBRA_SIGN_UP' => 'open'], 8);
$makers = [];
for ($maker = 0; $maker < 20; $maker++) {
    $visitor = $served->maker("Maker{$maker}");
    $token = $visitor->token();
    $visitor->ask(
        '/stock',
        ['size' => '20awg', 'temper' => 'half-hard', 'metal' => 'sterling'] + coil($token, 'Ears', '100 m'),
    );
    $visitor->ask('/stock', ['size' => '24awg', 'metal' => 'sterling'] + coil($token, 'Drops', '100 m'));
    $makers[] = [$visitor, $token];
}
$began = microtime(true);
$statuses = $waits = [];
for ($round = 0; $round < 25; $round++) {
    foreach ($makers as [$visitor, $token]) {
        $visitor->ask('/pieces', ['_token' => $token, 'name' => "Drops {$round}", 'pattern' => 'single-drop']);
        $piece = (string) $served->rows('SELECT ulid FROM pieces ORDER BY id DESC LIMIT 1')[0]['ulid'];
        $visitor->ask("/pieces/{$piece}/makings", ['_token' => $token]);
    }
    $open = array_column(
        $served->rows(
            'SELECT m.ulid, u.name FROM makings m JOIN users u ON u.workshop_id = m.workshop_id WHERE m.closed_at IS NULL',
        ),
        'ulid',
        'name',
    );
    Visitor::together(
        array_map(
            fn (array $one, int $maker): array => [
                $one[0],
                "/makings/{$open["Maker{$maker}"]}",
                ['_token' => $one[1], '_method' => 'PUT', 'as_it_is' => '1', 'minutes' => '30'],
                false,
            ],
            $makers,
            array_keys($makers),
        ),
    );
    foreach ($makers as [$visitor]) {
        $statuses[$visitor->status] = ($statuses[$visitor->status] ?? 0) + 1;
        $waits[] = $visitor->seconds;
    }
}
sort($waits);
$closed = (int) $served->rows('SELECT COUNT(*) AS n FROM makings WHERE closed_at IS NOT NULL')[0]['n'];
$mass = (int) $served->rows('SELECT SUM(mass_mg) AS mg FROM movements')[0]['mg'];
told(
    '20 makers, 500 closings, 20 at a time',
    $closed === 500 && $mass === 0 && array_keys($statuses) === [303],
    sprintf(
        '%d closed, book adds up to %d mg, answered in %.2f s (median), %.2f s (slowest)',
        $closed,
        $mass,
        $waits[250],
        end($waits),
    ),
);

// The plug is pulled a hundred and twenty times while coils come in.
[$visitor, $token] = $makers[0];
$answered = (int) $served->rows("SELECT COUNT(*) AS n FROM lots WHERE name LIKE 'Kill%'")[0]['n'];
$lost = $broken = 0;
for ($kill = 0; $kill < 120; $kill++) {
    $pid = pcntl_fork();
    if ($pid === 0) {
        usleep(random_int(5_000, 60_000));
        $served->kill();
        posix_kill(getmypid(), SIGKILL);
    }
    $kept = [];
    for ($one = 0; $one < 12; $one++) {
        $visitor->ask('/stock', coil($token, "Kill {$kill}.{$one}"));
        if ($visitor->status === 303) {
            $kept[] = "Kill {$kill}.{$one}";
        } else {
            break;
        }
    }
    pcntl_waitpid($pid, $ended);
    $served->kill();
    $broken += (string) $served->book()->query('PRAGMA quick_check')?->fetchColumn() === 'ok' ? 0 : 1;
    foreach ($kept as $name) {
        $lost += (int) $served->rows("SELECT COUNT(*) AS n FROM lots WHERE name = '{$name}'")[0]['n'] === 1 ? 0 : 1;
    }
    $served->again();
}
$mass = (int) $served->rows('SELECT SUM(mass_mg) AS mg FROM movements')[0]['mg'];
told(
    '120 kills while coils come in',
    $lost === 0 && $broken === 0 && $mass === 0,
    "{$lost} answered writes lost, {$broken} files broken, book adds up to {$mass} mg",
);

// A table of two thousand lines by one maker, while another counts.
$lines = implode(
    "\n",
    array_map(fn (int $line): string => "Shelf {$line};copper;20 awg;dead-soft;2 m", range(1, 1999)),
);
[$other, $otherToken] = $makers[1];
$other->ask('/beads', ['_token' => $otherToken, 'bead' => '6mm round, hole 1', 'owned' => '5']);
$bead = (string) $served->rows('SELECT ulid FROM beads ORDER BY id DESC LIMIT 1')[0]['ulid'];
$slowest = 0.0;
foreach (['look', 'take'] as $do) {
    $import = [
        $visitor,
        '/stock/import?of=lots',
        ['_token' => $token, 'text' => "name;metal;size;temper;length\n{$lines}", 'do' => $do],
        false,
    ];
    $counts = array_map(
        fn (int $one): array => [
            clone $other,
            "/beads/{$bead}",
            ['_token' => $otherToken, '_method' => 'PUT', 'owned' => (string) $one],
            false,
        ],
        range(1, 5),
    );
    Visitor::together([$import, ...$counts]);
    foreach ($counts as [$one]) {
        $slowest = max($slowest, $one->status === 303 ? $one->seconds : 99.0);
    }
    printf("    %s: %d in %.2f s\n", $do, $visitor->status, $visitor->seconds);
}
told('2,000 lines come in while another counts', $slowest < 3.0, sprintf('the other waited %.2f s at most', $slowest));
$served->end();

// Small files that ask for much.
$served = Served::start([], 1, 'tests/bench-server.php', true);
$visitor = $served->maker();
$token = $visitor->token();
[$slowest, $largest, $most] = [0.0, 0, 0];
foreach ([
    'jump-ring' => [2000, 200], 'wrapped-link' => [400, 200], 'chain' => [10, 200], 'memory-wire' => [50, 1],
    'bangle' => [40, 50], 'woven-band' => [20, 1],
] as $technique => [$repeat, $copies]) {
    foreach (Everything::techniques() as $name => $piece) {
        if ($name !== $technique) {
            continue;
        }
        $document = json_decode(PieceJson::write($piece), true);
        $document['parts'][0]['repeat'] = $repeat;
        $document['makes'] = $copies > 1 ? ['kind' => 'batch', 'count' => $copies] : ['kind' => 'one', 'count' => 1];
        file_put_contents($file = (string) tempnam(sys_get_temp_dir(), 'bomb'), json_encode($document));
        $visitor->ask(
            '/pieces/import',
            ['_token' => $token, 'file' => new CURLFile($file, 'application/json', 'p.json')],
        );
        unlink($file);
        $home = '/pieces/'.$served->rows('SELECT ulid FROM pieces ORDER BY id DESC LIMIT 1')[0]['ulid'];
        foreach ([
            'lay-out', 'cut', 'make', 'log', 'bill', 'strips', 'drawing.svg', 'cut-sheet.pdf', 'bench-sheet.pdf',
        ] as $page) {
            $visitor->ask("{$home}/{$page}");
            $visitor->status === 200 || told("{$technique}: {$page}", false, (string) $visitor->status);
            [$slowest, $largest, $most] = [
                max($slowest, $visitor->seconds), max($largest, strlen($visitor->body)),
                max($most, (int) $visitor->peak),
            ];
        }
        $visitor->ask('/cutting?pieces[]='.basename($home));
        [$slowest, $largest, $most] = [
            max($slowest, $visitor->seconds), max($largest, strlen($visitor->body)), max($most, (int) $visitor->peak),
        ];
    }
}
told(
    'pieces as large as are let through',
    $slowest < 20 && $most < 256 * 1024 * 1024,
    sprintf('%.1f s and %d MB at most, page of %.1f MB at most', $slowest, $most / 1e6, $largest / 1e6),
);
$served->end();

exit($failed === 0 ? 0 : 1);
