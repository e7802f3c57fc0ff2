<?php

declare(strict_types=1);

namespace Tests\Core\Pairing;

use Destino\Pairing\Advice\Advice;
use Destino\Pairing\Advice\Advisor;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class AdviceTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string|null, string}> */
    public static function known(): iterable
    {
        yield 'a lethal form' => ['Champagne', 'Champagne', 'lethal-form', '1/4', 'Super Champagne: 1 in 4 eggs.'];
        yield 'a condition of one copy' => ['Spider', 'Normal', 'condition', '1/2', 'Wobble in Spider, 1 in 2 eggs.'];
        yield 'a condition of two copies' => ['Cinnamon', 'Black Pastel', 'condition', '1/4', 'Spinal kinking in Cinnamon/Black Pastel'];
        yield 'a condition over two loci' => ['Lesser het Piebald', 'het Piebald', 'condition', '1/8', 'Lesser Piebald'];
        yield 'a pair of genes' => ['Spider', 'Champagne', 'troubled-pair', '1/4', 'Champagne Spider in one animal'];
        yield 'a dam in danger' => ['Normal', 'Desert', 'parent-condition', null, 'The dam is Desert.'];
        yield 'lines that never meet' => ['Axanthic (line 1)', 'Axanthic (line 2)', 'lines-never-meet', null, 'none is visual'];
        yield 'two genes of one word' => ['Desert', 'het Desert Ghost', 'names-mixed-up', null, 'Desert and Desert Ghost are different genes.'];
        yield 'the other way round, two copies' => ['het Desert Ghost', 'Super Desert', 'names-mixed-up', null, 'Desert and Desert Ghost'];
        yield 'two kinds of lavender' => ['50% het Toffee', 'het Lavender Albino', 'names-mixed-up', null, 'Lavender Albino and Toffee'];
        yield 'in one parent' => ['Lavender Albino het Candy', 'Normal', 'names-mixed-up', null, 'Keep the line with each animal.'];
        yield 'one complex from both sides' => [
            'Mojave/Mystic', 'Pastel', 'shared-complex', null,
            'No egg carries Mojave and Mystic together. Every egg carries at least one of them.',
        ];
        yield 'look-alikes' => ['Cinnamon', 'Black Pastel', 'look-alikes', '1/2', 'Cinnamon and Black Pastel'];
        yield 'a mask' => ['Mojave Pastel', 'Lesser', 'mask', '1/4', 'do not count on seeing Pastel'];
        yield 'a flood that leaves none without it' => ['Super Pastel', 'Pastel', 'flood', '1', 'Pair the young to animals without it'];
        yield 'a flood' => ['Pinstripe', 'Pinstripe', 'flood', '3/4', 'Both parents carry Pinstripe'];
        yield 'what the eye cannot tell' => ['het Clown', 'het Clown', 'told-by-eye', '3/4', '3 genotypes, 2 looks'];
        yield 'sex linkage' => ['Banana (male maker)', 'Normal', 'sex-linked', '1/2', '93% of the young that get it here are males'];
        yield 'an uncertain parent' => ['66% het Clown', 'Clown', 'uncertain-parent', null, 'What the sire carries is not certain.'];
        yield 'two of them' => ['66% het Clown', '50% het Clown', 'uncertain-parent', null, 'What the sire and dam carry is not certain.'];
    }

    #[DataProvider('known')]
    public function testAdvice(string $sire, string $dam, string $code, ?string $probability, string $words): void
    {
        $found = array_filter(
            Advisor::advise(Shelf::cross($sire, $dam)),
            static fn (Advice $advice): bool => $advice->code === $code && str_contains($advice->text, $words),
        );
        self::assertSame(
            [$probability],
            array_values(array_map(static fn (Advice $advice): ?string => $advice->probability?->toString(), $found)),
        );
    }

    public function testTheGravestComesFirstAndQuietPairingsAreQuiet(): void
    {
        $grades = array_map(
            static fn (Advice $advice): int => $advice->severity->rank(),
            Advisor::advise(Shelf::cross('Spider Lesser Pastel', 'Spider Mojave')),
        );
        $sorted = $grades;
        rsort($sorted);
        self::assertSame($sorted, $grades);
        self::assertSame([], Advisor::advise(Shelf::cross('Pastel', 'Enchi')));
    }

    public function testTheSameLineInBothParentsIsNoWarning(): void
    {
        $codes = array_map(
            static fn (Advice $advice): string => $advice->code,
            Advisor::advise(Shelf::cross('Axanthic (line 1)', 'double het Axanthic (line 1) Axanthic (line 2)')),
        );
        self::assertNotContains('lines-never-meet', $codes);
    }
}
