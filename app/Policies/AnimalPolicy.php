<?php

namespace App\Policies;

use App\Models\Animal;
use App\Models\User;
use Illuminate\Auth\Access\Response;

class AnimalPolicy
{
    public function viewAny(User $user): bool
    {
        return true; // the list holds the keeper's own animals only
    }

    public function create(User $user): bool
    {
        return true;
    }

    public function view(User $user, Animal $animal): Response
    {
        return $this->own($user, $animal);
    }

    public function update(User $user, Animal $animal): Response
    {
        return $this->own($user, $animal);
    }

    /** Strangers' animals do not exist for you. */
    private function own(User $user, Animal $animal): Response
    {
        return $animal->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
