<?php

declare(strict_types=1);

// What share of small faults its tests find: php tests/mutate.php [--in=core] [--count=60] [--seed=1] [--jobs=4]. Each
// fault is one operator or one number of one file, chosen by the seed; it is killed when a test fails or does not end.
// `--in=actions` puts them into what writes to the book. Run by ./hebra bench, never by ./hebra test.

const ROOT = __DIR__.'/..';
// A test that takes so many times longer than without a fault does not end.
const PATIENCE = 4;
const PHPUNIT = 'vendor/bin/phpunit --no-progress --stop-on-defect ';
// Where faults are put, and the tests that are to find them: what tells most at once comes first. Of the wide ones,
// which would find more, only what was looked at.
const ROOMS = [
    'core' => ['core/src', [
        'core/tests/GridTest.php', 'core/tests/Sum/SweepTest.php', '--testsuite core --exclude-group wide',
        'core/tests/Plan/LikenessTest.php',
    ]],
    'actions' => ['app/Actions', ['--testsuite feature --exclude-group wide --exclude-filter ScriptTest']],
];
const OTHER = [
    '+' => '-',
    '-' => '+',
    '*' => '/',
    '/' => '*',
    '<' => '<=',
    '>' => '>=',
    '<=' => '<',
    '>=' => '>',
    '===' => '!==',
    '!==' => '===',
    '&&' => '||',
    '||' => '&&',
    'min' => 'max',
    'max' => 'min',
    'floor' => 'ceil',
    'ceil' => 'floor',
    'true' => 'false',
    'false' => 'true',
];

/**
 * @return list<array{file: string, at: int, line: int, was: string, is: string}> every place of a file where a fault
 *     may be put
 */
function places(string $file): array
{
    $places = [];
    $at = 0;
    $before = '';
    foreach (PhpToken::tokenize((string) file_get_contents($file)) as $token) {
        $is = null;
        if ($token->is([T_LNUMBER, T_DNUMBER]) && $before !== 'strict_types' && $before !== '=1') {
            $is = $token->is(T_DNUMBER)
                ? var_export((float) $token->text * 1.1 + 0.01, true)
                : (ctype_digit($token->text) ? (string) ((int) $token->text + 1) : null);
        } elseif (
            isset(OTHER[$token->text])
            && ! $token->is([T_CONSTANT_ENCAPSED_STRING, T_COMMENT, T_DOC_COMMENT, T_INLINE_HTML])
        ) {
            $is = in_array($token->text, ['min', 'max', 'floor', 'ceil'], true)
                && in_array($before, ['->', '::', 'function', '$'], true)
                ? null
                : OTHER[$token->text];
        }
        if ($is !== null) {
            $places[] = ['file' => $file, 'at' => $at, 'line' => $token->line, 'was' => $token->text, 'is' => $is];
        }
        $at += strlen($token->text);
        if (! $token->is([T_WHITESPACE, T_COMMENT, T_DOC_COMMENT])) {
            $before = $before === 'strict_types' ? '=1' : $token->text;
        }
    }

    return $places;
}

/** @return list<array{file: string, at: int, line: int, was: string, is: string}> */
function chosen(string $room, int $count, int $seed): array
{
    $files = iterator_to_array(
        new RegexIterator(
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator(ROOT.'/'.ROOMS[$room][0], FilesystemIterator::SKIP_DOTS),
            ),
            '/\.php$/',
        ),
        false,
    );
    $files = array_map(fn (SplFileInfo $file): string => $file->getPathname(), $files);
    sort($files);
    $all = array_merge(...array_map(places(...), $files));
    mt_srand($seed);
    $chosen = [];
    while (count($chosen) < $count) {
        $chosen[mt_rand(0, count($all) - 1)] = true;
    }

    return array_map(fn (int $at): array => $all[$at], array_keys($chosen));
}

/** A tree of its own: links to every file, so that one can be replaced without touching the others. */
function tree(int $job): string
{
    $tree = sys_get_temp_dir().'/hebra-mutants-'.getmypid()."-{$job}";
    mkdir($tree);
    foreach (array_diff(scandir(ROOT) ?: [], ['.', '..', '.git', '.phpunit.cache', 'storage']) as $part) {
        [$from, $to] = [escapeshellarg(ROOT.'/'.$part), escapeshellarg($tree.'/')];
        exec("cp -al {$from} {$to} 2>/dev/null || cp -a {$from} {$to}");
    }
    // What is written while tests run is its own.
    exec('cd '.escapeshellarg(ROOT).' && cp -a --parents $(git ls-files storage) storage/framework/fonts '
        .escapeshellarg($tree));

    return $tree;
}

/** @return resource */
function tested(string $room, string $tree, float $seconds)
{
    $tests = implode(' && ', array_map(fn (string $one): string => PHPUNIT.$one, ROOMS[$room][1]));
    $nothing = ['file', '/dev/null', 'w'];

    return proc_open(
        ['timeout', (string) ceil($seconds), 'sh', '-c', $tests], [['file', '/dev/null', 'r'], $nothing, $nothing],
        $pipes, $tree,
    ) ?: throw new RuntimeException('No process was started.');
}

/** @param  array{file: string, at: int, line: int, was: string, is: string}|null  $fault */
function put(string $tree, string $file, ?array $fault): void
{
    $source = (string) file_get_contents($file);
    $there = $tree.substr($file, strlen(ROOT));
    unlink($there);
    file_put_contents(
        $there,
        $fault === null ? $source : substr_replace($source, $fault['is'], $fault['at'], strlen($fault['was'])),
    );
}

$options = getopt('', ['in:', 'count:', 'seed:', 'jobs:']);
[$room, $count, $seed, $jobs] = [
    $options['in'] ?? 'core', (int) ($options['count'] ?? 60), (int) ($options['seed'] ?? 1),
    max(1, (int) ($options['jobs'] ?? 4)),
];
isset(ROOMS[$room]) || exit("“{$room}” is no room here: core or actions.\n");
$trees = array_map(tree(...), range(1, $jobs));
register_shutdown_function(fn () => exec('rm -rf '.implode(' ', array_map(escapeshellarg(...), $trees))));
// As busy as it will be: in every tree at once.
$began = microtime(true);
$clean = array_map(fn (string $tree) => tested($room, $tree, 7200), $trees);
array_filter(array_map(proc_close(...), $clean)) === []
    || exit("The tests fail without any fault: nothing can be said.\n");
$seconds = PATIENCE * (microtime(true) - $began);
$waiting = chosen($room, $count, $seed);
$running = $survived = [];
$killed = 0;
while ($waiting !== [] || $running !== []) {
    foreach ($trees as $job => $tree) {
        if (! isset($running[$job]) && $waiting !== []) {
            $fault = array_shift($waiting);
            put($tree, $fault['file'], $fault);
            $process = tested($room, $tree, $seconds);
            $running[$job] = [$process, $fault];
        }
    }
    foreach ($running as $job => [$process, $fault]) {
        $status = proc_get_status($process);
        if ($status['running']) {
            continue;
        }
        proc_close($process);
        put($trees[$job], $fault['file'], null);
        unset($running[$job]);
        $killed += $status['exitcode'] === 0 ? 0 : 1;
        if ($status['exitcode'] === 0) {
            $survived[] = $fault;
            printf(
                "  survived  %s:%d  %s → %s\n",
                substr($fault['file'], strlen(ROOT) + 1),
                $fault['line'],
                $fault['was'],
                $fault['is'],
            );
        }
    }
    usleep(50_000);
}
printf(
    "%d of %d faults in %s found, %.0f %% (seed %d; aim ≥ %d %%)\n", $killed, $count, ROOMS[$room][0],
    100 * $killed / $count, $seed, $room === 'core' ? 85 : 70,
);
