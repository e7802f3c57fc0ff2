<?php

namespace Tests\Browser;

/** Animals and pairs, and an address where nothing is. */
class EveryPageTest extends EveryPageCase
{
    public static function pages(): iterable
    {
        yield 'ask somebody' => ['/animals/25/ask'];
        yield 'pair, empty' => ['/pair'];
        yield 'pair, answered' => ['/pair?sire_id=7&dam_id=3&target=Genetic+Stripe'];
        yield 'pair, linked to sex' => ['/pair?sire_id=16&dam_id=18&by=genotype&target=Banana,+female'];
        yield 'pair, wrong' => ['/pair?sire=Pastle&dam=Axanthic&eggs=none'];
        yield 'pair, to print' => ['/pair/sheet?sire_id=12&dam_id=13&target=Ultramel'];
        yield 'animals' => ['/animals'];
        yield 'animal' => ['/animals/3'];
        yield 'animal form' => ['/animals/3/edit'];
        yield 'animals as a list' => ['/animals?view=list'];
        yield 'racks' => ['/animals?view=rack&colour=readiness'];
        yield 'animals found' => ['/animals?genes=carries+Genetic+Stripe,+female,+ready'];
        yield 'animal with a conflict' => ['/animals/25'];
        yield 'history' => ['/animals/17/history'];
        yield 'statement' => ['/statements/1/edit'];
        yield 'a new animal' => ['/animals/create'];
        yield 'nothing there' => ['/animals/9999'];
    }
}
