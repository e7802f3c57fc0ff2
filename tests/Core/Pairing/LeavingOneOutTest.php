<?php

declare(strict_types=1);

namespace Tests\Core\Pairing;

use Destino\Pairing\Advice\LeavingOneOut;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** Which gene makes a clutch hard to identify. */
final class LeavingOneOutTest extends TestCase
{
    public function testTheGeneThatHidesMostComesFirst(): void
    {
        // Of het × het three quarters look normal, and any of them may be a het; of het × visual each is a visual or a sure het.
        self::assertSame(['Piebald 0'], self::of('het Clown, het Piebald', 'visual Clown, het Piebald'));
        self::assertSame(['Clown 3/4', 'Piebald 3/4'], self::of('het Clown, het Piebald, Pastel', 'het Clown, het Piebald'));
    }

    public function testWhereAllShowsNothingIsLeftOut(): void
    {
        self::assertSame([], self::of('Pastel', 'Enchi'));
    }

    public function testAllelesOfOneLocusGoTogether(): void
    {
        self::assertSame(['Fire and Vanilla 0'], self::of('Fire', 'Vanilla'));
        self::assertSame(['Clown 0'], self::of('het Clown', 'Pastel'));
    }

    /** @return list<string> */
    private static function of(string $sire, string $dam): array
    {
        return array_map(
            static fn (array $one): string => "{$one['name']} {$one['unread']->toString()}", LeavingOneOut::of(Shelf::cross($sire, $dam)),
        );
    }
}
