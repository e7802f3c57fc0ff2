<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Inference\Faults\Doubts;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Faults\Explanation;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\FaultKind;
use Destino\Inference\Faults\Misidentified;
use Destino\Inference\Faults\Misnamed;
use Destino\Inference\Faults\Mutation;
use Destino\Inference\Faults\OtherSire;
use Destino\Inference\Faults\Unrecorded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** Every kind of fault says how often it is, what it changes, and its words. */
final class FaultsTest extends TestCase
{
    /** @return iterable<string, array{FaultKind, float, float, bool, string}> chance of one, of three eggs, heard anywhere, words */
    public static function kinds(): iterable
    {
        yield 'unrecorded' => [FaultKind::Unrecorded, .05, .05, true, 'Skiff carries Clown, but this was never recorded.'];
        yield 'misidentified' => [FaultKind::Misidentified, 1e-3, 1e-9, false, 'Skiff was misidentified.'];
        yield 'other sire' => [FaultKind::OtherSire, .01, .01, false, 'Another male is the sire of Skiff; sperm can be kept from an earlier season.'];
        yield 'misnamed' => [FaultKind::Misnamed, 1e-3, 1e-9, false, 'Skiff’s Clown is a different gene.'];
        yield 'one copy' => [FaultKind::OneCopy, .02, 8e-6, false, 'Skiff has one copy of Clown, not two.'];
        yield 'masked' => [FaultKind::Masked, .1, .1, true, 'Skiff carries Clown, hidden by its own form.'];
        yield 'mutation' => [FaultKind::Mutation, 2e-6, 8e-18, true, 'A new mutation in Skiff.'];
    }

    #[DataProvider('kinds')]
    public function testAKindIsItsOwnClass(FaultKind $kind, float $one, float $three, bool $isHeard, string $words): void
    {
        $fault = Fault::of($kind, 'animal S', ['clown']);
        $rates = ErrorRates::assumed();

        self::assertSame($kind, $fault->kind());
        self::assertInstanceOf($kind->fault(), $fault);
        self::assertEqualsWithDelta($one, $fault->chance($rates), 1e-12 * $one);
        self::assertEqualsWithDelta($three, $fault->chance($rates, 3), 1e-9 * $three);
        self::assertSame($isHeard, $fault->isHeardAnywhere());
        self::assertSame($words, $fault->words(static fn (string $id): string => $id === 'animal S' ? 'Skiff' : $id, Shelf::catalogue()));
    }

    public function testEveryKindIsThere(): void
    {
        self::assertSame(
            array_map(static fn (FaultKind $kind): string => $kind->value, FaultKind::cases()),
            array_map(static fn (array $one): string => $one[0]->value, array_values(iterator_to_array(self::kinds()))),
        );
        foreach (FaultKind::cases() as $kind) {
            self::assertTrue(is_subclass_of($kind->fault(), Fault::class), $kind->value);
        }
    }

    public function testTwoFaultsAreOneWhereTheySayTheSame(): void
    {
        $keys = array_map(static fn (Fault $fault): string => $fault->key(), [
            new Unrecorded('a', ['clown']), new Unrecorded('a', ['piebald']), new Unrecorded('b', ['clown']), new Mutation('a', ['clown']),
            new Misnamed('a', ['clown']), new Misnamed('a', ['clown'], 'cryptic'),
        ]);

        self::assertSame($keys, array_unique($keys));
        self::assertSame((new Misnamed('a', ['clown'], 'cryptic'))->key(), Fault::of(FaultKind::Misnamed, 'a', ['clown'], 'cryptic')->key());
    }

    public function testWhatIsMarkedIsWhatIsNotHeard(): void
    {
        $doubts = new Doubts;
        foreach ([
            new Misidentified('s', ['clown']), new Misidentified('s', ['piebald']), new Misidentified('t', ['clown']), new Misidentified('t'),
            new Misidentified('t', ['piebald']), new Unrecorded('p', ['clown']), Fault::of(FaultKind::Masked, 'p', ['piebald']),
            new Mutation('m', ['clown']), new Mutation('m', ['albino']), new OtherSire('x'), new Misnamed('n', ['clown'], 'cryptic'),
        ] as $fault) {
            $fault->mark($doubts, $fault->subject, "litter of {$fault->subject}");
        }

        self::assertSame(['s' => ['clown', 'piebald'], 't' => []], $doubts->free, 'who is doubted at all loci stays so');
        self::assertSame(['p' => [['clown'], ['piebald']]], $doubts->hidden);
        self::assertSame(['m' => ['clown', 'albino']], $doubts->mutations);
        self::assertSame(['litter of x' => true], $doubts->otherSires);
        self::assertSame(['n' => [[['clown'], 'cryptic']]], $doubts->names);
    }

    public function testAnExplanationOfSeveralKindsHasNoKindOfItsOwn(): void
    {
        $name = static fn (string $id): string => strtoupper($id);
        $two = new Explanation([new Unrecorded('a', ['clown']), new OtherSire('b')], .5);

        self::assertNull($two->kind());
        self::assertSame(FaultKind::Unrecorded, (new Explanation([new Unrecorded('a'), new Unrecorded('b')], .5))->kind());
        self::assertSame(
            'A carries Clown, but this was never recorded. And: Another male is the sire of B; sperm can be kept from an '
                .'earlier season.',
            $two->words($name, Shelf::catalogue()),
        );
        self::assertSame(
            (new Explanation([new OtherSire('b'), new Unrecorded('a', ['clown'])], .1))->key(), $two->key(), 'in whatever order they stand',
        );
    }
}
