<?php

declare(strict_types=1);

// What share of small faults in the core its tests find: php tests/mutate.php [--count=60] [--seed=1] [--jobs=4]. Each
// fault is one operator or one number of one file, chosen by the seed; it is killed when a test of the core fails or
// does not end. Run by ./hebra bench, never by ./hebra test.

const ROOT = __DIR__.'/..';
const SECONDS = 240;
// What tells most at once comes first.
const TESTS = 'vendor/bin/phpunit --no-progress core/tests/GridTest.php && vendor/bin/phpunit --no-progress '
    .'core/tests/Sum/SweepTest.php && vendor/bin/phpunit --no-progress core/tests/Quantity && vendor/bin/phpunit '
    .'--no-progress core/tests/Plan/LikenessTest.php && vendor/bin/phpunit --testsuite core --no-progress '
    .'--stop-on-failure --stop-on-error';
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
function chosen(int $count, int $seed): array
{
    $files = iterator_to_array(
        new RegexIterator(
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator(ROOT.'/core/src', FilesystemIterator::SKIP_DOTS),
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
    foreach ([
        'core', 'app', 'resources', 'docs', 'vendor', 'packages', 'tests', 'database', 'routes', 'config', 'bootstrap',
        'phpunit.xml', 'composer.json', 'artisan',
    ] as $part) {
        if (file_exists(ROOT.'/'.$part)) {
            exec('cp -al '.escapeshellarg(ROOT.'/'.$part).' '.escapeshellarg($tree.'/'), $out, $code);
            $code === 0 || exec('cp -a '.escapeshellarg(ROOT.'/'.$part).' '.escapeshellarg($tree.'/'));
        }
    }

    return $tree;
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

$options = getopt('', ['count:', 'seed:', 'jobs:']);
[$count, $seed, $jobs] = [
    (int) ($options['count'] ?? 60), (int) ($options['seed'] ?? 1), max(1, (int) ($options['jobs'] ?? 4)),
];
passthru('cd '.escapeshellarg(ROOT).' && ('.TESTS.') > /dev/null', $isRed);
$isRed === 0 || exit("The tests of the core fail without any fault: nothing can be said.\n");
$waiting = chosen($count, $seed);
$trees = array_map(tree(...), range(1, $jobs));
$running = $survived = [];
$killed = 0;
while ($waiting !== [] || $running !== []) {
    foreach ($trees as $job => $tree) {
        if (! isset($running[$job]) && $waiting !== []) {
            $fault = array_shift($waiting);
            put($tree, $fault['file'], $fault);
            $process = proc_open(
                ['timeout', (string) SECONDS, 'sh', '-c', TESTS],
                [0 => ['file', '/dev/null', 'r'], 1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
                $pipes,
                $tree,
            );
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
foreach ($trees as $tree) {
    exec('rm -rf '.escapeshellarg($tree));
}
printf("%d of %d faults found, %.0f %% (seed %d; aim ≥ 85 %%)\n", $killed, $count, 100 * $killed / $count, $seed);
