<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/**
 * The server is killed in the middle of closing a making, once after each statement that the closing sends to the
 * database. Afterwards the book is as before; left alone, it is as after. A process and a database file of its own.
 */
final class KilledServerTest extends TestCase
{
    private string $file;

    protected function setUp(): void
    {
        $this->file = sys_get_temp_dir().'/hebra-killed-'.getmypid().'.sqlite';
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob($this->file.'*') ?: []);
    }

    /** @return array{int, string} exit status or signal, output */
    private function closing(string $mode, int $after = 0): array
    {
        $process = proc_open(
            [PHP_BINARY, __DIR__.'/../closing.php', $mode, (string) $after],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
            null,
            ['DB_DATABASE' => $this->file] + getenv(),
        );
        self::assertIsResource($process);
        $output = stream_get_contents($pipes[1]).stream_get_contents($pipes[2]);
        do {
            usleep(2000);
            $status = proc_get_status($process);
        } while ($status['running']);
        proc_close($process);

        return [$status['signaled'] ? $status['termsig'] : $status['exitcode'], trim($output)];
    }

    /** @return array<string, mixed> */
    private function book(): array
    {
        $pdo = new \PDO('sqlite:'.$this->file);
        $all = fn (string $sql): array => $pdo->query($sql)?->fetchAll(\PDO::FETCH_ASSOC) ?: [];

        return [
            'movements' => $all('SELECT * FROM movements ORDER BY id'),
            'lots' => $all('SELECT id, name FROM lots ORDER BY id'),
            'beads' => $all('SELECT owned FROM beads'),
            'closed' => $all('SELECT closed_at FROM makings'),
        ];
    }

    #[Group('wide')]
    public function test_the_book_is_as_before_or_as_after(): void
    {
        self::assertSame([0, 'ready'], $this->closing('prepare'));
        $before = $this->book();
        self::assertSame([['closed_at' => null], ['closed_at' => null]], $before['closed']);
        $killed = 0;
        for ($after = 1; $after <= 200; $after++) {
            [$status, $output] = $this->closing('close', $after);
            if ($status === 0) {
                self::assertSame('closed', $output);
                break;
            }
            self::assertSame(SIGKILL, $status, $output);
            self::assertSame($before, $this->book(), "killed after statement {$after}");
            $killed++;
        }
        self::assertGreaterThan(15, $killed, 'killed in many places before it could finish');
        $now = $this->book();
        self::assertNotNull($now['closed'][0]['closed_at']);
        self::assertGreaterThan(count($before['movements']), count($now['movements']));
        self::assertSame(0, array_sum(array_column($now['movements'], 'mass_mg')));
        self::assertGreaterThan(count($before['lots']), count($now['lots']), 'the offcuts are in stock');
    }

    /**
     * Each of two processes wants 600 of the coil's 1000 mm at the same moment: one gets it, the other is told, and
     * nothing is lost.
     */
    public function test_two_makers_cannot_both_take_the_last_of_a_coil(): void
    {
        self::assertSame([0, 'ready'], $this->closing('prepare'));
        $processes = $pipes = [];
        foreach ([1, 2] as $maker) {
            $processes[$maker] = proc_open(
                [PHP_BINARY, __DIR__.'/../closing.php', 'race', (string) $maker],
                [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
                $pipes[$maker],
                null,
                ['DB_DATABASE' => $this->file] + getenv(),
            );
        }
        $said = [];
        foreach ($processes as $maker => $process) {
            self::assertIsResource($process);
            $said[] = trim(stream_get_contents($pipes[$maker][1]).stream_get_contents($pipes[$maker][2]));
            self::assertSame(0, proc_close($process));
        }
        sort($said);
        self::assertStringContainsString('and this takes 601 mm', $said[0]);
        self::assertSame('closed', $said[1]);
        $book = $this->book();
        self::assertCount(1, array_filter(array_column($book['closed'], 'closed_at')));
        self::assertSame(0, array_sum(array_column($book['movements'], 'mass_mg')));
    }
}
