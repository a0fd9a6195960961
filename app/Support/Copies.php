<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use PDO;
use RuntimeException;

/**
 * Whole copies of the database, made while it is in use, each read back before it counts. They lie in a folder beside
 * it: one before every upgrade or replacement, the last five; one a day, of the last seven days and of four weeks.
 */
final class Copies
{
    private const BEFORE = 5;

    private const DAYS = 7;

    private const WEEKS = 4;

    public static function folder(): string
    {
        return dirname((string) config('database.connections.sqlite.database')).'/copies-'.pathinfo(
            (string) config('database.connections.sqlite.database'),
            PATHINFO_FILENAME,
        );
    }

    /** @throws RuntimeException if the copy is not whole; then there is none */
    public static function write(string $to): void
    {
        is_dir(dirname($to)) || mkdir(dirname($to), 0700, true);
        $unfinished = "{$to}.unfinished";
        is_file($unfinished) && unlink($unfinished);
        try {
            DB::connection()->getPdo()->exec('VACUUM INTO '.DB::connection()->getPdo()->quote($unfinished));
            chmod($unfinished, 0600);
            self::check($unfinished);
            rename($unfinished, $to);
        } finally {
            is_file($unfinished) && unlink($unfinished);
        }
    }

    /** @throws RuntimeException if it is no whole database of Hebra */
    public static function check(string $file): void
    {
        try {
            $copy = new PDO('sqlite:'.$file, options: [PDO::SQLITE_ATTR_OPEN_FLAGS => PDO::SQLITE_OPEN_READONLY]);
            $said = array_column(self::asked($copy, 'PRAGMA integrity_check'), 0);
            $count = (int) self::asked($copy, 'SELECT COUNT(*) FROM migrations')[0][0];
        } catch (\PDOException) {
            throw new RuntimeException('It is no database of Hebra.');
        }
        $said === ['ok'] && $count > 0
            || throw new RuntimeException('It is damaged: '.mb_substr((string) ($said[0] ?? 'empty'), 0, 120));
    }

    /** @return list<list<mixed>> */
    private static function asked(PDO $copy, string $sql): array
    {
        $rows = $copy->query($sql);

        return $rows === false ? [] : array_values($rows->fetchAll(PDO::FETCH_NUM));
    }

    /** @return string the copy's file */
    public static function before(string $what): string
    {
        $file = self::folder()."/before-{$what}-".now()->format('Ymd-His').'-'.bin2hex(random_bytes(2)).'.sqlite';
        self::write($file);
        foreach (array_slice(array_reverse(self::named('before-*')), self::BEFORE) as $old) {
            unlink($old);
        }

        return $file;
    }

    /** Today's copy, if there is none yet; older ones are thinned out. Null where there is one. */
    public static function daily(): ?string
    {
        $file = self::folder().'/day-'.now()->format('Ymd').'.sqlite';
        if (is_file($file)) {
            return null;
        }
        self::write($file);
        $kept = [];
        foreach (array_reverse(self::named('day-*')) as $one) {
            $day = self::day($one);
            $week = $day->format('o-W');
            $isOfDays = count($kept['days'] ?? []) < self::DAYS;
            $isOfWeeks = ! isset($kept['weeks'][$week]) && count($kept['weeks'] ?? []) < self::WEEKS;
            $isOfDays || $isOfWeeks ? $kept['weeks'][$week] = true : unlink($one);
            $isOfDays && $kept['days'][] = true;
        }

        return $file;
    }

    /** @return list<CarbonImmutable> the days of which there is a copy, the latest first */
    public static function days(): array
    {
        return array_map(self::day(...), array_reverse(self::named('day-*')));
    }

    /** When the last copy was made, of whatever kind. */
    public static function last(): ?CarbonImmutable
    {
        $files = [...self::named('day-*'), ...self::named('before-*')];

        return $files === []
            ? null
            : CarbonImmutable::createFromTimestamp(
                max(array_map(fn (string $file): int => (int) filemtime($file), $files)),
            );
    }

    /** The newest that is whole; null where there is none. */
    public static function lastGood(): ?string
    {
        $files = [...self::named('day-*'), ...self::named('before-*')];
        usort($files, fn (string $a, string $b): int => filemtime($b) <=> filemtime($a));
        foreach ($files as $file) {
            try {
                self::check($file);

                return $file;
            } catch (RuntimeException) {
                continue;
            }
        }

        return null;
    }

    /** @return list<string> oldest first */
    private static function named(string $pattern): array
    {
        $files = glob(self::folder()."/{$pattern}.sqlite") ?: [];
        sort($files);

        return $files;
    }

    private static function day(string $file): CarbonImmutable
    {
        return CarbonImmutable::createFromFormat(
            '!Ymd',
            substr(basename($file, '.sqlite'), 4),
        ) ?: CarbonImmutable::now();
    }
}
