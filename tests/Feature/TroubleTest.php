<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Served;
use Tests\Visitor;

/**
 * The place where everything is kept is locked, full, closed or damaged: a page says which, nothing is half-written,
 * and it goes on when it can.
 */
final class TroubleTest extends TestCase
{
    private const COIL = [
        'kind' => 'coil',
        'metal' => 'copper',
        'size' => '20awg',
        'temper' => 'dead-soft',
        'amount' => '2 m',
    ];

    private Served $served;

    private Visitor $maker;

    /** @var array<string, string> */
    private array $coil;

    private function begin(): void
    {
        $this->served = Served::start(['DB_BUSY_TIMEOUT' => '300', 'DB_PERSISTENT' => '0'], 2);
        $this->maker = $this->served->maker();
        $this->coil = ['_token' => $this->maker->token()] + self::COIL;
    }

    protected function tearDown(): void
    {
        $this->served->end();
    }

    private function lots(): int
    {
        return (int) $this->served->rows('SELECT COUNT(*) AS n FROM lots')[0]['n'];
    }

    private function assertTold(int $status, string $sentence): void
    {
        self::assertSame(
            [$status, true],
            [$this->maker->status, str_contains($this->maker->body, $sentence)],
            mb_substr(trim(strip_tags($this->maker->body)), 0, 300).implode(
                '',
                array_map(
                    file_get_contents(...),
                    glob(dirname($this->served->environment['DB_DATABASE']).'/logs/*') ?: [],
                ),
            ),
        );
        self::assertStringNotContainsString('SQLSTATE', $this->maker->body);
    }

    public function test_busy_is_said_with_when_to_come_again_and_reading_goes_on(): void
    {
        $this->begin();
        $other = $this->served->book();
        $other->exec('BEGIN IMMEDIATE');
        $this->maker->ask('/stock', $this->coil);
        $this->assertTold(503, 'do it again in a moment');
        self::assertSame(200, $this->maker->ask('/stock')->status, 'looking waits for nobody');
        $other->exec('ROLLBACK');
        self::assertSame(303, $this->maker->ask('/stock', $this->coil)->status);
        self::assertSame(1, $this->lots());
    }

    public function test_a_full_disk_is_said_and_nothing_is_half_written(): void
    {
        $this->begin();
        $this->served->kill();
        $pages = (int) $this->served->book()->query('PRAGMA page_count')?->fetchColumn();
        // As if there were room for two pages more, which the first coils still find.
        $served = $this->served->with(['DB_MOST_PAGES' => (string) ($pages + 2)]);
        for (
            $coil = 0; $coil < 400
            && $this->maker->ask('/stock', ['name' => str_repeat('x', 50).$coil] + $this->coil)->status === 303; $coil++
        ) {
            continue;
        }
        $this->assertTold(507, 'The disk is full.');
        self::assertSame($coil, $this->lots());
        self::assertSame(0, (int) $this->served->rows('SELECT SUM(mass_mg) AS mg FROM movements')[0]['mg']);
        self::assertSame(200, $this->maker->ask('/stock')->status);
        $served->kill();
        $this->served->with(['DB_MOST_PAGES' => '1000000']);
        self::assertSame(303, $this->maker->ask('/stock', $this->coil)->status, 'with room again it goes on');
    }

    public function test_what_may_only_be_read_is_read(): void
    {
        $this->begin();
        $this->served->kill();
        $this->served->with(['DB_READ_ONLY' => '1']);
        self::assertSame(200, $this->maker->ask('/stock')->status);
        $this->maker->ask('/stock', $this->coil);
        $this->assertTold(503, 'can be read but not written');
    }

    /** Eight seconds of search for somebody who went away after half a second keep nobody else waiting. */
    #[Group('wide')]
    public function test_a_search_ends_where_nobody_waits_for_it(): void
    {
        $this->served = Served::start([], 1);
        $this->maker = $this->served->maker();
        $token = $this->maker->token();
        foreach ([61, 97, 113, 127, 149, 171, 191, 223, 251, 307, 340, 390, 410, 455, 520, 560] as $length) {
            $this->maker->ask('/stock', [
                '_token' => $token, 'kind' => 'offcut', 'name' => "Offcut {$length}", 'metal' => 'sterling',
                'size' => '22awg',
                'temper' => 'dead-soft', 'amount' => "{$length} mm",
            ]);
        }
        $asked = [];
        foreach (['linked-bracelet', 'two-links', 'link-and-drop', 'straight-line', 'mirrored-necklace'] as $pattern) {
            $this->maker->ask('/pieces', ['_token' => $token, 'name' => $pattern, 'pattern' => $pattern]);
            $asked[] = 'pieces[]='.$this->served->rows('SELECT ulid FROM pieces ORDER BY id DESC LIMIT 1')[0]['ulid'];
        }
        $longer = '/cutting?'.implode('&', $asked).'&longer=1';
        $this->maker->ask($longer);
        self::assertStringContainsString(
            '% from the least', $this->maker->body, 'it is a search that goes on to its end',
        );
        $searched = $this->maker->seconds;
        $this->maker->patienceMs = 500;
        $this->maker->ask($longer);
        self::assertSame(0, preg_match('/<h1/', $this->maker->body), 'gone before there was an answer');
        $this->maker->patienceMs = 120_000;
        self::assertSame(200, $this->maker->ask('/stock')->status);
        self::assertLessThan($searched / 2, $this->maker->seconds);
    }

    public function test_a_damaged_file_is_said(): void
    {
        $this->begin();
        $this->served->kill();
        $this->served->book()->exec('PRAGMA wal_checkpoint(TRUNCATE)');
        $file = $this->served->environment['DB_DATABASE'];
        array_map(unlink(...), glob("{$file}-*") ?: []);
        file_put_contents($file, 'SQLite no more'.random_bytes(20_000));
        $this->served->again();
        $this->maker->ask('/stock');
        $this->assertTold(503, 'is damaged. Stop Hebra and start it again');
    }
}
