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
     * Puts a checked copy in the place of what is there.
     *
     * @throws BackupError
     */
    public function replaceBy(string $path): void;
}
