<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** The one script: it parses, says what it knows, and refuses what it does not. */
final class ScriptTest extends TestCase
{
    /** @return array{int, string} */
    private static function script(string $arguments): array
    {
        exec('cd '.escapeshellarg(dirname(__DIR__, 2))." && {$arguments} 2>&1", $lines, $status);

        return [$status, implode("\n", $lines)];
    }

    public function test_it_parses_as_plain_shell(): void
    {
        foreach (['hebra', 'tests/run.sh', '.ci/run'] as $script) {
            self::assertSame([0, ''], self::script("sh -n {$script}"), $script);
        }
        self::assertStringContainsString('./hebra test', (string) file_get_contents(dirname(__DIR__, 2).'/.ci/run'));
    }

    public function test_it_says_what_it_knows_and_refuses_the_rest(): void
    {
        [$status, $help] = self::script('./hebra');
        self::assertSame(0, $status);
        foreach (['demo', 'serve', 'test', 'bench', 'doctor'] as $command) {
            self::assertStringContainsString("./hebra {$command}", $help);
        }
        self::assertSame([1, '“dance” is not known here: give demo, serve, test, bench or doctor.'], self::script('./hebra dance'));
        [$status, $refusal] = self::script('./hebra demo --stale');
        self::assertSame(1, $status);
        self::assertStringContainsString('“--stale” is not known here: ./hebra demo takes --fresh', $refusal);
    }

    public function test_the_doctor_finds_this_machine_well(): void
    {
        [$status, $report] = self::script('./hebra doctor');
        self::assertSame(0, $status, $report);
        self::assertStringContainsString('✓ PHP 8.2 with SQLite', $report);
        self::assertStringNotContainsString('✕', $report);
    }

    public function test_it_serves_and_stops_without_leaving_anything_behind(): void
    {
        $database = sys_get_temp_dir().'/hebra-script-'.getmypid().'.sqlite';
        $port = 18_700 + getmypid() % 200;
        $log = $database.'.log';
        $process = proc_open(['setsid', './hebra', 'serve'], [['file', '/dev/null', 'r'], ['file', $log, 'w'], ['file', $log, 'a']], $pipes, dirname(__DIR__, 2), ['DB_DATABASE' => $database, 'PORT' => (string) $port, 'APP_ENV' => 'production', 'SESSION_DRIVER' => 'file', 'CACHE_STORE' => 'file'] + getenv());
        self::assertIsResource($process);
        try {
            for ($try = 0; $try < 300 && ! str_contains((string) file_get_contents($log), 'Hebra is at'); $try++) {
                usleep(100_000);
            }
            self::assertStringContainsString("http://127.0.0.1:{$port}", (string) file_get_contents($log));
            self::assertStringContainsString('Set up your workshop', (string) file_get_contents("http://127.0.0.1:{$port}/sign-up"));
            // As Ctrl-C does; a test that itself runs in the background would pass an ignored interrupt on.
            posix_kill(proc_get_status($process)['pid'], SIGTERM);
            for ($try = 0; $try < 100 && proc_get_status($process)['running']; $try++) {
                usleep(50_000);
            }
            self::assertStringContainsString('Stopped', (string) file_get_contents($log));
            self::assertFalse(@fsockopen('127.0.0.1', $port), 'nothing answers any more');
        } finally {
            proc_terminate($process, SIGKILL);
            array_map(unlink(...), glob($database.'*') ?: []);
        }
    }

    public function test_nothing_of_this_machine_is_in_the_tree(): void
    {
        [, $files] = self::script('git ls-files');
        foreach (['composer.lock', '.env', 'vendor/autoload.php'] as $kept) {
            self::assertNotContains($kept, explode("\n", $files));
        }
        self::assertStringNotContainsString('"resolved"', (string) file_get_contents(dirname(__DIR__, 2).'/package-lock.json'));
    }
}
