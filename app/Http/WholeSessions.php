<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Session\FileSessionHandler;

/**
 * Sessions in files that are whole or not there: what is written stands beside the old one until it is complete, and then takes its
 * place. A process that is killed, or a disk that is full, leaves the session as it was, and nobody is signed out. (In the database
 * every page that is looked at would have to wait for whoever writes.)
 */
final class WholeSessions extends FileSessionHandler
{
    public function write($sessionId, $data): bool
    {
        $beside = @tempnam($this->path, 'half-');
        $isWhole = $beside !== false && @file_put_contents($beside, $data) === strlen($data);
        if ($beside !== false && ! $isWhole) {
            unlink($beside);
        }

        return $isWhole && rename((string) $beside, "{$this->path}/{$sessionId}");
    }
}
