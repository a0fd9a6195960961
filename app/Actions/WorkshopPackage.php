<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Photo;
use App\Models\Workshop;
use Generator;
use Hebra\Core\Piece\ReceivedJson;
use Illuminate\Support\Facades\DB;
use ZipArchive;

/**
 * A workshop as one compressed file: `workshop.json`, its tables as lines of JSON, and its photos as pictures, so that
 * neither writing nor reading one holds more than a line or a picture at a time, whatever there is. An older file is
 * one JSON document, photos within.
 */
final readonly class WorkshopPackage
{
    private const HEAD = 'workshop.json';

    /** Of an older file, which must be read whole. */
    private const MOST_JSON_BYTES = 24_000_000;

    private const MOST_LINE_BYTES = 4_000_000;

    private const FLAGS = JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES;

    public function __construct(private WorkshopFile $file)
    {
    }

    public function write(Workshop $workshop, string $to): void
    {
        $zip = new ZipArchive;
        $zip->open($to, ZipArchive::CREATE | ZipArchive::OVERWRITE) === true
            || throw new \RuntimeException("“{$to}” cannot be written.");
        $folder = sys_get_temp_dir().'/hebra-package-'.bin2hex(random_bytes(6));
        mkdir($folder, 0700);
        $zip->addFromString(
            self::HEAD,
            (string) json_encode($this->file->head($workshop), self::FLAGS | JSON_PRETTY_PRINT),
        );
        try {
            foreach ($this->file->tables($workshop, false) as $table => $rows) {
                $lines = fopen("{$folder}/{$table}", 'w') ?: throw new \RuntimeException("“{$to}” cannot be written.");
                foreach ($rows as $row) {
                    fwrite($lines, json_encode($row, self::FLAGS)."\n");
                }
                fclose($lines);
                $zip->addFile("{$folder}/{$table}", "tables/{$table}.jsonl");
            }
            /** @var Photo $photo */
            foreach (Photo::query()->where('workshop_id', $workshop->id)->orderBy('id')->cursor() as $photo) {
                file_put_contents("{$folder}/{$photo->ulid}", $photo->jpeg());
                $zip->addFile("{$folder}/{$photo->ulid}", "photos/{$photo->ulid}.jpg");
                $zip->setCompressionName("photos/{$photo->ulid}.jpg", ZipArchive::CM_STORE);
            }
            $zip->close() || throw new \RuntimeException("“{$to}” cannot be written.");
        } finally {
            array_map(unlink(...), glob("{$folder}/*") ?: []);
            rmdir($folder);
        }
    }

    /**
     * Into a new or an empty workshop.
     *
     * @param  bool  $isBeside  whether it stands beside what it was: then everything in it gets a name of its own
     *
     * @throws \Hebra\Core\Problem if it is no workshop; then nothing has changed
     */
    public function read(Workshop $workshop, string $path, bool $isBeside = false): void
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            filesize($path) <= self::MOST_JSON_BYTES
                || throw Refused::invalid(
                    'file',
                    'The file is no workshop that Hebra exported: give one written under Account.',
                );
            $this->file->read($workshop, (string) file_get_contents($path), $isBeside);

            return;
        }
        ($zip->statName(self::HEAD)['size'] ?? PHP_INT_MAX) <= self::MOST_LINE_BYTES
            || throw Refused::invalid(
                'file',
                'The file is no workshop that Hebra exported: it holds no '.self::HEAD.'.',
            );
        $head = self::decoded((string) $zip->getFromName(self::HEAD), 'file');
        WorkshopFile::checkHead($head);
        $this->file->take(
            $workshop,
            $head,
            fn (string $table): Generator => $this->lines($zip, $table),
            fn (string $ulid): string => $this->picture($zip, $ulid),
            $isBeside,
        );
        $zip->close();
    }

    /** @return Generator<int, mixed> */
    private function lines(ZipArchive $zip, string $table): Generator
    {
        $lines = $zip->getStream("tables/{$table}.jsonl");
        $lines !== false || throw Refused::invalid('file', "“{$table}” is no list.");
        for ($at = 0; ($line = fgets($lines, self::MOST_LINE_BYTES)) !== false; $at++) {
            str_ends_with($line, "\n") || throw Refused::invalid('file', "{$table}.{$at} is no row.");
            yield $at => self::decoded($line, "{$table}.{$at}");
        }
        fclose($lines);
    }

    private static function decoded(string $json, string $place): mixed
    {
        $decoded = json_decode($json, true, 32);
        $decoded !== null || throw Refused::invalid('file', "{$place} is no JSON.");
        ReceivedJson::check($json, $decoded, 'file');

        return $decoded;
    }

    private function picture(ZipArchive $zip, string $ulid): string
    {
        ($zip->statName("photos/{$ulid}.jpg")['size'] ?? 0) <= KeepPhoto::MOST_BYTES
            || throw Refused::invalid('file', "The photo “{$ulid}” is larger than 25 MB: nothing was brought in.");

        return (string) $zip->getFromName("photos/{$ulid}.jpg");
    }

    /**
     * In the place of what is there, for all who work in it.
     *
     * @return Workshop the new one
     *
     * @throws \Hebra\Core\Problem if it is no workshop; then nothing has changed
     */
    public function replace(Workshop $old, string $path): Workshop
    {
        return DB::transaction(function () use ($old, $path): Workshop {
            $new = Workshop::query()->create(['name' => $old->name, 'is_demo' => $old->is_demo]);
            DB::table('users')->where('workshop_id', $old->id)->update(['workshop_id' => $new->id]);
            $old->delete();
            $this->read($new, $path);

            return $new;
        });
    }
}
