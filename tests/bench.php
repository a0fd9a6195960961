<?php

declare(strict_types=1);

// ./hebra bench: medians and ratios of one run. Opcache on, configuration, routes and views cached, server warm.

use App\Support\Deadline;
use Hebra\Core\Bead\WirePacking;
use Hebra\Core\Figure\Glimpse;
use Hebra\Core\Hand\Hand;
use Hebra\Core\Hand\Learned;
use Hebra\Core\Hand\Log;
use Hebra\Core\Hand\Work;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Market\BenchDays;
use Hebra\Core\Market\Task;
use Hebra\Core\Market\Want;
use Hebra\Core\Market\WorkPlan;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\FormingPicture;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\WireTable;
use Hebra\Core\Price\SimulatedPrices;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\Stock\CutKind;
use Hebra\Core\Stock\CuttingPlanner;
use Hebra\Core\Stock\CuttingTerms;
use Hebra\Core\Stock\StockRow;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Sums;
use Hebra\Core\Tests\Hand\Makers;
use Hebra\Core\Tests\Piece\Some;
use Tests\CbcCutting;
use Tests\Served;
use Tests\Visitor;

require __DIR__.'/../vendor/autoload.php';

/** @param  list<float>  $values */
function median(array $values): float
{
    sort($values);

    return $values[intdiv(count($values), 2)];
}

/** @return float milliseconds, median of n runs after a warm-up */
function timed(callable $do, int $runs): float
{
    for ($warm = 0; $warm < max(3, intdiv($runs, 5)); $warm++) {
        $do();
    }
    $times = [];
    for ($run = 0; $run < $runs; $run++) {
        $start = hrtime(true);
        $do();
        $times[] = (hrtime(true) - $start) / 1e6;
    }

    return median($times);
}

$served = Served::start(['HEBRA_DEMO' => '1', 'HEBRA_BENCH' => '1'], 1, 'tests/bench-server.php', true);
$environment = $served->environment;

$piece = Some::thirtyParts();
$visitor = new Visitor($served->address);
$visitor->ask('/enter-demo', ['_token' => $visitor->ask('/sign-in')->token()]);
$visitor->ask(
    '/pieces',
    ['_token' => $visitor->ask('/pieces')->token(), 'name' => 'Thirty parts', 'pattern' => 'two-links'],
);
$home = '/pieces/'.$visitor->piece;
$form = ['_token' => $visitor->ask("{$home}/lay-out")->token(), 'stage' => 'lay-out', 'open' => 'p2', 'run' => 0];
for ($part = 4; $part < 30; $part++) {
    $visitor->ask(
        "{$home}/changes",
        [...$form, 'revision' => $visitor->revision(), 'do' => 'part.copy', 'part' => 'p2'],
        true,
    );
}
$parts = substr_count($visitor->body, 'class="part-name"');

$visitor->ask("{$home}/lay-out");
$wraps = 3;
$changed = function () use ($visitor, $home, $form, &$wraps): void {
    $visitor->ask(
        "{$home}/changes",
        [
            ...$form, 'revision' => $visitor->revision(), 'do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps',
            'value' => $wraps = $wraps === 3 ? 4 : 3,
        ],
        true,
    );
    $visitor->status === 200 || throw new RuntimeException("The change was answered with {$visitor->status}");
};
$idle = new Visitor($served->address);
// In turn, so that whatever else the machine does weighs on both alike.
$bareTimes = $changeTimes = [];
for ($round = 0; $round < 90; $round++) {
    $start = hrtime(true);
    $idle->ask('/bench-bare');
    $middle = hrtime(true);
    $changed();
    if ($round >= 10) {
        $bareTimes[] = ($middle - $start) / 1e6;
        $changeTimes[] = (hrtime(true) - $middle) / 1e6;
    }
}
[$bare, $change] = [median($bareTimes), median($changeTimes)];
// While a measure is pulled: another value each time, nothing kept.
$pulled = function (string $home, array $values) use ($visitor): array {
    $revision = $visitor->revision();
    $times = [];
    foreach ($values as $round => $value) {
        $start = hrtime(true);
        $visitor->ask("{$home}/tried?".http_build_query([
            'do' => 'part.set', 'part' => 'p2', 'key' => 'top_inside', 'value' => $value, 'revision' => $revision,
            'open' => 'p2',
            'run' => 0, 'hung' => '63 400 3',
        ]));
        $visitor->status === 200 || throw new RuntimeException("What was tried was answered with {$visitor->status}");
        $round >= 5 && $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);

    return [median($times), $times[(int) floor(0.95 * (count($times) - 1))]];
};
$sizes = array_map(fn (int $step): string => (2.0 + $step / 20).' mm', range(0, 44));
$pull = $pulled($home, $sizes);
$visitor->ask("{$home}/lay-out");
$peak = (int) $visitor->peak;
$cut = timed(fn () => $visitor->ask("{$home}/cut"), 40);
$planning = timed(fn () => Planner::plan($piece, new Profile)->steps(), 120);
$written = PieceJson::write($piece);
// From a document nothing of which has been drawn before.
$drawing = timed(
    fn () => Planner::plan(PieceJson::readAll($written)[0], new Profile)->assembly()->widthMm(), 60,
);
// A necklace of 120 links, in one run with the bare route again.
$visitor->ask('/pieces', ['_token' => $form['_token'], 'name' => 'A necklace', 'pattern' => 'linked-bracelet']);
$necklace = '/pieces/'.$visitor->piece;
$visitor->ask("{$necklace}/lay-out");
$asked = fn (array $change): Visitor => $visitor->ask(
    "{$necklace}/changes",
    [...$form, 'revision' => $visitor->revision(), ...$change],
    true,
);
$asked(['do' => 'group.set', 'group' => 'g1', 'count' => '60']);
$bareAgain = $linkTimes = [];
for ($round = 0; $round < 50; $round++) {
    $start = hrtime(true);
    $idle->ask('/bench-bare');
    $middle = hrtime(true);
    $asked(['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => $round % 2 === 0 ? 4 : 3]);
    $visitor->status === 200 || throw new RuntimeException("The change was answered with {$visitor->status}");
    if ($round >= 10) {
        $bareAgain[] = ($middle - $start) / 1e6;
        $linkTimes[] = (hrtime(true) - $middle) / 1e6;
    }
}
$links = median($linkTimes) / median($bareAgain);
$necklacePull = $pulled($necklace, $sizes);
$visitor->ask("{$necklace}/lay-out");
$asked(['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => 3]);
$drawn = preg_match('~<figure class="drawing"[^>]*>.*?(<svg.*?</svg>)~s', $visitor->body, $match) === 1
    ? strlen($match[1]) / 1000
    : throw new RuntimeException('No drawing in the fragment');
$planned = [];
foreach ([60, 120, 240, 480, 960] as $count) {
    $chain = ChangeReader::read(
        ['do' => 'group.set', 'group' => 'g1', 'count' => (string) ($count / 2)],
    )->apply(Patterns::start('linked-bracelet', 'A necklace'));
    $planned[$count] = timed(fn () => Planner::plan($chain, new Profile)->steps(), 12);
}
// Pages of a workshop of 100 movements, pieces and finished pieces, then of the same one grown to 50,000, 2,000 and
// 10,000; each against the bare route.
$book = new PDO('sqlite:'.$environment['DB_DATABASE']);
$book->exec('PRAGMA busy_timeout = 5000');
$grow = function (int $movements, int $pieces) use ($book): void {
    $count = fn (string $of): int => (int) $book->query(
        "SELECT count(*) FROM {$of} WHERE workshop_id = (SELECT workshop_id FROM lots LIMIT 1)",
    )?->fetchColumn();
    $lots = $book->query('SELECT id, workshop_id, metal FROM lots ORDER BY id')?->fetchAll(PDO::FETCH_OBJ) ?: [];
    $line = $book->prepare(
        "INSERT INTO movements (workshop_id, entry, kind, account, lot_id, metal, mass_mg, words, created_at) VALUES (?, ?, 'corrected', ?, ?, ?, ?, 'more than booked', '2026-01-01')",
    );
    $book->beginTransaction();
    for ($at = $count('movements'); $at < $movements; $at += 2) {
        $lot = $lots[$at / 2 % count($lots)];
        $line->execute([$lot->workshop_id, "bench {$at}", 'lot', $lot->id, $lot->metal, 5]);
        $line->execute([$lot->workshop_id, "bench {$at}", 'found', null, $lot->metal, -5]);
    }
    $columns = implode(
        ', ',
        array_diff(
            array_column($book->query("SELECT name FROM pragma_table_info('pieces')")?->fetchAll() ?: [], 'name'),
            ['id', 'ulid'],
        ),
    );
    for ($at = $count('pieces'); $at < $pieces; $at++) {
        $book->exec(
            "INSERT INTO pieces (ulid, {$columns}) SELECT printf('01bench%019d', {$at}), {$columns} FROM pieces ORDER BY id LIMIT 1",
        );
    }
    // Each with a design of its own, as a piece has.
    $book->exec(
        'INSERT INTO piece_revisions (piece_id, number, document, words, created_at) SELECT copy.id, first.number, '
            .'first.document, first.words, first.created_at FROM pieces copy, piece_revisions first JOIN pieces one '
            .'ON one.id = first.piece_id AND one.revision = first.number '
            ."WHERE one.id = (SELECT MIN(id) FROM pieces) AND copy.ulid LIKE '01bench%' "
            .'AND copy.id NOT IN (SELECT piece_id FROM piece_revisions)',
    );
    $book->exec(
        'INSERT OR IGNORE INTO makings (ulid, workshop_id, piece_id, document, revision, closed_at, created_at, '
            .'updated_at) '
            ."SELECT '01benchmaking0000000000000', workshop_id, piece_id, document, number, '2026-02-01', '2026-02-01', "
            ."'2026-02-01' FROM piece_revisions JOIN pieces ON pieces.id = piece_id ORDER BY piece_revisions.id "
            .'LIMIT 1',
    );
    $making = $book->query("SELECT id, workshop_id, piece_id FROM makings WHERE ulid = '01benchmaking0000000000000'")
        ?->fetch(PDO::FETCH_OBJ);
    $box = $book->prepare(
        'INSERT INTO finished (ulid, workshop_id, piece_id, making_id, number, name, place, metals, minutes, '
            .'cost_cents, '
            .'price_cents, sold_cents, moved_at, created_at, sold_at) '
            .'VALUES (?, ?, ?, ?, ?, ?, ?, ?, 60, 2400, 3800, ?, ?, ?, ?)',
    );
    $places = ['box', 'box', 'stall', 'lent', 'sold', 'sold', 'given'];
    $ofPieces = $book->query('SELECT id FROM pieces ORDER BY id LIMIT 400')?->fetchAll(PDO::FETCH_COLUMN) ?: [];
    for ($at = $count('finished'); $at < ($movements > 100 ? 10_000 : 100); $at++) {
        $place = $places[$at % 7];
        $day = sprintf('2026-%02d-%02d', 1 + $at % 11, 1 + $at % 28);
        $box->execute([
            sprintf('01benchbox%016d', $at), $making->workshop_id, $ofPieces[$at % count($ofPieces)], $making->id,
            $at + 1,
            'A pair', $place, '{"sterling":1040}', $place === 'sold' ? 3800 : null, $day, $day,
            $place === 'sold' ? $day : null,
        ]);
    }
    $book->exec("UPDATE pieces SET told = lower(name) WHERE told = ''");
    $book->commit();
};
$grownPages = array_fill_keys([
    '/', '/pieces', '/patterns', '/stock', '/hand', '/hand/learned', '/insight', '/weave', '/stock/book',
    '/stock/book?metal=sterling&year=2026&from=3&to=5', '/stock/months',
    '/stock/statement', '/box', '/plan', '/plan/fits', '/find?line=pair', '/find?line=zeppelin',
], []);
foreach ([[100, 100], [50_000, 2_000]] as [$movements, $pieces]) {
    $grow($movements, $pieces);
    foreach (array_keys($grownPages) as $page) {
        $pageTimes = $againTimes = $bareBeside = $emptyBeside = [];
        for ($round = 0; $round < 30; $round++) {
            // As after anything was written: what is kept of pages is kept no longer.
            $book->exec('UPDATE written SET word = lower(hex(randomblob(16)))');
            $start = hrtime(true);
            $idle->ask('/bench-bare');
            $beside = hrtime(true);
            $visitor->ask('/find');
            $middle = hrtime(true);
            $visitor->ask($page);
            $end = hrtime(true);
            $visitor->status === 200
                || throw new RuntimeException("{$page} answered with {$visitor->status}: ".strip_tags($visitor->body));
            $visitor->ask($page);
            if ($round >= 6) {
                $bareBeside[] = ($beside - $start) / 1e6;
                $emptyBeside[] = ($middle - $beside) / 1e6;
                $pageTimes[] = ($end - $middle) / 1e6;
                $againTimes[] = (hrtime(true) - $end) / 1e6;
            }
        }
        $ms = median($pageTimes);
        $grownPages[$page][] = [
            $ms, $ms / median($bareBeside), $ms / median($emptyBeside), median($againTimes) / median($emptyBeside),
        ];
    }
}
// Forty wants of twelve tasks over some weeks.
mt_srand(40);
$wants = [];
for ($at = 0; $at < 40; $at++) {
    $tasks = [];
    for ($task = 0; $task < 12; $task++) {
        $kind = Operation::cases()[mt_rand(0, 20)];
        $tasks[] = new Task($kind, mt_rand(5, 40), 4, $kind->value, mt_rand(0, 25) === 0 ? 1 : 0);
    }
    $wants[] = Want::of("want {$at}", $tasks, mt_rand(10, 60))->from(mt_rand(0, 4) === 0 ? mt_rand(1, 9) : 0);
}
$benchDays = BenchDays::of([90, 90, 0, 90, 120, 240, 180]);
$workPlanned = timed(fn () => WorkPlan::of($wants, $benchDays), 8);
$workPlan = WorkPlan::of($wants, $benchDays);
$json = PieceJson::write($piece);
$reading = timed(fn () => PieceJson::read($json), 120);

// A fixed piece of arithmetic in the same run, so that figures of two machines compare: a million multiplications.
$loop = timed(function (): float {
    $sum = 0.0;
    for ($i = 1; $i <= 1_000_000; $i++) {
        $sum += $i * 1.000001;
    }

    return $sum;
}, 20);
$slowest = ['', 0.0];
foreach (Sums::all() as $sum) {
    $example = $sum->example();
    $one = timed(fn () => $sum->work(Given::read($sum, $example)), 60);
    $slowest = $one > $slowest[1] ? [$sum->name, $one] : $slowest;
}
$profile = new Profile;
$ranking = timed(function () use ($piece, $profile): void {
    foreach ($piece->roles() as $role) {
        WireTable::of($piece, $role, $profile);
    }
}, 60);
$packing = median(array_map(fn (array $wires): float => timed(fn () => WirePacking::neededMm($wires), 15), [
    [1.0, 1.0, 0.8, 0.8, 0.6, 0.6, 0.5, 0.5], [1.0, 0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3],
    [0.5, 0.5, 0.5, 0.4, 0.4, 0.4, 0.3, 0.3], [0.8, 0.8, 0.8, 0.8, 0.8, 0.5, 0.5, 0.5],
    [1.0, 0.6, 0.6, 0.6, 0.4, 0.4, 0.4, 0.4],
]));

$row = fn (string $what, string $measured, string $aim, bool $isMet) => printf(
    "  %-58s %12s   %-14s %s\n", $what, $measured, $aim, $isMet ? '✓' : '✕',
);
printf(
    "Medians of one run, PHP %s, opcache %s, a piece of %d parts\n\n",
    PHP_VERSION,
    ini_get('opcache.enable_cli') ? 'on' : 'off',
    $parts,
);
$row('bare route of the framework, same server', sprintf('%.1f ms', $bare), '', true);
$row('one field changed, whole request and fragment', sprintf('%.1f ms', $change), '', true);
$row('  against the bare route', sprintf('%.2f ×', $change / $bare), 'aim ≤ 4 ×', $change <= 4 * $bare);
$row(
    'a measure while it is pulled, median and 95th of 100', sprintf('%.1f, %.1f ms', ...$pull), 'aim ≤ 50 ms',
    $pull[1] <= 50,
);
$row('the Cut page, whole', sprintf('%.1f ms', $cut), '', true);
$row('planning alone, steps worded', sprintf('%.2f ms', $planning), 'aim ≤ 5 ms', $planning <= 5);
$row('read, planned and drawn anew', sprintf('%.2f ms', $drawing), '', true);
$row('reading the document', sprintf('%.2f ms', $reading), '', true);
$row(
    'peak memory of the change request',
    sprintf('%.1f MB', $peak / 1_048_576),
    'aim ≤ 24 MB',
    $peak <= 24 * 1_048_576,
);

printf(
    "\nThe core alone, and as a share of a fixed loop of a million multiplications (%.1f ms in this run)\n\n",
    $loop,
);
$core = fn (string $what, float $ms, float $aimMs) => $row(
    $what,
    sprintf('%.2f ms %6.3f', $ms, $ms / $loop),
    "aim ≤ {$aimMs} ms",
    $ms <= $aimMs,
);
$core('the slowest of '.count(Sums::all()).' sums, '.$slowest[0], $slowest[1], 1);
$core('ranking every wire of the piece, all roles', $ranking, 15);
$core('eight mixed wires packed in a hole, median of five sets', $packing, 5);

printf("\nA necklace of 120 links and rings\n\n");
$row('one field changed, against the bare route', sprintf('%.2f ×', $links), 'aim ≤ 6 ×', $links <= 6);
$row('a measure while it is pulled, median and 95th of 100', sprintf('%.1f, %.1f ms', ...$necklacePull), '', true);
$row('planning alone, steps worded', sprintf('%.2f ms', $planned[120]), 'aim ≤ 25 ms', $planned[120] <= 25);
$row('its drawing', sprintf('%.0f kB', $drawn), 'aim ≤ 250 kB', $drawn <= 250);
foreach ($planned as $count => $ms) {
    $row("planning {$count} parts, a part", sprintf('%.3f ms', $ms / $count), '', true);
}
$growth = ($planned[960] / 960) / ($planned[60] / 60);
$row('a part of 960 against a part of 60', sprintf('%.2f ×', $growth), 'aim ≤ 2 ×', $growth <= 2);

$pictures = [];
foreach (array_keys(Patterns::all()) as $name) {
    $plan = Planner::plan(Patterns::start($name, 'Pictured'), new Profile);
    $plan->assembly();
    $count = (new FormingStates($plan))->count();
    $times = [];
    for ($step = 0; $step < $count; $step += max(1, intdiv($count, 8))) {
        // Each for itself, as a page asks for it, which has nothing else to clear away.
        gc_collect_cycles();
        $start = hrtime(true);
        $picture = FormingPicture::of($plan, new FormingStates($plan), $step);
        foreach (array_filter([$picture->before, $picture->after]) as $look) {
            [$left, $top, $right, $bottom] = $picture->focus($look);
            [$x, $y] = [($left + $right) / 2, ($top + $bottom) / 2];
            $look->taking(Glimpse::within([$x - 25.0, $y - 18.0, $x + 25.0, $y + 18.0]));
        }
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    $pictures[$name] = array_sum($times) / count($times);
}
$slow = array_filter($pictures, fn (float $ms): bool => $ms > 10);
printf("\nPictures of steps, before and after, of %d patterns\n\n", count($pictures));
$mean = array_sum($pictures) / count($pictures);
$row('one, the mean of all', sprintf('%.1f ms', $mean), 'aim ≤ 10 ms', $mean <= 10);
$row(
    'of the slowest pattern, '.array_search(max($pictures), $pictures, true), sprintf('%.1f ms', max($pictures)),
    'aim ≤ 10 ms', $slow === [],
);

printf("\nPages of 100 movements, pieces and finished ones, and of 50,000, 2,000 and 10,000\n\n");
foreach ($grownPages as $page => [$small, $large]) {
    $row("{$page} of few, of many", sprintf('%.1f, %.1f ms', $small[0], $large[0]), '', true);
    $row(
        '  of few, over a page that holds nothing; looked at again, of few, of many',
        sprintf('%.2f ×; %.2f, %.2f ×', $small[2], $small[3], $large[3]), 'aim ≤ 2.5 ×', $small[2] <= 2.5,
    );
    $row(
        '  the one against the other, each over the bare route', sprintf('%.2f ×', $large[1] / $small[1]), 'aim ≤ 2 ×',
        $large[1] <= 2 * $small[1],
    );
}

printf("\nThe plan of work\n\n");
$row('40 wants of 12 tasks', sprintf('%.0f ms', $workPlanned), 'aim ≤ 200 ms', $workPlanned <= 200);
$row(
    '  latest at most so much over the least there could be, of all its work',
    sprintf('%.1f %%', 100 * $workPlan->gapMinutes / $workPlan->minutes), '', true,
);

printf(
    "\nCut for a maker's hand after thirty makings, against the sum and an inch (400 simulated makers, ten links of 22 "
        ."AWG each)\n\n",
);
$makers = new Makers(21);
$plainCut = Planner::plan(Patterns::start('link-and-drop', 'Saved'), new Profile)->cuts[1];
$work = Work::in($plainCut);
$wire = $inchWire = $short = $inchShort = $wires = 0;
for ($maker = 0; $maker < 400; $maker++) {
    [$factor, $spread] = $makers->maker();
    $learned = Learned::from(array_map(fn (): Log => new Log($makers->normal($factor, $spread)), range(1, 30)));
    $cut = (new Hand(
        [$work->key() => $learned], [], new SimulatedPrices, '2026-11-25', 2200, Ruler::HalfMillimetre,
    ))->fitted(
        $plainCut,
    )->lengthMm();
    for ($link = 0; $link < 10; $link++) {
        $needs = $work->straightMm + $work->tailMm + $work->formedMm * $makers->normal($factor, $spread);
        [$wire, $inchWire, $wires] = [$wire + $cut, $inchWire + $plainCut->lengthMm() + 25.4, $wires + 1];
        [$short, $inchShort] = [
            $short + ($needs > $cut ? 1 : 0), $inchShort + ($needs > $plainCut->lengthMm() + 25.4 ? 1 : 0),
        ];
    }
}
$row('wire a link, by hand and by the inch', sprintf('%.1f mm, %.1f', $wire / $wires, $inchWire / $wires), '', true);
$row('  saved', sprintf('%.1f %%', 100 * (1 - $wire / $inchWire)), 'more than none', $wire < $inchWire);
$row(
    '  ran short, by hand and by the inch',
    sprintf('%.2f %%, %.2f %%', 100 * $short / $wires, 100 * $inchShort / $wires),
    '',
    true,
);

printf(
    "\nThe cutting plan, two seconds each, against cbc with ten where it is installed (a benchmark only; nothing here "
        ."needs it)\n\n",
);
$cutTerms = new CuttingTerms;
$shares = $ours = $theirs = [];
$isWithin = true;
foreach (range(1, 6) as $seed) {
    [$cuts, $stock] = CbcCutting::instance($seed);
    $start = hrtime(true);
    $plan = CuttingPlanner::plan($cuts, $stock, $cutTerms, new Deadline(2));
    $ours[] = (hrtime(true) - $start) / 1e9;
    $shares[] = $plan->boundMm / $plan->valueLostMm;
    $words = sprintf(
        '%d kinds, %d cuts, %d pieces: %.1f mm, bound %.1f %%',
        count($cuts),
        array_sum(array_map(fn ($cut) => $cut->count, $cuts)),
        count($stock),
        $plan->valueLostMm,
        100 * $plan->boundMm / $plan->valueLostMm,
    );
    if (! CbcCutting::isThere()) {
        $row($words, sprintf('%.2f s', $ours[$seed - 1]), '', true);

        continue;
    }
    [$value, $isProved, $seconds] = CbcCutting::solve($cuts, $stock, $cutTerms, 10);
    $theirs[] = $seconds;
    $isNear = $value === null || $plan->valueLostMm <= ($isProved ? $value + 2 : 1.003 * $value);
    $isWithin = $isWithin && $isNear;
    $row(
        $words,
        sprintf('%.2f s', $ours[$seed - 1]),
        $value === null ? 'cbc found none' : sprintf('cbc %.1f%s', $value, $isProved ? ' ✓' : ''),
        $isNear,
    );
}
$row('bounds, median', sprintf('%.1f %%', 100 * median($shares)), 'aim ≥ 98 %', median($shares) >= 0.98);
$row(
    'time, median',
    sprintf('%.2f s', median($ours)),
    $theirs === [] ? '' : sprintf('cbc %.1f s', median($theirs)),
    $theirs === [] || median($ours) < median($theirs),
);
mt_srand(9);
$many = array_map(fn (int $at): CutKind => new CutKind("cut {$at}", (float) mt_rand(30, 180), 10), range(1, 20));
$start = hrtime(true);
CuttingPlanner::plan(
    $many,
    [
        ...array_map(fn (int $at): StockRow => new StockRow("piece {$at}", (float) mt_rand(80, 900), 1), range(1, 25)),
        new StockRow('coil', 5000.0, 0),
    ],
    $cutTerms,
    new Deadline(1.8),
);
$taken = (hrtime(true) - $start) / 1e9;
$row('200 cuts planned', sprintf('%.2f s', $taken), 'aim ≤ 2 s', $taken <= 2);
