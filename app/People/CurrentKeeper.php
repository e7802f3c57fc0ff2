<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Attribute;
use Illuminate\Contracts\Container\Container;
use Illuminate\Contracts\Container\ContextualAttribute;

/** Gives a controller the owner of the collection in which the signed-in person works. */
#[Attribute(Attribute::TARGET_PARAMETER)]
class CurrentKeeper implements ContextualAttribute
{
    public static function resolve(self $attribute, Container $container): User
    {
        /** @var User $person */
        $person = $container->make('auth')->user();

        return $person->keeper();
    }
}
