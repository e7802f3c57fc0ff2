<?php

declare(strict_types=1);

namespace App\Collection;

use ErrorException;
use FilesystemIterator;
use Illuminate\Contracts\Cache\Repository;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * What was worked out and is kept for the next time. Each entry stands under the code that made it and the database that it
 * is about: after a change of the code nothing is found any more, and two collections never meet.
 */
final readonly class Kept
{
    private const DAYS = 30;

    private string $prefix;

    /**
     * @param string $version of the code and the facts that make the answers
     * @param string $database what the answers are about
     */
    public function __construct(private Repository $store, string $version, string $database)
    {
        $this->prefix = hash('xxh128', $version.' '.$database).':';
    }

    /**
     * Equal for equal code: the path, size and time of every file.
     *
     * @param list<string> $folders
     */
    public static function version(array $folders): string
    {
        $files = [];
        foreach ($folders as $folder) {
            /** @var SplFileInfo $file */
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
                $files[$file->getPathname()] = [$file->getSize(), $file->getMTime()];
            }
        }
        ksort($files);

        return hash('xxh128', serialize($files));
    }

    /** Another after a change of the code. */
    public function mark(): string
    {
        return substr($this->prefix, 0, 8);
    }

    public function get(string $name): mixed
    {
        return $this->store->get($this->prefix.$name);
    }

    public function put(string $name, mixed $value): void
    {
        try {
            $this->store->put($this->prefix.$name, $value, self::DAYS * 86400);
        } catch (ErrorException) {
            return; // a full disk keeps nothing: it is worked out again the next time
        }
    }

    public function forget(string $name): void
    {
        $this->store->forget($this->prefix.$name);
    }
}
