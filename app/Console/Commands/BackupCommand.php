<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\Copies;
use Illuminate\Console\Command;
use RuntimeException;
use ZipArchive;

/** Everything there is, in one compressed file, made while it is in use and read back before it counts. */
final class BackupCommand extends Command
{
    use RefusesOnStandardError;

    public const DATABASE = 'hebra.sqlite';

    protected $signature = 'hebra:backup {file? : where it is written}
        {--daily : keep today’s copy beside the database instead, if there is none yet}';

    protected $description = 'Writes a backup of everything, and reads it back';

    public function handle(): int
    {
        try {
            if ($this->option('daily')) {
                Copies::daily();

                return self::SUCCESS;
            }
            $this->write((string) ($this->argument('file') ?? getcwd().'/hebra-'.now()->format('Y-m-d-His').'.zip'));
        } catch (RuntimeException $fault) {
            return $this->refused($fault->getMessage());
        }

        return self::SUCCESS;
    }

    private function write(string $to): void
    {
        is_dir(dirname($to)) && is_writable(dirname($to))
            || throw new RuntimeException(
                "“{$to}” cannot be written: give a file in a folder that is there and is yours.",
            );
        is_file((string) config('database.connections.sqlite.database'))
            || throw new RuntimeException('There is nothing to back up yet: nobody has opened a workshop here.');
        $copy = (string) tempnam(dirname($to), '.hebra-');
        $unfinished = "{$to}.unfinished";
        unlink($copy);
        try {
            Copies::write($copy);
            $zip = new ZipArchive;
            $zip->open($unfinished, ZipArchive::CREATE | ZipArchive::OVERWRITE) === true
                && $zip->addFile($copy, self::DATABASE) && $zip->close()
                || throw new RuntimeException("“{$to}” cannot be written: is the disk full?");
            chmod($unfinished, 0600);
            RestoreCommand::readable(
                $unfinished,
                fn (string $database): int => hash_file('sha256', $database) === hash_file('sha256', $copy)
                    ? 0
                    : throw new RuntimeException('What was written is not what was read: try again.'),
            );
            rename($unfinished, $to);
        } finally {
            array_map(unlink(...), array_filter([$copy, $unfinished], is_file(...)));
        }
        $this->line(
            "Everything is in {$to}, ".number_format(filesize($to) / 1e6, 1)
                .' MB, and was read back. Carry it to another machine.',
        );
    }
}
