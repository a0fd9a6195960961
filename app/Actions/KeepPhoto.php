<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Making;
use App\Models\Photo;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/**
 * A photo of a finished making is written anew: turned upright, made small, as a JPEG in which nothing stands but the
 * picture. What the camera wrote beside it (place, time, names) is gone.
 */
final class KeepPhoto
{
    public const MOST_BYTES = 25_000_000;

    private const MOST_MEGAPIXELS = 40;

    private const MOST_OF_ONE = 6;

    private const LONGEST_SIDE = 1600;

    private const QUALITY = 82;

    /** @throws Refused if it is no picture, or too large, or one too many */
    public function keep(Making $making, mixed $file): Photo
    {
        $file instanceof UploadedFile && $file->isValid()
            || throw Refused::invalid('photo', 'No picture arrived: choose a JPEG, PNG or WebP file of at most 25 MB.');
        $file->getSize() <= self::MOST_BYTES
            || throw Refused::invalid(
                'photo',
                'The picture has '.round($file->getSize() / 1e6).' MB: give one of at most 25 MB.',
            );
        $picture = $this->written((string) $file->get());

        return DB::transaction(function () use ($making, $picture): Photo {
            $making->photos()->count() < self::MOST_OF_ONE
                || throw Refused::invalid('photo', 'A making keeps '.self::MOST_OF_ONE.' photos: take one out first.');

            return Photo::query()->create(
                ['workshop_id' => $making->workshop_id, 'making_id' => $making->id, ...$picture],
            );
        });
    }

    /**
     * A picture from outside, written anew.
     *
     * @return array{width: int, height: int, jpeg_base64: string}
     *
     * @throws Refused if it is no picture, too large, or cut off
     */
    public function written(string $bytes): array
    {
        $size = @getimagesizefromstring($bytes);
        $size !== false && in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)
            || throw Refused::invalid('photo', 'That file is no picture that can be read: choose a JPEG, PNG or WebP.');
        $megapixels = $size[0] * $size[1] / 1e6;
        $megapixels <= self::MOST_MEGAPIXELS
            || throw Refused::invalid(
                'photo',
                'The picture has '.round($megapixels).' megapixels: give one of at most '.self::MOST_MEGAPIXELS.'.',
            );
        $image = $this->small($this->upright($this->whole($bytes), $bytes, $size[2]));
        ob_start();
        imagejpeg($image, null, self::QUALITY);

        return [
            'width' => imagesx($image),
            'height' => imagesy($image),
            'jpeg_base64' => base64_encode((string) ob_get_clean()),
        ];
    }

    /**
     * A picture of a workshop file: as it is where it holds nothing but what is written here, else written anew.
     *
     * @return array{width: int, height: int, jpeg_base64: string}
     *
     * @throws Refused if it is no picture, too large, or cut off
     */
    public function received(string $bytes): array
    {
        if (! $this->isPlain($bytes)) {
            return $this->written($bytes);
        }
        $image = $this->whole($bytes);

        return max(imagesx($image), imagesy($image)) > self::LONGEST_SIDE
            ? $this->written($bytes)
            : ['width' => imagesx($image), 'height' => imagesy($image), 'jpeg_base64' => base64_encode($bytes)];
    }

    /**
     * Whether a JPEG has only the segments that the picture needs, and nothing after its end. Source: ITU-T T.81, annex
     * B.
     */
    private function isPlain(string $bytes): bool
    {
        if (! str_starts_with($bytes, "\xFF\xD8") || ! str_ends_with($bytes, "\xFF\xD9")) {
            return false;
        }
        for ($at = 2; $at + 4 <= strlen($bytes) && $bytes[$at] === "\xFF"; $at += 2 + $length) {
            $length = (ord($bytes[$at + 2]) << 8) + ord($bytes[$at + 3]);
            $holds = substr($bytes, $at + 4, $length - 2);
            $isNeeded = match (ord($bytes[$at + 1])) {
                0xDB, 0xC0, 0xC2, 0xC4, 0xDD => true,
                0xE0 => str_starts_with($holds, "JFIF\0") && $length === 16,
                0xFE => preg_match(
                    '/^CREATOR: gd-jpeg v1\.0 \(using IJG JPEG v\d+\), quality = \d+\n$/D',
                    $holds,
                ) === 1,
                default => false,
            };
            if (ord($bytes[$at + 1]) === 0xDA) {
                // The picture runs to the end: an end within it would have something after it.
                return strpos($bytes, "\xFF\xD9", $at) === strlen($bytes) - 2;
            }
            if (! $isNeeded) {
                return false;
            }
        }

        return false;
    }

    /** A picture that breaks off is read by the library with a warning and half of it grey: here it is refused. */
    private function whole(string $bytes): \GdImage
    {
        $isBroken = false;
        set_error_handler(function () use (&$isBroken): bool {
            return $isBroken = true;
        });
        try {
            $image = imagecreatefromstring($bytes);
        } finally {
            restore_error_handler();
        }

        // Of a JPEG that breaks off the library says nothing: its end must stand behind its last scan.
        $isBroken = $isBroken
            || (str_starts_with($bytes, "\xFF\xD8")
                && (int) strrpos($bytes, "\xFF\xD9") <= (int) strrpos($bytes, "\xFF\xDA"));

        return $image === false || $isBroken
            ? throw Refused::invalid(
                'photo',
                'That picture is damaged or did not arrive whole: choose it again, or another.',
            )
            : $image;
    }

    private function upright(\GdImage $image, string $bytes, int $type): \GdImage
    {
        if ($type !== IMAGETYPE_JPEG || ! function_exists('exif_read_data')) {
            return $image;
        }
        $stream = fopen('php://memory', 'r+b');
        if ($stream === false) {
            return $image;
        }
        fwrite($stream, $bytes);
        rewind($stream);
        $exif = @exif_read_data($stream);
        $turn = match (is_array($exif) ? (int) ($exif['Orientation'] ?? 1) : 1) {
            3 => 180, 6 => -90, 8 => 90, default => 0,
        };
        $turned = $turn === 0 ? $image : imagerotate($image, $turn, 0);

        return $turned === false ? $image : $turned;
    }

    private function small(\GdImage $image): \GdImage
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $scale = min(1.0, self::LONGEST_SIDE / max($width, $height));
        $small = imagecreatetruecolor(max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale)));
        // What was see-through lies on white.
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $image, 0, 0, 0, 0, imagesx($small), imagesy($small), $width, $height);

        return $small;
    }
}
