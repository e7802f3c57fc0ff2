<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Exchange\Errors\ExchangeError;
use App\Models\User;

/** For commands that work in one collection: that of --keeper, or of the first owner. */
trait OfKeeper
{
    /** @throws ExchangeError when there is no such owner */
    protected function open(): Opened
    {
        $email = $this->option('keeper');
        $keeper = User::query()->whereNull('owner_id')
            ->when(is_string($email), fn ($query) => $query->where('email', $email))
            ->orderBy('id')
            ->first();
        if ($keeper === null) {
            throw ExchangeError::noOwner();
        }

        return $this->laravel->make(Doorway::class)->open($keeper);
    }
}
