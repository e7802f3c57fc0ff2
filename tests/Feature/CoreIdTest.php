<?php

namespace Tests\Feature;

use App\Collection\CoreId;
use PHPUnit\Framework\TestCase;

class CoreIdTest extends TestCase
{
    public function test_only_what_names_an_animal_or_a_count_is_read_as_one(): void
    {
        $this->assertSame(['a12', 'c7'], [CoreId::of(12), CoreId::ofCount('7')]);
        $this->assertSame([12, null], [CoreId::animal('a12'), CoreId::count('a12')]);
        $this->assertSame([null, 7], [CoreId::animal('c7'), CoreId::count('c7')]);
        foreach (['', 'a', 'albino', 'a1b', 'offer 1', 'A12', '12', "a12\n"] as $other) {
            $this->assertSame([null, null], [CoreId::animal($other), CoreId::count($other)], $other);
        }
    }
}
