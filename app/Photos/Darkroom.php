<?php

declare(strict_types=1);

namespace App\Photos;

use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Str;
use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;

/**
 * Takes photographs in: checks that the content is a picture, turns it upright, makes it no larger than it is looked at,
 * and writes it anew, so that nothing hidden in the file (position, camera) is kept.
 */
class Darkroom
{
    public const MOST_KILOBYTES = 12 * 1024;

    private const MOST_PIXELS = 50_000_000;

    private const LONGEST_SIDE = 1600;

    private const KINDS = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    public function __construct(private readonly Filesystem $disk) {}

    /**
     * @return array{file: string, width: int, height: int}
     *
     * @throws UnusablePhoto
     */
    public function develop(string $path): array
    {
        $made = self::made((string) @file_get_contents($path));

        return ['file' => $this->keep($made['content']), 'width' => $made['width'], 'height' => $made['height']];
    }

    /**
     * The picture as it is kept. One that was made here is left as it is, so that it loses nothing from one collection to the next.
     *
     * @return array{content: string, width: int, height: int}
     *
     * @throws UnusablePhoto
     */
    public static function made(string $content): array
    {
        $size = @getimagesizefromstring($content);
        if ($size === false || ! in_array($size[2], self::KINDS, true)) {
            throw UnusablePhoto::noPicture();
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw UnusablePhoto::tooManyPixels($size[0], $size[1], self::MOST_PIXELS);
        }
        try {
            $image = ImageManager::gd(strip: true)->read($content);
            if ($size[2] === IMAGETYPE_JPEG && max($size[0], $size[1]) <= self::LONGEST_SIDE && Jpeg::holdsOnlyThePicture($content)) {
                return ['content' => $content, 'width' => $size[0], 'height' => $size[1]];
            }
            $image = $image->scaleDown(self::LONGEST_SIDE, self::LONGEST_SIDE);
            $made = $image->toJpeg(quality: 82, strip: true)->toString();
        } catch (RuntimeException) {
            throw UnusablePhoto::noPicture();
        }

        return ['content' => $made, 'width' => $image->width(), 'height' => $image->height()];
    }

    /** Takes a picture away that nothing names. */
    public function discard(string $file): void
    {
        $this->disk->delete($file);
    }

    /** Puts a finished picture into the folder of photographs. */
    public function keep(string $content): string
    {
        $file = 'photos/'.Str::uuid().'.jpg';
        $this->disk->put($file, $content);

        return $file;
    }

    public function has(string $file): bool
    {
        return preg_match('~^photos/[\w-]+\.jpg$~', $file) === 1 && $this->disk->exists($file);
    }

    /** The picture of an animal: the part with it, where a photograph shows several. */
    public function picture(string $file, ?PhotoPart $part): string
    {
        if ($part === null) {
            return $this->read($file);
        }
        $image = ImageManager::gd(strip: true)->read($this->read($file));
        $cut = $part->within($image->width(), $image->height());

        return $image->crop($cut['side'], $cut['side'], $cut['left'], $cut['top'])->toJpeg(quality: 85, strip: true)->toString();
    }

    public function read(string $file): string
    {
        return (string) $this->disk->get($file);
    }
}
