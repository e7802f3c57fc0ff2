<?php

declare(strict_types=1);

namespace App\View\Components\RackLine;

use App\Models\Rack;
use App\View\Components\Part\Part;
use Illuminate\Support\MessageBag;
use Illuminate\Support\ViewErrorBag;

/** A rack as it stands, to be changed in one line; its errors stand in it and in no other. */
class RackLine extends Part
{
    public readonly MessageBag $bag;

    public function __construct(public readonly Rack $rack)
    {
        $this->bag = self::bagOf($rack);
    }

    public static function bagOf(Rack $rack): MessageBag
    {
        $errors = view()->shared('errors', new ViewErrorBag);

        return $errors->getBag("rack-{$rack->id}");
    }

    /** What was typed where it was wrong, else what is recorded. */
    public function typed(string $field): mixed
    {
        return $this->bag->isEmpty() ? $this->rack->getAttribute($field) : old($field, $this->rack->getAttribute($field));
    }
}
