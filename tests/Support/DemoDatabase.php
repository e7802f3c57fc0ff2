<?php

namespace Tests\Support;

use App\Collection\Kept;
use RuntimeException;
use Tests\Browser\Support\Server;

/**
 * The demo collection of today as an SQLite file, made once for all tests that begin with it: as bin/destino demo makes it, and by
 * the code as it is now.
 */
final class DemoDatabase
{
    /**
     * @param string $target path of the copy
     * @param float $plans share of the usual work that goes into whole plans of the demo; 0 makes none
     */
    public static function copyTo(string $target, float $plans = 0): void
    {
        if (! copy(self::made($plans), $target)) {
            throw new RuntimeException("The demo could not be copied to {$target}.");
        }
    }

    private static function made(float $plans): string
    {
        $root = dirname(__DIR__, 2);
        $folder = "{$root}/storage/framework/testing";
        is_dir($folder) || @mkdir($folder, 0775, true);
        $code = Kept::version(["{$root}/core", "{$root}/app", "{$root}/catalogue", "{$root}/database/migrations", "{$root}/database/seeders"]);
        $file = "{$folder}/demo-".hash('xxh64', $code.date('Y-m-d').$plans).'.sqlite';
        $lock = fopen("{$folder}/demo.lock", 'c');
        if ($lock === false || ! flock($lock, LOCK_EX)) { // whoever comes meanwhile waits for it
            throw new RuntimeException('Nothing can be written to storage/framework/testing.');
        }
        if (! is_file($file)) {
            foreach (glob("{$folder}/demo-*.sqlite*") ?: [] as $old) {
                filemtime($old) < time() - 3600 && unlink($old);
            }
            Server::seed("{$file}.new", $plans);
            rename("{$file}.new", $file);
        }
        fclose($lock);

        return $file;
    }
}
