<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;
use Destino\Genome\Inheritance;

/** All names of a catalogue: of alleles, of two copies, of compounds, words that several genes share, nicknames. */
final readonly class CatalogueNames
{
    /** @return iterable<array{string, Name}> a name with what it means; the first of a name holds */
    public static function of(Catalogue $catalogue): iterable
    {
        yield from self::ofAlleles($catalogue);
        yield from self::ofCompounds($catalogue);
        yield from self::ofSharedWords($catalogue);
    }

    /** @return iterable<array{string, Name}> */
    private static function ofAlleles(Catalogue $catalogue): iterable
    {
        foreach ($catalogue->alleles as $allele) {
            foreach ([$allele->name, ...$allele->aliases] as $name) {
                yield [$name, new Name(NameKind::Allele, $allele->name, [$allele->key])];
            }
        }
        foreach ($catalogue->alleles as $allele) {
            $names = $allele->inheritance === Inheritance::Recessive ? [] : [$allele->twoCopyName, ...$allele->twoCopyAliases];
            foreach ($names as $name) {
                yield [$name, new Name(NameKind::TwoCopies, $allele->twoCopyName, [$allele->key, $allele->key])];
            }
        }
    }

    /** @return iterable<array{string, Name}> */
    private static function ofCompounds(Catalogue $catalogue): iterable
    {
        foreach ($catalogue->loci as $locus) {
            foreach ($catalogue->formsAt($locus->key) as $form) {
                if (! $form->isCompound()) {
                    continue;
                }
                $pair = $form->pair;
                sort($pair);
                foreach ([$form->knownAs, ...$catalogue->compoundAliases[implode('/', $pair)] ?? []] as $name) {
                    yield [$name ?? '', new Name(NameKind::Compound, $form->text, $form->pair)];
                }
            }
        }
    }

    /** @return iterable<array{string, Name}> */
    private static function ofSharedWords(Catalogue $catalogue): iterable
    {
        foreach ($catalogue->sharedNames as $shared) {
            foreach ([$shared->name, ...$shared->aliases] as $name) {
                $meaning = new Name(NameKind::Shared, $shared->name, [], '', $shared->choices, $shared->question, $shared->isAlwaysAsked);
                yield [$name, $meaning];
            }
        }
        foreach ($catalogue->nicknames as $nickname) {
            yield [$nickname->name, new Name(NameKind::Nickname, $nickname->name, [], $nickname->means)];
        }
    }
}
