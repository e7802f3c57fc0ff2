<?php

declare(strict_types=1);

namespace App\Backup;

/** Where the records are, as far as backups go: a file, or a database server. */
interface Storehouse
{
    /** What the files of its backups end with. */
    public function ending(): string;

    /**
     * A copy that is consistent, also while it is in use.
     *
     * @throws BackupError
     */
    public function copyTo(string $path): void;

    /** @throws BackupError when the file is no sound collection; $name is what it is called */
    public function check(string $path, string $name): void;

    /**
     * The migrations that made the collection of a file that is sound: they say whether it is one of ours, and of which version.
     *
     * @return list<string>
     *
     * @throws BackupError
     */
    public function migrations(string $path, string $name): array;

    /**
     * Does something while nobody writes and nobody begins to; who wants to write waits for a while and is told to try again.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     *
     * @throws BackupError
     */
    public function whileNobodyWrites(callable $do): mixed;

    /** Whether somebody puts a backup back just now. */
    public function isBeingReplaced(): bool;

    /**
     * Puts a checked copy in the place of what is there, brought up to date where it is of an earlier version.
     *
     * @throws BackupError
     */
    public function replaceBy(string $path): void;
}
