<?php

declare(strict_types=1);

namespace Tests\Feature;

use CURLFile;
use PDO;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Served;
use Tests\Visitor;

/** What is kept comes back: backups, copies, upgrades that are cut off, at a real server with a database of its own. */
final class KeptTest extends TestCase
{
    private Served $served;

    private string $folder;

    protected function setUp(): void
    {
        $this->served = Served::start(['HEBRA_SIGN_UP' => 'open']);
        $this->folder = dirname($this->served->environment['DB_DATABASE']);
    }

    protected function tearDown(): void
    {
        $this->served->end();
    }

    /** @return array{int, string} exit status and what was said */
    private function artisan(string ...$arguments): array
    {
        $process = proc_open(
            [PHP_BINARY, 'artisan', ...$arguments],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
            dirname(__DIR__, 2),
            $this->served->environment,
        );
        self::assertIsResource($process);
        $said = stream_get_contents($pipes[1]).stream_get_contents($pipes[2]);

        return [proc_close($process), trim($said)];
    }

    /** @return array<string, int> */
    private function counts(): array
    {
        $counts = [];
        foreach (['workshops', 'users', 'pieces', 'lots', 'movements', 'photos', 'makings'] as $table) {
            $counts[$table] = (int) $this->served->rows("SELECT COUNT(*) AS n FROM {$table}")[0]['n'];
        }

        return $counts;
    }

    /** A workshop with a coil, a piece, a making and a photo. */
    private function filled(string $name): Visitor
    {
        $maker = $this->served->maker($name);
        $token = $maker->token();
        $maker->ask(
            '/stock',
            [
                '_token' => $token, 'kind' => 'coil', 'name' => "Coil of {$name}", 'metal' => 'sterling',
                'size' => '24awg', 'temper' => 'dead-soft', 'amount' => '20 m',
            ],
        );
        $maker->ask('/pieces', ['_token' => $token, 'name' => "Drops of {$name}", 'pattern' => 'single-drop']);
        $piece = (string) $this->served->rows('SELECT ulid FROM pieces ORDER BY id DESC LIMIT 1')[0]['ulid'];
        $maker->ask("/pieces/{$piece}/makings", ['_token' => $token]);
        $making = (string) $this->served->rows('SELECT ulid FROM makings ORDER BY id DESC LIMIT 1')[0]['ulid'];
        $image = imagecreatetruecolor(60, 40);
        imagejpeg($image, "{$this->folder}/{$name}.jpg");
        $maker->ask(
            "/makings/{$making}/photos",
            ['_token' => $token, 'photo' => new CURLFile("{$this->folder}/{$name}.jpg", 'image/jpeg', 'drops.jpg')],
        );
        self::assertContains($maker->status, [302, 303]);

        return $maker->ask('/stock');
    }

    public function test_a_backup_made_while_it_is_served_comes_back_into_an_empty_place(): void
    {
        $maker = $this->filled('Karin');
        $file = "{$this->folder}/all.zip";
        [$status, $said] = $this->artisan('hebra:backup', $file);
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('was read back', $said);
        self::assertSame(0, fileperms($file) & 077);
        $before = $this->counts();
        self::assertSame(1, $before['photos']);
        $maker->ask(
            '/stock',
            [
                '_token' => $maker->token(), 'kind' => 'coil', 'name' => 'Later', 'metal' => 'copper',
                'size' => '20awg', 'temper' => 'dead-soft', 'amount' => '2 m',
            ],
        );
        $this->served->kill();
        array_map(unlink(...), glob($this->served->environment['DB_DATABASE'].'*') ?: []);
        [$status, $said] = $this->artisan('hebra:restore', $file);
        self::assertSame(0, $status, $said);
        self::assertSame($before, $this->counts());
        $this->served->again();
        $again = new Visitor($this->served->address);
        $again->ask(
            '/sign-in',
            [
                '_token' => $again->ask('/sign-in')->token(), 'email' => 'karin@w.example',
                'password' => 'a few plain words',
            ],
        );
        self::assertStringContainsString('Coil of Karin', $again->ask('/stock')->body);
    }

    public function test_a_backup_comes_back_beside_what_is_there_as_a_workshop_of_its_own(): void
    {
        $this->filled('Karin');
        $file = "{$this->folder}/all.zip";
        $this->artisan('hebra:backup', $file);
        $before = $this->counts();
        [$status, $said] = $this->artisan('hebra:restore', $file);
        self::assertSame(0, $status, $said);
        self::assertSame(
            [2 * $before['pieces'], 2 * $before['movements'], 2 * $before['photos'], $before['users']],
            [
                $this->counts()['pieces'], $this->counts()['movements'], $this->counts()['photos'],
                $this->counts()['users'],
            ],
        );
        self::assertSame(1, preg_match('~/join/\w{40}~', $said, $match));
        $heir = new Visitor($this->served->address);
        $heir->ask(
            $match[0],
            [
                '_token' => $heir->ask($match[0])->token(), 'name' => 'Heir', 'email' => 'heir@w.example',
                'password' => 'a few plain words',
            ],
        );
        self::assertStringContainsString('Coil of Karin', $heir->ask('/stock')->body);
    }

    public function test_a_damaged_or_other_file_is_refused_and_changes_nothing(): void
    {
        $this->filled('Karin');
        $file = "{$this->folder}/all.zip";
        $this->artisan('hebra:backup', $file);
        $before = $this->counts();
        $whole = (string) file_get_contents($file);
        foreach ([
            'cut off' => substr($whole, 0, intdiv(strlen($whole), 2)),
            'turned' => substr_replace($whole, str_repeat('x', 400), intdiv(strlen($whole), 2), 400),
            'text' => 'nothing of the kind', 'json' => '{"hebra": "piece"}',
        ] as $how => $bytes) {
            file_put_contents("{$this->folder}/bad", $bytes);
            [$status, $said] = $this->artisan('hebra:restore', "{$this->folder}/bad");
            self::assertSame(1, $status, "{$how}: {$said}");
            self::assertSame(1, substr_count($said, "\n") + 1, "{$how}: {$said}");
            self::assertSame($before, $this->counts(), $how);
        }
        self::assertSame(1, $this->artisan('hebra:backup', '/nowhere/at/all.zip')[0]);
    }

    /**
     * What leaves by the page comes in by the page, photos as they were, in the place of what is there; a copy of that
     * is kept.
     */
    public function test_an_exported_workshop_replaces_what_is_there_after_a_copy(): void
    {
        $maker = $this->filled('Karin');
        $zip = $maker->ask('/account/workshop.zip')->body;
        self::assertStringStartsWith('PK', $zip);
        file_put_contents("{$this->folder}/w.zip", $zip);
        $photo = $this->served->rows('SELECT jpeg_base64 FROM photos')[0]['jpeg_base64'];
        $token = $maker->ask('/account')->token();
        $maker->ask(
            '/stock',
            [
                '_token' => $token, 'kind' => 'coil', 'name' => 'Later', 'metal' => 'copper', 'size' => '20awg',
                'temper' => 'dead-soft', 'amount' => '2 m',
            ],
        );
        $maker->ask(
            '/account/workshop',
            ['_token' => $token, 'file' => new CURLFile("{$this->folder}/w.zip", 'application/zip', 'w.zip')],
        );
        self::assertSame(422, $maker->status, 'not without being told to');
        $maker->ask(
            '/account/workshop',
            [
                '_token' => $token, 'replace' => '1',
                'file' => new CURLFile("{$this->folder}/w.zip", 'application/zip', 'w.zip'),
            ],
        );
        self::assertSame(303, $maker->status, mb_substr(strip_tags($maker->body), 0, 600));
        $stock = $maker->ask('/stock')->body;
        self::assertStringContainsString('Coil of Karin', $stock);
        self::assertStringNotContainsString('Later', $stock);
        self::assertSame($photo, $this->served->rows('SELECT jpeg_base64 FROM photos')[0]['jpeg_base64']);
        self::assertCount(1, $copies = glob("{$this->folder}/copies-book/before-replacing-*.sqlite") ?: []);
        self::assertSame(
            'Later',
            (new PDO("sqlite:{$copies[0]}"))->query('SELECT name FROM lots ORDER BY id DESC LIMIT 1')?->fetchColumn(),
        );
        self::assertStringContainsString('The last copy is <span>from ', $maker->ask('/account')->body);
    }

    /** A copy a day; of older ones the last seven, and one of each of the last four weeks. */
    public function test_a_copy_a_day_is_kept_and_older_ones_are_thinned_out(): void
    {
        $copies = "{$this->folder}/copies-book";
        mkdir($copies);
        for ($day = 1; $day <= 60; $day++) {
            touch("{$copies}/day-".date('Ymd', strtotime("-{$day} days")).'.sqlite');
        }
        self::assertSame(0, $this->artisan('hebra:backup', '--daily')[0]);
        self::assertSame(0, $this->artisan('hebra:backup', '--daily')[0]);
        $kept = glob("{$copies}/day-*.sqlite") ?: [];
        self::assertGreaterThanOrEqual(9, count($kept));
        self::assertLessThanOrEqual(11, count($kept));
        $today = "{$copies}/day-".gmdate('Ymd').'.sqlite';
        self::assertContains($today, $kept);
        self::assertGreaterThan(1000, filesize($today));
        self::assertSame([], glob("{$copies}/*.unfinished") ?: []);
        // The latest stand as tins on the account page, today's first.
        $page = $this->served->maker('Mara')->ask('/account')->body;
        self::assertSame(1, preg_match('/<ol class="tins".*?<\/ol>/s', $page, $tins));
        self::assertSame(6, substr_count($tins[0], '<li'));
        self::assertSame(1, preg_match('/<li\s+class="is-today">\s*<span>today<.*?'.gmdate('j').'/s', $tins[0]));
        self::assertStringContainsString(gmdate('j', strtotime('-5 days')), $tins[0]);
    }

    /**
     * The last two steps are taken back, and taken again by processes that are killed after ever more of their
     * statements.
     */
    #[Group('wide')]
    public function test_an_upgrade_that_is_cut_off_goes_on_where_it_stood(): void
    {
        $this->filled('Karin');
        $before = $this->counts();
        $this->served->kill();
        $this->served->artisan('migrate:rollback --force --step=2');
        $killed = 0;
        for ($after = 1; $after < 300; $after++) {
            $process = proc_open(
                [PHP_BINARY, __DIR__.'/../upgrading.php', (string) $after],
                [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
                $pipes,
                dirname(__DIR__, 2),
                $this->served->environment,
            );
            self::assertIsResource($process);
            $said = stream_get_contents($pipes[1]).stream_get_contents($pipes[2]);
            do {
                usleep(2000);
                $status = proc_get_status($process);
            } while ($status['running']);
            if (! $status['signaled']) {
                self::assertSame(0, $status['exitcode'], $said);
                break;
            }
            $killed++;
            self::assertSame('ok', (string) $this->served->book()->query('PRAGMA quick_check')?->fetchColumn());
        }
        self::assertGreaterThan(8, $killed, 'killed in many places before it could finish');
        self::assertSame($before, $this->counts());
        self::assertLessThanOrEqual(5, count(glob("{$this->folder}/copies-book/before-upgrade-*.sqlite") ?: []));
        self::assertSame([0, ''], $this->artisan('hebra:upgrade'), 'nothing is left to do');
        $this->served->again();
        $again = new Visitor($this->served->address);
        $again->ask(
            '/sign-in',
            [
                '_token' => $again->ask('/sign-in')->token(), 'email' => 'karin@w.example',
                'password' => 'a few plain words',
            ],
        );
        self::assertStringContainsString('Coil of Karin', $again->ask('/stock')->body);
    }

    public function test_a_damaged_or_newer_database_is_said_before_anything_is_changed(): void
    {
        $this->filled('Karin');
        $this->artisan('hebra:backup', '--daily');
        $this->served->kill();
        $database = $this->served->environment['DB_DATABASE'];
        $this->served->book()->exec('PRAGMA wal_checkpoint(TRUNCATE)');
        $whole = (string) file_get_contents($database);
        $this->served->book()->exec(
            "INSERT INTO migrations (migration, batch) VALUES ('2031_01_01_000099_from_later', 9)",
        );
        [$status, $said] = $this->artisan('hebra:upgrade');
        self::assertSame(1, $status);
        self::assertStringContainsString('written by a newer Hebra (“2031_01_01_000099_from_later”)', $said);
        array_map(unlink(...), glob("{$database}-*") ?: []);
        file_put_contents($database, substr_replace($whole, random_bytes(8192), 8192, 8192));
        [$status, $said] = $this->artisan('hebra:upgrade');
        self::assertSame(1, $status, $said);
        self::assertMatchesRegularExpression(
            '~The database is damaged .+ Nothing was changed\. Its last good copy is (/\S+/day-\d{8}\.sqlite): bring it back with ./hebra restore~',
            $said,
        );
        preg_match('~good copy is (/\S+\.sqlite)~', $said, $match);
        [$status, $said] = $this->artisan('hebra:restore', $match[1] ?? '');
        self::assertSame(0, $status, $said);
        self::assertSame(0, $this->artisan('hebra:upgrade')[0]);
        self::assertSame(1, $this->counts()['lots']);
    }
}
