<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;
use Throwable;

/**
 * Brings the database to where this version wants it. A copy comes first; each step is one transaction together with
 * the line that says it is done, so that an upgrade that is cut off goes on where it stood.
 */
final readonly class Upgrade
{
    public function __construct(private Migrator $migrator)
    {
    }

    /** @return list<string> steps to come, the first first */
    public function pending(): array
    {
        $done = Schema::hasTable('migrations') ? DB::table('migrations')->pluck('migration')->all() : [];

        return array_values(array_diff(array_keys($this->files()), $done));
    }

    /** @return array<string, string> by name */
    private function files(): array
    {
        return $this->migrator->getMigrationFiles([database_path('migrations')]);
    }

    /**
     * @param  callable(string): void  $say
     *
     * @throws RuntimeException if the database is damaged, newer than this version, or a step fails; with the way back
     */
    public function run(callable $say): void
    {
        $this->check();
        $pending = $this->pending();
        if ($pending === []) {
            return;
        }
        $isNew = ! Schema::hasTable('migrations') || ! DB::table('migrations')->exists();
        $copy = $isNew ? null : Copies::before('upgrade');
        $copy === null || $say("A copy is at {$copy}");
        $isNew && ! Schema::hasTable('migrations') && $this->migrator->getRepository()->createRepository();
        foreach ($pending as $name) {
            try {
                $this->step($name);
            } catch (Throwable $fault) {
                throw new RuntimeException(
                    "The upgrade stopped at {$name} ({$fault->getMessage()}). What was there is as "
                        .'it was'.($copy === null ? '.' : ": a copy is at {$copy}. Start the older version again, or "
                            .'this one to try once more.'),
                    previous: $fault,
                );
            }
        }
    }

    private function step(string $name): void
    {
        $migration = require $this->files()[$name];
        $migration instanceof Migration || throw new RuntimeException('It is no step.');
        // A table that is built anew is dropped in between: its rows elsewhere must not go with it.
        DB::statement('PRAGMA foreign_keys = OFF');
        try {
            DB::transaction(function () use ($migration, $name): void {
                method_exists($migration, 'up') && $migration->up();
                DB::select('PRAGMA foreign_key_check') === []
                    || throw new RuntimeException('A row would name what is not there.');
                DB::table('migrations')->insert(
                    ['migration' => $name, 'batch' => 1 + (int) DB::table('migrations')->max('batch')],
                );
            });
        } finally {
            DB::statement('PRAGMA foreign_keys = ON');
        }
    }

    private function check(): void
    {
        try {
            $said = DB::selectOne('PRAGMA quick_check');
            $unknown = Schema::hasTable('migrations')
                ? array_diff(DB::table('migrations')->pluck('migration')->all(), array_keys($this->files()))
                : [];
        } catch (Throwable $fault) {
            throw new RuntimeException(self::damaged($fault->getMessage()), previous: $fault);
        }
        $word = (string) (array_values((array) $said)[0] ?? '');
        $word === 'ok' || throw new RuntimeException(self::damaged($word));
        $unknown === []
            || throw new RuntimeException(
                'This database was written by a newer Hebra (“'.array_values($unknown)[0]
                    .'”): start that version. Nothing was changed.',
            );
    }

    private static function damaged(string $why): string
    {
        $good = Copies::lastGood();

        return 'The database is damaged ('.mb_substr($why, 0, 160).'). Nothing was changed. '
            .($good === null ? 'There is no copy of it here: bring one from elsewhere with ./hebra restore '
                .'FILE.' : "Its last good copy is {$good}: bring it back with ./hebra restore {$good}");
    }
}
