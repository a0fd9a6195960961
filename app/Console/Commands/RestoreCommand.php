<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\WorkshopPackage;
use App\Models\Invitation;
use App\Models\User;
use App\Models\Workshop;
use App\Support\Copies;
use App\Support\Upgrade;
use Hebra\Core\Problem;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use ZipArchive;

/**
 * A backup, a copy, or an exported workshop comes back: into an empty place as it was, or beside what is there as
 * workshops of their own.
 */
final class RestoreCommand extends Command
{
    use RefusesOnStandardError;

    protected $signature = 'hebra:restore {file : a backup, a copy, or an exported workshop}';

    protected $description = 'Brings a backup back, into an empty place or beside what is there';

    public function handle(Upgrade $upgrade, WorkshopPackage $package): int
    {
        $from = (string) $this->argument('file');
        try {
            is_file($from) || throw new RuntimeException("“{$from}” is no file that can be read.");
            if (self::isExported($from)) {
                $upgrade->run(fn (string $line) => $this->line($line));
                $this->beside(fn (Workshop $workshop) => $package->read($workshop, $from, true), 'Restored');

                return self::SUCCESS;
            }

            return self::readable(
                $from,
                fn (string $database): int => $this->isEmptyHere()
                    ? $this->inPlace($database)
                    : $this->besideWhatIsThere($database, $upgrade, $package),
            );
        } catch (RuntimeException|Problem $fault) {
            return $this->refused($fault->getMessage());
        }
    }

    private static function isExported(string $from): bool
    {
        $zip = new ZipArchive;

        return $zip->open($from, ZipArchive::RDONLY) === true
            ? $zip->locateName('workshop.json') !== false
            : str_starts_with(ltrim((string) file_get_contents($from, length: 64)), '{');
    }

    /**
     * Does something with the database that is in a backup or is one.
     *
     * @param  callable(string): int  $do
     *
     * @throws RuntimeException if it is none, or damaged
     */
    public static function readable(string $from, callable $do): int
    {
        $zip = new ZipArchive;
        $folder = sys_get_temp_dir().'/hebra-restore-'.bin2hex(random_bytes(6));
        mkdir($folder, 0700);
        try {
            $database = "{$folder}/".BackupCommand::DATABASE;
            if ($zip->open($from, ZipArchive::RDONLY | ZipArchive::CHECKCONS) === true) {
                $zip->extractTo($folder, BackupCommand::DATABASE)
                    || throw new RuntimeException(
                        "“{$from}” is no backup that ./hebra backup wrote, or it is damaged.",
                    );
            } else {
                copy($from, $database);
            }
            chmod($database, 0600);
            Copies::check($database);

            return $do($database);
        } finally {
            array_map(unlink(...), glob("{$folder}/*") ?: []);
            rmdir($folder);
        }
    }

    private function isEmptyHere(): bool
    {
        $here = (string) config('database.connections.sqlite.database');
        if (! is_file($here) || filesize($here) === 0) {
            return true;
        }
        try {
            Copies::check($here);
        } catch (RuntimeException) {
            // What is damaged is put aside, not overwritten.
            return true;
        }

        return ! DB::table('users')->exists() && ! DB::table('workshops')->exists();
    }

    private function inPlace(string $database): int
    {
        $here = (string) config('database.connections.sqlite.database');
        DB::disconnect();
        foreach (['', '-wal', '-shm'] as $end) {
            is_file($here.$end) && rename($here.$end, $here.$end.'.before-'.now()->format('Ymd-His'));
        }
        is_dir(dirname($here)) || mkdir(dirname($here), 0700, true);
        copy($database, "{$here}.unfinished") && rename("{$here}.unfinished", $here)
            || throw new RuntimeException("“{$here}” cannot be written: is the disk full?");
        chmod($here, 0600);
        DB::purge();
        $this->line(
            'Everything is back as it was: '.implode(
                ', ',
                array_map(
                    fn (Workshop $one): string => "{$one->name} ({$one->pieces()->count()} pieces)",
                    Workshop::query()->get()->all(),
                ),
            ).'. Start it with ./hebra serve and sign in as before.',
        );

        return self::SUCCESS;
    }

    private function besideWhatIsThere(string $database, Upgrade $upgrade, WorkshopPackage $package): int
    {
        $upgrade->run(fn (string $line) => $this->line($line));
        $here = (string) config('database.connections.sqlite.database');
        $read = [];
        $this->at($database, function () use ($upgrade, $package, $database, &$read): void {
            $upgrade->run(function (): void {
            });
            foreach (Workshop::query()->get() as $at => $workshop) {
                $read["{$database}-{$at}.zip"] = $workshop->name;
                $package->write($workshop, "{$database}-{$at}.zip");
            }
        }, $here);
        foreach ($read as $path => $name) {
            $this->beside(fn (Workshop $workshop) => $package->read($workshop, $path, true), $name);
        }

        return self::SUCCESS;
    }

    /** @param  callable(): void  $do  on another database */
    private function at(string $database, callable $do, string $back): void
    {
        config(['database.connections.sqlite.database' => $database]);
        DB::purge();
        try {
            $do();
        } finally {
            config(['database.connections.sqlite.database' => $back]);
            DB::purge();
        }
    }

    /** @param  callable(Workshop): void  $fill */
    private function beside(callable $fill, string $name): void
    {
        [$workshop, $token] = DB::transaction(function () use ($fill, $name): array {
            $workshop = Workshop::query()->create(['name' => $name]);
            $fill($workshop);

            return [$workshop->refresh(), Invitation::into($workshop)];
        });
        $this->line(
            "“{$workshop->name}” is back as a workshop of its own, beside "
                .User::query()->distinct()->count('workshop_id').' that '
                .(User::query()->distinct()->count('workshop_id') === 1 ? 'is' : 'are')
                .' here. Whoever opens this address of your Hebra works in it, once, within '.Invitation::DAYS
                ." days: /join/{$token}",
        );
    }
}
