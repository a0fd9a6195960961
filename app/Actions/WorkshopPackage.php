<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Photo;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;
use ZipArchive;

/**
 * A workshop as one compressed file: `workshop.json`, and its photos beside it as pictures, so that neither writing nor reading one holds more than one of
 * them at a time, whatever there are. An older file is the JSON alone, photos within.
 */
final readonly class WorkshopPackage
{
    private const JSON = 'workshop.json';

    private const MOST_JSON_BYTES = 100_000_000;

    public function __construct(private WorkshopFile $file)
    {
    }

    public function write(Workshop $workshop, string $to): void
    {
        $zip = new ZipArchive;
        $zip->open($to, ZipArchive::CREATE | ZipArchive::OVERWRITE) === true || throw new \RuntimeException("“{$to}” cannot be written.");
        $zip->addFromString(self::JSON, $this->file->write($workshop, false));
        $folder = sys_get_temp_dir().'/hebra-package-'.bin2hex(random_bytes(6));
        mkdir($folder, 0700);
        try {
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
            filesize($path) <= self::MOST_JSON_BYTES || throw Refused::invalid('file', 'The file is no workshop that Hebra exported: give one written under Account.');
            $this->file->read($workshop, (string) file_get_contents($path), isBeside: $isBeside);

            return;
        }
        $size = $zip->statName(self::JSON)['size'] ?? 0;
        $size > 0 && $size <= self::MOST_JSON_BYTES || throw Refused::invalid('file', 'The file is no workshop that Hebra exported: it holds no '.self::JSON.' of at most 100 MB.');
        $this->file->read($workshop, (string) $zip->getFromName(self::JSON), function (string $ulid) use ($zip): string {
            ($zip->statName("photos/{$ulid}.jpg")['size'] ?? 0) <= KeepPhoto::MOST_BYTES || throw Refused::invalid('file', "The photo “{$ulid}” is larger than 25 MB: nothing was brought in.");

            return (string) $zip->getFromName("photos/{$ulid}.jpg");
        }, $isBeside);
        $zip->close();
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
