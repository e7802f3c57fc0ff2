<?php

declare(strict_types=1);

namespace Tests\Core\Notation;

use Destino\Genome\Form;
use Destino\Notation\NotationError;
use Destino\Notation\Target;
use Destino\Notation\TargetReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class TargetReaderTest extends TestCase
{
    /**
     * A target, a locus, and the forms of that locus that it accepts among those named.
     *
     * @return iterable<string, array{string, string, list<string>, list<string>}>
     */
    public static function meanings(): iterable
    {
        $pastel = ['Super Pastel', 'Pastel', ''];
        yield 'at least one copy of what shows' => ['Pastel', 'pastel', $pastel, ['Super Pastel', 'Pastel']];
        yield 'two copies' => ['Super Pastel', 'pastel', $pastel, ['Super Pastel']];
        yield 'exactly one copy' => ['het Pastel', 'pastel', $pastel, ['Pastel']];
        yield 'does not show' => ['not Pastel', 'pastel', $pastel, ['']];
        yield 'not two copies' => ['not Super Pastel', 'pastel', $pastel, ['Pastel', '']];
        yield 'not a single copy' => ['no Pastel', 'pastel', $pastel, ['']];

        $clown = ['Super Cryptic', 'Cryptic/Clown', 'Cryptic', 'Clown', 'het Clown', ''];
        yield 'a recessive: two copies' => ['Clown', 'clown', $clown, ['Clown']];
        yield 'visual, said plainly' => ['visual Clown', 'clown', $clown, ['Clown']];
        yield 'a het that does not show' => ['het Clown', 'clown', $clown, ['het Clown']];
        yield 'any copy, seen or not' => ['carries Clown', 'clown', $clown, ['Cryptic/Clown', 'Clown', 'het Clown']];
        yield 'does not show, the compound included' => ['not Clown', 'clown', $clown, ['Super Cryptic', 'Cryptic', 'het Clown', '']];
        yield 'no hidden copy either' => ['no Clown', 'clown', $clown, ['Super Cryptic', 'Cryptic', '']];
        yield 'a compound' => ['Clown/Cryptic', 'clown', $clown, ['Cryptic/Clown']];
        yield 'not that compound' => ['not Cryptic/Clown', 'clown', $clown, ['Super Cryptic', 'Cryptic', 'Clown', 'het Clown', '']];
        yield 'not a het' => ['not het Clown', 'clown', $clown, ['Super Cryptic', 'Cryptic/Clown', 'Cryptic', 'Clown', '']];
        yield 'only, with hidden hets' => ['only Pastel', 'clown', $clown, ['het Clown', '']];
        yield 'only, naming it' => ['only Clown', 'clown', $clown, ['Clown']];
        yield 'looks normal' => ['Normal', 'clown', $clown, ['het Clown', '']];
        yield 'either of two' => ['Clown or Cryptic/Clown', 'clown', $clown, ['Cryptic/Clown', 'Clown']];
        yield 'two conditions at one locus' => ['carries Clown, not Clown', 'clown', $clown, ['het Clown']];

        $white = ['Super Mojave', 'Mojave/Lesser', 'Mojave', 'Lesser', ''];
        yield 'compounds count as a copy' => ['Mojave', 'bel', $white, ['Super Mojave', 'Mojave/Lesser', 'Mojave']];
        yield 'only one allele of a complex' => ['only Mojave', 'bel', $white, ['Super Mojave', 'Mojave']];
        yield 'a two-copy form by its own name' => ['Ivory', 'yellowbelly', ['Ivory', 'Highway', 'Yellow Belly'], ['Ivory']];
        yield 'a named compound' => ['Highway', 'yellowbelly', ['Ivory', 'Yellow Belly/Gravel', 'Yellow Belly'], ['Yellow Belly/Gravel']];
    }

    /**
     * @param list<string> $among
     * @param list<string> $accepted
     */
    #[DataProvider('meanings')]
    public function testMeans(string $typed, string $locus, array $among, array $accepted): void
    {
        $target = self::read($typed);
        $forms = array_filter(Shelf::catalogue()->formsAt($locus), static fn (Form $form): bool => in_array($form->text, $among, true));

        self::assertSame($accepted, array_values(array_map(
            static fn (Form $form): string => $form->text,
            array_filter($forms, $target->accepts(...)),
        )));
    }

    /** @return iterable<string, array{string, string, int}> */
    public static function faults(): iterable
    {
        yield 'nothing' => ['  ', '', 1];
        yield 'misspelt' => ['Pastel + Clwn', 'Clwn', 10];
        yield 'a shared word' => ['not Axanthic', 'Axanthic', 5];
        yield 'a chance' => ['66% het Clown', '66', 1];
        yield 'both sexes' => ['male Clown female', 'female', 12];
        yield 'an end in the middle' => ['Pastel, not', 'not', 9];
        yield '“or” across loci' => ['Pastel or Clown', 'Pastel or Clown', 1];
        yield 'a slash across loci' => ['Pastel/Clown', 'Pastel/Clown', 8];
        yield 'carries two copies' => ['carries Super Pastel', 'carries Super Pastel', 9];
        yield 'a het with two alleles' => ['het Mojave/Mystic', 'Mojave/Mystic', 5];
        yield 'a nickname turned round' => ['not Bumblebee', 'Bumblebee', 5];
        yield 'markup' => ['<i>', '<', 1];
    }

    #[DataProvider('faults')]
    public function testFaultsHaveAPlace(string $typed, string $piece, int $position): void
    {
        try {
            self::read($typed);
            self::fail("“{$typed}” was read");
        } catch (NotationError $error) {
            self::assertSame([$piece, $position], [$error->piece, $error->position]);
        }
    }

    public function testSexAndOrderDoNotMatter(): void
    {
        self::assertSame('female', self::read('female, Clown + Pastel')->sex?->value);
        self::assertEquals(self::read('Clown Pastel')->loci(), self::read('clown & PASTEL')->loci());
        self::assertNull(self::read('Clown')->sex);
    }

    private static function read(string $typed): Target
    {
        return (new TargetReader(Shelf::catalogue(), Shelf::facts()->names()))->read($typed);
    }
}
