<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\CollectionRecord;
use App\Models\Enums\Right;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** One rule for every record: it must be of the person's own collection, and the person's role must have the right. */
class RecordPolicy
{
    public function view(User $user, CollectionRecord $record): Response
    {
        return self::inspect($user, $record, Right::Read);
    }

    /** Care and season events. */
    public function log(User $user, CollectionRecord $record): Response
    {
        return self::inspect($user, $record, Right::Log);
    }

    /** Prices and buyers. */
    public function money(User $user, CollectionRecord $record): Response
    {
        return self::inspect($user, $record, Right::Money);
    }

    /** Everything else. */
    public function manage(User $user, CollectionRecord $record): Response
    {
        return self::inspect($user, $record, Right::Manage);
    }

    private static function inspect(User $user, CollectionRecord $record, Right $right): Response
    {
        if ($record->collectionId() !== $user->collectionId()) {
            return Response::denyAsNotFound(); // strangers' records do not exist for you
        }

        return $user->has($right) ? Response::allow() : Response::deny("A {$user->role->value} {$user->role->sentence()}.");
    }
}
