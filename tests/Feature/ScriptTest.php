<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;
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
        foreach (['demo', 'serve', 'backup', 'restore', 'password', 'test', 'bench', 'doctor'] as $command) {
            self::assertStringContainsString("./hebra {$command}", $help);
        }
        self::assertSame(
            [1, '“dance” is not known here: give demo, serve, backup, restore, password, test, bench, pictures or doctor.'],
            self::script('./hebra dance'),
        );
        [$status, $refusal] = self::script('./hebra demo --stale');
        self::assertSame(1, $status);
        self::assertStringContainsString('“--stale” is not known here: ./hebra demo takes --fresh', $refusal);
    }

    public function test_the_doctor_finds_this_machine_well(): void
    {
        self::script('chmod -R go-rwx storage bootstrap/cache');
        [$status, $report] = self::script('./hebra doctor');
        self::assertSame(0, $status, $report);
        self::assertStringContainsString('✓ PHP 8.2 with SQLite', $report);
        self::assertStringNotContainsString('✕', $report);
    }

    /** Keys, sessions and books are for their owner; what is open to others is found. */
    public function test_the_doctor_finds_what_others_may_read(): void
    {
        $open = dirname(__DIR__, 2).'/storage/app/open-'.getmypid();
        touch($open);
        chmod($open, 0644);
        [$status, $report] = self::script('./hebra doctor');
        unlink($open);
        self::assertSame(1, $status);
        self::assertStringContainsString('✕ storage/ and bootstrap/cache/ are closed to other users', $report);
    }

    /** @var list<resource> */
    private array $servers = [];

    private string $databases = '';

    protected function tearDown(): void
    {
        foreach ($this->servers as $server) {
            // Its own trap ends the workers, which are a group apart.
            posix_kill(proc_get_status($server)['pid'], SIGTERM);
            proc_close($server);
        }
        if ($this->databases !== '') {
            array_map(unlink(...), glob($this->databases.'*') ?: []);
        }
    }

    /** @return array{resource, string, string} the process, its address and its log */
    private function started(string $mode, int $port): array
    {
        $this->databases = sys_get_temp_dir().'/hebra-script-'.getmypid();
        $log = "{$this->databases}-{$mode}.log";
        $process = proc_open(
            ['setsid', './hebra', $mode],
            [['file', '/dev/null', 'r'], ['file', $log, 'w'], ['file', $log, 'a']],
            $pipes,
            dirname(__DIR__, 2),
            [
                'DB_DATABASE' => "{$this->databases}-{$mode}.sqlite", 'PORT' => (string) $port,
                'APP_ENV' => 'production', 'SESSION_DRIVER' => 'file', 'CACHE_STORE' => 'file', 'APP_KEY' => '',
            ] + getenv(),
        );
        self::assertIsResource($process);
        $this->servers[] = $process;
        for ($try = 0; $try < 600 && ! str_contains((string) file_get_contents($log), 'Hebra is at'); $try++) {
            usleep(100_000);
        }
        self::assertSame(
            1,
            preg_match('~Hebra is at +(http://127.0.0.1:\d+)~', (string) file_get_contents($log), $match),
            (string) file_get_contents($log),
        );

        return [$process, $match[1], $log];
    }

    /** By nginx and PHP-FPM, whose workers come again when they die. */
    #[Group('wide')]
    public function test_it_serves_and_stops_without_leaving_anything_behind(): void
    {
        [$process, $address, $log] = $this->started('serve', 18_700 + getmypid() % 200);
        self::assertStringContainsString('Set up your workshop', (string) file_get_contents("{$address}/sign-up"));
        exec('pkill -KILL -f '.escapeshellarg('php-fpm: pool hebra'));
        for ($try = 0; $try < 100 && @file_get_contents("{$address}/up") === false; $try++) {
            usleep(100_000);
        }
        self::assertStringContainsString(
            'Set up your workshop',
            (string) file_get_contents("{$address}/sign-up"),
            'a worker that dies is replaced',
        );
        foreach (glob($this->databases.'-serve.sqlite*') ?: [] as $file) {
            self::assertSame(0, fileperms($file) & 077, "{$file} is for its owner alone");
        }
        // As Ctrl-C does; a test that itself runs in the background would pass an ignored interrupt on.
        posix_kill(proc_get_status($process)['pid'], SIGTERM);
        for ($try = 0; $try < 100 && proc_get_status($process)['running']; $try++) {
            usleep(50_000);
        }
        self::assertStringContainsString('Stopped', (string) file_get_contents($log));
        self::assertFalse(@fsockopen('127.0.0.1', (int) parse_url($address, PHP_URL_PORT)), 'nothing answers any more');
        for ($try = 0; $try < 100 && $this->left() !== []; $try++) {
            usleep(50_000);
        }
        self::assertSame([], $this->left(), 'no process of it is left');
    }

    /** @return list<string> what still runs with the database of this test */
    private function left(): array
    {
        $left = [];
        foreach (glob('/proc/[0-9]*') ?: [] as $process) {
            if (str_contains((string) @file_get_contents("{$process}/environ"), $this->databases.'-serve.sqlite')) {
                $left[] = strtr((string) @file_get_contents("{$process}/cmdline"), "\0", ' ');
            }
        }

        return $left;
    }

    /** @return array{int, string, list<string>} status, body and cookies */
    private static function asked(string $address, string $cookie = '', ?string $form = null): array
    {
        $context = stream_context_create(
            ['http' => [
                'ignore_errors' => true, 'follow_location' => 0, 'method' => $form === null ? 'GET' : 'POST',
                'header' => "Cookie: {$cookie}\r\nContent-Type: application/x-www-form-urlencoded",
                'content' => (string) $form,
            ]],
        );
        $body = (string) file_get_contents($address, false, $context);
        $cookies = [];
        foreach ($http_response_header as $line) {
            if (preg_match('/^Set-Cookie: ([^;]+)/i', $line, $match) === 1) {
                $cookies[] = $match[1];
            }
        }
        preg_match('/ (\d{3}) /', $http_response_header[0], $match);

        return [(int) $match[1], $body, $cookies];
    }

    /**
     * Both run from one folder and one browser visits both: the demo's session, whatever it is called, is nobody in the
     * real workshop.
     */
    #[Group('wide')]
    public function test_the_demo_signs_nobody_into_the_workshop(): void
    {
        [, $workshop] = $this->started('serve', 18_900 + getmypid() % 100);
        [, $demo] = $this->started('demo', 19_000 + getmypid() % 100);
        $page = self::asked("{$demo}/sign-in");
        preg_match('/name="_token" value="([^"]+)"/', $page[1], $match);
        [$status, , $cookies] = self::asked(
            "{$demo}/enter-demo", implode('; ', $page[2]), '_token='.urlencode($match[1] ?? ''),
        );
        self::assertSame(302, $status);
        $cookie = implode('; ', $cookies);
        self::assertSame(200, self::asked("{$demo}/account", $cookie)[0], 'in the demo it is somebody');
        self::assertSame(302, self::asked("{$workshop}/account", $cookie)[0]);
        self::assertSame(
            302,
            self::asked("{$workshop}/account", str_replace('hebra_demo', 'hebra_workshop', $cookie))[0],
            'under the other name too',
        );
    }

    public function test_nothing_of_this_machine_is_in_the_tree(): void
    {
        [, $files] = self::script('git ls-files');
        foreach (['composer.lock', '.env', 'vendor/autoload.php'] as $kept) {
            self::assertNotContains($kept, explode("\n", $files));
        }
        self::assertStringNotContainsString(
            '"resolved"',
            (string) file_get_contents(dirname(__DIR__, 2).'/package-lock.json'),
        );
    }
}
