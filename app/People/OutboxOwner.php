<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;

/**
 * Whose the entries are that wait on a device: a mark of one person in one collection of this installation, which tells nothing to
 * whoever reads it there.
 */
final class OutboxOwner
{
    private const CHARACTERS = 24;

    public static function of(User $person): string
    {
        $who = implode('|', ['outbox', $person->id, (string) $person->created_at, $person->collectionId()]);

        return substr(hash_hmac('sha256', $who, (string) config('app.key')), 0, self::CHARACTERS);
    }
}
