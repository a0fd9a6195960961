<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Making;
use App\Models\Photo;
use Illuminate\Http\UploadedFile;

/**
 * A photo of a finished making is written anew: turned upright, made small, as a JPEG in which nothing stands but the picture. What the camera wrote
 * beside it (place, time, names) is gone.
 */
final class KeepPhoto
{
    private const MOST_BYTES = 25_000_000;

    private const MOST_MEGAPIXELS = 40;

    private const MOST_OF_ONE = 6;

    private const LONGEST_SIDE = 1600;

    private const QUALITY = 82;

    /** @throws Refused if it is no picture, or too large, or one too many */
    public function keep(Making $making, mixed $file): Photo
    {
        $file instanceof UploadedFile && $file->isValid() || throw Refused::invalid('photo', 'No picture arrived: choose a JPEG, PNG or WebP file of at most 25 MB.');
        $file->getSize() <= self::MOST_BYTES || throw Refused::invalid('photo', 'The picture has '.round($file->getSize() / 1e6).' MB: give one of at most 25 MB.');
        $making->photos()->count() < self::MOST_OF_ONE || throw Refused::invalid('photo', 'A making keeps '.self::MOST_OF_ONE.' photos: take one out first.');
        $bytes = (string) $file->get();
        $size = @getimagesizefromstring($bytes);
        $size !== false && in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true) || throw Refused::invalid('photo', 'That file is no picture that can be read: choose a JPEG, PNG or WebP.');
        $megapixels = $size[0] * $size[1] / 1e6;
        $megapixels <= self::MOST_MEGAPIXELS || throw Refused::invalid('photo', 'The picture has '.round($megapixels).' megapixels: give one of at most '.self::MOST_MEGAPIXELS.'.');
        $image = @imagecreatefromstring($bytes);
        $image !== false || throw Refused::invalid('photo', 'That picture is damaged and cannot be read: choose another.');
        $image = $this->small($this->upright($image, $bytes, $size[2]));
        ob_start();
        imagejpeg($image, null, self::QUALITY);

        return Photo::query()->create(['workshop_id' => $making->workshop_id, 'making_id' => $making->id, 'width' => imagesx($image), 'height' => imagesy($image), 'jpeg_base64' => base64_encode((string) ob_get_clean())]);
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
