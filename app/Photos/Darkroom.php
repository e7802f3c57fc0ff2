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
        $size = @getimagesize($path);
        if ($size === false || ! in_array($size[2], self::KINDS, true)) {
            throw UnusablePhoto::noPicture();
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw UnusablePhoto::tooManyPixels($size[0], $size[1], self::MOST_PIXELS);
        }
        try {
            $image = ImageManager::gd(strip: true)->read($path)->scaleDown(self::LONGEST_SIDE, self::LONGEST_SIDE);
            $content = $image->toJpeg(quality: 82, strip: true)->toString();
        } catch (RuntimeException) {
            throw UnusablePhoto::noPicture();
        }

        return ['file' => $this->keep($content), 'width' => $image->width(), 'height' => $image->height()];
    }

    /** Puts a finished picture into the folder of photographs. */
    public function keep(string $content): string
    {
        $file = 'photos/'.Str::uuid().'.jpg';
        $this->disk->put($file, $content);

        return $file;
    }

    public function path(string $file): string
    {
        return $this->disk->path($file);
    }

    public function has(string $file): bool
    {
        return preg_match('~^photos/[\w-]+\.jpg$~', $file) === 1 && $this->disk->exists($file);
    }

    public function read(string $file): string
    {
        return (string) $this->disk->get($file);
    }
}
