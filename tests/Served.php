<?php

declare(strict_types=1);

namespace Tests;

use PDO;
use RuntimeException;

/** Hebra served by processes of its own, on a database of its own. */
final class Served
{
    public readonly string $address;

    /** @var array<string, string> */
    private array $more = [];

    /** @var resource|null */
    private $server = null;

    /** @param  array<string, string>  $environment */
    private function __construct(
        private readonly string $scratch,
        public readonly array $environment,
        private readonly int $port,
        private readonly int $workers,
        private readonly string $router,
    ) {
        $this->address = "http://127.0.0.1:{$port}";
    }

    /** @param  array<string, string>  $more  of the environment */
    public static function start(
        array $more = [],
        int $workers = 4,
        string $router = 'server.php',
        bool $isCached = false,
    ): self {
        $scratch = sys_get_temp_dir().'/hebra-served-'.bin2hex(random_bytes(6));
        mkdir($scratch, 0700);
        $environment = [
            ...getenv(), 'DB_DATABASE' => "{$scratch}/book.sqlite", 'APP_ENV' => 'production',
            'APP_KEY' => 'base64:AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA=', 'DB_PERSISTENT' => '1',
            'SESSION_DRIVER' => 'file', 'CACHE_STORE' => 'file',
            'HEBRA_STORAGE' => $scratch, 'APP_CONFIG_CACHE' => "{$scratch}/config.php",
            'APP_ROUTES_CACHE' => "{$scratch}/routes.php", 'VIEW_COMPILED_PATH' => "{$scratch}/views", ...$more,
        ];
        array_map(
            fn (string $folder): bool => mkdir("{$scratch}/{$folder}", 0700, true),
            ['views', 'sessions', 'cache', 'logs'],
        );
        touch($environment['DB_DATABASE']);
        $served = new self($scratch, $environment, self::freePort(), $workers, $router);
        array_map(
            $served->artisan(...),
            [...$isCached ? ['config:cache', 'route:cache', 'view:cache'] : [], 'migrate --force --seed'],
        );
        $served->serve();
        register_shutdown_function($served->end(...));

        return $served;
    }

    /**
     * One that nobody listens at, and from which none asks: whoever stops for a while finds it free again. Suites run
     * beside each other.
     */
    public static function freePort(): int
    {
        for ($try = 0; $try < 50; $try++) {
            $port = random_int(18_000, 31_999);
            $socket = @stream_socket_server("tcp://127.0.0.1:{$port}");
            if (is_resource($socket)) {
                fclose($socket);

                return $port;
            }
        }

        throw new RuntimeException('No port is free.');
    }

    public function artisan(string $command): void
    {
        $process = proc_open(
            [PHP_BINARY, 'artisan', ...explode(' ', $command), '--quiet'],
            [],
            $pipes,
            dirname(__DIR__),
            $this->environment,
        );
        is_resource($process) && proc_close($process) === 0 || throw new RuntimeException("artisan {$command} failed");
    }

    private function serve(): void
    {
        $server = proc_open([
            'setsid', PHP_BINARY, '-d', 'opcache.enable_cli=1', '-S', "127.0.0.1:{$this->port}", '-t', 'public',
            $this->router,
        ], [
            ['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', "{$this->scratch}/server.log", 'w'],
        ], $pipes, dirname(__DIR__),
            [
                ...$this->environment, ...$this->more,
                ...$this->workers > 1 ? ['PHP_CLI_SERVER_WORKERS' => (string) $this->workers] : [],
            ]);
        is_resource($server) || throw new RuntimeException('The server did not start.');
        $this->server = $server;
        for ($try = 0; $try < 1200; $try++) {
            if (is_resource($open = @fsockopen('127.0.0.1', $this->port))) {
                fclose($open);

                return;
            }
            proc_get_status($server)['running'] || throw new RuntimeException("Nothing is served at {$this->address}.");
            usleep(50_000);
        }

        throw new RuntimeException("{$this->address} does not answer.");
    }

    /** As when the plug is pulled: all its workers at once. */
    public function kill(): void
    {
        if ($this->server !== null) {
            $pid = proc_get_status($this->server)['pid'];
            posix_kill(-$pid, SIGKILL) || posix_kill($pid, SIGKILL);
            proc_close($this->server);
            $this->server = null;
            // Its workers end a moment later, and hold the port until then.
            for ($try = 0; $try < 200 && is_resource($open = @fsockopen('127.0.0.1', $this->port)); $try++) {
                fclose($open);
                usleep(10_000);
            }
        }
    }

    /**
     * Started again with something else in its environment.
     *
     * @param  array<string, string>  $more
     */
    public function with(array $more): self
    {
        $this->more = $more;
        $this->serve();

        return $this;
    }

    public function again(): void
    {
        $this->serve();
    }

    public function end(): void
    {
        if (is_dir($this->scratch)) {
            $this->kill();
            exec('rm -rf '.escapeshellarg($this->scratch));
        }
    }

    public function book(): PDO
    {
        return new PDO('sqlite:'.$this->environment['DB_DATABASE']);
    }

    /** @return list<array<string, mixed>> */
    public function rows(string $sql): array
    {
        return array_values($this->book()->query($sql)?->fetchAll(PDO::FETCH_ASSOC) ?: []);
    }

    /** A maker with a workshop of their own, signed in. */
    public function maker(string $name = 'Ida'): Visitor
    {
        $visitor = new Visitor($this->address);
        $token = $visitor->ask('/sign-up')->token();
        $visitor->ask(
            '/sign-up',
            [
                '_token' => $token, 'workshop' => "{$name}’s", 'name' => $name,
                'email' => mb_strtolower($name).'@w.example', 'password' => 'a few plain words',
            ],
        );
        $visitor->status === 302
            || throw new RuntimeException(
                "Signing up gave {$visitor->status}: ".mb_substr(trim(strip_tags($visitor->body)), 0, 300),
            );

        return $visitor->ask('/stock');
    }
}
